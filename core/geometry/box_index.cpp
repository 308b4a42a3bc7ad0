// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/box_index.hpp"

#include <boost/geometry/geometries/box.hpp>
#include <boost/geometry/geometries/point_xy.hpp>
#include <boost/geometry/index/rtree.hpp>

#include <algorithm>
#include <utility>

namespace trellis {

namespace {

namespace geometry = boost::geometry;
using Place = geometry::model::d2::point_xy<double>;
using Entry = std::pair<geometry::model::box<Place>, std::size_t>;

geometry::model::box<Place> boxOf(const Box2& box, double margin) {
  return {Place(box.min().x() - margin, box.min().y() - margin), Place(box.max().x() + margin, box.max().y() + margin)};
}

std::vector<Entry> entriesOf(const std::vector<Box2>& boxes) {
  std::vector<Entry> entries;
  for (std::size_t i = 0; i < boxes.size(); ++i)
    if (!boxes[i].isEmpty()) entries.emplace_back(boxOf(boxes[i], 0), i);
  return entries;
}

}  // namespace

struct BoxIndex::Tree {
  explicit Tree(const std::vector<Entry>& entries) : boxes(entries) {}
  geometry::index::rtree<Entry, geometry::index::quadratic<16>> boxes;
};

BoxIndex::BoxIndex(const std::vector<Box2>& boxes) : tree_(std::make_unique<const Tree>(entriesOf(boxes))) {}

BoxIndex::~BoxIndex() = default;

std::vector<std::size_t> BoxIndex::meeting(const Box2& box, double margin) const {
  std::vector<std::size_t> found;
  if (box.isEmpty()) return found;
  for (auto entry = tree_->boxes.qbegin(geometry::index::intersects(boxOf(box, margin))); entry != tree_->boxes.qend();
       ++entry)
    found.push_back(entry->second);
  std::sort(found.begin(), found.end());
  return found;
}

}  // namespace trellis
