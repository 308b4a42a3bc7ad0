// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/place_sheet.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/thumbnail_image.hpp"
#include "app/widgets/turning_strip.hpp"
#include "core/base/key.hpp"

#include <QCheckBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QSignalBlocker>

#include <algorithm>

namespace trellis {

namespace {

constexpr int thumbnailSize = 36;  // pixels

std::uint64_t pictureKey(const Part& part) {
  Placement placement = part.placement;
  placement.position = Vec3::Zero();
  return KeyBuilder().add(part.mesh->key).add(placement).key();
}

}  // namespace

PlaceSheet::PlaceSheet(Document& document, Builder& builder, View& view, Hand& hand, QWidget* parent)
    : Worksheet(tr("Place"), document, view, parent), builder_(builder), hand_(hand) {
  addPartsList();
  addFigures();
  addSection(tr("Which way up"));
  auto* line = new QHBoxLayout;
  auto* settle = addButton(line, "layDown", tr("Lay a face down"),
                           tr("Point at a face: a ghost shows how the part would rest on it. A click keeps that. L."),
                           [this] { hand_.setSettling(!hand_.isSettling()); });
  settle->setCheckable(true);
  connect(&hand, &Hand::brushChanged, settle, [this, settle] { settle->setChecked(hand_.isSettling()); });
  column_->addLayout(line);
  column_->addWidget(new TurningStrip(document, view));
  addMesh();
  connect(&document, &Document::changed, this, &PlaceSheet::refreshList);
  connect(&view, &View::selectionChanged, this, &PlaceSheet::refreshFigures);
  connect(&builder, &Builder::shownChanged, this, &PlaceSheet::refreshFigures);
  refreshList();
}

QPushButton* PlaceSheet::addButton(QBoxLayout* line, const char* name, const QString& words, const QString& help,
                                   const std::function<void()>& run) {
  auto* button = new QPushButton(words);
  button->setObjectName(name);
  button->setToolTip(help);
  button->setMinimumWidth(10);
  connect(button, &QPushButton::clicked, this, run);
  line->addWidget(button);
  partButtons_.push_back(button);
  return button;
}

void PlaceSheet::addPartsList() {
  list_ = new QListWidget;
  list_->setObjectName("parts");
  list_->setIconSize({thumbnailSize, thumbnailSize});
  list_->setTextElideMode(Qt::ElideMiddle);
  list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  column_->addWidget(list_);
  auto* first = new QHBoxLayout;
  auto* add = new QPushButton(tr("Add part…"));
  connect(add, &QPushButton::clicked, this, &PlaceSheet::addAsked);
  first->addWidget(add);
  addButton(first, "copy", tr("Copy"), tr("A copy beside the part, with its marks and settings. Ctrl+C."),
            [this] { forSelected([](std::size_t p) { return CopyPart{p}; }); });
  addButton(first, "remove", tr("Remove"), tr("Takes the selected parts off the plate. Delete."), [this] {
    std::vector<std::size_t> parts = view_.selection();
    std::sort(parts.rbegin(), parts.rend());  // from the back, so that the numbers stay right
    std::vector<Operation> operations;
    for (const std::size_t p : parts) operations.push_back(RemovePart{p});
    document_.performTogether(operations);
  });
  column_->addLayout(first);
  auto* second = new QHBoxLayout;
  second->addWidget(new QLabel(tr("Mirror")));
  for (int axis = 0; axis < 3; ++axis) {
    const QString letter = QString("xyz").mid(axis, 1);
    addButton(second, qPrintable("mirror" + letter), letter, tr("Mirrors the part along the plate's %1.").arg(letter),
              [this, axis] { forSelected([axis](std::size_t p) {
                               return MirrorPart{p, axis};
                             }); });
  }
  addButton(second, "arrange", tr("Spread out"),
            tr("Gives every part a place of its own, 5 mm from the others, its supports counted."),
            [this] { document_.perform(ArrangeParts()); });
  column_->addLayout(second);
  size_ = addQuiet("");
  connect(list_, &QListWidget::itemSelectionChanged, this, [this] {
    if (refreshing_) return;
    std::vector<std::size_t> parts;
    for (int row = 0; row < list_->count(); ++row)
      if (list_->item(row)->isSelected() && row != list_->currentRow()) parts.push_back(static_cast<std::size_t>(row));
    if (list_->currentItem() && list_->currentItem()->isSelected())
      parts.push_back(static_cast<std::size_t>(list_->currentRow()));
    view_.select(parts);
  });
}

void PlaceSheet::addMesh() {
  addSection(tr("Mesh"));
  soundness_ = addQuiet("");
  auto* line = new QHBoxLayout;
  const auto mendBy = [this](MendBy way) {
    return [this, way] {
      if (!view_.selection().empty()) document_.previewMending(view_.selection().back(), way);
    };
  };
  addButton(line, "mend", tr("Mend"),
            tr("Joins seams, turns facets, fills holes, drops specks and doubles. Every sound vertex stays. Shown "
               "first; kept when you say so."),
            mendBy(MendBy::repair));
  addButton(line, "wrap", tr("Wrap"),
            tr("The last resort: a new closed skin around everything, up to 0.1 mm outside. Fine detail is lost."),
            mendBy(MendBy::wrap));
  addButton(line, "replace", tr("Replace…"),
            tr("A revised mesh in place of this one. Marks stay where the surface is still there; the rest is listed "
               "in the findings."),
            [this] { Q_EMIT replaceAsked(); });
  column_->addLayout(line);
}

void PlaceSheet::addFigures() {
  figures_ = new QGridLayout;
  figures_->setHorizontalSpacing(6);
  figures_->setVerticalSpacing(5);
  for (int axis = 0; axis < 3; ++axis) {
    auto* letter = new QLabel(QString("xyz").mid(axis, 1));
    letter->setObjectName("quiet");
    letter->setAlignment(Qt::AlignHCenter);
    figures_->addWidget(letter, 0, axis + 1);
    figures_->setColumnStretch(axis + 1, 1);
  }
  column_->addLayout(figures_);
  position_ = addTriple({tr("Position"), tr(" mm"), -10000, 10000, 2, 1}, [this](int axis, double value) {
    PlacePart change;
    change.position = part()->placement.position;
    (*change.position)[axis] = value;
    place(change);
  });
  turn_ = addTriple({tr("Turn"), "°", -360, 360, 1, 15}, [this](int axis, double value) {
    PlacePart change;
    change.turn = part()->placement.turn;
    (*change.turn)[axis] = value;
    place(change);
  });
  measures_ = addTriple({tr("Size"), tr(" mm"), 0.01, 10000, 2, 1}, [this](int axis, double value) {
    const double now = part()->mesh->bounds.sizes()[axis] * std::abs(part()->placement.scale[axis]);
    if (now > 0) scaleTo(axis, value / now);
  });
  scale_ = addTriple({tr("Scale"), " %", 0.1, 100000, 1, 5}, [this](int axis, double value) {
    scaleTo(axis, value / 100 / std::abs(part()->placement.scale[axis]));
  });
  inProportion_ = new QCheckBox(tr("in proportion"));
  inProportion_->setChecked(true);
  inProportion_->setToolTip(tr("Size and scale change alike along all three axes. Off, each is free."));
  column_->addWidget(inProportion_);
  auto* line = new QHBoxLayout;
  line->addWidget(new QLabel(tr("Lift")));
  lift_ = addBox({"lift", tr(" mm"), -1000, 1000, 2, 0.2});
  lift_->setToolTip(
      tr("From the plate to the part's lowest point. A lifted part stays up when it is turned; at 0 it rests on the "
         "plate."));
  connect(lift_, &QDoubleSpinBox::valueChanged, this, [this](double value) {
    if (refreshing_ || !part()) return;
    PlacePart change;
    change.lift = value;
    place(change);
  });
  line->addWidget(lift_);
  addButton(line, "drop", tr("Drop to plate"),
            tr("Straight down or up onto the plate, where the part rests from then on. Ctrl+D."), [this] {
              forSelected([](std::size_t p) {
                PlacePart change;
                change.part = p;
                change.drop = true;
                return change;
              });
            });
  column_->addLayout(line);
}

QDoubleSpinBox* PlaceSheet::addBox(const Figure& figure) {
  QDoubleSpinBox* box = figureBox(figure);
  box->setButtonSymbols(QAbstractSpinBox::NoButtons);
  box->setMinimumWidth(64);
  figureBoxes_.push_back(box);
  return box;
}

PlaceSheet::Triple PlaceSheet::addTriple(const Figure& figure, const std::function<void(int, double)>& changed) {
  const int row = figures_->rowCount();
  figures_->addWidget(new QLabel(figure.name), row, 0);
  Triple boxes{};
  for (int axis = 0; axis < 3; ++axis) {
    const QString letter = QString("xyz").mid(axis, 1);
    Figure along = figure;
    along.name += letter;
    QDoubleSpinBox* box = addBox(along);
    box->setAccessibleName(tr("%1 along %2").arg(figure.name, letter));
    figures_->addWidget(box, row, axis + 1);
    connect(box, &QDoubleSpinBox::valueChanged, this, [this, axis, changed](double value) {
      if (!refreshing_ && part()) changed(axis, value);
    });
    boxes[static_cast<std::size_t>(axis)] = box;
  }
  return boxes;
}

const Part* PlaceSheet::part() const {
  const int selected = view_.selectedPart();
  const auto& parts = document_.project()->parts;
  return selected >= 0 && selected < static_cast<int>(parts.size()) ? parts[static_cast<std::size_t>(selected)].get()
                                                                    : nullptr;
}

void PlaceSheet::forSelected(const std::function<Operation(std::size_t)>& operation) {
  std::vector<Operation> operations;
  for (const std::size_t p : view_.selection()) operations.push_back(operation(p));
  document_.performTogether(operations);
}

void PlaceSheet::place(PlacePart change) {
  change.part = view_.selection().back();
  document_.perform(change);
}

void PlaceSheet::scaleTo(int axis, double factor) {
  PlacePart change;
  change.scale = part()->placement.scale;
  if (inProportion_->isChecked())
    *change.scale *= factor;
  else
    (*change.scale)[axis] *= factor;
  place(change);
}

QString PlaceSheet::healthWords(std::size_t part) const {
  const Shown& shown = builder_.shown();
  if (builder_.isStale() || !shown.build || part >= shown.build->parts.size()) return tr("looking it over…");
  const MeshHealth& health = *shown.build->judged[part].health;
  QStringList words;
  for (const MeshDefect& defect : health.defects) words << spoken(inWords(defect));
  const QString found = health.sound() ? tr("The mesh is closed and sound.") : words.join(", ") + ".";
  return shown.project->parts[part]->elsewhere
             ? found + tr(" Support made elsewhere came with it: it is printed as it is, and no more is proposed.")
             : found;
}

void PlaceSheet::refreshList() {
  refreshing_ = true;
  const auto& parts = document_.project()->parts;
  while (list_->count() > static_cast<int>(parts.size())) delete list_->takeItem(list_->count() - 1);
  pictured_.resize(parts.size());
  for (std::size_t p = 0; p < parts.size(); ++p) {
    if (list_->count() <= static_cast<int>(p)) list_->addItem(QString());
    QListWidgetItem* item = list_->item(static_cast<int>(p));
    item->setText(QString::fromStdString(parts[p]->name));
    const std::uint64_t key = pictureKey(*parts[p]);
    if (pictured_[p] == key && !item->icon().isNull()) continue;
    pictured_[p] = key;
    const Thumbnail picture =
        thumbnail(*parts[p]->mesh, transformOf(parts[p]->placement, *parts[p]->mesh), 2 * thumbnailSize);
    item->setIcon(QIcon(QPixmap::fromImage(imageOf(picture, 90))));
  }
  constexpr int fewest = 1, most = 4, rowHeight = thumbnailSize + 6;
  list_->setFixedHeight(std::clamp(list_->count(), fewest, most) * rowHeight + 4);
  refreshing_ = false;
  refreshFigures();
}

void PlaceSheet::refreshFigures() {
  refreshing_ = true;
  {
    const QSignalBlocker quiet(list_);
    list_->clearSelection();
    for (const std::size_t p : view_.selection())
      if (QListWidgetItem* item = list_->item(static_cast<int>(p))) item->setSelected(true);
    if (view_.selectedPart() >= 0) list_->setCurrentRow(view_.selectedPart(), QItemSelectionModel::NoUpdate);
  }
  const Part* selected = part();
  for (QPushButton* button : partButtons_) button->setEnabled(selected != nullptr);
  for (QWidget* box : figureBoxes_) box->setEnabled(selected != nullptr);
  const Vec3 placed = selected ? Vec3(placedBounds(selected->placement, *selected->mesh).sizes()) : Vec3(Vec3::Zero());
  for (std::size_t axis = 0; axis < 3; ++axis) {
    const auto k = static_cast<Eigen::Index>(axis);
    position_[axis]->setValue(selected ? selected->placement.position[k] : 0);
    turn_[axis]->setValue(selected ? selected->placement.turn[k] : 0);
    scale_[axis]->setValue(selected ? std::abs(selected->placement.scale[k]) * 100 : 100);
    measures_[axis]->setValue(selected ? selected->mesh->bounds.sizes()[k] * std::abs(selected->placement.scale[k])
                                       : 0.01);
  }
  lift_->setValue(selected ? placedBounds(selected->placement, *selected->mesh).min().z() : 0);
  const std::size_t count = view_.selection().size();
  size_->setText(
      !selected
          ? tr("No part is on the plate yet.")
          : (count > 1
                 ? tr("%1 parts selected; figures are of %2. ").arg(count).arg(QString::fromStdString(selected->name))
                 : QString()) +
                tr("As it stands %1 × %2 × %3 mm, %L4 facets.")
                    .arg(placed.x(), 0, 'f', 1)
                    .arg(placed.y(), 0, 'f', 1)
                    .arg(placed.z(), 0, 'f', 1)
                    .arg(selected->mesh->facets.size()));
  soundness_->setText(selected ? healthWords(view_.selection().back()) : QString());
  refreshing_ = false;
}

}  // namespace trellis
