// SPDX-License-Identifier: GPL-3.0-or-later
// What the hand holds, and what it has hold of.
#pragma once

#include "core/assess/removal.hpp"
#include "core/mesh/plane.hpp"

#include <compare>

namespace trellis {

// What the left button does in the scene. The first six have the keys 0 to 5.
enum class Tool { pick, ball, sight, face, site, band, clean, zone, prop, remove };

struct Brush {
  Tool tool = Tool::pick;
  Mark mark = Mark::enforce;
  double radius = 3;  // mm, 0.15–30
  bool keepToOverhangs = false;
  double crease = 20;  // degrees
  bool stopAtCreases = false;
  bool twin = false;  // strokes are laid on both sides of the part
  ZoneAs zoneAs = ZoneAs::enforce;
  ZoneShape zoneShape = ZoneShape::box;
  MeshPtr zoneSolid = {};  // for zones of any shape, in the unit cube
  double propWidth = 3;    // mm
  Reach reach = Reach::piece;
  bool keepOnly = false;  // Remove takes everything else away

  bool lays() const { return tool >= Tool::ball && tool <= Tool::band; }
  bool isRound() const { return tool == Tool::ball || tool == Tool::sight; }
};

// A site of a part.
struct SiteId {
  std::size_t part = 0, site = 0;
  auto operator<=>(const SiteId&) const = default;
};

// A zone or prop of the selected part that is chosen.
struct Chosen {
  enum Kind { nothing, zone, prop } kind = nothing;
  std::size_t index = 0;
  bool operator==(const Chosen&) const = default;
};

}  // namespace trellis
