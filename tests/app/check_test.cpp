// SPDX-License-Identifier: GPL-3.0-or-later
// Proving a print in the real window: findings, the trial print, pieces, the strip, layers, G-code of others, the
// report.
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QLineEdit>
#include <QProcess>
#include <QRegularExpression>
#include <QSignalSpy>
#include <QTextDocument>
#include <QToolButton>
#include <QTreeWidget>

#include <fstream>

namespace trellis::test {
namespace {

// A post with an arm from which a bar hangs down: the bar begins in mid-air at 8 mm.
MeshPtr hanging() {
  return blocks({0, 5, 10, 14}, {0, 5}, {0, 8, 16, 20},
                [](int x, int, int z) { return x == 0 || z == 2 || (x == 2 && z == 1); });
}

class CheckTest : public WindowTest {
 protected:
  const Findings& findings() { return window.builder().shown().build->findings; }
  void press(QWidget* within, const char* name) {
    QTest::mouseClick(within->findChild<QAbstractButton*>(name), Qt::LeftButton);
  }
  bool has(const char* code) {
    return std::any_of(findings().begin(), findings().end(),
                       [&](const Finding& f) { return f.code == code && !f.accepted; });
  }
  QString verdict() { return window.findChild<QLabel*>("verdict")->text(); }
  void tried() {
    ASSERT_TRUE(QTest::qWaitFor([&] { return window.builder().trialPrint() != nullptr; }, 30000));
  }
  void openBare() {
    open(hanging());
    window.document().perform(ChangeSetting{"support.source", std::string("decisions")});
    settled();
    window.showSheet(4);
  }
};

TEST_F(CheckTest, AFloatingStartIsFoundGoneToAndMendedFromTheList) {
  openBare();
  tried();
  EXPECT_TRUE(verdict().contains("begins in mid-air")) << verdict().toStdString();
  ASSERT_NE(card("floating-start"), nullptr);
  press(card("floating-start"), "goThere");
  EXPECT_NEAR(window.view().range().second, 8.2, 0.01);
  press(card("floating-start"), "remedy0");
  settled();
  tried();
  EXPECT_FALSE(has("floating-start"));
  EXPECT_FALSE(verdict().contains("mid-air")) << verdict().toStdString();
  EXPECT_GT(supportVolume(), 1);
  window.document().undo();
  settled();
  EXPECT_TRUE(has("floating-start"));
}

TEST_F(CheckTest, TheStripGoesToAFloatingStart) {
  openBare();
  Strip& strip = window.strip();
  const QPoint symbol(static_cast<int>(*strip.laneX(StripLane::starts)), static_cast<int>(strip.pixelOf(8)));
  ASSERT_TRUE(strip.placeAt(symbol).has_value());
  QTest::mouseClick(&strip, Qt::LeftButton, Qt::NoModifier, symbol);
  EXPECT_NEAR(window.view().range().second, 8.2, 0.01);
  EXPECT_TRUE(strip.wordsAt(8.1).contains("floating start")) << strip.wordsAt(8.1).toStdString();
  EXPECT_TRUE(strip.wordsAt(8.1).contains("mm²"));
}

TEST_F(CheckTest, AFindingIsAcceptedWithANoteAndKeptInTheProject) {
  openBare();
  const QString before = window.findChild<QToolButton*>("findingsCount")->text();
  FindingCard* open = card("floating-start");
  ASSERT_NE(open, nullptr);
  press(open, "accept");
  auto* note = open->findChild<QLineEdit*>("note");
  ASSERT_NE(note, nullptr) << "the note is asked for";
  QTest::keyClicks(note, "it is meant to droop");
  QTest::keyClick(note, Qt::Key_Return);
  settled();
  EXPECT_FALSE(has("floating-start"));
  EXPECT_NE(window.findChild<QToolButton*>("findingsCount")->text(), before);
  ASSERT_TRUE(findings().back().accepted.has_value());
  EXPECT_EQ(*findings().back().accepted, "it is meant to droop");
  ASSERT_TRUE(window.saveTo(QString::fromStdString(folder / "kept.3mf")));
  QSignalSpy opened(&window.document(), &Document::opened);
  window.document().open(QString::fromStdString(folder / "kept.3mf"));
  ASSERT_TRUE(opened.wait(20000));
  settled();
  EXPECT_EQ(findings().back().accepted.value_or(""), "it is meant to droop");
  press(card("floating-start"), "unaccept");
  settled();
  EXPECT_TRUE(has("floating-start"));
}

TEST_F(CheckTest, TheTallysCountOpensTheList) {
  openBare();
  window.showSheet(0);
  QTest::mouseClick(window.findChild<QToolButton*>("findingsCount"), Qt::LeftButton);
  EXPECT_TRUE(window.findChild<QWidget*>("findingList")->isVisible());
}

TEST_F(CheckTest, AChosenPieceSlidesOut) {
  open(table(30, 12, 3));
  window.showSheet(4);
  QTest::qWait(50);
  const QImage before = window.scene().grabFramebuffer();
  window.findChild<QTreeWidget*>("pieces")->topLevelItem(0)->setSelected(true);
  EXPECT_EQ(window.view().pieceInHand(),
            window.findChild<QTreeWidget*>("pieces")->topLevelItem(0)->data(0, Qt::UserRole).toInt() - 1);
  QTest::qWait(1500);
  EXPECT_NE(window.scene().grabFramebuffer(), before);
  window.findChild<QTreeWidget*>("pieces")->clearSelection();
  EXPECT_EQ(window.view().pieceInHand(), -1);
  QTest::qWait(100);
  EXPECT_EQ(window.scene().grabFramebuffer(), before);
}

TEST_F(CheckTest, ATallPostIsHeldWithOneClick) {
  open(together({box({-10, -10, 0}, {14, 14, 2}), box({0, 0, 2}, {4, 4, 80})}));
  window.showSheet(4);
  ASSERT_NE(card("unstable"), nullptr);
  const double before = window.builder().shown().build->judged[0].stability->mostDeflected()->deflection;
  press(card("unstable"), "remedy0");
  settled();
  EXPECT_FALSE(has("unstable"));
  EXPECT_LT(window.builder().shown().build->judged[0].stability->mostDeflected()->deflection, before / 4);
  EXPECT_TRUE(window.findChild<QLabel*>("standing")->text().contains("Support holds it"));
}

TEST_F(CheckTest, OthersGcodeIsShownWithItsVerdict) {
  open(box({0, 0, 0}, {10, 10, 5}));
  std::ofstream text(folder / "other.gcode");
  text << "G21\nG90\nM82\nG1 F1800\n";
  double e = 0;
  for (double z = 0.2; z < 1.1; z += 0.2) text << "G0 X20 Y20 Z" << z << "\nG1 X40 Y20 E" << (e += 0.68) << "\n";
  text << "G0 X20 Y60 Z1.2\nG1 X40 Y60 E" << (e += 0.68) << "\n";
  text.close();
  window.view().openGcode(QString::fromStdString(folder / "other.gcode"));
  ASSERT_TRUE(QTest::qWaitFor([&] { return window.view().gcode().has_value(); }, 10000));
  window.showSheet(4);
  EXPECT_TRUE(verdict().contains("other.gcode")) << verdict().toStdString();
  EXPECT_TRUE(verdict().contains("One place begins in mid-air")) << verdict().toStdString();
  EXPECT_NEAR(window.view().height(), 1.2, 1e-6);
  click("firstAir");
  EXPECT_NEAR(window.view().range().second, 1.2, 1e-6);
  click("closeGcode");
  EXPECT_FALSE(window.view().gcode().has_value());
  EXPECT_NEAR(window.view().height(), 5, 1e-6);
}

TEST_F(CheckTest, AFileThatIsNoGcodeIsASentence) {
  QString said;
  QObject::connect(&window.activity(), &Activity::failed, [&](const QString& sentence) { said = sentence; });
  writeFileAtomically(folder / "not.gcode", "once upon a time\n");
  window.view().openGcode(QString::fromStdString(folder / "not.gcode"));
  ASSERT_TRUE(QTest::qWaitFor([&] { return !said.isEmpty(); }, 10000));
  EXPECT_TRUE(said.contains("no move"));
}

TEST_F(CheckTest, LayersAreSwitchedLookedDownOnAndPlayed) {
  open(table(30, 12, 3));
  window.view().setRange(0, 6);
  auto& switches = window.scene().switches();
  EXPECT_TRUE(switches.isVisible());
  QTest::mouseClick(switches.findChild<QToolButton*>("fromAbove"), Qt::LeftButton);
  EXPECT_EQ(window.scene().camera().pitch(), 90);
  QTest::qWait(30);
  const QImage all = window.scene().grabFramebuffer();
  QTest::mouseClick(switches.findChild<QToolButton*>("drawWalls"), Qt::LeftButton);
  EXPECT_NE(window.scene().grabFramebuffer(), all);
  QTest::mouseClick(switches.findChild<QToolButton*>("drawWalls"), Qt::LeftButton);
  EXPECT_EQ(window.scene().grabFramebuffer(), all);
  for (const char* more : {"drawTravel", "drawArrows", "drawBearings"}) {
    QTest::mouseClick(switches.findChild<QToolButton*>(more), Qt::LeftButton);
    if (std::string(more) == "drawBearings") tried();
    QTest::qWait(30);
    EXPECT_NE(window.scene().grabFramebuffer(), all) << more;
    QTest::mouseClick(switches.findChild<QToolButton*>(more), Qt::LeftButton);
  }
  switches.findChild<QComboBox*>("haste")->setCurrentIndex(4);
  QTest::mouseClick(switches.findChild<QToolButton*>("play"), Qt::LeftButton);
  EXPECT_TRUE(QTest::qWaitFor([&] { return window.view().range().second > 6.1; }, 5000));
  QTest::mouseClick(switches.findChild<QToolButton*>("play"), Qt::LeftButton);
  EXPECT_EQ(window.view().drawnShare(), 1);
  window.view().setRange(0, 1e9);
  EXPECT_FALSE(switches.isVisible());
}

TEST_F(CheckTest, AZoneIsDraggedOnTheStrip) {
  open(table(30, 12, 3));
  AddZone add{0, {}, {Vec3(125, 105, 5), Vec3(4, 4, 4)}};
  window.document().perform(add);
  settled();
  window.view().choose({Chosen::zone, 0});
  Strip& strip = window.strip();
  const QPoint from(strip.width() - 26, static_cast<int>(strip.pixelOf(5))),
      to(strip.width() - 26, static_cast<int>(strip.pixelOf(11)));
  QTest::mousePress(&strip, Qt::LeftButton, Qt::NoModifier, from);
  for (int k = 1; k <= 3; ++k) {
    QMouseEvent move(QEvent::MouseMove, from + (to - from) * k / 3, strip.mapToGlobal(from), Qt::NoButton,
                     Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(&strip, &move);
  }
  QTest::mouseRelease(&strip, Qt::LeftButton, Qt::NoModifier, to);
  const auto middle = [&] {
    const Part& part = *window.document().project()->parts[0];
    return figuresOf(part.zones[0], transformOf(part.placement, *part.mesh)).centre.z();
  };
  EXPECT_NEAR(middle(), 11, 0.15);
  window.document().undo();
  EXPECT_NEAR(middle(), 5, 1e-6);  // the whole drag is one step
}

// Read back as text: from HTML by Qt, from PDF by an independent reader.
TEST_F(CheckTest, TheReportSaysWhatMatters) {
  openBare();
  tried();
  for (const char* name : {"report.html", "report.pdf"}) {
    const QString path = QString::fromStdString(folder / name);
    ASSERT_TRUE(window.reportTo(path)) << name;
    QString text;
    if (path.endsWith("pdf")) {
      QProcess reader;
      reader.start("pdftotext", {"-layout", path, "-"});
      ASSERT_TRUE(reader.waitForFinished(20000));
      text = QString::fromUtf8(reader.readAllStandardOutput());
      QProcess pages;
      pages.start("pdfinfo", {path});
      ASSERT_TRUE(pages.waitForFinished(20000));
      EXPECT_TRUE(QString::fromUtf8(pages.readAllStandardOutput()).contains(QRegularExpression("Pages:\\s+1\\n")));
    } else {
      QFile file(path);
      ASSERT_TRUE(file.open(QIODevice::ReadOnly));
      QTextDocument document;
      document.setHtml(QString::fromUtf8(file.readAll()));
      text = document.toPlainText();
    }
    for (const char* words : {"Free lean", "Gap above", "0.2 mm", "Tally", "begins in mid-air", "Findings", "part"})
      EXPECT_TRUE(text.simplified().contains(words)) << name << " lacks " << words << "\n" << text.toStdString();
  }
}

}  // namespace
}  // namespace trellis::test
