// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/hold.hpp"

#include "core/base/parallel.hpp"
#include "core/support/column_descent.hpp"

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

using Stretches = std::vector<std::pair<Vec2, Vec2>>;

// Of walls, in plan and in a fixed order.
Stretches stretchesOf(const Lines& walls) {
  Stretches stretches;
  for (const Polygon& line : walls) {
    const Vec2 a = toMm(line.front()), b = toMm(line.back());
    if ((b - a).norm() >= shortest) stretches.emplace_back(a, b);
  }
  std::sort(stretches.begin(), stretches.end(), [](const auto& p, const auto& q) {
    const Vec2 a = p.first + p.second, b = q.first + q.second;
    return std::pair(a.x(), a.y()) < std::pair(b.x(), b.y());
  });
  return stretches;
}

double lengthOf(const Stretches& stretches) {
  double length = 0;
  for (const auto& [a, b] : stretches) length += (b - a).norm();
  return length;
}

struct Place {
  Vec2 at, out;  // out: off the part, unit
};

// As many as ten millimetres of wall ask for, evenly along it.
std::vector<Place> placesAlong(const Lines& walls) {
  const Stretches stretches = stretchesOf(walls);
  const double total = lengthOf(stretches), count = std::max(1.0, std::ceil(total / tieEvery - 1e-9));
  std::vector<Place> places;
  double passed = 0;
  for (const auto& [a, b] : stretches) {
    const double length = (b - a).norm();
    for (double next = (static_cast<double>(places.size()) + 0.5) * total / count; next < passed + length;
         next += total / count)
      places.push_back({a + (b - a) * ((next - passed) / length), outwardOf(a, b)});
    passed += length;
  }
  return places;
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

std::vector<DemandSite> postsOf(const DemandSite& hold, const LayerPlan& plan, const SupportRules& rules) {
  const double top = plan.spans[hold.highest()].top - rules.floor,
               radius = std::max({leastBranch, top * leastSteadiness, 3 * rules.lineWidth}) / 2;
  std::vector<double> lengths;
  for (const Lines& wall : hold.walls) lengths.push_back(lengthOf(stretchesOf(wall)));
  const auto longest = std::max_element(lengths.begin(), lengths.end()) - lengths.begin();
  std::vector<DemandSite> posts;
  for (const Place& place : placesAlong(hold.walls[static_cast<std::size_t>(longest)])) {
    const Vec2 middle = place.at + place.out * (rules.gapHold + outlineSlack + radius);
    // With a flat face to the wall: what a hold covers of it is that from which it keeps the hold gap alone.
    const Polygons outline = unite(around({{toPoint(middle)}}, radius),
                                   around({{toPoint(place.at), toPoint(middle)}}, 0.8 * radius)),
                   near = grow(outline, rules.lineWidth);
    DemandSite post = hold;
    post.isPost = true;
    post.layers.clear();
    post.walls.clear();
    for (std::size_t k = 0; k < hold.walls.size(); ++k) {
      Lines wall = linesInside(hold.walls[k], near);
      if (wall.empty() && post.layers.empty()) continue;
      if (post.layers.empty()) post.lowest = hold.lowest + k;
      post.walls.push_back(std::move(wall));
      post.layers.push_back(outline);
    }
    while (!post.walls.empty() && post.walls.back().empty()) {
      post.walls.pop_back();
      post.layers.pop_back();
    }
    if (!post.walls.empty()) posts.push_back(std::move(post));
  }
  return posts;
}

Lines tiesAt(const Lines& walls, const SupportRules& rules) {
  Lines ties;
  for (const Place& place : placesAlong(walls))
    ties.push_back({toPoint(Vec2(place.at + place.out * (rules.lineWidth / 2 - bonding))),
                    toPoint(Vec2(place.at + place.out * (rules.gapHold + rules.lineWidth)))});
  return ties;
}

}  // namespace trellis
