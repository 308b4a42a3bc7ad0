// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/zigzag.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/toolpath/stretches.hpp"

#include <algorithm>
#include <map>
#include <tuple>

namespace trellis {

namespace {

// One end of a line, by its number times two, and one more for the back.
using End = std::size_t;

struct Join {
  End from = 0, to = 0;
  std::size_t outline = 0;
  Stretch along;
};

class Joiner {
 public:
  Joiner(const Polygons& lines, const Polygons& region, double longest, const Polygons& open)
      : lines_(lines), longest_(longest), open_(open) {
    for (const Polygon& outline : region) outlines_.push_back({Feature::supportBody, 0, true, outline});
  }

  Polygons chains() {
    choose(candidates());
    Polygons result;
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
      const double whole = lengthOf(outlines_[o]);
      for (std::size_t k = 0; k < places[o].size(); ++k) {
        const auto& [at, end] = places[o][k];
        auto [nextAt, next] = places[o][(k + 1) % places[o].size()];
        if (k + 1 == places[o].size()) nextAt += whole;
        if (end / 2 != next / 2 && nextAt - at <= longest_ && !isOpen(o, (at + nextAt) / 2))
          all.push_back({end, next, o, {at, nextAt}});
      }
    }
    return all;
  }

  // Whether a place on an outline is to stay open.
  bool isOpen(std::size_t outline, double at) const {
    if (open_.empty()) return false;
    const double whole = lengthOf(outlines_[outline]), here = at < whole ? at : at - whole;
    const Polygon way = pieceOf(outlines_[outline], {here, here + 0.01});
    return !way.empty() && contains(open_, way.front());
  }

  // Where on which outline a point lies.
  std::pair<std::size_t, double> placeOf(const Point& point) const {
    constexpr double on = 0.03;  // mm
    std::pair<std::size_t, double> place{outlines_.size(), 0};
    double least = on;
    for (std::size_t o = 0; o < outlines_.size(); ++o)
      if (const PlaceOn found = placeOn(outlines_[o], toMm(point)); found.off < least) {
        least = found.off;
        place = {o, found.at};
      }
    return place;
  }

  // From line to line in their order, so that one zigzag goes on where several could begin.
  void choose(std::vector<Join> all) {
    std::sort(all.begin(), all.end(), [](const Join& a, const Join& b) {
      const auto order = [](const Join& join) {
        return std::tuple(std::max(join.from, join.to) / 2, join.along.to - join.along.from, join.from);
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
      Polygon way = pieceOf(outlines_[join->second.outline], join->second.along);
      if (join->second.from != (end ^ 1)) std::reverse(way.begin(), way.end());
      if (way.size() > 2) chain.insert(chain.end(), way.begin() + 1, way.end() - 1);
      end = join->second.from == (end ^ 1) ? join->second.to : join->second.from;
      if (done[end / 2]) return chain;
    }
  }

  const Polygons& lines_;
  double longest_;
  const Polygons& open_;
  std::vector<Path> outlines_;
  std::map<End, Join> joins_;  // by both ends
};

}  // namespace

Polygons zigzag(const Polygons& lines, const Polygons& region, double longest, const Polygons& open) {
  return Joiner(lines, region, longest, open).chains();
}

}  // namespace trellis
