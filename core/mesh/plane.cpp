// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/plane.hpp"

namespace trellis {

Plane Plane::movedBy(const Affine& t) const { return {t * at, (normalMap(t) * normal).normalized()}; }

Eigen::Matrix3d normalMap(const Affine& t) { return t.linear().inverse().transpose(); }

}  // namespace trellis
