// SPDX-License-Identifier: GPL-3.0-or-later
// How fields in worksheets behave, so that no hand does harm: the wheel scrolls the sheet unless the field was clicked,
// a double click takes the whole figure, and Enter, Escape or a choice gives the keys back to the scene, where letters
// choose tools. Each has a name for screen readers: its own, its label's, or the first sentence of its help.
#pragma once

#include <QObject>

class QWidget;

namespace trellis {

class FieldManners : public QObject {
  Q_OBJECT
 public:
  // Of all fields below root, those that come later too. keys is who gets the keys back.
  FieldManners(QWidget* root, QWidget* keys);

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  bool isOurs(const QWidget* widget) const;
  void giveBack() const;

  QWidget *root_, *keys_;
};

}  // namespace trellis
