// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about decisions that do nothing, or not what they should.
#include "core/assess/finder.hpp"
#include "core/assess/structure_advice.hpp"

#include <algorithm>

namespace trellis {

namespace {

double sum(const std::vector<Polygons>& layers) {
  double total = 0;
  for (const Polygons& layer : layers) total += area(layer);
  return total;
}

bool hasLines(const std::vector<Lines>& layers) {
  return std::any_of(layers.begin(), layers.end(), [](const Lines& lines) { return !lines.empty(); });
}

void cleanFaces(Finder& f, std::size_t p) {
  const std::vector<Polygons>& kept = *f.build.parts[p].keptFree;
  const double area = sum(kept);
  if (area < worthSaying) return;
  const auto first = static_cast<std::size_t>(
      std::find_if(kept.begin(), kept.end(), [](const Polygons& layer) { return !layer.empty(); }) - kept.begin());
  const Vec2 middle = boundsOf(kept[first]).center();
  f.add(
      {"clean-face-bare", Severity::warning,
       say("{}: clean faces keep {:.0f} mm² from being supported.", f.name(p), area),
       say("What hangs there is printed over nothing, because no support may touch a clean face. Turn the part, or let "
           "the face be touched.")},
      {middle.x(), middle.y(), f.build.plan.spans[first].bottom}, p, {ClearDecisions{p, Clearing::clean}});
}

void idleMarks(Finder& f, std::size_t p) {
  const PartBuild& built = f.build.parts[p];
  const Part& part = *f.project.parts[p];
  const MarkShadows& shadows = *built.shadows;
  const bool decided = !part.marks->empty() || !part.zones.empty() || !part.props.empty() || !part.sites.empty();
  if (!f.rules(p).on && decided)
    f.add({"supports-off", Severity::problem,
           say("{}: supports are switched off, so none of your decisions is built.", f.name(p)),
           say("Switch supports on to have them.")},
          built.placed->bounds.center(), p, {f.setting(p, "support.on", true)});
  if (shadows.enforcedUpward > worthSaying)
    f.add({"enforced-upward", Severity::note,
           say("{}: {:.0f} mm² of enforcer lie on a face that looks up.", f.name(p), shadows.enforcedUpward),
           say("Nothing there needs carrying, so it does nothing. Paint the underside instead, or clear it.")},
          shadows.upwardAt, p,
          {Remedy(say("clear that face"), {LayMark{p, Mark::none, FaceStroke{shadows.upwardAt}}})});
}

void idleObjects(Finder& f, std::size_t p) {
  const PartBuild& built = f.build.parts[p];
  const Part& part = *f.project.parts[p];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  for (std::size_t z = 0; z < part.zones.size(); ++z)
    if (part.zones[z].as == ZoneAs::enforce && sum(built.resolved->zones[z].demand) < worthSaying)
      f.add({"zone-idle", Severity::note,
             say("{}: zone {} covers no underside that leans more than {:g}°.", f.name(p), z + 1, part.zones[z].lean),
             say("It asks for nothing. Move it, make it larger, or lower its lean.")},
            toPlate * part.zones[z].toMesh.translation(), p, {RemoveZone{p, z}});
  for (std::size_t k = 0; k < part.props.size(); ++k)
    if (const ResolvedProp& one = built.resolved->props[k]; sum(one.demand) == 0 && !hasLines(one.walls))
      f.add({"prop-idle", Severity::note, say("{}: prop {} stands under nothing and beside nothing.", f.name(p), k + 1),
             say("Drag it to an underside or a wall, or remove it.")},
            toPlate * part.props[k].at, p, {RemoveProp{p, k}});
  for (const std::size_t k : built.resolved->placeless)
    f.add({"site-gone", Severity::note, say("{}: you chose something for a site that no longer hangs.", f.name(p)),
           say("The choice does nothing. Drop it, or lower the free lean.")},
          toPlate * part.sites[k].at, p, {DecideSite{p, toPlate * part.sites[k].at, Choice::proposed, Overrides()}});
}

// Trees where columns would do better: under what is broad and flat, and where branches take much longer to print.
void crowdedBranches(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  constexpr double worthTelling = 120, muchLonger = 1.3;  // s, times
  std::vector<Vec3> places;
  Remedy normal(say("normal support there"), {});
  Sentence reason;
  for (std::size_t s = 0; s < part.sites->list.size(); ++s) {
    const Site& site = part.sites->list[s];
    if (!site.isProposed() || !f.rules(p).on) continue;
    const std::size_t decision = part.resolved->sites[s].decision;
    Overrides settings = decision == ResolvedSite::none ? Overrides() : f.project.parts[p]->sites[decision].settings;
    if (settingsOf(f.project, p).with(settings).text("support.structure") != "tree") continue;
    const StructureAdvice advice = adviseFor(site, *part.placed);
    const double seconds = priceOf(f.build, {CauseKind::site, p, s}).use.seconds,
                 columns = secondsOfColumns(site, *part.placed);
    const bool slow = seconds > worthTelling && seconds > muchLonger * columns;
    if (advice.structure != Structure::normal && !slow) continue;
    settings.insert_or_assign("support.structure", SettingValue(std::string("normal")));
    normal.steps.push_back(DecideSite{p, site.at, std::nullopt, settings});
    if (places.empty())
      reason = advice.structure == Structure::normal
                   ? say("Site {} is {}. Trees need a tip every few millimetres there.", s + 1, advice.reason)
                   : say("Branches under site {} take {:.0f} min, columns would take about {:.0f}.", s + 1,
                         seconds / 60, columns / 60);
    places.push_back(site.at);
  }
  if (places.empty()) return;
  f.addAll({"crowded-branches", Severity::note,
            say("{}: normal support suits {} better than trees.", f.name(p),
                places.size() == 1 ? say("one site") : say("{} sites", places.size())),
            reason},
           places, p, {normal});
}

}  // namespace

void findInDecisions(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    idleMarks(f, p);
    cleanFaces(f, p);
    idleObjects(f, p);
    crowdedBranches(f, p);
  }
}

}  // namespace trellis
