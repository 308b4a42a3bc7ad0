// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/project_file.hpp"

#include "core/base/archive.hpp"
#include "core/base/files.hpp"
#include "core/document/bounds.hpp"
#include "core/document/decisions_json.hpp"
#include "core/document/marks_file.hpp"
#include "core/mesh/model_xml.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <iterator>
#include <map>
#include <set>

namespace trellis {

namespace {

using Json = nlohmann::json;
constexpr const char* decisionsEntry = "Trellis/decisions.json";

std::string modelXml(const Project& project, const MeshList& list) {
  std::string xml = beginModel();
  for (std::size_t i = 0; i < list.meshes.size(); ++i) {
    const auto first =
        static_cast<std::size_t>(std::find(list.ofPart.begin(), list.ofPart.end(), i) - list.ofPart.begin());
    appendObject(xml, {i + 1, "model", project.parts[first]->name}, *list.meshes[i]);
  }
  std::string items;
  std::size_t next = list.meshes.size();
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Part& part = *project.parts[p];
    const Affine toPlate = transformOf(part.placement, *part.mesh);
    appendItem(items, list.ofPart[p] + 1, toPlate);
    if (!part.elsewhere) continue;
    appendObject(xml, {++next, "support", part.name + ", made elsewhere"}, *part.elsewhere);
    appendItem(items, next, toPlate);
  }
  return xml + endResources + items + endModel;
}

std::string attachmentRelations(const std::vector<std::string>& entries) {
  std::string xml =
      "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<Relationships "
      "xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">\n";
  for (std::size_t i = 0; i < entries.size(); ++i)
    xml += fmt::format("<Relationship Id=\"trellis{}\" Target=\"/{}\" Type=\"urn:meek-trellis:decisions:1\"/>\n", i,
                       entries[i]);
  return xml + "</Relationships>\n";
}

}  // namespace

bool isProjectFile(std::string_view bytes) {
  if (!looksZipped(bytes)) return false;
  try {
    return ArchiveReader(bytes, "").has(decisionsEntry);
  } catch (const Error&) {
    return false;
  }
}

OpenedProject readProject(std::string_view bytes, const std::string& name) {
  const ArchiveReader archive(bytes, name);
  if (!archive.has(decisionsEntry)) throw Error(say("{} is not a Meek Trellis project. Open it as a mesh.", name));
  std::map<std::string, MeshPtr> meshes;
  const Attachments attached{[&](const std::string& entry) {
                               MeshPtr& mesh = meshes[entry];
                               if (!mesh) mesh = unpackMesh(archive.read(entry), name + " (" + entry + ")");
                               return mesh;
                             },
                             [&](const std::string& entry, std::size_t facets) {
                               return unpackMarks(archive.read(entry), facets, name + " (" + entry + ")");
                             }};
  const Json decisions = Json::parse(archive.read(decisionsEntry), nullptr, false);
  ReadDecisions read = projectFrom(decisions, attached, name);
  return {std::move(read.project), true, read.fromNewerVersion};
}

std::string packProject(const Project& project, std::string_view thumbnail) {
  std::vector<std::pair<std::string, std::string>> attachments;
  // What variants and versions share is attached once.
  std::map<Key, std::string> known;
  std::set<std::string> taken;
  const auto put = [&](Key key, const std::string& suggested, const auto& pack) {
    const auto [entry, fresh] = known.try_emplace(key);
    if (!fresh) return entry->second;
    std::string name = suggested;
    for (int number = 2; !taken.insert(name).second; ++number) name = fmt::format("{}-{}", suggested, number);
    attachments.emplace_back("Trellis/" + name + ".bin", pack());
    return entry->second = attachments.back().first;
  };
  const Attaching attach{[&](const TriangleMesh& mesh, const std::string& suggested) {
                           return put(mesh.key, suggested, [&] { return packMesh(mesh); });
                         },
                         [&](const Marks& marks, const std::string& suggested) {
                           return put(marks.key(), suggested, [&] { return packMarks(marks); });
                         }};
  const Json decisions = decisionsJson(project, attach);
  attachments.emplace_back(decisionsEntry, decisions.dump(1, ' ', false, Json::error_handler_t::replace));
  std::vector<std::string> names;
  for (const auto& [entry, bytes] : attachments) names.push_back(entry);
  std::vector<std::pair<std::string, std::string>> entries{{"[Content_Types].xml", contentTypes()},
                                                           {"_rels/.rels", rootRelations(!thumbnail.empty())},
                                                           {modelEntry, modelXml(project, distinctMeshes(project))},
                                                           {"3D/_rels/3dmodel.model.rels", attachmentRelations(names)}};
  if (!thumbnail.empty()) entries.emplace_back(thumbnailEntry, thumbnail);
  entries.insert(entries.end(), attachments.begin(), attachments.end());
  return writeArchive(entries);
}

OpenedProject openFile(const std::filesystem::path& path, const Project& like, const Progress& progress) {
  const std::string bytes = readFile(path);
  if (isProjectFile(bytes)) return readProject(bytes, path.filename().string());
  auto project = std::make_shared<Project>();
  project->settings = like.settings;
  project->sets = like.sets;
  project->parts = partsFrom(readMeshFile(path, progress), like.settings);
  checkBounds(*project);
  return {std::make_shared<const Project>(withIds(std::move(*project))), false, false};
}

}  // namespace trellis
