// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/order.hpp"

#include "core/toolpath/tour.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double leastRun = 0.05;  // mm; what is shorter leaves no line

bool keepsItsBeginning(const Path& path) {
  return path.feature <= Feature::wallSteep;  // walls of the part
}

// A path as the nozzle runs along it, from one of its points.
Run runAlong(Path path, std::size_t point, const PathGroup& group) {
  if (path.closed) {
    std::rotate(path.points.begin(), path.points.begin() + static_cast<std::ptrdiff_t>(point), path.points.end());
    path.points.push_back(path.points.front());
  } else if (point > 0) {
    std::reverse(path.points.begin(), path.points.end());
  }
  return {path.feature, path.width, group.owner, std::move(path.points), group.filament, path.height, 0, 0, {}};
}

// The places where a stage's paths may be entered.
class Stage {
 public:
  explicit Stage(std::vector<Path> paths) : paths_(std::move(paths)) {
    std::erase_if(paths_, [](const Path& path) { return path.points.size() < 2 || lengthOf(path) < leastRun; });
    for (std::size_t p = 0; p < paths_.size(); ++p) {
      const Path& path = paths_[p];
      firstOf_.push_back(places_.size());
      const std::size_t step = !path.closed ? path.points.size() - 1 : keepsItsBeginning(path) ? path.points.size() : 1;
      for (std::size_t i = 0; i < path.points.size(); i += step) {
        places_.push_back(toMm(path.points[i]));
        entries_.push_back({p, i});
      }
    }
    firstOf_.push_back(places_.size());
  }

  void append(const PathGroup& group, Point& at, std::vector<Run>& runs) {
    PlaceGrid grid(places_);
    while (grid.left() > 0) {
      const auto [path, point] = entries_[grid.nearest(toMm(at))];
      for (std::size_t i = firstOf_[path]; i < firstOf_[path + 1]; ++i) grid.remove(i);
      runs.push_back(runAlong(std::move(paths_[path]), point, group));
      at = runs.back().points.back();
    }
  }

 private:
  std::vector<Path> paths_;
  std::vector<Vec2> places_;
  std::vector<std::pair<std::size_t, std::size_t>> entries_;  // path and point, by place
  std::vector<std::size_t> firstOf_;                          // place, by path
};

Box2 boundsOf(const PathGroup& group) {
  Box2 box;
  for (const auto& stage : group.stages)
    for (const Path& path : stage)
      for (const Point& p : path.points) box.extend(toMm(p));
  return box;
}

}  // namespace

std::vector<Run> orderPaths(const std::vector<PathGroup>& groups, bool backwards) {
  std::vector<Vec2> places;
  std::vector<std::size_t> numbers;
  for (std::size_t g = 0; g < groups.size(); ++g)
    if (const Box2 box = boundsOf(groups[g]); !box.isEmpty()) {
      places.push_back(box.center());
      numbers.push_back(g);
    }
  std::vector<std::size_t> tour = tourOf(places, Vec2::Zero());
  if (backwards) std::reverse(tour.begin(), tour.end());
  std::vector<Run> runs;
  Point at = backwards && !tour.empty() ? toPoint(places[tour.front()]) : Point(0, 0);
  for (const std::size_t next : tour) {
    const std::size_t before = runs.size(), g = numbers[next];
    for (const std::vector<Path>& stage : groups[g].stages) Stage(stage).append(groups[g], at, runs);
    for (std::size_t r = before; r < runs.size(); ++r) runs[r].group = g;
  }
  return runs;
}

}  // namespace trellis
