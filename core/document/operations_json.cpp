// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/operations.hpp"

#include "core/document/json_fields.hpp"
#include "core/settings/presets.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace trellis {

namespace {

using Json = nlohmann::json;

std::size_t partIn(const Json& json) { return json.contains("part") ? countIn(json["part"], "part") : 0; }

Mark markFrom(const std::string& word) {
  return oneOf<Mark>(word, "as", {{"enforce", Mark::enforce}, {"block", Mark::block}, {"none", Mark::none}});
}

int tintIn(const Json& json) {
  const std::size_t tint = countIn(member(json, "tint"), "tint");
  if (tint >= static_cast<std::size_t>(tintCount))
    throw Error(fmt::format("\"tint\" cannot be {}. It can be 0 to {}.", tint, tintCount - 1));
  return static_cast<int>(tint);
}

Mark markIn(const Json& json) {
  const Mark mark = markFrom(textIn(json, "as"));
  if (!json.contains("tint")) return mark;
  if (mark != Mark::enforce) throw Error("Only what enforces has a \"tint\": nothing else causes support.");
  return enforceAs(tintIn(json));
}

std::optional<Overrides> overridesIn(const Json& json) {
  if (!json.contains("set")) return std::nullopt;
  if (!json["set"].is_object()) throw Error("\"set\" has to be an object of setting keys and values.");
  Overrides overrides;
  for (const auto& [key, value] : json["set"].items())
    overrides.insert_or_assign(settingRow(key).key, settingFrom(key, value));
  return overrides;
}

Plane planeFrom(const Json& json) {
  const Vec3 normal = vectorIn(member(json, "normal"), "normal");
  if (!(normal.norm() > 1e-9)) throw Error("\"normal\" has to point somewhere.");
  return {vectorIn(member(json, "at"), "at"), normal.normalized()};
}

// Paths are taken from where the program runs; the plate's size from the project the list is performed on.
Operation addFrom(const Json& json, const Settings& settings) {
  return AddParts{partsFrom(readMeshFile(textIn(json, "file"), Progress()), settings)};
}

Operation replaceFrom(const Json& json) {
  return ReplaceMesh{partIn(json), readOneMesh(textIn(json, "file"), Progress())};
}

int axisFrom(const Json& json) {
  const std::string axis = textIn(json, "axis");
  if (axis != "x" && axis != "y" && axis != "z")
    throw Error(fmt::format("\"axis\" cannot be {}. It can be x, y or z.", axis));
  return axis[0] - 'x';
}

MendBy wayFrom(const Json& json) { return yesIn(json, "wrap") ? MendBy::wrap : MendBy::repair; }

Operation placeFrom(const Json& json) {
  return PlacePart{partIn(json),
                   optionalVector(json, "position"),
                   optionalVector(json, "rotate"),
                   optionalVector(json, "scale"),
                   optionalVector(json, "size"),
                   optionalNumber(json, "lift"),
                   yesIn(json, "drop")};
}

std::vector<Vec3> pathFrom(const Json& json) {
  if (!json.contains("path")) return {vectorIn(member(json, "at"), "at")};
  if (!json["path"].is_array()) throw Error("\"path\" has to be a list of points.");
  std::vector<Vec3> path;
  for (const Json& point : json["path"]) path.push_back(vectorIn(point, "path"));
  return path;
}

double creaseIn(const Json& json) { return optionalNumber(json, "crease").value_or(FaceStroke().crease); }

Stroke strokeFrom(const Json& json) {
  const std::string brush = textIn(json, "with");
  if (brush == "ball") return BallStroke{pathFrom(json), numberIn(member(json, "radius"), "radius")};
  if (brush == "sight")
    return SightStroke{pathFrom(json), numberIn(member(json, "radius"), "radius"),
                       vectorIn(member(json, "eye"), "eye")};
  if (brush == "face") return FaceStroke{vectorIn(member(json, "at"), "at"), creaseIn(json)};
  if (brush == "site") return SiteStroke{vectorIn(member(json, "at"), "at")};
  if (brush == "band") return BandStroke{numberIn(member(json, "from"), "from"), numberIn(member(json, "to"), "to")};
  throw Error(fmt::format("\"with\" cannot be {}. It can be ball, sight, face, site or band.", brush));
}

LayMark withRules(LayMark lay, const Json& json) {
  lay.rules.keepToOverhangs = yesIn(json, "keep_to_overhangs");
  if (yesIn(json, "stop_at_creases")) lay.rules.crease = creaseIn(json);
  if (json.contains("clip"))
    for (const Json& plane : json["clip"]) lay.rules.clip.push_back(planeFrom(plane));
  if (json.contains("twin")) {
    lay.findTwin = json["twin"] == "found";
    if (!lay.findTwin) lay.twin = planeFrom(json["twin"]);
  }
  return lay;
}

Operation markOperationFrom(const Json& json) {
  return withRules(LayMark{partIn(json), markIn(json), strokeFrom(json)}, json);
}

Operation twinFrom(const Json& json) {
  LayTwin lay{partIn(json)};
  if (json.contains("plane")) lay.plane = planeFrom(json["plane"]);
  return lay;
}

Operation markByLeanFrom(const Json& json) {
  return LayMark{partIn(json), markIn(json), LeanStroke{numberIn(member(json, "above"), "above")}};
}

Clearing clearingIn(const Json& json) {
  return oneOf<Clearing>(textIn(json, "what"), "what",
                         {{"marks", Clearing::marks},
                          {"enforce", Clearing::enforce},
                          {"block", Clearing::block},
                          {"clean_faces", Clearing::clean},
                          {"seen_faces", Clearing::seen},
                          {"zones", Clearing::zones},
                          {"props", Clearing::props},
                          {"sites", Clearing::sites},
                          {"made_elsewhere", Clearing::elsewhere}});
}

Operation clearFrom(const Json& json) { return ClearDecisions{partIn(json), clearingIn(json)}; }

// By its id or its name.
VariantId variantIn(const Json& json, const Project& project) {
  const std::string called = textIn(json, "variant");
  const Shelf& shelf = project.shelf;
  if (shelf.inHand && (called == textOf(shelf.inHand) || called == shelf.name)) return shelf.inHand;
  for (const Variant& variant : shelf.variants)
    if (called == textOf(variant.id) || called == variant.name) return variant.id;
  throw Error(fmt::format("There is no variant {}.", called));
}

Operation takeOverFrom(const Json& json, const Project& project) {
  TakeOver over{variantIn(json, project)};
  if (json.contains("part")) {
    const std::size_t part = partIn(json);
    if (part >= project.parts.size()) throw Error(fmt::format("There is no part {}.", part));
    over.part = project.parts[part]->id;
  }
  if (json.contains("what")) over.what = clearingIn(json);
  if (json.contains("key")) over.key = settingRow(textIn(json, "key")).key;
  return over;
}

// "clean": or "seen": false takes the coat off.
Operation coatFrom(const Json& json, Coat coat, const char* word) {
  const bool keep = !json.contains(word) || yesIn(json, word);
  LayMark lay{partIn(json), keep ? Mark::block : Mark::none, FaceStroke()};
  lay.stroke =
      json.contains("with") ? strokeFrom(json) : FaceStroke{vectorIn(member(json, "at"), "at"), creaseIn(json)};
  lay.coat = coat;
  return withRules(lay, json);
}

ZoneAs zoneAsFrom(const Json& json) {
  return oneOf<ZoneAs>(textIn(json, "as"), "as",
                       {{"enforce", ZoneAs::enforce}, {"block", ZoneAs::block}, {"keep_clear", ZoneAs::keepClear}});
}

Operation zoneFrom(const Json& json) {
  AddZone add{partIn(json), {}, {}};
  add.zone.as = zoneAsFrom(json);
  add.zone.shape = oneOf<ZoneShape>(textIn(json, "shape"), "shape",
                                    {{"box", ZoneShape::box},
                                     {"cylinder", ZoneShape::cylinder},
                                     {"ball", ZoneShape::ball},
                                     {"slab", ZoneShape::slab},
                                     {"mesh", ZoneShape::mesh}});
  add.zone.lean = optionalNumber(json, "lean").value_or(add.zone.lean);
  add.zone.settings = overridesIn(json).value_or(Overrides());
  if (json.contains("name")) add.zone.name = textIn(json, "name");
  add.figures.centre = vectorIn(member(json, "center"), "center");
  add.figures.turn = optionalVector(json, "rotate").value_or(Vec3(Vec3::Zero()));
  if (add.zone.shape == ZoneShape::mesh) {
    const MeshPtr solid = readOneMesh(textIn(json, "file"), Progress());
    add.zone.solid = scaledToUnit(*solid);
    add.figures.size = optionalVector(json, "size").value_or(Vec3(solid->bounds.sizes()));
  } else {
    add.figures.size = vectorIn(member(json, "size"), "size");
  }
  return add;
}

// Figures of a zone are given together.
Operation changeZoneFrom(const Json& json) {
  ChangeZone change{partIn(json), countIn(member(json, "zone"), "zone")};
  if (json.contains("center"))
    change.figures = ZoneFigures{vectorIn(json["center"], "center"), vectorIn(member(json, "size"), "size"),
                                 optionalVector(json, "rotate").value_or(Vec3(Vec3::Zero()))};
  if (json.contains("as")) change.as = zoneAsFrom(json);
  change.lean = optionalNumber(json, "lean");
  change.settings = overridesIn(json);
  if (json.contains("name")) change.name = textIn(json, "name");
  for (const auto& [key, flag] : {std::pair("hidden", &change.hidden), std::pair("locked", &change.locked)})
    if (json.contains(key)) {
      if (!json[key].is_boolean()) throw Error(fmt::format("\"{}\" has to be true or false.", key));
      *flag = json[key].get<bool>();
    }
  return change;
}

Operation propFrom(const Json& json) {
  return AddProp{partIn(json), vectorIn(member(json, "at"), "at"),
                 optionalNumber(json, "width").value_or(AddProp().width), overridesIn(json).value_or(Overrides())};
}

Operation changePropFrom(const Json& json) {
  return ChangeProp{partIn(json), countIn(member(json, "prop"), "prop"), optionalVector(json, "at"),
                    optionalNumber(json, "width"), overridesIn(json)};
}

Operation siteFrom(const Json& json) {
  DecideSite decide{partIn(json), vectorIn(member(json, "at"), "at")};
  if (json.contains("choice"))
    decide.choice =
        oneOf<Choice>(textIn(json, "choice"), "choice",
                      {{"proposed", Choice::proposed}, {"enforce", Choice::enforce}, {"block", Choice::block}});
  decide.settings = overridesIn(json);
  if (json.contains("structure")) {
    if (!decide.settings) decide.settings.emplace();
    decide.settings->insert_or_assign("support.structure", settingFrom("support.structure", json["structure"]));
  }
  return decide;
}

std::optional<std::size_t> onePart(const Json& json) {
  return json.contains("part") ? std::optional(partIn(json)) : std::nullopt;
}

Operation setFrom(const Json& json) {
  const std::string key = textIn(json, "key");
  return ChangeSetting{key, settingFrom(key, member(json, "value")), onePart(json)};
}

// Where a thing stands in a list, by its id.
template <typename Item>
std::optional<std::size_t> numberOf(const std::vector<Item>& items, const std::string& id) {
  for (std::size_t i = 0; i < items.size(); ++i)
    if (textOf(items[i].id) == id) return i;
  return std::nullopt;
}

std::size_t partCalled(const Project& project, const std::string& name) {
  std::vector<std::size_t> called;
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    if (textOf(project.parts[p]->id) == name) return p;
    if (project.parts[p]->name == name) called.push_back(p);
  }
  if (called.empty()) throw Error(fmt::format("There is no part called {}.", name));
  if (called.size() > 1)
    throw Error(fmt::format("{} parts are called {}. Name one by its number from 0 or by its id, such as {}.",
                            called.size(), name, textOf(project.parts[called.front()]->id)));
  return called.front();
}

// The operation with numbers instead of ids and names.
Json withNumbers(Json json, const Project& project) {
  if (json.contains("part") && json["part"].is_string()) json["part"] = partCalled(project, json["part"]);
  const std::size_t p =
      json.contains("part") && json["part"].is_number_unsigned() ? json["part"].get<std::size_t>() : 0;
  for (const char* key : {"zone", "prop"}) {
    if (!json.contains(key) || !json[key].is_string()) continue;
    const std::string id = json[key];
    if (p >= project.parts.size()) throw Error(fmt::format("There is no part {} that could have a {}.", p, key));
    const Part& part = *project.parts[p];
    const auto number = std::string_view(key) == "zone" ? numberOf(part.zones, id) : numberOf(part.props, id);
    if (!number) throw Error(fmt::format("{} has no {} {}.", part.name, key, id));
    json[key] = *number;
  }
  return json;
}

Operation acceptFrom(const Json& json) {
  return AcceptFinding{json.contains("part") ? static_cast<int>(partIn(json)) : -1, textIn(json, "code"),
                       vectorIn(member(json, "at"), "at"), json.contains("note") ? textIn(json, "note") : "",
                       !json.contains("accept") || yesIn(json, "accept")};
}

struct Reader {
  std::string_view word;  // of "do"
  Operation (*read)(const Json&, const Project&);
};

// clang-format off
constexpr Reader readers[] = {
    {"add", [](const Json& json, const Project& project) { return addFrom(json, project.settings); }},
    {"remove_part", [](const Json& json, const Project&) -> Operation { return RemovePart{partIn(json)}; }},
    {"copy", [](const Json& json, const Project&) -> Operation { return CopyPart{partIn(json)}; }},
    {"mirror", [](const Json& json, const Project&) -> Operation { return MirrorPart{partIn(json), axisFrom(json)}; }},
    {"arrange", [](const Json& json, const Project&) -> Operation {
      return ArrangeParts{optionalNumber(json, "gap").value_or(ArrangeParts().gap)};
    }},
    {"place", [](const Json& json, const Project&) { return placeFrom(json); }},
    {"lay_down", [](const Json& json, const Project&) -> Operation {
      return LayFaceDown{partIn(json), vectorIn(member(json, "at"), "at")};
    }},
    {"mend", [](const Json& json, const Project&) -> Operation { return MendPart{partIn(json), wayFrom(json)}; }},
    {"replace", [](const Json& json, const Project&) { return replaceFrom(json); }},
    {"mark", [](const Json& json, const Project&) { return markOperationFrom(json); }},
    {"mark_by_lean", [](const Json& json, const Project&) { return markByLeanFrom(json); }},
    {"twin", [](const Json& json, const Project&) { return twinFrom(json); }},
    {"tint", [](const Json& json, const Project&) -> Operation {
      return SetTint{partIn(json), tintIn(json), overridesIn(json).value_or(Overrides())};
    }},
    {"clear", [](const Json& json, const Project&) { return clearFrom(json); }},
    {"clean_face", [](const Json& json, const Project&) { return coatFrom(json, Coat::clean, "clean"); }},
    {"seen_face", [](const Json& json, const Project&) { return coatFrom(json, Coat::seen, "seen"); }},
    {"zone", [](const Json& json, const Project&) { return zoneFrom(json); }},
    {"change_zone", [](const Json& json, const Project&) { return changeZoneFrom(json); }},
    {"copy_zone", [](const Json& json, const Project&) -> Operation {
      return CopyZone{partIn(json), countIn(member(json, "zone"), "zone")};
    }},
    {"remove_zone", [](const Json& json, const Project&) -> Operation {
      return RemoveZone{partIn(json), countIn(member(json, "zone"), "zone")};
    }},
    {"prop", [](const Json& json, const Project&) { return propFrom(json); }},
    {"change_prop", [](const Json& json, const Project&) { return changePropFrom(json); }},
    {"remove_prop", [](const Json& json, const Project&) -> Operation {
      return RemoveProp{partIn(json), countIn(member(json, "prop"), "prop")};
    }},
    {"site", [](const Json& json, const Project&) { return siteFrom(json); }},
    {"accept", [](const Json& json, const Project&) { return acceptFrom(json); }},
    {"choose", [](const Json& json, const Project&) -> Operation {
      return ChooseSet{setFromJson(member(json, "set"), "\"set\"")};
    }},
    {"set", [](const Json& json, const Project&) { return setFrom(json); }},
    {"reset", [](const Json& json, const Project&) -> Operation {
      return ResetSetting{textIn(json, "key"), onePart(json)};
    }},
    {"preset", [](const Json& json, const Project&) -> Operation {
      return ApplyPreset{presetNamed(textIn(json, "name")).name, onePart(json)};
    }},
    {"add_variant", [](const Json& json, const Project&) -> Operation {
      return AddVariant{textIn(json, "name"), !json.contains("in_hand") || yesIn(json, "in_hand")};
    }},
    {"take_variant", [](const Json& json, const Project& project) -> Operation {
      return TakeVariant{variantIn(json, project)};
    }},
    {"rename_variant", [](const Json& json, const Project& project) -> Operation {
      return RenameVariant{variantIn(json, project), textIn(json, "name")};
    }},
    {"remove_variant", [](const Json& json, const Project& project) -> Operation {
      return RemoveVariant{variantIn(json, project)};
    }},
    {"take_over", [](const Json& json, const Project& project) { return takeOverFrom(json, project); }},
    {"keep_version", [](const Json& json, const Project&) -> Operation { return KeepVersion{textIn(json, "date")}; }},
    {"restore_version", [](const Json& json, const Project&) -> Operation {
      return RestoreVersion{countIn(member(json, "version"), "version")};
    }},
};
// clang-format on

}  // namespace

Operation operationFrom(const Json& asked, const Project& project) {
  if (!asked.is_object()) throw Error("An operation has to be a JSON object.");
  const Json json = withNumbers(asked, project);
  const std::string what = textIn(json, "do");
  std::string all;
  for (const Reader& reader : readers) {
    if (reader.word == what) return reader.read(json, project);
    all += fmt::format("{}{}", all.empty() ? "" : ", ", reader.word);
  }
  throw Error(fmt::format("\"do\" cannot be {}. It can be one of {} and remove.", what, all));
}

}  // namespace trellis
