// SPDX-License-Identifier: GPL-3.0-or-later
// The layers of a print: which part layers and support layers are printed at one height, and how.
#pragma once

#include "core/document/project.hpp"
#include "core/gcode/print.hpp"
#include "core/results/part_recipes.hpp"
#include "core/support/supports.hpp"
#include "core/toolpath/adhesion.hpp"
#include "core/toolpath/part_paths.hpp"
#include "core/toolpath/prime_tower.hpp"
#include "core/toolpath/raised_code.hpp"
#include "core/toolpath/support_paths.hpp"
#include "core/toolpath/travel.hpp"

namespace trellis {

struct RegionLineInputs {
  std::shared_ptr<const PieceRegion> region;
  int crossing = 0;
  SupportPathRules rules;
};
extern const Recipe<std::vector<Stages>, RegionLineInputs> regionLines;

struct PartLineInputs {
  Kept<Sections> sections;
  Kept<std::vector<Polygons>> buried;
  std::size_t layer = 0;
  Polygons carried;  // what support lies right under it
  PartRules rules;
};
extern const Recipe<PartPaths, PartLineInputs> partLines;

// All that one layer is printed from.
struct PrintLayerInputs {
  double bottom = 0, top = 0;
  bool supportOnly = false, isFirst = false;
  bool backwards = false;  // every other layer: it begins where the one below ends
  Filament firstFilament = Filament::first, lastFilament = Filament::first;
  std::vector<PathGroup> around;  // skirt and brim, before everything else
  std::vector<PathGroup> raft;
  struct Region {
    Kept<std::vector<Stages>> lines;
    std::size_t piece = 0;
    Filament filament = Filament::first;
  };
  std::vector<Region> regions;
  std::vector<TiePrint> ties;
  struct PartLayer {
    std::size_t part = 0;
    Kept<PartPaths> paths;
  };
  std::vector<PartLayer> parts;
  PathGroup tower;
  MotionRules motion;
  TravelRules travel;
  Point beside{0, 0};  // where to wait
};
extern const Recipe<PrintLayer, PrintLayerInputs> printLayer;

// Lays the lines of what was built, and then layer on layer by the filaments that were chosen.
class PrintBuilder {
 public:
  // sections and buried as the project's parts.
  PrintBuilder(Store& store, const Project& project, const Supports& supports,
               const std::vector<Kept<Sections>>& sections, const Progress& progress);

  // With these filaments for the bodies of the pieces.
  Print print(const std::vector<Filament>& bodyFilaments);
  const Polygons& raft() const { return raft_; }
  bool towerHasRoom() const { return towerHasRoom_; }
  bool codeHasRoom() const { return codeHasRoom_; }

 private:
  struct Entry {
    double bottom = 0, top = 0;
    std::ptrdiff_t partLayer = -1;                                             // in every part's plan, or −1
    std::ptrdiff_t supportLayer = -1;                                          // in SupportLayers, or −1
    std::ptrdiff_t raftLayer = -1;                                             // counted from the plate, or −1
    Filament firstFilament = Filament::first, lastFilament = Filament::first;  // it begins and ends with
    std::vector<TowerSlab> slabs;
    int raised = -1;  // of the plaque and its letters, counted from the plate, or −1
    std::vector<std::vector<std::size_t>>
        carrying;  // of a part layer, for each part: the support layers right under it
    std::vector<PrintLayerInputs::PartLayer> partPaths;
  };
  void findEntries();
  void layRegions();
  void layParts(const std::vector<Kept<Sections>>& sections);
  bool isFirst(double bottom) const { return bottom < lowest_ + 1e-6; }
  Point placeBeside() const;
  void planFilaments(const std::vector<Filament>& bodyFilaments);
  Polygons carriedUnder(const Entry& entry, std::size_t part) const;
  Filament filamentOf(const PieceRegion& region, const std::vector<Filament>& bodyFilaments) const;
  std::pair<Polygons, Polygons> standing() const;
  Polygons covered(const Polygons& parts, const Polygons& supports) const;
  void raiseCode();
  std::vector<PathGroup> aroundIn(std::size_t i) const;
  PrintLayerInputs inputsOf(std::size_t i, const std::vector<Filament>& bodyFilaments) const;

  Store& store_;
  const Project& project_;
  const Supports& supports_;
  const Progress& progress_;
  std::vector<std::vector<Kept<std::vector<Stages>>>> regionLines_;  // of each support layer, one a region
  struct PartSettings {
    PartRules paths;
    std::vector<double> gapsAbove;  // of all supports under it, each once
    Box2 reach;                     // of the part, in plan
  };
  struct SupportSettings {
    SupportPathRules paths;
    Filament interfaceFilament;
  };
  std::vector<PartSettings> parts_;
  std::vector<SupportSettings> rules_;  // as Supports::rules
  MotionRules motion_;
  TravelRules travel_;
  AdhesionRules adhesion_;
  TowerRules towerRules_;
  PrimeTower tower_;
  Vec2 towerCorner_ = Vec2::Zero();
  bool towerHasRoom_ = true;
  std::optional<RaisedCode> code_;  // the project's, where that is asked for and has room
  bool codeHasRoom_ = true;
  Polygons raft_;              // outline
  double floor_, lowest_ = 0;  // mm, what supports and the print stand on
  Point beside_{0, 0};
  std::vector<Entry> entries_;
};

}  // namespace trellis
