// SPDX-License-Identifier: GPL-3.0-or-later
// A project through time: what was done, undone and may be redone.
#pragma once

#include "core/document/operations.hpp"

namespace trellis {

// Undoing an operation is taking back the value before it, which costs nothing because values share
// what did not change. See docs/decisions/0001-undo-by-values.md.
class History {
 public:
  explicit History(ProjectPtr project) : states_{{"", std::move(project)}} {}

  // The project, or what is being tried out.
  const ProjectPtr& now() const { return preview_.project ? preview_.project : states_[at_].project; }
  bool isSaved() const { return saved_ == states_[at_].project; }
  void markSaved() { saved_ = states_[at_].project; }

  // Throws what performed() throws and then changes nothing. With continuing, the operation replaces the
  // last step if it has not been undone: for figures that are dragged. What was being tried out is kept as
  // a step of its own: who works on with it wants it.
  void perform(const Operation& operation, bool continuing = false) {
    ProjectPtr next = performed(*now(), operation);
    keepPreview();
    take(nameOf(operation), std::move(next), continuing);
  }
  // Several operations as one step, named after the first.
  void performTogether(const std::vector<Operation>& operations) {
    ProjectPtr next = now();
    for (const Operation& operation : operations) next = performed(*next, operation);
    keepPreview();
    take(nameOf(operations.front()), std::move(next), false);
  }

  // Trying out shows a project without making a step of it, until it is kept or left.
  void preview(std::string name, ProjectPtr project) { preview_ = {std::move(name), std::move(project)}; }
  bool isPreviewing() const { return preview_.project != nullptr; }
  const std::string& previewName() const { return preview_.name; }
  void keepPreview() {
    if (isPreviewing()) take(std::string(preview_.name), ProjectPtr(preview_.project), false);
  }
  void leavePreview() { preview_ = {}; }

  // Names of the step that undo or redo would take; empty when there is none. While something is tried out,
  // undo leaves it.
  std::string undoName() const { return isPreviewing() ? preview_.name : at_ > 0 ? states_[at_].name : ""; }
  std::string redoName() const { return at_ + 1 < states_.size() ? states_[at_ + 1].name : ""; }
  void undo() {
    if (isPreviewing())
      leavePreview();
    else if (at_ > 0)
      --at_;
  }
  void redo() {
    leavePreview();
    if (at_ + 1 < states_.size()) ++at_;
  }

 private:
  void take(std::string name, ProjectPtr next, bool continuing) {
    leavePreview();
    states_.resize(at_ + 1);
    if (continuing && at_ > 0)
      states_[at_] = {std::move(name), std::move(next)};
    else
      states_.push_back({std::move(name), std::move(next)});
    at_ = states_.size() - 1;
  }

  struct State {
    std::string name;  // of the step that led here
    ProjectPtr project;
  };
  std::vector<State> states_;
  std::size_t at_ = 0;
  State preview_;
  ProjectPtr saved_;
};

}  // namespace trellis
