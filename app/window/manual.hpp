// SPDX-License-Identifier: GPL-3.0-or-later
// The manual, in a window of its own: chapters in Markdown (CommonMark) that lie beside the program. A heading may be
// followed by a comment that names what it explains: keys of settings, names of widgets, names of their classes; one
// may end in a star. That is how F1 finds its place.
#pragma once

#include <QListWidget>
#include <QTextBrowser>
#include <QWidget>

#include <vector>

namespace trellis {

struct ManualHeading {
  QString chapter;  // its file's name
  QString words;
  int level = 1;
  QStringList explains = {};
};

// Where the chapters lie in the window's language, English where it has none, and what they are, in order. Empty where
// the manual does not lie beside the program.
QString manualFolder();
std::vector<ManualHeading> manualHeadings();
// The heading that explains the first of the names that any explains; null where none does.
const ManualHeading* headingFor(const QStringList& names, const std::vector<ManualHeading>& headings);
// A widget's name and class, and those of all it lies in, the innermost first.
QStringList namesAround(const QWidget* widget);

// Text whose pictures are as wide as it is.
class ManualText : public QTextBrowser {
  Q_OBJECT
 public:
  using QTextBrowser::QTextBrowser;
  QVariant loadResource(int type, const QUrl& name) override;
};

class Manual : public QWidget {
  Q_OBJECT
 public:
  explicit Manual(QWidget* parent = nullptr);

  // Opens where one of the names is explained; at the beginning where none is.
  void openAt(const QStringList& names);
  QString shownHeading() const { return shown_; }

 protected:
  void resizeEvent(QResizeEvent* event) override;

 private:
  void showChapter(const QString& chapter, const QString& heading = {});
  void scrollTo(const QString& heading);

  std::vector<ManualHeading> headings_;
  QListWidget* chapters_;
  ManualText* text_;
  QString chapter_, shown_;
};

}  // namespace trellis
