// SPDX-License-Identifier: GPL-3.0-or-later
// Offers what another window left behind when it ended badly. Lies over the scene's lower edge until it is answered.
#pragma once

#include "app/widgets/scene_card.hpp"
#include "app/window/document.hpp"

class QLabel;

namespace trellis {

class RecoveryBar : public SceneCard {
  Q_OBJECT
 public:
  RecoveryBar(Document& document, QWidget* parent);

 private:
  void offer();
  void answered();
  void settle() override;

  Document& document_;
  std::vector<OfferedJournal> left_;  // the one offered first
  QLabel *picture_, *words_;
};

}  // namespace trellis
