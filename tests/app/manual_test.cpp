// SPDX-License-Identifier: GPL-3.0-or-later
// The manual: what it says is so, and F1 finds its place.
#include "app/window/manual.hpp"
#include "core/settings/settings.hpp"
#include "tests/app/window_fixture.hpp"

#include <QDir>
#include <QLocale>
#include <QMenuBar>
#include <QRegularExpression>
#include <QScrollBar>
#include <QTextBrowser>

#include <array>

namespace trellis::test {
namespace {

QStringList chapters() { return QDir(manualFolder()).entryList({"*.md"}, QDir::Files, QDir::Name); }

QString textOf(const QString& chapter) {
  return QString::fromStdString(readFile((manualFolder() + "/" + chapter).toStdString()));
}

// The window's language for as long as it lives.
class InLanguage {
 public:
  explicit InLanguage(const char* code) { QLocale::setDefault(QLocale(code)); }
  ~InLanguage() { QLocale::setDefault(before_); }
  InLanguage(const InLanguage&) = delete;
  InLanguage& operator=(const InLanguage&) = delete;

 private:
  const QLocale before_;
};

constexpr std::array languages{"en", "de"};

std::vector<QRegularExpressionMatch> all(const char* pattern, const QString& text) {
  std::vector<QRegularExpressionMatch> found;
  for (auto match = QRegularExpression(pattern).globalMatch(text); match.hasNext();) found.push_back(match.next());
  return found;
}

TEST(Manual, IsThereWithEveryPictureAndEveryLink) {
  const QStringList english = chapters();
  ASSERT_GE(english.size(), 10);
  for (const char* language : languages) {
    const InLanguage inLanguage(language);
    EXPECT_EQ(chapters(), english) << language;
    for (const QString& chapter : chapters())
      for (const auto& link : all("\\]\\(([^)]+)\\)", textOf(chapter)))
        EXPECT_TRUE(QDir(manualFolder()).exists(link.captured(1)))
            << language << qPrintable(chapter + ": " + link.captured(1));
  }
}

// "45° <!-- support.free_lean -->" says what the table has as usual.
TEST(Manual, ItsFiguresAreTheTables) {
  for (const char* language : languages) {
    const InLanguage inLanguage(language);
    int figures = 0;
    for (const QString& chapter : chapters())
      for (const auto& said : all("(?<![\\w.])([\\d.]+)(?: ?mm|°)? <!-- ([a-z_.]+) -->", textOf(chapter))) {
        ++figures;
        EXPECT_EQ(said.captured(1).toDouble(), Settings().number(said.captured(2).toStdString()))
            << language << qPrintable(chapter + ": " + said.captured(2));
      }
    EXPECT_GT(figures, 12) << language;
  }
}

TEST(Manual, EverySettingIsExplained) {
  for (const char* language : languages) {
    const InLanguage inLanguage(language);
    const auto headings = manualHeadings();
    for (const SettingRow& row : settingsTable())
      EXPECT_TRUE(headingFor({QString::fromStdString(row.key)}, headings)) << language << row.key;
  }
}

// So that F1 finds in one language what it finds in the other, and none has a chapter that the other lacks.
TEST(Manual, EveryLanguageHasTheSameHeadings) {
  const auto english = manualHeadings();
  const InLanguage german("de");
  const auto translated = manualHeadings();
  ASSERT_EQ(translated.size(), english.size());
  for (std::size_t k = 0; k < english.size(); ++k) {
    EXPECT_EQ(translated[k].explains, english[k].explains) << qPrintable(translated[k].words);
    EXPECT_EQ(translated[k].level, english[k].level) << qPrintable(translated[k].words);
  }
}

using ManualTest = WindowTest;

// Keys that chapters name are those of commands.
TEST_F(ManualTest, ItsKeysAreThePrograms) {
  QStringList keys;
  for (const QAction* action : window.menuBar()->findChildren<QAction*>()) keys << action->shortcut().toString();
  for (const QAction* action : window.findChildren<QAction*>()) keys << action->shortcut().toString();
  for (const char* language : languages) {
    const InLanguage inLanguage(language);
    for (const QString& chapter : chapters())
      for (const auto& key : all("`((?:Ctrl|Strg|Alt|Shift|Umschalt)\\+[^`]+|F\\d|[A-Z])`", textOf(chapter))) {
        const QString named = key.captured(1).replace("Strg", "Ctrl").replace("Umschalt", "Shift");
        EXPECT_TRUE(keys.contains(named)) << language << qPrintable(chapter + ": " + named);
      }
  }
}

TEST_F(ManualTest, FOneFindsWhatIsUnderThePointer) {
  open(shelf());
  const auto headings = manualHeadings();
  const std::pair<const char*, const char*> places[] = {
      {"layDown", "Laying a face down"},
      {"sites", "Sites"},
      {"support.free_lean", "Free lean"},
      {"removeSupport", "Removing support"},
      {"zoneShape", "Zones"},
      {"support.gap.above", "Release: the gaps"},
      {"support.tree.tip_width", "Branches of a tree"},
      {"pieces", "Pieces"},
      {"variantTable", "Variants"},
      {"layLadder", "Ladders"},
      {"printerPort", "To a printer"},
      {"pin", "The tally"},
  };
  for (const auto& [name, heading] : places) {
    const auto* widget = window.findChild<QWidget*>(name);
    ASSERT_TRUE(widget) << name;
    const ManualHeading* found = headingFor(namesAround(widget), headings);
    ASSERT_TRUE(found) << name;
    EXPECT_EQ(found->words.toStdString(), heading) << name;
  }
  EXPECT_EQ(headingFor(namesAround(&window.scene()), headings)->words, "The scene");
}

TEST_F(ManualTest, AWorksheetsQuestionMarkOpensItsChapter) {
  open(shelf());
  window.showSheet(3);
  QTest::qWait(20);
  for (auto* ask : window.findChildren<QAbstractButton*>("manualPage"))
    if (ask->isVisible()) QTest::mouseClick(ask, Qt::LeftButton);
  auto* manual = window.findChild<Manual*>();
  ASSERT_TRUE(manual);
  EXPECT_TRUE(manual->isVisible());
  EXPECT_EQ(manual->shownHeading(), "Build");
  const auto* text = manual->findChild<QTextBrowser*>();
  EXPECT_FALSE(text->toPlainText().contains("<!--"));
  EXPECT_TRUE(text->toPlainText().contains("0.2 mm, is daylight"));
  manual->openAt({"support.filament.body"});
  EXPECT_EQ(manual->shownHeading(), "Two filaments");
  EXPECT_GT(text->verticalScrollBar()->value(), 0);
  QApplication::setActiveWindow(manual);
  QTest::keyClick(manual, Qt::Key_Escape);
  EXPECT_FALSE(manual->isVisible());
}

}  // namespace
}  // namespace trellis::test
