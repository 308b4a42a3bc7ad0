// SPDX-License-Identifier: GPL-3.0-or-later
// What was printed and what became of it: versions, bench notes, and what follows from them.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/notes.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QPlainTextEdit;
class QPushButton;
class QSpinBox;
class QTableWidget;
class QTreeWidget;
class QVBoxLayout;

namespace trellis {

class PrintPage : public QWidget {
  Q_OBJECT
 public:
  PrintPage(Document& document, Builder& builder, View& view, Notes& notes, Activity& activity,
            QWidget* parent = nullptr);

  // By a click in the scene, while this page is looked at.
  void notePiece(std::size_t piece);
  void noteSite(const SiteId& site);

 protected:
  void dragEnterEvent(QDragEnterEvent* event) override;
  void dropEvent(QDropEvent* event) override;

 private:
  void addVersions(QVBoxLayout* column);
  void addOutcomes(QVBoxLayout* column);
  void addFigures(QVBoxLayout* column);
  void addLearning(QVBoxLayout* column);
  const Version* chosen() const;
  void refresh();
  void refreshNote();
  void refreshLearnt();
  void pointTo();  // the row of what is chosen in the scene
  void fillRows();
  // A row for a piece or site of what is shown, where that is what was printed.
  void noteOutcome(const std::string& what, double force);
  bool isShown(const Version& version) const;
  BenchNote filled() const;
  void keep();
  void addPictures(const QStringList& paths);
  void doOrSay(const std::function<void()>& what);

  Document& document_;
  Builder& builder_;
  View& view_;
  Notes& notes_;
  Activity& activity_;
  std::size_t chosen_ = 0;  // the number of a version; 0: the newest
  BenchNote note_;
  QTreeWidget* versions_;
  QWidget* about_;
  QTableWidget* outcomes_;
  QComboBox* failure_;
  QDoubleSpinBox *height_, *removal_;
  QSpinBox *hours_, *minutes_;
  QPlainTextEdit* text_;
  QLabel *failures_, *pictures_, *follows_, *learnt_;
  QPushButton *keep_, *learn_, *look_, *back_;
};

}  // namespace trellis
