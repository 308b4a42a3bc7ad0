// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/walls.hpp"

#include "core/geometry/opposite_edges.hpp"
#include "core/toolpath/centre_lines.hpp"
#include "core/toolpath/fill.hpp"
#include "core/toolpath/zigzag.hpp"

#include <algorithm>
#include <iterator>
#include <span>

namespace trellis {

namespace {

constexpr double smoothing = 0.008;   // mm; outlines may move this much before they are printed
constexpr double seam = 0.02;         // mm; stretches of neighbouring widths meet
constexpr double mostJoined = 1.4;    // times as long as the lines alone
constexpr double turnInset = 0.02;    // of a width; lines that turn end so much before those that stop
constexpr double joint = 0.1;         // mm; and lines of one kind reach into those of another
constexpr double steepest = 1;        // mm of width per mm along: that of a corner of 60°
constexpr double longEnough = 20;     // widths of a line that may be a little wider for its ends
constexpr double smallestVoid = 0.1;  // mm²; less room between walls stays open
constexpr double binWidth = 0.1;      // mm of thickness that two lines of one width are laid for

// How far what is thicker reaches, its corners included; past the region too.
Polygons broadReach(const Polygons& region, double thickness) {
  constexpr double cornerReach = 1.42;  // of a distance: as far as a right angle reaches past what is moved back
  return grow(grow(region, -thickness / 2), cornerReach * thickness / 2);
}

// Stretches too short to be moves of their own go with the next, if that is as short, or about as wide as all they are
// made of: a step of centreLines or less. The narrowest counts: a bead any wider would lie over the outline there.
std::vector<CentreLine> withoutBits(std::vector<CentreLine> lines) {
  constexpr double least = 0.1, alike = 0.045;  // mm
  std::vector<CentreLine> result;
  double widest = 0;  // of what the last is made of
  for (CentreLine& line : lines) {
    if (!result.empty() && result.back().points.back() == line.points.front()) {
      CentreLine& last = result.back();
      const double length = lengthOf(line.points), before = lengthOf(last.points);
      const double narrow = std::min(last.width, line.width), wide = std::max(widest, line.width);
      const bool areBits = std::max(length, before) < least, hasBit = std::min(length, before) < least;
      if (areBits || (hasBit && wide - narrow <= alike)) {
        widest = wide;
        last.width = narrow;
        last.points.insert(last.points.end(), line.points.begin() + 1, line.points.end());
        continue;
      }
    }
    widest = line.width;
    result.push_back(std::move(line));
  }
  return result;
}

void append(std::vector<Path> more, std::vector<Path>& to) {
  std::move(more.begin(), more.end(), std::back_inserter(to));
}

// Half as wide as there is room, so that it fills a square, but no narrower than lines may be.
Path dotOn(const Polygon& island, const Path& like) {
  double strip = singleUpTo / 2;
  while (strip > like.width / 2 && grow({island}, -strip).empty()) strip -= 0.02;
  strip = std::max(strip, like.width / 2);
  const Polygon loop = grow({island}, -strip / 2).front();
  const double fills = std::min(strip, area({island}) / lengthOf(Path{like.feature, strip, true, loop}));
  return {like.feature, lineToFill(fills, like.height), true, loop};
}

// One small loop on each island with room for a line of half the width in which none was laid: those are too round to
// have one along their middle.
std::vector<Path> dotsIn(const Polygons& region, double smallest, const Path& like,
                         std::initializer_list<std::span<const Path>> laid) {
  std::vector<Path> dots;
  for (const Polygon& island : region) {
    const double size = area({island});  // of holes less than nothing
    if (size <= smallest || size > singleUpTo * singleUpTo || grow({island}, -like.width / 4).empty()) continue;
    const auto liesIn = [&](const Path& line) { return contains({island}, line.points.front()); };
    const auto haveNone = [&](std::span<const Path> lines) { return std::none_of(lines.begin(), lines.end(), liesIn); };
    if (std::all_of(laid.begin(), laid.end(), haveNone)) dots.push_back(dotOn(island, like));
  }
  return dots;
}

double lengthOfAll(const Lines& lines) {
  double length = 0;
  for (const Polygon& line : lines) length += lengthOf(line);
  return length;
}

class Waller {
 public:
  explicit Waller(const WallRules& rules) : rules_(rules), fills_(filledBy(rules.lineWidth, rules.height)) {}

  Walls lay(const Polygons& region) {
    walls_.inside = region;
    for (int k = 0; k < rules_.count && (k == 0 || !walls_.inside.empty()); ++k) layLevel(k);
    return std::move(walls_);
  }

 private:
  // One line from the outline of what is left inward, and what is thin there.
  void layLevel(int k) {
    const double w = rules_.lineWidth;
    const Polygons rest = std::move(walls_.inside);
    const Polygons narrow = thinPartOf(rest);
    const Polygons broad = narrow.empty() ? rest : subtract(rest, narrow);
    // The outermost line's edge lies on the outline; the others share what its volume leaves.
    const double inset = k == 0 ? w / 2 : fills_ / 2;
    std::vector<Path>& loops = walls_.loops.emplace_back();
    const Feature feature = k == 0 ? rules_.outer : rules_.inner;
    for (const Polygon& loop : simplified(grow(broad, -inset), smoothing)) {
      loops.push_back({feature, w, true, loop});
      // What is broad has no loop so short: moving an outline back leaves crumbs beside sharp bends.
      if (lengthOf(loops.back()) < w) loops.pop_back();
    }
    walls_.inside = grow(broad, -fills_);
    // They reach a little into the loops, or there would be a gap between their ends.
    if (!narrow.empty()) layNarrow(intersect(grow(narrow, joint), rest), k == 0, feature, loops);
    const Path like{feature, w, true, {}, rules_.height};
    append(dotsIn(rest, k == 0 ? 0 : smallestVoid, like, {walls_.thin, loops}), walls_.thin);
  }

  // What is too thin for loops. Crumbs of the one in the other are no concern: corners' rims, and where thin walls
  // meet.
  Polygons thinPartOf(const Polygons& rest) const {
    const double most = thinnestForLoop(rules_.lineWidth), crumb = rules_.lineWidth * rules_.lineWidth;
    const Polygons thin = withoutSpecks(narrowIn(rest, most), crumb);
    const Polygons narrow = thin.empty() ? thin : withoutSpecks(opened(thin, seam), crumb);
    if (narrow.empty()) return narrow;
    const Polygons broad = subtract(rest, narrow), kept = withoutCrumbs(broad, 2 * most * most);
    return kept.size() == broad.size() ? narrow : subtract(rest, kept);
  }

  void layNarrow(const Polygons& narrow, bool outermost, Feature feature, std::vector<Path>& loops) {
    const double most = thinnestForLoop(rules_.lineWidth);
    Polygons twofold;
    for (double from = most - binWidth; from > singleUpTo - 1e-9; from -= binWidth) {
      const Polygons upTo = intersect(broadReach(narrow, from), narrow);
      const Polygons band = withoutSpecks(subtract(upTo, twofold), rules_.lineWidth * rules_.lineWidth);
      layTwo(narrow, band, from + binWidth / 2, feature, loops);
      twofold = upTo;
    }
    const Polygons single = subtract(narrow, twofold);
    append(singleLines(single, {feature, rules_.lineWidth, false, {}, rules_.height}), walls_.thin);
    if (outermost) walls_.missed.insert(walls_.missed.end(), single.begin(), single.end());
  }

  // Two lines, one on each side, that together have the band's volume.
  void layTwo(const Polygons& narrow, const Polygons& band, double thickness, Feature feature,
              std::vector<Path>& loops) {
    if (band.empty()) return;
    const Polygons outlines = simplified(grow(narrow, -lineToFill(thickness / 2, rules_.height) / 2), smoothing);
    std::vector<Path> lines;
    double length = 0;
    const Polygons within = grow(band, seam);
    for (const Polygon& outline : outlines) {
      const Lines stretches = linesInside(asLines({outline}), within);
      if (stretches.size() == 1 && stretches.front().front() == stretches.front().back())
        lines.push_back({feature, 0, true, outline});
      else
        for (const Polygon& stretch : stretches) lines.push_back({feature, 0, false, stretch});
    }
    for (const Path& line : lines) length += lengthOf(line);
    if (length < rules_.lineWidth) return;
    const double strip = std::clamp(area(band) / length, thickness / 2 - binWidth, thickness / 2 + binWidth);
    for (Path& line : lines) {
      line.width = lineToFill(strip, rules_.height);
      loops.push_back(std::move(line));
    }
  }

  const WallRules& rules_;
  double fills_;  // mm across, by a line
  Walls walls_;
};

}  // namespace

Polygons narrowIn(const Polygons& region, double thickness) {
  return hasOppositeEdges(region, 1.02 * thickness) ? subtract(region, broadReach(region, thickness)) : Polygons{};
}

Walls wallsOf(const Polygons& region, const WallRules& rules) { return Waller(rules).lay(region); }

Walls loopsOf(const Polygons& region, const WallRules& rules) {
  const double w = rules.lineWidth;
  Walls walls;
  Polygons centres;
  for (int k = 0; k < rules.count && (k == 0 || !centres.empty()); ++k) {
    centres = simplified(grow(k == 0 ? region : centres, k == 0 ? -w / 2 : -w), smoothing);
    if (k == 0) {
      walls.missed = withoutSpecks(subtract(region, grow(centres, w / 2 + 0.03)), w * w / 8);
      for (CentreLine& line : centreLines(opened(walls.missed, w / 5), {w / 2, 1.5 * w}))
        walls.thin.push_back({rules.outer, std::max(line.width, w / 2), false, std::move(line.points)});
    }
    std::vector<Path>& loops = walls.loops.emplace_back();
    for (const Polygon& loop : centres) loops.push_back({k == 0 ? rules.outer : rules.inner, w, true, loop});
  }
  walls.inside = rules.count == 0 ? region : grow(centres, -w / 2);
  return walls;
}

std::vector<Path> solidLines(const Polygons& region, double angle, double ends, const Path& like,
                             const Polygons& open) {
  std::vector<Path> lines;
  Polygons narrow = withoutSpecks(narrowIn(region, singleUpTo), like.width * like.width / 2);
  if (!narrow.empty()) narrow = withoutSpecks(opened(narrow, seam), like.width * like.width / 2);
  const double strip = filledBy(like.width, like.height);
  for (const Polygons& piece : components(narrow.empty() ? region : subtract(region, narrow))) {
    Lines fill = evenLines(piece, grow(piece, -ends), angle, strip);
    if (open.empty() || !meet(piece, open, 0)) {
      const Polygons within = grow(piece, -ends - turnInset * like.width);
      Lines joined = zigzag(evenLines(piece, within, angle, strip), within, longestJoin * strip);
      // Short lines with joins would have to be so thin that daylight shows between them.
      if (lengthOfAll(joined) < mostJoined * lengthOfAll(fill)) fill = std::move(joined);
    }
    const double length = lengthOfAll(fill);
    if (length <= 0) continue;
    const double even = std::clamp(area(piece) / length, strip / 1.5, strip * 1.5);
    for (const Polygon& line : fill) lines.push_back({like.feature, lineToFill(even, like.height), false, line});
  }
  append(singleLines(narrow, like), lines);
  return lines;
}

std::vector<Path> singleLines(const Polygons& region, const Path& like) {
  std::vector<Path> lines;
  const double narrowest = like.width / 2;
  for (const Polygons& piece : components(opened(region, like.width / 5))) {
    double length = 0, volume = 0;  // mm, and mm³ over the height
    const std::vector<CentreLine> middle = withoutBits(centreLines(piece, {narrowest, 1.1 * singleUpTo, steepest}));
    for (const CentreLine& line : middle) {
      length += lengthOf(line.points);
      volume += lengthOf(line.points) * line.width;
    }
    if (volume <= 0) {
      append(dotsIn(piece, smallestVoid, like, {}), lines);
      continue;
    }
    // Lines fork in it, and end before it does; but what is short gets no wider bead for its ends, which would lie over
    // the outline.
    const double share = std::clamp(area(piece) / volume, 0.9, length > longEnough * like.width ? 1.03 : 1.0);
    for (const CentreLine& line : middle)
      lines.push_back(
          {like.feature, lineToFill(std::max(line.width * share, narrowest), like.height), false, line.points});
  }
  return lines;
}

}  // namespace trellis
