// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/gap_drawing.hpp"

#include "app/theme/theme.hpp"
#include "core/pipeline/rules.hpp"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

// Millimetres to pixels; the origin is where the wall meets the ceiling.
struct Scale {
  double perMm;
  QPointF origin;
  QRectF box(double left, double top, double width, double height) const {
    return {origin.x() + left * perMm, origin.y() + top * perMm, width * perMm, height * perMm};
  }
};

class Drawer {
 public:
  Drawer(QPainter& painter, const Settings& settings, const QSize& size)
      : painter_(painter), support_(supportRules(settings)), paths_(supportPathRules(settings)),
        layer_(settings.number("layer.height")), size_(size) {
    const double wide = support_.gapBeside + 3.2 * (paths_.bodySpacing + paths_.lineWidth);
    const double depth = layer_ * 2 + support_.gapAbove + layer_ * (support_.interfaceLayers + 4);
    const double perMm = std::min((size.width() - 40) / wide, (size.height() - 42) / depth);
    scale_ = {std::clamp(perMm, 8.0, 70.0), QPointF(22, 14 + layer_ * 2 * std::clamp(perMm, 8.0, 70.0))};
  }

  void draw() {
    const Theme& t = theme();
    const double right = (size_.width() - scale_.origin.x()) / scale_.perMm, below = (size_.height() - scale_.origin.y() - 20) / scale_.perMm;
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(t.part);
    painter_.drawRect(scale_.box(0, -2 * layer_, right, 2 * layer_));            // the ceiling
    painter_.drawRect(QRectF(0, 0, scale_.origin.x(), size_.height() - 20));      // the wall
    painter_.setPen(QPen(t.part.darker(112), 1));
    for (double z = -layer_; z < below; z += layer_) {
      const double y = scale_.origin.y() + z * scale_.perMm;
      painter_.drawLine(QPointF(0, y), QPointF(z < 0 ? size_.width() : scale_.origin.x(), y));
    }
    drawInterface(right);
    drawBody(right, below);
    drawDimensions(below);
  }

 private:
  double interfaceBottom() const { return support_.gapAbove + layer_ * support_.interfaceLayers; }

  // Interface lines are cut across: beads with round ends. The body's, which run the other way, lie along.
  void drawInterface(double right) {
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(theme().interface);
    const double w = paths_.lineWidth, pitch = w + paths_.interfaceSpacing;
    for (int k = 0; k < support_.interfaceLayers; ++k)
      for (double x = support_.gapBeside; x < right; x += pitch) {
        const QRectF bead = scale_.box(x, support_.gapAbove + k * layer_, w, layer_);
        painter_.drawRoundedRect(bead.adjusted(0, 0.4, 0, -0.4), bead.height() / 2, bead.height() / 2);
      }
  }

  void drawBody(double right, double below) {
    painter_.setBrush(theme().body);
    const double w = paths_.lineWidth, pitch = w + paths_.bodySpacing;
    for (double top = interfaceBottom(); top < below - 1e-9; top += layer_)
      for (double x = support_.gapBeside; x < right; x += pitch) {
        const QRectF bead = scale_.box(x, top, w, std::min(layer_, below - top));
        painter_.drawRoundedRect(bead.adjusted(0, 0.4, 0, -0.4), bead.height() / 2, bead.height() / 2);
      }
  }

  void label(const QPointF& at, const QString& words, Qt::Alignment align = Qt::AlignLeft) {
    const QRectF box = QRectF(at.x() - (align & Qt::AlignRight ? 160 : align & Qt::AlignHCenter ? 80 : 0), at.y() - 8, 160, 16);
    const QRectF text = painter_.fontMetrics().boundingRect(box.toRect(), static_cast<int>(align | Qt::AlignVCenter), words).adjusted(-3, 0, 3, 0);
    QColor card = theme().panel;
    card.setAlpha(225);
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(card);
    painter_.drawRoundedRect(text, 3, 3);
    painter_.setPen(theme().ink);
    painter_.drawText(box, static_cast<int>(align | Qt::AlignVCenter), words);
  }

  void drawDimensions(double below) {
    const QPen pen(theme().accent, 1.5);
    const double x = size_.width() - 22, top = scale_.origin.y(), gap = support_.gapAbove * scale_.perMm;
    painter_.setPen(pen);
    painter_.drawLine(QPointF(x - 6, top), QPointF(x + 6, top));
    painter_.drawLine(QPointF(x - 6, top + gap), QPointF(x + 6, top + gap));
    painter_.drawLine(QPointF(x, top), QPointF(x, top + gap));
    label({x - 10, top - 14}, QObject::tr("gap above %1 mm").arg(support_.gapAbove, 0, 'f', 2), Qt::AlignRight);
    const double y = top + (interfaceBottom() + layer_ * 1.5) * scale_.perMm, beside = support_.gapBeside * scale_.perMm;
    painter_.setPen(pen);
    painter_.drawLine(QPointF(scale_.origin.x(), y), QPointF(scale_.origin.x() + beside, y));
    for (const double end : {0.0, beside}) painter_.drawLine(QPointF(scale_.origin.x() + end, y - 6), QPointF(scale_.origin.x() + end, y + 6));
    label({scale_.origin.x() + beside + 6, y}, QObject::tr("beside %1 mm").arg(support_.gapBeside, 0, 'f', 2));
    if (support_.interfaceLayers > 0)
      label({size_.width() / 2.0, top + (support_.gapAbove + layer_ * support_.interfaceLayers / 2.0) * scale_.perMm},
            QObject::tr("interface spacing %1 mm").arg(paths_.interfaceSpacing, 0, 'f', 2), Qt::AlignHCenter);
    label({size_.width() - 12.0, top + std::min(below - layer_, interfaceBottom() + layer_ * 3) * scale_.perMm},
          QObject::tr("body spacing %1 mm").arg(paths_.bodySpacing, 0, 'f', 2), Qt::AlignRight);
    painter_.setPen(theme().quiet);
    painter_.drawText(QRectF(0, size_.height() - 18, size_.width(), 16), Qt::AlignRight | Qt::AlignVCenter,
                      QObject::tr("to scale, layers %1 mm").arg(layer_, 0, 'f', 2));
  }

  QPainter& painter_;
  SupportRules support_;
  SupportPathRules paths_;
  double layer_;
  QSize size_;
  Scale scale_;
};

}  // namespace

GapDrawing::GapDrawing(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  setMinimumHeight(220);
  connect(&session, &Session::projectChanged, this, qOverload<>(&QWidget::update));
}

void GapDrawing::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(rect(), theme().paper);
  QFont small = font();
  small.setPixelSize(11);
  painter.setFont(small);
  Drawer(painter, session_.settingsEdited(), size()).draw();
}

}  // namespace trellis
