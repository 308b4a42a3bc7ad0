// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/tour.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr std::size_t neighboursTried = 8;
constexpr std::size_t passes = 12;    // over all places, at most
constexpr double worthwhile = 0.001;  // mm

// A tour that is made shorter in place.
class Tour {
 public:
  Tour(const std::vector<Vec2>& places, std::vector<std::size_t> order, const Vec2& from)
      : places_(places), from_(from), order_(std::move(order)), at_(order_.size()) {
    number(0, order_.size());
    const PlaceGrid grid(places_);
    for (const Vec2& place : places_) near_.push_back(grid.nearest(place, neighboursTried + 1));
  }

  std::vector<std::size_t> shortened() {
    for (std::size_t pass = 0; pass < passes; ++pass) {
      bool any = false;
      for (std::size_t place = 0; place < places_.size(); ++place) any = improve(place) || any;
      if (!any) break;
    }
    return std::move(order_);
  }

 private:
  void number(std::size_t from, std::size_t to) {
    for (std::size_t i = from; i < to; ++i) at_[order_[i]] = i;
  }
  // From the one before position i to it; nothing lies past the end.
  double link(std::size_t before, std::size_t i) const { return i < order_.size() ? apart(before, order_[i]) : 0; }
  double apart(std::size_t a, std::size_t b) const { return (places_[a] - places_[b]).norm(); }
  // What it takes to get to position i from the one before it, were it this place.
  double into(std::size_t i, std::size_t place) const {
    return (places_[place] - (i == 0 ? from_ : places_[order_[i - 1]])).norm();
  }

  bool improve(std::size_t place) {
    for (const std::size_t other : near_[place])
      if (other != place && (turnBetween(place, other) || moveBeside(place, other))) return true;
    return false;
  }

  // Joins two places by turning round what lies between them.
  bool turnBetween(std::size_t a, std::size_t b) {
    const std::size_t i = std::min(at_[a], at_[b]), j = std::max(at_[a], at_[b]);
    // They meet either after i, or before j.
    const double now = link(order_[i], i + 1) + link(order_[j], j + 1);
    if (now - apart(order_[i], order_[j]) - link(order_[i + 1], j + 1) > worthwhile) return turn(i + 1, j);
    const double before = into(i, order_[i]) + apart(order_[j - 1], order_[j]);
    if (before - into(i, order_[j - 1]) - apart(order_[i], order_[j]) > worthwhile) return turn(i, j - 1);
    return false;
  }

  bool turn(std::size_t from, std::size_t to) {
    if (from >= to) return false;
    std::reverse(order_.begin() + static_cast<std::ptrdiff_t>(from),
                 order_.begin() + static_cast<std::ptrdiff_t>(to) + 1);
    number(from, to + 1);
    return true;
  }

  // Takes up to three in a row that begin with one place to behind another.
  bool moveBeside(std::size_t place, std::size_t other) {
    for (std::size_t count = 1; count <= 3; ++count) {
      const std::size_t i = at_[place], end = i + count, k = at_[other];
      if (end > order_.size() || (k + 1 >= i && k < end)) continue;
      const std::size_t last = order_[end - 1];
      const double gapNow = into(i, place) + link(last, end);
      const double gapThen = end < order_.size() ? into(i, order_[end]) : 0;
      const double openNow = link(other, k + 1);
      const double openThen = apart(other, place) + link(last, k + 1);
      if (gapNow + openNow - gapThen - openThen <= worthwhile) continue;
      const auto begin = order_.begin();
      const auto d = [](std::size_t n) { return static_cast<std::ptrdiff_t>(n); };
      if (k < i)
        std::rotate(begin + d(k) + 1, begin + d(i), begin + d(end));
      else
        std::rotate(begin + d(i), begin + d(end), begin + d(k) + 1);
      number(std::min(i, k + 1), std::max(end, k + 1));
      return true;
    }
    return false;
  }

  const std::vector<Vec2>& places_;
  Vec2 from_;
  std::vector<std::size_t> order_, at_;  // places by position, and positions by place
  std::vector<std::vector<std::size_t>> near_;
};

}  // namespace

PlaceGrid::PlaceGrid(const std::vector<Vec2>& places) : places_(places), left_(places.size()) {
  Box2 box;
  for (const Vec2& place : places) box.extend(place);
  if (!box.isEmpty()) {
    corner_ = box.min();
    const Vec2 size = box.sizes();
    const double count = static_cast<double>(places.size());
    cell_ = std::max({std::sqrt(size.x() * size.y() / count), size.maxCoeff() / count, 1e-3});
    columns_ = static_cast<int>(size.x() / cell_) + 1;
    rows_ = static_cast<int>(size.y() / cell_) + 1;
  }
  cells_.resize(static_cast<std::size_t>(columns_) * static_cast<std::size_t>(rows_));
  for (std::size_t i = 0; i < places.size(); ++i)
    cells_[static_cast<std::size_t>(row(places[i].y()) * columns_ + column(places[i].x()))].push_back(i);
}

int PlaceGrid::column(double mm) const {
  return std::clamp(static_cast<int>(std::floor((mm - corner_.x()) / cell_)), 0, columns_ - 1);
}

int PlaceGrid::row(double mm) const {
  return std::clamp(static_cast<int>(std::floor((mm - corner_.y()) / cell_)), 0, rows_ - 1);
}

void PlaceGrid::remove(std::size_t place) {
  std::vector<std::size_t>& cell =
      cells_[static_cast<std::size_t>(row(places_[place].y()) * columns_ + column(places_[place].x()))];
  left_ -= std::erase(cell, place);
}

template <typename Visit>
void PlaceGrid::inRing(int x, int y, int ring, const Visit& visit) const {
  for (int r = std::max(0, y - ring); r <= std::min(rows_ - 1, y + ring); ++r) {
    const bool edge = r == y - ring || r == y + ring;
    for (int c = x - ring; c <= x + ring; c += edge || ring == 0 ? 1 : 2 * ring)
      if (c >= 0 && c < columns_)
        for (const std::size_t place : cells_[static_cast<std::size_t>(r * columns_ + c)]) visit(place);
  }
}

std::size_t PlaceGrid::nearest(const Vec2& to) const { return nearest(to, 1).front(); }

std::vector<std::size_t> PlaceGrid::nearest(const Vec2& to, std::size_t count) const {
  std::vector<std::pair<double, std::size_t>> found;
  const int x = column(to.x()), y = row(to.y()), most = std::max(columns_, rows_);
  for (int ring = 0; ring <= most; ++ring) {
    if (found.size() >= count) {
      std::nth_element(found.begin(), found.begin() + static_cast<std::ptrdiff_t>(count - 1), found.end());
      if (found[count - 1].first <= (ring - 1) * cell_) break;
    }
    inRing(x, y, ring, [&](std::size_t place) { found.emplace_back((places_[place] - to).norm(), place); });
  }
  std::sort(found.begin(), found.end());
  std::vector<std::size_t> result;
  for (std::size_t i = 0; i < std::min(count, found.size()); ++i) result.push_back(found[i].second);
  return result;
}

std::vector<std::size_t> tourOf(const std::vector<Vec2>& places, const Vec2& from) {
  PlaceGrid grid(places);
  std::vector<std::size_t> order;
  for (Vec2 at = from; grid.left() > 0; at = places[order.back()]) {
    order.push_back(grid.nearest(at));
    grid.remove(order.back());
  }
  return order.size() < 3 ? order : Tour(places, std::move(order), from).shortened();
}

}  // namespace trellis
