// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/journal_file.hpp"

#include "core/base/bytes.hpp"
#include "core/base/files.hpp"
#include "core/base/key.hpp"
#include "core/document/decisions_json.hpp"
#include "core/document/marks_file.hpp"

#include <fcntl.h>
#include <fmt/format.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>
#include <nlohmann/json.hpp>

#include <cerrno>
#include <chrono>
#include <cstring>
#include <map>

namespace trellis {

namespace {

using Json = nlohmann::json;

constexpr std::string_view magic = "meek-trellis journal 1\n";
constexpr std::size_t smallEnough = 32u << 20;  // bytes; below, nothing is folded
constexpr std::size_t timesLarger = 4;          // than one state, before it is folded

enum class Kind : std::uint32_t { mesh = 1, marks = 2, state = 3 };

std::uint64_t checksum(std::string_view bytes) { return KeyBuilder().addBytes(bytes.data(), bytes.size()).key(); }

std::string recordOf(Kind kind, std::string_view bytes) {
  ByteWriter out;
  out.put(kind);
  out.put(static_cast<std::uint64_t>(bytes.size()));
  out.put(checksum(bytes));
  return out.take().append(bytes);
}

[[noreturn]] void fail(const std::filesystem::path& path) {
  throw Error(say("{} could not be written: {}. Save the project, or make room.", path.string(), std::strerror(errno)));
}

std::string withKey(Key key, std::string bytes) {
  ByteWriter out;
  out.put(key);
  return out.take().append(bytes);
}

std::string nameOf(Key key) { return fmt::format("{:016x}", key); }

}  // namespace

struct JournalFile::Open {
  std::filesystem::path path;
  int descriptor = -1;
  std::size_t size = 0, once = 0;  // bytes; of it, what a single state takes
  std::set<Key> written = {};      // meshes and marks that are in it

  ~Open() {
    if (descriptor >= 0) ::close(descriptor);
  }
  void put(std::string_view bytes) {
    const std::size_t before = size;
    while (!bytes.empty()) {
      const ssize_t done = ::write(descriptor, bytes.data(), bytes.size());
      if (done < 0 && errno == EINTR) continue;
      if (done < 0) {
        const int why = errno;
        // A cut record would hide whatever comes after it.
        if (::ftruncate(descriptor, static_cast<off_t>(before)) == 0) ::lseek(descriptor, 0, SEEK_END);
        errno = why;
        fail(path);
      }
      bytes.remove_prefix(static_cast<std::size_t>(done));
      size += static_cast<std::size_t>(done);
    }
  }
};

JournalFile::JournalFile(std::filesystem::path folder) : folder_(std::move(folder)) {
  std::error_code failed;
  std::filesystem::create_directories(folder_, failed);
  const auto now = std::chrono::system_clock::now().time_since_epoch().count();
  path_ = folder_ / fmt::format("{}-{:x}{}", ::getpid(), static_cast<std::uint64_t>(now) & 0xffffff, journalExtension);
  open_ = begin();
  if (::rename(open_->path.c_str(), path_.c_str()) != 0) fail(path_);
  open_->path = path_;
}

JournalFile::~JournalFile() = default;

// Under another name, so that a file that is only begun is never taken for a journal.
std::unique_ptr<JournalFile::Open> JournalFile::begin() const {
  auto file = std::make_unique<Open>();
  file->path = path_.string() + ".new";
  file->descriptor = ::open(file->path.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_APPEND | O_CLOEXEC, 0600);
  if (file->descriptor < 0 || ::flock(file->descriptor, LOCK_EX | LOCK_NB) != 0) fail(file->path);
  file->put(magic);
  return file;
}

void JournalFile::write(Open& file, const JournalState& state) const {
  std::string records;
  const auto attach = [&](Kind kind, Key key, const auto& pack) {
    if (file.written.insert(key).second) records += recordOf(kind, withKey(key, pack()));
    return nameOf(key);
  };
  std::set<Key> before = file.written;
  const Json decisions =
      decisionsJson(*state.project, {[&](const TriangleMesh& mesh, const std::string&) {
                                       return attach(Kind::mesh, mesh.key, [&] { return packMesh(mesh); });
                                     },
                                     [&](const Marks& marks, const std::string&) {
                                       return attach(Kind::marks, marks.key(), [&] { return packMarks(marks); });
                                     }});
  const Json json{
      {"step", state.step}, {"steps", state.steps}, {"file", state.file}, {"time", state.time}, {"project", decisions}};
  records += recordOf(Kind::state, json.dump(-1, ' ', false, Json::error_handler_t::replace));
  try {
    file.put(records);
  } catch (const Error&) {
    file.written = std::move(before);
    throw;
  }
  if (file.once == 0) file.once = file.size;
}

void JournalFile::append(const JournalState& state) {
  write(*open_, state);
  if (open_->size < smallEnough || open_->size < timesLarger * open_->once) return;
  std::unique_ptr<Open> folded = begin();
  write(*folded, state);
  if (::fsync(folded->descriptor) != 0 || ::rename(folded->path.c_str(), path_.c_str()) != 0) fail(path_);
  folded->path = path_;
  open_ = std::move(folded);
}

void JournalFile::sync() {
  if (::fdatasync(open_->descriptor) != 0) fail(path_);
}

void JournalFile::remove() { ::unlink(path_.c_str()); }

bool JournalFile::isGone() const {
  struct stat info {};
  return ::fstat(open_->descriptor, &info) != 0 || info.st_nlink == 0;
}

bool isBeingWritten(const std::filesystem::path& path) {
  const int descriptor = ::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK);
  if (descriptor < 0) return false;
  const bool locked = ::flock(descriptor, LOCK_EX | LOCK_NB) != 0;
  ::close(descriptor);
  return locked;
}

ReadJournal readJournal(const std::filesystem::path& path) {
  const std::string bytes = readFile(path), name = path.filename().string();
  std::string_view rest = bytes;
  if (!rest.starts_with(magic)) throw Error(say("{} is no journal of Meek Trellis.", name));
  rest.remove_prefix(magic.size());
  std::map<std::string, std::string_view> attached;
  std::vector<std::string_view> states;
  constexpr std::size_t head = sizeof(Kind) + 2 * sizeof(std::uint64_t);
  bool whole = true;
  while (whole && !rest.empty()) {
    if (rest.size() < head) break;
    ByteReader in(rest.substr(0, head), name);
    const auto kind = in.get<Kind>();
    const auto length = in.get<std::uint64_t>(), sum = in.get<std::uint64_t>();
    if (length > rest.size() - head) break;
    const std::string_view record = rest.substr(head, length);
    whole = checksum(record) == sum;
    if (!whole) break;
    if (kind == Kind::state)
      states.push_back(record);
    else if (record.size() >= sizeof(Key))
      attached[nameOf(ByteReader(record.substr(0, sizeof(Key)), name).get<Key>())] = record.substr(sizeof(Key));
    rest.remove_prefix(head + length);
  }
  std::map<std::string, MeshPtr> meshes;
  const auto bytesNamed = [&](const std::string& entry) {
    const auto found = attached.find(entry);
    if (found == attached.end()) throw Error(say("{} is damaged: {} is missing.", name, entry));
    return found->second;
  };
  const Attachments attachments{
      [&](const std::string& entry) {
        MeshPtr& mesh = meshes[entry];
        if (!mesh) mesh = unpackMesh(bytesNamed(entry), name);
        return mesh;
      },
      [&](const std::string& entry, std::size_t facets) { return unpackMarks(bytesNamed(entry), facets, name); }};
  bool cutOff = !rest.empty();
  for (; !states.empty(); states.pop_back(), cutOff = true) try {
      const Json json = Json::parse(states.back());
      JournalState state{projectFrom(json.at("project"), attachments, name).project, json.at("step"), json.at("steps"),
                         json.at("file"), json.at("time")};
      return {std::move(state), cutOff};
    } catch (const std::exception&) {  // the one before may be whole
    }
  throw Error(say("{} holds nothing that can be recovered.", name));
}

}  // namespace trellis
