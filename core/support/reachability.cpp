// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/support/reachability.hpp"

#include "core/base/parallel.hpp"
#include "core/geometry/lattice.hpp"
#include "core/support/clearance.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double finest = 0.3, coarsest = 0.5;  // mm across a cell
constexpr std::size_t mostCells = 24'000'000;   // of the whole field
constexpr double roomUnit = 0.04;               // mm
constexpr double narrow = 2,
                 tight = 4;  // mm of room under which a way costs more, much and a little: high trunks need some
constexpr int deep = 3;      // levels a branch may fall straight onto the part

// Squared distances, in cells, to the nearest set cell of a row of column distances.
void alongRow(const std::vector<int>& columnDistance, std::vector<int>& squared, std::vector<int>& from,
              std::vector<int>& at) {
  const int width = static_cast<int>(columnDistance.size());
  const auto f = [&](int x, int i) {
    return (x - i) * (x - i) +
           columnDistance[static_cast<std::size_t>(i)] * columnDistance[static_cast<std::size_t>(i)];
  };
  const auto square = [&](int i) {
    return columnDistance[static_cast<std::size_t>(i)] * columnDistance[static_cast<std::size_t>(i)];
  };
  const auto separation = [&](int i, int u) { return (u * u - i * i + square(u) - square(i)) / (2 * (u - i)); };
  int q = 0;
  from[0] = at[0] = 0;
  for (int u = 1; u < width; ++u) {
    const auto q0 = [&] { return static_cast<std::size_t>(q); };
    while (q >= 0 && f(at[q0()], from[q0()]) > f(at[q0()], u)) --q;
    if (q < 0) {
      q = 0;
      from[0] = u;
      at[0] = 0;
      continue;
    }
    const int w = 1 + separation(from[q0()], u);
    if (w >= width) continue;
    ++q;
    from[q0()] = u;
    at[q0()] = std::max(w, 0);
  }
  for (int u = width - 1; u >= 0; --u) {
    squared[static_cast<std::size_t>(u)] = f(u, from[static_cast<std::size_t>(q)]);
    if (u == at[static_cast<std::size_t>(q)]) --q;
  }
}

}  // namespace

// One level's cells, set or not.
struct Reachability::Raster {
  const Reachability& field;
  std::vector<std::uint8_t> set = std::vector<std::uint8_t>(static_cast<std::size_t>(field.width_ * field.height_), 0);

  // Whether a cell and those around it are set, or all but one.
  bool holds(int c, int r) const {
    int count = 0;
    for (int dy = -1; dy <= 1; ++dy)
      for (int dx = -1; dx <= 1; ++dx) count += set[static_cast<std::size_t>((r + dy) * field.width_ + c + dx)];
    return count >= 8;
  }

  void add(const Polygons& region) {
    const double half = field.cell_ / 2;
    const long dx = std::lround((field.origin_.x() + half) / field.cell_),
               dy = std::lround((field.origin_.y() + half) / field.cell_);
    forEachInside(region, field.cell_, [&](long x, long y) {
      const int c = static_cast<int>(x - dx), r = static_cast<int>(y - dy);
      if (field.inside(c, r)) set[static_cast<std::size_t>(r * field.width_ + c)] = 1;
    });
  }
};

Reachability::Reachability(const Ground& ground, const SupportRules& rules, double leastRadius, const Box2& within,
                           const Progress& progress)
    : floor_(rules.floor) {
  const Obstacles& obstacles = ground.obstacles;
  const double height = (obstacles.plan.spans.empty() ? 0 : obstacles.plan.spans.back().top) - floor_;
  const double slope = steepness * std::tan(toRadians(rules.branchLean));  // mm sideways per mm of height
  cell_ = std::clamp(slope / 2 * 0.999, finest, coarsest);
  for (;;) {
    // A level is as high as a branch needs to get two cells on, or it could only go straight down.
    rise_ = std::max(1.0, 2.002 * cell_ / slope);
    levels_ = static_cast<int>(std::floor(height / rise_)) + 1;
    const double cells = within.sizes().prod() / (cell_ * cell_) * levels_;
    if (cells <= static_cast<double>(mostCells)) break;
    cell_ *= std::max(1.01, std::cbrt(cells / static_cast<double>(mostCells)));
  }
  reach_ = slope * rise_;
  const auto corner = [&](double v) {
    return (std::floor(v / cell_) - 0.5) * cell_;
  };  // cells lie around the places of a lattice
  origin_ = {corner(within.min().x()), corner(within.min().y())};
  width_ = std::max(1, static_cast<int>(std::ceil((within.max().x() - origin_.x()) / cell_)));
  height_ = std::max(1, static_cast<int>(std::ceil((within.max().y() - origin_.y()) / cell_)));
  const int most = static_cast<int>(reach_ / cell_);
  for (int dy = -most; dy <= most; ++dy)
    for (int dx = -most; dx <= most; ++dx)
      if (const Vec2 by = Vec2(dx, dy) * cell_; by.norm() <= reach_)
        moves_.push_back({dx, dy, by, static_cast<int>(std::lround((std::hypot(rise_, by.norm()) - rise_) * 100))});
  std::stable_sort(moves_.begin(), moves_.end(), [](const Move& a, const Move& b) { return a.cost < b.cost; });
  findRoom(obstacles, rules, progress);
  if (rules.footing == Footing::any) findLandings(ground, rules, progress);
  findWays(leastRadius, progress);
}

void Reachability::findRoom(const Obstacles& obstacles, const SupportRules& rules, const Progress& progress) {
  room_.resize(static_cast<std::size_t>(levels_) * static_cast<std::size_t>(width_ * height_));
  const double most = 255 * roomUnit;
  parallelFor(static_cast<std::size_t>(levels_), progress, [&](std::size_t level) {
    Raster raster{*this};
    const double bottom = heightOf(static_cast<int>(level)) - rise_, top = bottom + 2 * rise_;
    const auto [from, to] = layersWithin(obstacles.plan, bottom - rules.gapBelow, top + rules.gapAbove);
    const auto [low, high] = layersWithin(obstacles.plan, bottom, top);
    for (std::size_t l = from; l < to; ++l) {
      raster.add(l >= low && l < high ? obstacles.keepOut[l] : obstacles.sections[l]);
      if (l >= low && l < high && l < obstacles.forbidden.size()) raster.add(obstacles.forbidden[l]);
    }
    const int far = width_ + height_;
    const auto w = static_cast<std::size_t>(width_);
    std::vector<int> columnDistance(raster.set.size(), far);
    for (std::size_t k = 0; k < raster.set.size(); ++k)
      columnDistance[k] = raster.set[k] ? 0 : k >= w ? std::min(far, columnDistance[k - w] + 1) : far;
    for (std::size_t k = raster.set.size() - w; k-- > 0;)
      columnDistance[k] = std::min(columnDistance[k], columnDistance[k + w] + 1);
    std::vector<int> line(w), squared(w), scratch(w), more(w);
    for (std::size_t r = 0; r < static_cast<std::size_t>(height_); ++r) {
      std::copy_n(columnDistance.begin() + static_cast<std::ptrdiff_t>(r * w), w, line.begin());
      alongRow(line, squared, scratch, more);
      for (std::size_t c = 0; c < w; ++c) {
        // A cell is as large as its diagonal, and what it stands for may begin anywhere in it and in the one it is
        // measured to.
        const double distance = std::clamp((std::sqrt(static_cast<double>(squared[c])) - 1) * cell_, 0.0, most);
        room_[index(static_cast<int>(level), static_cast<int>(c), static_cast<int>(r))] =
            squared[c] == 0 ? 0 : static_cast<std::uint8_t>(distance / roomUnit);
      }
    }
  });
}

void Reachability::findLandings(const Ground& ground, const SupportRules& rules, const Progress& progress) {
  ledge_.assign(room_.size(), none);
  const auto without = [](const Polygons& standing, const std::vector<Polygons>& surface, std::size_t l) {
    return l < surface.size() && !surface[l].empty() && !standing.empty() ? subtract(standing, surface[l]) : standing;
  };
  parallelFor(static_cast<std::size_t>(levels_), progress, [&](std::size_t level) {
    Raster any{*this}, apart{*this};
    const double top = heightOf(static_cast<int>(level)) - rules.gapBelow;
    const auto [from, to] = layersWithin(ground.obstacles.plan, top - deep * rise_, top);
    for (std::size_t l = from; l < to; ++l) {
      const Polygons standing = without(ground.obstacles.landable[l], ground.noLanding, l + 1);
      any.add(standing);
      apart.add(without(standing, ground.seen, l + 1));
    }
    for (int r = 1; r + 1 < height_; ++r)
      for (int c = 1; c + 1 < width_; ++c)
        ledge_[index(static_cast<int>(level), c, r)] = apart.holds(c, r) ? unseen : any.holds(c, r) ? seen : none;
  });
}

void Reachability::findWays(double leastRadius, const Progress& progress) {
  cost_.assign(room_.size(), noWay);
  const auto least = static_cast<Cost>(std::min(255.0, std::ceil(leastRadius / roomUnit)));
  for (int level = 0; level < levels_; ++level)
    parallelFor(static_cast<std::size_t>(height_), progress, [&](std::size_t r) {
      for (int c = 0; c < width_; ++c)
        cost_[index(level, c, static_cast<int>(r))] = costOf(level, c, static_cast<int>(r), least);
    });
}

Reachability::Cost Reachability::costOf(int level, int c, int r, Cost least) const {
  const std::size_t here = index(level, c, r);
  if (room_[here] < least) return noWay;
  const double room = room_[here] * roomUnit;
  const int tightness = static_cast<int>(std::max(0.0, narrow - room) * 20 + std::max(0.0, tight - room) * 4);
  if (level == 0) return static_cast<Cost>(tightness);
  int best = ledge_.empty() || ledge_[here] == none ? noWay : ledge_[here] == seen ? onSeen : onPart;
  for (const Move& move : moves_) {
    if (move.cost >= best) break;
    if (inside(c + move.dx, r + move.dy))
      best = std::min(best, move.cost + cost_[index(level - 1, c + move.dx, r + move.dy)]);
  }
  return static_cast<Cost>(best >= noWay ? noWay
                                         : std::min<int>(best + tightness, best < onPart ? onPart - 1 : noWay - 1));
}

double Reachability::room(int level, const Vec2& at) const {
  const int c = column(at.x()), r = row(at.y());
  return level < levels_ && inside(c, r) ? room_[index(level, c, r)] * roomUnit : 0;
}

Reachability::Cost Reachability::costAt(int level, const Vec2& at) const {
  const int c = column(at.x()), r = row(at.y());
  return level >= 0 && level < levels_ && inside(c, r) ? cost_[index(level, c, r)] : noWay;
}

bool Reachability::isOverLanding(int level, const Vec2& at) const {
  if (ledge_.empty() || !endsOnPart(level, at) || !leads(level, at)) return false;
  const Ledge ledge = ledge_[index(level, column(at.x()), row(at.y()))];
  return ledge == unseen || (ledge == seen && costAt(level, at) >= onSeen);
}

std::optional<Vec2> Reachability::descend(int level, const Vec2& at) const {
  if (level == 0 || !leads(level, at)) return std::nullopt;
  std::optional<Vec2> best;
  int least = noWay;
  for (const Move& move : moves_)
    if (const int cost = move.cost + costAt(level - 1, at + move.by); cost < least) {
      least = cost;
      best = at + move.by;
    }
  return best;
}

std::optional<Vec2> Reachability::stepTowards(int level, const Vec2& at, const Vec2& wanted, const Vec2& drift,
                                              double turn) const {
  if (level == 0) return std::nullopt;
  // No worse than here: to the plate if that can be reached, else to what is not seen.
  const Cost most = costAt(level, at) < onPart ? onPart : costAt(level, at) < onSeen ? onSeen : noWay;
  const auto may = [&](int below, const Vec2& there) { return costAt(below, there) < most; };
  // Whether it could still stop, or nearly, before something is in the way.
  const auto goesOn = [&](const Vec2& move) {
    const double speed = move.norm(), next = std::max(0.0, speed - turn);
    return level < 2 || may(level - 2, at + (speed > 0 ? Vec2(move * (1 + next / speed)) : move));
  };
  const auto cut = [&](const Vec2& move) { return move.norm() > reach_ ? Vec2(move * (reach_ / move.norm())) : move; };
  const Vec2 wish = wanted - drift;
  const Vec2 first = cut(drift + (wish.norm() > turn ? Vec2(wish * (turn / wish.norm())) : wish));
  if (may(level - 1, at + first) && goesOn(first)) return at + first;
  constexpr int around = 16;
  for (const bool ahead : {true, false})
    for (const bool gently : {true, false}) {
      std::optional<Vec2> best;
      double nearest = 1e300;
      const auto consider = [&](const Vec2& move) {
        const double away = (move - (gently ? first : drift)).squaredNorm();
        if (away >= nearest || !may(level - 1, at + move) || (ahead && !goesOn(move))) return;
        nearest = away;
        best = at + move;
      };
      for (int k = 0; k < around; ++k)
        for (const double share : {0.3, 0.65, 1.0}) {
          const Vec2 by = share * Vec2(std::cos(2 * pi * k / around), std::sin(2 * pi * k / around));
          consider(gently ? cut(drift + turn * by) : Vec2(reach_ * by));
        }
      if (!gently)
        for (const Move& move : moves_) consider(move.by);
      if (best && (gently || !ahead)) return best;
    }
  return std::nullopt;
}

std::optional<Vec2> Reachability::nearestWay(int level, const Vec2& at, double within) const {
  if (leads(level, at) && !endsOnPart(level, at)) return at;
  std::optional<Vec2> best;
  double least = 1e300;
  const int reach = static_cast<int>(within / cell_);
  for (int dy = -reach; dy <= reach; ++dy)
    for (int dx = -reach; dx <= reach; ++dx) {
      const Vec2 by = Vec2(dx, dy) * cell_;
      if (by.norm() > within || !leads(level, at + by)) continue;
      const Cost way = costAt(level, at + by);
      const double cost = by.norm() + (way >= onSeen ? 2000 : way >= onPart ? 1000 : 0);
      if (cost < least) {
        least = cost;
        best = at + by;
      }
    }
  return best;
}

}  // namespace trellis
