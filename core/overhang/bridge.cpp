// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/overhang/bridge.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double inset = 0.02;  // mm inside a corner
constexpr double beyond = 0.1;  // mm past a rim, besides what the free lean allows
constexpr std::size_t mostChords = 400, ownDirections = 12;

struct Crossing {
  double along;  // mm
  double z;
  int winding;  // of what begins here
};

class SpanFinder {
 public:
  SpanFinder(const std::vector<RimEdge>& rim, const LayerPlan& plan, const std::vector<Polygons>& sections,
             double freeLean)
      : rim_(rim), plan_(plan), sections_(sections), slope_(std::tan(toRadians(freeLean))) {}

  Span best() const {
    Span result{1e300, false};
    for (const double angle : directions()) {
      const Span span = along({std::cos(angle), std::sin(angle)});
      if (span.length > 0 && std::pair(!span.anchored, span.length) < std::pair(!result.anchored, result.length))
        result = span;
    }
    return result.length < 1e300 ? result : Span{};
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

  // The longest chord in a direction, and whether all are anchored. Nothing when there is none.
  Span along(const Vec2& direction) const {
    const Vec2 across(-direction.y(), direction.x());
    Span span{0, true};
    for (const double offset : offsets(across)) {
      std::vector<Crossing> crossings = crossingsAt(direction, across, offset);
      int winding = 0;
      double begin = 0;
      const Crossing* first = nullptr;
      for (const Crossing& crossing : crossings) {
        if (winding == 0) {
          begin = crossing.along;
          first = &crossing;
        }
        winding += crossing.winding;
        if (winding != 0 || !first || crossing.along - begin < 1e-6) continue;
        span.length = std::max(span.length, crossing.along - begin);
        if (span.anchored)
          span.anchored = isPart(direction * begin + across * offset, -direction, first->z) &&
                          isPart(direction * crossing.along + across * offset, direction, crossing.z);
      }
    }
    return span;
  }

  std::vector<double> offsets(const Vec2& across) const {
    std::vector<double> corners;
    for (const RimEdge& e : rim_) corners.push_back(e.from.head<2>().dot(across));
    std::sort(corners.begin(), corners.end());
    std::vector<double> all;
    const std::size_t stride = std::max<std::size_t>(1, 3 * corners.size() / mostChords);
    for (std::size_t i = 0; i < corners.size(); i += stride) {
      all.push_back(corners[i] - inset);
      all.push_back(corners[i] + inset);
      if (i + 1 < corners.size()) all.push_back((corners[i] + corners[i + 1]) / 2);
    }
    return all;
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
  double slope_;
};

}  // namespace

Span spanOf(const std::vector<RimEdge>& rim, const LayerPlan& plan, const std::vector<Polygons>& sections,
            double freeLean) {
  return SpanFinder(rim, plan, sections, freeLean).best();
}

}  // namespace trellis
