// SPDX-License-Identifier: GPL-3.0-or-later
// All figures are common practice in the trade, without a published source; densities, prices and temperatures of the
// invented filaments are from memory.
#include "core/settings/presets.hpp"

#include "core/base/error.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

double hundredths(double mm) { return std::round(mm * 100) / 100; }

// Every release preset sets all of these, so that one after another leaves nothing behind.
Overrides release(const std::string& name, double layer) {
  Overrides values{{"support.gap.above", layer},
                   {"support.gap.below", layer},
                   {"support.gap.beside", 0.5},
                   {"support.gap.slope", 0.2},
                   {"support.interface.upper.layers", 3.0},
                   {"support.interface.upper.spacing", 0.45},
                   {"support.interface.upper.pattern", std::string("lines")},
                   {"support.interface.lower.layers", 0.0},
                   {"support.interface.lower.spacing", 0.9},
                   {"support.body.pattern", std::string("zigzag")},
                   {"support.body.spacing", 2.2},
                   {"support.body.walls", 0.0},
                   {"support.graded.layers", 0.0},
                   {"support.graded.density", 65.0}};
  const auto set = [&](const Overrides& own) {
    for (const auto& [key, value] : own) values[key] = value;
  };
  if (name == "easy_release")
    set({{"support.gap.above", hundredths(1.25 * layer)},
         {"support.gap.below", hundredths(1.25 * layer)},
         {"support.gap.beside", 0.7},
         {"support.interface.upper.layers", 2.0},
         {"support.interface.upper.spacing", 0.6},
         {"support.body.spacing", 2.5}});
  if (name == "best_underside")
    set({{"support.gap.above", hundredths(0.75 * layer)},
         {"support.gap.beside", 0.4},
         {"support.interface.upper.layers", 4.0},
         {"support.interface.upper.spacing", 0.15},
         {"support.interface.lower.layers", 2.0},
         {"support.body.pattern", std::string("crossed")},
         {"support.body.spacing", 2.0},
         {"support.body.walls", 1.0},
         {"support.graded.layers", 4.0}});
  if (name == "soluble")
    set({{"support.gap.above", 0.0},
         {"support.gap.below", 0.0},
         {"support.gap.beside", 0.1},
         {"support.gap.slope", 0.0},
         {"support.interface.upper.spacing", 0.0},
         {"support.interface.lower.layers", 2.0},
         {"support.interface.lower.spacing", 0.0},
         {"support.graded.layers", 3.0}});
  return values;
}

Overrides filament(const std::string& name) {
  if (name == "plain")
    return {{"support.filament.interface", std::string("first")}, {"support.filament.body", std::string("auto")}};
  const bool dissolves = name == "dissolves";
  return {{"support.filament.interface", std::string("second")},
          {"support.filament.body", std::string("auto")},
          {"filament2.name", std::string(dissolves ? "Washaway" : "Chalkline")},
          {"filament2.soluble", dissolves},
          {"filament2.density", dissolves ? 1.22 : 1.45},
          {"filament2.price", dissolves ? 85.0 : 48.0},
          {"filament2.nozzle_heat", dissolves ? 205.0 : 230.0},
          {"filament2.speed", dissolves ? 25.0 : 40.0}};
}

// The range that needs no explanation, and what to say below and above it.
struct Usual {
  double low, high;
  Sentence below, above;
};

// Gaps are told in layers.
std::optional<Usual> usual(std::string_view key, const Settings& settings) {
  const bool dissolves = settings.text("support.filament.interface") == "second";
  if (key == "support.gap.above" && !dissolves)
    return Usual{
        0.7, 1.6,
        say("Under 0.7 layers of gap the interface bonds to the underside: expect pliers, or use a second "
            "filament that does not bond."),
        say("Over 1.6 layers of gap the first lines sag before they rest on anything: expect a rough underside.")};
  if (key == "support.gap.below" && !dissolves)
    return Usual{0.5, 2.5, say("So small a gap below leaves a scar where the support stands."),
                 say("With so much daylight below, the support may not stick to what it stands on.")};
  if (key == "support.gap.beside")
    return Usual{dissolves ? 0 : 0.3, 0.8, say("Under 0.3 mm beside, support lines may fuse to the walls they pass."),
                 say("Over 0.8 mm beside, the rims of what hangs stay uncarried.")};
  if (key == "support.body.spacing")
    return Usual{1.0, 3.0, say("So dense a body costs filament and is hard to break up."),
                 say("Over 3 mm between body lines the interface sags; graded layers help.")};
  if (key == "support.interface.upper.spacing")
    return Usual{
        dissolves ? 0 : 0.1, 0.8,
        say("A solid interface cannot be told from the part when scraping; a little daylight shows what is left."),
        say("Over 0.8 mm of daylight the underside gets stripes.")};
  if (key == "support.interface.upper.layers")
    return Usual{1, 5, say("Without an interface the part rests on the body's few lines."),
                 say("More than five interface layers cost filament and carry no better.")};
  if (key == "support.normal.column")
    return Usual{1, 8, say("Columns under 1 mm break easily; they suit crevices."),
                 say("So large columns reach far past what hangs.")};
  if (key == "support.free_lean")
    return Usual{30, 75, say("Few machines need help below 30°."),
                 say("Over 75° from vertical nearly nothing is proposed: decide every place by hand.")};
  if (key == "support.graded.density")
    return Usual{40, 80, say("Graded layers so sparse hardly help."),
                 say("Graded layers so dense are interface; two thirds is usual.")};
  return std::nullopt;
}

}  // namespace

const std::vector<Preset>& presets() {
  static const std::vector<Preset> all = {
      {"easy_release", PresetKind::release, "Easy release",
       "Wide gaps, an open interface and one zigzag that pulls out as a ribbon. The underside is a little rough."},
      {"balanced", PresetKind::release, "Balanced",
       "A layer of gap and three interface layers: comes off by hand and leaves an even face."},
      {"best_underside", PresetKind::release, "Best underside",
       "A narrow gap, a dense interface over graded layers and crossed lines. Needs pliers and more filament."},
      {"soluble", PresetKind::release, "Soluble",
       "No gap and a solid interface: only for an interface that water takes away."},
      {"plain", PresetKind::filament, "Plain", "Support from the part's own filament."},
      {"brittle", PresetKind::filament, "Brittle release",
       "The interface from a filament that does not bond to the part's and snaps off."},
      {"dissolves", PresetKind::filament, "Dissolves",
       "The interface from a filament that water takes away, and the body too where it cannot be pulled out."}};
  return all;
}

const Preset& presetNamed(std::string_view name) {
  const auto found =
      std::find_if(presets().begin(), presets().end(), [&](const Preset& preset) { return preset.name == name; });
  if (found != presets().end()) return *found;
  std::string names;
  for (const Preset& preset : presets()) names += (names.empty() ? "" : ", ") + preset.name;
  throw Error(say("There is no preset called {}. There are {}.", name, names));
}

Overrides valuesOf(const Preset& preset, const Settings& settings) {
  return preset.kind == PresetKind::filament ? filament(preset.name)
                                             : release(preset.name, settings.number("layer.height"));
}

const Preset* presetOf(PresetKind kind, const Settings& settings) {
  for (const Preset& preset : presets()) {
    const Overrides values = valuesOf(preset, settings);
    if (preset.kind == kind && std::all_of(values.begin(), values.end(), [&](const auto& value) {
          return settings.value(value.first) == value.second;
        }))
      return &preset;
  }
  return nullptr;
}

std::optional<Sentence> adviceOn(std::string_view key, const Settings& settings) {
  const auto range = usual(key, settings);
  if (!range) return std::nullopt;
  const bool inLayers = key == "support.gap.above" || key == "support.gap.below";
  const double value = settings.number(key) / (inLayers ? settings.number("layer.height") : 1);
  constexpr double slack = 1e-9;
  if (value < range->low - slack) return range->below;
  if (value > range->high + slack) return range->above;
  return std::nullopt;
}

}  // namespace trellis
