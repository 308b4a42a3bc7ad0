// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/finding_list.hpp"

#include "app/theme/theme.hpp"
#include "app/widgets/place_picture.hpp"

#include <QEvent>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QToolButton>

namespace trellis {

namespace {

constexpr int pictureSize = 56;       // pixels
constexpr double pictureAcross = 24;  // mm

// A symbol besides the colour, so that it survives grey print.
QString symbolOf(const Finding& finding) {
  if (finding.accepted) return "✓";
  return finding.severity == Severity::problem ? "◆" : finding.severity == Severity::warning ? "▲" : "○";
}

QColor colourOf(const Finding& finding) {
  if (finding.accepted) return theme().quiet;
  return finding.severity == Severity::problem   ? theme().floating
         : finding.severity == Severity::warning ? theme().ink
                                                 : theme().quiet;
}

}  // namespace

FindingList::FindingList(Document& document, Builder& builder, View& view, QWidget* parent)
    : QWidget(parent), document_(document), builder_(builder), view_(view) {
  setObjectName("findingList");
  column_ = new QVBoxLayout(this);
  column_->setContentsMargins(0, 0, 0, 0);
  column_->setSpacing(10);
  connect(&builder, &Builder::shownChanged, this, &FindingList::refresh);
  refresh();
}

void FindingList::refresh() {
  while (QLayoutItem* item = column_->takeAt(0)) {
    if (item->widget()) item->widget()->deleteLater();
    delete item;
  }
  const Shown& shown = builder_.shown();
  const std::size_t count = shown.build ? shown.build->findings.size() : 0;
  if (count == 0) {
    auto* none =
        new QLabel(shown.build ? tr("Nothing was noticed that needs a decision.") : tr("Nothing is built yet."));
    none->setObjectName("quiet");
    none->setWordWrap(true);
    column_->addWidget(none);
  }
  for (std::size_t i = 0; i < count; ++i) column_->addWidget(cardOf(i));
}

QWidget* FindingList::cardOf(std::size_t number) {
  const Shown& shown = builder_.shown();
  const Finding& finding = shown.build->findings[number];
  auto* card = new QWidget;
  card->setObjectName(QString("finding%1").arg(number));
  auto* whole = new QVBoxLayout(card);
  whole->setContentsMargins(0, 0, 0, 0);
  whole->setSpacing(4);
  auto* upper = new QHBoxLayout;
  upper->setSpacing(8);
  auto* picture = new QToolButton;
  picture->setObjectName("goThere");
  picture->setIcon(QIcon(placePicture(*shown.build, finding.at, pictureAcross, pictureSize)));
  picture->setIconSize({pictureSize, pictureSize});
  picture->setFixedSize(pictureSize + 4, pictureSize + 4);
  picture->setStyleSheet("padding: 0;");
  picture->setToolTip(
      tr("Go there: the layer at %1 mm, from above, %2 mm across.").arg(finding.at.z(), 0, 'f', 2).arg(pictureAcross));
  connect(picture, &QToolButton::clicked, this, [this, at = finding.at] { view_.goTo(at); });
  upper->addWidget(picture, 0, Qt::AlignTop);
  auto* words = new QLabel(
      QString("<span style='color:%1'>%2</span> %3%4")
          .arg(colourOf(finding).name(), symbolOf(finding), QString::fromStdString(finding.message).toHtmlEscaped(),
               finding.accepted && !finding.accepted->empty()
                   ? tr("<br><i>Accepted: %1</i>").arg(QString::fromStdString(*finding.accepted).toHtmlEscaped())
               : finding.accepted ? tr("<br><i>Accepted.</i>")
                                  : QString()));
  words->setObjectName(finding.accepted ? "quiet" : "words");
  words->setTextFormat(Qt::RichText);
  words->setWordWrap(true);
  upper->addWidget(words, 1);
  whole->addLayout(upper);
  whole->addWidget(remediesOf(number));
  return card;
}

// One button each, and what accepts the finding with a note.
QWidget* FindingList::remediesOf(std::size_t number) {
  const Finding& finding = builder_.shown().build->findings[number];
  auto* rows = new QWidget;
  auto* column = new QVBoxLayout(rows);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(4);
  if (finding.accepted) {
    auto* again = new QPushButton(tr("No longer accept it"));
    again->setObjectName("unaccept");
    connect(again, &QPushButton::clicked, this, [this, finding] { accept(finding, {}, false); });
    column->addWidget(again, 0, Qt::AlignLeft);
    return rows;
  }
  for (std::size_t k = 0; k < finding.remedies.size(); ++k) {
    QString name = QString::fromStdString(finding.remedies[k].name);
    name[0] = name[0].toUpper();
    auto* button = new QPushButton(name);
    button->setObjectName(QString("remedy%1").arg(k));
    button->setToolTip(tr("Does this and builds again. Undo takes it back."));
    connect(button, &QPushButton::clicked, this, [this, steps = finding.remedies[k].steps] {
      if (!builder_.isStale()) document_.performTogether(steps);
    });
    column->addWidget(button, 0, Qt::AlignLeft);
  }
  auto* line = new QHBoxLayout;
  auto* note = new QLineEdit;
  note->setObjectName("note");
  note->setPlaceholderText(tr("why it may stay"));
  auto* take = new QPushButton(tr("Accept"));
  take->setObjectName("accept");
  take->setToolTip(tr("Lets it be. The note is kept in the project; the finding moves to the end and is not counted."));
  const auto accepting = [this, finding, note] { accept(finding, note->text(), true); };
  connect(take, &QPushButton::clicked, this, accepting);
  connect(note, &QLineEdit::returnPressed, this, accepting);
  line->addWidget(note, 1);
  line->addWidget(take);
  column->addLayout(line);
  return rows;
}

void FindingList::accept(const Finding& finding, const QString& note, bool accepted) {
  if (!builder_.isStale())
    document_.perform(AcceptFinding{finding.part, finding.code, finding.at, note.toStdString(), accepted});
}

}  // namespace trellis
