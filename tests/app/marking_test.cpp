// SPDX-License-Identifier: GPL-3.0-or-later
// A painting job from end to end in the real window: sites, brushes, twin strokes, cutaway, zones, props, removal.
#include "core/assess/removal.hpp"
#include "core/document/project_file.hpp"
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLabel>
#include <QListView>
#include <QListWidget>

namespace trellis::test {
namespace {

class MarkingTest : public WindowTest {
 protected:
  void openDemo(const char* name) {
    window.document().open(QString("%1/%2.stl").arg(TRELLIS_DEMO, name));
    settled();
  }
  const Part& part() { return *window.document().project()->parts[0]; }
  Affine toPlate() { return transformOf(part().placement, *part().mesh); }
  double marked(Mark mark) { return markedArea(*part().mesh, toPlate(), *part().marks, mark); }
  const Build& built() { return *window.builder().shown().build; }
  const std::vector<Site>& sites() { return built().parts[0].sites->list; }
  void hold(Brush brush) { window.hand().setBrush(brush); }
  void clickAt(const Vec3& at, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::mouseClick(&window.scene(), Qt::LeftButton, keys, pixelOf(at));
  }
  void look(double yaw, double pitch) {
    window.scene().camera().turnTo(yaw, pitch);
    window.scene().fitAll();
    QTest::qWait(20);
  }
  // What the scene shows of a place.
  Vec3 seenAt(const QPoint& pixel) {
    const Camera::Ray ray = window.scene().camera().rayAt(pixel);
    const auto hit =
        treeOf(part().mesh)->firstHit(toPlate().inverse() * ray.origin, toPlate().inverse().linear() * ray.direction);
    return hit ? Vec3(toPlate() * hit->point) : Vec3(Vec3::Zero());
  }
};

// The same dab lands on the other eye-stalk too, as one step.
TEST_F(MarkingTest, TwinStrokesOnTheSnailsEyeStalks) {
  openDemo("snail");
  window.showSheet(2);
  hold({.tool = Tool::ball, .radius = 3, .twin = true});
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.hand().twinPlane().has_value(); }, 60000));
  EXPECT_GT(window.hand().twinPlane()->fit, 0.5);
  const auto eye = std::find_if(sites().begin(), sites().end(),
                                [](const Site& site) { return !site.starts.empty() && site.high > 15; });
  ASSERT_NE(eye, sites().end());
  look(-70, -30);
  const QPoint pixel = pixelOf(eye->at);
  const Vec3 seen = seenAt(pixel);
  stroke(pixel, pixel + QPoint(2, 0));
  settled();
  EXPECT_EQ(window.document().undoName(), "enforce stroke and its twin");
  const Plane plane = window.hand().twinPlane()->plane.movedBy(toPlate());
  std::size_t here = 0, there = 0;
  part().marks->forEachTree([&](std::uint32_t facet, std::string_view tree) {
    forEachLeaf(part().mesh->corners(facet), tree, [&](const Corners& leaf, Mark) {
      const Vec3 middle = toPlate() * Vec3((leaf[0] + leaf[1] + leaf[2]) / 3);
      here += (middle - seen).norm() < 4;
      there += (middle - plane.mirrored(seen)).norm() < 4;
    });
  });
  EXPECT_GT(here, 10u);
  EXPECT_GT(there, 10u);
  window.document().undo();
  EXPECT_TRUE(part().marks->empty());
}

// Cut open through the manifold, a brush reaches the channel's own surface and nothing that is cut away.
TEST_F(MarkingTest, ACutawayLetsTheBrushIntoTheManifold) {
  openDemo("manifold");
  look(-90, 0);
  const Box3 box = placedBounds(part().placement, *part().mesh);
  window.view().setCutaway(Plane{box.center(), Vec3::UnitY()});
  hold({.tool = Tool::sight, .radius = 2});
  int inside = 0;
  for (double x = 0.2; x < 0.85; x += 0.1) {
    const QPoint pixel = pixelOf(Vec3(box.min().x() + box.sizes().x() * x, box.center().y(), box.center().z()));
    stroke(pixel, pixel);
  }
  settled();
  part().marks->forEachTree([&](std::uint32_t facet, std::string_view tree) {
    forEachLeaf(part().mesh->corners(facet), tree, [&](const Corners& leaf, Mark) {
      const Vec3 middle = toPlate() * Vec3((leaf[0] + leaf[1] + leaf[2]) / 3);
      EXPECT_GT(middle.y(), box.center().y() - 0.2);
      inside += middle.y() < box.max().y() - 1 && middle.z() > box.min().z() + 1 && middle.z() < box.max().z() - 1;
    });
  });
  EXPECT_GT(inside, 20);
  QTest::keyClick(&window, Qt::Key_C, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_FALSE(window.view().cutaway());
}

TEST_F(MarkingTest, TheCutFollowsKeysAndWheel) {
  openDemo("manifold");
  look(-90, 0);
  const Box3 box = placedBounds(part().placement, *part().mesh);
  const QPoint pixel = pixelOf(Vec3(box.center().x(), box.min().y(), box.center().z()));
  QTest::mouseMove(&window.scene(), pixel);
  dragTo(pixel, Qt::NoButton);
  window.scene().setFocus();
  QTest::keyClick(&window.scene(), Qt::Key_C);
  ASSERT_TRUE(window.view().cutaway());
  EXPECT_NEAR(window.view().cutaway()->normal.y(), 1, 0.1);
  EXPECT_NEAR(window.view().cutaway()->at.y(), box.min().y(), 1);
  QWheelEvent slide(pixel, window.scene().mapToGlobal(pixel), {}, {0, 120}, Qt::NoButton, Qt::ShiftModifier,
                    Qt::NoScrollPhase, false);
  QApplication::sendEvent(&window.scene(), &slide);
  EXPECT_GT(window.view().cutaway()->at.y(), box.min().y() + 0.05);
  const Vec3 normal = window.view().cutaway()->normal;
  QTest::keyClick(&window.scene(), Qt::Key_C, Qt::ShiftModifier);
  EXPECT_TRUE(window.view().cutaway()->normal.isApprox(-normal));
}

// Face lights before the click and then blocks the latch's groove; what lay under it is not carried any more.
TEST_F(MarkingTest, BlocksTheLatchsGroove) {
  openDemo("latch");
  ASSERT_GT(sites().size(), 0u);
  look(-60, -40);
  window.showSheet(2);
  const Box3 box = placedBounds(part().placement, *part().mesh);
  const auto groove = treeOf(part().mesh)->firstHit(Vec3(40, 0, 5), Vec3::UnitZ());
  ASSERT_TRUE(groove);
  const Vec3 roof = toPlate() * groove->point;
  ASSERT_GT(roof.z() - box.min().z(), 15);
  hold({.tool = Tool::face, .mark = Mark::block});
  clickAt(roof);
  settled();
  EXPECT_NEAR(marked(Mark::block), 44 * 7, 2);
  EXPECT_EQ(window.document().undoName(), "block face");
}

// Two bands on the finial's stem, one on the part and one on the strip, hold it at two heights.
TEST_F(MarkingTest, HoldsTheFinialByTwoBands) {
  openDemo("finial");
  look(-90, 0);
  window.showSheet(2);
  const double before = supportVolume();
  const Box3 box = placedBounds(part().placement, *part().mesh);
  hold({.tool = Tool::band});
  const auto at = [&](double z) { return pixelOf(Vec3(box.center().x(), box.center().y(), z)); };
  stroke(at(30), at(36));
  settled();
  EXPECT_EQ(window.document().undoName(), "enforce band");
  const double one = marked(Mark::enforce);
  EXPECT_GT(one, 20);
  Strip& strip = window.strip();
  const QPoint from(strip.width() / 2, static_cast<int>(strip.pixelOf(50))),
      to(strip.width() / 2, static_cast<int>(strip.pixelOf(56)));
  QTest::mousePress(&strip, Qt::LeftButton, {}, from);
  QMouseEvent move(QEvent::MouseMove, to, strip.mapToGlobal(to), Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(&strip, &move);
  QTest::mouseRelease(&strip, Qt::LeftButton, {}, to);
  settled();
  EXPECT_GT(marked(Mark::enforce), 1.3 * one);
  EXPECT_GT(supportVolume(), before);
  EXPECT_TRUE(std::any_of(built().prices.begin(), built().prices.end(), [](const Price& price) {
    return price.cause.kind == CauseKind::hold && price.use.volume > 0;
  }));
}

TEST_F(MarkingTest, AllOfItIsUndoneRedoneSavedAndOpenedAgain) {
  open(together({box({0, 0, 0}, {4, 20, 40}), box({4, 0, 12}, {18, 20, 14}), box({-14, 0, 26}, {0, 20, 28})}));
  window.showSheet(2);
  look(-60, -30);
  const ProjectPtr start = window.document().project();
  const std::size_t pieces = built().support->pieces.size();
  ASSERT_EQ(pieces, 2u);
  // Remove the lower piece by pointing at it, put a prop and a zone, block a site from the list, keep a face clean.
  hold({.tool = Tool::remove, .reach = Reach::piece});
  const Piece& piece = built().support->pieces[0];
  const Box2 base = boundsOf(built().demand[piece.sites[0]]->layers.front());
  look(-20, 8);
  clickAt(Vec3(base.max().x(), base.center().y(), piece.highest / 2));
  settled();
  EXPECT_EQ(window.document().undoName(), "remove support");
  EXPECT_EQ(built().support->pieces.size(), pieces - 1);
  look(-60, -40);
  hold({.tool = Tool::prop, .propWidth = 4});
  const Vec3 under(base.center().x(), base.center().y(), 12);
  clickAt(under);
  settled();
  ASSERT_EQ(part().props.size(), 1u);
  EXPECT_LT((toPlate() * part().props[0].at - under).norm(), 1);
  hold({.tool = Tool::zone, .zoneAs = ZoneAs::keepClear});
  clickAt(under + Vec3(0, 7, 0));
  settled();
  ASSERT_EQ(part().zones.size(), 1u);
  EXPECT_EQ(window.view().chosen(), (Chosen{Chosen::zone, 0}));
  EXPECT_EQ(window.hand().brush().tool, Tool::pick);
  EXPECT_NEAR(figuresOf(part().zones[0], toPlate()).size.x(), 15, 1);  // as large as the site there
  window.showSheet(1);
  auto* list = window.findChild<QListView*>("sites");
  ASSERT_GT(list->model()->rowCount(), 1);
  list->selectionModel()->select(list->model()->index(1, 0), QItemSelectionModel::ClearAndSelect);
  EXPECT_EQ(window.view().litSites().size(), 1u);
  click("siteBlock");
  settled();
  ASSERT_EQ(part().sites.size(), 1u);
  EXPECT_EQ(part().sites[0].choice, Choice::block);
  window.showSheet(2);
  window.view().choose({});
  list->clearSelection();
  look(-60, -40);
  QTest::qWait(50);
  const QImage picture = window.scene().grabFramebuffer();
  const ProjectPtr end = window.document().project();
  for (int i = 0; i < 4; ++i) QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(window.document().project(), start);
  for (int i = 0; i < 4; ++i) QTest::keyClick(&window, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
  EXPECT_EQ(window.document().project(), end);
  const QString path = QString::fromStdString(folder / "decided.3mf");
  ASSERT_TRUE(window.saveTo(path));
  window.document().newProject();
  window.document().open(path);
  settled();
  look(-60, -40);
  QTest::qWait(50);
  const QImage again = window.scene().grabFramebuffer();
  ASSERT_EQ(again.size(), picture.size());
  int differing = 0;
  for (int y = 0; y < picture.height(); ++y)
    for (int x = 0; x < picture.width(); ++x) differing += picture.pixel(x, y) != again.pixel(x, y);
  EXPECT_LT(differing, picture.width() * picture.height() / 1000);
}

TEST_F(MarkingTest, ListAndSceneLightEachOther) {
  open(together({box({0, 0, 0}, {4, 20, 40}), box({4, 0, 12}, {18, 20, 14}), box({-14, 0, 26}, {0, 20, 28})}));
  window.showSheet(1);
  look(-60, -40);
  const Vec3 place = sites()[0].at;
  dragTo(pixelOf(place), Qt::NoButton);
  EXPECT_EQ(window.view().litSites(), (std::vector<SiteId>{{0, 0}}));
  clickAt(place);
  auto* list = window.findChild<QListView*>("sites");
  ASSERT_EQ(list->selectionModel()->selectedIndexes().size(), 1);
  EXPECT_EQ(list->selectionModel()->selectedIndexes().front().row(), 0);
  auto* order = window.findChild<QComboBox*>("siteOrder");
  order->setCurrentIndex(1);
  auto* filter = window.findChild<QComboBox*>("siteFilter");
  filter->setCurrentIndex(4);  // high up: none of the two is over 30 mm
  EXPECT_EQ(list->model()->rowCount(), 0);
  filter->setCurrentIndex(0);
  EXPECT_EQ(list->model()->rowCount(), 2);
}

TEST_F(MarkingTest, AFindingsRemedyIsAButton) {
  open(table(40, 15, 3));
  window.document().perform(AddProp{0, Vec3(125, 105, 18), 3});  // on the upper side
  settled();
  FindingCard* idle = card("prop-idle");
  ASSERT_NE(idle, nullptr);
  auto* button = idle->findChild<QAbstractButton*>("remedy0");
  ASSERT_NE(button, nullptr);
  EXPECT_TRUE(button->text().startsWith("Remove prop")) << button->text().toStdString();
  QTest::mouseClick(button, Qt::LeftButton);
  settled();
  EXPECT_TRUE(part().props.empty());
}

TEST_F(MarkingTest, APropFollowsTheHandAndItsWidthTheList) {
  open(table(40, 15, 3));
  window.showSheet(2);
  lookFromBelow();
  hold({.tool = Tool::prop});
  stroke(pixelOf({112, 95, 15}), pixelOf({138, 95, 15}));
  settled();
  ASSERT_EQ(part().props.size(), 1u);
  EXPECT_NEAR((toPlate() * part().props[0].at).x(), 138, 1);
  EXPECT_EQ(window.document().undoName(), "move prop");
  window.findChild<QDoubleSpinBox*>("chosenPropWidth")->setValue(7);
  EXPECT_EQ(part().props[0].width, 7);
  hold({});
  QTest::keyClick(&window.scene(), Qt::Key_Delete);
  EXPECT_TRUE(part().props.empty());
}

// Seen along the plate there is only support over most of it, and nothing behind.
TEST_F(MarkingTest, AZoneClickedOnSupportIsLaidOverWhatThatCarries) {
  open(table(40, 15, 3));
  window.showSheet(2);
  settled();
  look(0, 2);
  const Box3 box = window.builder().shown().build->parts[0].placed->bounds;
  const Vec3 support(box.center().x() + 12, box.min().y() + 2, 7);
  hold({.tool = Tool::zone, .zoneAs = ZoneAs::block, .zoneShape = ZoneShape::box});
  clickAt(support);
  ASSERT_EQ(part().zones.size(), 1u);
  const ZoneFigures figures = figuresOf(part().zones[0], toPlate());
  EXPECT_NEAR(figures.size.x(), 41, 0.1);  // the table's underside, and half a millimetre around it
  EXPECT_NEAR(figures.centre.z(), 15, 0.1);
  settled();
  EXPECT_TRUE(built().support->pieces.empty());
}

TEST_F(MarkingTest, AZoneIsStretchedByItsHandle) {
  open(table(40, 15, 3));
  window.showSheet(2);
  AddZone add{0, {}, {{125, 105, 20}, {10, 12, 14}, {0, 0, 0}}};
  window.document().perform(add);
  settled();
  window.view().choose({Chosen::zone, 0});
  look(-60, 25);
  const auto& handles = window.scene().handles();
  const auto face = std::find_if(handles.begin(), handles.end(),
                                 [](const Handle& h) { return h.kind == Handle::stretch && h.axis == 2; });
  ASSERT_NE(face, handles.end());
  const Vec3 corner = face->line.front();
  stroke(pixelOf(corner), pixelOf(corner + Vec3(0, 0, 6)));
  const ZoneFigures figures = figuresOf(part().zones[0], toPlate());
  EXPECT_NEAR(figures.size.z(), 20, 0.5);
  EXPECT_NEAR(figures.centre.z() - figures.size.z() / 2, 13, 0.01);  // the other face stays
  EXPECT_NEAR(figures.size.x(), 10, 1e-6);
}

TEST_F(MarkingTest, TheLineUnderTheSceneSaysWhy) {
  open(table(40, 15, 3));
  lookFromBelow();
  QString words;
  QObject::connect(&window.scene(), &SceneView::pointedAt, [&](const QString& now) { words = now; });
  window.scene().nextLook();
  window.scene().nextLook();  // part alone
  dragTo(pixelOf({112, 105, 15}), Qt::NoButton);
  EXPECT_TRUE(words.contains("supported as proposed")) << words.toStdString();
  EXPECT_TRUE(words.contains(" g, ")) << words.toStdString();
  window.scene().nextLook();
  window.scene().nextLook();
  dragTo(pixelOf({112, 90, 7}), Qt::NoButton);
  EXPECT_TRUE(words.contains("piece 1")) << words.toStdString();
}

}  // namespace
}  // namespace trellis::test
