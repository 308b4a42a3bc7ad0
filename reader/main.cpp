// SPDX-License-Identifier: GPL-3.0-or-later
// meek-trellis-reader FILE FORMAT: reads a mesh file with a library and writes the meshes to standard
// output, for core/mesh/foreign. Exit 0, or 1 with the end of a sentence on standard error.
#include "core/mesh/foreign.hpp"
#include "reader/readers.hpp"

#include <sys/resource.h>
#include <unistd.h>

#include <algorithm>
#include <cstdio>
#include <filesystem>

namespace {

// A small damaged file may ask for the world; what a sound one needs grows with its size.
void limit(const char* file) {
  std::error_code unknown;
  const std::uintmax_t size = std::filesystem::file_size(file, unknown), bytes = unknown ? 0 : size;
#ifndef TRELLIS_SANITIZE  // a sanitizer reserves terabytes of addresses
  const rlim_t most = std::min<rlim_t>(8ULL << 30, (1ULL << 30) + 60 * bytes);
  const rlimit memory{most, most};
  ::setrlimit(RLIMIT_AS, &memory);
#endif
  const rlim_t time = std::min<rlim_t>(110, 4 + bytes / 1'000'000);
  const rlimit seconds{time, time + 1};
  ::setrlimit(RLIMIT_CPU, &seconds);
  const rlimit noDump{0, 0};
  ::setrlimit(RLIMIT_CORE, &noDump);
}

}  // namespace

int main(int argc, char** argv) {
  using namespace trellis;
  if (argc != 3) return 2;
  limit(argv[1]);
  try {
    const MeshFormat format = formatNamed(argv[2]);
    const std::vector<NamedMesh> meshes = format == MeshFormat::threeMf ? read3mf(argv[1])
                                          : format == MeshFormat::amf   ? readAmf(argv[1])
                                          : format == MeshFormat::off   ? readOff(argv[1])
                                                                        : readByAssimp(argv[1], format);
    const std::string bytes = packMeshes(meshes);
    const bool written = std::fwrite(bytes.data(), 1, bytes.size(), stdout) == bytes.size() && std::fflush(stdout) == 0;
    ::_exit(written ? 0 : 1);  // skips the libraries' clean-up, which is the slowest and shakiest part of them
  } catch (const std::bad_alloc&) {
    std::fputs("needs more memory than a mesh may take. Export it with fewer facets.", stderr);
  } catch (const std::exception& error) {
    std::fputs(error.what(), stderr);
  }
  return 1;
}
