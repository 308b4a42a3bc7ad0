// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/trial/height_field.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace trellis {

namespace {

constexpr double mostCells = 1.5e7;

}  // namespace

HeightField::HeightField(const Box2& room) : low_(room.min()) {
  const Vec2 size = room.sizes();
  cell_ = std::max(0.1, std::sqrt(size.x() * size.y() / mostCells));
  nx_ = static_cast<int>(size.x() / cell_) + 1;
  ny_ = static_cast<int>(size.y() / cell_) + 1;
  tilesAcross_ = nx_ / tileSide + 1;
  tiles_.resize(static_cast<std::size_t>(tilesAcross_) * static_cast<std::size_t>(ny_ / tileSide + 1));
}

std::size_t HeightField::bytes() const {
  std::size_t sum = tiles_.size() * sizeof(tiles_[0]);
  for (const auto& tile : tiles_) sum += tile ? sizeof(Tile) : 0;
  return sum;
}

const HeightField::Cell* HeightField::at(const Vec2& place) const {
  const int x = column(place.x()), y = row(place.y());
  if (x < 0 || y < 0 || x >= nx_ || y >= ny_) return nullptr;
  const std::unique_ptr<Tile>& tile = tiles_[tileOf(x, y)];
  return tile ? &(*tile)[within(x, y)] : nullptr;
}

HeightField::Level HeightField::under(const Vec2& place, double bottom, double top) const {
  const Cell* cell = at(place);
  if (!cell) return {};
  const auto middle = static_cast<float>((bottom + top) / 2);
  return cell->now.top <= middle ? cell->now : cell->before.top <= middle ? cell->before : Level();
}

bool HeightField::heldBeside(const Vec2& place, double bottom, double top) const {
  const Cell* cell = at(place);
  return cell && cell->now.stuff != Stuff::loose && cell->now.top > static_cast<float>((bottom + top) / 2);
}

// Cells whose middles lie from fromX to toX.
void HeightField::layRow(int y, double fromX, double toX, float middle, Level level) {
  if (y < 0 || y >= ny_) return;
  const int first = std::max(0, static_cast<int>(std::ceil((fromX - low_.x()) / cell_ - 0.5)));
  const int last = std::min(nx_ - 1, static_cast<int>(std::floor((toX - low_.x()) / cell_ - 0.5)));
  for (int x = first; x <= last; ++x) {
    std::unique_ptr<Tile>& tile = tiles_[tileOf(x, y)];
    if (!tile) tile = std::make_unique<Tile>();
    Cell& cell = (*tile)[within(x, y)];
    if (level.top <= cell.now.top) continue;
    if (cell.now.top <= middle) cell.before = cell.now;
    cell.now = level;
  }
}

void HeightField::lay(const Vec2& a, const Vec2& b, const Bead& bead) {
  const double length = (b - a).norm();
  if (length <= 0) return;
  const Vec2 along = (b - a) / length, side = Vec2(-along.y(), along.x()) * (bead.width / 2);
  const std::array<Vec2, 4> corners{a - side, b - side, b + side, a + side};
  double lowest = corners[0].y(), highest = lowest;
  for (const Vec2& c : corners) {
    lowest = std::min(lowest, c.y());
    highest = std::max(highest, c.y());
  }
  const auto middle = static_cast<float>((bead.bottom + bead.top) / 2);
  const Level level{static_cast<float>(bead.top), bead.stuff};
  const int from = static_cast<int>(std::ceil((lowest - low_.y()) / cell_ - 0.5)),
            to = static_cast<int>(std::floor((highest - low_.y()) / cell_ - 0.5));
  for (int y = from; y <= to; ++y) {
    const double middleY = low_.y() + (y + 0.5) * cell_;
    double left = 1e300, right = -1e300;
    for (std::size_t k = 0; k < 4; ++k) {
      const Vec2 &p = corners[k], &q = corners[(k + 1) % 4];
      if ((p.y() > middleY) == (q.y() > middleY) && p.y() != middleY) continue;
      const double x =
          p.y() == q.y() ? p.x() : p.x() + (q.x() - p.x()) * std::clamp((middleY - p.y()) / (q.y() - p.y()), 0.0, 1.0);
      left = std::min(left, x);
      right = std::max(right, x);
    }
    layRow(y, left, right, middle, level);
  }
}

void HeightField::layCorner(const Vec2& at, const Bead& bead) {
  const double radius = bead.width / 2;
  const int from = static_cast<int>(std::ceil((at.y() - radius - low_.y()) / cell_ - 0.5)),
            to = static_cast<int>(std::floor((at.y() + radius - low_.y()) / cell_ - 0.5));
  for (int y = from; y <= to; ++y) {
    const double away = low_.y() + (y + 0.5) * cell_ - at.y(),
                 half = std::sqrt(std::max(0.0, radius * radius - away * away));
    layRow(y, at.x() - half, at.x() + half, static_cast<float>((bead.bottom + bead.top) / 2),
           {static_cast<float>(bead.top), bead.stuff});
  }
}

}  // namespace trellis
