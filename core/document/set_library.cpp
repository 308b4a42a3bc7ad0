// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/set_library.hpp"

#include "core/base/error.hpp"
#include "core/base/files.hpp"
#include "core/base/user_folder.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>

namespace trellis {

namespace {

using Json = nlohmann::json;
constexpr std::uintmax_t largestFile = 1 << 20;  // bytes

const std::filesystem::path lastFile = "last.json";

// A file name that any file system takes and that is another for every other name.
std::string fileNameOf(SetKind kind, std::string_view name) {
  std::string safe;
  for (const char c : name) safe += std::isalnum(static_cast<unsigned char>(c)) ? c : '-';
  return fmt::format("{}-{}-{:08x}.json", nameOf(kind), safe.substr(0, 40),
                     static_cast<std::uint32_t>(std::hash<std::string_view>{}(name)));
}

}  // namespace

std::filesystem::path setsFolder() { return userFolder("XDG_DATA_HOME", ".local/share") / "sets"; }

void writeSet(const KeptSet& set, const std::filesystem::path& file) {
  writeFileAtomically(file, toJson(set).dump(1, ' ', false, Json::error_handler_t::replace) + "\n");
}

KeptSet readSet(const std::filesystem::path& file) {
  std::error_code ignored;
  if (std::filesystem::file_size(file, ignored) > largestFile && !ignored)
    throw Error(say("{} is far too large for a set. Choose another file.", file.filename().string()));
  const Json json = Json::parse(readFile(file), nullptr, false);
  if (json.is_discarded()) throw Error(say("{} is damaged: it is no JSON.", file.filename().string()));
  return setFromJson(json, file.filename().string());
}

SetLibrary::SetLibrary(std::filesystem::path folder) : folder_(std::move(folder)) { read(); }

void SetLibrary::read() {
  kept_.clear();
  damaged_.clear();
  std::error_code none;
  std::vector<std::filesystem::path> files;
  for (const auto& entry : std::filesystem::directory_iterator(folder_, none))
    if (entry.is_regular_file(none) && entry.path().extension() == ".json" && entry.path().filename() != lastFile)
      files.push_back(entry.path());
  std::sort(files.begin(), files.end());
  for (const std::filesystem::path& file : files) try {
      KeptSet set = readSet(file);
      if (find(set.kind, set.name))
        damaged_.push_back(fmt::format("{} is left out: another file keeps a {} named {} too. Rename one of them.",
                                       file.filename().string(), nameOf(set.kind), set.name));
      else
        kept_.push_back({std::move(set), file});
    } catch (const Error& error) {
      damaged_.emplace_back(error.what());
    }
}

const SetLibrary::Kept* SetLibrary::find(SetKind kind, std::string_view name) const {
  const auto found = std::find_if(kept_.begin(), kept_.end(),
                                  [&](const Kept& one) { return one.set.kind == kind && one.set.name == name; });
  return found == kept_.end() ? nullptr : &*found;
}

std::vector<KeptSet> SetLibrary::all(SetKind kind) const {
  std::vector<KeptSet> sets;
  for (const KeptSet& shipped : shippedSets())
    if (shipped.kind == kind) {
      const Kept* own = find(kind, shipped.name);
      sets.push_back(own ? own->set : shipped);
    }
  std::vector<KeptSet> own;
  for (const auto& [set, file] : kept_)
    if (set.kind == kind &&
        std::none_of(sets.begin(), sets.end(), [&name = set.name](const auto& one) { return one.name == name; }))
      own.push_back(set);
  std::sort(own.begin(), own.end(), [](const KeptSet& a, const KeptSet& b) { return a.name < b.name; });
  sets.insert(sets.end(), own.begin(), own.end());
  return sets;
}

KeptSet SetLibrary::named(SetKind kind, std::string_view name) const {
  std::string names;
  for (const KeptSet& set : all(kind)) {
    if (set.name == name) return set;
    names += (names.empty() ? "" : ", ") + set.name;
  }
  throw Error(say("There is no {} named {}. There are {}.", sayWords(std::string(nameOf(kind))), name, names));
}

bool SetLibrary::isKept(SetKind kind, std::string_view name) const { return find(kind, name) != nullptr; }

bool SetLibrary::isOtherwise(const KeptSet& set) const {
  const std::vector<KeptSet> sets = all(set.kind);
  return std::any_of(sets.begin(), sets.end(),
                     [&](const KeptSet& one) { return one.name == set.name && one.values != set.values; });
}

void SetLibrary::keep(const KeptSet& set) {
  setFromJson(toJson(set), set.name);  // what is written can be read again
  std::error_code failed;
  std::filesystem::create_directories(folder_, failed);
  const Kept* before = find(set.kind, set.name);
  writeSet(set, before ? before->file : folder_ / fileNameOf(set.kind, set.name));
  read();
}

void SetLibrary::rename(SetKind kind, std::string_view name, const std::string& to) {
  const Kept* kept = find(kind, name);
  if (!kept) throw Error(say("{} ships with the program. Keep it under another name instead.", name));
  const std::vector<KeptSet> sets = all(kind);
  if (std::any_of(sets.begin(), sets.end(), [&](const KeptSet& one) { return one.name == to; }))
    throw Error(say("There is a {} named {} already. Choose another name.", sayWords(std::string(nameOf(kind))), to));
  const std::filesystem::path before = kept->file;
  KeptSet renamed = kept->set;
  renamed.name = to;
  keep(renamed);
  std::error_code failed;
  std::filesystem::remove(before, failed);
  read();
}

void SetLibrary::remove(SetKind kind, std::string_view name) {
  const Kept* kept = find(kind, name);
  if (!kept) throw Error(say("{} ships with the program and stays.", name));
  const std::filesystem::path file = kept->file;
  std::error_code failed;
  std::filesystem::remove(file, failed);
  if (failed) throw Error(say("{} could not be removed: {}.", file.string(), failed.message()));
  read();
}

KeptSet SetLibrary::take(const std::filesystem::path& file) {
  KeptSet set = readSet(file);
  if (isOtherwise(set))
    throw Error(say("There is a {} named {} with other figures. Rename that one, or this one in its file.",
                    sayWords(std::string(nameOf(set.kind))), set.name));
  keep(set);
  return set;
}

ChosenSets SetLibrary::lastUsed() const {
  ChosenSets chosen;
  std::error_code none;
  if (!std::filesystem::exists(folder_ / lastFile, none)) return chosen;
  try {
    const Json last = Json::parse(readFile(folder_ / lastFile), nullptr, false);
    for (const SetKind kind : setKinds)
      if (last.is_object() && last.contains(nameOf(kind)) && last[nameOf(kind)].is_string()) {
        const std::vector<KeptSet> sets = all(kind);
        const auto found = std::find_if(sets.begin(), sets.end(), [&](const KeptSet& set) {
          return set.name == last[nameOf(kind)].get_ref<const std::string&>();
        });
        if (found != sets.end()) chosen.of(kind) = *found;
      }
  } catch (const Error&) {  // those that ship will do
  }
  return chosen;
}

void SetLibrary::remember(const ChosenSets& chosen) const {
  Json last = Json::object();
  for (const SetKind kind : setKinds) last[std::string(nameOf(kind))] = chosen.of(kind).name;
  std::error_code failed;
  std::filesystem::create_directories(folder_, failed);
  try {
    writeFileAtomically(folder_ / lastFile, last.dump(1) + "\n");
  } catch (const Error&) {  // the next start begins with those that ship
  }
}

}  // namespace trellis
