// SPDX-License-Identifier: GPL-3.0-or-later
// The Build worksheet: presets, advice, pieces and what prints them.
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLabel>
#include <QTreeWidget>

#include <algorithm>

namespace trellis::test {
namespace {

class BuildSheetTest : public WindowTest {
 protected:
  // As the list of a combo box does when a line is picked.
  void choose(QComboBox* box, const char* name) {
    ASSERT_NE(box, nullptr);
    box->setCurrentIndex(box->findData(QString(name)));
    Q_EMIT box->activated(box->currentIndex());
  }
  QComboBox* presets(const char* kind) { return window.findChild<QWidget*>(kind)->findChild<QComboBox*>(); }
  QString advice() {
    QStringList words;
    for (const QLabel* label : window.findChildren<QLabel*>("advice"))
      if (label->isVisible()) words << label->text();
    return words.join(' ');
  }
  QTreeWidget* pieces() { return window.findChild<QTreeWidget*>("pieces"); }
};

TEST_F(BuildSheetTest, APresetSetsTheReleaseInOneStepAndTuningIsSaid) {
  open(table(30, 12, 3));
  window.showSheet(3);
  QComboBox* box = presets("preset.release");
  EXPECT_EQ(box->currentData().toString(), "balanced");
  choose(box, "easy_release");
  EXPECT_EQ(window.document().settings().text("support.body.pattern"), "zigzag");
  EXPECT_EQ(window.document().undoName(), "preset: easy release");
  set("support.gap.above", 0.23);
  EXPECT_EQ(box->currentIndex(), -1);
  window.document().undo();
  EXPECT_EQ(box->currentData().toString(), "easy_release");
  window.document().undo();
  EXPECT_EQ(box->currentData().toString(), "balanced");
}

TEST_F(BuildSheetTest, AValueOutsideCommonPracticeIsExplainedAndTaken) {
  open(table(30, 12, 3));
  window.showSheet(3);
  EXPECT_TRUE(advice().isEmpty());
  set("support.gap.above", 0.05);
  EXPECT_TRUE(advice().contains("pliers")) << advice().toStdString();
  EXPECT_EQ(window.document().settings().number("support.gap.above"), 0.05);
  set("support.body.spacing", 4);
  EXPECT_TRUE(advice().contains("sags"));
}

TEST_F(BuildSheetTest, PiecesAreListedAndTheirBodiesSetFromTheList) {
  open(table(30, 12, 3));
  window.showSheet(3);
  choose(presets("preset.filament"), "dissolves");
  choose(presets("preset.release"), "soluble");
  settled();
  ASSERT_EQ(pieces()->topLevelItemCount(), static_cast<int>(window.builder().shown().build->pieces.size()));
  EXPECT_EQ(pieces()->topLevelItem(0)->text(4), "first");
  EXPECT_TRUE(window.findChild<QLabel*>("saved")->text().contains("tool changes"));
  pieces()->topLevelItem(0)->setSelected(true);
  choose(window.findChild<QComboBox*>("pieceFilament"), "second");
  settled();
  EXPECT_EQ(pieces()->topLevelItem(0)->text(4), "second, set");
  window.document().undo();
  settled();
  EXPECT_EQ(pieces()->topLevelItem(0)->text(4), "first");
}

TEST_F(BuildSheetTest, TheStructureIsChosenBesideASentenceOnWhichSuits) {
  open(table(30, 12, 3));
  window.showSheet(3);
  settled();
  EXPECT_TRUE(window.findChild<QLabel*>("suits")->text().startsWith("Normal suits"))
      << window.findChild<QLabel*>("suits")->text().toStdString();
  const auto trees = [this] {
    const auto& all = window.builder().shown().build->trees;
    return std::count_if(all.begin(), all.end(), [](const auto& tree) { return tree != nullptr; });
  };
  EXPECT_EQ(trees(), 0);
  choose(presets("support.structure"), "tree");
  settled();
  EXPECT_EQ(window.document().settings().text("support.structure"), "tree");
  EXPECT_GT(trees(), 0);
  window.document().undo();
  settled();
  EXPECT_EQ(trees(), 0);
}

}  // namespace
}  // namespace trellis::test
