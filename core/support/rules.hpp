// SPDX-License-Identifier: GPL-3.0-or-later
// The settings that decide about supports, as numbers.
#pragma once

namespace trellis {

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
  double floor = 0;          // mm, height of what supports stand on: the plate, or a bed less than 0
};

}  // namespace trellis
