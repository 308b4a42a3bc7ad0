// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/slice/outlines.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace trellis {

namespace {

constexpr double closeable = 0.05;  // mm

// End 2i is the beginning of chain i, end 2i+1 its end.
using End = std::size_t;
constexpr End nobody = static_cast<End>(-1);

Point pointAt(const std::vector<Chain>& chains, End end) {
  const Polygon& points = chains[end / 2].points;
  return end % 2 ? points.back() : points.front();
}

struct Pair {
  double distance;
  bool turns;  // joins two ends of the same kind, so that one chain must be turned round
  End a, b;
  bool operator<(const Pair& other) const {
    return std::tie(distance, turns, a, b) < std::tie(other.distance, other.turns, other.a, other.b);
  }
};

std::vector<Pair> nearPairs(const std::vector<Chain>& chains) {
  const auto cell = [](ClipperLib::cInt v) {
    return static_cast<long>(std::floor(static_cast<double>(v) / (closeable * unitsPerMm)));
  };
  std::map<std::pair<long, long>, std::vector<End>> grid;
  for (End e = 0; e < chains.size() * 2; ++e) {
    const Point p = pointAt(chains, e);
    grid[{cell(p.X), cell(p.Y)}].push_back(e);
  }
  std::vector<Pair> pairs;
  for (End a = 0; a < chains.size() * 2; ++a) {
    const Point p = pointAt(chains, a);
    for (long dx = -1; dx <= 1; ++dx)
      for (long dy = -1; dy <= 1; ++dy) {
        const auto found = grid.find({cell(p.X) + dx, cell(p.Y) + dy});
        if (found == grid.end()) continue;
        for (const End b : found->second) {
          const double distance = (toMm(pointAt(chains, b)) - toMm(p)).norm();
          if (b > a && distance <= closeable) pairs.push_back({distance, a % 2 == b % 2, a, b});
        }
      }
  }
  std::sort(pairs.begin(), pairs.end());
  return pairs;
}

double signedLength(const Polygon& points) {
  double length = 0;
  for (std::size_t i = 0; i + 1 < points.size(); ++i) length += (toMm(points[i + 1]) - toMm(points[i])).norm();
  return length;
}

// Walks from an end through its chain and across joins, until the walk ends or comes round.
Polygon walk(const std::vector<Chain>& chains, const std::vector<End>& partner, std::vector<bool>& used, End entry) {
  Polygon outline;
  double forward = 0;  // length walked with the chains' direction minus length walked against it
  for (End at = entry; at != nobody && !used[at / 2];) {
    used[at / 2] = true;
    Polygon points = chains[at / 2].points;
    const bool against = at % 2 == 1;
    forward += against ? -signedLength(points) : signedLength(points);
    if (against) std::reverse(points.begin(), points.end());
    outline.insert(outline.end(), points.begin(), points.end());
    at = partner[at ^ 1];
  }
  if (forward < 0) std::reverse(outline.begin(), outline.end());
  return outline;
}

}  // namespace

Polygons joinChains(std::vector<Chain> chains, std::vector<OpenEnd>& left) {
  std::vector<End> partner(chains.size() * 2, nobody);
  for (const Pair& pair : nearPairs(chains)) {
    if (partner[pair.a] != nobody || partner[pair.b] != nobody) continue;
    partner[pair.a] = pair.b;
    partner[pair.b] = pair.a;
  }
  Polygons outlines;
  std::vector<bool> used(chains.size(), false);
  for (End e = 0; e < partner.size(); ++e) {  // first the walks that have two ends
    if (partner[e] != nobody || used[e / 2]) continue;
    Polygon outline = walk(chains, partner, used, e);
    const double gap = (toMm(outline.front()) - toMm(outline.back())).norm();
    if (gap > closeable) left.push_back({outline.front(), gap});
    outlines.push_back(std::move(outline));
  }
  for (End e = 0; e < partner.size(); e += 2)
    if (!used[e / 2]) outlines.push_back(walk(chains, partner, used, e));
  return outlines;
}

}  // namespace trellis
