// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/read_mesh.hpp"

#include "core/base/files.hpp"
#include "core/mesh/foreign.hpp"
#include "core/mesh/stl.hpp"

namespace trellis {

namespace {

constexpr double largestSize = 10'000;  // mm; polygons are computed in 64-bit nanometres

constexpr std::pair<MeshFormat, const char*> names[] = {{MeshFormat::stl, "stl"},     {MeshFormat::obj, "obj"},
                                                        {MeshFormat::ply, "ply"},     {MeshFormat::off, "off"},
                                                        {MeshFormat::threeMf, "3mf"}, {MeshFormat::amf, "amf"}};

MeshFormat bySuffix(const std::string& name) {
  std::string suffix = std::filesystem::path(name).extension().string();
  for (char& c : suffix) c = static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
  return suffix.empty() ? MeshFormat::none : formatNamed(suffix.substr(1));
}

// OFF begins, after any comments, with its name, which letters for what else each vertex carries may stand
// before.
bool looksOff(std::string_view bytes) {
  while (bytes.starts_with('#') || bytes.starts_with('\n') || bytes.starts_with('\r')) {
    const std::size_t end = bytes.find('\n');
    if (end == std::string_view::npos) return false;
    bytes.remove_prefix(end + 1);
  }
  const std::size_t at = bytes.find("OFF");
  return at != std::string_view::npos && at <= 5 &&
         bytes.substr(0, at).find_first_not_of("STCN4n") == std::string_view::npos;
}

std::string upper(std::string text) {
  for (char& c : text) c = static_cast<char>(std::toupper(static_cast<unsigned char>(c)));
  return text;
}

}  // namespace

const char* nameOf(MeshFormat format) {
  for (const auto& [known, name] : names)
    if (known == format) return name;
  return "";
}

MeshFormat formatNamed(std::string_view name) {
  for (const auto& [format, known] : names)
    if (name == known) return format;
  return MeshFormat::none;
}

bool looksZipped(std::string_view bytes) { return bytes.starts_with("PK\x03\x04") || bytes.starts_with("PK\x05\x06"); }

MeshFormat formatOf(const std::string& name, std::string_view bytes) {
  const MeshFormat suffix = bySuffix(name);
  if (looksZipped(bytes)) return suffix == MeshFormat::amf ? suffix : MeshFormat::threeMf;
  if (bytes.starts_with("ply\n") || bytes.starts_with("ply\r")) return MeshFormat::ply;
  if (looksOff(bytes)) return MeshFormat::off;
  if (bytes.substr(0, 2000).find("<amf") != std::string_view::npos) return MeshFormat::amf;
  return suffix;
}

std::vector<NamedMesh> readMeshFile(const std::filesystem::path& path, const Progress& progress) {
  progress.report(0, "reading");
  const std::string bytes = readFile(path);
  const std::string name = path.filename().string();
  if (bytes.empty()) throw Error(say("{} is empty. Export the mesh again.", name));
  const MeshFormat format = formatOf(name, bytes);
  if (format == MeshFormat::none)
    throw Error(say("{} is not a mesh this program reads. Export it as STL, OBJ, PLY, OFF, 3MF or AMF.", name));
  if (format == MeshFormat::threeMf && !looksZipped(bytes))
    throw Error(say("{} is not a 3MF package, whatever its name says. Export it again as 3MF or STL.", name));
  if ((format == MeshFormat::ply || format == MeshFormat::off || format == MeshFormat::amf) &&
      formatOf("", bytes) == MeshFormat::none)
    throw Error(say("{} is not {}, whatever its name says. Export it again.", name, upper(nameOf(format))));
  std::vector<NamedMesh> meshes;
  if (format == MeshFormat::stl)
    meshes.push_back({path.stem().string(), readStl(bytes, name)});
  else
    meshes = readForeign(path, format, progress);
  for (const NamedMesh& part : meshes) {
    const double reach =
        std::max(part.mesh->bounds.max().cwiseAbs().maxCoeff(), part.mesh->bounds.min().cwiseAbs().maxCoeff());
    if (reach > largestSize)
      throw Error(say("{} reaches {:.3g} m from its origin, which no printer does. Check its unit and export it again.",
                      name, reach / 1000));
  }
  return meshes;
}

MeshPtr readOneMesh(const std::filesystem::path& path, const Progress& progress) {
  std::vector<NamedMesh> meshes = readMeshFile(path, progress);
  std::erase_if(meshes, [](const NamedMesh& mesh) { return mesh.support; });
  if (meshes.size() != 1)
    throw Error(say("{} holds several meshes, and one is wanted. Save the one as a file of its own.",
                    path.filename().string()));
  return meshes.front().mesh;
}

}  // namespace trellis
