// SPDX-License-Identifier: GPL-3.0-or-later
#include "reader/readers.hpp"

#include "core/base/archive.hpp"
#include "core/base/error.hpp"
#include "core/base/files.hpp"

#include <assimp/Importer.hpp>
#include <assimp/postprocess.h>
#include <assimp/scene.h>

#include <functional>
#include <map>

namespace trellis {

namespace {

// What a file holds, in the order it is met; corners holds three points a facet.
struct Gathered {
  std::string name;
  std::vector<Vec3f> corners;
};

Affine toAffine(const aiMatrix4x4& m) {
  Affine result = Affine::Identity();
  for (unsigned row = 0; row < 3; ++row)
    for (unsigned column = 0; column < 4; ++column) result.matrix()(row, column) = static_cast<double>(m[row][column]);
  return result;
}

void addMesh(const aiMesh& mesh, const Affine& placed, Gathered& out) {
  const bool still = placed.isApprox(Affine::Identity(), 0);
  const bool mirrored = placed.linear().determinant() < 0;
  for (unsigned f = 0; f < mesh.mNumFaces; ++f) {
    const aiFace& face = mesh.mFaces[f];
    if (face.mNumIndices != 3) continue;  // points and lines
    for (const unsigned k : {0u, mirrored ? 2u : 1u, mirrored ? 1u : 2u}) {
      if (face.mIndices[k] >= mesh.mNumVertices) throw Error("names a vertex that it does not have. Export it again.");
      const aiVector3D& v = mesh.mVertices[face.mIndices[k]];
      const Vec3f point(v.x, v.y, v.z);
      out.corners.push_back(still ? point : (placed * point.cast<double>()).cast<float>());
    }
  }
}

// AMF names its unit on the root element, and Assimp passes it by (ISO/ASTM 52915, section 8).
double millimetresPerUnit(const std::string& amf) {
  static const std::map<std::string, double> units{{"millimeter", 1}, {"inch", 25.4}, {"feet", 304.8}, {"meter", 1000}, {"micron", 0.001}};
  const std::size_t root = amf.find("<amf"), end = amf.find('>', root), unit = amf.find("unit", root);
  if (root == std::string::npos || unit >= end) return 1;
  const std::size_t open = amf.find_first_of("\"'", unit);
  const std::size_t close = open == std::string::npos ? open : amf.find(amf[open], open + 1);
  if (close == std::string::npos || close > end) return 1;
  const auto found = units.find(amf.substr(open + 1, close - open - 1));
  return found == units.end() ? 1 : found->second;
}

std::string contentOf(const std::string& path, MeshFormat format) {
  std::string bytes = readFile(path);
  if (!looksZipped(bytes)) return bytes;
  const ArchiveReader archive(bytes, "");
  for (const std::string& entry : archive.names())
    if (formatOf(entry, "") == format) return archive.read(entry);
  throw Error("is a zip archive without a mesh in it. Unpack it and open what you want.");
}

}  // namespace

std::vector<NamedMesh> readByAssimp(const std::string& path, MeshFormat format) {
  const std::string bytes = contentOf(path, format);
  Assimp::Importer importer;
  const aiScene* scene = importer.ReadFileFromMemory(bytes.data(), bytes.size(), aiProcess_Triangulate, nameOf(format));
  if (!scene || !scene->mRootNode) throw Error(std::string("is not a mesh this program can read as ") + nameOf(format) + ". Export it again, or as STL.");
  const bool byObject = format == MeshFormat::amf;
  const Affine toMillimetres(Eigen::Scaling(byObject ? millimetresPerUnit(bytes) : 1.0));
  std::vector<Gathered> objects;
  const std::function<void(const aiNode&, const Affine&, int)> walk = [&](const aiNode& node, const Affine& above, int depth) {
    if (depth > 64) throw Error("nests its objects too deeply. Export it again, or as STL.");
    const Affine placed = above * toAffine(node.mTransformation);
    if (objects.empty() || (byObject && node.mNumMeshes > 0 && !objects.back().corners.empty())) objects.push_back({});
    if (byObject && objects.back().name.empty()) objects.back().name = node.mName.C_Str();
    for (unsigned i = 0; i < node.mNumMeshes; ++i) addMesh(*scene->mMeshes[node.mMeshes[i]], placed, objects.back());
    for (unsigned i = 0; i < node.mNumChildren; ++i) walk(*node.mChildren[i], placed, depth + 1);
  };
  walk(*scene->mRootNode, toMillimetres, 0);
  std::vector<NamedMesh> meshes;
  for (const Gathered& object : objects)
    if (MeshPtr mesh = meshFromCorners(object.corners); !mesh->facets.empty()) meshes.push_back({object.name, std::move(mesh)});
  if (meshes.empty()) throw Error("holds no facet, only points or lines. Export it as a mesh of facets.");
  return meshes;
}

}  // namespace trellis
