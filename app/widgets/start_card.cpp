// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/start_card.hpp"

#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

namespace trellis {

StartCard::StartCard(bool hasDemo, QWidget* scene) : SceneCard(scene) {
  setObjectName("start");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(28, 22, 28, 24);
  column->setSpacing(10);
  auto* heading = new QLabel(tr("Drop a part here"));
  heading->setObjectName("heading");
  auto* words = new QLabel(tr("a mesh (STL, OBJ, PLY, OFF, 3MF, AMF), a project, or G-code to try"));
  words->setObjectName("quiet");
  for (QLabel* label : {heading, words}) {
    label->setAlignment(Qt::AlignHCenter);
    column->addWidget(label);
  }
  column->addSpacing(6);
  auto* line = new QHBoxLayout;
  line->setSpacing(10);
  const auto button = [&](const char* name, const QString& title, void (StartCard::*asked)()) {
    auto* made = new QPushButton(title);
    made->setObjectName(name);
    made->setMinimumHeight(36);
    connect(made, &QPushButton::clicked, this, asked);
    line->addWidget(made);
  };
  button("startOpen", tr("Open a part…"), &StartCard::openAsked);
  if (hasDemo) button("startDemo", tr("Take the demo parts"), &StartCard::demoAsked);
  button("startLadder", tr("Try a filament: a ladder"), &StartCard::ladderAsked);
  column->addLayout(line);
  hide();
}

void StartCard::settle() {
  adjustSize();
  move((parentWidget()->width() - width()) / 2, (parentWidget()->height() - height()) / 2);
  raise();
}

void StartCard::showEvent(QShowEvent* event) {
  SceneCard::showEvent(event);
  settle();
}

}  // namespace trellis
