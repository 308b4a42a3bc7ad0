// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/motion.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr std::size_t travelling = static_cast<std::size_t>(-1);

struct Move {
  Vec2 direction;
  double length, speed;  // mm, mm/s wanted
  std::size_t run;       // index of the run it belongs to, or travelling
  bool fromRest;         // begins standing still: after a retraction
  double enter = 0;      // mm/s, planned
};

void addMove(std::vector<Move>& moves, const Vec2& from, const Vec2& to, double speed, std::size_t run, bool fromRest) {
  const double length = (to - from).norm();
  if (length > 1e-9) moves.push_back({(to - from) / length, length, speed, run, fromRest});
}

// Forward and backward passes over the speeds at the beginnings of moves.
void planSpeeds(std::vector<Move>& moves, const MotionRules& rules) {
  const double twice = 2 * rules.acceleration;
  for (std::size_t i = 1; i < moves.size(); ++i) {
    Move &last = moves[i - 1], &move = moves[i];
    if (move.fromRest) continue;
    const double corner = cornerSpeed(last.direction, move.direction, rules.acceleration, rules.cornerDeviation);
    move.enter = std::min({corner, last.speed, move.speed, std::sqrt(last.enter * last.enter + twice * last.length)});
  }
  double leave = 0;
  for (std::size_t i = moves.size(); i-- > 0;) {
    moves[i].enter = std::min(moves[i].enter, std::sqrt(leave * leave + twice * moves[i].length));
    leave = moves[i].enter;
  }
}

}  // namespace

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

double speedOf(const Run& run, bool isFirst, const MotionRules& rules) {
  const double wanted = rules.speed[static_cast<std::size_t>(run.feature)];
  const double speed = run.tool == 0 ? wanted : std::min(wanted, rules.secondSpeed);
  return isFirst ? std::min(speed, rules.firstSpeed) : speed;
}

LayerUse useOf(const std::vector<Run>& runs, double height, bool isFirst, const MotionRules& rules) {
  LayerUse use;
  std::vector<Move> moves;
  for (std::size_t r = 0; r < runs.size(); ++r) {
    const Polygon& points = runs[r].points;
    bool rest = false;
    if (r > 0) {
      const Vec2 from = toMm(runs[r - 1].points.back()), to = toMm(points.front());
      const bool changes = runs[r].tool != runs[r - 1].tool;
      use.toolChanges += changes;
      rest = changes || retractsOver((to - from).norm(), rules);
      addMove(moves, from, to, rules.travelSpeed, travelling, rest);
      if (rest) use.travelSeconds += 2 * rules.retractLength / rules.retractSpeed;
    }
    const double speed = speedOf(runs[r], isFirst, rules);
    for (std::size_t i = 1; i < points.size(); ++i)
      addMove(moves, toMm(points[i - 1]), toMm(points[i]), speed, r, i == 1 && rest);
  }
  planSpeeds(moves, rules);
  std::vector<Use> perRun(runs.size());
  for (std::size_t i = 0; i < moves.size(); ++i) {
    const Move& move = moves[i];
    const double leave = i + 1 < moves.size() ? moves[i + 1].enter : 0;
    const double seconds = moveSeconds(move.length, move.enter, leave, move.speed, rules.acceleration);
    if (move.run == travelling) {
      use.travelSeconds += seconds;
      continue;
    }
    const Run& run = runs[move.run];
    const double volume = move.length * beadArea(run.width, run.height > 0 ? run.height : height);
    perRun[move.run] += {seconds, move.length, volume, run.tool == 0 ? 0 : volume};
  }
  for (std::size_t r = 0; r < runs.size(); ++r) {
    use.features[static_cast<std::size_t>(runs[r].feature)] += perRun[r];
    if (runs[r].owner.kind == Owner::piece) use.pieces[runs[r].owner.index] += perRun[r];
  }
  return use;
}

}  // namespace trellis
