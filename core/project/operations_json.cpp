// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/project/operations.hpp"

#include <fmt/format.h>

#include <cmath>
#include <functional>

namespace trellis {

namespace {

using Json = nlohmann::json;

const Json& member(const Json& json, const char* key) {
  const auto found = json.find(key);
  if (found == json.end()) throw Error(fmt::format("\"{}\" is missing.", key));
  return *found;
}

double numberIn(const Json& json, const char* key) {
  if (!json.is_number()) throw Error(fmt::format("\"{}\" has to be a number.", key));
  return json.get<double>();
}

Vec3 vectorIn(const Json& json, const char* key) {
  if (!json.is_array() || json.size() != 3) throw Error(fmt::format("\"{}\" has to be three numbers.", key));
  return {numberIn(json[0], key), numberIn(json[1], key), numberIn(json[2], key)};
}

std::optional<Vec3> optionalVector(const Json& json, const char* key) {
  return json.contains(key) ? std::optional(vectorIn(json[key], key)) : std::nullopt;
}

std::string textIn(const Json& json, const char* key) {
  const Json& value = member(json, key);
  if (!value.is_string()) throw Error(fmt::format("\"{}\" has to be text.", key));
  return value.get<std::string>();
}

bool yesIn(const Json& json, const char* key) {
  if (!json.contains(key)) return false;
  if (!json[key].is_boolean()) throw Error(fmt::format("\"{}\" has to be true or false.", key));
  return json[key].get<bool>();
}

std::size_t partIn(const Json& json) {
  if (!json.contains("part")) return 0;
  const double part = numberIn(json["part"], "part");
  if (part < 0 || part != std::floor(part) || part > 1e6) throw Error("\"part\" has to be a whole number from 0.");
  return static_cast<std::size_t>(part);
}

Mark markFrom(const std::string& word) {
  if (word == "enforce") return Mark::enforce;
  if (word == "block") return Mark::block;
  if (word == "none") return Mark::none;
  throw Error(fmt::format("\"as\" cannot be {}. It can be enforce, block or none.", word));
}

// Paths are taken from where the program runs; the plate's size from the project the list is performed on.
Operation addFrom(const Json& json, const Settings& settings) {
  return AddParts{partsFrom(readMeshFile(textIn(json, "file"), Progress()), settings)};
}

Operation replaceFrom(const Json& json) {
  const std::string file = textIn(json, "file");
  const auto meshes = readMeshFile(file, Progress());
  if (meshes.size() != 1) throw Error(file + " holds several meshes, and a part is replaced by one. Save the one as a file of its own.");
  return ReplaceMesh{partIn(json), meshes[0].mesh};
}

int axisFrom(const Json& json) {
  const std::string axis = textIn(json, "axis");
  if (axis != "x" && axis != "y" && axis != "z") throw Error(fmt::format("\"axis\" cannot be {}. It can be x, y or z.", axis));
  return axis[0] - 'x';
}

MendBy wayFrom(const Json& json) { return yesIn(json, "wrap") ? MendBy::wrap : MendBy::repair; }

std::optional<double> optionalNumber(const Json& json, const char* key) {
  return json.contains(key) ? std::optional(numberIn(json[key], key)) : std::nullopt;
}

Operation placeFrom(const Json& json) {
  return PlacePart{partIn(json), optionalVector(json, "position"), optionalVector(json, "rotate"),
                   optionalVector(json, "scale"), optionalVector(json, "size"), optionalNumber(json, "lift"), yesIn(json, "drop")};
}

Operation markOperationFrom(const Json& json) {
  MarkWithBall mark;
  const std::string brush = textIn(json, "with");
  if (brush != "ball") throw Error(fmt::format("\"with\" cannot be {}. It can be ball.", brush));
  mark.part = partIn(json);
  mark.mark = markFrom(textIn(json, "as"));
  mark.stroke.radius = numberIn(member(json, "radius"), "radius");
  mark.keepToOverhangs = yesIn(json, "keep_to_overhangs");
  if (json.contains("path")) {
    if (!json["path"].is_array()) throw Error("\"path\" has to be a list of points.");
    for (const Json& point : json["path"]) mark.stroke.path.push_back(vectorIn(point, "path"));
  } else {
    mark.stroke.path.push_back(vectorIn(member(json, "at"), "at"));
  }
  return mark;
}

Operation clearFrom(const Json& json) {
  const std::string what = textIn(json, "what");
  if (what == "marks") return ClearMarks{partIn(json), std::nullopt};
  if (what == "enforce" || what == "block") return ClearMarks{partIn(json), markFrom(what)};
  throw Error(fmt::format("\"what\" cannot be {}. It can be marks, enforce or block.", what));
}

std::optional<std::size_t> onePart(const Json& json) { return json.contains("part") ? std::optional(partIn(json)) : std::nullopt; }

Operation setFrom(const Json& json) {
  const std::string key = textIn(json, "key");
  return ChangeSetting{key, settingFrom(key, member(json, "value")), onePart(json)};
}

}  // namespace

Operation operationFrom(const Json& json, const Settings& settings) {
  if (!json.is_object()) throw Error("An operation has to be a JSON object.");
  const std::string what = textIn(json, "do");
  if (what == "add") return addFrom(json, settings);
  if (what == "remove_part") return RemovePart{partIn(json)};
  if (what == "copy") return CopyPart{partIn(json)};
  if (what == "mirror") return MirrorPart{partIn(json), axisFrom(json)};
  if (what == "arrange") return ArrangeParts{optionalNumber(json, "gap").value_or(ArrangeParts().gap)};
  if (what == "place") return placeFrom(json);
  if (what == "lay_down") return LayFaceDown{partIn(json), vectorIn(member(json, "at"), "at")};
  if (what == "mend") return MendPart{partIn(json), wayFrom(json)};
  if (what == "replace") return replaceFrom(json);
  if (what == "mark") return markOperationFrom(json);
  if (what == "clear") return clearFrom(json);
  if (what == "set") return setFrom(json);
  if (what == "reset") return ResetSetting{textIn(json, "key"), onePart(json)};
  throw Error(fmt::format("\"do\" cannot be {}. It can be add, remove_part, copy, mirror, arrange, place, lay_down, mend, replace, "
                          "mark, clear, set or reset.", what));
}

ProjectPtr performedAll(const Project& project, const Json& list) {
  if (!list.is_array()) throw Error("Operations have to be a JSON list.");
  auto result = std::make_shared<const Project>(project);
  for (std::size_t i = 0; i < list.size(); ++i) try {
      result = performed(*result, operationFrom(list[i], result->settings));
    } catch (const Error& error) {
      throw Error(fmt::format("Operation {}: {}", i + 1, error.what()));
    }
  return result;
}

}  // namespace trellis
