// SPDX-License-Identifier: GPL-3.0-or-later
// Support that another program made, as it came with a part: nothing is decided about it, it is printed as it is.
#pragma once

#include "core/slice/layer_plan.hpp"
#include "core/support/column.hpp"

namespace trellis {

struct MadeElsewhere {
  DemandSite demand;  // where the part rests on it
  Column column;
};

// The part it came with.
struct CarriedPart {
  std::size_t number;
  const LayerPlan& plan;
  const std::vector<Polygons>& sections;  // one for each layer of the plan
};

// Cuts the mesh, in plate coordinates, into slabs as high as the plan's layers; where it has level faces, slabs end
// exactly there, so that its gaps stay what they are. What lies within the part is left out. Right under the part as
// many layers are printed as interface as the rules ask for. Nothing where no slab of it is left.
std::shared_ptr<const MadeElsewhere> madeElsewhere(const TriangleMesh& mesh, const CarriedPart& part,
                                                   const SupportRules& rules, const Progress& progress);

}  // namespace trellis
