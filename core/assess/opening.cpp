// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/opening.hpp"

#include "core/base/parallel.hpp"
#include "core/toolpath/fill.hpp"

#include <algorithm>
#include <cmath>
#include <queue>

namespace trellis {

namespace {

constexpr double finest = 0.5;      // mm
constexpr double mostCells = 1e6;
constexpr int margin = 2;           // cells of open air around the parts

}  // namespace

Openings::Openings(const LayerPlan& plan, const std::vector<Polygons>& sections, const Progress& progress) {
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
  const std::vector<float> clear = clearances(plan, sections, progress);

  // From the open air inwards, the widest ways first.
  ways_.assign(clear.size(), 0);
  using Entry = std::pair<float, std::size_t>;
  std::priority_queue<Entry> next;
  const auto reach = [&](int x, int y, int z, float way) {
    const std::size_t i = at(x, y, z);
    const float through = std::min(way, clear[i]);
    if (through <= ways_[i]) return;
    ways_[i] = through;
    next.emplace(through, i);
  };
  for (int z = 0; z < nz_; ++z)
    for (int y = 0; y < ny_; ++y)
      for (int x = 0; x < nx_; ++x)
        if (x == 0 || y == 0 || z == 0 || x == nx_ - 1 || y == ny_ - 1 || z == nz_ - 1) reach(x, y, z, clear[at(x, y, z)]);
  while (!next.empty()) {
    const auto [way, i] = next.top();
    next.pop();
    if (way < ways_[i]) continue;
    const auto row = static_cast<std::size_t>(nx_);
    const int x = static_cast<int>(i % row), y = static_cast<int>(i / row % static_cast<std::size_t>(ny_)), z = static_cast<int>(i / row / static_cast<std::size_t>(ny_));
    if (x > 0) reach(x - 1, y, z, way);
    if (y > 0) reach(x, y - 1, z, way);
    if (z > 0) reach(x, y, z - 1, way);
    if (x + 1 < nx_) reach(x + 1, y, z, way);
    if (y + 1 < ny_) reach(x, y + 1, z, way);
    if (z + 1 < nz_) reach(x, y, z + 1, way);
  }
}

// Distance from each cell's centre to the nearest material, in cells: by the chamfer of G. Borgefors, "Distance
// transformations in digital images", 1986, with the steps 3, 4, 5 of a cube's neighbours; within a tenth of the true distance.
std::vector<float> Openings::clearances(const LayerPlan& plan, const std::vector<Polygons>& sections, const Progress& progress) const {
  std::vector<float> clear(static_cast<std::size_t>(nx_) * static_cast<std::size_t>(ny_) * static_cast<std::size_t>(nz_), 1e6f);
  parallelFor(static_cast<std::size_t>(nz_), progress, [&](std::size_t k) {
    const double z = low_.z() + (static_cast<double>(k) + 0.5) * cell_;
    const auto span = std::partition_point(plan.spans.begin(), plan.spans.end(), [&](const LayerSpan& s) { return s.top <= z; });
    if (z < 0 || span == plan.spans.end()) return;
    for (const Polygon& line : fillLines(sections[static_cast<std::size_t>(span - plan.spans.begin())], 0, cell_)) {
      const auto [from, to] = std::minmax({toMm(line.front()).x(), toMm(line.back()).x()});
      const int y = static_cast<int>(std::floor((toMm(line.front()).y() - low_.y()) / cell_));
      const int first = std::max(0, static_cast<int>(std::ceil((from - low_.x()) / cell_ - 0.5))), last = std::min(nx_ - 1, static_cast<int>(std::floor((to - low_.x()) / cell_ - 0.5)));
      for (int x = first; x <= last && y >= 0 && y < ny_; ++x) clear[at(x, y, static_cast<int>(k))] = 0;
    }
  });
  const auto sweep = [&](int sign) {
    for (int k = 0; k < nz_; ++k)
      for (int j = 0; j < ny_; ++j)
        for (int i = 0; i < nx_; ++i) {
          const int x = sign > 0 ? i : nx_ - 1 - i, y = sign > 0 ? j : ny_ - 1 - j, z = sign > 0 ? k : nz_ - 1 - k;
          float& here = clear[at(x, y, z)];
          for (int dz = -1; dz <= 0; ++dz)
            for (int dy = -1; dy <= (dz < 0 ? 1 : 0); ++dy)
              for (int dx = -1; dx <= (dz < 0 || dy < 0 ? 1 : -1); ++dx) {
                const int px = x + sign * dx, py = y + sign * dy, pz = z + sign * dz;
                if (px < 0 || py < 0 || pz < 0 || px >= nx_ || py >= ny_ || pz >= nz_) continue;
                const int apart = std::abs(dx) + std::abs(dy) + std::abs(dz);
                here = std::min(here, clear[at(px, py, pz)] + (apart == 1 ? 1.0f : apart == 2 ? 4.0f / 3 : 5.0f / 3));
              }
        }
  };
  sweep(1);
  progress.check();
  sweep(-1);
  return clear;
}

double Openings::widthAt(const Vec3& place) const {
  constexpr double openAir = 1e6;
  if (ways_.empty()) return openAir;
  const Vec3 cells = (place - low_) / cell_;
  const int x = static_cast<int>(std::floor(cells.x())), y = static_cast<int>(std::floor(cells.y())), z = static_cast<int>(std::floor(cells.z()));
  if (x < 0 || y < 0 || z < 0 || x >= nx_ || y >= ny_ || z >= nz_) return openAir;
  const double radius = static_cast<double>(ways_[at(x, y, z)]) - 0.5;  // the nearest material begins half a cell before its centre
  return std::max(0.0, 2 * radius * cell_);
}

}  // namespace trellis
