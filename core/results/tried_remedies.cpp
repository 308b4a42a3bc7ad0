// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/tried_remedies.hpp"

#include "core/assess/report.hpp"
#include "core/results/build_project.hpp"

#include <algorithm>
#include <set>
#include <utility>

namespace trellis {

namespace {

constexpr double worthNaming = 0.5;  // mm² of a mark

constexpr double muchCheaper = 0.8;  // of the support's time

std::size_t placesOf(const Finding& finding) { return std::max<std::size_t>(1, finding.places.size()); }

// How much there is of a kind of finding on a part: places, and how grave the worst is.
std::size_t amountOf(const Findings& findings, const Finding& like) {
  std::size_t places = 0;
  for (const Finding& finding : findings)
    if (finding.code == like.code && finding.part == like.part && !finding.accepted) places += placesOf(finding);
  return places;
}

std::size_t problemsIn(const Findings& findings) {
  return static_cast<std::size_t>(std::count_if(findings.begin(), findings.end(), [](const Finding& finding) {
    return finding.severity == Severity::problem && !finding.accepted;
  }));
}

ProjectPtr afterAll(const Project& project, const std::vector<Operation>& steps) {
  ProjectPtr result = std::make_shared<const Project>(project);
  for (const Operation& step : steps) result = performed(*result, step);
  return result;
}

struct Built {
  const Project& project;
  const Build& build;
};

std::optional<Remedy> tried(Store& store, const Built& before, const Finding& finding, Remedy remedy,
                            const Progress& progress) {
  const auto& [project, build] = before;
  try {
    const ProjectPtr mended = afterAll(project, remedy.steps);
    const BuildPtr after = buildProject(store, mended, progress);
    const bool cheaper = finding.code == "support-outweighs" &&
                         after->tally.support().seconds < muchCheaper * build.tally.support().seconds;
    const bool helps = (cheaper || amountOf(after->findings, finding) < amountOf(build.findings, finding)) &&
                       problemsIn(after->findings) <= problemsIn(build.findings);
    if (!helps) return std::nullopt;
    remedy.cost =
        RemedyCost{grams(after->tally.whole(), mended->settings) - grams(build.tally.whole(), project.settings),
                   after->tally.seconds - build.tally.seconds};
    if (!isAboutDecision(finding.code)) remedy.overrules = overruled(project, *mended);  // else it is what is asked for
    return remedy;
  } catch (const Cancelled&) {
    throw;
  } catch (const Error&) {  // it cannot be done here, so it is not offered
    return std::nullopt;
  }
}

std::vector<Remedy> withoutBeaten(std::vector<Remedy> helping) {
  const auto grams = [](const Remedy& remedy) { return remedy.isRival ? remedy.cost->grams : 1e300; };
  const auto best = std::min_element(helping.begin(), helping.end(),
                                     [&](const Remedy& a, const Remedy& b) { return grams(a) < grams(b); });
  if (best == helping.end()) return helping;
  const double least = grams(*best);
  bool isTaken = false;  // one of those that take as little
  std::erase_if(helping, [&](const Remedy& remedy) {
    return remedy.isRival && (grams(remedy) > least || std::exchange(isTaken, true));
  });
  return helping;
}

double marked(const Part& part, const MarksPtr& marks, Mark kind) {
  return markedArea(*part.mesh, transformOf(part.placement, *part.mesh), *marks, kind);
}

void compareMarks(const Part& before, const Part& after, std::vector<Sentence>& words) {
  const auto lost = [&](const Sentence& what, const MarksPtr& had, const MarksPtr& has, Mark kind) {
    if (had == has) return;
    if (const double less = marked(before, had, kind) - marked(after, has, kind); less > worthNaming)
      words.push_back(say("your {} over {:.0f} mm²", what, less));
  };
  lost(say("enforcer"), before.marks, after.marks, Mark::enforce);
  lost(say("blocker"), before.marks, after.marks, Mark::block);
  lost(say("clean face"), before.clean, after.clean, Mark::block);
  lost(say("seen face"), before.seen, after.seen, Mark::block);
}

const SiteDecision* decisionAt(const Part& part, const Vec3& at) {
  const auto found = std::find_if(part.sites.begin(), part.sites.end(),
                                  [&](const SiteDecision& one) { return (one.at - at).norm() < 1e-6; });
  return found == part.sites.end() ? nullptr : &*found;
}

void compareSites(const Part& before, const Part& after, std::vector<Sentence>& words) {
  for (const SiteDecision& had : before.sites) {
    const SiteDecision* has = decisionAt(after, had.at);
    if (had.choice != Choice::proposed && (!has || has->choice != had.choice))
      words.push_back(had.choice == Choice::block ? say("your choice to block a site")
                                                  : say("your choice to enforce a site"));
  }
  for (const SiteDecision& has : after.sites) {  // a site's choice beats zones
    if (has.choice != Choice::enforce || decisionAt(before, has.at)) continue;
    for (std::size_t z = 0; z < before.zones.size(); ++z)
      if (before.zones[z].as != ZoneAs::enforce && isIn(before.zones[z], has.at))
        words.push_back(say("your zone {}", z + 1));
  }
}

template <typename Object>
void compareObjects(const Sentence& what, const std::vector<Object>& before, const std::vector<Object>& after,
                    std::vector<Sentence>& words) {
  for (std::size_t k = 0; k < before.size(); ++k)
    if (std::none_of(after.begin(), after.end(), [&](const Object& one) { return one.id == before[k].id; }))
      words.push_back(say("your {} {}", what, k + 1));
}

}  // namespace

std::vector<Sentence> overruled(const Project& before, const Project& after) {
  std::vector<Sentence> words;
  for (const PartPtr& part : before.parts) {
    const auto same = std::find_if(after.parts.begin(), after.parts.end(),
                                   [&](const PartPtr& other) { return other->id == part->id; });
    if (same == after.parts.end() || *same == part) continue;
    compareMarks(*part, **same, words);
    compareSites(*part, **same, words);
    compareObjects(say("zone"), part->zones, (*same)->zones, words);
    compareObjects(say("prop"), part->props, (*same)->props, words);
  }
  return words;
}

Findings withTriedRemedies(Store& store, const ProjectPtr& project, const Build& build, const Progress& progress) {
  Findings findings = build.findings;
  for (std::size_t i = 0; i < findings.size(); ++i) {
    progress.report(static_cast<double>(i) / static_cast<double>(findings.size()), "trying remedies");
    std::vector<Remedy> helping;
    std::set<int> answered;  // families
    if (!findings[i].accepted)
      for (const Remedy& remedy : findings[i].remedies) {
        if (remedy.family != 0 && answered.contains(remedy.family)) continue;
        if (auto kept = tried(store, {*project, build}, findings[i], remedy, progress)) {
          answered.insert(remedy.family);
          helping.push_back(std::move(*kept));
        }
      }
    findings[i].remedies = withoutBeaten(std::move(helping));
  }
  return findings;
}

}  // namespace trellis
