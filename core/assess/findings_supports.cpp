// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about supports: where they cannot stand, and how they come off.
#include "core/assess/finder.hpp"
#include "core/document/settle.hpp"
#include "core/release/drain_clearance.hpp"
#include "core/release/removal_plan.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

namespace trellis {

namespace {

constexpr double lossWorth = 4;      // mm² on a part that support does not reach
constexpr double mostlySteep = 0.5;  // share of what a support carries that would stand on slopes

// A place of a piece: where its first site hangs lowest, and the choice that blocks that site.
Vec3 placeOf(const Finder& f, const DemandSite& site) {
  const Vec2 middle = boundsOf(site.layers.front()).center();
  return {middle.x(), middle.y(), f.build.plan.spans[site.lowest].bottom};
}

std::vector<Remedy> blocking(const Finder& f, const std::vector<std::size_t>& sites) {
  Remedy block(sites.size() == 1 ? say("block the place") : say("block the places"), {});
  std::set<std::pair<std::size_t, std::size_t>> named;
  for (const std::size_t i : sites) {
    const DemandSite& site = *f.build.demand[i];
    for (const Contact& contact : site.contacts)
      if (contact.cause.kind == CauseKind::site && named.insert({site.part, contact.cause.index}).second)
        block.steps.push_back(
            DecideSite{site.part, f.build.parts[site.part].sites->list[contact.cause.index].at, Choice::block});
  }
  if (block.steps.empty()) return {};
  return {block};
}

struct Slender {
  const Column* thinnest = nullptr;
  bool isTree = false;                         // the thinnest
  std::vector<std::pair<double, Vec3>> found;  // by height
  std::vector<std::size_t> sites;
};

void slenderSupports(Finder& f, std::size_t p, const Slender& slender) {
  const auto& [worst, isTree, found, sites] = slender;
  std::vector<Remedy> remedies = blocking(f, sites);
  if (!isTree) remedies.insert(remedies.begin(), f.setting(p, "support.normal.outline", std::string("squared")));
  remedies.push_back(f.setting(p, "support.structure", std::string(isTree ? "normal" : "tree")));
  f.addAll({"slender-support", Severity::warning,
            say("{}: a support {:.0f} mm tall is only {:.1f} mm thick and may fall over.", f.name(p),
                worst->slenderHeight, std::max(0.1, worst->slenderWidth)),
            isTree ? say("It finds no room to widen. Carry the place with columns or from the side, or turn the part.")
                   : say("It finds no room to widen. Square columns are stouter, or carry the place from the side.")},
           byWeight(found), p, remedies);
}

void noRoom(Finder& f, std::size_t p, double area, const std::vector<Vec3>& places) {
  std::vector<Remedy> remedies;
  if (f.rules(p).gapAbove > f.rules(p).layerHeight)
    remedies.push_back(f.setting(p, "support.gap.above", f.rules(p).layerHeight));
  const double low =
      std::min_element(places.begin(), places.end(), [](const Vec3& a, const Vec3& b) { return a.z() < b.z(); })->z();
  if (low < sinkable) {
    for (Remedy& sink : sinking(f, p)) remedies.push_back(std::move(sink));
    remedies.push_back({say("raft of 2 layers"), {ChangeSetting{"support.raft.layers", 2.0}}});
  }
  f.addAll({"no-room", Severity::note,
            say("{}: {:.0f} mm² lie too close over what is below them for support.", f.name(p), area),
            say("Less than 0.05 mm is left between the gaps, so the lines there sag until they touch. Lower the part a "
                "little, print on a raft, or narrow the gap.")},
           places, p, remedies);
}

void noFooting(Finder& f, std::size_t p, double area, const std::vector<Vec3>& places) {
  const bool plateOnly = f.rules(p).footing == Footing::plate, isTree = f.rules(p).structure == Structure::tree;
  std::vector<Remedy> remedies;
  if (plateOnly)
    remedies.push_back(f.setting(p, "support.footing", std::string("any")));
  else if (f.rules(p).gapBeside > 0.3)
    remedies.push_back(f.setting(p, "support.gap.beside", 0.3));
  if (isTree && f.rules(p).branchLean < 50) remedies.push_back(f.setting(p, "support.tree.branch_lean", 50.0));
  if (!isTree) remedies.push_back(f.setting(p, "support.structure", std::string("tree")));
  f.addAll(
      {"no-footing", Severity::warning,
       say("{}: {:.1f} mm² hang where support has no place to stand.", f.name(p), area),
       plateOnly ? say("The part is in the way, and supports may stand on the plate only. Let them stand on the part "
                       "too, or turn it.")
                 : say("What lies below is too near, too narrow or too steep. A smaller gap beside, branches or "
                       "another turning open a way.")},
      places, p, remedies);
}

// One finding a part and kind, however many sites it concerns.
struct Lost {
  double area = 0;
  std::vector<std::pair<double, Vec3>> found;
  void add(double more, const Vec3& at) {
    if (more <= worthSaying) return;
    found.emplace_back(more, at);
    area += more;
  }
  std::vector<Vec3> places() const { return byWeight(found); }
};

void columns(Finder& f, std::size_t p) {
  Lost room, footing, steep;
  Slender slender;
  for (std::size_t i = 0; i < f.build.columns.size(); ++i) {
    const DemandSite& site = *f.build.demand[i];
    if (site.part != p) continue;
    const Column& column = *f.build.columns[i];
    const Vec3 at = placeOf(f, site);
    room.add(column.noRoom, at);
    footing.add(column.withoutFooting, at);
    if (column.tooSteep > column.wanted * mostlySteep) steep.add(column.tooSteep, at);
    if (column.slenderHeight == 0) continue;
    slender.found.emplace_back(column.slenderHeight, at);
    slender.sites.push_back(i);
    if (slender.thinnest && column.slenderHeight <= slender.thinnest->slenderHeight) continue;
    slender.thinnest = &column;
    slender.isTree = f.build.trees[i] != nullptr;
  }
  if (steep.area > lossWorth)
    f.addAll({"steep-footing", Severity::note,
              say("{}: {:.0f} mm² of support would stand on slopes too steep to hold it.", f.name(p), steep.area),
              say("Those columns are left out where they would stand. A lower interface holds on better.")},
             steep.places(), p, {f.setting(p, "support.interface.lower.layers", 2.0)});
  if (slender.thinnest) slenderSupports(f, p, slender);
  if (room.area > lossWorth) noRoom(f, p, room.area, room.places());
  if (footing.area > lossWorth) noFooting(f, p, footing.area, footing.places());
}

// The setting where it was given: for the part, or for a site, zone or prop of its own.
std::vector<Remedy> changed(const Finder& f, const RuleSet& rules, std::size_t number, const char* key, double value) {
  if (number < f.project.parts.size()) return {f.setting(rules.part, key, value)};
  const Part& part = *f.project.parts[rules.part];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const auto isIt = [&](const Overrides& own) { return own.contains(key) && own.at(key) == rules.settings.value(key); };
  const auto with = [&](Overrides own) {
    own.insert_or_assign(key, SettingValue(value));
    return own;
  };
  Remedy all(say("change it there"), {});
  for (const SiteDecision& site : part.sites)
    if (isIt(site.settings))
      all.steps.push_back(DecideSite{rules.part, toPlate * site.at, std::nullopt, with(site.settings)});
  for (std::size_t z = 0; z < part.zones.size(); ++z)
    if (isIt(part.zones[z].settings))
      all.steps.push_back(ChangeZone{rules.part, z, {}, {}, {}, with(part.zones[z].settings)});
  for (std::size_t k = 0; k < part.props.size(); ++k)
    if (isIt(part.props[k].settings))
      all.steps.push_back(ChangeProp{rules.part, k, {}, {}, with(part.props[k].settings)});
  if (all.steps.empty()) return {f.setting(rules.part, key, value)};
  return {all};
}

// Gaps and interfaces as people in the trade know them to stick or to sag: common practice.
void release(Finder& f) {
  std::set<std::size_t> seen;
  for (std::size_t i = 0; i < f.build.columns.size(); ++i) {
    const std::size_t number = f.build.demand[i]->rules;
    const DemandSite& site = *f.build.demand[i];
    if (f.build.columns[i]->slabs.empty() || site.isHold() || !seen.insert(number).second) continue;
    const RuleSet& rules = f.build.rules[number];
    const Vec3 at = placeOf(f, site);
    const double gap = rules.support.gapAbove, layer = rules.support.layerHeight;
    const bool same = rules.settings.text("support.filament.interface") == "first";
    if (same && gap < 0.5 * layer - 1e-9)
      f.add({"gap-too-small", Severity::warning,
             say("{}: a gap above of {:.2f} mm welds support to the part.", f.name(rules.part), gap),
             say("It is under half a layer, and the support is of the part's own filament. One layer, {:.2f} mm, "
                 "is usual.",
                 layer)},
            at, rules.part, changed(f, rules, number, "support.gap.above", layer));
    if (gap > 2 * layer + 1e-9)
      f.add({"gap-too-large", Severity::warning,
             say("{}: a gap above of {:.2f} mm lets the underside sag.", f.name(rules.part), gap),
             say("It is over two layers, so lines drop before they land. One layer, {:.2f} mm, is usual.", layer)},
            at, rules.part, changed(f, rules, number, "support.gap.above", layer));
    if (same && rules.support.interfaceLayers > 0 && rules.settings.number("support.interface.upper.spacing") < 0.05)
      f.add({"interface-solid", Severity::warning,
             say("{}: a solid interface of its own filament comes off hard.", f.name(rules.part)),
             say("What stays looks like part. Let daylight between its lines, 0.45 mm.")},
            at, rules.part, changed(f, rules, number, "support.interface.upper.spacing", 0.45));
  }
}

constexpr double inTheOpen = 15;  // mm: no room in the part, but something wrapped around it

Sentence trappedWhy(double widest, bool wet, bool one) {
  if (widest >= inTheOpen)
    return one ? say("It reaches round the part, and neither a pull, a turn nor breaking it frees it. Block a site in "
                     "the middle, so that it falls into two.")
               : say("They reach round the part, and neither a pull, a turn nor breaking them frees them. Block a site "
                     "in the middle, so that each falls into two.");
  if (!wet && widest > 0.1)
    return say(
        "An opening of {:.1f} mm leads there. With one of {:.0f} mm water could take it out, with one of {:.0f} mm "
        "a tool: widen the opening, block the place, or turn the part.",
        widest, waterPasses, toolReaches);
  if (!wet) return say("No opening leads there. Block the place, or turn or open the part.");
  return one ? say("An opening of {:.1f} mm leads there: water can take it out if the interface is of a filament that "
                   "dissolves. Or block the place.",
                   widest)
             : say("An opening of {:.1f} mm leads there: water can take them out if the interface is of a filament "
                   "that dissolves. Or block the place.",
                   widest);
}

// Takes a gap right out of the middle of each piece, lengthwise or across, so that it comes off in two.
std::vector<Remedy> parting(const Finder& f, std::size_t p, const std::vector<std::size_t>& pieces) {
  constexpr int family = 3;
  constexpr double gap = 2, past = 1;  // mm
  std::map<std::size_t, Box3> boxes;
  for (const SupportLayer& layer : f.build.support->layers)
    for (const PieceRegion& region : layer.regions)
      if (std::find(pieces.begin(), pieces.end(), region.piece) != pieces.end()) {
        const Box2 box = boundsOf(region.area);
        boxes[region.piece]
            .extend(Vec3(box.min().x(), box.min().y(), layer.bottom))
            .extend(Vec3(box.max().x(), box.max().y(), layer.top));
      }
  std::vector<Remedy> remedies;
  for (const int axis : {0, 1}) {
    Remedy& part = remedies.emplace_back(
        pieces.size() == 1 ? say("part it in the middle") : say("part them in the middle"), std::vector<Operation>());
    part.family = family;
    for (const auto& [piece, box] : boxes) {
      AddZone cut{p, {}, {box.center(), box.sizes().array() + 2 * past, Vec3::Zero()}};
      cut.zone.as = ZoneAs::keepClear;
      cut.figures.size[axis] = gap;
      part.steps.push_back(cut);
    }
  }
  return remedies;
}

// Other ways up that it would stand on, the broadest first.
std::vector<Remedy> turning(const Finder& f, std::size_t p) {
  constexpr int family = 4;
  constexpr std::size_t most = 4;
  constexpr double same = 0.99;  // cosine between what lies below now and then
  const Part& part = *f.project.parts[p];
  const Vec3 up = transformOf(part.placement, *part.mesh).linear().row(2).normalized();
  std::vector<Remedy> remedies;
  for (const RestingFace& face : restingFaces(*part.mesh, part.placement.scale)) {
    if (remedies.size() == most) break;
    const PlacePart turn = laidDown(f, p, face.normal);
    Placement after = part.placement;
    after.turn = *turn.turn;
    const Vec3 then = transformOf(after, *part.mesh).linear().row(2).normalized();
    if (up.dot(then) > same) continue;
    remedies.emplace_back(say("turn it another way"), std::vector<Operation>{turn}).family = family;
  }
  return remedies;
}

void trappedPieces(Finder& f, std::size_t p) {
  std::vector<std::size_t> sites, held;
  std::vector<Vec3> places;
  double widest = 0;
  for (std::size_t i = 0; i < f.build.pieces.size(); ++i) {
    const std::vector<std::size_t>& ofPiece = f.build.support->pieces[i].sites;
    if (f.build.demand[ofPiece.front()]->part != p || f.build.pieces[i].grade != Grade::trapped) continue;
    held.push_back(i);
    places.push_back(placeOf(f, *f.build.demand[ofPiece.front()]));
    sites.insert(sites.end(), ofPiece.begin(), ofPiece.end());
    widest = std::max(widest, f.build.pieces[i].drainClearance);
  }
  if (held.empty()) return;
  const bool wet = widest < inTheOpen && widest >= waterPasses;
  std::vector<Remedy> remedies;
  if (wet)
    remedies.emplace_back(say("dissolve it"), f.setting(p, "support.filament.interface", std::string("second")).steps);
  if (widest >= waterPasses)
    for (Remedy& part : parting(f, p, held)) remedies.push_back(std::move(part));
  for (Remedy& block : blocking(f, sites)) remedies.push_back(std::move(block));
  remedies.push_back(f.otherStructure(p));
  for (Remedy& turn : turning(f, p)) remedies.push_back(std::move(turn));
  const bool one = held.size() == 1;
  f.addAll({"piece-trapped", Severity::warning,
            one ? say("{}: 1 piece of support cannot be taken off.", f.name(p))
                : say("{}: {} pieces of support cannot be taken off.", f.name(p), held.size()),
            trappedWhy(widest, wet, one)},
           places, p, remedies);
}

void fragilePieces(Finder& f, std::size_t p) {
  const DemandSite* first = nullptr;
  std::size_t count = 0;
  for (std::size_t i = 0; i < f.build.pieces.size(); ++i) {
    const DemandSite* site = f.build.demand[f.build.support->pieces[i].sites.front()].get();
    if (site->part != p || f.build.pieces[i].grade != Grade::fragile) continue;
    if (count++ == 0) first = site;
  }
  if (!first) return;
  const double gap = std::max(f.rules(p).gapAbove, 1.5 * f.rules(p).layerHeight),
               spacing = std::max(0.9, f.build.rules[p].settings.number("support.interface.upper.spacing"));
  const Remedy looser(say("gap {:.2f} mm, spacing {:.2f} mm", gap, spacing),
                      {f.setting(p, "support.gap.above", gap).steps.front(),
                       f.setting(p, "support.interface.upper.spacing", spacing).steps.front()});
  f.add({"piece-fragile", Severity::warning,
         count == 1 ? say("{} may break where support is pulled off, at 1 piece.", f.name(p))
                    : say("{} may break where support is pulled off, at {} pieces.", f.name(p), count),
         say("It is weaker there than the support holds on. Widen the gap above or the interface's spacing, or support "
             "the place beside.")},
        placeOf(f, *first), p, {looser});
}

}  // namespace

void findInSupports(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) columns(f, p);
  release(f);
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    trappedPieces(f, p);
    fragilePieces(f, p);
  }
  if (!f.build.codeHasRoom)
    f.addToPlate({"no-code-room", Severity::note, say("The code finds no free place beside the print."),
                  say("It is left out. Move the parts together, or away from the plate's border.")},
                 Vec3::Zero(), {ChangeSetting{"skirt.code", false}});
  if (!f.build.towerHasRoom)
    f.addToPlate({"no-tower-room", Severity::problem, say("The prime tower finds no free place on the plate."),
                  say("Move the parts together, or print support from one filament.")},
                 Vec3::Zero(), {ChangeSetting{"support.filament.interface", std::string("first")}});
}

}  // namespace trellis
