// SPDX-License-Identifier: GPL-3.0-or-later
// Fields of a JSON object that a person may have written: each throws Error with the field's name where it is missing
// or of another kind.
#pragma once

#include "core/base/error.hpp"
#include "core/base/types.hpp"

#include <nlohmann/json_fwd.hpp>

#include <optional>
#include <string>
#include <utility>
#include <vector>

namespace trellis {

const nlohmann::json& member(const nlohmann::json& json, const char* key);
double numberIn(const nlohmann::json& json, const char* key);  // json is the field itself
Vec3 vectorIn(const nlohmann::json& json, const char* key);    // of three numbers
std::optional<Vec3> optionalVector(const nlohmann::json& json, const char* key);
std::optional<double> optionalNumber(const nlohmann::json& json, const char* key);
std::string textIn(const nlohmann::json& json, const char* key);
bool yesIn(const nlohmann::json& json, const char* key);           // false where it is missing
std::size_t countIn(const nlohmann::json& json, const char* key);  // to a million; json is the field itself

// What a word means, of the words that are allowed.
template <typename T>
T oneOf(const std::string& word, const char* key, const std::vector<std::pair<const char*, T>>& words) {
  std::string allowed;
  for (std::size_t i = 0; i < words.size(); ++i) {
    if (word == words[i].first) return words[i].second;
    allowed += std::string(i == 0 ? "" : i + 1 == words.size() ? " or " : ", ") + words[i].first;
  }
  throw Error(say("\"{}\" cannot be {}. It can be {}.", key, word, allowed));
}

}  // namespace trellis
