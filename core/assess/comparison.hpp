// SPDX-License-Identifier: GPL-3.0-or-later
// Two ways to print the same parts, beside each other: figures, what is decided otherwise, and where.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"
#include "core/release/scars.hpp"

#include <span>

namespace trellis {

// What is compared of one variant.
struct VariantFigures {
  double seconds = 0;
  double all = 0, part = 0, body = 0, interface = 0, rest = 0;  // g; body: of support, branches, holds, feet, raft
  double cost = 0;                                              // money
  double removal = 0;                                           // seconds of a hand
  std::array<std::size_t, 6> grades{};                          // pieces, as Grade
  double contact = 0;                                           // mm²
  Scars scars = {};
  std::array<std::size_t, 3> findings{};  // as Severity, without accepted ones
  double deflection = 0;                  // mm, of the part that gives way most under 1 N
  double safetyFactor = 1e9;              // of the part the plate holds least; 1e9 where nothing pulls
};
VariantFigures figuresOf(const Settings& settings, const Build& build);

// One line of the table.
struct FigureRow {
  const char* key;    // as in files
  const char* label;  // on screen
  const char* unit;   // "min", "g", "mm²", … or empty
  double (*value)(const VariantFigures&);
  bool moreIsBetter = false;
  bool isJudged = true;  // one way of it is better; else it is only told
  int decimals = 1;
  bool isPlanned = false;  // known before any line is laid
};
std::span<const FigureRow> figureRows();
// By key, to four places: as files say them.
std::map<std::string, double> byRow(const VariantFigures& figures);

// In words, what another way decides and sets otherwise than a base: "gap above 0.20 → 0.24 mm", "snail: props
// 1 → 3". Empty where nothing differs.
std::vector<Sentence> differencesInWords(const Project& base, const Project& other);

// A place whose support is more or less than it was.
struct ChangedPlace {
  CauseKind kind = CauseKind::site;
  PartId part = {};
  Sentence name = {};          // "snail, site 3"
  Vec3 at = Vec3::Zero();      // on the plate, of the way that has more
  double before = 0, now = 0;  // g
  bool gained() const { return now > before; }
};

// What two builds differ in by more than a hundredth of a gram, the largest difference first. Sites are the same when
// they are of the same facets, or begin within 2 mm of each other on the mesh; props and zones by their ids.
std::vector<ChangedPlace> changedPlaces(const Project& base, const Build& before, const Project& other,
                                        const Build& now);

// {"variants": [{name, figures by row key}], "differences": […], "places": […]}, the first variant being the base.
struct Compared {
  std::string name;
  ProjectPtr project;
  BuildPtr build;
};
nlohmann::json comparisonOf(const std::vector<Compared>& variants);

}  // namespace trellis
