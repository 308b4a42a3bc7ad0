// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/builder.hpp"

#include "core/assess/report.hpp"
#include "core/assess/support_export.hpp"
#include "core/base/files.hpp"
#include "core/mesh/stand_in.hpp"
#include "core/mesh/stl.hpp"
#include "core/results/build_project.hpp"
#include "core/results/gcode_text.hpp"
#include "core/results/tried_remedies.hpp"

#include <algorithm>

namespace trellis {

TrialRules trialRules(const Settings& settings) {
  TrialRules rules;
  rules.lineWidth = settings.number("line.width");
  rules.bridgeLimit = settings.number("support.bridge_limit");
  rules.filamentDiameter = settings.number("filament.diameter");
  rules.acceleration = settings.number("machine.acceleration");
  return rules;
}

Builder::Builder(Document& document, Activity& activity, Store& store, QObject* parent)
    : QObject(parent), document_(document), activity_(activity), store_(store) {
  trying_ = std::make_unique<Worker>(Worker::Reports{[](double, const std::string&) {}, [](const std::string&) {}});
  worker_ = std::make_unique<Worker>(activity.reports());
  connect(&document, &Document::replaced, this, &Builder::forget);
  connect(&document, &Document::changed, this, &Builder::rebuild);
}

Builder::~Builder() = default;

// Another project was opened: nothing of the old one is shown for it.
void Builder::forget() {
  sites_.clear();
  shown_ = {};
  {
    const std::lock_guard lock(recentGuard_);
    recent_.clear();
  }
  findings_.clear();
  early_.reset();
  trialPrint_.reset();
  triedBuild_.reset();
  ++revision_;
  activity_.here([this] {  // once the others know that there is another project
    Q_EMIT sitesChanged();
    Q_EMIT shownChanged();
    Q_EMIT trialPrintChanged();
  });
}

// What comes early is shown only while it is of the project that is there.
void Builder::rebuild() {
  givenUp_ = false;
  trying_->cancel();
  tryingFor_.reset();
  // What was shown a moment ago, or is shown beside, is there at once.
  if (std::optional<Shown> shown = known(keyOf(*asBuilt(document_.project())))) {
    worker_->cancel();
    shown->project = document_.project();
    activity_.here([this, shown = *shown] {
      if (shown.project == document_.project()) take(shown);
    });
    return;
  }
  worker_->doOnly([this, wanted = document_.project()](const Progress& progress) {
    const auto ifWanted = [this, wanted](const std::function<void()>& show) {
      activity_.here([this, wanted, show] {
        if (wanted == document_.project()) show();
      });
    };
    Watch watch;
    watch.sites = [=, this](const std::vector<std::shared_ptr<const Sites>>& sites) {
      ifWanted([=, this] {
        sites_ = sites;
        ++revision_;
        Q_EMIT sitesChanged();
      });
    };
    watch.supports = [=, this](const std::shared_ptr<const Supports>& supports) {
      const auto solid = std::make_shared<const SupportSolid>(
          solidOf(*supports->support, supports->trees, SupportLayer{0, 0, {}}, Progress()));
      ifWanted([=, this] {
        early_ = solid;
        earlyOf_ = wanted;
        ++revision_;
        Q_EMIT earlySupportsChanged();
      });
    };
    const Shown shown = made(wanted, progress, watch);
    activity_.here([this, shown] {
      if (isStale()) take(shown);  // else what is there now was known, and came sooner
    });
  });
}

void Builder::take(const Shown& shown) {
  shown_ = shown;
  ++revision_;
  early_.reset();
  findings_ = shown.build->findings;
  for (Finding& finding : findings_) finding.remedies.clear();
  remediesTried_ = false;
  trialPrint_.reset();
  if (shown.project == document_.project()) {
    sites_.clear();
    for (const PartBuild& part : shown.build->parts) sites_.push_back(part.sites);
    Q_EMIT sitesChanged();
  }
  Q_EMIT shownChanged();
  Q_EMIT trialPrintChanged();
}

std::optional<Shown> Builder::known(Key key) {
  const std::lock_guard lock(recentGuard_);
  for (const auto& [one, shown] : recent_)
    if (one == key) return shown;
  return std::nullopt;
}

Shown Builder::made(const ProjectPtr& project, const Progress& progress, const Watch& watch) {
  constexpr std::size_t most = 8;
  const Key key = keyOf(*asBuilt(project));
  if (std::optional<Shown> shown = known(key)) {
    shown->project = project;
    return *shown;
  }
  Shown shown{project, buildProject(store_, project, progress, watch), nullptr, nullptr, {}};
  const Build& build = *shown.build;
  shown.supports = std::make_shared<const SupportSolid>(solidOf(*build.support, build.trees, build.raft, progress));
  shown.supportTree = std::make_shared<const MeshTree>(trellis::surfaceOf(*shown.supports));
  for (const PartPtr& part : project->parts) shown.standIns.push_back(standInOf(part->mesh));
  const std::lock_guard lock(recentGuard_);
  recent_.emplace_front(key, shown);
  if (recent_.size() > most) recent_.pop_back();
  return shown;
}

// Quietly: nobody waits for it, and the next stroke ends it.
void Builder::tryRemedies() {
  if (!shown_.build || isStale() || remediesTried_ || tryingFor_ == shown_.build) return;
  tryingFor_ = shown_.build;
  trying_->doOnly([this, shown = shown_](const Progress& progress) {
    const Findings tried = withTriedRemedies(store_, shown.project, *shown.build, progress);
    activity_.here([this, tried, build = shown.build] {
      if (shown_.build != build || tryingFor_ != build) return;
      findings_ = tried;
      remediesTried_ = true;
      Q_EMIT remediesTried();
    });
  });
}

bool Builder::placesHold() const {
  if (!shown_.project) return false;
  const auto& now = document_.project()->parts;
  return std::equal(now.begin(), now.end(), shown_.project->parts.begin(), shown_.project->parts.end(),
                    [](const PartPtr& a, const PartPtr& b) {
                      return a->mesh == b->mesh && a->placement == b->placement && a->id == b->id;
                    });
}

void Builder::weigh(const std::vector<Removal>& removals, const std::function<void(const Weighed&)>& answer) {
  trying_->doOnly([this, removals, answer, shown = shown_, now = document_.project()](const Progress& progress) {
    SupportSolid all;
    for (const Removal& removal : removals) {
      const SupportLayers part = partOf(*shown.build->support, removal);
      const SupportSolid solid = solidOf(part, {}, SupportLayer{0, 0, {}}, progress);
      all.vertices.insert(all.vertices.end(), solid.vertices.begin(), solid.vertices.end());
    }
    Weighed weighed{std::make_shared<const SupportSolid>(std::move(all)), {}};
    activity_.here([answer, weighed] { answer(weighed); });
    ProjectPtr without = now;
    for (const Removal& removal : removals)
      for (const Operation& step : removal.operations) without = performed(*without, step);
    const BuildPtr before = buildProject(store_, now, progress), after = buildProject(store_, without, progress);
    weighed.cost = RemedyCost{grams(after->tally.whole(), now->settings) - grams(before->tally.whole(), now->settings),
                              after->tally.seconds - before->tally.seconds};
    activity_.here([answer, weighed] { answer(weighed); });
  });
}

void Builder::cancel() {
  givenUp_ = isStale();
  worker_->cancel();
  activity_.errands().cancel();
  if (!trialPrint_) triedBuild_.reset();
}

// Says why not, and tells whoever asked.
bool Builder::mayWrite(const Activity::Done& done) {
  QString problem;
  const bool refused = document_.refusesToWrite();
  if (!refused && (!shown_.build || isStale()))
    problem = tr("The print is still being built. Try again when it is done.");
  else if (!refused && shown_.build->print.layers.empty())
    problem = tr("There is nothing to print yet. Open a part first.");
  if (!problem.isEmpty()) activity_.fail(problem);
  if (!refused && problem.isEmpty()) return true;
  if (done) done(false);
  return false;
}

void Builder::exportGcode(const QString& path, const Activity::Done& done) {
  if (!mayWrite(done)) return;
  activity_.write(
      [path, shown = shown_](const Progress& progress) {
        progress.report(0, "writing G-code");
        writeFileAtomically(path.toStdString(), gcodeOf(*shown.project, *shown.build, progress));
      },
      done);
}

void Builder::exportSupports(const QString& path, bool withLayers, const Activity::Done& done) {
  if (!mayWrite(done)) return;
  activity_.write(
      [path, withLayers, shown = shown_](const Progress& progress) {
        progress.report(0.1, "writing supports");
        if (path.endsWith(".3mf", Qt::CaseInsensitive))
          return writeFileAtomically(path.toStdString(),
                                     packWithSupports(*shown.project, *shown.build, withLayers, progress));
        const MeshPtr supports = supportMesh(*shown.build, progress);
        if (!supports) throw Error("There is no support to write: nothing is built under the parts.");
        writeFileAtomically(path.toStdString(), writeStl(*supports));
      },
      done);
}

void Builder::runTrialPrint() {
  if (!shown_.build || isStale() || triedBuild_ == shown_.build || shown_.build->print.layers.empty()) return;
  triedBuild_ = shown_.build;
  activity_.errands().doNext([this, shown = shown_](const Progress& progress) {
    progress.report(0, "writing G-code");
    const std::string text = gcodeOf(*shown.project, *shown.build, progress);
    progress.report(0.1, "reading it again");
    auto trial = std::make_shared<const TrialPrint>(
        trellis::trialPrint(readGcode(text, progress), trialRules(shown.project->settings), progress));
    activity_.here([this, trial, build = shown.build] {
      if (shown_.build != build) return;
      trialPrint_ = trial;
      ++revision_;
      Q_EMIT trialPrintChanged();
    });
  });
}

}  // namespace trellis
