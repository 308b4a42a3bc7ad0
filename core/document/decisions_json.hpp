// SPDX-License-Identifier: GPL-3.0-or-later
// A project as JSON, with meshes and marks beside it by name: what project files and the journal have in common.
#pragma once

#include "core/document/project.hpp"

#include <functional>

namespace trellis {

// 9 had no support made elsewhere; 8 had neither variants nor versions; 7 had no seen faces; 6 had no sets; 5 had no
// tints; 4 had no ids; 3 had no accepted findings; 2 had marks only; 1 had no settings of single parts and no parts
// that float.
inline constexpr int projectFormat = 10;

// Puts a mesh or marks beside the JSON and says what the JSON is to call it. What is suggested is unlike any other
// name.
struct Attaching {
  std::function<std::string(const TriangleMesh&, const std::string& suggested)> mesh;
  std::function<std::string(const Marks&, const std::string& suggested)> marks;
};
nlohmann::json decisionsJson(const Project& project, const Attaching& attach);

// What lies beside it, by name. Both throw Error where it is missing or damaged.
struct Attachments {
  std::function<MeshPtr(const std::string& name)> mesh;
  std::function<MarksPtr(const std::string& name, std::size_t facets)> marks;
};
struct ReadDecisions {
  ProjectPtr project;
  bool fromNewerVersion = false;  // what this program knows of it was read
};
// Throws Error naming the file when something in it is damaged or beyond its bounds.
ReadDecisions projectFrom(const nlohmann::json& decisions, const Attachments& attached, const std::string& name);

// Each distinct mesh of a project once, in order of first use.
struct MeshList {
  std::vector<MeshPtr> meshes;
  std::vector<std::size_t> ofPart;
};
MeshList distinctMeshes(const Project& project);

// A mesh bit for bit. what is named when it is damaged.
std::string packMesh(const TriangleMesh& mesh);
MeshPtr unpackMesh(std::string_view bytes, const std::string& what);

}  // namespace trellis
