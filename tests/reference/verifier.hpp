// SPDX-License-Identifier: GPL-3.0-or-later
// Checks supports from the G-code and the mesh alone: the definitions of the gap, of demand and of standing, computed
// a second time with CGAL's slicer and plain Clipper, point by point where the generator works on areas.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <map>
#include <string>

namespace trellis::test {

// What the print was asked for. Layers are of one height, and every bridge is supported.
struct Promise {
  double gapAbove = 0.2, gapBelow = 0.2, gapBeside = 0.5, gapSlope = 0.2;  // mm
  double freeLean = 45;                                                    // degrees
  double layer = 0.2, lineWidth = 0.45;                                    // mm
  int interfaceLayers = 3;
  double interfaceSpacing = 0.45, bodySpacing = 2.2;  // mm
  double tipSpacing = 2, branchLean = 40;             // mm, degrees: of trees
};

struct Verdict {
  std::map<std::string, int> faults;  // by what is wrong; with the first places of each in examples
  std::map<std::string, std::string> examples;
  std::size_t samples = 0;      // places on support lines that were looked at
  std::size_t lines = 0;        // of support
  std::size_t demanded = 0;     // places of underside that can be carried
  std::vector<double> covered;  // 0–1, share of them that each interface layer lies under, from the part down
  std::string words() const;
};

// Of normal supports. mesh stands where it was printed.
Verdict verify(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise);

// Of tree supports: covered is the share of demand near enough to a tip, first its borders and then all of it, and then
// the share of what lies right over a tip that has it exactly at the gap.
Verdict verifyTree(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise);

}  // namespace trellis::test
