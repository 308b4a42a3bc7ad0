// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/reference/verifier.hpp"

#include "tests/printed.hpp"

#include <CGAL/AABB_halfedge_graph_segment_primitive.h>
#include <CGAL/AABB_traits.h>
#include <CGAL/AABB_tree.h>
#include <CGAL/Exact_predicates_inexact_constructions_kernel.h>
#include <CGAL/Polygon_mesh_slicer.h>
#include <CGAL/Surface_mesh.h>
#include <polyclipping/clipper.hpp>

#include <cmath>
#include <sstream>
#include <unordered_map>

namespace trellis::test {
namespace {

using ClipperLib::Path;
using ClipperLib::Paths;

constexpr double perMm = 1e6;
constexpr double exact = 0.005;      // mm, of every gap above and below
constexpr double sideways = 0.01;    // mm, of the gap beside
constexpr double rounding = 0.02;    // mm a bead's flank may lie over a border: arcs, and coordinates in micrometres
constexpr double pace = 0.5;         // mm between places looked at along a line
constexpr double apart = 0.35;       // mm between places of demand

double mm(ClipperLib::cInt units) { return static_cast<double>(units) / perMm; }
Vec2 mm(const ClipperLib::IntPoint& p) { return {mm(p.X), mm(p.Y)}; }

// Stretches by the square millimetres they pass through.
template <typename Item>
class Grid {
 public:
  void add(const Vec2& a, const Vec2& b, const Item& item) {
    const Vec2 low = a.cwiseMin(b), high = a.cwiseMax(b);
    for (int x = cell(low.x()); x <= cell(high.x()); ++x)
      for (int y = cell(low.y()); y <= cell(high.y()); ++y) cells_[key(x, y)].push_back(item);
  }
  // Some item within reach, mm, may be visited more than once.
  template <typename Visit>
  void near(const Vec2& p, double reach, const Visit& visit) const {
    for (int x = cell(p.x() - reach); x <= cell(p.x() + reach); ++x)
      for (int y = cell(p.y() - reach); y <= cell(p.y() + reach); ++y)
        if (const auto found = cells_.find(key(x, y)); found != cells_.end())
          for (const Item& item : found->second) visit(item);
  }

 private:
  static int cell(double mm) { return static_cast<int>(std::floor(mm)); }
  static long key(int x, int y) { return static_cast<long>(x) * 1000003 + y; }
  std::unordered_map<long, std::vector<Item>> cells_;
};

Vec2 nearestOn(const Vec2& a, const Vec2& b, const Vec2& p) {
  const Vec2 along = b - a;
  const double t = along.squaredNorm() > 0 ? std::clamp((p - a).dot(along) / along.squaredNorm(), 0.0, 1.0) : 0;
  return a + t * along;
}

// A set of outlines that can be asked about places.
class Area {
 public:
  struct Edge { Vec2 a, b; };
  explicit Area(const Paths& outlines) : outlines_(outlines) {
    for (const Path& outline : outlines)
      for (std::size_t i = 0; i < outline.size(); ++i) {
        const Edge edge{mm(outline[i]), mm(outline[(i + 1) % outline.size()])};
        grid_.add(edge.a, edge.b, edge);
        for (int row = rowOf(std::min(edge.a.y(), edge.b.y())); row <= rowOf(std::max(edge.a.y(), edge.b.y())); ++row) rows_[row].push_back(edge);
      }
  }
  const Paths& outlines() const { return outlines_; }
  bool contains(const Vec2& p) const {
    const auto row = rows_.find(rowOf(p.y()));
    if (row == rows_.end()) return false;
    bool inside = false;
    for (const Edge& e : row->second)
      if ((e.a.y() > p.y()) != (e.b.y() > p.y()) && p.x() < e.a.x() + (e.b.x() - e.a.x()) * (p.y() - e.a.y()) / (e.b.y() - e.a.y())) inside = !inside;
    return inside;
  }
  // Distance to the border, at most reach.
  double border(const Vec2& p, double reach) const {
    double nearest = reach;
    grid_.near(p, reach, [&](const Edge& e) { nearest = std::min(nearest, (nearestOn(e.a, e.b, p) - p).norm()); });
    return nearest;
  }
  bool holds(const Vec2& p, double deep) const { return contains(p) && border(p, deep) >= deep; }
  bool comesNear(const Vec2& p, double reach) const { return contains(p) || border(p, reach + 1e-6) <= reach; }
  template <typename Visit>
  void edgesNear(const Vec2& p, double reach, const Visit& visit) const { grid_.near(p, reach, visit); }

 private:
  static int rowOf(double y) { return static_cast<int>(std::floor(y * 2)); }
  Paths outlines_;
  Grid<Edge> grid_;
  std::unordered_map<int, std::vector<Edge>> rows_;
};

Paths offset(const Paths& paths, double by) {
  ClipperLib::ClipperOffset offset(2, 0.002 * perMm);
  offset.AddPaths(paths, ClipperLib::jtRound, ClipperLib::etClosedPolygon);
  Paths result;
  offset.Execute(result, by * perMm);
  return result;
}

Paths combined(ClipperLib::ClipType how, const Paths& a, const Paths& b) {
  ClipperLib::Clipper clipper;
  clipper.AddPaths(a, ClipperLib::ptSubject, true);
  clipper.AddPaths(b, ClipperLib::ptClip, true);
  Paths result;
  clipper.Execute(how, result, ClipperLib::pftEvenOdd, ClipperLib::pftEvenOdd);
  return result;
}

std::vector<Paths> sectionsOf(const TriangleMesh& mesh, double layer) {
  using Kernel = CGAL::Exact_predicates_inexact_constructions_kernel;
  using Surface = CGAL::Surface_mesh<Kernel::Point_3>;
  Surface surface;
  for (const Vec3f& v : mesh.vertices) surface.add_vertex({v.x(), v.y(), v.z()});
  for (const Facet& f : mesh.facets) surface.add_face(Surface::Vertex_index(f[0]), Surface::Vertex_index(f[1]), Surface::Vertex_index(f[2]));
  CGAL::Polygon_mesh_slicer<Surface, Kernel> slicer(surface);
  std::vector<Paths> sections;
  for (double z = layer / 2; z < mesh.bounds.max().z() - 1e-6; z += layer) {
    std::vector<std::vector<Kernel::Point_3>> lines;
    slicer(Kernel::Plane_3(0, 0, 1, -z), std::back_inserter(lines));
    Paths outlines;
    for (const auto& line : lines) {
      Path& outline = outlines.emplace_back();
      for (const auto& p : line) outline.push_back({std::llround(p.x() * perMm), std::llround(p.y() * perMm)});
    }
    sections.push_back(combined(ClipperLib::ctUnion, outlines, {}));
  }
  return sections;
}

class Verifier {
 public:
  Verifier(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise) : promise_(promise) {
    // Where a surface leans just as far as is free, hundredths decide: there it may be carried and need not.
    const double step = promise.layer * std::tan(promise.freeLean * 3.14159265358979 / 180);
    const auto hanging = [&](const Paths& below, const Paths& section, double reach) {
      const Paths hangs = combined(ClipperLib::ctDifference, section, offset(below, reach));
      return Area(combined(ClipperLib::ctIntersection, combined(ClipperLib::ctDifference, section, below), offset(hangs, reach)));
    };
    const std::vector<Paths> sections = sectionsOf(mesh, promise.layer);
    for (std::size_t i = 0; i < sections.size(); ++i) {
      sections_.emplace_back(sections[i]);
      demand_.push_back(i == 0 ? Area({}) : hanging(sections[i - 1], sections[i], 1.05 * step));
      mayHang_.push_back(i == 0 ? Area({}) : hanging(sections[i - 1], sections[i], 0.95 * step));
    }
    for (const Bead& bead : readBeads(gcode))
      if (!isPart(bead)) supports_.push_back(bead);
    for (const Bead& bead : supports_) tops_[std::lround(bead.z * 1000)].add({bead.x0, bead.y0}, {bead.x1, bead.y1}, &bead);
  }

  Verdict verdict() {
    for (std::size_t i = 0; i < supports_.size(); ++i) gaps(supports_[i]);
    standing();
    coverage();
    return std::move(verdict_);
  }

 private:
  double bottomOf(std::size_t layer) const { return static_cast<double>(layer) * promise_.layer; }
  double topOf(std::size_t layer) const { return bottomOf(layer + 1); }

  // A part's bead lies in its own section; what lies outside every section is support, whatever is written beside it.
  bool isPart(const Bead& bead) const {
    const long layer = std::lround(bead.z / promise_.layer) - 1;
    if (layer < 0 || layer >= static_cast<long>(sections_.size()) || std::abs(bead.z - topOf(static_cast<std::size_t>(layer))) > 1e-3) return false;
    return sections_[static_cast<std::size_t>(layer)].comesNear(Vec2(bead.x0 + bead.x1, bead.y0 + bead.y1) / 2, 0.03);
  }

  void fault(const std::string& what, const Bead& bead, const Vec2& at) {
    if (verdict_.faults[what]++ > 2) return;
    std::ostringstream place;
    place << "; " << bead.feature << " at " << at.x() << " " << at.y() << " " << bead.z;
    verdict_.examples[what] += place.str();
  }

  template <typename Visit>
  void along(const Bead& bead, const Visit& visit) const {
    const Vec2 a(bead.x0, bead.y0), b(bead.x1, bead.y1);
    const int count = std::max(1, static_cast<int>((b - a).norm() / pace));
    for (int k = 0; k < count; ++k) visit(Vec2(a + (b - a) * (k + 0.5) / count));
  }

  // No part nearer than the gaps above and below over any place of a bead, nor nearer beside it.
  void gaps(const Bead& bead) {
    const double top = bead.z, bottom = bead.z - bead.height;
    const Vec2 across = Vec2(-(bead.y1 - bead.y0), bead.x1 - bead.x0).normalized() * std::max(0.0, bead.width / 2 - rounding);
    for (std::size_t l = 0; l < sections_.size(); ++l) {
      const bool beside = bottomOf(l) < top - exact && topOf(l) > bottom + exact;
      const bool within = bottomOf(l) < top + promise_.gapAbove - exact && topOf(l) > bottom - promise_.gapBelow + exact;
      if (!within) continue;
      along(bead, [&](const Vec2& p) {
        ++verdict_.samples;
        for (const Vec2& q : {p, Vec2(p + across), Vec2(p - across)})
          if (sections_[l].holds(q, rounding)) fault(beside ? "in the part" : bottomOf(l) > bottom ? "gap above" : "gap below", bead, p);
        if (beside && nearWall(p, l, bead.width / 2 + promise_.gapBeside - sideways, mayHang_)) fault("gap beside", bead, p);
      });
    }
  }

  // Whether some wall that counts comes so near: not hanging surface, which is carried, nor a slope that is stood on.
  bool nearWall(const Vec2& p, std::size_t layer, double reach, const std::vector<Area>& hanging) const {
    bool found = false;
    sections_[layer].edgesNear(p, reach, [&](const Area::Edge& edge) {
      const Vec2 q = nearestOn(edge.a, edge.b, p);
      if (found || (q - p).norm() >= reach) return;
      const Vec2 outward = Vec2(edge.b.y() - edge.a.y(), edge.a.x() - edge.b.x()).normalized();
      constexpr double slack = 0.02;  // where a slope just is or is not stood on, it is not held against anybody
      if (hanging[layer].comesNear(q, slack)) return;
      // Where the surface bends from wall to slope, the slope counts as far as it is wide.
      for (int k = -8; k <= 8 && layer > 0; ++k) {
        const double angle = k * 0.19635;
        const Vec2 turned(std::cos(angle) * outward.x() - std::sin(angle) * outward.y(), std::sin(angle) * outward.x() + std::cos(angle) * outward.y());
        if (sections_[layer - 1].comesNear(q + turned * promise_.layer, slack) && sections_[layer].border(q + turned * promise_.layer, promise_.layer) > promise_.layer - slack) return;
      }
      found = true;
    });
    return found;
  }

  // Every line lies on something for half its length, or reaches no farther than from one body line to the next, which is
  // twice as far where it runs at 30° to them.
  void standing() {
    const double pitch = promise_.bodySpacing + promise_.lineWidth;
    for (std::size_t i = 0; i < supports_.size();) {
      std::size_t end = i + 1;
      const auto goesOn = [&](const Bead& a, const Bead& b) { return a.z == b.z && a.x1 == b.x0 && a.y1 == b.y0 && turnsLittle(a, b); };
      while (end < supports_.size() && goesOn(supports_[end - 1], supports_[end])) ++end;
      double length = 0, rests = 0, bare = 0;
      bool tooFar = false, between = true;
      for (std::size_t k = i; k < end; ++k) {
        const Bead& bead = supports_[k];
        const double stretch = std::hypot(bead.x1 - bead.x0, bead.y1 - bead.y0);
        const int count = std::max(1, static_cast<int>(stretch / pace));
        along(bead, [&](const Vec2& p) {
          const bool held = isHeld(bead, p);
          length += stretch / count;
          rests += held ? stretch / count : 0;
          bare = held ? 0 : bare + stretch / count;
          between = held || (between && restsWithin(pitch / 2 + 0.1, bead, p));
          tooFar = tooFar || bare > (between ? 2 : 1) * pitch + 0.1;
        });
      }
      if (rests < length / 2 && tooFar) fault("standing on nothing", supports_[i], {supports_[i].x0, supports_[i].y0});
      ++verdict_.lines;
      i = end;
    }
  }

  static bool turnsLittle(const Bead& a, const Bead& b) {
    const Vec2 u(a.x1 - a.x0, a.y1 - a.y0), v(b.x1 - b.x0, b.y1 - b.y0);
    return u.dot(v) > 0.8 * u.norm() * v.norm();
  }

  // Whether support that a bead could lie on is as near as that.
  bool restsWithin(double reach, const Bead& bead, const Vec2& p) const {
    bool found = false;
    for (const long off : {0, -1, 1})
      if (const auto under = tops_.find(std::lround((bead.z - bead.height) * 1000) + off); under != tops_.end())
        under->second.near(p, reach, [&](const Bead* other) {
          found = found || (nearestOn({other->x0, other->y0}, {other->x1, other->y1}, p) - p).norm() < reach - (bead.width - other->width) / 2;
        });
    return found;
  }

  bool isHeld(const Bead& bead, const Vec2& p) const {
    const double bottom = bead.z - bead.height;
    if (bottom < 1e-3) return true;
    bool held = restsWithin(bead.width, bead, p);
    const long layer = std::lround((bottom - promise_.gapBelow) / promise_.layer) - 1;
    if (!held && layer >= 0 && layer < static_cast<long>(sections_.size()) && std::abs(topOf(static_cast<std::size_t>(layer)) + promise_.gapBelow - bottom) < exact)
      held = sections_[static_cast<std::size_t>(layer)].comesNear(p, bead.width / 2);
    return held;
  }

  // Of the demand that can be carried, how much has an interface line near enough under it, layer for layer.
  void coverage() {
    std::vector<std::size_t> demanded(static_cast<std::size_t>(std::max(1, promise_.interfaceLayers)), 0), covered = demanded;
    for (std::size_t i = 1; i < sections_.size(); ++i)
      forPlaces(demand_[i], [&](const Vec2& p) {
        const double under = bottomOf(i) - promise_.gapAbove;
        const double floor = footing(p, i, under);
        if (floor < 0) return;
        for (std::size_t k = 0; k < demanded.size(); ++k) {
          const double top = under - static_cast<double>(k) * promise_.layer;
          if (top - floor < 1.5 * promise_.layer) break;  // at a column's foot heights differ
          ++demanded[k];
          covered[k] += hasLine(p, top);
        }
      });
    verdict_.demanded = demanded.front();
    for (std::size_t k = 0; k < demanded.size(); ++k) verdict_.covered.push_back(demanded[k] == 0 ? 1 : static_cast<double>(covered[k]) / static_cast<double>(demanded[k]));
  }

  template <typename Visit>
  static void forPlaces(const Area& area, const Visit& visit) {
    for (const Path& outline : area.outlines()) {
      if (!ClipperLib::Orientation(outline)) continue;
      Vec2 low = mm(outline.front()), high = low;
      for (const auto& p : outline) {
        low = low.cwiseMin(mm(p));
        high = high.cwiseMax(mm(p));
      }
      for (double x = std::ceil(low.x() / apart) * apart; x < high.x(); x += apart)
        for (double y = std::ceil(low.y() / apart) * apart; y < high.y(); y += apart)
          if (area.contains({x, y}) && ClipperLib::PointInPolygon({std::llround(x * perMm), std::llround(y * perMm)}, outline) != 0) visit(Vec2(x, y));
    }
  }

  // The height of what a straight column under a place comes to stand on; −1 where it cannot be carried: within the gap of
  // other surface on its way, without room, or over a ledge narrower than half a line.
  double footing(const Vec2& p, std::size_t site, double under) const {
    if (under < 0.05) return -1;
    for (std::size_t l = site; l-- > 0;) {
      const bool passes = bottomOf(l) < under - exact;
      if (sections_[l].comesNear(p, 0.01)) {
        const double floor = topOf(l) + promise_.gapBelow;
        const double ledge = sections_[l].border(p, 1) + (l + 1 < sections_.size() ? sections_[l + 1].border(p, 1) : 1);
        return under - floor < 0.05 || ledge < promise_.lineWidth ? -1 : floor;
      }
      if (passes && nearWall(p, l, promise_.gapBeside + rounding, demand_)) return -1;
    }
    return 0;
  }

  bool hasLine(const Vec2& p, double top) const {
    const double reach = (promise_.lineWidth + promise_.interfaceSpacing) / 2 + rounding;
    bool found = false;
    for (long micron = std::lround((top - exact) * 1000); micron <= std::lround((top + exact) * 1000) && !found; ++micron)
      if (const auto layer = tops_.find(micron); layer != tops_.end())
        layer->second.near(p, reach, [&](const Bead* b) { found = found || (nearestOn({b->x0, b->y0}, {b->x1, b->y1}, p) - p).norm() <= reach; });
    return found;
  }

  Promise promise_;
  std::vector<Area> sections_, demand_, mayHang_;
  std::vector<Bead> supports_;
  std::map<long, Grid<const Bead*>> tops_;  // by micrometres
  Verdict verdict_;
};

}  // namespace

std::string Verdict::words() const {
  std::ostringstream out;
  for (const auto& [what, count] : faults) out << what << ": " << count << " " << (examples.contains(what) ? examples.at(what) : "") << "\n";
  out << samples << " places on " << lines << " lines, " << demanded << " demanded, covered";
  for (const double share : covered) out << " " << share;
  return out.str();
}

Verdict verify(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise) { return Verifier(gcode, mesh, promise).verdict(); }

}  // namespace trellis::test
