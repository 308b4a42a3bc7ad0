// SPDX-License-Identifier: GPL-3.0-or-later
// How a hand moves something out of where it stands.
#pragma once

#include "core/release/extraction_path.hpp"

namespace trellis {

enum class HandMove { pull, turn, crush, washOut };
const char* nameOf(HandMove move);  // "pull", "turn and pull", …

using Pose = Eigen::Isometry3d;

// From where it stands, which is the first pose, until it is out of everything's way; from one pose to the next it goes
// evenly.
struct HandPath {
  HandMove move = HandMove::pull;
  std::vector<Pose> poses{Pose::Identity()};

  double length(const Vec3& of) const;         // mm that a place of it goes
  Pose at(const Vec3& of, double gone) const;  // once that place has gone so many mm
  Vec3 firstWay(const Vec3& of) const;         // in which direction it goes at first
};

// Straight ways that touch no part, the first that was found first. best: a way out that is known, tried first.
std::vector<HandPath> pulls(const std::vector<Vec3>& samples, const std::vector<Solid>& solids,
                            const ExtractionPath& best, double distance);

// A way out that turns: about the vertical through its middle, over an edge of its foot, or as it slips along the
// surfaces around it (N. Gelfand, L. Guibas, "Shape segmentation using local slippage analysis", 2004); and then
// straight. Bounded in steps, so it can miss one.
std::optional<HandPath> turnOut(const std::vector<Vec3>& samples, const std::vector<Solid>& solids, double distance);

// Whether any of the samples meets a part on its way. What happens within the first third of a millimetre does not
// count: layers are steps, so support may begin a little within the smooth surface it follows.
bool isStopped(const std::vector<Vec3>& samples, const HandPath& path, const std::vector<Solid>& solids);

}  // namespace trellis
