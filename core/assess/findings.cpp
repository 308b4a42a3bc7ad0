// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/findings.hpp"

#include "core/assess/finder.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double samePlace = 3;  // mm by which a finding may have moved since it was accepted

void markAccepted(const Project& project, Finding& finding) {
  const auto seek = [&](const std::vector<Accepted>& all, const Affine& toPlate) {
    for (const Accepted& one : all)
      if (one.code == finding.code && (toPlate * one.at - finding.at).norm() <= samePlace) finding.accepted = one.note;
  };
  if (finding.part < 0) return seek(project.accepted, Affine::Identity());
  const Part& part = *project.parts[static_cast<std::size_t>(finding.part)];
  seek(part.accepted, transformOf(part.placement, *part.mesh));
}

}  // namespace

Findings findProblems(const Project& project, const Build& build) {
  if (project.parts.empty()) return {};
  Finder finder{project, build};
  findInParts(finder);
  findInDecisions(finder);
  findInSupports(finder);
  for (Finding& finding : finder.found) markAccepted(project, finding);
  std::stable_sort(finder.found.begin(), finder.found.end(), [](const Finding& a, const Finding& b) {
    return std::pair(b.accepted.has_value(), a.severity) > std::pair(a.accepted.has_value(), b.severity);
  });
  return std::move(finder.found);
}

}  // namespace trellis
