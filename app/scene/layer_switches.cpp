// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/layer_switches.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>

#include <algorithm>
#include <array>

namespace trellis {

namespace {

// What lines can be coloured by but their kind.
const std::array<std::pair<bool LayerLook::*, const char*>, 3> colours = {
    std::pair(&LayerLook::bearings, "drawBearings"), std::pair(&LayerLook::speeds, "drawSpeeds"),
    std::pair(&LayerLook::flows, "drawFlows")};

bool isColour(bool LayerLook::*which) {
  return std::any_of(colours.begin(), colours.end(), [&](const auto& one) { return one.first == which; });
}

}  // namespace

LayerSwitches::LayerSwitches(Builder& builder, View& view, QWidget* parent)
    : QFrame(parent), builder_(builder), view_(view) {
  setObjectName("layerSwitches");
  setStyleSheet(QString("QFrame#layerSwitches { background: %1; border: 1px solid %2; border-radius: 6px; } "
                        "QToolButton { padding: 3px 6px; border-color: transparent; } "
                        "QToolButton:checked { border: 1px solid %3; }")
                    .arg(theme().panel.name(), theme().rule.name(), theme().accent.name()));
  auto* rows = new QVBoxLayout(this);
  rows->setContentsMargins(6, 4, 6, 4);
  rows->setSpacing(2);
  const auto addRow = [&] {
    line_ = new QHBoxLayout;
    line_->setSpacing(2);
    rows->addLayout(line_);
  };
  addRow();
  add(tr("walls"), "drawWalls", tr("Draw walls"), &LayerLook::walls);
  add(tr("covers"), "drawCovers", tr("Draw covers and bridging lines"), &LayerLook::covers);
  add(tr("infill"), "drawInfill", tr("Draw infill"), &LayerLook::infill);
  add(tr("support"), "drawSupport", tr("Draw support bodies, branches, holds and feet"), &LayerLook::support);
  add(tr("interface"), "drawInterface", tr("Draw interfaces"), &LayerLook::interface);
  add(tr("rest"), "drawRest", tr("Draw skirt, brim and prime tower"), &LayerLook::rest);
  add(tr("travel"), "drawTravel", tr("Draw where the nozzle moves without printing"), &LayerLook::travels);
  add(tr("arrows"), "drawArrows", tr("Draw which way each line is printed"), &LayerLook::arrows);
  line_->addStretch(1);
  addRow();
  add(tr("stands on"), "drawBearings",
      tr("Colour each line by what it stands on, as the trial print found: plate, material, support, bridge, or air in "
         "vermilion with bars across"),
      &LayerLook::bearings);
  bearings_ = findChild<QToolButton*>("drawBearings");
  add(tr("speed"), "drawSpeeds", tr("Colour each line by how fast it is drawn"), &LayerLook::speeds);
  add(tr("flow"), "drawFlows", tr("Colour each line by how much filament is laid in a second"), &LayerLook::flows);
  for (QLabel** label : {&least_, &ramp_, &most_}) line_->addWidget(*label = new QLabel);
  least_->setObjectName("legendLeast");
  most_->setObjectName("legendMost");
  ramp_->setFixedSize(44, 10);
  ramp_->setStyleSheet(QString("background: qlineargradient(x1:0, y1:0, x2:1, y2:0, stop:0 %1, stop:1 %2);")
                           .arg(colourOf(0.0).name(), colourOf(1.0).name()));
  auto* above = new QToolButton;
  above->setObjectName("fromAbove");
  above->setText(tr("from above"));
  above->setToolTip(tr("Look straight down on this layer, as large as it fits (U)"));
  line_->addStretch(1);
  line_->addWidget(above);
  connect(above, &QToolButton::clicked, this, &LayerSwitches::fromAboveAsked);
  auto* play = new QToolButton;
  play->setObjectName("play");
  play->setText(tr("play"));
  play->setToolTip(tr("Draw the layers as they would be printed, from this one up, or stop (P)"));
  line_->addWidget(play);
  connect(play, &QToolButton::clicked, this, &LayerSwitches::playAsked);
  auto* haste = new QComboBox;
  haste->setObjectName("haste");
  haste->setToolTip(tr("How many times as fast as it prints"));
  for (const int times : {1, 10, 60, 300, 2000}) haste->addItem(tr("× %1").arg(times), times);
  haste->setCurrentIndex(2);
  line_->addWidget(haste);
  connect(haste, &QComboBox::currentIndexChanged, this,
          [this, haste] { Q_EMIT hasteChosen(haste->currentData().toDouble()); });
  for (const auto signal : {&View::rangeChanged, &View::gcodeChanged})
    connect(&view, signal, this, &LayerSwitches::refresh);
  connect(&builder, &Builder::shownChanged, this, &LayerSwitches::refresh);
  refresh();
}

void LayerSwitches::add(const QString& words, const QString& name, const QString& tip, bool LayerLook::*which) {
  auto* button = new QToolButton;
  button->setObjectName(name);
  button->setText(words);
  button->setToolTip(tip);
  button->setCheckable(true);
  button->setChecked(look_.*which);
  line_->addWidget(button);
  connect(button, &QToolButton::toggled, this, [this, which](bool on) {
    look_.*which = on;
    if (on && isColour(which))  // a line has one
      for (const auto& [other, its] : colours)
        if (other != which) findChild<QToolButton*>(its)->setChecked(false);
    if (which == &LayerLook::bearings && on) builder_.runTrialPrint();
    refresh();
    Q_EMIT changed();
  });
}

void LayerSwitches::refresh() {
  setVisible(view_.gcode().has_value() || view_.range().second < view_.height() - 1e-6);
  for (const char* name : {"drawTravel", "drawArrows", "drawSpeeds", "drawFlows"})
    findChild<QToolButton*>(name)->setVisible(!view_.gcode());
  bearings_->setVisible(!view_.gcode());  // a file is always coloured so
  if (look_.bearings) builder_.runTrialPrint();
  for (QLabel* label : {least_, ramp_, most_}) label->setVisible(!view_.gcode() && (look_.speeds || look_.flows));
  adjustSize();
}

void LayerSwitches::setLegend(const Spread& spread) {
  least_->setText(inFigures(spread.least, look_.flows ? 1 : 0));
  most_->setText((look_.flows ? tr("%1 mm³/s") : tr("%1 mm/s")).arg(spread.most, 0, 'f', look_.flows ? 1 : 0));
  refresh();
}

}  // namespace trellis
