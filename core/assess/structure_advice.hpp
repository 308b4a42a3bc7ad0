// SPDX-License-Identifier: GPL-3.0-or-later
// Which structure of support suits a site, and why: common practice in the trade.
#pragma once

#include "core/assess/build.hpp"

namespace trellis {

struct StructureAdvice {
  Structure structure = Structure::normal;
  Sentence reason;  // a clause: "a flat ceiling of 640 mm², under which branches would crowd and fuse"
};

// From a site's size, how flat it is, how high it hangs, and about how much filament each structure would take there.
// placed is the mesh it belongs to.
StructureAdvice adviseFor(const Site& site, const TriangleMesh& placed);
// About how many seconds columns under a site would take to print.
double secondsOfColumns(const Site& site, const TriangleMesh& placed);
// For a whole part: what suits the sites that hang over most of its area; the reason is that of the largest of them.
StructureAdvice adviseFor(const PartBuild& part);

}  // namespace trellis
