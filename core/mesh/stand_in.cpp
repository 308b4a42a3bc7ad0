// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/stand_in.hpp"

#include "core/base/shared_by_key.hpp"

#include <meshoptimizer.h>

namespace trellis {

namespace {

// Its vertices stay where they are; those that nobody names any more are left out.
MeshPtr simplified(const TriangleMesh& mesh) {
  const auto* corners = mesh.facets.front().data();
  const std::size_t cornerCount = 3 * mesh.facets.size(), vertexCount = mesh.vertices.size();
  const float* places = mesh.vertices.front().data();
  const float whole = meshopt_simplifyScale(places, vertexCount, sizeof(Vec3f));
  std::vector<std::uint32_t> left(cornerCount);
  left.resize(meshopt_simplify(left.data(), corners, cornerCount, places, vertexCount, sizeof(Vec3f), 3 * standInFacets,
                               static_cast<float>(standInError) / whole, 0, nullptr));
  std::vector<Vec3f> joined;
  joined.reserve(left.size());
  for (const std::uint32_t corner : left) joined.push_back(mesh.vertices[corner]);
  return meshFromCorners(joined);
}

}  // namespace

MeshPtr standInOf(const MeshPtr& mesh) {
  if (mesh->facets.size() <= standInFacets) return mesh;
  static SharedByKey<TriangleMesh> standIns;
  return standIns.get(mesh->key, [&] { return simplified(*mesh); });
}

}  // namespace trellis
