// SPDX-License-Identifier: GPL-3.0-or-later
// Zip archives in memory.
#pragma once

#include <map>
#include <string>
#include <string_view>
#include <vector>

namespace trellis {

// A zip archive of the entries in the order given. Equal entries give equal bytes.
std::string writeArchive(const std::vector<std::pair<std::string, std::string>>& entries);

// Random access to the entries of an archive, which reads the bytes where they are: they must outlive it.
// Throws Error that begins with name when the bytes are no archive.
class ArchiveReader {
 public:
  ArchiveReader(std::string_view bytes, std::string name);
  ArchiveReader(std::string&& temporary, std::string name) = delete;
  ~ArchiveReader();
  ArchiveReader(const ArchiveReader&) = delete;
  ArchiveReader& operator=(const ArchiveReader&) = delete;

  bool has(const std::string& entry) const;
  std::vector<std::string> names() const;  // of all entries
  // Throws Error when the entry is missing, damaged, or unpacks to more than 1 GiB.
  std::string read(const std::string& entry) const;

 private:
  std::string name_;
  void* archive_ = nullptr;
};

}  // namespace trellis
