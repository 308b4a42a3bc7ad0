// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/shapes.hpp"

#include "core/results/build_project.hpp"
#include "core/results/gcode_text.hpp"

#include <sys/wait.h>

#include <array>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <filesystem>

namespace trellis::test {

namespace {

using Corners3 = std::vector<Vec3f>;

void addQuad(Corners3& out, const Vec3& a, const Vec3& b, const Vec3& c, const Vec3& d) {
  for (const Vec3& p : {a, b, c, a, c, d}) out.push_back(p.cast<float>());
}

// A surface of revolution about the z axis through (0, 0): (radius, z) pairs from bottom to top.
MeshPtr revolved(const std::vector<Vec2>& profile, int segments) {
  Corners3 corners;
  const auto at = [&](std::size_t i, int s) {
    const double angle = 2 * pi * (s % segments) / segments;
    return Vec3(profile[i].x() * std::cos(angle), profile[i].x() * std::sin(angle), profile[i].y());
  };
  for (std::size_t i = 0; i + 1 < profile.size(); ++i)
    for (int s = 0; s < segments; ++s) addQuad(corners, at(i, s), at(i, s + 1), at(i + 1, s + 1), at(i + 1, s));
  return meshFromCorners(corners);
}

}  // namespace

MeshPtr box(const Vec3& low, const Vec3& high) {
  const auto p = [&](int x, int y, int z) {
    return Vec3(x ? high.x() : low.x(), y ? high.y() : low.y(), z ? high.z() : low.z());
  };
  Corners3 corners;
  addQuad(corners, p(0, 0, 0), p(0, 1, 0), p(1, 1, 0), p(1, 0, 0));
  addQuad(corners, p(0, 0, 1), p(1, 0, 1), p(1, 1, 1), p(0, 1, 1));
  addQuad(corners, p(0, 0, 0), p(1, 0, 0), p(1, 0, 1), p(0, 0, 1));
  addQuad(corners, p(1, 1, 0), p(0, 1, 0), p(0, 1, 1), p(1, 1, 1));
  addQuad(corners, p(1, 0, 0), p(1, 1, 0), p(1, 1, 1), p(1, 0, 1));
  addQuad(corners, p(0, 1, 0), p(0, 0, 0), p(0, 0, 1), p(0, 1, 1));
  return meshFromCorners(corners);
}

MeshPtr blocks(const std::vector<double>& x, const std::vector<double>& y, const std::vector<double>& z,
               const std::function<bool(int, int, int)>& filled) {
  const std::array<const std::vector<double>*, 3> planes{&x, &y, &z};
  const auto count = [&](int axis) { return static_cast<int>(planes[static_cast<std::size_t>(axis)]->size()) - 1; };
  const auto isFull = [&](const std::array<int, 3>& c) {
    for (int axis = 0; axis < 3; ++axis)
      if (c[static_cast<std::size_t>(axis)] < 0 || c[static_cast<std::size_t>(axis)] >= count(axis)) return false;
    return filled(c[0], c[1], c[2]);
  };
  std::vector<Vec3f> corners;
  const auto corner = [&](std::array<int, 3> at) {
    return Vec3(x[static_cast<std::size_t>(at[0])], y[static_cast<std::size_t>(at[1])],
                z[static_cast<std::size_t>(at[2])])
        .cast<float>()
        .eval();
  };
  for (int i = 0; i < count(0); ++i)
    for (int j = 0; j < count(1); ++j)
      for (int k = 0; k < count(2); ++k) {
        if (!isFull({i, j, k})) continue;
        for (std::size_t axis = 0; axis < 3; ++axis)
          for (const int side : {0, 1}) {
            std::array<int, 3> next{i, j, k}, low{i, j, k};
            next[axis] += side ? 1 : -1;
            if (isFull(next)) continue;
            low[axis] += side;
            const std::size_t u = (axis + 1) % 3, v = (axis + 2) % 3;
            std::array<int, 3> b = low, c = low, d = low;
            ++b[u], ++c[u], ++c[v], ++d[v];
            for (const auto& p : side ? std::vector{low, b, c, low, c, d} : std::vector{low, c, b, low, d, c})
              corners.push_back(corner(p));
          }
      }
  return meshFromCorners(corners);
}

MeshPtr together(const std::vector<MeshPtr>& meshes) {
  std::vector<Vec3f> vertices;
  std::vector<Facet> facets;
  for (const MeshPtr& mesh : meshes) {
    const auto offset = static_cast<std::uint32_t>(vertices.size());
    vertices.insert(vertices.end(), mesh->vertices.begin(), mesh->vertices.end());
    for (const Facet& f : mesh->facets) facets.push_back({f[0] + offset, f[1] + offset, f[2] + offset});
  }
  return makeMesh(std::move(vertices), std::move(facets));
}

MeshPtr sphere(const Vec3& centre, double radius, int rings, int segments) {
  std::vector<Vec2> profile;
  for (int i = 0; i <= rings; ++i) {
    const double angle = pi * i / rings;
    profile.push_back({i == 0 || i == rings ? 0.0 : radius * std::sin(angle), -radius * std::cos(angle)});
  }
  return transformed(*revolved(profile, segments), Affine(Eigen::Translation3d(centre)));
}

MeshPtr flaringCone(double r, double lean, double h, int segments) {
  const double top = r + h * std::tan(toRadians(lean));
  return revolved({{0, 0}, {r, 0}, {top, h}, {0, h}}, segments);
}

MeshPtr threeCeilings() {
  const auto bar = [](double x, double z) { return box({x, 0, z}, {x + 12.5, 20, z + 4}); };
  return together({box({0, 0, 0}, {60, 5, 24}), bar(4, 7.13), bar(22, 11.37), bar(40, 15.91)});
}

MeshPtr table(double size, double z, double thickness) {
  const double middle = size / 2;
  return together({box({middle - 2, middle - 2, 0}, {middle + 2, middle + 2, z + 0.5}),
                   box({0, 0, z}, {size, size, z + thickness})});
}

MeshPtr twoTriangleSquare(double size) {
  return makeMesh({{0, 0, 0},
                   {static_cast<float>(size), 0, 0},
                   {static_cast<float>(size), static_cast<float>(size), 0},
                   {0, static_cast<float>(size), 0}},
                  {{0, 2, 1}, {0, 3, 2}});
}

MeshPtr shelf() { return together({box({0, 0, 0}, {4, 20, 14}), box({4, 0, 12}, {24, 20, 14})}); }

ProjectPtr projectOf(const MeshPtr& mesh, const std::vector<std::pair<std::string, nlohmann::json>>& settings) {
  auto project = std::make_shared<Project>();
  for (const auto& [key, value] : settings) project->settings.set(key, settingFrom(key, value));
  Part part{"part", mesh, {}};
  part.placement.position = mesh->bounds.center() + Vec3(50, 50, 0);
  project->parts.push_back(std::make_shared<const Part>(std::move(part)));
  return project;
}

Operation keepClean(const Vec3& at) {
  LayMark lay{0, Mark::block, FaceStroke{at, 20}};
  lay.coat = Coat::clean;
  return lay;
}

Vec3 onPlate(const Project& project, const Vec3& mesh) {
  return transformOf(project.parts[0]->placement, *project.parts[0]->mesh) * mesh;
}

ProjectPtr after(ProjectPtr project, const std::vector<Operation>& operations) {
  for (const Operation& operation : operations) project = performed(*project, operation);
  return project;
}

BuildPtr build(const ProjectPtr& project) {
  Store store;
  return buildProject(store, project, Progress());
}

std::shared_ptr<const Supports> supportsOf(const ProjectPtr& project) {
  Store store;
  Progress progress;
  std::shared_ptr<const Supports> found;
  const auto take = [&](const std::shared_ptr<const Supports>& supports) {
    found = supports;
    progress.cancel();
  };
  try {
    buildProject(store, project, progress, {{}, take});
  } catch (const Cancelled&) {  // what comes after is not asked for
  }
  return found;
}

std::string gcodeOf(const ProjectPtr& project) { return gcodeOf(*project, *build(project), Progress()); }

std::map<long, double> supportAreas(const Build& build) {
  std::map<long, double> areas;
  for (const SupportLayer& layer : build.support->layers)
    for (const PieceRegion& region : layer.regions) areas[std::lround(layer.top * 1000)] += area(region.area);
  return areas;
}

ScratchFolder::ScratchFolder() {
  std::string name = std::filesystem::temp_directory_path() / "trellis-XXXXXX";
  path_ = ::mkdtemp(name.data());
}

ScratchFolder::~ScratchFolder() {
  std::error_code ignored;
  std::filesystem::remove_all(path_, ignored);
}

int rounds(int standard) {
  const char* asked = std::getenv("TRELLIS_ROUNDS");
  return asked ? std::atoi(asked) : standard;
}

CliRun cli(const std::string& arguments) {
  CliRun run{-1, ""};
  FILE* pipe = ::popen((std::string(TRELLIS_CLI) + " " + arguments + " 2>&1").c_str(), "r");
  std::array<char, 4096> buffer{};
  while (const std::size_t got = std::fread(buffer.data(), 1, buffer.size(), pipe)) run.text.append(buffer.data(), got);
  const int status = ::pclose(pipe);
  run.code = WIFEXITED(status) ? WEXITSTATUS(status) : 128;
  return run;
}

}  // namespace trellis::test
