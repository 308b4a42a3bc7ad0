// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/support_recipes.hpp"

#include <optional>

namespace trellis {

namespace {

std::vector<Polygons> without(std::vector<Polygons> sections, const std::vector<Polygons>& unprinted) {
  for (std::size_t i = 0; i < sections.size(); ++i)
    if (!unprinted[i].empty()) sections[i] = subtract(sections[i], unprinted[i]);
  return sections;
}

Obstacles obstruct(const ObstacleInputs& in, const Progress& progress) {
  std::vector<std::vector<Polygons>> printed;
  for (const InTheWay& part : in.parts) printed.push_back(without(part.sections->layers, part.overhangs->unprinted));
  std::vector<PartObstacles> parts;
  for (std::size_t p = 0; p < in.parts.size(); ++p)
    parts.push_back({in.parts[p].sections->layers, printed[p], in.parts[p].overhangs->demand, in.parts[p].gaps});
  Obstacles found = findObstacles(in.plan, parts, progress);
  found.forbidden = in.forbidden;
  return found;
}

std::vector<Tip> tip(const TipInputs& in, const Progress& progress) {
  return placeTips(*in.demand, *in.obstacles, in.rules, progress);
}

Reachability reach(const ReachabilityInputs& in, const Progress& progress) {
  Box2 box;
  for (const Polygons& section : in.obstacles->sections) box.extend(boundsOf(section));
  const Box2 ground(box.min().array() - branchReach, box.max().array() + branchReach);
  return Reachability({*in.obstacles, *in.noLanding, *in.seen}, in.rules, neckRadius(in.rules),
                      ground.intersection(in.plate), progress);
}

BranchGraph branch(const BranchInputs& in, const Progress& progress) {
  std::vector<Tip> all;
  for (const Kept<std::vector<Tip>>& tips : in.tips) all.insert(all.end(), tips->begin(), tips->end());
  return growBranchGraph(all, *in.reachability, in.rules, progress);
}

constexpr double worthCarrying = 0.1;  // mm²

// Where nothing may stand when seen faces are spared too; none where the column meets none.
std::optional<NoLanding> withSeen(const ColumnInputs& in) {
  NoLanding both = *in.noLanding;
  bool meets = false;
  for (std::size_t l = 0; l <= in.demand->highest(); ++l) {
    const Polygons& seen = (*in.seen)[l];
    both[l].insert(both[l].end(), seen.begin(), seen.end());
    meets = meets || !seen.empty();
  }
  return meets ? std::optional(std::move(both)) : std::nullopt;
}

// Support stands beside seen faces where that carries as much.
Column descend(const ColumnInputs& in, const Progress& progress) {
  const auto standing = [&](const NoLanding& noLanding) {
    return buildColumn(*in.demand, {*in.obstacles, noLanding}, in.rules, in.tree.value.get(), progress);
  };
  Column column = standing(*in.noLanding);
  if (const std::optional<NoLanding> sparing = withSeen(in)) {
    Column beside = standing(*sparing);
    if (beside.withoutFooting < column.withoutFooting + worthCarrying) return beside;
  }
  return column;
}

Brought bring(const BroughtInputs& in, const Progress& progress) {
  const MeshPtr placed = transformed(*in.elsewhere, transformOf(in.placement, *in.mesh));
  return {madeElsewhere(*placed, {in.part, in.sections->plan, in.sections->layers}, in.rules, progress)};
}

SupportLayers assemble(const AssemblyInputs& in, const Progress& progress) {
  std::vector<std::shared_ptr<const Column>> columns;
  for (const Kept<Column>& column : in.columns) columns.push_back(column.value);
  return assembleSupport(columns, in.rules, progress);
}

}  // namespace

const Recipe<Obstacles, ObstacleInputs> obstacleLayers{"obstacles", obstruct};
const Recipe<std::vector<Tip>, TipInputs> siteTips{"tips", tip};
const Recipe<Reachability, ReachabilityInputs> waysToStand{"reachability", reach};
const Recipe<BranchGraph, BranchInputs> branches{"branches", branch};
const Recipe<Column, ColumnInputs> siteColumn{"column", descend};
const Recipe<Brought, BroughtInputs> broughtSupport{"support made elsewhere", bring};
const Recipe<SupportLayers, AssemblyInputs> supportLayers{"support layers", assemble};

}  // namespace trellis
