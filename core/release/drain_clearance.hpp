// SPDX-License-Identifier: GPL-3.0-or-later
// How wide the way is from any place near a part to the open air.
#pragma once

#include "core/base/progress.hpp"
#include "core/geometry/polygons.hpp"
#include "core/slice/layer_plan.hpp"

namespace trellis {

// Room around and within parts as cells of half a millimetre, or larger where there would be more than a million.
class DrainClearance {
 public:
  // sections are of all parts together, one per layer of the plan.
  DrainClearance(const LayerPlan& plan, const std::vector<Polygons>& sections, const Progress& progress);

  // Across, mm, of the widest ball, up to 400 cells, that can roll from there to the open air, to within a cell; 0 when
  // it is shut in. Plate coordinates; outside the parts' bounds everything is open.
  double widthAt(const Vec3& place) const;

  double cell() const { return cell_; }  // mm
  std::size_t bytes() const { return ways_.size() * sizeof(int); }

 private:
  std::size_t at(int x, int y, int z) const {
    return (static_cast<std::size_t>(z) * static_cast<std::size_t>(ny_) + static_cast<std::size_t>(y)) *
               static_cast<std::size_t>(nx_) +
           static_cast<std::size_t>(x);
  }
  template <typename Visit>
  void forInside(const Visit& visit) const;
  std::vector<int> clearances(const LayerPlan& plan, const std::vector<Polygons>& sections,
                              const Progress& progress) const;

  double cell_ = 0.5;
  Vec3 low_ = Vec3::Zero();
  int nx_ = 0, ny_ = 0, nz_ = 0;
  std::vector<int> ways_;  // of each cell, in thirds of a cell: the radius of that ball
};

// Water finds its way through drainClearances of this width, mm: from memory.
inline constexpr double waterPasses = 1.0;

}  // namespace trellis
