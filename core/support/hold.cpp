// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/hold.hpp"

#include "core/base/parallel.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double tieEvery = 10;    // mm of wall
constexpr double bonding = 0.05;   // mm a tie's end overlaps the wall's line
constexpr double shortest = 0.02;  // mm; shorter stretches of wall are rounding

Vec2 outwardOf(const Vec2& from, const Vec2& to) {  // the part lies on the left
  const Vec2 along = (to - from).normalized();
  return {along.y(), -along.x()};
}

Polygons bandOf(const Lines& walls, double reach) {
  Polygons quads;
  for (const Polygon& line : walls) {
    const Vec2 a = toMm(line.front()), b = toMm(line.back());
    if ((b - a).norm() < shortest) continue;
    const Vec2 out = outwardOf(a, b) * reach;
    Polygon quad{toPoint(a), toPoint(Vec2(a + out)), toPoint(Vec2(b + out)), toPoint(b)};
    if (!ClipperLib::Orientation(quad)) ClipperLib::ReversePath(quad);
    quads.push_back(std::move(quad));
  }
  return quads.empty() ? quads : closed(quads, 0.2);
}

}  // namespace

std::vector<DemandSite> holdsBeside(const std::vector<Lines>& walls, const Asked& asked, const SupportRules& rules,
                                    const Progress& progress) {
  std::vector<Polygons> bands(walls.size());
  const double reach = std::max(rules.gapBeside, rules.gapHold) + 2 * rules.lineWidth;
  parallelFor(walls.size(), progress, [&](std::size_t i) { bands[i] = bandOf(walls[i], reach); });
  std::vector<DemandSite> holds = connectDemand(asked.part, bands, asked.overhangs, progress);
  for (DemandSite& hold : holds) {
    hold.beyondLean.clear();
    for (std::size_t k = 0; k < hold.layers.size(); ++k)
      hold.walls.push_back(linesInside(walls[hold.lowest + k], grow(hold.layers[k], 0.01)));
  }
  return holds;
}

Lines tiesAt(const Lines& walls, const SupportRules& rules) {
  double total = 0;
  std::vector<std::pair<Vec2, Vec2>> lines;
  for (const Polygon& line : walls) {
    const Vec2 a = toMm(line.front()), b = toMm(line.back());
    if ((b - a).norm() < shortest) continue;
    lines.emplace_back(a, b);
    total += (b - a).norm();
  }
  std::sort(lines.begin(), lines.end(), [](const auto& p, const auto& q) {
    const Vec2 a = p.first + p.second, b = q.first + q.second;
    return std::pair(a.x(), a.y()) < std::pair(b.x(), b.y());
  });
  const double count = std::max(1.0, std::ceil(total / tieEvery - 1e-9));
  Lines ties;
  double passed = 0;
  for (const auto& [a, b] : lines) {
    const double length = (b - a).norm();
    for (double next = (static_cast<double>(ties.size()) + 0.5) * total / count; next < passed + length;
         next += total / count) {
      const Vec2 foot = a + (b - a) * ((next - passed) / length), out = outwardOf(a, b);
      ties.push_back({toPoint(Vec2(foot + out * (rules.lineWidth / 2 - bonding))),
                      toPoint(Vec2(foot + out * (rules.gapHold + rules.lineWidth)))});
    }
    passed += length;
  }
  return ties;
}

}  // namespace trellis
