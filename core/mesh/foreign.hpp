// SPDX-License-Identifier: GPL-3.0-or-later
// Mesh formats that libraries read for us, in a short-lived child process with limits on memory and
// time, so that a hostile file costs a sentence and never the session.
#pragma once

#include "core/mesh/read_mesh.hpp"

namespace trellis {

// Runs meek-trellis-reader, which stands beside the running program, on a file of any format but STL.
// Throws Error naming the file when the child refuses, dies, or takes longer than two minutes.
std::vector<NamedMesh> readForeign(const std::filesystem::path& path, MeshFormat format, const Progress& progress);

// What passes through the pipe: a magic word, then for each mesh its name, vertices and facets, all
// counts 64-bit little-endian. Both ends are built together, so there is no version.
std::string packMeshes(const std::vector<NamedMesh>& meshes);
// Throws Error when bytes are not exactly what packMeshes makes.
std::vector<NamedMesh> unpackMeshes(std::string_view bytes);

}  // namespace trellis
