// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/demand.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/base/parallel.hpp"

#include <map>

namespace trellis {

namespace {

constexpr double smallest = 1e-3;  // mm²; less demand than this is rounding
constexpr double touching = 0.02;  // mm; neighbours in a slope share an outline up to rounding

const Polygons& proposal(const Overhangs& overhangs, Source source, std::size_t layer) {
  static const Polygons nothing;
  switch (source) {
    case Source::overhangs: return overhangs.demand[layer];
    case Source::floating: return overhangs.floating[layer];
    case Source::decisions: break;
  }
  return nothing;
}

void noteBeyondLean(DemandSite& site, const Overhangs& overhangs) {
  std::vector<Polygons> beyond(site.layers.size());
  bool any = false;
  for (std::size_t k = 0; k < beyond.size(); ++k) {
    beyond[k] = withoutSpecks(subtract(site.layers[k], overhangs.demand[site.lowest + k]), smallest);
    any = any || !beyond[k].empty();
  }
  if (any) site.beyondLean = std::move(beyond);
}

}  // namespace

std::vector<Polygons> findDemand(const Overhangs& overhangs, const MarkShadows& shadows, Source source,
                                 const Progress& progress) {
  std::vector<Polygons> demand(overhangs.steps.size());
  parallelFor(demand.size(), progress, [&](std::size_t i) {
    Polygons wanted = subtract(proposal(overhangs, source, i), shadows.blocked[i]);
    if (!shadows.enforced[i].empty()) wanted = unite(wanted, intersect(overhangs.steps[i], shadows.enforced[i]));
    demand[i] = withoutSpecks(std::move(wanted), smallest);
  });
  return demand;
}

std::vector<DemandSite> findSites(std::size_t part, const std::vector<Polygons>& demand, const Overhangs& overhangs,
                                  const Progress& progress) {
  std::vector<std::vector<Polygons>> pieces(demand.size());
  parallelFor(demand.size(), progress, [&](std::size_t i) { pieces[i] = components(demand[i]); });
  std::vector<std::size_t> first(demand.size() + 1, 0);
  for (std::size_t i = 0; i < demand.size(); ++i) first[i + 1] = first[i] + pieces[i].size();

  std::vector<std::vector<std::pair<std::size_t, std::size_t>>> touches(demand.size());
  parallelFor(demand.empty() ? 0 : demand.size() - 1, progress, [&](std::size_t i) {
    for (std::size_t a = 0; a < pieces[i].size(); ++a)
      for (std::size_t b = 0; b < pieces[i + 1].size(); ++b)
        if (meet(pieces[i][a], pieces[i + 1][b], touching)) touches[i].emplace_back(first[i] + a, first[i + 1] + b);
  });
  DisjointSets sets(first.back());
  for (const auto& layer : touches)
    for (const auto& [a, b] : layer) sets.join(a, b);

  std::map<std::size_t, DemandSite> sites;  // by lowest piece, so in order of height
  for (std::size_t i = 0; i < demand.size(); ++i)
    for (std::size_t a = 0; a < pieces[i].size(); ++a) {
      DemandSite& site = sites[sets.find(first[i] + a)];
      if (site.layers.empty()) site = {part, i, {}, {}};
      site.layers.resize(i - site.lowest + 1);
      Polygons& layer = site.layers.back();
      layer.insert(layer.end(), pieces[i][a].begin(), pieces[i][a].end());
    }
  std::vector<DemandSite> result;
  for (auto& [lowest, site] : sites) result.push_back(std::move(site));
  parallelFor(result.size(), progress, [&](std::size_t s) { noteBeyondLean(result[s], overhangs); });
  return result;
}

}  // namespace trellis
