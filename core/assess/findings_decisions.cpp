// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about decisions that do nothing, or not what they should.
#include "core/assess/finder.hpp"
#include "core/assess/structure_advice.hpp"

#include <fmt/format.h>

#include <algorithm>

namespace trellis {

namespace {

double sum(const std::vector<Polygons>& layers) {
  double total = 0;
  for (const Polygons& layer : layers) total += area(layer);
  return total;
}

bool hasLines(const std::vector<Polygons>& layers) {
  return std::any_of(layers.begin(), layers.end(), [](const Polygons& lines) { return !lines.empty(); });
}

void cleanFaces(Finder& f, std::size_t p) {
  const std::vector<Polygons>& kept = *f.build.parts[p].keptFree;
  const double area = sum(kept);
  if (area < worthSaying) return;
  const auto first = static_cast<std::size_t>(
      std::find_if(kept.begin(), kept.end(), [](const Polygons& layer) { return !layer.empty(); }) - kept.begin());
  const Vec2 middle = boundsOf(kept[first]).center();
  f.add("clean-face-bare", Severity::warning,
        fmt::format("{} hangs over {:.0f} mm² of faces that are to stay clean, which nothing carries. Turn the part, "
                    "or let the face be touched.",
                    f.name(p), area),
        {middle.x(), middle.y(), f.build.plan.spans[first].bottom}, p, {ClearDecisions{p, Clearing::clean}});
}

void decisions(Finder& f, std::size_t p) {
  const PartBuild& built = f.build.parts[p];
  const Part& part = *f.project.parts[p];
  const MarkShadows& shadows = *built.shadows;
  const bool decided = !part.marks->empty() || !part.zones.empty() || !part.props.empty() || !part.sites.empty();
  if (!f.rules(p).on && decided)
    f.add("supports-off", Severity::problem,
          fmt::format("{} has decisions about its supports, but supports are switched off, so nothing is built. Switch "
                      "supports on.",
                      f.name(p)),
          built.placed->bounds.center(), p, {f.setting(p, "support.on", true)});
  if (shadows.enforcedUpward > worthSaying)
    f.add("enforced-upward", Severity::note,
          fmt::format("{} has {:.0f} mm² of enforcer on surfaces that face up, where support has nothing to carry. "
                      "Mark the underside instead.",
                      f.name(p), shadows.enforcedUpward),
          shadows.upwardAt, p, {Remedy("clear that face", {LayMark{p, Mark::none, FaceStroke{shadows.upwardAt}}})});
  cleanFaces(f, p);
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  for (std::size_t z = 0; z < part.zones.size(); ++z)
    if (part.zones[z].as == ZoneAs::enforce && sum(built.resolved->zones[z].demand) < worthSaying)
      f.add("zone-idle", Severity::note,
            fmt::format("Zone {} of {} encloses no underside that leans more than {:g}°, so it asks for nothing. Move "
                        "it, make it larger, or lower its lean.",
                        z + 1, f.name(p), part.zones[z].lean),
            toPlate * part.zones[z].toMesh.translation(), p, {RemoveZone{p, z}});
  for (std::size_t k = 0; k < part.props.size(); ++k)
    if (const ResolvedProp& one = built.resolved->props[k]; sum(one.demand) == 0 && !hasLines(one.walls))
      f.add(
          "prop-idle", Severity::note,
          fmt::format(
              "Prop {} of {} stands under nothing and beside nothing. Drag it to an underside or a wall, or remove it.",
              k + 1, f.name(p)),
          toPlate * part.props[k].at, p, {RemoveProp{p, k}});
  for (const std::size_t k : built.resolved->placeless)
    f.add("site-gone", Severity::note,
          fmt::format("{} has a choice for a site that no longer hangs there, so it does nothing. Drop the choice, or "
                      "lower the free lean.",
                      f.name(p)),
          toPlate * part.sites[k].at, p, {DecideSite{p, toPlate * part.sites[k].at, Choice::proposed, Overrides()}});
}

// Trees under what is broad and flat.
void crowdedBranches(Finder& f, std::size_t p) {
  const PartBuild& part = f.build.parts[p];
  for (std::size_t s = 0; s < part.sites->list.size(); ++s) {
    const Site& site = part.sites->list[s];
    const ResolvedSite& one = part.resolved->sites[s];
    if (site.bridge || !f.rules(p).on || f.build.rules[one.rules].support.structure != Structure::tree) continue;
    const StructureAdvice advice = adviseFor(site, *part.placed);
    if (advice.structure != Structure::normal) continue;
    Overrides settings =
        one.decision == ResolvedSite::none ? Overrides() : f.project.parts[p]->sites[one.decision].settings;
    settings.insert_or_assign("support.structure", SettingValue(std::string("normal")));
    f.add("crowded-branches", Severity::note,
          fmt::format("Site {} of {} is {}. Normal support suits it better.", s + 1, f.name(p), advice.reason), site.at,
          p, {DecideSite{p, site.at, std::nullopt, settings}});
  }
}

}  // namespace

void findInDecisions(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    decisions(f, p);
    crowdedBranches(f, p);
  }
}

}  // namespace trellis
