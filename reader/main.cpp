// SPDX-License-Identifier: GPL-3.0-or-later
// meek-trellis-reader FILE FORMAT: reads a mesh file with a library and writes the meshes to standard
// output, for core/mesh/foreign. Exit 0, or 1 with the end of a sentence on standard error.
#include "core/mesh/foreign.hpp"
#include "reader/readers.hpp"

#include <sys/resource.h>
#include <unistd.h>

#include <cstdio>

namespace {

void limit() {
#ifndef TRELLIS_SANITIZE  // a sanitizer reserves terabytes of addresses
  const rlimit memory{8ULL << 30, 8ULL << 30};
  ::setrlimit(RLIMIT_AS, &memory);
#endif
  const rlimit seconds{110, 120};
  ::setrlimit(RLIMIT_CPU, &seconds);
  const rlimit noDump{0, 0};
  ::setrlimit(RLIMIT_CORE, &noDump);
}

}  // namespace

int main(int argc, char** argv) {
  using namespace trellis;
  if (argc != 3) return 2;
  limit();
  try {
    const MeshFormat format = formatNamed(argv[2]);
    const std::string bytes = packMeshes(format == MeshFormat::threeMf ? read3mf(argv[1]) : readByAssimp(argv[1], format));
    const bool written = std::fwrite(bytes.data(), 1, bytes.size(), stdout) == bytes.size() && std::fflush(stdout) == 0;
    ::_exit(written ? 0 : 1);  // skips the libraries' clean-up, which is the slowest and shakiest part of them
  } catch (const std::bad_alloc&) {
    std::fputs("needs more memory than a mesh may take. Export it with fewer facets.", stderr);
  } catch (const std::exception& error) {
    std::fputs(error.what(), stderr);
  }
  return 1;
}
