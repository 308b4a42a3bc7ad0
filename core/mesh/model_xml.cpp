// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/model_xml.hpp"

#include <fmt/format.h>

#include <iterator>

namespace trellis {

namespace {

std::string escaped(const std::string& text) {
  std::string out;
  for (const char c : text) switch (c) {
      case '&':
        out += "&amp;";
        break;
      case '<':
        out += "&lt;";
        break;
      case '>':
        out += "&gt;";
        break;
      case '"':
        out += "&quot;";
        break;
      default:
        out += static_cast<unsigned char>(c) < 32 ? ' ' : c;
    }
  return out;
}

}  // namespace

std::string beginModel(bool withStacks) {
  return std::string(
             "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<model unit=\"millimeter\" xml:lang=\"en-US\" "
             "xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\"") +
         (withStacks ? " xmlns:s=\"http://schemas.microsoft.com/3dmanufacturing/slice/2015/07\"" : "") +
         ">\n"
         "<metadata name=\"Application\">Meek Trellis " TRELLIS_VERSION "</metadata>\n<resources>\n";
}

void appendObject(std::string& xml, const ModelObject& object, const TriangleMesh& mesh) {
  const auto out = std::back_inserter(xml);
  fmt::format_to(out, "<object id=\"{}\" type=\"{}\" name=\"{}\"", object.id, object.type, escaped(object.name));
  if (object.stack) fmt::format_to(out, " s:slicestackid=\"{}\" s:meshresolution=\"fullres\"", object.stack);
  xml += "><mesh><vertices>\n";
  for (const Vec3f& v : mesh.vertices)
    fmt::format_to(out, "<vertex x=\"{:.9g}\" y=\"{:.9g}\" z=\"{:.9g}\"/>\n", v.x(), v.y(), v.z());
  xml += "</vertices><triangles>\n";
  for (const Facet& f : mesh.facets)
    fmt::format_to(out, "<triangle v1=\"{}\" v2=\"{}\" v3=\"{}\"/>\n", f[0], f[1], f[2]);
  xml += "</triangles></mesh></object>\n";
}

void appendItem(std::string& xml, std::size_t id, const Affine& toPlate) {
  const auto out = std::back_inserter(xml);
  fmt::format_to(out, "<item objectid=\"{}\" transform=\"", id);
  for (int column = 0; column < 4; ++column)
    for (int row = 0; row < 3; ++row)
      fmt::format_to(out, "{}{:.9g}", column + row ? " " : "", toPlate.matrix()(row, column));
  xml += "\"/>\n";
}

std::string contentTypes() {
  return R"(<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">
<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>
<Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/>
<Default Extension="png" ContentType="image/png"/>
<Default Extension="json" ContentType="application/json"/>
<Default Extension="bin" ContentType="application/octet-stream"/>
</Types>
)";
}

std::string rootRelations(bool withThumbnail) {
  const auto relation = [](const char* id, const char* target, const char* type) {
    return fmt::format("<Relationship Id=\"{}\" Target=\"{}\" Type=\"{}\"/>\n", id, target, type);
  };
  std::string xml = R"(<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">
)";
  xml += relation("model", "/3D/3dmodel.model", "http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel");
  if (withThumbnail)
    xml += relation("thumbnail", "/Metadata/thumbnail.png",
                    "http://schemas.openxmlformats.org/package/2006/relationships/metadata/thumbnail");
  return xml + "</Relationships>\n";
}

}  // namespace trellis
