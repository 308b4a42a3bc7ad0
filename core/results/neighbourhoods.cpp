// SPDX-License-Identifier: GPL-3.0-or-later
// Which parts may get into each other's way, and how what was built of each group becomes one.
#include "core/base/disjoint_sets.hpp"
#include "core/results/support_recipes.hpp"
#include "core/results/supports_builder.hpp"
#include "core/support/column_descent.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <tuple>

namespace trellis {

namespace {

// How far supports of a part may reach past it, mm: by whatever of its settings reaches farthest.
double supportReach(const Project& project, std::size_t p, double height) {
  const Part& part = *project.parts[p];
  const Settings settings = settingsOf(project, p);
  std::vector<Settings> all{settings};
  for (const Zone& zone : part.zones) all.push_back(settings.with(zone.settings));
  for (const Prop& prop : part.props) all.push_back(settings.with(prop.settings));
  for (const SiteDecision& site : part.sites) all.push_back(settings.with(site.settings));
  double reach = 0;
  for (const Settings& own : all) {
    SupportRules rules = supportRules(own);
    const double feet = std::max({rules.footSpread, rules.footWidth, rules.trunkWidth});
    const double branches = rules.structure == Structure::tree ? branchReach + feet : 0;
    rules.structure = Structure::normal;  // holds are columns under trees too
    reach = std::max(reach, std::max(branches, spreadOf(rules, height)) + rules.gapBeside);
  }
  return reach;
}

Box2 reachOf(const Project& project, const PartResults& known) {
  const Box3& bounds = known.placed->bounds;
  const double reach = supportReach(project, known.part, std::max(0.0, bounds.max().z()));
  Box2 box(bounds.min().head<2>().array() - reach, bounds.max().head<2>().array() + reach);
  const Part& part = *project.parts[known.part];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const auto add = [&](const Box3& there) { box.extend(Box2(there.min().head<2>(), there.max().head<2>())); };
  for (const Zone& zone : part.zones) {  // a zone keeps clear, or asks for support, wherever it lies
    if (zone.as != ZoneAs::keepClear) continue;
    const Box3 unit(Vec3::Constant(-0.5), Vec3::Constant(0.5));
    add(unit.transformed(toPlate * zone.toMesh));
  }
  if (part.elsewhere) add(part.elsewhere->bounds.transformed(toPlate));
  for (const Prop& prop : part.props) {
    const Vec2 at = (toPlate * prop.at).head<2>();
    const double half = prop.width / 2 + reach;
    box.extend(Box2(at.array() - half, at.array() + half));
  }
  return box;
}

DemandSitePtr renumbered(const DemandSite& site, const std::vector<std::size_t>& parts,
                         const std::vector<std::size_t>& rules) {
  DemandSite moved = site;
  moved.part = parts[site.part];
  moved.rules = rules[site.rules];
  for (Contact& contact : moved.contacts) contact.cause.part = parts[contact.cause.part];
  return std::make_shared<const DemandSite>(std::move(moved));
}

// The numbers of a group's sites and settings among all.
struct Offsets {
  std::size_t sites = 0;
  std::vector<std::size_t> rules;  // of each of the group's own
};

using Height = std::pair<double, double>;  // top and bottom; those of all groups are multiples of a nanometre
Height heightOf(const SupportLayer& layer) { return {layer.top, layer.bottom}; }

// Layers of one height become one; pieces are numbered by their lowest layer.
SupportLayers merged(const std::vector<Supports>& groups, const std::vector<Offsets>& offsets) {
  using Name = std::pair<std::size_t, std::size_t>;  // a group's, and its piece's
  std::vector<std::tuple<Height, std::size_t, std::size_t>> order;
  for (std::size_t g = 0; g < groups.size(); ++g) {
    std::vector<bool> known(groups[g].support->pieces.size(), false);
    for (const SupportLayer& layer : groups[g].support->layers)
      for (const PieceRegion& region : layer.regions)
        if (!known[region.piece]) {
          known[region.piece] = true;
          order.emplace_back(heightOf(layer), g, region.piece);
        }
  }
  std::sort(order.begin(), order.end());
  SupportLayers all;
  std::map<Name, std::size_t> numbers;
  for (const auto& [height, g, p] : order) {
    numbers[{g, p}] = all.pieces.size();
    Piece piece = groups[g].support->pieces[p];
    for (std::size_t& site : piece.sites) site += offsets[g].sites;
    all.pieces.push_back(std::move(piece));
  }
  std::map<Height, SupportLayer> layers;
  for (std::size_t g = 0; g < groups.size(); ++g)
    for (const SupportLayer& from : groups[g].support->layers) {
      SupportLayer& into = layers[heightOf(from)];
      into.bottom = from.bottom;
      into.top = from.top;
      for (PieceRegion region : from.regions) {
        region.piece = numbers[{g, region.piece}];
        region.rules = offsets[g].rules[region.rules];
        into.regions.push_back(std::move(region));
      }
      for (TieGroup ties : from.ties) {
        ties.piece = numbers[{g, ties.piece}];
        ties.rules = offsets[g].rules[ties.rules];
        into.ties.push_back(std::move(ties));
      }
    }
  for (auto& [height, layer] : layers) {
    std::stable_sort(layer.regions.begin(), layer.regions.end(),
                     [](const PieceRegion& a, const PieceRegion& b) { return a.piece < b.piece; });
    layer.key = keyOfLayer(layer);
    all.layers.push_back(std::move(layer));
  }
  return all;
}

}  // namespace

std::vector<std::vector<std::size_t>> neighbourhoods(const Project& project, const std::vector<PartResults>& parts) {
  std::vector<Box2> boxes;
  std::vector<std::size_t> byLeft(parts.size());
  for (std::size_t p = 0; p < parts.size(); ++p) {
    boxes.push_back(reachOf(project, parts[p]));
    byLeft[p] = p;
  }
  std::sort(byLeft.begin(), byLeft.end(), [&](std::size_t a, std::size_t b) {
    return std::pair(boxes[a].min().x(), a) < std::pair(boxes[b].min().x(), b);
  });
  DisjointSets sets(parts.size());
  for (std::size_t i = 0; i < byLeft.size(); ++i)
    for (std::size_t k = i + 1; k < byLeft.size() && boxes[byLeft[k]].min().x() <= boxes[byLeft[i]].max().x(); ++k)
      if (boxes[byLeft[i]].intersects(boxes[byLeft[k]])) sets.join(byLeft[i], byLeft[k]);
  std::map<std::size_t, std::vector<std::size_t>> groups;
  for (std::size_t p = 0; p < parts.size(); ++p) groups[sets.find(p)].push_back(p);
  std::vector<std::vector<std::size_t>> result;
  for (auto& [root, members] : groups) result.push_back(std::move(members));
  std::sort(result.begin(), result.end());
  return result;
}

Supports together(std::vector<Supports> groups, const std::vector<std::vector<std::size_t>>& neighbourhoods,
                  std::size_t partCount) {
  if (groups.size() == 1) return std::move(groups.front());
  Supports all;
  all.parts.resize(partCount);
  std::vector<Offsets> offsets(groups.size());
  all.rules.resize(partCount);
  for (std::size_t g = 0; g < groups.size(); ++g) {
    const std::vector<std::size_t>& members = neighbourhoods[g];
    if (groups[g].plan.count() > all.plan.count()) all.plan = groups[g].plan;
    for (std::size_t r = 0; r < groups[g].rules.size(); ++r) {
      RuleSet& rules = groups[g].rules[r];
      rules.part = members[rules.part];
      const bool isParts = r < members.size();
      offsets[g].rules.push_back(isParts ? members[r] : all.rules.size());
      if (isParts)
        all.rules[members[r]] = std::move(rules);
      else
        all.rules.push_back(std::move(rules));
    }
    offsets[g].sites = all.demand.size();
    for (std::size_t k = 0; k < members.size(); ++k) all.parts[members[k]] = std::move(groups[g].parts[k]);
    for (const DemandSitePtr& site : groups[g].demand)
      all.demand.push_back(renumbered(*site, members, offsets[g].rules));
    all.columns.insert(all.columns.end(), groups[g].columns.begin(), groups[g].columns.end());
    all.trees.insert(all.trees.end(), groups[g].trees.begin(), groups[g].trees.end());
  }
  all.support = std::make_shared<const SupportLayers>(merged(groups, offsets));
  return all;
}

}  // namespace trellis
