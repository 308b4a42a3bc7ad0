// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/gap_drawing.hpp"

#include "core/support/tips.hpp"
#include "core/toolpath/support_paths.hpp"

#include "app/theme/theme.hpp"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double above = 2;  // layers of part drawn over the gap
constexpr double bodyLayers = 4;
constexpr double belowPart = 1.6;  // layers of part drawn under the support
constexpr double wordRoom = 26;    // pixels of part over and under the support
constexpr double footer = 20;      // pixels for the words under it
constexpr double planSide = 84;    // pixels of each look from above

// A cross-section from the part over the support down to what it stands on: on the left the part, on the right the
// plate or the raft.
class Section {
 public:
  Section(QPainter& painter, const Settings& settings, const QRectF& frame)
      : painter_(painter),
        support_(supportRules(settings)),
        paths_(supportPathRules(settings)),
        adhesion_(adhesionRules(settings)),
        layer_(settings.number("layer.height")),
        frame_(frame) {
    const double wide = support_.gapBeside + (isTree() ? 2.6 * pitch() : 3.2 * (paths_.bodySpacing + paths_.lineWidth));
    const double deep = above * layer_ + bodyTop() + (isTree() ? treeDepth() : 0) +
                        layer_ * (bodyLayers + support_.lowerLayers + belowPart) + support_.gapBelow;
    perMm_ = std::clamp(std::min((frame.width() - 22) / wide, frame.height() / deep), 6.0, 70.0);
    origin_ = {frame.left() + 22, frame.top() + std::max(wordRoom, above * layer_ * perMm_)};
    foot_ = (frame.bottom() - origin_.y() -
             std::max(wordRoom, perMm_ * (adhesion_.raftLayers * layer_ + adhesion_.raftGap))) /
            perMm_;
  }

  void draw() {
    const Theme& t = theme();
    painter_.setClipRect(frame_);
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(t.part);
    const double right = (frame_.right() - origin_.x()) / perMm_;
    painter_.drawRect(box(0, -frame_.height(), right, frame_.height()));  // the ceiling
    painter_.drawRect(QRectF(frame_.left(), frame_.top(), origin_.x() - frame_.left(), frame_.height()));  // the wall
    painter_.drawRect(box(0, foot_, middle(), frame_.height()));  // what a support stands on
    painter_.setPen(QPen(t.part.darker(112), 1));
    for (double z = -layer_ * std::floor(wordRoom / (layer_ * perMm_) + above); z < foot_; z += layer_) {
      const double y = origin_.y() + z * perMm_;
      painter_.drawLine(QPointF(frame_.left(), y), QPointF(z < 0 ? frame_.right() : origin_.x(), y));
    }
    if (isTree())
      for (double left = support_.gapBeside; left < right; left += 2 * pitch()) drawBranch(left);
    else
      drawStraight(right);
    drawFooting(right);
    drawDimensions();
    painter_.setClipping(false);
  }

 private:
  bool isTree() const { return support_.structure == Structure::tree; }
  double pitch() const { return support_.tipWidth + support_.tipSpacing; }
  // mm from under the interface to where a tip is as thin as its branch, and from there to where two branches meet.
  double tipDepth() const { return std::max(0.0, support_.tipWidth / 2 - neckRadius(support_)) / wideningOf(support_); }
  double forkDepth() const { return pitch() / 2 / std::tan(toRadians(support_.branchLean)); }
  double treeDepth() const { return tipDepth() + forkDepth(); }

  // Two tips on branches that meet, and what stands under them.
  void drawBranch(double left) {
    const double neck = 2 * neckRadius(support_), trunk = std::max(support_.trunkWidth, 1.3 * neck);
    const double first = left + support_.tipWidth / 2, meeting = first + pitch() / 2;
    const double under = bodyTop(), thin = under + tipDepth(), fork = thin + forkDepth();
    const bool onPart = meeting < middle();
    const double end = onPart ? foot_ - support_.gapBelow - layer_ * support_.lowerLayers : foot_;
    const auto at = [&](double x, double z) { return origin_ + QPointF(x, z) * perMm_; };
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(theme().body);
    const double half = trunk / 2, spread = onPart ? half : std::max(half, support_.footWidth / 2);
    painter_.drawPolygon(QPolygonF{at(meeting - half, fork - half), at(meeting + half, fork - half),
                                   at(meeting + spread, end), at(meeting - spread, end)});
    for (const double tip : {first, first + pitch()}) {
      painter_.setPen(Qt::NoPen);
      painter_.drawPolygon(QPolygonF{at(tip - support_.tipWidth / 2, under), at(tip + support_.tipWidth / 2, under),
                                     at(tip + neck / 2, thin), at(tip - neck / 2, thin)});
      painter_.setPen(QPen(theme().body, neck * perMm_, Qt::SolidLine, Qt::FlatCap));
      painter_.drawLine(at(tip, thin - 0.15 * neck), at(meeting, fork));
      for (int k = 0; k < support_.interfaceLayers; ++k)
        beads(support_.gapAbove + k * layer_, tip - support_.tipWidth / 2,
              tip + support_.tipWidth / 2 - 0.5 * paths_.lineWidth, paths_.interfaceSpacing, theme().interface);
      painter_.setBrush(theme().body);
    }
  }

  void drawStraight(double right) {
    for (int k = 0; k < support_.interfaceLayers; ++k)
      beads(support_.gapAbove + k * layer_, support_.gapBeside, right, paths_.interfaceSpacing, theme().interface);
    for (int k = 0; k < support_.gradedLayers; ++k)
      beads(support_.gapAbove + (support_.interfaceLayers + k) * layer_, support_.gapBeside, right,
            paths_.gradedSpacing, theme().body.darker(118));
    drawBody(right);
  }

  double bodyTop() const { return support_.gapAbove + layer_ * (support_.interfaceLayers + support_.gradedLayers); }
  double middle() const { return 0.55 * (frame_.right() - origin_.x()) / perMm_; }
  QRectF box(double left, double top, double width, double height) const {
    return {origin_.x() + left * perMm_, origin_.y() + top * perMm_, width * perMm_, height * perMm_};
  }

  void bead(double x, double top, double width) {
    const QRectF shape = box(x, top, width, layer_).adjusted(0, 0.4, 0, -0.4);
    painter_.drawRoundedRect(shape, shape.height() / 2, shape.height() / 2);
  }

  // Lines cut across.
  void beads(double top, double left, double right, double spacing, const QColor& colour) {
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(colour);
    for (double x = left; x < right; x += paths_.lineWidth + spacing) bead(x, top, paths_.lineWidth);
  }

  void drawBody(double right) {
    const double end = foot_ - support_.gapBelow - layer_ * support_.lowerLayers;
    for (double top = bodyTop(); top < end - 0.3 * layer_; top += layer_)
      beads(top, support_.gapBeside, middle(), paths_.bodySpacing, theme().body);
    const double plate = foot_;
    int k = 0;
    for (double top = plate - layer_; top > bodyTop() - 0.7 * layer_; top -= layer_, ++k) {
      const double spread =
          k < support_.footLayers ? support_.footSpread * (1 - static_cast<double>(k) / support_.footLayers) : 0;
      double x = support_.gapBeside;
      while (x < middle() + support_.gapBeside - spread) x += paths_.lineWidth + paths_.bodySpacing;
      if (spread > 0)
        beads(top, x - spread, right, paths_.bodySpacing / 2, theme().body.darker(112));
      else
        beads(top, x, right, paths_.bodySpacing, theme().body);
    }
  }

  void drawFooting(double right) {
    for (int k = 0; k < support_.lowerLayers; ++k)
      beads(foot_ - support_.gapBelow - layer_ * (k + 1), support_.gapBeside, middle(), paths_.lowerSpacing,
            theme().interfaceLower);
    painter_.setPen(Qt::NoPen);
    if (adhesion_.raftLayers > 0) {
      for (int k = 0; k < adhesion_.raftLayers; ++k)
        beads(foot_ + adhesion_.raftGap + k * layer_, middle() + 0.2, right, 0, theme().body.darker(125));
      return;
    }
    painter_.setPen(QPen(theme().ink, 1.5));
    painter_.drawLine(box(middle() + 0.2, foot_, 0, 0).topLeft(),
                      QPointF(frame_.right(), origin_.y() + foot_ * perMm_));
  }

  void label(const QPointF& at, const QString& words, Qt::Alignment align = Qt::AlignLeft) {
    const QRectF room = QRectF(at.x() - (align & Qt::AlignRight     ? 170
                                         : align & Qt::AlignHCenter ? 85
                                                                    : 0),
                               at.y() - 8, 170, 16);
    const QRectF text = painter_.fontMetrics()
                            .boundingRect(room.toRect(), static_cast<int>(align | Qt::AlignVCenter), words)
                            .adjusted(-3, 0, 3, 0);
    QColor card = theme().panel;
    card.setAlpha(225);
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(card);
    painter_.drawRoundedRect(text, 3, 3);
    painter_.setPen(theme().ink);
    painter_.drawText(room, static_cast<int>(align | Qt::AlignVCenter), words);
  }

  void upright(double x, double from, double to) {
    painter_.setPen(QPen(theme().accent, 1.5));
    for (const double y : {from, to}) painter_.drawLine(QPointF(x - 5, y), QPointF(x + 5, y));
    painter_.drawLine(QPointF(x, from), QPointF(x, to));
  }

  void drawDimensions() {
    const double top = origin_.y(), beside = support_.gapBeside * perMm_;
    upright(frame_.right() - 12, top, top + support_.gapAbove * perMm_);
    label({frame_.right() - 22, top - 12}, QObject::tr("above %1 mm").arg(support_.gapAbove, 0, 'f', 2),
          Qt::AlignRight);
    const double under = top + foot_ * perMm_;
    upright(origin_.x() + middle() * perMm_ - 12, under - support_.gapBelow * perMm_, under);
    label({origin_.x() + middle() * perMm_ - 22, under + 10},
          QObject::tr("below %1 mm").arg(support_.gapBelow, 0, 'f', 2), Qt::AlignRight);
    const double y = top + (bodyTop() + layer_ * 1.5) * perMm_;
    painter_.setPen(QPen(theme().accent, 1.5));
    painter_.drawLine(QPointF(origin_.x(), y), QPointF(origin_.x() + beside, y));
    for (const double end : {0.0, beside})
      painter_.drawLine(QPointF(origin_.x() + end, y - 5), QPointF(origin_.x() + end, y + 5));
    label({origin_.x() + beside + 6, y}, QObject::tr("beside %1 mm").arg(support_.gapBeside, 0, 'f', 2));
    if (adhesion_.raftLayers > 0)
      label({frame_.right() - 6, under + 10}, QObject::tr("raft, gap %1 mm").arg(adhesion_.raftGap, 0, 'f', 2),
            Qt::AlignRight);
    else if (support_.footLayers > 0)
      label({frame_.right() - 6, under + 10}, QObject::tr("foot %1 mm").arg(support_.footSpread, 0, 'f', 1),
            Qt::AlignRight);
  }

  QPainter& painter_;
  SupportRules support_;
  SupportPathRules paths_;
  AdhesionRules adhesion_;
  double layer_, perMm_ = 10, foot_ = 0;  // foot_: mm under the ceiling of what supports stand on
  QRectF frame_;
  QPointF origin_;  // where the wall meets the ceiling
};

// The lines of one use from above, as they would be printed in a square of so many millimetres.
struct Use {
  RegionKind kind;
  QColor colour;
  QString words;
};
void drawPlan(QPainter& painter, const Settings& settings, const Use& use, const QRectF& frame) {
  constexpr double side = 12;  // mm
  const double perMm = frame.width() / side;
  const PieceRegion region{0, use.kind, 0, rectangle({Vec2(0, 0), Vec2(side, side)})};
  painter.setPen(Qt::NoPen);
  painter.setBrush(theme().panel);
  painter.drawRect(frame);
  painter.setBrush(Qt::NoBrush);
  for (const Stages& island : regionPaths(region, 0, supportPathRules(settings)))
    for (const std::vector<Path>& stage : island)
      for (const Path& path : stage) {
        QPolygonF line;
        for (const Point& p : path.points)
          line << QPointF(frame.left() + toMm(p).x() * perMm, frame.bottom() - toMm(p).y() * perMm);
        if (path.closed) line << line.front();
        painter.setPen(QPen(use.colour, path.width * perMm * 0.9, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        painter.drawPolyline(line);
      }
  painter.setPen(theme().quiet);
  painter.drawText(QRectF(frame.left() - 6, frame.bottom() + 1, frame.width() + 12, 16),
                   Qt::AlignHCenter | Qt::AlignVCenter, use.words);
}

}  // namespace

GapDrawing::GapDrawing(Document& document, View& view, QWidget* parent)
    : QWidget(parent), document_(document), view_(view) {
  setMinimumHeight(sizeHint().height());
  connect(&document, &Document::changed, this, qOverload<>(&QWidget::update));
}

void GapDrawing::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(rect(), theme().paper);
  QFont small = font();
  small.setPixelSize(11);
  painter.setFont(small);
  const Settings settings = view_.settingsEdited();
  const QRectF all = rect();
  Section(painter, settings, QRectF(0, 0, all.width(), all.height() - planSide - 2 * footer)).draw();
  const double top = all.height() - planSide - footer + 2, apart = (all.width() - 3 * planSide) / 4;
  const auto plan = [&](int column, RegionKind kind, const QColor& colour, const QString& words) {
    drawPlan(painter, settings, {kind, colour, words}, {apart + column * (planSide + apart), top, planSide, planSide});
  };
  plan(0, RegionKind::interfaceUpper, theme().interface, tr("interface"));
  if (settings.whole("support.graded.layers") > 0)
    plan(1, RegionKind::graded, theme().body.darker(118), tr("graded"));
  else
    plan(1, RegionKind::interfaceLower, theme().interfaceLower, tr("lower interface"));
  plan(2, RegionKind::body, theme().body, tr("body"));
  painter.setPen(theme().quiet);
  painter.drawText(
      QRectF(0, top - footer, all.width() - 4, 16), Qt::AlignRight | Qt::AlignVCenter,
      tr("to scale, layers %1 mm; below from above, 12 mm").arg(settings.number("layer.height"), 0, 'f', 2));
}

}  // namespace trellis
