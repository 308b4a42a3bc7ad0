// SPDX-License-Identifier: GPL-3.0-or-later
// A part and the support printed around it, as both can be seen from the mesh and the G-code alone.
#pragma once

#include "tests/printed.hpp"
#include "tests/reference/regions.hpp"
#include "tests/reference/verifier.hpp"

namespace trellis::test {

class PrintedPart {
 protected:
  static constexpr double exact = 0.005;    // mm, of every gap above and below
  static constexpr double sideways = 0.01;  // mm, of the gap beside
  static constexpr double rounding =
      0.02;                            // mm a bead's flank may lie over a border: arcs, and coordinates in micrometres
  static constexpr double pace = 0.5;  // mm between places looked at along a line
  static constexpr double apart = 0.35;  // mm between places of demand

  PrintedPart(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise);

  double bottomOf(std::size_t layer) const { return static_cast<double>(layer) * promise_.layer; }
  double topOf(std::size_t layer) const { return bottomOf(layer + 1); }

  void fault(const std::string& what, const std::string& feature, const Vec3& at);

  // visit(place) every half millimetre of a bead.
  template <typename Visit>
  void along(const Bead& bead, const Visit& visit) const {
    const Vec2 a(bead.x0, bead.y0), b(bead.x1, bead.y1);
    const int count = std::max(1, static_cast<int>((b - a).norm() / pace));
    for (int k = 0; k < count; ++k) visit(Vec2(a + (b - a) * (k + 0.5) / count));
  }

  // No part nearer than the gaps above and below over any place of a bead, nor nearer beside it.
  void gaps(const Bead& bead);

  // Whether a line of support with so high a top is as near as interface lines are to what they carry, and a slack, mm.
  bool hasLine(const Vec2& p, double top, double slack) const;

  // Everything that begins on nothing, and can be printed and carried, has support under a third of it at least.
  void islands();

  // Whether some wall that counts comes so near: not hanging surface, which is carried, nor a slope that is stood on.
  bool nearWall(const Vec2& p, std::size_t layer, double reach, const std::vector<Area>& hanging) const;

  // A rounded foot, which begins at most three layers over the plate, need not be carried where it widens by at most
  // one and a half lines a layer.
  bool sagsAtFoot(const Vec2& p, std::size_t i) const {
    return i <= 3 && sections_[i - 1].comesNear(p, 1.5 * promise_.lineWidth);
  }

  // visit(place) on a lattice over an area.
  template <typename Visit>
  static void forPlaces(const Area& area, const Visit& visit) {
    for (const Path& outline : area.outlines()) {
      if (!ClipperLib::Orientation(outline)) continue;
      Vec2 low = mm(outline.front()), high = low;
      for (const auto& p : outline) {
        low = low.cwiseMin(mm(p));
        high = high.cwiseMax(mm(p));
      }
      for (double x = std::ceil(low.x() / apart) * apart; x < high.x(); x += apart)
        for (double y = std::ceil(low.y() / apart) * apart; y < high.y(); y += apart)
          if (area.contains({x, y}) &&
              ClipperLib::PointInPolygon({std::llround(x * perMm), std::llround(y * perMm)}, outline) != 0)
            visit(Vec2(x, y));
    }
  }

  Promise promise_;
  std::vector<Area> sections_, demand_, mayHang_, nothing_;
  std::vector<Bead> supports_;
  std::map<long, Grid<const Bead*>> tops_;  // by micrometres
  Verdict verdict_;

 private:
  bool isPart(const Bead& bead) const;
};

}  // namespace trellis::test
