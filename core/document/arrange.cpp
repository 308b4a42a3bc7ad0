// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/arrange.hpp"

#include "core/base/error.hpp"

#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/convex_hull_2.h>

#include <algorithm>
#include <limits>
#include <numeric>

namespace trellis {

namespace {

using Corner = CGAL::Exact_predicates_inexact_constructions_kernel::Point_2;

constexpr double grid = 2;          // mm
constexpr double supportReach = 1;  // mm: two lines

struct Shape {
  std::vector<Vec2> corners;
  Box2 box;
};

Shape movedBy(const Shape& shape, const Vec2& by) {
  Shape moved{shape.corners, Box2(shape.box.min() + by, shape.box.max() + by)};
  for (Vec2& corner : moved.corners) corner += by;
  return moved;
}

// Daylight between two convex outlines along the best of their edges' normals; negative when they overlap. At
// corners it says a little less than there is.
double daylight(const Shape& a, const Shape& b) {
  double best = -std::numeric_limits<double>::max();
  const auto along = [&](const Shape& one, const Shape& other) {
    for (std::size_t i = 0; i < one.corners.size(); ++i) {
      const Vec2 edge = one.corners[(i + 1) % one.corners.size()] - one.corners[i];
      if (edge.squaredNorm() < 1e-12) continue;
      const Vec2 outward = Vec2(edge.y(), -edge.x()).normalized();
      double nearest = std::numeric_limits<double>::max();
      for (const Vec2& corner : other.corners) nearest = std::min(nearest, outward.dot(corner - one.corners[i]));
      best = std::max(best, nearest);
    }
  };
  along(a, b);
  along(b, a);
  return best;
}

bool isClear(const Shape& shape, const std::vector<Shape>& placed, double gap) {
  return std::all_of(placed.begin(), placed.end(), [&](const Shape& other) {
    return shape.box.exteriorDistance(other.box) >= gap || daylight(shape, other) >= gap;
  });
}

// The way to move a shape to the clear place nearest to the middle.
std::optional<Vec2> roomFor(const Shape& shape, const std::vector<Shape>& placed, const ArrangeRules& rules) {
  const Vec2 size = shape.box.sizes(), room = Vec2(rules.width, rules.depth) - size;
  if ((room.array() < 0).any()) return std::nullopt;
  std::optional<Vec2> best;
  double nearest = std::numeric_limits<double>::max();
  // From the middle outward, so that the middle itself is among the places.
  const int columns = static_cast<int>(room.x() / 2 / grid), rows = static_cast<int>(room.y() / 2 / grid);
  for (int x = -columns; x <= columns; ++x)
    for (int y = -rows; y <= rows; ++y) {
      const Vec2 corner = room / 2 + grid * Vec2(x, y);
      const double distance = (corner - room / 2).squaredNorm();
      if (distance >= nearest || !isClear(movedBy(shape, corner - shape.box.min()), placed, rules.gap)) continue;
      nearest = distance;
      best = corner - shape.box.min();
    }
  return best;
}

Shape shapeOf(const Part& part, const ArrangeRules& rules) {
  Shape shape{footprint(part, rules.around), {}};
  for (const Vec2& corner : shape.corners) shape.box.extend(corner);
  return shape;
}

}  // namespace

std::vector<Vec2> footprint(const Part& part, double around) {
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const double reach = supportReach + around;
  std::vector<Corner> shadow, hull, reached, outline;
  for (const Vec3f& v : part.mesh->vertices) {
    const Vec3 p = toPlate * v.cast<double>();
    shadow.emplace_back(p.x(), p.y());
  }
  CGAL::convex_hull_2(shadow.begin(), shadow.end(), std::back_inserter(hull));
  for (const Corner& c : hull)
    for (const double dx : {-reach, reach})
      for (const double dy : {-reach, reach}) reached.emplace_back(c.x() + dx, c.y() + dy);
  CGAL::convex_hull_2(reached.begin(), reached.end(), std::back_inserter(outline));
  std::vector<Vec2> corners;
  for (const Corner& c : outline) corners.emplace_back(c.x(), c.y());
  return corners;
}

std::vector<Placement> arranged(const std::vector<PartPtr>& parts, const ArrangeRules& rules) {
  if (!(rules.gap >= 0 && rules.gap <= 1000)) throw Error(say("The gap between parts can be 0 to 1000 mm."));
  std::vector<Shape> shapes;
  for (const PartPtr& part : parts) shapes.push_back(shapeOf(*part, rules));
  std::vector<std::size_t> order(parts.size());
  std::iota(order.begin(), order.end(), 0u);
  std::stable_sort(order.begin(), order.end(),
                   [&](std::size_t a, std::size_t b) { return shapes[a].box.volume() > shapes[b].box.volume(); });
  std::vector<Placement> result(parts.size());
  std::vector<Shape> placed;
  std::string without;
  for (const std::size_t p : order) {
    const auto by = roomFor(shapes[p], placed, rules);
    if (!by) {
      without += (without.empty() ? "" : ", ") + parts[p]->name;
      continue;
    }
    placed.push_back(movedBy(shapes[p], *by));
    result[p] = parts[p]->placement;
    result[p].position.head<2>() += *by;
  }
  if (!without.empty())
    throw Error(say("The plate has no room for {}. Remove a part, or let parts stand nearer together.", without));
  return result;
}

std::vector<Placement> besideOthers(const std::vector<PartPtr>& others, const std::vector<PartPtr>& parts,
                                    const ArrangeRules& rules) {
  constexpr std::size_t crowded = 150;  // parts; looking for a free place among more takes long
  constexpr double least = 0.01;        // mm between parts that stay where they are
  const Box2 plate(Vec2(0, 0), Vec2(rules.width, rules.depth));
  std::vector<Shape> placed;
  for (const PartPtr& part : others) placed.push_back(shapeOf(*part, rules));
  std::vector<Placement> result;
  double row = 0;  // how far what waits behind the plate reaches
  for (const PartPtr& part : parts) {
    const Shape shape = shapeOf(*part, rules);
    Vec2 by = Vec2::Zero();
    if (!plate.contains(shape.box) || !isClear(shape, placed, least)) {
      const auto room = placed.size() < crowded ? roomFor(shape, placed, rules) : std::nullopt;
      by = room.value_or(Vec2(row, rules.depth + 2 * rules.gap) - shape.box.min());
      if (!room) row += shape.box.sizes().x() + rules.gap;
    }
    placed.push_back(movedBy(shape, by));
    result.push_back(part->placement);
    result.back().position.head<2>() += by;
  }
  return result;
}

}  // namespace trellis
