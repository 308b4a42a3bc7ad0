// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/adhesion.hpp"

#include "core/toolpath/fill.hpp"
#include "core/toolpath/part_paths.hpp"
#include "core/toolpath/walls.hpp"
#include "core/toolpath/zigzag.hpp"

namespace trellis {

namespace {

// Around outlines, or inside their holes, the innermost first, each so far from the part as its middle is.
Polygons loopsAround(const Polygons& parts, const AdhesionRules& rules) {
  const double w = rules.firstLineWidth;
  Polygons outer, holes, lines;
  for (Polygon outline : parts) {
    const bool isOuter = ClipperLib::Orientation(outline);
    if (!isOuter) ClipperLib::ReversePath(outline);
    (isOuter ? outer : holes).push_back(std::move(outline));
  }
  for (double out = rules.brimGap + w / 2; out < rules.brimGap + rules.brimWidth; out += w) {
    if (rules.brimSide != BrimSide::inside)
      for (Polygon& loop : simplified(grow(unite(outer), out), 0.01)) lines.push_back(std::move(loop));
    if (rules.brimSide != BrimSide::outside)
      for (Polygon& loop : simplified(grow(holes, -out), 0.01)) lines.push_back(std::move(loop));
  }
  return lines;
}

}  // namespace

std::vector<LayerSpan> raftSpans(const AdhesionRules& rules, const LayerRules& layers) {
  std::vector<LayerSpan> spans;
  if (rules.raftLayers == 0) return spans;
  double bottom = -rules.raftGap - layers.first - (rules.raftLayers - 1) * layers.height;
  for (int k = 0; k < rules.raftLayers; ++k) {
    const double top = k + 1 == rules.raftLayers ? -rules.raftGap : bottom + (k == 0 ? layers.first : layers.height);
    spans.push_back({bottom, top});
    bottom = top;
  }
  return spans;
}

Polygons raftOutline(const Polygons& standing, const AdhesionRules& rules) {
  return simplified(closed(grow(standing, rules.raftReach), rules.raftReach), 0.01);
}

PathGroup raftLines(const Polygons& outline, std::size_t layer, const AdhesionRules& rules) {
  const double w = rules.lineWidth;
  Walls walls = loopsOf(outline, {1, w, 0, Feature::raft, Feature::raft});
  PathGroup group;
  group.stages = std::move(walls.loops);
  std::vector<Path>& lines = group.stages.emplace_back();
  const Polygons room = grow(walls.inside, -0.35 * w);
  for (Polygon& line : zigzag(fillLines(room, layer % 2 == 0 ? evenAngle : oddAngle, w), room, longestJoin * w))
    lines.push_back({Feature::raft, w, false, std::move(line)});
  return group;
}

PathGroup brimLines(const Polygons& parts, const Polygons& supports, const AdhesionRules& rules) {
  PathGroup group;
  const double w = rules.firstLineWidth;
  const Polygons loops = loopsAround(parts, rules);
  if (loops.empty()) return group;
  std::vector<Path>& paths = group.stages.emplace_back();
  const Polygons kept = grow(unite(supports, grow(parts, rules.brimGap)), w / 2 - 1e-3);
  for (const Polygon& loop : loops) {
    const Lines outside = linesOutside(asLines({loop}), kept);
    const bool isWhole = outside.size() == 1 && outside.front().front() == outside.front().back();
    if (isWhole)
      paths.push_back({Feature::brim, w, true, loop});
    else
      for (const Polygon& line : outside) paths.push_back({Feature::brim, w, false, line});
  }
  return group;
}

Polygons brimReach(const Polygons& parts, const AdhesionRules& rules) {
  return rules.brimWidth > 0 ? grow(parts, rules.brimGap + rules.brimWidth) : Polygons{};
}

PathGroup skirtLines(const Polygons& covered, const AdhesionRules& rules) {
  PathGroup group;
  for (int loop = rules.skirtLoops; loop-- > 0;) {
    std::vector<Path>& paths = group.stages.emplace_back();
    for (const Polygon& outline :
         simplified(grow(covered, rules.skirtDistance + rules.firstLineWidth * (loop + 0.5)), 0.01))
      if (ClipperLib::Orientation(outline)) paths.push_back({Feature::skirt, rules.firstLineWidth, true, outline});
  }
  return group;
}

double plateHeight(const Settings& settings) {
  const std::vector<LayerSpan> raft = raftSpans(adhesionRules(settings), layerRules(settings));
  return raft.empty() ? 0 : raft.front().bottom;
}

}  // namespace trellis
