// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/variants.hpp"

#include "core/base/key.hpp"
#include "core/document/project.hpp"

#include <algorithm>
#include <string_view>

namespace trellis {

std::string textOf(VariantId id) { return "v" + std::to_string(id.number); }

ProjectPtr withoutShelf(const ProjectPtr& project) {
  const Shelf& shelf = project->shelf;
  if (!shelf.inHand && shelf.versions.empty()) return project;
  auto bare = std::make_shared<Project>(*project);
  bare->shelf = {};
  return bare;
}

std::vector<Variant> variantsOf(const ProjectPtr& project) {
  std::vector<Variant> all = project->shelf.variants;
  all.push_back({project->shelf.inHand, project->shelf.name, withoutShelf(project)});
  std::sort(all.begin(), all.end(), [](const Variant& a, const Variant& b) { return a.id < b.id; });
  return all;
}

std::string codeOf(const ProjectPtr& project) {
  constexpr std::string_view letters = "ABCDEFGHJKLMNPRSTUVWXYZ";
  Project bare = *project;
  bare.shelf = {};
  bare.nextId = 0;
  bare.accepted.clear();
  for (PartPtr& part : bare.parts) {  // what is printed has no ids
    Part nameless = *part;
    nameless.id = {};
    nameless.accepted.clear();
    nameless.lostMarks.clear();
    for (Zone& zone : nameless.zones) zone.id = {};
    for (Prop& prop : nameless.props) prop.id = {};
    part = std::make_shared<const Part>(std::move(nameless));
  }
  Key key = keyOf(bare);
  std::string code;
  for (int i = 0; i < 6; ++i, key /= letters.size()) code += letters[key % letters.size()];
  return code;
}

}  // namespace trellis
