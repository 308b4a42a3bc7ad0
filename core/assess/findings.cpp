// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/findings.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double worthSaying = 0.5;  // mm² of surface; less is the rim of a brush stroke

class Finder {
 public:
  Finder(const Project& project, const Build& build, const std::vector<SupportRules>& support)
      : project_(project), build_(build), support_(support) {}

  Findings all() {
    if (project_.parts.empty()) return {};
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      soundness(p);
      room(p);
      decisions(p);
      bareStarts(p);
    }
    overlaps();
    columns();
    thinFeatures();
    std::stable_sort(found_.begin(), found_.end(), [](const Finding& a, const Finding& b) { return a.severity > b.severity; });
    return std::move(found_);
  }

 private:
  void add(const char* code, Severity severity, std::string message, const Vec3& at, std::size_t part) {
    found_.push_back({code, severity, std::move(message), at, static_cast<int>(part)});
  }
  const std::string& name(std::size_t p) const { return project_.parts[p]->name; }

  void soundness(std::size_t p) {
    const PartBuild& part = build_.parts[p];
    std::string troubles;
    for (const Trouble& trouble : part.health->troubles)
      if (trouble.kind != Defect::crossing) troubles += (troubles.empty() ? "" : ", ") + inWords(trouble);  // slicing unites what crosses
    if (!troubles.empty()) {
      const Affine toPlate = transformOf(project_.parts[p]->placement, *project_.parts[p]->mesh);
      add("broken-mesh", Severity::warning,
          fmt::format("{} has a broken mesh: {}. It is cut as well as it can be; mend it in Place, or look at its layers.", name(p), troubles),
          toPlate * part.health->troubles.front().at, p);
    }
    for (const LostMarks& lost : project_.parts[p]->lostMarks)
      add("marks-lost", Severity::warning,
          fmt::format("{} lost {:.0f} mm² of {} when its mesh was replaced: the surface there is gone. Mark it anew if it is still wanted.",
                      name(p), lost.area, lost.kind == Mark::enforce ? "enforcer" : "blocker"),
          transformOf(project_.parts[p]->placement, *project_.parts[p]->mesh) * lost.at, p);
    if (!part.gaps->empty())
      add("open-section", Severity::warning,
          fmt::format("{} has outlines that do not close, first at {:.1f} mm height with a gap of {:.2f} mm, in {} places. "
                      "They were closed straight across.",
                      name(p), part.gaps->front().at.z(), part.gaps->front().length, part.gaps->size()),
          part.gaps->front().at, p);
    if (std::all_of(part.sections->begin(), part.sections->end(), [](const Polygons& s) { return s.empty(); }))
      add("nothing-to-print", Severity::problem,
          fmt::format("{} meets no layer, so nothing of it is printed. Make it thicker than half a layer, or the layers thinner.", name(p)),
          part.placed->bounds.center(), p);
  }

  void room(std::size_t p) {
    const Box3& box = build_.parts[p].placed->bounds;
    const Settings& settings = project_.settings;
    const Vec3 plate(settings.number("machine.width"), settings.number("machine.depth"), settings.number("machine.height"));
    constexpr double slack = 1e-3;
    if ((box.sizes().array() > plate.array() + slack).any())
      add("too-large", Severity::problem,
          fmt::format("{} measures {:.1f} × {:.1f} × {:.1f} mm and the machine prints at most {:g} × {:g} × {:g} mm. Scale it down or cut it.",
                      name(p), box.sizes().x(), box.sizes().y(), box.sizes().z(), plate.x(), plate.y(), plate.z()),
          box.center(), p);
    else if ((box.min().head<2>().array() < -slack).any() || (box.max().array() > plate.array() + slack).any())
      add("off-plate", Severity::problem, fmt::format("{} reaches past the plate or its height. Move it in.", name(p)), box.center(), p);
    if (box.min().z() < -slack)
      add("below-plate", Severity::problem,
          fmt::format("{} reaches {:.2f} mm below the plate, and what is there is not printed. Drop it to the plate.", name(p), -box.min().z()),
          box.center(), p);
  }

  // Two parts that share room are printed into each other.
  void overlaps() {
    for (std::size_t p = 0; p < build_.parts.size(); ++p)
      for (std::size_t q = p + 1; q < build_.parts.size(); ++q) {
        const PartBuild &a = build_.parts[p], &b = build_.parts[q];
        if (!a.placed->bounds.intersects(b.placed->bounds)) continue;
        for (std::size_t l = 0; l < std::min(a.sections->size(), b.sections->size()); ++l) {
          const Polygons shared = withoutSpecks(intersect((*a.sections)[l], (*b.sections)[l]), 0.01);
          if (shared.empty()) continue;
          const Vec2 middle = boundsOf(shared).center();
          add("parts-overlap", Severity::problem,
              fmt::format("{} and {} overlap, first at {:.1f} mm height. Move one of them, or let the parts be arranged.", name(p), name(q), a.plan.spans[l].bottom),
              {middle.x(), middle.y(), a.plan.spans[l].bottom}, q);
          break;
        }
      }
  }

  void decisions(std::size_t p) {
    const MarkShadows& shadows = *build_.parts[p].shadows;
    if (!support_[p].on && !project_.parts[p]->marks->empty())
      add("supports-off", Severity::problem,
          fmt::format("{} has marks, but supports are switched off, so they build nothing. Switch supports on in Build.", name(p)),
          build_.parts[p].placed->bounds.center(), p);
    if (shadows.enforcedWall > worthSaying)
      add("enforced-wall", Severity::note,
          fmt::format("{} has {:.0f} mm² of enforcer on walls, which hang over nothing and so get no support. Mark the underside instead.",
                      name(p), shadows.enforcedWall),
          shadows.wallAt, p);
    if (shadows.enforcedUpward > worthSaying)
      add("enforced-upward", Severity::note,
          fmt::format("{} has {:.0f} mm² of enforcer on surfaces that face up, where support has nothing to carry. Mark the underside instead.",
                      name(p), shadows.enforcedUpward),
          shadows.upwardAt, p);
  }

  // Whether support lies right under a place in a part's layer.
  bool isCarried(const LayerSpan& span, const Polygons& place, double gapAbove) const {
    for (const SupportLayer& layer : build_.support->layers)
      if (std::abs(layer.top - (span.bottom - gapAbove)) < 1e-6)
        for (const PieceRegion& region : layer.regions)
          if (!intersect(region.area, place).empty()) return true;
    return false;
  }

  void bareStarts(std::size_t p) {
    const PartBuild& part = build_.parts[p];
    std::size_t bare = 0;
    const FloatingStart* first = nullptr;
    for (const FloatingStart& start : part.overhangs->starts) {
      const Vec2 reach(std::sqrt(start.area), std::sqrt(start.area));
      const Box2 around(start.at.head<2>() - reach, start.at.head<2>() + reach);
      if (isCarried(part.plan.spans[start.layer], intersect(part.overhangs->floating[start.layer], rectangle(around)), support_[p].gapAbove)) continue;
      ++bare;
      if (!first) first = &start;
    }
    if (first)
      add("floating-start", Severity::problem,
          fmt::format("{} begins in mid-air in {} place{}, first at {:.2f} mm height, and nothing is under it. Enforce support there, or turn the part.",
                      name(p), bare, bare == 1 ? "" : "s", first->at.z()),
          first->at, p);
  }

  // One finding a part and kind, however many sites it concerns.
  struct Lost {
    double area = 0;
    std::size_t places = 0;
    Vec3 first = Vec3::Zero();
    void add(double more, const Vec3& at) {
      if (more <= worthSaying) return;
      if (places++ == 0) first = at;
      area += more;
    }
    std::string words() const { return fmt::format("{:.1f} mm² in {} place{}, first at {:.1f} mm height", area, places, places == 1 ? "" : "s", first.z()); }
  };

  void columns() {
    std::size_t i = 0;
    for (std::size_t p = 0; p < build_.parts.size(); ++p) {
      Lost room, footing;
      for (const DemandSite& site : *build_.parts[p].sites) {
        const Column& column = *build_.columns[i++];
        const Vec2 middle = boundsOf(site.layers.front()).center();
        const Vec3 at(middle.x(), middle.y(), build_.plan.spans[site.lowest].bottom);
        room.add(column.noRoom, at);
        footing.add(column.withoutFooting, at);
      }
      if (room.places > 0)
        add("no-room", Severity::note,
            fmt::format("{} hangs over {}, with no room for support under the gaps. Narrow the gaps, or leave it to bridge.", name(p), room.words()),
            room.first, p);
      if (footing.places > 0)
        add("no-footing", Severity::warning,
            fmt::format("{} has {} whose support finds nothing to stand on. {}", name(p), footing.words(),
                        support_[p].footing == Footing::plate ? "Let it stand on the part too (footing: plate and part), or turn the part."
                                                           : "Narrow the gap beside, or turn the part."),
            footing.first, p);
    }
  }

  void thinFeatures() {
    double lost = 0;
    const PrintLayer* first = nullptr;
    for (const auto& layer : build_.print.layers) {
      if (layer->tooThin.empty()) continue;
      lost += area(layer->tooThin);
      if (!first) first = layer.get();
    }
    if (!first) return;
    const Vec2 middle = boundsOf({first->tooThin.front()}).center();
    found_.push_back({"too-thin", Severity::note,
                      fmt::format("Features thinner than half a line are not printed, first at {:.1f} mm height, {:.1f} mm² over all layers. "
                                  "Thicken them, or set a narrower line width.",
                                  first->bottom, lost),
                      {middle.x(), middle.y(), first->bottom}, -1});
  }

  const Project& project_;
  const Build& build_;
  const std::vector<SupportRules>& support_;
  Findings found_;
};

}  // namespace

Findings findProblems(const Project& project, const Build& build, const std::vector<SupportRules>& support) {
  return Finder(project, build, support).all();
}

}  // namespace trellis
