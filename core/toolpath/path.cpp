// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/path.hpp"

namespace trellis {

double lengthOf(const Polygon& line) {
  double length = 0;
  for (std::size_t i = 1; i < line.size(); ++i) length += (toMm(line[i]) - toMm(line[i - 1])).norm();
  return length;
}

double lengthOf(const Path& path) {
  double length = lengthOf(path.points);
  if (path.closed && !path.points.empty()) length += (toMm(path.points.front()) - toMm(path.points.back())).norm();
  return length;
}

}  // namespace trellis
