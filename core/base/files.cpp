// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/files.hpp"

#include "core/base/error.hpp"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <cstring>

namespace trellis {

namespace {

// Closes a file descriptor at the end of its scope.
struct Descriptor {
  int number;
  ~Descriptor() {
    if (number >= 0) ::close(number);
  }
};

Error cannot(const Sentence& what, const Sentence& remedy) {
  return Error(say("{}: {}. {}", what, std::strerror(errno), remedy));
}

}  // namespace

std::string readFile(const std::filesystem::path& path) {
  const Sentence remedy = say("Check the name and that you may read it.");
  Descriptor file{::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK)};
  if (file.number < 0) throw cannot(say("{} could not be opened", path.string()), remedy);
  struct stat info {};
  if (::fstat(file.number, &info) != 0) throw cannot(say("{} could not be opened", path.string()), remedy);
  if (S_ISDIR(info.st_mode)) throw Error(say("{} is a folder. Choose a file inside it.", path.string()));
  if (!S_ISREG(info.st_mode)) throw Error(say("{} is not an ordinary file. Choose one that is.", path.string()));
  std::string bytes(static_cast<std::size_t>(info.st_size), '\0');
  std::size_t have = 0;
  while (have < bytes.size()) {
    const ssize_t got = ::read(file.number, bytes.data() + have, bytes.size() - have);
    if (got < 0 && errno == EINTR) continue;
    if (got < 0) throw cannot(say("{} could not be read", path.string()), remedy);
    if (got == 0) break;
    have += static_cast<std::size_t>(got);
  }
  bytes.resize(have);
  return bytes;
}

void writeFileAtomically(const std::filesystem::path& path, std::string_view bytes) {
  const Sentence remedy = say("Choose another place, or make room and check that you may write there.");
  std::string name = path.string() + ".XXXXXX";
  Descriptor file{::mkstemp(name.data())};
  if (file.number < 0) throw cannot(say("{} could not be written", path.string()), remedy);
  try {
    while (!bytes.empty()) {
      const ssize_t put = ::write(file.number, bytes.data(), bytes.size());
      if (put < 0 && errno == EINTR) continue;
      if (put < 0) throw cannot(say("{} could not be written", path.string()), remedy);
      bytes.remove_prefix(static_cast<std::size_t>(put));
    }
    if (::fchmod(file.number, 0644) != 0 || ::fsync(file.number) != 0 || ::rename(name.c_str(), path.c_str()) != 0)
      throw cannot(say("{} could not be written", path.string()), remedy);
  } catch (const Error&) {
    ::unlink(name.c_str());
    throw;
  }
}

}  // namespace trellis
