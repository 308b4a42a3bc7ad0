// SPDX-License-Identifier: GPL-3.0-or-later
// The jobs of a maker by keys alone: nothing here touches the mouse, and no widget is focused but by Tab.
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLineEdit>

namespace trellis::test {
namespace {

class KeyboardTest : public WindowTest {
 protected:
  void SetUp() override {
    WindowTest::SetUp();
    window.scene().setFocus();
  }

  QWidget* focus() { return QApplication::focusWidget() ? QApplication::focusWidget() : &window; }
  void key(int key, Qt::KeyboardModifiers with = Qt::NoModifier) { QTest::keyClick(focus(), Qt::Key(key), with); }
  void type(const QString& words) { QTest::keyClicks(focus(), words); }

  // Tab until something of this name, or in it, has the keys.
  bool tabTo(const char* name) {
    for (int step = 0; step < 250; ++step) {
      key(Qt::Key_Tab);
      for (QWidget* widget = focus(); widget && widget != &window; widget = widget->parentWidget())
        if (widget->objectName() == name) return true;
    }
    return false;
  }

  QPoint cross() {
    const QWidget* pointer = window.findChild<QWidget*>("keyPointer");
    return pointer->isVisible() ? pointer->geometry().center() : window.scene().rect().center();
  }

  // The first key only shows the cross; then tens, then ones.
  void aimAt(const QPoint& pixel) {
    if (!window.findChild<QWidget*>("keyPointer")->isVisible()) key(Qt::Key_Up, Qt::ControlModifier);
    for (const int step : {10, 1}) {
      const Qt::KeyboardModifiers with =
          step == 1 ? Qt::ControlModifier | Qt::ShiftModifier : Qt::KeyboardModifiers(Qt::ControlModifier);
      const QPoint steps = (pixel - cross()) / step;
      for (int k = 0; k < std::abs(steps.x()); ++k) key(steps.x() < 0 ? Qt::Key_Left : Qt::Key_Right, with);
      for (int k = 0; k < std::abs(steps.y()); ++k) key(steps.y() < 0 ? Qt::Key_Up : Qt::Key_Down, with);
    }
    ASSERT_LE((pixel - cross()).manhattanLength(), 2)
        << "to " << pixel.x() << ", " << pixel.y() << " the cross is at " << cross().x() << ", " << cross().y()
        << ", the keys are with " << focus()->metaObject()->className();
  }

  void dragByKeys(const QPoint& from, const QPoint& to, Qt::KeyboardModifiers with = Qt::NoModifier) {
    aimAt(from);
    QTest::keyPress(focus(), Qt::Key_Return, with);
    aimAt(to);
    QTest::keyRelease(focus(), Qt::Key_Return, with);
  }

  const Part& part() { return *window.document().project()->parts[0]; }
  double marked(Mark mark) {
    return markedArea(*part().mesh, transformOf(part().placement, *part().mesh), *part().marks, mark);
  }
  Vec3 at(double x, double y, double z) { return onPlate(*window.document().project(), {x, y, z}); }
};

TEST_F(KeyboardTest, OneSideOfAnUndersideIsEnforcedAndTheOtherBlocked) {
  open(table(40, 15, 3));
  key(Qt::Key_3, Qt::AltModifier);
  window.scene().setFocus();
  key(Qt::Key_Y);
  key(Qt::Key_1);
  key(Qt::Key_E);
  QTest::qWait(20);
  dragByKeys(pixelOf(at(8, 10, 15)), pixelOf(at(8, 30, 15)));
  settled();
  EXPECT_GT(marked(Mark::enforce), 50);
  EXPECT_EQ(marked(Mark::block), 0);
  dragByKeys(pixelOf(at(32, 10, 15)), pixelOf(at(32, 30, 15)), Qt::ShiftModifier);
  settled();
  EXPECT_GT(marked(Mark::block), 50);
  key(Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(marked(Mark::block), 0) << "the whole stroke is one step";
  EXPECT_GT(marked(Mark::enforce), 50);
}

TEST_F(KeyboardTest, AZoneIsPlacedAndStretchedByItsHandle) {
  open(table(40, 15, 3));
  key(Qt::Key_3, Qt::AltModifier);
  window.scene().setFocus();
  key(Qt::Key_Y);
  key(Qt::Key_Z);
  ASSERT_TRUE(tabTo("enforces"));
  key(Qt::Key_Right);  // to the next of the row
  window.scene().setFocus();
  aimAt(pixelOf(at(8, 20, 15)));
  key(Qt::Key_Return);
  settled();
  ASSERT_EQ(part().zones.size(), 1u);
  EXPECT_EQ(part().zones[0].as, ZoneAs::block);
  EXPECT_LT(supportVolume(), 1) << "a new zone covers the whole site";
  const auto& handles = window.scene().handles();
  const auto face =
      std::find_if(handles.begin(), handles.end(), [](const Handle& h) { return h.kind == Handle::stretch; });
  ASSERT_NE(face, handles.end());
  const auto sizeNow = [&] { return figuresOf(part().zones[0], transformOf(part().placement, *part().mesh)).size; };
  const Vec3 before = sizeNow();
  const QPoint grip = pixelOf(face->line.front());
  dragByKeys(grip, grip + QPoint(25, 25));
  EXPECT_GT((sizeNow() - before).norm(), 1);
}

TEST_F(KeyboardTest, AColumnGoesAndAPropComes) {
  open(table(40, 15, 3));
  window.document().perform(ChangeSetting{"support.normal.outline", std::string("squared")});
  settled();
  const double before = supportVolume();
  key(Qt::Key_D);
  aimAt(pixelOf(at(3, 3, 8)));
  key(Qt::Key_Return);
  settled();
  const double without = supportVolume();
  EXPECT_LT(without, before);
  key(Qt::Key_R);
  key(Qt::Key_Y);
  QTest::qWait(20);
  aimAt(pixelOf(at(3, 3, 15)));
  key(Qt::Key_Return);
  settled();
  EXPECT_EQ(part().props.size(), 1u);
}

TEST_F(KeyboardTest, APartIsDraggedByItsArrowAndNearedAndTurned) {
  open(box({0, 0, 0}, {30, 20, 10}));
  key(Qt::Key_1, Qt::AltModifier);
  window.scene().setFocus();
  const double yaw = window.scene().camera().yaw(), distance = window.scene().camera().distance();
  key(Qt::Key_Left);
  EXPECT_NEAR(std::abs(window.scene().camera().yaw() - yaw), 15, 1e-9);
  key(Qt::Key_Minus, Qt::ControlModifier);
  EXPECT_GT(window.scene().camera().distance(), distance * 1.2);
  key(Qt::Key_Home);
  QTest::qWait(20);
  const Handle arrow = window.scene().handles()[0];
  ASSERT_EQ(arrow.kind, Handle::move);
  const Vec3 grip = (arrow.line[0] + arrow.line[1]) / 2, was = part().placement.position;
  dragByKeys(pixelOf(grip), pixelOf(grip - Vec3(8, 0, 0)));
  EXPECT_NEAR(part().placement.position.x() - was.x(), -8, 0.5);
}

TEST_F(KeyboardTest, TheStructureIsChosenAndASettingFoundByItsWords) {
  open(table(40, 15, 3));
  key(Qt::Key_4, Qt::AltModifier);
  ASSERT_TRUE(tabTo("support.structure"));
  key(Qt::Key_Down);
  EXPECT_EQ(window.document().settings().text("support.structure"), "tree");
  window.scene().setFocus();
  ASSERT_TRUE(tabTo("findSetting"));
  type("gap above");
  ASSERT_TRUE(tabTo("support.gap.above"));
  key(Qt::Key_A, Qt::ControlModifier);
  type("0.27");
  key(Qt::Key_Return);
  EXPECT_NEAR(window.document().settings().number("support.gap.above"), 0.27, 1e-9);
  QTest::qWait(20);
  EXPECT_TRUE(window.scene().hasFocus()) << "Return gives the keys back";
  settled();
  key(Qt::Key_J);
  EXPECT_EQ(window.document().project()->shelf.variants.size(), 1u) << "pinned as a variant";
}

// A hand on the mouse needs no cross, and a cross that lost the keys holds nothing pressed.
TEST_F(KeyboardTest, TheCrossGoesWithTheKeys) {
  open(table(40, 15, 3));
  key(Qt::Key_1);
  key(Qt::Key_Return);
  ASSERT_TRUE(window.findChild<QWidget*>("keyPointer")->isVisible());
  EXPECT_TRUE(part().marks->empty()) << "the first Return only shows where the next would paint";
  QTest::keyPress(focus(), Qt::Key_Return);
  key(Qt::Key_Tab);
  EXPECT_FALSE(window.findChild<QWidget*>("keyPointer")->isVisible());
  const auto marks = part().marks;
  dragTo(pixelOf(at(20, 20, 18)), Qt::NoButton);
  settled();
  EXPECT_EQ(part().marks, marks);
}

}  // namespace
}  // namespace trellis::test
