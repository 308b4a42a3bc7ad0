// SPDX-License-Identifier: GPL-3.0-or-later
// Branches of tree supports as smooth tubes to look at.
#pragma once

#include "core/support/support_layers.hpp"
#include "core/support/support_solid.hpp"

namespace trellis {

using Trees = std::vector<std::shared_ptr<const Tree>>;  // by site; null where support is normal

// Appends a tube for every branch of pieces that are not shown by outlines, up to where its tips widen into what they
// carry. What several sites share is drawn
// once.
void addTubes(std::vector<SolidVertex>& out, const SupportLayers& layers, const Trees& trees);

// Whether a piece is looked at as its outlines are, because a post, which has no tree, is among its branches.
bool isShownByOutlines(const Piece& piece, const Trees& trees);

// Whether a region of branch lies in some tip, over its lowest demand: there its own outline is looked at, not a
// tube's.
class TipZones {
 public:
  explicit TipZones(const Trees& trees);
  bool holds(const PieceRegion& region, double top) const;

 private:
  std::vector<Tip> tips_;  // by low
};

}  // namespace trellis
