// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/findings.hpp"

#include "core/assess/opening.hpp"
#include "core/assess/structure_advice.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double worthSaying = 0.5;  // mm² of surface; less is the rim of a brush stroke

std::string inWords(const LostMarks& lost) {
  switch (lost.kind) {
    case LostKind::enforce: return fmt::format("{:.0f} mm² of enforcer", lost.area);
    case LostKind::block: return fmt::format("{:.0f} mm² of blocker", lost.area);
    case LostKind::clean: return fmt::format("{:.0f} mm² of clean face", lost.area);
    case LostKind::prop: return "a prop";
    case LostKind::site: break;
  }
  return "the choice for a site";
}

class Finder {
 public:
  Finder(const Project& project, const Build& build) : project_(project), build_(build) {}

  Findings all() {
    if (project_.parts.empty()) return {};
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      soundness(p);
      room(p);
      decisions(p);
      crowdedBranches(p);
      bareStarts(p);
    }
    overlaps();
    columns();
    pieces();
    if (!build_.towerHasRoom)
      found_.push_back({"no-tower-room", Severity::problem, "The prime tower finds no free place on the plate. Move the parts together, or print support from one filament.",
                        Vec3::Zero(), -1, {ChangeSetting{"support.filament.interface", std::string("first")}}});
    thinFeatures();
    std::stable_sort(found_.begin(), found_.end(), [](const Finding& a, const Finding& b) { return a.severity > b.severity; });
    return std::move(found_);
  }

 private:
  void add(const char* code, Severity severity, std::string message, const Vec3& at, std::size_t part, std::vector<Operation> remedies = {}) {
    found_.push_back({code, severity, std::move(message), at, static_cast<int>(part), std::move(remedies)});
  }
  const SupportRules& rules(std::size_t p) const { return build_.rules[p].support; }
  // Changes the setting where the part has it from: its own, or the plate's.
  Operation setting(std::size_t p, const char* key, SettingValue value) const {
    const bool own = project_.parts[p]->settings.contains(key);
    return ChangeSetting{key, std::move(value), own ? std::optional(p) : std::nullopt};
  }
  const std::string& name(std::size_t p) const { return project_.parts[p]->name; }

  void soundness(std::size_t p) {
    const PartBuild& part = build_.parts[p];
    std::string troubles;
    for (const Trouble& trouble : part.health->troubles)
      if (trouble.kind != Defect::crossing) troubles += (troubles.empty() ? "" : ", ") + inWords(trouble);  // slicing unites what crosses
    if (!troubles.empty()) {
      const Affine toPlate = transformOf(project_.parts[p]->placement, *project_.parts[p]->mesh);
      add("broken-mesh", Severity::warning,
          fmt::format("{} has a broken mesh: {}. It is cut as well as it can be; mend it in Place, or look at its layers.", name(p), troubles),
          toPlate * part.health->troubles.front().at, p);
    }
    for (const LostMarks& lost : project_.parts[p]->lostMarks)
      add("marks-lost", Severity::warning,
          fmt::format("{} lost {} when its mesh was replaced: the surface there is gone. Decide anew if it is still wanted.", name(p), inWords(lost)),
          transformOf(project_.parts[p]->placement, *project_.parts[p]->mesh) * lost.at, p);
    if (!part.gaps->empty())
      add("open-section", Severity::warning,
          fmt::format("{} has outlines that do not close, first at {:.1f} mm height with a gap of {:.2f} mm, in {} places. "
                      "They were closed straight across.",
                      name(p), part.gaps->front().at.z(), part.gaps->front().length, part.gaps->size()),
          part.gaps->front().at, p);
    if (std::all_of(part.sections->begin(), part.sections->end(), [](const Polygons& s) { return s.empty(); }))
      add("nothing-to-print", Severity::problem,
          fmt::format("{} meets no layer, so nothing of it is printed. Make it thicker than half a layer, or the layers thinner.", name(p)),
          part.placed->bounds.center(), p);
  }

  void room(std::size_t p) {
    const Box3& box = build_.parts[p].placed->bounds;
    const Settings& settings = project_.settings;
    const Vec3 plate(settings.number("machine.width"), settings.number("machine.depth"), settings.number("machine.height"));
    constexpr double slack = 1e-3;
    if ((box.sizes().array() > plate.array() + slack).any())
      add("too-large", Severity::problem,
          fmt::format("{} measures {:.1f} × {:.1f} × {:.1f} mm and the machine prints at most {:g} × {:g} × {:g} mm. Scale it down or cut it.",
                      name(p), box.sizes().x(), box.sizes().y(), box.sizes().z(), plate.x(), plate.y(), plate.z()),
          box.center(), p);
    else if ((box.min().head<2>().array() < -slack).any() || (box.max().array() > plate.array() + slack).any())
      add("off-plate", Severity::problem, fmt::format("{} reaches past the plate or its height. Move it in.", name(p)), box.center(), p);
    if (box.min().z() < -slack)
      add("below-plate", Severity::problem,
          fmt::format("{} reaches {:.2f} mm below the plate, and what is there is not printed. Drop it to the plate.", name(p), -box.min().z()),
          box.center(), p);
  }

  // Two parts that share room are printed into each other.
  void overlaps() {
    for (std::size_t p = 0; p < build_.parts.size(); ++p)
      for (std::size_t q = p + 1; q < build_.parts.size(); ++q) {
        const PartBuild &a = build_.parts[p], &b = build_.parts[q];
        if (!a.placed->bounds.intersects(b.placed->bounds)) continue;
        for (std::size_t l = 0; l < std::min(a.sections->size(), b.sections->size()); ++l) {
          const Polygons shared = withoutSpecks(intersect((*a.sections)[l], (*b.sections)[l]), 0.01);
          if (shared.empty()) continue;
          const Vec2 middle = boundsOf(shared).center();
          add("parts-overlap", Severity::problem,
              fmt::format("{} and {} overlap, first at {:.1f} mm height. Move one of them, or let the parts be arranged.", name(p), name(q), a.plan.spans[l].bottom),
              {middle.x(), middle.y(), a.plan.spans[l].bottom}, q);
          break;
        }
      }
  }

  void decisions(std::size_t p) {
    const PartBuild& built = build_.parts[p];
    const Part& part = *project_.parts[p];
    const MarkShadows& shadows = *built.shadows;
    const bool decided = !part.marks->empty() || !part.zones.empty() || !part.props.empty() || !part.sites.empty();
    if (!rules(p).on && decided)
      add("supports-off", Severity::problem,
          fmt::format("{} has decisions about its supports, but supports are switched off, so nothing is built. Switch supports on.", name(p)),
          built.placed->bounds.center(), p, {setting(p, "support.on", true)});
    if (shadows.enforcedUpward > worthSaying)
      add("enforced-upward", Severity::note,
          fmt::format("{} has {:.0f} mm² of enforcer on surfaces that face up, where support has nothing to carry. Mark the underside instead.",
                      name(p), shadows.enforcedUpward),
          shadows.upwardAt, p);
    cleanFaces(p);
    const Affine toPlate = transformOf(part.placement, *part.mesh);
    for (std::size_t z = 0; z < part.zones.size(); ++z)
      if (part.zones[z].as == ZoneAs::enforce && sum(built.claims->zones[z].demand) < worthSaying)
        add("zone-idle", Severity::note,
            fmt::format("Zone {} of {} encloses no underside that leans more than {:g}°, so it asks for nothing. Move it, make it larger, or lower its lean.",
                        z + 1, name(p), part.zones[z].lean),
            toPlate * part.zones[z].toMesh.translation(), p, {RemoveZone{p, z}});
    for (std::size_t k = 0; k < part.props.size(); ++k)
      if (const PropClaim& claim = built.claims->props[k]; sum(claim.demand) == 0 && !hasLines(claim.walls))
        add("prop-idle", Severity::note,
            fmt::format("Prop {} of {} stands under nothing and beside nothing. Drag it to an underside or a wall, or remove it.", k + 1, name(p)),
            toPlate * part.props[k].at, p, {RemoveProp{p, k}});
    for (const std::size_t k : built.claims->placeless)
      add("site-gone", Severity::note,
          fmt::format("{} has a choice for a site that no longer hangs there, so it does nothing. Drop the choice, or lower the free lean.", name(p)),
          toPlate * part.sites[k].at, p, {DecideSite{p, toPlate * part.sites[k].at, Choice::proposed, Overrides()}});
  }

  // Trees under what is broad and flat.
  void crowdedBranches(std::size_t p) {
    const PartBuild& part = build_.parts[p];
    for (std::size_t s = 0; s < part.sites->list.size(); ++s) {
      const Site& site = part.sites->list[s];
      const SiteClaim& claim = part.claims->sites[s];
      if (site.bridge || !rules(p).on || build_.rules[claim.rules].support.structure != Structure::tree) continue;
      const StructureAdvice advice = adviseFor(site, *part.placed);
      if (advice.structure != Structure::normal) continue;
      Overrides settings = claim.decision == SiteClaim::none ? Overrides() : project_.parts[p]->sites[claim.decision].settings;
      settings.insert_or_assign("support.structure", SettingValue(std::string("normal")));
      add("crowded-branches", Severity::note, fmt::format("Site {} of {} is {}. Normal support suits it better.", s + 1, name(p), advice.reason),
          site.at, p, {DecideSite{p, site.at, std::nullopt, settings}});
    }
  }

  void cleanFaces(std::size_t p) {
    const std::vector<Polygons>& kept = *build_.parts[p].keptFree;
    const double area = sum(kept);
    if (area < worthSaying) return;
    const auto first = static_cast<std::size_t>(std::find_if(kept.begin(), kept.end(), [](const Polygons& layer) { return !layer.empty(); }) - kept.begin());
    const Vec2 middle = boundsOf(kept[first]).center();
    add("clean-face-bare", Severity::warning,
        fmt::format("{} hangs over {:.0f} mm² of faces that are to stay clean, which nothing carries. Turn the part, or let the face be touched.", name(p), area),
        {middle.x(), middle.y(), build_.plan.spans[first].bottom}, p, {ClearDecisions{p, Clearing::clean}});
  }

  static double sum(const std::vector<Polygons>& layers) {
    double total = 0;
    for (const Polygons& layer : layers) total += area(layer);
    return total;
  }
  static bool hasLines(const std::vector<Polygons>& layers) {
    return std::any_of(layers.begin(), layers.end(), [](const Polygons& lines) { return !lines.empty(); });
  }

  // Whether support lies right under a place in a part's layer.
  bool isCarried(const LayerSpan& span, const Polygons& place, std::size_t p) const {
    for (const SupportLayer& layer : build_.support->layers)
      for (const PieceRegion& region : layer.regions)
        if (const RuleSet& by = build_.rules[region.rules]; by.part == p && std::abs(layer.top - (span.bottom - by.support.gapAbove)) < 1e-6 && !intersect(region.area, place).empty())
          return true;
    return false;
  }

  void bareStarts(std::size_t p) {
    const PartBuild& part = build_.parts[p];
    std::size_t bare = 0;
    const FloatingStart* first = nullptr;
    for (const FloatingStart& start : part.overhangs->starts) {
      const Vec2 reach(std::sqrt(start.area), std::sqrt(start.area));
      const Box2 around(start.at.head<2>() - reach, start.at.head<2>() + reach);
      if (isCarried(part.plan.spans[start.layer], intersect(part.overhangs->floating[start.layer], rectangle(around)), p)) continue;
      ++bare;
      if (!first) first = &start;
    }
    if (first)
      add("floating-start", Severity::problem,
          fmt::format("{} begins in mid-air in {} place{}, first at {:.2f} mm height, and nothing is under it. Enforce support there, or turn the part.",
                      name(p), bare, bare == 1 ? "" : "s", first->at.z()),
          first->at, p, bareRemedies(p));
  }

  std::vector<Operation> bareRemedies(std::size_t p) const {
    if (!rules(p).on) return {setting(p, "support.on", true)};
    if (rules(p).source == Source::decisions) return {setting(p, "support.source", std::string("floating"))};
    return {};
  }

  // One finding a part and kind, however many sites it concerns.
  struct Lost {
    double area = 0;
    std::size_t places = 0;
    Vec3 first = Vec3::Zero();
    void add(double more, const Vec3& at) {
      if (more <= worthSaying) return;
      if (places++ == 0) first = at;
      area += more;
    }
    std::string words() const { return fmt::format("{:.1f} mm² in {} place{}, first at {:.1f} mm height", area, places, places == 1 ? "" : "s", first.z()); }
  };

  void columns() {
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      Lost room, footing, steep;
      const Column* slender = nullptr;
      Vec3 slenderAt = Vec3::Zero();
      bool isTree = false;
      for (std::size_t i = 0; i < build_.columns.size(); ++i) {
        const DemandSite& site = *build_.demand[i];
        if (site.part != p) continue;
        const Vec2 middle = boundsOf(site.layers.front()).center();
        const Vec3 at(middle.x(), middle.y(), build_.plan.spans[site.lowest].bottom);
        room.add(build_.columns[i]->noRoom, at);
        footing.add(build_.columns[i]->withoutFooting, at);
        steep.add(build_.columns[i]->tooSteep, at);
        const bool stiff = build_.trees[i] && build_.rules[site.rules].settings.whole("support.tree.walls") > 1;
        if (!stiff && build_.columns[i]->slenderHeight > (slender ? slender->slenderHeight : 0)) {
          slender = build_.columns[i].get();
          isTree = build_.trees[i] != nullptr;
          slenderAt = at;
        }
      }
      if (steep.places > 0)
        add("steep-footing", Severity::note,
            fmt::format("{} has supports that would stand on slopes too steep to grip, {}; they are left out there. A lower interface holds on better.", name(p), steep.words()),
            steep.first, p, {setting(p, "support.interface.lower.layers", 2.0)});
      if (slender)
        add("slender-support", Severity::warning,
            fmt::format("{} has a support {:.0f} mm tall and {:.1f} mm across that finds no room to widen, and may fall over. {}, or carry the place from the side.", name(p),
                        slender->slenderHeight, slender->slenderWidth, isTree ? "Give branches two walls" : "Make it a square column"),
            slenderAt, p, {isTree ? setting(p, "support.tree.walls", 2.0) : setting(p, "support.normal.outline", std::string("squared"))});
      if (room.places > 0)
        add("no-room", Severity::note,
            fmt::format("{} hangs over {}, with no room for support under the gaps. Narrow the gaps, or leave it to bridge.", name(p), room.words()),
            room.first, p);
      if (footing.places > 0) {
        const bool plateOnly = rules(p).footing == Footing::plate;
        add("no-footing", Severity::warning,
            fmt::format("{} has {} whose support finds nothing to stand on. {}", name(p), footing.words(),
                        plateOnly ? "Let it stand on the part too (footing: plate and part), or turn the part." : "Narrow the gap beside, let branches lean more, or turn the part."),
            footing.first, p, plateOnly ? std::vector<Operation>{setting(p, "support.footing", std::string("any"))} : std::vector<Operation>());
      }
    }
  }

  void pieces() {
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      std::size_t held = 0;
      double widest = 0;
      const DemandSite* first = nullptr;
      for (std::size_t i = 0; i < build_.pieces.size(); ++i) {
        const DemandSite* site = build_.demand[build_.support->pieces[i].sites.front()];
        if (site->part != p || build_.pieces[i].grade != Grade::trapped) continue;
        if (++held == 1) first = site;
        widest = std::max(widest, build_.pieces[i].opening);
      }
      if (!first) continue;
      const Vec2 middle = boundsOf(first->layers.front()).center();
      constexpr double inTheOpen = 15;  // mm: no room in the part, but something wrapped around it
      add("piece-trapped", Severity::warning,
          fmt::format("{} holds {} piece{} of support that no straight pull gets out. {}", name(p), held, held == 1 ? "" : "s",
                      widest >= inTheOpen ? fmt::format("{} round the part: break {} out in pieces, or block a place where {} can be parted.", held == 1 ? "It reaches" : "They reach",
                                                        held == 1 ? "it" : "them", held == 1 ? "it" : "they")
                      : widest >= waterPasses ? fmt::format("Water reaches {} through {:.1f} mm: print the interface from a filament that dissolves, or block the place.", held == 1 ? "it" : "them", widest)
                                              : "Water does not reach it either: block the place, or turn or open the part."),
          {middle.x(), middle.y(), build_.plan.spans[first->lowest].bottom}, p);
    }
  }

  void thinFeatures() {
    double lost = 0;
    const PrintLayer* first = nullptr;
    for (const auto& layer : build_.print.layers) {
      if (layer->tooThin.empty()) continue;
      lost += area(layer->tooThin);
      if (!first) first = layer.get();
    }
    if (!first) return;
    const Vec2 middle = boundsOf({first->tooThin.front()}).center();
    found_.push_back({"too-thin", Severity::note,
                      fmt::format("Features thinner than half a line are not printed, first at {:.1f} mm height, {:.1f} mm² over all layers. "
                                  "Thicken them, or set a narrower line width.",
                                  first->bottom, lost),
                      {middle.x(), middle.y(), first->bottom}, -1});
  }

  const Project& project_;
  const Build& build_;
  Findings found_;
};

}  // namespace

Findings findProblems(const Project& project, const Build& build) {
  return Finder(project, build).all();
}

}  // namespace trellis
