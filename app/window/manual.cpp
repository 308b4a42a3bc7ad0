// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/manual.hpp"

#include "app/theme/language.hpp"

#include <QAbstractTextDocumentLayout>
#include <QCoreApplication>
#include <QDir>
#include <QHBoxLayout>
#include <QImage>
#include <QRegularExpression>
#include <QScrollBar>
#include <QShortcut>
#include <QTextBlock>
#include <QTextCursor>

#include <algorithm>

namespace trellis {

namespace {

constexpr int margin = 22;         // pixels beside the text
constexpr int chapterHeight = 30;  // pixels
const QRegularExpression comment("\\s*<!--(.*?)-->");

QString textOf(const QString& chapter) {
  QFile file(manualFolder() + "/" + chapter);
  return file.open(QIODevice::ReadOnly) ? QString::fromUtf8(file.readAll()) : QString();
}

// Room between lines, paragraphs and headings.
void spaceOut(QTextDocument& document) {
  for (QTextBlock block = document.begin(); block.isValid(); block = block.next()) {
    QTextBlockFormat format = block.blockFormat();
    const bool heading = format.headingLevel() > 0;
    format.setTopMargin(heading ? 18 : block.textList() ? 2 : 4);
    format.setBottomMargin(block.textList() ? 2 : 6);
    if (!heading) format.setLineHeight(125, QTextBlockFormat::ProportionalHeight);
    QTextCursor(block).setBlockFormat(format);
  }
}

bool fits(const QString& pattern, const QString& name) {
  return pattern.endsWith('*') ? name.startsWith(pattern.chopped(1)) : name == pattern;
}

}  // namespace

QString manualFolder() {
  const QString all = QDir::cleanPath(QCoreApplication::applicationDirPath() + "/../share/meek-trellis/manual"),
                own = all + "/" + windowLanguage();
  return QDir(own).exists() ? own : all;
}

std::vector<ManualHeading> manualHeadings() {
  std::vector<ManualHeading> headings;
  for (const QString& chapter : QDir(manualFolder()).entryList({"*.md"}, QDir::Files, QDir::Name))
    for (const QString& line : textOf(chapter).split('\n')) {
      const int level =
          static_cast<int>(std::find_if(line.begin(), line.end(), [](QChar c) { return c != '#'; }) - line.begin());
      if (level == 0) continue;
      const QString explains = comment.match(line).captured(1);
      headings.push_back({chapter, QString(line).remove(comment).mid(level).trimmed(), level,
                          explains.split(' ', Qt::SkipEmptyParts)});
    }
  return headings;
}

const ManualHeading* headingFor(const QStringList& names, const std::vector<ManualHeading>& headings) {
  for (const QString& name : names)
    for (const ManualHeading& heading : headings)
      for (const QString& pattern : heading.explains)
        if (fits(pattern, name)) return &heading;
  return nullptr;
}

QStringList namesAround(const QWidget* widget) {
  QStringList names;
  for (; widget; widget = widget->parentWidget()) {
    if (!widget->objectName().isEmpty()) names << widget->objectName();
    names << QString(widget->metaObject()->className()).section("::", -1);
  }
  return names;
}

QVariant ManualText::loadResource(int type, const QUrl& name) {
  if (type != QTextDocument::ImageResource) return QTextBrowser::loadResource(type, name);
  QImage picture(name.isLocalFile() ? name.toLocalFile() : QDir(manualFolder()).filePath(name.toString()));
  if (picture.isNull()) return {};
  const double pixels = devicePixelRatioF();
  const int wide = viewport()->width() - 2 * margin - 4;
  if (picture.width() > wide * pixels)
    picture = picture.scaledToWidth(static_cast<int>(wide * pixels), Qt::SmoothTransformation);
  picture.setDevicePixelRatio(pixels);
  return picture;
}

Manual::Manual(QWidget* parent)
    : QWidget(parent, Qt::Window), headings_(manualHeadings()), chapters_(new QListWidget), text_(new ManualText) {
  setObjectName("manual");
  setWindowTitle(tr("Manual"));
  resize(980, 740);
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(0, 0, 0, 0);
  row->setSpacing(0);
  chapters_->setObjectName("manualChapters");
  chapters_->setAccessibleName(tr("Chapters"));
  chapters_->setFixedWidth(240);
  chapters_->setFrameShape(QFrame::NoFrame);
  for (const ManualHeading& heading : headings_)
    if (heading.level == 1) {
      auto* item = new QListWidgetItem(heading.words, chapters_);
      item->setData(Qt::UserRole, heading.chapter);
      item->setSizeHint({0, chapterHeight});
    }
  text_->setObjectName("manualText");
  text_->setAccessibleName(tr("The chapter"));
  text_->setFrameShape(QFrame::NoFrame);
  text_->setOpenLinks(false);
  text_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  text_->document()->setDocumentMargin(margin);
  QFont reading = text_->font();
  reading.setPixelSize(15);
  text_->document()->setDefaultFont(reading);
  row->addWidget(chapters_);
  row->addWidget(text_, 1);
  connect(chapters_, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
    if (item && item->data(Qt::UserRole) != chapter_) showChapter(item->data(Qt::UserRole).toString());
  });
  connect(text_, &QTextBrowser::anchorClicked, this, [this](const QUrl& link) { showChapter(link.path()); });
  new QShortcut(QKeySequence::Cancel, this, [this] { close(); });
}

void Manual::openAt(const QStringList& names) {
  const ManualHeading* heading = headingFor(names, headings_);
  if (!heading && !headings_.empty()) heading = &headings_.front();
  show();
  raise();
  activateWindow();
  if (heading)
    showChapter(heading->chapter, heading->words);
  else
    text_->setPlainText(tr("The manual belongs in %1 and is not there.").arg(manualFolder()));
}

void Manual::showChapter(const QString& chapter, const QString& heading) {
  if (chapter != chapter_) {
    const QString text = textOf(chapter);
    if (text.isEmpty()) return;
    chapter_ = chapter;
    text_->document()->setBaseUrl(QUrl::fromLocalFile(manualFolder() + "/"));
    text_->document()->setMarkdown(QString(text).remove(comment));
    spaceOut(*text_->document());
    for (int k = 0; k < chapters_->count(); ++k)
      if (chapters_->item(k)->data(Qt::UserRole) == chapter) chapters_->setCurrentRow(k);
  }
  scrollTo(heading);
}

void Manual::scrollTo(const QString& heading) {
  shown_ = heading;
  int top = 0;
  for (QTextBlock block = text_->document()->begin(); block.isValid(); block = block.next()) {
    if (block.blockFormat().headingLevel() == 0) continue;
    if (shown_.isEmpty()) shown_ = block.text();
    if (block.text() != shown_) continue;
    if (block.blockFormat().headingLevel() > 1)
      top = static_cast<int>(text_->document()->documentLayout()->blockBoundingRect(block).top()) - margin;
    break;
  }
  text_->verticalScrollBar()->setValue(top);
}

// Pictures are made anew as wide as the text is now.
void Manual::resizeEvent(QResizeEvent* event) {
  QWidget::resizeEvent(event);
  if (chapter_.isEmpty()) return;
  const QString chapter = std::exchange(chapter_, QString());
  showChapter(chapter, shown_);
}

}  // namespace trellis
