// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/support_layers.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/base/key.hpp"
#include "core/base/parallel.hpp"
#include "core/geometry/box_index.hpp"

#include <algorithm>
#include <cmath>
#include <functional>
#include <map>
#include <optional>
#include <tuple>

namespace trellis {

namespace {

constexpr double eps = 1e-6;       // mm; heights this near are the same
constexpr double smallest = 0.01;  // mm²

using Columns = std::vector<std::shared_ptr<const Column>>;
using Height = std::pair<double, double>;  // top and bottom

// To the nanometre, so that equal is equal to the last bit, whichever column a height was reckoned for.
Height heightOf(const ColumnSlab& slab) {
  constexpr double perMm = 1e6;
  return {std::round(slab.top * perMm) / perMm, std::round(slab.bottom * perMm) / perMm};
}

struct Extent {
  Box2 box;
  double top = 0;
};

constexpr auto itsBox = [](const auto& one) { return one.box; };

Extent extentOf(const Column& column) {
  Extent extent;
  for (const ColumnSlab& slab : column.slabs) {
    for (const auto which : areasOfKind) extent.box.extend(boundsOf(slab.*which));
    extent.top = std::max(extent.top, slab.top);
  }
  return extent;
}

// Slabs of another column that share some height with this one without being the same layer. They come
// highest step first, and no step is thicker than a millimetre, which bounds the search.
template <typename Visit>
void forEachBeside(const ColumnSlab& slab, const std::vector<ColumnSlab>& others, const Visit& visit) {
  const auto first =
      std::partition_point(others.begin(), others.end(), [&](const ColumnSlab& o) { return o.top >= slab.top + 2.0; });
  for (auto other = first; other != others.end() && other->top > slab.bottom - 1.0; ++other)
    if (other->top > slab.bottom + eps && other->bottom < slab.top - eps && heightOf(*other) != heightOf(slab))
      visit(*other);
}

// The slabs of one column without what lower columns keep for themselves.
std::vector<ColumnSlab> besideOthers(std::size_t self, const Columns& columns, const std::vector<Extent>& extents,
                                     const BoxIndex& places) {
  std::vector<ColumnSlab> slabs = columns[self]->slabs;
  for (const std::size_t other : places.meeting(extents[self].box)) {
    const bool keeps = std::pair(extents[other].top, other) < std::pair(extents[self].top, self);
    if (!keeps) continue;
    for (ColumnSlab& slab : slabs)
      forEachBeside(slab, columns[other]->slabs, [&](const ColumnSlab& theirs) {
        for (const auto kept : areasOfKind)
          for (const auto which : areasOfKind)
            if (!(theirs.*kept).empty() && !(slab.*which).empty()) slab.*which = subtract(slab.*which, theirs.*kept);
      });
  }
  return slabs;
}

struct Region {
  RegionKind kind;
  Polygons area, beside;
  Box2 box;
  std::vector<std::size_t> sites;
  std::size_t rules;
};

using Slabs = std::vector<std::pair<std::size_t, const ColumnSlab*>>;  // with the column each belongs to

struct Draft {
  double bottom, top;
  Slabs slabs;
  std::map<std::size_t, Slabs, std::greater<>> byRules;  // those of sites, zones and props before the parts' own
  std::vector<Region> regions;
};

// Outlines of one use, with the sites they are of, by where they lie.
class Outlines {
 public:
  void add(const Polygons& more, std::size_t site) {
    for (const Polygon& outline : more) {
      outlines_.push_back(&outline);
      boxes_.push_back(boundsOf({outline}));
      sites_.push_back(site);
    }
  }
  void find() { index_.emplace(boxes_); }

  // The sites that reach into a region: nearly always some outline of theirs begins there, for a region is a union of
  // whole outlines but for what other uses take from it.
  std::vector<std::size_t> sitesIn(const Polygons& region, const Box2& box) const {
    const std::vector<std::size_t> meeting = index_->meeting(box);
    std::vector<std::size_t> sites;
    for (const std::size_t o : meeting)
      if (const Point& first = outlines_[o]->front(); box.contains(toMm(first)) && contains(region, first))
        sites.push_back(sites_[o]);
    if (sites.empty()) {
      std::map<std::size_t, Polygons> bySite;
      for (const std::size_t o : meeting) bySite[sites_[o]].push_back(*outlines_[o]);
      for (const auto& [site, theirs] : bySite)
        if (area(intersect(region, theirs)) > smallest / 10) sites.push_back(site);
    }
    std::sort(sites.begin(), sites.end());
    sites.erase(std::unique(sites.begin(), sites.end()), sites.end());
    return sites;
  }

  // Those that come near a box.
  void reachingTo(const Box2& box, Polygons& found) const {
    constexpr double seam = 0.1;  // mm
    for (const std::size_t o : index_->meeting(box, seam)) found.push_back(*outlines_[o]);
  }

 private:
  std::vector<const Polygon*> outlines_;
  std::vector<Box2> boxes_;
  std::vector<std::size_t> sites_;
  std::optional<BoxIndex> index_;
};

// What slabs of one use and of the same settings cover, as regions.
struct Use {
  RegionKind kind;
  std::size_t rules;
};
void addRegions(Draft& draft, const Use& use, const Slabs& slabs, const Polygons& all, const Outlines& taken) {
  Outlines own, notches;
  for (const auto& [site, slab] : slabs) {
    own.add(slab->*areasOfKind[static_cast<std::size_t>(use.kind)], site);
    notches.add(slab->notches, site);
  }
  own.find();
  notches.find();
  for (Polygons& component : components(withoutSpecks(all, smallest))) {
    if (area(component) < smallest) continue;
    const Box2 box = boundsOf(component);
    std::vector<std::size_t> sites = own.sitesIn(component, box);
    Polygons beside;
    if (use.kind == RegionKind::body || use.kind == RegionKind::graded) taken.reachingTo(box, beside);
    notches.reachingTo(box, beside);
    draft.regions.push_back({use.kind, std::move(component), std::move(beside), box, std::move(sites), use.rules});
  }
}

void fillDraft(Draft& draft) {
  Polygons taken;  // by uses that win, and by settings of their own
  for (std::size_t k = areasOfKind.size(); k-- > 0;)
    for (const auto& [rules, slabs] : draft.byRules) {
      Polygons all;
      for (const auto& [site, slab] : slabs)
        all.insert(all.end(), (slab->*areasOfKind[k]).begin(), (slab->*areasOfKind[k]).end());
      if (all.empty()) continue;
      if (draft.slabs.size() > 1 && !taken.empty()) all = subtract(all, taken);
      Outlines before;
      before.add(taken, 0);
      before.find();
      addRegions(draft, {static_cast<RegionKind>(k), rules}, slabs, all, before);
      taken.insert(taken.end(), all.begin(), all.end());
    }
}

using Pairs = std::vector<std::pair<std::size_t, std::size_t>>;  // numbers of regions

// Regions of one layer and of layers that touch or overlap it in height, as pairs with overlapping boxes.
std::vector<Pairs> findNeighbours(const std::vector<Draft>& drafts, const std::vector<std::size_t>& first,
                                  const Progress& progress) {
  std::vector<Pairs> pairs(drafts.size());
  std::vector<std::optional<BoxIndex>> places(drafts.size());
  parallelFor(drafts.size(), progress, [&](std::size_t l) { places[l].emplace(boxesOf(drafts[l].regions, itsBox)); });
  parallelFor(drafts.size(), progress, [&](std::size_t l) {
    // Layers ascend by top, so those that begin above this one's top are not all at the end: a layer is
    // never thicker than a millimetre, which bounds the search.
    for (std::size_t m = l; m < drafts.size() && drafts[m].top <= drafts[l].top + 1.0; ++m) {
      if (drafts[m].bottom > drafts[l].top + eps) continue;
      for (std::size_t a = 0; a < drafts[l].regions.size(); ++a)
        for (const std::size_t b : places[m]->meeting(drafts[l].regions[a].box, eps))
          if (m != l || b > a) pairs[l].emplace_back(first[l] + a, first[m] + b);
    }
  });
  return pairs;
}

// Whether one of a few corners of one region lies in the other: nearly always so where one stands on the
// other.
bool sharesCorner(const Region& a, const Region& b) {
  constexpr std::size_t asked = 8;  // corners of each outline
  const auto oneWay = [](const Region& inner, const Region& outer) {
    for (const Polygon& outline : inner.area)
      for (std::size_t i = 0; i < outline.size(); i += outline.size() / asked + 1)
        if (outer.box.contains(toMm(outline[i])) && contains(outer.area, outline[i])) return true;
    return false;
  };
  return a.area == b.area || oneWay(a, b) || oneWay(b, a);
}

// Which regions belong to one piece. The costly question is put only to pairs that nothing else joins.
DisjointSets findPieces(const std::vector<Draft>& drafts, const std::vector<std::size_t>& first,
                        const Progress& progress) {
  std::vector<const Region*> regions;
  for (const Draft& draft : drafts)
    for (const Region& region : draft.regions) regions.push_back(&region);
  std::vector<Pairs> pairs = findNeighbours(drafts, first, progress);
  DisjointSets sets(regions.size());
  const auto joinWhere = [&](const auto& inContact) {
    std::vector<std::vector<char>> found(pairs.size());
    parallelFor(pairs.size(), progress, [&](std::size_t l) {
      for (const auto& [a, b] : pairs[l]) found[l].push_back(inContact(*regions[a], *regions[b]));
    });
    for (std::size_t l = 0; l < pairs.size(); ++l)
      for (std::size_t k = 0; k < pairs[l].size(); ++k)
        if (found[l][k]) sets.join(pairs[l][k].first, pairs[l][k].second);
  };
  joinWhere(sharesCorner);
  for (Pairs& layer : pairs)
    std::erase_if(layer, [&](const auto& pair) { return sets.find(pair.first) == sets.find(pair.second); });
  joinWhere([](const Region& a, const Region& b) { return !intersect(a.area, b.area).empty(); });
  return sets;
}

void account(Piece& piece, const Region& region, const Draft& draft, bool isTop) {
  piece.lowest = std::min(piece.lowest, draft.bottom);
  piece.highest = std::max(piece.highest, draft.top);
  piece.sites.insert(piece.sites.end(), region.sites.begin(), region.sites.end());
  std::sort(piece.sites.begin(), piece.sites.end());
  piece.sites.erase(std::unique(piece.sites.begin(), piece.sites.end()), piece.sites.end());
  if (isTop) piece.contactAbove += area(region.area);
}

// Whether a part's underside lies right over a region of this layer.
bool carries(const Region& region, double top, const Columns& columns) {
  return std::any_of(region.sites.begin(), region.sites.end(), [&](std::size_t site) {
    const auto& tops = columns[site]->contactTops;
    return std::any_of(tops.begin(), tops.end(), [&](double contact) { return std::abs(contact - top) < eps; });
  });
}

}  // namespace

Key keyOfLayer(const SupportLayer& layer) {
  KeyBuilder key;
  key.add(layer.bottom).add(layer.top);
  for (const PieceRegion& region : layer.regions) key.add(region.piece).add(region.key);
  for (const TieGroup& ties : layer.ties) key.add(ties.piece).add(ties.lines);
  return key.key();
}

SupportLayers assembleSupport(const Columns& columns, const std::vector<std::size_t>& rules, const Progress& progress) {
  std::vector<Extent> extents(columns.size());
  std::vector<std::vector<ColumnSlab>> slabs(columns.size());
  parallelFor(columns.size(), progress, [&](std::size_t i) { extents[i] = extentOf(*columns[i]); });
  const BoxIndex places(boxesOf(extents, itsBox));
  parallelFor(columns.size(), progress, [&](std::size_t i) { slabs[i] = besideOthers(i, columns, extents, places); });

  std::map<Height, Draft> byHeight;
  for (std::size_t i = 0; i < slabs.size(); ++i)
    for (const ColumnSlab& slab : slabs[i]) {
      const Height height = heightOf(slab);
      Draft& draft = byHeight[height];
      std::tie(draft.top, draft.bottom) = height;
      draft.slabs.emplace_back(i, &slab);
      draft.byRules[rules[i]].emplace_back(i, &slab);
    }
  std::vector<Draft> drafts;
  for (auto& [height, draft] : byHeight) drafts.push_back(std::move(draft));
  parallelFor(drafts.size(), progress, [&](std::size_t l) { fillDraft(drafts[l]); });

  std::vector<std::size_t> first(drafts.size() + 1, 0);
  for (std::size_t l = 0; l < drafts.size(); ++l) first[l + 1] = first[l] + drafts[l].regions.size();
  DisjointSets sets = findPieces(drafts, first, progress);

  SupportLayers result;
  std::map<std::size_t, std::size_t> numbers;
  for (std::size_t l = 0; l < drafts.size(); ++l) {
    SupportLayer layer{drafts[l].bottom, drafts[l].top, {}, {}, 0};
    for (std::size_t r = 0; r < drafts[l].regions.size(); ++r) {
      Region& region = drafts[l].regions[r];
      const auto [entry, fresh] = numbers.try_emplace(sets.find(first[l] + r), result.pieces.size());
      if (fresh) result.pieces.push_back({drafts[l].bottom, drafts[l].top, {}, 0});
      account(result.pieces[entry->second], region, drafts[l], carries(region, drafts[l].top, columns));
      const Key regionKey = keyOf(region.kind, region.area, region.beside);
      for (const auto& [site, slab] : drafts[l].slabs)
        if (!slab->ties.empty() && std::find(region.sites.begin(), region.sites.end(), site) != region.sites.end() &&
            contains(region.area, slab->ties.front().back()))
          layer.ties.push_back({entry->second, rules[site], slab->ties});
      layer.regions.push_back(
          {entry->second, region.kind, region.rules, std::move(region.area), regionKey, std::move(region.beside)});
    }
    if (layer.regions.empty()) continue;
    std::stable_sort(layer.regions.begin(), layer.regions.end(),
                     [](const PieceRegion& a, const PieceRegion& b) { return a.piece < b.piece; });
    layer.key = keyOfLayer(layer);
    result.layers.push_back(std::move(layer));
  }
  std::vector<KeyBuilder> ids(result.pieces.size());
  for (const SupportLayer& layer : result.layers)
    for (const PieceRegion& region : layer.regions) ids[region.piece].add(layer.bottom).add(layer.top).add(region.key);
  for (std::size_t p = 0; p < ids.size(); ++p) result.pieces[p].id = ids[p].key();
  return result;
}

}  // namespace trellis
