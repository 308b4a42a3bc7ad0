// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/reference/printed_part.hpp"

namespace trellis::test {
namespace {

class TreeVerifier : PrintedPart {
 public:
  TreeVerifier(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise)
      : PrintedPart(gcode, mesh, promise) {
    for (const Bead& bead : supports_) {
      Layer& layer = layers_[std::lround(bead.z * 1000)];
      layer.top = bead.z;
      layer.bottom = bead.z - bead.height;
      layer.feature = bead.feature;
      const Path line{{std::llround(bead.x0 * perMm), std::llround(bead.y0 * perMm)},
                      {std::llround(bead.x1 * perMm), std::llround(bead.y1 * perMm)}};
      (isInterface(bead) ? layer.interfaceLines : layer.branchLines)[bead.width].push_back(line);
      if (isInterface(bead)) interfaces_[std::lround(bead.z * 1000)].add({bead.x0, bead.y0}, {bead.x1, bead.y1}, &bead);
    }
    for (auto& [height, layer] : layers_) {
      layer.interfaces = filled(layer.interfaceLines);
      layer.all = withoutHoles(combined(ClipperLib::ctUnion, filled(layer.branchLines), layer.interfaces));
    }
  }

  Verdict verdict() {
    for (const Bead& bead : supports_) gaps(bead);
    for (const auto& [height, layer] : layers_) standing(layer);
    thickness();
    coverage();
    islands();
    verdict_.lines = supports_.size();
    return std::move(verdict_);
  }

 private:
  using Lines = std::map<double, Paths>;  // by width
  struct Layer {
    double bottom = 0, top = 0;
    std::string feature;
    Lines interfaceLines, branchLines;
    Paths interfaces, all;  // filled outlines
  };

  static bool isInterface(const Bead& bead) { return bead.feature.find("interface") != std::string::npos; }

  // Outlines of beads with what they enclose.
  static Paths filled(const Lines& lines) {
    Paths beads;
    for (const auto& [width, paths] : lines) {
      const Paths more = bead(paths, width);
      beads.insert(beads.end(), more.begin(), more.end());
    }
    return withoutHoles(beads);
  }

  static Paths withoutHoles(const Paths& paths) {
    ClipperLib::Clipper clipper;
    clipper.AddPaths(paths, ClipperLib::ptSubject, true);
    Paths all, outer;
    clipper.Execute(ClipperLib::ctUnion, all, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    for (const Path& path : all)
      if (ClipperLib::Orientation(path)) outer.push_back(path);
    return combined(ClipperLib::ctUnion, outer, {});
  }

  // What a layer may stand on: support right under it, and part a gap below.
  Paths ground(const Layer& layer) const {
    Paths under;
    for (const long off : {0, -1, 1})
      if (const auto found = layers_.find(std::lround(layer.bottom * 1000) + off); found != layers_.end())
        under = combined(ClipperLib::ctUnion, under, found->second.all);
    const long below = std::lround((layer.bottom - promise_.gapBelow) / promise_.layer) - 1;
    if (below >= 0 && below < static_cast<long>(sections_.size()) &&
        std::abs(topOf(static_cast<std::size_t>(below)) + promise_.gapBelow - layer.bottom) < exact)
      under = combined(ClipperLib::ctUnion, under, sections_[static_cast<std::size_t>(below)].outlines());
    return under;
  }

  // Branches lie within what a lean one degree over theirs allows, and half on what is below; tips touch it.
  void standing(const Layer& layer) {
    if (layer.bottom < 1e-3) return;
    const Paths under = ground(layer);
    const double reach =
        (layer.top - layer.bottom) * std::tan((promise_.branchLean + 1) * 3.14159265358979 / 180) + 1.5 * rounding;
    for (const Path& outline : layer.all) {
      const Vec3 at(mm(outline.front()).x(), mm(outline.front()).y(), layer.top);
      const Paths beneath = combined(ClipperLib::ctIntersection, near(outline, under, 2), window(outline, 1));
      const double rests = areaOf(combined(ClipperLib::ctIntersection, {outline}, beneath));
      if (rests < 0.02) fault("standing on nothing", layer.feature, at);
      if (areaOf(combined(ClipperLib::ctIntersection, {outline}, near(outline, layer.interfaces, 0))) > 0) continue;
      if (areaOf(combined(ClipperLib::ctDifference, {outline}, offset(beneath, reach))) > 0.01)
        fault("leaning too far", layer.feature, at);
      if (rests < areaOf({outline}) / 2) fault("resting too little", layer.feature, at);
    }
  }

  struct Standing {
    Path outline;
    Box2 box;
    double high;  // mm, of all that stands on it
  };
  // From the top down: a branch is as thick as a twelfth of what stands on it is high, and 1.2 mm over more than ten,
  // wherever it has room. Outlines are read in steps, so a tenth is let pass.
  void thickness() {
    std::map<long, std::vector<Standing>> byBottom;
    for (auto layer = layers_.rbegin(); layer != layers_.rend(); ++layer) {
      const Layer& here = layer->second;
      for (const Path& outline : here.all) {
        const Box2 box = boxOf(outline);
        double high = here.top;
        for (const long off : {0, -1, 1})
          if (const auto above = byBottom.find(std::lround(here.top * 1000) + off); above != byBottom.end())
            for (const Standing& other : above->second)
              if (other.high > high && other.box.intersects(box) &&
                  !combined(ClipperLib::ctIntersection, {outline}, {other.outline}).empty())
                high = other.high;
        byBottom[std::lround(here.bottom * 1000)].push_back({outline, box, high});
        const double length = high - here.top, least = 0.9 * std::max(length / 12, length > 10 ? 1.2 : 0.0);
        if (least > 0 && offset({outline}, -least / 2).empty() && !isTight(outline, here, least))
          fault("branch too thin", here.feature, {mm(outline.front()).x(), mm(outline.front()).y(), here.top});
      }
    }
  }

  // Whether the part is so near that a branch has no room, here or so near above and below that it cannot have
  // thickened since, by a quarter of a millimetre for each of height, or would be thicker than what it stands on.
  bool isTight(const Path& outline, const Layer& here, double least) const {
    const double missing = std::max(0.0, least - 0.9), above = here.top + 2 + 4 * missing,
                 below = here.bottom - 2 - 7 * missing;
    const auto layerAt = [&](double z) {
      return std::min(sections_.size(), static_cast<std::size_t>(std::max(0.0, z / promise_.layer)));
    };
    for (std::size_t l = layerAt(below); l < layerAt(above); ++l)
      for (const auto& corner : outline)
        if (sections_[l].comesNear(mm(corner), promise_.gapBeside + least + 0.5)) return true;
    return false;
  }

  static Box2 boxOf(const Path& path) {
    Box2 box;
    for (const auto& point : path) box.extend(mm(point));
    return box;
  }
  static Paths window(const Path& path, double margin) {
    const Box2 box = boxOf(path);
    const auto corner = [&](double x, double y) {
      return ClipperLib::IntPoint(std::llround(x * perMm), std::llround(y * perMm));
    };
    const Vec2 low = box.min().array() - margin, high = box.max().array() + margin;
    return {
        {corner(low.x(), low.y()), corner(high.x(), low.y()), corner(high.x(), high.y()), corner(low.x(), high.y())}};
  }
  // Of outlines, those near another.
  static Paths near(const Path& path, const Paths& all, double margin) {
    const Box2 box = boxOf(path);
    Paths found;
    for (const Path& other : all)
      if (boxOf(other).exteriorDistance(box) <= margin) found.push_back(other);
    return found;
  }

  // Of places that can be carried: how far they are from a tip, sideways, and whether what lies right under them is
  // exactly at the gap. Places have the lattice of the eye that looks; a tenth of a millimetre is let pass.
  void coverage() {
    constexpr double slack = 0.1;
    std::size_t borders = 0, nearBorders = 0, places = 0, nearPlaces = 0, over = 0, overExactly = 0;
    for (std::size_t i = 1; i < sections_.size(); ++i) {
      const double under = bottomOf(i) - promise_.gapAbove;
      if (under < 0.05) continue;
      forPlaces(demand_[i], [&](const Vec2& p) {
        if (sagsAtFoot(p, i) || !canBeCarried(p, i, under)) return;
        ++places;
        const auto [away, highest] = tipNear(p, under, promise_.tipSpacing / 2 + slack);
        nearPlaces += away <= promise_.tipSpacing / 2 + slack;
        if (away > 0) return;
        ++over;
        overExactly += std::abs(highest - under) < exact;
      });
      forBorder(i, [&](const Vec2& p) {
        if (sagsAtFoot(p, i) || !canBeCarried(p, i, under)) return;
        ++borders;
        nearBorders += tipNear(p, under, promise_.lineWidth + 2 * slack).first <= promise_.lineWidth + 2 * slack;
      });
    }
    const auto share = [](std::size_t some, std::size_t all) {
      return all == 0 ? 1.0 : static_cast<double>(some) / static_cast<double>(all);
    };
    verdict_.demanded = places;
    verdict_.covered = {share(nearBorders, borders), share(nearPlaces, places), share(overExactly, over)};
  }

  // Whether nothing else of the part is within the gaps of what would stand there.
  bool canBeCarried(const Vec2& p, std::size_t site, double under) const {
    for (std::size_t l = site; l-- > 0 && topOf(l) > under - promise_.layer - promise_.gapBelow + exact;) {
      if (sections_[l].comesNear(p, rounding)) return false;
      if (topOf(l) > under - promise_.layer + exact && nearWall(p, l, promise_.gapBeside + rounding, demand_))
        return false;
    }
    return true;
  }

  // How far the nearest tip's line begins, at most reach, and the top of the highest right under the place.
  std::pair<double, double> tipNear(const Vec2& p, double under, double reach) const {
    double away = 2 * reach, highest = -1;
    for (auto layer = interfaces_.lower_bound(std::lround((under - reach - 1) * 1000));
         layer != interfaces_.end() && static_cast<double>(layer->first) / 1000 < under + reach + 1; ++layer) {
      const double top = static_cast<double>(layer->first) / 1000;
      layer->second.near(p, reach + 1, [&](const Bead* bead) {
        const double off =
            std::max(0.0, (nearestOn({bead->x0, bead->y0}, {bead->x1, bead->y1}, p) - p).norm() - bead->width / 2);
        if (std::abs(top - under) > 1.2 * off + 0.45) return;
        away = std::min(away, off);
        if (off == 0) highest = std::max(highest, top);
      });
    }
    return {away, highest};
  }

  // visit(place) along those borders of a layer's demand beyond which the layers beside it ask for nothing either.
  template <typename Visit>
  void forBorder(std::size_t i, const Visit& visit) const {
    for (const Path& outline : demand_[i].outlines())
      for (std::size_t k = 0; k < outline.size(); ++k) {
        const Vec2 a = mm(outline[k]), b = mm(outline[(k + 1) % outline.size()]);
        const Vec2 outward = Vec2(b.y() - a.y(), a.x() - b.x()).normalized();
        const int count = static_cast<int>((b - a).norm() / apart);
        for (int n = 0; n < count; ++n) {
          const Vec2 p = a + (b - a) * (n + 0.5) / count;
          bool goesOn = false;
          for (std::size_t l = i > 2 ? i - 2 : 0; l < std::min(demand_.size(), i + 3); ++l)
            goesOn = goesOn || demand_[l].comesNear(p + outward * 0.15, 0.1);
          if (!goesOn) visit(Vec2(p - outward * 0.01));
        }
      }
  }

  std::map<long, Layer> layers_;  // by tops, micrometres
  std::map<long, Grid<const Bead*>> interfaces_;
};

}  // namespace

Verdict verifyTree(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise) {
  return TreeVerifier(gcode, mesh, promise).verdict();
}

}  // namespace trellis::test
