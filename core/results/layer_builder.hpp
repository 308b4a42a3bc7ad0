// SPDX-License-Identifier: GPL-3.0-or-later
// The layers of a print: which part layers and support layers are printed at one height, and how.
#pragma once

#include "core/assess/build.hpp"
#include "core/toolpath/adhesion.hpp"
#include "core/toolpath/part_paths.hpp"
#include "core/toolpath/prime_tower.hpp"
#include "core/toolpath/support_paths.hpp"

#include <unordered_map>

namespace trellis {

// Lines that are laid already, by the keys of what they were laid from: those of a support region, and
// those of one layer of every part.
struct PathCache {
  std::unordered_map<std::uint64_t, std::shared_ptr<const Stages>> regions;
  std::unordered_map<std::uint64_t, std::shared_ptr<const std::vector<PartPaths>>> partLayers;
};

class LayerBuilder {
 public:
  // bodyTools is the filament of each piece's body; sectionsKey is that of all parts' sections. book holds the lines of
  // an earlier build; afterwards those of this one.
  LayerBuilder(const Project& project, const Build& build, const std::vector<int>& bodyTools, std::uint64_t sectionsKey,
               PathCache& book, const Progress& progress);

  std::size_t count() const { return entries_.size(); }
  // Of all that layer i is made from.
  std::uint64_t keyOf(std::size_t i) const;
  PrintLayer build(std::size_t i) const;
  const PrimeTower& tower() const { return tower_; }
  const Polygons& bed() const { return bed_; }
  bool towerHasRoom() const { return towerHasRoom_; }

 private:
  struct Entry {
    double bottom = 0, top = 0;
    std::ptrdiff_t partLayer = -1;     // in every part's plan, or −1
    std::ptrdiff_t supportLayer = -1;  // in SupportLayers, or −1
    std::ptrdiff_t bedLayer = -1;      // counted from the plate, or −1
    int firstTool = 0, lastTool = 0;   // the filaments it begins and ends with
    std::vector<TowerSlab> slabs;
    std::vector<std::vector<std::size_t>>
        carrying;  // of a part layer, for each part: the support layers right under it
    std::shared_ptr<const std::vector<PartPaths>> partPaths;  // one a part, when there is a part layer
  };
  void findEntries();
  void layRegions(PathCache& book, const Progress& progress);
  void layParts(PathCache& book, const Progress& progress);
  void planTools();
  Polygons carriedUnder(const Entry& entry, std::size_t part) const;
  int toolOf(const PieceRegion& region) const;
  std::pair<Polygons, Polygons> standing() const;
  std::vector<PathGroup> aroundEverything() const;
  std::vector<PathGroup> groupsOf(const Entry& entry, PrintLayer& layer) const;

  const Project& project_;
  const Build& build_;
  const std::vector<int>& bodyTools_;
  std::unordered_map<const PieceRegion*, const Stages*> regionPaths_;  // held by the book
  struct PartSettings {
    PartRules paths;
    std::vector<double> gapsAbove;  // of all supports under it, each once
    std::uint64_t key;
  };
  struct SupportSettings {
    SupportPathRules paths;
    int interfaceTool;
    std::uint64_t key;
  };
  std::vector<PartSettings> parts_;
  std::vector<SupportSettings> supports_;  // as Build::rules
  MotionRules motion_;
  AdhesionRules adhesion_;
  TowerRules towerRules_;
  PrimeTower tower_;
  Vec2 towerCorner_ = Vec2::Zero();
  bool towerHasRoom_ = true;
  Polygons bed_;               // outline
  double floor_, lowest_ = 0;  // mm, what supports and the print stand on
  std::uint64_t sectionsKey_, rulesKey_;
  std::vector<Entry> entries_;
};

}  // namespace trellis
