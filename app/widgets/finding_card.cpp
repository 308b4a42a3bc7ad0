// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/finding_card.hpp"

#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "app/widgets/flow_layout.hpp"
#include "app/widgets/place_picture.hpp"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QToolButton>

namespace trellis {

namespace {

constexpr int pictureSize = 56;       // pixels
constexpr double pictureAcross = 24;  // mm
constexpr int widestButton = 230;     // pixels of words on one line, at the narrowest the worksheet is

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

QLabel* wrapped(const QString& words) {
  auto* label = new QLabel(words);
  label->setTextFormat(Qt::RichText);
  label->setWordWrap(true);
  label->setMinimumWidth(1);
  return label;
}

void clear(QLayout& layout) {
  while (QLayoutItem* item = layout.takeAt(0)) {
    delete item->widget();
    delete item;
  }
}

QString upperFirst(QString words) {
  if (!words.isEmpty()) words[0] = words[0].toUpper();
  return words;
}

// "+0.4 g, +3 min"; nothing where it costs nothing.
QString costWords(const RemedyCost& cost) {
  QStringList words;
  const auto add = [&](double value, int decimals, const QString& unit) {
    const QString figure = inFigures(std::abs(value), decimals);
    if (figure.toDouble() != 0) words << (value > 0 ? "+" : "−") + figure + " " + unit;
  };
  add(cost.grams, 1, "g");
  add(cost.seconds / 60, 0, "min");
  return words.join(", ");
}

}  // namespace

FindingCard::FindingCard(const Finding& finding, Document& document, Builder& builder, View& view, QWidget* parent)
    : QFrame(parent), finding_(finding), document_(document), builder_(builder), view_(view) {
  setProperty("card", true);
  setProperty("code", QString::fromStdString(finding.code));
  setFocusPolicy(Qt::StrongFocus);
  setCursor(Qt::PointingHandCursor);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(8, 6, 8, 6);
  column->setSpacing(4);
  const QString message = spoken(finding.message);
  auto* words = wrapped(QString("<span style='color:%1'>%2</span> <b>%3</b>")
                            .arg(colourOf(finding).name(), symbolOf(finding), message.toHtmlEscaped()));
  words->setObjectName(finding.accepted ? "quiet" : "words");
  column->addWidget(words);
  setAccessibleName(message);
  more_ = new QWidget;
  auto* details = new QVBoxLayout(more_);
  details->setContentsMargins(0, 0, 0, 0);
  details->setSpacing(6);
  column->addWidget(more_);
  addPlaces(*details);
  addRemedies(*details);
  asked_ = new QVBoxLayout;
  details->addLayout(asked_);
  setOpen(false);
}

void FindingCard::setOpen(bool open) { more_->setVisible(open); }

void FindingCard::mousePressEvent(QMouseEvent* event) {
  Q_EMIT chosen();
  QFrame::mousePressEvent(event);
}

void FindingCard::keyPressEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Space) return Q_EMIT chosen();
  QFrame::keyPressEvent(event);
}

// The picture of a place, and arrows from one to the next where there are several.
void FindingCard::addPlaces(QVBoxLayout& column) {
  auto* line = new QHBoxLayout;
  line->setSpacing(8);
  auto* picture = new QToolButton;
  picture->setObjectName("goThere");
  picture->setIcon(QIcon(placePicture(*builder_.shown().build, finding_.at, pictureAcross, pictureSize)));
  picture->setIconSize({pictureSize, pictureSize});
  picture->setFixedSize(pictureSize + 4, pictureSize + 4);
  picture->setStyleSheet("padding: 0;");
  picture->setToolTip(
      tr("Go there: the layer at %1 mm, from above, %2 mm across.").arg(finding_.at.z(), 0, 'f', 2).arg(pictureAcross));
  connect(picture, &QToolButton::clicked, this, [this] { goTo(place_); });
  line->addWidget(picture, 0, Qt::AlignTop);
  QString detail = spoken(finding_.detail).toHtmlEscaped();
  if (finding_.accepted)
    detail += finding_.accepted->empty()
                  ? tr("<br><i>Accepted.</i>")
                  : tr("<br><i>Accepted: %1</i>").arg(QString::fromStdString(*finding_.accepted).toHtmlEscaped());
  line->addWidget(wrapped(detail), 1);
  column.addLayout(line);
  if (places() == 1) return;
  auto* steps = new QHBoxLayout;
  auto* which = new QLabel;
  const auto step = [this, which](std::size_t by) {
    place_ = (place_ + by) % places();
    which->setText(tr("place %1 of %2").arg(place_ + 1).arg(places()));
  };
  const auto arrow = [&](const QString& words, const char* name, std::size_t by) {
    auto* button = new QToolButton;
    button->setText(words);
    button->setObjectName(name);
    connect(button, &QToolButton::clicked, this, [this, step, by] {
      step(by);
      goTo(place_);
    });
    steps->addWidget(button);
  };
  arrow("◂", "previousPlace", places() - 1);
  steps->addWidget(which);
  arrow("▸", "nextPlace", 1);
  steps->addStretch(1);
  step(0);
  column.addLayout(steps);
}

void FindingCard::goTo(std::size_t place) {
  view_.goTo(finding_.places.empty() ? finding_.at : finding_.places[place]);
}

// Remedies and accepting in one row, as far as that is wide enough.
void FindingCard::addRemedies(QVBoxLayout& column) {
  auto* row = new FlowLayout(6);
  column.addLayout(row);
  const auto button = [&](const QString& words, const QString& name, const QString& help, const auto& act) {
    auto* made = new QPushButton(words);
    made->setObjectName(name);
    made->setToolTip(help);
    connect(made, &QPushButton::clicked, this, act);
    row->addWidget(made);
    return made;
  };
  if (finding_.accepted) {
    button(tr("No longer accept it"), "unaccept", tr("It is counted again."), [this] { accept({}, false); });
    return;
  }
  for (std::size_t k = 0; k < finding_.remedies.size(); ++k) {
    const Remedy& remedy = finding_.remedies[k];
    const QString cost = remedy.cost ? costWords(*remedy.cost) : QString(), name = upperFirst(spoken(remedy.name)),
                  inOne = name + (cost.isEmpty() ? "" : " · " + cost);
    const bool fits = fontMetrics().horizontalAdvance(inOne) < widestButton;
    button(fits || cost.isEmpty() ? inOne : name + "\n" + cost, QString("remedy%1").arg(k),
           tr("It was tried, and it helps. Undo takes it back."), [this, remedy] { ask(remedy); });
  }
  button(tr("Accept…"), "accept", tr("Lets it be. The finding moves to the end and is not counted."),
         [this] { askForNote(); });
  if (!builder_.remediesAreTried() && finding_.severity != Severity::note) {
    auto* trying = new QLabel(tr("trying what helps…"));
    trying->setObjectName("quiet");
    row->addWidget(trying);
  }
}

// What would undo a decision is done only once the maker has said so.
void FindingCard::ask(const Remedy& remedy) {
  const auto apply = [this, steps = remedy.steps] {
    if (!builder_.isStale()) document_.performTogether(steps);
  };
  if (remedy.overrules.empty()) return apply();
  clear(*asked_);
  QStringList what;
  for (const Sentence& one : remedy.overrules) what << spoken(one);
  asked_->addWidget(wrapped(tr("This overrules %1.").arg(what.join(tr(" and ")).toHtmlEscaped())));
  auto* yes = new QPushButton(tr("Overrule it"));
  yes->setObjectName("overrule");
  connect(yes, &QPushButton::clicked, this, apply);
  asked_->addWidget(yes, 0, Qt::AlignLeft);
}

void FindingCard::askForNote() {
  clear(*asked_);
  auto* note = new QLineEdit;
  note->setObjectName("note");
  note->setPlaceholderText(tr("Why you accept it, for later (may stay empty). Enter accepts."));
  connect(note, &QLineEdit::returnPressed, this, [this, note] { accept(note->text(), true); });
  asked_->addWidget(note);
  note->setFocus();
}

void FindingCard::accept(const QString& note, bool accepted) {
  if (!builder_.isStale())
    document_.perform(AcceptFinding{finding_.part, finding_.code, finding_.at, note.toStdString(), accepted});
}

}  // namespace trellis
