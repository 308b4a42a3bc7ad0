// SPDX-License-Identifier: GPL-3.0-or-later
// The columns of all sites brought together: what is printed in each support layer, as pieces.
#pragma once

#include "core/base/key.hpp"
#include "core/support/column.hpp"

namespace trellis {

// One connected region of one piece within a layer.
struct PieceRegion {
  std::size_t piece = 0;  // index into SupportLayers::pieces
  RegionKind kind = RegionKind::body;
  std::size_t rules = 0;  // what settings it is printed by, into Build::rules
  Polygons area;
  Key key = 0;           // of where it lies and what it is: straight columns have the same in every layer
  Polygons beside = {};  // of body and graded layers: what of other kinds lies near it in the layer
};

// What reaches from a hold to the wall in one layer.
struct TieGroup {
  std::size_t piece = 0, rules = 0;
  Lines lines;
};

struct SupportLayer {
  double bottom = 0, top = 0;        // mm, to the nanometre: equal heights are equal to the last bit
  std::vector<PieceRegion> regions;  // ordered by piece
  std::vector<TieGroup> ties = {};
  Key key = 0;  // of everything above, piece numbers included
};

// One connected body of support, the thing a hand pulls off.
struct Piece {
  double lowest = 0, highest = 0;  // mm
  std::vector<std::size_t> sites;  // indices of the columns it is made of, ascending
  double contactAbove = 0;         // mm² of interface (or body) right under the part
  Key id = 0;                      // of its outlines: the same as long as those are
};

struct SupportLayers {
  std::vector<SupportLayer> layers;  // by top, then by bottom
  std::vector<Piece> pieces;         // numbered by their lowest layer
};

// Where slabs of two columns overlap without being the same layer, the column that ends lower keeps
// the room: its interface is near. Slabs of the same layer and settings are united; where their uses differ the one
// that comes later in RegionKind wins, and where their settings do, those that a decision has for itself. Weak where
// two sites of different height touch: the higher column stands there with a gap of less than a layer over the lower
// one's top.
// rules are the numbers of the settings each column is built by; where settings differ, the higher number wins.
SupportLayers assembleSupport(const std::vector<std::shared_ptr<const Column>>& columns,
                              const std::vector<std::size_t>& rules, const Progress& progress);

// Of a layer's regions and ties, whatever key it bears.
Key keyOfLayer(const SupportLayer& layer);

}  // namespace trellis
