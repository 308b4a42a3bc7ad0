// SPDX-License-Identifier: GPL-3.0-or-later
// Names that last: what a thing is called by as long as it exists, wherever it stands in a list.
#pragma once

#include <compare>
#include <cstdint>

namespace trellis {

// Of one kind of thing. 0 is nothing's: whatever has it is given one of its own when it comes into a project.
template <typename Kind>
struct Id {
  std::uint64_t number = 0;
  explicit operator bool() const { return number != 0; }
  auto operator<=>(const Id&) const = default;
};

using PartId = Id<struct PartKind>;
using ZoneId = Id<struct ZoneKind>;
using PropId = Id<struct PropKind>;
using VariantId = Id<struct VariantKind>;

}  // namespace trellis
