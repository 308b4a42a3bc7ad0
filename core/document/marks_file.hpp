// SPDX-License-Identifier: GPL-3.0-or-later
// Marks as bytes, as docs/formats/project.md describes them to the bit.
#pragma once

#include "core/marks/marks.hpp"

namespace trellis {

std::string packMarks(const Marks& marks);

// Throws Error when the bytes are anything else than what packMarks makes for a mesh of facetCount
// facets; what names the file in its sentence.
MarksPtr unpackMarks(std::string_view bytes, std::size_t facetCount, const std::string& what);

}  // namespace trellis
