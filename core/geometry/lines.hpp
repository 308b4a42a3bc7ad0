// SPDX-License-Identifier: GPL-3.0-or-later
// Open lines in the plane of a layer. A type of their own, because what is outlines to Clipper as well would be united,
// offset and measured as if it enclosed something.
#pragma once

#include <polyclipping/clipper.hpp>

#include <cstddef>
#include <initializer_list>
#include <utility>
#include <vector>

namespace trellis {

using Point = ClipperLib::IntPoint;
using Polygon = ClipperLib::Path;  // points in their order: an outline that closes, or one line

// Each of one point or more.
class Lines : private std::vector<Polygon> {
 public:
  Lines() = default;
  Lines(std::initializer_list<Polygon> lines) : vector(lines) {}
  explicit Lines(std::vector<Polygon> lines) : vector(std::move(lines)) {}

  using vector::back, vector::begin, vector::const_iterator, vector::emplace_back, vector::empty, vector::end,
      vector::front, vector::iterator, vector::push_back, vector::size, vector::value_type, vector::operator[];

  void add(const Lines& more) { insert(end(), more.begin(), more.end()); }
  void erase(std::size_t index) { vector::erase(begin() + static_cast<std::ptrdiff_t>(index)); }
  template <typename Which>
  void dropWhere(const Which& which) {
    std::erase_if(static_cast<vector&>(*this), which);
  }
  // For Clipper, which is told that they are open.
  const ClipperLib::Paths& paths() const { return *this; }
  friend bool operator==(const Lines&, const Lines&) = default;
};

}  // namespace trellis
