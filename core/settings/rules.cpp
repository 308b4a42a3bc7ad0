// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/settings/rules.hpp"

#include <fmt/format.h>

#include <algorithm>

namespace trellis {

namespace {

Pattern patternNamed(const std::string& name) {
  return name == "crossed"      ? Pattern::crossed
         : name == "zigzag"     ? Pattern::zigzag
         : name == "concentric" ? Pattern::concentric
                                : Pattern::lines;
}

}  // namespace

double hangsBeyond(const Settings& settings) {
  constexpr double tolerance = 1, steepest = 89;  // degrees
  return std::min(settings.number("support.free_lean") + tolerance, steepest);
}

LayerRules layerRules(const Settings& settings) {
  return {settings.number("layer.height"), settings.number("layer.first")};
}

SupportRules supportRules(const Settings& settings) {
  SupportRules rules;
  rules.on = settings.yes("support.on");
  const std::string& source = settings.text("support.source");
  rules.source = source == "overhangs"  ? Source::overhangs
                 : source == "floating" ? Source::floating
                                        : Source::decisions;
  rules.footing = settings.text("support.footing") == "plate" ? Footing::plate : Footing::any;
  rules.freeLean = hangsBeyond(settings);
  rules.gapAbove = settings.number("support.gap.above");
  rules.gapBelow = settings.number("support.gap.below");
  rules.gapBeside = settings.number("support.gap.beside");
  rules.gapSlope = settings.number("support.gap.slope");
  rules.gapHold = settings.number("support.gap.hold");
  rules.tieSpacing = settings.number("support.hold.tie_spacing");
  rules.bridgeLimit = settings.number("support.bridge_limit");
  rules.interfaceLayers = settings.whole("support.interface.upper.layers");
  rules.lowerLayers = settings.whole("support.interface.lower.layers");
  rules.gradedLayers = settings.whole("support.graded.layers");
  rules.footLayers = settings.whole("support.foot.layers");
  rules.footSpread = settings.number("support.foot.spread");
  rules.structure = settings.text("support.structure") == "tree" ? Structure::tree : Structure::normal;
  rules.tipSpacing = settings.number("support.tree.tip_spacing");
  rules.tipWidth = settings.number("support.tree.tip_width");
  rules.branchLean = settings.number("support.tree.branch_lean");
  rules.trunkWidth = settings.number("support.tree.trunk_width");
  rules.footWidth = settings.number("support.tree.foot_width");
  rules.footHeight = settings.number("support.tree.foot_height");
  rules.outline = settings.text("support.normal.outline") == "squared" ? Outline::squared : Outline::close;
  rules.columnSize = settings.number("support.normal.column");
  rules.lineWidth = settings.number("line.width");
  rules.layerHeight = settings.number("layer.height");
  rules.thickest = 0.8 * settings.number("nozzle.width");
  if (settings.whole("support.raft.layers") > 0) rules.floor = -settings.number("support.raft.gap");
  return rules;
}

double firstLineWidth(const Settings& settings) {
  const double own = settings.number("line.first_width");
  return own > 0 ? own : settings.number("line.width");
}

AdhesionRules adhesionRules(const Settings& settings) {
  AdhesionRules rules;
  rules.lineWidth = settings.number("line.width");
  rules.firstLineWidth = firstLineWidth(settings);
  rules.skirtLoops = settings.whole("skirt.loops");
  rules.skirtDistance = settings.number("skirt.distance");
  rules.brimWidth = settings.number("brim.width");
  rules.brimGap = settings.number("brim.gap");
  const std::string& side = settings.text("brim.side");
  rules.brimSide = side == "both" ? BrimSide::both : side == "inside" ? BrimSide::inside : BrimSide::outside;
  rules.raftLayers = settings.whole("support.raft.layers");
  rules.raftReach = settings.number("support.raft.reach");
  rules.raftGap = settings.number("support.raft.gap");
  rules.raisesCode = settings.yes("skirt.code");
  return rules;
}

TowerRules towerRules(const Settings& settings) {
  const SupportRules support = supportRules(settings);
  return {support.lineWidth, settings.number("prime.purge"), settings.number("layer.height"), support.thinnest,
          support.thickest};
}

Filament interfaceFilament(const Settings& settings) {
  return settings.text("support.filament.interface") == "second" ? Filament::second : Filament::first;
}

PartRules partRules(const Settings& settings) {
  return {settings.number("line.width"), settings.number("layer.height"), settings.whole("walls"),
          settings.whole("cover.top"),   settings.whole("cover.bottom"),  settings.number("infill.density") / 100};
}

SupportPathRules supportPathRules(const Settings& settings) {
  const double width = settings.number("line.width");
  return {width,
          settings.number("support.body.spacing"),
          settings.whole("support.body.walls"),
          settings.number("support.interface.upper.spacing"),
          settings.number("support.interface.lower.spacing"),
          spacingOf(width, settings.number("support.graded.density") / 100),
          patternNamed(settings.text("support.body.pattern")),
          patternNamed(settings.text("support.interface.upper.pattern")),
          patternNamed(settings.text("support.interface.lower.pattern")),
          settings.number("layer.height"),
          settings.whole("support.tree.walls"),
          settings.number("support.tree.inner_spacing")};
}

MotionRules motionRules(const Settings& settings) {
  MotionRules rules;
  for (std::size_t i = 0; i < featureCount; ++i) {
    rules.speed[i] = settings.number("speed." + std::string(featureNames[i]));
    rules.fan[i] = settings.number("fan." + std::string(featureNames[i])) / 100;
  }
  rules.secondSpeed = settings.number("filament2.speed");
  rules.toolChangeSeconds = settings.number("machine.tool_change_time");
  rules.firstSpeed = settings.number("speed.first");
  rules.travelSpeed = settings.number("speed.travel");
  rules.acceleration = settings.number("machine.acceleration");
  rules.cornerDeviation = settings.number("machine.corner");
  rules.retractLength = settings.number("retract.length");
  rules.retractSpeed = settings.number("retract.speed");
  rules.retractOver = settings.number("retract.over");
  rules.retractAcceleration = settings.number("retract.acceleration");
  rules.lift = settings.number("retract.lift");
  rules.liftSpeed = settings.number("machine.lift_speed");
  rules.flow = {settings.number("filament.flow"), settings.number("filament2.flow")};
  rules.leastLayerSeconds = settings.number("filament.layer_time");
  rules.leastSpeed = settings.number("speed.least");
  const bool blows = settings.yes("machine.fan");
  rules.fanLeast = blows ? settings.number("filament.fan.least") / 100 : 0;
  rules.fanMost = blows ? std::max(rules.fanLeast, settings.number("filament.fan.most") / 100) : 0;
  rules.fanFirst = blows ? settings.number("filament.fan.first") / 100 : 0;
  rules.heatSeconds = settings.number("machine.heat_time");
  rules.timeFactor = settings.number("filament.time_factor");
  return rules;
}

StabilityRules stabilityRules(const Settings& settings) {
  StabilityRules rules;
  rules.stiffness = settings.number("filament.stiffness");
  rules.adhesion = settings.number("filament.adhesion");
  rules.lineWidth = settings.number("line.width");
  if (settings.text("brim.side") != "inside") rules.spread = settings.number("brim.width");
  if (settings.whole("support.raft.layers") > 0)
    rules.spread = std::max(rules.spread, settings.number("support.raft.reach"));
  return rules;
}

GcodeRules gcodeRules(const Settings& settings, double printHeight, std::vector<std::string> partNames) {
  GcodeRules rules;
  rules.motion = motionRules(settings);
  rules.filamentDiameter = settings.number("filament.diameter");
  rules.start = settings.text("machine.start");
  rules.end = settings.text("machine.end");
  rules.toolChange = settings.text("machine.tool_change");
  rules.machine = settings.text("machine.name");
  rules.filament = settings.text("filament.name");
  rules.print = settings.text("print.name");
  rules.temperatures = {fmt::format("{:g}", settings.number("filament.nozzle_heat")),
                        fmt::format("{:g}", settings.number("filament2.nozzle_heat"))};
  rules.values = {{"nozzle_heat", fmt::format("{:g}", settings.number("filament.nozzle_heat"))},
                  {"plate_heat", fmt::format("{:g}", settings.number("filament.plate_heat"))},
                  // as machine's texts of old projects name them
                  {"nozzle_temperature", fmt::format("{:g}", settings.number("filament.nozzle_heat"))},
                  {"bed_temperature", fmt::format("{:g}", settings.number("filament.plate_heat"))},
                  {"height", fmt::format("{:.3f}", printHeight)},
                  {"tool", "0"},
                  {"version", TRELLIS_VERSION}};
  rules.partNames = std::move(partNames);
  return rules;
}

}  // namespace trellis
