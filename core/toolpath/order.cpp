// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/order.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

namespace trellis {

namespace {

double squared(const Point& a, const Point& b) {
  const double dx = static_cast<double>(a.X - b.X), dy = static_cast<double>(a.Y - b.Y);
  return dx * dx + dy * dy;
}

// Turning at corner i in radians; negative turns away from the part, as concave corners do.
double turningAt(const Polygon& loop, std::size_t i) {
  const std::size_t n = loop.size();
  const Vec2 in = toMm(loop[i]) - toMm(loop[(i + n - 1) % n]), out = toMm(loop[(i + 1) % n]) - toMm(loop[i]);
  return std::atan2(in.x() * out.y() - in.y() * out.x(), in.dot(out));
}

std::size_t seamOf(const Polygon& loop, const Point& from) {
  constexpr double corner = 0.35;  // radians, 20°; less does not hide a seam
  constexpr double alike = 0.05;
  std::size_t best = 0;
  double sharpest = -corner, nearest = std::numeric_limits<double>::max();
  for (std::size_t i = 0; i < loop.size(); ++i) {
    const double turning = turningAt(loop, i);
    if (turning < sharpest - alike) {
      sharpest = turning;
      nearest = squared(loop[i], from);
      best = i;
    } else if ((sharpest == -corner || std::abs(turning - sharpest) <= alike) && squared(loop[i], from) < nearest) {
      nearest = squared(loop[i], from);
      best = i;
    }
  }
  return best;
}

std::size_t nearestPoint(const Polygon& points, const Point& from) {
  return static_cast<std::size_t>(
      std::min_element(points.begin(), points.end(),
                       [&](const Point& a, const Point& b) { return squared(a, from) < squared(b, from); }) -
      points.begin());
}

struct Reach {
  double distance = std::numeric_limits<double>::max();
  std::size_t index = 0;
  bool backwards = false;
};

Reach nearestPath(const std::vector<Path>& paths, const std::vector<bool>& done, const Point& from) {
  Reach best;
  for (std::size_t i = 0; i < paths.size(); ++i) {
    if (done[i]) continue;
    const Polygon& points = paths[i].points;
    const double front = squared(points.front(), from), back = squared(points.back(), from);
    if (front < best.distance) best = {front, i, false};
    if (!paths[i].closed && back < best.distance) best = {back, i, true};
  }
  return best;
}

void appendStage(std::vector<Path> paths, const PathGroup& group, Point& at, std::vector<Run>& runs) {
  std::erase_if(paths, [](const Path& path) { return path.points.size() < 2; });
  std::vector<bool> done(paths.size(), false);
  for (std::size_t count = 0; count < paths.size(); ++count) {
    const Reach next = nearestPath(paths, done, at);
    done[next.index] = true;
    Path& path = paths[next.index];
    if (path.closed) {
      const bool seam = path.feature == Feature::wallOuter || path.feature == Feature::wallSteep;
      const std::size_t start = seam ? seamOf(path.points, at) : nearestPoint(path.points, at);
      std::rotate(path.points.begin(), path.points.begin() + static_cast<std::ptrdiff_t>(start), path.points.end());
      path.points.push_back(path.points.front());
    } else if (next.backwards) {
      std::reverse(path.points.begin(), path.points.end());
    }
    at = path.points.back();
    runs.push_back({path.feature, path.width, group.owner, std::move(path.points), group.tool, path.height});
  }
}

Box2 boundsOf(const PathGroup& group) {
  Box2 box;
  for (const auto& stage : group.stages)
    for (const Path& path : stage)
      for (const Point& p : path.points) box.extend(toMm(p));
  return box;
}

}  // namespace

std::vector<Run> orderPaths(const std::vector<PathGroup>& groups) {
  std::vector<Run> runs;
  std::vector<Box2> boxes;
  for (const PathGroup& group : groups) boxes.push_back(boundsOf(group));
  std::vector<bool> done(groups.size(), false);
  Point at(0, 0);
  for (std::size_t count = 0; count < groups.size(); ++count) {
    std::size_t next = groups.size();
    double nearest = std::numeric_limits<double>::max();
    for (std::size_t i = 0; i < groups.size(); ++i) {
      if (done[i]) continue;
      const double distance = boxes[i].isEmpty() ? 0 : boxes[i].exteriorDistance(toMm(at));
      if (distance < nearest) {
        nearest = distance;
        next = i;
      }
    }
    done[next] = true;
    for (const auto& stage : groups[next].stages) appendStage(stage, groups[next], at, runs);
  }
  return runs;
}

}  // namespace trellis
