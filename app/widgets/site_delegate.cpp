// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/site_delegate.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "app/widgets/mark_swatch.hpp"
#include "app/widgets/site_model.hpp"

#include <QAbstractItemView>
#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolTip>

namespace trellis {

namespace {

constexpr int rowHeight = 72, pictureSize = 42, boxSize = 20;

QColor rose(double lean, double from) {
  const double share = std::clamp((lean - from) / std::max(1.0, 90 - from), 0.0, 1.0);
  const auto mix = [&](int low, int high) { return static_cast<int>(low + (high - low) * share); };
  const Theme& t = theme();
  return {mix(t.hangingLow.red(), t.hangingHigh.red()), mix(t.hangingLow.green(), t.hangingHigh.green()),
          mix(t.hangingLow.blue(), t.hangingHigh.blue())};
}

void paintShadow(QPainter& painter, const QRectF& box, const Site& site) {
  painter.fillRect(box, theme().sheet);
  const Box2 bounds = boundsOf(site.shadow);
  if (bounds.isEmpty()) return;
  const double scale = (box.width() - 8) / std::max(1e-3, bounds.sizes().maxCoeff());
  QPainterPath path;
  for (const Polygon& outline : site.shadow) {
    QPolygonF polygon;
    for (const Point& p : outline) {
      const Vec2 at = (toMm(p) - bounds.center()) * scale;
      polygon << box.center() + QPointF(at.x(), -at.y());
    }
    path.addPolygon(polygon);
    path.closeSubpath();
  }
  painter.fillPath(path, rose(site.worstLean, 45));
  if (!site.starts.empty()) {
    const QPointF at = box.topRight() + QPointF(-7, 7);
    painter.setBrush(theme().floating);
    painter.setPen(Qt::NoPen);
    painter.drawPolygon(QPolygonF({at + QPointF(0, -5), at + QPointF(5, 0), at + QPointF(0, 5), at + QPointF(-5, 0)}));
  }
}

// "off in 0.4 min · striped 34 mm²", and how much of it will be looked at.
QString leftBy(const SiteModel::Row& row) {
  std::size_t most = 0;
  for (std::size_t k = 1; k < scarCount; ++k)
    if (row.scars.areas[k] > row.scars.areas[most]) most = k;
  QString words = QObject::tr("off in %1 min · %2 %L3 mm²")
                      .arg(row.removal, 0, 'f', 1)
                      .arg(spoken(nameOf(static_cast<Scar>(most))))
                      .arg(row.scars.areas[most], 0, 'f', 1);
  if (row.scars.allSeen() >= 0.05) words += QObject::tr(", %L1 seen").arg(row.scars.allSeen(), 0, 'f', 1);
  return words;
}

}  // namespace

QSize SiteDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const { return {200, rowHeight}; }

QRectF SiteDelegate::choiceBox(const QRect& row, int which) {
  return {row.right() - (3 - which) * (boxSize + 3) - 4.0, row.top() + 8.0, boxSize, boxSize};
}

void SiteDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const {
  const SiteModel::Row& row = sites_.rowAt(index);
  const Site& site = *row.site;
  painter->save();
  painter->setRenderHint(QPainter::Antialiasing);
  if (option.state & (QStyle::State_Selected | QStyle::State_MouseOver)) {
    QColor back = theme().accent;
    back.setAlpha(option.state & QStyle::State_Selected ? 56 : 24);
    painter->fillRect(option.rect, back);
  }
  const QRectF picture(option.rect.left() + 6, option.rect.top() + 7, pictureSize, pictureSize);
  paintShadow(*painter, picture, site);
  painter->setPen(theme().rule);
  painter->setBrush(Qt::NoBrush);
  painter->drawRect(picture);
  const double left = picture.right() + 8, width = option.rect.right() - left - 4;
  QFont bold = option.font;
  bold.setBold(true);
  painter->setFont(bold);
  painter->setPen(theme().ink);
  painter->drawText(QRectF(left, option.rect.top() + 6, width, 16), Qt::AlignLeft,
                    painter->fontMetrics().elidedText(row.partName, Qt::ElideMiddle, 80) +
                        tr(" %1 · %L2 mm²").arg(row.id.site + 1).arg(site.area, 0, 'f', 1));
  painter->setFont(option.font);
  painter->setPen(theme().quiet);
  const QString bridge =
      site.bridge ? tr("bridges %1 mm").arg(site.span, 0, 'f', 1) : tr("span %1 mm").arg(site.span, 0, 'f', 1);
  painter->drawText(
      QRectF(left, option.rect.top() + 21, width, 16), Qt::AlignLeft,
      tr("%1–%2 mm · %3°").arg(site.low, 0, 'f', 1).arg(site.high, 0, 'f', 1).arg(site.worstLean, 0, 'f', 0));
  painter->drawText(QRectF(left, option.rect.top() + 37, width, 16), Qt::AlignLeft,
                    row.priced && row.grams < 0.005 ? tr("%1 · no support").arg(bridge)
                    : row.priced
                        ? tr("%1 · %2 g · %3 min").arg(bridge).arg(row.grams, 0, 'f', 2).arg(row.minutes, 0, 'f', 1)
                        : bridge + tr(" · …"));
  if (row.priced && row.scars.all() > 0)
    painter->drawText(QRectF(left, option.rect.top() + 53, width, 16), Qt::AlignLeft, leftBy(row));
  for (int which = 0; which < 3; ++which) {
    const QRectF box = choiceBox(option.rect, which);
    paintSwatch(*painter, box.adjusted(3, 3, -3, -3),
                which == 0   ? Mark::none
                : which == 1 ? Mark::enforce
                             : Mark::block);
    painter->setBrush(Qt::NoBrush);
    painter->setPen(QPen(static_cast<int>(row.choice) == which ? theme().accent : theme().rule,
                         static_cast<int>(row.choice) == which ? 2 : 1));
    painter->drawRoundedRect(box, 3, 3);
  }
  painter->setPen(theme().rule);
  painter->drawLine(option.rect.bottomLeft(), option.rect.bottomRight());
  painter->restore();
}

bool SiteDelegate::editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                               const QModelIndex& index) {
  if (event->type() == QEvent::MouseButtonRelease)
    for (int which = 0; which < 3; ++which)
      if (choiceBox(option.rect, which).contains(static_cast<QMouseEvent*>(event)->position())) {
        Q_EMIT chosen(index, static_cast<Choice>(which));
        return true;
      }
  return QStyledItemDelegate::editorEvent(event, model, option, index);
}

bool SiteDelegate::helpEvent(QHelpEvent* event, QAbstractItemView* view, const QStyleOptionViewItem& option,
                             const QModelIndex& index) {
  static const char* words[] = {"As proposed: support as the free lean, the bridge limit and the source say.",
                                "Enforce: support under this site, whatever is proposed.",
                                "Block: no support under this site."};
  for (int which = 0; which < 3; ++which)
    if (index.isValid() && choiceBox(option.rect, which).contains(event->pos())) {
      QToolTip::showText(event->globalPos(), tr(words[which]), view);
      return true;
    }
  return QStyledItemDelegate::helpEvent(event, view, option, index);
}

}  // namespace trellis
