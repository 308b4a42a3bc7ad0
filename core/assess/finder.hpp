// SPDX-License-Identifier: GPL-3.0-or-later
// What looking for findings shares: a project, its build, and what was found so far.
#pragma once

#include "core/assess/findings.hpp"

namespace trellis {

struct Finder {
  const Project& project;
  const Build& build;
  Findings found = {};

  void add(const char* code, Severity severity, std::string message, const Vec3& at, std::size_t part,
           std::vector<Remedy> remedies = {}) {
    found.push_back({code, severity, std::move(message), at, static_cast<int>(part), std::move(remedies)});
  }
  const SupportRules& rules(std::size_t p) const { return build.rules[p].support; }
  const std::string& name(std::size_t p) const { return project.parts[p]->name; }
  // Changes the setting where the part has it from: its own, or the plate's.
  Remedy setting(std::size_t p, const char* key, SettingValue value) const {
    const bool own = project.parts[p]->settings.contains(key);
    return ChangeSetting{key, std::move(value), own ? std::optional(p) : std::nullopt};
  }
};

// Each looks for findings of one kind: of parts and how they stand, of decisions, of supports and what they leave bare.
void findInParts(Finder& f);
void findInDecisions(Finder& f);
void findInSupports(Finder& f);

inline constexpr double worthSaying = 0.5;  // mm² of surface; less is the rim of a brush stroke

}  // namespace trellis
