// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/ray.hpp"

#include "core/base/error.hpp"
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

// What the filter has to know of one ray.
struct HitContext {
  RTCIntersectContext embree;
  float nearest = std::numeric_limits<float>::infinity();
  std::uint32_t facet = RTC_INVALID_GEOMETRY_ID;
};

// Of facets that a ray meets at one distance, as where it runs into an edge, the one with the lowest index counts.
// Which of them the tree comes to first depends on how its threads happened to build it.
void preferLowest(const RTCFilterFunctionNArguments* arguments) {
  auto& context = *reinterpret_cast<HitContext*>(arguments->context);
  const float distance = RTCRayN_tfar(arguments->ray, arguments->N, 0);
  const std::uint32_t facet = RTCHitN_primID(arguments->hit, arguments->N, 0);
  if (distance == context.nearest && facet > context.facet) {
    arguments->valid[0] = 0;
    return;
  }
  context.nearest = distance;
  context.facet = facet;
}

Error noTree() {
  return Error(say("There is not enough memory to get a mesh's surface ready. Use one with fewer facets."));
}

}  // namespace

MeshTree::MeshTree(MeshPtr mesh) : mesh_(std::move(mesh)) {
  // One thread: equal meshes have equal trees, and so equal answers to the last bit.
  RTCDevice device = rtcNewDevice("threads=1");
  if (!device) throw noTree();
  RTCScene scene = rtcNewScene(device);
  rtcSetSceneFlags(scene, RTC_SCENE_FLAG_ROBUST);
  RTCGeometry geometry = rtcNewGeometry(device, RTC_GEOMETRY_TYPE_TRIANGLE);
  void* vertices = rtcSetNewGeometryBuffer(geometry, RTC_BUFFER_TYPE_VERTEX, 0, RTC_FORMAT_FLOAT3, sizeof(Vec3f),
                                           mesh_->vertices.size());
  if (vertices == nullptr) throw noTree();
  std::copy(mesh_->vertices.begin(), mesh_->vertices.end(), static_cast<Vec3f*>(vertices));
  rtcSetSharedGeometryBuffer(geometry, RTC_BUFFER_TYPE_INDEX, 0, RTC_FORMAT_UINT3, mesh_->facets.data(), 0,
                             sizeof(Facet), mesh_->facets.size());
  rtcSetGeometryIntersectFilterFunction(geometry, preferLowest);
  rtcCommitGeometry(geometry);
  rtcAttachGeometry(scene, geometry);
  rtcReleaseGeometry(geometry);
  rtcCommitScene(scene);
  device_ = device;
  scene_ = scene;
  if (rtcGetDeviceError(device) == RTC_ERROR_NONE) return;
  rtcReleaseScene(scene);
  rtcReleaseDevice(device);
  throw noTree();
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
  HitContext context;
  rtcInitIntersectContext(&context.embree);
  rtcIntersect1(sceneOf(scene_), &context.embree, &query);
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
  // The tree also gives what shares a leaf with what was asked for.
  std::erase_if(found, [&](std::uint32_t facet) {
    Box3 box;
    for (const Vec3& corner : mesh_->corners(facet)) box.extend(corner);
    return box.exteriorDistance(centre) > radius;
  });
  std::sort(found.begin(), found.end());
  return found;
}

MeshTreePtr treeOf(const MeshPtr& mesh) {
  static SharedByKey<MeshTree> trees;
  return trees.get(mesh->key, [&] { return std::make_shared<const MeshTree>(mesh); });
}

}  // namespace trellis
