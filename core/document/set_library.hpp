// SPDX-License-Identifier: GPL-3.0-or-later
// The sets a maker keeps: one small JSON file each, in a folder of their own, beside those that ship with the program.
#pragma once

#include "core/settings/sets.hpp"

#include <filesystem>

namespace trellis {

// Where they lie: below XDG_DATA_HOME, or ~/.local/share.
std::filesystem::path setsFolder();

class SetLibrary {
 public:
  explicit SetLibrary(std::filesystem::path folder = setsFolder());

  // All of a kind: those that ship, each as the maker keeps it where there is one of its name, and the maker's own by
  // name. Files that cannot be read are left out and named in damaged().
  std::vector<KeptSet> all(SetKind kind) const;
  // Throws Error that lists them all when there is none of the name.
  KeptSet named(SetKind kind, std::string_view name) const;
  // Whether the maker keeps one of the name.
  bool isKept(SetKind kind, std::string_view name) const;
  // Whether one of the name exists with other figures than this.
  bool isOtherwise(const KeptSet& set) const;
  const std::vector<std::string>& damaged() const { return damaged_; }  // sentences

  // Each throws Error and leaves everything as it was when the folder cannot be written, or when a name is taken.
  void keep(const KeptSet& set);                                            // under its name, whatever was kept there
  void rename(SetKind kind, std::string_view name, const std::string& to);  // of the maker's own
  void remove(SetKind kind, std::string_view name);                         // what ships comes back as it was
  KeptSet take(const std::filesystem::path& file);                          // a copy, kept under its name

  // What was used last; those that ship where nothing was, or what was is gone.
  ChosenSets lastUsed() const;
  void remember(const ChosenSets& chosen) const;  // as far as it can be written

 private:
  struct Kept {
    KeptSet set;
    std::filesystem::path file;
  };
  void read();
  const Kept* find(SetKind kind, std::string_view name) const;

  std::filesystem::path folder_;
  std::vector<Kept> kept_;
  std::vector<std::string> damaged_;
};

// A set as a file, and back. Throw Error naming it.
void writeSet(const KeptSet& set, const std::filesystem::path& file);
KeptSet readSet(const std::filesystem::path& file);

}  // namespace trellis
