// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/centre_lines.hpp"

#include "core/geometry/moved_outline.hpp"

#include <boost/polygon/polygon.hpp>
#include <boost/polygon/voronoi.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <optional>

namespace trellis {

namespace {

// Boost computes exactly on 32-bit whole numbers: tenths of a micrometre reach 200 m, enough.
constexpr double units = 1e4;        // per mm
constexpr double coarseness = 0.01;  // mm; the many points of an arc lie on one circle, where exact arithmetic is slow

using Diagram = boost::polygon::voronoi_diagram<double>;
using Whole = boost::polygon::point_data<int>;
using Segment = boost::polygon::segment_data<int>;

constexpr ClipperLib::cInt perUnit = static_cast<ClipperLib::cInt>(unitsPerMm / units);

Whole whole(const Point& p) { return {static_cast<int>(p.X / perUnit), static_cast<int>(p.Y / perUnit)}; }

// Outlines in whole units that do not touch: where they do, the medial axis goes astray. Empty if there is no saving
// them.
Polygons soundOutlines(const Polygons& region) {
  const auto rounded = [](Polygons outlines) {
    for (Polygon& outline : outlines)
      for (Point& p : outline) p = {(p.X + perUnit / 2) / perUnit * perUnit, (p.Y + perUnit / 2) / perUnit * perUnit};
    return outlines;
  };
  for (const Polygons& outlines :
       {simplified(region, coarseness), region, simplified(opened(region, coarseness), coarseness / 2)})
    if (Polygons sound = rounded(outlines); isSimple(sound)) return sound;
  return {};
}

std::vector<Segment> segmentsOf(const Polygons& region) {
  std::vector<Segment> segments;
  for (const Polygon& outline : region)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Whole a = whole(outline[i]), b = whole(outline[(i + 1) % outline.size()]);
      if (a != b) segments.emplace_back(a, b);
    }
  return segments;
}

double distance(const Segment& segment, const Vec2& p) {
  const Vec2 a(segment.low().x(), segment.low().y()), b(segment.high().x(), segment.high().y());
  const double t = std::clamp((p - a).dot(b - a) / (b - a).squaredNorm(), 0.0, 1.0);
  return (p - a - t * (b - a)).norm();
}

struct Node {
  Vec2 at = Vec2::Zero();  // mm
  double width = 0;        // mm
  std::vector<std::size_t> next;
};

// 0–1: the stretch of an edge on which a width that changes evenly lies between two others.
std::optional<std::pair<double, double>> within(double from, double to, double least, double most) {
  if (from > to) {
    const auto turned = within(to, from, least, most);
    return turned ? std::optional(std::pair(1 - turned->second, 1 - turned->first)) : std::nullopt;
  }
  if (to < least || from > most) return std::nullopt;
  const double change = std::max(to - from, 1e-12);
  return std::pair(std::clamp((least - from) / change, 0.0, 1.0), std::clamp((most - from) / change, 0.0, 1.0));
}

// The medial axis as a graph: only stretches inside the region where it is wide enough and not too wide.
std::vector<Node> medialGraph(const Polygons& region, const CentreRules& rules) {
  const std::vector<Segment> segments = segmentsOf(soundOutlines(region));
  Diagram diagram;
  boost::polygon::construct_voronoi(segments.begin(), segments.end(), &diagram);
  std::map<const Diagram::vertex_type*, std::size_t> numbers;
  std::vector<Node> nodes;
  const auto nodeOf = [&](const Diagram::vertex_type* vertex, const Segment& source) {
    const auto [entry, fresh] = numbers.try_emplace(vertex, nodes.size());
    if (fresh) {
      const Vec2 at(vertex->x(), vertex->y());
      nodes.push_back({at / units, 2 * distance(source, at) / units, {}});
    }
    return entry->second;
  };
  for (const auto& edge : diagram.edges()) {
    if (!edge.is_primary() || !edge.is_finite() || &edge > edge.twin()) continue;
    const Segment& source = segments[edge.cell()->source_index()];
    const Vec2 middle((edge.vertex0()->x() + edge.vertex1()->x()) / 2, (edge.vertex0()->y() + edge.vertex1()->y()) / 2);
    if (!contains(region, toPoint(Vec2(middle / units)))) continue;
    std::size_t a = nodeOf(edge.vertex0(), source), b = nodeOf(edge.vertex1(), source);
    const auto stretch = within(nodes[a].width, nodes[b].width, rules.narrowest, rules.widest);
    if (!stretch) continue;
    const double taper = std::abs(nodes[a].width - nodes[b].width) / (nodes[a].at - nodes[b].at).norm();
    if (std::min(nodes[a].width, nodes[b].width) < rules.narrowest && taper >= rules.taper)
      continue;  // leads into a corner
    // Where it begins or ends between them, there is a node more.
    const Node from = nodes[a], to = nodes[b];
    const auto between = [&](double t) {
      nodes.push_back({from.at + t * (to.at - from.at), from.width + t * (to.width - from.width), {}});
      return nodes.size() - 1;
    };
    if (stretch->first > 0) a = between(stretch->first);
    if (stretch->second < 1) b = between(stretch->second);
    nodes[a].next.push_back(b);
    nodes[b].next.push_back(a);
  }
  return nodes;
}

constexpr double steady = 0.04;  // mm the width may change along one line

void emit(const std::vector<Node>& nodes, const std::vector<std::size_t>& chain, double narrowest,
          std::vector<CentreLine>& out) {
  struct Place {
    Vec2 at;
    double width;
  };
  std::vector<Place> places{{nodes[chain.front()].at, nodes[chain.front()].width}};
  double whole = 0;
  for (std::size_t i = 1; i < chain.size(); ++i) {  // long tapers in steps
    const Node &a = nodes[chain[i - 1]], &b = nodes[chain[i]];
    const int steps = std::max(1, static_cast<int>(std::ceil(std::abs(b.width - a.width) / steady)));
    for (int k = 1; k <= steps; ++k)
      places.push_back({a.at + (b.at - a.at) * k / steps, a.width + (b.width - a.width) * k / steps});
    whole += (b.at - a.at).norm();
  }
  if (whole < narrowest) return;
  for (std::size_t from = 0; from + 1 < places.size();) {
    CentreLine line{0, {toPoint(places[from].at)}};
    const double first = places[from].width;
    double length = 0, volume = 0;
    std::size_t to = from;
    do {
      const Place &a = places[to], &b = places[to + 1];
      const double step = (b.at - a.at).norm();
      length += step;
      volume += step * (a.width + b.width) / 2;
      line.points.push_back(toPoint(b.at));
      ++to;
    } while (to + 1 < places.size() && std::abs(places[to + 1].width - first) <= steady);
    line.width = length > 0 ? volume / length : first;
    from = to;
    if (length > 0) out.push_back(std::move(line));
  }
}

}  // namespace

std::vector<CentreLine> centreLines(const Polygons& region, const CentreRules& rules) {
  std::vector<CentreLine> lines;
  if (region.empty()) return lines;
  const std::vector<Node> nodes = medialGraph(region, rules);
  std::vector<std::vector<bool>> used(nodes.size());
  for (std::size_t i = 0; i < nodes.size(); ++i) used[i].assign(nodes[i].next.size(), false);
  const auto walk = [&](std::size_t start, std::size_t way) {
    std::vector<std::size_t> chain{start};
    for (std::size_t at = start;;) {
      used[at][way] = true;
      const std::size_t to = nodes[at].next[way];
      const auto& back = nodes[to].next;
      used[to][static_cast<std::size_t>(std::find(back.begin(), back.end(), at) - back.begin())] = true;
      chain.push_back(to);
      if (back.size() != 2 || to == start) break;
      way = used[to][0] ? 1 : 0;
      if (used[to][way]) break;
      at = to;
    }
    emit(nodes, chain, rules.narrowest, lines);
  };
  for (const bool ends : {true, false})  // first from ends and forks, then what is left: rings
    for (std::size_t i = 0; i < nodes.size(); ++i)
      for (std::size_t way = 0; way < nodes[i].next.size(); ++way)
        if (!used[i][way] && (!ends || nodes[i].next.size() != 2)) walk(i, way);
  return lines;
}

}  // namespace trellis
