// SPDX-License-Identifier: GPL-3.0-or-later
// The real window, driven by real events, one test for each job a person does.
#include "core/document/project_file.hpp"
#include "core/mesh/stl.hpp"
#include "core/overhang/lean.hpp"
#include "tests/app/window_fixture.hpp"
#include "tests/printed.hpp"

#include <QMimeData>
#include <QSignalSpy>

#include <cmath>

namespace trellis::test {
namespace {

// A table stands at the plate's middle: (125, 105).
TEST_F(WindowTest, FromAnStlThroughAPaintedStrokeToGcode) {
  open(table(40, 15, 3));
  window.document().perform(ChangeSetting{"support.source", std::string("decisions")});
  settled();
  EXPECT_EQ(supportVolume(), 0);
  QTest::keyClick(&window, Qt::Key_3, Qt::AltModifier);
  click("ball");
  click("enforce");
  lookFromBelow();
  const Vec3 from(112, 92, 15), to(112, 116, 15);
  stroke(pixelOf(from), pixelOf(to));
  settled();
  const QString path = QString::fromStdString(folder / "out.gcode");
  ASSERT_TRUE(window.exportTo(path));
  double low = 1e9, high = -1e9, left = 1e9, right = -1e9, top = 0;
  for (const Bead& bead : readBeads(readFile(path.toStdString()))) {
    if (!bead.feature.starts_with("support.")) continue;
    left = std::min({left, bead.x0, bead.x1});
    right = std::max({right, bead.x0, bead.x1});
    low = std::min({low, bead.y0, bead.y1});
    high = std::max({high, bead.y0, bead.y1});
    top = std::max(top, bead.z);
  }
  // The stroke is 6 mm wide; beads keep half a line inside.
  EXPECT_NEAR(left, 109 + 0.2, 1.0);
  EXPECT_NEAR(right, 115 - 0.2, 1.0);
  EXPECT_NEAR(low, 89 + 0.2, 1.0);
  EXPECT_NEAR(high, 119 - 0.2, 1.0);
  EXPECT_NEAR(top, 14.8, 1e-3);
}

// Amber appears where the stroke went, and the picture is the same after undo and redo.
TEST_F(WindowTest, TheMarkAppearsWhereTheStrokeWent) {
  open(table(40, 15, 3));
  window.hand().setBrush({.tool = Tool::ball, .radius = 4});
  lookFromBelow();
  const QPoint pixel = pixelOf({112, 112, 15});
  const auto isAmber = [&](const QPoint& at) {
    const QColor c = window.scene().grabFramebuffer().pixelColor(at);
    return c.red() > c.blue() + 70 && c.green() > c.blue() + 30;
  };
  window.scene().nextLook();
  window.scene().nextLook();  // part alone, so that nothing stands in front
  EXPECT_FALSE(isAmber(pixel));
  stroke(pixel, pixel);
  settled();
  EXPECT_TRUE(isAmber(pixel));
  EXPECT_FALSE(isAmber(pixelOf({136, 96, 15})));
  EXPECT_EQ(window.document().undoName(), "enforce stroke");
  QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
  settled();
  EXPECT_FALSE(isAmber(pixel));
  QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  settled();
  EXPECT_TRUE(isAmber(pixel));
}

TEST_F(WindowTest, SeveralStrokesAreSeveralStepsAndTheRightButtonChangesNothing) {
  open(table(40, 15, 3));
  window.hand().setBrush({.tool = Tool::ball, .radius = 2});
  lookFromBelow();
  const ProjectPtr before = window.document().project();
  QTest::mousePress(&window.scene(), Qt::RightButton, {}, pixelOf({112, 100, 15}));
  dragTo(pixelOf({112, 100, 15}) + QPoint(30, 0), Qt::RightButton);
  QTest::mouseRelease(&window.scene(), Qt::RightButton, {}, pixelOf({112, 100, 15}));
  EXPECT_EQ(window.document().project(), before);
  for (const double y : {92.0, 105.0, 118.0}) stroke(pixelOf({112, y, 15}), pixelOf({116, y, 15}));
  settled();
  const Part& part = *window.document().project()->parts[0];
  const double three = markedArea(*part.mesh, Affine::Identity(), *part.marks, Mark::enforce);
  EXPECT_NEAR(three, 3 * (4 * 4 + pi * 4), 12);
  for (int i = 0; i < 3; ++i) QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(window.document().project(), before);
}

TEST_F(WindowTest, KeysChooseWhatIsLaid) {
  open(table(40, 15, 3));
  window.scene().setFocus();
  QTest::keyClick(&window.scene(), Qt::Key_B);
  EXPECT_EQ(window.hand().brush().mark, Mark::block);
  EXPECT_EQ(window.hand().brush().tool, Tool::ball);
  QTest::keyClick(&window.scene(), Qt::Key_X);
  EXPECT_EQ(window.hand().brush().mark, Mark::enforce);
  QTest::keyClick(&window.scene(), Qt::Key_0);
  EXPECT_EQ(window.hand().brush().tool, Tool::pick);
  const double radius = window.hand().brush().radius;
  QTest::keyClick(&window.scene(), Qt::Key_BracketRight);
  EXPECT_GT(window.hand().brush().radius, radius);
}

TEST_F(WindowTest, SettingsOfTheWorksheetsReachTheBuild) {
  open(table(40, 15, 3));
  const double before = supportVolume();
  EXPECT_GT(before, 100);
  window.showSheet(3);
  set("support.body.spacing", 6);
  settled();
  EXPECT_LT(supportVolume(), 0.8 * before);
  set("support.gap.above", 0.24);
  settled();
  double top = 0;
  for (const SupportLayer& layer : window.builder().shown().build->support->layers) top = std::max(top, layer.top);
  EXPECT_NEAR(top, 15 - 0.24, 1e-6);
}

TEST_F(WindowTest, TheStripsHandleChoosesTheLayersShown) {
  open(table(40, 15, 3));
  Strip& strip = window.strip();
  const QPoint handle(strip.width() / 2, static_cast<int>(strip.pixelOf(18)));
  QTest::mousePress(&strip, Qt::LeftButton, {}, handle);
  const QPoint down(strip.width() / 2, static_cast<int>(strip.pixelOf(9)));
  QMouseEvent event(QEvent::MouseMove, down, strip.mapToGlobal(down), Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(&strip, &event);
  QTest::mouseRelease(&strip, Qt::LeftButton, {}, down);
  EXPECT_NEAR(window.view().range().second, 9, 0.25);
  window.resize(1024, 700);
  QTest::qWait(20);
  EXPECT_NEAR(window.view().range().second, 9, 0.25);
}

TEST_F(WindowTest, PlacingByFiguresIsUndone) {
  open(box({0, 0, 0}, {20, 10, 5}));
  window.findChild<QDoubleSpinBox*>("Turnx")->setValue(90);
  settled();
  EXPECT_NEAR(window.view().height(), 10, 1e-6);
  window.findChild<QDoubleSpinBox*>("Scalex")->setValue(200);
  settled();
  EXPECT_NEAR(window.view().height(), 20, 1e-6);
  QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
  QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
  settled();
  EXPECT_NEAR(window.view().height(), 5, 0.21);
}

TEST_F(WindowTest, DroppingAFileOpensItAndSavingKeepsTheMarks) {
  writeFileAtomically(folder / "part.stl", writeStl(*table(40, 15, 3)));
  QMimeData data;
  data.setUrls({QUrl::fromLocalFile(QString::fromStdString(folder / "part.stl"))});
  QDragEnterEvent enter(QPoint(400, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(&window, &enter);
  QDropEvent drop(QPointF(400, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(&window, &drop);
  settled();
  LayMark mark;
  mark.stroke = BallStroke{{{112, 105, 15}}, 3};
  window.document().perform(mark);
  const QString path = QString::fromStdString(folder / "kept.3mf");
  ASSERT_TRUE(window.saveTo(path));
  EXPECT_FALSE(window.document().isModified());
  const OpenedProject again = readProject(readFile(path.toStdString()), "kept.3mf");
  EXPECT_EQ(again.project->parts[0]->marks->key(), window.document().project()->parts[0]->marks->key());
}

TEST_F(WindowTest, ABadFileIsASentenceAndLosesNothing) {
  open(table(40, 15, 3));
  const ProjectPtr before = window.document().project();
  writeFileAtomically(folder / "bad.stl", "no mesh at all");
  QSignalSpy failed(&window.activity(), &Activity::failed);
  window.document().open(QString::fromStdString(folder / "bad.stl"));
  ASSERT_TRUE(QTest::qWaitFor([&] { return failed.count() > 0; }, 10000));
  EXPECT_TRUE(failed.first().first().toString().contains("bad.stl"));
  EXPECT_EQ(window.document().project(), before);
  EXPECT_FALSE(window.saveTo("/nowhere/at/all.3mf"));
  EXPECT_EQ(window.document().project(), before);
}

}  // namespace
}  // namespace trellis::test
