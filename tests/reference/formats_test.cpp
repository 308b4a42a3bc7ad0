// SPDX-License-Identifier: GPL-3.0-or-later
// Every mesh that two packages carry (assimp-testmodels 5.2.5 and libcgal-demo 5.5) in the formats we read,
// against CGAL's own readers, or against the file itself where we use CGAL's or CGAL has none. What we write is read by
// lib3mf 1.8 in strict mode and by Assimp 5.2.
#include "core/base/archive.hpp"
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/mesh/stl.hpp"
#include "tests/shapes.hpp"

#include <CGAL/IO/polygon_soup_io.h>
#include <CGAL/Simple_cartesian.h>

#include <algorithm>
#include <filesystem>
#include <random>
#include <sstream>

namespace trellis::test {
namespace {

namespace files = std::filesystem;
using Kernel = CGAL::Simple_cartesian<double>;

// Sums over facets that do not depend on how polygons are cut into triangles.
struct Sums {
  std::optional<std::size_t> facets = 0;  // as triangles, without those that lose a corner in single precision
  double area = 0, volume = 0;
  Box3 box;
};

Sums sumsOf(const std::vector<NamedMesh>& meshes) {
  Sums sums;
  for (const NamedMesh& part : meshes) {
    *sums.facets += part.mesh->facets.size();
    for (std::size_t f = 0; f < part.mesh->facets.size(); ++f) {
      const auto [a, b, c] = part.mesh->corners(f);
      sums.area += (b - a).cross(c - a).norm() / 2;
      sums.volume += a.dot(b.cross(c)) / 6;
      sums.box.extend(a).extend(b).extend(c);
    }
  }
  return sums;
}

// A polygon by Newell's area vector, which is exact for flat ones.
void addPolygon(const std::vector<Vec3>& corners, Sums& sums) {
  Vec3 area = Vec3::Zero();
  std::set<std::array<double, 3>> distinct;
  for (std::size_t i = 0; i < corners.size(); ++i) {
    area += corners[i].cross(corners[(i + 1) % corners.size()]) / 2;
    sums.box.extend(corners[i]);
    distinct.insert({corners[i].x(), corners[i].y(), corners[i].z()});
  }
  sums.area += area.norm();
  sums.volume += corners.empty() ? 0.0 : corners[0].dot(area) / 3;
  if (corners.size() > 4) sums.facets.reset();  // how many facets a library makes of it is its own affair
  if (sums.facets && distinct.size() >= 3) *sums.facets += distinct.size() - 2;
}

std::optional<Sums> byCgal(const std::string& path) {
  std::vector<Kernel::Point_3> points;
  std::vector<std::vector<std::size_t>> polygons;
  if (!CGAL::IO::read_polygon_soup(path, points, polygons) || polygons.empty()) return std::nullopt;
  Sums sums;
  for (const auto& polygon : polygons) {
    std::vector<Vec3> corners;
    for (const std::size_t index : polygon) {
      const Kernel::Point_3& p = points.at(index);
      corners.push_back(
          Vec3f(static_cast<float>(p.x()), static_cast<float>(p.y()), static_cast<float>(p.z())).cast<double>());
    }
    addPolygon(corners, sums);
  }
  return sums;
}

std::size_t count(const std::string& text, const std::string& word) {
  std::size_t found = 0;
  for (std::size_t at = text.find(word); at != std::string::npos; at = text.find(word, at + 1)) ++found;
  return found;
}

// OFF by hand: counts, points, polygons; comments, and whatever colours follow a polygon, are passed over.
std::optional<Sums> offByHand(const std::string& bytes) {
  std::string plain;
  std::istringstream lines(bytes);
  for (std::string line; std::getline(lines, line);) plain += line.substr(0, line.find('#')) + "\n";
  std::istringstream text(plain);
  std::string head;
  std::size_t points = 0, polygons = 0, edges = 0;
  if (!(text >> head >> points >> polygons >> edges) || (head != "OFF" && head != "COFF")) return std::nullopt;
  std::string line;
  std::vector<Vec3> at(points);
  for (Vec3& p : at) {
    while (std::getline(text, line) && line.find_first_not_of(" \t\r") == std::string::npos) {
    }
    Vec3f single;
    std::istringstream(line) >> single.x() >> single.y() >> single.z();
    p = single.cast<double>();
  }
  Sums sums;
  for (std::size_t f = 0; f < polygons; ++f) {
    while (std::getline(text, line) && line.find_first_not_of(" \t\r") == std::string::npos) {
    }
    std::istringstream row(line);
    std::size_t count = 0, index = 0;
    std::vector<Vec3> corners;
    for (row >> count; corners.size() < count && row >> index;) corners.push_back(at.at(index));
    addPolygon(corners, sums);
  }
  return sums;
}

// Facets of an STL file that have three different corners, counted without building a mesh.
std::size_t facetsOfStl(const std::string& bytes) {
  using Corner = std::array<float, 3>;
  std::uint32_t stated = 0;
  std::memcpy(&stated, bytes.data() + 80, bytes.size() >= 84 ? 4 : 0);
  std::vector<Corner> corners;
  if (bytes.size() == 84 + 50 * std::size_t{stated}) {
    for (std::size_t f = 0; f < stated; ++f)
      for (std::size_t k = 0; k < 3; ++k)
        std::memcpy(&corners.emplace_back(), bytes.data() + 84 + 50 * f + 12 + 12 * k, 12);
  } else {
    std::istringstream text(bytes);
    for (std::string word; text >> word;) {
      if (word != "vertex") continue;
      Corner& c = corners.emplace_back();
      text >> c[0] >> c[1] >> c[2];
    }
  }
  std::size_t facets = 0;
  for (std::size_t i = 0; i + 2 < corners.size(); i += 3)
    facets += corners[i] != corners[i + 1] && corners[i + 1] != corners[i + 2] && corners[i + 2] != corners[i];
  return facets;
}

std::vector<files::path> meshFilesIn(const files::path& folder) {
  std::vector<files::path> found;
  for (const auto& entry : files::recursive_directory_iterator(folder))
    if (entry.is_regular_file() && formatOf(entry.path().string(), "") != MeshFormat::none)
      found.push_back(entry.path());
  std::sort(found.begin(), found.end());
  return found;
}

// Reads a file and compares; the name goes to refused when it is not read.
void compare(const files::path& path, std::vector<std::string>& refused) {
  SCOPED_TRACE(path.string());
  const std::string name = path.filename().string();
  std::vector<NamedMesh> meshes;
  try {
    meshes = readMeshFile(path, Progress());
  } catch (const Error& error) {
    EXPECT_TRUE(std::string(error.what()).starts_with(name)) << error.what();
    refused.push_back(name);
    return;
  }
  const Sums ours = sumsOf(meshes);
  const MeshFormat format = formatOf(name, readFile(path));
  if (format == MeshFormat::amf) {
    // One places its object twice, one has a constellation of four in a constellation of three.
    const std::size_t times = name == "test8.amf" ? 2 : name == "test9.amf" ? 12 : 1;
    EXPECT_EQ(ours.facets, times * count(readFile(path), "<triangle>"));
    return;
  }
  if (format == MeshFormat::threeMf) {
    const std::string bytes = readFile(path);
    EXPECT_EQ(ours.facets, count(ArchiveReader(bytes, name).read("3D/3dmodel.model"), "<triangle "));
    return;
  }
  if (format == MeshFormat::stl) {  // CGAL 5.5 crashes on some of these
    EXPECT_EQ(ours.facets, facetsOfStl(readFile(path)));
    return;
  }
  if (path.parent_path().filename() == "invalid") return;  // CGAL crashes on some of these too
  const auto theirs = format == MeshFormat::off ? offByHand(readFile(path)) : byCgal(path.string());
  if (!theirs) return;  // CGAL reads fewer kinds of these formats
  EXPECT_EQ(ours.facets, theirs->facets ? theirs->facets : ours.facets);
  EXPECT_NEAR(ours.area, theirs->area, 1e-5 * theirs->area);
  EXPECT_NEAR(ours.volume, theirs->volume, 1e-5 * theirs->area * theirs->box.sizes().maxCoeff());
  EXPECT_TRUE(ours.box.min().isApprox(theirs->box.min(), 1e-6) || (ours.box.min() - theirs->box.min()).norm() < 1e-6);
}

TEST(Formats, MeshesOfAssimpsTestModels) {
  std::vector<std::string> refused;
  for (const char* folder : {"3MF", "AMF", "OBJ", "OFF", "PLY", "STL", "invalid"})
    for (const files::path& path : meshFilesIn(files::path("/usr/share/assimp/models") / folder))
      compare(path, refused);
  // Points or lines without facets, UTF-16, nothing at all, or counts that no file of that size can hold.
  EXPECT_THAT(refused,
              testing::UnorderedElementsAre("box_UTF16BE.obj", "point_cloud.obj", "testline.obj", "testpoints.obj",
                                            "invalid.off", "issue623.ply", "points.ply", "pond.0.ply",
                                            "OutOfMemory.off", "empty.obj", "empty.off", "empty.ply", "malformed.obj"));
}

TEST(Formats, MeshesOfCgalsDemos) {
  std::vector<std::string> refused;
  const auto all = meshFilesIn(files::path(TRELLIS_PACKAGE_MESHES).parent_path());
  EXPECT_GE(all.size(), 100u);
  for (const files::path& path : all)
    if (path.extension() == ".off") compare(path, refused);
  EXPECT_THAT(refused, testing::UnorderedElementsAre("kitten.off"));  // a link to what the package does not carry
}

// The same small solid in every format, through the command line and back.
class ConvertTest : public testing::TestWithParam<std::tuple<const char*, const char*>> {};

TEST_P(ConvertTest, KeepsTheSolid) {
  const auto [from, to] = GetParam();
  ScratchFolder folder;
  const MeshPtr solid = box({0, 0, 0}, {10, 20, 30});
  std::string text;
  const std::string format = from;
  const auto put = [&](const std::string& line) { text += line + "\n"; };
  const auto number = [](double v) { return std::to_string(v); };
  const auto point = [&](const Vec3f& v, const char* between) {
    return number(v.x()) + between + number(v.y()) + between + number(v.z());
  };
  if (format == "stl") text = writeStl(*solid);
  if (format == "3mf") text = packProject(*projectOf(solid));
  if (format == "obj") {
    for (const Vec3f& v : solid->vertices) put("v " + point(v, " "));
    for (const Facet& f : solid->facets)
      put("f " + std::to_string(f[0] + 1) + " " + std::to_string(f[1] + 1) + " " + std::to_string(f[2] + 1));
  }
  if (format == "off" || format == "ply") {
    if (format == "off")
      put("OFF\n" + std::to_string(solid->vertices.size()) + " " + std::to_string(solid->facets.size()) + " 0");
    if (format == "ply")
      put("ply\nformat ascii 1.0\nelement vertex " + std::to_string(solid->vertices.size()) +
          "\nproperty float x\nproperty float y\nproperty float z\nelement face " +
          std::to_string(solid->facets.size()) + "\nproperty list uchar int vertex_indices\nend_header");
    for (const Vec3f& v : solid->vertices) put(point(v, " "));
    for (const Facet& f : solid->facets)
      put("3 " + std::to_string(f[0]) + " " + std::to_string(f[1]) + " " + std::to_string(f[2]));
  }
  if (format.find("amf") != std::string::npos) {  // ISO/ASTM 52915, in inches
    put("<?xml version=\"1.0\"?>\n<amf unit=\"inch\"><object id=\"0\"><mesh><vertices>");
    for (const Vec3f& v : solid->vertices)
      put("<vertex><coordinates><x>" + number(v.x() / 25.4) + "</x><y>" + number(v.y() / 25.4) + "</y><z>" +
          number(v.z() / 25.4) + "</z></coordinates></vertex>");
    put("</vertices><volume>");
    for (const Facet& f : solid->facets)
      put("<triangle><v1>" + std::to_string(f[0]) + "</v1><v2>" + std::to_string(f[1]) + "</v2><v3>" +
          std::to_string(f[2]) + "</v3></triangle>");
    put("</volume></mesh></object></amf>");
    if (format == "zipped.amf") text = writeArchive({{"solid.amf", text}});
  }
  const std::string in = folder / (format == "zipped.amf" ? "in.amf" : "in." + format),
                    out = folder / (std::string("out.") + to);
  writeFileAtomically(in, text);
  const CliRun run = cli("convert " + in + " " + out);
  ASSERT_EQ(run.code, 0) << run.text;
  const OpenedProject again = openFile(out, {}, Progress());
  ASSERT_EQ(again.project->parts.size(), 1u);
  const MeshFigures figures = inspect(*again.project->parts[0]->mesh);
  EXPECT_TRUE(figures.sound());
  EXPECT_NEAR(figures.volume, 6000, 0.01);
  EXPECT_TRUE(figures.size.isApprox(Vec3(10, 20, 30), 1e-4));
}

INSTANTIATE_TEST_SUITE_P(Pairs, ConvertTest,
                         testing::Combine(testing::Values("stl", "obj", "ply", "off", "3mf", "amf", "zipped.amf"),
                                          testing::Values("stl", "3mf")));

// Damaged files of the formats that libraries read cost a sentence, and now and then the reading child.
class DamageTest : public testing::TestWithParam<const char*> {};

TEST_P(DamageTest, CostsASentence) {
  const std::string path = std::string("/usr/share/assimp/models/") + GetParam();
  const std::string whole = readFile(path), suffix = files::path(path).extension().string();
  ScratchFolder folder;
  std::mt19937 random(8);
  for (int i = 0; i < rounds(10); ++i) {
    std::string hurt = whole.substr(0, i % 3 ? whole.size() : random() % whole.size());
    for (int k = 0; k < 4 && !hurt.empty(); ++k)
      hurt[random() % hurt.size()] = static_cast<char>(random() % (i % 2 ? 256 : 96) + (i % 2 ? 0 : 32));
    writeFileAtomically(folder / ("hurt" + suffix), hurt);
    try {
      for (const NamedMesh& part : readMeshFile(folder / ("hurt" + suffix), Progress())) inspect(*part.mesh);
    } catch (const Error& error) {
      EXPECT_TRUE(std::string(error.what()).starts_with("hurt")) << error.what();
    }
  }
}

INSTANTIATE_TEST_SUITE_P(Files, DamageTest,
                         testing::Values("OFF/Cube.off", "PLY/cube.ply", "PLY/cube_binary.ply", "OBJ/box.obj",
                                         "AMF/test8.amf", "3MF/box.3mf"));

}  // namespace
}  // namespace trellis::test
