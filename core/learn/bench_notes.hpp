// SPDX-License-Identifier: GPL-3.0-or-later
// What became of prints: one small JSON file each, with its pictures, in a folder for each machine and filament.
// Documented in docs/formats/notes.md.
#pragma once

#include "core/learn/ladder.hpp"
#include "core/release/scars.hpp"

#include <filesystem>
#include <optional>

namespace trellis {

// How support came off.
enum class CameOff { byHand, pliers, stayed, fellOff };  // fellOff: before anybody touched it
const char* nameOf(CameOff how);                         // "by hand", "pliers", "stayed", "fell off"

// What became of one rung, piece or site.
struct Outcome {
  std::string what;                   // its name: "gap above 0.20", "snail, site 3"
  std::optional<double> figure = {};  // of a rung
  std::optional<CameOff> came = {};
  std::optional<Scar> underside = {};  // never nicked
  double force = 0;                    // N that were expected to part it; 0 where nothing was
};

enum class FailureKind { fellOver, cameOffPlate, sagged, strung };
const char* nameOf(FailureKind kind);  // "fell over", "came off the plate", "sagged", "stringing"
struct Failure {
  FailureKind kind = FailureKind::fellOver;
  std::optional<double> height = {};  // mm
};

// A figure that was learnt from a print and kept for its filament.
struct Learnt {
  std::string key;
  double value = 0;
};

struct BenchNote {
  std::string code;                      // of the version
  std::string date;                      // of the note, 2026-11-28
  std::string machine, filament, print;  // by name
  std::string project;                   // its file's name, or empty
  std::optional<LadderSpec> ladder = {};
  std::vector<Outcome> outcomes = {};
  std::vector<Failure> failures = {};
  double expectedSeconds = 0, expectedRemoval = 0;   // by the program
  std::optional<double> seconds = {}, removal = {};  // really
  std::string text = {};
  std::vector<std::string> pictures = {};  // file names beside the note
  std::vector<Learnt> learnt = {};
};

nlohmann::json toJson(const BenchNote& note);
// Throws Error naming where when it is damaged or of a newer version.
BenchNote noteFromJson(const nlohmann::json& json, const std::string& where);

// Where notes lie: below XDG_DATA_HOME, or ~/.local/share.
std::filesystem::path notesFolder();

class BenchNotes {
 public:
  explicit BenchNotes(std::filesystem::path folder = notesFolder());

  // Newest first. What cannot be read is left out and named in damaged().
  const std::vector<BenchNote>& all() const { return notes_; }
  std::vector<BenchNote> of(const std::string& machine, const std::string& filament) const;
  const BenchNote* ofVersion(const std::string& code, const std::string& machine, const std::string& filament) const;
  const std::vector<std::string>& damaged() const { return damaged_; }  // sentences

  // Each throws Error and leaves everything as it was when the folder cannot be written. A note of the same version,
  // machine and filament is replaced.
  void keep(const BenchNote& note);
  void remove(const BenchNote& note);  // its pictures too
  // Puts a picture beside a note, as it is; the name it was given. Throws Error when it is missing, no PNG or JPEG, or
  // larger than largestPicture.
  std::string takePicture(const BenchNote& note, const std::string& bytes, const std::string& suggested);
  std::filesystem::path folderOf(const BenchNote& note) const;

  // All notes of a machine and filament as one archive, and back; what is there already is left. How many were taken.
  void writeTo(const std::filesystem::path& file, const std::string& machine, const std::string& filament) const;
  std::size_t takeFrom(const std::filesystem::path& file);

  static constexpr std::size_t largestPicture = 32u << 20;  // bytes

 private:
  void read();
  std::filesystem::path fileOf(const BenchNote& note) const;

  std::filesystem::path folder_;
  std::vector<BenchNote> notes_;
  std::vector<std::string> damaged_;
};

}  // namespace trellis
