// SPDX-License-Identifier: GPL-3.0-or-later
// What the window never loses: a journal of what is not saved, files that do not replace edits, saving beside the work.
#include "core/document/journal.hpp"
#include "core/document/project_file.hpp"
#include "tests/app/window_fixture.hpp"

#include <QLabel>
#include <QMessageBox>
#include <QSignalSpy>

#include <filesystem>

namespace trellis::test {
namespace {

using DocumentTest = WindowTest;

LayMark dabAt(const Vec3& at) {
  LayMark lay;
  lay.stroke = BallStroke{{at}, 2};
  return lay;
}

void closeSentences() {
  for (QWidget* widget : QApplication::topLevelWidgets())
    if (auto* box = qobject_cast<QMessageBox*>(widget)) box->close();
}

TEST_F(DocumentTest, AFileThatWasBeingReadDoesNotReplaceWhatWasDoneMeanwhile) {
  open(table(20, 8, 2));
  QSignalSpy failed(&window.activity(), &Activity::failed);
  writeFileAtomically(folder / "other.stl", writeStl(*box({0, 0, 0}, {5, 5, 5})));
  window.document().open(QString::fromStdString(folder / "other.stl"));
  window.document().perform(ChangeSetting{"walls", 4.0});  // before it has been read
  ASSERT_TRUE(QTest::qWaitFor([&] { return failed.count() > 0; }, 10000));
  EXPECT_TRUE(failed.front().front().toString().contains("was not opened"));
  EXPECT_EQ(window.document().settings().whole("walls"), 4);
  EXPECT_EQ(window.document().project()->parts[0]->name, "part");
  closeSentences();
}

TEST_F(DocumentTest, WhatIsNotSavedIsInTheJournalAndGoesWhenItIs) {
  open(table(20, 8, 2));
  const auto journals = [] {
    std::error_code none;
    return std::distance(std::filesystem::directory_iterator(journalFolder(), none), {});
  };
  window.document().perform(dabAt(Vec3(window.document().project()->parts[0]->placement.position.head<2>().x(), 0, 8)));
  ASSERT_TRUE(QTest::qWaitFor([&] { return journals() > 0; }, 5000));
  ASSERT_TRUE(window.saveTo(QString::fromStdString(folder / "kept.3mf")));
  EXPECT_FALSE(window.document().isModified());
  EXPECT_TRUE(QTest::qWaitFor([&] { return journals() == 0; }, 5000));
}

TEST_F(DocumentTest, WorkGoesOnWhileASaveIsWrittenAndStaysUnsaved) {
  open(table(20, 8, 2));
  bool done = false;
  window.document().save(QString::fromStdString(folder / "kept.3mf"), [&](bool could) { done = could; });
  window.document().perform(ChangeSetting{"walls", 5.0});
  ASSERT_TRUE(QTest::qWaitFor([&] { return done; }, 10000));
  EXPECT_TRUE(window.document().isModified()) << "what was done meanwhile is not in the file";
  const std::string saved = readFile(folder / "kept.3mf");
  EXPECT_EQ(readProject(saved, "kept").project->settings.whole("walls"), 2);
}

TEST_F(DocumentTest, ADragThatFailsAtOnceLeavesTheStepBeforeAlone) {
  open(table(20, 8, 2));
  window.document().perform(ChangeSetting{"walls", 4.0});
  PlacePart far;
  far.position = Vec3(0, 0, 1e6);
  window.document().perform(far);
  PlacePart near;
  near.position = window.document().project()->parts[0]->placement.position + Vec3(4, 0, 0);
  window.document().perform(near, true);
  window.document().undo();
  EXPECT_EQ(window.document().settings().whole("walls"), 4);
  closeSentences();
}

TEST_F(DocumentTest, SupportsAreShownBeforeTheLinesAreLaid) {
  QSignalSpy early(&window.builder(), &Builder::earlySupportsChanged);
  int whole = 0, wholeBefore = -1;
  QObject::connect(&window.builder(), &Builder::shownChanged, &window,
                   [&] { whole += window.builder().shown().build != nullptr; });
  QObject::connect(&window.builder(), &Builder::earlySupportsChanged, &window, [&] {
    if (wholeBefore < 0) wholeBefore = whole;
    EXPECT_FALSE(window.builder().earlySupports()->vertices.empty());
  });
  open(table(40, 12, 2));
  EXPECT_GE(early.count(), 1);
  EXPECT_EQ(wholeBefore, 0);
  EXPECT_FALSE(window.builder().earlySupports()) << "the whole is there now";
}

TEST_F(DocumentTest, WhatACrashLeftIsOfferedAndOpened) {
  History history(projectOf(table(20, 8, 2)));
  history.perform(dabAt({52, 52, 8}));
  history.perform(ChangeSetting{"walls", 6.0});
  { Journal(journalFolder()).record(history.kept(), history.lastName(), history.steps(), "/home/maker/stand.3mf"); }
  MainWindow next;
  next.show();
  auto* bar = next.findChild<QWidget*>("recovery");
  ASSERT_TRUE(QTest::qWaitFor([&] { return bar->isVisible(); }, 10000));
  QString words;
  for (const QLabel* label : bar->findChildren<QLabel*>()) words += label->text();
  EXPECT_TRUE(words.contains("stand.3mf")) << words.toStdString();
  EXPECT_TRUE(words.contains("2 step")) << words.toStdString();
  QTest::mouseClick(bar->findChild<QAbstractButton*>("recover"), Qt::LeftButton);
  ASSERT_TRUE(QTest::qWaitFor([&] { return !next.document().project()->parts.empty(); }, 10000));
  EXPECT_EQ(packProject(*next.document().project()), packProject(*history.kept()));
  EXPECT_TRUE(next.document().isModified());
  EXPECT_FALSE(bar->isVisible());
  next.document().letGo();
  EXPECT_TRUE(leftJournals(journalFolder()).empty());
}

}  // namespace
}  // namespace trellis::test
