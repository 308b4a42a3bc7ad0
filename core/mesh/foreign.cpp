// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/foreign.hpp"

#include "core/base/bytes.hpp"

#include <fcntl.h>
#include <poll.h>
#include <signal.h>
#include <spawn.h>
#include <sys/wait.h>
#include <unistd.h>

#include <chrono>
#include <cmath>

extern char** environ;

namespace trellis {

namespace {

constexpr auto timeLimit = std::chrono::minutes(2);
constexpr std::string_view magic = "trellis meshes\n";

struct Pipe {
  int read = -1, write = -1;
  Pipe() {
    int ends[2];
    if (::pipe2(ends, O_CLOEXEC) != 0) throw Error(say("No pipe could be opened. Close some files and try again."));
    read = ends[0];
    write = ends[1];
  }
  ~Pipe() {
    ::close(read);
    closeWrite();
  }
  void closeWrite() {
    if (write >= 0) ::close(write);
    write = -1;
  }
};

// A child that is killed and waited for when its scope ends early.
struct Child {
  pid_t pid = -1;
  ~Child() {
    if (pid < 0) return;
    ::kill(pid, SIGKILL);
    wait();
  }
  int wait() {
    int status = 0;
    while (::waitpid(pid, &status, 0) < 0 && errno == EINTR) {
    }
    pid = -1;
    return status;
  }
};

std::filesystem::path readerProgram() {
  return std::filesystem::read_symlink("/proc/self/exe").parent_path() / "meek-trellis-reader";
}

// Reads both pipes until the child closes them. False when time ran out.
bool drain(Pipe (&pipes)[2], std::string (&texts)[2], const Progress& progress) {
  const auto end = std::chrono::steady_clock::now() + timeLimit;
  pollfd waits[2] = {{pipes[0].read, POLLIN, 0}, {pipes[1].read, POLLIN, 0}};
  std::vector<char> buffer(1 << 20);
  while (waits[0].fd >= 0 || waits[1].fd >= 0) {
    progress.check();
    if (std::chrono::steady_clock::now() > end) return false;
    if (::poll(waits, 2, 20) <= 0) continue;
    for (int i = 0; i < 2; ++i) {
      if (waits[i].fd < 0 || !waits[i].revents) continue;
      const ssize_t got = ::read(waits[i].fd, buffer.data(), buffer.size());
      if (got > 0)
        texts[i].append(buffer.data(), static_cast<std::size_t>(got));
      else if (got == 0 || errno != EINTR)
        waits[i].fd = -1;
    }
  }
  return true;
}

}  // namespace

std::string packMeshes(const std::vector<NamedMesh>& meshes) {
  ByteWriter out;
  out.putText(magic);
  out.put(static_cast<std::uint64_t>(meshes.size()));
  for (const NamedMesh& part : meshes) {
    out.putText(part.name);
    out.put(static_cast<std::uint8_t>(part.support));
    out.putAll(part.mesh->vertices);
    out.putAll(part.mesh->facets);
  }
  return out.take();
}

std::vector<NamedMesh> unpackMeshes(std::string_view bytes) {
  ByteReader in(bytes, "The list of meshes");
  if (in.getText() != magic) in.fail();
  std::vector<NamedMesh> meshes;
  for (auto left = in.get<std::uint64_t>(); left > 0; --left) {
    std::string name = in.getText();
    const bool support = in.get<std::uint8_t>() != 0;
    auto vertices = in.getAll<Vec3f>();
    auto facets = in.getAll<Facet>();
    for (const Facet& f : facets)
      for (const std::uint32_t index : f)
        if (index >= vertices.size()) in.fail();
    for (const Vec3f& v : vertices)
      if (!std::isfinite(v.x()) || !std::isfinite(v.y()) || !std::isfinite(v.z()))
        throw Error(say("a coordinate is not a finite number"));
    meshes.push_back({std::move(name), makeMesh(std::move(vertices), std::move(facets)), support});
  }
  if (!in.atEnd()) in.fail();
  return meshes;
}

std::vector<NamedMesh> readForeign(const std::filesystem::path& path, MeshFormat format, const Progress& progress) {
  const std::string name = path.filename().string();
  const std::string program = readerProgram().string();
  Pipe pipes[2];
  posix_spawn_file_actions_t actions;
  posix_spawn_file_actions_init(&actions);
  posix_spawn_file_actions_adddup2(&actions, pipes[0].write, 1);
  posix_spawn_file_actions_adddup2(&actions, pipes[1].write, 2);
  const std::string file = path.string();
  char* arguments[] = {const_cast<char*>(program.c_str()), const_cast<char*>(file.c_str()),
                       const_cast<char*>(nameOf(format)), nullptr};
  Child child;
  const int failed = ::posix_spawn(&child.pid, program.c_str(), &actions, nullptr, arguments, environ);
  posix_spawn_file_actions_destroy(&actions);
  if (failed) {
    child.pid = -1;
    throw Error(say("{} could not be started, so {} could not be read. Install the program again.", program, name));
  }
  for (Pipe& pipe : pipes) pipe.closeWrite();
  std::string texts[2];
  if (!drain(pipes, texts, progress))
    throw Error(say("{} took longer than two minutes to read and was given up. Export it with fewer facets.", name));
  const int status = child.wait();
  if (WIFEXITED(status) && WEXITSTATUS(status) == 1 && !texts[1].empty())
    throw Error(say("{} {}", name, sayWords(texts[1])));
  if (!WIFEXITED(status) || WEXITSTATUS(status) != 0)
    throw Error(say("{} broke the reader, so it is probably damaged. Export it again.", name));
  try {
    std::vector<NamedMesh> meshes = unpackMeshes(texts[0]);
    for (NamedMesh& part : meshes)
      if (part.name.empty()) part.name = path.stem().string();
    return meshes;
  } catch (const Error& error) {
    throw Error(say("{}: {}. Export it again.", name, error.sentence()));
  }
}

}  // namespace trellis
