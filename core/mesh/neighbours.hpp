// SPDX-License-Identifier: GPL-3.0-or-later
// Which facet lies across each edge of a facet, and what can be reached that way.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <functional>
#include <limits>

namespace trellis {

struct Neighbours {
  static constexpr std::uint32_t none = std::numeric_limits<std::uint32_t>::max();
  // Across edge k of each facet, from its corner k to k+1. None at open edges and where more than two meet.
  std::vector<std::array<std::uint32_t, 3>> across;
};

using NeighboursPtr = std::shared_ptr<const Neighbours>;

// Of this mesh, found when first asked for and shared while anybody holds it.
NeighboursPtr neighboursOf(const MeshPtr& mesh);

// Facets reached from the seeds over edges that cross() lets pass, seeds included, ascending. cross is asked
// with the facet stepped from and the one stepped to.
std::vector<std::uint32_t> flood(const Neighbours& neighbours, const std::vector<std::uint32_t>& seeds,
                                 const std::function<bool(std::uint32_t, std::uint32_t)>& cross);

}  // namespace trellis
