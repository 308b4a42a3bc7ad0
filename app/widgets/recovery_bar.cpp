// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/recovery_bar.hpp"

#include "app/widgets/thumbnail_image.hpp"

#include <QDateTime>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QPushButton>

namespace trellis {

RecoveryBar::RecoveryBar(Document& document, QWidget* parent) : SceneCard(parent), document_(document) {
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
         [this] { document_.openJournal(left_.front().journal); });
  button(tr("Throw away"), "forget", tr("It cannot be brought back afterwards."),
         [this] { document_.throwAway(left_.front().journal); });
  button(tr("Later"), "later", tr("Asks again when the program is started next."), [] {});
  connect(&document, &Document::journalsFound, this, [this](const std::vector<OfferedJournal>& left) {
    left_ = left;
    offer();
  });
  hide();
}

void RecoveryBar::answered() {
  left_.erase(left_.begin());
  offer();
}

void RecoveryBar::offer() {
  setVisible(!left_.empty());
  if (left_.empty()) return;
  const auto& [left, picture, freeLean] = left_.front();
  const QString what = left.file.empty() ? tr("a project that was never saved")
                                         : QFileInfo(QString::fromStdString(left.file)).fileName();
  const QDateTime when = QDateTime::fromSecsSinceEpoch(left.time);
  const QString steps = left.steps == 1 ? tr("1 step") : tr("%1 steps").arg(left.steps);
  words_->setText(tr("The program ended before %1 was saved: %2, the last on %3.")
                      .arg(what, steps, QLocale().toString(when, QLocale::ShortFormat)));
  picture_->setPixmap(picture.size == 0 ? QPixmap() : QPixmap::fromImage(imageOf(picture, freeLean)));
  settle();
}

void RecoveryBar::settle() {
  const QWidget* scene = parentWidget();
  const int width = std::min(scene->width() - 24, 720), height = heightForWidth(width) > 0 ? heightForWidth(width) : 64;
  setGeometry((scene->width() - width) / 2, scene->height() - height - 16, width, height);
  raise();
}

}  // namespace trellis
