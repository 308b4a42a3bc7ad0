// SPDX-License-Identifier: GPL-3.0-or-later
// Which result depends on what. Recomputes only what is stale.
#pragma once

#include "core/assess/build.hpp"
#include "core/release/judge.hpp"
#include "core/results/forest.hpp"
#include "core/results/layer_builder.hpp"

#include <unordered_map>

namespace trellis {

// A value and the key of what it was made from.
template <typename T>
class Memo {
 public:
  template <typename Make>
  std::shared_ptr<const T> get(std::uint64_t key, const Make& make) {
    if (!value_ || key_ != key) {
      value_ = std::make_shared<const T>(make());
      key_ = key;
    }
    return value_;
  }
  std::uint64_t key() const { return key_; }

 private:
  std::uint64_t key_ = 0;
  std::shared_ptr<const T> value_;
};

// Not safe to run from two threads at once; runs of it use every thread there is. Keeps the values of
// the last run and nothing older, but for what it learnt of each mesh.
class Pipeline {
 public:
  Pipeline();
  ~Pipeline();

  // Throws Cancelled when progress is cancelled; values finished until then are kept for the next run. sitesKnown,
  // if given, is told of the sites of all parts long before the rest is done.
  using SitesOfParts = std::vector<std::shared_ptr<const Sites>>;
  BuildPtr run(const Project& project, const Progress& progress,
               const std::function<void(const SitesOfParts&)>& sitesKnown = {});

 private:
  struct PartCache;
  struct Run;
  std::vector<std::unique_ptr<PartCache>> parts_;
  Memo<Obstacles> obstacles_;
  Forest forest_;
  Memo<SupportLayers> support_;
  Memo<DrainClearance> openings_;
  WayOutBook waysOut_;
  std::unordered_map<std::uint64_t, std::shared_ptr<const Column>> columns_;
  std::unordered_map<std::uint64_t, std::shared_ptr<const PrintLayer>> layers_;
  PathCache book_;
  struct Looked {
    std::shared_ptr<const MeshFigures> figures;
    std::shared_ptr<const MeshHealth> health;
    NeighboursPtr neighbours;
    MeshTreePtr tree;
  };
  std::unordered_map<std::uint64_t, Looked> looked_;  // by mesh
};

}  // namespace trellis
