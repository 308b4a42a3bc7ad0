// SPDX-License-Identifier: GPL-3.0-or-later
// The settings that decide about supports, as numbers.
#pragma once

namespace trellis {

enum class Source { overhangs, floating, decisions };  // always with the decisions
enum class Footing { plate, any };

struct SupportRules {
  bool on = true;
  Source source = Source::overhangs;
  Footing footing = Footing::any;
  double freeLean = 45;     // degrees from vertical, 0–89
  double gapAbove = 0.2;   // mm of daylight, ≥ 0
  double gapBelow = 0.2;   // mm
  double gapBeside = 0.5;  // mm
  int interfaceLayers = 3;  // 0–10
  double lineWidth = 0.45;  // mm
  double thinnest = 0.05;   // mm, of any support layer
  double thickest = 0.32;   // mm, 0.8 × nozzle width
};

}  // namespace trellis
