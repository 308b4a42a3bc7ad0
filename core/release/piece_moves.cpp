// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/piece_moves.hpp"

#include <algorithm>
#include <cmath>
#include <map>

namespace trellis {

namespace {

constexpr double atLeast = 1.0;          // mm of height that a bit has
constexpr double together = 0.5;         // mm a bit has gone before another counts as in its way: they stood together
constexpr double pace = 0.5;             // mm between places where that is asked
constexpr std::size_t fewSamples = 200;  // that are asked

// mm² of outline in each layer of a piece, by the layer's bottom.
std::map<double, double> sectionsOf(const SupportLayers& layers, std::size_t piece) {
  std::map<double, double> sections;
  for (const SupportLayer& layer : layers.layers)
    for (const PieceRegion& region : layer.regions)
      if (region.piece == piece) sections[layer.bottom] += area(region.area);
  return sections;
}

// The thinnest section between two heights, as height and mm²; of equal ones the lowest.
std::optional<std::pair<double, double>> thinnest(const std::map<double, double>& sections, double low, double high) {
  std::optional<std::pair<double, double>> found;
  for (auto section = sections.lower_bound(low); section != sections.end() && section->first <= high; ++section)
    if (!found || section->second < found->second) found = *section;
  return found;
}

Bit bitOf(std::size_t piece, double low, double high, const std::vector<Vec3>& samples) {
  Bit bit{piece, low, high, 0, {}, {}, {}};
  for (const Vec3& p : samples)
    if (p.z() >= low && p.z() <= high) {
      bit.samples.push_back(p);
      bit.box.extend(p);
    }
  return bit;
}

// Points on a bit's outlines, as close together as their number allows: what a way is proven with that was found with
// few.
std::vector<Vec3> closeSamples(const SupportLayers& layers, const Bit& bit) {
  constexpr double inset = 0.02, closest = 0.25, most = 60'000;  // mm, mm, points
  double rim = 0;
  const auto forRegions = [&](const auto& visit) {
    for (const SupportLayer& layer : layers.layers)
      if (const double z = (layer.bottom + layer.top) / 2; z >= bit.low && z <= bit.high)
        for (const PieceRegion& region : layer.regions)
          if (region.piece == bit.piece) visit(region.area, z);
  };
  forRegions([&](const Polygons& area, double) { rim += rimOf(area); });
  const double apart = std::max(closest, rim / most);
  std::vector<Vec3> samples;
  forRegions([&](const Polygons& area, double z) {
    for (const Polygon& outline : grow(area, -inset))
      for (std::size_t i = 0; i < outline.size(); ++i) {
        const Vec2 a = toMm(outline[i]), b = toMm(outline[(i + 1) % outline.size()]);
        const int count = std::max(1, static_cast<int>(std::ceil((b - a).norm() / apart)));
        for (int k = 0; k < count; ++k) {
          const Vec2 at = a + (b - a) * k / count;
          samples.emplace_back(at.x(), at.y(), z);
        }
      }
  });
  return samples;
}

void findPaths(const SupportLayers& layers, Bit& bit, const std::vector<Solid>& solids, double distance) {
  if (bit.samples.empty()) return;
  const ExtractionPath best = extractionPathOf(bit.samples, solids);
  bit.paths = pulls(bit.samples, solids, best, distance);
  const std::vector<Vec3> close = closeSamples(layers, bit);
  const auto prove = [&] {
    std::erase_if(bit.paths, [&](const HandPath& path) { return isStopped(close, path, solids); });
  };
  prove();
  if (!bit.paths.empty()) return;
  if (auto path = turnOut(bit.samples, solids, distance)) bit.paths.push_back(std::move(*path));
  prove();
}

std::vector<Bit> broken(const SupportLayers& layers, std::size_t piece, const std::vector<Vec3>& samples, int count) {
  const double low = layers.pieces[piece].lowest, high = layers.pieces[piece].highest;
  const std::map<double, double> sections = sectionsOf(layers, piece);
  std::vector<std::pair<double, double>> cuts;
  for (int k = 1; k < count; ++k) {
    const double middle = low + (high - low) * k / count, around = (high - low) / count * 0.45;
    const auto cut =
        thinnest(sections, std::max(middle - around, low + atLeast), std::min(middle + around, high - atLeast));
    if (cut && (cuts.empty() || cut->first - cuts.back().first >= atLeast)) cuts.push_back(*cut);
  }
  std::vector<Bit> bits;
  for (std::size_t k = 0; k <= cuts.size(); ++k) {
    bits.push_back(bitOf(piece, k == 0 ? low : cuts[k - 1].first, k == cuts.size() ? high : cuts[k].first, samples));
    if (k > 0) bits.back().neck = cuts[k - 1].second;
    if (bits.back().samples.empty()) bits.pop_back();
  }
  return bits;
}

}  // namespace

std::vector<Bit> wholeMoves(const SupportLayers& layers, std::size_t piece, const std::vector<Solid>& solids,
                            double distance) {
  const Piece& whole = layers.pieces[piece];
  std::vector<Bit> bits{bitOf(piece, whole.lowest, whole.highest, samplesOf(layers, piece))};
  findPaths(layers, bits.front(), solids, distance);
  return bits;
}

std::vector<Bit> bitMoves(const SupportLayers& layers, std::size_t piece, const std::vector<Solid>& solids,
                          double distance) {
  const std::vector<Vec3> samples = samplesOf(layers, piece);
  std::vector<Bit> bits;
  for (const int count : {2, 4}) {
    bits = broken(layers, piece, samples, count);
    for (Bit& bit : bits) findPaths(layers, bit, solids, distance);
    if (std::none_of(bits.begin(), bits.end(), [](const Bit& bit) { return bit.paths.empty(); })) break;
  }
  return bits;
}

StandingBits::StandingBits(const SupportLayers& layers) : slabs_(layers.pieces.size()) {
  for (const SupportLayer& layer : layers.layers)
    for (const PieceRegion& region : layer.regions)
      slabs_[region.piece].push_back({layer.bottom, layer.top, &region.area, boundsOf(region.area)});
  for (auto& slabs : slabs_)
    std::stable_sort(slabs.begin(), slabs.end(), [](const Slab& a, const Slab& b) { return a.bottom < b.bottom; });
}

bool StandingBits::holds(const Bit& bit, const Vec3& place) const {
  if (place.z() < bit.low || place.z() > bit.high) return false;
  const auto& slabs = slabs_[bit.piece];
  const auto first = std::partition_point(
      slabs.begin(), slabs.end(), [&](const Slab& slab) { return slab.bottom < place.z() - 1; });  // none is thicker
  for (auto slab = first; slab != slabs.end() && slab->bottom <= place.z(); ++slab)
    if (slab->top >= place.z() && slab->box.contains(Vec2(place.head<2>())) &&
        contains(*slab->area, toPoint(place.x(), place.y())))
      return true;
  return false;
}

bool StandingBits::blocks(const Bit& other, const Bit& moving, const HandPath& path) const {
  for (std::size_t k = 0; k + 1 < path.poses.size(); ++k)
    for (std::size_t i = 0; i < std::min(moving.samples.size(), fewSamples); ++i) {
      const Vec3 &p = moving.samples[i], from = path.poses[k] * p, way = path.poses[k + 1] * p - from;
      // Where along its way it is within the other's bounds.
      double enters = 0, leaves = 1;
      for (int axis = 0; axis < 3; ++axis) {
        if (std::abs(way[axis]) < 1e-9) {
          if (from[axis] < other.box.min()[axis] || from[axis] > other.box.max()[axis]) leaves = -1;
          continue;
        }
        const double a = (other.box.min()[axis] - from[axis]) / way[axis],
                     b = (other.box.max()[axis] - from[axis]) / way[axis];
        enters = std::max(enters, std::min(a, b));
        leaves = std::min(leaves, std::max(a, b));
      }
      const double step = pace / std::max(pace, way.norm());
      for (double t = enters; t <= leaves; t += step)
        if (const Vec3 place = from + t * way; (place - p).norm() > together && holds(other, place)) return true;
    }
  return false;
}

}  // namespace trellis
