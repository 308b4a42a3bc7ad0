// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/session.hpp"

#include "core/assess/hold_advice.hpp"
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/mesh/stl.hpp"
#include "core/results/gcode_text.hpp"
#include "core/results/pipeline.hpp"
#include "core/settings/rules.hpp"

#include <QFileInfo>

#include <algorithm>

namespace trellis {

namespace {

constexpr int pictureSize = 88;  // pixels
constexpr std::size_t turningsShown = 10;
constexpr double leastSize = 1, mostSize = 2000;  // mm; outside, the file was hardly drawn in millimetres

}  // namespace

Session::Session(QObject* parent) : QObject(parent), pipeline_(std::make_unique<Pipeline>()) {
  history_.markSaved();
  const Worker::Reports reports{
      [this](double fraction, std::string stage) {
        here([=, this] { Q_EMIT progressed(fraction, QString::fromStdString(stage)); });
      },
      [this](std::string sentence) { here([=, this] { Q_EMIT failed(QString::fromStdString(sentence)); }); }};
  errands_ = std::make_unique<Worker>(reports);
  builder_ = std::make_unique<Worker>(reports);
}

Session::~Session() = default;

// One that arrives after the session is gone is dropped by Qt.
void Session::here(std::function<void()> call) {
  QMetaObject::invokeMethod(this, std::move(call), Qt::QueuedConnection);
}

Settings Session::settingsInHand() const {
  return selection_.empty() ? settings() : settingsOf(*project(), selection_.back());
}

void Session::perform(const Operation& operation, bool continuing) {
  try {
    history_.perform(operation, continuing);
  } catch (const Error& error) {
    Q_EMIT failed(error.what());
    return;
  }
  projectTouched();
}

void Session::performTogether(const std::vector<Operation>& operations) {
  if (operations.empty()) return;
  try {
    history_.performTogether(operations);
  } catch (const Error& error) {
    Q_EMIT failed(error.what());
    return;
  }
  projectTouched();
}

void Session::undo() {
  history_.undo();
  projectTouched();
}

void Session::redo() {
  history_.redo();
  projectTouched();
}

void Session::preview(const Operation& operation) {
  history_.leavePreview();
  previewNotes_.clear();
  previewFacets_.clear();
  try {
    history_.preview(nameOf(operation), performed(*project(), operation));
  } catch (const Error& error) {
    Q_EMIT failed(error.what());
  }
  projectTouched();
}

void Session::offer(const ProjectPtr& from, const ProjectPtr& result, const std::string& name, const QStringList& notes,
                    const std::vector<std::uint32_t>& facets) {
  here([=, this] {
    if (project() != from) return;
    history_.preview(name, result);
    previewNotes_ = notes;
    previewFacets_ = facets;
    projectTouched();
  });
}

void Session::previewMending(MendBy way) {
  leavePreview();
  if (selection_.empty()) return;
  errands_->doNext([this, way, part = selection_.back(), before = project()](const Progress& progress) {
    progress.report(0.2, "mending");
    const Mended mended = mend(*before->parts[part]->mesh, way, progress);
    QStringList notes;
    for (const std::string& done : mended.done) notes << QString::fromStdString(done);
    if (notes.isEmpty()) notes << tr("nothing to mend");
    offer(before, performed(*before, ReplaceMesh{part, mended.mesh}), nameOf(MendPart{part, way}), notes, mended.fresh);
  });
}

void Session::previewReplacing(const QString& path) {
  leavePreview();
  if (selection_.empty()) return;
  errands_->doNext([this, path, part = selection_.back(), before = project()](const Progress& progress) {
    const MeshPtr mesh = readOneMesh(path.toStdString(), progress);
    progress.report(0.5, "carrying marks over");
    const ReplaceMesh operation{part, mesh};
    offer(before, performed(*before, operation), nameOf(operation), {}, {});
  });
}

void Session::keepPreview() {
  history_.keepPreview();
  projectTouched();
}

void Session::leavePreview() {
  if (!isPreviewing()) return;
  history_.leavePreview();
  projectTouched();
}

void Session::projectTouched() {
  const std::size_t count = project()->parts.size();
  std::vector<std::size_t> kept = selection_;
  std::erase_if(kept, [&](std::size_t part) { return part >= count; });
  if (kept.empty() && count > 0) kept = {count - 1};
  if (kept != selection_) select(kept);
  const Part* part = selection_.empty() ? nullptr : project()->parts[selection_.back()].get();
  const std::size_t chosenFrom = !part ? 0 : chosen_.kind == Chosen::zone ? part->zones.size() : part->props.size();
  if (chosen_.index >= chosenFrom) choose({});
  Q_EMIT projectChanged();
  rebuild();
}

void Session::rebuild() {
  builder_->doOnly([this, wanted = project()](const Progress& progress) {
    const auto sitesKnown = [this](const Pipeline::SitesOfParts& sites) {
      here([this, sites] {
        sites_ = sites;
        Q_EMIT sitesChanged();
      });
    };
    Shown shown{wanted, pipeline_->run(*wanted, progress, sitesKnown), nullptr, nullptr};
    shown.supports = std::make_shared<const SupportSolid>(
        solidOf(*shown.build->support, shown.build->trees, shown.build->bed, progress));
    shown.supportTree = std::make_shared<const MeshTree>(surfaceOf(*shown.supports));
    here([this, shown] {
      shown_ = shown;
      trialPrint_.reset();
      takePiece(-1);
      Q_EMIT shownChanged();
      Q_EMIT trialPrintChanged();
    });
  });
}

void Session::cancelBuild() {
  builder_->cancel();
  errands_->cancel();
  if (!trialPrint_) triedBuild_.reset();
}

void Session::take(ProjectPtr project, const QString& path, bool saved) {
  history_ = History(std::move(project));
  if (saved) history_.markSaved();
  path_ = path;
  selection_.clear();
  turnings_.clear();
  sites_.clear();
  lit_.clear();
  cutaway_.reset();
  closeGcode();
  range_ = {0, 1e9};
  Q_EMIT turningsChanged();
  Q_EMIT sitesChanged();
  Q_EMIT rangeChanged();
  projectTouched();
}

void Session::findTurnings() {
  if (selection_.empty()) return;
  const PartPtr part = project()->parts[selection_.back()];
  const Settings settings = settingsInHand();
  errands_->doNext([=, this](const Progress& progress) {
    const auto show = [&](const std::vector<Turning>& turnings) {
      std::vector<ShownTurning> shown;
      for (const Turning& turning : turnings) {
        Placement placement = part->placement;
        placement.turn = turning.turn;
        const Affine placed = transformOf(droppedTo(placement, *part->mesh, 0), *part->mesh);
        const Stability standing = roughStability(*part->mesh, placed, stabilityRules(settings), progress);
        shown.push_back({turning, thumbnail(*part->mesh, placed, pictureSize),
                         standing.mostDeflected() ? standing.mostDeflected()->deflection : 0,
                         standing.leastHeld() ? standing.leastHeld()->safetyFactor : 0});
      }
      here([=, this] {
        if (selection_.empty() || project()->parts[selection_.back()] != part)
          return;  // another was selected meanwhile
        turnings_ = shown;
        Q_EMIT turningsChanged();
      });
    };
    progress.report(0.1, "looking for turnings");
    const TurningSurvey survey(part->mesh, part->placement.scale,
                               {settings.number("support.free_lean"), settings.number("layer.height")});
    const std::vector<Turning> first = survey.candidates(turningsShown, progress);
    show(first);
    progress.report(0.4, "refining turnings");
    show(survey.refined(first, progress));
  });
}

void Session::newProject() {
  readOnly_ = false;
  take(std::make_shared<const Project>(), "", true);
}

void Session::open(const QString& path, bool addToThis) {
  const Settings kept = settings();
  errands_->doNext([this, path, addToThis, kept](const Progress& progress) {
    const OpenedProject read = openFile(path.toStdString(), kept, progress);
    here([this, path, addToThis, read] {
      if (addToThis) {
        perform(AddParts{read.project->parts});
      } else {
        readOnly_ = read.fromNewerVersion;
        take(read.project, read.isProject ? path : QString(), read.isProject);
      }
      Q_EMIT opened(path);
      if (!addToThis && read.fromNewerVersion)
        Q_EMIT failed(QFileInfo(path).fileName() +
                      " was saved by a newer Meek Trellis. It is open to look at; saving it here would lose "
                      "what this version does not know.");
      double largest = 0;
      for (const PartPtr& part : read.project->parts)
        largest = std::max(largest, part->mesh->bounds.sizes().maxCoeff());
      if (!read.isProject && (largest < leastSize || largest > mostSize)) Q_EMIT oddlySized(largest);
    });
  });
}

void Session::refuseWhilePreviewing() const {
  if (isPreviewing())
    throw Error("Something is only being tried out: " + history_.previewName() + ". Keep it or leave it first.");
}

void Session::save(const QString& path) {
  refuseWhilePreviewing();
  if (readOnly_)
    throw Error(
        "This project comes from a newer Meek Trellis and saving it here would lose decisions. Install the newer "
        "version.");
  writeFileAtomically(path.toStdString(), packProject(*project()));
  path_ = path;
  history_.markSaved();
  Q_EMIT projectChanged();
}

void Session::exportGcode(const QString& path) {
  refuseWhilePreviewing();
  if (!shown_.build || isStale()) throw Error("The print is still being built. Try again when the bar below has gone.");
  if (shown_.build->print.layers.empty()) throw Error("There is nothing to print yet. Open a part first.");
  writeFileAtomically(path.toStdString(), gcodeOf(*project(), *shown_.build, Progress()));
}

void Session::exportStl(const QString& path) {
  refuseWhilePreviewing();
  writeFileAtomically(path.toStdString(), writeStl(*placedTogether(*project())));
}

QString Session::title() const {
  if (!path_.isEmpty()) return QFileInfo(path_).completeBaseName();
  return project()->parts.empty() ? "empty plate" : QString::fromStdString(project()->parts.front()->name);
}

void Session::select(std::vector<std::size_t> parts) {
  if (parts == selection_) return;
  if (parts.empty() || selection_.empty() || parts.back() != selection_.back()) {
    turnings_.clear();
    Q_EMIT turningsChanged();
  }
  selection_ = std::move(parts);
  choose({});
  if (brush_.twin) findTwin();
  Q_EMIT selectionChanged();
}

void Session::setEditsPart(bool editsPart) {
  editsPart_ = editsPart;
  Q_EMIT projectChanged();
}

void Session::setSettling(bool settling) {
  settling_ = settling;
  if (settling) brush_.tool = Tool::pick;
  Q_EMIT brushChanged();
}

void Session::setBrush(const Brush& brush) {
  brush_ = brush;
  brush_.radius = std::clamp(brush_.radius, 0.15, 30.0);
  if (brush.tool != Tool::pick) settling_ = false;
  if (brush_.twin) findTwin();
  Q_EMIT brushChanged();
}

void Session::lightSites(std::vector<SiteId> lit) {
  if (lit == lit_) return;
  lit_ = std::move(lit);
  Q_EMIT litChanged();
}

void Session::choose(const Chosen& chosen) {
  if (chosen == chosen_) return;
  chosen_ = chosen;
  Q_EMIT chosenChanged();
}

void Session::setCutaway(const std::optional<Plane>& plane) {
  cutaway_ = plane;
  Q_EMIT cutawayChanged();
}

std::vector<Plane> Session::clip() const {
  std::vector<Plane> planes;
  if (cutaway_) planes.push_back(*cutaway_);
  if (range_.first > 0) planes.push_back({Vec3(0, 0, range_.first), Vec3::UnitZ()});
  if (range_.second < height()) planes.push_back({Vec3(0, 0, range_.second), -Vec3::UnitZ()});
  return planes;
}

std::optional<Symmetry> Session::twinPlane() const {
  if (selection_.empty()) return std::nullopt;
  const MeshPtr& mesh = project()->parts[selection_.back()]->mesh;
  if (twinAxis_ >= 0) return Symmetry{{mesh->bounds.center(), Vec3::Unit(twinAxis_)}, 0};
  const auto found = symmetries_.find(mesh->key);
  return found == symmetries_.end() ? std::nullopt : std::optional(found->second);
}

void Session::setTwinAxis(int axis) {
  twinAxis_ = axis;
  Q_EMIT brushChanged();
}

void Session::findTwin() {
  if (selection_.empty() || twinPlane()) return;
  errands_->doNext([this, mesh = project()->parts[selection_.back()]->mesh](const Progress& progress) {
    progress.report(0.2, "looking for symmetry");
    const Symmetry symmetry = findSymmetry(mesh, progress);
    here([this, symmetry, key = mesh->key] {
      symmetries_[key] = symmetry;
      Q_EMIT brushChanged();
    });
  });
}

void Session::setRange(double low, double high) {
  range_ = {low, high};
  drawnShare_ = 1;
  Q_EMIT rangeChanged();
}

double Session::height() const {
  if (gcode_) return gcode_->trial->tops.empty() ? 0 : gcode_->trial->tops.back();
  return shown_.build && !shown_.build->print.layers.empty() ? shown_.build->print.layers.back()->top : 0;
}

std::vector<double> Session::tops() const {
  if (gcode_) return gcode_->trial->tops;
  std::vector<double> all;
  if (shown_.build)
    for (const auto& layer : shown_.build->print.layers) all.push_back(layer->top);
  return all;
}

}  // namespace trellis
