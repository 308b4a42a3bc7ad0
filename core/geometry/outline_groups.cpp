// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/geometry/outline_groups.hpp"

#include "core/base/disjoint_sets.hpp"
#include "core/geometry/edge_cells.hpp"

#include <cstdlib>

namespace trellis {

namespace {

constexpr std::size_t none = ~std::size_t{0};
constexpr double frameAway = 10'000;  // units

// Whether both ends of one edge lie farther away than near on the same side of the other's line.
bool liesBeside(double sideOfA, double sideOfB, const OutlineEdge& other, double near) {
  const double least = near * near * (other.b - other.a).squaredNorm();
  return sideOfA * sideOfB > 0 && sideOfA * sideOfA > least && sideOfB * sideOfB > least;
}

bool comeNear(const OutlineEdge& one, const OutlineEdge& other, double near) {
  const double ofOneA = sideOf(one.a, other), ofOneB = sideOf(one.b, other);
  if (liesBeside(ofOneA, ofOneB, other, near)) return false;
  const double ofOtherA = sideOf(other.a, one), ofOtherB = sideOf(other.b, one);
  if (liesBeside(ofOtherA, ofOtherB, one, near)) return false;
  if ((ofOneA > 0) != (ofOneB > 0) && (ofOtherA > 0) != (ofOtherB > 0)) return true;
  return std::min({fromEdge(one.a, other), fromEdge(one.b, other), fromEdge(other.a, one), fromEdge(other.b, one)}) <=
         near;
}

// Sets of outlines, by number, with edges near each other.
DisjointSets nearSets(std::size_t outlines, const std::vector<OutlineEdge>& edges, double near) {
  DisjointSets sets(outlines);
  EdgeCells(edges, near).anyPair([&](std::uint32_t one, std::uint32_t other) {
    const OutlineEdge &a = edges[one], &b = edges[other];
    if (sets.find(a.outline) != sets.find(b.outline) && comeNear(a, b, near)) sets.join(a.outline, b.outline);
    return false;
  });
  return sets;
}

}  // namespace

std::vector<OutlineGroup> groupsApart(const Polygons& subjects, bool closed, const Polygons& clips, double near) {
  std::vector<OutlineEdge> edges = edgesOf(subjects, closed);
  for (const OutlineEdge& edge : edgesOf(clips, true, subjects.size())) edges.push_back(edge);
  const std::size_t outlines = subjects.size() + clips.size();
  DisjointSets sets = nearSets(outlines, edges, near * unitsPerMm);
  std::vector<OutlineGroup> groups;
  std::vector<std::size_t> numbers(outlines, none), roots;
  for (std::size_t i = 0; i < outlines; ++i) {
    std::size_t& number = numbers[sets.find(i)];
    if (number == none) {
      number = groups.size();
      groups.emplace_back();
      roots.push_back(i);
    }
    if (i < subjects.size())
      groups[number].subjects.push_back(subjects[i]);
    else
      groups[number].clips.push_back(clips[i - subjects.size()]);
  }
  if (groups.size() < 2) return groups;
  const Windings windings(edges);
  for (std::size_t g = 0; g < groups.size(); ++g) {
    const Polygon& first = roots[g] < subjects.size() ? subjects[roots[g]] : clips[roots[g] - subjects.size()];
    if (first.empty()) continue;
    windings.at(unitsOf(first.front()), [&](const OutlineEdge& edge, int turn) {
      if (sets.find(edge.outline) == roots[g]) return;
      if (edge.outline >= subjects.size())
        groups[g].clipsAround += turn;
      else if (closed)
        groups[g].subjectsAround += turn;
    });
  }
  return groups;
}

Polygon frameAround(const Polygons& outlines) {
  Box2 box;
  for (const Polygon& outline : outlines)
    for (const Point& p : outline) box.extend(unitsOf(p));
  const auto corner = [](double x, double y) { return Point{std::llround(x), std::llround(y)}; };
  const Vec2 low = box.min().array() - frameAway, high = box.max().array() + frameAway;
  return {corner(low.x(), low.y()), corner(high.x(), low.y()), corner(high.x(), high.y()), corner(low.x(), high.y())};
}

void addFrame(Polygons& outlines, Polygon frame, int times) {
  if (times < 0) std::reverse(frame.begin(), frame.end());
  outlines.insert(outlines.end(), static_cast<std::size_t>(std::abs(times)), frame);
}

void dropFrame(Polygons& outlines, const Polygon& frame) {
  std::erase_if(outlines, [&](const Polygon& outline) {
    return std::find(outline.begin(), outline.end(), frame.front()) != outline.end();
  });
}

}  // namespace trellis
