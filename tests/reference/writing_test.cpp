// SPDX-License-Identifier: GPL-3.0-or-later
// What we write is read by others as it was meant: 3MF by lib3mf in strict mode, and by Assimp.
#include "core/assess/support_export.hpp"
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "tests/shapes.hpp"

#include <Model/COM/NMR_DLLInterfaces.h>
#include <assimp/postprocess.h>
#include <assimp/scene.h>
#include <assimp/Importer.hpp>

#include <algorithm>
#include <optional>

namespace trellis::test {
namespace {

// By lib3mf in strict mode and without a warning; null where it refuses.
NMR::PLib3MFModel* strictlyRead(const std::string& path) {
  NMR::PLib3MFModel* model = nullptr;
  NMR::PLib3MFModelReader* reader = nullptr;
  DWORD warnings = 0;
  const bool read = NMR::lib3mf_createmodel(&model) == LIB3MF_OK &&
                    NMR::lib3mf_model_queryreader(model, "3mf", &reader) == LIB3MF_OK &&
                    NMR::lib3mf_reader_setstrictmodeactive(reader, true) == LIB3MF_OK &&
                    NMR::lib3mf_reader_readfromfileutf8(reader, path.c_str()) == LIB3MF_OK &&
                    NMR::lib3mf_reader_getwarningcount(reader, &warnings) == LIB3MF_OK && warnings == 0;
  return read ? model : nullptr;
}

ProjectPtr twoParts() {
  ProjectPtr project = performed(*projectOf(sphere({3.3333f, -7.77777f, 12.123f}, 12, 24, 48)), CopyPart{0});
  PlacePart place;
  place.part = 1;
  place.turn = Vec3(30, 40, 50);
  place.scale = Vec3(1, 2, 0.5);
  return performed(*project, place);
}

std::vector<Vec3> placedVertices(const Project& project) {
  std::vector<Vec3> all;
  for (const PartPtr& part : project.parts)
    for (const Vec3f& v : part->mesh->vertices)
      all.push_back(transformOf(part->placement, *part->mesh) * v.cast<double>());
  return all;
}

// mm², by the shoelace formula.
double areaOf(NMR::PLib3MFSlice* layer) {
  DWORD count = 0, outlines = 0;
  EXPECT_EQ(NMR::lib3mf_slice_getvertexcount(layer, &count), LIB3MF_OK);
  EXPECT_EQ(NMR::lib3mf_slice_getpolygoncount(layer, &outlines), LIB3MF_OK);
  std::vector<NMR::MODELSLICEVERTEX> corners(count);
  if (count) {
    EXPECT_EQ(NMR::lib3mf_slice_getvertices(layer, corners.data(), count), LIB3MF_OK);
  }
  double twice = 0;
  for (DWORD k = 0; k < outlines; ++k) {
    DWORD length = 0;
    EXPECT_EQ(NMR::lib3mf_slice_getpolygonindexcount(layer, k, &length), LIB3MF_OK);
    std::vector<DWORD> of(length);
    EXPECT_EQ(NMR::lib3mf_slice_getpolygonindices(layer, k, of.data(), length), LIB3MF_OK);
    for (DWORD i = 0; i + 1 < length; ++i) {
      const auto &a = corners[of[i]].m_fPosition, &b = corners[of[i + 1]].m_fPosition;
      twice +=
          static_cast<double>(a[0]) * static_cast<double>(b[1]) - static_cast<double>(a[1]) * static_cast<double>(b[0]);
    }
  }
  return twice / 2;
}

TEST(Writing, ThreeMfIsReadByLib3mfInStrictMode) {
  ScratchFolder folder;
  const ProjectPtr project = twoParts();
  writeFileAtomically(folder / "two.3mf", packProject(*project));
  NMR::PLib3MFModel* model = strictlyRead(folder / "two.3mf");
  ASSERT_NE(model, nullptr);
}

// Parts as parts, supports as supports, each piece's body and interface apart; and as much of it as is printed.
TEST(Writing, SupportsAreReadAsSupportsByLib3mfInStrictMode) {
  ScratchFolder folder;
  const ProjectPtr project = projectOf(threeCeilings());
  const BuildPtr built = build(project);
  writeFileAtomically(folder / "with.3mf", packWithSupports(*project, *built, false, Progress()));
  NMR::PLib3MFModel* model = strictlyRead(folder / "with.3mf");
  ASSERT_NE(model, nullptr);
  NMR::PLib3MFModelResourceIterator* objects = nullptr;
  ASSERT_EQ(NMR::lib3mf_model_getobjects(model, &objects), LIB3MF_OK);
  std::size_t parts = 0, supports = 0;
  for (BOOL more = false;;) {
    ASSERT_EQ(NMR::lib3mf_resourceiterator_movenext(objects, &more), LIB3MF_OK);
    if (!more) break;
    NMR::PLib3MFModelResource* object = nullptr;
    ASSERT_EQ(NMR::lib3mf_resourceiterator_getcurrent(objects, &object), LIB3MF_OK);
    DWORD type = 0;
    ASSERT_EQ(NMR::lib3mf_object_gettype(object, &type), LIB3MF_OK);
    (type == NMR::MODELOBJECTTYPE_SUPPORT ? supports : parts) += 1;
  }
  EXPECT_EQ(parts, 1u);
  EXPECT_EQ(supports, 2 * built->support->pieces.size());
  double volume = 0, printed = 0;
  for (std::size_t piece = 0; piece < built->support->pieces.size(); ++piece)
    for (const bool interface : {false, true}) {
      const MeshPtr solid = pieceSolid(*built, piece, interface);
      EXPECT_EQ(inspect(*solid).openEdges, 0u);
      volume += inspect(*solid).volume;
    }
  for (const SupportLayer& layer : built->support->layers)
    for (const PieceRegion& region : layer.regions) printed += area(region.area) * (layer.top - layer.bottom);
  EXPECT_NEAR(volume, printed, 1e-3 * printed);
}

// Slices as lib3mf reads them (3MF slice extension 1.0.2) hold what is printed, layer by layer.
TEST(Writing, LayersAreReadAsSlicesByLib3mf) {
  ScratchFolder folder;
  const ProjectPtr project = projectOf(threeCeilings());
  const BuildPtr built = build(project);
  writeFileAtomically(folder / "layers.3mf", packWithSupports(*project, *built, true, Progress()));
  NMR::PLib3MFModel* model = strictlyRead(folder / "layers.3mf");
  ASSERT_NE(model, nullptr);
  NMR::PLib3MFModelResourceIterator* meshes = nullptr;
  ASSERT_EQ(NMR::lib3mf_model_getmeshobjects(model, &meshes), LIB3MF_OK);
  double partVolume = 0, supportVolume = 0;
  for (BOOL more = false; NMR::lib3mf_resourceiterator_movenext(meshes, &more) == LIB3MF_OK && more;) {
    NMR::PLib3MFModelResource* object = nullptr;
    ASSERT_EQ(NMR::lib3mf_resourceiterator_getcurrent(meshes, &object), LIB3MF_OK);
    DWORD type = 0, id = 0, count = 0;
    NMR::PLib3MFSliceStack* stack = nullptr;
    ASSERT_EQ(NMR::lib3mf_object_gettype(object, &type), LIB3MF_OK);
    ASSERT_EQ(NMR::lib3mf_meshobject_getslicestackid(object, &id), LIB3MF_OK);
    ASSERT_EQ(NMR::lib3mf_model_getslicestackById(model, id, &stack), LIB3MF_OK);
    ASSERT_EQ(NMR::lib3mf_slicestack_getslicecount(stack, &count), LIB3MF_OK);
    double& volume = type == NMR::MODELOBJECTTYPE_SUPPORT ? supportVolume : partVolume;
    if (type != NMR::MODELOBJECTTYPE_SUPPORT) {
      EXPECT_EQ(count, built->plan.count());
    }
    std::optional<double> below;
    for (DWORD k = 0; k < count; ++k) {
      NMR::PLib3MFSlice* layer = nullptr;
      float top = 0;
      ASSERT_EQ(NMR::lib3mf_slicestack_getslice(stack, k, &layer), LIB3MF_OK);
      ASSERT_EQ(NMR::lib3mf_slice_gettopz(layer, &top), LIB3MF_OK);
      const double height = below ? static_cast<double>(top) - *below : 0.2;
      EXPECT_GT(height, 0);
      volume += height * areaOf(layer);
      below = static_cast<double>(top);
    }
  }
  double part = 0, support = 0;
  for (std::size_t l = 0; l < built->plan.count(); ++l)
    part += area((*built->parts[0].sections)[l]) * built->plan.spans[l].height();
  for (const SupportLayer& layer : built->support->layers)
    for (const PieceRegion& region : layer.regions) support += area(region.area) * (layer.top - layer.bottom);
  EXPECT_NEAR(partVolume, part, 1e-3 * part);
  EXPECT_NEAR(supportVolume, support, 0.01 * support);
}

TEST(Writing, ThreeMfIsReadByAssimpWithTheSamePlaces) {
  const ProjectPtr project = twoParts();
  const std::string bytes = packProject(*project);
  Assimp::Importer importer;
  const aiScene* scene = importer.ReadFileFromMemory(bytes.data(), bytes.size(), 0, "3mf");
  ASSERT_NE(scene, nullptr) << importer.GetErrorString();
  Box3 theirs, ours;
  const std::function<void(const aiNode&, const aiMatrix4x4&)> walk = [&](const aiNode& node,
                                                                          const aiMatrix4x4& above) {
    const aiMatrix4x4 placed = above * node.mTransformation;
    for (unsigned i = 0; i < node.mNumMeshes; ++i) {
      const aiMesh& mesh = *scene->mMeshes[node.mMeshes[i]];
      for (unsigned v = 0; v < mesh.mNumVertices; ++v) {
        const aiVector3D p = placed * mesh.mVertices[v];
        theirs.extend(Vec3(p.x, p.y, p.z));
      }
    }
    for (unsigned i = 0; i < node.mNumChildren; ++i) walk(*node.mChildren[i], placed);
  };
  walk(*scene->mRootNode, aiMatrix4x4());
  for (const Vec3& v : placedVertices(*project)) ours.extend(v);
  EXPECT_LT((theirs.min() - ours.min()).norm() + (theirs.max() - ours.max()).norm(), 1e-3);
}

}  // namespace
}  // namespace trellis::test
