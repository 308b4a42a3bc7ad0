// SPDX-License-Identifier: GPL-3.0-or-later
#include "reader/readers.hpp"

#include "core/base/error.hpp"

#include <Model/COM/NMR_DLLInterfaces.h>

#include <algorithm>

namespace trellis {

namespace {

void require(LIB3MFRESULT result, const char* sentence) {
  if (result != LIB3MF_OK) throw Error(sentence);
}

constexpr const char* damaged = "is not a 3MF this program can read. Export it again, or as STL.";

// 3MF transforms are row vectors times a 4×3 matrix; lib3mf stores them transposed, as [3][4].
Affine transformOf(const NMR::MODELTRANSFORM& t) {
  Affine result = Affine::Identity();
  for (int row = 0; row < 3; ++row)
    for (int column = 0; column < 4; ++column)
      result.matrix()(row, column) = static_cast<double>(t.m_fFields[row][column]);
  return result;
}

double millimetresPerUnit(NMR::PLib3MFModel* model) {
  DWORD unit = NMR::MODELUNIT_MILLIMETER;
  require(NMR::lib3mf_model_getunit(model, &unit), damaged);
  switch (unit) {
    case NMR::MODELUNIT_MICROMETER:
      return 0.001;
    case NMR::MODELUNIT_CENTIMETER:
      return 10;
    case NMR::MODELUNIT_INCH:
      return 25.4;
    case NMR::MODELUNIT_FOOT:
      return 304.8;
    case NMR::MODELUNIT_METER:
      return 1000;
    default:
      return 1;
  }
}

std::string nameOf(NMR::PLib3MFModelObjectResource* object) {
  char buffer[1024] = {};
  ULONG needed = 0;
  if (NMR::lib3mf_object_getnameutf8(object, buffer, sizeof buffer - 1, &needed) != LIB3MF_OK) return "";
  return buffer;
}

MeshPtr meshOf(NMR::PLib3MFModelMeshObject* object) {
  DWORD vertexCount = 0, facetCount = 0;
  require(NMR::lib3mf_meshobject_getvertexcount(object, &vertexCount), damaged);
  require(NMR::lib3mf_meshobject_gettrianglecount(object, &facetCount), damaged);
  std::vector<Vec3f> vertices(vertexCount);
  std::vector<Facet> facets(facetCount);
  static_assert(sizeof(NMR::MODELMESHVERTEX) == sizeof(Vec3f) && sizeof(NMR::MODELMESHTRIANGLE) == sizeof(Facet));
  if (vertexCount)
    require(NMR::lib3mf_meshobject_getvertices(object, reinterpret_cast<NMR::MODELMESHVERTEX*>(vertices.data()),
                                               vertexCount, nullptr),
            damaged);
  if (facetCount)
    require(NMR::lib3mf_meshobject_gettriangleindices(object, reinterpret_cast<NMR::MODELMESHTRIANGLE*>(facets.data()),
                                                      facetCount, nullptr),
            damaged);
  return makeMesh(std::move(vertices), std::move(facets));
}

// Follows components down to meshes; depth bounds what a file that refers to itself can do.
void collect(NMR::PLib3MFModelObjectResource* object, const Affine& placed, int depth, bool support,
             std::vector<NamedMesh>& out) {
  if (depth > 32 || out.size() > 10'000) throw Error("nests its components too deeply. Export it again, or as STL.");
  BOOL isMesh = false, isComponents = false;
  require(NMR::lib3mf_object_ismeshobject(object, &isMesh), damaged);
  require(NMR::lib3mf_object_iscomponentsobject(object, &isComponents), damaged);
  DWORD type = 0;
  require(NMR::lib3mf_object_gettype(object, &type), damaged);
  support = support || type == NMR::MODELOBJECTTYPE_SUPPORT;
  if (isMesh) {
    MeshPtr mesh = meshOf(object);
    if (mesh->facets.empty()) return;
    if (!placed.isApprox(Affine::Identity(), 0)) mesh = transformed(*mesh, placed);
    out.push_back({nameOf(object), std::move(mesh), support});
  }
  DWORD count = 0;
  if (isComponents) require(NMR::lib3mf_componentsobject_getcomponentcount(object, &count), damaged);
  for (DWORD i = 0; i < count; ++i) {
    NMR::PLib3MFModelComponent* component = nullptr;
    NMR::PLib3MFModelObjectResource* inner = nullptr;
    NMR::MODELTRANSFORM transform{};
    require(NMR::lib3mf_componentsobject_getcomponent(object, i, &component), damaged);
    require(NMR::lib3mf_component_getobjectresource(component, &inner), damaged);
    require(NMR::lib3mf_component_gettransform(component, &transform), damaged);
    collect(inner, placed * transformOf(transform), depth + 1, support, out);
  }
}

}  // namespace

std::vector<NamedMesh> read3mf(const std::string& path) {
  NMR::PLib3MFModel* model = nullptr;
  NMR::PLib3MFModelReader* reader = nullptr;
  NMR::PLib3MFModelBuildItemIterator* items = nullptr;
  require(NMR::lib3mf_createmodel(&model), damaged);
  require(NMR::lib3mf_model_queryreader(model, "3mf", &reader), damaged);
  require(NMR::lib3mf_reader_readfromfileutf8(reader, path.c_str()), damaged);
  const Affine toMillimetres(Eigen::Scaling(millimetresPerUnit(model)));
  require(NMR::lib3mf_model_getbuilditems(model, &items), damaged);
  std::vector<NamedMesh> meshes;
  BOOL more = false;
  while (NMR::lib3mf_builditemiterator_movenext(items, &more) == LIB3MF_OK && more) {
    NMR::PLib3MFModelBuildItem* item = nullptr;
    NMR::PLib3MFModelObjectResource* object = nullptr;
    NMR::MODELTRANSFORM transform{};
    require(NMR::lib3mf_builditemiterator_getcurrent(items, &item), damaged);
    require(NMR::lib3mf_builditem_getobjectresource(item, &object), damaged);
    require(NMR::lib3mf_builditem_getobjecttransform(item, &transform), damaged);
    collect(object, toMillimetres * transformOf(transform), 0, false, meshes);
  }
  if (std::all_of(meshes.begin(), meshes.end(), [](const NamedMesh& mesh) { return mesh.support; }))
    throw Error("is a 3MF without a model to print. Export it again with its build items.");
  return meshes;
}

}  // namespace trellis
