// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/sweep_page.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/sweep_plot.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QProgressBar>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace trellis {

namespace {

// What people vary first; everything else that a part may have follows.
constexpr const char* first[] = {"support.structure",       "support.gap.above", "support.interface.upper.spacing",
                                 "support.free_lean",       "support.footing",   "support.source",
                                 "support.tree.tip_spacing"};

QString usualValues(const SettingRow& row, const Settings& settings) {
  if (!row.choices.empty()) {
    QStringList choices;
    for (const std::string& choice : row.choices) choices << QString::fromStdString(choice);
    return choices.join(", ");
  }
  if (row.kind == SettingKind::yesNo) return "on, off";
  const double now = settings.number(row.key);
  const double step = row.kind == SettingKind::whole ? 1 : std::max(0.02, std::round(now * 10) / 100);
  QStringList values;
  for (const double k : {-1.0, 0.0, 1.0})
    if (const double value = now + k * step; value >= row.low && value <= row.high) values << QString::number(value);
  return values.join(", ");
}

}  // namespace

SweepPage::SweepPage(Document& document, View& view, Sweeper& sweeper, Activity& activity, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), sweeper_(sweeper), activity_(activity) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(8);
  auto* hint =
      new QLabel(tr("Say what may vary and what you want. Every combination is built while you go on working."));
  hint->setObjectName("quiet");
  hint->setWordWrap(true);
  column->addWidget(hint);
  addAxes(column);
  addWants(column);
  count_ = new QLabel;
  count_->setObjectName("quiet");
  count_->setWordWrap(true);
  column->addWidget(count_);
  auto* line = new QHBoxLayout;
  start_ = new QPushButton;
  start_->setObjectName("startSweep");
  progress_ = new QProgressBar;
  progress_->setTextVisible(false);
  line->addWidget(start_);
  line->addWidget(progress_, 1);
  column->addLayout(line);
  plot_ = new SweepPlot(sweeper);
  column->addWidget(plot_);
  words_ = new QLabel;
  words_->setObjectName("sweepWords");
  words_->setWordWrap(true);
  column->addWidget(words_);
  keep_ = new QPushButton(tr("Keep it as a variant"));
  keep_->setObjectName("keepCombination");
  column->addWidget(keep_);
  connect(start_, &QPushButton::clicked, this, &SweepPage::start);
  connect(plot_, &SweepPlot::chosenChanged, this, &SweepPage::look);
  connect(plot_, &SweepPlot::keptAsked, this, &SweepPage::keep);
  connect(keep_, &QPushButton::clicked, this, [this] { keep(plot_->chosen()); });
  connect(&sweeper, &Sweeper::changed, this, &SweepPage::refresh);
  connect(&view, &View::turningsChanged, this, &SweepPage::count);
  for (std::size_t a = 0; a < axes; ++a) {
    if (a + 1 < axes) keys_[a]->setCurrentIndex(static_cast<int>(a) + 1);
    takeUsual(a);
  }
  refresh();
}

void SweepPage::addAxes(QVBoxLayout* column) {
  auto* grid = new QGridLayout;
  grid->setColumnStretch(1, 1);
  for (std::size_t a = 0; a < axes; ++a) {
    keys_[a] = new QComboBox;
    keys_[a]->setObjectName(QString("sweepKey%1").arg(a));
    keys_[a]->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    keys_[a]->setMinimumContentsLength(14);
    keys_[a]->addItem(tr("nothing more"), QString());
    for (const char* key : first) keys_[a]->addItem(spoken(settingRow(key).label), QString(key));
    keys_[a]->addItem(tr("turning, of those found in Place"), QString("turning"));
    for (const SettingRow& row : settingsTable())
      if (row.perPart && row.kind != SettingKind::text && keys_[a]->findData(QString::fromStdString(row.key)) < 0)
        keys_[a]->addItem(spoken(row.label), QString::fromStdString(row.key));
    values_[a] = new QLineEdit;
    values_[a]->setObjectName(QString("sweepValues%1").arg(a));
    values_[a]->setPlaceholderText(tr("values, with commas"));
    grid->addWidget(keys_[a], static_cast<int>(a), 0);
    grid->addWidget(values_[a], static_cast<int>(a), 1);
    connect(keys_[a], &QComboBox::activated, this, [this, a] { takeUsual(a); });
    connect(values_[a], &QLineEdit::textChanged, this, &SweepPage::count);
  }
  column->addLayout(grid);
}

// Values around what holds now, or all choices.
void SweepPage::takeUsual(std::size_t axis) {
  const QString key = keys_[axis]->currentData().toString();
  const bool typed = !key.isEmpty() && key != "turning";
  values_[axis]->setEnabled(typed);
  values_[axis]->setText(typed ? usualValues(settingRow(key.toStdString()), document_.settings()) : QString());
  count();
}

void SweepPage::addWants(QVBoxLayout* column) {
  auto* line = new QHBoxLayout;
  const char* usual[wants] = {"time_min", "removal_min"};
  for (std::size_t w = 0; w < wants; ++w) {
    wants_[w] = new QComboBox;
    wants_[w]->setObjectName(QString("sweepWant%1").arg(w));
    for (const FigureRow& row : figureRows())
      if (row.isJudged) wants_[w]->addItem(spoken(row.label), QString(row.key));
    wants_[w]->setCurrentIndex(wants_[w]->findData(QString(usual[w])));
    line->addWidget(new QLabel(w == 0 ? tr("Least") : tr("and")));
    line->addWidget(wants_[w], 1);
  }
  column->addLayout(line);
  trapped_ = new QCheckBox(tr("nothing trapped"));
  problems_ = new QCheckBox(tr("no problems found"));
  trapped_->setChecked(true);
  auto* limits = new QHBoxLayout;
  limits->addWidget(trapped_);
  limits->addWidget(problems_);
  limits->addStretch(1);
  column->addLayout(limits);
}

SweepSpec SweepPage::spec() const {
  SweepSpec spec;
  for (std::size_t a = 0; a < axes; ++a) {
    const std::string key = keys_[a]->currentData().toString().toStdString();
    if (key.empty()) continue;
    if (key == "turning") {
      SweepAxis axis{key};
      for (const ShownTurning& shown : view_.turnings()) axis.turnings.push_back(shown.turning.turn);
      if (axis.turnings.empty()) throw Error("Look for turnings in Place first.");
      axis.turnings.resize(std::min<std::size_t>(axis.turnings.size(), 4));
      spec.vary.push_back(std::move(axis));
    } else {
      QStringList values;
      for (const QString& value : values_[a]->text().split(',', Qt::SkipEmptyParts)) values << value.trimmed();
      spec.vary.push_back(axisFromText(key + "=" + values.join(',').toStdString()));
    }
  }
  for (const QComboBox* want : wants_) spec.want.push_back({want->currentData().toString().toStdString()});
  if (trapped_->isChecked()) spec.limits.push_back({"trapped", 0});
  if (problems_->isChecked()) spec.limits.push_back({"problems", 0});
  return spec;
}

void SweepPage::count() {
  if (sweeper_.isRunning()) return;
  try {
    const std::size_t count = combinationsOf(*document_.project(), spec()).size();
    count_->setText(count == 1 ? tr("1 combination") : tr("%1 combinations").arg(count));
    start_->setEnabled(!document_.project()->parts.empty());
  } catch (const Error& error) {
    count_->setText("△ " + spoken(error));
    start_->setEnabled(false);
  }
}

void SweepPage::start() {
  if (sweeper_.isRunning()) return sweeper_.stop();
  if (sweeper_.done() > 0 && sweeper_.done() < sweeper_.combinations().size()) return sweeper_.resume();
  try {
    sweeper_.start(spec());
  } catch (const Error& error) {
    activity_.fail(spoken(error));
  }
}

void SweepPage::refresh() {
  const std::size_t done = sweeper_.done(), all = sweeper_.combinations().size();
  progress_->setVisible(all > 0);
  progress_->setRange(0, std::max(1, static_cast<int>(all)));
  progress_->setValue(static_cast<int>(done));
  start_->setText(sweeper_.isRunning() ? tr("Stop") : done > 0 && done < all ? tr("Go on") : tr("Build them all"));
  plot_->setVisible(done > 0);
  keep_->setVisible(done > 0);
  keep_->setEnabled(plot_->chosen() >= 0);
  if (all > 0) {
    count_->setText(tr("%1 of %2 built").arg(done).arg(all));
    start_->setEnabled(true);
  }
  if (done == all && all > 0) count();
  // Of the limits that can be asked for here only this one is known so early.
  if (const std::size_t dropped = sweeper_.count(SweepState::dropped))
    count_->setText(count_->text() + tr(" · %1 would trap support, and no lines were laid for them").arg(dropped));
  const auto best = bestOf(sweeper_.spec(), sweeper_.results());
  if (plot_->chosen() >= 0)
    words_->setText(wordsOf(static_cast<std::size_t>(plot_->chosen())));
  else
    words_->setText(best ? tr("Best so far: %1").arg(wordsOf(*best)) : QString());
}

QString SweepPage::wordsOf(std::size_t combination) const {
  const SweepResult& result = sweeper_.results()[combination];
  QStringList words;
  for (std::size_t a = 0; a < result.chosen.size(); ++a) {
    const std::string& key = sweeper_.spec().vary[a].key;
    const QString name = key == "turning" ? tr("turning") : spoken(settingRow(key).label).toLower();
    words << name + " " + QString::fromStdString(result.chosen[a]);
  }
  QString text = words.join(", ");
  for (const SweepWant& want : sweeper_.spec().want)
    for (const FigureRow& row : figureRows())
      if (want.row == row.key && result.figures.contains(row.key))
        text += tr(" · %1 %2 %3")
                    .arg(spoken(row.label))
                    .arg(result.figures.at(row.key), 0, 'f', row.decimals)
                    .arg(row.unit);
  return text;
}

void SweepPage::look(int combination) {
  const auto& results = sweeper_.results();
  keep_->setEnabled(combination >= 0);
  if (combination < 0 || static_cast<std::size_t>(combination) >= results.size()) return;
  const auto i = static_cast<std::size_t>(combination);
  words_->setText(wordsOf(i));
  document_.leavePreview();
  document_.previewTogether(tr("a combination").toStdString(), sweeper_.combinations()[i].steps);
}

void SweepPage::keep(int combination) {
  if (combination < 0) return;
  const auto i = static_cast<std::size_t>(combination);
  document_.leavePreview();
  std::string name;
  for (const std::string& word : sweeper_.results()[i].chosen) name += (name.empty() ? "" : ", ") + word;
  std::vector<Operation> steps{AddVariant{name}};
  for (const Operation& step : sweeper_.combinations()[i].steps) steps.push_back(step);
  document_.performTogether(steps);
}

}  // namespace trellis
