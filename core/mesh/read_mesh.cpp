// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/read_mesh.hpp"

#include "core/base/files.hpp"
#include "core/mesh/foreign.hpp"
#include "core/mesh/stl.hpp"

#include <fmt/format.h>

namespace trellis {

namespace {

constexpr double largestSize = 10'000;  // mm; polygons are computed in 64-bit nanometres

std::string lowerSuffix(const std::filesystem::path& path) {
  std::string suffix = path.extension().string();
  for (char& c : suffix) c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
  return suffix;
}

}  // namespace

bool looksZipped(std::string_view bytes) { return bytes.starts_with("PK\x03\x04") || bytes.starts_with("PK\x05\x06"); }

std::vector<NamedMesh> readMeshFile(const std::filesystem::path& path, const Progress& progress) {
  progress.report(0, "reading");
  const std::string bytes = readFile(path);
  const std::string name = path.filename().string();
  if (bytes.empty()) throw Error(name + " is empty. Export the mesh again.");
  const std::string suffix = lowerSuffix(path);
  std::vector<NamedMesh> meshes;
  if (looksZipped(bytes))
    meshes = readForeign(path, progress);
  else if (suffix == ".stl")
    meshes.push_back({path.stem().string(), readStl(bytes, name)});
  else if (suffix == ".3mf")
    throw Error(name + " is not a 3MF package, whatever its name says. Export it again as 3MF or STL.");
  else
    throw Error(name + " is not a mesh this program reads. Export it as STL or 3MF.");
  for (const NamedMesh& part : meshes) {
    const double reach = std::max(part.mesh->bounds.max().cwiseAbs().maxCoeff(), part.mesh->bounds.min().cwiseAbs().maxCoeff());
    if (reach > largestSize)
      throw Error(fmt::format("{} reaches {:.3g} m from its origin, which no printer does. Check its unit and export it again.",
                              name, reach / 1000));
  }
  return meshes;
}

}  // namespace trellis
