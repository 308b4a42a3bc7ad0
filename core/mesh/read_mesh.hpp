// SPDX-License-Identifier: GPL-3.0-or-later
// Mesh files of every kind we read, told apart by what is in them and not by their names.
#pragma once

#include "core/base/progress.hpp"
#include "core/mesh/triangle_mesh.hpp"

#include <filesystem>
#include <string>
#include <vector>

namespace trellis {

struct NamedMesh {
  std::string name;  // the object's own name where the file has one, else the file's
  MeshPtr mesh;      // in mm, where the file's build items put it
};

// Reads STL (here) and 3MF (in a child process, see foreign.hpp). Throws Error naming the file when
// it is missing, unreadable, no mesh, or larger than 10 m across.
std::vector<NamedMesh> readMeshFile(const std::filesystem::path& path, const Progress& progress);

// Whether bytes begin like a zip archive, and so may be a 3MF.
bool looksZipped(std::string_view bytes);

}  // namespace trellis
