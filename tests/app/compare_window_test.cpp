// SPDX-License-Identifier: GPL-3.0-or-later
// The sixth worksheet: variants beside each other, ladders, sweeps, and what is learnt from a print.
#include "app/widgets/sweep_plot.hpp"
#include "app/window/comparer.hpp"
#include "app/worksheets/compare_sheet.hpp"
#include "core/learn/learnt.hpp"
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QTableWidget>
#include <QTreeWidget>

namespace trellis::test {
namespace {

class CompareTest : public WindowTest {
 protected:
  void SetUp() override {
    WindowTest::SetUp();
    window.showSheet(5);
  }
  QTableWidget* table() { return window.findChild<QTableWidget*>("variantTable"); }
  Comparer& comparer() { return window.comparer(); }
  bool allBuilt() {
    return QTest::qWaitFor(
        [&] {
          return std::all_of(comparer().sides().begin(), comparer().sides().end(),
                             [](const Comparer::Side& side) { return side.build != nullptr; });
        },
        60000);
  }
  QImage grabbed() {
    QTest::qWait(30);
    return window.scene().grabFramebuffer();
  }
  void activate(const char* name, int row) {
    auto* box = window.findChild<QComboBox*>(name);
    box->setCurrentIndex(row);
    Q_EMIT box->activated(row);
  }
  void twoVariants() {  // the second has one site less
    open(threeCeilings());
    click("newVariant");
    settled();
    const Vec3 at = window.builder().sites()[0]->list[1].at;
    window.document().perform(DecideSite{0, at, Choice::block});
    settled();
    ASSERT_TRUE(allBuilt());
  }
};

TEST_F(CompareTest, TheTableTellsWhatTwoVariantsCost) {
  twoVariants();
  ASSERT_EQ(table()->columnCount(), 2);
  EXPECT_EQ(table()->horizontalHeaderItem(1)->text(), "● variant 2");
  const auto figure = [&](int column) {
    for (int row = 0; row < table()->rowCount(); ++row)
      if (table()->verticalHeaderItem(row)->text() == "support g")
        return QString(table()->item(row, column)->text()).remove("‣ ").toDouble();
    return -1.0;
  };
  const Comparer::Side &first = comparer().sides()[0], &second = comparer().sides()[1];
  EXPECT_NEAR(figure(0), first.figures.body, 0.006);
  EXPECT_NEAR(figure(1), second.figures.body, 0.006);
  EXPECT_LT(figure(1), figure(0));
  EXPECT_TRUE(window.findChild<QLabel*>("variantDifferences")->text().contains("sites blocked 0 → 1"));
  auto* places = window.findChild<QTreeWidget*>("changedPlaces");
  ASSERT_GE(places->topLevelItemCount(), 1);
  EXPECT_EQ(places->topLevelItem(0)->text(2), "0.00");
}

TEST_F(CompareTest, SwitchingShowsTheOtherAtOnce) {
  twoVariants();
  const BuildPtr second = window.builder().shown().build, first = comparer().sides()[0].build;
  window.document().perform(TakeVariant{comparer().sides()[0].variant.id});
  for (int frame = 0; frame < 3; ++frame) QCoreApplication::processEvents();
  EXPECT_EQ(window.builder().shown().build, first);
  EXPECT_FALSE(window.builder().isStale());
  window.document().undo();
  for (int frame = 0; frame < 3; ++frame) QCoreApplication::processEvents();
  EXPECT_EQ(window.builder().shown().build, second);
}

// With a line to drag: to its left the one in hand, to its right the other.
TEST_F(CompareTest, TheWipeShowsOneOnEachSide) {
  twoVariants();
  const QImage second = grabbed();
  window.document().perform(TakeVariant{comparer().sides()[0].variant.id});
  settled();
  const QImage first = grabbed();
  ASSERT_NE(first, second);
  ASSERT_TRUE(allBuilt());
  table()->setCurrentCell(0, 1);
  activate("besideMode", 3);
  ASSERT_TRUE(window.view().beside());
  window.view().setWipe(0.5);
  const QImage both = grabbed();
  const int middle = both.width() / 2;
  EXPECT_EQ(both.copy(0, 0, middle - 8, both.height()), first.copy(0, 0, middle - 8, both.height()));
  // Right of it what hangs over nothing has no diamonds, but else it is the other variant.
  const QImage right = both.copy(middle + 8, 0, middle - 8, both.height());
  EXPECT_NE(right, first.copy(middle + 8, 0, middle - 8, both.height()));
  // Heights that are not shown are not shown there either.
  const auto solid = [&](const QImage& image) {
    std::size_t count = 0;
    for (int y = 0; y < image.height(); ++y)
      for (int x = middle + 8; x < image.width(); ++x) count += qGray(image.pixel(x, y)) < 190;
    return count;
  };
  window.view().setRange(0, 1);
  EXPECT_LT(solid(grabbed()), solid(both) / 2);
  window.view().setRange(0, window.view().height());
  activate("besideMode", 2);
  EXPECT_EQ(window.scene().camera().view().width(), window.scene().width() / 2);
  activate("besideMode", 0);
  EXPECT_FALSE(window.view().beside());
  window.scene().camera().turnTo(115, 25);  // from the side that the ceilings are on
  window.scene().fitAll();
  // Outlines of the one that has more, over the one that has less.
  window.document().perform(TakeVariant{comparer().sides()[1].variant.id});
  settled();
  const QImage less = grabbed();
  table()->setCurrentCell(0, 0);
  activate("besideMode", 1);
  ASSERT_TRUE(window.view().beside());
  EXPECT_NE(grabbed(), less);
}

TEST_F(CompareTest, APinIsAVariantAndTheTallyTellsTheDifference) {
  open(threeCeilings());
  click("pin");
  settled();
  EXPECT_EQ(window.document().project()->shelf.variants.size(), 1u);
  window.document().perform(ChangeSetting{"support.gap.above", 0.3});
  window.document().perform(ChangeSetting{"support.structure", std::string("tree")});
  settled();
  bool told = false;
  for (const QLabel* label : window.tally().findChildren<QLabel*>()) told = told || label->text().contains("since pin");
  EXPECT_TRUE(told);
}

TEST_F(CompareTest, ALadderIsLaidAsAVariantOfItsOwn) {
  open(shelf());
  click("comparePage2");
  activate("ladderKind", 0);
  click("layLadder");
  settled();
  EXPECT_EQ(window.document().project()->parts.size(), 4u);
  EXPECT_EQ(window.document().project()->parts[0]->name, "gap above 0.18");
  EXPECT_EQ(window.document().undoName(), "variant ladder gap above 0.18 to 0.24 mm");
  window.document().undo();
  EXPECT_EQ(window.document().project()->parts.size(), 1u);
}

TEST_F(CompareTest, ATurningThatIsTriedOutIsKeptAsAVariant) {
  open(shelf());
  PlacePart place;
  place.turn = Vec3(90, 0, 0);
  window.document().preview(place);
  click("keepAsVariant");
  settled();
  const std::vector<Variant> all = variantsOf(window.document().project());
  ASSERT_EQ(all.size(), 2u);
  EXPECT_EQ(all[0].project->parts[0]->placement.turn, Vec3(Vec3::Zero()));
  EXPECT_EQ(window.document().project()->parts[0]->placement.turn, Vec3(90, 0, 0));
  EXPECT_EQ(window.document().project()->shelf.name, "variant 2");
}

TEST_F(CompareTest, ASweepIsBuiltAndItsBestKept) {
  open(threeCeilings());
  click("comparePage1");
  window.findChild<QLineEdit*>("sweepValues0")->setText("normal, tree");
  window.findChild<QLineEdit*>("sweepValues1")->setText("0.2, 0.3");
  click("startSweep");
  auto* plot = window.findChild<SweepPlot*>("sweepPlot");
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.sweeper().done() == 4; }, 120000));
  QTest::qWait(50);
  const auto best = bestOf(window.sweeper().spec(), window.sweeper().results());
  ASSERT_TRUE(best);
  const QPoint at = plot->pixelOf(*best).toPoint();
  QTest::mouseClick(plot, Qt::LeftButton, Qt::NoModifier, at);
  EXPECT_TRUE(window.document().isPreviewing());
  click("keepCombination");
  EXPECT_FALSE(window.document().isPreviewing());
  EXPECT_EQ(variantsOf(window.document().project()).size(), 2u);
}

// A hollow without a way out, whose support nothing gets out.
TEST_F(CompareTest, ASweepSaysWhatWouldTrapSupport) {
  open(blocks({0, 2, 22, 24}, {0, 2, 22, 24}, {0, 2, 8, 10},
              [](int x, int y, int z) { return x != 1 || y != 1 || z != 1; }));
  click("comparePage1");
  window.findChild<QLineEdit*>("sweepValues0")->setText("normal, tree");
  window.findChild<QLineEdit*>("sweepValues1")->setText("0.2");
  click("startSweep");
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.sweeper().done() == 2; }, 120000));
  EXPECT_EQ(window.sweeper().count(SweepState::dropped), 2u);
  EXPECT_TRUE(QTest::qWaitFor(
      [&] {
        const auto labels = window.findChildren<QLabel*>();
        return std::any_of(labels.begin(), labels.end(),
                           [](const QLabel* label) { return label->text().contains("2 would trap support"); });
      },
      2000));
}

// From a printed ladder to the next print, which begins with what was learnt.
class LearningTest : public testing::Test {
 protected:
  void SetUp() override { qputenv("XDG_DATA_HOME", QByteArray::fromStdString(folder / "data")); }
  std::unique_ptr<MainWindow> shown() {
    auto window = std::make_unique<MainWindow>();
    window->resize(1280, 800);
    window->show();
    EXPECT_TRUE(QTest::qWaitForWindowExposed(window.get()));
    window->showSheet(5);
    return window;
  }
  ScratchFolder folder;
};

TEST_F(LearningTest, TheBestRungIsTheNextPrintsFigure) {
  auto window = shown();
  const auto press = [&](const char* name) {
    QTest::mouseClick(window->findChild<QAbstractButton*>(name), Qt::LeftButton);
  };
  const auto settled = [&] { return QTest::qWaitFor([&] { return !window->builder().isStale(); }, 60000); };
  press("comparePage2");
  press("layLadder");
  ASSERT_TRUE(settled());
  ASSERT_TRUE(window->exportTo(QString::fromStdString(folder / "ladder.gcode")));
  const auto& versions = window->document().project()->shelf.versions;
  ASSERT_EQ(versions.size(), 1u);
  EXPECT_NE(readFile(folder / "ladder.gcode").find("; @version code=" + versions[0].code), std::string::npos);
  press("comparePage3");
  auto* outcomes = window->findChild<QTableWidget*>("outcomes");
  ASSERT_EQ(outcomes->rowCount(), 4);
  // A rung that is clicked in the scene is the row that is noted.
  window->view().selectPart(2);
  EXPECT_EQ(outcomes->currentRow(), 2);
  for (int row = 0; row < 4; ++row) {
    static_cast<QComboBox*>(outcomes->cellWidget(row, 1))->setCurrentIndex(row == 0 ? 2 : 1);
    static_cast<QComboBox*>(outcomes->cellWidget(row, 2))->setCurrentIndex(row == 2 ? 1 : 2);
  }
  press("keepNote");
  auto* learn = window->findChild<QAbstractButton*>("learnBest");
  ASSERT_TRUE(QTest::qWaitFor([&] { return !learn->isHidden(); }, 60000));
  EXPECT_TRUE(learn->text().contains("0.22")) << learn->text().toStdString();
  press("learnBest");
  EXPECT_EQ(window->document().settings().number("support.gap.above"), 0.22);
  const QString words = window->findChild<QLabel*>("learnt")->text();
  EXPECT_TRUE(words.contains("0.22") && words.contains("from ladder")) << words.toStdString();
  window->document().letGo();
  window = shown();
  EXPECT_EQ(window->document().settings().number("support.gap.above"), 0.22);
  EXPECT_TRUE(window->findChild<QLabel*>("learnt")->text().contains("from ladder"));
  window->document().letGo();
}

TEST_F(CompareTest, AClickOnAPieceOfSupportGivesItARowOfItsOwn) {
  open(shelf());
  window.compare().showPage(3);
  click("markPrinted");
  QTest::qWait(50);
  auto* outcomes = window.findChild<QTableWidget*>("outcomes");
  ASSERT_EQ(outcomes->rowCount(), 1);
  window.scene().camera().turnTo(-90, 0);
  window.scene().fitAll();
  QTest::qWait(30);
  const Build& built = *window.builder().shown().build;
  const PieceRegion& region = built.support->layers[built.support->layers.size() / 2].regions.front();
  const Vec2 middle = boundsOf(region.area).center();
  const QPoint at = pixelOf({middle.x(), boundsOf(region.area).min().y(), 5});
  QTest::mouseClick(&window.scene(), Qt::LeftButton, Qt::NoModifier, at);
  ASSERT_EQ(outcomes->rowCount(), 2);
  EXPECT_TRUE(outcomes->item(1, 0)->text().contains("piece 1"));
  EXPECT_EQ(outcomes->currentRow(), 1);
  static_cast<QComboBox*>(outcomes->cellWidget(1, 1))->setCurrentIndex(2);
  window.findChild<QAbstractButton*>("keepNote")->click();
  BenchNote kept;
  ASSERT_TRUE(QTest::qWaitFor(
      [&] {
        const BenchNotes notes;
        for (const BenchNote& note : notes.all())
          if (note.outcomes.size() == 2) kept = note;
        return kept.outcomes.size() == 2;
      },
      30000));
  EXPECT_EQ(kept.outcomes[1].came, CameOff::pliers);
  EXPECT_NEAR(kept.outcomes[1].force, built.pieces.front().force, 1e-9);
  // The same piece again has its row already.
  QTest::mouseClick(&window.scene(), Qt::LeftButton, Qt::NoModifier, at);
  EXPECT_EQ(outcomes->rowCount(), 2);
}

}  // namespace
}  // namespace trellis::test
