// SPDX-License-Identifier: GPL-3.0-or-later
// Sets that ship with the program. All of them are invented; their figures are common practice in the trade and from
// memory, without a published source.
#include "core/settings/sets.hpp"

namespace trellis {

namespace {

KeptSet machine(std::string name, Overrides values) { return {SetKind::machine, std::move(name), std::move(values)}; }
KeptSet filament(std::string name, Overrides values) { return {SetKind::filament, std::move(name), std::move(values)}; }
KeptSet print(std::string name, Overrides values) { return {SetKind::print, std::move(name), std::move(values)}; }

std::vector<KeptSet> machines() {
  return {machine("Glasshouse Bench", {}),
          machine("Cold Frame Mini", {{"machine.fan", false},
                                      {"machine.width", 140.0},
                                      {"machine.depth", 140.0},
                                      {"machine.height", 130.0},
                                      {"machine.acceleration", 700.0},
                                      {"machine.heat_time", 150.0},
                                      {"speed.travel", 90.0},
                                      {"support.free_lean", 40.0},
                                      {"support.bridge_limit", 5.0}}),
          machine("Orangery Two", {{"machine.width", 300.0},
                                   {"machine.depth", 300.0},
                                   {"machine.height", 340.0},
                                   {"machine.acceleration", 3000.0},
                                   {"machine.heat_time", 240.0},
                                   {"machine.tool_change_time", 6.0},
                                   {"speed.travel", 250.0},
                                   {"retract.length", 0.6}})};
}

std::vector<KeptSet> filaments() {
  return {filament("Potting PLA", {}),
          filament("Trellis Tough", {{"filament.density", 1.27},
                                     {"filament.price", 26.0},
                                     {"filament.nozzle_heat", 240.0},
                                     {"filament.plate_heat", 80.0},
                                     {"filament.fan.least", 20.0},
                                     {"filament.fan.most", 50.0},
                                     {"filament.layer_time", 10.0},
                                     {"filament.flow", 8.0},
                                     {"filament.stiffness", 1500.0},
                                     {"support.bridge_limit", 8.0},
                                     {"support.gap.above", 0.24}}),
          filament("Still Air", {{"filament.density", 1.05},
                                 {"filament.price", 24.0},
                                 {"filament.nozzle_heat", 250.0},
                                 {"filament.plate_heat", 100.0},
                                 {"filament.fan.least", 0.0},
                                 {"filament.fan.most", 0.0},
                                 {"filament.layer_time", 15.0},
                                 {"support.free_lean", 38.0},
                                 {"support.bridge_limit", 5.0},
                                 {"support.gap.above", 0.22},
                                 {"support.gap.below", 0.22}}),
          filament("Bendy Stem", {{"filament.density", 1.21},
                                  {"filament.price", 38.0},
                                  {"filament.nozzle_heat", 225.0},
                                  {"filament.plate_heat", 45.0},
                                  {"filament.flow", 3.0},
                                  {"filament.layer_time", 10.0},
                                  {"filament.stiffness", 30.0},
                                  {"support.bridge_limit", 6.0},
                                  {"support.gap.above", 0.28}}),
          filament("Chalkline", {{"filament.density", 1.45},
                                 {"filament.price", 48.0},
                                 {"filament.nozzle_heat", 230.0},
                                 {"filament.flow", 5.0},
                                 {"filament.stiffness", 1200.0}}),
          filament("Washaway", {{"filament.density", 1.22},
                                {"filament.price", 85.0},
                                {"filament.nozzle_heat", 205.0},
                                {"filament.flow", 4.0},
                                {"filament.layer_time", 12.0},
                                {"filament.stiffness", 900.0}})};
}

std::vector<KeptSet> prints() {
  return {print("Everyday 0.2", {}),
          print("Fine 0.12", {{"layer.height", 0.12},
                              {"cover.top", 6.0},
                              {"cover.bottom", 5.0},
                              {"support.gap.above", 0.12},
                              {"support.gap.below", 0.12}}),
          print("Draft 0.28", {{"layer.height", 0.28},
                               {"line.width", 0.5},
                               {"cover.top", 3.0},
                               {"infill.density", 10.0},
                               {"support.gap.above", 0.28},
                               {"support.gap.below", 0.28}})};
}

}  // namespace

const std::vector<KeptSet>& shippedSets() {
  static const std::vector<KeptSet> all = [] {
    std::vector<KeptSet> sets = machines();
    for (const auto& more : {filaments(), prints()}) sets.insert(sets.end(), more.begin(), more.end());
    return sets;
  }();
  return all;
}

}  // namespace trellis
