// SPDX-License-Identifier: GPL-3.0-or-later
// Union–find over indices.
#pragma once

#include <numeric>
#include <vector>

namespace trellis {

class DisjointSets {
 public:
  explicit DisjointSets(std::size_t count) : parent_(count) { std::iota(parent_.begin(), parent_.end(), 0u); }

  // The lowest index of the set that holds i.
  std::size_t find(std::size_t i) {
    while (parent_[i] != i) i = parent_[i] = parent_[parent_[i]];
    return i;
  }
  void join(std::size_t a, std::size_t b) {
    a = find(a);
    b = find(b);
    parent_[std::max(a, b)] = std::min(a, b);
  }

 private:
  std::vector<std::size_t> parent_;
};

}  // namespace trellis
