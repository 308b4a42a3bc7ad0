// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/steps.hpp"

#include <cmath>
#include <utility>

namespace trellis {

namespace {

constexpr double shortest = 0.05;  // mm; shorter stretches are drawn together with the next

// How far a place lies beside the straight way between two others, mm.
double beside(const Micron& place, const Micron& a, const Micron& b) {
  const double length = distance(a, b);
  if (length <= 0) return distance(a, place);
  const double x = static_cast<double>(b.x - a.x), y = static_cast<double>(b.y - a.y);
  return std::abs(x * static_cast<double>(place.y - a.y) - y * static_cast<double>(place.x - a.x)) / (length * 1e6);
}

// The places of a run that the text names. Of two that lie too near to each other it keeps the one whose loss would be
// seen more; the first and the last it always keeps.
std::vector<Micron> placesOf(const Polygon& points) {
  std::vector<Micron> places{rounded(points.front())};
  for (std::size_t i = 1; i + 1 < points.size(); ++i) {
    const Micron place = rounded(points[i]);
    if (distance(places.back(), place) >= shortest) {
      places.push_back(place);
      continue;
    }
    const std::size_t n = places.size();
    if (n > 1 && distance(places[n - 2], place) >= shortest &&
        beside(places[n - 1], places[n - 2], place) < beside(place, places[n - 1], rounded(points[i + 1])))
      places.back() = place;
  }
  const Micron last = rounded(points.back());
  while (places.size() > 1 && distance(places.back(), last) < shortest) places.pop_back();
  places.push_back(last);
  return places;
}

class Stepper {
 public:
  Stepper(const PrintLayer& layer, double lift, const MotionRules& rules)
      : layer_(layer), top_(layer.top + lift), rules_(rules) {}

  void enter(const Run* before) {
    const Run& first = layer_.runs.front();
    const Micron start = rounded(first.points.front());
    if (before) at_ = rounded(before->points.back());
    const bool changes = first.filament != (before ? before->filament : Filament::first), waits = layer_.waits > 0;
    const bool retracts =
        before && rules_.retractLength > 0 && (changes || waits || distance(at_, start) > rules_.retractOver);
    if (retracts) add(Step::pull, rules_.retractLength, rules_.retractSpeed, 0);
    add(Step::rise, top_, rules_.liftSpeed, 0);
    if (waits) {
      goTo(rounded(layer_.beside), 0);
      add(Step::wait, layer_.waits, 0, 0);
    }
    if (changes) add(Step::change, 0, 0, 0);
    if (before)
      goTo(start, 0);
    else
      add(Step::go, 0, rules_.travelSpeed, 0, start);
    if (retracts) add(Step::push, rules_.retractLength, rules_.retractSpeed, 0);
  }

  void begin() { at_ = rounded(layer_.runs.front().points.front()); }

  void draw(std::size_t r) {
    const Run& run = layer_.runs[r];
    const double section = beadArea(run.width, run.height > 0 ? run.height : layer_.top - layer_.bottom);
    const std::vector<Micron> places = placesOf(run.points);
    for (std::size_t i = 1; i < places.size(); ++i)
      if (const double length = distance(at_, places[i]); length > 0) {
        add(Step::draw, length * section, 0, r, places[i]);
        at_ = places[i];
      }
  }

  void approach(std::size_t r) {
    const Run& run = layer_.runs[r];
    const bool changes = run.filament != layer_.runs[r - 1].filament;
    const bool retracts = (run.approach.retracts || changes) && rules_.retractLength > 0;
    const bool lifts = (run.approach.lifts || changes) && rules_.lift > 0;
    if (retracts) add(Step::pull, rules_.retractLength, rules_.retractSpeed, r);
    if (lifts) add(Step::rise, top_ + rules_.lift, rules_.liftSpeed, r);
    if (changes) add(Step::change, 0, 0, r);
    for (const Point& corner : run.approach.way) goTo(rounded(corner), r);
    goTo(rounded(run.points.front()), r);
    if (lifts) add(Step::rise, top_, rules_.liftSpeed, r);
    if (retracts) add(Step::push, rules_.retractLength, rules_.retractSpeed, r);
  }

  std::vector<Step> taken() { return std::exchange(steps_, {}); }

 private:
  void add(Step::Kind kind, double amount, double speed, std::size_t run, const Micron& to = {}) {
    steps_.push_back({kind, to, amount, speed, run});
  }
  void goTo(const Micron& to, std::size_t run) {
    if (to == at_) return;
    add(Step::go, 0, rules_.travelSpeed, run, to);
    at_ = to;
  }

  const PrintLayer& layer_;
  double top_;  // mm over the plate
  const MotionRules& rules_;
  std::vector<Step> steps_;
  Micron at_;
};

}  // namespace

Micron rounded(const Point& p) {
  const Vec2 mm = toMm(p);
  return {std::llround(mm.x() * 1000), std::llround(mm.y() * 1000)};
}

double distance(const Micron& a, const Micron& b) {
  return std::hypot(static_cast<double>(a.x - b.x), static_cast<double>(a.y - b.y)) / 1000;
}

std::vector<Step> stepsInto(const PrintLayer& layer, const Run* before, double lift, const MotionRules& rules) {
  Stepper stepper(layer, lift, rules);
  if (!layer.runs.empty()) stepper.enter(before);
  return stepper.taken();
}

std::vector<Step> stepsOf(const PrintLayer& layer, double lift, const MotionRules& rules) {
  Stepper stepper(layer, lift, rules);
  for (std::size_t r = 0; r < layer.runs.size(); ++r) {
    r == 0 ? stepper.begin() : stepper.approach(r);
    stepper.draw(r);
  }
  return stepper.taken();
}

}  // namespace trellis
