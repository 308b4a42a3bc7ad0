// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/raised_code.hpp"

#include "core/geometry/lettering.hpp"
#include "core/toolpath/part_paths.hpp"
#include "core/toolpath/walls.hpp"

#include <array>

namespace trellis {

namespace {

constexpr double digitHeight = 6;  // mm; strokes of two lines of 0.4 mm
constexpr double margin = 1.5;     // mm of plaque around the letters
constexpr double bondsBy = 0.5;    // of a line's width that it reaches into what it lies against

// What the plaque holds on to: a skirt's line, or the raft; without either it stands apart.
Polygons outermost(const Polygons& covered, const AdhesionRules& rules) {
  const double apart = rules.skirtLoops > 0 || rules.raftLayers == 0 ? rules.skirtDistance : 0;
  return grow(covered, apart + rules.skirtLoops * rules.firstLineWidth);
}

// Where an outline reaches farthest along a direction: the middle of all such places.
Vec2 farthest(const Polygons& outlines, const Vec2& direction) {
  constexpr double level = 0.05;  // mm
  double most = -1e300;
  for (const Polygon& outline : outlines)
    for (const Point& p : outline) most = std::max(most, direction.dot(toMm(p)));
  Box2 there;
  for (const Polygon& outline : outlines)
    for (const Point& p : outline)
      if (direction.dot(toMm(p)) > most - level) there.extend(toMm(p));
  return there.center();
}

// A line along the outline, so that letters have smooth borders, and lines within.
PathGroup filled(const Polygons& region, const AdhesionRules& rules, double height) {
  const double w = rules.firstLineWidth;
  Walls walls = wallsOf(region, {1, w, height, Feature::skirt, Feature::skirt});
  PathGroup group;
  group.stages = std::move(walls.loops);
  group.stages.push_back(std::move(walls.thin));
  group.stages.push_back(solidLines(walls.inside, evenAngle, 0, {Feature::skirt, w, false, {}, height}));
  return group;
}

}  // namespace

std::optional<RaisedCode> raisedCode(const std::string& code, const Polygons& covered, const Vec2& plate,
                                     const AdhesionRules& rules) {
  Polygons letters = lettered(code, digitHeight);
  if (letters.empty() || covered.empty()) return std::nullopt;
  const Box2 text = boundsOf(letters);
  const Vec2 size = text.sizes() + Vec2::Constant(2 * margin);
  const Polygons around = outermost(covered, rules);
  for (const Vec2& out : {Vec2(0, -1), Vec2(0, 1), Vec2(-1, 0), Vec2(1, 0)}) {
    const Vec2 middle = farthest(around, out) + out.cwiseProduct(size / 2 - Vec2::Constant(bondsBy * rules.lineWidth));
    const Box2 plaque(Vec2(middle - size / 2), Vec2(middle + size / 2));
    if (!Box2(Vec2::Zero(), plate).contains(plaque)) continue;
    const Point by = toPoint(Vec2(middle - text.center()));
    for (Polygon& letter : letters)
      for (Point& p : letter) p = Point(p.X + by.X, p.Y + by.Y);
    return RaisedCode{rectangle(plaque), std::move(letters)};
  }
  return std::nullopt;
}

PathGroup plaqueLines(const RaisedCode& raised, const AdhesionRules& rules, double height) {
  return filled(raised.plaque, rules, height);
}

PathGroup letterLines(const RaisedCode& raised, const AdhesionRules& rules, double height) {
  return filled(raised.letters, rules, height);
}

}  // namespace trellis
