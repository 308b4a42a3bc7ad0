// SPDX-License-Identifier: GPL-3.0-or-later
// Taking support away by hand: what would go is lit and weighed, and goes when the button is let go.
#include "app/scene/scene_view.hpp"

#include <algorithm>

namespace trellis {

std::optional<Removal> SceneView::removalAt(const QPointF& pixel) {
  const auto support = supportAt(pixel);
  if (!support || !builder_.placesHold()) return std::nullopt;
  const Brush& brush = hand_.brush();
  const Vec3 inside = support->at + camera_.rayAt(pixel).direction * 0.05;
  const Build& build = *builder_.shown().build;
  try {
    if (brush.keepOnly) return Removal{keepingOnly(build, inside), support->piece, {}};
    return removing(build, inside, brush.reach, brush.disc);
  } catch (const Error&) {  // a hair beside what is built
    return std::nullopt;
  }
}

// Every support that the pointer crosses while it is pressed is taken along, and all go when it is let go.
void SceneView::gather(const QPointF& pixel) {
  removable_.clear();
  showRemoval(pixel);
  gathering_ = !removable_.empty();
  if (!gathering_)
    Q_EMIT pointedAt(builder_.placesHold()
                         ? tr("No support is here. Point at one that is built.")
                         : tr("A part was moved: supports can be taken away once they are built there."));
}

void SceneView::removeGathered() {
  std::vector<Operation> operations;
  for (const Removal& removal : removable_)
    operations.insert(operations.end(), removal.operations.begin(), removal.operations.end());
  gathering_ = false;
  removable_.clear();
  removal_.count = 0;
  document_.performTogether(operations);
}

// Lit at once; the figures follow when the print without it is built.
void SceneView::showRemoval(const QPointF& pixel) {
  const auto removal = hand_.brush().tool == Tool::remove ? removalAt(pixel) : std::nullopt;
  const auto same = [&](const Removal& known) {
    return removal && known.piece == removal->piece && known.within == removal->within;
  };
  if (std::any_of(removable_.begin(), removable_.end(), same) || (gathering_ && !removal)) return;
  if (!gathering_) removable_.clear();
  if (removal) removable_.push_back(*removal);
  if (removable_.empty()) {
    removal_.count = 0;
    return;
  }
  const QString what = removable_.size() > 1    ? tr("Let go: the %1 that are lit go").arg(removable_.size())
                       : hand_.brush().keepOnly ? tr("Click: all other support of the part goes")
                       : removable_[0].within   ? tr("Click: what is lit goes")
                                                : tr("Click: the whole piece goes");
  Q_EMIT pointedAt(what + tr("  ·  being weighed…"));
  builder_.weigh(removable_, [this, what, asked = ++weighing_](const Builder::Weighed& weighed) {
    if (removable_.empty() || asked != weighing_) return;
    makeCurrent();
    fill(removal_, hand_.brush().keepOnly ? std::vector<SurfaceVertex>() : litSolid(*weighed.solid));
    doneCurrent();
    redrawHand();
    if (weighed.cost)
      Q_EMIT pointedAt(
          what +
          tr("  ·  %1 g, %2 min").arg(weighed.cost->grams, 0, 'f', 2).arg(weighed.cost->seconds / 60, 0, 'f', 1));
  });
}

}  // namespace trellis
