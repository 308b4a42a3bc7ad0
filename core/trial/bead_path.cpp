// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/trial/bead_path.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double agreed = 0.02;  // share by which comments and volume may differ
constexpr double corner = 1 - pi / 4;

// Cross-section, mm², of a line: a rectangle with round ends, or an ellipse where it is higher than wide.
double sectionOf(double width, double height) {
  return width >= height ? width * height - corner * height * height : pi * width * height / 4;
}

double heightFrom(double section, double width) {
  const double under = width * width - 4 * corner * section;  // corner·h² − w·h + A = 0
  const double height = under >= 0 ? (width - std::sqrt(under)) / (2 * corner) : width;
  return height <= width ? height : 4 * section / (pi * width);
}

void measure(BeadPath& path, const Said& said, const TrialRules& rules) {
  const double section = path.filament * pi * rules.filamentDiameter * rules.filamentDiameter / 4 / path.length();
  path.width = said.width;
  path.height = said.height;
  if (said.width > 0 && said.height > 0 && std::abs(sectionOf(said.width, said.height) - section) <= agreed * section)
    return;
  path.height = rules.layerHeight > 0 ? rules.layerHeight : heightFrom(section, rules.lineWidth);
  path.width = rules.layerHeight > 0 ? section / rules.layerHeight + corner * rules.layerHeight : rules.lineWidth;
}

}  // namespace

bool BeadPath::isClosed() const { return points.size() > 3 && (points.front() - points.back()).norm() < 0.02; }

Vec3 BeadPath::at(double way) const {
  const auto next = std::upper_bound(along.begin() + 1, along.end() - 1, way);
  const auto k = static_cast<std::size_t>(next - along.begin());
  const double span = along[k] - along[k - 1];
  return span <= 0 ? points[k] : Vec3(points[k - 1] + (points[k] - points[k - 1]) * ((way - along[k - 1]) / span));
}

std::vector<BeadPath> beadPathsOf(const GcodeMoves& moves, const TrialRules& rules) {
  std::vector<BeadPath> paths;
  Vec3 at = Vec3::Zero();
  bool laying = false;
  for (const Move& move : moves.moves) {
    const double length = (move.to - at).norm();
    if (move.filament > 0 && length > 1e-6) {
      if (!laying || paths.back().said != move.said) paths.push_back({{at}, {0}, {move.line}, move.said});
      BeadPath& path = paths.back();
      path.points.push_back(move.to);
      path.along.push_back(path.along.back() + length);
      path.lines.push_back(move.line);
      path.filament += move.filament;
      laying = true;
    } else if (length > 1e-6 || move.filament != 0) {
      laying = false;
    }
    at = move.to;
  }
  for (BeadPath& path : paths) measure(path, moves.said[path.said], rules);
  return paths;
}

}  // namespace trellis
