// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/mesh/mend.hpp"

#include "core/base/error.hpp"
#include "core/mesh/shells.hpp"

#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_mesh_processing/border.h>
#include <CGAL/Polygon_mesh_processing/orient_polygon_soup.h>
#include <CGAL/Polygon_mesh_processing/polygon_soup_to_polygon_mesh.h>
#include <CGAL/Polygon_mesh_processing/repair_polygon_soup.h>
#include <CGAL/Polygon_mesh_processing/stitch_borders.h>
#include <CGAL/Polygon_mesh_processing/triangulate_hole.h>
#include <CGAL/Surface_mesh.h>
#include <CGAL/alpha_wrap_3.h>

#include <algorithm>
#include <set>

namespace trellis {

namespace {

namespace processing = CGAL::Polygon_mesh_processing;
using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
using Point3 = Kernel::Point_3;
using Surface = CGAL::Surface_mesh<Point3>;

constexpr double wrapShare = 1.0 / 150;  // of the diagonal: the smallest hole a wrap still enters
constexpr double wrapDistance = 0.1;     // mm, at most, from the old surface to the new

struct Soup {
  std::vector<Point3> points;
  std::vector<std::vector<std::size_t>> facets;
};

Soup soupOf(const TriangleMesh& mesh, const std::vector<bool>& leftOut) {
  Soup soup;
  for (const Vec3f& v : mesh.vertices) soup.points.emplace_back(v.x(), v.y(), v.z());
  for (std::size_t f = 0; f < mesh.facets.size(); ++f)
    if (!leftOut[f]) soup.facets.push_back({mesh.facets[f][0], mesh.facets[f][1], mesh.facets[f][2]});
  return soup;
}

MeshPtr meshOf(const Surface& surface) {
  std::vector<Vec3f> corners;
  for (const auto face : surface.faces())
    for (const auto vertex : CGAL::vertices_around_face(surface.halfedge(face), surface)) {
      const Point3& p = surface.point(vertex);
      corners.push_back(Vec3(p.x(), p.y(), p.z()).cast<float>());
    }
  return meshFromCorners(corners);
}

Sentence counted(std::size_t count, const Sentence& one, const Sentence& many) { return count == 1 ? one : many; }

class Mender {
 public:
  Mender(const TriangleMesh& mesh, const Progress& progress) : mesh_(mesh), progress_(progress) {}

  Mended repair() {
    std::vector<bool> leftOut(mesh_.facets.size(), false);
    dropSpecks(leftOut);
    Soup soup = soupOf(mesh_, leftOut);
    const std::size_t before = soup.facets.size();
    processing::repair_polygon_soup(soup.points, soup.facets);
    if (const std::size_t dropped = before - std::min(before, soup.facets.size()); dropped > 0)
      result_.done.push_back(
          counted(dropped, say("dropped 1 doubled or flat facet"), say("dropped {} doubled or flat facets", dropped)));
    progress_.check();
    processing::orient_polygon_soup(soup.points, soup.facets);
    Surface surface;
    processing::polygon_soup_to_polygon_mesh(soup.points, soup.facets, surface);
    if (const std::size_t joined = processing::stitch_borders(surface))
      result_.done.push_back(counted(joined, say("joined 1 seam edge"), say("joined {} seam edges", joined)));
    fillHoles(surface);
    turnOutward(meshOf(surface));
    return finished();
  }

  Mended wrap() {
    const Soup soup = soupOf(mesh_, std::vector<bool>(mesh_.facets.size(), false));
    const double alpha = mesh_.bounds.sizes().norm() * wrapShare;
    Surface surface;
    CGAL::alpha_wrap_3(soup.points, soup.facets, alpha, std::min(wrapDistance, alpha / 10), surface);
    result_.mesh = meshOf(surface);
    result_.done.push_back(say("wrapped everything in a new skin"));
    return finished();
  }

 private:
  void dropSpecks(std::vector<bool>& leftOut) {
    std::size_t count = 0;
    for (const Shell& shell : findShells(mesh_, findTopology(mesh_))) {
      if (!isSpeck(shell.box, mesh_.bounds)) continue;
      ++count;
      for (const std::uint32_t f : shell.facets) leftOut[f] = true;
    }
    if (count > 0)
      result_.done.push_back(counted(count, say("dropped 1 stray speck"), say("dropped {} stray specks", count)));
  }

  void fillHoles(Surface& surface) {
    std::vector<Surface::Halfedge_index> borders;
    processing::extract_boundary_cycles(surface, std::back_inserter(borders));
    std::size_t filled = 0;
    for (const auto border : borders) {
      progress_.check();
      std::vector<Surface::Face_index> facets;
      processing::triangulate_hole(surface, border, std::back_inserter(facets));
      filled += !facets.empty();
    }
    if (filled > 0) result_.done.push_back(counted(filled, say("filled 1 hole"), say("filled {} holes", filled)));
  }

  // Repairing may have turned whole shells; which way is out is decided here, by what they enclose.
  void turnOutward(const MeshPtr& mesh) {
    std::vector<Facet> facets = mesh->facets;
    for (const Shell& shell : findShells(*mesh, findTopology(*mesh)))
      for (const std::uint32_t f : shell.flipped) std::swap(facets[f][1], facets[f][2]);
    std::size_t flippedBefore = 0;
    for (const Shell& shell : findShells(mesh_, findTopology(mesh_))) flippedBefore += shell.flipped.size();
    if (flippedBefore > 0)
      result_.done.push_back(counted(flippedBefore, say("turned 1 facet"), say("turned {} facets", flippedBefore)));
    result_.mesh = makeMesh(mesh->vertices, std::move(facets));
  }

  Mended finished() {
    if (result_.mesh->facets.empty())
      throw Error(say("Nothing would be left of this mesh. Export it again from where it was drawn."));
    const auto key = [](const TriangleMesh& mesh, std::size_t f) {
      std::array<std::array<float, 3>, 3> corners;
      for (std::size_t k = 0; k < 3; ++k) {
        const Vec3f& v = mesh.vertices[mesh.facets[f][k]];
        corners[k] = {v.x(), v.y(), v.z()};
      }
      std::sort(corners.begin(), corners.end());
      return corners;
    };
    std::set<std::array<std::array<float, 3>, 3>> known;
    for (std::size_t f = 0; f < mesh_.facets.size(); ++f) known.insert(key(mesh_, f));
    for (std::uint32_t f = 0; f < result_.mesh->facets.size(); ++f)
      if (!known.count(key(*result_.mesh, f))) result_.fresh.push_back(f);
    result_.left = examine(*result_.mesh, progress_);
    return std::move(result_);
  }

  const TriangleMesh& mesh_;
  const Progress& progress_;
  Mended result_;
};

}  // namespace

Mended mend(const TriangleMesh& mesh, MendBy way, const Progress& progress) {
  Mender mender(mesh, progress);
  return way == MendBy::repair ? mender.repair() : mender.wrap();
}

}  // namespace trellis
