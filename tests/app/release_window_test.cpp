// SPDX-License-Identifier: GPL-3.0-or-later
// How support comes off, in the real window: the plan step by step, what it leaves, and the gap that trades one for the
// other.
#include "app/scene/scene_overlay.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/widgets/trade_picture.hpp"
#include "tests/app/window_fixture.hpp"

#include <QLabel>
#include <QTreeWidget>

namespace trellis::test {
namespace {

class ReleaseTest : public WindowTest {
 protected:
  QTreeWidget* steps() { return window.findChild<QTreeWidget*>("removalSteps"); }
  const RemovalPlan& plan() { return *window.builder().shown().build->removal; }
};

TEST_F(ReleaseTest, EachStepOfThePlanIsPlayed) {
  open(threeCeilings());
  settled();
  window.showSheet(4);
  ASSERT_EQ(steps()->topLevelItemCount(), static_cast<int>(plan().steps.size()));
  ASSERT_GT(plan().steps.size(), 0u);
  for (int k = 0; k < steps()->topLevelItemCount(); ++k) {
    steps()->clearSelection();
    steps()->topLevelItem(k)->setSelected(true);
    ASSERT_NE(window.view().takenStep(), nullptr);
    EXPECT_EQ(window.view().takenStep(), &plan().steps[static_cast<std::size_t>(k)]);
    EXPECT_EQ(window.view().pieceInHand(), static_cast<int>(plan().steps[static_cast<std::size_t>(k)].piece));
  }
  const QString words = window.findChild<QLabel*>("removal")->text();
  EXPECT_TRUE(words.contains(durationWords(plan().seconds()))) << words.toStdString();
  // A piece chosen in the other list is no step of this one.
  window.findChild<QTreeWidget*>("pieces")->topLevelItem(0)->setSelected(true);
  EXPECT_TRUE(steps()->selectedItems().isEmpty());
}

// Seen from below the look draws over what support carried, and nothing else.
TEST_F(ReleaseTest, WhatSupportLeavesIsDrawnUnderThePart) {
  open(table(40, 10, 2));
  settled();
  lookFromBelow();
  const auto grabbed = [&] {
    QTest::qWait(0);
    return window.scene().grabFramebuffer();
  };
  for (int k = 0; k < 2; ++k) window.scene().nextLook();  // the part alone
  const QImage part = grabbed();
  window.scene().nextLook();
  const QImage scars = grabbed();
  EXPECT_NE(part, scars);
  const auto* overlay = window.scene().findChild<SceneOverlay*>();
  EXPECT_TRUE(overlay->legend().join("\n").contains("striped")) << overlay->legend().join("\n").toStdString();
  window.scene().nextLook();
  EXPECT_NE(grabbed(), scars);
  EXPECT_TRUE(overlay->legend().isEmpty());
}

TEST_F(ReleaseTest, DraggingTheDotSetsTheGapInOneStep) {
  open(table(20, 10, 2));
  settled();
  window.showSheet(3);
  auto* picture = window.findChild<TradePicture*>("tradeOff");
  ASSERT_NE(picture, nullptr);
  const auto at = [&](double gap) { return QPoint(static_cast<int>(std::lround(picture->pixelOf(gap))), 60); };
  QTest::mousePress(picture, Qt::LeftButton, Qt::NoModifier, at(0.2));
  QTest::mouseMove(picture, at(0.25));
  QTest::mouseMove(picture, at(0.3));
  QTest::mouseRelease(picture, Qt::LeftButton, Qt::NoModifier, at(0.3));
  EXPECT_NEAR(window.document().settings().number("support.gap.above"), 0.3, 0.011);
  picture->setFocus();
  QTest::keyClick(picture, Qt::Key_Left);
  EXPECT_NEAR(window.document().settings().number("support.gap.above"), 0.29, 0.011);
  window.document().undo();
  window.document().undo();
  EXPECT_NEAR(window.document().settings().number("support.gap.above"), 0.2, 1e-9);
}

}  // namespace
}  // namespace trellis::test
