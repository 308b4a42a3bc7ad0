// SPDX-License-Identifier: GPL-3.0-or-later
// STL, binary and ASCII: our own reader, because it is the main case and because what is in the file
// must arrive bit for bit.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <string>
#include <string_view>

namespace trellis {

// Reads the bytes of an STL file of either kind. A file that says "solid" but whose length is exactly
// that of a binary file is binary. Throws Error that begins with name when the bytes are truncated,
// carry a coordinate that is not a finite number, hold no facet, or are no STL at all.
MeshPtr readStl(std::string_view bytes, const std::string& name);

// Binary STL, little-endian: 80 bytes of header, a count, 50 bytes a facet.
std::string writeStl(const TriangleMesh& mesh);

}  // namespace trellis
