// SPDX-License-Identifier: GPL-3.0-or-later
// The scene while layers, places and pieces are looked at.
#include "app/scene/scene_view.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

bool SceneView::showsOneLayer() const { return view_.range().second < view_.height() - 1e-6; }

std::vector<const PrintLayer*> SceneView::topLayers(std::size_t most) const {
  std::vector<const PrintLayer*> shown;
  const auto [low, high] = view_.range();
  if (builder_.shown().build)
    for (const auto& layer : builder_.shown().build->print.layers)
      if (layer->top <= high + 1e-6 && layer->top > low - 1e-6) shown.push_back(layer.get());
  std::stable_sort(shown.begin(), shown.end(), [](const auto* a, const auto* b) { return a->top < b->top; });
  if (shown.size() > most) shown.erase(shown.begin(), shown.end() - static_cast<std::ptrdiff_t>(most));
  return shown;
}

const PrintLayer* SceneView::topLayer() const {
  const auto top = topLayers(1);
  return top.empty() ? nullptr : top.front();
}

// The lines of the topmost shown layers, bead by bead: as deep as one sees between lines of infill. What lies below is
// drawn as the solid that it fills.
void SceneView::refillLayer() {
  const LayerLook& look = switches_->look();
  const auto ofOwner = [this](const Owner& owner) { return isShown(owner); };
  const auto none = std::vector<LineVertex>();
  const PrintLayer* top = !view_.gcode() && showsOneLayer() ? topLayer() : nullptr;
  if (top && (look.speeds || look.flows)) switches_->setLegend(measuredIn(*top, look));
  fill(travels_, top && look.travels ? travelLines(*top) : none);
  fill(arrows_, top && look.arrows ? directionArrows(*top, look, ofOwner) : none);
  beadsFrom_ = 1e9;
  std::vector<LineVertex> beads;
  if (top && !shownTrial()) {
    const std::size_t deep = moving_ ? 2 : 6;
    for (const PrintLayer* layer : topLayers(look.speeds || look.flows ? 1 : deep)) {
      const std::vector<LineVertex> more = layerRibbons(*layer, look, ofOwner, layer == top ? view_.drawnShare() : 1.0);
      beads.insert(beads.end(), more.begin(), more.end());
      beadsFrom_ = std::min(beadsFrom_, layer->bottom);
    }
  }
  fill(ribbons_, beads);
}

const TrialPrint* SceneView::shownTrial() const {
  if (view_.gcode()) return view_.gcode()->trial.get();
  return switches_->look().bearings && showsOneLayer() ? builder_.trialPrint().get() : nullptr;
}

// All lines of a trial print at once: stepping through its layers then sends nothing anew.
void SceneView::refillStack() {
  const TrialPrint* trial = shownTrial();
  if (!trial) return;
  const Key key = keyOf(switches_->look());
  if (stackOf_.get() == trial && stackKey_ == key) return;
  stackKey_ = key;
  stackOf_ = view_.gcode() ? view_.gcode()->trial : builder_.trialPrint();
  const double lift = view_.gcode() ? 0 : -builder_.shown().build->print.floor();  // G-code counts from the plate
  StackedRibbons stack = bearingRibbons(*trial, lift, switches_->look());
  fill(stack_, stack.vertices);
  stackEnds_ = std::move(stack.ends);
}

// Of an opened file the shown layers, for there is no part to see; of the print itself the topmost. While it is played,
// a share of that.
void SceneView::drawStack() {
  if (!shownTrial() || stack_.count == 0 || stackEnds_.empty()) return;
  const auto countUpTo = [&](double z) {
    const auto after = std::upper_bound(stackEnds_.begin(), stackEnds_.end(), z + 1e-3,
                                        [](double height, const auto& end) { return height < end.first; });
    return after == stackEnds_.begin()
               ? std::pair(0, 0)
               : std::pair(after - 1 == stackEnds_.begin() ? 0 : (after - 2)->second, (after - 1)->second);
  };
  const auto [before, all] = countUpTo(view_.range().second);
  const int last = before + static_cast<int>(view_.drawnShare() * (all - before) / 6) * 6;
  const int first = !view_.gcode() ? before : view_.range().first > 0 ? countUpTo(view_.range().first).second : 0;
  if (last <= first) return;
  stack_.array.bind();
  glDrawArrays(GL_TRIANGLES, first, last - first);
  stack_.array.release();
}

// Of the piece in hand, only the bit that goes.
std::vector<SurfaceVertex> SceneView::pieceSurface() const {
  const Shown& shown = builder_.shown();
  std::vector<SurfaceVertex> surface = supportSurface(*shown.supports, shown.build->pieces, [&](const SolidVertex& v) {
    return static_cast<int>(v.piece) == view_.pieceInHand();
  });
  const RemovalStep* step = view_.takenStep();
  if (!step || step->isWhole) return surface;
  const auto low = static_cast<float>(step->low), high = static_cast<float>(step->high);
  std::vector<SurfaceVertex> bit;
  for (std::size_t k = 0; k + 2 < surface.size(); k += 3) {
    const auto [least, most] = std::minmax({surface[k].at[2], surface[k + 1].at[2], surface[k + 2].at[2]});
    if (most <= low || least >= high) continue;
    for (std::size_t i = k; i < k + 3; ++i) {
      bit.push_back(surface[i]);
      bit.back().at[2] = std::clamp(bit.back().at[2], low, high);
    }
  }
  return bit;
}

// Whether a piece is off already when a step of the plan is played.
bool SceneView::goneBefore(std::size_t piece) const {
  const BuildPtr& build = builder_.shown().build;
  if (!build || view_.stepInHand() < 0) return false;
  const auto& steps = build->removal->steps;
  const auto last = steps.begin() + std::min<std::ptrdiff_t>(view_.stepInHand(), std::ssize(steps));
  return std::any_of(steps.begin(), last, [&](const RemovalStep& step) { return step.piece == piece; }) &&
         std::none_of(last, steps.end(), [&](const RemovalStep& step) { return step.piece == piece; });
}

// Out along its way and back again: what comes off goes far, what is held only as far as it would give.
void SceneView::drawPiece(const QMatrix4x4& toScreen) {
  const int piece = view_.pieceInHand();
  const Shown& shown = builder_.shown();
  if (piece < 0 || piece_.count == 0 || static_cast<std::size_t>(piece) >= shown.build->pieces.size()) return;
  constexpr double period = 3400, beyond = 25, gives = 1;  // ms; mm past the last turn; mm
  const double share = 0.5 - 0.5 * std::cos(2 * pi * static_cast<double>(sinceTaken_.elapsed()) / period);
  Pose pose = Pose::Identity();
  if (const RemovalStep* step = view_.takenStep(); step && step->path.poses.size() > 1) {
    const HandPath& path = step->path;
    const Vec3 lastFrom = path.poses[path.poses.size() - 2] * step->middle, end = path.poses.back() * step->middle;
    const double pull = (end - lastFrom).norm();
    pose = path.at(step->middle, share * (path.length(step->middle) - pull + std::min(pull, beyond)));
  } else {
    pose.translate(shown.build->pieces[static_cast<std::size_t>(piece)].extraction.direction * (gives * share));
  }
  const Eigen::Matrix<float, 4, 4, Eigen::RowMajor> rows = pose.matrix().cast<float>();
  const QMatrix4x4 moved = toScreen * QMatrix4x4(rows.data());
  solid_->setUniformValue("toScreen", moved);
  piece_.array.bind();
  glDrawArrays(GL_TRIANGLES, 0, piece_.count);
  piece_.array.release();
  solid_->setUniformValue("toScreen", toScreen);
}

}  // namespace trellis
