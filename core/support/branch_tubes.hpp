// SPDX-License-Identifier: GPL-3.0-or-later
// Branches of tree supports as smooth tubes to look at.
#pragma once

#include "core/support/support_layers.hpp"
#include "core/support/support_solid.hpp"

namespace trellis {

using Trees = std::vector<std::shared_ptr<const Tree>>;  // by site; null where support is normal

// Of each piece, whether it is looked at as its outlines are: a post, which has no tree, is among its branches. Empty
// without trees: then there are no tubes.
std::vector<bool> shownByOutlines(const SupportLayers& layers, const Trees& trees);

// Appends a tube for every branch of the other pieces, up to where its tips widen into what they carry. What several
// sites share is drawn once.
void addTubes(std::vector<SolidVertex>& out, const SupportLayers& layers, const Trees& trees,
              const std::vector<bool>& byOutlines);

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
