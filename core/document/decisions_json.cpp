// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/decisions_json.hpp"

#include "core/base/bytes.hpp"
#include "core/document/bounds.hpp"
#include "core/document/shelf_json.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>
#include <charconv>

namespace trellis {

namespace {

using Json = nlohmann::json;

Json toJson(const Vec3& v) { return {v.x(), v.y(), v.z()}; }

Vec3 vectorFrom(const Json& json) {
  return {json.at(0).get<double>(), json.at(1).get<double>(), json.at(2).get<double>()};
}

// Of a newer version, settings that this one does not know or allow are left out: what is below them holds.
void readOverrides(Overrides& overrides, const Json& values, bool lenient, const std::string& name) {
  for (const auto& [key, value] : values.items()) try {
      overrides.insert_or_assign(settingRow(key).key, settingFrom(key, value));
    } catch (const Error& error) {
      if (!lenient) throw Error(say("{} is damaged: {}", name, error.sentence()));
    }
}

// Words for enumerators, in their order.
constexpr std::array<const char*, 6> lostNames{"enforce", "block", "clean", "seen", "prop", "site"};
constexpr std::array<const char*, 3> zoneNames{"enforce", "block", "keep_clear"};
constexpr std::array<const char*, 5> shapeNames{"box", "cylinder", "ball", "slab", "mesh"};
constexpr std::array<const char*, 3> choiceNames{"proposed", "enforce", "block"};
constexpr double farthest = bounds::place;  // mm, in a mesh's coordinates too

template <typename T, std::size_t n>
T numbered(const Json& word, const std::array<const char*, n>& names) {
  const auto found = std::find(names.begin(), names.end(), word.get<std::string>());
  if (found == names.end()) throw Error(say("it says \"{}\" where that means nothing.", word.get<std::string>()));
  return static_cast<T>(found - names.begin());
}

// An id's number; of files that had none, 0.
std::uint64_t idIn(const Json& json, char kind) {
  const std::string text = json.value("id", std::string());
  if (text.empty()) return 0;
  if (text[0] != kind || text.size() > 18 || text.find_first_not_of("0123456789", 1) != std::string::npos)
    throw Error(say("an id in it is none: \"{}\".", text.substr(0, 20)));
  return text.size() == 1 ? 0 : std::stoull(text.substr(1));
}

Affine transformFrom(const Json& json) {
  Affine t = Affine::Identity();
  for (int column = 0; column < 4; ++column)
    for (int row = 0; row < 3; ++row)
      t.matrix()(row, column) = json.at(static_cast<std::size_t>(column * 3 + row)).get<double>();
  const bool fits = t.matrix().allFinite() && t.matrix().cwiseAbs().maxCoeff() < farthest &&
                    std::abs(t.linear().determinant()) > 1e-12;
  if (!fits) throw Error(say("a zone in it has no room."));
  return t;
}

Vec3 placeFrom(const Json& json) {
  const Vec3 at = vectorFrom(json);
  if (!at.allFinite() || at.cwiseAbs().maxCoeff() > farthest) throw Error(say("a decision in it lies nowhere."));
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

void readDecisions(Part& part, const Json& json, const Attachments& attached, const std::string& name, bool lenient) {
  const auto list = [&](const char* key) { return json.contains(key) ? json.at(key) : Json::array(); };
  try {
    for (const Json& saved : list("zones")) {
      Zone zone{numbered<ZoneAs>(saved.at("as"), zoneNames),
                numbered<ZoneShape>(saved.at("shape"), shapeNames),
                transformFrom(saved.at("to_mesh")),
                {},
                saved.at("lean").get<double>(),
                {}};
      if (!(zone.lean >= 0 && zone.lean <= 89)) throw Error(say("a zone in it has a lean that is none."));
      zone.id.number = idIn(saved, 'z');
      zone.name = saved.value("name", "");
      zone.hidden = saved.value("hidden", false);
      zone.locked = saved.value("locked", false);
      if (zone.shape == ZoneShape::mesh) zone.solid = attached.mesh(saved.at("solid").get<std::string>());
      readOverrides(zone.settings, saved.value("settings", Json::object()), lenient, name);
      part.zones.push_back(std::move(zone));
    }
    for (const Json& saved : list("props")) {
      part.props.push_back({placeFrom(saved.at("at")), saved.at("width").get<double>(), {}, {idIn(saved, 'q')}});
      if (!(part.props.back().width > 0 && part.props.back().width <= bounds::widestProp))
        throw Error(say("a prop in it has no width."));
      readOverrides(part.props.back().settings, saved.value("settings", Json::object()), lenient, name);
    }
    for (const Json& saved : list("sites")) {
      part.sites.push_back({placeFrom(saved.at("at")), numbered<Choice>(saved.at("choice"), choiceNames), {}});
      readOverrides(part.sites.back().settings, saved.value("settings", Json::object()), lenient, name);
    }
    if (json.contains("tints"))
      for (const auto& [number, saved] : json.at("tints").items()) {
        int tint = tintCount;
        std::from_chars(number.data(), number.data() + number.size(), tint);
        if (tint < 0 || tint >= tintCount) throw Error(say("a tint in it is none."));
        readOverrides(part.tints[tint], saved, lenient, name);
      }
    part.accepted = acceptedFrom(json);
  } catch (const Error& error) {
    throw Error(say("{} is damaged: {}", name, error.sentence()));
  }
}

Json settingsJson(const Overrides& settings) {
  Json json = Json::object();
  for (const auto& [key, value] : settings) json[key] = trellis::toJson(value);
  return json;
}

// Solids of zones go into attachments of their own, so that no other program prints them.
void writeDecisions(Json& json, const Part& part, std::size_t p, const Attaching& attach) {
  for (std::size_t z = 0; z < part.zones.size(); ++z) {
    const Zone& zone = part.zones[z];
    Json saved{{"as", zoneNames[static_cast<std::size_t>(zone.as)]},
               {"shape", shapeNames[static_cast<std::size_t>(zone.shape)]},
               {"lean", zone.lean},
               {"id", textOf(zone.id)}};
    for (int column = 0; column < 4; ++column)
      for (int row = 0; row < 3; ++row) saved["to_mesh"].push_back(zone.toMesh.matrix()(row, column));
    if (zone.solid) {
      saved["solid"] = attach.mesh(*zone.solid, fmt::format("zone-{}-{}", p, z));
    }
    if (!zone.name.empty()) saved["name"] = zone.name;
    if (zone.hidden) saved["hidden"] = true;
    if (zone.locked) saved["locked"] = true;
    if (!zone.settings.empty()) saved["settings"] = settingsJson(zone.settings);
    json["zones"].push_back(std::move(saved));
  }
  for (const Prop& prop : part.props) {
    json["props"].push_back({{"at", toJson(prop.at)}, {"width", prop.width}, {"id", textOf(prop.id)}});
    if (!prop.settings.empty()) json["props"].back()["settings"] = settingsJson(prop.settings);
  }
  for (const SiteDecision& site : part.sites) {
    json["sites"].push_back({{"at", toJson(site.at)}, {"choice", choiceNames[static_cast<std::size_t>(site.choice)]}});
    if (!site.settings.empty()) json["sites"].back()["settings"] = settingsJson(site.settings);
  }
  for (const auto& [tint, settings] : part.tints) json["tints"][std::to_string(tint)] = settingsJson(settings);
}

Part readPart(const Json& json, const Attachments& attached, const std::string& name, bool lenient) {
  Part part;
  part.name = json.at("name").get<std::string>();
  checkText(part.name, "The name of a part");
  const MeshPtr mesh = attached.mesh(json.at("mesh").get<std::string>());
  part.mesh = mesh;
  part.placement = {vectorFrom(json.at("position")), vectorFrom(json.at("turn")), vectorFrom(json.at("scale")),
                    json.value("rests", true)};
  try {
    part.id.number = idIn(json, 'p');
    checkPlacement(part.placement, part.name);
  } catch (const Error& error) {
    throw Error(say("{} is damaged: {} Use an earlier copy.", name, error.sentence()));
  }
  if (json.contains("settings")) readOverrides(part.settings, json["settings"], lenient, name);
  if (json.contains("lost_marks"))
    for (const Json& lost : json["lost_marks"])
      part.lostMarks.push_back(
          {numbered<LostKind>(lost.at("as"), lostNames), lost.at("area_mm2").get<double>(), vectorFrom(lost.at("at"))});
  for (const auto& [key, into] : {std::pair("marks", &part.marks), {"clean", &part.clean}, {"seen", &part.seen}}) {
    if (!json.contains(key)) continue;
    *into = attached.marks(json.at(key).get<std::string>(), mesh->facets.size());
  }
  if (json.contains("made_elsewhere")) part.elsewhere = attached.mesh(json.at("made_elsewhere").get<std::string>());
  readDecisions(part, json, attached, name, lenient);
  return part;
}

}  // namespace

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

Json decisionsJson(const Project& project, const Attaching& attach) {
  const MeshList list = distinctMeshes(project);
  Json decisions{{"format", projectFormat},
                 {"program", TRELLIS_VERSION},
                 {"settings", project.settings.toJson()},
                 {"next_id", project.nextId},
                 {"parts", Json::array()}};
  for (const SetKind kind : setKinds) decisions["sets"].push_back(toJson(project.sets.of(kind)));
  writeAccepted(decisions, project.accepted);
  std::vector<std::string> names;
  for (std::size_t i = 0; i < list.meshes.size(); ++i)
    names.push_back(attach.mesh(*list.meshes[i], fmt::format("mesh-{}", i)));
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Part& part = *project.parts[p];
    Json json{{"name", part.name},
              {"id", textOf(part.id)},
              {"object", list.ofPart[p] + 1},
              {"mesh", names[list.ofPart[p]]},
              {"mesh_key", fmt::format("{:016x}", part.mesh->key)},
              {"position", toJson(part.placement.position)},
              {"turn", toJson(part.placement.turn)},
              {"scale", toJson(part.placement.scale)},
              {"rests", part.placement.rests}};
    for (const auto& [key, value] : part.settings) json["settings"][key] = trellis::toJson(value);
    for (const LostMarks& lost : part.lostMarks)
      json["lost_marks"].push_back(
          {{"as", lostNames[static_cast<std::size_t>(lost.kind)]}, {"area_mm2", lost.area}, {"at", toJson(lost.at)}});
    for (const auto& [key, marks] :
         {std::pair("marks", part.marks.get()), {"clean", part.clean.get()}, {"seen", part.seen.get()}})
      if (!marks->empty()) json[key] = attach.marks(*marks, fmt::format("{}-{}", key, p));
    if (part.elsewhere) json["made_elsewhere"] = attach.mesh(*part.elsewhere, fmt::format("elsewhere-{}", p));
    writeDecisions(json, part, p, attach);
    writeAccepted(json, part.accepted);
    decisions["parts"].push_back(std::move(json));
  }
  if (project.shelf.inHand || !project.shelf.versions.empty()) decisions["shelf"] = shelfJson(project.shelf, attach);
  return decisions;
}

ReadDecisions projectFrom(const Json& decisions, const Attachments& attached, const std::string& name) {
  try {
    ReadDecisions read;
    read.fromNewerVersion = decisions.at("format").get<int>() > projectFormat;
    Project project;
    Overrides settings;
    readOverrides(settings, decisions.at("settings"), read.fromNewerVersion, name);
    project.settings = Settings().with(settings);
    for (const Json& json : decisions.value("sets", Json::array())) {
      const KeptSet set = setFromJson(json, name);
      project.sets.of(set.kind) = set;
    }
    project.accepted = acceptedFrom(decisions);
    project.nextId = decisions.value("next_id", std::uint64_t{1});
    if (decisions.at("parts").size() > bounds::parts)
      throw Error(
          fmt::format("{} has {} parts; a project can have {}.", name, decisions.at("parts").size(), bounds::parts));
    for (const Json& part : decisions.at("parts"))
      project.parts.push_back(std::make_shared<const Part>(readPart(part, attached, name, read.fromNewerVersion)));
    if (decisions.contains("shelf")) project.shelf = shelfFrom(decisions["shelf"], attached, name);
    read.project = std::make_shared<const Project>(withIds(std::move(project)));
    checkBounds(*read.project);
    return read;
  } catch (const Json::exception&) {
    throw Error(say("{} is damaged: its list of decisions cannot be understood. Use an earlier copy.", name));
  }
}

}  // namespace trellis
