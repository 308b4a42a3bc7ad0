// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/learn/ladder.hpp"

#include "core/base/error.hpp"
#include "core/geometry/lettering.hpp"
#include "core/mesh/boolean.hpp"
#include "core/mesh/extrude.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <cmath>

namespace trellis {

namespace {

// mm. Chosen so that a rung prints in a few minutes and its figure is read at arm's length.
constexpr double width = 12, depth = 10, wall = 2.4, signThick = 1.6, floorThick = 1.2, under = 4.2, ceilingThick = 1.4,
                 digit = 4, relief = 0.6, sunk = 0.3, apart = 4, slabThick = 2, slabLong = 14, pegWidth = 2,
                 pegLong = 2, footLong = 4, footThick = 0.8, lipUp = 30, mast = 5;

struct Kind {
  const char* name;
  const char* key;  // of its setting
  const char* words;
  const char* unit;
  double from, to, step;
  double low, high;  // what it can be at all, where no setting says it
};
constexpr std::array<Kind, 7> kinds{
    {{"above", "support.gap.above", "gap above", "mm", 0.18, 0.24, 0.02, 0, 0},
     {"below", "support.gap.below", "gap below", "mm", 0.18, 0.24, 0.02, 0, 0},
     {"beside", "support.gap.beside", "gap beside", "mm", 0.3, 0.8, 0.1, 0, 0},
     {"spacing", "support.interface.upper.spacing", "interface spacing", "mm", 0.6, 1.2, 0.2, 0, 0},
     {"lean", "", "lean", "°", 20, 80, 5, 1, 89},
     {"bridge", "", "bridge", "mm", 4, 20, 2, 1, 100},
     {"column", "", "column", "mm", 1, 5, 1, 0.8, 20}}};
constexpr std::array<const char*, 3> ceilings{"flat", "sloping", "tips"};

const Kind& kindOf(LadderKind kind) { return kinds[static_cast<std::size_t>(kind)]; }

// A region of the (y, z) plane, drawn out along x between two places.
MeshPtr drawnOut(const Polygons& profile, double from, double to) {
  Affine turn = Affine::Identity();  // x of the region becomes y, y becomes z, height becomes x
  turn.linear() << 0, 0, 1, 1, 0, 0, 0, 1, 0;
  return transformed(*extruded(profile, from, to), turn);
}

Polygons polygon(const std::vector<Vec2>& corners) {
  Polygon outline;
  for (const Vec2& corner : corners) outline.push_back(toPoint(corner));
  return {outline};
}

Polygons box(double y0, double z0, double y1, double z1) { return rectangle({Vec2(y0, z0), Vec2(y1, z1)}); }

// The figure standing out of the front (y = 0) of what is there, its middle at x, its foot at z.
MeshPtr withFigure(const MeshPtr& body, const std::string& text, double x, double z) {
  Polygons letters = lettered(text, digit);
  const Box2 size = boundsOf(letters);
  Affine place = Affine::Identity();  // y of the letters becomes z, height goes towards the eye
  place.linear() << 1, 0, 0, 0, 0, -1, 0, 1, 0;
  place.translation() = Vec3(x - size.center().x(), 0, z);
  return united(*body, *transformed(*extruded(letters, -sunk, relief), place), "A rung");
}

// A sign on the front edge, a ceiling under it, a wall that carries both.
MeshPtr ceilingRung(const LadderSpec& spec, const std::string& figure) {
  const double rise = spec.ceiling == Ceiling::sloping ? (depth - wall) / std::tan(toRadians(60)) : 0;
  const double low = spec.ceiling == Ceiling::sloping ? 2 : under, front = low + rise;
  const double top = front + ceilingThick + 0.6 + digit + 0.6;
  Polygons profile = polygon({{0, front},
                              {depth - wall, low},
                              {depth - wall, 0},
                              {depth, 0},
                              {depth, low + ceilingThick},
                              {depth - wall, low + ceilingThick},
                              {signThick, front + ceilingThick},
                              {signThick, top},
                              {0, top}});
  profile = unite(profile, box(depth - wall, 0, depth + footLong, footThick));  // so that it stands
  if (spec.kind == LadderKind::gapBelow) profile = unite(profile, box(0, 0, depth, floorThick));
  MeshPtr body = drawnOut(profile, 0, width);
  if (spec.ceiling == Ceiling::tips)
    for (const double x : {1.5, width / 2 - pegWidth / 2, width - 1.5 - pegWidth}) {
      const double y = 3;
      body = united(*body, *drawnOut(box(y, low - pegLong, y + pegWidth, low + ceilingThick / 2), x, x + pegWidth),
                    "A rung");
    }
  return withFigure(body, figure, width / 2, front + ceilingThick + 0.6);
}

// A slab that leans away from a foot with the figure on it.
MeshPtr leanRung(double degrees, const std::string& figure) {
  const double across = std::sin(toRadians(degrees)), up = std::cos(toRadians(degrees)), foot = 6;
  const Vec2 along(across, up), thick = slabThick * Vec2(-up, across);
  // It begins within the foot and ends cut off level, so that no sharp edge hangs lowest.
  const Vec2 begin(foot - 1, 1.2), end = begin + along * slabLong;
  Polygons profile = unite(box(0, 0, foot, 5.2), polygon({begin, end, end + thick, begin + thick}));
  return withFigure(drawnOut(profile, 0, width / 1.5), figure, width / 3, 0.6);
}

MeshPtr bridgeRung(double span, const std::string& figure) {
  const double post = 8, high = 6;
  const MeshPtr posts = united(*drawnOut(box(0, 0, 6, high), 0, post),
                               *drawnOut(box(0, 0, 6, high), post + span, post + span + 4), "A rung");
  const MeshPtr body = united(*posts, *drawnOut(box(0, high - 0.5, 6, high + 0.7), 0, post + span + 4), "A rung");
  return withFigure(body, figure, post / 2, 0.8);
}

MeshPtr columnRung(double across, const std::string& figure) {
  const MeshPtr foot = drawnOut(box(0, 0, 9, 5.2), 0, 9);
  const MeshPtr post = drawnOut(box(9 - mast, 5, 9, lipUp + 2), 2, 2 + mast);
  const double x = 2 + mast / 2 - across / 2;
  const MeshPtr lip = drawnOut(box(9 - 0.5, lipUp, 9 + across, lipUp + 1.4), x, x + across);
  return withFigure(united(*united(*foot, *post, "A rung"), *lip, "A rung"), figure, 4.5, 0.6);
}

MeshPtr rungMesh(const LadderSpec& spec, double value) {
  const std::string figure = figureOf(spec, value);
  switch (spec.kind) {
    case LadderKind::lean:
      return leanRung(value, figure);
    case LadderKind::bridge:
      return bridgeRung(value, figure);
    case LadderKind::column:
      return columnRung(value, figure);
    default:
      return ceilingRung(spec, figure);
  }
}

Overrides settingsFor(const LadderSpec& spec, double value) {
  if (spec.kind == LadderKind::lean || spec.kind == LadderKind::bridge) return {{"support.on", false}};
  Overrides own{{"support.on", true}, {"support.source", std::string("overhangs")}};
  if (spec.kind == LadderKind::gapBelow) own.insert_or_assign("support.footing", std::string("any"));
  if (*settingOf(spec.kind)) own.insert_or_assign(settingOf(spec.kind), value);
  return own;
}

// Rows around the plate's middle, front to back.
void arrange(std::vector<Part>& parts, std::size_t perGroup, const Settings& settings) {
  const double room = settings.number("machine.width") - 2 * apart, deep = settings.number("machine.depth") - 2 * apart;
  std::vector<std::vector<std::size_t>> rows{{}};
  double across = 0;
  std::vector<double> widths, depths;
  for (std::size_t first = 0; first < parts.size(); first += perGroup) {
    Box3 box;
    for (std::size_t k = 0; k < perGroup; ++k)
      box.extend(placedBounds(parts[first + k].placement, *parts[first + k].mesh));
    widths.push_back(box.sizes().x());
    depths.push_back(box.sizes().y());
    if (!rows.back().empty() && across + widths.back() > room) {
      rows.emplace_back();
      across = 0;
    }
    across += widths.back() + apart;
    rows.back().push_back(first / perGroup);
  }
  double all = -apart;
  const auto deepest = [&](const std::vector<std::size_t>& row) {
    double most = 0;
    for (const std::size_t group : row) most = std::max(most, depths[group]);
    return most;
  };
  for (const auto& row : rows) all += deepest(row) + apart;
  if (all > deep || *std::max_element(widths.begin(), widths.end()) > room)
    throw Error(say("{} rungs do not fit the plate. Make fewer, or larger steps.", widths.size()));
  double y = settings.number("machine.depth") / 2 - all / 2;
  for (const auto& row : rows) {
    double wide = -apart;
    for (const std::size_t group : row) wide += widths[group] + apart;
    double x = settings.number("machine.width") / 2 - wide / 2;
    for (const std::size_t group : row) {
      Box3 box;
      for (std::size_t k = 0; k < perGroup; ++k)
        box.extend(placedBounds(parts[group * perGroup + k].placement, *parts[group * perGroup + k].mesh));
      const Vec3 by(x - box.min().x(), y - box.min().y(), -box.min().z());
      for (std::size_t k = 0; k < perGroup; ++k) parts[group * perGroup + k].placement.position += by;
      x += widths[group] + apart;
    }
    y += deepest(row) + apart;
  }
}

std::vector<PartPtr> shared(std::vector<Part> parts) {
  std::vector<PartPtr> result;
  for (Part& part : parts) result.push_back(std::make_shared<const Part>(std::move(part)));
  return result;
}

// So that the mesh stands in plate coordinates as it is.
Placement asItIs(const TriangleMesh& mesh) {
  Placement placement;
  placement.position = mesh.bounds.center();
  return placement;
}

}  // namespace

LadderSpec usualLadder(LadderKind kind) {
  const Kind& usual = kindOf(kind);
  return {kind, usual.from, usual.to, usual.step, Ceiling::flat};
}

LadderKind ladderKindNamed(const std::string& name) {
  for (std::size_t i = 0; i < kinds.size(); ++i)
    if (name == kinds[i].name) return static_cast<LadderKind>(i);
  throw Error(say("There is no ladder {}. There are above, below, beside, spacing, lean, bridge and column.", name));
}

const char* nameOf(LadderKind kind) { return kindOf(kind).name; }

Ceiling ceilingNamed(const std::string& name) {
  for (std::size_t i = 0; i < ceilings.size(); ++i)
    if (name == ceilings[i]) return static_cast<Ceiling>(i);
  throw Error(say("A ceiling cannot be {}. It can be flat, sloping or tips.", name));
}

const char* nameOf(Ceiling ceiling) { return ceilings[static_cast<std::size_t>(ceiling)]; }

const char* settingOf(LadderKind kind) { return kindOf(kind).key; }

std::string wordsOf(const LadderSpec& spec) {
  const std::string unit = kindOf(spec.kind).unit;
  return fmt::format("{} {} to {}{}{}", kindOf(spec.kind).words, figureOf(spec, spec.from), figureOf(spec, spec.to),
                     unit == "°" ? "" : " ", unit);
}

std::vector<double> rungsOf(const LadderSpec& spec) {
  if (!(spec.step > 0) || !(spec.to >= spec.from) || !std::isfinite(spec.from) || !std::isfinite(spec.to))
    throw Error(
        say("A ladder goes up: its last figure cannot be less than its first, and its step has to be more than 0."));
  const double count = std::floor((spec.to - spec.from) / spec.step + 1e-6) + 1;
  if (count > static_cast<double>(mostRungs))
    throw Error(say("That would be {:.0f} rungs. A ladder can have {}; make larger steps.", count, mostRungs));
  std::vector<double> rungs;
  for (int k = 0; k < static_cast<int>(count); ++k)
    rungs.push_back(std::round((spec.from + k * spec.step) * 1e6) / 1e6);
  const Kind& kind = kindOf(spec.kind);
  for (const double rung : rungs) {
    if (*kind.key)
      checkSetting(kind.key, rung);
    else if (!(rung >= kind.low && rung <= kind.high))
      throw Error(say("A rung of a {} ladder cannot be {:g} {}. It can be {:g} to {:g}.", kind.name, rung, kind.unit,
                      kind.low, kind.high));
  }
  return rungs;
}

std::string figureOf(const LadderSpec& spec, double value) {
  const bool fine = *settingOf(spec.kind) != 0;
  if (!fine) return fmt::format("{:g}", value);
  const std::string two = fmt::format("{:.2f}", value);
  return std::abs(std::stod(two) - value) < 1e-9 ? two : fmt::format("{:.3f}", value);
}

std::optional<double> rungFigure(LadderKind kind, const std::string& name) {
  const std::string words = std::string(kindOf(kind).words) + " ";
  if (!name.starts_with(words)) return std::nullopt;
  try {
    std::size_t used = 0;
    const double value = std::stod(name.substr(words.size()), &used);
    if (used == name.size() - words.size()) return value;
  } catch (const std::logic_error&) {
  }
  return std::nullopt;
}

std::optional<LadderSpec> ladderIn(const Project& project) {
  for (std::size_t k = 0; k < kinds.size(); ++k) {
    const auto kind = static_cast<LadderKind>(k);
    std::vector<double> figures;
    for (const PartPtr& part : project.parts)
      if (const auto figure = rungFigure(kind, part->name)) figures.push_back(*figure);
    if (figures.empty()) continue;
    std::sort(figures.begin(), figures.end());
    const double step = figures.size() > 1 ? figures[1] - figures[0] : kinds[k].step;
    return LadderSpec{kind, figures.front(), figures.back(), std::round(step * 1e6) / 1e6, Ceiling::flat};
  }
  return std::nullopt;
}

std::vector<PartPtr> ladderParts(const LadderSpec& spec, const Settings& settings) {
  std::vector<Part> parts;
  for (const double value : rungsOf(spec)) {
    const MeshPtr mesh = rungMesh(spec, value);
    Part part{fmt::format("{} {}", kindOf(spec.kind).words, figureOf(spec, value)), mesh, asItIs(*mesh)};
    part.settings = settingsFor(spec, value);
    parts.push_back(std::move(part));
  }
  arrange(parts, 1, settings);
  return shared(std::move(parts));
}

std::vector<PartPtr> ladderOf(const LadderSpec& spec, const Part& part, const Settings& settings) {
  if (!*settingOf(spec.kind))
    throw Error(say("A part of one's own can be a rung of a ladder of gaps or spacing only."));
  std::vector<Part> parts;
  for (const double value : rungsOf(spec)) {
    Part rung = part;
    rung.name = fmt::format("{} {}", part.name, figureOf(spec, value));
    rung.id = {};
    for (Zone& zone : rung.zones) zone.id = {};
    for (Prop& prop : rung.props) prop.id = {};
    for (const auto& [key, own] : settingsFor(spec, value)) rung.settings.insert_or_assign(key, own);
    const Box3 bounds = placedBounds(rung.placement, *rung.mesh);
    const MeshPtr plate = drawnOut(box(0, 0, signThick, digit + 1.2), 0, width);
    const MeshPtr mesh = withFigure(plate, figureOf(spec, value), width / 2, 0.6);
    Part sign{fmt::format("sign {}", figureOf(spec, value)), mesh, asItIs(*mesh)};
    sign.placement.position += Vec3(bounds.center().x() - width / 2, bounds.min().y() - signThick - 2, 0);
    sign.settings = {{"support.on", false}};
    parts.push_back(std::move(rung));
    parts.push_back(std::move(sign));
  }
  arrange(parts, 2, settings);
  return shared(std::move(parts));
}

}  // namespace trellis
