// SPDX-License-Identifier: GPL-3.0-or-later
// Other ways to print the same parts, and what was printed: whole projects by value, sharing what is the same.
#pragma once

#include "core/base/ids.hpp"

#include <memory>
#include <string>
#include <vector>

namespace trellis {

struct Project;
using ProjectPtr = std::shared_ptr<const Project>;

// A named set of decisions and settings.
struct Variant {
  VariantId id = {};
  std::string name = {};
  ProjectPtr project = {};  // with an empty shelf
};

// What was written, handed over or printed, as it was then.
struct Version {
  std::size_t number = 0;  // from 1
  std::string code = {};   // six letters, see codeOf
  std::string date = {};   // of the day, 2026-11-28
  std::string file = {};   // that was written; empty for none
  ProjectPtr project = {};
};

// What a project keeps beside the variant in hand, which is the project itself.
struct Shelf {
  VariantId inHand = {};               // none while it is the only one
  std::string name = {};               // of the variant in hand
  std::vector<Variant> variants = {};  // the others, by id
  std::vector<Version> versions = {};  // by number
};

std::string textOf(VariantId id);  // "v3"

// The project without its shelf: what a build is made from, and what a variant holds. The same value where there is
// none.
ProjectPtr withoutShelf(const ProjectPtr& project);

// All variants by id, the one in hand among them with the project as it is now. One without an id where no variant was
// ever made.
std::vector<Variant> variantsOf(const ProjectPtr& project);

// Six letters that name what is printed: the same for the same decisions, settings, parts and places, whatever is on
// the shelf. No I, O or Q.
std::string codeOf(const ProjectPtr& project);

}  // namespace trellis
