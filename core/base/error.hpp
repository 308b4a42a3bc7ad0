// SPDX-License-Identifier: GPL-3.0-or-later
// Errors are sentences for a person: what happened, to which file or part, what to do.
#pragma once

#include <stdexcept>

namespace trellis {

// Thrown at boundaries (files, settings, operations); what() is shown to the maker as it is.
class Error : public std::runtime_error {
 public:
  using std::runtime_error::runtime_error;
};

// Outlines that cannot be combined. Who knows which layer they are of says so, see parallelLayers.
class GeometryError : public Error {
 public:
  using Error::Error;
};

// Thrown by Progress::check() when a result is no longer wanted. Never shown.
class Cancelled : public std::exception {
 public:
  const char* what() const noexcept override { return "cancelled"; }
};

}  // namespace trellis
