// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/package_mesh.hpp"

#include "core/mesh/read_mesh.hpp"

#include <filesystem>
#include <fstream>
#include <stdexcept>

namespace trellis::test {

MeshPtr demoPart(const std::string& name) {
  return readMeshFile(std::filesystem::path(TRELLIS_DEMO) / (name + ".stl"), Progress()).front().mesh;
}

MeshPtr packageMesh(const std::string& name, double size) {
  std::ifstream file(std::string(TRELLIS_PACKAGE_MESHES) + "/" + name + ".off");
  std::string format;
  std::size_t vertexCount = 0, facetCount = 0, edgeCount = 0;
  if (!(file >> format >> vertexCount >> facetCount >> edgeCount) || format != "OFF")
    throw std::runtime_error(name + ".off is missing; install libcgal-demo");
  std::vector<Vec3f> vertices(vertexCount);
  std::vector<Facet> facets(facetCount);
  for (Vec3f& v : vertices) file >> v.x() >> v.y() >> v.z();
  for (Facet& f : facets) {
    std::size_t corners = 0;
    file >> corners >> f[0] >> f[1] >> f[2];
    if (corners != 3) throw std::runtime_error(name + ".off has other facets than triangles");
  }
  const MeshPtr raw = makeMesh(std::move(vertices), std::move(facets));
  // The meshes stand along y.
  const Affine upright(Eigen::AngleAxisd(pi / 2, Vec3::UnitX()));
  const MeshPtr turned = transformed(*raw, upright);
  const double scale = size / turned->bounds.sizes().maxCoeff();
  return transformed(*turned, Affine(Eigen::Scaling(scale) * Eigen::Translation3d(-turned->bounds.min())));
}

MeshPtr refined(const TriangleMesh& mesh) {
  std::vector<Vec3f> corners;
  for (std::size_t f = 0; f < mesh.facets.size(); ++f) {
    const auto [a, b, c] = mesh.corners(f);
    // Float middles of float ends are the same from both sides of an edge.
    const auto middle = [](const Vec3& p, const Vec3& q) { return Vec3((p + q) / 2); };
    const Vec3 ab = middle(a, b), bc = middle(b, c), ca = middle(c, a);
    for (const Vec3& p : {a, ab, ca, ab, b, bc, ca, bc, c, ab, bc, ca}) corners.push_back(p.cast<float>());
  }
  return meshFromCorners(corners);
}

}  // namespace trellis::test
