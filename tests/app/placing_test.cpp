// SPDX-License-Identifier: GPL-3.0-or-later
// Placing by hand: bringing in, mending, turning, scaling, copying, arranging, and taking it all back.
#include "core/document/project_file.hpp"
#include "tests/app/window_fixture.hpp"

#include <QCheckBox>
#include <QLabel>
#include <QListWidget>
#include <QMessageBox>
#include <QMimeData>
#include <QSignalSpy>

#include <cmath>

namespace trellis::test {
namespace {

MeshPtr holedBall() {
  const MeshPtr ball = sphere({0, 0, 0}, 15, 20, 30);
  std::vector<Facet> facets = ball->facets;
  facets.erase(facets.begin() + 300, facets.begin() + 306);
  return makeMesh(ball->vertices, facets);
}

class PlacingTest : public WindowTest {
 protected:
  const Part& part(std::size_t index = 0) { return *window.document().project()->parts.at(index); }
  Box3 bounds(std::size_t index = 0) { return placedBounds(part(index).placement, *part(index).mesh); }
  void press(const char* name) { window.findChild<QAbstractButton*>(name)->click(); }
  void undo() { QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier); }

  void drag(const QPoint& from, const QPoint& to) {
    QTest::mouseMove(&window.scene(), from);
    stroke(from, to);
  }
};

TEST_F(PlacingTest, LayAFaceDownShowsAGhostAndKeepsItOnAClick) {
  open(box({0, 0, 0}, {10, 20, 60}));
  window.scene().camera().turnTo(-60, 10);
  window.scene().fitAll();
  const ProjectPtr before = window.document().project();
  press("layDown");
  EXPECT_TRUE(window.hand().isSettling());
  const QPoint side = pixelOf(bounds().center() + Vec3(0, -10, 5));
  const QImage bare = window.scene().grabFramebuffer();
  dragTo(side, Qt::NoButton);
  EXPECT_NE(window.scene().grabFramebuffer(), bare) << "no ghost";
  EXPECT_EQ(window.document().project(), before);
  QTest::mouseClick(&window.scene(), Qt::LeftButton, {}, side);
  EXPECT_NEAR(bounds().sizes().z(), 20, 1e-6);
  EXPECT_NEAR(bounds().min().z(), 0, 1e-6);
  EXPECT_FALSE(window.hand().isSettling());
  undo();
  EXPECT_EQ(window.document().project(), before);
}

TEST_F(PlacingTest, ScaleToASizeInProportionAndFreely) {
  open(box({0, 0, 0}, {10, 20, 30}));
  auto* z = window.findChild<QDoubleSpinBox*>("Sizez");
  EXPECT_NEAR(z->value(), 30, 1e-6);
  z->setValue(45);
  EXPECT_TRUE(bounds().sizes().isApprox(Vec3(15, 30, 45), 1e-6));
  for (QCheckBox* box : window.findChildren<QCheckBox*>())
    if (box->text() == "in proportion") box->setChecked(false);
  window.findChild<QDoubleSpinBox*>("Sizex")->setValue(40);
  EXPECT_TRUE(bounds().sizes().isApprox(Vec3(40, 30, 45), 1e-6));
  EXPECT_NEAR(bounds().min().z(), 0, 1e-6);
  undo();
  undo();
  EXPECT_TRUE(bounds().sizes().isApprox(Vec3(10, 20, 30), 1e-6));
}

TEST_F(PlacingTest, CopyAndArrangeEightAndTakeItAllBack) {
  open(box({0, 0, 0}, {30, 20, 10}));
  const ProjectPtr one = window.document().project();
  for (int i = 0; i < 7; ++i) press("copy");
  ASSERT_EQ(window.document().project()->parts.size(), 8u);
  EXPECT_EQ(window.findChild<QListWidget*>("parts")->count(), 8);
  press("arrange");
  settled();
  for (std::size_t i = 0; i < 8; ++i) {
    EXPECT_TRUE(Box3(Vec3(0, 0, -1e-6), Vec3(250, 210, 220)).contains(bounds(i)));
    for (std::size_t k = i + 1; k < 8; ++k) EXPECT_GE(bounds(i).exteriorDistance(bounds(k)), 5 - 1e-6);
  }
  EXPECT_TRUE(window.builder().shown().build->findings.empty());
  QTest::keyClick(&window, Qt::Key_A, Qt::ControlModifier);
  EXPECT_EQ(window.view().selection().size(), 8u);
  press("remove");
  EXPECT_TRUE(window.document().project()->parts.empty());
  for (int i = 0; i < 9; ++i) undo();
  EXPECT_EQ(window.document().project(), one);
}

TEST_F(PlacingTest, MendingIsShownFirstAndKeptWhenSaid) {
  open(holedBall());
  const ProjectPtr broken = window.document().project();
  const auto words = [&] {
    QString all;
    for (const QLabel* label : window.findChildren<QLabel*>()) all += label->text();
    return all;
  };
  EXPECT_TRUE(words().contains("1 hole ("));
  const auto mendAndWait = [&] {
    press("mend");
    ASSERT_TRUE(QTest::qWaitFor([&] { return window.document().isPreviewing(); }, 20000));
    settled();
  };
  mendAndWait();
  EXPECT_TRUE(inspect(*part().mesh).sound());
  EXPECT_TRUE(words().contains("filled 1 hole · the mesh is sound"));
  EXPECT_GE(window.document().previewFacets().size(), 4u);
  QTest::keyClick(&window, Qt::Key_Escape);
  EXPECT_EQ(window.document().project(), broken);
  mendAndWait();
  press("keep");
  EXPECT_FALSE(window.document().isPreviewing());
  EXPECT_TRUE(inspect(*part().mesh).sound());
  EXPECT_EQ(window.document().undoName(), "mend");
  undo();
  EXPECT_EQ(window.document().project(), broken);
}

TEST_F(PlacingTest, AHoleIsDrawnInTheScene) {
  open(holedBall());
  const auto faulty = [&] {
    const QImage picture = window.scene().grabFramebuffer();
    int count = 0;
    for (int y = 0; y < picture.height(); ++y)
      for (int x = 0; x < picture.width(); ++x) {
        const QColor c = picture.pixelColor(x, y);
        count += c.red() < 80 && c.green() < 80 && c.blue() > 110;
      }
    return count;
  };
  window.showSheet(1);  // without handles
  int most = 0;
  for (int yaw = -180; yaw < 180; yaw += 60) {
    window.scene().camera().turnTo(yaw, 15);
    most = std::max(most, faulty());
  }
  EXPECT_GT(most, 10);
}

TEST_F(PlacingTest, AnArrowIsDraggedAndTheWholeDragIsOneStep) {
  open(box({0, 0, 0}, {30, 20, 10}));
  window.showSheet(0);
  window.scene().camera().turnTo(-60, 25);
  window.scene().fitAll();
  QTest::qWait(20);
  ASSERT_EQ(window.scene().handles().size(), 7u);
  const ProjectPtr before = window.document().project();
  const Handle arrow = window.scene().handles()[0];  // along x
  ASSERT_EQ(arrow.kind, Handle::move);
  const Vec3 grip = (arrow.line[0] + arrow.line[1]) / 2, there = grip + Vec3(20, 0, 0);
  const Vec3 was = part().placement.position;
  drag(pixelOf(grip), pixelOf(there));
  EXPECT_NEAR(part().placement.position.x() - was.x(), 20, 1.0);
  EXPECT_NEAR(part().placement.position.y(), was.y(), 1e-9);
  undo();
  EXPECT_EQ(window.document().project(), before);
}

TEST_F(PlacingTest, ARingTurnsByFivesAndTheCornerScales) {
  open(box({0, 0, 0}, {30, 20, 10}));
  window.showSheet(0);
  window.scene().camera().turnTo(-60, 50);
  window.scene().fitAll();
  QTest::qWait(20);
  const auto handles = window.scene().handles();
  const auto ring = std::find_if(handles.begin(), handles.end(),
                                 [](const Handle& h) { return h.kind == Handle::turn && h.axis == 2; });
  drag(pixelOf(ring->line[5]), pixelOf(ring->line[13]));  // 8 of 64 stretches: 45°
  EXPECT_NEAR(part().placement.turn.z(), 45, 5.1);
  EXPECT_NEAR(std::fmod(part().placement.turn.z(), 5), 0, 1e-6);
  undo();
  const auto corner =
      std::find_if(handles.begin(), handles.end(), [](const Handle& h) { return h.kind == Handle::scale; });
  const QPoint from = pixelOf((corner->line[0] + corner->line[1]) / 2), middle = pixelOf(bounds().center());
  drag(from, middle + (from - middle) * 2);
  EXPECT_NEAR(part().placement.scale.x(), 2, 0.1);
  EXPECT_NEAR(bounds().min().z(), 0, 1e-6);
}

TEST_F(PlacingTest, TurningsAreTriedByAClickAndKeptByASecond) {
  open(table(40, 15, 3));
  const ProjectPtr before = window.document().project();
  QSignalSpy sets(&window.view(), &View::turningsChanged);
  press("findTurnings");
  ASSERT_TRUE(QTest::qWaitFor([&] { return sets.count() >= 2; }, 20000));
  auto* list = window.findChild<QListWidget*>("turnings");
  ASSERT_GE(list->count(), 4);
  const auto clickOn = [&](int row) {
    QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, list->visualItemRect(list->item(row)).center());
  };
  clickOn(0);
  EXPECT_TRUE(window.document().isPreviewing());
  EXPECT_NEAR(bounds().min().z(), 0, 1e-6);
  EXPECT_FALSE(window.saveTo(QString::fromStdString(folder / "no.3mf"))) << "what is only tried out was saved";
  for (QMessageBox* said : window.findChildren<QMessageBox*>()) said->close();
  clickOn(0);
  EXPECT_FALSE(window.document().isPreviewing());
  EXPECT_LT((turnOf(part().placement.turn) * Vec3::UnitZ()).z(), -0.99);  // upside down
  EXPECT_EQ(window.document().undoName(), "turn");
  undo();
  EXPECT_EQ(window.document().redoName(), "turn");
  EXPECT_EQ(window.document().undoName(), "");
  EXPECT_EQ(window.document().project(), before);
}

TEST_F(PlacingTest, AReplacedMeshKeepsItsMarksAndListsTheRest) {
  open(together({box({0, 0, 10}, {20, 20, 14}), box({8, 8, 0}, {12, 12, 10})}));
  LayMark mark;
  mark.stroke = BallStroke{{bounds().min() + Vec3(3, 3, 10)}, 2};
  window.document().perform(mark);
  const double marked = markedArea(*part().mesh, Affine::Identity(), *part().marks, Mark::enforce);
  ASSERT_GT(marked, 10);
  writeFileAtomically(folder / "revised.stl",
                      writeStl(*together({box({0, 0, 10}, {26, 20, 14}), box({8, 8, 0}, {12, 12, 10})})));
  window.document().previewReplacing(window.view().selection().back(), QString::fromStdString(folder / "revised.stl"));
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.document().isPreviewing(); }, 20000));
  window.document().keepPreview();
  EXPECT_NEAR(markedArea(*part().mesh, Affine::Identity(), *part().marks, Mark::enforce), marked, 0.05 * marked);
  EXPECT_TRUE(part().lostMarks.empty());
  writeFileAtomically(folder / "revised.stl", writeStl(*box({8, 8, 0}, {12, 12, 10})));
  window.document().previewReplacing(window.view().selection().back(), QString::fromStdString(folder / "revised.stl"));
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.document().isPreviewing(); }, 20000));
  EXPECT_FALSE(part().lostMarks.empty());
}

TEST_F(PlacingTest, APartsOwnSettingsAreItsOwn) {
  open(table(30, 12, 3));
  press("copy");
  press("arrange");
  window.view().selectPart(1);
  window.showSheet(3);
  window.view().setEditsPart(true);
  set("support.body.spacing", 6);
  settled();
  EXPECT_EQ(part(1).settings.size(), 1u);
  EXPECT_TRUE(part(0).settings.empty());
  const Tally& tally = window.builder().shown().build->tally;
  ASSERT_EQ(tally.pieces.size(), 2u);
  const double more = std::max(tally.pieces[0].volume, tally.pieces[1].volume),
               less = std::min(tally.pieces[0].volume, tally.pieces[1].volume);
  EXPECT_LT(less, 0.8 * more);
  window.view().setEditsPart(false);
  EXPECT_NEAR(window.findChild<QWidget*>("support.body.spacing")->findChild<QDoubleSpinBox*>()->value(), 2.2, 1e-9);
}

TEST_F(PlacingTest, AnImplausibleSizeAsksForItsUnit) {
  open(box({0, 0, 0}, {0.02, 0.03, 0.05}));  // metres, most likely
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.findChild<QMessageBox*>("unit") != nullptr; }, 5000));
  auto* box = window.findChild<QMessageBox*>("unit");
  for (QAbstractButton* button : box->buttons())
    if (button->text().contains("Metres")) button->click();
  EXPECT_TRUE(bounds().sizes().isApprox(Vec3(20, 30, 50), 1e-3));
}

TEST_F(PlacingTest, SeveralFilesAreDroppedAtOnce) {
  QMimeData data;
  QList<QUrl> urls;
  for (const char* name : {"a.stl", "b.stl"}) {
    writeFileAtomically(folder / name, writeStl(*box({0, 0, 0}, {10, 10, 5})));
    urls << QUrl::fromLocalFile(QString::fromStdString(folder / name));
  }
  data.setUrls(urls);
  QDragEnterEvent enter(QPoint(400, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(&window, &enter);
  QDropEvent drop(QPointF(400, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(&window, &drop);
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.document().project()->parts.size() == 2; }, 20000));
  settled();
  EXPECT_TRUE(window.builder().shown().build->findings.empty());
}

}  // namespace
}  // namespace trellis::test
