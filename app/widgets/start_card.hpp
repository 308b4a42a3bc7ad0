// SPDX-License-Identifier: GPL-3.0-or-later
// What to do first while nothing is on the plate: a card in the middle of the scene.
#pragma once

#include "app/widgets/scene_card.hpp"

namespace trellis {

class StartCard : public SceneCard {
  Q_OBJECT
 public:
  // hasDemo: whether there are demo parts to take.
  StartCard(bool hasDemo, QWidget* scene);

 Q_SIGNALS:
  void openAsked();
  void demoAsked();
  void ladderAsked();

 protected:
  void showEvent(QShowEvent* event) override;

 private:
  void settle() override;
};

}  // namespace trellis
