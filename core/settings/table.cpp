// SPDX-License-Identifier: GPL-3.0-or-later
// The rows. Defaults are common practice in the trade; temperatures, speeds and densities are from
// memory and belong to the invented machine "Glasshouse Bench" and filament "Potting PLA".
#include "core/settings/settings.hpp"

namespace trellis {

namespace {

struct Range {
  double low, high, standard;
};

SettingRow number(std::string key, std::string label, std::string unit, const Range& range, std::string help) {
  return {std::move(key), SettingKind::number, std::move(label), std::move(unit),
          range.low,      range.high,          range.standard,   {},
          std::move(help)};
}

SettingRow whole(std::string key, std::string label, const Range& range, std::string help) {
  return {std::move(key), SettingKind::whole, std::move(label), "", range.low, range.high, range.standard, {},
          std::move(help)};
}

SettingRow choice(std::string key, std::string label, std::vector<std::string> choices, std::string standard,
                  std::string help) {
  return {std::move(key),      SettingKind::choice, std::move(label), "", 0, 0,
          std::move(standard), std::move(choices),  std::move(help)};
}

SettingRow text(std::string key, std::string label, std::string standard, std::string help) {
  return {std::move(key), SettingKind::text, std::move(label), "", 0, 0, std::move(standard), {}, std::move(help)};
}

void addLayers(std::vector<SettingRow>& rows) {
  rows.push_back(text("print.name", "Print", "Everyday 0.2", "Its name, for the G-code's head."));
  rows.push_back(number("layer.height", "Layer height", "mm", {0.05, 0.6, 0.2},
                        "Thickness of a layer. Thinner shows finer slopes and takes longer."));
  rows.push_back(number("layer.first", "First layer", "mm", {0.1, 0.6, 0.2},
                        "Thickness of the layer on the plate. Thicker forgives an uneven plate."));
  rows.push_back(number("line.width", "Line width", "mm", {0.2, 1.2, 0.45},
                        "Width of a printed line, a little over the nozzle's. Wider is stronger and coarser."));
  rows.push_back(number("line.first_width", "First layer's line width", "mm", {0, 1.2, 0},
                        "Width of the lines on the plate; 0 is as all others. Wider ones hold better."));
  rows.push_back(whole("walls", "Walls", {1, 10, 2}, "Lines around every outline. More are stronger and slower."));
  rows.push_back(whole("cover.top", "Top cover", {0, 20, 4}, "Solid layers under every upper surface."));
  rows.push_back(whole("cover.bottom", "Bottom cover", {0, 20, 3}, "Solid layers over every lower surface."));
  rows.push_back(number("infill.density", "Infill", "%", {0, 100, 15},
                        "How much of the inside is filled. More is stiffer; less curls less."));
  rows.push_back(
      whole("skirt.loops", "Skirt loops", {0, 10, 1}, "Lines drawn round everything first, to prime the nozzle."));
  rows.push_back(
      number("brim.width", "Brim", "mm", {0, 40, 0},
             "Lines on the plate around the part that hold its rim down. Wider holds better and has to be cut off."));
  rows.push_back(number("brim.gap", "Brim gap", "mm", {0, 2, 0.1},
                        "Daylight between brim and part. 0 holds firmest; a tenth tears off by hand."));
  rows.push_back(choice("brim.side", "Brim on", {"outside", "inside", "both"}, "outside",
                        "Around the outlines, in their holes, or both."));
  rows.push_back(
      number("skirt.distance", "Skirt distance", "mm", {1, 30, 5}, "Daylight between the skirt and the print."));
  rows.push_back({"skirt.code",
                  SettingKind::yesNo,
                  "Raise the code",
                  "",
                  0,
                  0,
                  false,
                  {},
                  "The version's six letters stand out of a plaque on the skirt or raft, to know the print by."});
}

void addSupport(std::vector<SettingRow>& rows) {
  rows.push_back({"support.on",
                  SettingKind::yesNo,
                  "Supports",
                  "",
                  0,
                  0,
                  true,
                  {},
                  "Whether any support is built. Marks are kept while it is off."});
  rows.push_back(choice("support.source", "Support under", {"overhangs", "floating", "decisions"}, "overhangs",
                        "What asks for support: everything that leans too far and your decisions; only what begins "
                        "in mid-air and your decisions; or your decisions alone."));
  rows.push_back(
      choice("support.footing", "May stand on", {"plate", "any"}, "any",
             "What support may stand on: the plate only, which leaves no scars on upper surfaces, or plate and part."));
  rows.push_back(number("support.free_lean", "Free lean", "°", {0, 89, 45},
                        "The greatest lean from vertical that prints without help. Higher asks for less support and "
                        "trusts the machine more."));
  rows.push_back(number("support.bridge_limit", "Bridge limit", "mm", {0, 100, 10},
                        "The longest span between two walls that prints without help. Longer trusts the fan more; 0 "
                        "supports every bridge."));
  rows.push_back(number("support.gap.above", "Gap above", "mm", {0, 2, 0.2},
                        "Daylight between the support and the part over it, kept exactly. Wider comes off more easily "
                        "and leaves a rougher underside; about one layer is usual."));
  rows.push_back(
      number("support.gap.below", "Gap below", "mm", {0, 2, 0.2},
             "Daylight between a support and the part it stands on. Wider leaves a fainter scar and a weaker foot."));
  rows.push_back(number(
      "support.gap.beside", "Gap beside", "mm", {0, 5, 0.5},
      "Daylight between a support and every wall it passes. Narrower reaches farther into corners and may stick."));
  rows.push_back(
      number("support.gap.slope", "Slope gap", "mm", {0, 2, 0.2},
             "Daylight between a support and the wall beside it in the same layer, where that wall leans out "
             "over it. Less may fuse the two; 0 suits an interface that dissolves."));
  rows.push_back(
      number("support.gap.hold", "Hold gap", "mm", {0, 2, 0.1},
             "Daylight between a wall and the column that steadies it, over the height you marked. 0 touches."));
  rows.push_back(number("support.hold.tie_spacing", "Tie spacing", "mm", {0.2, 50, 3},
                        "Height from one tie to the next: single lines that reach from a hold to the wall. Closer "
                        "holds firmer and leaves more scars."));
  rows.push_back(choice("support.structure", "Structure", {"normal", "tree"}, "normal",
                        "Normal stands straight under what hangs, for broad flat undersides; a tree touches in small "
                        "tips on branches that reach "
                        "around the part, for small, curved and high ones."));
  rows.push_back(number(
      "support.tree.tip_spacing", "Tip spacing", "mm", {0.5, 10, 2},
      "The longest stretch between tips that has to bridge. About 2 mm is safe; wider touches less and sags more."));
  rows.push_back(number("support.tree.tip_width", "Tip width", "mm", {0.8, 5, 2.4},
                        "How wide a tip is where it touches. Wider carries more and leaves a larger scar."));
  rows.push_back(number("support.tree.branch_lean", "Branch lean", "°", {15, 60, 40},
                        "The most a branch leans from vertical. More reaches farther around the part and merges "
                        "sooner; less prints more surely."));
  rows.push_back(number(
      "support.tree.trunk_width", "Trunk width", "mm", {0, 20, 0},
      "How thick a branch is where it stands; 0 follows from its height and what it carries. Thicker stands firmer."));
  rows.push_back(
      whole("support.tree.walls", "Branch walls", {1, 4, 1}, "Lines around a branch. Two stiffen long ones."));
  rows.push_back(number("support.tree.inner_spacing", "Inner spacing", "mm", {0, 20, 0},
                        "Daylight between lines inside a branch, which stiffen it; 0 leaves it hollow."));
  rows.push_back(number("support.tree.foot_width", "Branch foot", "mm", {0, 40, 0},
                        "How wide a branch is on the plate; 0 is twice the trunk."));
  rows.push_back(number("support.tree.foot_height", "Foot height", "mm", {0, 20, 2},
                        "From what height a branch spreads to its foot; 0 builds no foot."));
  rows.push_back(choice(
      "support.normal.outline", "Outline", {"close", "squared"}, "close",
      "Close follows the shadow of what hangs; squared builds square columns, which are sturdier and reach past it."));
  rows.push_back(
      number("support.normal.column", "Column size", "mm", {0.8, 12, 4},
             "Of squared outlines. About 1 mm reaches into crevices, 2 to 4 mm is usual, more is for bulk."));
  rows.push_back(
      whole("support.interface.upper.layers", "Interface layers", {0, 10, 3},
            "Denser layers right under the part. Two or three give an even face; none saves a little filament."));
  rows.push_back(number("support.interface.upper.spacing", "Interface spacing", "mm", {0, 5, 0.45},
                        "Daylight between the interface's lines; 0 is solid. Wider comes off more easily, and shows "
                        "what is left to scrape off; narrower carries a smoother face."));
  rows.push_back(choice("support.interface.upper.pattern", "Upper lines", {"lines", "crossed", "concentric"}, "lines",
                        "Lines peel off along one direction; crossed lines are firmer and carry fine detail; "
                        "concentric follows the outline."));
  rows.push_back(whole(
      "support.interface.lower.layers", "Lower interface", {0, 10, 0},
      "Denser layers where a support stands on the part: an even seat that comes off in one, for a little filament."));
  rows.push_back(number("support.interface.lower.spacing", "Lower spacing", "mm", {0, 5, 0.9},
                        "Daylight between the lower interface's lines. Usually wider than above."));
  rows.push_back(choice("support.interface.lower.pattern", "Lower lines", {"lines", "crossed", "concentric"}, "lines",
                        "As for the interface under the part."));
  rows.push_back(choice("support.body.pattern", "Body lines", {"lines", "crossed", "zigzag", "concentric"}, "zigzag",
                        "Lines run one way; crossed lines carry fine detail; a zigzag folds on wherever it can and "
                        "pulls out as a ribbon; "
                        "concentric follows the outline."));
  rows.push_back(
      whole("support.graded.layers", "Graded layers", {0, 20, 0},
            "Layers of in-between density under the interface, so that it does not sag over a sparse body."));
  rows.push_back(number("support.graded.density", "Graded density", "%", {50, 100, 65},
                        "How full the graded layers are. About two thirds is usual."));
  rows.push_back(whole("support.foot.layers", "Foot layers", {0, 20, 0},
                       "Lowest layers that spread out on the plate, so that slender supports stay down."));
  rows.push_back(number("support.foot.spread", "Foot spread", "mm", {0, 10, 1},
                        "How far the lowest layer of a foot reaches past the support."));
  rows.push_back(choice("support.filament.interface", "Interface filament", {"first", "second"}, "first",
                        "Which filament prints the interface. One that does not bond to the part's, or that water "
                        "takes away, lets the gap be 0."));
  rows.push_back(choice("support.filament.body", "Body filament", {"auto", "first", "second"}, "auto",
                        "Under an interface that dissolves, the first filament wherever the piece can be pulled out "
                        "whole and the second where only "
                        "water gets it out; or the first or second everywhere."));
  rows.push_back(whole("support.raft.layers", "Raft layers", {0, 20, 0},
                       "Solid layers under everything, reaching past its outline, that hold the corners of wide flat "
                       "parts down. Comes off with the support."));
  rows.push_back(number("support.raft.reach", "Raft reach", "mm", {0, 40, 4},
                        "How far the raft reaches past the outline. Farther holds corners down better."));
  rows.push_back(
      number("support.raft.gap", "Raft gap", "mm", {0, 1, 0.2},
             "Daylight between the raft and what is printed on it. 0 bonds; about one layer comes off by hand."));
  rows.push_back(number("support.body.spacing", "Body spacing", "mm", {0, 10, 2.2},
                        "Daylight between the lines of the support's body. 2 to 2.5 mm is usual; over 3 mm the "
                        "interface sags between them."));
  rows.push_back(whole("support.body.walls", "Body walls", {0, 3, 0},
                       "Lines around the body. With 0 only what is too narrow to stand without has one; one keeps any "
                       "body in one piece, more make it sturdier, heavier and harder to crush."));
}

void addFeatures(std::vector<SettingRow>& rows) {
  struct Row {
    const char *feature, *label;
    double speed, fan;
  };
  const Row features[] = {{"part.wall.outer", "outer walls", 40, 100},
                          {"part.wall.inner", "inner walls", 60, 100},
                          {"part.wall.steep", "walls that lean out", 25, 100},
                          {"part.cover", "covers", 60, 100},
                          {"part.cover.carried", "covers right over support", 30, 100},
                          {"part.infill", "infill", 80, 80},
                          {"part.bridge", "bridges", 25, 100},
                          {"support.body", "support bodies", 70, 80},
                          {"support.interface.upper", "upper interfaces", 40, 100},
                          {"support.interface.lower", "lower interfaces", 40, 100},
                          {"support.branch", "branches", 40, 80},
                          {"support.graded", "graded layers", 60, 80},
                          {"support.hold", "holds", 40, 80},
                          {"support.foot", "feet of supports", 40, 50},
                          {"support.raft", "rafts", 50, 50},
                          {"skirt", "the skirt", 40, 0},
                          {"brim", "the brim", 40, 0},
                          {"prime", "the prime tower", 60, 80}};
  for (const Row& row : features)
    rows.push_back(number(std::string("speed.") + row.feature, std::string("Speed of ") + row.label, "mm/s",
                          {1, 500, row.speed}, "Slower is neater and sticks better."));
  rows.push_back(number("speed.first", "Speed of the first layer", "mm/s", {1, 500, 25},
                        "The most any line of the first layer is printed at."));
  rows.push_back(number("speed.least", "Least speed", "mm/s", {1, 100, 8},
                        "The slowest a line is printed when a layer is slowed to its least time; what still lacks is "
                        "waited for beside the print."));
  rows.push_back(number("speed.travel", "Travel speed", "mm/s", {1, 1000, 150}, "Moves that print nothing."));
  for (const Row& row : features)
    rows.push_back(
        number(std::string("fan.") + row.feature, std::string("Fan for ") + row.label, "%", {0, 100, row.fan},
               "Share of the fan these lines get. More cools faster; less bonds layers better. The filament says how "
               "much fan there is."));
}

void addMachine(std::vector<SettingRow>& rows) {
  rows.push_back(text("machine.name", "Machine", "Glasshouse Bench", "Its name, for the G-code's head."));
  rows.push_back(text("machine.currency", "Currency", "€", "What prices are in: a sign, or three letters."));
  rows.push_back({"machine.fan",
                  SettingKind::yesNo,
                  "Part fan",
                  "",
                  0,
                  0,
                  true,
                  {},
                  "Whether a fan blows at what has just been printed. Without one less leans freely."});
  rows.push_back(number("machine.width", "Plate width", "mm", {20, 2000, 250}, "Along x."));
  rows.push_back(number("machine.depth", "Plate depth", "mm", {20, 2000, 210}, "Along y."));
  rows.push_back(number("machine.height", "Height", "mm", {20, 2000, 220}, "The highest a print can be."));
  rows.push_back(number("nozzle.width", "Nozzle", "mm", {0.1, 2, 0.4}, "Bore of the nozzle."));
  rows.push_back(number("machine.acceleration", "Acceleration", "mm/s²", {50, 50000, 1500},
                        "For the time estimate; set it to what the machine is set to."));
  rows.push_back(number("machine.corner", "Corner deviation", "mm", {0.001, 1, 0.02},
                        "How far the machine may round a corner; sets the speed it keeps there."));
  rows.push_back(number("retract.length", "Retraction", "mm", {0, 20, 0.8}, "Filament pulled back before a travel."));
  rows.push_back(number("retract.speed", "Retraction speed", "mm/s", {1, 200, 35},
                        "How fast it is pulled back and pushed again."));
  rows.push_back(number(
      "retract.over", "Retract over", "mm", {0, 100, 1.5},
      "Shorter travels are made without retracting, and so are longer ones within an island or a piece of support."));
  rows.push_back(number("retract.acceleration", "Retraction acceleration", "mm/s²", {50, 50000, 1500},
                        "Of the filament, for the time estimate."));
  rows.push_back(number("retract.lift", "Lift", "mm", {0, 5, 0.2},
                        "How far the nozzle rises where it travels over the part. Higher is safer and slower."));
  rows.push_back(
      number("machine.lift_speed", "Speed up and down", "mm/s", {1, 200, 12}, "From layer to layer, and to lift."));
  rows.push_back(
      number("machine.heat_time", "Heating takes", "s", {0, 3600, 0}, "For the time shown; 0 leaves it out."));
  rows.push_back(text("machine.start", "Start G-code",
                      "M140 S{plate_heat}\nM104 S{nozzle_heat}\nG28\nM190 S{plate_heat}\n"
                      "M109 S{nozzle_heat}\nG92 E0",
                      "Printed before everything. {plate_heat}, {nozzle_heat} and {height} are filled in."));
  rows.push_back(text("machine.end", "End G-code", "M104 S0\nM140 S0\nM106 S0\nG91\nG1 Z5 F600\nG90\nG28 X0 Y0\nM84",
                      "Printed after everything, with the same values filled in."));
  rows.push_back(text("machine.tool_change", "Tool change", "T{tool}\nM109 S{nozzle_heat}",
                      "Printed when the other filament's turn comes; {tool} is 0 or 1. The nozzle has been lifted off "
                      "and pulled back."));
  rows.push_back(number("machine.tool_change_time", "Tool change takes", "s", {0, 300, 12}, "For the time estimate."));
  rows.push_back(number("prime.purge", "Purge", "mm³", {0, 500, 45},
                        "What is printed into the prime tower after each tool change, until the new filament runs "
                        "pure. 0 builds no tower."));
  rows.push_back(text("filament.name", "Filament", "Potting PLA", "Its name, for the G-code's head."));
  rows.push_back(number("filament.diameter", "Diameter", "mm", {0.5, 4, 1.75}, "Of both filaments."));
  rows.push_back(number("filament.density", "Filament density", "g/cm³", {0.3, 10, 1.24}, "For the grams."));
  rows.push_back(number("filament.price", "Price", "/kg", {0, 10000, 22}, "For the money, in your own currency."));
  rows.push_back(number("filament.flow", "Most volume", "mm³/s", {0.5, 200, 10},
                        "How much of it the nozzle melts in a second. No line is printed faster than that allows."));
  rows.push_back(number("filament.layer_time", "Least layer time", "s", {0, 300, 6},
                        "How long a layer has to cool before the next. A faster one is slowed, its outer walls last."));
  rows.push_back(number("filament.fan.least", "Fan, least", "%", {0, 100, 50},
                        "On layers that take three times their least time or more. Less bonds layers better."));
  rows.push_back(number("filament.fan.most", "Fan, most", "%", {0, 100, 100},
                        "On layers at their least time, on bridges, on walls that lean out, and right over support. 0 "
                        "for what warps or splits in a draught."));
  rows.push_back(
      number("filament.fan.first", "Fan on the first layer", "%", {0, 100, 0}, "0 lets it hold on the plate."));
  rows.push_back(number("filament.time_factor", "Time correction", "", {0.2, 5, 1},
                        "What prints really take over what was reckoned."));
  rows.push_back(number("filament.stiffness", "Stiffness", "N/mm²", {1, 100000, 2000},
                        "Young's modulus across layers: how little a tall part gives way to the nozzle. A usual "
                        "figure, not measured on your filament; a "
                        "soft filament has a hundredth of it."));
  rows.push_back(number("filament.adhesion", "Hold on the plate", "N/mm²", {0.001, 100, 0.5},
                        "What the plate holds before the print comes off. A usual figure, not measured on your plate; "
                        "less on a cold or greasy one."));
  rows.push_back(number("filament.nozzle_heat", "Nozzle heat", "°C", {0, 500, 210}, "While printing."));
  rows.push_back(number("filament.plate_heat", "Plate heat", "°C", {0, 200, 60}, "While printing."));
  rows.push_back(text("filament2.name", "Second filament", "Washaway", "Its name, for the G-code's head."));
  rows.push_back({"filament2.soluble",
                  SettingKind::yesNo,
                  "Water takes it away",
                  "",
                  0,
                  0,
                  true,
                  {},
                  "Whether the second filament dissolves in water."});
  rows.push_back(number("filament2.density", "Second: density", "g/cm³", {0.3, 10, 1.22}, "For the grams."));
  rows.push_back(
      number("filament2.price", "Second: price", "/kg", {0, 10000, 85}, "For the money, in your own currency."));
  rows.push_back(number("filament2.nozzle_heat", "Second: nozzle heat", "°C", {0, 500, 205}, "While printing."));
  rows.push_back(number("filament2.flow", "Second: most volume", "mm³/s", {0.5, 200, 6},
                        "How much of it the nozzle melts in a second."));
  rows.push_back(number("filament2.speed", "Second: top speed", "mm/s", {1, 500, 25},
                        "The most any line is printed at with it. Soluble filaments are slow: common practice."));
}

// Layers, speeds, the machine and the filament are the plate's; walls, covers, infill and supports may be a
// part's own.
bool isPerPart(const std::string& key) {
  return key == "walls" || key.starts_with("cover.") || key.starts_with("infill.") ||
         (key.starts_with("support.") && !key.starts_with("support.raft."));
}

}  // namespace

const std::vector<SettingRow>& settingsTable() {
  static const std::vector<SettingRow> rows = [] {
    std::vector<SettingRow> all;
    addLayers(all);
    addSupport(all);
    addFeatures(all);
    addMachine(all);
    for (SettingRow& row : all) row.perPart = isPerPart(row.key);
    return all;
  }();
  return rows;
}

}  // namespace trellis
