// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/findings.hpp"

#include "core/assess/finder.hpp"
#include "core/document/settle.hpp"

#include <algorithm>
#include <array>
#include <map>

namespace trellis {

Remedy::Remedy(Sentence words, std::vector<Operation> operations)
    : name(std::move(words)), steps(std::move(operations)) {}

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

// What many parts have alike is one finding, with all its places.
void joinAlike(Findings& found) {
  constexpr std::size_t many = 2;  // parts
  std::map<std::string, std::vector<std::size_t>> alike;
  for (std::size_t i = 0; i < found.size(); ++i)
    if (!found[i].accepted && found[i].part >= 0) alike[found[i].code].push_back(i);
  std::vector<bool> gone(found.size(), false);
  for (const auto& [code, all] : alike) {
    if (all.size() <= many) continue;
    Finding& first = found[all.front()];
    if (first.places.empty()) first.places = {first.at};
    first.message = first.message + say("So it is with {} other parts.", all.size() - 1);
    std::vector<Remedy> remedies;
    if (!first.remedies.empty()) remedies = {Remedy(say("{}, for all", first.remedies.front().name), {})};
    for (const std::size_t i : all) {
      if (!remedies.empty() && !found[i].remedies.empty())
        for (const Operation& step : found[i].remedies.front().steps) remedies.front().steps.push_back(step);
      if (i == all.front()) continue;
      gone[i] = true;
      first.severity = std::max(first.severity, found[i].severity);
      const std::vector<Vec3>& places = found[i].places;
      first.places.push_back(found[i].at);
      if (places.size() > 1) first.places.insert(first.places.end(), places.begin() + 1, places.end());
    }
    first.remedies = std::move(remedies);
  }
  std::size_t i = 0;
  std::erase_if(found, [&](const Finding&) { return gone[i++]; });
}

}  // namespace

bool isAboutDecision(std::string_view code) {
  constexpr std::array<std::string_view, 9> codes{"enforced-upward", "enforce-idle",   "block-idle",
                                                  "zone-idle",       "zone-redundant", "choice-idle",
                                                  "prop-idle",       "supports-off",   "twin-left-out"};
  return std::find(codes.begin(), codes.end(), code) != codes.end();
}

std::vector<Vec3> byWeight(std::vector<std::pair<double, Vec3>> found) {
  std::stable_sort(found.begin(), found.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
  std::vector<Vec3> places;
  for (const auto& [weight, at] : found) places.push_back(at);
  return places;
}

std::vector<Remedy> sinking(const Finder& f, std::size_t p) {
  constexpr int family = 1;
  std::vector<Remedy> remedies;
  const double layer = f.rules(p).layerHeight;
  for (const double layers : {1.0, 2.0, 4.0}) {
    if (layers * layer > sinkable + 1e-9) break;
    PlacePart lower;
    lower.part = p;
    lower.lift = f.build.parts[p].placed->bounds.min().z() - layers * layer;
    Remedy& sink =
        remedies.emplace_back(say("sink the part by {:.1f} mm", layers * layer), std::vector<Operation>{lower});
    sink.family = family;
  }
  return remedies;
}

PlacePart laidDown(const Finder& f, std::size_t p, const Vec3& normal) {
  const Part& part = *f.project.parts[p];
  const Placement turned = turnedDown(part.placement, *part.mesh, normal);
  PlacePart turn{p, turned.position, turned.turn, {}};
  turn.drop = true;
  return turn;
}

std::vector<Remedy> footings(const Finder& f, std::size_t p) {
  std::vector<Remedy> remedies = sinking(f, p);
  PlacePart lift;
  lift.part = p;
  lift.lift = 2;
  Remedy carry(say("lift it by 2 mm and carry it"), {lift});
  if (!f.rules(p).on) carry.steps.push_back(f.setting(p, "support.on", true).steps.front());
  remedies.push_back(carry);
  remedies.emplace_back(say("raft of 3 layers"), std::vector<Operation>{ChangeSetting{"support.raft.layers", 3.0}});
  const Part& part = *f.project.parts[p];
  if (const auto faces = restingFaces(*part.mesh, part.placement.scale); !faces.empty()) {
    remedies.emplace_back(say("lay its broadest side down"),
                          std::vector<Operation>{laidDown(f, p, faces.front().normal)});
  }
  return remedies;
}

Findings findProblems(const Project& project, const Build& build) {
  if (project.parts.empty()) return {};
  Finder finder{project, build};
  findInParts(finder);
  findInDecisions(finder);
  findIdleDecisions(finder);
  findWhatIsBare(finder);
  findInSupports(finder);
  findSpoiltFaces(finder);
  findWhatIsDear(finder);
  for (Finding& finding : finder.found) markAccepted(project, finding);
  joinAlike(finder.found);
  std::stable_sort(finder.found.begin(), finder.found.end(), [](const Finding& a, const Finding& b) {
    return std::pair(b.accepted.has_value(), a.severity) > std::pair(a.accepted.has_value(), b.severity);
  });
  return std::move(finder.found);
}

}  // namespace trellis
