// SPDX-License-Identifier: GPL-3.0-or-later
// What each decision speaks for, layer by layer.
#pragma once

#include "core/document/part.hpp"
#include "core/overhang/sites.hpp"

namespace trellis {

struct ResolvedZone {
  ZoneAs as = ZoneAs::enforce;
  std::vector<Polygons> within;  // its sections at the undersides of the layers
  std::vector<Polygons> demand;  // of an enforcing zone: what leans more than its lean in there
  std::size_t rules = 0;         // into Build::rules; that of the part where it has no settings of its own
};

struct ResolvedProp {
  std::vector<Polygons> demand;  // the underside over its width
  std::vector<Lines> walls;      // or, where there is no underside, the wall beside it, as in MarkShadows
  Polygons disc;                 // its width
  std::size_t rules = 0;
};

struct ResolvedSite {
  Choice choice = Choice::proposed;
  std::size_t decision = none;  // into Part::sites
  std::size_t rules = 0;
  static constexpr std::size_t none = static_cast<std::size_t>(-1);
};

struct ResolvedDecisions {
  std::vector<ResolvedZone> zones;             // as Part::zones
  std::vector<ResolvedProp> props;             // as Part::props
  std::vector<ResolvedSite> sites;             // as Sites::list
  std::vector<std::size_t> placeless;          // of Part::sites, those with no site there
  std::array<std::size_t, tintCount> tints{};  // the settings of each
};

// ownRules gives the index of a set of settings: that of the part for none of its own.
ResolvedDecisions resolveDecisions(const Part& part, const LayeredPart& layered, const Sites& sites,
                                   const std::function<std::size_t(const Overrides&)>& ownRules,
                                   const Progress& progress);

// The site at a place of the surface, in mesh coordinates; Sites::none where there is none.
std::uint32_t siteNear(const Sites& sites, const LayeredPart& part, const Vec3& at);

}  // namespace trellis
