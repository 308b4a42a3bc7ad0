// SPDX-License-Identifier: GPL-3.0-or-later
// The benchmark table: each row a ratio of two things timed in this one run, the median of a few rounds.
// Aims are those of docs/benchmarks.md; nothing here fails.
#include "core/assess/turnings.hpp"
#include "core/base/files.hpp"
#include "core/learn/sweep.hpp"
#include "core/marks/brush.hpp"
#include "core/mesh/stl.hpp"
#include "core/trial/trial_print.hpp"
#include "tests/package_mesh.hpp"
#include "tests/shapes.hpp"

#include <CGAL/AABB_halfedge_graph_segment_primitive.h>
#include <CGAL/AABB_traits.h>
#include <CGAL/AABB_tree.h>
#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_mesh_slicer.h>
#include <CGAL/Surface_mesh.h>
#include <assimp/postprocess.h>
#include <assimp/scene.h>
#include <fmt/format.h>
#include <tbb/global_control.h>
#include <assimp/Importer.hpp>

#include <chrono>
#include <functional>
#include <future>
#include <numeric>
#include <optional>
#include <random>
#include <set>
#include <string_view>
#include <thread>
#include <utility>

namespace {

using namespace trellis;
using namespace trellis::test;
using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using CgalMesh = CGAL::Surface_mesh<Kernel::Point_3>;

template <typename Work>
double seconds(int rounds, const Work& work) {
  std::vector<double> all;
  for (int i = 0; i < rounds; ++i) {
    const auto start = std::chrono::steady_clock::now();
    work();
    all.push_back(std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count());
  }
  std::sort(all.begin(), all.end());
  return all[all.size() / 2];
}

void row(const char* what, double ours, const char* against, double theirs, const char* aim) {
  fmt::print("{:<44}{:>10.1f} ms   {:<34}{:>10.1f} ms   {:>7.2f}×   {}\n", what, ours * 1e3, against, theirs * 1e3,
             theirs / ours, aim);
  std::fflush(stdout);
}

CgalMesh toCgal(const TriangleMesh& mesh) {
  CgalMesh result;
  for (const Vec3f& v : mesh.vertices) result.add_vertex({v.x(), v.y(), v.z()});
  for (const Facet& f : mesh.facets)
    result.add_face(CgalMesh::Vertex_index(f[0]), CgalMesh::Vertex_index(f[1]), CgalMesh::Vertex_index(f[2]));
  return result;
}

// Heights of count layers through a mesh.
std::vector<double> planes(const TriangleMesh& mesh, int count) {
  std::vector<double> heights;
  for (int i = 0; i < count; ++i) heights.push_back(mesh.bounds.max().z() * (i + 0.5) / count);
  return heights;
}

std::vector<Polygons> cgalSections(const CgalMesh& mesh, const std::vector<double>& heights) {
  CGAL::Polygon_mesh_slicer<CgalMesh, Kernel> slicer(mesh);
  std::vector<Polygons> sections;
  for (const double z : heights) {
    std::vector<std::vector<Kernel::Point_3>> lines;
    slicer(Kernel::Plane_3(0, 0, 1, -z), std::back_inserter(lines));
    Polygons& section = sections.emplace_back();
    for (const auto& line : lines) {
      Polygon& outline = section.emplace_back();
      for (const auto& p : line) outline.push_back(toPoint(p.x(), p.y()));
    }
  }
  return sections;
}

Polygons clipperUnion(const Polygons& a) {
  ClipperLib::Clipper clipper;
  clipper.AddPaths(a, ClipperLib::ptSubject, true);
  Polygons result;
  clipper.Execute(ClipperLib::ctUnion, result, ClipperLib::pftEvenOdd);
  return result;
}

// T₀: sections by CGAL, a Clipper union, one Clipper offset (arc tolerance 5 µm) and a difference per
// layer, on one thread.
double baseline(const CgalMesh& mesh, const std::vector<double>& heights) {
  return seconds(1, [&] {
    std::vector<Polygons> sections = cgalSections(mesh, heights);
    for (Polygons& section : sections) section = clipperUnion(section);
    for (std::size_t i = 1; i < sections.size(); ++i) {
      ClipperLib::ClipperOffset offset(2, 0.005 * unitsPerMm);
      offset.AddPaths(sections[i - 1], ClipperLib::jtRound, ClipperLib::etClosedPolygon);
      Polygons grown, hangs;
      offset.Execute(grown, 0.2 * unitsPerMm);
      ClipperLib::Clipper clipper;
      clipper.AddPaths(sections[i], ClipperLib::ptSubject, true);
      clipper.AddPaths(grown, ClipperLib::ptClip, true);
      clipper.Execute(ClipperLib::ctDifference, hangs, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    }
  });
}

void reading(const MeshPtr& million) {
  ScratchFolder folder;
  const std::string path = folder / "million.stl";
  writeFileAtomically(path, writeStl(*million));
  const double ours = seconds(3, [&] { readMeshFile(path, Progress()); });
  const double theirs = seconds(1, [&] {
    Assimp::Importer importer;
    importer.ReadFile(path, aiProcess_JoinIdenticalVertices);
  });
  row("read 1.2 M facets of binary STL, indexed", ours, "Assimp", theirs, "≥ 5×");
}

void dabs(const MeshPtr& small, const MeshPtr& large) {
  const auto dab = [](const MeshPtr& mesh) {
    const MeshTreePtr tree = treeOf(mesh);
    const auto hit = tree->firstHit(mesh->bounds.center() + Vec3(0, 0, 200), {0, 0, -1});
    const BallStroke stroke{{hit->point}, 3};
    return seconds(9, [&] { paint({mesh, tree}, Marks(), stroke, Mark::enforce, {}); });
  };
  const double few = dab(small), many = dab(large);
  row("a 3 mm dab at 1.2 M facets", many, fmt::format("the same at {} facets", small->facets.size()).c_str(), few,
      "≥ 0.5×");
}

void sections(const MeshPtr& bunny, const CgalMesh& reference) {
  const std::vector<double> heights = planes(*bunny, 500);
  const double theirs = seconds(1, [&] { cgalSections(reference, heights); });
  row("500 bare sections, 75 k facets", seconds(3, [&] { sliceBare(*bunny, heights, Progress()); }), "CGAL's slicer",
      theirs, "≥ 10×");
  const double nested = seconds(1, [&] {
    for (Polygons& section : cgalSections(reference, heights)) section = clipperUnion(section);
  });
  row("500 sections, closed and nested", seconds(3, [&] { slice(*bunny, heights, Progress()); }),
      "CGAL's slicer and a Clipper union", nested, "≥ 4×");
}

void turnings(const MeshPtr& bunny) {
  const double first = seconds(1, [&] { TurningSurvey(bunny, Vec3::Ones(), {45, 0.2}).candidates(10, Progress()); });
  row("first turnings, 75 k facets", first, "one second", 1, "≥ 1×");
}

void stages(const Build& build) {
  for (const auto& [stage, milliseconds] : build.milliseconds)
    fmt::print("      {:<24}{:>10.1f} ms\n", stage, milliseconds);
}

ProjectPtr inLayers(const MeshPtr& mesh, double height) {
  return projectOf(mesh, {{"layer.height", height}, {"layer.first", std::max(0.1, height)}});
}

// How a build grows with its mesh and its layers. A fifth of the layers, for a tenth would be thicker than can be
// printed.
void growth(const MeshPtr& bunny, const MeshPtr& large) {
  const auto took = [](const MeshPtr& mesh, double height) {
    const ProjectPtr project = inLayers(mesh, height);
    return seconds(1, [&] { build(project); });
  };
  const double few = took(bunny, 0.3), many = took(bunny, 0.06);
  row("whole build in 988 layers", many, "in 197, aim ×5.5", few, "≥ 0.18×");
  row("whole build of 1.2 M facets, 197 layers", took(large, 0.3), "of 75 k, aim for ×10: ×5", few, "≥ 0.2×");
}

void trees(const MeshPtr& bunny, const CgalMesh& reference) {
  ProjectPtr project = inLayers(bunny, std::floor(bunny->bounds.max().z() / 500 * 1e4) / 1e4);
  project = performed(*project, ChangeSetting{"support.structure", std::string("tree"), std::nullopt});
  const double base = baseline(reference, planes(*bunny, 500));
  BuildPtr built;
  Store store;
  const double whole = seconds(1, [&] { built = buildProject(store, project, Progress()); });
  row("whole build, automatic tree supports", whole, "T₀", base, "≥ 0.25×");
  stages(*built);
  const auto& sites = built->demand;
  const auto highest =
      std::max_element(sites.begin(), sites.end(), [](const auto& a, const auto& b) { return a->lowest < b->lowest; });
  const Vec2 middle = toMm((*highest)->layers.front().front().front());
  const Vec3 at(middle.x(), middle.y(), built->plan.spans[(*highest)->lowest].bottom);
  project = performed(*project, AddProp{0, at, 1.5});
  buildProject(store, project, Progress());
  project = performed(*project, ChangeProp{0, 0, Vec3(at + Vec3(1, 0, 0))});
  row("rebuild after a prop was dragged by 1 mm", seconds(1, [&] { built = buildProject(store, project, Progress()); }),
      "the whole build", whole, "≥ 10×");
  stages(*built);
}

// Against twice the time of parsing the same text, and half a microsecond a millimetre of bead.
void trials(const MeshPtr& bunny) {
  const std::string text = gcodeOf(inLayers(bunny, 0.2));
  GcodeMoves moves;
  const double parsing = seconds(3, [&] { moves = readGcode(text, Progress()); });
  double length = 0;
  const double whole = seconds(3, [&] {
    const TrialPrint trial = trialPrint(readGcode(text, Progress()), {}, Progress());
    length = std::accumulate(trial.length.begin(), trial.length.end(), 0.0);
  });
  fmt::print("trial print of {:.1f} MB, {:.0f} m of bead: parsing alone {:.0f} ms\n",
             static_cast<double>(text.size()) / 1e6, length / 1000, parsing * 1000);
  row("trial print", whole, "2 × parsing + 0.5 µs per mm of bead", 2 * parsing + 0.5e-6 * length, "≥ 1×");
}

// With a stroke of 3 mm that blocks where a site begins.
ProjectPtr struckAt(const Project& project, const Build& built, const DemandSite& site) {
  const Vec2 at = toMm(site.layers.front().front().front());
  LayMark stroke;
  stroke.mark = Mark::block;
  stroke.stroke = BallStroke{{Vec3(at.x(), at.y(), built.plan.spans[site.lowest].bottom)}, 1.5};
  return performed(project, stroke);
}

void builds(const MeshPtr& bunny, const CgalMesh& reference) {
  const ProjectPtr project = inLayers(bunny, std::floor(bunny->bounds.max().z() / 500 * 1e4) / 1e4);
  const double base = baseline(reference, planes(*bunny, 500));
  BuildPtr built;
  Store store;
  const double whole = seconds(1, [&] { built = buildProject(store, project, Progress()); });
  row("whole build, automatic normal supports", whole, "T₀", base, "≥ 0.33×");
  stages(*built);
  // A blocker on the underside that hangs highest.
  const auto& sites = built->demand;
  const auto highest =
      std::max_element(sites.begin(), sites.end(), [](const auto& a, const auto& b) { return a->lowest < b->lowest; });
  const ProjectPtr touched = struckAt(*project, *built, **highest);
  row("rebuild after a 3 mm stroke", seconds(1, [&] { built = buildProject(store, touched, Progress()); }),
      "the whole build", whole, "≥ 10×");
  stages(*built);
  const double two = seconds(1, [&] { build(project); });
  const tbb::global_control one(tbb::global_control::max_allowed_parallelism, 1);
  row("whole build on every thread", two, "on one", seconds(1, [&] { build(project); }), "≥ 1.7× on two");
}

// Builds the project in a store of its own; until() says after how many seconds what runs is given up and asked for
// again, none when it is left to its end. How long whoever gave up waited to be free is added to waits.
void buildGivingUp(const ProjectPtr& project, const std::function<std::optional<double>()>& until,
                   std::vector<double>& waits) {
  Store store;
  for (bool isBuilt = false; !isBuilt;) {
    Progress progress;
    auto run = std::async(std::launch::async, [&] {
      try {
        buildProject(store, project, progress);
        return true;
      } catch (const Cancelled&) {
        return false;
      }
    });
    const std::optional<double> moment = until();
    if (moment && run.wait_for(std::chrono::duration<double>(*moment)) != std::future_status::ready)
      waits.push_back(seconds(1, [&] {
        progress.cancel();
        run.wait();
      }));
    isBuilt = run.get();
  }
}

// Given up at random moments, from the first to the last, and asked for again each time: how long whoever asked waits
// to be free, and what the whole then takes beside a build that nobody disturbs.
void givingUp(const MeshPtr& large) {
  constexpr std::size_t moments = 200;
  const ProjectPtr project = inLayers(large, 0.3);
  std::mt19937 chance(5);
  std::vector<double> waits, undisturbed, once, often;
  for (int round = 0; round < 9; ++round) {
    undisturbed.push_back(seconds(1, [&] { build(project); }));
    bool wasGivenUp = false;
    const double moment = undisturbed.back() * (round + 0.5) / 9;
    once.push_back(seconds(1, [&] {
      const auto until = [&] { return std::exchange(wasGivenUp, true) ? std::nullopt : std::optional(moment); };
      buildGivingUp(project, until, waits);
    }));
  }
  const auto middle = [](std::vector<double>& times) {
    std::sort(times.begin(), times.end());
    return times[times.size() / 2];
  };
  const double whole = middle(undisturbed);
  row("a build given up once and resumed", middle(once), "undisturbed", whole, "≥ 0.87×");
  while (waits.size() < moments)
    often.push_back(seconds(1, [&] {
      // A tenth of the whole between two of them, so that each lasts a while.
      std::size_t times = 0;
      std::uniform_real_distribution<double> moment(0, whole / 5);
      const auto until = [&] { return ++times > 30 ? std::nullopt : std::optional(moment(chance)); };
      buildGivingUp(project, until, waits);
    }));
  row("a build given up about ten times and resumed", middle(often), "undisturbed", whole, "≥ 0.87×");
  std::sort(waits.begin(), waits.end());
  fmt::print("giving up 1.2 M facets {} times: half within {:.1f} ms, nine of ten within {:.1f} ms\n", waits.size(),
             waits[waits.size() / 2] * 1e3, waits[waits.size() * 9 / 10] * 1e3);
  row("giving up, the longest wait", waits.back(), "the bound", 0.05, "≥ 1×");
}

// What a stroke's build takes while a sweep of the same project goes on, as in the window: the stroke gives up the
// combination that is being built.
void besideASweep() {
  const ProjectPtr project = projectOf(demoPart("snail"));
  const SweepSpec spec{{axisFromText("support.gap.above=0.16,0.2,0.28"), axisFromText("support.free_lean=40,50,60"),
                        axisFromText("support.structure=normal,tree")},
                       {}};
  const std::vector<Combination> all = combinationsOf(*project, spec);
  const BuildPtr built = build(project);
  const auto middleOf = [&](bool sweeping) {
    Store store;
    buildProject(store, project, Progress());
    std::size_t next = 0;
    std::vector<double> times;
    for (const DemandSitePtr& site : built->demand) {
      const ProjectPtr stroke = struckAt(*project, *built, *site);
      Progress progress;
      std::future<void> sweep;
      if (sweeping)
        sweep = std::async(std::launch::async, [&] {
          try {
            for (; next < all.size(); ++next) builtOf(store, *project, all[next], {}, progress);
          } catch (const Cancelled&) {
          }
        });
      std::this_thread::sleep_for(std::chrono::milliseconds(700));
      times.push_back(seconds(1, [&] {
        progress.cancel();
        buildProject(store, stroke, Progress());
      }));
      if (sweeping) sweep.get();
    }
    std::sort(times.begin(), times.end());
    return times[times.size() / 2];
  };
  const double alone = middleOf(false);
  row("a stroke beside a sweep", middleOf(true), "without one", alone, "≥ 0.67×");
}

}  // namespace

// Without words every row; else the groups that are named.
int main(int count, char** words) {
  const std::set<std::string_view> asked(words + 1, words + count);
  const MeshPtr bunny = packageMesh("bunny00");
  const CgalMesh reference = toCgal(*bunny);
  const MeshPtr large = refined(*refined(*bunny));
  const std::vector<std::pair<std::string_view, std::function<void()>>> groups{
      {"reading", [&] { reading(large); }},
      {"dabs",
       [&] {
         dabs(sphere({0, 0, 30}, 30, 72, 72), large);
       }},
      {"sections", [&] { sections(bunny, reference); }},
      {"turnings", [&] { turnings(bunny); }},
      {"builds", [&] { builds(bunny, reference); }},
      {"trees", [&] { trees(bunny, reference); }},
      {"trials", [&] { trials(bunny); }},
      {"growth", [&] { growth(bunny, large); }},
      {"giving-up", [&] { givingUp(large); }},
      {"beside-a-sweep", [&] { besideASweep(); }}};
  fmt::print("{:<44}{:>13}   {:<34}{:>13}   {:>8}   aim\n", "what", "ours", "against", "theirs", "ratio");
  for (const auto& [name, rows] : groups)
    if (asked.empty() || asked.contains(name)) rows();
  return 0;
}
