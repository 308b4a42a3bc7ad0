// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/trial/starts.hpp"

#include "core/base/disjoint_sets.hpp"

#include <algorithm>
#include <cmath>
#include <unordered_map>

namespace trellis {

namespace {

constexpr double pace = 0.2;   // mm between places along a bead
constexpr double near = 0.07;  // mm between flanks of beads that still stick together

struct Place {
  Vec2 at;
  std::size_t bead;
};

// Which beads touch, by places on their middles in squares as large as the widest bead.
DisjointSets touching(const std::vector<LaidBead>& layer) {
  double square = pace;
  for (const LaidBead& bead : layer) square = std::max(square, bead.path->width + near);
  std::unordered_map<std::int64_t, std::vector<Place>> squares;
  const auto keyOf = [](std::int64_t x, std::int64_t y) { return x * 0x100000000 + y; };
  const auto cell = [&](double value) { return static_cast<std::int64_t>(std::floor(value / square)); };
  DisjointSets sets(layer.size());
  for (std::size_t i = 0; i < layer.size(); ++i) {
    const BeadPath& path = *layer[i].path;
    const int count = std::max(1, static_cast<int>(std::ceil(path.length() / pace)));
    for (int k = 0; k <= count; ++k) {
      const Vec2 p = path.at(path.length() * k / count).head<2>();
      const std::int64_t x = cell(p.x()), y = cell(p.y());
      for (std::int64_t dx = -1; dx <= 1; ++dx)
        for (std::int64_t dy = -1; dy <= 1; ++dy)
          if (const auto found = squares.find(keyOf(x + dx, y + dy)); found != squares.end())
            for (const Place& other : found->second)
              if ((other.at - p).norm() <= (path.width + layer[other.bead].path->width) / 2 + near)
                sets.join(i, other.bead);
      squares[keyOf(x, y)].push_back({p, i});
    }
  }
  return sets;
}

}  // namespace

std::vector<TrialStart> startsAmong(const std::vector<LaidBead>& layer, int number) {
  if (std::all_of(layer.begin(), layer.end(), [](const LaidBead& bead) { return bead.touches; })) return {};
  DisjointSets sets = touching(layer);
  std::vector<bool> held(layer.size(), false);
  for (std::size_t i = 0; i < layer.size(); ++i)
    if (layer[i].touches) held[sets.find(i)] = true;
  std::vector<TrialStart> starts;
  std::unordered_map<std::size_t, std::size_t> startOf;
  for (std::size_t i = 0; i < layer.size(); ++i) {
    const std::size_t set = sets.find(i);
    if (held[set]) continue;
    const BeadPath& path = *layer[i].path;
    const auto [found, isNew] = startOf.try_emplace(set, starts.size());
    if (isNew) starts.push_back({Vec3::Zero(), number, 0, path.lines.front()});
    TrialStart& start = starts[found->second];
    Vec3 sum = Vec3::Zero();
    for (std::size_t k = 1; k < path.points.size(); ++k)
      sum += (path.points[k] + path.points[k - 1]) / 2 * (path.along[k] - path.along[k - 1]);
    start.at += sum - Vec3(0, 0, path.height * path.length());
    start.length += path.length();
  }
  for (TrialStart& start : starts) start.at /= start.length;
  return starts;
}

}  // namespace trellis
