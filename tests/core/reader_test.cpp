// SPDX-License-Identifier: GPL-3.0-or-later
// The reading child, and what a hostile package can do to it: nothing.
#include "core/base/archive.hpp"
#include "core/base/files.hpp"
#include "core/mesh/foreign.hpp"
#include "tests/shapes.hpp"

#include <random>

namespace trellis::test {
namespace {

using testing::HasSubstr;

constexpr const char* types = R"(<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">
<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>
<Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>)";
constexpr const char* relations = R"(<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">
<Relationship Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"
  Target="/3D/3dmodel.model" Id="r"/></Relationships>)";

// The corner of a cube as a tetrahedron, 1 unit along each axis.
constexpr const char* tetrahedron =
    R"(<mesh><vertices><vertex x="0" y="0" z="0"/><vertex x="1" y="0" z="0"/>
<vertex x="0" y="1" z="0"/><vertex x="0" y="0" z="1"/></vertices>
<triangles><triangle v1="0" v2="2" v3="1"/><triangle v1="0" v2="1" v3="3"/>
<triangle v1="0" v2="3" v3="2"/><triangle v1="1" v2="2" v3="3"/></triangles></mesh>)";

std::string model(const std::string& unit, const std::string& resources, const std::string& items) {
  return "<?xml version=\"1.0\"?>\n<model unit=\"" + unit +
         "\" xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\"><resources>" + resources +
         "</resources><build>" + items + "</build></model>";
}

std::string object(int id, const std::string& inside, const std::string& name = "") {
  return "<object id=\"" + std::to_string(id) + "\" type=\"model\"" + (name.empty() ? "" : " name=\"" + name + "\"") +
         ">" + inside + "</object>";
}

std::string package(const std::string& text) {
  return writeArchive({{"[Content_Types].xml", types}, {"_rels/.rels", relations}, {"3D/3dmodel.model", text}});
}

class Reader : public testing::Test {
 protected:
  std::vector<NamedMesh> read(const std::string& bytes) {
    writeFileAtomically(folder / "x.3mf", bytes);
    return readMeshFile(folder / "x.3mf", Progress());
  }
  std::string refusal(const std::string& bytes) {
    try {
      read(bytes);
    } catch (const Error& error) {
      return error.what();
    }
    return "accepted";
  }
  ScratchFolder folder;
};

// The units of the 3MF core specification 1.2, section 3.4.
TEST_F(Reader, KnowsEveryUnit) {
  const std::map<std::string, double> units{{"micron", 0.001}, {"millimeter", 1}, {"centimeter", 10},
                                            {"inch", 25.4},    {"foot", 304.8},   {"meter", 1000}};
  for (const auto& [unit, millimetres] : units) {
    const auto meshes = read(package(model(unit, object(1, tetrahedron), "<item objectid=\"1\"/>")));
    ASSERT_EQ(meshes.size(), 1u) << unit;
    EXPECT_NEAR(meshes[0].mesh->bounds.max().x(), millimetres, 1e-6 * millimetres) << unit;
  }
}

TEST_F(Reader, FollowsComponentsAndTransforms) {
  const std::string resources =
      object(1, tetrahedron, "tip") + object(2,
                                             "<components><component objectid=\"1\"/><component objectid=\"1\" "
                                             "transform=\"1 0 0 0 1 0 0 0 1 10 0 0\"/></components>");
  const auto meshes =
      read(package(model("millimeter", resources, "<item objectid=\"2\" transform=\"0 1 0 -1 0 0 0 0 1 0 0 5\"/>")));
  ASSERT_EQ(meshes.size(), 2u);
  EXPECT_EQ(meshes[0].name, "tip");
  // The item turns x into y; the second component lay 10 along x.
  EXPECT_TRUE(meshes[0].mesh->bounds.min().isApprox(Vec3(-1, 0, 5), 1e-6));
  EXPECT_TRUE(meshes[1].mesh->bounds.min().isApprox(Vec3(-1, 10, 5), 1e-6));
  for (const NamedMesh& part : meshes) EXPECT_NEAR(inspect(*part.mesh).volume, 1.0 / 6, 1e-6);
}

TEST_F(Reader, RefusesWhatHoldsNoPart) {
  EXPECT_THAT(refusal(package(model("millimeter", object(1, tetrahedron), ""))), HasSubstr("without a model to print"));
  EXPECT_THAT(refusal(package(model("millimeter", "", ""))), HasSubstr("x.3mf"));
  EXPECT_THAT(refusal(package("<model>")), HasSubstr("x.3mf"));
  EXPECT_THAT(refusal(package("")), HasSubstr("x.3mf"));
}

TEST_F(Reader, RefusesIndicesOutOfRangeAndImpossibleNumbers) {
  std::string wild = tetrahedron;
  wild.replace(wild.find("v3=\"1\""), 6, "v3=\"9\"");
  EXPECT_THAT(refusal(package(model("millimeter", object(1, wild), "<item objectid=\"1\"/>"))), HasSubstr("x.3mf"));
  for (const char* number : {"nan", "1e30", "inf"}) {
    std::string odd = tetrahedron;
    odd.replace(odd.find("x=\"1\""), 5, std::string("x=\"") + number + "\"");
    EXPECT_THAT(refusal(package(model("millimeter", object(1, odd), "<item objectid=\"1\"/>"))), HasSubstr("x.3mf"))
        << number;
  }
}

TEST_F(Reader, RefusesEntitiesThatExplodeAndFilesFromElsewhere) {
  std::string entities = "<!DOCTYPE m [<!ENTITY a \"1111111111\">";
  for (char c = 'b'; c < 'k'; ++c) {
    entities += std::string("<!ENTITY ") + c + " \"";
    for (int i = 0; i < 10; ++i) entities += std::string("&") + static_cast<char>(c - 1) + ";";
    entities += "\">";
  }
  std::string text = model("millimeter", object(1, tetrahedron, "&j;"), "<item objectid=\"1\"/>");
  text.insert(text.find("<model"), entities + "]>");
  EXPECT_THAT(refusal(package(text)), HasSubstr("x.3mf"));
  text = model("millimeter", object(1, tetrahedron, "&e;"), "<item objectid=\"1\"/>");
  text.insert(text.find("<model"), "<!DOCTYPE m [<!ENTITY e SYSTEM \"file:///etc/hostname\">]>");
  EXPECT_THAT(refusal(package(text)), HasSubstr("x.3mf"));
}

// What a mesh file says of other files and of itself a million times over is not listened to.
TEST_F(Reader, AmfEntitiesAreNotExpanded) {
  const std::string corner = "<vertex><coordinates><x>0</x><y>0</y><z>0</z></coordinates></vertex>";
  std::string amf =
      "<?xml version=\"1.0\"?><!DOCTYPE amf [<!ENTITY a \"1\"><!ENTITY b \"&a;&a;&a;&a;\"><!ENTITY f SYSTEM "
      "\"file:///etc/hostname\">]><amf><object id=\"0\">"
      "<metadata type=\"name\">&f;</metadata><mesh><vertices>" +
      corner +
      "<vertex><coordinates><x>1</x><y>0</y><z>0</z></coordinates></vertex><vertex><coordinates><x>0</x><y>&b;</"
      "y><z>0</z></coordinates></vertex>"
      "</vertices><volume><triangle><v1>0</v1><v2>1</v2><v3>2</v3></triangle></volume></mesh></object></amf>";
  writeFileAtomically(folder / "x.amf", amf);
  try {
    for (const NamedMesh& part : readMeshFile(folder / "x.amf", Progress())) {
      EXPECT_EQ(part.name, "&f;");
      EXPECT_LT(part.mesh->bounds.max().y(), 1000);
    }
  } catch (const Error& error) {
    EXPECT_THAT(error.what(), HasSubstr("x.amf"));
  }
}

TEST_F(Reader, NamesThatLeadOutOfAnArchiveLeadNowhere) {
  const std::string bytes = writeArchive({{"../../escaped.amf", "<amf><object id=\"0\"><mesh/></object></amf>"}});
  writeFileAtomically(folder / "x.amf", bytes);
  EXPECT_THROW(readMeshFile(folder / "x.amf", Progress()), Error);
  EXPECT_FALSE(std::filesystem::exists(folder / "../../escaped.amf"));
}

TEST_F(Reader, DamageIsASentenceAndNeverACrash) {
  const std::string bytes = package(model("millimeter", object(1, tetrahedron), "<item objectid=\"1\"/>"));
  std::mt19937 random(9);
  for (int i = 0; i < 60; ++i) {
    std::string hurt = bytes;
    if (i % 3 == 0) hurt.resize(random() % hurt.size());
    for (int k = 0; k < 5 && !hurt.empty(); ++k) hurt[random() % hurt.size()] = static_cast<char>(random());
    const std::string said = refusal(hurt);
    EXPECT_TRUE(said == "accepted" || said.starts_with("x.3mf")) << said;
  }
}

TEST_F(Reader, GivesUpWhenCancelled) {
  writeFileAtomically(folder / "x.3mf", package(model("millimeter", object(1, tetrahedron), "<item objectid=\"1\"/>")));
  Progress progress;
  progress.cancel();
  EXPECT_THROW(readMeshFile(folder / "x.3mf", progress), Cancelled);
}

TEST(UnpackMeshes, TakesNothingButWhatWasPacked) {
  const std::string bytes = packMeshes({{"a", box({0, 0, 0}, {1, 2, 3})}, {"b", sphere({0, 0, 0}, 5, 6, 8)}});
  const auto again = unpackMeshes(bytes);
  ASSERT_EQ(again.size(), 2u);
  EXPECT_EQ(again[1].name, "b");
  EXPECT_EQ(again[0].mesh->key, box({0, 0, 0}, {1, 2, 3})->key);
  EXPECT_THROW(unpackMeshes(bytes + "x"), Error);
  std::mt19937 random(2);
  for (int i = 0; i < 2000; ++i) {
    std::string hurt = bytes.substr(0, i % 2 ? bytes.size() : random() % bytes.size());
    for (int k = 0; k < 4 && !hurt.empty(); ++k) hurt[random() % hurt.size()] = static_cast<char>(random());
    try {
      for (const NamedMesh& part : unpackMeshes(hurt))
        for (const Facet& f : part.mesh->facets)
          for (const std::uint32_t v : f) ASSERT_LT(v, part.mesh->vertices.size());
    } catch (const Error&) {
    }
  }
}

}  // namespace
}  // namespace trellis::test
