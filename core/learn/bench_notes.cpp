// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/learn/bench_notes.hpp"

#include "core/base/archive.hpp"
#include "core/base/error.hpp"
#include "core/base/files.hpp"
#include "core/base/user_folder.hpp"
#include "core/document/bounds.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <array>

namespace trellis {

namespace {

using Json = nlohmann::json;

constexpr int noteFormat = 1;
constexpr std::uintmax_t largestNote = 1 << 20;  // bytes
constexpr std::size_t mostOutcomes = 10'000, mostPictures = 100;
constexpr std::array<const char*, 4> cameNames{"by hand", "pliers", "stayed", "fell off"};
constexpr std::array<const char*, 4> failureNames{"fell over", "came off the plate", "sagged", "stringing"};

template <typename T, std::size_t Count>
T numbered(const std::string& word, const std::array<const char*, Count>& names) {
  for (std::size_t i = 0; i < Count; ++i)
    if (word == names[i]) return static_cast<T>(i);
  throw Error(say("{} is none of the words that are known there.", word));
}

Scar undersideNamed(const std::string& word) {
  for (const Scar scar : {Scar::smooth, Scar::striped, Scar::rough, Scar::fused})
    if (word == nameOf(scar)) return scar;
  throw Error(say("An underside cannot be {}.", word));
}

// A name that any file system takes and that is another for every other name.
std::string safe(const std::string& name) {
  std::string out;
  for (const char c : name.substr(0, 40)) out += std::isalnum(static_cast<unsigned char>(c)) ? c : '-';
  return fmt::format("{}-{:08x}", out, static_cast<std::uint32_t>(keyOf(name)));
}

std::string textIn(const Json& json, const char* key) {
  const std::string text = json.value(key, std::string());
  checkText(text, "A text of a note");
  return text;
}

std::optional<double> numberIn(const Json& json, const char* key) {
  if (!json.contains(key) || json[key].is_null()) return std::nullopt;
  return json[key].get<double>();
}

bool isSafeName(const std::string& name) {
  return !name.empty() && name[0] != '.' && name.find_first_of("/\\") == std::string::npos && name.size() < 200;
}

bool isPicture(const std::string& bytes) { return bytes.starts_with("\x89PNG") || bytes.starts_with("\xff\xd8\xff"); }

Json ladderJson(const LadderSpec& spec) {
  return {{"kind", nameOf(spec.kind)},
          {"from", spec.from},
          {"to", spec.to},
          {"step", spec.step},
          {"ceiling", nameOf(spec.ceiling)}};
}

BenchNote readNote(const std::filesystem::path& file) {
  std::error_code ignored;
  if (std::filesystem::file_size(file, ignored) > largestNote && !ignored)
    throw Error(say("{} is far too large for a note.", file.filename().string()));
  const Json json = Json::parse(readFile(file), nullptr, false);
  if (json.is_discarded()) throw Error(say("{} is damaged: it is no JSON.", file.filename().string()));
  return noteFromJson(json, file.filename().string());
}

std::string packed(const BenchNote& note) {
  return toJson(note).dump(1, ' ', false, Json::error_handler_t::replace) + "\n";
}

}  // namespace

const char* nameOf(CameOff how) { return cameNames[static_cast<std::size_t>(how)]; }
const char* nameOf(FailureKind kind) { return failureNames[static_cast<std::size_t>(kind)]; }

Json toJson(const BenchNote& note) {
  Json json{{"meek-trellis-note", noteFormat},
            {"version", note.code},
            {"date", note.date},
            {"machine", note.machine},
            {"filament", note.filament},
            {"print", note.print},
            {"project", note.project},
            {"expected_s", note.expectedSeconds},
            {"expected_removal_s", note.expectedRemoval},
            {"text", note.text},
            {"pictures", note.pictures},
            {"outcomes", Json::array()},
            {"failures", Json::array()},
            {"learnt", Json::array()}};
  if (note.seconds) json["time_s"] = *note.seconds;
  if (note.removal) json["removal_s"] = *note.removal;
  if (note.ladder) json["ladder"] = ladderJson(*note.ladder);
  for (const Outcome& outcome : note.outcomes) {
    Json one{{"what", outcome.what}, {"expected_n", outcome.force}};
    if (outcome.figure) one["figure"] = *outcome.figure;
    if (outcome.came) one["came"] = nameOf(*outcome.came);
    if (outcome.underside) one["underside"] = nameOf(*outcome.underside);
    json["outcomes"].push_back(std::move(one));
  }
  for (const Failure& failure : note.failures) {
    Json one{{"what", nameOf(failure.kind)}};
    if (failure.height) one["at_mm"] = *failure.height;
    json["failures"].push_back(std::move(one));
  }
  for (const Learnt& learnt : note.learnt) json["learnt"].push_back({{"key", learnt.key}, {"value", learnt.value}});
  return json;
}

BenchNote noteFromJson(const Json& json, const std::string& where) {
  try {
    if (json.at("meek-trellis-note").get<int>() > noteFormat)
      throw Error(say("{} is a note of a newer Meek Trellis. Install the newer version to read it.", where));
    BenchNote note{textIn(json, "version"),  textIn(json, "date"),  textIn(json, "machine"),
                   textIn(json, "filament"), textIn(json, "print"), textIn(json, "project")};
    note.expectedSeconds = json.value("expected_s", 0.0);
    note.expectedRemoval = json.value("expected_removal_s", 0.0);
    note.seconds = numberIn(json, "time_s");
    note.removal = numberIn(json, "removal_s");
    note.text = textIn(json, "text");
    if (json.contains("ladder")) {
      const Json& ladder = json["ladder"];
      note.ladder = LadderSpec{ladderKindNamed(ladder.at("kind")), ladder.at("from"), ladder.at("to"),
                               ladder.at("step"), ceilingNamed(ladder.value("ceiling", "flat"))};
      rungsOf(*note.ladder);
    }
    if (json.at("outcomes").size() > mostOutcomes) throw Error(say("It has more outcomes than a print can have."));
    for (const Json& one : json.at("outcomes")) {
      Outcome outcome{textIn(one, "what"), numberIn(one, "figure")};
      if (one.contains("came")) outcome.came = numbered<CameOff>(one["came"], cameNames);
      if (one.contains("underside")) outcome.underside = undersideNamed(one["underside"]);
      outcome.force = one.value("expected_n", 0.0);
      note.outcomes.push_back(std::move(outcome));
    }
    for (const Json& one : json.value("failures", Json::array()))
      note.failures.push_back({numbered<FailureKind>(one.at("what"), failureNames), numberIn(one, "at_mm")});
    for (const Json& one : json.value("learnt", Json::array())) {
      const Learnt learnt{settingRow(one.at("key").get<std::string>()).key, one.at("value")};
      checkSetting(learnt.key, learnt.value);
      note.learnt.push_back(learnt);
    }
    for (const Json& one : json.value("pictures", Json::array())) {
      if (!isSafeName(one.get<std::string>()) || note.pictures.size() == mostPictures)
        throw Error(say("Its list of pictures cannot be right."));
      note.pictures.push_back(one);
    }
    return note;
  } catch (const Json::exception&) {
    throw Error(say("{} is damaged: it cannot be understood as a note.", where));
  } catch (const Error& error) {
    if (std::string_view(error.what()).starts_with(where)) throw;
    throw Error(say("{} is damaged: {}", where, error.sentence()));
  }
}

std::filesystem::path notesFolder() { return userFolder("XDG_DATA_HOME", ".local/share") / "notes"; }

BenchNotes::BenchNotes(std::filesystem::path folder) : folder_(std::move(folder)) { read(); }

void BenchNotes::read() {
  notes_.clear();
  damaged_.clear();
  std::error_code none;
  std::vector<std::filesystem::path> files;
  for (const auto& folder : std::filesystem::directory_iterator(folder_, none))
    for (const auto& entry : std::filesystem::directory_iterator(folder.path(), none))
      if (entry.is_regular_file(none) && entry.path().extension() == ".json") files.push_back(entry.path());
  std::sort(files.begin(), files.end());
  for (const std::filesystem::path& file : files) try {
      notes_.push_back(readNote(file));
    } catch (const Error& error) {
      damaged_.push_back(fmt::format("{} It is left out.", error.what()));
    }
  std::stable_sort(notes_.begin(), notes_.end(),
                   [](const BenchNote& a, const BenchNote& b) { return a.date > b.date; });
}

std::vector<BenchNote> BenchNotes::of(const std::string& machine, const std::string& filament) const {
  std::vector<BenchNote> some;
  for (const BenchNote& note : notes_)
    if (note.machine == machine && note.filament == filament) some.push_back(note);
  return some;
}

const BenchNote* BenchNotes::ofVersion(const std::string& code, const std::string& machine,
                                       const std::string& filament) const {
  for (const BenchNote& note : notes_)
    if (note.code == code && note.machine == machine && note.filament == filament) return &note;
  return nullptr;
}

std::filesystem::path BenchNotes::folderOf(const BenchNote& note) const {
  return folder_ / safe(note.machine + " " + note.filament);
}

std::filesystem::path BenchNotes::fileOf(const BenchNote& note) const {
  return folderOf(note) / (safe(note.code) + ".json");
}

void BenchNotes::keep(const BenchNote& note) {
  noteFromJson(toJson(note), "The note");
  std::error_code failed;
  std::filesystem::create_directories(folderOf(note), failed);
  if (failed) throw Error(say("The folder {} could not be made: {}.", folderOf(note).string(), failed.message()));
  writeFileAtomically(fileOf(note), packed(note));
  read();
}

void BenchNotes::remove(const BenchNote& note) {
  std::error_code failed;
  std::filesystem::remove(fileOf(note), failed);
  if (failed) throw Error(say("{} could not be removed: {}.", fileOf(note).string(), failed.message()));
  for (const std::string& picture : note.pictures) std::filesystem::remove(folderOf(note) / picture, failed);
  read();
}

std::string BenchNotes::takePicture(const BenchNote& note, const std::string& bytes, const std::string& suggested) {
  if (bytes.size() > largestPicture)
    throw Error(say("{} has more than {} MB. Make it smaller.", suggested, largestPicture >> 20));
  if (!isPicture(bytes)) throw Error(say("{} is no PNG and no JPEG picture.", suggested));
  std::error_code failed;
  std::filesystem::create_directories(folderOf(note), failed);
  const std::string ending = bytes.starts_with("\x89PNG") ? "png" : "jpg";
  for (int number = 1;; ++number) {
    const std::string name = fmt::format("{}-{}.{}", safe(note.code), number, ending);
    if (std::filesystem::exists(folderOf(note) / name, failed)) continue;
    writeFileAtomically(folderOf(note) / name, bytes);
    return name;
  }
}

void BenchNotes::writeTo(const std::filesystem::path& file, const std::string& machine,
                         const std::string& filament) const {
  std::vector<std::pair<std::string, std::string>> entries;
  for (const BenchNote& note : of(machine, filament)) {
    BenchNote written = note;
    written.pictures.clear();
    for (const std::string& picture : note.pictures) try {
        entries.emplace_back(picture, readFile(folderOf(note) / picture));
        written.pictures.push_back(picture);
      } catch (const Error&) {  // it is gone; the note is still worth having
      }
    entries.emplace_back(safe(note.code) + ".json", packed(written));
  }
  if (entries.empty()) throw Error(say("There are no notes of {} on {} yet.", filament, machine));
  writeFileAtomically(file, writeArchive(entries));
}

std::size_t BenchNotes::takeFrom(const std::filesystem::path& file) {
  const std::string bytes = readFile(file);
  const std::string name = file.filename().string();
  const ArchiveReader archive(bytes, name);
  std::size_t taken = 0;
  for (const std::string& entry : archive.names()) {
    if (!entry.ends_with(".json")) continue;
    const Json json = Json::parse(archive.read(entry), nullptr, false);
    if (json.is_discarded()) throw Error(say("{} is damaged: {} is no JSON.", name, entry));
    BenchNote note = noteFromJson(json, name + " (" + entry + ")");
    if (ofVersion(note.code, note.machine, note.filament)) continue;
    std::vector<std::string> pictures;
    for (const std::string& picture : note.pictures)
      if (archive.has(picture)) pictures.push_back(takePicture(note, archive.read(picture), picture));
    note.pictures = std::move(pictures);
    keep(note);
    ++taken;
  }
  return taken;
}

}  // namespace trellis
