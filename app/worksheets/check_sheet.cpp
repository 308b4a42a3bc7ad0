// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/worksheets/check_sheet.hpp"

#include "core/base/short_name.hpp"

#include "app/tally/tally_bar.hpp"
#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "app/widgets/finding_list.hpp"
#include "app/widgets/piece_list.hpp"
#include "app/widgets/removal_list.hpp"
#include "core/assess/hold_advice.hpp"
#include "core/trial/trial_report.hpp"

#include <QLabel>
#include <QPushButton>

#include <algorithm>

namespace trellis {

namespace {

// What the lines of the part stand on, as a small table.
QString lengthsOf(const TrialPrint& trial) {
  static const char* names[] = {
      QT_TRANSLATE_NOOP("QObject", "on the plate"), QT_TRANSLATE_NOOP("QObject", "on material"),
      QT_TRANSLATE_NOOP("QObject", "on support"),   QT_TRANSLATE_NOOP("QObject", "sagging"),
      QT_TRANSLATE_NOOP("QObject", "bridging"),     QT_TRANSLATE_NOOP("QObject", "on air")};
  QString rows = "<table>";
  double all = 0;
  for (const double length : trial.partLength) all += length;
  for (std::size_t i = 0; i < trial.partLength.size(); ++i) {
    const bool bad = static_cast<ContactClass>(i) == ContactClass::air && trial.partLength[i] >= 0.5;
    rows +=
        QString("<tr><td>%1%2&nbsp;&nbsp;</td><td align='right'>%3 m&nbsp;&nbsp;</td><td align='right'>%4 %</td></tr>")
            .arg(bad ? QString("<span style='color:%1'>◆</span> ").arg(theme().floating.name()) : QString(),
                 QObject::tr(names[i]))
            .arg(trial.partLength[i] / 1000, 0, 'f', 2)
            .arg(all > 0 ? trial.partLength[i] / all * 100 : 0, 0, 'f', 2);
  }
  return rows + "</table>";
}

QString standingWords(const Build& build, const Project& project) {
  QString words;
  for (std::size_t p = 0; p < build.parts.size(); ++p) {
    const Stability& stability = *build.judged[p].stability;
    const StandingLevel *most = stability.mostDeflected(), *least = stability.leastHeld();
    if (!most) continue;
    words += (words.isEmpty() ? "" : "\n") +
             QObject::tr("%1 sways by %2 mm at most, at %3 mm height; the plate holds it against a push of %4.")
                 .arg(QString::fromStdString(shortName(project.parts[p]->name)))
                 .arg(most->deflection, 0, 'f', 2)
                 .arg(most->z, 0, 'f', 0)
                 .arg(least->safetyFactor > 99 ? QObject::tr("over 99 N")
                                               : QObject::tr("%1 N").arg(least->safetyFactor, 0, 'f', 1));
    const auto held = [](const StandingLevel& level) { return level.held; };
    const auto first = std::find_if(stability.levels.begin(), stability.levels.end(), held);
    if (first != stability.levels.end())
      words += QObject::tr(" Support holds it in %1 layers, from %2 mm on.")
                   .arg(std::count_if(stability.levels.begin(), stability.levels.end(), held))
                   .arg(first->z, 0, 'f', 1);
  }
  return words;
}

QString removalWords(const Build& build) {
  if (build.pieces.empty()) return QObject::tr("There is no support to take off.");
  const RemovalPlan& plan = *build.removal;
  QString words =
      QObject::tr("About %1 by hand, in %2. Choose one to see it done; forces and times are usual figures.")
          .arg(durationWords(plan.seconds()))
          .arg(plan.steps.size() == 1 ? QObject::tr("1 step") : QObject::tr("%1 steps").arg(plan.steps.size()));
  if (!plan.trapped.empty())
    words +=
        QObject::tr(" %1 cannot be taken off at all.")
            .arg(plan.trapped.size() == 1 ? QObject::tr("1 piece") : QObject::tr("%1 pieces").arg(plan.trapped.size()));
  return words;
}

}  // namespace

CheckSheet::CheckSheet(Document& document, Builder& builder, View& view, QWidget* parent)
    : Worksheet(tr("Check"), document, view, parent), builder_(builder) {
  addTrial();
  addSection(tr("Findings"));
  findings_ = addQuiet("");
  column_->addWidget(new FindingList(document, builder, view));
  addPieces();
  addSection(tr("How firmly it stands"));
  standing_ = addQuiet("");
  standing_->setObjectName("standing");
  addQuiet(
      tr("Under a push of 1 N sideways at the nozzle, height by height on the strip. An estimate: stiffness and hold "
         "on the plate are usual figures, not measured on yours."));
  addSettings({"filament.stiffness", "filament.adhesion"});
  addSection(tr("Report"));
  addQuiet(tr("One page with pictures, the settings that matter, the tally and the findings."));
  auto* report = new QPushButton(tr("Write a report…"));
  report->setObjectName("report");
  connect(report, &QPushButton::clicked, this, &CheckSheet::reportAsked);
  column_->addWidget(report, 0, Qt::AlignLeft);
  connect(&builder, &Builder::shownChanged, this, &CheckSheet::refresh);
  connect(&builder, &Builder::trialPrintChanged, this, &CheckSheet::refreshTrial);
  connect(&view, &View::gcodeChanged, this, &CheckSheet::refreshTrial);
  refresh();
}

void CheckSheet::addTrial() {
  addSection(tr("Trial print"));
  verdict_ = new QLabel;
  verdict_->setObjectName("verdict");
  verdict_->setWordWrap(true);
  column_->addWidget(verdict_);
  lengths_ = new QLabel;
  lengths_->setObjectName("lengths");
  lengths_->setTextFormat(Qt::RichText);
  column_->addWidget(lengths_);
  first_ = new QPushButton(tr("Go to the first place on air"));
  first_->setObjectName("firstAir");
  connect(first_, &QPushButton::clicked, this, [this] {
    const TrialPrint& trial = view_.gcode() ? *view_.gcode()->trial : *builder_.trialPrint();
    const auto air = std::find_if(trial.stretches.begin(), trial.stretches.end(), [&](const Stretch& s) {
      return s.contactClass == ContactClass::air && isPart(trial.said[s.said]);
    });
    if (air != trial.stretches.end())
      view_.goTo(((air->from + air->to) / 2).cast<double>() - Vec3(0, 0, static_cast<double>(air->height)));
  });
  column_->addWidget(first_, 0, Qt::AlignLeft);
  auto* line = new QHBoxLayout;
  auto* open = new QPushButton(tr("Try a G-code file…"));
  open->setObjectName("openGcode");
  open->setToolTip(
      tr("Any program's G-code: shown layer by layer, coloured by what each line stands on, with its verdict. The "
         "project stays as it is."));
  connect(open, &QPushButton::clicked, this, &CheckSheet::gcodeAsked);
  back_ = new QPushButton(tr("Back to the project"));
  back_->setObjectName("closeGcode");
  connect(back_, &QPushButton::clicked, &view_, &View::closeGcode);
  line->addWidget(open);
  line->addWidget(back_);
  line->addStretch(1);
  column_->addLayout(line);
}

void CheckSheet::addPieces() {
  addSection(tr("Pieces"));
  pieces_ = addQuiet("");
  column_->addWidget(new PieceList(document_, builder_, view_));
  addSection(tr("Removal plan"));
  removal_ = addQuiet("");
  removal_->setObjectName("removal");
  column_->addWidget(new RemovalList(builder_, view_));
}

void CheckSheet::showEvent(QShowEvent* event) {
  Worksheet::showEvent(event);
  prove();
}

void CheckSheet::prove() {
  builder_.runTrialPrint();
  builder_.tryRemedies();
}

void CheckSheet::refreshTrial() {
  const TrialPrint* trial = view_.gcode() ? view_.gcode()->trial.get() : builder_.trialPrint().get();
  back_->setVisible(view_.gcode().has_value());
  const QString name = view_.gcode() ? view_.gcode()->name + ": " : QString();
  const bool nothing = !builder_.shown().build || builder_.shown().build->print.layers.empty();
  verdict_->setText(trial     ? name + spoken(verdictOf(*trial))
                    : nothing ? tr("There is nothing to print yet.")
                              : tr("Being tried …"));
  lengths_->setVisible(trial != nullptr);
  first_->setVisible(trial && trial->partLength[static_cast<std::size_t>(ContactClass::air)] >= 0.5);
  if (trial) lengths_->setText(lengthsOf(*trial));
}

void CheckSheet::refresh() {
  const Shown& shown = builder_.shown();
  if (isVisible()) prove();
  refreshTrial();
  if (!shown.build) return;
  const auto& findings = builder_.findings();
  const auto accepted =
      std::count_if(findings.begin(), findings.end(), [](const Finding& f) { return f.accepted.has_value(); });
  const auto open = static_cast<std::ptrdiff_t>(findings.size()) - accepted;
  findings_->setText(accepted > 0 ? tr("%1 open, %2 accepted. A picture takes you there.").arg(open).arg(accepted)
                                  : tr("%1, worst first. A picture takes you there.").arg(open));
  findings_->setVisible(!findings.empty());
  removal_->setText(removalWords(*shown.build));
  standing_->setText(standingWords(*shown.build, *shown.project));
  const std::size_t count = shown.build->support->pieces.size();
  pieces_->setText(count == 0 ? tr("No support is built.")
                              : tr("Built as %1. Choose a row to see the piece leave.")
                                    .arg(count == 1 ? tr("1 piece") : tr("%1 pieces").arg(count)));
}

}  // namespace trellis
