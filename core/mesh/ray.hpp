// SPDX-License-Identifier: GPL-3.0-or-later
// Which facet a ray meets, and which facets lie near a point. Over Embree's BVH.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <functional>
#include <optional>

namespace trellis {

struct RayHit {
  std::uint32_t facet = 0;
  double distance = 0;  // in lengths of the direction given
  Vec3 point = Vec3::Zero();
};

// One tree per mesh, in the mesh's own coordinates; about 0.7 s for a million facets, so keep it.
// Safe to ask from several threads.
class MeshTree {
 public:
  explicit MeshTree(MeshPtr mesh);
  ~MeshTree();
  MeshTree(const MeshTree&) = delete;
  MeshTree& operator=(const MeshTree&) = delete;

  const TriangleMesh& mesh() const { return *mesh_; }

  // The first facet along the ray, from either side; of several at one distance the one with the lowest index.
  std::optional<RayHit> firstHit(const Vec3& origin, const Vec3& direction) const;

  // Facets whose bounding box comes within radius of the centre, in ascending order.
  std::vector<std::uint32_t> facetsNear(const Vec3& centre, double radius) const;

 private:
  MeshPtr mesh_;
  void* device_ = nullptr;
  void* scene_ = nullptr;
};

using MeshTreePtr = std::shared_ptr<const MeshTree>;

// The tree of this mesh, made when first asked for and shared while anybody holds it.
MeshTreePtr treeOf(const MeshPtr& mesh);

}  // namespace trellis
