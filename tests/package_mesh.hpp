// SPDX-License-Identifier: GPL-3.0-or-later
// Meshes to try things on: the demo's own parts, and open ones that Debian's libcgal-demo carries.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <string>

namespace trellis::test {

// A part of the demo by name, such as "frond".
MeshPtr demoPart(const std::string& name);

// By name, such as "bunny00"; upright, 60 mm in its largest extent, its box beginning at the origin. Throws
// std::runtime_error when the package is not installed.
MeshPtr packageMesh(const std::string& name, double size = 60);

// Every facet split into four, at the middles of its edges.
MeshPtr refined(const TriangleMesh& mesh);

}  // namespace trellis::test
