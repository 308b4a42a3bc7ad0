// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/judge.hpp"

#include "core/base/parallel.hpp"
#include "core/geometry/box_index.hpp"
#include "core/release/contact_bond.hpp"
#include "core/release/removal_plan.hpp"

#include <algorithm>
#include <map>
#include <optional>

namespace trellis {

namespace {

constexpr double eps = 1e-6;         // mm
constexpr double nearContact = 2.0;  // mm of the part's height that a pull on the contact bends

class Judge {
 public:
  Judge(const Supports& build, const Progress& progress)
      : build_(build), support_(*build.support), progress_(progress), figures_(support_.pieces.size()) {}

  std::vector<PieceFigures> judge(const std::vector<WayOut>& ways) {
    sections();
    findIslands();
    for (std::size_t p = 0; p < figures_.size(); ++p) {
      figures_[p].extraction = ways[p].extraction;
      figures_[p].drainClearance = ways[p].drainClearance;
      figures_[p].fragile = isFragile(p);
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
      std::map<std::size_t, Box2> bounds;
    };
    places_.resize(support_.layers.size());
    parallelFor(support_.layers.size(), progress_, [&](std::size_t l) {
      places_[l] = std::make_unique<const BoxIndex>(
          boxesOf(support_.layers[l].regions, [](const PieceRegion& region) { return boundsOf(region.area); }));
    });
    std::vector<Found> found(support_.layers.size());
    parallelFor(support_.layers.size(), progress_, [&](std::size_t l) {
      const SupportLayer& layer = support_.layers[l];
      for (const PieceRegion& region : layer.regions) {
        const Settings& settings = settingsOf(region);
        const double full = fullnessOf(region.kind, settings);
        found[l].filled[region.piece] += area(region.area) * full;
        found[l].bounds[region.piece].extend(boundsOf(region.area));
        const SupportRules& rules = build_.rules[region.rules].support;
        if (layer.bottom < rules.floor + eps) continue;
        if (const double stands = standsOnPart(region, l); stands > 0) {
          found[l].below[region.piece] += stands;
          found[l].bond[region.piece] += stands * full * bondShare(settings.number("support.gap.below"), layerHeight());
        }
      }
    });
    for (PieceFigures& figures : figures_) figures.weakest = 1e300;
    for (std::size_t l = 0; l < found.size(); ++l) {
      for (const auto& [piece, filled] : found[l].filled)
        if (filled < figures_[piece].weakest && support_.layers[l].top <= lowestTip(support_.pieces[piece])) {
          const Vec2 middle = found[l].bounds[piece].center();
          figures_[piece].weakest = filled;
          figures_[piece].weakestPlace = {middle.x(), middle.y(), support_.layers[l].bottom};
        }
      for (const auto& [piece, below] : found[l].below) figures_[piece].contactBelow += below;
      for (const auto& [piece, bond] : found[l].bond) figures_[piece].bond += bond;
    }
    for (std::size_t p = 0; p < figures_.size(); ++p) weigh(p);
    countTips();
  }

  // Over that height a piece ends step by step, and what is thin there carries next to nothing.
  static double lowestTip(const Piece& piece) {
    constexpr double tip = 2;  // mm
    return std::max(piece.highest - tip, (piece.lowest + piece.highest) / 2);
  }

  // How firmly the part holds a piece: its bond parts strip by strip, from one side.
  void weigh(std::size_t p) {
    PieceFigures& figures = figures_[p];
    const Piece& piece = support_.pieces[p];
    const Settings& settings = build_.rules[build_.demand[piece.sites.front()]->rules].settings;
    double carried = 0;  // of all pieces its sites stand in
    for (const std::size_t site : piece.sites)
      for (const Contact& contact : build_.demand[site]->contacts) carried += contact.area;
    const double above = std::min(piece.contactAbove, carried);
    figures.bond += bondUnder(settings, above, settings.number("support.gap.above"), layerHeight());
    const double contact = std::max(above + figures.contactBelow, 1e-9);
    figures.force = partingForce(figures.bond, contact);
    const bool isTree = settings.text("support.structure") == "tree";
    figures.fullness = fullnessOf(isTree ? RegionKind::branch : RegionKind::body, settings);
    figures.crushes = isTree || (figures.fullness <= crushedEasily && settings.whole("support.body.walls") <= 1);
  }

  // Each tip belongs to the piece that its neck stands in.
  void countTips() {
    for (const auto& tree : build_.trees)
      for (std::size_t t = 0; tree && t < tree->tips.size(); ++t) {
        if (const auto piece = pieceHolding(tree->tips[t].neck)) ++figures_[*piece].tips;
      }
  }

  std::optional<std::size_t> pieceHolding(const Vec3& place) const {
    const auto first = std::partition_point(support_.layers.begin(), support_.layers.end(),
                                            [&](const SupportLayer& layer) { return layer.top < place.z() - eps; });
    const Box2 at{Vec2(place.head<2>())};
    for (auto layer = first; layer != support_.layers.end() && layer->top < place.z() + 1; ++layer)  // none is thicker
      for (const std::size_t r : places_[static_cast<std::size_t>(layer - support_.layers.begin())]->meeting(at))
        if (layer->bottom <= place.z() + eps && contains(layer->regions[r].area, toPoint(place.x(), place.y())))
          return layer->regions[r].piece;
    return std::nullopt;
  }

  // mm² of a region with part a gap below it and no support between.
  double standsOnPart(const PieceRegion& region, std::size_t l) const {
    const double bottom = support_.layers[l].bottom, part = bottom - build_.rules[region.rules].support.gapBelow;
    Polygons under;
    const Box2 box = boundsOf(region.area);
    for (std::size_t m = l; m-- > 0 && support_.layers[m].top > bottom - 1.0;)  // no layer is thicker than that
      if (std::abs(support_.layers[m].top - bottom) < eps)
        for (const std::size_t r : places_[m]->meeting(box)) {
          const Polygons& other = support_.layers[m].regions[r].area;
          if (other == region.area) return 0;
          under.insert(under.end(), other.begin(), other.end());
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

  // The part's islands in one of its layers.
  struct Islands {
    explicit Islands(const Polygons& section) : list(components(section)), places(boxesOf(list, boundsOf)) {}
    std::vector<Polygons> list;
    BoxIndex places;
  };

  // The layers of the part a little above what a site carries, as part and layer.
  std::vector<std::pair<std::size_t, std::size_t>> layersOver(const DemandSite& demand) const {
    std::vector<std::pair<std::size_t, std::size_t>> layers;
    const auto deep = static_cast<std::size_t>(nearContact / layerHeight());
    for (const std::size_t l : {demand.highest() + deep / 2, demand.highest() + deep})
      if (!demand.isHold() && l < build_.parts[demand.part].sections->size()) layers.emplace_back(demand.part, l);
    return layers;
  }

  void findIslands() {
    for (const auto& demand : build_.demand)
      for (const auto& layer : layersOver(*demand)) islands_.try_emplace(layer);
    std::vector<std::pair<std::size_t, std::size_t>> layers;
    for (const auto& [layer, islands] : islands_) layers.push_back(layer);
    parallelFor(layers.size(), progress_, [&](std::size_t k) {
      const auto& [part, l] = layers[k];
      islands_.at(layers[k]) = std::make_unique<const Islands>((*build_.parts[part].sections)[l]);
    });
  }

  // Whether at some site of a piece the part, a little above, is thinner than the bond there is firm.
  bool isFragile(std::size_t p) const {
    for (const std::size_t site : support_.pieces[p].sites) {
      const DemandSite& demand = *build_.demand[site];
      const Settings& settings = build_.rules[demand.rules].settings;
      double contact = 0;
      for (const Contact& carried : demand.contacts) contact += carried.area;
      const double bond = bondUnder(settings, contact, settings.number("support.gap.above"), layerHeight());
      for (const auto& layer : layersOver(demand)) {
        const Islands& islands = *islands_.at(layer);
        for (const std::size_t i : islands.places.meeting(boundsOf(demand.layers.back())))
          if (area(islands.list[i]) < bond && meet(islands.list[i], demand.layers.back(), 0)) return true;
      }
    }
    return false;
  }

  const Supports& build_;
  const SupportLayers& support_;
  const Progress& progress_;
  std::vector<PieceFigures> figures_;
  std::vector<std::unique_ptr<const BoxIndex>> places_;                                    // of each layer's regions
  std::map<std::pair<std::size_t, std::size_t>, std::unique_ptr<const Islands>> islands_;  // by part and layer
};

}  // namespace

std::vector<BodyFilament> bodyFilaments(const Supports& supports, const std::vector<bool>& byHand) {
  std::vector<BodyFilament> bodies(byHand.size());
  for (std::size_t p = 0; p < byHand.size(); ++p) {
    std::vector<const Settings*> settings;
    for (const std::size_t site : supports.support->pieces[p].sites)
      settings.push_back(&supports.rules[supports.demand[site]->rules].settings);
    bodies[p].filament = bodyFilamentOf(settings, byHand[p], bodies[p].chosen);
    const Settings& first = *settings.front();
    bodies[p].wouldDissolve = first.yes("filament2.soluble") && first.text("support.filament.interface") == "second";
  }
  return bodies;
}

std::vector<PieceFigures> judgePieces(const Supports& supports, const std::vector<WayOut>& ways,
                                      const Progress& progress) {
  if (supports.support->pieces.empty()) return {};
  return Judge(supports, progress).judge(ways);
}

std::vector<PieceFigures> printedFrom(std::vector<PieceFigures> judged, const std::vector<BodyFilament>& bodies) {
  for (std::size_t p = 0; p < judged.size(); ++p) {
    judged[p].bodyFilament = bodies[p].filament;
    judged[p].chosen = bodies[p].chosen;
    judged[p].wouldDissolve = bodies[p].wouldDissolve;
  }
  return judged;
}

}  // namespace trellis
