// SPDX-License-Identifier: GPL-3.0-or-later
// What is made of one part alone, from its mesh to where it wants support.
#pragma once

#include "core/document/part.hpp"
#include "core/mesh/health.hpp"
#include "core/mesh/inspect.hpp"
#include "core/mesh/mend.hpp"
#include "core/mesh/neighbours.hpp"
#include "core/results/store.hpp"
#include "core/slice/slices.hpp"
#include "core/support/demand.hpp"
#include "core/toolpath/part_paths.hpp"

namespace trellis {

struct MeshInputs {
  MeshPtr mesh;
};

// What every question about a mesh's surface needs.
struct MeshAnalysis {
  NeighboursPtr neighbours;
  MeshTreePtr tree;
  std::size_t bytes() const;  // the tree's own, about
};
extern const Recipe<MeshAnalysis, MeshInputs> meshAnalysis;

// What is wrong with it: takes long, and nothing but findings waits for it.
struct MeshCondition {
  MeshFigures figures;
  MeshHealth health;
};
extern const Recipe<MeshCondition, MeshInputs> meshCondition;

struct MendInputs {
  MeshPtr mesh;
  MendBy way = MendBy::repair;
};
extern const Recipe<Mended, MendInputs> mendedMesh;

struct PlacedInputs {
  MeshPtr mesh;
  Placement placement;
};
extern const Recipe<TriangleMesh, PlacedInputs> placedMesh;

struct SectionInputs {
  Kept<TriangleMesh> placed;
  LayerRules layers;
};
struct Sections {
  LayerPlan plan;
  std::vector<Polygons> layers;
  std::vector<SliceGap> gaps;
};
extern const Recipe<Sections, SectionInputs> partSections;

struct OverhangInputs {
  Kept<Sections> sections;
  OverhangRules rules;
};
extern const Recipe<Overhangs, OverhangInputs> partOverhangs;

struct SiteInputs {
  Kept<MeshAnalysis> mesh;
  Placement placement;
  Kept<TriangleMesh> placed;
  Kept<Sections> sections;
  Kept<Overhangs> overhangs;
  SiteRules rules;
};
extern const Recipe<Sites, SiteInputs> partSites;

// The part without what has nothing to do with what is decided about its sites, by zones and by props.
Part decisionsOf(const Part& part);
struct DecisionInputs {
  Kept<MeshAnalysis> mesh;
  Part part;  // as of decisionsOf
  Kept<Sections> sections;
  Kept<Overhangs> overhangs;
  Kept<Sites> sites;
  std::vector<std::pair<Overrides, std::size_t>> ownRules;  // the numbers of the part's sets of settings
};
extern const Recipe<ResolvedDecisions, DecisionInputs> partDecisions;

struct ShadowInputs {
  MeshPtr mesh;
  Placement placement;
  MarksPtr marks;
  Kept<Sections> sections;
};
extern const Recipe<MarkShadows, ShadowInputs> partShadows;

struct DemandInputs {
  std::size_t part = 0;  // its number, which its sites of demand bear
  Kept<Sections> sections;
  Kept<Overhangs> overhangs;
  Kept<Sites> sites;
  Kept<MarkShadows> marks, clean, seen;
  Kept<ResolvedDecisions> resolved;
  RulesByIndex rules;  // the part's own first
  ColumnGrid grid;
};
struct PartDemand {
  std::vector<Kept<DemandSite>> sites;  // each by what it is, so that one that did not change makes nothing anew
  std::vector<Polygons> keptFree;
};
extern const Recipe<PartDemand, DemandInputs> partDemand;

struct BuriedInputs {
  Kept<Sections> sections;
  PartRules rules;
};
extern const Recipe<std::vector<Polygons>, BuriedInputs> partBuried;

}  // namespace trellis
