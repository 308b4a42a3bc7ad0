// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/tally/tally_bar.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "core/assess/report.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QProgressBar>
#include <QPushButton>
#include <QRegularExpression>
#include <QToolButton>

#include <cmath>

namespace trellis {

namespace {

struct Shares {
  Use part, body, interface, rest;
};

Shares sharesOf(const Tally& tally) {
  Shares shares;
  for (std::size_t i = 0; i < featureCount; ++i) {
    const auto feature = static_cast<Feature>(i);
    (isInterface(feature) ? shares.interface : isSupport(feature) || feature == Feature::raft ? shares.body
     : feature >= Feature::skirt ? shares.rest : shares.part) += tally.features[i];
  }
  return shares;
}

// The filament as one bar: part, body hatched one way, interface the other, so that it survives grey print.
class ShareBar : public QWidget {
 public:
  explicit ShareBar(const Builder& builder) : builder_(builder) {
    setFixedHeight(16);
    setMinimumWidth(60);
    setMaximumWidth(200);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    setToolTip(QObject::tr("Filament by use: part, support body, interface, and the rest: skirt, brim, prime tower."));
  }
  QSize sizeHint() const override { return maximumSize(); }

 protected:
  void paintEvent(QPaintEvent*) override {
    QPainter painter(this);
    painter.fillRect(rect(), theme().rule);
    const Shown& shown = builder_.shown();
    if (!shown.build || shown.build->tally.whole().volume <= 0) return;
    const Shares shares = sharesOf(shown.build->tally);
    const double all = shown.build->tally.whole().volume;
    double x = 0;
    const auto piece = [&](const Use& use, const QColor& colour, Qt::BrushStyle pattern) {
      const QRectF box(x, 0, use.volume / all * width(), height());
      painter.fillRect(box, colour);
      if (pattern != Qt::NoBrush) painter.fillRect(box, QBrush(colour.lighter(128), pattern));
      x += box.width();
    };
    piece(shares.part, theme().part, Qt::NoBrush);
    piece(shares.body, theme().body, Qt::FDiagPattern);
    piece(shares.interface, theme().interface, Qt::BDiagPattern);
    piece(shares.rest, theme().quiet, Qt::NoBrush);
  }

 private:
  const Builder& builder_;
};

QString difference(double now, double then, const QString& words) {
  static const QRegularExpression figure("[1-9]");
  if (!words.contains(figure)) return {};  // no difference that can be seen
  const QString colour = (now <= then ? theme().accent : theme().floating).name();
  return QString("  <span style='color:%1'>%2%3</span>").arg(colour, now <= then ? "−" : "+", words);
}

// As your own notes of this filament on this machine say, where there are enough of them.
double secondsToTakeOff(const Notes& notes, const Build& build) {
  return build.removal ? build.removal->seconds() * removalFactor(notes.ofThese()).value_or(1) : 0;
}

}  // namespace

QString durationWords(double seconds) {
  const long minutes = std::lround(seconds / 60);
  if (seconds < 60) return QObject::tr("%1 s").arg(std::lround(seconds));
  if (minutes < 60) return QObject::tr("%1 min").arg(minutes);
  return QObject::tr("%1 h %2 min").arg(minutes / 60).arg(minutes % 60, 2, 10, QChar('0'));
}

TallyBar::TallyBar(Document& document, Builder& builder, Activity& activity, Notes& notes, QWidget* parent)
    : QFrame(parent), document_(document), builder_(builder), notes_(notes) {
  setObjectName("tally");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(16, 6, 16, 6);
  column->setSpacing(4);
  breakdown_ = new QLabel;
  breakdown_->setVisible(false);
  breakdown_->setTextFormat(Qt::RichText);
  column->addWidget(breakdown_);
  auto* line = new QHBoxLayout;
  line->setSpacing(16);
  time_ = new QLabel;
  QFont large = font();
  large.setPixelSize(16);
  time_->setFont(large);
  time_->setMinimumWidth(96);
  bar_ = new ShareBar(builder);
  filament_ = new QLabel;
  money_ = new QLabel;
  stage_ = new QLabel;
  stage_->setObjectName("quiet");
  progress_ = new QProgressBar;
  progress_->setRange(0, 100);
  progress_->setTextVisible(false);
  progress_->setFixedWidth(110);
  cancel_ = new QPushButton;
  cancel_->setObjectName("cancelOrBuild");
  pin_ = new QPushButton(tr("Pin"));
  pin_->setObjectName("pin");
  pin_->setToolTip(
      tr("Keep what is there as a variant and show the difference from it from now on. Key J. Again to let go of it."));
  open_ = new QToolButton;
  open_->setToolTip(tr("Open or close the breakdown by use."));
  findings_ = new QToolButton;
  findings_->setObjectName("findingsCount");
  findings_->setToolTip(tr("What the program noticed, with remedies: in Check."));
  for (QWidget* widget : std::initializer_list<QWidget*>{time_, bar_, filament_, money_}) line->addWidget(widget);
  line->addStretch(1);
  for (QWidget* widget : std::initializer_list<QWidget*>{stage_, progress_, cancel_, pin_, findings_, open_})
    line->addWidget(widget);
  column->addLayout(line);
  connect(cancel_, &QPushButton::clicked, this,
          [this] { builder_.wasGivenUp() ? builder_.rebuild() : builder_.cancel(); });
  connect(pin_, &QPushButton::clicked, this, &TallyBar::pin);
  connect(open_, &QToolButton::clicked, this, &TallyBar::toggleBreakdown);
  connect(findings_, &QToolButton::clicked, this, &TallyBar::findingsAsked);
  connect(&builder, &Builder::shownChanged, this, &TallyBar::refresh);
  connect(&activity, &Activity::progressed, this, &TallyBar::showProgress);
  connect(&notes, &Notes::changed, this, &TallyBar::refresh);
  showProgress(1, "");
  refresh();
}

void TallyBar::toggleBreakdown() {
  breakdown_->setVisible(!breakdown_->isVisible());
  refresh();
}

void TallyBar::pin() {
  if (pinned_)
    pinned_.reset();
  else if (builder_.shown().build && !builder_.isStale()) {
    pinned_ = figuresNow();
    document_.perform(AddVariant{document_.freeVariantName(tr("pin"), 1), false});
  }
  refresh();
}

TallyBar::Pinned TallyBar::figuresNow() const {
  const Build& build = *builder_.shown().build;
  const Settings& settings = builder_.shown().project->settings;
  return {build.tally.seconds, grams(build.tally.whole(), settings), grams(build.tally.support(), settings),
          money(build.tally.whole(), settings), secondsToTakeOff(notes_, build)};
}

void TallyBar::resizeEvent(QResizeEvent* event) {
  QFrame::resizeEvent(event);
  fitWords();
}

// The sum in as many words as there is room for beside the shortest bar.
void TallyBar::fitWords() {
  if (filamentWords_.isEmpty()) return;
  int others = 32 + bar_->minimumWidth() + 16;
  for (const QWidget* widget :
       std::initializer_list<const QWidget*>{time_, money_, stage_, progress_, cancel_, pin_, findings_, open_})
    if (!widget->isHidden()) others += std::max(widget->minimumWidth(), widget->sizeHint().width()) + 16;
  for (const QString& words : filamentWords_) {
    filament_->setText(words);
    if (filament_->sizeHint().width() <= width() - others) break;
  }
}

void TallyBar::showProgress(double fraction, const QString& stage) {
  const bool running = fraction < 1, stopped = !running && builder_.wasGivenUp();
  stage_->setText(stopped ? tr("stopped") : spoken(stage.toStdString()));
  progress_->setValue(static_cast<int>(fraction * 100));
  progress_->setVisible(running);
  cancel_->setText(stopped ? tr("Build") : tr("Cancel"));
  cancel_->setToolTip(stopped ? tr("Go on with what was stopped.")
                              : tr("Stop building. What was built last stays in view; the next change builds again."));
  for (QWidget* widget : std::initializer_list<QWidget*>{stage_, cancel_}) widget->setVisible(running || stopped);
  fitWords();
}

void TallyBar::refresh() {
  const Shown& shown = builder_.shown();
  bar_->update();
  pin_->setText(pinned_ ? tr("Let go of pin") : tr("Pin"));
  pin_->setEnabled(shown.build != nullptr);
  const bool empty = !shown.build || shown.build->print.layers.empty();
  bar_->setVisible(!empty);
  filament_->setVisible(!empty);
  money_->setVisible(!empty);
  if (empty) {
    time_->setText(document_.project()->parts.empty() ? tr("Nothing to print yet") : tr("Not built yet"));
    open_->setText("▴");
    breakdown_->clear();
    findings_->setVisible(false);
    return;
  }
  const Settings& settings = shown.project->settings;
  const Tally& tally = shown.build->tally;
  const double all = grams(tally.whole(), settings), seconds = tally.seconds;
  QString time = durationWords(seconds);
  const Shares shares = sharesOf(tally);
  static const QRegularExpression placeOfParts("%L?2");  // in whatever language
  filamentWords_.clear();
  for (const QString& form :
       {tr("%1 g = part %2 + support %3 + interface %4"), tr("%1 g = %2 + %3 + %4"), tr("%1 g")}) {
    QString words = form.arg(all, 0, 'f', 1);
    const bool divided = form.contains(placeOfParts);
    if (divided)
      for (const Use* use : {&shares.part, &shares.body, &shares.interface})
        words = words.arg(grams(*use, settings), 0, 'f', 1);
    if (const double rest = grams(shares.rest, settings); rest >= 0.05 && divided)
      words += (form.contains(tr("part")) ? tr(" + rest %1") : tr(" + %1")).arg(rest, 0, 'f', 1);
    filamentWords_ << words;
  }
  filament_->setToolTip(filamentWords_.front());
  QString removal = shown.build->pieces.empty()
                        ? QString()
                        : tr(" · %1 to take it off").arg(durationWords(secondsToTakeOff(notes_, *shown.build)));
  const QString sign = QString::fromStdString(settings.text("machine.currency"));
  QString cost = tr("filament for %1 %2").arg(money(tally.whole(), settings), 0, 'f', 2).arg(sign);
  if (pinned_) {
    const Pinned now = figuresNow();
    time += difference(seconds, pinned_->seconds, durationWords(std::abs(seconds - pinned_->seconds)));
    for (QString& words : filamentWords_)
      words += difference(all, pinned_->grams, tr("%1 g since pin").arg(std::abs(all - pinned_->grams), 0, 'f', 1));
    if (std::abs(now.support - pinned_->support) >= 0.05)
      filamentWords_.front() +=
          difference(now.support, pinned_->support,
                     tr("%1 g of it support").arg(std::abs(now.support - pinned_->support), 0, 'f', 1));
    cost += difference(now.cost, pinned_->cost, inFigures(std::abs(now.cost - pinned_->cost), 2));
    if (std::abs(now.removal - pinned_->removal) >= 1)
      removal += difference(now.removal, pinned_->removal, durationWords(std::abs(now.removal - pinned_->removal)));
  }
  time_->setText(time);
  time_->setToolTip(byYourPrints(seconds));
  money_->setText(cost + removal);
  fitWords();
  const auto factor = removalFactor(notes_.ofThese());
  money_->setToolTip(tr("What the filament costs, and about how long a hand is busy with taking the support off.") +
                     (factor ? tr(" By your own notes, %1 times as long as is usual.").arg(*factor, 0, 'f', 2) : ""));
  const auto count = std::count_if(shown.build->findings.begin(), shown.build->findings.end(),
                                   [](const Finding& finding) { return !finding.accepted; });
  const bool grave = count > 0 && !shown.build->findings.front().accepted &&
                     shown.build->findings.front().severity == Severity::problem;
  findings_->setVisible(true);
  findings_->setText(count == 0
                         ? tr("no findings")
                         : (grave ? "◆ " : "▲ ") + (count == 1 ? tr("1 finding") : tr("%1 findings").arg(count)));
  open_->setText(breakdown_->isVisible() ? "▾" : "▴");
  refreshBreakdown();
}

// "By your last 4 prints 8 h 40 min, give or take 20 min."
QString TallyBar::byYourPrints(double seconds) const {
  const auto time = timeCorrection(notes_.ofMachine());
  if (!time) return tr("How long the print takes.");
  return tr("By your last %1 prints %2, give or take %3.")
      .arg(time->prints)
      .arg(durationWords(seconds * time->factor), durationWords(seconds * time->spread));
}

void TallyBar::refreshBreakdown() {
  const Shown& shown = builder_.shown();
  const Settings& settings = shown.project->settings;
  QString rows = "<table cellspacing='3'>";
  const auto row = [&](const QString& name, const Use& use) {
    rows +=
        QString(
            "<tr><td>%1&nbsp;&nbsp;</td><td align='right'>&nbsp;%2 g&nbsp;</td><td align='right'>&nbsp;%3</td></tr>")
            .arg(name)
            .arg(grams(use, settings), 0, 'f', 2)
            .arg(durationWords(use.seconds));
  };
  static const char* names[featureCount] = {"outer walls",
                                            "inner walls",
                                            "walls that lean out",
                                            "covers",
                                            "covers over support",
                                            "infill",
                                            "bridges",
                                            "support body",
                                            "branches",
                                            "graded layers",
                                            "upper interface",
                                            "lower interface",
                                            "holds",
                                            "feet",
                                            "raft",
                                            "skirt",
                                            "brim",
                                            "prime tower"};
  for (std::size_t i = 0; i < featureCount; ++i) {
    const Use& use = shown.build->tally.features[i];
    if (use.volume > 0) row(names[i], use);
  }
  const Tally& tally = shown.build->tally;
  const auto timeOnly = [&](const QString& name, double seconds) {
    rows += QString("<tr><td>%1</td><td></td><td align='right'>%2</td></tr>").arg(name, durationWords(seconds));
  };
  timeOnly(tr("travel"), tally.travelSeconds);
  if (timeCorrection(notes_.ofMachine()))
    rows += QString("<tr><td colspan='3'>%1</td></tr>").arg(byYourPrints(tally.seconds));
  if (tally.heatSeconds > 0) timeOnly(tr("heating"), tally.heatSeconds);
  if (tally.toolChanges > 0) timeOnly(tr("%1 tool changes").arg(tally.toolChanges), tally.toolSeconds);
  rows += "</table>";
  breakdown_->setText(rows);
}

}  // namespace trellis
