// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/zigzag.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/geometry/edge_grid.hpp"

#include <algorithm>
#include <map>
#include <tuple>

namespace trellis {

namespace {

constexpr double on = 0.03;   // mm; a line's end this near to an outline lies on it
constexpr double cell = 0.5;  // mm

// One end of a line, by its number times two, and one more for the back.
using End = std::size_t;

struct Join {
  End from = 0, to = 0;
  std::size_t outline = 0;
  double begin = 0, end = 0;  // mm along the outline
};

// An outline, and how far along it each of its points lies.
class MeasuredOutline {
 public:
  explicit MeasuredOutline(Polygon closed) : points_(std::move(closed)) {
    at_.push_back(0);
    for (std::size_t i = 1; i < points_.size(); ++i)
      at_.push_back(at_.back() + (toMm(points_[i]) - toMm(points_[i - 1])).norm());
  }
  double length() const { return at_.back(); }
  double placeOf(std::size_t point) const { return at_[point]; }
  Point pointAt(double place) const {
    const std::size_t i = after(place);
    const Vec2 a = toMm(points_[i - 1]), b = toMm(points_[i]);
    const double length = at_[i] - at_[i - 1];
    return toPoint(Vec2(a + (b - a) * (length > 0 ? (place - at_[i - 1]) / length : 0)));
  }
  // The outline's points between two places; on past its end, by once around at most.
  void appendBetween(double from, double to, Polygon& way) const {
    for (std::size_t i = after(from); i + 1 < points_.size() && at_[i] < to; ++i)
      if (at_[i] > from) way.push_back(points_[i]);
    if (to > length()) {
      way.push_back(points_.front());
      appendBetween(0, to - length(), way);
    }
  }

 private:
  // The first point that lies farther along, but the first one of all.
  std::size_t after(double place) const {
    const auto next = std::upper_bound(at_.begin() + 1, at_.end() - 1, place);
    return static_cast<std::size_t>(next - at_.begin());
  }

  Polygon points_;
  std::vector<double> at_;
};

class Joiner {
 public:
  Joiner(const Lines& lines, const Polygons& region, double longest, const Polygons& open)
      : lines_(lines), longest_(longest), open_(open), edges_(asLines(region), cell) {
    for (Polygon& outline : asLines(region)) outlines_.emplace_back(std::move(outline));
  }

  Lines chains() {
    choose(candidates());
    Lines result;
    std::vector<bool> done(lines_.size(), false);
    for (const bool onlyOpen : {true, false})
      for (End end = 0; end < 2 * lines_.size(); ++end)
        if (!done[end / 2] && !(onlyOpen && joins_.contains(end))) result.push_back(follow(end, done));
    return result;
  }

 private:
  const Point& pointOf(End end) const { return end % 2 ? lines_[end / 2].back() : lines_[end / 2].front(); }

  // Neighbours on an outline.
  std::vector<Join> candidates() const {
    std::vector<std::vector<std::pair<double, End>>> places(outlines_.size());
    for (End end = 0; end < 2 * lines_.size(); ++end) {
      const auto [outline, at] = placeOf(pointOf(end));
      if (outline < outlines_.size()) places[outline].emplace_back(at, end);
    }
    std::vector<Join> all;
    for (std::size_t o = 0; o < places.size(); ++o) {
      std::sort(places[o].begin(), places[o].end());
      const double whole = outlines_[o].length();
      for (std::size_t k = 0; k < places[o].size(); ++k) {
        const auto& [at, end] = places[o][k];
        auto [nextAt, next] = places[o][(k + 1) % places[o].size()];
        if (k + 1 == places[o].size()) nextAt += whole;
        if (end / 2 != next / 2 && nextAt - at <= longest_ && !isOpen(o, at, nextAt))
          all.push_back({end, next, o, at, nextAt});
      }
    }
    return all;
  }

  // Whether the ends or the middle of a way along an outline are to stay open.
  bool isOpen(std::size_t outline, double from, double to) const {
    const double whole = outlines_[outline].length();
    for (const double at : {from, (from + to) / 2, to})
      if (!open_.empty() && contains(open_, outlines_[outline].pointAt(at < whole ? at : at - whole))) return true;
    return false;
  }

  // Where on which outline a point lies.
  std::pair<std::size_t, double> placeOf(const Point& point) const {
    std::pair<std::size_t, double> place{outlines_.size(), 0};
    const Vec2 at = toMm(point);
    double least = on;
    edges_.anyNear(at, [&](const Edge& edge) {
      const double along = edge.nearestTo(at), off = (edge.at(along) - at).norm();
      if (off < least) {
        least = off;
        place = {edge.line, outlines_[edge.line].placeOf(edge.first) + along};
      }
      return false;
    });
    return place;
  }

  // From line to line in their order, so that one zigzag goes on where several could begin.
  void choose(std::vector<Join> all) {
    std::sort(all.begin(), all.end(), [](const Join& a, const Join& b) {
      const auto order = [](const Join& join) {
        return std::tuple(std::max(join.from, join.to) / 2, join.end - join.begin, join.from);
      };
      return order(a) < order(b);
    });
    DisjointSets chains(lines_.size());
    for (const Join& join : all) {
      if (joins_.contains(join.from) || joins_.contains(join.to)) continue;
      if (chains.find(join.from / 2) == chains.find(join.to / 2)) continue;
      chains.join(join.from / 2, join.to / 2);
      joins_[join.from] = joins_[join.to] = join;
    }
  }

  // The chain that begins at an end of a line.
  Polygon follow(End end, std::vector<bool>& done) const {
    Polygon chain;
    while (true) {
      done[end / 2] = true;
      Polygon line = lines_[end / 2];
      if (end % 2) std::reverse(line.begin(), line.end());
      chain.insert(chain.end(), line.begin(), line.end());
      const auto join = joins_.find(end ^ 1);
      if (join == joins_.end()) return chain;
      Polygon way;
      outlines_[join->second.outline].appendBetween(join->second.begin, join->second.end, way);
      if (join->second.from != (end ^ 1)) std::reverse(way.begin(), way.end());
      chain.insert(chain.end(), way.begin(), way.end());
      end = join->second.from == (end ^ 1) ? join->second.to : join->second.from;
      if (done[end / 2]) return chain;
    }
  }

  const Lines& lines_;
  double longest_;
  const Polygons& open_;
  EdgeGrid edges_;
  std::vector<MeasuredOutline> outlines_;
  std::map<End, Join> joins_;  // by both ends
};

}  // namespace

Lines zigzag(const Lines& lines, const Polygons& region, double longest, const Polygons& open) {
  return Joiner(lines, region, longest, open).chains();
}

}  // namespace trellis
