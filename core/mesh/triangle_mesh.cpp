// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/triangle_mesh.hpp"

#include "core/base/key.hpp"

#include <bit>

namespace trellis {

namespace {

// Open addressing over vertex indices; several times faster than a node-based map, and reading a
// large STL is mostly this.
class VertexJoiner {
 public:
  VertexJoiner(std::vector<Vec3f>& vertices, std::size_t expected) : vertices_(vertices) {
    slots_.assign(std::bit_ceil(expected + expected / 2 + 16), none);
  }

  std::uint32_t indexOf(Vec3f point) {
    for (int axis = 0; axis < 3; ++axis) point[axis] += 0.0f;  // −0 becomes 0, which compares equal to it
    for (std::size_t at = hash(point);; ++at) {
      std::uint32_t& slot = slots_[at & (slots_.size() - 1)];
      if (slot == none) {
        slot = static_cast<std::uint32_t>(vertices_.size());
        vertices_.push_back(point);
        return slot;
      }
      if (vertices_[slot] == point) return slot;
    }
  }

 private:
  static constexpr std::uint32_t none = ~0u;

  static std::size_t hash(const Vec3f& p) {
    const auto word = [&](int axis) { return static_cast<std::uint64_t>(std::bit_cast<std::uint32_t>(p[axis])); };
    std::uint64_t z = (word(0) | word(1) << 32) * 0x9e3779b97f4a7c15ULL ^ word(2) * 0xc2b2ae3d27d4eb4fULL;
    z = (z ^ (z >> 29)) * 0xbf58476d1ce4e5b9ULL;
    return z ^ (z >> 32);
  }

  std::vector<Vec3f>& vertices_;
  std::vector<std::uint32_t> slots_;
};

}  // namespace

MeshPtr makeMesh(std::vector<Vec3f> vertices, std::vector<Facet> facets) {
  auto mesh = std::make_shared<TriangleMesh>();
  for (const Vec3f& v : vertices) mesh->bounds.extend(v.cast<double>());
  mesh->key = KeyBuilder()
                  .addBytes(vertices.data(), vertices.size() * sizeof(Vec3f))
                  .addBytes(facets.data(), facets.size() * sizeof(Facet))
                  .key();
  mesh->vertices = std::move(vertices);
  mesh->facets = std::move(facets);
  return mesh;
}

MeshPtr meshFromCorners(const std::vector<Vec3f>& corners) {
  std::vector<Vec3f> vertices;
  std::vector<Facet> facets;
  vertices.reserve(corners.size() / 5);
  facets.reserve(corners.size() / 3);
  VertexJoiner joiner(vertices, corners.size());
  for (std::size_t i = 0; i + 2 < corners.size(); i += 3) {
    const Facet f{joiner.indexOf(corners[i]), joiner.indexOf(corners[i + 1]), joiner.indexOf(corners[i + 2])};
    if (f[0] != f[1] && f[1] != f[2] && f[2] != f[0]) facets.push_back(f);
  }
  return makeMesh(std::move(vertices), std::move(facets));
}

MeshPtr transformed(const TriangleMesh& mesh, const Affine& transform) {
  std::vector<Vec3f> vertices;
  vertices.reserve(mesh.vertices.size());
  for (const Vec3f& v : mesh.vertices) vertices.push_back((transform * v.cast<double>()).cast<float>());
  std::vector<Facet> facets = mesh.facets;
  if (transform.linear().determinant() < 0)
    for (Facet& f : facets) std::swap(f[1], f[2]);
  return makeMesh(std::move(vertices), std::move(facets));
}

}  // namespace trellis
