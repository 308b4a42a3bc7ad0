// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/ray.hpp"

#include "core/base/shared_by_key.hpp"

#include <embree3/rtcore.h>

#include <algorithm>
#include <limits>

namespace trellis {

namespace {

RTCScene sceneOf(void* scene) { return static_cast<RTCScene>(scene); }

bool collect(RTCPointQueryFunctionArguments* arguments) {
  static_cast<std::vector<std::uint32_t>*>(arguments->userPtr)->push_back(arguments->primID);
  return false;  // the radius stays as it is
}

}  // namespace

MeshTree::MeshTree(MeshPtr mesh) : mesh_(std::move(mesh)) {
  RTCDevice device = rtcNewDevice(nullptr);
  RTCScene scene = rtcNewScene(device);
  rtcSetSceneFlags(scene, RTC_SCENE_FLAG_ROBUST);
  RTCGeometry geometry = rtcNewGeometry(device, RTC_GEOMETRY_TYPE_TRIANGLE);
  void* vertices = rtcSetNewGeometryBuffer(geometry, RTC_BUFFER_TYPE_VERTEX, 0, RTC_FORMAT_FLOAT3, sizeof(Vec3f),
                                           mesh_->vertices.size());
  std::copy(mesh_->vertices.begin(), mesh_->vertices.end(), static_cast<Vec3f*>(vertices));
  rtcSetSharedGeometryBuffer(geometry, RTC_BUFFER_TYPE_INDEX, 0, RTC_FORMAT_UINT3, mesh_->facets.data(), 0,
                             sizeof(Facet), mesh_->facets.size());
  rtcCommitGeometry(geometry);
  rtcAttachGeometry(scene, geometry);
  rtcReleaseGeometry(geometry);
  rtcCommitScene(scene);
  device_ = device;
  scene_ = scene;
}

MeshTree::~MeshTree() {
  rtcReleaseScene(sceneOf(scene_));
  rtcReleaseDevice(static_cast<RTCDevice>(device_));
}

std::optional<RayHit> MeshTree::firstHit(const Vec3& origin, const Vec3& direction) const {
  RTCRayHit query{};
  query.ray.org_x = static_cast<float>(origin.x());
  query.ray.org_y = static_cast<float>(origin.y());
  query.ray.org_z = static_cast<float>(origin.z());
  query.ray.dir_x = static_cast<float>(direction.x());
  query.ray.dir_y = static_cast<float>(direction.y());
  query.ray.dir_z = static_cast<float>(direction.z());
  query.ray.tfar = std::numeric_limits<float>::infinity();
  query.ray.mask = ~0u;
  query.hit.geomID = RTC_INVALID_GEOMETRY_ID;
  RTCIntersectContext context;
  rtcInitIntersectContext(&context);
  rtcIntersect1(sceneOf(scene_), &context, &query);
  if (query.hit.geomID == RTC_INVALID_GEOMETRY_ID) return std::nullopt;
  const double distance = query.ray.tfar;
  return RayHit{query.hit.primID, distance, origin + distance * direction};
}

std::vector<std::uint32_t> MeshTree::facetsNear(const Vec3& centre, double radius) const {
  std::vector<std::uint32_t> found;
  RTCPointQuery query{};
  query.x = static_cast<float>(centre.x());
  query.y = static_cast<float>(centre.y());
  query.z = static_cast<float>(centre.z());
  query.radius = std::nextafter(static_cast<float>(radius), std::numeric_limits<float>::infinity());
  RTCPointQueryContext context;
  rtcInitPointQueryContext(&context);
  rtcPointQuery(sceneOf(scene_), &query, &context, collect, &found);
  std::sort(found.begin(), found.end());
  return found;
}

MeshTreePtr treeOf(const MeshPtr& mesh) {
  static SharedByKey<MeshTree> trees;
  return trees.get(mesh->key, [&] { return std::make_shared<const MeshTree>(mesh); });
}

}  // namespace trellis
