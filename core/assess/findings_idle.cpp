// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about decisions that change nothing: told by asking what would be wanted without each.
#include "core/assess/finder.hpp"
#include "core/assess/removal.hpp"

#include <algorithm>

namespace trellis {

namespace {

using Layers = std::vector<Polygons>;

double areaOf(const Layers& layers) {
  double sum = 0;
  for (const Polygons& layer : layers) sum += area(layer);
  return sum;
}

// mm² by which two demands differ.
double difference(const Layers& a, const Layers& b) {
  double sum = 0;
  for (std::size_t i = 0; i < a.size(); ++i)
    if (a[i] != b[i]) sum += area(subtract(a[i], b[i])) + area(subtract(b[i], a[i]));
  return sum;
}

// One part's demand, and what it would be with other decisions.
class Without {
 public:
  Without(const Finder& f, std::size_t p)
      : part_(f.build.parts[p]), p_(p), source_(f.rules(p).source), now_(demandWith(*part_.shadows, *part_.resolved)) {}

  bool isIdle(const MarkShadows& marks) const { return isAlike(demandWith(marks, *part_.resolved)); }
  bool isIdle(const ResolvedDecisions& resolved) const { return isAlike(demandWith(*part_.shadows, resolved)); }

 private:
  Layers demandWith(const MarkShadows& marks, const ResolvedDecisions& resolved) const {
    const Asked asked{p_, part_.plan, *part_.overhangs, *part_.sites, marks, *part_.clean, resolved, source_, {}};
    return findDemand(asked, Progress());
  }
  bool isAlike(const Layers& other) const { return difference(now_, other) < worthSaying; }

  const PartBuild& part_;
  std::size_t p_;
  Source source_;
  Layers now_;
};

// Why an enforcing decision changes nothing, and what to do.
Sentence enforcedAnyway(const Finder& f, std::size_t p) {
  return f.rules(p).source == Source::overhangs
             ? say("All that hangs is supported anyway. Choose \"decisions only\" if you meant this alone, or take it "
                   "back.")
             : say("Another decision asks for it already, or a stronger one keeps support away. Take it back, or the "
                   "other.");
}

std::vector<Remedy> remediesOf(const Finder& f, std::size_t p, Remedy takeBack) {
  std::vector<Remedy> remedies;
  if (f.rules(p).source == Source::overhangs)
    remedies.push_back(f.setting(p, "support.source", std::string("decisions")));
  remedies.push_back(std::move(takeBack));
  return remedies;
}

void idleMarks(Finder& f, std::size_t p, const Without& without) {
  const PartBuild& part = f.build.parts[p];
  const Vec3 at = part.placed->bounds.center();
  if (areaOf(part.shadows->enforced) > worthSaying) {
    // A tint with settings of its own changes how support is built.
    MarkShadows marks = *part.shadows;
    marks.enforced.assign(marks.enforced.size(), {});
    for (const auto& [tint, tinted] : marks.tints)
      if (f.project.parts[p]->tints.contains(tint))
        for (std::size_t i = 0; i < marks.enforced.size(); ++i)
          marks.enforced[i].insert(marks.enforced[i].end(), tinted.surface[i].begin(), tinted.surface[i].end());
    if (without.isIdle(marks))
      f.add(
          {"enforce-idle", Severity::note, say("{}: your enforcers change nothing.", f.name(p)), enforcedAnyway(f, p)},
          at, p, remediesOf(f, p, Remedy(say("clear the enforcers"), {ClearDecisions{p, Clearing::enforce}})));
  }
  if (areaOf(part.shadows->blocked) > worthSaying && areaOf(part.shadows->noLanding) < worthSaying) {
    MarkShadows marks = *part.shadows;
    marks.blocked.assign(marks.blocked.size(), {});
    if (without.isIdle(marks))
      f.add({"block-idle", Severity::note, say("{}: your blockers keep nothing away.", f.name(p)),
             say("Nothing would be supported there without them. Clear them, or paint where support stands.")},
            at, p, {Remedy(say("clear the blockers"), {ClearDecisions{p, Clearing::block}})});
  }
}

void idleZones(Finder& f, std::size_t p, const Without& without) {
  const PartBuild& built = f.build.parts[p];
  const Part& part = *f.project.parts[p];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  for (std::size_t z = 0; z < part.zones.size(); ++z) {
    const Zone& zone = part.zones[z];
    const bool asks = zone.as == ZoneAs::enforce;
    // One that asks for nothing has a finding of its own; what keeps clear also keeps branches out.
    if (zone.as == ZoneAs::keepClear || !zone.settings.empty()) continue;
    if (asks && areaOf(built.resolved->zones[z].demand) < worthSaying) continue;
    ResolvedDecisions resolved = *built.resolved;
    resolved.zones[z].demand.assign(resolved.zones[z].demand.size(), {});
    resolved.zones[z].within.assign(resolved.zones[z].within.size(), {});
    if (!without.isIdle(resolved)) continue;
    Remedy remove(RemoveZone{p, z});
    f.add({"zone-redundant", Severity::note, say("{}: zone {} changes nothing.", f.name(p), z + 1),
           asks ? enforcedAnyway(f, p) : say("Nothing in it would be supported without it. Move it, or remove it.")},
          toPlate * zone.toMesh.translation(), p,
          asks ? remediesOf(f, p, std::move(remove)) : std::vector<Remedy>{std::move(remove)});
  }
}

void idleChoices(Finder& f, std::size_t p, const Without& without) {
  const PartBuild& built = f.build.parts[p];
  for (std::size_t s = 0; s < built.resolved->sites.size(); ++s) {
    const ResolvedSite& site = built.resolved->sites[s];
    if (site.choice == Choice::proposed || !f.project.parts[p]->sites[site.decision].settings.empty()) continue;
    ResolvedDecisions resolved = *built.resolved;
    resolved.sites[s].choice = Choice::proposed;
    if (!without.isIdle(resolved)) continue;
    const Vec3 at = built.sites->list[s].at;
    Remedy takeBack(say("as proposed"), {DecideSite{p, at, Choice::proposed, {}}});
    f.add({"choice-idle", Severity::note, say("{}: your choice for site {} changes nothing.", f.name(p), s + 1),
           site.choice == Choice::enforce ? enforcedAnyway(f, p)
                                          : say("It would not be supported without it. Leave it as proposed.")},
          at, p,
          site.choice == Choice::enforce ? remediesOf(f, p, std::move(takeBack))
                                         : std::vector<Remedy>{std::move(takeBack)});
  }
}

// Small pieces that stand beside what a mark blocks: a blocker drawn a little wider would have taken them along.
void scraps(Finder& f, std::size_t p) {
  constexpr double small = 2, beside = 1;  // mm² of contact; mm
  std::vector<Vec3> places;
  Remedy remove(say("take them away"), {});
  for (std::size_t i = 0; i < f.build.support->pieces.size(); ++i) {
    const Piece& piece = f.build.support->pieces[i];
    if (piece.contactAbove <= 0 || piece.contactAbove >= small) continue;
    const bool isCut = std::all_of(piece.sites.begin(), piece.sites.end(), [&](std::size_t number) {
      const DemandSite& site = *f.build.demand[number];
      Polygons cut;
      for (const Polygons& layer : site.uncut.cut) cut.insert(cut.end(), layer.begin(), layer.end());
      return site.part == p && !cut.empty() && meet(site.layers.back(), unite(cut), beside);
    });
    if (!isCut) continue;
    Removal removal{{}, i, {}};
    try {
      const SupportLayers built = partOf(*f.build.support, removal);
      const SupportLayer& top = built.layers.back();
      const Vec2 on = toMm(top.regions.front().area.front().front());
      places.emplace_back(on.x(), on.y(), (top.bottom + top.top) / 2);
      for (Operation& step : removing(f.build, places.back(), Reach::piece).operations)
        remove.steps.push_back(std::move(step));
    } catch (const Error&) {  // too small to be pointed at
      if (!places.empty()) places.pop_back();
    }
  }
  if (places.empty()) return;
  f.addAll(
      {"scraps", Severity::note,
       places.size() == 1 ? say("{}: 1 scrap of support is left beside what you blocked.", f.name(p))
                          : say("{}: {} scraps of support are left beside what you blocked.", f.name(p), places.size()),
       say("Each carries less than 2 mm² and is a nuisance to pick off. Take them away together, or block a little "
           "wider.")},
      places, p, {remove});
}

void leftOut(Finder& f, std::size_t p) {
  const PartJudgement& judged = f.build.judged[p];
  if (!judged.leftOut) return;
  const Part& part = *f.project.parts[p];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const double scale = std::cbrt(std::abs(toPlate.linear().determinant()));
  const double marked = judged.leftOut->marked * scale * scale;
  if (marked < 2 * worthSaying && judged.leftOut->others == 0) return;
  std::vector<Sentence> what;
  if (marked >= 2 * worthSaying) what.push_back(say("{:.0f} mm² that you marked", marked));
  if (const std::size_t others = judged.leftOut->others; others > 0)
    what.push_back(others == 1 ? say("one decision") : say("{} decisions", others));
  const Sentence all = what.size() == 2 ? say("{} and {}", what[0], what[1]) : what[0];
  f.add({"twin-left-out", Severity::note, say("{}: {} on one side alone.", f.name(p), all),
         say("{:.0f} % of the part is the same on both sides of a plane, and the other side has nothing like it. "
             "Lay it there too, if both sides were meant.",
             judged.symmetry->fit * 100)},
        toPlate * judged.leftOut->at, p, {LayTwin{p, judged.symmetry->plane.movedBy(toPlate)}});
}

}  // namespace

void findIdleDecisions(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    const Part& part = *f.project.parts[p];
    leftOut(f, p);
    if (!f.rules(p).on || (part.marks->empty() && part.zones.empty() && part.sites.empty())) continue;
    const Without without(f, p);
    idleMarks(f, p, without);
    idleZones(f, p, without);
    idleChoices(f, p, without);
    scraps(f, p);
  }
}

}  // namespace trellis
