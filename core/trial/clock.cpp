// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/motion.hpp"
#include "core/trial/trial_print.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double deviation = 0.02;  // mm a machine may round its corners by: from memory, a usual setting of firmwares

struct Leg {
  Vec2 direction;
  double length, speed;  // mm, mm/s
  double enter;          // mm/s, the most at its beginning
  std::size_t move;
};

// Legs that follow one another without standing still.
void settle(std::vector<Leg>& legs, double acceleration, std::vector<double>& seconds) {
  double enter = 0, leave = 0;
  for (Leg& leg : legs) {
    leg.enter = std::min(leg.enter, enter);
    enter = std::min(leg.speed, std::sqrt(leg.enter * leg.enter + 2 * acceleration * leg.length));
  }
  for (auto leg = legs.rbegin(); leg != legs.rend(); ++leg) {
    leg->enter = std::min(leg->enter, std::sqrt(leave * leave + 2 * acceleration * leg->length));
    leave = leg->enter;
  }
  for (std::size_t i = 0; i < legs.size(); ++i)
    seconds[legs[i].move] = moveSeconds(legs[i].length, legs[i].enter, i + 1 < legs.size() ? legs[i + 1].enter : 0,
                                        legs[i].speed, acceleration);
  legs.clear();
}

}  // namespace

std::vector<double> secondsOfMoves(const GcodeMoves& moves, double acceleration) {
  std::vector<double> seconds(moves.moves.size(), 0);
  std::vector<Leg> legs;
  Vec3 at = Vec3::Zero();
  for (std::size_t i = 0; i < moves.moves.size(); ++i) {
    const Move& move = moves.moves[i];
    const Vec3 way = move.to - at;
    at = move.to;
    if (move.speed <= 0) continue;
    const double flat = way.head<2>().norm();
    if (flat < 1e-9) {  // lifting and pulling back begin and end at rest
      settle(legs, acceleration, seconds);
      seconds[i] = std::max(std::abs(way.z()), std::abs(move.filament)) / move.speed;
      continue;
    }
    const Vec2 direction = way.head<2>() / flat;
    const double corner = legs.empty()
                              ? 0
                              : std::min({cornerSpeed(legs.back().direction, direction, acceleration, deviation),
                                          legs.back().speed, move.speed});
    legs.push_back({direction, flat, move.speed, corner, i});
  }
  settle(legs, acceleration, seconds);
  return seconds;
}

double secondsOf(const GcodeMoves& moves, double acceleration) {
  double all = moves.dwelt;
  for (const double one : secondsOfMoves(moves, acceleration)) all += one;
  return all;
}

}  // namespace trellis
