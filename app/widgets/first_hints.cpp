// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/first_hints.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QSettings>
#include <QToolButton>

#include <algorithm>

namespace trellis {

namespace {

constexpr int margin = 14;  // pixels to the scene's rim
constexpr const char* kept[] = {"hints/turn", "hints/see", "hints/paint"};

bool isLeft(int hint) { return !QSettings().value(kept[hint]).toBool(); }

}  // namespace

FirstHints::FirstHints(QWidget* scene) : SceneCard(scene) {
  setObjectName("hints");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(12, 6, 6, 6);
  column->setSpacing(0);
  const QString words[] = {tr("Turn the view with the right button; Y looks from below."),
                           tr("Rose is what hangs. Study (Alt+2) lists it, site by site."),
                           tr("Paint on it: E enforces support, B blocks it. The tally follows each stroke.")};
  for (int hint = 0; hint < count; ++hint) {
    rows_[hint] = new QWidget;
    auto* line = new QHBoxLayout(rows_[hint]);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(new QLabel(words[hint]), 1);
    auto* away = new QToolButton;
    away->setText("×");
    away->setAutoRaise(true);
    away->setToolTip(tr("I know."));
    away->setAccessibleName(tr("Dismiss this hint"));
    connect(away, &QToolButton::clicked, this, [this, hint] { done(static_cast<Hint>(hint)); });
    line->addWidget(away);
    column->addWidget(rows_[hint]);
  }
  hide();
}

void FirstHints::offer() { settle(); }

void FirstHints::done(Hint hint) {
  if (!isLeft(hint)) return;
  QSettings().setValue(kept[hint], true);
  if (isVisible()) settle();
}

void FirstHints::settle() {
  for (int hint = 0; hint < count; ++hint) rows_[hint]->setVisible(isLeft(hint));
  const bool any = std::any_of(rows_, rows_ + count, [](const QWidget* row) { return !row->isHidden(); });
  setVisible(any);
  if (!any) return;
  fitWithin(parentWidget()->width() - 2 * margin);
  move(margin, margin);
  raise();
}

}  // namespace trellis
