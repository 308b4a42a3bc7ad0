// SPDX-License-Identifier: GPL-3.0-or-later
// A project, computed from end to end: overhangs, sites, supports, lines and time, judgement, in this order, each shown
// as it comes.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/project.hpp"
#include "core/results/store.hpp"

#include <functional>

namespace trellis {

// Whoever wants to show what is known before everything is. Called from the thread that builds.
struct Watch {
  std::function<void(const std::vector<std::shared_ptr<const Sites>>&)> sites = {};  // of all parts
  std::function<void(const std::shared_ptr<const Supports>&)> supports = {};         // before any line is laid
};

// What of a project is built: without its shelf, and whatever number comes next. Equal ones are one build.
ProjectPtr asBuilt(const ProjectPtr& project);

// What the store has is not made again, nor is a whole build. Giving up returns within a few milliseconds, whatever is
// being computed; what was finished until then stays in the store. Deterministic: equal projects give equal builds,
// whatever the store holds and however many threads there are. Throws Cancelled when progress is given up, Error with a
// sentence when it cannot be done. May be asked from several threads with one store.
BuildPtr buildProject(Store& store, const ProjectPtr& project, const Progress& progress, const Watch& watch = {});

// As far as lines: supports, their pieces and how they come off, all else left empty. What it takes is in the store
// then, for the whole build.
BuildPtr planProject(Store& store, const ProjectPtr& project, const Progress& progress);

}  // namespace trellis
