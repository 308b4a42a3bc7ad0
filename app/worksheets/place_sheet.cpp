// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/place_sheet.hpp"

#include <QCheckBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QGuiApplication>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>

namespace trellis {

PlaceSheet::PlaceSheet(Session& session, QWidget* parent) : Worksheet(tr("Place"), session, parent) {
  list_ = new QListWidget;
  list_->setObjectName("parts");
  list_->setFixedHeight(150);
  list_->setTextElideMode(Qt::ElideMiddle);
  column_->addWidget(list_);
  auto* buttons = new QHBoxLayout;
  auto* add = new QPushButton(tr("Add part…"));
  auto* remove = new QPushButton(tr("Remove"));
  auto* drop = new QPushButton(tr("Drop"));
  drop->setToolTip(tr("Moves the selected part straight down or up onto the plate. Ctrl+D."));
  for (QPushButton* button : {add, remove, drop}) buttons->addWidget(button);
  column_->addLayout(buttons);
  partButtons_ = {remove, drop};
  figures_ = addQuiet("");
  soundness_ = addQuiet("");
  position_ = addTriple(tr("Position"), tr(" mm"), -10000, 10000, 2, 1);
  turn_ = addTriple(tr("Turn"), "°", -360, 360, 1, 15);
  scale_ = addTriple(tr("Scale"), " %", 0.1, 100000, 1, 5);
  addQuiet(tr("Position is that of the part's middle. Turned about the plate's x, then y, then z. Scaling is the same along all "
              "three axes; hold Shift to change one alone."));
  connect(add, &QPushButton::clicked, this, &PlaceSheet::addAsked);
  connect(remove, &QPushButton::clicked, this, [this] {
    if (part()) session_.perform(RemovePart{static_cast<std::size_t>(session_.selectedPart())});
  });
  connect(drop, &QPushButton::clicked, this, [this] {
    PlacePart change;
    change.drop = true;
    place(change);
  });
  for (int axis = 0; axis < 3; ++axis) {
    const auto index = static_cast<std::size_t>(axis);
    connect(position_[index], &QDoubleSpinBox::valueChanged, this, [this, axis](double value) {
      if (refreshing_ || !part()) return;
      PlacePart change;
      change.position = part()->placement.position;
      (*change.position)[axis] = value;
      place(change);
    });
    connect(turn_[index], &QDoubleSpinBox::valueChanged, this, [this, axis](double value) {
      if (refreshing_ || !part()) return;
      PlacePart change;
      change.turn = part()->placement.turn;
      (*change.turn)[axis] = value;
      change.drop = true;
      place(change);
    });
    connect(scale_[index], &QDoubleSpinBox::valueChanged, this, [this, axis](double value) { scaleBy(axis, value); });
  }
  connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
    if (!refreshing_) session_.selectPart(row);
  });
  connect(&session, &Session::projectChanged, this, &PlaceSheet::refreshList);
  connect(&session, &Session::selectionChanged, this, &PlaceSheet::refreshFigures);
  connect(&session, &Session::shownChanged, this, &PlaceSheet::refreshFigures);
  refreshList();
}

PlaceSheet::Triple PlaceSheet::addTriple(const QString& name, const QString& unit, double low, double high, int decimals, double step) {
  addSection(name);
  auto* grid = new QGridLayout;
  grid->setHorizontalSpacing(6);
  Triple boxes{};
  for (int axis = 0; axis < 3; ++axis) {
    auto* label = new QLabel(QString("xyz").mid(axis, 1));
    auto* box = new QDoubleSpinBox;
    box->setObjectName(name + QString("xyz").mid(axis, 1));
    box->setRange(low, high);
    box->setDecimals(decimals);
    box->setSingleStep(step);
    box->setSuffix(unit);
    box->setAlignment(Qt::AlignRight);
    box->setKeyboardTracking(false);
    box->setButtonSymbols(QAbstractSpinBox::NoButtons);
    box->setMinimumWidth(64);
    label->setBuddy(box);
    grid->addWidget(label, 0, 2 * axis);
    grid->addWidget(box, 0, 2 * axis + 1);
    grid->setColumnStretch(2 * axis + 1, 1);
    boxes[static_cast<std::size_t>(axis)] = box;
  }
  column_->addLayout(grid);
  return boxes;
}

const Part* PlaceSheet::part() const {
  const int selected = session_.selectedPart();
  const auto& parts = session_.project()->parts;
  return selected >= 0 && selected < static_cast<int>(parts.size()) ? parts[static_cast<std::size_t>(selected)].get() : nullptr;
}

void PlaceSheet::place(const PlacePart& change) {
  if (!part()) return;
  PlacePart whole = change;
  whole.part = static_cast<std::size_t>(session_.selectedPart());
  session_.perform(whole);
}

void PlaceSheet::scaleBy(int axis, double percent) {
  if (refreshing_ || !part()) return;
  const Vec3& now = part()->placement.scale;
  PlacePart change;
  const double wanted = percent / 100 * (now[axis] < 0 ? -1 : 1);
  if (QGuiApplication::keyboardModifiers() & Qt::ShiftModifier) {
    change.scale = now;
    (*change.scale)[axis] = wanted;
  } else {
    change.scale = now * (wanted / now[axis]);
  }
  change.drop = true;
  place(change);
}

void PlaceSheet::refreshList() {
  refreshing_ = true;
  list_->clear();
  for (const PartPtr& part : session_.project()->parts) list_->addItem(QString::fromStdString(part->name));
  refreshing_ = false;
  refreshFigures();
}

void PlaceSheet::refreshFigures() {
  refreshing_ = true;
  list_->setCurrentRow(session_.selectedPart());
  const Part* selected = part();
  for (QPushButton* button : partButtons_) button->setEnabled(selected != nullptr);
  for (const Triple* boxes : {&position_, &turn_, &scale_})
    for (std::size_t axis = 0; axis < 3; ++axis) {
      QDoubleSpinBox* box = (*boxes)[axis];
      box->setEnabled(selected != nullptr);
      if (!selected) {
        box->setValue(boxes == &scale_ ? 100 : 0);
        continue;
      }
      const auto k = static_cast<Eigen::Index>(axis);
      box->setValue(boxes == &position_ ? selected->placement.position[k]
                    : boxes == &turn_   ? selected->placement.turn[k]
                                        : std::abs(selected->placement.scale[k]) * 100);
    }
  figures_->setText(tr("No part is on the plate yet."));
  soundness_->clear();
  if (selected) {
    const Vec3 size = placedBounds(selected->placement, *selected->mesh).sizes();
    figures_->setText(tr("%1 × %2 × %3 mm, %L4 facets").arg(size.x(), 0, 'f', 1).arg(size.y(), 0, 'f', 1).arg(size.z(), 0, 'f', 1)
                          .arg(selected->mesh->facets.size()));
    const Shown& shown = session_.shown();
    const auto index = static_cast<std::size_t>(session_.selectedPart());
    if (shown.build && !session_.isStale() && index < shown.build->parts.size()) {
      const MeshFigures& figures = *shown.build->parts[index].figures;
      soundness_->setText(figures.sound() ? tr("The mesh is closed and sound.")
                                          : tr("The mesh has %1 open edges, %2 flipped and %3 duplicate facets.")
                                                .arg(figures.openEdges).arg(figures.flippedFacets).arg(figures.duplicateFacets));
    }
  }
  refreshing_ = false;
}

}  // namespace trellis
