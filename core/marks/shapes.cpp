// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/shapes.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

Vec3 middleOf(const Corners& c) { return (c[0] + c[1] + c[2]) / 3; }

double reachOf(const Corners& c, const Vec3& middle) {
  return std::sqrt(
      std::max({(c[0] - middle).squaredNorm(), (c[1] - middle).squaredNorm(), (c[2] - middle).squaredNorm()}));
}

double longestEdge(const Corners& c) {
  return std::max({(c[1] - c[0]).norm(), (c[2] - c[1]).norm(), (c[0] - c[2]).norm()});
}

class BallShape : public Shape {
 public:
  BallShape(std::vector<Vec3> path, double radius) : radius_(radius) {
    if (path.size() == 1) path.push_back(path.front());
    for (std::size_t i = 1; i < path.size(); ++i) capsules_.push_back({path[i - 1], path[i] - path[i - 1]});
  }

  // A capsule is convex, so a triangle with its corners in one lies in it.
  Where classify(const Corners& placed) const override {
    const Vec3 middle = middleOf(placed);
    const double reach = reachOf(placed, middle), far = (radius_ + reach) * (radius_ + reach), near = radius_ * radius_;
    bool touches = false;
    for (const Capsule& capsule : capsules_) {
      if (squaredDistance(capsule, middle) > far) continue;
      touches = true;
      if (std::all_of(placed.begin(), placed.end(), [&](const Vec3& p) { return squaredDistance(capsule, p) <= near; }))
        return Where::inside;
    }
    return touches ? Where::across : Where::outside;
  }
  bool contains(const Vec3& p) const override {
    return std::any_of(capsules_.begin(), capsules_.end(),
                       [&](const Capsule& c) { return squaredDistance(c, p) <= radius_ * radius_; });
  }
  double leafEdge() const override { return trellis::leafEdge(radius_); }

 private:
  struct Capsule {
    Vec3 from, along;
  };
  static double squaredDistance(const Capsule& capsule, const Vec3& p) {
    const double length = capsule.along.squaredNorm();
    const double t = length > 0 ? std::clamp((p - capsule.from).dot(capsule.along) / length, 0.0, 1.0) : 0.0;
    return (p - capsule.from - t * capsule.along).squaredNorm();
  }
  std::vector<Capsule> capsules_;
  double radius_;
};

class SightShape : public Shape {
 public:
  SightShape(const std::vector<Vec3>& path, double radius, const Vec3& eye, std::vector<Occluder> occluders,
             std::vector<Plane> clip)
      : radius_(radius), eye_(eye), occluders_(std::move(occluders)), clip_(std::move(clip)) {
    addCone(path.front());
    for (std::size_t i = 1; i < path.size(); ++i) {
      const Vec3 along = path[i] - path[i - 1];
      const int steps = std::max(1, static_cast<int>(std::ceil(along.norm() / (radius / 4))));
      for (int k = 1; k <= steps; ++k) addCone(path[i - 1] + along * k / steps);
    }
  }

  Where classify(const Corners& placed) const override {
    const Vec3 middle = middleOf(placed);
    const double reach = reachOf(placed, middle);
    bool touches = false, within = false;
    for (const Cone& cone : cones_) {
      if (!isIn(cone, middle, reach)) continue;
      touches = true;
      within = within || std::all_of(placed.begin(), placed.end(), [&](const Vec3& p) { return isIn(cone, p, 0); });
    }
    if (!touches) return Where::outside;
    if (!within || longestEdge(placed) > std::max(sampled, radius_ / 24)) return Where::across;
    const int seen = isSeen(middle) + isSeen(placed[0]) + isSeen(placed[1]) + isSeen(placed[2]);
    return seen == 4 ? Where::inside : seen == 0 ? Where::outside : Where::across;
  }
  bool contains(const Vec3& p) const override {
    return std::any_of(cones_.begin(), cones_.end(), [&](const Cone& cone) { return isIn(cone, p, 0); }) && isSeen(p);
  }
  double leafEdge() const override { return std::min(trellis::leafEdge(radius_), finest); }

 private:
  static constexpr double sampled = 0.25;  // mm between the points whose sight is asked for, at most
  static constexpr double finest =
      0.2;  // mm of leaf edge where sight ends, so that nothing hidden is marked farther in than half of it
  static constexpr double skin = 0.02;  // mm; nearer hits are the surface itself

  struct Cone {
    Vec3 axis;
    double slope;  // radius over distance
  };
  void addCone(const Vec3& centre) {
    const double distance = std::max((centre - eye_).norm(), 1e-6);
    cones_.push_back({(centre - eye_) / distance, radius_ / distance});
  }
  bool isIn(const Cone& cone, const Vec3& p, double slack) const {
    const Vec3 from = p - eye_;
    const double depth = from.dot(cone.axis);
    return depth > -slack &&
           (from - depth * cone.axis).norm() <= std::max(depth, 0.0) * cone.slope + slack * (1 + cone.slope);
  }
  bool isSeen(const Vec3& p) const {
    const Vec3 along = p - eye_;
    double entry = 0;  // where the look passes the last clip plane
    for (const Plane& plane : clip_) {
      if (plane.heightOf(p) < 0) return false;
      if (const double before = plane.heightOf(eye_); before < 0)
        entry = std::max(entry, before / (before - plane.heightOf(p)));
    }
    const Vec3 from = eye_ + entry * along, rest = p - from;
    const double length = rest.norm();
    return std::none_of(occluders_.begin(), occluders_.end(), [&](const Occluder& other) {
      const auto hit = other.tree->firstHit(other.toMesh * from, other.toMesh.linear() * rest);
      return hit && hit->distance * length < length - skin;
    });
  }

  double radius_;
  Vec3 eye_;
  std::vector<Cone> cones_;
  std::vector<Occluder> occluders_;
  std::vector<Plane> clip_;
};

class BandShape : public Shape {
 public:
  BandShape(double from, double to) : from_(from), to_(to) {}
  Where classify(const Corners& placed) const override {
    const auto [low, high] = std::minmax({placed[0].z(), placed[1].z(), placed[2].z()});
    if (high < from_ || low > to_) return Where::outside;
    return low >= from_ && high <= to_ ? Where::inside : Where::across;
  }
  bool contains(const Vec3& p) const override { return p.z() >= from_ && p.z() <= to_; }
  double leafEdge() const override { return 0.2; }

 private:
  double from_, to_;
};

class PatchShape : public Shape {
 public:
  PatchShape(const Polygons& plan, double from, double to) : plan_(plan), box_(boundsOf(plan)), from_(from), to_(to) {}
  Where classify(const Corners& placed) const override {
    const auto [low, high] = std::minmax({placed[0].z(), placed[1].z(), placed[2].z()});
    Box2 box;
    for (const Vec3& p : placed) box.extend(Vec2(p.head<2>()));
    if (high < from_ || low > to_ || !box.intersects(box_)) return Where::outside;
    Polygon triangle;
    for (const Vec3& p : placed) triangle.push_back(toPoint(p.x(), p.y()));
    const double whole = std::abs(ClipperLib::Area(triangle)) / (unitsPerMm * unitsPerMm);
    const double shared = area(intersect({triangle}, plan_));
    if (shared < whole * 1e-6) return Where::outside;
    return shared > whole * (1 - 1e-6) && low >= from_ && high <= to_ ? Where::inside : Where::across;
  }
  bool contains(const Vec3& p) const override {
    return p.z() >= from_ && p.z() <= to_ && trellis::contains(plan_, toPoint(p.x(), p.y()));
  }
  double leafEdge() const override { return 0.2; }

 private:
  Polygons plan_;
  Box2 box_;
  double from_, to_;
};

class ClippedShape : public Shape {
 public:
  ClippedShape(std::unique_ptr<Shape> shape, std::vector<Plane> clip)
      : shape_(std::move(shape)), clip_(std::move(clip)) {}
  Where classify(const Corners& placed) const override {
    Where result = shape_->classify(placed);
    for (const Plane& plane : clip_) {
      const auto before =
          std::count_if(placed.begin(), placed.end(), [&](const Vec3& p) { return plane.heightOf(p) >= 0; });
      if (before == 0) return Where::outside;
      if (before < 3 && result == Where::inside) result = Where::across;
    }
    return result;
  }
  bool contains(const Vec3& p) const override {
    return std::all_of(clip_.begin(), clip_.end(), [&](const Plane& plane) { return plane.heightOf(p) >= 0; }) &&
           shape_->contains(p);
  }
  double leafEdge() const override { return shape_->leafEdge(); }

 private:
  std::unique_ptr<Shape> shape_;
  std::vector<Plane> clip_;
};

}  // namespace

double leafEdge(double radius) { return std::max(0.1, radius / 12); }

std::unique_ptr<Shape> ballShape(std::vector<Vec3> path, double radius) {
  return std::make_unique<BallShape>(std::move(path), radius);
}

std::unique_ptr<Shape> sightShape(const std::vector<Vec3>& path, double radius, const Vec3& eye,
                                  std::vector<Occluder> occluders, std::vector<Plane> clip) {
  return std::make_unique<SightShape>(path, radius, eye, std::move(occluders), std::move(clip));
}

std::unique_ptr<Shape> bandShape(double from, double to) { return std::make_unique<BandShape>(from, to); }

std::unique_ptr<Shape> patchShape(const Polygons& plan, double from, double to) {
  return std::make_unique<PatchShape>(plan, from, to);
}

std::unique_ptr<Shape> clippedShape(std::unique_ptr<Shape> shape, std::vector<Plane> clip) {
  if (clip.empty()) return shape;
  return std::make_unique<ClippedShape>(std::move(shape), std::move(clip));
}

}  // namespace trellis
