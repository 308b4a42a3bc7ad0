// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/project_file.hpp"

#include "core/base/archive.hpp"
#include "core/base/bytes.hpp"
#include "core/base/files.hpp"
#include "core/document/marks_file.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <iterator>
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

// Each distinct mesh once, in order of first use.
struct MeshList {
  std::vector<MeshPtr> meshes;
  std::vector<std::size_t> ofPart;
};

MeshList distinctMeshes(const Project& project) {
  MeshList list;
  std::map<std::uint64_t, std::size_t> numbers;
  for (const PartPtr& part : project.parts) {
    const auto [entry, fresh] = numbers.try_emplace(part->mesh->key, list.meshes.size());
    if (fresh) list.meshes.push_back(part->mesh);
    list.ofPart.push_back(entry->second);
  }
  return list;
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

Json toJson(const Vec3& v) { return {v.x(), v.y(), v.z()}; }

Vec3 vectorFrom(const Json& json) {
  return {json.at(0).get<double>(), json.at(1).get<double>(), json.at(2).get<double>()};
}

std::string packMesh(const TriangleMesh& mesh) {
  ByteWriter out;
  out.putAll(mesh.vertices);
  out.putAll(mesh.facets);
  return out.take();
}

MeshPtr unpackMesh(std::string_view bytes, const std::string& what) {
  ByteReader in(bytes, what);
  auto vertices = in.getAll<Vec3f>();
  auto facets = in.getAll<Facet>();
  if (!in.atEnd()) in.fail();
  for (const Facet& f : facets)
    for (const std::uint32_t index : f)
      if (index >= vertices.size()) in.fail();
  for (const Vec3f& v : vertices)
    if (!v.allFinite()) in.fail();
  return makeMesh(std::move(vertices), std::move(facets));
}

// Of a newer version, settings that this one does not know or allow are left out: what is below them holds.
void readOverrides(Overrides& overrides, const Json& values, bool lenient, const std::string& name) {
  for (const auto& [key, value] : values.items()) try {
      overrides.insert_or_assign(key, settingFrom(key, value));
    } catch (const Error& error) {
      if (!lenient) throw Error(name + " is damaged: " + error.what());
    }
}

// Words for enumerators, in their order.
constexpr std::array<const char*, 5> lostNames{"enforce", "block", "clean", "prop", "site"};
constexpr std::array<const char*, 3> zoneNames{"enforce", "block", "keep_clear"};
constexpr std::array<const char*, 5> shapeNames{"box", "cylinder", "ball", "slab", "mesh"};
constexpr std::array<const char*, 3> choiceNames{"proposed", "enforce", "block"};
constexpr double farthest = 1e5;  // mm; coordinates beyond are damage

template <typename T, std::size_t n>
T numbered(const Json& word, const std::array<const char*, n>& names) {
  const auto found = std::find(names.begin(), names.end(), word.get<std::string>());
  if (found == names.end()) throw Error("it says \"" + word.get<std::string>() + "\" where that means nothing.");
  return static_cast<T>(found - names.begin());
}

MeshPtr meshIn(const std::string& entry, const ArchiveReader& archive, std::map<std::string, MeshPtr>& meshes,
               const std::string& name) {
  MeshPtr& mesh = meshes[entry];
  if (!mesh) mesh = unpackMesh(archive.read(entry), name + " (" + entry + ")");
  return mesh;
}

Affine transformFrom(const Json& json) {
  Affine t = Affine::Identity();
  for (int column = 0; column < 4; ++column)
    for (int row = 0; row < 3; ++row)
      t.matrix()(row, column) = json.at(static_cast<std::size_t>(column * 3 + row)).get<double>();
  const bool fits = t.matrix().allFinite() && t.matrix().cwiseAbs().maxCoeff() < farthest &&
                    std::abs(t.linear().determinant()) > 1e-12;
  if (!fits) throw Error("a zone in it has no room.");
  return t;
}

Vec3 placeFrom(const Json& json) {
  const Vec3 at = vectorFrom(json);
  if (!at.allFinite() || at.cwiseAbs().maxCoeff() > farthest) throw Error("a decision in it lies nowhere.");
  return at;
}

std::vector<Accepted> acceptedFrom(const Json& json) {
  std::vector<Accepted> all;
  if (json.contains("accepted"))
    for (const Json& saved : json.at("accepted"))
      all.push_back(
          {saved.at("code").get<std::string>(), placeFrom(saved.at("at")), saved.at("note").get<std::string>()});
  return all;
}

void writeAccepted(Json& json, const std::vector<Accepted>& all) {
  for (const Accepted& one : all)
    json["accepted"].push_back({{"code", one.code}, {"at", toJson(one.at)}, {"note", one.note}});
}

void readDecisions(Part& part, const Json& json, const ArchiveReader& archive, std::map<std::string, MeshPtr>& meshes,
                   const std::string& name, bool lenient) {
  const auto list = [&](const char* key) { return json.contains(key) ? json.at(key) : Json::array(); };
  try {
    for (const Json& saved : list("zones")) {
      Zone zone{numbered<ZoneAs>(saved.at("as"), zoneNames),
                numbered<ZoneShape>(saved.at("shape"), shapeNames),
                transformFrom(saved.at("to_mesh")),
                {},
                saved.at("lean").get<double>(),
                {}};
      if (zone.shape == ZoneShape::mesh)
        zone.solid = meshIn(saved.at("solid").get<std::string>(), archive, meshes, name);
      readOverrides(zone.settings, saved.value("settings", Json::object()), lenient, name);
      part.zones.push_back(std::move(zone));
    }
    for (const Json& saved : list("props")) {
      part.props.push_back({placeFrom(saved.at("at")), saved.at("width").get<double>(), {}});
      if (!(part.props.back().width > 0 && part.props.back().width < 1000)) throw Error("a prop in it has no width.");
      readOverrides(part.props.back().settings, saved.value("settings", Json::object()), lenient, name);
    }
    for (const Json& saved : list("sites")) {
      part.sites.push_back({placeFrom(saved.at("at")), numbered<Choice>(saved.at("choice"), choiceNames), {}});
      readOverrides(part.sites.back().settings, saved.value("settings", Json::object()), lenient, name);
    }
    part.accepted = acceptedFrom(json);
  } catch (const Error& error) {
    throw Error(name + " is damaged: " + error.what());
  }
}

Json settingsJson(const Overrides& settings) {
  Json json = Json::object();
  for (const auto& [key, value] : settings) json[key] = trellis::toJson(value);
  return json;
}

// Solids of zones go into attachments of their own, so that no other program prints them.
void writeDecisions(Json& json, const Part& part, std::size_t p,
                    std::vector<std::pair<std::string, std::string>>& attachments) {
  for (std::size_t z = 0; z < part.zones.size(); ++z) {
    const Zone& zone = part.zones[z];
    Json saved{{"as", zoneNames[static_cast<std::size_t>(zone.as)]},
               {"shape", shapeNames[static_cast<std::size_t>(zone.shape)]},
               {"lean", zone.lean}};
    for (int column = 0; column < 4; ++column)
      for (int row = 0; row < 3; ++row) saved["to_mesh"].push_back(zone.toMesh.matrix()(row, column));
    if (zone.solid) {
      attachments.emplace_back(fmt::format("Trellis/zone-{}-{}.bin", p, z), packMesh(*zone.solid));
      saved["solid"] = attachments.back().first;
    }
    if (!zone.settings.empty()) saved["settings"] = settingsJson(zone.settings);
    json["zones"].push_back(std::move(saved));
  }
  for (const Prop& prop : part.props) {
    json["props"].push_back({{"at", toJson(prop.at)}, {"width", prop.width}});
    if (!prop.settings.empty()) json["props"].back()["settings"] = settingsJson(prop.settings);
  }
  for (const SiteDecision& site : part.sites) {
    json["sites"].push_back({{"at", toJson(site.at)}, {"choice", choiceNames[static_cast<std::size_t>(site.choice)]}});
    if (!site.settings.empty()) json["sites"].back()["settings"] = settingsJson(site.settings);
  }
}

Part readPart(const Json& json, const ArchiveReader& archive, std::map<std::string, MeshPtr>& meshes,
              const std::string& name, bool lenient) {
  Part part;
  part.name = json.at("name").get<std::string>();
  const MeshPtr mesh = meshIn(json.at("mesh").get<std::string>(), archive, meshes, name);
  part.mesh = mesh;
  part.placement = {vectorFrom(json.at("position")), vectorFrom(json.at("turn")), vectorFrom(json.at("scale")),
                    json.value("rests", true)};
  if (!part.placement.position.allFinite() || !part.placement.turn.allFinite() ||
      (part.placement.scale.array() == 0).any())
    throw Error(name + " is damaged: it places " + part.name + " nowhere. Use an earlier copy.");
  if (json.contains("settings")) readOverrides(part.settings, json["settings"], lenient, name);
  if (json.contains("lost_marks"))
    for (const Json& lost : json["lost_marks"])
      part.lostMarks.push_back(
          {numbered<LostKind>(lost.at("as"), lostNames), lost.at("area_mm2").get<double>(), vectorFrom(lost.at("at"))});
  for (const auto& [key, into] : {std::pair("marks", &part.marks), {"clean", &part.clean}}) {
    if (!json.contains(key)) continue;
    const auto entry = json.at(key).get<std::string>();
    *into = unpackMarks(archive.read(entry), mesh->facets.size(), name + " (" + entry + ")");
  }
  readDecisions(part, json, archive, meshes, name, lenient);
  return part;
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
  try {
    const Json decisions = Json::parse(archive.read(decisionsEntry));
    OpenedProject opened;
    opened.fromNewerVersion = decisions.at("format").get<int>() > projectFormat;
    auto project = std::make_shared<Project>();
    Overrides settings;
    readOverrides(settings, decisions.at("settings"), opened.fromNewerVersion, name);
    project->settings = Settings().with(settings);
    project->accepted = acceptedFrom(decisions);
    std::map<std::string, MeshPtr> meshes;
    for (const Json& part : decisions.at("parts"))
      project->parts.push_back(
          std::make_shared<const Part>(readPart(part, archive, meshes, name, opened.fromNewerVersion)));
    opened.project = std::move(project);
    return opened;
  } catch (const Json::exception&) {
    throw Error(name + " is damaged: its list of decisions cannot be understood. Use an earlier copy.");
  }
}

std::string packProject(const Project& project) {
  const MeshList list = distinctMeshes(project);
  Json decisions{{"format", projectFormat},
                 {"program", TRELLIS_VERSION},
                 {"settings", project.settings.toJson()},
                 {"parts", Json::array()}};
  writeAccepted(decisions, project.accepted);
  std::vector<std::pair<std::string, std::string>> attachments;
  for (std::size_t i = 0; i < list.meshes.size(); ++i)
    attachments.emplace_back(fmt::format("Trellis/mesh-{}.bin", i), packMesh(*list.meshes[i]));
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Part& part = *project.parts[p];
    Json json{{"name", part.name},
              {"object", list.ofPart[p] + 1},
              {"mesh", attachments[list.ofPart[p]].first},
              {"mesh_key", fmt::format("{:016x}", part.mesh->key)},
              {"position", toJson(part.placement.position)},
              {"turn", toJson(part.placement.turn)},
              {"scale", toJson(part.placement.scale)},
              {"rests", part.placement.rests}};
    for (const auto& [key, value] : part.settings) json["settings"][key] = toJson(value);
    for (const LostMarks& lost : part.lostMarks)
      json["lost_marks"].push_back(
          {{"as", lostNames[static_cast<std::size_t>(lost.kind)]}, {"area_mm2", lost.area}, {"at", toJson(lost.at)}});
    for (const auto& [key, marks] : {std::pair("marks", part.marks.get()), {"clean", part.clean.get()}}) {
      if (marks->empty()) continue;
      attachments.emplace_back(fmt::format("Trellis/{}-{}.bin", key, p), packMarks(*marks));
      json[key] = attachments.back().first;
    }
    writeDecisions(json, part, p, attachments);
    writeAccepted(json, part.accepted);
    decisions["parts"].push_back(std::move(json));
  }
  attachments.emplace_back(decisionsEntry, decisions.dump(1, ' ', false, Json::error_handler_t::replace));
  std::vector<std::string> names;
  for (const auto& [entry, bytes] : attachments) names.push_back(entry);
  std::vector<std::pair<std::string, std::string>> entries{{"[Content_Types].xml", contentTypes},
                                                           {"_rels/.rels", rootRelations},
                                                           {"3D/3dmodel.model", modelXml(project, list)},
                                                           {"3D/_rels/3dmodel.model.rels", attachmentRelations(names)}};
  entries.insert(entries.end(), attachments.begin(), attachments.end());
  return writeArchive(entries);
}

OpenedProject openFile(const std::filesystem::path& path, const Settings& settings, const Progress& progress) {
  const std::string bytes = readFile(path);
  if (isProjectFile(bytes)) return readProject(bytes, path.filename().string());
  auto project = std::make_shared<Project>();
  project->settings = settings;
  project->parts = partsFrom(readMeshFile(path, progress), settings);
  return {std::move(project), false, false};
}

}  // namespace trellis
