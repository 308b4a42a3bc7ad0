// SPDX-License-Identifier: GPL-3.0-or-later
// Columns that are too thin for their height, and how they widen on their way down.
#pragma once

#include "core/support/column_descent.hpp"

namespace trellis {

// A quick look: false only when every column is wide enough even if it stood on the lowest step.
bool mayBeSlender(const std::vector<DescentStep>& steps);

// What was let down without a thought of steadiness, followed from step to step.
class SlenderColumns {
 public:
  SlenderColumns(const std::vector<DescentStep>& steps, const SupportRules& rules, const Progress& progress);

  bool any() const { return worstHeight_ > 0; }
  double worstHeight() const { return worstHeight_; }  // mm
  double worstWidth() const { return worstWidth_; }    // mm across, of the same column where it stands

  // What is let down, where it belongs to a slender column and lies below its interface, grown by what wideningLean
  // allows between two heights, until it is wide enough.
  Polygons widened(const Polygons& reach, double bottom, double top) const;

 private:
  struct Column {
    Polygons area;
    double low, high;  // mm, of all it is connected with above and below
    double height() const { return high - low; }
  };
  const std::vector<Column>* at(double top) const;
  bool isJoined(std::size_t standing, const Column& column) const;

  double interface_;  // mm, how far below its top a column begins to widen
  double worstHeight_ = 0, worstWidth_ = 0;
  std::vector<double> tops_;                // highest first
  std::vector<std::vector<Column>> steps_;  // in the same order
};

}  // namespace trellis
