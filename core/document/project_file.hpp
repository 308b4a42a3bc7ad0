// SPDX-License-Identifier: GPL-3.0-or-later
// The project as one .3mf that any 3MF reader opens as plain meshes, with our decisions as attachments.
// Documented in docs/formats/project.md.
#pragma once

#include "core/document/project.hpp"

namespace trellis {

struct OpenedProject {
  ProjectPtr project;
  bool isProject = true;          // and not meshes as the parts of a new one
  bool fromNewerVersion = false;  // what this program knows of it was read; do not save over it
};

// Whether the file is a 3MF package that carries our decisions.
bool isProjectFile(std::string_view bytes);

// Throws Error naming the file when it is damaged or is no project.
OpenedProject readProject(std::string_view bytes, const std::string& name);

// Every mesh comes back bit for bit, and every mark. thumbnail: a PNG that file managers show; none where it is empty.
std::string packProject(const Project& project, std::string_view thumbnail = {});

// A file of either kind: a project, or meshes as the parts of a new one with the settings and sets of another. A
// project keeps its own.
OpenedProject openFile(const std::filesystem::path& path, const Project& like, const Progress& progress);

}  // namespace trellis
