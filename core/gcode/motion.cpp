// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/motion.hpp"

#include "core/gcode/steps.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

// A straight stretch of one motion.
struct Stretch {
  Vec2 direction;
  double length, speed;  // mm, mm/s wanted
  std::size_t step;
  double enter = 0;  // mm/s, planned
};

// Forward and backward passes over the speeds at the beginnings of stretches.
void planSpeeds(std::vector<Stretch>& motion, const MotionRules& rules) {
  const double twice = 2 * rules.acceleration;
  for (std::size_t i = 1; i < motion.size(); ++i) {
    Stretch &last = motion[i - 1], &next = motion[i];
    const double corner = cornerSpeed(last.direction, next.direction, rules.acceleration, rules.cornerDeviation);
    next.enter = std::min({corner, last.speed, next.speed, std::sqrt(last.enter * last.enter + twice * last.length)});
  }
  double leave = 0;
  for (std::size_t i = motion.size(); i-- > 0;) {
    motion[i].enter = std::min(motion[i].enter, std::sqrt(leave * leave + twice * motion[i].length));
    leave = motion[i].enter;
  }
}

// The motion so far comes to rest.
void settle(std::vector<Stretch>& motion, std::vector<double>& seconds, const MotionRules& rules) {
  planSpeeds(motion, rules);
  for (std::size_t i = 0; i < motion.size(); ++i) {
    const double leave = i + 1 < motion.size() ? motion[i + 1].enter : 0;
    seconds[motion[i].step] =
        moveSeconds(motion[i].length, motion[i].enter, leave, motion[i].speed, rules.acceleration);
  }
  motion.clear();
}

}  // namespace

double LayerUse::seconds() const {
  double sum = travelSeconds;
  for (const Use& use : features) sum += use.seconds;
  return sum;
}

double moveSeconds(double d, double v0, double v1, double v, double a) {
  const double peak = std::min(v, std::sqrt(a * d + (v0 * v0 + v1 * v1) / 2));
  const double ramps = (2 * peak * peak - v0 * v0 - v1 * v1) / (2 * a);
  return (2 * peak - v0 - v1) / a + std::max(0.0, d - ramps) / peak;
}

double cornerSpeed(const Vec2& directionIn, const Vec2& directionOut, double acceleration, double deviation) {
  const double s = std::sqrt(std::max(0.0, (1 + directionIn.dot(directionOut)) / 2));
  if (s > 1 - 1e-9) return 1e9;
  return std::sqrt(acceleration * deviation * s / (1 - s));
}

std::vector<double> secondsOf(const std::vector<Step>& steps, Position at, const std::vector<Run>& runs,
                              const MotionRules& rules) {
  std::vector<double> seconds(steps.size(), 0);
  std::vector<Stretch> motion;
  for (std::size_t i = 0; i < steps.size(); ++i) {
    const Step& step = steps[i];
    if (step.kind == Step::draw || step.kind == Step::go) {
      const Vec2 from(at.x, at.y), to(static_cast<double>(step.to.x) / 1000, static_cast<double>(step.to.y) / 1000);
      const double length = (to - from).norm();
      at.x = to.x();
      at.y = to.y();
      const double speed = step.kind == Step::go ? step.speed : runs[step.run].speed;
      if (length > 0) motion.push_back({(to - from) / length, length, speed, i});
      continue;
    }
    settle(motion, seconds, rules);
    if (step.kind == Step::wait) seconds[i] = step.amount;
    if (step.kind == Step::pull || step.kind == Step::push)
      seconds[i] = moveSeconds(step.amount, 0, 0, step.speed, rules.retractAcceleration);
    if (step.kind == Step::rise && step.amount != at.z)
      seconds[i] = moveSeconds(std::abs(step.amount - at.z), 0, 0, step.speed, rules.acceleration);
    if (step.kind == Step::rise) at.z = step.amount;
  }
  settle(motion, seconds, rules);
  return seconds;
}

LayerUse useOf(const std::vector<Step>& body, double z, const std::vector<Run>& runs, const MotionRules& rules) {
  LayerUse use;
  if (runs.empty()) return use;
  Micron at = rounded(runs.front().points.front());
  const std::vector<double> seconds =
      secondsOf(body, {static_cast<double>(at.x) / 1000, static_cast<double>(at.y) / 1000, z}, runs, rules);
  std::vector<Use> perRun(runs.size());
  for (std::size_t i = 0; i < body.size(); ++i) {
    const Step& step = body[i];
    use.toolChanges += step.kind == Step::change;
    if (step.kind == Step::draw)
      perRun[step.run] += {seconds[i], distance(at, step.to), step.amount,
                           runs[step.run].filament == Filament::first ? 0 : step.amount};
    else
      use.travelSeconds += seconds[i];
    if (step.kind == Step::draw || step.kind == Step::go) at = step.to;
  }
  use.travelSeconds *= rules.timeFactor;
  for (std::size_t r = 0; r < runs.size(); ++r) {
    perRun[r].seconds *= rules.timeFactor;
    use.features[static_cast<std::size_t>(runs[r].feature)] += perRun[r];
    if (runs[r].owner.kind == Owner::piece) use.pieces[runs[r].owner.index] += perRun[r];
  }
  return use;
}

}  // namespace trellis
