// SPDX-License-Identifier: GPL-3.0-or-later
// What the session does to prove a print: trial prints, opened G-code, places to look at.
#include "app/window/session.hpp"

#include "core/base/files.hpp"
#include "core/results/gcode_text.hpp"
#include "core/settings/rules.hpp"

#include <QFileInfo>

#include <algorithm>

namespace trellis {

namespace {

TrialRules trialRules(const Settings& settings) {
  TrialRules rules;
  rules.lineWidth = settings.number("line.width");
  rules.bridgeLimit = settings.number("support.bridge_limit");
  rules.filamentDiameter = settings.number("filament.diameter");
  rules.acceleration = settings.number("machine.acceleration");
  return rules;
}

}  // namespace

void Session::runTrialPrint() {
  if (!shown_.build || isStale() || triedBuild_ == shown_.build || shown_.build->print.layers.empty()) return;
  triedBuild_ = shown_.build;
  errands_->doNext([this, shown = shown_](const Progress& progress) {
    progress.report(0, "writing G-code");
    const std::string text = gcodeOf(*shown.project, *shown.build, progress);
    progress.report(0.1, "reading it again");
    auto trial = std::make_shared<const TrialPrint>(
        trellis::trialPrint(readGcode(text, progress), trialRules(shown.project->settings), progress));
    here([this, trial, build = shown.build] {
      if (shown_.build != build) return;
      trialPrint_ = trial;
      Q_EMIT trialPrintChanged();
    });
  });
}

void Session::openGcode(const QString& path) {
  errands_->doNext([this, path, rules = trialRules(settings())](const Progress& progress) {
    progress.report(0, "reading G-code");
    auto trial = std::make_shared<const TrialPrint>(
        trellis::trialPrint(readGcode(readFile(path.toStdString()), progress), rules, progress));
    here([this, path, trial] {
      gcode_ = OpenedGcode{QFileInfo(path).fileName(), trial};
      Q_EMIT gcodeChanged();
      setRange(0, height());
    });
  });
}

void Session::closeGcode() {
  if (!gcode_) return;
  gcode_.reset();
  Q_EMIT gcodeChanged();
  setRange(0, 1e9);
}

void Session::goTo(const Vec3& at) {
  double top = height();
  if (gcode_) {
    for (const double layer : gcode_->trial->tops)
      if (layer > at.z() + 1e-3) top = std::min(top, layer);
  } else if (shown_.build) {
    for (const auto& layer : shown_.build->print.layers)
      if (layer->bottom >= at.z() - 1e-3) top = std::min(top, layer->top);
  }
  setRange(0, top);
  Q_EMIT wentTo(at);
}

void Session::takePiece(int piece) {
  if (piece == pieceInHand_) return;
  pieceInHand_ = piece;
  Q_EMIT pieceTaken();
}

void Session::setDrawnShare(double share) {
  drawnShare_ = share;
  Q_EMIT rangeChanged();
}

}  // namespace trellis
