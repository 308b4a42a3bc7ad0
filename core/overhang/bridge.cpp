// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/overhang/bridge.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double beyond = 0.1;  // mm past a rim, besides what the free lean allows
constexpr double mostLines = 200;
constexpr std::size_t ownDirections = 12;

struct Crossing {
  double along;  // mm
  double z;
  int winding;  // of what begins here
};

class SpanFinder {
 public:
  SpanFinder(const std::vector<RimEdge>& rim, const LayerPlan& plan, const std::vector<Polygons>& sections,
             const SpanRules& rules)
      : rim_(rim), plan_(plan), sections_(sections), rules_(rules), slope_(std::tan(toRadians(rules.freeLean))) {}

  // In the direction in which enough bridges over the shortest way, or else the most.
  Span best() const {
    Span result;
    Vec2 along = Vec2::UnitX();
    const auto rank = [](const Span& span) { return std::pair(span.bridges() ? 1 : span.anchored, -span.length); };
    for (const double angle : directions()) {
      const Vec2 direction(std::cos(angle), std::sin(angle));
      Span span = spanAlong(direction);
      if (span.length <= 0 || (result.length > 0 && rank(span) <= rank(result))) continue;
      result = span;
      along = direction;
    }
    if (result.length > 0 && result.anchored < 1) spanAlong(along, &result.left);
    return result;
  }

 private:
  // Across the longest edges first: that is how one would bridge.
  std::vector<double> directions() const {
    std::vector<std::pair<double, double>> edges;  // length and angle
    for (const RimEdge& e : rim_) {
      const Vec2 d = (e.to - e.from).head<2>();
      edges.emplace_back(-d.norm(), std::atan2(d.y(), d.x()));
    }
    std::sort(edges.begin(), edges.end());
    std::vector<double> angles;
    for (std::size_t i = 0; i < std::min(edges.size(), ownDirections); ++i) {
      angles.push_back(edges[i].second + pi / 2);
      angles.push_back(edges[i].second);
    }
    for (int degrees = 0; degrees < 180; degrees += 5) angles.push_back(toRadians(degrees));
    return angles;
  }

  // The longest line in a direction, and how much of all lines bridges; what does not, as strips, if asked for.
  Span spanAlong(const Vec2& direction, Polygons* left = nullptr) const {
    const Vec2 across(-direction.y(), direction.x());
    double low = 1e300, high = -1e300;
    for (const RimEdge& e : rim_) {
      low = std::min(low, e.from.head<2>().dot(across));
      high = std::max(high, e.from.head<2>().dot(across));
    }
    const double count = std::clamp(std::ceil((high - low) / rules_.lineWidth), 8.0, mostLines),
                 pitch = (high - low) / count;
    Span span;
    double all = 0, bridged = 0;
    for (double k = 0.5; k < count; ++k) {
      const double offset = low + k * pitch;
      forEachLine(direction, across, offset, [&](double begin, double end, bool anchored) {
        all += end - begin;
        span.length = std::max(span.length, end - begin);
        if (anchored && end - begin <= rules_.limit + 1e-6) {
          bridged += end - begin;
        } else if (left) {
          const auto corner = [&](double at, double side) {
            return toPoint(Vec2(direction * at + across * (offset + side * pitch / 2)));
          };
          left->push_back({corner(begin, -1), corner(end, -1), corner(end, 1), corner(begin, 1)});
        }
      });
    }
    span.anchored = all > 0 ? bridged / all : 0;
    return span;
  }

  // Calls visit with where each stretch of a line within the rim begins and ends, and whether it hangs from part.
  template <typename Visit>
  void forEachLine(const Vec2& direction, const Vec2& across, double offset, const Visit& visit) const {
    int winding = 0;
    Crossing first{};
    for (const Crossing& crossing : crossingsAt(direction, across, offset)) {
      if (winding == 0) first = crossing;
      winding += crossing.winding;
      if (winding != 0 || crossing.along - first.along < 1e-6) continue;
      visit(first.along, crossing.along,
            isPart(direction * first.along + across * offset, -direction, first.z) &&
                isPart(direction * crossing.along + across * offset, direction, crossing.z));
    }
  }

  std::vector<Crossing> crossingsAt(const Vec2& direction, const Vec2& across, double offset) const {
    std::vector<Crossing> found;
    for (const RimEdge& e : rim_) {
      const double a = e.from.head<2>().dot(across) - offset, b = e.to.head<2>().dot(across) - offset;
      if ((a < 0) == (b < 0)) continue;
      const Vec3 p = e.from + (e.to - e.from) * (a / (a - b));
      found.push_back({p.head<2>().dot(direction), p.z(), a < 0 ? -1 : 1});
    }
    std::sort(found.begin(), found.end(), [](const Crossing& p, const Crossing& q) { return p.along < q.along; });
    return found;
  }

  bool isPart(const Vec2& rim, const Vec2& outward, double z) const {
    const auto above = std::partition_point(plan_.spans.begin(), plan_.spans.end(),
                                            [&](const LayerSpan& s) { return s.middle() < z - 1e-6; });
    if (above == plan_.spans.begin()) return true;  // nothing below but the plate
    const auto layer = static_cast<std::size_t>(above - plan_.spans.begin() - 1);
    const double reach = (z - plan_.spans[layer].middle()) * slope_ + beyond;
    return contains(sections_[layer], toPoint(rim + outward * reach));
  }

  const std::vector<RimEdge>& rim_;
  const LayerPlan& plan_;
  const std::vector<Polygons>& sections_;
  SpanRules rules_;
  double slope_;
};

}  // namespace

Span spanOf(const std::vector<RimEdge>& rim, const LayerPlan& plan, const std::vector<Polygons>& sections,
            const SpanRules& rules) {
  return SpanFinder(rim, plan, sections, rules).best();
}

}  // namespace trellis
