// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/recovery_bar.hpp"

#include "app/widgets/thumbnail_image.hpp"

#include "core/assess/thumbnail.hpp"

#include <QDateTime>
#include <QEvent>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QPushButton>

namespace trellis {

namespace {

constexpr int pictureSize = 48;  // pixels

QPixmap pictureOf(const LeftJournal& left) {
  const ProjectPtr project = recover(left.path).project;
  if (project->parts.empty()) return {};
  const Part& part = *project->parts.front();
  return QPixmap::fromImage(imageOf(thumbnail(*part.mesh, transformOf(part.placement, *part.mesh), pictureSize),
                                    settingsOf(*project, 0).number("support.free_lean")));
}

}  // namespace

RecoveryBar::RecoveryBar(Document& document, QWidget* parent) : QFrame(parent), document_(document) {
  setObjectName("recovery");
  auto* line = new QHBoxLayout(this);
  line->setContentsMargins(12, 6, 8, 6);
  picture_ = new QLabel;
  words_ = new QLabel;
  words_->setWordWrap(true);
  line->addWidget(picture_);
  line->addWidget(words_, 1);
  const auto button = [&](const QString& text, const char* name, const QString& help,
                          const std::function<void()>& act) {
    auto* made = new QPushButton(text);
    made->setObjectName(name);
    made->setToolTip(help);
    connect(made, &QPushButton::clicked, this, [this, act] {
      act();
      answered();
    });
    line->addWidget(made);
  };
  button(tr("Open"), "recover", tr("Opens it as it was. Nothing is saved until you save."),
         [this] { document_.openJournal(left_.front()); });
  button(tr("Throw away"), "forget", tr("It cannot be brought back afterwards."),
         [this] { document_.throwAway(left_.front()); });
  button(tr("Later"), "later", tr("Asks again when the program is started next."), [] {});
  connect(&document, &Document::journalsFound, this, [this](const std::vector<LeftJournal>& left) {
    left_ = left;
    offer();
  });
  parent->installEventFilter(this);
  hide();
}

void RecoveryBar::answered() {
  left_.erase(left_.begin());
  offer();
}

void RecoveryBar::offer() {
  setVisible(!left_.empty());
  if (left_.empty()) return;
  const LeftJournal& left = left_.front();
  const QString what = left.file.empty() ? tr("a project that was never saved")
                                         : QFileInfo(QString::fromStdString(left.file)).fileName();
  const QDateTime when = QDateTime::fromSecsSinceEpoch(left.time);
  const QString steps = left.steps == 1 ? tr("1 step") : tr("%1 steps").arg(left.steps);
  words_->setText(tr("The program ended before %1 was saved: %2, the last on %3.")
                      .arg(what, steps, QLocale().toString(when, QLocale::ShortFormat)));
  try {
    picture_->setPixmap(pictureOf(left));
  } catch (const Error&) {  // it is gone by now; opening it says so
    picture_->clear();
  }
  settle();
}

void RecoveryBar::settle() {
  const QWidget* scene = parentWidget();
  const int width = std::min(scene->width() - 24, 720), height = heightForWidth(width) > 0 ? heightForWidth(width) : 64;
  setGeometry((scene->width() - width) / 2, scene->height() - height - 16, width, height);
  raise();
}

bool RecoveryBar::eventFilter(QObject* watched, QEvent* event) {
  if (event->type() == QEvent::Resize && isVisible()) settle();
  return QFrame::eventFilter(watched, event);
}

}  // namespace trellis
