// SPDX-License-Identifier: GPL-3.0-or-later
// What each step wants to know of the settings, as numbers.
#pragma once

#include "core/settings/feature.hpp"
#include "core/settings/filament.hpp"
#include "core/settings/settings.hpp"

#include <array>
#include <map>
#include <string>
#include <vector>

namespace trellis {

struct LayerRules {
  double height = 0.2;  // mm
  double first = 0.2;   // mm, of the layer on the plate
};

enum class Source { overhangs, floating, decisions };  // always with the decisions

enum class Footing { plate, any };

enum class Outline { close, squared };

enum class Structure { normal, tree };

struct SupportRules {
  bool on = true;
  Source source = Source::overhangs;
  Footing footing = Footing::any;
  double freeLean = 45;     // degrees from vertical, 0–89
  double gapAbove = 0.2;    // mm of daylight, ≥ 0
  double gapBelow = 0.2;    // mm
  double gapBeside = 0.5;   // mm
  double gapSlope = 0.2;    // mm, from walls of the same layer that lean out over the support
  double gapHold = 0.1;     // mm
  double tieSpacing = 3;    // mm of height
  double bridgeLimit = 10;  // mm
  int interfaceLayers = 3;  // 0–10, under the part
  int lowerLayers = 0;      // 0–10, over the part
  int gradedLayers = 0;     // 0–20, of in-between density under the interface
  int footLayers = 0;       // 0–20, on the plate
  double footSpread = 0;    // mm, of the lowest layer; less from layer to layer
  Structure structure = Structure::normal;
  Outline outline = Outline::close;
  double columnSize = 4;     // mm, of squared outlines
  double tipSpacing = 2;     // mm of daylight between tips at most
  double tipWidth = 2.4;     // mm
  double branchLean = 40;    // degrees from vertical, at most
  double trunkWidth = 0;     // mm where a trunk stands; 0 follows from its height and load
  double footWidth = 0;      // mm on the plate; 0 is twice the trunk
  double footHeight = 2;     // mm
  double lineWidth = 0.45;   // mm
  double layerHeight = 0.2;  // mm
  double thinnest = 0.05;    // mm, of any support layer
  double thickest = 0.32;    // mm, 0.8 × nozzle width
  double floor = 0;          // mm, height of what supports stand on: the plate, or a raft less than 0
};

struct PartRules {
  double lineWidth = 0.45;  // mm
  double height = 0.2;      // mm, of the layer
  int walls = 2;
  int coverTop = 4, coverBottom = 3;  // layers
  double infillDensity = 0.15;        // 0–1
  double longestSpan = 9;             // mm a single line may run over nothing from hold to hold
};

enum class Pattern { lines, crossed, zigzag, concentric, none };  // none: walls alone

struct SupportPathRules {
  double lineWidth = 0.45;         // mm
  double bodySpacing = 2.2;        // mm of daylight between body lines
  int bodyWalls = 0;               // lines around the body; 0: only around what would not stand without
  double interfaceSpacing = 0.45;  // mm of daylight between interface lines
  double lowerSpacing = 0.9;       // of the lower interface
  double gradedSpacing = 0.24;     // of graded layers
  Pattern body = Pattern::lines, upper = Pattern::lines, lower = Pattern::lines;
  double layerHeight = 0.2;  // mm; crossed lines turn from one layer to the next
  int branchWalls = 1;       // lines around a branch
  double innerSpacing = 0;   // mm of daylight between lines inside it; 0 for none
};

enum class BrimSide { outside, inside, both };

struct AdhesionRules {
  double lineWidth = 0.45;       // mm
  double firstLineWidth = 0.45;  // mm, on the plate
  int skirtLoops = 1;
  double skirtDistance = 5;             // mm of daylight
  double brimWidth = 0, brimGap = 0.1;  // mm
  BrimSide brimSide = BrimSide::outside;
  int raftLayers = 0;
  double raftReach = 4, raftGap = 0.2;  // mm past the outline; mm of daylight over it
  bool raisesCode = false;
};

struct TowerRules {
  double lineWidth = 0.45;                                     // mm
  double purge = 45;                                           // mm³ after each change; 0 builds no tower
  double layerHeight = 0.2, thinnest = 0.05, thickest = 0.32;  // mm
};

struct MotionRules {
  std::array<double, featureCount> speed{};  // mm/s
  std::array<double, featureCount> fan{};    // 0–1
  double secondSpeed = 25;                   // mm/s, the most with the second filament
  double firstSpeed = 25;                    // mm/s, the most on the first layer
  double travelSpeed = 150;                  // mm/s
  double acceleration = 1500;                // mm/s²
  double cornerDeviation = 0.02;             // mm
  double retractLength = 0.8;                // mm of filament
  double retractSpeed = 35;                  // mm/s
  double retractOver = 1.5;                  // mm of travel
  double retractAcceleration = 1500;         // mm/s², of the filament
  double lift = 0.2;                         // mm, over the part
  double liftSpeed = 12;                     // mm/s, up and down
  PerFilament<double> flow{10, 6};           // mm³/s at most, of each filament
  double leastLayerSeconds = 6;              // of the slower-cooling filament
  double leastSpeed = 8;                     // mm/s that a layer is slowed to
  double fanLeast = 0.5, fanMost = 1;        // 0–1, by how long a layer takes
  double fanFirst = 0;                       // 0–1, on the first layer
  double toolChangeSeconds = 12;
  double heatSeconds = 0;  // before the print begins
  double timeFactor = 1;   // real time over reckoned time
};

struct GcodeRules {
  MotionRules motion;
  double filamentDiameter = 1.75;             // mm
  std::string start, end, toolChange;         // with {named} values
  std::string machine, filament, print;       // what it is set up with, by name
  PerFilament<std::string> temperatures;      // °C, of each filament's nozzle: {nozzle_heat} in the tool change
  std::map<std::string, std::string> values;  // what the names stand for
  std::vector<std::string> partNames;
};

struct StabilityRules {
  double stiffness = 2000;         // N/mm², Young's modulus of the filament across layers
  double adhesion = 0.5;           // N/mm² that the plate holds in tension
  double push = 1;                 // N sideways at the nozzle
  double lineWidth = 0.45;         // mm: what is thinner than half of it is not printed, and nothing is printed thinner
  double spread = 0;               // mm a brim or raft reaches past the part
  double deflectionAllowed = 0.2;  // mm
  double safetyFactorAllowed = 2;
};

// The lean, in degrees, beyond which a surface hangs: the free lean and a tolerance of 1°, because a chamfer of 45°
// measures 45.01° in a mesh.
double hangsBeyond(const Settings& settings);

double firstLineWidth(const Settings& settings);  // mm
LayerRules layerRules(const Settings& settings);
SupportRules supportRules(const Settings& settings);
PartRules partRules(const Settings& settings);
SupportPathRules supportPathRules(const Settings& settings);
MotionRules motionRules(const Settings& settings);
AdhesionRules adhesionRules(const Settings& settings);
TowerRules towerRules(const Settings& settings);
StabilityRules stabilityRules(const Settings& settings);
GcodeRules gcodeRules(const Settings& settings, double printHeight, std::vector<std::string> partNames);
Filament interfaceFilament(const Settings& settings);

// The daylight between lines of width w that fill a share of 0–1 of the area, and the share for a daylight:
// density = w / (w + spacing).
inline double spacingOf(double lineWidth, double density) { return lineWidth / density - lineWidth; }
inline double densityOf(double lineWidth, double spacing) { return lineWidth / (lineWidth + spacing); }

}  // namespace trellis
