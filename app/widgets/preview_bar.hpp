// SPDX-License-Identifier: GPL-3.0-or-later
// What is being tried out, with a way to keep it and one to leave it. Lies over the scene's upper edge.
#pragma once

#include "app/widgets/scene_card.hpp"
#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/view.hpp"

class QLabel;

namespace trellis {

class PreviewBar : public SceneCard {
  Q_OBJECT
 public:
  PreviewBar(Document& document, Builder& builder, View& view, QWidget* parent);

 private:
  void refresh();
  void settle() override;  // in the middle of the scene, above
  QString changes() const;

  Document& document_;
  Builder& builder_;
  View& view_;
  QLabel* words_;
  Shown before_;  // the newest build of what was not only tried out
};

}  // namespace trellis
