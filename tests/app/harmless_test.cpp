// SPDX-License-Identifier: GPL-3.0-or-later
// Hands that do no harm: real keys, wheel and mouse in the real window, each once did something nobody meant.
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QWheelEvent>

namespace trellis::test {
namespace {

class HarmlessTest : public WindowTest {
 protected:
  const Settings& settings() { return window.document().settings(); }
  QDoubleSpinBox* box(const char* key) { return window.findChild<QWidget*>(key)->findChild<QDoubleSpinBox*>(); }
  void type(QWidget* field, const QString& text, Qt::Key last) {
    QTest::mouseClick(field, Qt::LeftButton, Qt::NoModifier, QPoint(10, field->height() / 2));
    QTest::keyClick(field, Qt::Key_A, Qt::ControlModifier);
    QTest::keyClicks(field, text);
    QTest::keyClick(field, last);
    QTest::qWait(20);
  }
  // Whether the widget left it to what scrolls: Qt hands on only what comes from a real wheel.
  bool passesOnWheel(QWidget* widget, int notches) {
    const QPointF at(widget->rect().center());
    QWheelEvent event(at, widget->mapToGlobal(at), QPoint(), QPoint(0, 120 * notches), Qt::NoButton, Qt::NoModifier,
                      Qt::NoScrollPhase, false);
    QApplication::sendEvent(widget, &event);
    QTest::qWait(10);
    return !event.isAccepted();
  }
  void key(Qt::Key which, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
    QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : &window, which, modifiers);
    QTest::qWait(20);
  }
};

TEST_F(HarmlessTest, AToolKeyAfterANumberChoosesTheTool) {
  open(shelf());
  window.showSheet(3);
  type(box("support.interface.upper.layers"), "4", Qt::Key_Return);
  EXPECT_EQ(settings().whole("support.interface.upper.layers"), 4);
  EXPECT_TRUE(window.scene().hasFocus());
  key(Qt::Key_2);
  EXPECT_EQ(settings().whole("support.interface.upper.layers"), 4);
  EXPECT_EQ(window.hand().brush().tool, Tool::sight);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(settings().whole("support.interface.upper.layers"), 3) << "undo works right after a number";
}

// "0.20 mm" has more than one word.
TEST_F(HarmlessTest, ADoubleClickTakesTheWholeFigure) {
  open(shelf());
  window.showSheet(3);
  auto* line = box("support.gap.above")->findChild<QLineEdit*>();
  for (const auto& [x, figure] : {std::pair(8, 0.3), std::pair(line->width() - 50, 0.25)}) {
    const QPoint at(x, line->height() / 2);
    QTest::mouseClick(line, Qt::LeftButton, Qt::NoModifier, at);
    QTest::mouseDClick(line, Qt::LeftButton, Qt::NoModifier, at);
    QTest::keyClicks(line, QString::number(figure));
    QTest::keyClick(line, Qt::Key_Return);
    QTest::qWait(20);
    EXPECT_EQ(settings().number("support.gap.above"), figure);
  }
}

TEST_F(HarmlessTest, EscapeLeavesAFieldAsItWas) {
  open(shelf());
  window.showSheet(3);
  window.hand().setBrush({.tool = Tool::ball});
  type(box("support.gap.above"), "0.7", Qt::Key_Escape);
  EXPECT_EQ(settings().number("support.gap.above"), 0.2);
  EXPECT_EQ(box("support.gap.above")->value(), 0.2);
  EXPECT_TRUE(window.scene().hasFocus());
  EXPECT_EQ(window.hand().brush().tool, Tool::ball) << "the first Escape was the field's";
}

TEST_F(HarmlessTest, TheWheelScrollsTheSheetUnlessAFieldWasClicked) {
  open(shelf());
  window.showSheet(3);
  auto* structure = window.findChild<QWidget*>("support.structure")->findChild<QComboBox*>();
  EXPECT_TRUE(passesOnWheel(box("support.gap.above"), -3));
  EXPECT_TRUE(passesOnWheel(structure, -3));
  EXPECT_EQ(settings().number("support.gap.above"), 0.2);
  EXPECT_EQ(settings().text("support.structure"), "normal");
  box("support.gap.above")->setFocus();
  EXPECT_FALSE(passesOnWheel(box("support.gap.above"), 1));
  EXPECT_NE(box("support.gap.above")->value(), 0.2) << "one that was clicked turns";
}

TEST_F(HarmlessTest, NoNamePushesFieldsOutOfReach) {
  open(shelf());
  auto project = std::make_shared<Project>(*window.document().project());
  Part named = *project->parts[0];
  named.name = std::string(150, 'w');
  project->parts[0] = std::make_shared<const Part>(named);
  window.document().perform(AddParts{{std::make_shared<const Part>(named)}});
  settled();
  window.view().selectPart(1);
  for (int sheet = 0; sheet < MainWindow::sheetNames().size(); ++sheet) {
    window.showSheet(sheet);
    QTest::qWait(30);
    for (const QScrollArea* area : window.findChildren<QScrollArea*>())
      EXPECT_TRUE(!area->isVisible() || area->widget()->width() <= area->viewport()->width() + 1) << "sheet " << sheet;
  }
}

TEST_F(HarmlessTest, WhatIsAddedLiesBesideWhatIsThere) {
  open(trellis::test::box({0, 0, 0}, {20, 20, 8}));
  const MeshPtr small = trellis::test::box({0, 0, 0}, {10, 10, 5});
  for (int k = 0; k < 12; ++k) window.document().perform(AddParts{projectOf(small)->parts});
  settled();
  for (const Finding& finding : window.builder().shown().build->findings) EXPECT_NE(finding.code, "parts-overlap");
  EXPECT_EQ(window.document().project()->parts.size(), 13u);
}

TEST_F(HarmlessTest, AnotherProjectLeavesNothingOfTheOldOne) {
  open(shelf());
  ASSERT_NE(window.builder().shown().build, nullptr);
  bool gone = false;
  QObject::connect(&window.document(), &Document::changed, &window, [&] { gone = !window.builder().shown().build; });
  window.document().newProject();
  EXPECT_TRUE(gone);
  EXPECT_TRUE(window.builder().findings().empty());
}

TEST_F(HarmlessTest, ARemedyAsksBeforeItOverrulesADecision) {
  open(shelf());
  window.document().performTogether(
      {ChangeSetting{"support.source", std::string("floating")},
       LayMark{0, Mark::block, SiteStroke{onPlate(*window.document().project(), {14, 10, 12})}}});
  settled();
  FindingCard* bare = card("bare-overhang");
  ASSERT_NE(bare, nullptr);
  const Finding finding = bare->finding();
  for (const Remedy& remedy : finding.remedies) EXPECT_TRUE(remedy.cost.has_value()) << "offered untried";
  const auto asks = [](const Remedy& remedy) { return !remedy.overrules.empty(); };
  const auto overruling = std::find_if(finding.remedies.begin(), finding.remedies.end(), asks);
  ASSERT_NE(overruling, finding.remedies.end()) << "none would overrule the blocker";
  const QString last = window.document().undoName();
  const QString name = QString("remedy%1").arg(overruling - finding.remedies.begin());
  QTest::mouseClick(bare->findChild<QAbstractButton*>(name), Qt::LeftButton);
  EXPECT_EQ(window.document().undoName(), last) << "done without asking";
  auto* overrule = bare->findChild<QAbstractButton*>("overrule");
  ASSERT_NE(overrule, nullptr);
  QTest::mouseClick(overrule, Qt::LeftButton);
  EXPECT_NE(window.document().undoName(), last);
}

TEST_F(HarmlessTest, ShiftBlocksAndCtrlClearsWithoutTheWorksheet) {
  open(shelf());
  lookFromBelow();
  window.hand().setBrush({.tool = Tool::ball, .radius = 3});
  const auto amount = [&](Mark mark) {
    const Part& part = *window.document().project()->parts[0];
    return markedArea(*part.mesh, transformOf(part.placement, *part.mesh), *part.marks, mark);
  };
  const QPoint one = pixelOf(onPlate(*window.document().project(), {10, 10, 12})),
               other = pixelOf(onPlate(*window.document().project(), {19, 10, 12}));
  stroke(one, one + QPoint(2, 0));
  stroke(other, other + QPoint(2, 0), Qt::ShiftModifier);
  EXPECT_GT(amount(Mark::enforce), 10);
  EXPECT_GT(amount(Mark::block), 10);
  stroke(other, other + QPoint(2, 0), Qt::ControlModifier);
  EXPECT_LT(amount(Mark::block), 1);
}

TEST_F(HarmlessTest, AStrokeOverNothingSaysSo) {
  open(shelf());
  window.hand().setBrush({.tool = Tool::ball, .radius = 3});
  QString said;
  const QObject listening;  // until said is gone
  QObject::connect(&window.scene(), &SceneView::pointedAt, &listening, [&](const QString& words) { said = words; });
  QTest::mouseClick(&window.scene(), Qt::LeftButton, Qt::NoModifier, QPoint(4, 4));
  EXPECT_TRUE(said.contains("Nothing was marked")) << said.toStdString();
}

TEST_F(HarmlessTest, TheToolStaysWhenAnotherWorksheetIsLookedAt) {
  open(shelf());
  window.showSheet(2);
  window.hand().setBrush({.tool = Tool::ball});
  window.showSheet(4);
  EXPECT_EQ(window.hand().brush().tool, Tool::ball);
}

// With a brush in hand supports are glass: what is behind them is seen, pointed at and marked.
TEST_F(HarmlessTest, SupportsStepAsideForBrushes) {
  open(shelf());
  window.scene().camera().turnTo(-70, 20);
  window.scene().fitAll();
  QTest::qWait(50);
  const QPoint pixel = pixelOf(onPlate(*window.document().project(), {14, 0, 6}));
  const QColor solid = window.scene().grabFramebuffer().pixelColor(pixel);
  window.hand().setBrush({.tool = Tool::ball});
  QTest::qWait(50);
  const QColor glass = window.scene().grabFramebuffer().pixelColor(pixel);
  EXPECT_GT(std::abs(solid.red() - glass.red()) + std::abs(solid.green() - glass.green()), 30);
}

// Zones, from outside: five clicks and nothing of the site is left out.
TEST_F(HarmlessTest, ABallZoneCoversTheWholeSite) {
  open(shelf());
  lookFromBelow();
  window.hand().setBrush({.tool = Tool::zone, .zoneAs = ZoneAs::block, .zoneShape = ZoneShape::ball});
  QTest::mouseClick(&window.scene(), Qt::LeftButton, Qt::NoModifier,
                    pixelOf(onPlate(*window.document().project(), {14, 10, 12})));
  settled();
  EXPECT_TRUE(window.builder().shown().build->support->pieces.empty()) << "no corner is left";
  EXPECT_EQ(window.view().chosen().kind, Chosen::zone);
  const Zone before = window.document().project()->parts[0]->zones[0];
  EXPECT_FALSE(window.scene().handles().empty());
  window.document().perform(ChangeZone{.part = 0, .zone = 0, .locked = true});
  QTest::qWait(20);
  EXPECT_TRUE(window.scene().handles().empty()) << "a locked zone has no handles";
  window.document().perform(ChangeZone{.part = 0, .zone = 0, .name = "lid", .hidden = true});
  EXPECT_EQ(window.document().project()->parts[0]->zones[0].name, "lid");
  EXPECT_EQ(window.document().project()->parts[0]->zones[0].toMesh.matrix(), before.toMesh.matrix());
}

// What goes lights up before the click, with what it saves; and a build that runs is no reason to wait.
TEST_F(HarmlessTest, RemovingShowsWhatGoesAndNeedNotWait) {
  open(shelf());
  window.document().perform(ChangeSetting{"support.normal.outline", std::string("squared")});
  settled();
  window.scene().camera().turnTo(-70, 10);
  window.scene().fitAll();
  QTest::qWait(50);
  window.hand().setBrush({.tool = Tool::remove});
  QString said;
  const QObject listening;  // until said is gone
  QObject::connect(&window.scene(), &SceneView::pointedAt, &listening, [&](const QString& words) { said = words; });
  const QPoint pixel = pixelOf(onPlate(*window.document().project(), {22, 1, 5}));
  QMouseEvent hover(QEvent::MouseMove, pixel, window.scene().mapToGlobal(pixel), Qt::NoButton, Qt::NoButton,
                    Qt::NoModifier);
  QApplication::sendEvent(&window.scene(), &hover);
  ASSERT_TRUE(said.contains("goes")) << said.toStdString();
  ASSERT_TRUE(QTest::qWaitFor([&] { return said.contains(" g,"); }, 30000)) << said.toStdString();
  const double before = supportVolume();
  window.document().perform(ChangeSetting{"speed.travel", 140.0});  // a build begins
  QTest::mouseClick(&window.scene(), Qt::LeftButton, Qt::NoModifier, pixel);
  settled();
  EXPECT_LT(supportVolume(), before);
}

TEST_F(HarmlessTest, WhatIsSaidUnderARestingPointerFollowsTheView) {
  open(table(40, 15, 3));
  window.scene().setLively(true);
  window.scene().camera().turnTo(-70, 40);
  window.scene().fitAll();
  QString said;
  const QObject listening;  // until said is gone
  QObject::connect(&window.scene(), &SceneView::pointedAt, &listening, [&](const QString& words) { said = words; });
  const QPoint middle = window.scene().rect().center();
  dragTo(middle, Qt::NoButton);
  ASSERT_TRUE(said.contains("faces up")) << said.toStdString();
  window.scene().setFocus();
  QTest::keyClick(&window.scene(), Qt::Key_Y);  // from below
  EXPECT_TRUE(QTest::qWaitFor([&] { return !said.contains("faces up"); }, 5000)) << said.toStdString();
}

TEST_F(HarmlessTest, APropFromAboveStandsUnderWhatIsThere) {
  open(shelf());
  window.document().perform(ChangeSetting{"support.source", std::string("decisions")});
  settled();
  window.scene().camera().turnTo(-90, 60);
  window.scene().fitAll();
  QTest::qWait(30);
  window.hand().setBrush({.tool = Tool::prop, .propWidth = 1});
  QTest::mouseClick(&window.scene(), Qt::LeftButton, Qt::NoModifier,
                    pixelOf(onPlate(*window.document().project(), {16, 10, 14})));
  settled();
  ASSERT_EQ(window.document().project()->parts[0]->props.size(), 1u);
  const Part& part = *window.document().project()->parts[0];
  EXPECT_NEAR((transformOf(part.placement, *part.mesh) * part.props[0].at).z(), 12, 1e-3);
  EXPECT_EQ(window.builder().shown().build->support->pieces.size(), 1u);
}

TEST_F(HarmlessTest, WhatWasStoppedSaysSoAndGoesOnAtAClick) {
  window.document().open(TRELLIS_DEMO "/frond.stl");
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.document().project()->parts.size() == 1; }, 20000));
  ASSERT_TRUE(window.builder().isStale());
  auto* button = window.findChild<QPushButton*>("cancelOrBuild");
  ASSERT_TRUE(QTest::qWaitFor([&] { return button->isVisible(); }, 20000));
  EXPECT_EQ(button->text(), "Cancel");
  QTest::mouseClick(button, Qt::LeftButton);
  ASSERT_TRUE(QTest::qWaitFor([&] { return button->text() == "Build"; }, 20000));
  QTest::qWait(200);
  EXPECT_TRUE(button->isVisible());
  EXPECT_TRUE(window.builder().isStale());
  QTest::mouseClick(button, Qt::LeftButton);
  EXPECT_TRUE(QTest::qWaitFor([&] { return !window.builder().isStale(); }, 300000));
  EXPECT_TRUE(QTest::qWaitFor([&] { return !button->isVisible(); }, 20000));
}

TEST_F(HarmlessTest, APartThatGrowsAroundTheEyeIsSeenWhole) {
  open(test::box({0, 0, 0}, {10, 10, 10}));
  window.document().perform(PlacePart{0, {}, {}, Vec3::Constant(15)});
  const Part& grown = *window.document().project()->parts[0];
  const Box3 part = placedBounds(grown.placement, *grown.mesh);
  const auto isSeenWhole = [&] {
    if (part.contains(window.scene().camera().eye())) return false;
    for (int corner = 0; corner < 8; ++corner) {
      const auto pixel = window.scene().camera().pixelOf(part.corner(static_cast<Box3::CornerType>(corner)));
      if (!pixel || !QRectF(window.scene().rect()).contains(*pixel)) return false;
    }
    return true;
  };
  EXPECT_TRUE(QTest::qWaitFor(isSeenWhole, 5000));
}

}  // namespace
}  // namespace trellis::test
