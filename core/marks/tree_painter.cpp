// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/marks/tree_painter.hpp"

#include <algorithm>

namespace trellis {

namespace {

bool isFine(const Corners& c, double edge) {
  const double most = edge * edge;
  return (c[1] - c[0]).squaredNorm() <= most && (c[2] - c[1]).squaredNorm() <= most &&
         (c[0] - c[2]).squaredNorm() <= most;
}

}  // namespace

MarkTree TreePainter::paint(const Corners& corners, std::string_view tree) {
  old_ = tree.empty() ? std::string_view("\0", 1) : tree;
  at_ = 0;
  out_.clear();
  visit(corners, {toPlate_ * corners[0], toPlate_ * corners[1], toPlate_ * corners[2]}, nullptr);
  return out_;
}

// inherited is the leaf this triangle is part of, when the old tree ends above it.
void TreePainter::visit(const Corners& corners, const Corners& placed, const char* inherited) {
  Where where = shape_.classify(placed);
  if (where == Where::across && isFine(placed, edge_))
    where = shape_.contains((placed[0] + placed[1] + placed[2]) / 3) ? Where::inside : Where::outside;
  if (where == Where::inside) {
    if (!inherited) skipOld();
    out_.push_back(static_cast<char>(mark_));
  } else if (where == Where::outside) {
    if (inherited)
      out_.push_back(*inherited);
    else
      copyOld();
  } else {
    split(corners, inherited);
  }
}

void TreePainter::split(const Corners& corners, const char* inherited) {
  char leaf = 0;
  if (!inherited) {
    const char node = old_[at_++];
    if (node != markSplit) {
      leaf = node;
      inherited = &leaf;
    }
  }
  const auto [first, second] = bisect(corners);
  const auto placed = [&](const Corners& c) { return Corners{toPlate_ * c[0], toPlate_ * c[1], toPlate_ * c[2]}; };
  const std::size_t begin = out_.size();
  out_.push_back(markSplit);
  visit(first, placed(first), inherited);
  const bool firstIsLeaf = out_.size() == begin + 2;
  visit(second, placed(second), inherited);
  if (firstIsLeaf && out_.size() == begin + 3 && out_[begin + 1] == out_[begin + 2]) {
    const char merged = out_[begin + 1];
    out_.resize(begin);
    out_.push_back(merged);
  }
}

void TreePainter::skipOld() {
  for (int open = 1; open > 0; ++at_) open += old_[at_] == markSplit ? 1 : -1;
}

void TreePainter::copyOld() {
  const std::size_t from = at_;
  skipOld();
  out_.append(old_.substr(from, at_ - from));
}

}  // namespace trellis
