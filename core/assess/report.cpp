// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/report.hpp"

#include <cmath>

namespace trellis {

namespace {

using Json = nlohmann::json;

// Six significant digits of a thousandth: figures that two machines agree on, and people can read.
double tidy(double value) { return std::round(value * 1e4) / 1e4; }

Json useJson(double volume, const Settings& settings) {
  const double d = settings.number("filament.diameter");
  return {{"mm", tidy(volume / (pi * d * d / 4))}, {"mm3", tidy(volume)}, {"g", tidy(grams(volume, settings))},
          {"cost", tidy(money(volume, settings))}};
}

}  // namespace

const char* nameOf(Severity severity) {
  switch (severity) {
    case Severity::note: return "note";
    case Severity::warning: return "warning";
    case Severity::problem: break;
  }
  return "problem";
}

double grams(double volume, const Settings& settings) { return volume / 1000 * settings.number("filament.density"); }

double money(double volume, const Settings& settings) { return grams(volume, settings) / 1000 * settings.number("filament.price"); }

Json totalsOf(const Build& build, const Settings& settings) {
  Json filament = Json::object();
  for (std::size_t i = 0; i < featureCount; ++i)
    if (const double volume = build.tally.features[i].volume; volume > 0)
      filament[std::string(featureNames[i])] = useJson(volume, settings);
  filament["total"] = useJson(build.tally.volume(), settings);
  return {{"time_s", tidy(build.tally.seconds)}, {"layers", build.print.layers.size()}, {"filament", filament}};
}

Json reportOf(const Build& build, const Settings& settings) {
  Json report = totalsOf(build, settings);
  Json& times = report["time_by_feature_s"];
  for (std::size_t i = 0; i < featureCount; ++i)
    if (build.tally.features[i].seconds > 0) times[std::string(featureNames[i])] = tidy(build.tally.features[i].seconds);
  times["travel"] = tidy(build.tally.travelSeconds);
  report["pieces"] = Json::array();
  for (std::size_t i = 0; i < build.support->pieces.size(); ++i) {
    const Piece& piece = build.support->pieces[i];
    const Use& use = build.tally.pieces[i];
    report["pieces"].push_back({{"id", i}, {"structure", "normal"}, {"volume_mm3", tidy(use.volume)},
                                {"g", tidy(grams(use.volume, settings))}, {"time_s", tidy(use.seconds)},
                                {"contact_above_mm2", tidy(piece.contactAbove)}, {"z_low", tidy(piece.lowest)},
                                {"z_high", tidy(piece.highest)}, {"sites", piece.sites}});
  }
  report["findings"] = Json::array();
  for (const Finding& finding : build.findings)
    report["findings"].push_back({{"code", finding.code}, {"severity", nameOf(finding.severity)}, {"message", finding.message},
                                  {"at", {tidy(finding.at.x()), tidy(finding.at.y()), tidy(finding.at.z())}}, {"part", finding.part}});
  Json& timing = report["timing_ms"] = Json::object();
  for (const auto& [stage, milliseconds] : build.milliseconds) timing[stage] = tidy(milliseconds);
  return report;
}

}  // namespace trellis
