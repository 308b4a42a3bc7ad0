// SPDX-License-Identifier: GPL-3.0-or-later
#include "reader/readers.hpp"

#include "core/base/error.hpp"
#include "core/base/files.hpp"

#include <assimp/postprocess.h>
#include <assimp/scene.h>
#include <assimp/Importer.hpp>

namespace trellis {

namespace {

void addFacets(const aiMesh& mesh, std::vector<Vec3f>& corners) {
  for (unsigned f = 0; f < mesh.mNumFaces; ++f) {
    const aiFace& face = mesh.mFaces[f];
    if (face.mNumIndices != 3) continue;  // points and lines
    for (unsigned k = 0; k < 3; ++k) {
      if (face.mIndices[k] >= mesh.mNumVertices) throw Error("names a vertex that it does not have. Export it again.");
      const aiVector3D& v = mesh.mVertices[face.mIndices[k]];
      corners.emplace_back(v.x, v.y, v.z);
    }
  }
}

}  // namespace

std::vector<NamedMesh> readByAssimp(const std::string& path, MeshFormat format) {
  const std::string bytes = readFile(path);
  if (bytes.starts_with("\xFE\xFF") || bytes.starts_with("\xFF\xFE"))
    throw Error("is written in UTF-16. Save it as UTF-8, or export it again.");
  Assimp::Importer importer;
  const aiScene* scene = importer.ReadFileFromMemory(bytes.data(), bytes.size(), aiProcess_Triangulate, nameOf(format));
  if (!scene)
    throw Error(std::string("is not a mesh this program can read as ") + nameOf(format) +
                ". Export it again, or as STL.");
  std::vector<Vec3f> corners;
  for (unsigned i = 0; i < scene->mNumMeshes; ++i) addFacets(*scene->mMeshes[i], corners);
  MeshPtr mesh = meshFromCorners(corners);
  if (mesh->facets.empty()) throw Error("holds no facet, only points or lines. Export it as a mesh of facets.");
  return {{"", std::move(mesh)}};
}

}  // namespace trellis
