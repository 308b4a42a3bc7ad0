// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/project_file.hpp"

#include "core/base/archive.hpp"
#include "core/base/files.hpp"
#include "core/document/bounds.hpp"
#include "core/document/decisions_json.hpp"
#include "core/document/marks_file.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <iterator>
#include <map>
#include <set>

namespace trellis {

namespace {

using Json = nlohmann::json;
constexpr const char* decisionsEntry = "Trellis/decisions.json";

constexpr const char* contentTypes =
    R"(<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">
<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>
<Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/>
<Default Extension="json" ContentType="application/json"/>
<Default Extension="bin" ContentType="application/octet-stream"/>
</Types>
)";
constexpr const char* rootRelations =
    R"(<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">
<Relationship Id="model" Target="/3D/3dmodel.model" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/>
</Relationships>
)";

std::string escaped(const std::string& text) {
  std::string out;
  for (const char c : text) switch (c) {
      case '&':
        out += "&amp;";
        break;
      case '<':
        out += "&lt;";
        break;
      case '>':
        out += "&gt;";
        break;
      case '"':
        out += "&quot;";
        break;
      default:
        out += static_cast<unsigned char>(c) < 32 ? ' ' : c;
    }
  return out;
}

std::string modelXml(const Project& project, const MeshList& list) {
  std::string xml =
      "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<model unit=\"millimeter\" xml:lang=\"en-US\" "
      "xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\">\n"
      "<metadata name=\"Application\">Meek Trellis " TRELLIS_VERSION "</metadata>\n<resources>\n";
  const auto out = std::back_inserter(xml);
  for (std::size_t i = 0; i < list.meshes.size(); ++i) {
    const auto first =
        static_cast<std::size_t>(std::find(list.ofPart.begin(), list.ofPart.end(), i) - list.ofPart.begin());
    fmt::format_to(out, "<object id=\"{}\" type=\"model\" name=\"{}\"><mesh><vertices>\n", i + 1,
                   escaped(project.parts[first]->name));
    for (const Vec3f& v : list.meshes[i]->vertices)
      fmt::format_to(out, "<vertex x=\"{:.9g}\" y=\"{:.9g}\" z=\"{:.9g}\"/>\n", v.x(), v.y(), v.z());
    xml += "</vertices><triangles>\n";
    for (const Facet& f : list.meshes[i]->facets)
      fmt::format_to(out, "<triangle v1=\"{}\" v2=\"{}\" v3=\"{}\"/>\n", f[0], f[1], f[2]);
    xml += "</triangles></mesh></object>\n";
  }
  xml += "</resources>\n<build>\n";
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Affine t = transformOf(project.parts[p]->placement, *project.parts[p]->mesh);
    fmt::format_to(out, "<item objectid=\"{}\" transform=\"", list.ofPart[p] + 1);
    for (int column = 0; column < 4; ++column)
      for (int row = 0; row < 3; ++row)
        fmt::format_to(out, "{}{:.9g}", column + row ? " " : "", t.matrix()(row, column));
    xml += "\"/>\n";
  }
  return xml + "</build>\n</model>\n";
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
  if (!archive.has(decisionsEntry)) throw Error(name + " is not a Meek Trellis project. Open it as a mesh.");
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

std::string packProject(const Project& project) {
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
  std::vector<std::pair<std::string, std::string>> entries{
      {"[Content_Types].xml", contentTypes},
      {"_rels/.rels", rootRelations},
      {"3D/3dmodel.model", modelXml(project, distinctMeshes(project))},
      {"3D/_rels/3dmodel.model.rels", attachmentRelations(names)}};
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
