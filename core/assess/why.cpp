// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/assess/why.hpp"

#include "core/mesh/plane.hpp"
#include "core/overhang/lean.hpp"

#include <algorithm>
#include <map>

namespace trellis {

namespace {

struct Asker {
  const Project& project;
  const Build& build;
  std::size_t p;
  std::uint32_t facet;
  Vec3 place;

  const Part& part() const { return *project.parts[p]; }
  const PartBuild& built() const { return build.parts[p]; }
  const SupportRules& rules() const { return build.rules[p].support; }
  double lean() const {
    const Eigen::Matrix3d toPlate = normalMap(transformOf(part().placement, *part().mesh));
    return leanOf((toPlate * part().mesh->normal(facet)).normalized());
  }

  bool isClean() const { return markAt(part().mesh->corners(facet), part().clean->tree(facet), place) != Mark::none; }

  Sentence zone(ZoneAs as) const {
    for (std::size_t z = 0; z < part().zones.size(); ++z)
      if (part().zones[z].as == as && isIn(part().zones[z], place)) return say("zone {}", z + 1);
    return {};
  }

  // What each decision says of a surface that faces down, the strongest first: that one decides.
  std::vector<Sentence> ofUnderside(double leans) const {
    std::vector<Sentence> all;
    const Mark mark = markAt(part().mesh->corners(facet), part().marks->tree(facet), place);
    if (kindOf(mark) == Mark::enforce)
      all.push_back(tintOf(mark) == 0 ? say("enforced by your mark")
                                      : say("enforced by your mark, tint {}", tintOf(mark)));
    if (mark == Mark::block) all.push_back(say("blocked by your mark"));
    const double scale = transformOf(part().placement, *part().mesh).linear().norm() / std::sqrt(3.0);
    for (std::size_t k = 0; k < part().props.size(); ++k)
      if ((part().props[k].at - place).norm() * scale <= part().props[k].width / 2)
        all.push_back(say("carried by prop {}", k + 1));
    const std::uint32_t site = built().sites->ofFacet.empty() ? Sites::none : built().sites->ofFacet[facet];
    const Choice choice = site == Sites::none ? Choice::proposed : built().resolved->sites[site].choice;
    if (choice == Choice::enforce) all.push_back(say("site {}, enforced by your choice", site + 1));
    if (choice == Choice::block) all.push_back(say("site {}, blocked by your choice", site + 1));
    if (const Sentence clear = zone(ZoneAs::keepClear); !clear.empty()) all.push_back(say("kept clear by {}", clear));
    if (const Sentence block = zone(ZoneAs::block); !block.empty()) all.push_back(say("blocked by {}", block));
    for (std::size_t z = 0; z < part().zones.size(); ++z)
      if (part().zones[z].as == ZoneAs::enforce && leans > part().zones[z].lean && isIn(part().zones[z], place))
        all.push_back(say("enforced by zone {}", z + 1));
    if (site != Sites::none) all.push_back(ofProposal(site));
    return all;
  }

  Sentence ofProposal(std::uint32_t site) const {
    const Site& here = built().sites->list[site];
    if (here.siteClass == SiteClass::speck) return say("too small to need support");
    if (here.siteClass == SiteClass::roundedFoot) return say("a rounded foot, which sags onto what is right below");
    if (here.bridge) return say("site {}, bridges {:.1f} mm by itself", site + 1, here.span);
    if (rules().source == Source::decisions)
      return say("site {}, left bare: only your decisions build support", site + 1);
    if (rules().source == Source::floating && here.starts.empty())
      return say("site {}, left bare: only floating starts are supported", site + 1);
    return say("site {}, supported as proposed", site + 1);
  }
};

}  // namespace

Sentence whyAt(const Project& project, const Build& build, std::size_t part, std::uint32_t facet, const Vec3& place) {
  if (part >= build.parts.size() || facet >= project.parts[part]->mesh->facets.size()) return {};
  const Asker ask{project, build, part, facet, place};
  if (ask.isClean()) return say("clean face: nothing touches it");
  const double lean = ask.lean();
  const Mark mark = kindOf(markAt(ask.part().mesh->corners(facet), ask.part().marks->tree(facet), place));
  if (lean <= -wallLean)
    return mark == Mark::block     ? say("no support stands here, by your mark")
           : mark == Mark::enforce ? say("your mark has nothing to carry here")
                                   : Sentence();
  if (lean < wallLean && mark == Mark::enforce)
    return ask.rules().on ? say("held here by your mark") : say("marked to be held; supports are off");
  if (lean < wallLean) return {};
  const std::vector<Sentence> all = ask.ofUnderside(lean);
  if (all.empty()) return {};
  return ask.rules().on ? all.front() : say("{}; supports are off", all.front());
}

std::vector<Sentence> decisionsAt(const Project& project, const Build& build, std::size_t part, std::uint32_t facet,
                                  const Vec3& place) {
  if (part >= build.parts.size() || facet >= project.parts[part]->mesh->facets.size()) return {};
  const Asker ask{project, build, part, facet, place};
  const double lean = ask.lean();
  if (lean < wallLean) return {};
  std::vector<Sentence> all = ask.ofUnderside(lean);
  if (ask.isClean()) all.emplace(all.begin(), say("clean face: nothing touches it"));
  return all;
}

Sentence whyPiece(const Build& build, std::size_t piece) {
  std::map<std::string, Sentence> causes;  // by their English
  const auto name = [&](Sentence words) { causes.emplace(words.english(), std::move(words)); };
  for (const std::size_t site : build.support->pieces[piece].sites)
    for (const Contact& contact : build.demand[site]->contacts) {
      const std::size_t number = contact.cause.index + 1;
      switch (contact.cause.kind) {
        case CauseKind::site:
          name(say("site {}", number));
          break;
        case CauseKind::mark:
          name(say("your enforce marks"));
          break;
        case CauseKind::hold:
          name(say("the wall you marked"));
          break;
        case CauseKind::prop:
          name(say("prop {}", number));
          break;
        case CauseKind::zone:
          name(say("zone {}", number));
          break;
        case CauseKind::elsewhere:
          name(say("it came with the part, made elsewhere"));
          break;
      }
    }
  std::vector<Sentence> all;
  for (auto& [english, words] : causes) all.push_back(std::move(words));
  return say("for {}", listed(all));
}

}  // namespace trellis
