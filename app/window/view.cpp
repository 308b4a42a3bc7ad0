// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/view.hpp"

#include "core/settings/rules.hpp"

#include "core/assess/stability.hpp"
#include "core/base/files.hpp"

#include <QFileInfo>

#include <algorithm>

namespace trellis {

namespace {

constexpr int pictureSize = 88;  // pixels
constexpr std::size_t turningsShown = 10;

}  // namespace

View::View(Document& document, Builder& builder, Activity& activity, QObject* parent)
    : QObject(parent), document_(document), builder_(builder), activity_(activity) {
  connect(&document, &Document::replaced, this, &View::forget);
  connect(&document, &Document::changed, this, &View::keepToProject);
  connect(&builder, &Builder::shownChanged, this, [this] { takePiece(-1); });
}

void View::forget() {
  selection_.clear();
  turnings_.clear();
  lit_.clear();
  cutaway_.reset();
  closeGcode();
  range_ = {0, 1e9};
  Q_EMIT turningsChanged();
  Q_EMIT rangeChanged();
}

// Of what was selected, what is still there; the last part where nothing is.
void View::keepToProject() {
  const std::size_t count = document_.project()->parts.size();
  std::vector<std::size_t> kept = selection_;
  std::erase_if(kept, [&](std::size_t part) { return part >= count; });
  if (kept.empty() && count > 0) kept = {count - 1};
  if (kept != selection_) select(kept);
  const Part* part = selection_.empty() ? nullptr : document_.project()->parts[selection_.back()].get();
  std::vector<Chosen> chosen = chosen_;
  std::erase_if(chosen, [&](const Chosen& one) {
    return !part || one.index >= (one.kind == Chosen::zone ? part->zones.size() : part->props.size());
  });
  chooseAll(std::move(chosen));
}

Settings View::settingsInHand() const {
  return selection_.empty() ? document_.settings() : settingsOf(*document_.project(), selection_.back());
}

void View::findTurnings() {
  if (selection_.empty()) return;
  const PartPtr part = document_.project()->parts[selection_.back()];
  const Settings settings = settingsInHand();
  activity_.errands().doNext([=, this](const Progress& progress) {
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
      activity_.here([=, this] {
        if (selection_.empty() || document_.project()->parts[selection_.back()] != part)
          return;  // another was selected meanwhile
        turnings_ = shown;
        Q_EMIT turningsChanged();
      });
    };
    progress.report(0.1, "looking for turnings");
    const TurningSurvey survey(part->mesh, part->placement.scale, turningRules(settings), *part->seen);
    const std::vector<Turning> first = survey.candidates(turningsShown, progress);
    show(first);
    progress.report(0.4, "refining turnings");
    show(survey.refined(first, progress));
  });
}

void View::setBeside(std::optional<Beside> beside) {
  beside_ = std::move(beside);
  Q_EMIT besideChanged();
}

void View::setCutBox(const std::optional<Box3>& box) {
  cutBox_ = box;
  Q_EMIT litChanged();
}

void View::setWipe(double share) {
  if (!beside_) return;
  beside_->wipe = std::clamp(share, 0.02, 0.98);
  Q_EMIT besideChanged();
}

void View::select(std::vector<std::size_t> parts) {
  if (parts == selection_) return;
  if (parts.empty() || selection_.empty() || parts.back() != selection_.back()) {
    turnings_.clear();
    Q_EMIT turningsChanged();
  }
  selection_ = std::move(parts);
  choose({});
  Q_EMIT selectionChanged();
}

void View::setEditsPart(bool editsPart) {
  editsPart_ = editsPart;
  Q_EMIT selectionChanged();
}

void View::lightSites(std::vector<SiteId> lit) {
  if (lit == lit_) return;
  lit_ = std::move(lit);
  Q_EMIT litChanged();
}

void View::choose(const Chosen& chosen) {
  chooseAll(chosen.kind == Chosen::nothing ? std::vector<Chosen>() : std::vector{chosen});
}

void View::chooseToo(const Chosen& chosen) {
  std::vector<Chosen> all = chosen_;
  if (std::erase(all, chosen) == 0) all.push_back(chosen);
  chooseAll(std::move(all));
}

void View::chooseAll(std::vector<Chosen> chosen) {
  if (chosen == chosen_) return;
  chosen_ = std::move(chosen);
  Q_EMIT chosenChanged();
}

void View::setCutaway(const std::optional<Plane>& plane) {
  cutaway_ = plane;
  Q_EMIT cutawayChanged();
}

std::vector<Plane> View::clip() const {
  std::vector<Plane> planes;
  if (cutaway_) planes.push_back(*cutaway_);
  if (range_.first > 0) planes.push_back({Vec3(0, 0, range_.first), Vec3::UnitZ()});
  if (range_.second < height()) planes.push_back({Vec3(0, 0, range_.second), -Vec3::UnitZ()});
  return planes;
}

void View::setRange(double low, double high) {
  range_ = {low, high};
  drawnShare_ = 1;
  Q_EMIT rangeChanged();
}

double View::height() const {
  if (gcode_) return gcode_->trial->tops.empty() ? 0 : gcode_->trial->tops.back();
  return builder_.shown().build && !builder_.shown().build->print.layers.empty()
             ? builder_.shown().build->print.layers.back()->top
             : 0;
}

std::vector<double> View::tops() const {
  if (gcode_) return gcode_->trial->tops;
  std::vector<double> all;
  if (builder_.shown().build)
    for (const auto& layer : builder_.shown().build->print.layers) all.push_back(layer->top);
  return all;
}

void View::openGcode(const QString& path) {
  activity_.errands().doNext([this, path, rules = trialRules(document_.settings())](const Progress& progress) {
    progress.report(0, "reading G-code");
    auto trial = std::make_shared<const TrialPrint>(
        trellis::trialPrint(readGcode(readFile(path.toStdString()), progress), rules, progress));
    activity_.here([this, path, trial] {
      gcode_ = OpenedGcode{QFileInfo(path).fileName(), trial};
      Q_EMIT gcodeChanged();
      setRange(0, height());
    });
  });
}

void View::closeGcode() {
  if (!gcode_) return;
  gcode_.reset();
  Q_EMIT gcodeChanged();
  setRange(0, 1e9);
}

void View::goTo(const Vec3& at) {
  double top = height();
  if (gcode_) {
    for (const double layer : gcode_->trial->tops)
      if (layer > at.z() + 1e-3) top = std::min(top, layer);
  } else if (builder_.shown().build) {
    for (const auto& layer : builder_.shown().build->print.layers)
      if (layer->bottom >= at.z() - 1e-3) top = std::min(top, layer->top);
  }
  setRange(0, top);
  Q_EMIT wentTo(at);
}

void View::takePiece(int piece, int step) {
  if (piece == pieceInHand_ && step == stepInHand_) return;
  pieceInHand_ = piece;
  stepInHand_ = step;
  Q_EMIT pieceTaken();
}

const RemovalStep* View::takenStep() const {
  const BuildPtr& build = builder_.shown().build;
  if (!build || pieceInHand_ < 0) return nullptr;
  const auto& steps = build->removal->steps;
  const auto number = static_cast<std::size_t>(stepInHand_);
  if (stepInHand_ >= 0) return number < steps.size() ? &steps[number] : nullptr;
  const auto first = std::find_if(steps.begin(), steps.end(), [&](const RemovalStep& step) {
    return step.piece == static_cast<std::size_t>(pieceInHand_);
  });
  return first == steps.end() ? nullptr : &*first;
}

void View::setPrintedTo(const std::optional<double>& height) {
  if (printedTo_ == height) return;
  printedTo_ = height;
  Q_EMIT rangeChanged();
}

void View::setDrawnShare(double share) {
  drawnShare_ = share;
  Q_EMIT rangeChanged();
}

void View::measure(const SurfacePlace& place) {
  if (distances_.empty() || distances_.back().to)
    distances_.push_back({place, {}});
  else
    distances_.back().to = place;
  Q_EMIT distancesChanged();
}

void View::clearDistances() {
  distances_.clear();
  Q_EMIT distancesChanged();
}

}  // namespace trellis
