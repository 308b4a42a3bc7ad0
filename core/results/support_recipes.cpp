// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/support_recipes.hpp"

namespace trellis {

namespace {

Obstacles obstruct(const ObstacleInputs& in, const Progress& progress) {
  std::vector<PartObstacles> parts;
  for (const InTheWay& part : in.parts) parts.push_back({part.sections->layers, part.overhangs->demand, part.gaps});
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
  return Reachability(*in.obstacles, *in.noLanding, in.rules, neckRadius(in.rules), ground.intersection(in.plate),
                      progress);
}

BranchGraph branch(const BranchInputs& in, const Progress& progress) {
  std::vector<Tip> all;
  for (const Kept<std::vector<Tip>>& tips : in.tips) all.insert(all.end(), tips->begin(), tips->end());
  return growBranchGraph(all, *in.reachability, in.rules, progress);
}

Column descend(const ColumnInputs& in, const Progress& progress) {
  return buildColumn(*in.demand, *in.obstacles, *in.noLanding, in.rules, in.tree.value.get(), progress);
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
const Recipe<SupportLayers, AssemblyInputs> supportLayers{"support layers", assemble};

}  // namespace trellis
