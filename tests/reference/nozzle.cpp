// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/reference/nozzle.hpp"

#include <algorithm>
#include <cmath>
#include <sstream>

namespace trellis::test {

namespace {

// The number behind a letter of a line's words, or what it was before.
double wordOr(const std::string& words, char letter, double before) {
  const std::size_t at = words.find(letter);
  return at == std::string::npos ? before : std::stod(words.substr(at + 1));
}

bool isOuterWall(const NozzleMove& move) {
  return move.draws() && (move.feature == "part.wall.outer" || move.feature == "part.wall.steep");
}

double side(const std::array<double, 3>& a, const std::array<double, 3>& b, const std::array<double, 3>& p) {
  return (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
}

double apart(const std::array<double, 3>& a, const std::array<double, 3>& b) {
  return std::hypot(b[0] - a[0], b[1] - a[1]);
}

// Whether the ways of two moves cross, farther than a tenth of a millimetre from where the first begins and ends.
bool cross(const NozzleMove& travel, const NozzleMove& wall) {
  const double a = side(wall.from, wall.to, travel.from), b = side(wall.from, wall.to, travel.to);
  if (a * b >= 0 || side(travel.from, travel.to, wall.from) * side(travel.from, travel.to, wall.to) >= 0) return false;
  const double t = a / (a - b);
  return t * travel.flat() > 0.1 && (1 - t) * travel.flat() > 0.1;
}

}  // namespace

double NozzleMove::flat() const { return apart(from, to); }

std::vector<NozzleMove> nozzleMoves(const std::string& gcode) {
  std::vector<NozzleMove> moves;
  NozzleMove now;
  double feed = 0;
  std::istringstream lines(gcode);
  for (std::string line; std::getline(lines, line);) {
    std::istringstream comment(line);
    std::string semicolon, what, value;
    if (line.starts_with("; @") && comment >> semicolon >> what) {
      if (what == "@layer") ++now.layer;
      if (what == "@feature" && comment >> value) now.feature = value;
      if (what == "@part" || what == "@piece") now.owner = line;
    }
    const std::string words = line.substr(0, line.find(';'));
    if (words.starts_with("G4")) {
      now.dwell = wordOr(words, 'P', 0) / 1000 + wordOr(words, 'S', 0);
      now.filament = 0;
      now.from = now.to;
      moves.push_back(now);
      now.dwell = 0;
    }
    if (!words.starts_with("G0 ") && !words.starts_with("G1 ")) continue;
    feed = wordOr(words, 'F', feed);
    now.from = now.to;
    now.to = {wordOr(words, 'X', now.from[0]), wordOr(words, 'Y', now.from[1]), wordOr(words, 'Z', now.from[2])};
    now.filament = wordOr(words, 'E', 0);
    now.speed = feed / 60;
    if (now.layer >= 0) moves.push_back(now);
  }
  return moves;
}

std::vector<double> secondsOf(const std::vector<NozzleMove>& moves, const Machine& machine) {
  std::vector<double> seconds(moves.size(), 0);
  const auto rests = [&](std::size_t i) { return moves[i].flat() <= 0; };
  for (std::size_t begin = 0; begin < moves.size();) {
    if (rests(begin)) {
      const NozzleMove& move = moves[begin];
      const double up = std::abs(move.to[2] - move.from[2]), length = up > 0 ? up : std::abs(move.filament),
                   a = up > 0 ? machine.acceleration : machine.filamentAcceleration;
      if (length > 0)
        seconds[begin] =
            length > move.speed * move.speed / a ? length / move.speed + move.speed / a : 2 * std::sqrt(length / a);
      seconds[begin] += move.dwell;
      ++begin;
      continue;
    }
    std::size_t end = begin;
    while (end < moves.size() && !rests(end)) ++end;
    // Squares of the speeds between moves: what corners allow, then what can be reached and braked from.
    std::vector<double> square(end - begin + 1, 0);
    for (std::size_t i = begin + 1; i < end; ++i) {
      const NozzleMove &last = moves[i - 1], &next = moves[i];
      const double cosine = ((last.to[0] - last.from[0]) * (next.to[0] - next.from[0]) +
                             (last.to[1] - last.from[1]) * (next.to[1] - next.from[1])) /
                            (last.flat() * next.flat());
      const double s = std::sqrt(std::max(0.0, (1 + cosine) / 2));
      const double corner = s > 1 - 1e-9 ? 1e18 : machine.acceleration * machine.corner * s / (1 - s);
      const double slower = std::min(last.speed, next.speed);
      square[i - begin] = std::min(corner, slower * slower);
    }
    for (std::size_t i = begin + 1; i < end; ++i)
      square[i - begin] =
          std::min(square[i - begin], square[i - begin - 1] + 2 * machine.acceleration * moves[i - 1].flat());
    for (std::size_t i = end; i-- > begin;)
      square[i - begin] =
          std::min(square[i - begin], square[i - begin + 1] + 2 * machine.acceleration * moves[i].flat());
    for (std::size_t i = begin; i < end; ++i) {
      const double a = machine.acceleration, length = moves[i].flat(), in = square[i - begin],
                   out = square[i - begin + 1];
      const double top = std::min(moves[i].speed * moves[i].speed, a * length + (in + out) / 2);
      const double ramps = (2 * top - in - out) / (2 * a);
      seconds[i] =
          (2 * std::sqrt(top) - std::sqrt(in) - std::sqrt(out)) / a + std::max(0.0, length - ramps) / std::sqrt(top);
    }
    begin = end;
  }
  return seconds;
}

LineFigures figuresOf(const std::vector<NozzleMove>& moves, const Machine& machine) {
  LineFigures figures;
  const std::vector<double> seconds = secondsOf(moves, machine);
  bool drew = false;
  for (std::size_t i = 0; i < moves.size(); ++i) {
    const NozzleMove& move = moves[i];
    figures.seconds += seconds[i];
    figures.layers[move.layer] += seconds[i];
    if (move.draws()) {
      figures.drawn += move.flat();
      ++figures.draws;
      figures.tiny += move.flat() < 0.0499;  // the text has whole micrometres
      drew = true;
      continue;
    }
    if (move.dwell <= 0) figures.travelSeconds += seconds[i];
    figures.pulls += move.filament < 0;
    if (move.travels()) {
      figures.travels += drew;
      drew = false;
    }
  }
  return figures;
}

std::vector<int> openCrossings(const std::vector<NozzleMove>& moves, double longest) {
  std::vector<int> found;
  for (std::size_t begin = 0; begin < moves.size();) {
    std::size_t end = begin;
    std::vector<NozzleMove> walls;
    while (end < moves.size() && moves[end].layer == moves[begin].layer) {
      if (isOuterWall(moves[end])) walls.push_back(moves[end]);
      ++end;
    }
    bool pulled = false;
    for (std::size_t i = begin; i < end; ++i) {
      if (moves[i].filament != 0 && moves[i].flat() <= 0) pulled = moves[i].filament < 0;
      if (pulled || !moves[i].travels() || moves[i].flat() <= longest) continue;
      if (std::any_of(walls.begin(), walls.end(), [&](const NozzleMove& wall) { return cross(moves[i], wall); }))
        found.push_back(moves[i].layer);
    }
    begin = end;
  }
  return found;
}

}  // namespace trellis::test
