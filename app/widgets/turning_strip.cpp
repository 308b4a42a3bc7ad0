// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/turning_strip.hpp"

#include "core/settings/rules.hpp"

#include "app/theme/spoken.hpp"
#include "app/widgets/thumbnail_image.hpp"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>
#include <numeric>

namespace trellis {

namespace {

// What turnings may be sorted by, and which way is better.
struct Order {
  const char* name;
  double (*badness)(const ShownTurning&);
};
constexpr Order orders[] = {
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "best first"), [](const ShownTurning&) { return 0.0; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "least support"),
     [](const ShownTurning& t) { return t.turning.supportVolume; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "least hanging"),
     [](const ShownTurning& t) { return t.turning.hanging; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "least scarred"),
     [](const ShownTurning& t) { return t.turning.scarred; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "least where it is seen"),
     [](const ShownTurning& t) { return t.turning.seenScarred; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "most on the plate"),
     [](const ShownTurning& t) { return -t.turning.contact; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "lowest"), [](const ShownTurning& t) { return t.turning.height; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "least stepping"),
     [](const ShownTurning& t) { return t.turning.stepped; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "least thin and leaning"),
     [](const ShownTurning& t) { return t.turning.thin; }},
    {QT_TRANSLATE_NOOP("trellis::TurningStrip", "steadiest"), [](const ShownTurning& t) { return t.deflection; }},
};

QString squareCentimetres(double mm2) { return inFigures(mm2 / 100, 1) + " cm²"; }

QString squareMillimetres(double mm2) { return inFigures(mm2, 1) + " mm²"; }

QString figuresOf(const ShownTurning& shown, bool hasSeen) {
  const Turning& t = shown.turning;
  const auto row = [](const QString& name, const QString& value) {
    return QString("<tr><td>%1&nbsp;&nbsp;</td><td align='right'>%2</td></tr>").arg(name, value);
  };
  return "<table>" + row(QObject::tr("support, about"), inFigures(t.supportVolume / 1000, 1) + " cm³") +
         row(QObject::tr("hanging"), squareCentimetres(t.hanging)) +
         row(QObject::tr("scarred"), squareCentimetres(t.scarred)) +
         (hasSeen ? row(QObject::tr("scarred where it is seen"), squareMillimetres(t.seenScarred)) : QString()) +
         row(QObject::tr("on the plate"), squareCentimetres(t.contact)) +
         row(QObject::tr("height"), inFigures(t.height, 1) + " mm") +
         row(QObject::tr("stepped faces"), squareCentimetres(t.stepped)) +
         (hasSeen ? row(QObject::tr("stepped where it is seen"), squareMillimetres(t.seenStepped)) : QString()) +
         row(QObject::tr("thin and leaning: curls, and breaks easily"), squareCentimetres(t.thin)) +
         row(QObject::tr("sways under 1 N by"), inFigures(shown.deflection, 2) + " mm") +
         row(QObject::tr("plate holds against"), shown.safetyFactor > 99
                                                     ? QObject::tr("over 99 N")
                                                     : QObject::tr("%1 N").arg(shown.safetyFactor, 0, 'f', 1)) +
         "</table>";
}

}  // namespace

TurningStrip::TurningStrip(Document& document, View& view, QWidget* parent)
    : QWidget(parent), document_(document), view_(view) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  auto* line = new QHBoxLayout;
  find_ = new QPushButton(tr("Look for turnings"));
  find_->setObjectName("findTurnings");
  find_->setToolTip(
      tr("Ways to put the selected part on the plate, with what each would cost in support. A first set comes at once, "
         "a better one soon after."));
  order_ = new QComboBox;
  order_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
  for (const Order& order : orders) order_->addItem(tr(order.name));
  line->addWidget(find_, 1);
  line->addWidget(order_, 1);
  column->addLayout(line);
  list_ = new QListWidget;
  list_->setObjectName("turnings");
  list_->setToolTip(
      tr("Under each picture is about how much support it needs. Click one to try it, click it again to keep it."));
  list_->setViewMode(QListView::IconMode);
  list_->setFlow(QListView::LeftToRight);
  list_->setWrapping(false);
  list_->setMovement(QListView::Static);
  list_->setIconSize({72, 72});
  list_->setGridSize({84, 96});
  list_->setFixedHeight(118);
  list_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  column->addWidget(list_);
  figures_ = new QLabel;
  figures_->setObjectName("quiet");
  figures_->setTextFormat(Qt::RichText);
  figures_->setWordWrap(true);
  column->addWidget(figures_);
  connect(find_, &QPushButton::clicked, &view, &View::findTurnings);
  connect(order_, &QComboBox::activated, this, &TurningStrip::refresh);
  connect(list_, &QListWidget::itemClicked, this, [this](QListWidgetItem* item) { take(list_->row(item)); });
  connect(list_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) { take(list_->row(item)); });
  connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
    if (row < 0 || view_.selectedPart() < 0) return;
    const bool hasSeen = !document_.project()->parts[view_.selection().back()]->seen->empty();
    figures_->setText(figuresOf(view_.turnings()[shown_[static_cast<std::size_t>(row)]], hasSeen));
  });
  connect(&view, &View::turningsChanged, this, &TurningStrip::refresh);
  connect(&document, &Document::changed, this, [this] {
    if (!document_.isPreviewing()) tried_ = -1;
    find_->setEnabled(view_.selectedPart() >= 0);
  });
  refresh();
}

void TurningStrip::refresh() {
  const auto& turnings = view_.turnings();
  const Order& order = orders[order_->currentIndex()];
  shown_.resize(turnings.size());
  std::iota(shown_.begin(), shown_.end(), 0u);
  std::stable_sort(shown_.begin(), shown_.end(), [&](std::size_t a, std::size_t b) {
    return order.badness(turnings[a]) < order.badness(turnings[b]);
  });
  list_->clear();
  tried_ = -1;
  for (const std::size_t i : shown_)
    list_->addItem(new QListWidgetItem(
        QIcon(QPixmap::fromImage(imageOf(turnings[i].picture, hangsBeyond(view_.settingsInHand())))),
        inFigures(turnings[i].turning.supportVolume / 1000, 1) + " cm³"));
  find_->setEnabled(view_.selectedPart() >= 0);
  for (QWidget* widget : std::initializer_list<QWidget*>{list_, order_, figures_})
    widget->setVisible(!turnings.empty());
  if (!shown_.empty()) list_->setCurrentRow(0);
}

void TurningStrip::take(int row) {
  if (view_.selectedPart() < 0) return;
  if (row == tried_ && document_.isPreviewing()) return document_.keepPreview();
  PlacePart place;
  place.part = view_.selection().back();
  place.turn = view_.turnings()[shown_[static_cast<std::size_t>(row)]].turning.turn;
  if (document_.project()->parts[place.part]->placement.turn == *place.turn)
    return;  // a double click keeps, and no more
  place.drop = true;
  document_.preview(place);
  tried_ = row;
}

}  // namespace trellis
