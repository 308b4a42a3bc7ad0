// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/estimate.hpp"

#include <unistd.h>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr std::size_t sampled = 20'000;  // facets of each part
constexpr double bytesPerCut = 900;      // of a facet by a layer: outlines of every step, and lines
constexpr double bytesPerFacet = 260;    // mesh, placed mesh, ray tree, neighbours
constexpr double bytesPerLayer = 4'000;  // of a part
constexpr double secondsPerCut = 1.2e-5;

}  // namespace

BuildEstimate estimateBuild(const Project& project) {
  BuildEstimate estimate;
  const double height = project.settings.number("layer.height");
  double cuts = 0, layers = 0;
  for (const PartPtr& part : project.parts) {
    const TriangleMesh& mesh = *part->mesh;
    const Affine placed = transformOf(part->placement, mesh);
    const std::size_t step = std::max<std::size_t>(1, mesh.facets.size() / sampled);
    double found = 0, low = 1e300, high = -1e300;
    for (std::size_t f = 0; f < mesh.facets.size(); f += step) {
      const auto corners = mesh.corners(f);
      double bottom = 1e300, top = -1e300;
      for (const Vec3& corner : corners) {
        const double z = (placed * corner).z();
        bottom = std::min(bottom, z);
        top = std::max(top, z);
      }
      found += (top - bottom) / height;
      low = std::min(low, bottom);
      high = std::max(high, top);
    }
    if (high < low) continue;
    cuts += found * static_cast<double>(step);
    layers += std::max(0.0, high) / height;
    estimate.layers = std::max(estimate.layers, static_cast<std::size_t>(std::max(0.0, high) / height));
    estimate.facets += mesh.facets.size();
  }
  estimate.bytes = cuts * bytesPerCut + static_cast<double>(estimate.facets) * bytesPerFacet + layers * bytesPerLayer;
  estimate.seconds = cuts * secondsPerCut;
  return estimate;
}

void checkFits(const Project& project, double memory) {
  const BuildEstimate estimate = estimateBuild(project);
  if (estimate.bytes <= memory) return;
  constexpr double gigabyte = 1e9;
  throw Error(
      say("This print has {} layers over {} facets and would take about {:.1f} GB of memory and {:.0f} min; "
          "this machine has "
          "{:.1f} GB. Make the layers thicker, take fewer parts, or a mesh with fewer facets.",
          estimate.layers, estimate.facets, estimate.bytes / gigabyte, std::ceil(estimate.seconds / 60),
          memory / gigabyte));
}

double machineMemory() {
  return static_cast<double>(::sysconf(_SC_PHYS_PAGES)) * static_cast<double>(::sysconf(_SC_PAGE_SIZE));
}

}  // namespace trellis
