// SPDX-License-Identifier: GPL-3.0-or-later
// A project through time: what was done, undone and may be redone.
#pragma once

#include "core/project/operations.hpp"

namespace trellis {

// Undoing an operation is taking back the value before it, which costs nothing because values share
// what did not change. See docs/decisions/0001-undo-by-values.md.
class History {
 public:
  explicit History(ProjectPtr project) : states_{{"", std::move(project)}} {}

  const ProjectPtr& now() const { return states_[at_].project; }
  bool isSaved() const { return saved_ == now(); }
  void markSaved() { saved_ = now(); }

  // Throws what apply throws and then changes nothing. With continuing, the operation replaces the last
  // step if it has not been undone: for figures that are dragged.
  void perform(const Operation& operation, bool continuing = false) {
    ProjectPtr next = performed(*now(), operation);
    states_.resize(at_ + 1);
    if (continuing && at_ > 0)
      states_[at_] = {nameOf(operation), std::move(next)};
    else
      states_.push_back({nameOf(operation), std::move(next)});
    at_ = states_.size() - 1;
  }

  // Names of the step that undo or redo would take; empty when there is none.
  std::string undoName() const { return at_ > 0 ? states_[at_].name : ""; }
  std::string redoName() const { return at_ + 1 < states_.size() ? states_[at_ + 1].name : ""; }
  void undo() {
    if (at_ > 0) --at_;
  }
  void redo() {
    if (at_ + 1 < states_.size()) ++at_;
  }

 private:
  struct State {
    std::string name;  // of the step that led here
    ProjectPtr project;
  };
  std::vector<State> states_;
  std::size_t at_ = 0;
  ProjectPtr saved_;
};

}  // namespace trellis
