// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/archive.hpp"

#include "core/base/error.hpp"

#include <zip.h>

namespace trellis {

namespace {

constexpr zip_uint64_t largest = 1ULL << 30;
constexpr zip_uint64_t mostTimesSmaller = 1100;  // deflate cannot pack tighter than about 1032 to 1

zip_t* handle(void* archive) { return static_cast<zip_t*>(archive); }

[[noreturn]] void noMemory() {
  throw Error(say("There is not enough memory to pack the file. Close something and try again."));
}

}  // namespace

std::string writeArchive(const std::vector<std::pair<std::string, std::string>>& entries) {
  zip_error_t error;
  zip_error_init(&error);
  zip_source_t* target = zip_source_buffer_create(nullptr, 0, 0, &error);
  zip_t* archive = target ? zip_open_from_source(target, ZIP_TRUNCATE, &error) : nullptr;
  if (!archive) noMemory();
  zip_source_keep(target);
  for (const auto& [name, bytes] : entries) {
    zip_source_t* source = zip_source_buffer(archive, bytes.data(), bytes.size(), 0);
    const zip_int64_t index = source ? zip_file_add(archive, name.c_str(), source, ZIP_FL_ENC_UTF_8) : -1;
    if (index < 0) noMemory();
    zip_file_set_dostime(archive, static_cast<zip_uint64_t>(index), 0, 0x21, 0);  // 1980-01-01, the epoch of zip
    zip_set_file_compression(archive, static_cast<zip_uint64_t>(index), ZIP_CM_DEFLATE, 6);
  }
  if (zip_close(archive) != 0 || zip_source_open(target) != 0) noMemory();
  zip_source_seek(target, 0, SEEK_END);
  std::string bytes(static_cast<std::size_t>(zip_source_tell(target)), '\0');
  zip_source_seek(target, 0, SEEK_SET);
  zip_source_read(target, bytes.data(), bytes.size());
  zip_source_close(target);
  zip_source_free(target);
  return bytes;
}

ArchiveReader::ArchiveReader(std::string_view bytes, std::string name) : name_(std::move(name)) {
  zip_error_t error;
  zip_error_init(&error);
  zip_source_t* source = zip_source_buffer_create(bytes.data(), bytes.size(), 0, &error);
  archive_ = source ? zip_open_from_source(source, ZIP_RDONLY, &error) : nullptr;
  if (!archive_) {
    if (source) zip_source_free(source);
    throw Error(say("{} is not a complete 3MF package. It was probably cut short; export or copy it again.", name_));
  }
  zip_uint64_t promised = 0;
  for (zip_int64_t i = 0; i < zip_get_num_entries(handle(archive_), 0); ++i) {
    zip_stat_t info;
    if (zip_stat_index(handle(archive_), static_cast<zip_uint64_t>(i), 0, &info) == 0 && (info.valid & ZIP_STAT_SIZE))
      promised = info.size > largest ? largest + 1 : promised + info.size;
    if (promised <= largest) continue;
    zip_discard(handle(archive_));
    throw Error(say("{} would unfold to more than 1 GB, which no project or mesh needs. Export it again.", name_));
  }
}

ArchiveReader::~ArchiveReader() { zip_discard(handle(archive_)); }

bool ArchiveReader::has(const std::string& entry) const {
  return zip_name_locate(handle(archive_), entry.c_str(), 0) >= 0;
}

std::vector<std::string> ArchiveReader::names() const {
  std::vector<std::string> all;
  for (zip_int64_t i = 0; i < zip_get_num_entries(handle(archive_), 0); ++i)
    if (const char* name = zip_get_name(handle(archive_), static_cast<zip_uint64_t>(i), 0)) all.emplace_back(name);
  return all;
}

std::string ArchiveReader::read(const std::string& entry) const {
  const Error damaged(name_ + " is damaged: its " + entry + " cannot be read. Use an earlier copy.");
  zip_stat_t info;
  if (zip_stat(handle(archive_), entry.c_str(), 0, &info) != 0 || !(info.valid & ZIP_STAT_SIZE)) throw damaged;
  if (info.size > largest || info.size > 1000 + mostTimesSmaller * info.comp_size) throw damaged;
  zip_file_t* file = zip_fopen(handle(archive_), entry.c_str(), 0);
  if (!file) throw damaged;
  std::string bytes(static_cast<std::size_t>(info.size), '\0');
  const zip_int64_t got = zip_fread(file, bytes.data(), bytes.size());
  const int closed = zip_fclose(file);
  if (got != static_cast<zip_int64_t>(info.size) || closed != 0) throw damaged;
  return bytes;
}

}  // namespace trellis
