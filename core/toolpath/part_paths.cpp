// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/part_paths.hpp"

#include "core/base/parallel.hpp"
#include "core/geometry/edge_grid.hpp"
#include "core/toolpath/fill.hpp"
#include "core/toolpath/seam.hpp"
#include "core/toolpath/stretches.hpp"
#include "core/toolpath/tour.hpp"
#include "core/toolpath/walls.hpp"
#include "core/toolpath/zigzag.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double smoothing = 0.008;       // mm; outlines may move this much before they are printed
constexpr double coverCoarseness = 0.02;  // mm; a cover's rim lies under walls or bonds into infill
constexpr double leastBridge = 1.0;       // mm² of surface over nothing that is worth bridging lines
constexpr double fillInset = 0.35;        // of a line width: sparse lines bond into the walls a little
constexpr double endInset = 0.2;          // and solid ones more, so that nothing stays open where they turn
constexpr double betweenTips = 4;         // mm of daylight between supports that a line spans without a thought
constexpr double unbent = 1.5;            // mm beside sparse infill where lines do not join
constexpr double mostSparse = 0.9;        // of the volume; denser infill is solid

void addLines(std::vector<Path>& out, Feature feature, double width, const Lines& lines) {
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
    for (const Polygon& line : linesOutside(loop.closed ? asLines({loop.points}) : Lines{loop.points}, below))
      for (std::size_t i = 1; i < line.size(); ++i) steep.push_back(stretchOn(loop, line[i - 1], line[i]));
    for (Path& path : cutAt(loop, merged(std::move(steep), shortest), Feature::wallSteep))
      divided.push_back(std::move(path));
  }
  return divided;
}

// Which of the lines is nearest to where an outline begins; none when all are farther than reach.
std::size_t nearestLine(const EdgeGrid& lines, const Polygon& outline, double reach, std::size_t none) {
  std::size_t nearest = none;
  const Vec2 at = toMm(outline.front());
  lines.anyNear(at, [&](const Edge& edge) {
    if (const double off = (edge.at(edge.nearestTo(at)) - at).norm(); off < reach) {
      reach = off;
      nearest = edge.line;
    }
    return false;
  });
  return nearest;
}

void beginNear(Polygon& outline, const Vec2& place) {
  std::rotate(outline.begin(),
              std::min_element(outline.begin(), outline.end(),
                               [&](const Point& a, const Point& b) {
                                 return (toMm(a) - place).squaredNorm() < (toMm(b) - place).squaredNorm();
                               }),
              outline.end());
}

// Outer walls from their seams, each after the inner ones that lie along it, from the inside out: they hold it, and
// from one to the next the nozzle has a step to go. loops: outermost first; below: what lies under them, or null.
std::vector<std::vector<Path>> wallStages(std::vector<std::vector<Path>> loops, const Polygons& carried,
                                          const Polygons* below, double lineWidth) {
  std::vector<std::vector<Path>> stages;
  if (loops.empty()) return stages;
  std::vector<Path>& outer = loops.front();
  std::vector<Vec2> seams;
  Lines lines;
  for (Path& wall : outer) {
    if (wall.closed) wall.points = beginningAtSeam(std::move(wall.points), carried);
    seams.push_back(toMm(wall.points.front()));
    lines.push_back(wall.closed ? asLines({wall.points}).front() : wall.points);
  }
  const EdgeGrid grid(lines, static_cast<double>(loops.size()) * lineWidth);
  // By outer wall, and at the end what lies along none.
  std::vector<std::vector<std::vector<Path>>> nests(outer.size() + 1);
  for (std::size_t k = loops.size(); k-- > 1;) {
    for (auto& nest : nests) nest.emplace_back();
    for (Path& wall : loops[k]) {
      const std::size_t nest = nearestLine(grid, wall.points, (static_cast<double>(k) + 1) * lineWidth, outer.size());
      if (wall.closed && nest < outer.size()) beginNear(wall.points, seams[nest]);
      nests[nest].back().push_back(std::move(wall));
    }
  }
  for (auto& stage : nests.back()) stages.push_back(std::move(stage));
  for (const std::size_t nest : tourOf(seams, seams.empty() ? Vec2(0, 0) : seams.front())) {
    for (auto& stage : nests[nest]) stages.push_back(std::move(stage));
    stages.push_back(below ? dividedBySteepness({outer[nest]}, *below) : std::vector<Path>{outer[nest]});
  }
  return stages;
}

// Lines that end where another begins are one: outlines that were cut open where they happened to begin.
Lines joined(Lines lines) {
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
      lines.erase(k);
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

bool isDense(const PartRules& rules) { return rules.infillDensity > mostSparse; }

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
    fillBroad(thin.empty() ? inside : subtract(inside, thin), stages);
    if (thin.empty()) return;
    // They lie all over, so they are drawn on the way of what comes last.
    if (stages.empty()) stages.emplace_back();
    for (Path& line : singleLines(thin, {Feature::wallInner, w, false, {}, rules_.height}))
      stages.back().push_back(std::move(line));
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
    Polygons reach = grow(covers, -w * fillInset);
    Lines edges = edgesOf(reach, inside);
    if (const Polygons more = intersect(wantingHold(edges), rest); !more.empty()) {
      covers = unite(covers, more);
      reach = grow(covers, -w * fillInset);
      edges = edgesOf(reach, inside);
    }
    const Polygons within = edges.empty() ? covers : subtract(covers, around(edges, filledBy(w, rules_.height) / 2));
    layCovers(within, edges, angle, {feature, w, false, {}, rules_.height}, stages);
    if (rules_.infillDensity <= 0) return;
    if (isDense(rules_))
      return stages.push_back(
          solidLines(subtract(rest, covers), angle, w * endInset, {Feature::infill, w, false, {}, rules_.height}));
    const Polygons room =
        grow(grow(subtract(rest, covers), -w / 2), w * (0.5 - fillInset));  // but where it is narrower than a line
    // Not joined: over sparse lines a join prints on air.
    addLines(stages.emplace_back(), Feature::infill, w,
             fillLines(room, layer_ % 2 ? oddAngle : evenAngle, w / rules_.infillDensity, w));
  }

  // Piece by piece, each after its edges, along a short way from where the walls end.
  void layCovers(const Polygons& within, const Lines& edges, double angle, const Path& like,
                 std::vector<std::vector<Path>>& stages) const {
    const std::vector<Polygons> pieces = components(within);
    if (pieces.empty()) return addLines(stages.emplace_back(), like.feature, like.width, edges);
    std::vector<Box2> boxes;
    std::vector<Vec2> middles;
    for (const Polygons& piece : pieces) {
      boxes.push_back(boundsOf(piece));
      middles.push_back(boxes.back().center());
    }
    const bool begun = !stages.empty() && !stages.back().empty();
    const std::vector<std::size_t> tour =
        tourOf(middles, begun ? toMm(stages.back().back().points.front()) : Vec2(0, 0));
    // An edge comes before whatever may hold on to it.
    std::vector<Lines> edgesOfPiece(pieces.size());
    for (const Polygon& edge : edges) {
      Box2 box = boundsOf({edge});
      box = Box2(box.min().array() - like.width, box.max().array() + like.width);
      const auto first =
          std::find_if(tour.begin(), tour.end(), [&](std::size_t p) { return boxes[p].intersects(box); });
      edgesOfPiece[first == tour.end() ? tour.front() : *first].push_back(edge);
    }
    // Near sparse infill a line's last stretch is a bridge to the wall, and a join would bend it.
    Box2 near = boundsOf(within);
    near = Box2(near.min().array() - unbent, near.max().array() + unbent);
    const Polygons open = layer_ == 0 ? Polygons{} : grow(intersect(buried_[layer_ - 1], rectangle(near)), unbent);
    for (const std::size_t p : tour) {
      addLines(stages.emplace_back(), like.feature, like.width, edgesOfPiece[p]);
      stages.push_back(solidLines(pieces[p], angle, like.width * endInset, like, open));
    }
  }

  Polygons skinsIn(const Polygons& rest) const {
    const double w = rules_.lineWidth;
    const Polygons bare = grow(subtract(rest, buried_[layer_]), -w / 8);  // but slivers of slopes
    return bare.empty() ? bare : intersect(rest, grow(bare, w + w / 8));
  }

  // Where a cover borders on infill, one line along its rim, from wall to wall: it spans the infill below, and the ends
  // of cover and infill lines hold on to it.
  Lines edgesOf(const Polygons& covers, const Polygons& inside) const {
    const double w = rules_.lineWidth;
    Lines rims = joined(linesInside(asLines(simplified(covers, smoothing)), grow(inside, -w * (fillInset + 0.05))));
    rims.dropWhere([&](const Polygon& line) { return lengthOf(line) < w; });
    return rims;
  }

  // Where such a line would run along the infill below and find nothing to hold on to, the cover is to reach to the
  // next infill line.
  Polygons wantingHold(const Lines& edges) const {
    if (layer_ == 0 || edges.empty() || rules_.infillDensity <= 0) return {};
    const double w = rules_.lineWidth;
    const Lines overInfill = linesInside(edges, buried_[layer_ - 1]);
    return unite(stripsWithoutHold(overInfill, layer_ % 2 ? evenAngle : oddAngle, w / rules_.infillDensity,
                                   {rules_.longestSpan, w / 2, w * fillInset}));
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
    PathGroup group{{Owner::part, 0}, {}, Filament::first, island};
    const Polygons tooThin = unprinted(walls, rules.lineWidth);
    result.tooThin.insert(result.tooThin.end(), tooThin.begin(), tooThin.end());
    group.stages =
        wallStages(std::move(walls.loops), carried, layer > 0 ? &sections[layer - 1] : nullptr, rules.lineWidth);
    group.stages.push_back(std::move(walls.thin));
    filler.fill(walls.inside, group.stages);
    result.groups.push_back(std::move(group));
  }
  return result;
}

}  // namespace trellis
