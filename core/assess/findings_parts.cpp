// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about parts themselves: their meshes, their room, and how they stand.
#include "core/assess/contact.hpp"
#include "core/assess/finder.hpp"
#include "core/assess/hold_advice.hpp"

#include <algorithm>

namespace trellis {

namespace {

// Common practice, from memory: flat undersides from about this size on curl at their corners.
constexpr double curlingLength = 90;  // mm
constexpr double curlingBreadth = 5;  // mm; what is narrower does not pull
constexpr double curlingArea = 3000;  // mm²
constexpr double enoughBrim = 2;      // mm

// mm below the plate that are sunk on purpose, so that a rounded foot stands on more than a point.
constexpr double sunkOnPurpose = 1;

// mm² over all layers of what is too thin to print; less is the sharp end of some edge.
constexpr double thinWorth = 2;

Sentence inWords(const LostMarks& lost) {
  switch (lost.kind) {
    case LostKind::enforce:
      return say("{:.0f} mm² of enforcer", lost.area);
    case LostKind::block:
      return say("{:.0f} mm² of blocker", lost.area);
    case LostKind::clean:
      return say("{:.0f} mm² of clean face", lost.area);
    case LostKind::seen:
      return say("{:.0f} mm² of seen face", lost.area);
    case LostKind::prop:
      return say("a prop");
    case LostKind::site:
      break;
  }
  return say("the choice for a site");
}

// A first layer as thick as a sheet that is thinner than half of it.
std::vector<Remedy> thinnerLayers(const Finder& f, std::size_t p) {
  const double height = f.build.parts[p].placed->bounds.sizes().z();
  const SettingRow& row = settingRow("layer.first");
  if (height <= row.low / 2) return {};
  return {ChangeSetting{row.key, std::max(row.low, height)}};
}

Remedy dropped(std::size_t p) {
  PlacePart drop;
  drop.part = p;
  drop.drop = true;
  return drop;
}

Remedy movedIn(std::size_t p, const Box3& box, const Vec3& plate) {
  PlacePart in;
  in.part = p;
  Vec3 middle = box.center();
  for (int axis = 0; axis < 3; ++axis)
    middle[axis] = std::clamp(middle[axis], box.sizes()[axis] / 2,
                              std::max(box.sizes()[axis] / 2, plate[axis] - box.sizes()[axis] / 2));
  in.position = middle;
  return {say("move it in"), {in}};
}

// To nineteen twentieths of the room, in its middle.
Remedy scaledDown(const Finder& f, std::size_t p, const Box3& box, const Vec3& plate) {
  const double share = 0.95 * (plate.array() / box.sizes().array()).minCoeff();
  PlacePart smaller;
  smaller.part = p;
  smaller.scale = f.project.parts[p]->placement.scale * share;
  smaller.position = Vec3(plate.x() / 2, plate.y() / 2, box.sizes().z() * share / 2);
  return {say("scale to {:.0f} %", share * 100), {smaller}};
}

SettingValue finest(const Finder& f) { return std::max(0.1, 0.75 * f.project.settings.number("line.width")); }

// Repairing leaves every sound vertex where it is; where that is not enough, a new skin is.
std::vector<Remedy> mendings(std::size_t p) {
  constexpr int family = 2;
  Remedy repair(MendPart{p}), wrap(say("wrap it in a new skin"), {MendPart{p, MendBy::wrap}});
  repair.family = wrap.family = family;
  return {repair, wrap};
}

void soundness(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  const MeshHealth& health = *f.build.judged[p].health;
  std::vector<Sentence> defects;
  for (const MeshDefect& defect : health.defects)
    if (defect.kind != DefectKind::crossing) defects.push_back(inWords(defect));  // slicing unites what crosses
  if (!defects.empty()) {
    const Affine toPlate = transformOf(f.project.parts[p]->placement, *f.project.parts[p]->mesh);
    f.add(
        {"broken-mesh", Severity::warning, say("{} has a broken mesh: {}.", f.name(p), listed(defects)),
         say("It is cut as well as it can be. Mend it in Place; what mending leaves goes with a new skin around it.")},
        toPlate * health.defects.front().at, p, mendings(p));
  }
  for (const LostMarks& lost : f.project.parts[p]->lostMarks)
    f.add({"marks-lost", Severity::warning, say("{} lost {} when its mesh was replaced.", f.name(p), inWords(lost)),
           say("The surface there is gone. Decide anew if it is still wanted.")},
          transformOf(f.project.parts[p]->placement, *f.project.parts[p]->mesh) * lost.at, p);
  if (!part.gaps->empty())
    f.add({"open-section", Severity::warning,
           part.gaps->size() == 1 ? say("{} has 1 outline that does not close.", f.name(p))
                                  : say("{} has {} outlines that do not close.", f.name(p), part.gaps->size()),
           say("The first, at {:.1f} mm height, has a gap of {:.2f} mm. They were closed straight across.",
               part.gaps->front().at.z(), part.gaps->front().length)},
          part.gaps->front().at, p, mendings(p));
  if (std::all_of(part.sections->begin(), part.sections->end(), [](const Polygons& s) { return s.empty(); }))
    f.add({"nothing-to-print", Severity::problem,
           say("{} is thinner than half a layer, so nothing of it is printed.", f.name(p)),
           say("Make it thicker, or the layers thinner.")},
          part.placed->bounds.center(), p, thinnerLayers(f, p));
}

void room(Finder& f, std::size_t p) {
  const Box3& box = f.build.parts[p].placed->bounds;
  const Settings& settings = f.project.settings;
  const Vec3 plate(settings.number("machine.width"), settings.number("machine.depth"),
                   settings.number("machine.height"));
  constexpr double slack = 1e-3;
  if ((box.sizes().array() > plate.array() + slack).any())
    f.add({"too-large", Severity::problem, say("{} is larger than the machine prints.", f.name(p)),
           say("It measures {:.1f} × {:.1f} × {:.1f} mm, and {:g} × {:g} × {:g} mm fit. Scale it down or cut it.",
               box.sizes().x(), box.sizes().y(), box.sizes().z(), plate.x(), plate.y(), plate.z())},
          box.center(), p, {scaledDown(f, p, box, plate)});
  else if ((box.min().head<2>().array() < -slack).any() || (box.max().array() > plate.array() + slack).any())
    f.add({"off-plate", Severity::problem, say("{} reaches past the plate or its height.", f.name(p)),
           say("Move it in.")},
          box.center(), p, {movedIn(p, box, plate)});
  if (box.min().z() < -sunkOnPurpose)
    f.add({"below-plate", Severity::problem, say("{} reaches {:.2f} mm below the plate.", f.name(p), -box.min().z()),
           say("What is there is not printed. Drop it to the plate.")},
          box.center(), p, {dropped(p)});
}

// Two parts that share room are printed into each other.
void overlaps(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p)
    for (std::size_t q = p + 1; q < f.build.parts.size(); ++q) {
      const PartBuild &a = f.build.parts[p], &b = f.build.parts[q];
      if (!a.placed->bounds.intersects(b.placed->bounds)) continue;
      for (std::size_t l = 0; l < std::min(a.sections->size(), b.sections->size()); ++l) {
        const Polygons shared = withoutSpecks(intersect((*a.sections)[l], (*b.sections)[l]), 0.01);
        if (shared.empty()) continue;
        const Vec2 middle = boundsOf(shared).center();
        f.add({"parts-overlap", Severity::problem,
               say("{} and {} overlap from {:.1f} mm height.", f.name(p), f.name(q), a.plan.spans[l].bottom),
               say("They would be printed into each other. Move one of them, or let all be spread out.")},
              {middle.x(), middle.y(), a.plan.spans[l].bottom}, q, {ArrangeParts()});
        break;
      }
    }
}

void thinFeatures(Finder& f) {
  double lost = 0;
  const PrintLayer* first = nullptr;
  for (const auto& layer : f.build.print.layers) {
    if (layer->tooThin.empty()) continue;
    lost += area(layer->tooThin);
    if (!first) first = layer.get();
  }
  if (lost < thinWorth) return;
  const Vec2 middle = boundsOf({first->tooThin.front()}).center();
  f.addToPlate({"too-thin", Severity::note, say("{:.1f} mm² over all layers are too thin to print.", lost),
                say("The lowest is at {:.1f} mm height. A line fits where the part is at least half as thick as the "
                    "line is wide. Thicken it, or set a narrower line width.",
                    first->bottom)},
               {middle.x(), middle.y(), first->bottom}, {ChangeSetting{"line.width", finest(f)}});
}

// A part that begins on nothing is printed over the bare plate; one that touches it in a spot comes off. Whether either
// was said.
bool lacksFooting(Finder& f, std::size_t p) {
  constexpr double trusted = 4, share = 1.0 / 400;  // mm²; of the largest section
  const PlateContact contact = contactOf(f.build, p);
  if (!contact.first || contact.inSupport()) return false;
  if (contact.onPlate() && contact.area >= std::max(trusted, share * contact.largest)) return false;
  Finder::Said touches{"not-standing", Severity::problem,
                       say("{} touches the plate with {:.1f} mm² only.", f.name(p), contact.area),
                       say("That will not hold it while it is printed. Give it a broader foot, carry it, or turn it.")};
  Finder::Said floats{
      "not-standing", Severity::problem,
      say("{} stands on nothing: its first line lies {:.2f} mm over the plate.", f.name(p), contact.at.z()),
      say("It would not stick. Sink it a little, lift it so that support carries it, or turn it.")};
  f.add(contact.onPlate() ? touches : floats, contact.at, p, footings(f, p));
  return true;
}

// Broad flat first layers shrink as they cool and lift at their corners.
void curling(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  const Settings& settings = f.project.settings;
  const bool isHeld = settings.whole("support.raft.layers") > 0 ||
                      (settings.number("brim.width") >= enoughBrim && settings.text("brim.side") != "inside");
  if (part.sections->empty() || isHeld || part.placed->bounds.min().z() > 0.01) return;
  for (const Polygons& flat : components(part.sections->front())) {
    const Box2 box = boundsOf(flat);
    if (box.sizes().minCoeff() < curlingBreadth) continue;
    if (box.sizes().maxCoeff() < curlingLength && area(flat) < curlingArea) continue;
    f.add({"curling", Severity::note,
           say("{}: a first layer of {:.0f} × {:.0f} mm may curl at its corners.", f.name(p), box.sizes().x(),
               box.sizes().y()),
           say("A brim or a raft holds them down, and sparser infill pulls less.")},
          {box.center().x(), box.center().y(), 0}, p,
          {Remedy(say("brim of 5 mm"),
                  {ChangeSetting{"brim.width", 5.0}, ChangeSetting{"brim.side", std::string("outside")}}),
           Remedy(say("raft of 2 layers"), {ChangeSetting{"support.raft.layers", 2.0}})});
    return;
  }
}

// Marks where the part had better be held, of a tint of their own where it is supported the other way; none where no
// tint is left.
std::optional<Remedy> heldBy(const Finder& f, std::size_t p, bool byBranches) {
  const Part& part = *f.project.parts[p];
  const std::vector<LayMark>& marks = f.build.judged[p].holdAdvice->marks;
  std::vector<Sentence> heights;
  for (const LayMark& lay : marks) {
    const auto& band = std::get<BandStroke>(lay.stroke);
    heights.push_back(say("{:.0f}", (band.from + band.to) / 2));
  }
  const Sentence at = listed(heights);
  Remedy hold(byBranches ? say("hold by branches at {} mm", at) : say("hold by columns at {} mm", at), {});
  hold.isRival = true;
  Mark mark = Mark::enforce;
  if (byBranches != (f.rules(p).structure == Structure::tree)) {
    int tint = tintCount - 1;
    while (tint > 0 && part.tints.contains(tint)) --tint;
    if (tint == 0) return std::nullopt;
    mark = enforceAs(tint);
    hold.steps.push_back(
        SetTint{p, tint, {{"support.structure", SettingValue(std::string(byBranches ? "tree" : "normal"))}}});
  }
  for (LayMark lay : marks) {
    lay.mark = mark;
    hold.steps.push_back(lay);
  }
  if (!f.rules(p).on) hold.steps.push_back(f.setting(p, "support.on", true).steps.front());
  return hold;
}

// That the plate does not hold what hardly touches it, or lets it fall over, has been said where footing is lacked.
void standing(Finder& f, std::size_t p, bool footingIsLacked) {
  const PartJudgement& part = f.build.judged[p];
  const StabilityRules rules = stabilityRules(f.project.settings);
  const StandingLevel *shaky = part.stability->mostDeflected(), *loose = part.stability->leastHeld();
  if (standsWell(*part.stability, rules)) return;
  const bool falls = shaky->deflection > shaky->z / 10;  // no figure means anything there
  const bool bends = shaky->deflection > rules.deflectionAllowed,
             slips = loose->safetyFactor < rules.safetyFactorAllowed && !footingIsLacked;
  if (footingIsLacked && (falls || !bends)) return;
  Sentence detail;
  if (bends && !falls)
    detail = say("At {:.0f} mm height the nozzle pushes it aside by {:.1f} mm, and {:g} mm are allowed.", shaky->z,
                 shaky->deflection, rules.deflectionAllowed);
  if (slips)
    detail =
        detail + say("At {:.0f} mm height the plate holds it against a sideways push of {:.1f} N, and the nozzle may "
                     "push with {:g} N.",
                     loose->z, loose->safetyFactor * rules.push, rules.push);
  const Vec3 at = bends ? shaky->at : loose->at;
  std::vector<Remedy> remedies;
  if (!part.holdAdvice->marks.empty())
    for (const bool byBranches : {false, true})
      if (std::optional<Remedy> hold = heldBy(f, p, byBranches)) remedies.push_back(std::move(*hold));
  if (slips && f.project.settings.number("brim.width") < 5)
    remedies.push_back(
        {say("brim of 8 mm"), {ChangeSetting{"brim.width", 8.0}, ChangeSetting{"brim.side", std::string("outside")}}});
  f.add({"unstable", Severity::warning,
         falls   ? say("{} will not stand while it is printed.", f.name(p))
         : slips ? say("{} may come off the plate while it is printed.", f.name(p))
                 : say("{} may sway while it is printed.", f.name(p)),
         detail + say("Hold it from the side, or turn it.")},
        at, p, remedies);
}

}  // namespace

void findInParts(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    const bool footingIsLacked = lacksFooting(f, p);
    soundness(f, p);
    room(f, p);
    curling(f, p);
    standing(f, p, footingIsLacked);
  }
  overlaps(f);
  thinFeatures(f);
}

}  // namespace trellis
