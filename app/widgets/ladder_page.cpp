// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/ladder_page.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/wrapping_label.hpp"
#include "core/base/short_name.hpp"
#include "core/learn/fragment.hpp"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace trellis {

namespace {

QLabel* section(const QString& words) {
  auto* label = new QLabel(words);
  label->setObjectName("section");
  return label;
}

}  // namespace

LadderPage::LadderPage(Document& document, View& view, Activity& activity, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), activity_(activity) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(8);
  addLadder(column);
  column->addSpacing(8);
  addFragment(column);
  connect(&view, &View::selectionChanged, this, [this] { refreshBox(true); });
  connect(&document, &Document::changed, this, [this] { refreshBox(false); });
  takeUsual();
  refreshBox(true);
}

QDoubleSpinBox* LadderPage::addBox(const char* name, double high, int decimals) {
  auto* box = new QDoubleSpinBox;
  box->setObjectName(name);
  box->setRange(-high, high);
  box->setDecimals(decimals);
  box->setSingleStep(decimals > 1 ? 0.02 : 1);
  return box;
}

void LadderPage::addLadder(QVBoxLayout* column) {
  column->addWidget(section(tr("Ladder")));
  column->addWidget(wrappingLabel(
      "quiet",
      tr("A row of like shapes, each with another value of one figure and its number on its front. Print it, take the "
         "support off, and note which rung was best.")));
  auto* grid = new QGridLayout;
  grid->setColumnStretch(1, 1);
  kind_ = new QComboBox;
  kind_->setObjectName("ladderKind");
  kind_->addItems({tr("gap above"), tr("gap below"), tr("gap beside"), tr("interface spacing"), tr("lean"),
                   tr("bridge"), tr("column width")});
  ceiling_ = new QComboBox;
  ceiling_->setObjectName("ladderCeiling");
  ceiling_->addItems({tr("flat ceilings"), tr("ceilings that slope by 60°"), tr("small tips under a ceiling")});
  from_ = addBox("ladderFrom", 1000, 3);
  to_ = addBox("ladderTo", 1000, 3);
  step_ = addBox("ladderStep", 1000, 3);
  grid->addWidget(new QLabel(tr("About")), 0, 0);
  grid->addWidget(kind_, 0, 1);
  grid->addWidget(new QLabel(tr("Under")), 1, 0);
  grid->addWidget(ceiling_, 1, 1);
  column->addLayout(grid);
  auto* line = new QHBoxLayout;
  for (const auto& [name, box] : {std::pair(tr("from"), from_), {tr("to"), to_}, {tr("by"), step_}}) {
    line->addWidget(new QLabel(name));
    line->addWidget(box, 1);
  }
  column->addLayout(line);
  words_ = wrappingLabel("quiet");
  column->addWidget(words_);
  lay_ = new QPushButton(tr("Put the ladder on the plate"));
  lay_->setObjectName("layLadder");
  lay_->setToolTip(tr("As a variant of its own, on an empty plate; what is there now stays beside it."));
  column->addWidget(lay_);
  connect(kind_, &QComboBox::activated, this, &LadderPage::takeUsual);
  connect(ceiling_, &QComboBox::activated, this, &LadderPage::refresh);
  for (QDoubleSpinBox* box : {from_, to_, step_})
    connect(box, &QDoubleSpinBox::valueChanged, this, &LadderPage::refresh);
  connect(lay_, &QPushButton::clicked, this, [this] {
    try {
      putOnPlate("ladder " + wordsOf(spec()), ladderParts(spec(), document_.settings()));
    } catch (const Error& error) {
      activity_.fail(spoken(error));
    }
  });
}

void LadderPage::addFragment(QVBoxLayout* column) {
  column->addWidget(section(tr("Fragment")));
  part_ = wrappingLabel("quiet");
  column->addWidget(part_);
  auto* grid = new QGridLayout;
  const char* axes[] = {"x", "y", "z"};
  for (std::size_t axis = 0; axis < 3; ++axis) {
    low_[axis] = addBox(("fragmentLow" + std::to_string(axis)).c_str(), 4000, 1);
    high_[axis] = addBox(("fragmentHigh" + std::to_string(axis)).c_str(), 4000, 1);
    const int row = static_cast<int>(axis);
    grid->addWidget(new QLabel(axes[axis]), row, 0);
    grid->addWidget(low_[axis], row, 1);
    grid->addWidget(new QLabel(tr("to")), row, 2);
    grid->addWidget(high_[axis], row, 3);
    grid->addWidget(new QLabel(tr("mm")), row, 4);
    for (QDoubleSpinBox* box : {low_[axis], high_[axis]})
      connect(box, &QDoubleSpinBox::valueChanged, this, [this] { refreshBox(false); });
  }
  grid->setColumnStretch(1, 1);
  grid->setColumnStretch(3, 1);
  column->addLayout(grid);
  cut_ = new QPushButton(tr("Cut it out"));
  cut_->setObjectName("cutFragment");
  cut_->setToolTip(tr("What lies in the box as a part of its own, with its marks, in a variant of its own."));
  rungs_ = new QPushButton(tr("As rungs of the ladder"));
  rungs_->setObjectName("cutRungs");
  rungs_->setToolTip(tr("The fragment once for each figure of the ladder above, with a little sign before each."));
  auto* line = new QHBoxLayout;
  line->addWidget(cut_);
  line->addWidget(rungs_);
  column->addLayout(line);
  connect(cut_, &QPushButton::clicked, this, [this] { cut(false); });
  connect(rungs_, &QPushButton::clicked, this, [this] { cut(true); });
}

LadderSpec LadderPage::spec() const {
  return {static_cast<LadderKind>(kind_->currentIndex()), from_->value(), to_->value(), step_->value(),
          static_cast<Ceiling>(ceiling_->currentIndex())};
}

void LadderPage::takeUsual() {
  const LadderSpec usual = usualLadder(static_cast<LadderKind>(kind_->currentIndex()));
  const bool fine = *settingOf(usual.kind) != 0;
  for (const auto& [box, value] : {std::pair(from_, usual.from), {to_, usual.to}, {step_, usual.step}}) {
    const QSignalBlocker quietly(box);
    box->setDecimals(fine ? 2 : 0);
    box->setSingleStep(fine ? 0.02 : 1);
    box->setSuffix(usual.kind == LadderKind::lean ? "°" : " mm");
    box->setValue(value);
  }
  ceiling_->setEnabled(fine);
  refresh();
}

void LadderPage::refresh() {
  try {
    QStringList figures;
    for (const double rung : rungsOf(spec())) figures << QString::fromStdString(figureOf(spec(), rung));
    words_->setText(figures.size() == 1 ? tr("1 rung: %1").arg(figures[0])
                                        : tr("%1 rungs: %2").arg(figures.size()).arg(figures.join("  ")));
    lay_->setEnabled(true);
  } catch (const Error& error) {
    words_->setText("△ " + spoken(error));
    lay_->setEnabled(false);
  }
  rungs_->setEnabled(lay_->isEnabled() && *settingOf(spec().kind) && view_.selectedPart() >= 0);
}

// A box in the middle of the selected part to begin with.
void LadderPage::refreshBox(bool fresh) {
  const int part = view_.selectedPart();
  const bool has = part >= 0 && static_cast<std::size_t>(part) < document_.project()->parts.size();
  part_->setText(has ? tr("A box cuts a piece out of %1: try a figure on it before the whole is printed.")
                           .arg(QString::fromStdString(
                               shortName(document_.project()->parts[static_cast<std::size_t>(part)]->name)))
                     : tr("Select a part to cut a piece out of it."));
  cut_->setEnabled(has);
  refresh();
  if (!has) return view_.setCutBox(std::nullopt);
  if (fresh) {
    const Part& whole = *document_.project()->parts[static_cast<std::size_t>(part)];
    const Box3 box = placedBounds(whole.placement, *whole.mesh);
    for (std::size_t axis = 0; axis < 3; ++axis) {
      const auto k = static_cast<Eigen::Index>(axis);
      const double quarter = box.sizes()[k] / 4;
      const QSignalBlocker quietly[] = {QSignalBlocker(low_[axis]), QSignalBlocker(high_[axis])};
      low_[axis]->setValue(axis == 2 ? box.min()[k] : box.min()[k] + quarter);
      high_[axis]->setValue(axis == 2 ? box.min()[k] + 2 * quarter : box.max()[k] - quarter);
    }
  }
  if (!isVisible()) return;
  Box3 box;
  box.extend(Vec3(low_[0]->value(), low_[1]->value(), low_[2]->value()));
  box.extend(Vec3(high_[0]->value(), high_[1]->value(), high_[2]->value()));
  view_.setCutBox(box);
}

void LadderPage::showEvent(QShowEvent* event) {
  QWidget::showEvent(event);
  refreshBox(false);
}

void LadderPage::hideEvent(QHideEvent* event) {
  QWidget::hideEvent(event);
  view_.setCutBox(std::nullopt);
}

void LadderPage::putOnPlate(const std::string& name, std::vector<PartPtr> parts) {
  std::vector<Operation> steps{AddVariant{name}};
  for (std::size_t k = 0; k < document_.project()->parts.size(); ++k) steps.push_back(RemovePart{0});
  steps.push_back(AddParts{std::move(parts)});
  document_.performTogether(steps);
}

void LadderPage::cut(bool asRungs) {
  const int selected = view_.selectedPart();
  if (selected < 0 || !view_.cutBox()) return;
  const PartPtr part = document_.project()->parts[static_cast<std::size_t>(selected)];
  activity_.errands().doNext([this, part, asRungs, box = *view_.cutBox(), wanted = spec(),
                              settings = document_.settings(), before = document_.project()](const Progress& progress) {
    progress.report(0.2, "cutting a fragment");
    const Part fragment = fragmentOf(*part, box, progress);
    const std::vector<PartPtr> parts =
        asRungs ? ladderOf(wanted, fragment, settings) : std::vector<PartPtr>{std::make_shared<const Part>(fragment)};
    activity_.here([this, parts, before, name = fragment.name] {
      if (document_.project() == before) putOnPlate(name, parts);
    });
  });
}

}  // namespace trellis
