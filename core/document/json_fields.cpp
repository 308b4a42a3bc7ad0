// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/json_fields.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <cmath>

namespace trellis {

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

std::optional<double> optionalNumber(const Json& json, const char* key) {
  return json.contains(key) ? std::optional(numberIn(json[key], key)) : std::nullopt;
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

std::size_t countIn(const Json& json, const char* key) {
  const double number = numberIn(json, key);
  if (number < 0 || number != std::floor(number) || number > 1e6)
    throw Error(fmt::format("\"{}\" has to be a whole number from 0.", key));
  return static_cast<std::size_t>(number);
}

}  // namespace trellis
