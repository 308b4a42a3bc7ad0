// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/part_paths.hpp"

#include "core/base/parallel.hpp"
#include "core/toolpath/fill.hpp"
#include "core/toolpath/stretches.hpp"
#include "core/toolpath/walls.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double smoothing = 0.008;       // mm; outlines may move this much before they are printed
constexpr double coverCoarseness = 0.02;  // mm; a cover's rim lies under walls or bonds into infill
constexpr double leastBridge = 1.0;       // mm² of surface over nothing that is worth bridging lines
constexpr double fillInset = 0.35;        // of a line width: sparse lines bond into the walls a little
constexpr double endInset = 0.15;         // and solid ones more, so that nothing stays open between their round ends
constexpr double betweenTips = 4;         // mm of daylight between supports that a line spans without a thought
constexpr double mostSparse = 0.9;        // of the volume; denser infill is solid

void addLines(std::vector<Path>& out, Feature feature, double width, const Polygons& lines) {
  for (const Polygon& line : lines) out.push_back({feature, width, false, line});
}

// What count layers have in common, from each layer on; nothing where the part has fewer above.
std::vector<Polygons> commonOf(const std::vector<Polygons>& sections, std::size_t count, const Progress& progress) {
  std::vector<Polygons> common = sections;
  for (std::size_t have = 1; have < count;) {
    const std::size_t more = std::min(have, count - have);
    std::vector<Polygons> longer(sections.size());
    parallelFor(sections.size(), progress, [&](std::size_t l) {
      if (l + have + more <= sections.size())
        longer[l] = common[l] == common[l + more] ? common[l] : intersect(common[l], common[l + more]);
    });
    common = std::move(longer);
    have += more;
  }
  return common;
}

Polygons bridgesIn(const std::vector<Polygons>& sections, std::size_t layer, const Polygons& inside,
                   const Polygons& carried, double w) {
  if (layer == 0) return {};
  Polygons bare = withoutSpecks(subtract(inside, sections[layer - 1]), leastBridge);
  if (!bare.empty()) bare = opened(subtract(bare, grow(carried, w)), w / 4);
  const Polygons wide = withoutSpecks(bare, leastBridge);
  return wide.empty() ? wide : intersect(inside, grow(wide, 1.5 * w));
}

// A wall is printed as a steep one where it runs over nothing, and as what it is elsewhere.
std::vector<Path> dividedBySteepness(const std::vector<Path>& loops, const Polygons& below) {
  constexpr double shortest = 1.5;  // mm of a stretch
  std::vector<Path> divided;
  for (const Path& loop : loops) {
    std::vector<Stretch> steep;
    for (const Polygon& line : linesOutside(loop.closed ? asLines({loop.points}) : Polygons{loop.points}, below))
      for (std::size_t i = 1; i < line.size(); ++i) steep.push_back(stretchOn(loop, line[i - 1], line[i]));
    for (Path& path : cutAt(loop, merged(std::move(steep), shortest), Feature::wallSteep))
      divided.push_back(std::move(path));
  }
  return divided;
}

// Lines that end where another begins are one: outlines that were cut open where they happened to begin.
Polygons joined(Polygons lines) {
  for (std::size_t i = 0; i < lines.size(); ++i)
    for (std::size_t k = i + 1; k < lines.size();) {
      if (lines[i].front() == lines[k].front() || lines[i].back() == lines[k].back())
        std::reverse(lines[k].begin(), lines[k].end());
      if (lines[k].back() == lines[i].front()) std::swap(lines[i], lines[k]);
      if (lines[i].back() != lines[k].front()) {
        ++k;
        continue;
      }
      lines[i].insert(lines[i].end(), lines[k].begin() + 1, lines[k].end());
      lines.erase(lines.begin() + static_cast<std::ptrdiff_t>(k));
      k = i + 1;
    }
  return lines;
}

// What neither loops nor single lines reach.
Polygons unprinted(const Walls& walls, double lineWidth) {
  Polygons printed;
  for (const Path& path : walls.thin)
    for (Polygon& band : around({path.points}, path.width)) printed.push_back(std::move(band));
  return withoutSpecks(opened(subtract(walls.missed, printed), 0.01), lineWidth * lineWidth / 4);
}

class IslandFiller {
 public:
  IslandFiller(const std::vector<Polygons>& sections, const std::vector<Polygons>& buried, std::size_t layer,
               const Polygons& carried, const PartRules& rules)
      : sections_(sections),
        buried_(buried),
        layer_(layer),
        carried_(carried.empty() ? carried : closed(carried, betweenTips / 2)),
        rules_(rules) {}

  // Bridges, covers and infill of what the walls leave free, in the order they are printed.
  void fill(const Polygons& inside, std::vector<std::vector<Path>>& stages) const {
    const double w = rules_.lineWidth;
    const Polygons thin = thinIn(inside);
    if (!thin.empty()) stages.push_back(singleLines(thin, {Feature::wallInner, w, false, {}, rules_.height}));
    fillBroad(thin.empty() ? inside : subtract(inside, thin), stages);
  }

 private:
  // What the walls leave so narrow that one line more fills it, solid or not.
  Polygons thinIn(const Polygons& inside) const {
    const double w = rules_.lineWidth;
    const Polygons thin = withoutSpecks(narrowIn(inside, singleUpTo), w * w);
    return thin.empty() ? thin : withoutSpecks(opened(thin, w / 20), w * w);
  }

  void fillBroad(const Polygons& inside, std::vector<std::vector<Path>>& stages) const {
    const double w = rules_.lineWidth;
    const Polygons bridges = bridgesIn(sections_, layer_, inside, carried_, w);
    for (const Polygons& bridge : components(bridges)) {
      const double angle = spanAngle(bridge, sections_[layer_ - 1], w);
      addLines(stages.emplace_back(), Feature::bridge, w, fillLines(grow(bridge, -w * fillInset), angle, w));
    }
    const Polygons rest = subtract(inside, bridges);
    Polygons covers = skinsIn(rest);
    const bool carried = !carried_.empty() && area(intersect(covers, carried_)) > area(covers) / 2;
    const double angle = carried || layer_ % 2 == 0 ? evenAngle : oddAngle;
    const Feature feature = carried ? Feature::coverCarried : Feature::cover;
    Polygons reach = grow(covers, -w * fillInset), edges = edgesOf(reach, inside);
    if (const Polygons more = intersect(wantingHold(edges), rest); !more.empty()) {
      covers = unite(covers, more);
      reach = grow(covers, -w * fillInset);
      edges = edgesOf(reach, inside);
    }
    addLines(stages.emplace_back(), feature, w, edges);
    const Path like{feature, w, false, {}, rules_.height};
    const Polygons within = edges.empty() ? covers : subtract(covers, around(edges, filledBy(w, rules_.height) / 2));
    stages.push_back(solidLines(within, angle, w * endInset, like));
    if (rules_.infillDensity <= 0) return;
    if (rules_.infillDensity > mostSparse)
      return stages.push_back(
          solidLines(subtract(rest, covers), angle, w * endInset, {Feature::infill, w, false, {}, rules_.height}));
    const Polygons room =
        grow(grow(subtract(rest, covers), -w / 2), w * (0.5 - fillInset));  // but where it is narrower than a line
    addLines(stages.emplace_back(), Feature::infill, w,
             fillLines(room, layer_ % 2 ? oddAngle : evenAngle, w / rules_.infillDensity, w));
  }

  Polygons skinsIn(const Polygons& rest) const {
    const double w = rules_.lineWidth;
    const Polygons bare = grow(subtract(rest, buried_[layer_]), -w / 8);  // but slivers of slopes
    return bare.empty() ? bare : intersect(rest, grow(bare, w + w / 8));
  }

  // Where a cover borders on infill, one line along its rim, from wall to wall: it spans the infill below, and the ends
  // of cover and infill lines hold on to it.
  Polygons edgesOf(const Polygons& covers, const Polygons& inside) const {
    const double w = rules_.lineWidth;
    Polygons rims = joined(linesInside(asLines(simplified(covers, smoothing)), grow(inside, -w * (fillInset + 0.05))));
    std::erase_if(rims, [&](const Polygon& line) { return lengthOf(line) < w; });
    return rims;
  }

  // Where such a line would run along the infill below and find nothing to hold on to, the cover is to reach to the
  // next infill line.
  Polygons wantingHold(const Polygons& edges) const {
    if (layer_ == 0 || edges.empty() || rules_.infillDensity <= 0) return {};
    const double w = rules_.lineWidth;
    const Polygons overInfill = linesInside(edges, buried_[layer_ - 1]);
    return unite(stripsWithoutHold(overInfill, layer_ % 2 ? evenAngle : oddAngle, w / rules_.infillDensity,
                                   rules_.longestSpan, w / 2, w * fillInset));
  }

  const std::vector<Polygons>& sections_;
  const std::vector<Polygons>& buried_;
  std::size_t layer_;
  Polygons carried_;  // one field, where support stands in tips: lines run on from one to the next
  const PartRules& rules_;
};

}  // namespace

std::vector<Polygons> buriedIn(const std::vector<Polygons>& sections, const PartRules& rules,
                               const Progress& progress) {
  const auto top = static_cast<std::size_t>(rules.coverTop), bottom = static_cast<std::size_t>(rules.coverBottom);
  std::vector<Polygons> coarse(sections.size());
  parallelFor(sections.size(), progress, [&](std::size_t l) { coarse[l] = simplified(sections[l], coverCoarseness); });
  const std::vector<Polygons> above = commonOf(coarse, top, progress), below = commonOf(coarse, bottom, progress);
  std::vector<Polygons> buried(sections.size());
  parallelFor(sections.size(), progress, [&](std::size_t l) {
    if (l < bottom || l + top >= sections.size()) return;
    buried[l] = top == 0 ? coarse[l] : above[l + 1];
    if (bottom > 0) buried[l] = intersect(buried[l], below[l - bottom]);
  });
  return buried;
}

PartPaths partPaths(const std::vector<Polygons>& sections, const std::vector<Polygons>& buried, std::size_t layer,
                    const Polygons& carried, const PartRules& rules) {
  PartPaths result;
  const IslandFiller filler(sections, buried, layer, carried, rules);
  for (const Polygons& island : components(sections[layer])) {
    Walls walls = wallsOf(island, {rules.walls, rules.lineWidth, rules.height});
    PathGroup group{{Owner::part, 0}, {}};
    if (layer > 0 && !walls.loops.empty())
      walls.loops.front() = dividedBySteepness(walls.loops.front(), sections[layer - 1]);
    std::reverse(walls.loops.begin(), walls.loops.end());  // inner walls first: they hold the outer ones
    const Polygons tooThin = unprinted(walls, rules.lineWidth);
    result.tooThin.insert(result.tooThin.end(), tooThin.begin(), tooThin.end());
    group.stages = std::move(walls.loops);
    group.stages.push_back(std::move(walls.thin));
    filler.fill(walls.inside, group.stages);
    result.groups.push_back(std::move(group));
  }
  return result;
}

}  // namespace trellis
