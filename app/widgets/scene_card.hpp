// SPDX-License-Identifier: GPL-3.0-or-later
// A card that lies over the scene, and keeps its place there when the scene is another size.
#pragma once

#include <QFrame>

namespace trellis {

class SceneCard : public QFrame {
  Q_OBJECT
 public:
  explicit SceneCard(QWidget* scene);

 protected:
  virtual void settle() = 0;  // where it belongs, as large as it is to be
  // As large as it wants to be, if there is so much room, pixels; else its words wrap.
  void fitWithin(int room);
  bool eventFilter(QObject* scene, QEvent* event) override;

 private:
  void setWraps(bool wraps);
};

}  // namespace trellis
