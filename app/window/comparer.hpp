// SPDX-License-Identifier: GPL-3.0-or-later
// The variants of the project beside each other: builds the others while they are compared.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/view.hpp"
#include "core/assess/comparison.hpp"

namespace trellis {

class Comparer : public QObject {
  Q_OBJECT
 public:
  Comparer(Document& document, Builder& builder, View& view, QObject* parent = nullptr);
  ~Comparer() override;

  struct Side {
    Variant variant;
    BuildPtr build = {};  // null until it is known
    VariantFigures figures = {};
    Sentence problem = {};  // why it cannot be built
  };
  // All variants by id, the one in hand among them.
  const std::vector<Side>& sides() const { return sides_; }
  const Side* side(VariantId id) const;
  VariantId inHand() const { return document_.project()->shelf.inHand; }

  // What the others are measured against; the first where none was chosen or it is gone.
  VariantId base() const;
  void setBase(VariantId base);

  // Others are built only while somebody looks.
  void setWatched(bool watched);
  // Shows a variant in the scene beside the one in hand; none: no longer. It comes as soon as it is built.
  void lookAt(std::optional<VariantId> id, BesideMode mode);

 Q_SIGNALS:
  void changed();

 private:
  void refresh();
  void build();
  void takeSide(VariantId id, const ProjectPtr& project, const BuildPtr& build, const Sentence& problem);

  Document& document_;
  Builder& builder_;
  View& view_;
  std::vector<Side> sides_;
  VariantId base_;
  bool watched_ = false;
  std::optional<std::pair<VariantId, BesideMode>> lookedAt_;
  std::unique_ptr<Worker> worker_;  // last, so that its thread ends before anything it reports to
};

}  // namespace trellis
