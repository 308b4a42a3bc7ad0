// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/build_project.hpp"

#include "core/assess/contact.hpp"
#include "core/assess/finder.hpp"
#include "core/assess/findings.hpp"
#include "core/assess/scar_map.hpp"
#include "core/base/parallel.hpp"
#include "core/results/estimate.hpp"
#include "core/results/judgement.hpp"
#include "core/results/print_layers.hpp"
#include "core/settings/rules.hpp"

#include <chrono>
#include <thread>

namespace trellis {

namespace {

// One build: the steps in order, with the clock for each.
class BuildRun {
 public:
  BuildRun(Store& store, const Project& project, const Progress& progress)
      : store_(store), project_(project), progress_(progress) {}

  Build all(const Watch& watch) {
    progress_.report(0, running_);
    checkFits(project_, machineMemory());
    std::jthread lookingOver([this] { beginLookingOver(); });
    const std::vector<BodyFilament> bodies = plan(watch);
    stage("laying lines", 0.65);
    layPaths(bodies);
    stage("weighing", 0.96);
    weighStanding();
    build_->prices = pricesOf(*build_);
    lookAtSeenFaces();
    stage("looking meshes over", 0.97);
    lookForTwins();
    lookOver();
    build_->findings = findProblems(project_, *build_);
    stage("done", 1);
    return std::move(*build_);
  }

  Build planned() {
    checkFits(project_, machineMemory());
    plan({});
    return std::move(*build_);
  }

 private:
  // Everything before lines; which filament each body is of.
  std::vector<BodyFilament> plan(const Watch& watch) {
    findSites(watch);
    buildSupports();
    if (watch.supports) watch.supports(std::make_shared<const Supports>(*build_));
    stage("judging pieces", 0.55);
    const Pieces pieces{project_, *build_, parts_, groups_};
    const std::vector<PieceFigures> judged = judgePieces(*build_, waysOut(store_, pieces, progress_), progress_);
    stage("planning removal", 0.6);
    return planRemovalOf(pieces, judged);
  }

  // Ends the running stage and begins the next.
  void stage(const char* next, double fraction) {
    const auto now = std::chrono::steady_clock::now();
    build_->milliseconds.emplace_back(running_, std::chrono::duration<double, std::milli>(now - last_).count());
    last_ = now;
    running_ = next;
    progress_.report(fraction, next);
  }

  void findSites(const Watch& watch) {
    parts_.resize(project_.parts.size());
    for (std::size_t p = 0; p < parts_.size(); ++p) parts_[p] = sitesOfPart(store_, project_, p, progress_);
    if (!watch.sites) return;
    std::vector<std::shared_ptr<const Sites>> sites;
    for (const PartResults& part : parts_) sites.push_back(part.sites.value);
    progress_.check();
    watch.sites(sites);
  }

  void buildSupports() {
    stage("building supports", 0.25);
    groups_ = neighbourhoods(project_, parts_);
    std::vector<Supports> built(groups_.size());
    for (std::size_t g = 0; g < groups_.size(); ++g) {
      std::vector<const PartResults*> members;
      for (const std::size_t p : groups_[g]) members.push_back(&parts_[p]);
      built[g] = supportsOf(store_, project_, members, progress_);
    }
    stage("joining supports", 0.5);
    if (groups_.empty())
      build_->support = std::make_shared<const SupportLayers>();
    else
      static_cast<Supports&>(*build_) = together(std::move(built), groups_, parts_.size());
    progress_.check();
  }

  // A body is of the plain filament where a hand gets it out then: the plan is made as if all were, and where something
  // is left that water takes, once more with that.
  std::vector<BodyFilament> planRemovalOf(const Pieces& pieces, const std::vector<PieceFigures>& judged) {
    const auto planWith = [&](const std::vector<BodyFilament>& bodies) {
      build_->pieces = printedFrom(judged, bodies);
      build_->removal = std::make_shared<const RemovalPlan>(removalOf(store_, pieces, build_->pieces, progress_));
    };
    std::vector<BodyFilament> bodies = bodyFilaments(*build_, std::vector<bool>(judged.size(), true));
    planWith(bodies);
    std::vector<BodyFilament> kept = bodyFilaments(*build_, build_->removal->byHand(build_->pieces));
    if (kept != bodies) planWith(kept);
    return kept;
  }

  // Where bodies were spared the dissolving filament, the print as it would be without that is laid too: what it would
  // take longer is what was saved.
  void layPaths(const std::vector<BodyFilament>& bodies) {
    const MotionRules motion = motionRules(project_.settings);
    std::vector<Kept<Sections>> sections;
    for (const PartResults& part : parts_) sections.push_back(part.sections);
    PrintBuilder builder(store_, project_, *build_, sections, progress_);
    std::vector<Filament> chosen, dissolving;
    for (const BodyFilament& body : bodies) {
      chosen.push_back(body.filament);
      dissolving.push_back(body.wouldDissolve ? Filament::second : body.filament);
    }
    const double longer = dissolving == chosen ? 0 : tallyOf(builder.print(dissolving), bodies.size(), motion).seconds;
    build_->print = builder.print(chosen);
    build_->towerHasRoom = builder.towerHasRoom();
    build_->codeHasRoom = builder.codeHasRoom();
    build_->tally = tallyOf(build_->print, bodies.size(), motion);
    if (dissolving != chosen) build_->savedSeconds = longer - build_->tally.seconds;
    build_->raft = {plateHeight(project_.settings), -project_.settings.number("support.raft.gap"), {}};
    if (!builder.raft().empty())
      build_->raft.regions.push_back({bodies.size(), RegionKind::foot, 0, builder.raft(), keyOf(builder.raft())});
  }

  void weighStanding() {
    const StabilityRules rules = stabilityRules(project_.settings);
    build_->judged.resize(parts_.size());
    for (std::size_t p = 0; p < parts_.size(); ++p) {
      const std::vector<Polygons> holds = holdsOf(*build_, p);
      const PlateContact contact = contactOf(*build_, p);
      const bool standsOnNothing = !contact.onPlate() && !contact.inSupport();
      PartJudgement& judged = build_->judged[p];
      judged.stability =
          store_.getAside(partStability, {parts_[p].sections, holds, standsOnNothing, rules}, progress_).value;
      if (!standsWell(*judged.stability, rules))
        judged.holdAdvice =
            store_.getAside(partHoldAdvice, {p, parts_[p].placed, parts_[p].sections, holds, rules}, progress_).value;
    }
  }

  void lookAtSeenFaces() {
    for (std::size_t p = 0; p < parts_.size(); ++p)
      if (const Part& part = *project_.parts[p]; !part.seen->empty() && scarsOn(*build_, p).spoilt() > worthSaying)
        build_->judged[p].unscarred =
            store_
                .getAside(partUnscarred,
                          {part.mesh, part.placement.scale, part.seen, turningRules(settingsOf(project_, p))},
                          progress_)
                .value;
  }

  // Of parts with two like sides, what was decided on one of them alone.
  void lookForTwins() {
    constexpr double alike = 0.97;  // of the surface
    for (std::size_t p = 0; p < parts_.size(); ++p) {
      const Part& part = *project_.parts[p];
      if (!hasDecisions(part)) continue;
      Part decisions = decisionsOf(part);
      for (MarksPtr Part::*coat : coats) decisions.*coat = part.*coat;
      const Kept<Symmetry> symmetry = store_.getAside(meshSymmetry, {part.mesh}, progress_);
      build_->judged[p].symmetry = symmetry.value;
      if (symmetry->fit < alike) continue;
      const double freeLean = hangsBeyond(settingsOf(project_, p));
      build_->judged[p].leftOut =
          store_.getAside(decisionsLeftOut, {std::move(decisions), symmetry, freeLean}, progress_).value;
    }
  }

  // Looking a mesh over takes long and is asked for last, so it goes on beside everything else.
  void beginLookingOver() {
    try {
      for (const PartPtr& part : project_.parts) store_.getAside(meshCondition, {part->mesh}, progress_);
    } catch (...) {  // whoever asks for it at the end is told
    }
  }

  void lookOver() {
    for (std::size_t p = 0; p < parts_.size(); ++p) {
      const Kept<MeshCondition> condition = store_.getAside(meshCondition, {project_.parts[p]->mesh}, progress_);
      build_->judged[p].figures = {condition.value, &condition->figures};
      build_->judged[p].health = {condition.value, &condition->health};
    }
  }

  Store& store_;
  const Project& project_;
  const Progress& progress_;
  std::shared_ptr<Build> build_ = std::make_shared<Build>();
  std::vector<PartResults> parts_;
  std::vector<std::vector<std::size_t>> groups_;
  std::chrono::steady_clock::time_point last_ = std::chrono::steady_clock::now();
  const char* running_ = "cutting into layers";
};

}  // namespace

ProjectPtr asBuilt(const ProjectPtr& project) {
  auto bare = std::make_shared<Project>(*project);
  bare->shelf = {};
  bare->nextId = 1;
  return bare;
}

BuildPtr buildProject(Store& store, const ProjectPtr& project, const Progress& progress, const Watch& watch) {
  struct Inputs {
    ProjectPtr project;
  };
  const auto make = [&store, project, watch](const Progress& own) { return BuildRun(store, *project, own).all(watch); };
  return store.getAside<Build>("build", Inputs{asBuilt(project)}, progress, std::chrono::milliseconds(0), make).value;
}

BuildPtr planProject(Store& store, const ProjectPtr& project, const Progress& progress) {
  return std::make_shared<const Build>(BuildRun(store, *project, progress).planned());
}

}  // namespace trellis
