// SPDX-License-Identifier: GPL-3.0-or-later
// Boxes by where they lie.
#pragma once

#include "core/base/types.hpp"

#include <memory>
#include <vector>

namespace trellis {

class BoxIndex {
 public:
  explicit BoxIndex(const std::vector<Box2>& boxes);  // empty ones meet nothing
  ~BoxIndex();

  // The numbers of those that touch a box or come within margin mm of it along both axes, ascending.
  std::vector<std::size_t> meeting(const Box2& box, double margin = 0) const;

 private:
  struct Tree;
  std::unique_ptr<const Tree> tree_;
};

}  // namespace trellis
