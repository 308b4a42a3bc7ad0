// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/mark_sheet.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/decision_list.hpp"
#include "app/widgets/hand_words.hpp"
#include "app/widgets/tint_editor.hpp"
#include "app/widgets/tool_icons.hpp"
#include "app/widgets/wrapping_label.hpp"

#include <QButtonGroup>
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFileDialog>
#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QSlider>
#include <QToolButton>

#include <cmath>
#include <functional>

namespace trellis {

namespace {

constexpr double smallest = 0.3, largest = 60;  // mm across
constexpr int sliderSteps = 200;
constexpr int firstCoat = 2;  // the button of a coat is its number over that of the last mark

int buttonOf(const Brush& brush) {
  return brush.coat == Coat::support ? static_cast<int>(brush.mark) : firstCoat + static_cast<int>(brush.coat);
}

QToolButton* pictured(const char* name, const QIcon& icon, const QString& help) {
  auto* button = new QToolButton;
  button->setObjectName(QString(name).toLower());
  button->setText(MarkSheet::tr(name));
  button->setIcon(icon);
  button->setIconSize({32, 22});
  button->setToolButtonStyle(Qt::ToolButtonTextUnderIcon);
  button->setCheckable(true);
  button->setToolTip(help);
  button->setStyleSheet("padding: 3px 1px;");
  button->setMinimumHeight(48);                                     // picture and word, however low the window
  button->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);  // five of a row share the sheet's width
  return button;
}

QWidget* boxed(QLayout* layout) {
  auto* widget = new QWidget;
  layout->setContentsMargins(0, 0, 0, 0);
  widget->setLayout(layout);
  return widget;
}

}  // namespace

MarkSheet::MarkSheet(Document& document, Builder& builder, View& view, Hand& hand, Activity& activity, QWidget* parent)
    : Worksheet(tr("Mark"), document, view, parent), builder_(builder), hand_(hand), activity_(activity) {
  addTools();
  addMarks();
  tint_ = new TintEditor(document, view, hand);
  column_->addWidget(tint_);
  addReach();
  addZoneAndProp();
  hands_ = addQuiet("");
  idle_ = addQuiet("");
  idle_->setObjectName("idle");
  addTwin();
  addSection(tr("Zones and props of the part"));
  column_->addWidget(new DecisionList(document, builder, view));
  addWhole();
  connect(&hand, &Hand::brushChanged, this, &MarkSheet::refresh);
  connect(&document, &Document::changed, this, &MarkSheet::refresh);
  connect(&view, &View::selectionChanged, this, &MarkSheet::refresh);
  connect(&builder, &Builder::shownChanged, this, &MarkSheet::refresh);
  refresh();
}

void MarkSheet::addTools() {
  auto* grid = new QGridLayout;
  grid->setSpacing(4);
  tools_ = new QButtonGroup(this);
  const std::tuple<Tool, const char*, QString> rows[] = {
      {Tool::pick, QT_TR_NOOP("Pick"), tr("Selects parts, zones and props, and lays nothing. Key 0.")},
      {Tool::ball, QT_TR_NOOP("Ball"), tr("Everything within a ball in space, round edges and undersides too. Key 1.")},
      {Tool::sight, QT_TR_NOOP("Sight"),
       tr("Only what you see within the circle; what is hidden stays as it is. Key 2.")},
      {Tool::face, QT_TR_NOOP("Face"),
       tr("The flat or smooth face under the pointer, up to a crease. It lights before you click. Key 3.")},
      {Tool::site, QT_TR_NOOP("Site"), tr("The whole overhanging site under the pointer. Key 4.")},
      {Tool::band, QT_TR_NOOP("Band"),
       tr("Everything between two heights: press at one, release at the other, on the part or on the strip. Key 5.")},
      {Tool::zone, QT_TR_NOOP("Zone"),
       tr("A solid that decides for what it covers. Click: it lands there and covers the whole site. Key Z.")},
      {Tool::prop, QT_TR_NOOP("Prop"), tr("One support exactly here. Drag it along the surface. Key R.")},
      {Tool::remove, QT_TR_NOOP("Remove"),
       tr("Point at a support: what would go lights up, with its grams. Click: it goes, its neighbours stay. Key D.")},
      {Tool::measure, QT_TR_NOOP("Measure"), tr("The distance between two places, along the axes too. Key I.")}};
  for (const auto& [tool, name, help] : rows) {
    QToolButton* button = pictured(name, iconOf(tool), help);
    const int i = static_cast<int>(tool);
    tools_->addButton(button, i);
    grid->addWidget(button, i / 5, i % 5);
  }
  tools_->button(static_cast<int>(Tool::remove))->setObjectName("removeSupport");
  column_->addLayout(grid);
  connect(tools_, &QButtonGroup::idClicked, this,
          [this](int id) { change([id](Brush& brush) { brush.tool = static_cast<Tool>(id); }); });
}

void MarkSheet::addMarks() {
  auto* kinds = new QHBoxLayout;
  kinds->setSpacing(4);
  marks_ = new QButtonGroup(this);
  const std::tuple<Mark, const char*, QString> rows[] = {
      {Mark::enforce, QT_TR_NOOP("enforce"),
       tr("Support goes under what is marked, whatever its lean; a marked wall is held. Key E.")},
      {Mark::block, QT_TR_NOOP("block"), tr("No support under what is marked, and none stands on it. Key B.")},
      {Mark::none, QT_TR_NOOP("clear"), tr("Takes marks away. Key N, or hold Ctrl while laying.")}};
  for (const auto& [mark, name, help] : rows) {
    QToolButton* button = pictured(name, iconOf(mark), help);
    marks_->addButton(button, static_cast<int>(mark));
    kinds->addWidget(button);
  }
  const std::tuple<Coat, const char*, QString> rowsOfCoats[] = {
      {Coat::clean, QT_TR_NOOP("clean"),
       tr("Keeps what is marked free of any contact: no support, and nothing stands on it. With Ctrl it may be touched "
          "again. Key K.")},
      {Coat::seen, QT_TR_NOOP("seen"),
       tr("This will be looked at: support goes elsewhere where that carries as much, and a scar here counts tenfold. "
          "Softer than clean. With Ctrl it is not seen. Key O.")}};
  for (const auto& [coat, name, help] : rowsOfCoats) {
    QToolButton* button = pictured(name, iconOf(coat), help);
    marks_->addButton(button, firstCoat + static_cast<int>(coat));
    kinds->addWidget(button);
  }
  markRows_ = boxed(kinds);
  column_->addWidget(markRows_);
  connect(marks_, &QButtonGroup::idClicked, this, [this](int id) {
    change([id](Brush& brush) {
      brush.coat = id > firstCoat ? static_cast<Coat>(id - firstCoat) : Coat::support;
      brush.mark = id > firstCoat ? Mark::block : static_cast<Mark>(id);
    });
  });
}

QDoubleSpinBox* MarkSheet::addBox(QBoxLayout* line, const QString& label, const Figure& figure, const QString& help) {
  if (!label.isEmpty()) line->addWidget(wrappingLabel("", label), 1);
  QDoubleSpinBox* box = figureBox(figure);
  box->setFixedWidth(92);
  box->setToolTip(help);
  line->addWidget(box);
  return box;
}

void MarkSheet::addReach() {
  auto* line = new QHBoxLayout;
  line->addWidget(new QLabel(tr("Size")));
  slider_ = new QSlider(Qt::Horizontal);
  slider_->setRange(0, sliderSteps);
  line->addWidget(slider_, 1);
  size_ = addBox(line, "", {"brushSize", tr(" mm"), smallest, largest, 1},
                 tr("How wide the brush is. Ctrl and wheel, or [ and ], change it too."));
  roundRows_ = boxed(line);
  column_->addWidget(roundRows_);
  auto* crease = new QHBoxLayout;
  crease_ = addBox(crease, tr("Crease"), {"crease", "°", 1, 90, 0},
                   tr("Edges that bend more than this end a face, and stop a stroke that is to stop at creases."));
  creaseRow_ = boxed(crease);
  column_->addWidget(creaseRow_);
  keep_ = new QCheckBox(tr("only where it hangs"));
  keep_->setToolTip(tr("Marks land only where the surface leans more than the free lean."));
  stop_ = new QCheckBox(tr("stop at creases"));
  stop_->setToolTip(
      tr("Ball and Sight stay on the surface under the pointer and do not wrap round a sharp edge or onto the far "
         "face. Key Q."));
  auto* filters = new QHBoxLayout;
  filters->addWidget(keep_);
  filters->addWidget(stop_);
  column_->addLayout(filters);
  connect(slider_, &QSlider::valueChanged, this, [this](int value) {
    change([value](Brush& brush) {
      brush.radius = smallest / 2 * std::pow(largest / smallest, static_cast<double>(value) / sliderSteps);
    });
  });
  connect(size_, &QDoubleSpinBox::valueChanged, this,
          [this](double value) { change([value](Brush& brush) { brush.radius = value / 2; }); });
  connect(crease_, &QDoubleSpinBox::valueChanged, this,
          [this](double value) { change([value](Brush& brush) { brush.crease = value; }); });
  connect(keep_, &QCheckBox::toggled, this,
          [this](bool on) { change([on](Brush& brush) { brush.keepToOverhangs = on; }); });
  connect(stop_, &QCheckBox::toggled, this,
          [this](bool on) { change([on](Brush& brush) { brush.stopAtCreases = on; }); });
}

void MarkSheet::addZoneAndProp() {
  auto* as = new QHBoxLayout;
  as->setSpacing(4);
  zoneAs_ = new QButtonGroup(this);
  const std::tuple<ZoneAs, const char*, QString> rows[] = {
      {ZoneAs::enforce, QT_TR_NOOP("enforces"),
       tr("Support under every underside in it that leans more than the zone's own lean.")},
      {ZoneAs::block, QT_TR_NOOP("blocks"), tr("No support under what is in it.")},
      {ZoneAs::keepClear, QT_TR_NOOP("keeps clear"), tr("No support in it, and none passes through.")}};
  for (const auto& [kind, name, help] : rows) {
    QToolButton* button = pictured(name, iconOf(kind), help);
    zoneAs_->addButton(button, static_cast<int>(kind));
    as->addWidget(button);
  }
  auto* column = new QVBoxLayout;
  column->addLayout(as);
  shape_ = new QComboBox;
  shape_->setObjectName("zoneShape");
  shape_->addItems({tr("box"), tr("cylinder"), tr("ball"), tr("slab: between two heights"), tr("any mesh…")});
  column->addWidget(shape_);
  zoneRows_ = boxed(column);
  column_->addWidget(zoneRows_);
  auto* prop = new QHBoxLayout;
  propWidth_ = addBox(prop, tr("Width of the prop"), {"propWidth", tr(" mm"), 0.8, 20, 1},
                      tr("How thick the next one is. Each can be changed afterwards."));
  propRow_ = boxed(prop);
  column_->addWidget(propRow_);
  auto* remove = new QHBoxLayout;
  reach_ = new QComboBox;
  reach_->setObjectName("removeReach");
  reach_->addItems({tr("a column or branch"), tr("the whole piece"), tr("everything but this piece")});
  remove->addWidget(reach_, 1);
  disc_ =
      addBox(remove, "", {"removeDisc", tr(" mm"), 1, 20, 1},
             tr("How wide the disc is that is cut out of a support whose outline is close. A square column goes as it "
                "is, a branch with all its tips."));
  removeRow_ = boxed(remove);
  column_->addWidget(removeRow_);
  connect(zoneAs_, &QButtonGroup::idClicked, this,
          [this](int id) { change([id](Brush& brush) { brush.zoneAs = static_cast<ZoneAs>(id); }); });
  connect(shape_, &QComboBox::activated, this, [this](int i) {
    change([i](Brush& brush) { brush.zoneShape = static_cast<ZoneShape>(i); });
    if (static_cast<ZoneShape>(i) == ZoneShape::mesh) chooseSolid();
  });
  connect(propWidth_, &QDoubleSpinBox::valueChanged, this,
          [this](double value) { change([value](Brush& brush) { brush.propWidth = value; }); });
  connect(disc_, &QDoubleSpinBox::valueChanged, this,
          [this](double value) { change([value](Brush& brush) { brush.disc = value; }); });
  connect(reach_, &QComboBox::activated, this, [this](int i) {
    change([i](Brush& brush) {
      brush.reach = i == 0 ? Reach::column : Reach::piece;
      brush.keepOnly = i == 2;
    });
  });
}

void MarkSheet::chooseSolid() {
  const QString path = QFileDialog::getOpenFileName(this, tr("A mesh for zones"));
  try {
    const MeshPtr solid = path.isEmpty() ? nullptr : scaledToUnit(*readOneMesh(path.toStdString(), Progress()));
    change([&](Brush& brush) {
      brush.zoneSolid = solid;
      if (!solid) brush.zoneShape = ZoneShape::box;
    });
  } catch (const Error& error) {
    change([](Brush& brush) { brush.zoneShape = ZoneShape::box; });
    Q_EMIT activity_.failed(spoken(error));
  }
}

void MarkSheet::addTwin() {
  auto* line = new QHBoxLayout;
  twin_ = new QCheckBox(tr("twin strokes across"));
  twin_->setToolTip(tr("Each stroke is laid on both sides of the part, as one step. Key W."));
  twinAxis_ = new QComboBox;
  twinAxis_->setObjectName("twinAxis");
  twinAxis_->addItems({tr("the plane found"), tr("x"), tr("y"), tr("z")});
  twinAxis_->setToolTip(
      tr("The plane of mirroring: the one the part is most nearly symmetrical about, or one square to an axis of its "
         "mesh."));
  line->addWidget(twin_);
  line->addWidget(twinAxis_, 1);
  column_->addLayout(line);
  twinWords_ = addQuiet("");
  connect(twin_, &QCheckBox::toggled, this, [this](bool on) { change([on](Brush& brush) { brush.twin = on; }); });
  connect(twinAxis_, &QComboBox::activated, this, [this](int i) { hand_.setTwinAxis(i - 1); });
}

void MarkSheet::addWhole() {
  addSection(tr("On the whole part"));
  laid_ = addQuiet("");
  auto* lean = new QHBoxLayout;
  above_ = addBox(lean, tr("All that leans more than"), {"above", "°", 0, 89, 0},
                  tr("Becomes ordinary marks that can be painted over."));
  above_->setValue(55);
  above_->setKeyboardTracking(true);
  auto* mark = new QPushButton(tr("Mark"));
  mark->setObjectName("markByLean");
  mark->setToolTip(tr("Lays marks there. Until then, changing the angle only shows them."));
  lean->addWidget(mark);
  column_->addLayout(lean);
  const auto stroke = [this] {
    return hand_.brush().laying(view_.selection().back(), LeanStroke{above_->value()}, false, false);
  };
  connect(above_, &QDoubleSpinBox::valueChanged, this, [this, stroke] {
    if (view_.selectedPart() >= 0) document_.preview(stroke());
  });
  connect(mark, &QPushButton::clicked, this, [this, stroke] {
    document_.leavePreview();
    if (view_.selectedPart() >= 0) document_.perform(stroke());
  });
  auto* line = new QHBoxLayout;
  auto* what = new QComboBox;
  what->setObjectName("clearWhat");
  what->addItems({tr("all marks"), tr("enforcers"), tr("blockers"), tr("clean faces"), tr("seen faces"), tr("zones"),
                  tr("props"), tr("site choices"), tr("support made elsewhere")});
  auto* button = new QPushButton(tr("Clear"));
  button->setObjectName("clearThem");
  line->addWidget(what, 1);
  line->addWidget(button);
  column_->addLayout(line);
  connect(button, &QPushButton::clicked, this, [this, what] { clear(static_cast<Clearing>(what->currentIndex())); });
}

void MarkSheet::change(const std::function<void(Brush&)>& how) {
  Brush brush = hand_.brush();
  how(brush);
  hand_.setBrush(brush);
}

void MarkSheet::clear(Clearing what) {
  if (view_.selectedPart() >= 0) document_.perform(ClearDecisions{view_.selection().back(), what});
}

void MarkSheet::refresh() {
  const Brush& brush = hand_.brush();
  if (QAbstractButton* button = tools_->button(static_cast<int>(brush.tool))) button->setChecked(true);
  marks_->button(buttonOf(brush))->setChecked(true);
  tint_->refresh();
  zoneAs_->button(static_cast<int>(brush.zoneAs))->setChecked(true);
  {
    const QSignalBlocker quiet[] = {QSignalBlocker(slider_),    QSignalBlocker(size_), QSignalBlocker(crease_),
                                    QSignalBlocker(keep_),      QSignalBlocker(stop_), QSignalBlocker(twin_),
                                    QSignalBlocker(propWidth_), QSignalBlocker(disc_)};
    disc_->setValue(brush.disc);
    size_->setValue(brush.radius * 2);
    slider_->setValue(static_cast<int>(
        std::lround(std::log(brush.radius * 2 / smallest) / std::log(largest / smallest) * sliderSteps)));
    crease_->setValue(brush.crease);
    keep_->setChecked(brush.keepToOverhangs);
    stop_->setChecked(brush.stopAtCreases);
    twin_->setChecked(brush.twin);
    propWidth_->setValue(brush.propWidth);
  }
  shape_->setCurrentIndex(static_cast<int>(brush.zoneShape));
  reach_->setCurrentIndex(brush.keepOnly ? 2 : brush.reach == Reach::column ? 0 : 1);
  disc_->setVisible(!brush.keepOnly && brush.reach == Reach::column);
  twinAxis_->setCurrentIndex(hand_.twinAxis() + 1);
  const bool marking = brush.lays() || brush.tool == Tool::pick;
  markRows_->setVisible(marking);
  roundRows_->setVisible(brush.isRound() || brush.tool == Tool::pick);
  creaseRow_->setVisible(brush.tool == Tool::face || brush.stopAtCreases);
  zoneRows_->setVisible(brush.tool == Tool::zone);
  propRow_->setVisible(brush.tool == Tool::prop);
  removeRow_->setVisible(brush.tool == Tool::remove);
  keep_->setVisible(marking);
  stop_->setVisible(marking);
  hands_->setText(handWords(brush));
  refreshIdle();
  const auto symmetry = hand_.twinPlane();
  twinWords_->setVisible(brush.twin);
  twinWords_->setText(!symmetry ? tr("Looking for the part's symmetry…")
                      : hand_.twinAxis() >= 0
                          ? tr("The plane goes through the middle of the mesh.")
                          : tr("%1 % of the surface has its mirror image.").arg(symmetry->fit * 100, 0, 'f', 0));
  refreshLaid();
}

}  // namespace trellis
