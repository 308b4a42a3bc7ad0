// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/report.hpp"

#include "core/assess/comparison.hpp"
#include "core/assess/scar_map.hpp"
#include "core/assess/structure_advice.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <array>
#include <cmath>

namespace trellis {

namespace {

using Json = nlohmann::json;

// Six significant digits of a thousandth: figures that two machines agree on, and people can read.
double tidy(double value) { return std::round(value * 1e4) / 1e4; }

Json useJson(const Use& use, const Settings& settings) {
  const double d = settings.number("filament.diameter");
  return {{"mm", tidy(use.volume / (pi * d * d / 4))},
          {"mm3", tidy(use.volume)},
          {"g", tidy(grams(use, settings))},
          {"cost", tidy(money(use, settings))}};
}

Json toJson(const Vec3& v) { return {tidy(v.x()), tidy(v.y()), tidy(v.z())}; }

Json remediesOf(const Finding& finding) {
  Json remedies = Json::array();
  for (const Remedy& remedy : finding.remedies)
    if (remedy.cost)
      remedies.push_back({{"name", remedy.name},
                          {"g", tidy(remedy.cost->grams)},
                          {"time_s", tidy(remedy.cost->seconds)},
                          {"overrules", remedy.overrules}});
  return remedies;
}

Json scarsJson(const Scars& scars) {
  Json json = Json::object();
  for (std::size_t i = 0; i < scarCount; ++i) json[nameOf(static_cast<Scar>(i))] = tidy(scars.areas[i]);
  json["seen"] = tidy(scars.allSeen());
  json["seen_spoilt"] = tidy(scars.spoilt());
  return json;
}

// The plan, step by step. The path: what each pose makes of plate coordinates, as rows of a 3 × 4 matrix.
Json removalJson(const RemovalPlan& plan) {
  Json steps = Json::array();
  for (const RemovalStep& step : plan.steps) {
    Json path = Json::array();
    for (const Pose& pose : step.path.poses) {
      Json rows = Json::array();
      for (int r = 0; r < 3; ++r)
        for (int c = 0; c < 4; ++c) rows.push_back(pose.matrix()(r, c));
      path.push_back(std::move(rows));
    }
    steps.push_back({{"piece", step.piece},
                     {"move", nameOf(step.move)},
                     {"z_low", tidy(step.low)},
                     {"z_high", tidy(step.high)},
                     {"whole", step.isWhole},
                     {"pliers", step.withPliers},
                     {"force_n", tidy(step.force)},
                     {"time_s", tidy(step.seconds)},
                     {"path", std::move(path)}});
  }
  return {{"time_s", tidy(plan.seconds())}, {"steps", std::move(steps)}, {"trapped", plan.trapped}};
}

Json levelJson(const StandingLevel& level) {
  return {{"z", tidy(level.z)},
          {"give_mm", tidy(level.deflection)},
          {"factor", tidy(level.safetyFactor)},
          {"at", toJson(level.at)}};
}

// Of each part: where it gives way most, where the plate holds it least, and the layers where support holds it.
Json stabilityJson(const Build& build) {
  Json parts = Json::array();
  for (std::size_t p = 0; p < build.judged.size(); ++p) {
    const PartJudgement& part = build.judged[p];
    if (part.stability->levels.empty()) continue;
    Json json{{"part", p},
              {"most_giving", levelJson(*part.stability->mostDeflected())},
              {"least_held", levelJson(*part.stability->leastHeld())},
              {"held_at", Json::array()}};
    for (const StandingLevel& level : part.stability->levels)
      if (level.held) json["held_at"].push_back(tidy(level.z));
    parts.push_back(std::move(json));
  }
  return parts;
}

}  // namespace

const char* nameOf(CauseKind kind) {
  constexpr std::array<const char*, 6> names{"site", "mark", "hold", "prop", "zone", "elsewhere"};
  return names[static_cast<std::size_t>(kind)];
}

Json sitesOf(const Build& build, const Settings& settings) {
  constexpr std::array<const char*, 3> choices{"proposed", "enforce", "block"};
  Json sites = Json::array(), starts = Json::array();
  Json specks{{"count", 0}, {"area_mm2", 0.0}}, feet = specks;
  for (std::size_t p = 0; p < build.parts.size(); ++p) {
    const PartBuild& part = build.parts[p];
    for (std::size_t s = 0; s < part.sites->list.size(); ++s) {
      const Site& site = part.sites->list[s];
      if (site.siteClass != SiteClass::proper) {
        Json& slight = site.siteClass == SiteClass::speck ? specks : feet;
        slight["count"] = slight["count"].get<int>() + 1;
        slight["area_mm2"] = tidy(slight["area_mm2"].get<double>() + site.area);
        continue;
      }
      const Price price = priceOf(build, {CauseKind::site, p, s});
      const Use& use = price.use;
      const StructureAdvice advice = adviseFor(site, *part.placed);
      sites.push_back(
          {{"id", s},
           {"key", fmt::format("{:016x}", site.id)},
           {"part", p},
           {"at", toJson(site.at)},
           {"area_mm2", tidy(site.area)},
           {"z_low", tidy(site.low)},
           {"z_high", tidy(site.high)},
           {"worst_lean", tidy(site.worstLean)},
           {"span_mm", tidy(site.span)},
           {"bridge", site.bridge},
           {"open_below", tidy(site.openBelow)},
           {"floating_starts", site.starts.size()},
           {"decision", choices[static_cast<std::size_t>(part.resolved->sites[s].choice)]},
           {"advice",
            {{"structure", advice.structure == Structure::tree ? "tree" : "normal"}, {"reason", advice.reason}}},
           {"price",
            {{"g", tidy(grams(use, settings))}, {"time_s", tidy(use.seconds)}, {"removal_s", tidy(price.removal)}}}});
    }
    for (const FloatingStart& start : part.overhangs->starts)
      starts.push_back({{"at", toJson(start.at)}, {"layer", start.layer}, {"part", p}});
  }
  return {{"sites", sites}, {"specks", specks}, {"rounded_feet", feet}, {"floating_starts", starts}};
}

const char* nameOf(Severity severity) {
  switch (severity) {
    case Severity::note:
      return "note";
    case Severity::warning:
      return "warning";
    case Severity::problem:
      break;
  }
  return "problem";
}

double grams(const Use& use, const Settings& settings) {
  return ((use.volume - use.second) * settings.number("filament.density") +
          use.second * settings.number("filament2.density")) /
         1000;
}

double money(const Use& use, const Settings& settings) {
  const double first =
      (use.volume - use.second) * settings.number("filament.density") * settings.number("filament.price");
  return (first + use.second * settings.number("filament2.density") * settings.number("filament2.price")) / 1e6;
}

Json totalsOf(const Build& build, const Settings& settings) {
  Json filament = Json::object();
  for (std::size_t i = 0; i < featureCount; ++i)
    if (const Use& use = build.tally.features[i]; use.volume > 0)
      filament[std::string(featureNames[i])] = useJson(use, settings);
  const Use whole = build.tally.whole();
  filament["total"] = useJson(whole, settings);
  if (whole.second > 0) {
    filament["first"] = useJson({0, 0, whole.volume - whole.second, 0}, settings);
    filament["second"] = useJson({0, 0, whole.second, whole.second}, settings);
  }
  return {{"time_s", tidy(build.tally.seconds)}, {"layers", build.print.layers.size()}, {"filament", filament}};
}

Json reportOf(const Build& build, const Settings& settings) { return reportOf(build, settings, build.findings); }

Json reportOf(const Build& build, const Settings& settings, const Findings& findings) {
  Json report = totalsOf(build, settings);
  Json& times = report["time_by_feature_s"];
  for (std::size_t i = 0; i < featureCount; ++i)
    if (build.tally.features[i].seconds > 0)
      times[std::string(featureNames[i])] = tidy(build.tally.features[i].seconds);
  times["travel"] = tidy(build.tally.travelSeconds);
  if (build.tally.heatSeconds > 0) times["heating"] = tidy(build.tally.heatSeconds);
  if (build.tally.toolChanges > 0) {
    times["tool_changes"] = tidy(build.tally.toolSeconds);
    report["tool_changes"] = build.tally.toolChanges;
    report["saved_s"] = tidy(build.savedSeconds);
  }
  std::vector<bool> isTree(build.support->pieces.size(), false);
  for (const SupportLayer& layer : build.support->layers)
    for (const PieceRegion& region : layer.regions)
      if (region.kind == RegionKind::branch) isTree[region.piece] = true;
  report["pieces"] = Json::array();
  for (std::size_t i = 0; i < build.support->pieces.size(); ++i) {
    const Piece& piece = build.support->pieces[i];
    const PieceFigures& figures = build.pieces[i];
    const Use& use = build.tally.pieces[i];
    report["pieces"].push_back({{"id", i},
                                {"key", fmt::format("{:016x}", piece.id)},
                                {"structure", isTree[i] ? "tree" : "normal"},
                                {"volume_mm3", tidy(use.volume)},
                                {"g", tidy(grams(use, settings))},
                                {"cost", tidy(money(use, settings))},
                                {"time_s", tidy(use.seconds)},
                                {"contact_above_mm2", tidy(piece.contactAbove)},
                                {"contact_below_mm2", tidy(figures.contactBelow)},
                                {"bond_mm2", tidy(figures.bond)},
                                {"grade", nameOf(figures.grade)},
                                {"force_n", tidy(figures.force)},
                                {"removal_s", tidy(figures.seconds)},
                                {"weakest_mm2", tidy(figures.weakest)},
                                {"weakest_at", toJson(figures.weakestPlace)},
                                {"way_out", toJson(figures.extraction.direction)},
                                {"body_filament", figures.bodyFilament == Filament::first ? "first" : "second"},
                                {"z_low", tidy(piece.lowest)},
                                {"z_high", tidy(piece.highest)},
                                {"sites", piece.sites}});
  }
  report.update(sitesOf(build, settings));
  report["prices"] = Json::array();
  for (const Price& price : build.prices)
    report["prices"].push_back({{"cause", nameOf(price.cause.kind)},
                                {"part", price.cause.part},
                                {"id", price.cause.index},
                                {"contact_mm2", tidy(price.contact)},
                                {"g", tidy(grams(price.use, settings))},
                                {"time_s", tidy(price.use.seconds)},
                                {"cost", tidy(money(price.use, settings))},
                                {"removal_s", tidy(price.removal)},
                                {"scars_mm2", scarsJson(scarsOf(build, price.cause))}});
  report["scars_mm2"] = scarsJson(scarsOf(build));
  report["figures"] = byRow(figuresOf(settings, build));
  report["removal"] = removalJson(*build.removal);
  report["findings"] = Json::array();
  for (const Finding& finding : findings)
    report["findings"].push_back({{"code", finding.code},
                                  {"severity", nameOf(finding.severity)},
                                  {"message", finding.message},
                                  {"detail", finding.detail},
                                  {"at", toJson(finding.at)},
                                  {"places", std::max<std::size_t>(1, finding.places.size())},
                                  {"part", finding.part},
                                  {"remedies", remediesOf(finding)},
                                  {"accepted", finding.accepted ? Json(*finding.accepted) : Json()}});
  report["stability"] = stabilityJson(build);
  Json& timing = report["timing_ms"] = Json::object();
  for (const auto& [stage, milliseconds] : build.milliseconds) timing[stage] = tidy(milliseconds);
  return report;
}

}  // namespace trellis
