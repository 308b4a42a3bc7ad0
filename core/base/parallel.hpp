// SPDX-License-Identifier: GPL-3.0-or-later
// Parallel loops whose result does not depend on the number of threads.
#pragma once

#include "core/base/progress.hpp"

#include <tbb/parallel_for.h>

#include <cstddef>
#include <string>

namespace trellis {

// Calls body(i) for every i in [0, count), in any order, on as many threads as TBB has. The body
// writes into slot i of something and nowhere else; that keeps results the same on any number of
// threads. Asks progress before each item, so a cancelled run ends within one item.
template <typename Body>
void parallelFor(std::size_t count, const Progress& progress, const Body& body) {
  tbb::parallel_for(std::size_t{0}, count, [&](std::size_t i) {
    progress.check();
    body(i);
  });
}

// The same for the layers of a plan, counted from 0: outlines that cannot be combined are an error that names the
// layer.
template <typename Body>
void parallelLayers(std::size_t count, const Progress& progress, const Body& body) {
  parallelFor(count, progress, [&](std::size_t i) {
    try {
      body(i);
    } catch (const GeometryError& error) {
      throw Error(say("Layer {}: {}", i + 1, error.sentence()));
    }
  });
}

}  // namespace trellis
