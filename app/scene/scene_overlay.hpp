// SPDX-License-Identifier: GPL-3.0-or-later
// Words and figures over the scene: millimetres along the plate, and what to do when it is empty. A widget
// of its own, because painting over OpenGL with a core profile leaves nothing on some drivers.
#pragma once

#include "app/scene/handles.hpp"
#include "app/window/builder.hpp"
#include "app/window/document.hpp"
#include "app/window/view.hpp"

#include <QWidget>

namespace trellis {

class SceneOverlay : public QWidget {
  Q_OBJECT
 public:
  // What of the scene it is drawn over.
  struct Under {
    const Camera& camera;
    const std::vector<Handle>& handles;
  };
  SceneOverlay(Document& document, Builder& builder, View& view, const Under& under, QWidget* parent);
  void setLegend(const QStringList& words);  // one under the other in the corner; none without words
  const QStringList& legend() const { return legend_; }

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  void drawFigures(QPainter& painter);
  void drawLetters(QPainter& painter);
  void drawGap(QPainter& painter);
  void drawDistances(QPainter& painter);
  void drawWayOut(QPainter& painter);
  void drawBeside(QPainter& painter);
  void drawLabel(QPainter& painter, const QPointF& at, const QString& words);

  Document& document_;
  Builder& builder_;
  View& view_;
  const Camera& camera_;
  const std::vector<Handle>& handles_;
  QStringList legend_;
};

}  // namespace trellis
