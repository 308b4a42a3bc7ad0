// SPDX-License-Identifier: GPL-3.0-or-later
// The libraries that read meshes for us. Everything here may crash on a hostile file, and runs in a child
// process for that reason. Errors are ends of a sentence that begins with the file's name.
#pragma once

#include "core/mesh/read_mesh.hpp"

namespace trellis {

// A 3MF package by lib3mf: one mesh for every mesh object of every build item, placed, in mm.
std::vector<NamedMesh> read3mf(const std::string& path);

// OFF by CGAL, as one mesh. (Assimp 5.2.5 stumbles over comments and colours in it.)
std::vector<NamedMesh> readOff(const std::string& path);

// OBJ and PLY by Assimp: everything in the file as one mesh.
std::vector<NamedMesh> readByAssimp(const std::string& path, MeshFormat format);

// AMF, plain or zipped: one mesh for every object of every constellation, placed, in mm.
std::vector<NamedMesh> readAmf(const std::string& path);

}  // namespace trellis
