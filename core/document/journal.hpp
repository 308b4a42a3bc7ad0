// SPDX-License-Identifier: GPL-3.0-or-later
// What was done since the last save, on the disk within a second of being done: so that a crash costs at most the
// stroke in hand. See docs/formats/journal.md.
#pragma once

#include "core/document/project.hpp"

#include <filesystem>
#include <memory>
#include <optional>

namespace trellis {

// Where journals lie: below XDG_STATE_HOME, or ~/.local/state.
std::filesystem::path journalFolder();

// One running window's. Nothing is written before the first record. All of it may be called from one thread; the disk
// is written from another.
class Journal {
 public:
  explicit Journal(std::filesystem::path folder);
  ~Journal();  // writes what is left; the file stays unless it was dropped
  Journal(const Journal&) = delete;
  Journal& operator=(const Journal&) = delete;

  // What the project is now, by which step, of how many, and the file it belongs to, or nothing. Returns at once.
  void record(ProjectPtr project, std::string step, std::size_t steps, std::string file);
  // Everything has reached a file, or is not wanted: the journal goes.
  void drop();
  // Waits until what was recorded is on the disk.
  void flush();
  // Why something could not be written, in a sentence, once; nothing otherwise.
  std::optional<Sentence> problem();

 private:
  class Writer;
  std::unique_ptr<Writer> writer_;
};

// A journal that a window left behind.
struct LeftJournal {
  std::filesystem::path path;
  std::string id;    // short, for the command line
  std::string file;  // of the project it belongs to, or empty
  std::string step;  // the last
  std::size_t steps = 0;
  std::int64_t time = 0;  // of the last step, seconds since 1970
};
// All in a folder that no running window writes, newest first. What cannot be read at all is left out.
std::vector<LeftJournal> leftJournals(const std::filesystem::path& folder);

struct Recovered {
  LeftJournal journal;
  ProjectPtr project;
  bool cutOff = false;  // the end was damaged: it is the state before
};
// Throws Error with a sentence when nothing in it can be read.
Recovered recover(const std::filesystem::path& path);

}  // namespace trellis
