// SPDX-License-Identifier: GPL-3.0-or-later
// The layers of a print: which part layers and support layers are printed at one height, and how.
#pragma once

#include "core/assess/build.hpp"
#include "core/pipeline/rules.hpp"

#include <unordered_map>

namespace trellis {

// The lines of every distinct support region, by the region's key.
using RegionBook = std::unordered_map<std::uint64_t, std::shared_ptr<const Stages>>;

class LayerBuilder {
 public:
  // book holds the lines of earlier builds with the same rules; afterwards those of this one.
  LayerBuilder(const Project& project, const Build& build, const SupportRules& support, RegionBook& book,
               const Progress& progress);

  std::size_t count() const { return entries_.size(); }
  // Of all that layer i is made from except the parts' sections.
  std::uint64_t keyOf(std::size_t i) const;
  PrintLayer build(std::size_t i) const;

 private:
  struct Entry {
    double bottom = 0, top = 0;
    std::ptrdiff_t partLayer = -1;    // in every part's plan, or −1
    std::ptrdiff_t supportLayer = -1; // in SupportLayers, or −1
    std::ptrdiff_t carrying = -1;     // the support layer right under this part layer, or −1
  };
  void fillBook(RegionBook& book, const Progress& progress) const;
  bool isFirst(const Entry& entry) const { return entry.bottom < 1e-6; }
  PathGroup skirt() const;

  const Project& project_;
  const Build& build_;
  const RegionBook& book_;
  PartRules part_;
  SupportPathRules supportPaths_;
  MotionRules motion_;
  std::uint64_t rulesKey_;
  std::vector<Entry> entries_;
};

}  // namespace trellis
