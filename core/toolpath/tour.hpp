// SPDX-License-Identifier: GPL-3.0-or-later
// A short way through many places.
#pragma once

#include "core/base/types.hpp"

#include <vector>

namespace trellis {

// Places by number, and of those that are left the nearest.
class PlaceGrid {
 public:
  explicit PlaceGrid(const std::vector<Vec2>& places);
  void remove(std::size_t place);
  std::size_t left() const { return left_; }
  // The number of the nearest one that is left, of equals the lowest. There has to be one.
  std::size_t nearest(const Vec2& to) const;
  // Up to so many of the nearest, the nearest first.
  std::vector<std::size_t> nearest(const Vec2& to, std::size_t count) const;

 private:
  int column(double mm) const;
  int row(double mm) const;
  template <typename Visit>
  void inRing(int x, int y, int ring, const Visit& visit) const;

  const std::vector<Vec2>& places_;
  Vec2 corner_ = Vec2::Zero();
  double cell_ = 1;  // mm
  int columns_ = 1, rows_ = 1;
  std::vector<std::vector<std::size_t>> cells_;
  std::size_t left_;
};

// The order in which to visit places, from a first one near to from: always on to the nearest, then made shorter by
// turning stretches of it round (2-opt) and by moving up to three in a row elsewhere (or-opt), between near neighbours,
// within a budget in proportion to their number. Both are textbook moves (G. A. Croes, "A method for solving
// traveling-salesman problems", Operations Research 6, 1958; I. Or, dissertation, Northwestern University, 1976; the
// references from memory).
std::vector<std::size_t> tourOf(const std::vector<Vec2>& places, const Vec2& from);

}  // namespace trellis
