// SPDX-License-Identifier: GPL-3.0-or-later
// Study: what hangs, how far it leans, what each site costs, and what is to be done about it.
#pragma once

#include "app/widgets/site_model.hpp"
#include "app/worksheets/worksheet.hpp"

class QListView;
class QPushButton;

namespace trellis {

class StudySheet : public Worksheet {
  Q_OBJECT
 public:
  StudySheet(Document& document, Builder& builder, View& view, QWidget* parent = nullptr);
  void pointTo(const std::optional<SiteId>& site);  // lights its row
  void pickSite(const SiteId& site);                // selects its row

 private:
  void addList();
  void addChoices();
  void addLocal();
  void refresh();
  void light();
  void choose(const QModelIndexList& rows, Choice choice);
  QModelIndex indexOf(const SiteId& site) const;
  QModelIndexList selectedRows() const;

  SiteModel* model_;
  SiteProxy* proxy_;
  QListView* list_;
  QLabel *area_, *starts_, *local_;
  QPushButton* slight_;
  std::optional<SiteId> pointed_;  // in the scene or in the list
  Builder& builder_;
};

}  // namespace trellis
