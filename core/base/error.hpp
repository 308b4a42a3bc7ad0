// SPDX-License-Identifier: GPL-3.0-or-later
// Errors are sentences for a person: what happened, to which file or part, what to do.
#pragma once

#include "core/base/sentence.hpp"

#include <stdexcept>

namespace trellis {

// Thrown at boundaries (files, settings, operations). what() is its English; a window says the sentence.
class Error : public std::runtime_error {
 public:
  explicit Error(const Sentence& sentence)
      : std::runtime_error(sentence), sentence_(std::make_shared<const Sentence>(sentence)) {}
  explicit Error(const std::string& text) : Error(Sentence(text)) {}
  explicit Error(const char* text) : Error(std::string(text)) {}

  const Sentence& sentence() const { return *sentence_; }

 private:
  std::shared_ptr<const Sentence> sentence_;  // shared, so that copying cannot fail
};

// What any exception says.
inline Sentence sentenceOf(const std::exception& error) {
  const auto* ours = dynamic_cast<const Error*>(&error);
  return ours ? ours->sentence() : Sentence(std::string(error.what()));
}

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
