// SPDX-License-Identifier: GPL-3.0-or-later
// What looking for findings shares: a project, its build, and what was found so far.
#pragma once

#include "core/assess/findings.hpp"
#include "core/base/short_name.hpp"

namespace trellis {

struct Finder {
  const Project& project;
  const Build& build;
  Findings found = {};

  struct Said {
    const char* code;
    Severity severity;
    Sentence message, detail;
  };
  // Of the plate as a whole.
  void addToPlate(Said said, const Vec3& at, std::vector<Remedy> remedies) {
    found.push_back(
        {said.code, said.severity, std::move(said.message), std::move(said.detail), at, -1, std::move(remedies)});
  }
  void add(Said said, const Vec3& at, std::size_t part, std::vector<Remedy> remedies = {}) {
    addToPlate(std::move(said), at, std::move(remedies));
    found.back().part = static_cast<int>(part);
  }
  // Of several places, the most serious first.
  void addAll(Said said, std::vector<Vec3> places, std::size_t part, std::vector<Remedy> remedies = {}) {
    add(std::move(said), places.front(), part, std::move(remedies));
    if (places.size() > 1) found.back().places = std::move(places);
  }
  const SupportRules& rules(std::size_t p) const { return build.rules[p].support; }
  std::string name(std::size_t p) const { return shortName(project.parts[p]->name); }
  // Changes the setting where the part has it from: its own, or the plate's.
  Remedy setting(std::size_t p, const char* key, SettingValue value) const {
    const bool own = project.parts[p]->settings.contains(key);
    return ChangeSetting{key, std::move(value), own ? std::optional(p) : std::nullopt};
  }
  // Columns where it has trees, trees where it has columns.
  Remedy otherStructure(std::size_t p) const {
    return setting(p, "support.structure", std::string(rules(p).structure == Structure::tree ? "normal" : "tree"));
  }
};

// The places by weight, heaviest first.
std::vector<Vec3> byWeight(std::vector<std::pair<double, Vec3>> found);
// Lowers the part by ever more layers, so that what is too low to be supported becomes part of the first layer.
std::vector<Remedy> sinking(const Finder& f, std::size_t p);
// Turned so that a face, by its normal as of restingFaces, lies on the plate.
PlacePart laidDown(const Finder& f, std::size_t p, const Vec3& normal);
// What can be tried where a part, or what begins low over the plate, has nothing to stand on.
std::vector<Remedy> footings(const Finder& f, std::size_t p);
inline constexpr double sinkable = 0.8;  // mm: what hangs lower may be sunk into the first layer

// Each looks for findings of one kind: of parts and how they stand, of decisions, of what is left bare, of supports.
void findInParts(Finder& f);
void findInDecisions(Finder& f);
void findIdleDecisions(Finder& f);
void findWhatIsBare(Finder& f);
void findInSupports(Finder& f);
void findWhatIsDear(Finder& f);
void findSpoiltFaces(Finder& f);

inline constexpr double worthSaying = 0.5;  // mm² of surface; less is the rim of a brush stroke

}  // namespace trellis
