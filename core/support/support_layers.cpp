// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/support_layers.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/base/parallel.hpp"
#include "core/slice/polygon_key.hpp"

#include <algorithm>
#include <map>

namespace trellis {

namespace {

constexpr double eps = 1e-6;         // mm; heights this near are the same
constexpr double touching = 0.02;    // mm of daylight that does not part two regions
constexpr double smallest = 0.01;    // mm²

using Columns = std::vector<std::shared_ptr<const Column>>;
using Height = std::pair<long long, long long>;  // top and bottom in nanometres, so that equal is equal

Height heightOf(const ColumnSlab& slab) { return {std::llround(slab.top * 1e6), std::llround(slab.bottom * 1e6)}; }

struct Extent {
  Box2 box;
  double top = 0;
};

Extent extentOf(const Column& column) {
  Extent extent;
  for (const ColumnSlab& slab : column.slabs) {
    extent.box.extend(boundsOf(slab.body)).extend(boundsOf(slab.interface));
    extent.top = std::max(extent.top, slab.top);
  }
  return extent;
}

// The slabs of one column without what lower columns keep for themselves.
std::vector<ColumnSlab> besideOthers(std::size_t self, const Columns& columns, const std::vector<Extent>& extents) {
  std::vector<ColumnSlab> slabs = columns[self]->slabs;
  for (std::size_t other = 0; other < columns.size(); ++other) {
    const bool keeps = std::pair(extents[other].top, other) < std::pair(extents[self].top, self);
    if (!keeps || extents[self].box.isEmpty() || !extents[self].box.intersects(extents[other].box)) continue;
    for (ColumnSlab& slab : slabs)
      for (const ColumnSlab& theirs : columns[other]->slabs) {
        if (theirs.bottom >= slab.top - eps || theirs.top <= slab.bottom + eps) continue;
        if (heightOf(theirs) == heightOf(slab)) continue;
        for (const Polygons* kept : {&theirs.body, &theirs.interface}) {
          slab.body = subtract(slab.body, *kept);
          slab.interface = subtract(slab.interface, *kept);
        }
      }
  }
  return slabs;
}

struct Region {
  std::size_t layer;
  bool interface;
  Polygons area;
  Box2 box;
  std::vector<std::size_t> sites;
};

struct Draft {
  double bottom, top;
  std::vector<std::pair<std::size_t, const ColumnSlab*>> slabs;  // with the column each belongs to
  std::vector<Region> regions;
};

void addRegions(Draft& draft, std::size_t layer, const Polygons& area, bool interface) {
  for (Polygons& component : components(withoutSpecks(area, smallest))) {
    Region region{layer, interface, std::move(component), {}, {}};
    region.box = boundsOf(region.area);
    for (const auto& [site, slab] : draft.slabs) {
      const Polygons& theirs = interface ? slab->interface : slab->body;
      if (!intersect(theirs, region.area).empty()) region.sites.push_back(site);
    }
    draft.regions.push_back(std::move(region));
  }
}

void fillDraft(Draft& draft, std::size_t layer) {
  Polygons body, interface;
  for (const auto& [site, slab] : draft.slabs) {
    body.insert(body.end(), slab->body.begin(), slab->body.end());
    interface.insert(interface.end(), slab->interface.begin(), slab->interface.end());
  }
  if (draft.slabs.size() > 1) {
    body = unite(body);
    interface = unite(interface);
  }
  addRegions(draft, layer, subtract(body, interface), false);
  addRegions(draft, layer, interface, true);
}

bool inContact(const Region& a, const Region& b) {
  if (a.box.exteriorDistance(b.box) > touching) return false;
  return !intersect(grow(a.area, touching), b.area).empty();
}

// Index pairs of regions in contact, upward from each layer and within it.
std::vector<std::vector<std::pair<std::size_t, std::size_t>>> findContacts(const std::vector<Draft>& drafts,
                                                                           const std::vector<std::size_t>& first,
                                                                           const Progress& progress) {
  std::vector<std::vector<std::pair<std::size_t, std::size_t>>> contacts(drafts.size());
  parallelFor(drafts.size(), progress, [&](std::size_t l) {
    // Layers ascend by top, so those that begin above this one's top are not all at the end: a layer is
    // never thicker than a millimetre, which bounds the search.
    for (std::size_t m = l; m < drafts.size() && drafts[m].top <= drafts[l].top + 1.0; ++m) {
      if (drafts[m].bottom > drafts[l].top + eps) continue;
      for (std::size_t a = 0; a < drafts[l].regions.size(); ++a)
        for (std::size_t b = m == l ? a + 1 : 0; b < drafts[m].regions.size(); ++b)
          if (inContact(drafts[l].regions[a], drafts[m].regions[b])) contacts[l].emplace_back(first[l] + a, first[m] + b);
    }
  });
  return contacts;
}

void account(Piece& piece, const Region& region, const Draft& draft, bool isTop) {
  piece.lowest = std::min(piece.lowest, draft.bottom);
  piece.highest = std::max(piece.highest, draft.top);
  piece.sites.insert(piece.sites.end(), region.sites.begin(), region.sites.end());
  std::sort(piece.sites.begin(), piece.sites.end());
  piece.sites.erase(std::unique(piece.sites.begin(), piece.sites.end()), piece.sites.end());
  if (isTop) piece.contactAbove += area(region.area);
}

// Whether a part's underside lies right over the slabs of this layer.
bool carries(const Draft& draft, const Columns& columns) {
  return std::any_of(draft.slabs.begin(), draft.slabs.end(), [&](const auto& entry) {
    const auto& tops = columns[entry.first]->contactTops;
    return std::any_of(tops.begin(), tops.end(), [&](double top) { return std::abs(top - draft.top) < eps; });
  });
}

}  // namespace

SupportLayers assembleSupport(const Columns& columns, const Progress& progress) {
  std::vector<Extent> extents(columns.size());
  std::vector<std::vector<ColumnSlab>> slabs(columns.size());
  parallelFor(columns.size(), progress, [&](std::size_t i) { extents[i] = extentOf(*columns[i]); });
  parallelFor(columns.size(), progress, [&](std::size_t i) { slabs[i] = besideOthers(i, columns, extents); });

  std::map<Height, Draft> byHeight;
  for (std::size_t i = 0; i < slabs.size(); ++i)
    for (const ColumnSlab& slab : slabs[i]) {
      Draft& draft = byHeight[heightOf(slab)];
      draft.bottom = slab.bottom;
      draft.top = slab.top;
      draft.slabs.emplace_back(i, &slab);
    }
  std::vector<Draft> drafts;
  for (auto& [height, draft] : byHeight) drafts.push_back(std::move(draft));
  parallelFor(drafts.size(), progress, [&](std::size_t l) { fillDraft(drafts[l], l); });

  std::vector<std::size_t> first(drafts.size() + 1, 0);
  for (std::size_t l = 0; l < drafts.size(); ++l) first[l + 1] = first[l] + drafts[l].regions.size();
  DisjointSets sets(first.back());
  for (const auto& layer : findContacts(drafts, first, progress))
    for (const auto& [a, b] : layer) sets.join(a, b);

  SupportLayers result;
  std::map<std::size_t, std::size_t> numbers;
  for (std::size_t l = 0; l < drafts.size(); ++l) {
    SupportLayer layer{drafts[l].bottom, drafts[l].top, {}, 0};
    const bool isTop = carries(drafts[l], columns);
    for (std::size_t r = 0; r < drafts[l].regions.size(); ++r) {
      Region& region = drafts[l].regions[r];
      const auto [entry, fresh] = numbers.try_emplace(sets.find(first[l] + r), result.pieces.size());
      if (fresh) result.pieces.push_back({drafts[l].bottom, drafts[l].top, {}, 0});
      account(result.pieces[entry->second], region, drafts[l], isTop);
      layer.regions.push_back({entry->second, region.interface, std::move(region.area)});
    }
    if (layer.regions.empty()) continue;
    std::stable_sort(layer.regions.begin(), layer.regions.end(),
                     [](const PieceRegion& a, const PieceRegion& b) { return a.piece < b.piece; });
    KeyBuilder key;
    key.add(layer.bottom).add(layer.top);
    for (const PieceRegion& region : layer.regions) key.add(region.piece).add(region.interface).add(keyOf(region.area));
    layer.key = key.key();
    result.layers.push_back(std::move(layer));
  }
  return result;
}

}  // namespace trellis
