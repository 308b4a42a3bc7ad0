// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/overhang/sites.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/base/parallel.hpp"
#include "core/geometry/box_index.hpp"
#include "core/overhang/bridge.hpp"
#include "core/overhang/lean.hpp"
#include "core/overhang/too_small.hpp"
#include "core/slice/plane_cuts.hpp"

#include <algorithm>
#include <map>
#include <set>
#include <tuple>

namespace trellis {

namespace {

constexpr std::size_t looksDown = 48;  // facets of a site that are asked what is below them

class SiteFinder {
 public:
  SiteFinder(const TriangleMesh& placed, const LayeredPart& part, const SiteRules& rules, const Progress& progress)
      : mesh_(placed),
        surface_(part.surface),
        neighbours_(*part.surface.neighbours),
        plan_(part.plan),
        sections_(part.sections),
        overhangs_(part.overhangs),
        rules_(rules),
        progress_(progress) {}

  Sites find() {
    connect();
    parallelFor(sites_.list.size(), progress_, [&](std::size_t s) { measure(s); });
    sortByHeight();
    sites_.ofFacet.assign(mesh_.facets.size(), Sites::none);
    for (std::size_t s = 0; s < sites_.list.size(); ++s)
      for (const std::uint32_t f : sites_.list[s].facets) sites_.ofFacet[f] = static_cast<std::uint32_t>(s);
    divideLayers();
    placeStarts();
    return std::move(sites_);
  }

 private:
  void connect() {
    std::vector<double> leans(mesh_.facets.size());
    parallelFor(leans.size() / 4096 + 1, progress_, [&](std::size_t block) {
      for (std::size_t f = block * 4096; f < std::min(leans.size(), (block + 1) * 4096); ++f) leans[f] = hangingLean(f);
    });
    DisjointSets sets(leans.size());
    for (std::uint32_t f = 0; f < leans.size(); ++f)
      if (leans[f] >= 0)
        for (const std::uint32_t next : neighbours_.across[f])
          if (next != Neighbours::none && leans[next] >= 0) sets.join(f, next);
    std::map<std::size_t, std::size_t> numbers;
    for (std::uint32_t f = 0; f < leans.size(); ++f) {
      if (leans[f] < 0) continue;
      const auto [entry, fresh] = numbers.try_emplace(sets.find(f), sites_.list.size());
      if (fresh) sites_.list.emplace_back();
      Site& site = sites_.list[entry->second];
      site.facets.push_back(f);
      site.worstLean = std::max(site.worstLean, leans[f]);
    }
  }

  // −1 for what does not hang.
  double hangingLean(std::size_t f) const {
    const auto [a, b, c] = mesh_.corners(f);
    const Vec3 across = (b - a).cross(c - a);
    if (std::max({a.z(), b.z(), c.z()}) <= 1e-3 || across.squaredNorm() <= 1e-16) return -1;
    const double lean = leanOf(across.normalized());
    return lean > rules_.freeLean ? lean : -1;
  }

  void measure(std::size_t s) {
    Site& site = sites_.list[s];
    site.low = 1e300;
    double largest = 0;
    for (const std::uint32_t f : site.facets) {
      const auto [a, b, c] = mesh_.corners(f);
      const double area = (b - a).cross(c - a).norm() / 2;
      site.area += area;
      for (const Vec3& p : {a, b, c}) {
        site.low = std::min(site.low, p.z());
        site.high = std::max(site.high, p.z());
      }
      if (area > largest) {
        largest = area;
        site.at = (a + b + c) / 3;
      }
    }
    const std::vector<RimEdge> rim = rimOf(site);
    site.shadow = shadowOf(rim);
    const Span span = spanOf(rim, plan_, sections_, {rules_.freeLean, rules_.bridgeLimit, rules_.lineWidth});
    site.span = span.length;
    site.bridge = span.bridges();
    // On a flat underside what bridges needs nothing even where other lines do not.
    constexpr double flat = 0.5, worthwhile = 0.5;  // mm; of the line length
    const double w = rules_.lineWidth;
    site.partlyBridges = !site.bridge && span.anchored > worthwhile && site.high - site.low < flat;
    if (site.bridge || site.partlyBridges)
      site.unbridged = withoutSpecks(opened(unite(span.left), w / 2), site.bridge ? 4 * w * w : 0);
    site.openBelow = openBelow(site);
  }

  // Edges with no facet of the site across them. Seen from above the site lies on the left, as a facet that
  // hangs runs clockwise there: the edge is turned round.
  std::vector<RimEdge> rimOf(const Site& site) const {
    std::vector<RimEdge> rim;
    for (const std::uint32_t f : site.facets)
      for (std::size_t k = 0; k < 3; ++k) {
        const std::uint32_t next = neighbours_.across[f][k];
        if (next != Neighbours::none && std::binary_search(site.facets.begin(), site.facets.end(), next)) continue;
        // Neighbours count edges as the mesh does before placing; mirroring turns its facets round.
        const Facet& facet = surface_.tree->mesh().facets[f];
        const Vec3 from = mesh_.vertex(facet[k]), to = mesh_.vertex(facet[(k + 1) % 3]);
        rim.push_back(mesh_.facets[f] == facet ? RimEdge{to, from} : RimEdge{from, to});
      }
    return rim;
  }

  // Rim edges joined end to end. Every facet goes round the same way seen from above, so what the outlines
  // wind around is the shadow, however often.
  static Polygons shadowOf(const std::vector<RimEdge>& rim) {
    const auto keyOf = [](const Vec3& p) { return std::array<double, 3>{p.x(), p.y(), p.z()}; };
    std::multimap<std::array<double, 3>, std::size_t> from;
    for (std::size_t i = 0; i < rim.size(); ++i) from.emplace(keyOf(rim[i].from), i);
    Polygons outlines;
    while (!from.empty()) {
      Polygon outline;
      for (auto next = from.begin(); next != from.end();) {
        const RimEdge& edge = rim[next->second];
        outline.push_back(toPoint(edge.from.x(), edge.from.y()));
        from.erase(next);
        next = from.find(keyOf(edge.to));
      }
      outlines.push_back(std::move(outline));
    }
    return unite(outlines);
  }

  double openBelow(const Site& site) const {
    const std::size_t stride = site.facets.size() / looksDown + 1;
    std::size_t asked = 0, open = 0;
    for (std::size_t i = 0; i < site.facets.size(); i += stride, ++asked) {
      const auto [a, b, c] = mesh_.corners(site.facets[i]);
      open += !surface_.tree->firstHit(surface_.toMesh * Vec3((a + b + c) / 3 - Vec3(0, 0, 0.01)),
                                       surface_.toMesh.linear() * Vec3(-Vec3::UnitZ()));
    }
    return static_cast<double>(open) / static_cast<double>(std::max<std::size_t>(1, asked));
  }

  void sortByHeight() {
    std::sort(sites_.list.begin(), sites_.list.end(), [](const Site& a, const Site& b) {
      return std::tuple(a.low, a.at.x(), a.at.y(), a.facets.front()) <
             std::tuple(b.low, b.at.x(), b.at.y(), b.facets.front());
    });
  }

  // A place in the middle of each piece of a hanging facet between two planes tells whose the demand around
  // it is. Only where one stretch of demand holds places of several sites is it cut by what each covers.
  void divideLayers() {
    struct Place {
      std::size_t site;
      Point at;
    };
    const std::vector<double> planes = plan_.middles();
    std::vector<std::vector<Place>> places(planes.size());
    for (const Site& site : sites_.list)
      for (const std::uint32_t f : site.facets) {
        const auto c = mesh_.corners(f);
        cutAtPlanes({c.begin(), c.end()}, planes, [&](std::size_t plane, const Polygon& piece) {
          Vec2 middle = Vec2::Zero();
          for (const Point& p : piece) middle += toMm(p);
          places[plane].push_back({sites_.ofFacet[f], toPoint(middle / static_cast<double>(piece.size()))});
        });
      }
    sites_.layers.resize(planes.size());
    parallelFor(planes.size(), progress_, [&](std::size_t i) {
      if (places[i].empty()) return;
      const BoxIndex index(boxesOf(places[i], [](const Place& place) { return Box2(toMm(place.at)); }));
      for (const Polygons& stretch : components(overhangs_.demand[i])) {
        std::set<std::size_t> within;
        for (const std::size_t p : index.meeting(boundsOf(stretch)))
          if (const Place& place = places[i][p]; !within.contains(place.site) && contains(stretch, place.at))
            within.insert(place.site);
        if (within.size() == 1)
          sites_.layers[i].push_back({*within.begin(), stretch});
        else
          divide(i, stretch, within, planes);
      }
    });
  }

  void divide(std::size_t layer, const Polygons& stretch, const std::set<std::size_t>& within,
              const std::vector<double>& planes) {
    Polygons rest = stretch;
    std::size_t left = within.size();
    for (const std::size_t site : within) {
      if (--left == 0) {
        sites_.layers[layer].push_back({site, rest});  // the last takes the slivers too
        continue;
      }
      Polygons theirs;
      for (const std::uint32_t f : sites_.list[site].facets) {
        const auto c = mesh_.corners(f);
        if (std::max({c[0].z(), c[1].z(), c[2].z()}) < planes[layer - 1] ||
            std::min({c[0].z(), c[1].z(), c[2].z()}) > planes[layer])
          continue;
        cutAtPlanes({c.begin(), c.end()}, {planes[layer - 1], planes[layer]}, [&](std::size_t plane, Polygon piece) {
          if (plane == 1) theirs.push_back(std::move(piece));
        });
      }
      const Polygons share = intersect(rest, grow(unite(theirs), 0.001));
      rest = subtract(rest, share);
      sites_.layers[layer].push_back({site, share});
    }
  }

  // A floating start belongs to the site whose demand holds it; on surface too steep to hang it is a site of
  // its own.
  void placeStarts() {
    std::map<std::size_t, std::vector<std::size_t>> byLayer;
    for (std::size_t k = 0; k < overhangs_.starts.size(); ++k) byLayer[overhangs_.starts[k].layer].push_back(k);
    for (const auto& [layer, starts] : byLayer) {
      const std::vector<Polygons> pieces = components(overhangs_.floating[layer]);
      const std::vector<Box2> boxes = boxesOf(pieces, boundsOf);
      const BoxIndex index(boxes),
          held(boxesOf(sites_.layers[layer], [](const Sites::Stretch&s) { return boundsOf(s.region); }));
      for (const std::size_t k : starts) {
        const Vec2 at = overhangs_.starts[k].at.head<2>();
        const std::vector<std::size_t> around = index.meeting(Box2(at), 1e-6);
        const auto piece = std::find_if(around.begin(), around.end(),
                                        [&](std::size_t p) { return (boxes[p].center() - at).norm() < 1e-6; });
        placeStart(k, piece == around.end() ? overhangs_.floating[layer] : pieces[*piece], held);
      }
    }
  }

  // held: of the stretches there were before any start was placed.
  void placeStart(std::size_t k, const Polygons& here, const BoxIndex& held) {
    const FloatingStart& start = overhangs_.starts[k];
    auto& stretches = sites_.layers[start.layer];
    for (const std::size_t s : held.meeting(boundsOf(here)))
      if (meet(stretches[s].region, here, 0)) {
        sites_.list[stretches[s].site].starts.push_back(k);
        return;
      }
    Site site;
    site.low = start.at.z();
    site.high = plan_.spans[start.layer].top;
    site.area = start.area;
    site.shadow = here;
    site.at = start.at;
    site.starts = {k};
    stretches.push_back({sites_.list.size(), here});
    sites_.list.push_back(std::move(site));
  }

  const TriangleMesh& mesh_;
  const Surface& surface_;
  const Neighbours& neighbours_;
  const LayerPlan& plan_;
  const std::vector<Polygons>& sections_;
  const Overhangs& overhangs_;
  const SiteRules& rules_;
  const Progress& progress_;
  Sites sites_;
};

}  // namespace

std::size_t Sites::count(SiteClass siteClass) const {
  return static_cast<std::size_t>(
      std::count_if(list.begin(), list.end(), [&](const Site& site) { return site.siteClass == siteClass; }));
}

Sites findSites(const TriangleMesh& placed, const LayeredPart& part, const SiteRules& rules, const Progress& progress) {
  Sites sites = SiteFinder(placed, part, rules, progress).find();
  classifySites(sites, part.plan, part.sections, rules.lineWidth, progress);
  for (Site& site : sites.list) {
    const Vec3 start =
        site.facets.empty() ? Vec3((part.surface.toMesh * site.at * 100).array().round()) : Vec3(Vec3::Zero());
    site.id = keyOf(site.facets, start);
  }
  return sites;
}

}  // namespace trellis
