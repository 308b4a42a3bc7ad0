// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/path.hpp"

namespace trellis {

double lengthOf(const Path& path) {
  double length = 0;
  for (std::size_t i = 1; i < path.points.size(); ++i)
    length += (toMm(path.points[i]) - toMm(path.points[i - 1])).norm();
  if (path.closed && !path.points.empty()) length += (toMm(path.points.front()) - toMm(path.points.back())).norm();
  return length;
}

}  // namespace trellis
