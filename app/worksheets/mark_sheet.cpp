// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/mark_sheet.hpp"

#include "app/theme/theme.hpp"

#include <QButtonGroup>
#include <QCheckBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QSlider>
#include <QToolButton>

#include <cmath>
#include <functional>

namespace trellis {

namespace {

QPixmap blank() {
  QPixmap pixmap(80, 56);
  pixmap.setDevicePixelRatio(2);
  pixmap.fill(Qt::transparent);
  return pixmap;
}

// A piece of surface and the tool that works on it.
QIcon toolIcon(const std::function<void(QPainter&)>& drawTool) {
  QPixmap pixmap = blank();
  QPainter painter(&pixmap);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(2, 14, 36, 12, theme().part);
  drawTool(painter);
  painter.end();
  return QIcon(pixmap);
}

QIcon ballIcon() {
  return toolIcon([](QPainter& painter) {
    painter.fillRect(12, 14, 16, 7, theme().enforce);
    painter.setPen(QPen(theme().ink, 1.2, Qt::DashLine));
    painter.drawEllipse(QPointF(20, 13), 9, 9);
  });
}

QIcon pickIcon() {
  return toolIcon([](QPainter& painter) {
    painter.setPen(QPen(theme().ink, 1.4));
    painter.drawLine(QPointF(20, 2), QPointF(20, 12));
    painter.drawPolyline(QPolygonF({QPointF(16, 8), QPointF(20, 12), QPointF(24, 8)}));
  });
}

// A swatch with the mark's own pattern.
QIcon swatch(Mark mark) {
  QPixmap pixmap = blank();
  QPainter painter(&pixmap);
  const QRect box(8, 6, 24, 16);
  painter.fillRect(box, mark == Mark::enforce ? theme().enforce : mark == Mark::block ? theme().block : theme().part);
  painter.setPen(QPen(mark == Mark::enforce ? theme().enforce.darker(140) : theme().block.lighter(190), 1.2));
  painter.setClipRect(box);
  if (mark == Mark::enforce)
    for (int y = 2; y < 28; y += 6) painter.drawPolyline(QPolygonF({QPointF(8, y + 8), QPointF(20, y), QPointF(32, y + 8)}));
  if (mark == Mark::block)
    for (int x = -16; x < 40; x += 6) {
      painter.drawLine(x, 6, x + 16, 22);
      painter.drawLine(x + 16, 6, x, 22);
    }
  return QIcon(pixmap);
}

QToolButton* pictured(const QString& name, const QIcon& icon, const QString& help) {
  auto* button = new QToolButton;
  button->setText(name);
  button->setIcon(icon);
  button->setIconSize({40, 28});
  button->setToolButtonStyle(Qt::ToolButtonTextUnderIcon);
  button->setCheckable(true);
  button->setToolTip(help);
  button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
  return button;
}

}  // namespace

MarkSheet::MarkSheet(Session& session, QWidget* parent) : Worksheet(tr("Mark"), session, parent) {
  addSection(tr("Tool"));
  auto* tools = new QHBoxLayout;
  tools_ = new QButtonGroup(this);
  auto* pick = pictured(tr("Pick"), pickIcon(), tr("Selects parts and changes nothing. Key 0."));
  auto* ball = pictured(tr("Ball"), ballIcon(), tr("Marks everything within a ball in space, round edges and undersides too. Key 1."));
  pick->setObjectName("pick");
  ball->setObjectName("ball");
  tools_->addButton(pick, 0);
  tools_->addButton(ball, 1);
  for (QToolButton* button : {pick, ball}) tools->addWidget(button);
  column_->addLayout(tools);
  addSection(tr("Lays"));
  auto* kinds = new QHBoxLayout;
  marks_ = new QButtonGroup(this);
  const std::tuple<Mark, const char*, const char*> rows[] = {
      {Mark::enforce, "enforce", "Support goes under what is marked, whatever its lean. Key E."},
      {Mark::block, "block", "No support under what is marked. Key B."},
      {Mark::none, "clear", "Takes marks away. Key N, or hold Ctrl while laying."}};
  for (const auto& [mark, name, help] : rows) {
    QToolButton* button = pictured(tr(name), swatch(mark), tr(help));
    button->setObjectName(name);
    marks_->addButton(button, static_cast<int>(mark));
    kinds->addWidget(button);
  }
  column_->addLayout(kinds);
  addSection(tr("Size"));
  auto* line = new QHBoxLayout;
  slider_ = new QSlider(Qt::Horizontal);
  slider_->setRange(0, 200);
  size_ = new QDoubleSpinBox;
  size_->setRange(0.3, 60);
  size_->setDecimals(1);
  size_->setSuffix(tr(" mm"));
  size_->setAlignment(Qt::AlignRight);
  size_->setFixedWidth(92);
  size_->setToolTip(tr("The ball's width. Ctrl and wheel, or [ and ], change it too."));
  line->addWidget(slider_, 1);
  line->addWidget(size_);
  column_->addLayout(line);
  keep_ = new QCheckBox(tr("keep to overhangs"));
  keep_->setToolTip(tr("Marks land only where the surface leans more than the free lean."));
  column_->addWidget(keep_);
  hands_ = addQuiet("");
  addSection(tr("On the selected part"));
  laid_ = addQuiet("");
  auto* clears = new QHBoxLayout;
  const std::pair<const char*, std::optional<Mark>> ways[] = {
      {"Clear enforcers", Mark::enforce}, {"Clear blockers", Mark::block}, {"Clear all", std::nullopt}};
  for (const auto& [name, only] : ways) {
    auto* button = new QPushButton(tr(name));
    button->setStyleSheet("padding: 5px 4px;");
    connect(button, &QPushButton::clicked, this, [this, only = only] { clear(only); });
    clears->addWidget(button);
  }
  column_->addLayout(clears);
  connect(tools_, &QButtonGroup::idClicked, this, [this](int id) {
    Brush brush = session_.brush();
    brush.active = id == 1;
    session_.setBrush(brush);
  });
  connect(marks_, &QButtonGroup::idClicked, this, [this](int id) {
    Brush brush = session_.brush();
    brush.mark = static_cast<Mark>(id);
    brush.active = true;
    session_.setBrush(brush);
  });
  connect(slider_, &QSlider::valueChanged, this, [this](int value) { size_->setValue(0.3 * std::pow(200.0, value / 200.0)); });
  connect(size_, &QDoubleSpinBox::valueChanged, this, [this](double value) {
    Brush brush = session_.brush();
    if (std::abs(brush.radius * 2 - value) < 0.05) return;
    brush.radius = value / 2;
    session_.setBrush(brush);
  });
  connect(keep_, &QCheckBox::toggled, this, [this](bool on) {
    Brush brush = session_.brush();
    brush.keepToOverhangs = on;
    session_.setBrush(brush);
  });
  connect(&session, &Session::brushChanged, this, &MarkSheet::refresh);
  connect(&session, &Session::projectChanged, this, &MarkSheet::refresh);
  connect(&session, &Session::selectionChanged, this, &MarkSheet::refresh);
  refresh();
}

void MarkSheet::clear(std::optional<Mark> only) {
  if (session_.selectedPart() >= 0) session_.perform(ClearMarks{static_cast<std::size_t>(session_.selectedPart()), only});
}

void MarkSheet::refresh() {
  const Brush& brush = session_.brush();
  tools_->button(brush.active ? 1 : 0)->setChecked(true);
  marks_->button(static_cast<int>(brush.mark))->setChecked(true);
  const QSignalBlocker quietSlider(slider_), quietSize(size_), quietKeep(keep_);
  size_->setValue(brush.radius * 2);
  slider_->setValue(static_cast<int>(std::lround(std::log(brush.radius * 2 / 0.3) / std::log(200.0) * 200)));
  keep_->setChecked(brush.keepToOverhangs);
  const char* what = brush.mark == Mark::enforce ? "enforces" : brush.mark == Mark::block ? "blocks" : "clears";
  hands_->setText(brush.active ? tr("Left button %1, with Ctrl clears. Right turns, middle or Space slides, wheel zooms.").arg(tr(what))
                               : tr("Left button selects a part. Right turns, middle or Space slides, wheel zooms. Choose Ball to lay marks."));
  const int selected = session_.selectedPart();
  if (selected < 0) return laid_->setText(tr("No part is selected."));
  const Part& part = *session_.project()->parts[static_cast<std::size_t>(selected)];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const double enforced = markedArea(*part.mesh, toPlate, *part.marks, Mark::enforce);
  const double blocked = markedArea(*part.mesh, toPlate, *part.marks, Mark::block);
  laid_->setText(tr("%1: %2 mm² enforced, %3 mm² blocked").arg(QString::fromStdString(part.name)).arg(enforced, 0, 'f', 0).arg(blocked, 0, 'f', 0));
}

}  // namespace trellis
