// SPDX-License-Identifier: GPL-3.0-or-later
// Findings about what supports cost beside the part itself.
#include "core/assess/finder.hpp"

#include <algorithm>

namespace trellis {

namespace {

// mm³ and seconds of a part and of the supports under it.
struct Shares {
  double part = 0, support = 0, partSeconds = 0, supportSeconds = 0;
};

// Where several parts are printed, each has its share of their time by volume.
std::vector<Shares> sharesOf(const Build& build) {
  std::vector<Shares> shares(build.parts.size());
  double all = 0, seconds = 0;
  for (const auto& layer : build.print.layers)
    for (const Run& run : layer->runs) {
      if (run.owner.kind != Owner::part) continue;
      const double volume =
          lengthOf(run.points) * beadArea(run.width, run.height > 0 ? run.height : layer->top - layer->bottom);
      shares[run.owner.index].part += volume;
      all += volume;
    }
  for (std::size_t k = 0; k < featureCount; ++k)
    if (isPart(static_cast<Feature>(k))) seconds += build.tally.features[k].seconds;
  for (Shares& share : shares) share.partSeconds = all > 0 ? seconds * share.part / all : 0;
  for (const Price& price : build.prices) {
    shares[price.cause.part].support += price.use.volume;
    shares[price.cause.part].supportSeconds += price.use.seconds;
  }
  return shares;
}

// Ways that are worth a try, the one first that costs no looks.
std::vector<Remedy> cheaperWays(const Finder& f, std::size_t p) {
  std::vector<Remedy> ways;
  const bool isTree = f.rules(p).structure == Structure::tree;
  ways.push_back({isTree ? say("normal support") : say("trees"), f.otherStructure(p).steps});
  if (!isTree && f.build.rules[p].settings.whole("support.body.walls") > 0)
    ways.push_back({say("bodies without walls"), f.setting(p, "support.body.walls", 0.0).steps});
  if (!isTree && f.build.rules[p].settings.number("support.body.spacing") < 3)
    ways.push_back({say("bodies of 3 mm spacing"), f.setting(p, "support.body.spacing", 3.0).steps});
  return ways;
}

}  // namespace

void findWhatIsDear(Finder& f) {
  constexpr double leastSupport = 800;  // mm³, a gram: less is not worth a word
  const std::vector<Shares> shares = sharesOf(f.build);
  for (std::size_t p = 0; p < shares.size(); ++p) {
    const Shares& share = shares[p];
    const bool heavy = share.support > share.part, slow = share.supportSeconds > share.partSeconds;
    if (share.support < leastSupport || share.part <= 0 || (!heavy && !slow)) continue;
    const double minutes = share.supportSeconds / 60;
    const Sentence time = minutes < 90 ? say("{:.0f} min", minutes) : say("{:.1f} h", minutes / 60);
    const auto largest =
        std::max_element(f.build.prices.begin(), f.build.prices.end(), [&](const Price& a, const Price& b) {
          return (a.cause.part == p ? a.use.volume : -1) < (b.cause.part == p ? b.use.volume : -1);
        });
    const bool isSite = largest->cause.kind == CauseKind::site && largest->cause.part == p;
    const Vec3 at =
        isSite ? f.build.parts[p].sites->list[largest->cause.index].at : f.build.parts[p].placed->bounds.center();
    f.add(
        {"support-outweighs", Severity::note,
         heavy ? say("{}: support takes {:.1f} times the filament of the part.", f.name(p), share.support / share.part)
               : say("{}: support takes {:.1f} times as long as the part.", f.name(p),
                     share.supportSeconds / share.partSeconds),
         say("It takes {}. Another structure or another turning may be much cheaper.", time)},
        at, p, cheaperWays(f, p));
  }
}

}  // namespace trellis
