// SPDX-License-Identifier: GPL-3.0-or-later
// What follows from bench notes.
#pragma once

#include "core/learn/bench_notes.hpp"

namespace trellis {

// Of a ladder's note, the best rung: of those whose support came off by hand, the smoothest underside; of equal ones
// the least gap or the greatest lean, span or spacing, the narrowest column. None when no rung will do.
std::optional<double> bestRung(const BenchNote& note);
// The setting that the best rung is a value for: the ladder's own, or the free lean or the bridge limit; empty for
// columns.
std::string settingLearnt(LadderKind kind);

// Where a value that holds now was learnt: the newest note that taught it.
struct LearntFrom {
  std::string date, code;
  bool ladder = false;
};
std::optional<LearntFrom> learntFrom(const std::vector<BenchNote>& notes, const std::string& key, double value);
Sentence wordsOf(const LearntFrom& from);  // "learnt on 28 November from ladder K7QMRA"

// How much longer prints really take than the program says: the mean of real over expected hours, of at least two
// prints, and its spread (one standard deviation of the prints, by n − 1).
struct TimeCorrection {
  double factor = 1, spread = 0;
  std::size_t prints = 0;
};
std::optional<TimeCorrection> timeCorrection(const std::vector<BenchNote>& notes);

// How much longer taking off really takes: the factor k that makes Σ(real − k·expected)² least, which is
// Σ(real·expected) ÷ Σ(expected²); from at least five notes, and within 0.2 to 5.
inline constexpr std::size_t notesToRefit = 5;
std::optional<double> removalFactor(const std::vector<BenchNote>& notes);

// Real outcomes as dots: a rung's figure, and how it came off and what it left.
struct OutcomeDot {
  double figure = 0;
  std::optional<CameOff> came;
  std::optional<Scar> underside;
  std::string code;
};
std::vector<OutcomeDot> dotsOf(const std::vector<BenchNote>& notes, LadderKind kind);

}  // namespace trellis
