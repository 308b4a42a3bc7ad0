// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/stability.hpp"

#include "core/base/parallel.hpp"
#include "core/slice/slices.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

using Mat2 = Eigen::Matrix2d;
using Row2 = Eigen::RowVector2d;

// What stands on the plate, and the moment there for a push and a moment at the top of what stands on it.
struct FootOf {
  double holds = 0;  // N·mm
  Row2 moment = Row2(0, 1);
};

// A body up to some height: how far its top moves and turns for a push and a moment there.
struct Cantilever {
  Mat2 deflection = Mat2::Zero();
  std::vector<FootOf> feet;

  // h mm higher, with a bending stiffness E·I: the end of a beam of length h gives h³/3EI and turns h²/2EI under a
  // push.
  void raise(double h, double stiffness) {
    Mat2 through, own;
    through << 1, h, 0, 1;
    own << h * h * h / 3, h * h / 2, h * h / 2, h;
    deflection = through * deflection * through.transpose() + own / stiffness;
    for (FootOf& foot : feet) foot.moment = Row2(foot.moment[0] + foot.moment[1] * h, foot.moment[1]);
  }

  // Cannot move sideways here: a push is answered as far as it would move.
  void hold() {
    if (deflection(0, 0) <= 0) return;
    const Row2 answer = deflection.row(0) / deflection(0, 0);
    for (FootOf& foot : feet) foot.moment -= foot.moment[0] * answer;
    deflection -= deflection.col(0) * answer;
  }
};

// Bodies that grow together carry what is on them in shares of their stiffness.
Cantilever merged(const std::vector<const Cantilever*>& bodies) {
  if (bodies.size() == 1) return *bodies.front();
  const Mat2 slack = Mat2::Identity() * 1e-12;
  Mat2 stiffness = Mat2::Zero();
  for (const Cantilever* body : bodies) stiffness += (body->deflection + slack).inverse();
  Cantilever all;
  all.deflection = stiffness.inverse();
  for (const Cantilever* body : bodies) {
    const Mat2 share = (body->deflection + slack).inverse() * all.deflection;
    for (FootOf foot : body->feet) {
      foot.moment = foot.moment * share;
      all.feet.push_back(foot);
    }
  }
  return all;
}

struct Body {
  Polygons section;
  Box2 bounds;
  SectionFigures figures;
  Cantilever beam;
};

bool touch(const Body& a, const Body& b) {
  return a.bounds.intersects(b.bounds) &&
         (contains(a.section, b.section.front().front()) || contains(b.section, a.section.front().front()) ||
          !intersect(a.section, b.section).empty());
}

std::vector<Body> bodiesOf(const Polygons& section, double lineWidth) {
  std::vector<Body> bodies;
  for (Polygons& component : components(opened(section, lineWidth / 4))) {
    Body body{std::move(component), {}, {}, {}};
    body.bounds = boundsOf(body.section);
    body.figures = figuresOf(body.section);
    body.figures.least = std::max(body.figures.least, std::pow(lineWidth, 4) / 12);
    if (body.figures.area > 0) bodies.push_back(std::move(body));
  }
  return bodies;
}

}  // namespace

SectionFigures figuresOf(const Polygons& section) {
  double a = 0, x = 0, y = 0, xx = 0, yy = 0, xy = 0;
  const Vec2 origin =
      section.empty() ? Vec2(0, 0) : toMm(section.front().front());  // near the figure, so that no digits are lost
  for (const Polygon& outline : section)
    for (std::size_t i = 0; i < outline.size(); ++i) {
      const Vec2 p = toMm(outline[i]) - origin, q = toMm(outline[i + 1 < outline.size() ? i + 1 : 0]) - origin;
      const double cross = p.x() * q.y() - q.x() * p.y();
      a += cross / 2;
      x += (p.x() + q.x()) * cross / 6;
      y += (p.y() + q.y()) * cross / 6;
      xx += (p.x() * p.x() + p.x() * q.x() + q.x() * q.x()) * cross / 12;
      yy += (p.y() * p.y() + p.y() * q.y() + q.y() * q.y()) * cross / 12;
      xy += (p.x() * q.y() + 2 * p.x() * p.y() + 2 * q.x() * q.y() + q.x() * p.y()) * cross / 24;
    }
  SectionFigures figures;
  if (a <= 0) return figures;
  const Vec2 centre(x / a, y / a);
  xx -= a * centre.x() * centre.x();
  yy -= a * centre.y() * centre.y();
  xy -= a * centre.x() * centre.y();
  figures.area = a;
  figures.centre = origin + centre;
  figures.least = std::max(0.0, (xx + yy) / 2 - std::hypot((xx - yy) / 2, xy));
  Mat2 tensor;
  tensor << xx, xy, xy, yy;
  const Mat2 inverse = tensor.inverse();
  double stress = 0;  // the most at any fibre under a unit moment about any axis
  for (const Polygon& outline : section)
    for (const Point& p : outline) stress = std::max(stress, (inverse * (toMm(p) - figures.centre)).norm());
  figures.modulus = std::isfinite(stress) && stress > 0 ? 1 / stress : 0;
  return figures;
}

const StandingLevel* Stability::mostDeflected() const {
  const auto worst = std::max_element(levels.begin(), levels.end(), [](const StandingLevel& a, const StandingLevel& b) {
    return a.deflection < b.deflection;
  });
  return worst == levels.end() ? nullptr : &*worst;
}

const StandingLevel* Stability::leastHeld() const {
  const auto worst = std::min_element(levels.begin(), levels.end(), [](const StandingLevel& a, const StandingLevel& b) {
    return a.safetyFactor < b.safetyFactor;
  });
  return worst == levels.end() ? nullptr : &*worst;
}

bool standsWell(const Stability& stability, const StabilityRules& rules) {
  return stability.levels.empty() || (stability.mostDeflected()->deflection <= rules.deflectionAllowed &&
                                      stability.leastHeld()->safetyFactor >= rules.safetyFactorAllowed);
}

Stability stabilityOf(const LayerPlan& plan, const std::vector<Polygons>& sections, const std::vector<Polygons>& holds,
                      const StabilityRules& rules, const Progress& progress) {
  std::vector<std::vector<Body>> layers(sections.size());
  parallelFor(sections.size(), progress, [&](std::size_t l) { layers[l] = bodiesOf(sections[l], rules.lineWidth); });
  Stability stability;
  for (std::size_t l = 0; l < layers.size(); ++l) {
    StandingLevel level{plan.spans[l].top, 0, 1e9, false, Vec3::Zero()};
    double worst = -1;
    for (Body& body : layers[l]) {
      std::vector<const Cantilever*> under;
      if (l > 0)
        for (const Body& below : layers[l - 1])
          if (!below.beam.feet.empty() && touch(body, below)) under.push_back(&below.beam);
      if (l == 0) {
        const SectionFigures contact = rules.spread > 0 ? figuresOf(grow(body.section, rules.spread)) : body.figures;
        body.beam.feet.push_back({rules.adhesion * contact.modulus, Row2(0, 1)});
      } else if (under.empty()) {
        continue;
      } else {
        body.beam = merged(under);
      }
      body.beam.raise(plan.spans[l].height(), rules.stiffness * body.figures.least);
      if (l < holds.size() && !holds[l].empty() && !intersect(body.section, holds[l]).empty()) {
        body.beam.hold();
        level.held = true;
      }
      const double deflection = rules.push * body.beam.deflection(0, 0);
      double safetyFactor = 1e9;
      for (const FootOf& foot : body.beam.feet) {
        const double moment = std::abs(foot.moment[0]) * rules.push;
        if (moment > 0) safetyFactor = std::min(safetyFactor, foot.holds / moment);
      }
      const double badness = std::max(deflection / rules.deflectionAllowed, rules.safetyFactorAllowed / safetyFactor);
      level.deflection = std::max(level.deflection, deflection);
      level.safetyFactor = std::min(level.safetyFactor, safetyFactor);
      if (badness <= worst) continue;
      worst = badness;
      level.at = Vec3(body.figures.centre.x(), body.figures.centre.y(), plan.spans[l].top);
    }
    stability.levels.push_back(level);
    if (l > 1) layers[l - 2].clear();
  }
  return stability;
}

Stability roughStability(const TriangleMesh& mesh, const Affine& toPlate, const StabilityRules& rules,
                         const Progress& progress) {
  const MeshPtr placed = transformed(mesh, toPlate);
  const double layer = std::max(0.05, placed->bounds.max().z() / 100);
  const LayerPlan plan = planLayers(placed->bounds.max().z(), {layer, layer});
  return stabilityOf(plan, slice(*placed, plan.middles(), progress).sections, {}, rules, progress);
}

}  // namespace trellis
