// SPDX-License-Identifier: GPL-3.0-or-later
// Objects of a 3MF model (3MF core specification 1.3) as text: what projects and exports have in common.
#pragma once

#include "core/mesh/triangle_mesh.hpp"

#include <string>

namespace trellis {

// Begins and ends a model in millimetres; objects go before endResources, items after it. With stacks of layers it
// names the slice extension, which who does not know it may pass over.
std::string beginModel(bool withStacks = false);
inline constexpr const char* endResources = "</resources>\n<build>\n";
inline constexpr const char* endModel = "</build>\n</model>\n";

// type: "model" or "support". Any name; it is escaped. stack: the id of its layers; 0: none.
struct ModelObject {
  std::size_t id = 0;
  const char* type = "model";
  std::string name;
  std::size_t stack = 0;
};
void appendObject(std::string& xml, const ModelObject& object, const TriangleMesh& mesh);
void appendItem(std::string& xml, std::size_t id, const Affine& toPlate);

// What every package has besides its model: content types, and the relation to the model; with a picture for file
// managers, to that as well (open packaging conventions, ECMA-376 part 2).
std::string contentTypes();
std::string rootRelations(bool withThumbnail);
inline constexpr const char* modelEntry = "3D/3dmodel.model";
inline constexpr const char* thumbnailEntry = "Metadata/thumbnail.png";

}  // namespace trellis
