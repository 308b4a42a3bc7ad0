// SPDX-License-Identifier: GPL-3.0-or-later
// Boxes by where they lie.
#pragma once

#include "core/base/types.hpp"

#include <memory>
#include <vector>

namespace trellis {

// Of each of several things, its box.
template <typename All, typename BoxOf>
std::vector<Box2> boxesOf(const All& all, const BoxOf& boxOf) {
  std::vector<Box2> boxes;
  for (const auto& one : all) boxes.push_back(boxOf(one));
  return boxes;
}

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
