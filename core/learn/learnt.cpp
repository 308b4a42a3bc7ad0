// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/learn/learnt.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

// Of equally good rungs the one that keeps most room: a small gap carries best, a great lean or span saves most.
bool smallIsBetter(LadderKind kind) {
  return kind == LadderKind::gapAbove || kind == LadderKind::gapBelow || kind == LadderKind::gapBeside ||
         kind == LadderKind::column;
}

bool hasSupport(LadderKind kind) { return *settingOf(kind) != 0; }

}  // namespace

std::optional<double> bestRung(const BenchNote& note) {
  if (!note.ladder) return std::nullopt;
  const LadderKind kind = note.ladder->kind;
  const Outcome* best = nullptr;
  const auto better = [&](const Outcome& a, const Outcome& b) {
    const int left = static_cast<int>(a.underside.value_or(Scar::striped)),
              right = static_cast<int>(b.underside.value_or(Scar::striped));
    if (left != right) return left < right;
    return smallIsBetter(kind) ? *a.figure < *b.figure : *a.figure > *b.figure;
  };
  for (const Outcome& outcome : note.outcomes) {
    if (!outcome.figure) continue;
    const bool isClean = outcome.underside && *outcome.underside <= Scar::striped;
    const bool will = hasSupport(kind)             ? outcome.came == CameOff::byHand
                      : kind == LadderKind::column ? outcome.came && *outcome.came != CameOff::fellOff
                                                   : isClean;
    if (!will) continue;
    if (!hasSupport(kind)) {  // how far it may go, not how pretty
      if (!best || (smallIsBetter(kind) ? *outcome.figure < *best->figure : *outcome.figure > *best->figure))
        best = &outcome;
    } else if (!best || better(outcome, *best)) {
      best = &outcome;
    }
  }
  return best ? best->figure : std::nullopt;
}

std::string settingLearnt(LadderKind kind) {
  if (kind == LadderKind::lean) return "support.free_lean";
  if (kind == LadderKind::bridge) return "support.bridge_limit";
  return settingOf(kind);
}

std::optional<LearntFrom> learntFrom(const std::vector<BenchNote>& notes, const std::string& key, double value) {
  std::optional<LearntFrom> newest;
  for (const BenchNote& note : notes)
    for (const Learnt& learnt : note.learnt)
      if (learnt.key == key && std::abs(learnt.value - value) < 1e-9 && (!newest || note.date > newest->date))
        newest = LearntFrom{note.date, note.code, note.ladder.has_value()};
  return newest;
}

Sentence wordsOf(const LearntFrom& from) {
  const std::array<Sentence, 12> months{say("January"),   say("February"), say("March"),    say("April"),
                                        say("May"),       say("June"),     say("July"),     say("August"),
                                        say("September"), say("October"),  say("November"), say("December")};
  Sentence date = from.date;
  int year = 0, month = 0, day = 0;
  if (std::sscanf(from.date.c_str(), "%d-%d-%d", &year, &month, &day) == 3 && month >= 1 && month <= 12)
    date = say("{} {}", day, months[static_cast<std::size_t>(month - 1)]);
  return from.ladder ? say("learnt on {} from ladder {}", date, from.code)
                     : say("learnt on {} from print {}", date, from.code);
}

std::optional<TimeCorrection> timeCorrection(const std::vector<BenchNote>& notes) {
  std::vector<double> ratios;
  for (const BenchNote& note : notes)
    if (note.seconds && *note.seconds > 0 && note.expectedSeconds > 0)
      ratios.push_back(*note.seconds / note.expectedSeconds);
  if (ratios.size() < 2) return std::nullopt;
  TimeCorrection correction{0, 0, ratios.size()};
  const auto count = static_cast<double>(ratios.size());
  for (const double ratio : ratios) correction.factor += ratio / count;
  for (const double ratio : ratios)
    correction.spread += (ratio - correction.factor) * (ratio - correction.factor) / (count - 1);
  correction.spread = std::sqrt(correction.spread);
  return correction;
}

std::optional<double> removalFactor(const std::vector<BenchNote>& notes) {
  double both = 0, squares = 0;
  std::size_t count = 0;
  for (const BenchNote& note : notes)
    if (note.removal && note.expectedRemoval > 0) {
      both += *note.removal * note.expectedRemoval;
      squares += note.expectedRemoval * note.expectedRemoval;
      ++count;
    }
  if (count < notesToRefit) return std::nullopt;
  return std::clamp(both / squares, 0.2, 5.0);
}

std::vector<OutcomeDot> dotsOf(const std::vector<BenchNote>& notes, LadderKind kind) {
  std::vector<OutcomeDot> dots;
  for (const BenchNote& note : notes)
    if (note.ladder && note.ladder->kind == kind)
      for (const Outcome& outcome : note.outcomes)
        if (outcome.figure && (outcome.came || outcome.underside))
          dots.push_back({*outcome.figure, outcome.came, outcome.underside, note.code});
  return dots;
}

}  // namespace trellis
