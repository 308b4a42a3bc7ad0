// SPDX-License-Identifier: GPL-3.0-or-later
// A journal on the disk: records one after the other, each with its length and checksum. Meshes and marks are written
// once and named by their keys; a state is the project's JSON that names them.
#pragma once

#include "core/document/project.hpp"

#include <filesystem>
#include <set>
#include <string>

namespace trellis {

inline constexpr const char* journalExtension = ".journal";

struct JournalState {
  ProjectPtr project;
  std::string step;       // that led to it
  std::size_t steps = 0;  // how many since the project was opened
  std::string file;       // the project's, or empty
  std::int64_t time = 0;  // seconds since 1970
};

// One that is being written. Holds a lock on its file, so that nobody takes it for left behind. Every function throws
// Error with a sentence when the disk does not do what is asked; what was written before stays readable.
class JournalFile {
 public:
  explicit JournalFile(std::filesystem::path folder);
  ~JournalFile();
  JournalFile(const JournalFile&) = delete;
  JournalFile& operator=(const JournalFile&) = delete;

  // Writes what of the state is not there yet. When the file has grown to several times what the state alone would
  // take, it is folded: a new file with this state alone takes its place in one move.
  void append(const JournalState& state);
  void sync();
  void remove();
  bool isGone() const;  // somebody took the file away

 private:
  struct Open;
  std::unique_ptr<Open> begin() const;
  void write(Open& file, const JournalState& state) const;

  std::filesystem::path folder_, path_;
  std::unique_ptr<Open> open_;
};

bool isBeingWritten(const std::filesystem::path& path);

struct ReadJournal {
  JournalState state;   // the last that is whole
  bool cutOff = false;  // something after it is damaged
};
// Throws Error when there is no whole state in it.
ReadJournal readJournal(const std::filesystem::path& path);

}  // namespace trellis
