// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/travel.hpp"

#include "core/geometry/edge_grid.hpp"
#include "core/toolpath/stretches.hpp"

#include <algorithm>
#include <map>

namespace trellis {

namespace {

constexpr double mostDetour = 1.6;  // of the straight way; a longer one is worth pulling filament back for
constexpr double touching = 0.05;   // mm; who stands on a wall does not cross it
constexpr double coarseness = 0.4;  // mm between the corners of a way along an outline

bool isOuterWall(const Run& run) { return run.feature == Feature::wallOuter || run.feature == Feature::wallSteep; }

Lines outerWallsOf(const std::vector<Run>& runs) {
  Lines walls;
  for (const Run& run : runs)
    if (isOuterWall(run)) walls.push_back(run.points);
  return walls;
}

// The last stretch of a line, from its end back.
Polygon backAlong(const Run& run, double distance) {
  const Path path{run.feature, run.width, false, run.points};
  const double whole = lengthOf(path);
  Polygon way = pieceOf(path, {std::max(0.0, whole - distance), whole});
  std::reverse(way.begin(), way.end());
  if (!way.empty()) way.erase(way.begin());
  return way;
}

double lengthOfWay(const Vec2& from, const Polygon& way, const Vec2& to) {
  double length = 0;
  Vec2 at = from;
  for (const Point& corner : way) {
    length += (toMm(corner) - at).norm();
    at = toMm(corner);
  }
  return length + (to - at).norm();
}

class Traveller {
 public:
  Traveller(const std::vector<Run>& runs, const std::vector<const Polygons*>& islands, const TravelRules& rules)
      : islands_(islands), rules_(rules), walls_(outerWallsOf(runs), 4 * rules.lineWidth) {}

  Approach between(const Run& last, const Run& next) {
    Approach approach;
    const Vec2 to = toMm(next.points.front());
    Vec2 from = toMm(last.points.back());
    if (isOuterWall(last) && last.isClosed() && (to - from).norm() > rules_.lineWidth) {
      approach.way = backAlong(last, rules_.lineWidth);
      if (!approach.way.empty()) from = toMm(approach.way.back());
    }
    if ((to - from).norm() <= rules_.retractOver) return approach;
    const bool isOneIsland = last.owner == next.owner && last.group == next.group;
    const bool isSupport = last.owner.kind == Owner::piece && next.owner.kind == Owner::piece;
    const bool crossesWall = crosses(from, to);
    if ((isOneIsland || isSupport) && !crossesWall) return approach;
    if (isOneIsland)
      if (const auto way = detour(next.group, from, to)) {
        approach.way.insert(approach.way.end(), way->begin(), way->end());
        return approach;
      }
    approach.retracts = true;
    approach.lifts = crossesWall;
    return approach;
  }

 private:
  bool crosses(const Vec2& a, const Vec2& b) const {
    return walls_.anyAlong(a, b, [&](const Vec2&, const Edge& edge) {
      const auto t = crossingOf(a, b, edge);
      if (!t) return false;
      const double length = (b - a).norm();
      return *t * length > touching && (1 - *t) * length > touching;
    });
  }

  std::optional<Polygon> detour(std::size_t group, const Vec2& from, const Vec2& to) {
    if (!islands_[group]) return std::nullopt;
    auto [found, isNew] = insides_.try_emplace(group);
    if (isNew) found->second = grow(*islands_[group], -rules_.lineWidth);
    std::optional<Polygon> way = wayInside(found->second, from, to, 2 * rules_.lineWidth);
    if (!way || lengthOfWay(from, *way, to) > mostDetour * (to - from).norm()) return std::nullopt;
    Vec2 at = from;
    for (std::size_t i = 0; i <= way->size(); ++i) {
      const Vec2 corner = i < way->size() ? toMm((*way)[i]) : to;
      if (crosses(at, corner)) return std::nullopt;
      at = corner;
    }
    return way;
  }

  const std::vector<const Polygons*>& islands_;
  const TravelRules& rules_;
  EdgeGrid walls_;
  std::map<std::size_t, Polygons> insides_;  // of islands, by group: what lies within their outer walls
};

// Where the straight way meets the region's outlines: how far along it, 0–1, and at which place of which outline.
struct Meeting {
  double t = 0;
  std::size_t outline = 0;
  double place = 0;  // mm
};

std::vector<Path> closedPaths(const Polygons& region) {
  std::vector<Path> paths;
  for (const Polygon& outline : region) paths.push_back({Feature::wallOuter, 0, true, outline});
  return paths;
}

std::vector<Meeting> meetingsOf(const Polygons& region, const Vec2& a, const Vec2& b) {
  std::vector<Meeting> meetings;
  for (std::size_t o = 0; o < region.size(); ++o) {
    double place = 0;
    for (std::size_t i = 0; i < region[o].size(); ++i) {
      const Vec2 start = toMm(region[o][i]), way = toMm(region[o][(i + 1) % region[o].size()]) - start;
      const double length = way.norm();
      if (length <= 0) continue;
      const Edge edge{start, way / length, length, 0, 0};
      if (const auto t = crossingOf(a, b, edge)) meetings.push_back({*t, o, place + edge.nearestTo(a + (b - a) * *t)});
      place += length;
    }
  }
  std::sort(meetings.begin(), meetings.end(), [](const Meeting& x, const Meeting& y) { return x.t < y.t; });
  return meetings;
}

// The outline nearest to a place; nothing when all are farther than reach.
std::optional<Meeting> nearestOutline(const std::vector<Path>& outlines, const Vec2& place, double reach) {
  std::optional<Meeting> best;
  for (std::size_t o = 0; o < outlines.size(); ++o)
    if (const PlaceOn found = placeOn(outlines[o], place); found.off < reach) {
      reach = found.off;
      best = Meeting{0, o, found.at};
    }
  return best;
}

// The shorter way along an outline.
Polygon along(const Path& outline, double from, double to) {
  const double whole = lengthOf(outline), ahead = to >= from ? to - from : to - from + whole;
  if (ahead <= whole / 2) return pieceOf(outline, {from, from + ahead});
  Polygon way = pieceOf(outline, {to, to + whole - ahead});
  std::reverse(way.begin(), way.end());
  return way;
}

}  // namespace

std::optional<Polygon> wayInside(const Polygons& region, const Vec2& a, const Vec2& b, double reach) {
  const std::vector<Path> outlines = closedPaths(region);
  std::vector<Meeting> meetings = meetingsOf(region, a, b);
  const std::size_t count = meetings.size();
  Polygon way;
  for (std::size_t k = 0; k <= count; ++k) {  // from one meeting to the next, and before the first and after the last
    const double t0 = k > 0 ? meetings[k - 1].t : 0, t1 = k < count ? meetings[k].t : 1;
    if (contains(region, toPoint(Vec2(a + (b - a) * ((t0 + t1) / 2))))) continue;
    const std::optional<Meeting> from = k > 0 ? meetings[k - 1] : nearestOutline(outlines, a, reach),
                                 to = k < count ? meetings[k] : nearestOutline(outlines, b, reach);
    if (!from || !to || from->outline != to->outline) return std::nullopt;
    for (const Point& corner : along(outlines[from->outline], from->place, to->place))
      if (way.empty() || (toMm(corner) - toMm(way.back())).norm() > coarseness) way.push_back(corner);
  }
  return way;
}

void layTravel(std::vector<Run>& runs, const std::vector<const Polygons*>& islands, const TravelRules& rules) {
  Traveller traveller(runs, islands, rules);
  for (std::size_t r = 1; r < runs.size(); ++r) runs[r].approach = traveller.between(runs[r - 1], runs[r]);
}

}  // namespace trellis
