// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/comparison.hpp"

#include "core/assess/report.hpp"
#include "core/assess/scar_map.hpp"
#include "core/base/short_name.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <map>

namespace trellis {

namespace {

constexpr double samePlace = 2;       // mm on the mesh
constexpr double worthNaming = 0.01;  // g

using V = VariantFigures;

double minutes(double seconds) { return seconds / 60; }

template <Grade grade>
double pieces(const V& v) {
  return static_cast<double>(v.grades[static_cast<std::size_t>(grade)]);
}
template <Severity severity>
double found(const V& v) {
  return static_cast<double>(v.findings[static_cast<std::size_t>(severity)]);
}
template <Scar scar>
double scarred(const V& v) {
  return v.scars.of(scar);
}

constexpr FigureRow rows[] = {
    {"time_min", "time", "min", [](const V& v) { return minutes(v.seconds); }, false, true, 0},
    {"g", "filament", "g", [](const V& v) { return v.all; }, false, true, 2},
    {"part_g", "part", "g", [](const V& v) { return v.part; }, false, false, 2},
    {"body_g", "support", "g", [](const V& v) { return v.body; }, false, true, 2},
    {"interface_g", "interface", "g", [](const V& v) { return v.interface; }, false, true, 2},
    {"rest_g", "rest", "g", [](const V& v) { return v.rest; }, false, true, 2},
    {"cost", "filament for", "", [](const V& v) { return v.cost; }, false, true, 2},
    {"removal_min", "to take it off", "min", [](const V& v) { return minutes(v.removal); }, false, true, 1, true},
    {"comes_away", "comes away", "", pieces<Grade::comesAway>, false, false, 0, true},
    {"in_bits", "in bits", "", pieces<Grade::inBits>, false, false, 0, true},
    {"needs_pliers", "needs pliers", "", pieces<Grade::needsPliers>, false, true, 0, true},
    {"fragile", "fragile", "", pieces<Grade::fragile>, false, true, 0, true},
    {"washes_out", "washes out", "", pieces<Grade::washesOut>, false, false, 0, true},
    {"trapped", "trapped", "", pieces<Grade::trapped>, false, true, 0, true},
    {"contact_mm2", "contact", "mm²", [](const V& v) { return v.contact; }, false, true, 0, true},
    {"smooth_mm2", "smooth", "mm²", scarred<Scar::smooth>, false, false, 0, true},
    {"striped_mm2", "striped", "mm²", scarred<Scar::striped>, false, true, 0, true},
    {"rough_mm2", "rough", "mm²", scarred<Scar::rough>, false, true, 0, true},
    {"fused_mm2", "fused", "mm²", scarred<Scar::fused>, false, true, 0, true},
    {"nicked_mm2", "nicked", "mm²", scarred<Scar::nicked>, false, true, 0, true},
    {"seen_mm2", "scarred where seen", "mm²", [](const V& v) { return v.scars.allSeen(); }, false, true, 1, true},
    {"problems", "problems", "", found<Severity::problem>, false, true, 0},
    {"warnings", "warnings", "", found<Severity::warning>, false, true, 0},
    {"notes", "notes", "", found<Severity::note>, false, false, 0},
    {"give_mm", "sways at 1 N", "mm", [](const V& v) { return v.deflection; }, false, true, 2},
    {"held_factor", "plate holds", "×", [](const V& v) { return std::min(v.safetyFactor, 99.0); }, true, true, 1},
};

Use sumOf(const Tally& tally, const std::function<bool(Feature)>& counts) {
  Use sum;
  for (std::size_t i = 0; i < featureCount; ++i)
    if (counts(static_cast<Feature>(i))) sum += tally.features[i];
  return sum;
}

// What a price was caused by, so that it can be found again in another build.
struct Caused {
  const Price* price;
  PartId part;
  std::uint64_t id;  // of the facets, the prop or the zone; of marks the tint, of holds 0
  Vec3 onMesh;
  Vec3 at;  // on the plate
  double grams;
};

Caused causedBy(const Project& project, const Build& build, const Price& price) {
  const Part& part = *project.parts[price.cause.part];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  Caused caused{&price,
                part.id,
                0,
                Vec3::Zero(),
                build.parts[price.cause.part].placed->bounds.center(),
                grams(price.use, project.settings)};
  const auto onPlate = [&](const Vec3& at) {
    caused.onMesh = at;
    caused.at = toPlate * at;
  };
  switch (price.cause.kind) {
    case CauseKind::site: {
      const Site& site = build.parts[price.cause.part].sites->list[price.cause.index];
      caused.id = site.id;
      caused.at = site.at;
      caused.onMesh = toPlate.inverse() * site.at;
      break;
    }
    case CauseKind::prop:
      caused.id = part.props[price.cause.index].id.number;
      onPlate(part.props[price.cause.index].at);
      break;
    case CauseKind::zone:
      caused.id = part.zones[price.cause.index].id.number;
      onPlate(part.zones[price.cause.index].toMesh.translation());
      break;
    case CauseKind::mark:
      caused.id = price.cause.index;
      break;
    case CauseKind::hold:
    case CauseKind::elsewhere:
      break;
  }
  return caused;
}

std::vector<Caused> causesOf(const Project& project, const Build& build) {
  std::vector<Caused> causes;
  for (const Price& price : build.prices) causes.push_back(causedBy(project, build, price));
  return causes;
}

// The one of others that is the same cause: sites of changed leans or turnings by where they are on the mesh.
std::size_t sameIn(const std::vector<Caused>& others, const Caused& cause, const std::vector<bool>& taken) {
  std::size_t best = others.size();
  double nearest = samePlace;
  for (std::size_t i = 0; i < others.size(); ++i) {
    const Caused& other = others[i];
    if (taken[i] || other.part != cause.part || other.price->cause.kind != cause.price->cause.kind) continue;
    if (other.id == cause.id) return i;
    if (cause.price->cause.kind != CauseKind::site) continue;
    if (const double away = (other.onMesh - cause.onMesh).norm(); away < nearest) {
      nearest = away;
      best = i;
    }
  }
  return best;
}

Sentence nameFor(const Project& project, const Caused& caused) {
  const Cause& cause = caused.price->cause;
  const std::string part = shortName(project.parts[cause.part]->name);
  switch (cause.kind) {
    case CauseKind::site:
      return say("{}, site {}", part, cause.index + 1);
    case CauseKind::prop:
      return say("{}, prop {}", part, cause.index + 1);
    case CauseKind::zone:
      return say("{}, zone {}", part, cause.index + 1);
    case CauseKind::hold:
      return say("{}, hold", part);
    case CauseKind::elsewhere:
      return say("{}, made elsewhere", part);
    case CauseKind::mark:
      break;
  }
  return cause.index == 0 ? say("{}, enforced by hand", part) : say("{}, enforced as tint {}", part, cause.index);
}

}  // namespace

VariantFigures figuresOf(const Settings& settings, const Build& build) {
  VariantFigures figures;
  const Tally& tally = build.tally;
  const auto mass = [&](const std::function<bool(Feature)>& counts) { return grams(sumOf(tally, counts), settings); };
  figures.seconds = tally.seconds;
  figures.all = grams(tally.whole(), settings);
  figures.part = mass([](Feature f) { return isPart(f); });
  figures.interface = mass([](Feature f) { return isInterface(f); });
  figures.body = mass([](Feature f) { return (isSupport(f) && !isInterface(f)) || f == Feature::raft; });
  figures.rest = figures.all - figures.part - figures.interface - figures.body;
  figures.cost = money(tally.whole(), settings);
  figures.removal = build.removal ? build.removal->seconds() : 0;
  for (const PieceFigures& piece : build.pieces) ++figures.grades[static_cast<std::size_t>(piece.grade)];
  figures.scars = scarsOf(build);
  figures.contact = figures.scars.all();
  for (const Finding& finding : build.findings)
    if (!finding.accepted) ++figures.findings[static_cast<std::size_t>(finding.severity)];
  for (const PartJudgement& part : build.judged) {
    if (!part.stability) continue;
    if (const StandingLevel* most = part.stability->mostDeflected())
      figures.deflection = std::max(figures.deflection, most->deflection);
    if (const StandingLevel* least = part.stability->leastHeld())
      figures.safetyFactor = std::min(figures.safetyFactor, least->safetyFactor);
  }
  return figures;
}

std::span<const FigureRow> figureRows() { return rows; }

std::map<std::string, double> byRow(const VariantFigures& figures) {
  std::map<std::string, double> values;
  for (const FigureRow& row : rows) values[row.key] = std::round(row.value(figures) * 1e4) / 1e4;
  return values;
}

std::vector<ChangedPlace> changedPlaces(const Project& base, const Build& before, const Project& other,
                                        const Build& now) {
  const std::vector<Caused> old = causesOf(base, before), fresh = causesOf(other, now);
  std::vector<bool> taken(old.size(), false);
  std::vector<ChangedPlace> changed;
  const auto note = [&](const Project& project, const Caused& caused, double was, double is) {
    if (std::abs(is - was) >= worthNaming)
      changed.push_back({caused.price->cause.kind, caused.part, nameFor(project, caused), caused.at, was, is});
  };
  for (const Caused& cause : fresh) {
    const std::size_t same = sameIn(old, cause, taken);
    if (same < old.size()) taken[same] = true;
    const double was = same < old.size() ? old[same].grams : 0;
    const bool less = same < old.size() && was > cause.grams;
    note(less ? base : other, less ? old[same] : cause, was, cause.grams);
  }
  for (std::size_t i = 0; i < old.size(); ++i)
    if (!taken[i]) note(base, old[i], old[i].grams, 0);
  std::stable_sort(changed.begin(), changed.end(), [](const ChangedPlace& a, const ChangedPlace& b) {
    return std::abs(a.now - a.before) > std::abs(b.now - b.before);
  });
  return changed;
}

nlohmann::json comparisonOf(const std::vector<Compared>& variants) {
  using Json = nlohmann::json;
  Json json{{"variants", Json::array()}};
  for (const Compared& variant : variants) {
    Json one{{"name", variant.name}, {"figures", byRow(figuresOf(variant.project->settings, *variant.build))}};
    if (&variant != &variants.front()) {
      const Compared& base = variants.front();
      one["differences"] = differencesInWords(*base.project, *variant.project);
      one["places"] = Json::array();
      for (const ChangedPlace& place : changedPlaces(*base.project, *base.build, *variant.project, *variant.build))
        one["places"].push_back({{"what", place.name},
                                 {"at", {place.at.x(), place.at.y(), place.at.z()}},
                                 {"before_g", place.before},
                                 {"now_g", place.now}});
    }
    json["variants"].push_back(std::move(one));
  }
  return json;
}

}  // namespace trellis
