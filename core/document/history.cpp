// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/document/history.hpp"

#include "core/base/size.hpp"

#include <algorithm>

namespace trellis {

namespace {

// What a project holds that another does not.
std::size_t bytesBeside(const Project& now, const Project& before) {
  std::size_t sum = now.parts.size() * sizeof(PartPtr);
  for (const PartPtr& part : now.parts) {
    const auto same = std::find_if(before.parts.begin(), before.parts.end(),
                                   [&](const PartPtr& other) { return other == part || other->id == part->id; });
    const Part* old = same == before.parts.end() ? nullptr : same->get();
    if (old == part.get()) continue;
    sum += bytesOf(*part);
    if (!old || old->mesh != part->mesh) sum += bytesOf(*part->mesh);
    const Marks none;
    for (MarksPtr Part::*coat : coats) sum += ((*part).*coat)->bytesBeside(old ? *((*old).*coat) : none);
  }
  return sum;
}

}  // namespace

History::History(ProjectPtr project, std::size_t budget) : budget_(budget) {
  states_.push_back({{}, std::move(project), 0});
}

void History::perform(const Operation& operation, bool continuing) {
  if (!continuing) dragging_ = false;
  ProjectPtr next = performed(*now(), operation);
  keepPreview();
  take(nameOf(operation), std::move(next), continuing);
  dragging_ = true;
}

void History::performTogether(const std::vector<Operation>& operations) {
  ProjectPtr next = now();
  for (const Operation& operation : operations) next = performed(*next, operation);
  keepPreview();
  take(nameOf(operations.front()), std::move(next), false);
}

void History::keepPreview() {
  if (isPreviewing()) take(Sentence(preview_.name), ProjectPtr(preview_.project), false);
}

void History::undo() {
  dragging_ = false;
  if (isPreviewing())
    leavePreview();
  else if (at_ > 0)
    goTo(at_ - 1);
}

void History::redo() {
  dragging_ = false;
  leavePreview();
  if (at_ + 1 < states_.size()) goTo(at_ + 1);
}

void History::goTo(std::size_t state) {
  const std::vector<Version>& versions = states_[at_].project->shelf.versions;
  ProjectPtr& project = states_[state].project;
  if (project->shelf.versions.size() < versions.size()) {
    auto with = std::make_shared<Project>(*project);
    with->shelf.versions = versions;
    project = std::move(with);
  }
  at_ = state;
}

void History::take(Sentence name, ProjectPtr next, bool continuing) {
  leavePreview();
  const bool replaces = continuing && dragging_ && at_ > 0;
  dragging_ = false;
  while (states_.size() > at_ + (replaces ? 0 : 1)) {
    bytes_ -= states_.back().bytes;
    states_.pop_back();
  }
  const std::size_t bytes = bytesBeside(*next, *states_.back().project);
  states_.push_back({std::move(name), std::move(next), bytes});
  bytes_ += bytes;
  at_ = states_.size() - 1;
  if (!replaces) ++taken_;
  forgetOldest();
}

void History::forgetOldest() {
  while (bytes_ > budget_ && at_ > 1) {
    states_.pop_front();
    bytes_ -= states_.front().bytes;
    states_.front().bytes = 0;
    states_.front().name = {};
    --at_;
    forgot_ = true;
  }
}

}  // namespace trellis
