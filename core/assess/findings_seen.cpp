// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about what support leaves on faces that will be looked at.
#include "core/assess/finder.hpp"
#include "core/assess/scar_map.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

// Where the part's support lies most under seen faces.
Vec3 placeOf(const Build& build, std::size_t p) {
  Vec3 at = build.parts[p].placed->bounds.center();
  double most = 0;
  for (const DemandSitePtr& site : build.demand) {
    if (site->part != p) continue;
    for (std::size_t k = 0; k < site->seen.size(); ++k)
      for (const Polygons& region : components(site->seen[k]))
        if (const double size = area(region); size > most) {
          most = size;
          const Vec2 middle = boundsOf(region).center();
          at = {middle.x(), middle.y(), build.plan.spans[site->lowest + k].bottom};
        }
  }
  return at;
}

constexpr double closeLines = 0.2;  // mm of daylight between interface lines that does not show

// Settings with which this underside would be smooth: those that change least first.
std::vector<Remedy> smoothly(const Finder& f, std::size_t p) {
  const Settings& settings = f.build.rules[p].settings;
  const bool isTree = f.rules(p).structure == Structure::tree;
  const auto isSmooth = [](const Settings& tried) { return scarOf(scarBedOf(tried, false)) == Scar::smooth; };
  const auto gap = [&](double mm) { return std::round(mm * 100) / 100; };
  const double layer = settings.number("layer.height"), now = settings.number("support.gap.above");
  std::vector<Remedy> remedies;
  // Tips leave daylight between them whatever the gap.
  std::vector<Operation> steps;
  if (isTree) steps = f.setting(p, "support.structure", std::string("normal")).steps;
  Overrides dense;
  for (const bool closer : {false, true}) {
    if (closer) dense.insert_or_assign("support.interface.upper.spacing", closeLines);
    std::vector<double> gaps{now};
    for (double mm = gap(layer); mm >= layer / 2 && remedies.empty(); mm -= 0.02) gaps.push_back(gap(mm));
    for (const double mm : gaps) {
      Overrides own = dense;
      own.insert_or_assign("support.gap.above", mm);
      if (!isSmooth(settings.with(own))) continue;
      if (mm != now) steps.push_back(f.setting(p, "support.gap.above", mm).steps.front());
      if (closer) steps.push_back(f.setting(p, "support.interface.upper.spacing", closeLines).steps.front());
      if (steps.empty()) return {};
      std::vector<Sentence> words{say("gap above {:.2f} mm", mm)};
      if (isTree) words.insert(words.begin(), say("normal support"));
      if (closer) words.push_back(say("closer interface"));
      remedies.emplace_back(listed(words), std::move(steps));
      return remedies;
    }
  }
  return remedies;
}

}  // namespace

void findSpoiltFaces(Finder& f) {
  for (std::size_t p = 0; p < f.build.parts.size(); ++p) {
    const Scars scars = scarsOn(f.build, p);
    if (scars.spoilt() < worthSaying) continue;
    std::size_t worst = 1;
    for (std::size_t k = 1; k < scarCount; ++k)
      if (scars.seen[k] > scars.seen[worst]) worst = k;
    std::vector<Remedy> remedies;
    Sentence turned = say("No turning spares it.");
    if (const auto& best = f.build.judged[p].unscarred; best && best->seenScarred < 0.7 * scars.allSeen()) {
      PlacePart turn;
      turn.part = p;
      turn.turn = best->turn;
      turn.drop = true;
      remedies.emplace_back(say("turn it so that less is scarred"), std::vector<Operation>{turn});
      turned = say("Turned otherwise, support would touch about {:.0f} mm² of it.", best->seenScarred);
    }
    for (Remedy& remedy : smoothly(f, p)) remedies.push_back(std::move(remedy));
    f.add({"seen-scar", Severity::warning,
           say("{}: support leaves {:.0f} mm² {} where it will be looked at.", f.name(p), scars.spoilt(),
               sayWords(nameOf(static_cast<Scar>(worst)))),
           turned},
          placeOf(f.build, p), p, std::move(remedies));
  }
}

}  // namespace trellis
