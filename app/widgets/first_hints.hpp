// SPDX-License-Identifier: GPL-3.0-or-later
// Three quiet hints for somebody who opens a first part: turn, see what hangs, paint. Each goes when it was done or is
// dismissed, and never comes again.
#pragma once

#include "app/widgets/scene_card.hpp"

namespace trellis {

class FirstHints : public SceneCard {
  Q_OBJECT
 public:
  enum Hint { turn, see, paint, count };
  explicit FirstHints(QWidget* scene);

  void offer();  // shows those that are left
  void done(Hint hint);

 private:
  void settle() override;

  QWidget* rows_[count];
};

}  // namespace trellis
