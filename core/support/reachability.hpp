// SPDX-License-Identifier: GPL-3.0-or-later
// From every place beside the parts, how a branch gets down, and how much room it has there.
#pragma once

#include "core/support/obstacles.hpp"

#include <optional>

namespace trellis {

// A field over a lattice of levels, a millimetre or more apart, and cells. It is filled from the floor upward: a place
// leads down if it keeps the gaps, and either stands on the floor, or on a part's up-facing surface, or leads to some
// place of the level below within the lean. Backward reachability in configuration space, as in robotics: T.
// Lozano-Pérez, "Spatial planning: a configuration space approach" (1983); distances by A. Meijster, J. Roerdink, W.
// Hesselink, "A general algorithm for computing distance transforms in linear time" (2000). Weak in passages less than
// about a millimetre wider than a branch and its gaps: the lattice overlooks them.
class Reachability {
 public:
  static constexpr double steepness = 0.92;  // of the lean's tangent that ways are planned with: the rest is for radii
                                             // that change, and where branches meet

  // What branches go around, and where they may not land, or land only where there is nothing else; both as for
  // buildColumn.
  struct Ground {
    const Obstacles& obstacles;
    const std::vector<Polygons>& noLanding;
    const std::vector<Polygons>& seen;
  };
  // rules are those of the branches, leastRadius that of the thinnest. Nothing leads out of the box.
  Reachability(const Ground& ground, const SupportRules& rules, double leastRadius, const Box2& within,
               const Progress& progress);

  int levels() const { return levels_; }
  double heightOf(int level) const { return floor_ + level * rise_; }
  // mm from level to level: 1, or more where a branch could else not get from one cell to the next.
  double rise() const { return rise_; }
  std::size_t bytes() const { return room_.size() + ledge_.size() + cost_.size() * sizeof(Cost); }
  // How far, mm, a branch moves sideways from one level to the next at most.
  double reach() const { return reach_; }

  // mm, no less than this is free around a place within a level of it, up to about ten.
  double room(int level, const Vec2& at) const;
  bool leads(int level, const Vec2& at) const { return costAt(level, at) < noWay; }
  // Whether it can only come to stand on a part.
  bool endsOnPart(int level, const Vec2& at) const { return costAt(level, at) >= onPart; }
  // Whether a branch that has to stand on a part does so straight below.
  bool isOverLanding(int level, const Vec2& at) const;

  // Where to go next from a place that leads down, for the least detour; nothing where it has arrived or leads nowhere.
  std::optional<Vec2> descend(int level, const Vec2& at) const;
  // Where to go next, for a move that is wanted and one it comes from, which may change by turn mm: as near to that as
  // leads down no worse than at does and does not run into something; if that is not to be had, with a sharper turn.
  std::optional<Vec2> stepTowards(int level, const Vec2& at, const Vec2& wanted, const Vec2& drift, double turn) const;
  // The nearest place to at that leads down, within a distance.
  std::optional<Vec2> nearestWay(int level, const Vec2& at, double within) const;

 private:
  using Cost = std::uint16_t;  // hundredths of a millimetre of detour
  static constexpr Cost noWay = 65535, onPart = 30000;
  static constexpr Cost onSeen = onPart + 20000;  // any other place on a part is worth a detour
  struct Move {
    int dx, dy;
    Vec2 by;
    int cost;
  };
  struct Raster;

  int column(double x) const { return static_cast<int>(std::floor((x - origin_.x()) / cell_)); }
  int row(double y) const { return static_cast<int>(std::floor((y - origin_.y()) / cell_)); }
  bool inside(int c, int r) const { return c >= 0 && r >= 0 && c < width_ && r < height_; }
  std::size_t index(int level, int c, int r) const {
    return (static_cast<std::size_t>(level) * static_cast<std::size_t>(height_) + static_cast<std::size_t>(r)) *
               static_cast<std::size_t>(width_) +
           static_cast<std::size_t>(c);
  }
  Cost costAt(int level, const Vec2& at) const;
  void findRoom(const Obstacles& obstacles, const SupportRules& rules, const Progress& progress);
  void findLandings(const Ground& ground, const SupportRules& rules, const Progress& progress);
  void findWays(double leastRadius, const Progress& progress);
  Cost costOf(int level, int c, int r, Cost least) const;

  double floor_, rise_ = 1, reach_ = 0, cell_ = 0;
  Vec2 origin_;
  int width_ = 0, height_ = 0, levels_ = 0;
  std::vector<Move> moves_;
  std::vector<std::uint8_t> room_;  // in twenty-fifths of a millimetre
  enum Ledge : std::uint8_t { none, unseen, seen };
  std::vector<Ledge> ledge_;  // where a branch may stand straight below, and whether it would be on a seen face
  std::vector<Cost> cost_;
};

}  // namespace trellis
