// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/layer_stacks.hpp"

#include "core/assess/support_export.hpp"

#include <fmt/format.h>

#include <iterator>
#include <set>

namespace trellis {

LayerStack stackOf(const PartBuild& part) {
  LayerStack stack;
  for (std::size_t l = 0; l < part.plan.count(); ++l)
    stack.layers.push_back({part.plan.spans[l].top, (*part.sections)[l]});
  return stack;
}

std::vector<PieceSlab> slabsOfPiece(const Build& build, std::size_t piece, bool interface) {
  std::vector<PieceSlab> slabs;
  for (const SupportLayer& layer : build.support->layers)
    for (const PieceRegion& region : layer.regions)
      if (region.piece == piece && isInterface(region.kind) == interface)
        slabs.push_back({layer.bottom, layer.top, region.key, &region.area});
  return slabs;
}

LayerStack stackOfPiece(const Build& build, std::size_t piece, bool interface) {
  const std::vector<PieceSlab> slabs = slabsOfPiece(build, piece, interface);
  std::set<double> heights;
  for (const PieceSlab& slab : slabs) heights.insert({slab.bottom, slab.top});
  LayerStack stack;
  if (slabs.empty()) return stack;
  stack.bottom = *heights.begin();
  std::size_t first = 0;  // slabs are by top: those before it end below
  for (auto top = std::next(heights.begin()); top != heights.end(); ++top) {
    const double middle = (*std::prev(top) + *top) / 2;
    while (first < slabs.size() && slabs[first].top < middle) ++first;
    Polygons area;
    for (std::size_t k = first; k < slabs.size(); ++k)
      if (slabs[k].bottom < middle) area.insert(area.end(), slabs[k].area->begin(), slabs[k].area->end());
    stack.layers.push_back({*top, unite(area)});
  }
  return stack;
}

void appendStack(std::string& xml, std::size_t id, const LayerStack& stack) {
  const auto out = std::back_inserter(xml);
  fmt::format_to(out, "<s:slicestack id=\"{}\" zbottom=\"{:.6f}\">\n", id, stack.bottom);
  for (const LayerStack::Layer& layer : stack.layers) {
    fmt::format_to(out, "<s:slice ztop=\"{:.6f}\">", layer.top);
    if (!layer.area.empty()) {
      xml += "<s:vertices>\n";
      for (const Polygon& outline : layer.area)
        for (const Point& point : outline)
          fmt::format_to(out, "<s:vertex x=\"{:.6f}\" y=\"{:.6f}\"/>\n", toMm(point).x(), toMm(point).y());
      xml += "</s:vertices>\n";
    }
    std::size_t first = 0;
    for (const Polygon& outline : layer.area) {
      fmt::format_to(out, "<s:polygon startv=\"{}\">", first);
      for (std::size_t k = 1; k <= outline.size(); ++k)
        fmt::format_to(out, "<s:segment v2=\"{}\"/>", first + k % outline.size());
      xml += "</s:polygon>\n";
      first += outline.size();
    }
    xml += "</s:slice>\n";
  }
  xml += "</s:slicestack>\n";
}

}  // namespace trellis
