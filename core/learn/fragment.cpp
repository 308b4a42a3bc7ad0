// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/learn/fragment.hpp"

#include "core/base/error.hpp"
#include "core/document/operations.hpp"
#include "core/document/settle.hpp"
#include "core/mesh/boolean.hpp"
#include "core/mesh/extrude.hpp"
#include "core/mesh/inspect.hpp"

#include <algorithm>

namespace trellis {

namespace {

// What was inside the part before is marked by nobody, however near it is to what was.
MarksPtr withoutCut(const Marks& marks, const TriangleMesh& mesh, const Affine& toPlate, const Box3& box) {
  constexpr double near = 1e-3;  // mm
  std::vector<std::pair<std::uint32_t, MarkTree>> cleared;
  marks.forEachTree([&](std::uint32_t facet, std::string_view) {
    const auto corners = mesh.corners(facet);
    for (Eigen::Index axis = 0; axis < 3; ++axis)
      for (const double side : {box.min()[axis], box.max()[axis]})
        if (std::all_of(corners.begin(), corners.end(),
                        [&](const Vec3& c) { return std::abs((toPlate * c)[axis] - side) < near; })) {
          cleared.emplace_back(facet, MarkTree());
          return;
        }
  });
  return marks.with(cleared);
}

}  // namespace

Part fragmentOf(const Part& part, const Box3& box, const Progress& progress) {
  if (box.isEmpty() || box.sizes().minCoeff() < 0.1)
    throw Error(say("A fragment has to be at least 0.1 mm large each way."));
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const MeshPtr solid =
      transformed(*extruded(rectangle({box.min().head<2>(), box.max().head<2>()}), box.min().z(), box.max().z()),
                  toPlate.inverse());
  const MeshPtr cut = common(*part.mesh, *solid, part.name);
  if (!cut) throw Error(say("The box holds nothing of {}. Move it over the part.", part.name));
  progress.check();
  if (const std::size_t count = inspect(*cut).shells; count > 1)
    throw Error(
        say("The box cuts {} into {} pieces. Make it smaller or larger, so that one is left.", part.name, count));
  Part fragment = withMesh(part, cut, progress);
  fragment.name = part.name + " fragment";
  fragment.id = {};
  fragment.lostMarks.clear();
  fragment.elsewhere = nullptr;
  for (MarksPtr Part::*coat : coats) fragment.*coat = withoutCut(*(fragment.*coat), *cut, toPlate, box);
  const auto lies = [&](const Vec3& onMesh) { return box.contains(toPlate * onMesh); };
  std::erase_if(fragment.zones, [&](const Zone& zone) { return !lies(zone.toMesh.translation()); });
  for (Zone& zone : fragment.zones) zone.id = {};
  for (Prop& prop : fragment.props) prop.id = {};
  fragment.placement = droppedTo(fragment.placement, *cut, 0);
  return fragment;
}

}  // namespace trellis
