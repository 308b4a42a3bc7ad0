// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/drain_clearance.hpp"

#include "core/base/parallel.hpp"
#include "core/toolpath/fill.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double finest = 0.5;  // mm
constexpr double mostCells = 1e6;
constexpr int margin = 3;     // cells of open air around the parts, with one that closes the space off
constexpr int openAir = 600;  // thirds of a cell; nothing is wider

}  // namespace

DrainClearance::DrainClearance(const LayerPlan& plan, const std::vector<Polygons>& sections, const Progress& progress) {
  Box2 box;
  for (const Polygons& section : sections) box.extend(boundsOf(section));
  if (box.isEmpty()) return;
  const double height = plan.spans.back().top;
  cell_ = std::max(finest, std::cbrt(box.sizes().x() * box.sizes().y() * height / mostCells));
  // Rows lie where fillLines lays lines: at odd halves of a cell.
  low_ = {box.min().x() - margin * cell_, std::floor(box.min().y() / cell_ - margin) * cell_, -margin * cell_};
  nx_ = static_cast<int>(std::ceil(box.sizes().x() / cell_)) + 2 * margin;
  ny_ = static_cast<int>(std::ceil((box.max().y() - low_.y()) / cell_)) + margin;
  nz_ = static_cast<int>(std::ceil(height / cell_)) + 2 * margin;
  const std::vector<int> clear = clearances(plan, sections, progress);

  // From the open air inwards, the widest ways first: cells wait by the width of the way to them.
  ways_.assign(clear.size(), 0);
  std::vector<std::vector<std::size_t>> waiting(openAir + 1);
  const auto reach = [&](std::size_t i, int way) {
    const int through = std::min(way, clear[i]);
    if (through <= ways_[i]) return;
    ways_[i] = through;
    waiting[static_cast<std::size_t>(through)].push_back(i);
  };
  forInside([&](std::size_t i, int x, int y, int z) {
    if (x == 1 || y == 1 || z == 1 || x == nx_ - 2 || y == ny_ - 2 || z == nz_ - 2) reach(i, openAir);
  });
  const std::size_t row = static_cast<std::size_t>(nx_), slab = row * static_cast<std::size_t>(ny_);
  for (int way = openAir; way > 0; --way)
    for (auto& cells = waiting[static_cast<std::size_t>(way)]; !cells.empty();) {
      const std::size_t i = cells.back();
      cells.pop_back();
      if (ways_[i] > way) continue;
      for (const std::size_t next : {i - 1, i + 1, i - row, i + row, i - slab, i + slab}) reach(next, way);
    }
}

// But the outermost cells.
template <typename Visit>
void DrainClearance::forInside(const Visit& visit) const {
  for (int z = 1; z + 1 < nz_; ++z)
    for (int y = 1; y + 1 < ny_; ++y)
      for (int x = 1; x + 1 < nx_; ++x) visit(at(x, y, z), x, y, z);
}

// Distance from each cell's centre to the nearest material, in thirds of a cell: by the chamfer of G. Borgefors,
// "Distance transformations in digital images", 1986, with the steps 3, 4, 5 of a cube's neighbours; within a tenth of
// the true distance. The outermost cells are 0, so that no way leads through them.
std::vector<int> DrainClearance::clearances(const LayerPlan& plan, const std::vector<Polygons>& sections,
                                            const Progress& progress) const {
  std::vector<int> clear(static_cast<std::size_t>(nx_) * static_cast<std::size_t>(ny_) * static_cast<std::size_t>(nz_),
                         openAir);
  parallelFor(static_cast<std::size_t>(nz_), progress, [&](std::size_t k) {
    const double z = low_.z() + (static_cast<double>(k) + 0.5) * cell_;
    const auto span =
        std::partition_point(plan.spans.begin(), plan.spans.end(), [&](const LayerSpan& s) { return s.top <= z; });
    if (z < 0 || span == plan.spans.end()) return;
    for (const Polygon& line : fillLines(sections[static_cast<std::size_t>(span - plan.spans.begin())], 0, cell_)) {
      const auto [from, to] = std::minmax({toMm(line.front()).x(), toMm(line.back()).x()});
      const int y = static_cast<int>(std::floor((toMm(line.front()).y() - low_.y()) / cell_));
      const int first = std::max(0, static_cast<int>(std::ceil((from - low_.x()) / cell_ - 0.5))),
                last = std::min(nx_ - 1, static_cast<int>(std::floor((to - low_.x()) / cell_ - 0.5)));
      for (int x = first; x <= last && y >= 0 && y < ny_; ++x) clear[at(x, y, static_cast<int>(k))] = 0;
    }
  });
  struct Step {
    std::ptrdiff_t cells;
    int thirds;
  };
  std::vector<Step> back;  // to the neighbours that come earlier
  for (int dz = -1; dz <= 0; ++dz)
    for (int dy = -1; dy <= (dz < 0 ? 1 : 0); ++dy)
      for (int dx = -1; dx <= (dz < 0 || dy < 0 ? 1 : -1); ++dx)
        back.push_back(
            {(static_cast<std::ptrdiff_t>(dz) * ny_ + dy) * nx_ + dx, 2 + std::abs(dx) + std::abs(dy) + std::abs(dz)});
  const auto sweep = [&](int sign) {
    forInside([&](std::size_t i, int, int, int) {
      const auto here = static_cast<std::ptrdiff_t>(sign > 0 ? i : clear.size() - 1 - i);
      int& nearest = clear[static_cast<std::size_t>(here)];
      for (const Step& step : back)
        nearest = std::min(nearest, clear[static_cast<std::size_t>(here + sign * step.cells)] + step.thirds);
    });
  };
  sweep(1);
  progress.check();
  sweep(-1);
  for (int z = 0; z < nz_; ++z)
    for (int y = 0; y < ny_; ++y)
      for (int x = 0; x < nx_; ++x)
        if (x == 0 || y == 0 || z == 0 || x == nx_ - 1 || y == ny_ - 1 || z == nz_ - 1) clear[at(x, y, z)] = 0;
  return clear;
}

double DrainClearance::widthAt(const Vec3& place) const {
  constexpr double unbounded = 1e6;
  if (ways_.empty()) return unbounded;
  const Vec3 cells = (place - low_) / cell_;
  const int x = static_cast<int>(std::floor(cells.x())), y = static_cast<int>(std::floor(cells.y())),
            z = static_cast<int>(std::floor(cells.z()));
  if (x < 0 || y < 0 || z < 0 || x >= nx_ || y >= ny_ || z >= nz_) return unbounded;
  const double radius = ways_[at(x, y, z)] / 3.0 - 0.5;  // the nearest material begins half a cell before its centre
  return std::max(0.0, 2 * radius * cell_);
}

}  // namespace trellis
