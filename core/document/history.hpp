// SPDX-License-Identifier: GPL-3.0-or-later
// A project through time: what was done, undone and may be redone.
#pragma once

#include "core/document/operations.hpp"

#include <deque>

namespace trellis {

// Undoing an operation is taking back the value before it, which costs nothing because values share
// what did not change. See docs/decisions/0001-undo-by-values.md. Over its budget of bytes it forgets the oldest steps.
class History {
 public:
  static constexpr std::size_t usualBudget = 512u << 20;
  explicit History(ProjectPtr project, std::size_t budget = usualBudget);

  // The project, or what is only looked at.
  const ProjectPtr& now() const { return preview_.project ? preview_.project : states_[at_].project; }
  // Without what is only looked at.
  const ProjectPtr& kept() const { return states_[at_].project; }
  bool isSaved() const { return saved_ == states_[at_].project; }
  void markSaved() { markSaved(states_[at_].project); }
  void markSaved(const ProjectPtr& project) { saved_ = project; }  // some state, which may not be the present one
  std::size_t steps() const { return taken_; }                     // that were ever taken

  // Throws what performed() throws and then changes nothing. With continuing, the operation replaces the last step if
  // that was taken by the same drag: one that was performed without continuing and nothing came between. What was being
  // looked at is kept as a step of its own: who works on with it wants it.
  void perform(const Operation& operation, bool continuing = false);
  // Several operations as one step, named after the first.
  void performTogether(const std::vector<Operation>& operations);

  // A preview shows a project without making a step of it, until it is kept or left.
  void preview(Sentence name, ProjectPtr project) { preview_ = {std::move(name), std::move(project)}; }
  bool isPreviewing() const { return preview_.project != nullptr; }
  const Sentence& previewName() const { return preview_.name; }
  void keepPreview();
  void leavePreview() { preview_ = {}; }

  // Versions are not undone: what was printed was printed.
  // Names of the step that undo or redo would take; empty when there is none. While something is only looked at, undo
  // leaves it.
  Sentence undoName() const { return isPreviewing() ? preview_.name : at_ > 0 ? states_[at_].name : Sentence(); }
  Sentence redoName() const { return at_ + 1 < states_.size() ? states_[at_ + 1].name : Sentence(); }
  const Sentence& lastName() const { return states_[at_].name; }  // of the step that led to what is kept
  void undo();
  void redo();

  bool hasForgotten() const { return forgot_; }  // the oldest steps are gone
  std::size_t bytes() const { return bytes_; }   // that the states hold beside each other, about

 private:
  struct State {
    Sentence name;  // of the step that led here
    ProjectPtr project;
    std::size_t bytes = 0;  // beside the state before it
  };
  void goTo(std::size_t state);
  void take(Sentence name, ProjectPtr next, bool continuing);
  void forgetOldest();

  std::size_t budget_;
  std::deque<State> states_;
  std::size_t at_ = 0, bytes_ = 0, taken_ = 0;
  State preview_;
  ProjectPtr saved_;
  bool forgot_ = false, dragging_ = false;
};

}  // namespace trellis
