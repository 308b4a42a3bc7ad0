// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/stretches.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double end = 0.01;  // mm; what is shorter is none

// The points of a path, the first one again at the end of a closed one.
Polygon pointsOf(const Path& path) {
  Polygon points = path.points;
  if (path.closed) points.push_back(points.front());
  return points;
}

// What lies between two places along a line.
Polygon between(const Polygon& line, double from, double to) {
  Polygon part;
  double at = 0;
  for (std::size_t i = 1; i < line.size(); ++i) {
    const Vec2 a = toMm(line[i - 1]), b = toMm(line[i]);
    const double length = (b - a).norm(), next = at + length;
    if (next > from && at < to && length > 0) {
      if (part.empty()) part.push_back(from <= at ? line[i - 1] : toPoint(Vec2(a + (b - a) * ((from - at) / length))));
      part.push_back(to >= next ? line[i] : toPoint(Vec2(a + (b - a) * ((to - at) / length))));
    }
    at = next;
  }
  return part;
}

}  // namespace

PlaceOn placeOn(const Path& path, const Vec2& point) {
  const Polygon line = pointsOf(path);
  PlaceOn best{0, 1e300};
  double at = 0;
  for (std::size_t i = 1; i < line.size(); ++i) {
    const Vec2 from = toMm(line[i - 1]), way = toMm(line[i]) - from;
    const double length = way.norm(),
                 along = length > 0 ? std::clamp((point - from).dot(way) / length, 0.0, length) : 0;
    const double off = length > 0 ? (from + way * (along / length) - point).norm() : (from - point).norm();
    if (off < best.off) best = {at + along, off};
    at += length;
  }
  return best;
}

Stretch stretchOn(const Path& path, const Point& a, const Point& b) {
  const double half = (toMm(b) - toMm(a)).norm() / 2, place = placeOn(path, (toMm(a) + toMm(b)) / 2).at;
  return {std::max(0.0, place - half), std::min(lengthOf(path), place + half)};
}

Polygon pieceOf(const Path& path, const Stretch& stretch) {
  const Polygon line = pointsOf(path);
  const double whole = lengthOf(path);
  Polygon piece = between(line, stretch.from, std::min(stretch.to, whole));
  if (stretch.to <= whole || !path.closed) return piece;
  const Polygon more = between(line, 0, stretch.to - whole);
  if (!more.empty()) piece.insert(piece.end(), more.begin() + (piece.empty() ? 0 : 1), more.end());
  return piece;
}

std::vector<Stretch> merged(std::vector<Stretch> stretches, double shortest) {
  std::sort(stretches.begin(), stretches.end(), [](const Stretch& a, const Stretch& b) { return a.from < b.from; });
  std::vector<Stretch> result;
  for (const Stretch& one : stretches)
    if (!result.empty() && one.from < result.back().to + shortest)
      result.back().to = std::max(result.back().to, one.to);
    else
      result.push_back(one);
  std::erase_if(result, [&](const Stretch& one) { return one.to - one.from < shortest; });
  return result;
}

std::vector<Path> cutAt(const Path& path, const std::vector<Stretch>& stretches, Feature feature) {
  if (stretches.empty()) return {path};
  const Polygon line = pointsOf(path);
  const double whole = lengthOf(path);
  if (stretches.size() == 1 && stretches.front().from < end && stretches.front().to > whole - end)
    return {{feature, path.width, path.closed, path.points}};
  std::vector<Path> paths;
  const auto add = [&](Feature which, double from, double to) {
    if (to - from > end) paths.push_back({which, path.width, false, between(line, from, to)});
  };
  double at = 0;
  for (const Stretch& stretch : stretches) {
    add(path.feature, at, stretch.from);
    add(feature, stretch.from, stretch.to);
    at = stretch.to;
  }
  add(path.feature, at, whole);
  // Where a closed path begins is no place to stop.
  if (path.closed && paths.size() > 1 && paths.front().feature == paths.back().feature) {
    Polygon& last = paths.back().points;
    last.insert(last.end(), paths.front().points.begin() + 1, paths.front().points.end());
    paths.erase(paths.begin());
  }
  return paths;
}

}  // namespace trellis
