// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/removal.hpp"

#include <algorithm>
#include <cmath>
#include <set>

namespace trellis {

namespace {

constexpr double nearby = 0.5;        // mm
constexpr double overlap = 0.02;      // mm a patch reaches over its rim, so that no sliver stays
constexpr double tileOverlap = 0.1;   // mm; into the daylight between columns
constexpr double shareOverlap = 0.2;  // mm; tips serve places that are a lattice apart

Polygons squareAround(const Vec3& at, double size) {
  const Vec2 half(size / 2, size / 2);
  return rectangle({at.head<2>() - half, at.head<2>() + half});
}

class Remover {
 public:
  explicit Remover(const Build& build) : build_(build) {}

  // Of one demand site, what a piece carries of it, within a plan region if one is given.
  void block(std::size_t site, std::size_t piece, const Polygons* within, double over = overlap) {
    const DemandSite& demand = *build_.demand[site];
    Polygons plan;
    double low = 1e300, high = 0;
    // A tip serves what lies between it and the next, too.
    const bool isShare = within && build_.trees[site];
    const Polygons standing = isShare || isAlone(site, piece) ? Polygons{} : reachOf(piece);
    for (std::size_t k = 0; k < demand.layers.size(); ++k) {
      Polygons layer = demand.layers[k];
      if (!standing.empty()) layer = intersect(layer, standing);
      if (within) layer = intersect(layer, *within);
      if (layer.empty()) continue;
      plan.insert(plan.end(), layer.begin(), layer.end());
      const LayerSpan& span = build_.plan.spans[demand.lowest + k];
      low = std::min(low, span.bottom - span.height());
      high = std::max(high, span.top);
    }
    if (plan.empty()) return;
    for (const Contact& contact : demand.contacts)
      if (contact.cause.kind == CauseKind::prop && !within) props_.insert({contact.cause.part, contact.cause.index});
    if (demand.isHold())
      clearWall(demand.part, boundsOf(plan), low, high);
    else
      operations_.push_back(LayMark{demand.part, Mark::block, PatchStroke{grow(unite(plan), over), low, high}});
  }

  // Whether a site's support stands in one piece only.
  bool isAlone(std::size_t site, std::size_t piece) const {
    for (std::size_t p = 0; p < build_.support->pieces.size(); ++p) {
      const auto& sites = build_.support->pieces[p].sites;
      if (p != piece && std::binary_search(sites.begin(), sites.end(), site)) return false;
    }
    return true;
  }

  // Props go last and from the back, so that their numbers stay right.
  std::vector<Operation> take() {
    for (auto prop = props_.rbegin(); prop != props_.rend(); ++prop)
      operations_.push_back(RemoveProp{prop->first, prop->second});
    return std::move(operations_);
  }

 private:
  // A hold is there for its mark: clearing that takes it away.
  void clearWall(std::size_t part, const Box2& box, double low, double high) {
    LayMark clear{part, Mark::none, BandStroke{low, high}};
    const auto plane = [](double x, double y, const Vec3& normal) {
      return Plane{Vec3(x, y, 0) - normal * overlap, normal};
    };
    clear.rules.clip = {plane(box.min().x(), 0, Vec3::UnitX()), plane(box.max().x(), 0, -Vec3::UnitX()),
                        plane(0, box.min().y(), Vec3::UnitY()), plane(0, box.max().y(), -Vec3::UnitY())};
    operations_.push_back(clear);
  }

  Polygons reachOf(std::size_t piece) const {
    Polygons all;
    for (const SupportLayer& layer : build_.support->layers)
      for (const PieceRegion& region : layer.regions)
        if (region.piece == piece) all.insert(all.end(), region.area.begin(), region.area.end());
    return grow(unite(all), build_.rules.front().support.lineWidth / 2);
  }

  const Build& build_;
  std::vector<Operation> operations_;
  std::set<std::pair<std::size_t, std::size_t>> props_;  // part and index
};

constexpr double cellReach =
    0.3;  // mm a tip's share reaches past the half of what it spans: places are a lattice apart

// Of a site's tree, which tips a branch at a place carries; none where there is no branch.
std::vector<bool> tipsCarried(const Tree& tree, const Vec3& at) {
  std::size_t nearest = tree.nodes.size();
  double best = nearby;
  for (std::size_t k = 0; k < tree.nodes.size(); ++k) {
    const BranchNode& node = tree.nodes[k];
    if (node.below == BranchNode::none) continue;
    const BranchNode& below = tree.nodes[node.below];
    if (at.z() > node.at.z() + nearby || at.z() < below.at.z() - nearby) continue;
    const double share = std::clamp((node.at.z() - at.z()) / (node.at.z() - below.at.z()), 0.0, 1.0);
    const Vec3 axis = node.at + share * (below.at - node.at);
    const double radius =
        node.tip == BranchNode::none ? node.radius + share * (below.radius - node.radius) : tree.tips[node.tip].radius;
    if (const double away = (axis - at).norm() - radius; away < best) {
      best = away;
      nearest = k;
    }
  }
  std::vector<bool> carried(tree.tips.size(), false), liesOn(tree.nodes.size(), false);
  for (std::size_t k = tree.nodes.size(); k-- > 0;) {  // nodes come after those that lie on them
    const BranchNode& node = tree.nodes[k];
    liesOn[k] = k == nearest || (node.below != BranchNode::none && liesOn[node.below]);
    if (liesOn[k] && node.tip != BranchNode::none) carried[node.tip] = true;
  }
  return carried;
}

// In plan, what is nearer to some of a tree's tips than to the others.
Polygons sharesOf(const Tree& tree, const std::vector<bool>& which, double spacing) {
  Polygons all;
  for (std::size_t t = 0; t < tree.tips.size(); ++t) {
    if (!which[t]) continue;
    const Tip& tip = tree.tips[t];
    const double reach = tip.radius + spacing / 2 + cellReach;
    Polygons cell = around({{toPoint(tip.at)}}, reach);
    for (std::size_t other = 0; other < tree.tips.size(); ++other) {
      const Vec2 way = tree.tips[other].at - tip.at;
      if (which[other] || way.norm() > 2 * reach || way.norm() < 1e-6) continue;
      const Vec2 along = way.normalized(), side(-along.y(), along.x()),
                 middle = tip.at + way / 2;  // beyond the line half way it is the other's
      cell = subtract(cell,
                      {{toPoint(middle - side * 2 * reach), toPoint(middle - side * 2 * reach + along * 2 * reach),
                        toPoint(middle + side * 2 * reach + along * 2 * reach), toPoint(middle + side * 2 * reach)}});
    }
    all.insert(all.end(), cell.begin(), cell.end());
  }
  return unite(all);
}

Polygons planOf(const DemandSite& site) {
  Polygons all = site.minimumFootprint;
  for (const Polygons& layer : site.layers) all.insert(all.end(), layer.begin(), layer.end());
  return unite(all);
}

// A disc of a site's plan, and what beside it would be left too thin for two lines.
Polygons discWithScraps(const DemandSite& site, const Vec3& at, double width, double lineWidth) {
  const Polygons disc = around({{toPoint(at.x(), at.y())}}, width / 2);
  const Polygons plan = planOf(site);
  const Polygons left = subtract(plan, disc);
  Polygons taken = intersect(plan, disc);
  for (const Polygons& scrap : components(subtract(left, grow(opened(left, lineWidth), lineWidth / 2))))
    if (meet(scrap, disc, 0.01)) taken.insert(taken.end(), scrap.begin(), scrap.end());
  return unite(taken);
}

struct Cut {
  Polygons plan = {};
  double over = overlap;
};

// What of one site a column at a place is.
// Of a site's tree, which tips stand in a piece.
std::vector<bool> tipsOfPiece(const Build& build, const Tree& tree, std::size_t piece) {
  std::vector<bool> which;
  for (const Tip& tip : tree.tips) which.push_back(pieceAt(build, tip.neck) == piece);
  return which;
}

// What a piece carries of one of its sites whose support stands in other pieces too: of a tree what its tips serve,
// else what lies over it.
std::optional<Cut> pieceOf(const Build& build, std::size_t number, std::size_t piece) {
  const Tree* tree = build.trees[number].get();
  if (!tree) return std::nullopt;
  const SupportRules& rules = build.rules[build.demand[number]->rules].support;
  return Cut{sharesOf(*tree, tipsOfPiece(build, *tree, piece), rules.tipSpacing), shareOverlap};
}

Cut cutAt(const Build& build, std::size_t number, const Vec3& at, double disc) {
  const DemandSite& site = *build.demand[number];
  const SupportRules& rules = build.rules[site.rules].support;
  if (const Tree* tree = build.trees[number].get())
    return {sharesOf(*tree, tipsCarried(*tree, at), rules.tipSpacing), shareOverlap};
  if (rules.outline == Outline::squared)
    return {tileOf(site.grid, rules, tileAt(site.grid, rules, at.head<2>())), tileOverlap};
  return {discWithScraps(site, at, disc, rules.lineWidth), overlap};
}

std::size_t pieceOrError(const Build& build, const Vec3& at) {
  const auto piece = pieceAt(build, at);
  if (!piece)
    throw Error(say("There is no support at {:.1f}, {:.1f}, {:.1f}. Point at a support that is built.", at.x(), at.y(),
                    at.z()));
  return *piece;
}

}  // namespace

std::optional<std::size_t> pieceAt(const Build& build, const Vec3& at) {
  std::optional<std::size_t> nearest;
  double best = nearby;
  for (const SupportLayer& layer : build.support->layers) {
    const double away = std::max({layer.bottom - at.z(), at.z() - layer.top, 0.0});
    if (away > best) continue;
    for (const PieceRegion& region : layer.regions) {
      if (boundsOf(region.area).exteriorDistance(Vec2(at.head<2>())) > best) continue;
      const bool within = contains(region.area, toPoint(at.x(), at.y()));
      const bool beside = within || meet(region.area, squareAround(at, 2 * nearby / 3), 0);
      if (!beside || away + (within ? 0 : nearby / 3) >= best) continue;
      best = away + (within ? 0 : nearby / 3);
      nearest = region.piece;
    }
  }
  return nearest;
}

std::optional<Cause> siteNear(const Build& build, std::size_t piece, const Vec3& at) {
  std::optional<Cause> nearest;
  double best = 1e300;
  for (const std::size_t number : build.support->pieces[piece].sites)
    for (const Contact& contact : build.demand[number]->contacts) {
      if (contact.cause.kind != CauseKind::site) continue;
      const double away = (build.parts[contact.cause.part].sites->list[contact.cause.index].at - at).norm();
      if (away >= best) continue;
      best = away;
      nearest = contact.cause;
    }
  return nearest;
}

Removal removing(const Build& build, const Vec3& at, Reach reach, double disc) {
  const std::size_t piece = pieceOrError(build, at);
  Remover remover(build);
  Removal removal{{}, piece, {}};
  for (const std::size_t number : build.support->pieces[piece].sites) {
    const DemandSite& site = *build.demand[number];
    if (!site.contacts.empty() && site.contacts.front().cause.kind == CauseKind::elsewhere)
      throw Error(say("This support was made elsewhere and is printed as it came. Mark, Clear takes all of it away."));
    const bool whole = reach == Reach::piece || site.isHold() || !site.minimumFootprint.empty();
    const bool shared = whole && !remover.isAlone(number, piece);
    const std::optional<Cut> cut = !whole   ? std::optional(cutAt(build, number, at, disc))
                                   : shared ? pieceOf(build, number, piece)
                                            : std::nullopt;
    if (cut && cut->plan.empty()) continue;
    remover.block(number, piece, cut ? &cut->plan : nullptr, cut ? cut->over : overlap);
    if (reach == Reach::piece) continue;
    if (!removal.within) removal.within.emplace();
    const Polygons shown = cut ? cut->plan : planOf(site);
    removal.within->insert(removal.within->end(), shown.begin(), shown.end());
  }
  if (removal.within) removal.within = unite(*removal.within);
  removal.operations = remover.take();
  return removal;
}

SupportLayers partOf(const SupportLayers& support, const Removal& removal) {
  SupportLayers part;
  for (const SupportLayer& layer : support.layers) {
    SupportLayer taken{layer.bottom, layer.top, {}};
    for (const PieceRegion& region : layer.regions) {
      if (region.piece != removal.piece) continue;
      PieceRegion cut = region;
      if (removal.within) cut.area = intersect(region.area, *removal.within);
      if (!cut.area.empty()) taken.regions.push_back(std::move(cut));
    }
    if (!taken.regions.empty()) part.layers.push_back(std::move(taken));
  }
  return part;
}

std::vector<Operation> keepingOnly(const Build& build, const Vec3& at) {
  const std::size_t kept = pieceOrError(build, at);
  const auto& keptSites = build.support->pieces[kept].sites;
  const std::size_t part = build.demand[keptSites.front()]->part;
  Remover remover(build);
  for (std::size_t p = 0; p < build.support->pieces.size(); ++p)
    if (p != kept)
      for (const std::size_t site : build.support->pieces[p].sites) {
        if (build.demand[site]->part != part) continue;
        const auto cut = remover.isAlone(site, p) ? std::nullopt : pieceOf(build, site, p);
        remover.block(site, p, cut ? &cut->plan : nullptr, cut ? cut->over : overlap);
      }
  return remover.take();
}

std::vector<Operation> printingBody(const Build& build, const Project& project, std::size_t piece,
                                    const std::string& filament) {
  constexpr const char* key = "support.filament.body";
  const auto with = [&](Overrides settings) {
    settings.erase(key);
    if (filament != "auto") settings.insert_or_assign(key, SettingValue(filament));
    return settings;
  };
  std::set<Cause> causes;
  for (const std::size_t site : build.support->pieces.at(piece).sites)
    for (const Contact& contact : build.demand[site]->contacts) causes.insert(contact.cause);
  std::vector<Operation> operations;
  std::set<std::size_t> wholeParts;
  for (const Cause& cause : causes) {
    const Part& part = *project.parts[cause.part];
    if (cause.kind == CauseKind::site) {
      const PartBuild& built = build.parts[cause.part];
      const std::size_t decision = built.resolved->sites[cause.index].decision;
      operations.push_back(
          DecideSite{cause.part, built.sites->list[cause.index].at, std::nullopt,
                     with(decision == ResolvedSite::none ? Overrides() : part.sites[decision].settings)});
    } else if (cause.kind == CauseKind::zone) {
      operations.push_back(
          ChangeZone{.part = cause.part, .zone = cause.index, .settings = with(part.zones[cause.index].settings)});
    } else if (cause.kind == CauseKind::prop) {
      operations.push_back(
          ChangeProp{.part = cause.part, .prop = cause.index, .settings = with(part.props[cause.index].settings)});
    } else {
      wholeParts.insert(cause.part);
    }
  }
  for (const std::size_t part : wholeParts) operations.push_back(ChangeSetting{key, filament, part});
  return operations;
}

}  // namespace trellis
