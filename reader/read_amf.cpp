// SPDX-License-Identifier: GPL-3.0-or-later
// AMF (ISO/ASTM 52915) over pugixml. Assimp 5.2.5 keeps only one volume of an object, so the elements are
// walked here. Curved edges are read as straight ones.
#include "reader/readers.hpp"

#include "core/base/archive.hpp"
#include "core/base/error.hpp"
#include "core/base/files.hpp"
#include "core/document/placement.hpp"

#include <pugixml.hpp>

#include <map>
#include <set>

namespace trellis {

namespace {

constexpr std::size_t mostParts = 10'000;

std::string contentOf(const std::string& path) {
  std::string bytes = readFile(path);
  if (!looksZipped(bytes)) return bytes;
  const ArchiveReader archive(bytes, "");
  for (const std::string& entry : archive.names())
    if (formatOf(entry, "") == MeshFormat::amf) return archive.read(entry);
  throw Error("is a zip archive without an AMF in it. Unpack it and open what you want.");
}

class AmfReader {
 public:
  explicit AmfReader(const std::string& text) {
    if (!document_.load_buffer(text.data(), text.size(), pugi::parse_default))
      throw Error("is not an AMF this program can read. Export it again, or as STL.");
    amf_ = document_.child("amf");
    for (const pugi::xml_node element : amf_.children())
      if (const std::string id = element.attribute("id").value();
          !id.empty() && (isObject(element) || isConstellation(element)))
        byId_[id] = element;
  }

  std::vector<NamedMesh> read() {
    std::set<std::string> used;  // what stands in a constellation is not printed by itself
    for (const pugi::xml_node constellation : amf_.children("constellation"))
      for (const pugi::xml_node instance : constellation.children("instance"))
        used.insert(instance.attribute("objectid").value());
    const Affine toMillimetres(Eigen::Scaling(millimetresPerUnit()));
    for (const pugi::xml_node element : amf_.children())
      if ((isObject(element) || isConstellation(element)) && !used.count(element.attribute("id").value()))
        collect(element, toMillimetres, 0);
    if (parts_.empty()) throw Error("holds no facet. Export it again with its volumes.");
    return std::move(parts_);
  }

 private:
  static bool isObject(const pugi::xml_node& element) { return std::string_view(element.name()) == "object"; }
  static bool isConstellation(const pugi::xml_node& element) {
    return std::string_view(element.name()) == "constellation";
  }

  double millimetresPerUnit() const {
    static const std::map<std::string, double> units{
        {"millimeter", 1}, {"inch", 25.4}, {"feet", 304.8}, {"meter", 1000}, {"micron", 0.001}};
    const auto found = units.find(amf_.attribute("unit").as_string("millimeter"));
    return found == units.end() ? 1 : found->second;
  }

  void collect(const pugi::xml_node& element, const Affine& placed, int depth) {
    if (depth > 32 || parts_.size() > mostParts)
      throw Error("nests its constellations too deeply. Export it again, or as STL.");
    if (isObject(element)) return addObject(element, placed);
    for (const pugi::xml_node instance : element.children("instance")) {
      const auto found = byId_.find(instance.attribute("objectid").value());
      if (found == byId_.end()) throw Error("places an object that it does not have. Export it again.");
      const auto number = [&](const char* name) { return instance.child(name).text().as_double(0); };
      Affine own = Affine::Identity();
      own.linear() = turnOf({number("rx"), number("ry"), number("rz")});
      own.translation() = Vec3(number("deltax"), number("deltay"), number("deltaz"));
      collect(found->second, placed * own, depth + 1);
    }
  }

  void addObject(const pugi::xml_node& object, const Affine& placed) {
    const pugi::xml_node mesh = object.child("mesh");
    std::vector<Vec3f> vertices;
    for (const pugi::xml_node vertex : mesh.child("vertices").children("vertex")) {
      const pugi::xml_node at = vertex.child("coordinates");
      vertices.push_back((placed * Vec3(at.child("x").text().as_double(), at.child("y").text().as_double(),
                                        at.child("z").text().as_double()))
                             .cast<float>());
    }
    std::vector<Vec3f> corners;
    for (const pugi::xml_node volume : mesh.children("volume"))
      for (const pugi::xml_node triangle : volume.children("triangle"))
        for (const char* corner : {"v1", "v2", "v3"}) {
          const auto index = triangle.child(corner).text().as_ullong(~0ULL);
          if (index >= vertices.size()) throw Error("names a vertex that it does not have. Export it again.");
          corners.push_back(vertices[index]);
        }
    MeshPtr joined = meshFromCorners(corners);
    if (!joined->facets.empty()) parts_.push_back({nameOf(object), std::move(joined)});
  }

  static std::string nameOf(const pugi::xml_node& object) {
    for (const pugi::xml_node metadata : object.children("metadata"))
      if (std::string_view(metadata.attribute("type").value()) == "name") return metadata.text().get();
    return "";
  }

  pugi::xml_document document_;
  pugi::xml_node amf_;
  std::map<std::string, pugi::xml_node> byId_;
  std::vector<NamedMesh> parts_;
};

}  // namespace

std::vector<NamedMesh> readAmf(const std::string& path) { return AmfReader(contentOf(path)).read(); }

}  // namespace trellis
