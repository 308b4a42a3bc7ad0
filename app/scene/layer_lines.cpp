// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/layer_lines.hpp"

#include "app/theme/theme.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace trellis {

namespace {

constexpr double hairline = 0.44;  // of a width: a little daylight shows each line
constexpr double lifted = 0.02;    // mm over the layer

LineVertex vertexAt(const Vec3& at, const QColor& tint) {
  return {{static_cast<float>(at.x()), static_cast<float>(at.y()), static_cast<float>(at.z())},
          {static_cast<float>(tint.redF()), static_cast<float>(tint.greenF()), static_cast<float>(tint.blueF())}};
}

void addRibbon(std::vector<LineVertex>& out, const Vec3& a, const Vec3& b, double width, const QColor& tint) {
  const Vec2 along = (b - a).head<2>();
  if (along.norm() <= 0) return;
  const Vec2 flat = Vec2(-along.y(), along.x()) / along.norm() * (width * hairline);
  const Vec3 side(flat.x(), flat.y(), 0), up(0, 0, lifted);
  for (const Vec3& p : {Vec3(a + side), Vec3(a - side), Vec3(b - side), Vec3(a + side), Vec3(b - side), Vec3(b + side)})
    out.push_back(vertexAt(p + up, tint));
}

// A line as it is laid: as wide and as high as it is printed, rounded, lit from above.
struct Bead {
  Vec3 a, b;
  double width, height;  // mm
};
void addBead(std::vector<LineVertex>& out, const Bead& bead, const QColor& tint) {
  const auto& [a, b, width, height] = bead;
  const Vec2 along = (b - a).head<2>();
  if (along.norm() <= 0) return;
  const Vec2 flat = Vec2(-along.y(), along.x()) / along.norm() * (width / 2);
  const Vec3 side(flat.x(), flat.y(), -height / 2), other(-flat.x(), -flat.y(), -height / 2);
  const QColor ridge = tint.lighter(108), low = tint.darker(125);
  for (const Vec3& foot : {side, other}) {
    for (const auto& [at, colour] : {std::pair(Vec3(a + foot), low),
                                     {a, ridge},
                                     {b, ridge},
                                     {Vec3(a + foot), low},
                                     {b, ridge},
                                     {Vec3(b + foot), low}})
      out.push_back(vertexAt(at, colour));
  }
}

// Lines that face the lamp are lighter, so that a stack of them reads as a shape.
QColor shaded(const QColor& colour, const Vec3& a, const Vec3& b) {
  const Vec2 along = (b - a).head<2>().normalized();
  return colour.darker(100 + static_cast<int>(std::lround(38 * std::abs(along.dot(Vec2(0.35, 0.94))))));
}

void addNozzle(std::vector<LineVertex>& out, const Vec3& at) {
  constexpr double size = 0.9;
  for (const Vec2& corner : {Vec2(0, 1), Vec2(-1, 0), Vec2(1, 0), Vec2(-1, 0), Vec2(0, -1), Vec2(1, 0)})
    out.push_back(vertexAt(at + Vec3(corner.x() * size, corner.y() * size, 3 * lifted), theme().accent));
}

Vec3 placed(const Point& p, double z) {
  const Vec2 at = toMm(p);
  return {at.x(), at.y(), z};
}

double lengthOf(const Run& run) {
  double length = 0;
  for (std::size_t i = 1; i < run.points.size(); ++i) length += (toMm(run.points[i]) - toMm(run.points[i - 1])).norm();
  return length;
}

// mm/s or mm³/s, as the look asks.
double measureOf(const Run& run, const PrintLayer& layer, const LayerLook& look) {
  const double section = beadArea(run.width, run.height > 0 ? run.height : layer.top - layer.bottom);
  return look.flows ? run.speed * section : run.speed;
}

}  // namespace

bool LayerLook::draws(Feature feature) const {
  switch (feature) {
    case Feature::wallOuter:
    case Feature::wallInner:
    case Feature::wallSteep:
      return walls;
    case Feature::cover:
    case Feature::coverCarried:
    case Feature::bridge:
      return covers;
    case Feature::infill:
      return infill;
    case Feature::interfaceUpper:
    case Feature::interfaceLower:
      return interface;
    case Feature::skirt:
    case Feature::brim:
    case Feature::prime:
      return rest;
    default:
      return support;
  }
}

bool LayerLook::draws(const Said& said) const {
  const auto named = std::find(featureNames.begin(), featureNames.end(), said.feature);
  return named == featureNames.end() || draws(static_cast<Feature>(named - featureNames.begin()));
}

std::vector<LineVertex> layerRibbons(const PrintLayer& layer, const LayerLook& look,
                                     const std::function<bool(const Owner&)>& ofOwner, double drawnShare) {
  std::vector<LineVertex> out;
  double left = 1e300;
  if (drawnShare < 1) {
    left = 0;
    for (const Run& run : layer.runs) left += lengthOf(run) * drawnShare;
  }
  const bool measures = look.speeds || look.flows;
  const Spread spread = measuredIn(layer, look);
  for (const Run& run : layer.runs) {
    const bool drawn = look.draws(run.feature) && ofOwner(run.owner);
    const double share =
        measures ? (measureOf(run, layer, look) - spread.least) / std::max(1e-9, spread.most - spread.least) : 0;
    const QColor tint = measures ? colourOf(share) : colourOf(run.feature);
    for (std::size_t i = 1; i < run.points.size(); ++i) {
      const Vec3 a = placed(run.points[i - 1], layer.top);
      Vec3 b = placed(run.points[i], layer.top);
      const double length = (b - a).norm();
      const bool ends = length >= left;
      if (ends && length > 0) b = a + (b - a) * (left / length);
      if (drawn) addBead(out, {a, b, run.width, run.height > 0 ? run.height : layer.top - layer.bottom}, tint);
      left -= length;
      if (!ends) continue;
      addNozzle(out, b);
      return out;
    }
  }
  return out;
}

StackedRibbons bearingRibbons(const TrialPrint& trial, double lowered, const LayerLook& look) {
  std::vector<std::size_t> order(trial.stretches.size());
  std::iota(order.begin(), order.end(), 0u);
  const auto topOf = [&](std::size_t i) { return std::lround(trial.stretches[i].to.z() * 1e4f); };
  std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) {
    return topOf(a) < topOf(b);
  });  // parts may be printed one after the other
  StackedRibbons out;
  const auto endLayer = [&](std::size_t k) {
    out.ends.emplace_back(static_cast<double>(topOf(order[k])) / 1e4 - lowered, static_cast<int>(out.vertices.size()));
  };
  for (std::size_t k = 0; k < order.size(); ++k) {
    const Stretch& s = trial.stretches[order[k]];
    if (k > 0 && topOf(order[k]) != topOf(order[k - 1])) endLayer(k - 1);
    const Said& said = trial.said[s.said];
    if (!look.draws(said)) continue;
    const Vec3 a = s.from.cast<double>() - Vec3(0, 0, lowered), b = s.to.cast<double>() - Vec3(0, 0, lowered);
    const bool ofSupport =
        !isPart(said) && (s.contactClass == ContactClass::material || s.contactClass == ContactClass::bridge);
    addRibbon(out.vertices, a, b, static_cast<double>(s.width),
              shaded(ofSupport ? theme().body : colourOf(s.contactClass), a, b));
    if (s.contactClass != ContactClass::air || s.length() <= 0) continue;
    const Vec3 along = (b - a) / s.length(), up(0, 0, lifted);
    for (double at = 0.3; at < s.length(); at += 0.8)  // bars across, so that it is seen without colour too
      addRibbon(out.vertices, a + along * at + up, a + along * std::min(at + 0.2, s.length()) + up,
                3 * static_cast<double>(s.width), theme().ink);
  }
  if (!order.empty()) endLayer(order.size() - 1);
  return out;
}

Spread measuredIn(const PrintLayer& layer, const LayerLook& look) {
  Spread spread{1e300, 0};
  for (const Run& run : layer.runs) {
    const double value = measureOf(run, layer, look);
    spread = {std::min(spread.least, value), std::max(spread.most, value)};
  }
  return layer.runs.empty() ? Spread{} : spread;
}

QColor colourOf(double share) {
  const QColor pale(0xE9, 0xDF, 0xC9), dark(0x2B, 0x3A, 0x55);
  const auto mixed = [&](int a, int b) {
    return static_cast<int>(std::lround(a + (b - a) * std::clamp(share, 0.0, 1.0)));
  };
  return {mixed(pale.red(), dark.red()), mixed(pale.green(), dark.green()), mixed(pale.blue(), dark.blue())};
}

std::vector<LineVertex> travelLines(const PrintLayer& layer) {
  constexpr double mark = 0.35;  // mm
  const double z = layer.top + 3 * lifted;
  std::vector<LineVertex> out;
  const auto add = [&](const Vec3& a, const Vec3& b, const QColor& colour) {
    out.push_back(vertexAt(a, colour));
    out.push_back(vertexAt(b, colour));
  };
  for (std::size_t r = 0; r < layer.runs.size(); ++r) {
    const Run& run = layer.runs[r];
    const bool isOuter = run.feature == Feature::wallOuter || run.feature == Feature::wallSteep;
    const Vec3 start = placed(run.points.front(), z);
    if (isOuter && run.isClosed()) {
      const Vec3 x(mark, 0, 0), y(0, mark, 0);
      for (const auto& [a, b] :
           {std::pair(x, y), std::pair(y, Vec3(-x)), std::pair(Vec3(-x), Vec3(-y)), std::pair(Vec3(-y), x)})
        add(start + a, start + b, theme().ink);
    }
    if (r == 0) continue;
    const QColor colour = run.approach.retracts ? theme().floating : theme().quiet;
    Vec3 at = placed(layer.runs[r - 1].points.back(), z);
    if (run.approach.retracts)
      for (const double side : {1.0, -1.0})
        add(at + Vec3(mark, side * mark, 0), at - Vec3(mark, side * mark, 0), colour);
    for (const Point& corner : run.approach.way) {
      add(at, placed(corner, z), colour);
      at = placed(corner, z);
    }
    add(at, start, colour);
  }
  return out;
}

std::vector<LineVertex> directionArrows(const PrintLayer& layer, const LayerLook& look,
                                        const std::function<bool(const Owner&)>& ofOwner) {
  constexpr double every = 6, size = 0.7;  // mm
  std::vector<LineVertex> out;
  for (const Run& run : layer.runs) {
    if (!look.draws(run.feature) || !ofOwner(run.owner)) continue;
    double next = every / 4;
    for (std::size_t i = 1; i < run.points.size(); ++i) {
      const Vec3 a = placed(run.points[i - 1], layer.top + 2 * lifted),
                 b = placed(run.points[i], layer.top + 2 * lifted);
      const double length = (b - a).norm();
      for (; next <= length; next += every) {
        const Vec3 along = (b - a) / length, tip = a + along * next,
                   side(-along.y() * size * 0.6, along.x() * size * 0.6, 0);
        for (const Vec3& tail : {Vec3(tip - along * size + side), Vec3(tip - along * size - side)}) {
          out.push_back(vertexAt(tip, theme().ink));
          out.push_back(vertexAt(tail, theme().ink));
        }
      }
      next -= length;
    }
  }
  return out;
}

QColor colourOf(ContactClass contactClass) {
  const Theme& t = theme();
  switch (contactClass) {
    case ContactClass::plate:
      return t.quiet;
    case ContactClass::material:
      return t.part;
    case ContactClass::release:
      return t.interfaceLower;
    case ContactClass::sagging:
      return t.hangingHigh;
    case ContactClass::bridge:
      return t.bridge;
    case ContactClass::air:
      break;
  }
  return t.floating;
}

QColor colourOf(Feature feature) {
  const Theme& t = theme();
  switch (feature) {
    case Feature::wallSteep:
    case Feature::wallOuter:
      return t.part.darker(135);
    case Feature::wallInner:
      return t.part;
    case Feature::coverCarried:
    case Feature::cover:
      return t.cover;
    case Feature::infill:
      return t.infill;
    case Feature::bridge:
      return t.bridge;
    case Feature::supportBody:
    case Feature::foot:
    case Feature::raft:
    case Feature::hold:
      return t.body;
    case Feature::branch:
      return t.branch;
    case Feature::graded:
      return t.body.darker(115);
    case Feature::interfaceLower:
      return t.interfaceLower;
    case Feature::interfaceUpper:
      return t.interface;
    case Feature::skirt:
    case Feature::brim:
    case Feature::prime:
      break;
  }
  return t.quiet;
}

}  // namespace trellis
