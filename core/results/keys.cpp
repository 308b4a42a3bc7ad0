// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/keys.hpp"

#include "core/base/key.hpp"
#include "core/geometry/polygon_key.hpp"

namespace trellis {

namespace {

void add(KeyBuilder& key, const Vec3& v) { key.add(v.x()).add(v.y()).add(v.z()); }

}  // namespace

std::uint64_t keyOfOverrides(const Overrides& settings) {
  KeyBuilder key;
  for (const auto& [name, value] : settings) key.add(name).add(toJson(value).dump());
  return key.key();
}

std::uint64_t keyOfDecisions(const Part& part) {
  KeyBuilder key;
  for (const Zone& zone : part.zones) {
    key.add(zone.as)
        .add(zone.shape)
        .add(zone.lean)
        .add(zone.solid ? zone.solid->key : 0)
        .add(keyOfOverrides(zone.settings));
    for (int column = 0; column < 4; ++column) add(key, zone.toMesh.matrix().col(column).head<3>());
  }
  key.add(part.props.size());
  for (const Prop& prop : part.props) {
    key.add(prop.width).add(keyOfOverrides(prop.settings));
    add(key, prop.at);
  }
  for (const SiteDecision& site : part.sites) {
    key.add(site.choice).add(keyOfOverrides(site.settings));
    add(key, site.at);
  }
  return key.key();
}

std::uint64_t keyOfSite(const DemandSite& site) {
  KeyBuilder key;
  key.add(site.part).add(site.rules).add(site.lowest).add(keyOf(site.minimumFootprint)).add(site.walls.size());
  for (const std::vector<Polygons>* layers : {&site.layers, &site.walls, &site.beyondLean})
    for (const Polygons& layer : *layers) key.add(keyOf(layer));
  return key.key();
}

std::uint64_t keyOfBarred(const std::vector<Polygons>& noLanding, const DemandSite& site, double spread) {
  Box2 reach;
  for (const Polygons& layer : site.layers) reach.extend(boundsOf(layer));
  reach = Box2(reach.min().array() - spread, reach.max().array() + spread);
  KeyBuilder key;
  for (std::size_t l = 0; l < noLanding.size() && l <= site.highest(); ++l)
    if (!noLanding[l].empty() && boundsOf(noLanding[l]).intersects(reach)) key.add(l).add(keyOf(noLanding[l]));
  return key.key();
}

std::uint64_t keyOfRules(const SupportRules& rules) {
  return KeyBuilder()
      .add(rules.on)
      .add(rules.source)
      .add(rules.footing)
      .add(rules.freeLean)
      .add(rules.gapAbove)
      .add(rules.gapBelow)
      .add(rules.gapBeside)
      .add(rules.gapHold)
      .add(rules.tieSpacing)
      .add(rules.interfaceLayers)
      .add(rules.lowerLayers)
      .add(rules.gradedLayers)
      .add(rules.footLayers)
      .add(rules.footSpread)
      .add(rules.structure)
      .add(rules.tipSpacing)
      .add(rules.tipWidth)
      .add(rules.branchLean)
      .add(rules.trunkWidth)
      .add(rules.footWidth)
      .add(rules.footHeight)
      .add(rules.outline)
      .add(rules.columnSize)
      .add(rules.lineWidth)
      .add(rules.thinnest)
      .add(rules.thickest)
      .add(rules.floor)
      .key();
}

}  // namespace trellis
