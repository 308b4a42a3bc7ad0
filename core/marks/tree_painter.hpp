// SPDX-License-Identifier: GPL-3.0-or-later
// Writes a shape into one facet's tree of marks.
#pragma once

#include "core/marks/shapes.hpp"

namespace trellis {

// Walks the old tree and the geometry together; what lies outside the shape keeps its marks.
class TreePainter {
 public:
  TreePainter(const Shape& shape, const Affine& toPlate, Mark mark)
      : shape_(shape), edge_(shape.leafEdge()), toPlate_(toPlate), mark_(mark) {}

  MarkTree paint(const Corners& corners, std::string_view tree);

 private:
  void visit(const Corners& corners, const Corners& placed, const char* inherited);
  void split(const Corners& corners, const char* inherited);
  void skipOld();
  void copyOld();

  const Shape& shape_;
  double edge_;
  const Affine& toPlate_;
  Mark mark_;
  std::string_view old_;
  std::size_t at_ = 0;
  MarkTree out_;
};

}  // namespace trellis
