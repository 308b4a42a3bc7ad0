// SPDX-License-Identifier: GPL-3.0-or-later
// Tints, clean strokes and several decisions at once, by real mouse and keys.
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QListWidget>

namespace trellis::test {
namespace {

class SeveralTest : public WindowTest {
 protected:
  const Part& part() { return *window.document().project()->parts[0]; }
  double marked(const Marks& marks, Mark mark) {
    const auto areas = markedAreas(*part().mesh, transformOf(part().placement, *part().mesh), marks);
    const auto found = areas.find(mark);
    return found == areas.end() ? 0 : found->second;
  }
  Vec3 place(const Vec3& mesh) { return onPlate(*window.document().project(), mesh); }
  void clickAt(const Vec3& mesh, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::mouseClick(&window.scene(), Qt::LeftButton, keys, pixelOf(place(mesh)));
  }
  void key(Qt::Key which) {
    QTest::keyClick(&window, which);
    QTest::qWait(10);
  }
};

TEST_F(SeveralTest, ATintIsPaintedAndHasSettingsOfItsOwn) {
  open(shelf());
  lookFromBelow();
  key(Qt::Key_1);
  key(Qt::Key_E);
  for (int i = 0; i < 3; ++i) key(Qt::Key_Period);
  clickAt({14, 10, 12});
  EXPECT_GT(marked(*part().marks, enforceAs(3)), 20);
  auto* tint = window.findChild<QComboBox*>("tint");
  EXPECT_TRUE(tint->isVisible());
  EXPECT_TRUE(tint->currentText().contains("mm²")) << tint->currentText().toStdString();
  auto* add = tint->parentWidget()->findChild<QComboBox*>("addOwn");
  Q_EMIT add->activated(add->findData("support.gap.above"));
  auto* gap = tint->parentWidget()->findChild<QDoubleSpinBox*>("local.support.gap.above");
  ASSERT_NE(gap, nullptr);
  gap->setValue(0.5);
  settled();
  EXPECT_EQ(part().tints, (std::map<int, Overrides>{{3, {{"support.gap.above", 0.5}}}}));
  std::set<long> tops;
  for (const auto& column : window.builder().shown().build->columns)
    tops.insert(std::lround(column->slabs.front().top * 1000));
  EXPECT_EQ(tops, (std::set<long>{11500, 11800}));
  key(Qt::Key_Comma);
  EXPECT_EQ(window.hand().brush().tint, 2);
}

TEST_F(SeveralTest, CleanHasEveryBrush) {
  open(shelf());
  lookFromBelow();
  key(Qt::Key_1);
  key(Qt::Key_K);
  EXPECT_EQ(window.hand().brush().tool, Tool::ball);
  clickAt({14, 10, 12});
  const double dab = marked(*part().clean, Mark::block);
  EXPECT_NEAR(dab, pi * 9 + pi * 5, 1);  // the ball reaches through to the upper face, 2 mm above
  EXPECT_EQ(window.document().undoName(), "keep a stroke clean");
  clickAt({14, 10, 12}, Qt::ControlModifier);
  EXPECT_LT(marked(*part().clean, Mark::block), 0.1);
  key(Qt::Key_3);
  clickAt({14, 10, 12});
  EXPECT_NEAR(marked(*part().clean, Mark::block), 400, 1);
}

TEST_F(SeveralTest, ADragTakesEveryColumnItCrosses) {
  open(table(30, 15, 3));
  window.document().performTogether(
      {ChangeSetting{"support.normal.outline", std::string("squared")}, ChangeSetting{"support.normal.column", 3.0}});
  settled();
  window.scene().camera().turnTo(-90, 5);
  window.scene().fitAll();
  QTest::qWait(50);
  const ProjectPtr before = window.document().project();
  const double volume = supportVolume();
  const std::size_t pieces = window.builder().shown().build->support->pieces.size();
  key(Qt::Key_D);
  const QPoint from = pixelOf(place({3, 0, 7})), to = pixelOf(place({13, 0, 7}));
  QTest::mousePress(&window.scene(), Qt::LeftButton, Qt::NoModifier, from);
  for (int i = 1; i <= 12; ++i) dragTo(from + (to - from) * i / 12, Qt::LeftButton);
  EXPECT_EQ(window.document().project(), before) << "nothing goes before the button is let go";
  QTest::mouseRelease(&window.scene(), Qt::LeftButton, Qt::NoModifier, to);
  settled();
  EXPECT_LE(window.builder().shown().build->support->pieces.size(), pieces - 2);
  EXPECT_LT(supportVolume(), volume);
  window.document().undo();
  EXPECT_EQ(window.document().project(), before) << "one step";
}

TEST_F(SeveralTest, PropsThatAreChosenTogetherChangeTogether) {
  open(shelf());
  window.showSheet(2);
  window.document().performTogether(
      {AddProp{0, place({10, 5, 12}), 2}, AddProp{0, place({10, 15, 12}), 2}, AddProp{0, place({20, 10, 12}), 2}});
  settled();
  lookFromBelow();
  key(Qt::Key_0);
  clickAt({10, 5, 12});
  clickAt({10, 15, 12}, Qt::ControlModifier);
  EXPECT_EQ(window.view().allChosen(), (std::vector{Chosen{Chosen::prop, 0}, Chosen{Chosen::prop, 1}}));
  auto* list = window.findChild<QListWidget*>("decisions");
  EXPECT_EQ(list->selectedItems().size(), 2);
  window.findChild<QDoubleSpinBox*>("chosenPropWidth")->setValue(4);
  EXPECT_EQ(part().props[0].width, 4);
  EXPECT_EQ(part().props[1].width, 4);
  EXPECT_EQ(part().props[2].width, 2);
  key(Qt::Key_Delete);
  ASSERT_EQ(part().props.size(), 1u);
  EXPECT_EQ(part().props[0].width, 2);
}

}  // namespace
}  // namespace trellis::test
