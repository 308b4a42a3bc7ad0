// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/tips.hpp"

#include "core/geometry/lattice.hpp"

#include <algorithm>
#include <cmath>
#include <unordered_map>

namespace trellis {

namespace {

constexpr double pitch = 0.3;      // mm between places of the lattice
constexpr double sliver = 0.45;    // mm
constexpr double resting = 0.01;   // mm; nearer than this it begins on something
constexpr double smallest = 0.02;  // mm²; less demand than this prints nothing
constexpr int seenWeight = 10;     // a tip under a seen face has to carry so many times as much as one elsewhere

enum class Whose : std::uint8_t { own, others, blocked };

struct Place {
  Vec2 at;
  double top;         // mm, of the support right under it
  bool seen = false;  // lies under a face that will be looked at
  bool border = false, served = false;
  Whose whose = Whose::own;
};

class Placer {
 public:
  Placer(const DemandSite& site, const Obstacles& obstacles, const SupportRules& rules)
      : site_(site), obstacles_(obstacles), rules_(rules), radius_(rules.tipWidth / 2) {}

  std::vector<Tip> place(const Progress& progress) {
    Clearance clearance(site_, obstacles_, rules_);
    std::vector<Carried> layers;
    const bool isCut = !site_.uncut.layers.empty();
    const std::size_t lowest = isCut ? site_.uncut.lowest : site_.lowest;
    for (std::size_t k = 0; k < (isCut ? site_.uncut.layers : site_.layers).size(); ++k) {
      progress.check();
      const double top = obstacles_.plan.spans[lowest + k].bottom - rules_.gapAbove;
      if (top - rules_.floor < rules_.thinnest - 1e-7) continue;
      const auto clear = [&](const Polygons& region) {
        return withoutSpecks(clearance.clearOfPart(region, top - rules_.thinnest, top), smallest);
      };
      const bool hasOwn = lowest + k >= site_.lowest && lowest + k <= site_.highest();
      const Polygons own = hasOwn ? site_.layers[lowest + k - site_.lowest] : Polygons{};
      Carried layer{clear(isCut ? site_.uncut.layers[k] : own),
                    isCut ? own : Polygons{},
                    isCut ? site_.uncut.cut[k] : Polygons{},
                    hasOwn && !site_.seen.empty() ? site_.seen[lowest + k - site_.lowest] : Polygons{},
                    isCut,
                    top};
      forEachInside(layer.whole, pitch,
                    [&](long x, long y) { add(Vec2(static_cast<double>(x), static_cast<double>(y)) * pitch, layer); });
      layers.push_back(std::move(layer));
    }
    for (const Carried& layer : layers) addThin(layer);
    for (Place& place : places_) place.border = !place.seen && isBorder(place);
    serveAll();
    for (const Carried& layer : layers) carryStarts(layer.whole, layer.top);
    if (isCut) leaveOutOthers();
    return std::move(tips_);
  }

 private:
  struct Carried {
    Polygons whole;  // what can be carried, or could if it were not blocked
    Polygons own;    // of that the site's, where something is blocked
    Polygons cut;    // and what is
    Polygons seen;   // what lies under seen faces
    bool isCut;
    double top;  // mm, of the support right under it
  };

  // First the border, then what lies within.
  void serveAll() {
    serve(true, radius_ + rules_.lineWidth);
    serve(false, radius_ + rules_.tipSpacing / 2);
  }

  // Tips of other sites that are left of the same region are theirs; blocked ones are told once, as ghosts. What only
  // those served is bare again.
  void leaveOutOthers() {
    blockedAreServed_ = true;
    for (Place& place : places_) place.served = place.whose != Whose::own;
    std::vector<Tip> kept;
    for (std::size_t t = 0; t < tips_.size(); ++t) {
      const Whose whose = places_[centres_[t]].whose;
      if (whose == Whose::own) markServed(centres_[t]);
      tips_[t].ghost = whose == Whose::blocked;
      if (whose == Whose::own || (whose == Whose::blocked && site_.uncut.first)) kept.push_back(tips_[t]);
    }
    tips_ = std::move(kept);
    for (Place& place : places_)  // a sliver beside what is blocked, as wide as its border is exact
      if (!place.served)
        forNear(place.at, place.top, sliver,
                [&](std::size_t k) { place.served = place.served || places_[k].whose == Whose::blocked; });
    serveAll();
  }

  // Where a region is so thin that the lattice passes it by, places lie along its outlines.
  void addThin(const Carried& layer) {
    const double top = layer.top;
    for (const Polygon& outline : layer.whole)
      for (std::size_t i = 0; i < outline.size(); ++i) {
        const Vec2 from = toMm(outline[i]), way = toMm(outline[i + 1 < outline.size() ? i + 1 : 0]) - from;
        const int steps = std::max(1, static_cast<int>(way.norm() / pitch));
        for (int k = 0; k < steps; ++k) {
          const Vec2 at = from + way * k / steps;
          bool known = false;
          forNear(at, top, pitch, [&](std::size_t) { known = true; });
          if (!known) add(at, layer);
        }
      }
  }

  // What begins in mid-air and is smaller than a tip has one right under its middle: beside one, it would fall past.
  void carryStarts(const Polygons& region, double top) {
    for (const Polygons& start : components(region)) {
      const Box2 box = boundsOf(start);
      if (box.sizes().maxCoeff() > 2 * radius_ || !intersect(grow(start, resting), below(top)).empty()) continue;
      std::size_t middle = places_.size();
      double least = radius_;
      forNear(box.center(), top, radius_, [&](std::size_t k) {
        if (const double away = (places_[k].at - box.center()).norm(); places_[k].top == top && away < least) {
          least = away;
          middle = k;
        }
      });
      const auto carries = [&](const Tip& tip) {
        return (tip.at - places_[middle].at).norm() < tip.radius && std::abs(tip.top - top) < 1;
      };
      if (middle < places_.size() && std::none_of(tips_.begin(), tips_.end(), carries)) put(middle);
    }
  }

  // The section of the layer below the one that is carried by support with this top.
  const Polygons& below(double top) const {
    std::size_t layer = site_.lowest;
    while (obstacles_.plan.spans[layer].bottom < top + rules_.gapAbove - 1e-6) ++layer;
    return obstacles_.sections[layer > 0 ? layer - 1 : 0];
  }

  void add(const Vec2& at, const Carried& layer) {
    cells_[cellOf(at)].push_back(places_.size());
    places_.push_back({at, layer.top, !layer.seen.empty() && contains(layer.seen, toPoint(at))});
    if (layer.isCut)
      places_.back().whose = contains(layer.own, toPoint(at))   ? Whose::own
                             : contains(layer.cut, toPoint(at)) ? Whose::blocked
                                                                : Whose::others;
  }

  static constexpr double cell = 1;  // mm
  static long cellOf(const Vec2& at) {
    return key(static_cast<long>(std::floor(at.x() / cell)), static_cast<long>(std::floor(at.y() / cell)));
  }
  static long key(long x, long y) { return x * 1000003 + y; }

  // Places of the same surface within reach in plan: not those of another storey over or under it.
  template <typename Visit>
  void forNear(const Vec2& at, double top, double reach, const Visit& visit) const {
    const auto low = [&](double v) { return static_cast<long>(std::floor((v - reach) / cell)); };
    const auto high = [&](double v) { return static_cast<long>(std::floor((v + reach) / cell)); };
    for (long x = low(at.x()); x <= high(at.x()); ++x)
      for (long y = low(at.y()); y <= high(at.y()); ++y)
        if (const auto found = cells_.find(key(x, y)); found != cells_.end())
          for (const std::size_t k : found->second)
            if (const double away = (places_[k].at - at).norm();
                away <= reach && std::abs(places_[k].top - top) <= 1.2 * away + 0.5)
              visit(k);
  }

  // Whether a neighbour on the lattice is missing.
  bool isBorder(const Place& place) const {
    for (const Vec2& step : {Vec2(pitch, 0), Vec2(-pitch, 0), Vec2(0, pitch), Vec2(0, -pitch)}) {
      bool found = false;
      forNear(place.at + step, place.top, 0.4 * pitch, [&](std::size_t) { found = true; });
      if (!found) return true;
    }
    return false;
  }

  void serve(bool border, double reach) {
    for (const bool seen : {false, true})  // what is left of seen places then is little
      serve(border, seen, reach);
  }

  void serve(bool border, bool seen, double reach) {
    for (std::size_t k = 0; k < places_.size(); ++k) {
      if (places_[k].served || places_[k].seen != seen || (border && !places_[k].border)) continue;
      std::size_t best = k;
      int most = -1;
      forNear(places_[k].at, places_[k].top, reach, [&](std::size_t candidate) {
        if (blockedAreServed_ && places_[candidate].whose != Whose::own) return;
        int gained = 0;
        forNear(places_[candidate].at, places_[candidate].top, reach,
                [&](std::size_t other) { gained += !places_[other].served && (!border || places_[other].border); });
        if (!places_[candidate].seen) gained *= seenWeight;
        if (gained > most) {
          most = gained;
          best = candidate;
        }
      });
      put(best);
    }
  }

  // Marks what a tip serves by either measure.
  void put(std::size_t centre) {
    const Place& place = places_[centre];
    Tip tip{place.at, radius_, place.top, place.top, Vec3::Zero(), false};
    std::vector<std::size_t> carried;
    forNear(tip.at, place.top, radius_, [&](std::size_t k) { carried.push_back(k); });
    for (const std::size_t k : carried) {
      tip.top = std::max(tip.top, places_[k].top);
      tip.low = std::min(tip.low, places_[k].top);
    }
    tip.neck = neckOf(tip, carried);
    tips_.push_back(tip);
    centres_.push_back(centre);
    markServed(centre);
  }

  void markServed(std::size_t centre) {
    const Place& place = places_[centre];
    forNear(place.at, place.top, radius_ + rules_.tipSpacing / 2, [&](std::size_t k) {
      const double reach = places_[k].border ? radius_ + rules_.lineWidth : radius_ + rules_.tipSpacing / 2;
      places_[k].served = places_[k].served || (places_[k].at - place.at).norm() <= reach;
    });
    places_[centre].served = true;
  }

  // In the middle of the lowest places, and so low that everything is reached from there.
  Vec3 neckOf(const Tip& tip, const std::vector<std::size_t>& carried) const {
    Vec2 sum = Vec2::Zero();
    double count = 0;
    for (const std::size_t k : carried)
      if (places_[k].top < tip.low + pitch) {
        sum += places_[k].at;
        ++count;
      }
    const Vec2 at = sum / count;
    double z = tip.low;
    for (const std::size_t k : carried)
      z = std::min(
          z, places_[k].top - ((places_[k].at - at).norm() + pitch / 2 - neckRadius(rules_)) / wideningOf(rules_));
    return {at.x(), at.y(), z};
  }

  const DemandSite& site_;
  const Obstacles& obstacles_;
  const SupportRules& rules_;
  const double radius_;
  std::vector<Place> places_;
  std::unordered_map<long, std::vector<std::size_t>> cells_;
  std::vector<Tip> tips_;
  std::vector<std::size_t> centres_;  // of the tips, as places
  bool blockedAreServed_ = false;
};

}  // namespace

Polygon disc(const Vec2& at, double radius) {
  const int corners = std::clamp(4 * static_cast<int>(std::lround(3 + radius * 2)), 20, 48);
  Polygon outline;
  for (int k = 0; k < corners; ++k)
    outline.push_back(
        toPoint(at.x() + radius * std::cos(2 * pi * k / corners), at.y() + radius * std::sin(2 * pi * k / corners)));
  return outline;
}

double wideningOf(const SupportRules& rules) {
  constexpr double most = 0.39;  // of a radius: √2 − 1, and a little less
  return std::min(std::tan(toRadians(rules.branchLean)), most * neckRadius(rules) / rules.layerHeight);
}

std::vector<Tip> placeTips(const DemandSite& site, const Obstacles& obstacles, const SupportRules& rules,
                           const Progress& progress) {
  return Placer(site, obstacles, rules).place(progress);
}

}  // namespace trellis
