// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/stl.hpp"

#include "core/base/error.hpp"

#include <charconv>
#include <cmath>
#include <cstring>

namespace trellis {

namespace {

constexpr std::size_t headerSize = 84;
constexpr std::size_t facetSize = 50;

std::uint32_t facetCount(std::string_view bytes) {
  std::uint32_t count = 0;
  std::memcpy(&count, bytes.data() + 80, 4);
  return count;
}

bool hasOnlyFinite(const Vec3f& p) { return std::isfinite(p.x()) && std::isfinite(p.y()) && std::isfinite(p.z()); }

Error notFinite(const std::string& name, std::size_t facet) {
  return Error(
      say("{}: facet {} has a coordinate that is not a finite number. Export the mesh again.", name, facet + 1));
}

std::vector<Vec3f> binaryCorners(std::string_view bytes, const std::string& name) {
  const std::size_t count = facetCount(bytes);
  std::vector<Vec3f> corners(count * 3);
  for (std::size_t i = 0; i < count; ++i) {
    // 12 bytes of normal are skipped: writers fill them unreliably, the corner order is what counts.
    std::memcpy(corners[3 * i].data(), bytes.data() + headerSize + i * facetSize + 12, 36);
    for (std::size_t k = 0; k < 3; ++k)
      if (!hasOnlyFinite(corners[3 * i + k])) throw notFinite(name, i);
  }
  return corners;
}

// Splits text at white space, one word at a time.
class Words {
 public:
  explicit Words(std::string_view text) : rest_(text) {}
  std::string_view next() {
    constexpr std::string_view space = " \t\r\n\v\f";
    const std::size_t from = std::min(rest_.find_first_not_of(space), rest_.size());
    const std::size_t to = std::min(rest_.find_first_of(space, from), rest_.size());
    const std::string_view word = rest_.substr(from, to - from);
    rest_.remove_prefix(to);
    return word;
  }
  void skipLine() { rest_.remove_prefix(std::min(rest_.find('\n'), rest_.size())); }

 private:
  std::string_view rest_;
};

bool is(std::string_view word, std::string_view lower) {
  return word.size() == lower.size() && std::equal(word.begin(), word.end(), lower.begin(), [](char a, char b) {
           return (a >= 'A' && a <= 'Z' ? static_cast<char>(a + 32) : a) == b;
         });
}

std::vector<Vec3f> asciiCorners(std::string_view text, const std::string& name) {
  std::vector<Vec3f> corners;
  Words words(text);
  bool ended = false;
  for (std::string_view word = words.next(); !word.empty(); word = words.next()) {
    if (is(word, "solid") || is(word, "endsolid")) {
      ended = is(word, "endsolid");
      words.skipLine();  // the solid's name may hold any word
    }
    if (!is(word, "vertex")) continue;
    Vec3f& corner = corners.emplace_back();
    for (int axis = 0; axis < 3; ++axis) {
      std::string_view number = words.next();
      if (!number.empty() && number.front() == '+') number.remove_prefix(1);
      const auto [end, status] = std::from_chars(number.data(), number.data() + number.size(), corner[axis]);
      if (number.empty())
        throw Error(say("{} ends in the middle of a facet. It was probably cut short; export or copy it again.", name));
      if (status == std::errc::invalid_argument || end != number.data() + number.size())
        throw Error(
            say("{}: \"{}\" stands where a coordinate should be. Export the mesh again.", name, number.substr(0, 40)));
      if (status != std::errc{}) corner[axis] = std::nanf("");
    }
    if (!hasOnlyFinite(corner)) throw notFinite(name, (corners.size() - 1) / 3);
  }
  if (corners.size() % 3 != 0 || (!ended && !corners.empty()))
    throw Error(say("{} ends in the middle of a facet. It was probably cut short; export or copy it again.", name));
  return corners;
}

bool looksBinary(std::string_view bytes) {
  return bytes.size() >= headerSize && bytes.size() >= headerSize + facetCount(bytes) * facetSize &&
         (facetCount(bytes) > 0 || bytes.size() == headerSize);
}

bool looksAscii(std::string_view bytes) {
  Words words(bytes.substr(0, 4096));
  const std::string_view first = words.next();
  return (is(first, "solid") || is(first, "facet")) && bytes.substr(0, 4096).find('\0') == std::string_view::npos;
}

}  // namespace

MeshPtr readStl(std::string_view bytes, const std::string& name) {
  if (bytes.empty()) throw Error(say("{} is empty. Export the mesh again.", name));
  std::vector<Vec3f> corners;
  const bool exactlyBinary = looksBinary(bytes) && bytes.size() == headerSize + facetCount(bytes) * facetSize;
  if (exactlyBinary || (looksBinary(bytes) && !looksAscii(bytes)))
    corners = binaryCorners(bytes, name);
  else if (looksAscii(bytes))
    corners = asciiCorners(bytes, name);
  else if (bytes.size() >= headerSize && bytes.substr(0, 1000).find('\0') != std::string_view::npos)
    throw Error(say("{} promises {} facets and holds {}. It was probably cut short; export or copy it again.", name,
                    facetCount(bytes), (bytes.size() - headerSize) / facetSize));
  else
    throw Error(say("{} is not an STL mesh, whatever its name says. Export it as STL or 3MF.", name));
  MeshPtr mesh = meshFromCorners(corners);
  if (mesh->facets.empty()) throw Error(say("{} holds no facet with an area. Export the mesh again.", name));
  return mesh;
}

std::string writeStl(const TriangleMesh& mesh) {
  std::string bytes(headerSize + mesh.facets.size() * facetSize, '\0');
  std::memcpy(bytes.data(), "Meek Trellis", 12);
  const auto count = static_cast<std::uint32_t>(mesh.facets.size());
  std::memcpy(bytes.data() + 80, &count, 4);
  for (std::size_t i = 0; i < mesh.facets.size(); ++i) {
    char* at = bytes.data() + headerSize + i * facetSize;
    const Vec3f normal = mesh.normal(i).cast<float>();
    std::memcpy(at, normal.data(), 12);
    for (std::size_t k = 0; k < 3; ++k) std::memcpy(at + 12 + 12 * k, mesh.vertices[mesh.facets[i][k]].data(), 12);
  }
  return bytes;
}

}  // namespace trellis
