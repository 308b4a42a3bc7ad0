// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/hand.hpp"

#include <algorithm>

namespace trellis {

LayMark Brush::laying(std::size_t part, Stroke stroke, bool shift, bool clear) const {
  LayMark lay{part, mark == Mark::enforce ? enforceAs(tint) : mark, std::move(stroke)};
  lay.coat = coat;
  lay.rules.keepToOverhangs = keepToOverhangs;
  if (shift) lay.coat = Coat::support;
  if (shift) lay.mark = Mark::block;
  if (clear) lay.mark = Mark::none;
  return lay;
}

Hand::Hand(Document& document, View& view, Activity& activity, QObject* parent)
    : QObject(parent), document_(document), view_(view), activity_(activity) {
  connect(&view, &View::selectionChanged, this, [this] {
    if (brush_.twin) findTwin();
  });
}

void Hand::setSettling(bool settling) {
  settling_ = settling;
  if (settling) brush_.tool = Tool::pick;
  Q_EMIT brushChanged();
}

void Hand::setBrush(const Brush& brush) {
  brush_ = brush;
  brush_.radius = std::clamp(brush_.radius, 0.15, 30.0);
  if (brush.tool != Tool::pick) settling_ = false;
  if (brush_.twin) findTwin();
  Q_EMIT brushChanged();
}

std::optional<Symmetry> Hand::twinPlane() const {
  if (view_.selection().empty()) return std::nullopt;
  const MeshPtr& mesh = document_.project()->parts[view_.selection().back()]->mesh;
  if (twinAxis_ >= 0) return Symmetry{{mesh->bounds.center(), Vec3::Unit(twinAxis_)}, 0};
  const auto found = symmetries_.find(mesh->key);
  return found == symmetries_.end() ? std::nullopt : std::optional(found->second);
}

void Hand::setTwinAxis(int axis) {
  twinAxis_ = axis;
  Q_EMIT brushChanged();
}

void Hand::findTwin() {
  if (view_.selection().empty() || twinPlane()) return;
  activity_.errands().doNext(
      [this, mesh = document_.project()->parts[view_.selection().back()]->mesh](const Progress& progress) {
        progress.report(0.2, "looking for symmetry");
        const Symmetry symmetry = findSymmetry(mesh, progress);
        activity_.here([this, symmetry, key = mesh->key] {
          symmetries_[key] = symmetry;
          Q_EMIT brushChanged();
        });
      });
}

}  // namespace trellis
