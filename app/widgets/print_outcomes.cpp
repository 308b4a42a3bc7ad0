// SPDX-License-Identifier: GPL-3.0-or-later
// The rows of a bench note: what became of parts, rungs, pieces and sites.
#include "app/theme/spoken.hpp"
#include "app/widgets/print_page.hpp"
#include "core/document/variants.hpp"

#include <fmt/format.h>
#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QHeaderView>
#include <QPlainTextEdit>
#include <QSpinBox>
#include <QTableWidget>

#include <algorithm>

namespace trellis {

namespace {

constexpr Scar undersides[] = {Scar::smooth, Scar::striped, Scar::rough, Scar::fused};

QComboBox* choices(const QStringList& words, int chosen) {
  auto* box = new QComboBox;
  box->addItem("–");
  box->addItems(words);
  box->setCurrentIndex(chosen);
  return box;
}

}  // namespace

void PrintPage::fillRows() {
  outcomes_->setRowCount(static_cast<int>(note_.outcomes.size()));
  QStringList came, left;
  for (const CameOff how : {CameOff::byHand, CameOff::pliers, CameOff::stayed, CameOff::fellOff})
    came << spoken(nameOf(how));
  for (const Scar scar : undersides) left << spoken(nameOf(scar));
  for (int row = 0; row < outcomes_->rowCount(); ++row) {
    const Outcome& outcome = note_.outcomes[static_cast<std::size_t>(row)];
    auto* name = new QTableWidgetItem(QString::fromStdString(outcome.what));
    name->setFlags(Qt::ItemIsSelectable | Qt::ItemIsEnabled);
    outcomes_->setItem(row, 0, name);
    outcomes_->setCellWidget(row, 1, choices(came, outcome.came ? static_cast<int>(*outcome.came) + 1 : 0));
    outcomes_->setCellWidget(row, 2, choices(left, outcome.underside ? static_cast<int>(*outcome.underside) + 1 : 0));
  }
  outcomes_->setFixedHeight(std::min(8, outcomes_->rowCount()) * outcomes_->verticalHeader()->defaultSectionSize() +
                            30);
}

bool PrintPage::isShown(const Version& version) const {
  return builder_.shown().build && !builder_.isStale() && codeOf(builder_.shown().project) == version.code;
}

void PrintPage::noteOutcome(const std::string& what, double force) {
  const Version* version = chosen();
  if (!isVisible() || !version || !isShown(*version)) return;
  note_ = filled();
  const auto known = std::find_if(note_.outcomes.begin(), note_.outcomes.end(),
                                  [&](const Outcome& outcome) { return outcome.what == what; });
  const auto row = static_cast<int>(known - note_.outcomes.begin());
  if (known == note_.outcomes.end()) {
    Outcome& outcome = note_.outcomes.emplace_back(Outcome{what});
    outcome.force = force;
  }
  fillRows();
  outcomes_->selectRow(row);
}

void PrintPage::notePiece(std::size_t piece) {
  const Build* build = builder_.shown().build.get();
  if (!build || piece >= build->pieces.size()) return;
  const std::size_t part = build->demand[build->support->pieces[piece].sites.front()]->part;
  noteOutcome(fmt::format("{}, piece {}", document_.project()->parts[part]->name, piece + 1),
              build->pieces[piece].force);
}

void PrintPage::noteSite(const SiteId& site) {
  const Build* build = builder_.shown().build.get();
  if (!build) return;
  const Cause cause{CauseKind::site, site.part, site.site};
  double force = 0;
  for (std::size_t piece = 0; piece < build->pieces.size(); ++piece)
    for (const std::size_t number : build->support->pieces[piece].sites)
      for (const Contact& contact : build->demand[number]->contacts)
        if (contact.cause == cause) force = build->pieces[piece].force;
  noteOutcome(fmt::format("{}, site {}", document_.project()->parts[site.part]->name, site.site + 1), force);
}

void PrintPage::pointTo() {
  if (view_.selectedPart() < 0) return;
  const QString name = QString::fromStdString(document_.project()->parts[view_.selection().back()]->name);
  for (int row = 0; row < outcomes_->rowCount(); ++row)
    if (outcomes_->item(row, 0)->text() == name) outcomes_->selectRow(row);
}

BenchNote PrintPage::filled() const {
  BenchNote note = note_;
  for (int row = 0; row < outcomes_->rowCount(); ++row) {
    Outcome& outcome = note.outcomes[static_cast<std::size_t>(row)];
    const int came = static_cast<QComboBox*>(outcomes_->cellWidget(row, 1))->currentIndex(),
              left = static_cast<QComboBox*>(outcomes_->cellWidget(row, 2))->currentIndex();
    outcome.came = came > 0 ? std::optional(static_cast<CameOff>(came - 1)) : std::nullopt;
    outcome.underside = left > 0 ? std::optional(undersides[left - 1]) : std::nullopt;
  }
  const int seconds = hours_->value() * 3600 + minutes_->value() * 60;
  note.seconds = seconds > 0 ? std::optional<double>(seconds) : std::nullopt;
  note.removal = removal_->value() > 0 ? std::optional(removal_->value() * 60) : std::nullopt;
  note.text = text_->toPlainText().toStdString();
  note.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
  return note;
}

}  // namespace trellis
