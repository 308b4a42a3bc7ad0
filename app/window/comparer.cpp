// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/comparer.hpp"

#include <algorithm>

namespace trellis {

Comparer::Comparer(Document& document, Builder& builder, View& view, QObject* parent)
    : QObject(parent), document_(document), builder_(builder), view_(view) {
  worker_ = std::make_unique<Worker>(Worker::Reports{[](double, const std::string&) {}, [](const std::string&) {}});
  connect(&document, &Document::changed, this, &Comparer::refresh);
  connect(&document, &Document::replaced, this, [this] {
    lookAt(std::nullopt, BesideMode::outlines);
    sides_.clear();
  });
  connect(&builder, &Builder::shownChanged, this, &Comparer::refresh);
  refresh();
}

Comparer::~Comparer() = default;

const Comparer::Side* Comparer::side(VariantId id) const {
  const auto found =
      std::find_if(sides_.begin(), sides_.end(), [&](const Side& side) { return side.variant.id == id; });
  return found == sides_.end() ? nullptr : &*found;
}

VariantId Comparer::base() const {
  if (side(base_)) return base_;
  return sides_.empty() ? VariantId{} : sides_.front().variant.id;
}

void Comparer::setBase(VariantId base) {
  base_ = base;
  Q_EMIT changed();
}

void Comparer::setWatched(bool watched) {
  watched_ = watched;
  if (watched)
    build();
  else
    worker_->cancel();
}

// What is known of a variant stays with it as long as it is the same value.
void Comparer::refresh() {
  const std::vector<Side> before = std::move(sides_);
  sides_.clear();
  for (const Variant& variant : variantsOf(document_.project())) {
    Side side{variant};
    const bool isInHand = variant.id == inHand();
    for (const Side& old : before)
      if (!isInHand && old.variant.id == variant.id && old.variant.project == variant.project)
        side = {variant, old.build, old.figures, old.problem};
    if (isInHand && builder_.shown().build && !builder_.isStale()) {
      side.build = builder_.shown().build;
      side.figures = figuresOf(variant.project->settings, *side.build);
    }
    sides_.push_back(std::move(side));
  }
  if (lookedAt_ && (!side(lookedAt_->first) || lookedAt_->first == inHand())) {
    lookedAt_.reset();
    view_.setBeside(std::nullopt);
  }
  Q_EMIT changed();
  if (watched_ && !builder_.isStale()) build();
}

// Quietly, one after the other; what the maker does goes first.
void Comparer::build() {
  std::vector<Variant> wanted;
  for (const Side& side : sides_)
    if (!side.build && side.problem.empty() && side.variant.id != inHand()) wanted.push_back(side.variant);
  if (wanted.empty()) return;
  worker_->doOnly([this, wanted](const Progress& progress) {
    for (const Variant& variant : wanted) {
      BuildPtr build;
      Sentence problem;
      try {
        build = builder_.made(variant.project, progress).build;
      } catch (const Error& error) {
        problem = error.sentence();
      }
      QMetaObject::invokeMethod(
          this, [this, variant, build, problem] { takeSide(variant.id, variant.project, build, problem); },
          Qt::QueuedConnection);
    }
  });
}

void Comparer::takeSide(VariantId id, const ProjectPtr& project, const BuildPtr& build, const Sentence& problem) {
  for (Side& side : sides_)
    if (side.variant.id == id && side.variant.project == project) {
      side.build = build;
      side.problem = problem;
      if (build) side.figures = figuresOf(project->settings, *build);
    }
  if (lookedAt_ && lookedAt_->first == id) lookAt(id, lookedAt_->second);
  Q_EMIT changed();
}

void Comparer::lookAt(std::optional<VariantId> id, BesideMode mode) {
  lookedAt_ = id ? std::optional(std::pair(*id, mode)) : std::nullopt;
  const Side* other = id ? side(*id) : nullptr;
  if (!other || !other->build) return view_.setBeside(std::nullopt);
  const Side* here = side(inHand());
  view_.setBeside(Beside{
      *id, QString::fromStdString(other->variant.name), here ? QString::fromStdString(here->variant.name) : QString(),
      builder_.made(other->variant.project, Progress()), mode, view_.beside() ? view_.beside()->wipe : 0.5});
}

}  // namespace trellis
