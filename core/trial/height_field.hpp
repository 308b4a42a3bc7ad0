// SPDX-License-Identifier: GPL-3.0-or-later
// How high the printed material stands, cell by cell.
#pragma once

#include "core/base/types.hpp"

#include <array>
#include <memory>
#include <vector>

namespace trellis {

// loose: of a bead that was itself laid on air.
enum class Stuff : std::uint8_t { none, part, support, loose };

// Square cells of a tenth of a millimetre, or larger where there would be more than fifteen million. A cell holds its
// topmost material, and what was topmost before a bead of the present height was laid over it. Memory is taken tile by
// tile, only where something is printed.
class HeightField {
 public:
  explicit HeightField(const Box2& room);

  struct Bead {
    double width, bottom, top;  // mm
    Stuff stuff;
  };
  // From a to b with flat ends: every cell whose middle lies within half its width.
  void lay(const Vec2& a, const Vec2& b, const Bead& bead);
  // The round corner between two stretches of a bead.
  void layCorner(const Vec2& at, const Bead& bead);

  struct Level {
    float top = -1e9f;  // mm
    Stuff stuff = Stuff::none;
  };
  // The material under a bead of these heights: what reaches above its middle lies beside it and does not count.
  Level under(const Vec2& at, double bottom, double top) const;
  // Whether another bead of its layer lies there, one that is held: it reaches above the bead's middle.
  bool heldBeside(const Vec2& at, double bottom, double top) const;

  double cell() const { return cell_; }  // mm
  std::size_t bytes() const;             // of memory taken

 private:
  struct Cell {
    Level now, before;
  };
  int column(double x) const { return static_cast<int>(std::floor((x - low_.x()) / cell_)); }
  int row(double y) const { return static_cast<int>(std::floor((y - low_.y()) / cell_)); }
  static constexpr int tileSide = 64;  // cells
  using Tile = std::array<Cell, static_cast<std::size_t>(tileSide) * tileSide>;
  std::size_t tileOf(int x, int y) const {
    return static_cast<std::size_t>(y / tileSide) * static_cast<std::size_t>(tilesAcross_) +
           static_cast<std::size_t>(x / tileSide);
  }
  static std::size_t within(int x, int y) {
    return static_cast<std::size_t>(y % tileSide) * tileSide + static_cast<std::size_t>(x % tileSide);
  }
  const Cell* at(const Vec2& place) const;
  void layRow(int y, double fromX, double toX, float middle, Level level);

  Vec2 low_;
  double cell_ = 0.1;
  int nx_ = 0, ny_ = 0, tilesAcross_ = 0;
  std::vector<std::unique_ptr<Tile>> tiles_;
};

}  // namespace trellis
