// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/trial/trial_report.hpp"

#include <nlohmann/json.hpp>

#include <numeric>

namespace trellis {

namespace {

constexpr double worthSaying = 0.5;   // mm of bead on air
constexpr double worthSagging = 10;   // mm of bead that sags
constexpr double worthOfSupport = 5;  // mm of support on air

nlohmann::json lengthsOf(const TrialPrint::Lengths& lengths) {
  nlohmann::json json = nlohmann::json::object();
  for (std::size_t i = 0; i < lengths.size(); ++i) json[std::string(contactClassNames[i])] = lengths[i];
  return json;
}

nlohmann::json placeOf(const Vec3f& at) { return {at.x(), at.y(), at.z()}; }

// Stretches of parts on air; those that follow one another are one.
nlohmann::json airOf(const TrialPrint& trial) {
  nlohmann::json all = nlohmann::json::array();
  const Stretch* last = nullptr;
  for (const Stretch& stretch : trial.stretches) {
    if (stretch.contactClass != ContactClass::air || !isPart(trial.said[stretch.said])) {
      last = nullptr;
      continue;
    }
    if (last && last->said == stretch.said && (last->to - stretch.from).norm() < 1e-4f) {
      all.back()["to"] = placeOf(stretch.to);
      all.back()["length_mm"] = all.back()["length_mm"].get<double>() + stretch.length();
    } else {
      all.push_back({{"from", placeOf(stretch.from)},
                     {"to", placeOf(stretch.to)},
                     {"length_mm", stretch.length()},
                     {"line", stretch.line},
                     {"feature", trial.said[stretch.said].feature}});
    }
    last = &stretch;
  }
  return all;
}

}  // namespace

nlohmann::json reportOf(const TrialPrint& trial) {
  nlohmann::json starts = nlohmann::json::array();
  for (const TrialStart& start : trial.starts)
    starts.push_back({{"at", {start.at.x(), start.at.y(), start.at.z()}},
                      {"layer", start.layer},
                      {"length_mm", start.length},
                      {"line", start.line}});
  nlohmann::json filament = nlohmann::json::object();
  for (const auto& [feature, used] : trial.filament) filament[feature] = {{"mm", used.mm}, {"mm3", used.mm3}};
  return {{"length_mm", lengthsOf(trial.length)},
          {"part_length_mm", lengthsOf(trial.partLength)},
          {"part_on_air", trial.onAir()},
          {"support_on_air_mm", trial.supportOnAir},
          {"air", airOf(trial)},
          {"floating_starts", starts},
          {"time_s", trial.seconds},
          {"filament", filament},
          {"layers", trial.tops.size()},
          {"ignored", trial.ignored},
          {"verdict", verdictOf(trial).english()}};
}

Sentence verdictOf(const TrialPrint& trial) {
  const double air = trial.partLength[static_cast<std::size_t>(ContactClass::air)];
  if (std::accumulate(trial.length.begin(), trial.length.end(), 0.0) <= 0) return say("It lays no bead at all.");
  Sentence words;
  if (const std::size_t starts = trial.starts.size(); starts > 0)
    words = starts == 1
                ? say("One place begins in mid-air, first at {:.2f} mm height.", trial.starts.front().at.z())
                : say("{} places begin in mid-air, first at {:.2f} mm height.", starts, trial.starts.front().at.z());
  if (air >= worthSaying)
    words = words + say("{:.1f} mm of the part's lines print on air, {:.2f} %.", air, trial.onAir() * 100);
  if (const double sags = trial.partLength[static_cast<std::size_t>(ContactClass::sagging)]; sags >= worthSagging)
    words = words + say("{:.0f} mm of the part's lines sag, with under a third of their width carried.", sags);
  if (trial.supportOnAir >= worthOfSupport)
    words = words + say("{:.0f} mm of support print on air.", trial.supportOnAir);
  return words.empty() ? say("Nothing would print on air.") : words;
}

}  // namespace trellis
