// SPDX-License-Identifier: GPL-3.0-or-later
// Builds whatever the document holds, as soon as it changes, and keeps the newest of each result to be shown.
#pragma once

#include "app/window/document.hpp"
#include "core/assess/build.hpp"
#include "core/assess/removal.hpp"
#include "core/results/build_project.hpp"
#include "core/support/support_solid.hpp"
#include "core/trial/trial_print.hpp"

#include <deque>
#include <mutex>

namespace trellis {

// The newest build, with what only the eye needs.
struct Shown {
  ProjectPtr project;  // what it was built from
  BuildPtr build;
  std::shared_ptr<const SupportSolid> supports;
  MeshTreePtr supportTree;        // of supports' triangles, in the same order, on the plate
  std::vector<MeshPtr> standIns;  // of each part's mesh, for while the view moves
};

class Builder : public QObject {
  Q_OBJECT
 public:
  Builder(Document& document, Activity& activity, Store& store, QObject* parent = nullptr);
  ~Builder() override;

  const Shown& shown() const { return shown_; }
  bool isStale() const { return shown_.project != document_.project(); }
  // Supports as they were let down, ahead of lines and judgement; none once the build they belong to is shown.
  const std::shared_ptr<const SupportSolid>& earlySupports() const { return early_; }
  // Whether the supports that are shown are those of an older state.
  bool showsOldSupports() const { return isStale() && (!early_ || earlyOf_ != document_.project()); }
  // Sites of each part as last known, ahead of the build they belong to.
  const std::vector<std::shared_ptr<const Sites>>& sites() const { return sites_; }

  // Another one whenever something of what is shown is another.
  std::uint64_t revision() const { return revision_; }

  // What is shown of a project, made on the calling thread; that of the last few projects is kept.
  Shown made(const ProjectPtr& project, const Progress& progress, const Watch& watch = {});

  void rebuild();
  void cancel();                                // and all errands
  bool wasGivenUp() const { return givenUp_; }  // so that what is shown stays behind until the next change

  void exportGcode(const QString& path, const Activity::Done& done = {});
  // Supports as .stl, or parts and supports as .3mf, with their layers if wanted, for other programs.
  void exportSupports(const QString& path, bool withLayers, const Activity::Done& done = {});

  // What was noticed of what is shown. Remedies come with it once they were tried, and only those that help.
  const Findings& findings() const { return findings_; }
  bool remediesAreTried() const { return remediesTried_; }
  void tryRemedies();  // in the background

  // What taking support away would change, worked out in the background; the newest question is answered, others are
  // not.
  struct Weighed {
    std::shared_ptr<const SupportSolid> solid;  // of what goes
    std::optional<RemedyCost> cost;             // once the print without it is built
  };
  void weigh(const std::vector<Removal>& removals, const std::function<void(const Weighed&)>& answer);
  // Whether parts stand where they stood when what is shown was built, so that its places are places still.
  bool placesHold() const;

  // The trial print of what is shown, from its G-code; null until it was run, and again after every change.
  const std::shared_ptr<const TrialPrint>& trialPrint() const { return trialPrint_; }
  void runTrialPrint();  // in the background

 Q_SIGNALS:
  void shownChanged();
  void sitesChanged();
  void earlySupportsChanged();
  void trialPrintChanged();
  void remediesTried();

 private:
  bool mayWrite(const Activity::Done& done);
  void forget();
  void take(const Shown& shown);
  std::optional<Shown> known(Key key);

  Document& document_;
  Activity& activity_;
  Store& store_;
  Shown shown_;
  Findings findings_;
  bool remediesTried_ = false, givenUp_ = false;
  std::uint64_t revision_ = 0;
  std::shared_ptr<const SupportSolid> early_;
  ProjectPtr earlyOf_;
  std::vector<std::shared_ptr<const Sites>> sites_;
  std::mutex recentGuard_;
  std::deque<std::pair<Key, Shown>> recent_;  // newest first
  std::shared_ptr<const TrialPrint> trialPrint_;
  BuildPtr triedBuild_;             // what was tried on trial or is being
  BuildPtr tryingFor_;              // whose remedies were tried or are being
  std::unique_ptr<Worker> trying_;  // remedies
  std::unique_ptr<Worker> worker_;  // last, so that its thread ends before anything it reports to
};

// What a trial print is to know of the settings.
TrialRules trialRules(const Settings& settings);

}  // namespace trellis
