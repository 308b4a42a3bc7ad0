// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/shelf_json.hpp"

#include "core/document/bounds.hpp"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <charconv>

namespace trellis {

namespace {

using Json = nlohmann::json;

VariantId variantIdFrom(const Json& json) {
  const std::string text = json.get<std::string>();
  VariantId id;
  if (text.size() < 2 || text[0] != 'v' ||
      std::from_chars(text.data() + 1, text.data() + text.size(), id.number).ptr != text.data() + text.size())
    throw Error(say("The id of a variant cannot be {}.", text));
  return id;
}

// A variant has no shelf of its own, whatever a file says.
ProjectPtr projectOn(const Json& json, const Attachments& attached, const std::string& name) {
  Json bare = json;
  bare.erase("shelf");
  return projectFrom(bare, attached, name).project;
}

std::string textFrom(const Json& json, const char* key, const char* what) {
  const std::string text = json.at(key).get<std::string>();
  checkText(text, what);
  return text;
}

}  // namespace

Json shelfJson(const Shelf& shelf, const Attaching& attach) {
  Json json{{"in_hand", textOf(shelf.inHand)}, {"name", shelf.name}};
  for (const Variant& variant : shelf.variants)
    json["variants"].push_back(
        {{"id", textOf(variant.id)}, {"name", variant.name}, {"project", decisionsJson(*variant.project, attach)}});
  for (const Version& version : shelf.versions)
    json["versions"].push_back({{"number", version.number},
                                {"code", version.code},
                                {"date", version.date},
                                {"file", version.file},
                                {"project", decisionsJson(*version.project, attach)}});
  return json;
}

Shelf shelfFrom(const Json& json, const Attachments& attached, const std::string& name) {
  Shelf shelf;
  shelf.inHand = variantIdFrom(json.at("in_hand"));
  shelf.name = textFrom(json, "name", "The name of a variant");
  for (const Json& variant : json.value("variants", Json::array()))
    shelf.variants.push_back({variantIdFrom(variant.at("id")), textFrom(variant, "name", "The name of a variant"),
                              projectOn(variant.at("project"), attached, name)});
  for (const Json& version : json.value("versions", Json::array()))
    shelf.versions.push_back(
        {version.at("number").get<std::size_t>(), textFrom(version, "code", "The code of a version"),
         textFrom(version, "date", "The date of a version"), textFrom(version, "file", "The file of a version"),
         projectOn(version.at("project"), attached, name)});
  const auto sameId = [](const Variant& a, const Variant& b) { return a.id == b.id; };
  std::sort(shelf.variants.begin(), shelf.variants.end(),
            [](const Variant& a, const Variant& b) { return a.id < b.id; });
  const bool doubled =
      std::adjacent_find(shelf.variants.begin(), shelf.variants.end(), sameId) != shelf.variants.end() ||
      std::any_of(shelf.variants.begin(), shelf.variants.end(),
                  [&](const Variant& variant) { return variant.id == shelf.inHand; });
  if (doubled) throw Error(say("{} is damaged: two variants have one id. Use an earlier copy.", name));
  return shelf;
}

}  // namespace trellis
