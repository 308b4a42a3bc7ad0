// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_lines.hpp"

#include "core/overhang/too_small.hpp"
#include "core/toolpath/adhesion.hpp"

#include "app/theme/theme.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace trellis {

namespace {

LineVertex lineVertex(const Vec3& at, const QColor& tint) {
  const Vec3f p = at.cast<float>();
  return {{p.x(), p.y(), p.z()},
          {static_cast<float>(tint.redF()), static_cast<float>(tint.greenF()), static_cast<float>(tint.blueF())}};
}

std::array<Vec3, 4> plateCorners(const Settings& settings, double above) {
  const double width = settings.number("machine.width"), depth = settings.number("machine.depth"),
               z = plateHeight(settings) + above;
  return {Vec3(0, 0, z), {width, 0, z}, {width, depth, z}, {0, depth, z}};
}

}  // namespace

void addLine(std::vector<LineVertex>& out, const Vec3& a, const Vec3& b, const QColor& tint) {
  out.push_back(lineVertex(a, tint));
  out.push_back(lineVertex(b, tint));
}

namespace {

// The rim of a hole: a line with short strokes across it, as a seam that came open.
void addTorn(std::vector<LineVertex>& out, const Vec3& a, const Vec3& b) {
  constexpr double apart = 1.2, half = 0.35;  // mm
  addLine(out, a, b, theme().fault);
  const Vec3 along = b - a;
  const double length = along.norm();
  if (length < 1e-6) return;
  const Vec3 side = along.normalized().unitOrthogonal() * half;
  for (double at = apart / 2; at < length; at += apart) {
    const Vec3 middle = a + along * (at / length);
    addLine(out, middle - side, middle + side, theme().fault);
  }
}

}  // namespace

std::vector<LineVertex> defectLines(const Project& project, const Build& build) {
  constexpr std::size_t mostFacets = 5000;  // of each kind; more is a tangle nobody can read
  std::vector<LineVertex> out;
  for (std::size_t p = 0; p < std::min(build.parts.size(), project.parts.size()); ++p) {
    const Part& part = *project.parts[p];
    const Affine toPlate = transformOf(part.placement, *part.mesh);
    for (const MeshDefect& defect : build.judged[p].health->defects) {
      for (const auto& [a, b] : defect.openEdges) addTorn(out, toPlate * a, toPlate * b);
      for (std::size_t i = 0; i < std::min(defect.facets.size(), mostFacets); ++i) {
        const Corners c = part.mesh->corners(defect.facets[i]);
        for (std::size_t k = 0; k < 3; ++k) addLine(out, toPlate * c[k], toPlate * c[(k + 1) % 3], theme().fault);
      }
    }
  }
  return out;
}

std::vector<LineVertex> freshLines(const Part& part, const std::vector<std::uint32_t>& facets) {
  constexpr std::size_t most = 20000;
  std::vector<LineVertex> out;
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  for (std::size_t i = 0; i < std::min(facets.size(), most); ++i) {
    const Corners c = part.mesh->corners(facets[i]);
    for (std::size_t k = 0; k < 3; ++k) addLine(out, toPlate * c[k], toPlate * c[(k + 1) % 3], theme().accent);
  }
  return out;
}

std::vector<LineVertex> handleLines(const std::vector<Handle>& handles, const Handle* hot) {
  std::vector<LineVertex> out;
  for (const Handle& handle : handles)
    for (std::size_t i = 1; i < handle.line.size(); ++i)
      addLine(out, handle.line[i - 1], handle.line[i],
              &handle == hot                ? theme().floating
              : handle.kind == Handle::turn ? theme().quiet
                                            : theme().accent);
  return out;
}

std::vector<LineVertex> decisionLines(const Project& project, std::size_t selected, const std::vector<Chosen>& chosen) {
  std::vector<LineVertex> out;
  constexpr int steps = 32;
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const Part& part = *project.parts[p];
    const Affine toPlate = transformOf(part.placement, *part.mesh);
    for (std::size_t k = 0; k < part.props.size(); ++k) {
      const bool held =
          p == selected && std::find(chosen.begin(), chosen.end(), Chosen{Chosen::prop, k}) != chosen.end();
      const Vec3 at = toPlate * part.props[k].at;
      const double r = part.props[k].width / 2;
      for (const double z : {0.0, -r * 0.6})
        for (int i = 0; i < steps; ++i) {
          const auto rim = [&](int step) {
            return Vec3(at + Vec3(r * std::cos(2 * pi * step / steps), r * std::sin(2 * pi * step / steps), z));
          };
          addLine(out, rim(i), rim(i + 1), held ? theme().floating : theme().accent);
        }
      addLine(out, at, at - Vec3(0, 0, r * 1.6), held ? theme().floating : theme().accent);
    }
  }
  return out;
}

std::vector<LineVertex> planeLines(const Plane& plane, const Box3& around, const QColor& tint) {
  const Vec3 one = plane.normal.unitOrthogonal(), other = plane.normal.cross(one);
  const Vec3 middle = around.center() - plane.heightOf(around.center()) * plane.normal;
  const double reach = around.sizes().norm() * 0.55;
  std::vector<LineVertex> out;
  constexpr int rules = 8;
  for (int k = -rules; k <= rules; ++k) {
    if (k != -rules && k != rules && k != 0) continue;
    addLine(out, middle + one * reach * k / rules - other * reach, middle + one * reach * k / rules + other * reach,
            tint);
    addLine(out, middle + other * reach * k / rules - one * reach, middle + other * reach * k / rules + one * reach,
            tint);
  }
  return out;
}

std::vector<LineVertex> bandLines(const Box3& around, double from, double to) {
  std::vector<LineVertex> out;
  const Box3 wide(around.min() - Vec3(4, 4, 0), around.max() + Vec3(4, 4, 0));
  for (const double z : {from, to})
    for (int k = 0; k < 4; ++k) {
      const auto corner = [&](int c) {
        return Vec3(c % 4 == 0 || c % 4 == 3 ? wide.min().x() : wide.max().x(),
                    c % 4 < 2 ? wide.min().y() : wide.max().y(), z);
      };
      addLine(out, corner(k), corner(k + 1), theme().accent);
    }
  return out;
}

std::vector<LineVertex> startDiamonds(const Build& build, const Camera& camera,
                                      const std::function<bool(std::size_t, const Vec3&)>& isShown) {
  std::vector<LineVertex> out;
  for (std::size_t p = 0; p < build.parts.size(); ++p)
    for (const FloatingStart* start : startsThatMatter(*build.parts[p].sites, *build.parts[p].overhangs)) {
      if (!isShown(p, start->at)) continue;
      const double depth = (start->at - camera.eye()).dot(camera.forward()),
                   size = 6 * camera.millimetresPerPixel(depth);
      const Vec3 at = start->at - camera.forward() * size, right = camera.right() * size, up = camera.up() * size;
      for (const Vec3& corner :
           {Vec3(at + up), Vec3(at - right), Vec3(at + right), Vec3(at - right), Vec3(at - up), Vec3(at + right)})
        out.push_back(lineVertex(corner, theme().floating));
    }
  return out;
}

std::vector<LineVertex> boxLines(const Box3& box) {
  std::vector<LineVertex> out;
  for (int corner = 0; corner < 8; ++corner)
    for (int axis = 0; axis < 3; ++axis) {
      if (corner & (1 << axis)) continue;
      const auto at = [&](int which) { return Vec3(box.corner(static_cast<Box3::CornerType>(which))); };
      addLine(out, at(corner), at(corner | (1 << axis)), theme().accent);
    }
  return out;
}

std::vector<LineVertex> plateLines(const Settings& settings) {
  const double width = settings.number("machine.width"), depth = settings.number("machine.depth"),
               z = plateHeight(settings);
  std::vector<LineVertex> out;
  const auto line = [&](const Vec3& a, const Vec3& b, bool strong) {
    addLine(out, a, b, strong ? theme().rule.darker(115) : theme().grid);
  };
  for (double x = 0; x <= width + 1e-6; x += 10) line({x, 0, z + 0.01}, {x, depth, z + 0.01}, std::fmod(x, 50) < 1e-6);
  for (double y = 0; y <= depth + 1e-6; y += 10) line({0, y, z + 0.01}, {width, y, z + 0.01}, std::fmod(y, 50) < 1e-6);
  line({width, 0, z + 0.01}, {width, depth, z + 0.01}, true);
  line({0, depth, z + 0.01}, {width, depth, z + 0.01}, true);
  return out;
}

std::vector<LineVertex> plateRim(const Settings& settings) {
  const std::array<Vec3, 4> corners = plateCorners(settings, 0);
  std::vector<LineVertex> out;
  for (std::size_t k = 0; k < 4; ++k) addLine(out, corners[k], corners[(k + 1) % 4], theme().rule.darker(115));
  return out;
}

std::vector<LineVertex> plateSheet(const Settings& settings) {
  const std::array<Vec3, 4> corners = plateCorners(settings, -0.05);
  std::vector<LineVertex> out;
  for (const std::size_t k : {0, 1, 2, 0, 2, 3}) out.push_back(lineVertex(corners[k], theme().sheet));
  return out;
}

std::vector<LineVertex> ballOutline(const Vec3& centre, double radius, Mark mark) {
  const QColor tint = kindOf(mark) == Mark::enforce ? theme().enforce.darker(130)
                      : mark == Mark::block         ? theme().block
                                                    : theme().ink;
  std::vector<LineVertex> out;
  constexpr int steps = 48;
  for (int axis = 0; axis < 3; ++axis)
    for (int k = 0; k < steps; ++k)
      for (const int end : {k, k + 1}) {
        const double angle = 2 * pi * end / steps;
        Vec3 p = centre;
        p[(axis + 1) % 3] += radius * std::cos(angle);
        p[(axis + 2) % 3] += radius * std::sin(angle);
        out.push_back(lineVertex(p, tint));
      }
  return out;
}

}  // namespace trellis
