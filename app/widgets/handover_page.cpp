// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/handover_page.hpp"

#include "app/tally/tally_bar.hpp"
#include "app/theme/spoken.hpp"
#include "app/widgets/heat_curves.hpp"
#include "app/widgets/wrapping_label.hpp"
#include "core/learn/learnt.hpp"
#include "core/results/gcode_text.hpp"

#include <QComboBox>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <QSettings>
#include <QVBoxLayout>

#include <algorithm>

namespace trellis {

namespace {

QVBoxLayout* columnIn(QWidget* widget) {
  auto* column = new QVBoxLayout(widget);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(8);
  return column;
}

}  // namespace

HandoverPage::HandoverPage(Document& document, Builder& builder, Notes& notes, Handover& handover, Activity& activity,
                           QWidget* parent)
    : QWidget(parent), document_(document), builder_(builder), notes_(notes), handover_(handover), activity_(activity) {
  QVBoxLayout* column = columnIn(this);
  start_ = new QWidget;
  addStart(columnIn(start_));
  progress_ = new QWidget;
  addProgress(columnIn(progress_));
  column->addWidget(progress_);
  column->addWidget(start_);
  connect(&handover, &Handover::changed, this, &HandoverPage::refresh);
  connect(&builder, &Builder::shownChanged, this, &HandoverPage::refresh);
  connect(&document, &Document::changed, this, &HandoverPage::refresh);
  refresh();
}

void HandoverPage::addStart(QVBoxLayout* column) {
  left_ = new QWidget;
  QVBoxLayout* former = columnIn(left_);
  leftWords_ = wrappingLabel("leftWords");
  former->addWidget(leftWords_);
  auto* answers = new QHBoxLayout;
  auto* follow = new QPushButton(tr("Find it"));
  follow->setObjectName("followPrint");
  follow->setToolTip(tr("Asks the printer which line it is at. Nothing moves before you say so."));
  auto* forget = new QPushButton(tr("Forget it"));
  answers->addWidget(follow);
  answers->addWidget(forget);
  former->addLayout(answers);
  column->addWidget(left_);
  connect(follow, &QPushButton::clicked, this, [this] {
    try {
      handover_.follow();
    } catch (const std::exception& error) {
      activity_.fail(tr("The print that was under way cannot be followed: %1").arg(spoken(error)));
    }
  });
  connect(forget, &QPushButton::clicked, this, [this] {
    handover_.forget();
    refresh();
  });
  auto* words = wrappingLabel("quiet");
  words->setText(
      tr("A printer on a serial line, or on the network as name:port, gets the lines one by one. The bench "
         "printer is a stand-in that prints in its head, sixty times as fast."));
  column->addWidget(words);
  port_ = new QComboBox;
  port_->setObjectName("printerPort");
  port_->setEditable(true);
  port_->setAccessibleName(tr("Printer"));
  column->addWidget(port_);
  print_ = new QPushButton(tr("Print"));
  print_->setObjectName("handOver");
  print_->setMinimumHeight(36);
  column->addWidget(print_);
  connect(print_, &QPushButton::clicked, this, &HandoverPage::print);
}

void HandoverPage::addProgress(QVBoxLayout* column) {
  state_ = wrappingLabel("section");
  place_ = wrappingLabel("placeWords");
  bar_ = new QProgressBar;
  bar_->setRange(0, 1000);
  bar_->setTextVisible(false);
  follows_ = wrappingLabel("quiet");
  heat_ = new HeatCurves(handover_);
  for (QWidget* widget : std::initializer_list<QWidget*>{state_, bar_, place_, heat_, follows_})
    column->addWidget(widget);
  auto* line = new QHBoxLayout;
  const auto button = [&](const char* name, const QString& words, const QString& help, void (Handover::*what)()) {
    auto* made = new QPushButton(words);
    made->setObjectName(name);
    made->setToolTip(help);
    connect(made, &QPushButton::clicked, &handover_, what);
    line->addWidget(made);
    return made;
  };
  pause_ = button("pausePrint", tr("Pause"), tr("Lifts the nozzle and keeps it warm."), &Handover::pause);
  goOn_ = button("goOn", tr("Go on"), tr("From where it is."), &Handover::resume);
  cancel_ = button("cancelPrint", tr("Cancel"), tr("Ends the print: the nozzle lifts, the heaters go off."),
                   &Handover::cancel);
  stop_ = button("stopPrint", tr("Stop at once"),
                 tr("In an emergency: everything stops where it is, and the printer has to be switched off and on."),
                 &Handover::emergency);
  column->addLayout(line);
}

void HandoverPage::showEvent(QShowEvent* event) {
  QWidget::showEvent(event);
  if (!handover_.isUnderWay()) listPorts();
}

void HandoverPage::listPorts() {
  const QString last = QSettings().value("printer").toString();
  port_->clear();
  port_->addItem(tr("the bench printer, a stand-in"), Handover::benchPrinter);
  for (const QString& port : serialPorts()) port_->addItem(port, port);
  if (last.isEmpty()) return;
  const int known = port_->findData(last);
  if (known < 0) port_->insertItem(0, last, last);
  port_->setCurrentIndex(std::max(0, known));
}

// Writes the text in the background, keeps it as a version, and begins.
void HandoverPage::print() {
  const int listed = port_->findText(port_->currentText());
  const QString port = listed >= 0 ? port_->itemData(listed).toString() : port_->currentText().trimmed();
  if (port.isEmpty()) return;
  QSettings().setValue("printer", port);
  const Shown shown = builder_.shown();
  activity_.errands().doNext([this, shown, port](const Progress& progress) {
    progress.report(0.1, "writing G-code");
    const std::string text = gcodeOf(*shown.project, *shown.build, progress);
    activity_.here([this, shown, port, text] {
      document_.keepVersion();
      const auto correction = timeCorrection(notes_.ofMachine());
      try {
        handover_.begin({port, text, codeOf(shown.project), document_.title(),
                         trialRules(shown.project->settings).acceleration, correction ? correction->factor : 1.0});
      } catch (const std::exception& error) {
        activity_.fail(spoken(error));
      }
    });
  });
}

QString HandoverPage::sentence(const HandoverStatus& status) const {
  const QString what = QString::fromStdString(handover_.code());
  switch (status.state) {
    case HandoverState::greeting:
      return tr("Asking the printer where it is.");
    case HandoverState::printing:
      if (status.layer == 0) return tr("%1 is being handed over; the printer heats.").arg(what);
      if (status.silent > 15) return tr("The printer has said nothing for %1 s.").arg(status.silent, 0, 'f', 0);
      return tr("%1 is being printed.").arg(what);
    case HandoverState::pausing:
      return tr("Pausing: what it was sent is still printed.");
    case HandoverState::paused:
      return tr("Paused. The nozzle is lifted and kept warm.");
    case HandoverState::noFilament:
      return tr("The printer is out of filament. Load some, then go on.");
    case HandoverState::lost:
      return tr("The line to the printer is gone. It is tried again every second.");
    case HandoverState::found:
      return tr("The printer is there and knows where it is. Look at the print, then go on.");
    case HandoverState::cancelling:
      return tr("Cancelling.");
    case HandoverState::cancelled:
      return tr("Cancelled. The heaters are off.");
    case HandoverState::done:
      return tr("%1 is printed. Note in Prints what became of it.").arg(what);
    case HandoverState::failed:
      break;
  }
  return QString::fromStdString(status.why);
}

QString HandoverPage::placeWords(const HandoverStatus& status) const {
  QString words =
      tr("layer %1 of %2 · %3 mm").arg(status.layer).arg(handover_.job()->layers).arg(status.height, 0, 'f', 2);
  if (handover_.isUnderWay()) words += tr(" · %1 left").arg(durationWords(status.secondsLeft));
  const auto& changes = handover_.job()->changes;
  const auto next = std::lower_bound(changes.begin(), changes.end(), status.lines);
  if (next != changes.end()) {
    const JobLine& line = handover_.job()->lines[*next];
    words += tr("\nother filament at layer %1, %2 mm").arg(line.layer).arg(static_cast<double>(line.height), 0, 'f', 2);
  }
  return words;
}

void HandoverPage::refresh() {
  const auto& status = handover_.status();
  const bool underWay = handover_.isUnderWay();
  const auto left = handover_.left();
  start_->setVisible(!underWay);
  left_->setVisible(left.has_value());
  if (left)
    leftWords_->setText(tr("%1, version %2, was being printed at %3 when the program ended.")
                            .arg(left->title, QString::fromStdString(left->code), left->port));
  const bool ready = builder_.shown().build && !builder_.isStale() && !builder_.shown().build->print.layers.empty();
  print_->setEnabled(ready);
  print_->setToolTip(ready ? tr("Keeps a version and hands it over.") : tr("There is nothing built to print yet."));
  progress_->setVisible(status.has_value());
  if (!status) return;
  state_->setText(sentence(*status));
  place_->setText(placeWords(*status));
  const double all = std::max(1.0, handover_.job()->seconds);
  const double done = status->lines > 0 ? handover_.job()->lines[status->lines - 1].until : 0;
  bar_->setValue(static_cast<int>(1000 * done / all));
  follows_->setText(status->sentAgain > 0 ? tr("Lines sent again: %1.").arg(status->sentAgain) : QString());
  follows_->setVisible(status->sentAgain > 0);
  pause_->setVisible(status->state == HandoverState::printing);
  goOn_->setVisible(status->state == HandoverState::paused || status->state == HandoverState::found ||
                    status->state == HandoverState::noFilament);
  for (QPushButton* button : {cancel_, stop_}) button->setVisible(underWay);
  heat_->update();
}

}  // namespace trellis
