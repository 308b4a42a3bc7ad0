// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/set_lines.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/set_page.hpp"
#include "core/base/error.hpp"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>
#include <QVBoxLayout>

namespace trellis {

namespace {

QString labelOf(SetKind kind) {
  return kind == SetKind::machine    ? QObject::tr("Machine")
         : kind == SetKind::filament ? QObject::tr("Filament")
                                     : QObject::tr("Print");
}

QString pageHelp(SetKind kind) {
  return kind == SetKind::machine ? QObject::tr("Plate, nozzle, speeds, retraction and the machine's own texts")
         : kind == SetKind::filament
             ? QObject::tr("Heat, fan, flow, layer time and price, and how far it may lean and span")
             : QObject::tr("Layers, lines, speeds and everything about supports");
}

}  // namespace

SetLines::SetLines(Document& document, View& view, Activity& activity, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), activity_(activity) {
  setObjectName("sets");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  for (const SetKind kind : setKinds) addLine(kind, column);
  connect(&document, &Document::changed, this, &SetLines::refresh);
  connect(&document, &Document::setsChanged, this, &SetLines::refresh);
  refresh();
}

void SetLines::addLine(SetKind kind, QVBoxLayout* column) {
  Line& line = lines_[static_cast<std::size_t>(kind)];
  const QString name = QString::fromStdString(std::string(nameOf(kind)));
  auto* row = new QHBoxLayout;
  row->setSpacing(6);
  auto* label = new QLabel(labelOf(kind));
  row->addWidget(label, 1);
  line.box = new QComboBox;
  line.box->setObjectName("set." + name);
  line.box->setFixedWidth(180);
  line.box->setAccessibleName(labelOf(kind));
  line.box->setFocusPolicy(Qt::StrongFocus);
  label->setBuddy(line.box);
  row->addWidget(line.box);
  line.open = new QToolButton;
  line.open->setObjectName("open." + name);
  line.open->setCheckable(true);
  line.open->setAutoRaise(true);
  line.open->setArrowType(Qt::RightArrow);
  line.open->setFixedSize(22, 22);
  line.open->setStyleSheet("padding: 0; border: 0;");
  line.open->setToolTip(pageHelp(kind));
  line.open->setAccessibleName(tr("All figures of the %1").arg(labelOf(kind).toLower()));
  row->addWidget(line.open);
  column->addLayout(row);
  line.otherwise = new QLabel;
  line.otherwise->setObjectName("quiet");
  line.otherwise->setWordWrap(true);
  column->addWidget(line.otherwise);
  line.place = new QWidget;
  line.place->setVisible(false);
  (new QVBoxLayout(line.place))->setContentsMargins(0, 0, 0, 0);
  column->addWidget(line.place);
  connect(line.box, &QComboBox::activated, this, [this, kind, &line] {
    try {
      document_.chooseSet(kind, line.box->currentData().toString().toStdString());
    } catch (const Error& error) {
      activity_.fail(spoken(error));
    }
  });
  connect(line.open, &QToolButton::toggled, this, [this, kind](bool open) { openPage(kind, open); });
}

void SetLines::openPage(SetKind kind, bool open) {
  Line& line = lines_[static_cast<std::size_t>(kind)];
  if (open && line.place->layout()->isEmpty())
    line.place->layout()->addWidget(new SetPage(document_, view_, activity_, kind));
  line.place->setVisible(open);
  line.open->setArrowType(open ? Qt::DownArrow : Qt::RightArrow);
  if (!open) return;
  for (const SetKind other : setKinds)
    if (other != kind) lines_[static_cast<std::size_t>(other)].open->setChecked(false);
}

void SetLines::refresh() {
  for (const SetKind kind : setKinds) {
    Line& line = lines_[static_cast<std::size_t>(kind)];
    const KeptSet& chosen = document_.project()->sets.of(kind);
    QStringList names;
    for (const KeptSet& set : document_.library().all(kind)) names << QString::fromStdString(set.name);
    const QString current = QString::fromStdString(chosen.name);
    if (!names.contains(current)) names << current;
    QStringList shown;
    for (int i = 0; i < line.box->count(); ++i) shown << line.box->itemText(i);
    if (shown != names) {
      line.box->clear();
      for (const QString& name : names) line.box->addItem(name, name);
    }
    line.box->setCurrentIndex(static_cast<int>(names.indexOf(current)));
    line.otherwise->setVisible(document_.library().isOtherwise(chosen));
    line.otherwise->setText(
        tr("This project's %1 has other figures than yours of that name. Choose it again to use yours.").arg(current));
  }
}

}  // namespace trellis
