// SPDX-License-Identifier: GPL-3.0-or-later
// meek-trellis-cli: everything the window can compute, without it. Never asks. Exit 0, 1 (the work
// failed, with a sentence on standard error) or 2 (usage).
#include "cli/learn_commands.hpp"
#include "cli/listings.hpp"
#include "cli/recover.hpp"
#include "core/assess/report.hpp"
#include "core/assess/support_export.hpp"
#include "core/base/files.hpp"
#include "core/document/bounds.hpp"
#include "core/document/operations.hpp"
#include "core/document/project_file.hpp"
#include "core/document/set_library.hpp"
#include "core/mesh/health.hpp"
#include "core/mesh/inspect.hpp"
#include "core/mesh/stl.hpp"
#include "core/results/build_project.hpp"
#include "core/results/gcode_text.hpp"
#include "core/results/perform_all.hpp"
#include "core/results/tried_remedies.hpp"
#include "core/trial/trial_report.hpp"

#include <fmt/format.h>
#include <unistd.h>
#include <CLI/CLI.hpp>
#include <nlohmann/json.hpp>

#include <iostream>
#include <mutex>

namespace {

using namespace trellis;
using Json = nlohmann::json;

Json inspectJson(const std::string& name, const TriangleMesh& mesh) {
  const MeshFigures figures = inspect(mesh);
  std::size_t crossings = 0;
  Json defects = Json::array();
  for (const MeshDefect& defect : examine(mesh, Progress()).defects) {
    if (defect.kind == DefectKind::crossing) crossings = defect.count;
    defects.push_back(inWords(defect));
  }
  return {{"name", name},
          {"facets", figures.facets},
          {"vertices", figures.vertices},
          {"shells", figures.shells},
          {"size", {figures.size.x(), figures.size.y(), figures.size.z()}},
          {"volume_mm3", figures.volume},
          {"area_mm2", figures.area},
          {"open_edges", figures.openEdges},
          {"flipped_facets", figures.flippedFacets},
          {"duplicate_facets", figures.duplicateFacets},
          {"self_crossings", crossings},
          {"troubles", defects}};
}

void runInspect(const Options& options) {
  const Bar bar;
  const OpenedProject opened = openFile(options.file, {}, bar.progress());
  Json parts = Json::array();
  for (const PartPtr& part : opened.project->parts) parts.push_back(inspectJson(part->name, *part->mesh));
  if (options.json) return void(std::cout << Json{{"parts", parts}}.dump(2) << "\n");
  for (const Json& p : parts) {
    fmt::print("{}\n  {} facets, {} vertices, {} shell{}\n", p["name"].get<std::string>(), p["facets"].get<int>(),
               p["vertices"].get<int>(), p["shells"].get<int>(), p["shells"] == 1 ? "" : "s");
    fmt::print("  {:.2f} × {:.2f} × {:.2f} mm, {:.1f} mm³, {:.1f} mm²\n", p["size"][0].get<double>(),
               p["size"][1].get<double>(), p["size"][2].get<double>(), p["volume_mm3"].get<double>(),
               p["area_mm2"].get<double>());
    for (const Json& defect : p["troubles"]) fmt::print("  {}\n", defect.get<std::string>());
    if (p["troubles"].empty()) fmt::print("  closed and sound\n");
  }
}

std::string svgOf(const Polygons& section, const Box2& box, double z) {
  std::string path;
  for (const Polygon& outline : section) {
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 p = toMm(outline[i]);
      path += fmt::format("{}{:.4f} {:.4f}", i ? " L" : " M", p.x(), -p.y());
    }
    path += " Z";
  }
  const Vec2 size = box.sizes();
  return fmt::format(
      "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{0:.4f}mm\" height=\"{1:.4f}mm\" viewBox=\"{2:.4f} {3:.4f} "
      "{0:.4f} {1:.4f}\">\n"
      "<title>z = {4:.4f} mm</title>\n<path fill=\"#CBBBA8\" fill-rule=\"evenodd\" d=\"{5}\"/>\n</svg>\n",
      size.x(), size.y(), box.min().x(), -box.max().y(), z, path);
}

void runSlices(const Options& options) {
  const Bar bar;
  Store store;
  const ProjectPtr project = loaded(store, options, bar.progress());
  Box3 box;
  std::vector<MeshPtr> placed;
  for (const PartPtr& part : project->parts) {
    placed.push_back(transformed(*part->mesh, transformOf(part->placement, *part->mesh)));
    box.extend(placed.back()->bounds);
  }
  const LayerPlan plan = planLayers(box.max().z(), layerRules(project->settings));
  std::vector<Polygons> sections(plan.count());
  for (const MeshPtr& mesh : placed) {
    const Slices slices = slice(*mesh, plan.middles(), bar.progress());
    for (std::size_t i = 0; i < plan.count(); ++i) sections[i] = unite(sections[i], slices.sections[i]);
  }
  std::error_code failed;
  std::filesystem::create_directories(options.svg, failed);
  if (failed)
    throw Error(
        fmt::format("The folder {} could not be made: {}. Choose another place.", options.svg, failed.message()));
  const Box2 paper(box.min().head<2>(), box.max().head<2>());
  Json layers = Json::array();
  for (std::size_t i = 0; i < plan.count(); ++i) {
    const double z = plan.spans[i].middle();
    writeFileAtomically(std::filesystem::path(options.svg) / fmt::format("layer-{:05}.svg", i),
                        svgOf(sections[i], paper, z));
    layers.push_back({{"index", i}, {"z", z}, {"area_mm2", area(sections[i])}});
  }
  if (options.json)
    std::cout << Json{{"layers", layers}}.dump(2) << "\n";
  else
    fmt::print("{} layers in {}\n", plan.count(), options.svg);
}

// How long a hand takes to get the support off, and how many pieces come off how.
void printRemoval(const Json& report) {
  if (report["pieces"].empty()) return;
  std::map<std::string, int> counts;
  for (const Json& piece : report["pieces"]) ++counts[piece["grade"].get<std::string>()];
  std::string grades;
  for (const auto& [grade, count] : counts) grades += fmt::format(", {} {}", count, grade);
  fmt::print("  about {:.1f} min to take it off{}\n", report["removal"]["time_s"].get<double>() / 60, grades);
  std::string scars;
  for (const auto& [scar, area] : report["scars_mm2"].items())
    if (area.get<double>() > 0 && !scar.starts_with("seen"))
      scars += fmt::format("{}{:.0f} mm² {}", scars.empty() ? "" : ", ", area.get<double>(), scar);
  if (const double seen = report["scars_mm2"]["seen"].get<double>(); seen > 0)
    scars += fmt::format("; {:.0f} mm² of it where it is seen", seen);
  if (!scars.empty()) fmt::print("  what it leaves, about: {}\n", scars);
}

void printTotals(const Json& report) {
  const double seconds = report["time_s"].get<double>();
  fmt::print("{} layers, {:.0f} h {:02.0f} min, {:.2f} g\n", report["layers"].get<int>(), std::floor(seconds / 3600),
             std::floor(std::fmod(seconds, 3600) / 60), report["filament"]["total"]["g"].get<double>());
  for (const auto& [feature, use] : report["filament"].items())
    if (feature != "total") fmt::print("  {:<26}{:9.2f} g\n", feature, use["g"].get<double>());
  fmt::print("  {} support piece{}\n", report["pieces"].size(), report["pieces"].size() == 1 ? "" : "s");
  printRemoval(report);
  for (const Json& finding : report["findings"]) {
    fmt::print("  {}: {}\n", finding["severity"].get<std::string>(), finding["message"].get<std::string>());
    for (const Json& remedy : finding["remedies"])
      fmt::print("      {}: {:+.2f} g, {:+.0f} min\n", remedy["name"].get<std::string>(), remedy["g"].get<double>(),
                 remedy["time_s"].get<double>() / 60);
  }
}

void runBuild(const Options& options) {
  const Bar bar;
  Store store;
  const ProjectPtr project = loaded(store, options, bar.progress());
  const BuildPtr build = buildProject(store, project, bar.progress());
  for (const Finding& finding : build->findings)
    if (finding.code == "too-large") throw Error(finding.message + finding.detail);
  const Json report =
      options.remedies ? reportOf(*build, project->settings, withTriedRemedies(store, project, *build, bar.progress()))
                       : reportOf(*build, project->settings);
  if (!options.project.empty()) writeFileAtomically(options.project, packProject(*project));
  if (!options.gcode.empty()) writeFileAtomically(options.gcode, gcodeOf(*project, *build, bar.progress()));
  const std::string text = report.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
  if (!options.report.empty()) writeFileAtomically(options.report, text);
  if (!options.csv.empty()) writeFileAtomically(options.csv, pricesCsv(*build, project->settings));
  if (options.json)
    std::cout << text;
  else
    printTotals(report);
}

void runSites(const Options& options) {
  const Bar bar;
  Store store;
  const ProjectPtr project = loaded(store, options, bar.progress());
  const BuildPtr build = buildProject(store, project, bar.progress());
  const Json found = sitesOf(*build, project->settings);
  if (options.json) return void(std::cout << found.dump(2) << "\n");
  fmt::print("{:>4}  {:<20} {:>10} {:>15} {:>6} {:>9} {:>8} {:>8}  {}\n", "site", "part", "area mm²", "heights mm",
             "lean", "span mm", "g", "min", "");
  for (const Json& site : found["sites"])
    fmt::print("{:>4}  {:<20} {:>10.1f} {:>7.1f}–{:>7.1f} {:>5.0f}° {:>9.1f} {:>8.2f} {:>8.1f}  {}{}{}\n",
               site["id"].get<int>() + 1, project->parts[site["part"].get<std::size_t>()]->name,
               site["area_mm2"].get<double>(), site["z_low"].get<double>(), site["z_high"].get<double>(),
               site["worst_lean"].get<double>(), site["span_mm"].get<double>(), site["price"]["g"].get<double>(),
               site["price"]["time_s"].get<double>() / 60, site["bridge"].get<bool>() ? "bridge " : "",
               site["floating_starts"].get<int>() > 0 ? "floating start " : "",
               site["decision"] == "proposed" ? "" : site["decision"].get<std::string>());
}

void runTrial(const Options& options) {
  const Bar bar;
  const TrialPrint trial = trialPrint(readGcode(readFile(options.file), bar.progress()), options.trial, bar.progress());
  const Json report = reportOf(trial);
  if (options.json) return void(std::cout << report.dump(2, ' ', false, Json::error_handler_t::replace) << "\n");
  fmt::print("{}\n", verdictOf(trial));
  for (std::size_t i = 0; i < contactClassNames.size(); ++i)
    fmt::print("  {:<10}{:12.1f} mm of line, {:.1f} mm of it the part's\n", contactClassNames[i], trial.length[i],
               trial.partLength[i]);
  for (const TrialStart& start : trial.starts)
    fmt::print("  begins in mid-air at {:.1f}, {:.1f}, {:.2f} mm, layer {}, line {} of the text\n", start.at.x(),
               start.at.y(), start.at.z(), start.layer, start.line);
  for (const std::string& what : trial.ignored) fmt::print("  not known, and passed over: {}\n", what);
}

// Parts, what was built under them, or both.
void runConvert(const Options& options) {
  const Bar bar;
  Store store;
  const ProjectPtr project = loaded(store, options, bar.progress());
  const std::string suffix = std::filesystem::path(options.out).extension().string();
  if (suffix != ".3mf" && suffix != ".stl")
    throw Error(options.out + " has a format this program does not write. End its name in .stl or .3mf.");
  if (options.what == "parts")
    return writeFileAtomically(options.out,
                               suffix == ".3mf" ? packProject(*project) : writeStl(*placedTogether(*project)));
  const BuildPtr build = buildProject(store, project, bar.progress());
  if (suffix == ".3mf" && options.what != "supports")
    return writeFileAtomically(options.out,
                               packWithSupports(*project, *build, options.what == "layers", bar.progress()));
  if (options.what == "layers") throw Error("Layers are written as 3MF. End the file's name in .3mf.");
  const MeshPtr supports = supportMesh(*build, bar.progress());
  if (!supports) throw Error("There is no support to write: nothing is built under the parts.");
  if (suffix == ".3mf") throw Error("A 3MF file has the parts as well: write it with --what both.");
  std::vector<Vec3f> corners;
  for (const MeshPtr& mesh : {supports, options.what == "both" ? placedTogether(*project) : nullptr})
    if (mesh)
      for (const Facet& facet : mesh->facets)
        for (const std::uint32_t index : facet) corners.push_back(mesh->vertices[index]);
  writeFileAtomically(options.out, writeStl(*meshFromCorners(corners)));
}

}  // namespace

int main(int argc, char** argv) {
  CLI::App app("Meek Trellis, without the window");
  app.set_version_flag("--version", TRELLIS_VERSION);
  app.require_subcommand(1);
  Options options;
  CLI::App* inspect = app.add_subcommand("inspect", "figures and health of a mesh");
  inspect->add_option("FILE", options.file, "a mesh (STL, OBJ, PLY, OFF, 3MF, AMF) or a project")->required();
  inspect->add_flag("--json", options.json, "JSON on standard output");
  CLI::App* sites = app.add_subcommand("sites", "every site with its figures and price, and floating starts");
  addProjectOptions(sites, options);
  CLI::App* slices = app.add_subcommand("slices", "the layers' cross-sections as SVG, in mm");
  addProjectOptions(slices, options);
  slices->add_option("--layer-height", options.layerHeight, "mm");
  slices->add_option("--svg", options.svg, "folder for one file a layer")->required();
  CLI::App* build = app.add_subcommand("build", "supports, lines, time and filament");
  addProjectOptions(build, options);
  build->add_flag("--remedies", options.remedies, "try the findings' remedies and say which help, at what cost");
  build->add_option("--gcode", options.gcode, "write G-code here");
  build->add_option("--project", options.project, "write the project here");
  build->add_option("--csv", options.csv, "write what each site, mark, prop and zone costs (CSV) here");
  build->add_option("--report", options.report, "write the report (JSON) here");
  const LearnCommands learning(app, options);
  CLI::App* trial = app.add_subcommand("trial", "what would print on air, from G-code alone");
  trial->add_option("FILE", options.file, "G-code of any program")->required();
  trial->add_option("--line-width", options.trial.lineWidth, "mm, where no comment says it")
      ->check(CLI::Range(0.05, 10.0));
  trial->add_option("--layer-height", options.trial.layerHeight, "mm, where no comment says it; else from the volume")
      ->check(CLI::Range(0.01, 5.0));
  trial
      ->add_option("--release", options.trial.release,
                   "mm below which support no longer carries; else one and a half layers")
      ->check(CLI::Range(0.0, 10.0));
  trial->add_option("--bridge", options.trial.bridgeLimit, "mm that lines span from anchor to anchor")
      ->check(CLI::Range(0.0, 1000.0));
  trial->add_option("--filament", options.trial.filamentDiameter, "mm of the filament's diameter")
      ->check(CLI::Range(0.5, 5.0));
  trial->add_flag("--json", options.json, "JSON on standard output");
  CLI::App* recover = app.add_subcommand("recover", "what a window that ended badly left behind");
  recover->require_subcommand(1);
  CLI::App* recoverList = recover->add_subcommand("list", "all that can be opened again");
  recoverList->add_flag("--json", options.json, "JSON on standard output");
  CLI::App* recoverOpen = recover->add_subcommand("open", "one of them, as a project");
  recoverOpen->add_option("ID", options.journal, "as the list says")->required();
  recoverOpen->add_option("--project", options.project, "write the project here")->required();
  CLI::App* convert = app.add_subcommand("convert", "a mesh or project written as .stl or .3mf");
  addProjectOptions(convert, options);
  convert->add_option("OUT", options.out, "where to write, .stl or .3mf")->required();
  convert->add_option("--what", options.what, "parts, supports or both; with supports, 3MF is no project")
      ->check(CLI::IsMember({"parts", "supports", "both", "layers"}));
  CLI::App* settings = app.add_subcommand("settings", "every setting: key, unit, range, default, help");
  settings->add_flag("--json", options.json, "JSON on standard output");
  CLI::App* sets = app.add_subcommand("sets", "every machine, filament and print: those that ship and your own");
  sets->add_flag("--json", options.json, "JSON on standard output");
  try {
    app.parse(argc, argv);
  } catch (const CLI::ParseError& error) {
    return app.exit(error) == 0 ? 0 : 2;
  }
  try {
    if (*inspect) runInspect(options);
    if (*sites) runSites(options);
    if (*slices) runSlices(options);
    if (*build) runBuild(options);
    if (const std::optional<int> code = learning.run()) return *code;
    if (*trial) runTrial(options);
    if (*convert) runConvert(options);
    if (*settings) listSettings(options.json);
    if (*sets) listSets(options.json);
    if (*recoverList) listJournals(options.json);
    if (*recoverOpen) openJournal(options.journal, options.project);
    return 0;
  } catch (const std::bad_alloc&) {
    fmt::print(stderr, "There is not enough memory for {}. Use a mesh with fewer facets or thicker layers.\n",
               options.file);
  } catch (const std::exception& error) {
    fmt::print(stderr, "{}\n", error.what());
  }
  return 1;
}
