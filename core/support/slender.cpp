// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/slender.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double eps = 1e-7;       // mm
constexpr std::size_t looked = 8;  // steps between two looks
constexpr double lowest = 3;       // mm; what is lower does not fall over

// Whether a circle of this radius fits nowhere in a region.
bool isThinner(const Polygons& region, double radius) { return grow(region, -radius).empty(); }

// The radius of the largest circle in a region, to a fiftieth of a millimetre, at most limit.
double inscribedRadius(const Polygons& region, double limit) {
  double low = 0, high = limit;
  while (high - low > 0.02) {
    const double middle = (low + high) / 2;
    (isThinner(region, middle) ? high : low) = middle;
  }
  return low;
}

// A low one has no room to widen to the least there is.
double steadyRadius(double height) {
  const double reachable = height * std::tan(toRadians(wideningLean)) / 2;
  return std::max(height * leastSteadiness, std::min(leastColumn, reachable)) / 2;
}

// What a column is widened to: a wide one loses a little when it is smoothed.
double targetRadius(double height) {
  const double steady = steadyRadius(height);
  return steady > leastColumn / 2 + smoothness ? steady + smoothness : steady;
}

}  // namespace

bool mayBeSlender(const std::vector<DescentStep>& steps) {
  if (steps.empty()) return false;
  const double floor = steps.back().bottom;
  for (std::size_t q = steps.size(); q-- > 0;) {
    if ((steps.size() - 1 - q) % looked != 0) continue;
    const double radius = steadyRadius(steps.front().top - floor);
    for (const Polygons& column : components(steps[q].whole()))
      if (isThinner(column, radius)) return true;
  }
  return false;
}

SlenderColumns::SlenderColumns(const std::vector<DescentStep>& steps, const SupportRules& rules,
                               const Progress& progress)
    : interface_((rules.interfaceLayers + 0.5) * (steps.empty() ? 0 : steps.front().top - steps.front().bottom)) {
  for (const DescentStep& step : steps) {
    tops_.push_back(step.top);
    std::vector<Column>& columns = steps_.emplace_back();
    for (Polygons& area : components(step.whole())) columns.push_back({std::move(area), step.bottom, step.top});
    for (Column& column : columns)
      for (const DescentStep::Landing& landing : step.landings)
        if (landing.bottom < step.bottom && meet(column.area, landing.reach, 0)) column.low = landing.bottom;
  }
  const auto follow = [&](std::size_t from, std::size_t to, const auto& take) {
    progress.check();
    for (Column& column : steps_[to])
      for (const Column& other : steps_[from])
        if (column.area == other.area || meet(column.area, other.area, 0)) take(column, other);
  };
  for (std::size_t q = 0; q + 1 < steps_.size(); ++q)
    follow(q, q + 1, [](Column& column, const Column& above) { column.high = std::max(column.high, above.high); });
  for (std::size_t q = steps_.size(); q-- > 1;)
    follow(q, q - 1, [](Column& column, const Column& below) { column.low = std::min(column.low, below.low); });
  for (std::size_t q = 0; q < steps_.size(); ++q)
    for (const Column& column : steps_[q]) {
      const bool stands = column.low > steps[q].bottom - eps;
      if (!stands || column.height() <= std::max(worstHeight_, lowest) ||
          !isThinner(column.area, 0.95 * steadyRadius(column.height())) || isJoined(q, column))
        continue;
      worstHeight_ = column.height();
      worstWidth_ = 2 * inscribedRadius(column.area, steadyRadius(column.height()));
    }
}

// Whether what stands there is a sliver on a slope that soon becomes one with a stout column.
bool SlenderColumns::isJoined(std::size_t standing, const Column& column) const {
  constexpr double soon = 3;  // mm
  Polygons area = column.area;
  for (std::size_t q = standing; q-- > 0 && tops_[q] < column.low + soon;) {
    Polygons above;
    for (const Column& other : steps_[q])
      if (meet(other.area, area, 0)) {
        if (!isThinner(other.area, 0.95 * steadyRadius(other.height()))) return true;
        above.insert(above.end(), other.area.begin(), other.area.end());
      }
    area = std::move(above);
  }
  return false;
}

const std::vector<SlenderColumns::Column>* SlenderColumns::at(double top) const {
  const auto found = std::find_if(tops_.begin(), tops_.end(), [&](double t) { return std::abs(t - top) < eps; });
  return found == tops_.end() ? nullptr : &steps_[static_cast<std::size_t>(found - tops_.begin())];
}

Polygons SlenderColumns::widened(const Polygons& reach, double bottom, double top) const {
  const std::vector<Column>* columns = at(top);
  if (!columns) return reach;
  const double most = (top - bottom) * std::tan(toRadians(wideningLean));
  Polygons wide;
  for (const Polygons& piece : components(reach)) {
    double radius = 0;
    for (const Column& column : *columns)
      if (top < column.high - interface_ && meet(piece, column.area, 0))
        radius = std::max(radius, targetRadius(column.height()));
    const bool widens = radius > 0 && isThinner(piece, radius);
    const Polygons grown = widens ? grow(piece, most) : piece;
    wide.insert(wide.end(), grown.begin(), grown.end());
  }
  return unite(wide);
}

}  // namespace trellis
