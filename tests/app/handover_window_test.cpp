// SPDX-License-Identifier: GPL-3.0-or-later
// A print handed over from the window to the stand-in, which is a process of its own.
#include "app/strip/strip.hpp"
#include "app/window/handover.hpp"
#include "app/worksheets/compare_sheet.hpp"
#include "core/document/variants.hpp"
#include "core/results/gcode_text.hpp"
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLabel>
#include <QProcess>
#include <QSpinBox>
#include <QTcpServer>

namespace trellis::test {
namespace {

class HandoverWindowTest : public WindowTest {
 protected:
  void TearDown() override {
    handover().forget();
    bench.kill();
    bench.waitForFinished();
    WindowTest::TearDown();
  }
  // Starts the stand-in and says where it listens.
  QString benchPrinter(const char* times, const QStringList& more = {}) {
    QTcpServer probe;
    probe.listen(QHostAddress::LocalHost);
    const QString port = QString::number(probe.serverPort());
    probe.close();
    bench.start(QCoreApplication::applicationDirPath() + "/meek-bench-printer",
                QStringList{"--tcp", port, "--times", times, "--heats-in", "30"} + more);
    EXPECT_TRUE(bench.waitForReadyRead(5000));
    return "localhost:" + port;
  }
  void showPrinter() {
    window.showSheet(5);
    window.findChild<CompareSheet*>()->showPage(4);
  }
  void print(const QString& port) {
    showPrinter();
    window.findChild<QComboBox*>("printerPort")->setEditText(port);
    click("handOver");
  }
  bool becomes(HandoverState state, int within = 60000) {
    return QTest::qWaitFor([&] { return handover().status() && handover().status()->state == state; }, within);
  }
  bool isAtLayer(int layer) {
    return QTest::qWaitFor([&] { return handover().status() && handover().status()->layer >= layer; }, 60000);
  }
  QAbstractButton* button(const char* name) { return window.findChild<QAbstractButton*>(name); }
  Handover& handover() { return window.handover(); }
  QProcess bench;
};

TEST_F(HandoverWindowTest, APrintIsFollowedToItsEndAndItsNotesOpen) {
  open(box({0, 0, 0}, {12, 12, 4}));
  const std::string log = folder / "taken.log";
  print(benchPrinter("100", {"--log", QString::fromStdString(log)}));
  ASSERT_TRUE(isAtLayer(5));
  EXPECT_FALSE(button("handOver")->isVisible());
  EXPECT_GT(handover().readings().back().heat.nozzle, 150);
  EXPECT_EQ(window.document().project()->shelf.versions.size(), 1u);  // what is printed can be looked at again
  EXPECT_NEAR(*window.view().printedTo(), handover().status()->height, 0.5);
  EXPECT_TRUE(window.findChild<QLabel*>("placeWords")->text().contains("left"));
  click("pausePrint");
  ASSERT_TRUE(becomes(HandoverState::paused));
  const int layer = handover().status()->layer;
  EXPECT_FALSE(button("pausePrint")->isVisible());
  QTest::qWait(300);
  EXPECT_EQ(handover().status()->layer, layer);
  click("goOn");
  ASSERT_TRUE(becomes(HandoverState::done));
  EXPECT_FALSE(window.view().printedTo());
  EXPECT_TRUE(window.findChild<QWidget*>("outcomes")->isVisible());
  EXPECT_FALSE(handover().left());
  EXPECT_NEAR(window.findChild<QSpinBox*>("realMinutes")->value() * 60, handover().took(), 60);
  // What the printer took is what was written, and what the pause added.
  std::vector<std::string> taken, sent;
  for (const JobLine& line : handover().job()->lines) sent.push_back(line.command);
  for (const QByteArray& line : QByteArray::fromStdString(readFile(log)).split('\n'))
    taken.push_back(line.toStdString());
  std::size_t found = 0;
  for (const std::string& line : taken)
    if (found < sent.size() && line == sent[found]) ++found;
  EXPECT_EQ(found, sent.size());
}

TEST_F(HandoverWindowTest, WhatIsCancelledLeavesTheHeatersOff) {
  open(box({0, 0, 0}, {30, 30, 10}));
  print(benchPrinter("60"));
  ASSERT_TRUE(isAtLayer(2));
  click("cancelPrint");
  ASSERT_TRUE(becomes(HandoverState::cancelled));
  EXPECT_EQ(handover().status()->heat->nozzleWanted, 0);
  EXPECT_EQ(handover().status()->heat->plateWanted, 0);
  EXPECT_TRUE(button("handOver")->isVisible());
}

// As when the program is killed: the printer stands still, and the next window asks it where it is.
TEST_F(HandoverWindowTest, APrintThatALostWindowBeganIsFoundAgain) {
  open(box({0, 0, 0}, {12, 12, 4}));
  const Shown shown = window.builder().shown();
  {
    Handover former;
    former.begin({benchPrinter("100"), gcodeOf(*shown.project, *shown.build, {}), "abcdef", "Snail", 1500, 1});
    ASSERT_TRUE(QTest::qWaitFor([&] { return former.status()->layer >= 4; }, 60000));
    EXPECT_FALSE(handover().left());  // it goes on in another window
    EXPECT_THROW(handover().begin({"localhost:1", "G28\n", "", "", 1500, 1}), Error);
  }
  ASSERT_TRUE(handover().left());
  EXPECT_EQ(handover().left()->code, "abcdef");
  showPrinter();
  click("followPrint");
  ASSERT_TRUE(becomes(HandoverState::found));
  EXPECT_GE(handover().status()->layer, 4);
  click("goOn");
  ASSERT_TRUE(becomes(HandoverState::done));
  EXPECT_EQ(handover().code(), "abcdef");
}

TEST_F(HandoverWindowTest, ALineThatCannotBeOpenedIsSaid) {
  open(box({0, 0, 0}, {12, 12, 4}));
  print("localhost:1");
  ASSERT_TRUE(becomes(HandoverState::lost));
  EXPECT_TRUE(button("cancelPrint")->isVisible());
  EXPECT_TRUE(button("cancelPrint")->isEnabled());
}

}  // namespace
}  // namespace trellis::test
