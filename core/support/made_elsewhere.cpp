// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/made_elsewhere.hpp"

#include "core/slice/slices.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace trellis {

namespace {

constexpr double level = 1e-3;              // mm of height that are one: files have coordinates in single precision
constexpr double crumb = 0.02;              // mm², less is no support
constexpr std::size_t farthestCarried = 3;  // layers over its top; what lies higher does not rest on it

// Where slabs end, ascending: at level faces exactly, elsewhere at the plan's layers.
std::vector<double> boundariesOf(const TriangleMesh& mesh, const LayerPlan& plan, const SupportRules& rules) {
  std::set<double, std::greater<>> faces;
  for (const Facet& facet : mesh.facets) {
    const double z = mesh.vertices[facet[0]].z();
    if (std::abs(z - mesh.vertices[facet[1]].z()) < level && std::abs(z - mesh.vertices[facet[2]].z()) < level)
      faces.insert(std::round(z / level) * level);
  }
  std::vector<std::pair<double, bool>> wanted;
  const auto add = [&](double z, bool fixed) {
    if (z > rules.floor + level) wanted.emplace_back(z, fixed);
  };
  auto face = faces.begin();
  for (std::size_t l = plan.count(); l-- > 0;) {
    const double top = plan.spans[l].top;
    for (; face != faces.end() && *face > top + level; ++face)
      if (l + 1 < plan.count()) add(*face, true);
    const bool isFace = face != faces.end() && *face > top - level;
    if (isFace) ++face;
    add(top, isFace);  // the plan's own figure, to the last bit
  }
  for (; face != faces.end(); ++face) add(*face, true);
  wanted.emplace_back(rules.floor, true);
  std::vector<double> heights = withoutThinSlabs(wanted, rules.thinnest);
  std::reverse(heights.begin(), heights.end());
  return heights;
}

class Taking {
 public:
  Taking(const CarriedPart& part, const SupportRules& rules)
      : plan_(part.plan), sections_(part.sections), rules_(rules) {
    out_.demand.part = out_.demand.rules = part.number;
    rests_.resize(plan_.count());
  }

  std::shared_ptr<const MadeElsewhere> take(const TriangleMesh& mesh, const Progress& progress) {
    cut(mesh, progress);
    if (slabs_.empty()) return nullptr;
    for (std::size_t s = 0; s < slabs_.size(); ++s) findContact(s);
    for (std::size_t s = slabs_.size(); s-- > 0;) out_.column.slabs.push_back(divided(s));
    tellDemand();
    return std::make_shared<const MadeElsewhere>(std::move(out_));
  }

 private:
  struct Slab {
    double bottom, top;
    Polygons area, carries;  // what of it, seen from above, lies right under the part
  };

  void cut(const TriangleMesh& mesh, const Progress& progress) {
    const std::vector<double> heights = boundariesOf(mesh, plan_, rules_);
    std::vector<double> middles;
    for (std::size_t k = 0; k + 1 < heights.size(); ++k) middles.push_back((heights[k] + heights[k + 1]) / 2);
    Slices slices = slice(mesh, middles, progress);
    for (std::size_t k = 0; k < middles.size(); ++k) {
      Polygons area = std::move(slices.sections[k]);
      for (std::size_t l = layerOver(heights[k] - plan_.spans.front().height());
           l < plan_.count() && plan_.spans[l].bottom < heights[k + 1] - level; ++l)
        if (plan_.spans[l].top > heights[k] + level) area = subtract(area, sections_[l]);
      area = withoutCrumbs(area, crumb);
      if (!area.empty()) slabs_.push_back({heights[k], heights[k + 1], std::move(area), {}});
    }
  }

  // The first layer that begins at z or above.
  std::size_t layerOver(double z) const {
    const auto found = std::lower_bound(plan_.spans.begin(), plan_.spans.end(), z - level,
                                        [](const LayerSpan& span, double height) { return span.bottom < height; });
    return static_cast<std::size_t>(found - plan_.spans.begin());
  }

  bool goesOn(std::size_t s) const { return s + 1 < slabs_.size() && slabs_[s + 1].bottom - slabs_[s].top < level; }

  void findContact(std::size_t s) {
    Slab& slab = slabs_[s];
    Polygons open = goesOn(s) ? subtract(slab.area, slabs_[s + 1].area) : slab.area;
    const std::size_t first = layerOver(slab.top);
    for (std::size_t l = first; l < std::min(plan_.count(), first + farthestCarried) && !open.empty(); ++l) {
      const Polygons carried = withoutCrumbs(intersect(open, sections_[l]), crumb);
      if (carried.empty()) continue;
      rests_[l] = unite(rests_[l], carried);
      slab.carries = unite(slab.carries, carried);
      open = subtract(open, carried);
      area_ += area(carried);
    }
    if (!slab.carries.empty()) out_.column.contactTops.push_back(slab.top);
  }

  ColumnSlab divided(std::size_t s) const {
    Polygons under;
    for (std::size_t k = s; k < s + static_cast<std::size_t>(rules_.interfaceLayers) && k < slabs_.size(); ++k) {
      if (!slabs_[k].carries.empty()) under = unite(under, slabs_[k].carries);
      if (!goesOn(k)) break;
    }
    const Slab& slab = slabs_[s];
    const Polygons interface = under.empty() ? Polygons() : intersect(slab.area, under);
    return {slab.bottom, slab.top, interface.empty() ? slab.area : subtract(slab.area, interface), interface};
  }

  void tellDemand() {
    std::size_t first = 0, last = plan_.count();
    while (first < last && rests_[first].empty()) ++first;
    while (last > first && rests_[last - 1].empty()) --last;
    if (first == last) {  // it carries nothing: it is there all the same
      first = std::min(layerOver(slabs_.back().top), plan_.count() - 1);
      last = first + 1;
      rests_[first] = slabs_.back().area;
    }
    out_.demand.lowest = first;
    out_.demand.layers.assign(rests_.begin() + static_cast<std::ptrdiff_t>(first),
                              rests_.begin() + static_cast<std::ptrdiff_t>(last));
    out_.demand.contacts = {{{CauseKind::elsewhere, out_.demand.part, 0}, area_}};
    out_.column.wanted = area_;
  }

  const LayerPlan& plan_;
  const std::vector<Polygons>& sections_;
  const SupportRules& rules_;
  std::vector<Slab> slabs_;      // ascending
  std::vector<Polygons> rests_;  // by layer of the plan: the part's underside over it
  double area_ = 0;              // mm² of that
  MadeElsewhere out_;
};

}  // namespace

std::shared_ptr<const MadeElsewhere> madeElsewhere(const TriangleMesh& mesh, const CarriedPart& part,
                                                   const SupportRules& rules, const Progress& progress) {
  if (part.plan.count() == 0) return nullptr;
  return Taking(part, rules).take(mesh, progress);
}

}  // namespace trellis
