// SPDX-License-Identifier: GPL-3.0-or-later
// What of a project can be pointed at and chosen.
#pragma once

#include <compare>
#include <cstddef>

namespace trellis {

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
