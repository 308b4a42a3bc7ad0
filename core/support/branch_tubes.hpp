// SPDX-License-Identifier: GPL-3.0-or-later
// Branches of tree supports as smooth tubes to look at.
#pragma once

#include "core/support/support_layers.hpp"
#include "core/support/support_solid.hpp"

namespace trellis {

using Trees = std::vector<std::shared_ptr<const Tree>>;  // by site; null where support is normal

// Appends a tube for every branch, up to where its tips widen into what they carry. What several sites share is drawn
// once.
void addTubes(std::vector<SolidVertex>& out, const SupportLayers& layers, const Trees& trees);

// Where branches stand that no tube is drawn of: posts, which hold a wall, and all of them where no trees are given.
class Posts {
 public:
  Posts(const SupportLayers& layers, const Trees& trees) : layers_(layers), trees_(trees) {}
  bool holds(const PieceRegion& region, double top) const;

 private:
  const SupportLayers& layers_;
  const Trees& trees_;
};

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
