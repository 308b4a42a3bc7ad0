// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/overhang/too_small.hpp"

#include "core/base/parallel.hpp"

#include <algorithm>
#include <numeric>

namespace trellis {

namespace {

constexpr double rounding = 1e-3;       // mm²
constexpr std::size_t tallestFoot = 6;  // layers; what hangs on above that is a slope of its own
constexpr double widestFoot = 1.5;      // line widths of a step that sags onto the layer below

struct LayerStretch {
  std::size_t layer;
  const Polygons* region;
};

// The sections near a region.
Polygons nearTo(const Polygons& region, double reach, const Polygons& section) {
  const Box2 box = boundsOf(region);
  return intersect(section, rectangle({Vec2(box.min().array() - reach), Vec2(box.max().array() + reach)}));
}

class Classifier {
 public:
  Classifier(const Sites& sites, const LayerPlan& plan, const std::vector<Polygons>& sections, double lineWidth)
      : plan_(plan), sections_(sections), width_(lineWidth), stretches_(sites.list.size()) {
    for (std::size_t i = 0; i < sites.layers.size(); ++i)
      for (const Sites::Stretch& stretch : sites.layers[i]) stretches_[stretch.site].push_back({i, &stretch.region});
  }

  SiteClass classOf(const Site& site, std::size_t s) const {
    const bool isSmall = site.area < width_ * width_ || !reachesBeyond(s, width_ / 2);
    if (isSmall && (site.starts.empty() || !becomesAnIsland(s))) return SiteClass::speck;
    return isRoundedFoot(site, s) ? SiteClass::roundedFoot : SiteClass::proper;
  }

 private:
  bool isRoundedFoot(const Site& site, std::size_t s) const {
    const std::size_t lowest = stretches_[s].front().layer, highest = stretches_[s].back().layer;
    const bool restsOnPlate = lowest == 1 && plan_.spans[1].bottom < 1.5 * plan_.spans[1].height() + 1e-9;
    if (!site.starts.empty() && (!restsOnPlate || site.starts.size() > 1)) return false;
    const bool isLow = lowest <= roundedFootLayers ? highest <= tallestFoot
                                                   : highest - lowest <= tallestFoot - roundedFootLayers &&
                                                         isOverSurface(stretches_[s].front());
    // What begins on nothing in the second layer reaches as far as it is wide, and rests on the plate all the same.
    return isLow && !reachesBeyond(s, widestFoot * width_, site.starts.empty() ? 0 : lowest);
  }

  // Whether what begins in mid-air at a site's lowest layer is w² large in some layer before it meets anything else: a
  // tip of a claw, from which so much is printed onto nothing.
  bool becomesAnIsland(std::size_t s) const {
    std::size_t layer = stretches_[s].front().layer;
    Polygons island = *stretches_[s].front().region;
    std::vector<Polygons> here;
    while (area(island) < width_ * width_) {
      if (++layer >= sections_.size()) return false;
      if (here.empty()) here = components(sections_[layer - 1]);
      std::vector<Polygons> next = components(sections_[layer]);
      Polygons above;
      for (const Polygons& piece : next)
        if (meet(piece, island, touching)) above.insert(above.end(), piece.begin(), piece.end());
      const bool standsOnOthers = std::any_of(here.begin(), here.end(), [&](const Polygons& other) {
        return meet(other, above, touching) && !meet(other, island, touching);
      });
      if (above.empty() || standsOnOthers) return false;
      island = std::move(above);
      here = std::move(next);
    }
    return true;
  }

  // Whether some step of a site above a layer reaches farther than this over the layer below. Large stretches are asked
  // first: of most sites the first one does.
  bool reachesBeyond(std::size_t s, double reach, std::size_t above = 0) const {
    std::vector<LayerStretch> order = stretches_[s];
    std::stable_sort(order.begin(), order.end(), [](const LayerStretch& a, const LayerStretch& b) {
      return boundsOf(*a.region).diagonal().norm() > boundsOf(*b.region).diagonal().norm();
    });
    return std::any_of(order.begin(), order.end(), [&](const LayerStretch& one) {
      if (one.layer <= above) return false;
      const Polygons below = nearTo(*one.region, reach, sections_[one.layer - 1]);
      return !withoutSpecks(below.empty() ? *one.region : subtract(*one.region, grow(below, reach)), rounding).empty();
    });
  }

  // Whether surface lies a few layers under all of a stretch.
  bool isOverSurface(const LayerStretch& stretch) const {
    Polygons under;
    for (std::size_t down = 2; down <= roundedFootLayers + 1 && down <= stretch.layer; ++down) {
      const Polygons part = nearTo(*stretch.region, 0, sections_[stretch.layer - down]);
      under.insert(under.end(), part.begin(), part.end());
    }
    return withoutSpecks(subtract(*stretch.region, unite(under)), rounding).empty();
  }

  const LayerPlan& plan_;
  const std::vector<Polygons>& sections_;
  double width_;
  std::vector<std::vector<LayerStretch>> stretches_;  // of each site, from the lowest layer up
};

// The same sites in another order: order[new] = old.
void reorder(Sites& sites, const std::vector<std::size_t>& order) {
  std::vector<std::size_t> newOf(order.size());
  std::vector<Site> list;
  for (std::size_t k = 0; k < order.size(); ++k) {
    newOf[order[k]] = k;
    list.push_back(std::move(sites.list[order[k]]));
  }
  sites.list = std::move(list);
  for (std::uint32_t& site : sites.ofFacet)
    if (site != Sites::none) site = static_cast<std::uint32_t>(newOf[site]);
  for (auto& layer : sites.layers)
    for (Sites::Stretch& stretch : layer) stretch.site = newOf[stretch.site];
}

}  // namespace

void classifySites(Sites& sites, const LayerPlan& plan, const std::vector<Polygons>& sections, double lineWidth,
                   const Progress& progress) {
  const Classifier classifier(sites, plan, sections, lineWidth);
  std::vector<SiteClass> classes(sites.list.size());
  parallelFor(classes.size(), progress, [&](std::size_t s) { classes[s] = classifier.classOf(sites.list[s], s); });
  for (std::size_t s = 0; s < classes.size(); ++s) sites.list[s].siteClass = classes[s];
  std::vector<std::size_t> order(classes.size());
  std::iota(order.begin(), order.end(), 0);
  std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return classes[a] < classes[b]; });
  reorder(sites, order);
}

std::vector<const FloatingStart*> startsThatMatter(const Sites& sites, const Overhangs& overhangs) {
  std::vector<const FloatingStart*> starts;
  for (const Site& site : sites.list)
    if (site.siteClass == SiteClass::proper)
      for (const std::size_t k : site.starts) starts.push_back(&overhangs.starts[k]);
  return starts;
}

}  // namespace trellis
