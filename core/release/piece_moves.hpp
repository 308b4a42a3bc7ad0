// SPDX-License-Identifier: GPL-3.0-or-later
// By which moves a piece of support can leave its parts, as a whole or broken.
#pragma once

#include "core/release/hand_move.hpp"

namespace trellis {

// What of a piece moves at once: all of it between two heights.
struct Bit {
  std::size_t piece = 0;
  double low = 0, high = 0;        // mm
  double neck = 0;                 // mm² of outline broken to part it from what is below; 0 where it is not broken
  std::vector<Vec3> samples = {};  // as of samplesOf
  Box3 box = {};
  std::vector<HandPath> paths = {};  // that touch no part; none where it cannot leave so
};

// One bit.
std::vector<Bit> wholeMoves(const SupportLayers& layers, std::size_t piece, const std::vector<Solid>& solids,
                            double distance);

// Snapped at its thinnest sections into two bits, or into four where one of two could not leave.
std::vector<Bit> bitMoves(const SupportLayers& layers, std::size_t piece, const std::vector<Solid>& solids,
                          double distance);

// Where all pieces stand.
class StandingBits {
 public:
  explicit StandingBits(const SupportLayers& layers);

  // Whether a bit meets another on its way.
  bool blocks(const Bit& other, const Bit& moving, const HandPath& path) const;

 private:
  struct Slab {
    double bottom, top;
    const Polygons* area;
    Box2 box;
  };
  bool holds(const Bit& bit, const Vec3& place) const;

  std::vector<std::vector<Slab>> slabs_;  // of each piece, by bottom
};

}  // namespace trellis
