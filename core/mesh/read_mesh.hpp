// SPDX-License-Identifier: GPL-3.0-or-later
// Mesh files of every kind we read, told apart by what is in them and not by their names.
#pragma once

#include "core/base/progress.hpp"
#include "core/mesh/triangle_mesh.hpp"

#include <filesystem>
#include <string>
#include <vector>

namespace trellis {

enum class MeshFormat { none, stl, obj, ply, off, threeMf, amf };

// "stl", "obj", "ply", "off", "3mf", "amf".
const char* nameOf(MeshFormat format);
MeshFormat formatNamed(std::string_view name);  // none for any other name

// By what the bytes are, and by the name's suffix where bytes do not tell (OBJ, and zip archives).
MeshFormat formatOf(const std::string& name, std::string_view bytes);

struct NamedMesh {
  std::string name;      // the object's own name where the file has one, else the file's
  MeshPtr mesh;          // in mm, where the file's build items put it
  bool support = false;  // made by another program to carry the others, and no part
};

// Reads STL here and the others in a child process, see foreign.hpp. Formats without a unit are taken as
// millimetres. Throws Error naming the file when it is missing, unreadable, no mesh, or reaches more than
// 10 m from its origin.
std::vector<NamedMesh> readMeshFile(const std::filesystem::path& path, const Progress& progress);

// The same where one mesh is wanted; throws Error when the file holds several.
MeshPtr readOneMesh(const std::filesystem::path& path, const Progress& progress);

// Whether bytes begin like a zip archive, and so may be a 3MF.
bool looksZipped(std::string_view bytes);

}  // namespace trellis
