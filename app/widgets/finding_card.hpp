// SPDX-License-Identifier: GPL-3.0-or-later
// One finding: a bold sentence, and when it is chosen its place, why it matters, what helps and at what cost.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QFrame>

class QBoxLayout;
class QVBoxLayout;

namespace trellis {

class FindingCard : public QFrame {
  Q_OBJECT
 public:
  FindingCard(const Finding& finding, Document& document, Builder& builder, View& view, QWidget* parent = nullptr);

  const Finding& finding() const { return finding_; }
  void setOpen(bool open);

 Q_SIGNALS:
  void chosen();

 protected:
  void mousePressEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  void addPlaces(QVBoxLayout& column);
  void addRemedies(QVBoxLayout& column);
  void offer(const Remedy& remedy, std::size_t number, QVBoxLayout& column);
  void ask(const Remedy& remedy);
  void goTo(std::size_t place);
  void askForNote();
  void accept(const QString& note, bool accepted);
  std::size_t places() const { return std::max<std::size_t>(1, finding_.places.size()); }

  Finding finding_;
  Document& document_;
  Builder& builder_;
  View& view_;
  QWidget* more_;
  QVBoxLayout* asked_ = nullptr;  // where a question about a remedy, or the note, appears
  std::size_t place_ = 0;
};

}  // namespace trellis
