// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/part_paths.hpp"

#include "core/toolpath/centre_lines.hpp"
#include "core/toolpath/fill.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double smoothing = 0.008;      // mm; outlines may move this much before they are printed
constexpr double leastBridge = 1.0;      // mm² of surface over nothing that is worth bridging lines
constexpr double fillInset = 0.35;       // of a line width: fill lines bond into the walls a little

void addLines(std::vector<Path>& out, Feature feature, double width, const Polygons& lines) {
  for (const Polygon& line : lines) out.push_back({feature, width, false, line});
}

// What of this layer is bare in one of the layers that skins look at; those outside the part are empty.
Polygons bareAgainst(const std::vector<Polygons>& sections, std::size_t layer, int count, int direction,
                     const Polygons& region) {
  Polygons covered = region;
  for (int k = 1; k <= count && !covered.empty(); ++k) {
    const auto other = static_cast<std::ptrdiff_t>(layer) + direction * k;
    if (other < 0 || other >= static_cast<std::ptrdiff_t>(sections.size())) return region;
    covered = intersect(covered, sections[static_cast<std::size_t>(other)]);
  }
  return subtract(region, covered);
}

Polygons bridgesIn(const std::vector<Polygons>& sections, std::size_t layer, const Polygons& inside,
                   const Polygons& carried, double w) {
  if (layer == 0) return {};
  const Polygons bare = opened(subtract(subtract(inside, sections[layer - 1]), grow(carried, w)), w / 4);
  const Polygons wide = withoutSpecks(bare, leastBridge);
  return wide.empty() ? wide : intersect(inside, grow(wide, 1.5 * w));
}

// Loops that run over nothing for a tenth of their length are printed as steep ones.
void markSteep(std::vector<Path>& loops, const Polygons& below) {
  constexpr double share = 0.1;
  for (Path& loop : loops) {
    double over = 0;
    for (const Polygon& line : linesOutside(asLines({loop.points}), below)) over += lengthOf({loop.feature, loop.width, false, line});
    if (over > share * lengthOf(loop)) loop.feature = Feature::wallSteep;
  }
}

class IslandFiller {
 public:
  IslandFiller(const std::vector<Polygons>& sections, std::size_t layer, const Polygons& carried, const PartRules& rules)
      : sections_(sections), layer_(layer), carried_(carried), rules_(rules) {}

  // Bridges, skins and infill of what the walls leave free, in the order they are printed.
  void fill(const Polygons& inside, std::vector<std::vector<Path>>& stages) const {
    const double w = rules_.lineWidth;
    const Polygons bridges = bridgesIn(sections_, layer_, inside, carried_, w);
    for (const Polygons& bridge : components(bridges)) {
      const double angle = spanAngle(bridge, sections_[layer_ - 1], w);
      addLines(stages.emplace_back(), Feature::bridge, w, fillLines(grow(bridge, -w * fillInset), angle, w));
    }
    const Polygons rest = subtract(inside, bridges);
    const Polygons skins = skinsIn(rest);
    const bool carried = !carried_.empty() && area(intersect(skins, carried_)) > area(skins) / 2;
    const double angle = carried || layer_ % 2 == 0 ? evenAngle : oddAngle;
    addLines(stages.emplace_back(), carried ? Feature::skinCarried : Feature::skin, w, fillLines(grow(skins, -w * fillInset), angle, w));
    if (rules_.infillDensity <= 0) return;
    const Polygons sparse = opened(subtract(rest, skins), w / 2);
    addLines(stages.emplace_back(), Feature::infill, w,
             fillLines(grow(sparse, -w * fillInset), layer_ % 2 ? oddAngle : evenAngle, w / rules_.infillDensity, w));
  }

 private:
  Polygons skinsIn(const Polygons& rest) const {
    Polygons bare = unite(bareAgainst(sections_, layer_, rules_.skinBottom, -1, rest),
                          bareAgainst(sections_, layer_, rules_.skinTop, 1, rest));
    bare = opened(bare, rules_.lineWidth / 8);
    return bare.empty() ? bare : intersect(rest, grow(bare, rules_.lineWidth));
  }

  const std::vector<Polygons>& sections_;
  std::size_t layer_;
  const Polygons& carried_;
  const PartRules& rules_;
};

}  // namespace

Walls wallsOf(const Polygons& region, int count, double lineWidth, Feature outer, Feature inner) {
  Walls walls;
  walls.inside = region;
  for (int k = 0; k < count && !walls.inside.empty(); ++k) {
    const Polygons centres = simplified(grow(walls.inside, -lineWidth / 2), smoothing);
    if (k == 0) {
      // Opened by a hundredth, for the medial axis goes astray where an outline touches itself.
      const Polygons missed = opened(withoutSpecks(subtract(region, grow(centres, lineWidth / 2 + 0.03)), lineWidth * lineWidth / 8), 0.01);
      for (CentreLine& line : centreLines(missed, lineWidth / 2))
        walls.thin.push_back({outer, std::max(line.width, lineWidth / 2), false, std::move(line.points)});
      walls.tooThin = missed;
      for (const Path& path : walls.thin) walls.tooThin = subtract(walls.tooThin, around({path.points}, path.width));
      walls.tooThin = withoutSpecks(walls.tooThin, lineWidth * lineWidth / 4);
    }
    std::vector<Path>& loops = walls.loops.emplace_back();
    for (const Polygon& loop : centres) loops.push_back({k == 0 ? outer : inner, lineWidth, true, loop});
    walls.inside = grow(centres, -lineWidth / 2);
  }
  return walls;
}

PartPaths partPaths(std::size_t part, const std::vector<Polygons>& sections, std::size_t layer,
                    const Polygons& carried, const PartRules& rules) {
  PartPaths result;
  const IslandFiller filler(sections, layer, carried, rules);
  for (const Polygons& island : components(sections[layer])) {
    Walls walls = wallsOf(island, rules.walls, rules.lineWidth, Feature::wallOuter, Feature::wallInner);
    PathGroup group{{Owner::part, part}, {}};
    if (layer > 0 && !walls.loops.empty()) markSteep(walls.loops.front(), sections[layer - 1]);
    std::reverse(walls.loops.begin(), walls.loops.end());  // inner walls first: they hold the outer ones
    group.stages = std::move(walls.loops);
    group.stages.push_back(std::move(walls.thin));
    filler.fill(walls.inside, group.stages);
    result.groups.push_back(std::move(group));
    result.tooThin.insert(result.tooThin.end(), walls.tooThin.begin(), walls.tooThin.end());
  }
  return result;
}

}  // namespace trellis
