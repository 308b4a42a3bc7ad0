// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/scene_card.hpp"

#include <QEvent>
#include <QLabel>
#include <QLayout>

namespace trellis {

SceneCard::SceneCard(QWidget* scene) : QFrame(scene) { scene->installEventFilter(this); }

bool SceneCard::eventFilter(QObject* scene, QEvent* event) {
  if (event->type() == QEvent::Resize && isVisible()) settle();
  return QFrame::eventFilter(scene, event);
}

void SceneCard::fitWithin(int room) {
  setWraps(false);
  const bool wraps = sizeHint().width() > room;
  setWraps(wraps);
  if (wraps)
    resize(room, heightForWidth(room));
  else
    resize(sizeHint());
}

// At once: a layout in a layout hears of a changed label only with the next round of events.
void SceneCard::setWraps(bool wraps) {
  for (QLabel* label : findChildren<QLabel*>()) label->setWordWrap(wraps);
  for (QWidget* row : findChildren<QWidget*>())
    if (row->layout()) {
      row->layout()->invalidate();
      row->updateGeometry();
    }
  layout()->invalidate();
}

}  // namespace trellis
