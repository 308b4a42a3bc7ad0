// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/reference/printed_part.hpp"

#include <algorithm>
#include <sstream>

namespace trellis::test {

PrintedPart::PrintedPart(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise)
    : promise_(promise) {
  // Where a surface leans just as far as is free, hundredths decide: there it may be carried and need not.
  constexpr double tolerance = 1;  // degrees: a chamfer of 45° measures 45.01°
  const double step = promise.layer * std::tan((promise.freeLean + tolerance) * 3.14159265358979 / 180);
  const auto hanging = [&](const Paths& below, const Paths& section, double reach) {
    const Paths hangs = combined(ClipperLib::ctDifference, section, offset(below, reach));
    return Area(
        combined(ClipperLib::ctIntersection, combined(ClipperLib::ctDifference, section, below), offset(hangs, reach)));
  };
  // Where no line of half the width fits nothing is printed, and so nothing is to be carried.
  const auto printable = [&](const Paths& section) {
    constexpr double rounded = 0.02;  // mm that corners lose
    return combined(ClipperLib::ctIntersection, section,
                    offset(offset(section, -promise.lineWidth / 4), promise.lineWidth / 4 + rounded));
  };
  const std::vector<Paths> sections = sectionsOf(mesh, promise.layer);
  for (std::size_t i = 0; i < sections.size(); ++i) {
    sections_.emplace_back(sections[i]);
    demand_.push_back(i == 0 ? Area({}) : hanging(sections[i - 1], printable(sections[i]), 1.05 * step));
    nothing_.emplace_back(Paths());
    mayHang_.push_back(i == 0 ? Area({}) : hanging(sections[i - 1], sections[i], 0.95 * step));
  }
  for (const Bead& bead : readBeads(gcode))
    if (!isPart(bead)) supports_.push_back(bead);
  for (const Bead& bead : supports_)
    tops_[std::lround(bead.z * 1000)].add({bead.x0, bead.y0}, {bead.x1, bead.y1}, &bead);
}

// A part's bead lies in its own section; what lies outside every section is support, whatever is written beside it.
bool PrintedPart::isPart(const Bead& bead) const {
  const long layer = std::lround(bead.z / promise_.layer) - 1;
  if (layer < 0 || layer >= static_cast<long>(sections_.size()) ||
      std::abs(bead.z - topOf(static_cast<std::size_t>(layer))) > 1e-3)
    return false;
  return sections_[static_cast<std::size_t>(layer)].comesNear(Vec2(bead.x0 + bead.x1, bead.y0 + bead.y1) / 2, 0.03);
}

void PrintedPart::fault(const std::string& what, const std::string& feature, const Vec3& at) {
  if (verdict_.faults[what]++ > 2) return;
  std::ostringstream place;
  place << "; " << feature << " at " << at.x() << " " << at.y() << " " << at.z();
  verdict_.examples[what] += place.str();
}

void PrintedPart::gaps(const Bead& bead) {
  const double top = bead.z, bottom = bead.z - bead.height;
  const Vec2 across =
      Vec2(-(bead.y1 - bead.y0), bead.x1 - bead.x0).normalized() * std::max(0.0, bead.width / 2 - rounding);
  for (std::size_t l = 0; l < sections_.size(); ++l) {
    const bool beside = bottomOf(l) < top - exact && topOf(l) > bottom + exact;
    const bool within = bottomOf(l) < top + promise_.gapAbove - exact && topOf(l) > bottom - promise_.gapBelow + exact;
    if (!within) continue;
    along(bead, [&](const Vec2& p) {
      ++verdict_.samples;
      for (const Vec2& q : {p, Vec2(p + across), Vec2(p - across)})
        if (sections_[l].holds(q, rounding))
          fault(beside                 ? "in the part"
                : bottomOf(l) > bottom ? "gap above"
                                       : "gap below",
                bead.feature, {p.x(), p.y(), top});
      if (beside && nearWall(p, l, bead.width / 2 + promise_.gapBeside - sideways, mayHang_))
        fault("gap beside", bead.feature, {p.x(), p.y(), top});
      if (beside && promise_.gapSlope > 0 && nearWall(p, l, bead.width / 2 + promise_.gapSlope - sideways, nothing_))
        fault("gap to a slope", bead.feature, {p.x(), p.y(), top});
    });
  }
}

void PrintedPart::islands() {
  for (std::size_t i = 1; i < sections_.size(); ++i) {
    const double under = bottomOf(i) - promise_.gapAbove;
    if (under < promise_.layer) continue;
    for (const Path& outline : sections_[i].outlines()) {
      if (!ClipperLib::Orientation(outline) || offset({outline}, -promise_.lineWidth / 4).empty()) continue;
      if (!combined(ClipperLib::ctIntersection, {outline}, sections_[i - 1].outlines()).empty()) continue;
      std::vector<Vec2> places;
      forPlaces(Area({outline}), [&](const Vec2& p) { places.push_back(p); });
      for (const auto& corner : outline) places.push_back(mm(corner));
      const auto isFree = [&](const Vec2& p) {
        if (sagsAtFoot(p, i)) return false;
        for (std::size_t l = i; l-- > 0 && topOf(l) > under - 2 * promise_.layer - promise_.gapBelow;)
          if (sections_[l].comesNear(p, promise_.gapBeside + promise_.lineWidth)) return false;
        return true;
      };
      if (!std::all_of(places.begin(), places.end(), isFree)) continue;
      const auto carried =
          std::count_if(places.begin(), places.end(), [&](const Vec2& p) { return hasLine(p, under, 0); });
      if (3 * static_cast<std::size_t>(carried) < places.size())
        fault("island left bare", "part", {places.front().x(), places.front().y(), bottomOf(i)});
    }
  }
}

bool PrintedPart::hasLine(const Vec2& p, double top, double slack) const {
  const double reach = (promise_.lineWidth + promise_.interfaceSpacing) / 2 + slack;
  bool found = false;
  for (long micron = std::lround((top - exact) * 1000); micron <= std::lround((top + exact) * 1000) && !found; ++micron)
    if (const auto layer = tops_.find(micron); layer != tops_.end())
      layer->second.near(p, reach, [&](const Bead* b) {
        found = found || (nearestOn({b->x0, b->y0}, {b->x1, b->y1}, p) - p).norm() <= reach;
      });
  return found;
}

bool PrintedPart::nearWall(const Vec2& p, std::size_t layer, double reach, const std::vector<Area>& hanging) const {
  bool found = false;
  sections_[layer].edgesNear(p, reach, [&](const Area::Edge& edge) {
    const Vec2 q = nearestOn(edge.a, edge.b, p);
    if (found || (q - p).norm() >= reach) return;
    const Vec2 outward = Vec2(edge.b.y() - edge.a.y(), edge.a.x() - edge.b.x()).normalized();
    constexpr double slack = 0.02;  // where a slope just is or is not stood on, it is not held against anybody
    if (hanging[layer].comesNear(q, slack)) return;
    // Where the surface bends from wall to slope, the slope counts as far as it is wide.
    for (int k = -8; k <= 8 && layer > 0; ++k) {
      const double angle = k * 0.19635;
      const Vec2 turned(std::cos(angle) * outward.x() - std::sin(angle) * outward.y(),
                        std::sin(angle) * outward.x() + std::cos(angle) * outward.y());
      if (sections_[layer - 1].comesNear(q + turned * promise_.layer, slack) &&
          sections_[layer].border(q + turned * promise_.layer, promise_.layer) > promise_.layer - slack)
        return;
    }
    found = true;
  });
  return found;
}

}  // namespace trellis::test
