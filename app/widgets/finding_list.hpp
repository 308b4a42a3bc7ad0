// SPDX-License-Identifier: GPL-3.0-or-later
// Findings by severity, each with its place, picture, reason and remedies, and a way to accept it.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

class QVBoxLayout;

namespace trellis {

class FindingList : public QWidget {
  Q_OBJECT
 public:
  FindingList(Document& document, Builder& builder, View& view, QWidget* parent = nullptr);

 private:
  void refresh();
  QWidget* cardOf(std::size_t number);
  QWidget* remediesOf(std::size_t number);
  void accept(const Finding& finding, const QString& note, bool accepted);

  Document& document_;
  Builder& builder_;
  View& view_;
  QVBoxLayout* column_;
};

}  // namespace trellis
