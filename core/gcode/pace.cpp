// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/pace.hpp"

#include "core/gcode/steps.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

bool isWall(Feature feature) { return feature <= Feature::wallSteep; }
bool isOuterWall(Feature feature) { return feature == Feature::wallOuter || feature == Feature::wallSteep; }

class Pacer {
 public:
  Pacer(PrintLayer& layer, const MotionRules& rules) : layer_(layer), rules_(rules), steps_(stepsOf(layer, 0, rules)) {
    for (const Run& run : layer_.runs) usual_.push_back(run.speed);
  }

  void take() {
    const double least = rules_.leastLayerSeconds;
    if (seconds() < least && !slowed(false, least)) slowed(true, least);
    layer_.use = useOf(steps_, layer_.top, layer_.runs, rules_);
    layer_.waits = std::max(0.0, least - layer_.use.seconds());
    if (layer_.waits < shortestWait) layer_.waits = 0;
  }

 private:
  static constexpr double shortestWait = 0.05;  // s

  double seconds() const {
    double sum = 0;
    for (const double one : secondsOf(steps_, start(), layer_.runs, rules_)) sum += one;
    return sum;
  }

  Position start() const {
    const Vec2 at = toMm(layer_.runs.front().points.front());
    return {at.x(), at.y(), layer_.top};
  }

  // Slows either the outer walls or everything else, as far as it takes. Whether that is enough.
  bool slowed(bool outer, double least) {
    set(outer, 0);
    if (seconds() < least) return false;
    double tooSlow = 0, tooFast = 1;
    for (int halvings = 0; halvings < 12; ++halvings) {
      const double middle = (tooSlow + tooFast) / 2;
      set(outer, middle);
      (seconds() < least ? tooFast : tooSlow) = middle;
    }
    set(outer, tooSlow);
    return true;
  }

  void set(bool outer, double share) {
    for (std::size_t r = 0; r < layer_.runs.size(); ++r)
      if (Run& run = layer_.runs[r]; isOuterWall(run.feature) == outer)
        run.speed = std::min(usual_[r], std::max(rules_.leastSpeed, usual_[r] * share));
  }

  PrintLayer& layer_;
  const MotionRules& rules_;
  std::vector<Step> steps_;
  std::vector<double> usual_;  // mm/s, of each run
};

}  // namespace

double usualSpeed(const Run& run, double layerHeight, bool isFirst, const MotionRules& rules) {
  constexpr double small = 5;  // mm of radius
  double speed = rules.speed[static_cast<std::size_t>(run.feature)];
  if (run.filament == Filament::second) speed = std::min(speed, rules.secondSpeed);
  if (isFirst) speed = std::min(speed, rules.firstSpeed);
  const double section = beadArea(run.width, run.height > 0 ? run.height : layerHeight);
  if (section > 0) speed = std::min(speed, rules.flow[indexOf(run.filament)] / section);
  if (!isWall(run.feature) || !run.isClosed()) return speed;
  const double radius = lengthOf(run.points) / (2 * pi);
  return radius < small ? std::min(speed, std::max(rules.leastSpeed, speed * radius / small)) : speed;
}

double fanFor(double layerSeconds, const MotionRules& rules) {
  constexpr double cool = 3;  // times the least layer time
  const double least = rules.leastLayerSeconds;
  if (least <= 0) return rules.fanMost;
  const double share = std::clamp((cool * least - layerSeconds) / ((cool - 1) * least), 0.0, 1.0);
  return rules.fanLeast + (rules.fanMost - rules.fanLeast) * share;
}

void pace(PrintLayer& layer, bool isFirst, const MotionRules& rules) {
  if (layer.runs.empty()) return;
  for (Run& run : layer.runs) run.speed = usualSpeed(run, layer.top - layer.bottom, isFirst, rules);
  Pacer(layer, rules).take();
}

}  // namespace trellis
