// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/judge.hpp"

#include "core/base/parallel.hpp"

#include <algorithm>

namespace trellis {

namespace {

constexpr double eps = 1e-6;  // mm
constexpr double firmHand =
    2;  // of its weakest section: a bond is peeled strip by strip, so less than that comes away by hand. From memory.
constexpr double nearContact = 2.0;  // mm of the part's height that a pull on the contact bends

// How full a use of support is, 0–1.
double fullnessOf(RegionKind kind, const Settings& settings) {
  const double w = settings.number("line.width");
  switch (kind) {
    case RegionKind::interfaceUpper:
      return densityOf(w, settings.number("support.interface.upper.spacing"));
    case RegionKind::interfaceLower:
      return densityOf(w, settings.number("support.interface.lower.spacing"));
    case RegionKind::graded:
      return settings.number("support.graded.density") / 100;
    case RegionKind::branch:
      return 0.5;  // of its section, by its walls: about so of a trunk, more of a tip
    case RegionKind::foot:
    case RegionKind::body:
      break;
  }
  return densityOf(w, settings.number("support.body.spacing"));
}

RegionKind contactKind(const Settings& settings) {
  if (settings.whole("support.interface.upper.layers") > 0) return RegionKind::interfaceUpper;
  return settings.text("support.structure") == "tree" ? RegionKind::branch : RegionKind::body;
}

class Judge {
 public:
  Judge(const Supports& build, const Progress& progress)
      : build_(build), support_(*build.support), progress_(progress), figures_(support_.pieces.size()) {}

  std::vector<PieceFigures> judge(const std::vector<WayOut>& ways, const std::vector<BodyFilament>& bodies) {
    sections();
    for (std::size_t p = 0; p < figures_.size(); ++p) {
      figures_[p].extraction = ways[p].extraction;
      figures_[p].drainClearance = ways[p].drainClearance;
      figures_[p].bodyTool = bodies[p].tool;
      figures_[p].chosen = bodies[p].chosen;
      figures_[p].wouldDissolve = bodies[p].wouldDissolve;
      grade(p);
    }
    return std::move(figures_);
  }

 private:
  const Settings& settingsOf(const PieceRegion& region) const { return build_.rules[region.rules].settings; }
  double layerHeight() const { return build_.plan.spans.back().height(); }

  // Thinnest layers, contacts and bonds, layer by layer.
  void sections() {
    struct Found {
      std::map<std::size_t, double> filled, below, bond;
    };
    std::vector<Found> found(support_.layers.size());
    parallelFor(support_.layers.size(), progress_, [&](std::size_t l) {
      const SupportLayer& layer = support_.layers[l];
      for (const PieceRegion& region : layer.regions) {
        const Settings& settings = settingsOf(region);
        const double full = fullnessOf(region.kind, settings);
        found[l].filled[region.piece] += area(region.area) * full;
        const SupportRules& rules = build_.rules[region.rules].support;
        if (layer.bottom < rules.floor + eps) continue;
        if (const double stands = standsOnPart(region, l); stands > 0) {
          found[l].below[region.piece] += stands;
          found[l].bond[region.piece] += stands * full * bondShare(settings.number("support.gap.below"), layerHeight());
        }
      }
    });
    for (PieceFigures& figures : figures_) figures.weakest = 1e300;
    for (const Found& layer : found) {
      for (const auto& [piece, filled] : layer.filled)
        figures_[piece].weakest = std::min(figures_[piece].weakest, filled);
      for (const auto& [piece, below] : layer.below) figures_[piece].contactBelow += below;
      for (const auto& [piece, bond] : layer.bond) figures_[piece].bond += bond;
    }
    for (std::size_t p = 0; p < figures_.size(); ++p) {
      const Settings& settings = build_.rules[build_.demand[support_.pieces[p].sites.front()]->rules].settings;
      figures_[p].bond += support_.pieces[p].contactAbove * fullnessOf(contactKind(settings), settings) *
                          bondShare(settings.number("support.gap.above"), layerHeight());
    }
  }

  // mm² of a region with part a gap below it and no support between.
  double standsOnPart(const PieceRegion& region, std::size_t l) const {
    const double bottom = support_.layers[l].bottom, part = bottom - build_.rules[region.rules].support.gapBelow;
    Polygons under;
    for (std::size_t m = l; m-- > 0 && support_.layers[m].top > bottom - 1.0;)  // no layer is thicker than that
      if (std::abs(support_.layers[m].top - bottom) < eps)
        for (const PieceRegion& other : support_.layers[m].regions) {
          if (other.area == region.area) return 0;
          under.insert(under.end(), other.area.begin(), other.area.end());
        }
    const Polygons bare = withoutSpecks(subtract(region.area, under), 0.02);
    if (bare.empty()) return 0;
    double sum = 0;
    for (const PartBuild& built : build_.parts) {
      const auto& spans = built.plan.spans;
      const auto span =
          std::find_if(spans.begin(), spans.end(), [&](const LayerSpan& s) { return std::abs(s.top - part) < eps; });
      if (span != spans.end())
        sum += area(intersect(bare, (*built.sections)[static_cast<std::size_t>(span - spans.begin())]));
    }
    return sum;
  }

  void grade(std::size_t p) {
    PieceFigures& piece = figures_[p];
    if (!piece.extraction.free)
      piece.grade = piece.bodyTool == 1 && piece.wouldDissolve && piece.drainClearance >= waterPasses ? Grade::washesOut
                                                                                                      : Grade::trapped;
    else if (isFragile(p))
      piece.grade = Grade::fragile;
    else if (piece.bond > firmHand * piece.weakest)
      piece.grade = Grade::needsPliers;
  }

  // Whether at some site of a piece the part, a little above, is thinner than the bond there is firm.
  bool isFragile(std::size_t p) const {
    for (const std::size_t site : support_.pieces[p].sites) {
      const DemandSite& demand = *build_.demand[site];
      if (demand.isHold()) continue;
      const Settings& settings = build_.rules[demand.rules].settings;
      double contact = 0;
      for (const Contact& carried : demand.contacts) contact += carried.area;
      const double bond = contact * fullnessOf(contactKind(settings), settings) *
                          bondShare(settings.number("support.gap.above"), layerHeight());
      const auto& sections = *build_.parts[demand.part].sections;
      const auto deep = static_cast<std::size_t>(nearContact / layerHeight());
      for (const std::size_t l : {demand.highest() + deep / 2, demand.highest() + deep}) {
        if (l >= sections.size()) continue;
        for (const Polygons& island : components(sections[l]))
          if (area(island) < bond && meet(island, demand.layers.back(), 0)) return true;
      }
    }
    return false;
  }

  const Supports& build_;
  const SupportLayers& support_;
  const Progress& progress_;
  std::vector<PieceFigures> figures_;
};

}  // namespace

std::vector<BodyFilament> bodyFilaments(const Supports& supports, const std::vector<WayOut>& ways) {
  std::vector<BodyFilament> bodies(ways.size());
  for (std::size_t p = 0; p < ways.size(); ++p) {
    std::vector<const Settings*> settings;
    for (const std::size_t site : supports.support->pieces[p].sites)
      settings.push_back(&supports.rules[supports.demand[site]->rules].settings);
    bodies[p].tool = bodyToolOf(settings, ways[p].extraction.free, bodies[p].chosen);
    const Settings& first = *settings.front();
    bodies[p].wouldDissolve = first.yes("filament2.soluble") && first.text("support.filament.interface") == "second";
  }
  return bodies;
}

std::vector<PieceFigures> judgePieces(const Supports& supports, const std::vector<WayOut>& ways,
                                      const std::vector<BodyFilament>& bodies, const Progress& progress) {
  if (supports.support->pieces.empty()) return {};
  return Judge(supports, progress).judge(ways, bodies);
}

}  // namespace trellis
