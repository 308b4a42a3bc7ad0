// SPDX-License-Identifier: GPL-3.0-or-later
// What is on the screen, by its pixels.
#include "tests/app/window_fixture.hpp"

#include <cmath>

namespace trellis::test {
namespace {

class PixelTest : public WindowTest {
 protected:
  QImage picture(bool atRest = false) {
    QTest::qWait(30);
    if (atRest) window.scene().drawFinelyNext();
    return window.scene().grabFramebuffer();
  }
  static int distance(const QColor& a, const QColor& b) {
    return std::max({std::abs(a.red() - b.red()), std::abs(a.green() - b.green()), std::abs(a.blue() - b.blue())});
  }
  QColor pixelAt(const QImage& image, const Vec3& at) {
    const QPointF pixel = *window.scene().camera().pixelOf(at) * image.devicePixelRatio();
    return image.pixelColor(pixel.toPoint());
  }
  void look(double turn, double tilt) {
    window.scene().camera().turnTo(turn, tilt);
    window.scene().fitAll();
  }
};

// A solid that is cut shows a face there, hatched, and not its inside.
TEST_F(PixelTest, ACutIsClosed) {
  open(box({0, 0, 0}, {30, 30, 30}));
  const Vec3 middle = window.builder().shown().build->parts[0].placed->bounds.center();
  window.view().setCutaway(Plane{middle, Vec3::UnitY()});
  look(-90, 0);
  const QImage image = picture();
  const QColor part = theme().part;
  const auto scaled = [&](double by) {
    return QColor::fromRgbF(static_cast<float>(part.redF() * by), static_cast<float>(part.greenF() * by),
                            static_cast<float>(part.blueF() * by));
  };
  int hatch = 0, face = 0, all = 0;
  for (double x = -12; x <= 12; x += 0.5)
    for (double z = -12; z <= 12; z += 0.5, ++all) {
      const QColor seen = pixelAt(image, middle + Vec3(x, 0, z));
      hatch += distance(seen, scaled(0.62)) < 8;
      face += distance(seen, scaled(0.86)) < 8;
    }
  EXPECT_GT(hatch + face, 0.97 * all);
  EXPECT_GT(hatch, all / 12);
  EXPECT_GT(face, all / 2);
}

// From above a closed part hides the interface under it, however near.
TEST_F(PixelTest, NothingShinesThroughAClosedPart) {
  open(table(40, 12, 3));
  window.scene().setHandlesShown(false, false);  // they are taken through whatever stands before them
  look(-65, 40);
  for (const bool atRest : {false, true}) {
    const QImage image = picture(atRest);
    const Box3 top = window.builder().shown().build->parts[0].placed->bounds;
    for (double x = 2; x <= 38; x += 0.5)
      for (double y = 2; y <= 38; y += 0.5) {
        const QColor seen = pixelAt(image, {top.min().x() + x, top.min().y() + y, top.max().z()});
        ASSERT_GT(distance(seen, theme().interface), 40) << x << ", " << y << (atRest ? " at rest" : "");
        ASSERT_GT(distance(seen, theme().body), 40) << x << ", " << y << (atRest ? " at rest" : "");
      }
  }
}

// Backs are left out where nobody sees them; through a hole they are seen.
TEST_F(PixelTest, ThroughAHoleTheInsideIsSeen) {
  TriangleMesh cup = *box({0, 0, 0}, {30, 30, 30});
  std::erase_if(cup.facets, [&](const Facet& facet) {
    return std::all_of(facet.begin(), facet.end(), [&](std::uint32_t v) { return cup.vertices[v].z() > 29; });
  });
  open(makeMesh(std::move(cup.vertices), std::move(cup.facets)));
  look(-90, 20);
  const Box3 bounds = window.builder().shown().build->parts[0].placed->bounds;
  const QColor inside = pixelAt(picture(), {bounds.center().x(), bounds.max().y(), bounds.max().z() - 3});
  const QColor air = pixelAt(picture(), {bounds.center().x(), bounds.max().y(), bounds.max().z() + 6});
  EXPECT_GT(distance(inside, air), 20);
  QString said;
  const QObject listening;  // until said is gone
  QObject::connect(&window.scene(), &SceneView::pointedAt, &listening, [&](const QString& words) { said = words; });
  const Vec3 far(bounds.center().x(), bounds.max().y(), bounds.max().z() - 3);
  dragTo(window.scene().camera().pixelOf(far)->toPoint(), Qt::NoButton);
  EXPECT_TRUE(said.contains("the inside")) << said.toStdString();
}

// A slanted border has pixels between its two sides at rest, where a coarse picture has stairs.
TEST_F(PixelTest, BordersHaveNoStairsAtRest) {
  open(box({0, 0, 0}, {40, 10, 40}));
  look(-90, 0);
  window.scene().camera().turnTo(-84, 9);
  window.scene().fitAll();
  const auto between = [&](const QImage& image) {
    // The upper border, column by column: how many pixels are neither the part's nor the air's.
    const Box3 part = window.builder().shown().build->parts[0].placed->bounds;
    int soft = 0;
    for (double x = 2; x <= 38; x += 0.25) {
      const QPointF edge = *window.scene().camera().pixelOf({part.min().x() + x, part.min().y(), part.max().z()}) *
                           image.devicePixelRatio();
      const int column = static_cast<int>(edge.x()), row = static_cast<int>(edge.y());
      const QColor over = image.pixelColor(column, row - 6), under = image.pixelColor(column, row + 6);
      for (int r = row - 3; r <= row + 3; ++r) {
        const QColor seen = image.pixelColor(column, r);
        if (distance(seen, over) > 6 && distance(seen, under) > 6) {
          ++soft;
          break;
        }
      }
    }
    return soft;
  };
  const QImage fine = picture(true);
  EXPECT_GT(between(fine), 100);
}

// Shade is found by looking along other ways at each of four pixels, and nobody is to see which: no pixel is alone
// among neighbours that are alike.
TEST_F(PixelTest, ShadeIsEvenAtRest) {
  open(together({box({0, 0, 0}, {40, 10, 40}), box({44, 4, 0}, {45, 5, 40})}));
  look(-60, 25);
  const QImage image = picture(true);
  const auto grey = [&](int x, int y) { return qGray(image.pixel(x, y)); };
  constexpr int gridLine = 225;  // no grid line is darker, and thin ones are dashes
  int alone = 0;
  for (int y = 1; y + 1 < image.height(); ++y)
    for (int x = 1; x + 1 < image.width(); ++x) {
      const auto [low, high] = std::minmax({grey(x - 1, y), grey(x + 1, y), grey(x, y - 1), grey(x, y + 1)});
      alone += high - low < 8 && high - grey(x, y) > 12 && grey(x, y) < gridLine;
    }
  EXPECT_LT(alone, 20);
}

// The finer picture stays while the pointer goes about, and until something of it is another.
TEST_F(PixelTest, TheFinePictureIsKeptUnderTheHand) {
  open(table(40, 15, 3));
  look(-70, 40);
  window.scene().setLively(true);
  const Box3 part = window.builder().shown().build->parts[0].placed->bounds;
  const Vec3 top(part.center().x(), part.center().y(), part.max().z());
  const QImage plain = picture(), fine = picture(true);
  ASSERT_NE(plain, fine);
  dragTo(QPoint(3, 3), Qt::NoButton);
  EXPECT_EQ(picture(), fine);
  QTest::keyClick(&window.scene(), Qt::Key_B);
  const QColor bare = pixelAt(picture(true), top);
  dragTo(window.scene().camera().pixelOf(top)->toPoint(), Qt::NoButton);
  EXPECT_GT(distance(pixelAt(picture(), top), bare), 10);  // what the brush would lay
  window.document().perform(RemovePart{0});
  EXPECT_GT(distance(pixelAt(picture(), top), bare), 10);
  dragTo(QPoint(3, 3), Qt::NoButton);
  EXPECT_NE(picture(), fine);
}

// A stroke is drawn over the kept picture; what is taken away goes from it.
TEST_F(PixelTest, StrokesComeAndGoOverAKeptPicture) {
  open(table(40, 15, 3));
  look(-70, 40);
  window.scene().setLively(true);
  QTest::keyClick(&window.scene(), Qt::Key_B);
  const Box3 part = window.builder().shown().build->parts[0].placed->bounds;
  const Vec3 top(part.center().x(), part.center().y(), part.max().z());
  const QPoint there = window.scene().camera().pixelOf(top)->toPoint();
  const QColor bare = pixelAt(picture(true), top);
  QTest::mousePress(&window.scene(), Qt::LeftButton, Qt::NoModifier, there);
  dragTo(there + QPoint(12, 0), Qt::LeftButton);
  EXPECT_GT(distance(pixelAt(picture(), top), bare), 10);
  QTest::mouseRelease(&window.scene(), Qt::LeftButton, Qt::NoModifier, there + QPoint(12, 0));
  dragTo(QPoint(3, 3), Qt::NoButton);
  EXPECT_GT(distance(pixelAt(picture(true), top), bare), 10);
  stroke(there - QPoint(12, 0), there + QPoint(24, 0), Qt::ControlModifier);
  dragTo(QPoint(3, 3), Qt::NoButton);
  EXPECT_LE(distance(pixelAt(picture(), top), bare), 10);
}

// While it turns, a part of many facets is drawn by a coarser one, which nobody can tell from it.
TEST_F(PixelTest, AStandInLooksLikeItsPart) {
  open(sphere({0, 0, 20}, 20, 80, 160));
  ASSERT_LT(window.builder().shown().standIns.at(0)->facets.size(), 4000u);
  look(-70, 30);
  const QImage whole = picture();
  window.scene().setLively(true);
  window.scene().turnBy(1, 0);
  window.scene().grabFramebuffer();
  window.scene().turnBy(-1, 0);
  const QImage moving = window.scene().grabFramebuffer();
  ASSERT_NE(moving, whole);  // it is another mesh
  std::size_t apart = 0;
  for (int y = 0; y < whole.height(); ++y)
    for (int x = 0; x < whole.width(); ++x) apart += distance(whole.pixelColor(x, y), moving.pixelColor(x, y)) > 40;
  EXPECT_LT(static_cast<double>(apart), 0.01 * whole.width() * whole.height());
}

}  // namespace
}  // namespace trellis::test
