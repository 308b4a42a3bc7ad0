// SPDX-License-Identifier: GPL-3.0-or-later
// What a part begins on.
#pragma once

#include "core/support/supports.hpp"

namespace trellis {

struct PlateContact {
  double area = 0;                   // mm² that are printed of the first layer: on the plate, or on the raft
  double largest = 0;                // mm² of the largest section over it
  std::optional<std::size_t> first;  // the lowest layer that prints; none where no layer does
  double carried = 0;                // 0–1: how much of that lies right over support
  Vec3 at = Vec3::Zero();            // in that layer

  bool onPlate() const { return area > 0; }
  bool inSupport() const { return !onPlate() && carried >= 0.5; }
};

PlateContact contactOf(const Supports& build, std::size_t part);

}  // namespace trellis
