// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/decision_list.hpp"

#include "app/widgets/local_editor.hpp"
#include "app/widgets/tool_icons.hpp"
#include "core/assess/report.hpp"
#include "core/base/short_name.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>

namespace trellis {

DecisionList::DecisionList(Document& document, Builder& builder, View& view, QWidget* parent)
    : QWidget(parent), document_(document), builder_(builder), view_(view) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  list_ = new QListWidget;
  list_->setObjectName("decisions");
  list_->setFixedHeight(108);
  list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  list_->setIconSize({28, 20});
  column->addWidget(list_);
  column->addWidget(zone_ = zoneFigures());
  column->addWidget(prop_ = propFigures());
  price_ = new QLabel;
  price_->setObjectName("quiet");
  column->addWidget(price_);
  local_ = new LocalEditor([this](const Overrides& settings) {
    if (view_.chosen().kind == Chosen::zone) changeZones([&](ChangeZone& change) { change.settings = settings; });
    if (view_.chosen().kind == Chosen::prop) changeProps([&](ChangeProp& change) { change.settings = settings; });
  });
  column->addWidget(local_);
  connect(list_, &QListWidget::itemSelectionChanged, this, &DecisionList::chooseSelected);
  connect(&document, &Document::changed, this, &DecisionList::refresh);
  connect(&view, &View::selectionChanged, this, &DecisionList::refresh);
  connect(&view, &View::chosenChanged, this, &DecisionList::refresh);
  connect(&builder, &Builder::shownChanged, this, &DecisionList::refreshFigures);
  refresh();
}

DecisionList::Triple DecisionList::addTriple(QGridLayout* grid, int row, const Figure& figure) {
  grid->addWidget(new QLabel(figure.name), row, 0);
  Triple boxes{};
  for (int axis = 0; axis < 3; ++axis) {
    Figure along = figure;
    along.name = "zone" + figure.name + QString("xyz").mid(axis, 1);
    QDoubleSpinBox* box = figureBox(along);
    box->setButtonSymbols(QAbstractSpinBox::NoButtons);
    box->setMinimumWidth(62);
    grid->addWidget(box, row, axis + 1);
    boxes[static_cast<std::size_t>(axis)] = box;
  }
  return boxes;
}

QWidget* DecisionList::zoneFigures() {
  auto* widget = new QWidget;
  auto* grid = new QGridLayout(widget);
  grid->setContentsMargins(0, 0, 0, 0);
  grid->setHorizontalSpacing(4);
  centre_ = addTriple(grid, 0, {tr("Centre"), tr(" mm"), -10000, 10000});
  size_ = addTriple(grid, 1, {tr("Size"), tr(" mm"), 0.1, 4000});
  turn_ = addTriple(grid, 2, {tr("Turn"), "°", -360, 360});
  for (const Triple* triple : {&centre_, &size_, &turn_})
    for (QDoubleSpinBox* box : *triple)
      connect(box, &QDoubleSpinBox::valueChanged, this, [this] {
        changeZone([this](ChangeZone& change) {
          const auto read = [](const Triple& boxes) {
            return Vec3(boxes[0]->value(), boxes[1]->value(), boxes[2]->value());
          };
          change.figures = ZoneFigures{read(centre_), read(size_), read(turn_)};
        });
      });
  as_ = new QComboBox;
  as_->addItems({tr("enforces"), tr("blocks"), tr("keeps clear")});
  grid->addWidget(as_, 3, 0, 1, 2);
  connect(as_, &QComboBox::activated, this,
          [this](int i) { changeZones([i](ChangeZone& change) { change.as = static_cast<ZoneAs>(i); }); });
  lean_ = new QDoubleSpinBox;
  lean_->setRange(0, 89);
  lean_->setDecimals(0);
  lean_->setPrefix(tr("over "));
  lean_->setSuffix("°");
  lean_->setKeyboardTracking(false);
  lean_->setToolTip(tr("An enforcing zone asks for support under what leans more than this."));
  grid->addWidget(lean_, 3, 2);
  connect(lean_, &QDoubleSpinBox::valueChanged, this,
          [this](double value) { changeZones([value](ChangeZone& change) { change.lean = value; }); });
  name_ = new QLineEdit;
  name_->setObjectName("zoneName");
  name_->setPlaceholderText(tr("a name, if you like"));
  name_->setMaxLength(60);
  grid->addWidget(name_, 4, 0, 1, 2);
  connect(name_, &QLineEdit::editingFinished, this, [this] {
    if (const Part* now = part(); now && view_.chosen().kind == Chosen::zone &&
                                  name_->text().toStdString() != now->zones[view_.chosen().index].name)
      changeZone([this](ChangeZone& change) { change.name = name_->text().toStdString(); });
  });
  hidden_ = new QCheckBox(tr("hidden"));
  hidden_->setObjectName("zoneHidden");
  hidden_->setToolTip(tr("Not drawn. It decides all the same."));
  grid->addWidget(hidden_, 4, 2);
  connect(hidden_, &QCheckBox::clicked, this,
          [this](bool on) { changeZones([on](ChangeZone& change) { change.hidden = on; }); });
  locked_ = new QCheckBox(tr("locked"));
  locked_->setObjectName("zoneLocked");
  locked_->setToolTip(tr("Has no handles in the scene, so that no slip of the hand moves it."));
  grid->addWidget(locked_, 4, 3);
  connect(locked_, &QCheckBox::clicked, this,
          [this](bool on) { changeZones([on](ChangeZone& change) { change.locked = on; }); });
  auto* copy = new QPushButton(tr("Copy"));
  copy->setObjectName("copyZone");
  grid->addWidget(copy, 3, 3);
  connect(copy, &QPushButton::clicked, this, [this] {
    document_.perform(CopyZone{view_.selection().back(), view_.chosen().index});
  });
  return widget;
}

QWidget* DecisionList::propFigures() {
  auto* widget = new QWidget;
  auto* line = new QHBoxLayout(widget);
  line->setContentsMargins(0, 0, 0, 0);
  line->addWidget(new QLabel(tr("Width")), 1);
  width_ = new QDoubleSpinBox;
  width_->setObjectName("chosenPropWidth");
  width_->setRange(0.8, 20);
  width_->setDecimals(1);
  width_->setSuffix(tr(" mm"));
  width_->setKeyboardTracking(false);
  line->addWidget(width_);
  connect(width_, &QDoubleSpinBox::valueChanged, this,
          [this](double value) { changeProps([value](ChangeProp& change) { change.width = value; }); });
  return widget;
}

const Part* DecisionList::part() const {
  return view_.selection().empty() ? nullptr : document_.project()->parts[view_.selection().back()].get();
}

void DecisionList::changeZone(const std::function<void(ChangeZone&)>& how) {
  if (refreshing_ || view_.chosen().kind != Chosen::zone) return;
  ChangeZone change{view_.selection().back(), view_.chosen().index};
  how(change);
  document_.perform(change);
}

template <typename Change>
void DecisionList::changeAll(Chosen::Kind kind, const std::function<void(Change&)>& how) {
  if (refreshing_) return;
  std::vector<Operation> operations;
  for (const Chosen& chosen : view_.allChosen()) {
    if (chosen.kind != kind) continue;
    Change change{view_.selection().back(), chosen.index};
    how(change);
    operations.push_back(change);
  }
  if (!operations.empty()) document_.performTogether(operations);
}

void DecisionList::changeZones(const std::function<void(ChangeZone&)>& how) { changeAll(Chosen::zone, how); }
void DecisionList::changeProps(const std::function<void(ChangeProp&)>& how) { changeAll(Chosen::prop, how); }

// The row that was clicked last is the one in hand.
void DecisionList::chooseSelected() {
  if (refreshing_ || !part()) return;
  std::vector<Chosen> chosen;
  const auto at = [zones = part()->zones.size()](int row) {
    const auto i = static_cast<std::size_t>(row);
    return i < zones ? Chosen{Chosen::zone, i} : Chosen{Chosen::prop, i - zones};
  };
  for (const QListWidgetItem* item : list_->selectedItems()) chosen.push_back(at(list_->row(item)));
  const Chosen last = list_->currentRow() < 0 ? Chosen{} : at(list_->currentRow());
  if (std::erase(chosen, last) > 0) chosen.push_back(last);
  view_.chooseAll(std::move(chosen));
}

// "zone 2 · ball · brim of the hat · hidden".
QString DecisionList::zoneWords(const Zone& zone, std::size_t number) {
  static const char* shapes[] = {"box", "cylinder", "ball", "slab", "mesh"};
  QString words = tr("zone %1 · %2").arg(number + 1).arg(tr(shapes[static_cast<std::size_t>(zone.shape)]));
  if (!zone.name.empty()) words += " · " + QString::fromStdString(shortName(zone.name, 24));
  if (zone.hidden) words += tr(" · hidden");
  if (zone.locked) words += tr(" · locked");
  return words;
}

void DecisionList::refresh() {
  refreshing_ = true;
  list_->clear();
  if (const Part* now = part()) {
    for (std::size_t z = 0; z < now->zones.size(); ++z)
      list_->addItem(new QListWidgetItem(iconOf(now->zones[z].as), zoneWords(now->zones[z], z)));
    for (std::size_t k = 0; k < now->props.size(); ++k)
      list_->addItem(new QListWidgetItem(iconOf(Tool::prop),
                                         tr("prop %1 · %2 mm").arg(k + 1).arg(now->props[k].width, 0, 'f', 1)));
    for (const Chosen& chosen : view_.allChosen())
      list_->setCurrentRow(static_cast<int>(chosen.index + (chosen.kind == Chosen::prop ? now->zones.size() : 0)),
                           QItemSelectionModel::Select);
  }
  refreshing_ = false;
  refreshFigures();
}

void DecisionList::refreshFigures() {
  refreshing_ = true;
  const Part* now = part();
  const Chosen chosen = now ? view_.chosen() : Chosen{};
  list_->setVisible(now && !(now->zones.empty() && now->props.empty()));
  zone_->setVisible(chosen.kind == Chosen::zone);
  prop_->setVisible(chosen.kind == Chosen::prop);
  const bool causes =
      chosen.kind == Chosen::prop || (chosen.kind == Chosen::zone && now->zones[chosen.index].as == ZoneAs::enforce);
  local_->setVisible(causes);
  price_->setVisible(causes || !list_->isVisibleTo(this));
  price_->setText(tr("None yet."));
  const Overrides* own = nullptr;
  if (chosen.kind == Chosen::zone) {
    const Zone& zone = now->zones[chosen.index];
    const ZoneFigures figures = figuresOf(zone, transformOf(now->placement, *now->mesh));
    for (std::size_t axis = 0; axis < 3; ++axis) {
      const auto k = static_cast<Eigen::Index>(axis);
      centre_[axis]->setValue(figures.centre[k]);
      size_[axis]->setValue(figures.size[k]);
      turn_[axis]->setValue(figures.turn[k]);
      size_[axis]->setEnabled(zone.shape != ZoneShape::slab || axis == 2);
    }
    as_->setCurrentIndex(static_cast<int>(zone.as));
    lean_->setValue(zone.lean);
    lean_->setVisible(zone.as == ZoneAs::enforce);
    if (!name_->hasFocus()) name_->setText(QString::fromStdString(zone.name));
    hidden_->setChecked(zone.hidden);
    locked_->setChecked(zone.locked);
    own = &zone.settings;
  } else if (chosen.kind == Chosen::prop) {
    width_->setValue(now->props[chosen.index].width);
    own = &now->props[chosen.index].settings;
  }
  if (own) {
    local_->show(own, view_.settingsInHand());
    const Shown& shown = builder_.shown();
    if (shown.build && !builder_.isStale()) {
      const Price price = priceOf(*shown.build, {chosen.kind == Chosen::zone ? CauseKind::zone : CauseKind::prop,
                                                 view_.selection().back(), chosen.index});
      price_->setText(tr("Its own support: %1 g, %2 min")
                          .arg(grams(price.use, document_.settings()), 0, 'f', 2)
                          .arg(price.use.seconds / 60, 0, 'f', 1));
    } else {
      price_->setText(tr("Its own support: …"));
    }
  }
  refreshing_ = false;
}

}  // namespace trellis
