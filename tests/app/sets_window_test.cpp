// SPDX-License-Identifier: GPL-3.0-or-later
// The head of Build: machines, filaments and prints, settings by their words, and what differs from the usual.
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLabel>
#include <QLayout>
#include <QLineEdit>
#include <QToolButton>

namespace trellis::test {
namespace {

class SetsWindowTest : public WindowTest {
 protected:
  void SetUp() override {
    qputenv("XDG_DATA_HOME", QByteArray::fromStdString(folder / "data"));
    own = std::make_unique<MainWindow>();
    own->resize(1280, 800);
    own->show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(own.get()));
    QApplication::setActiveWindow(own.get());
    own->showSheet(3);
  }
  void TearDown() override {
    own->document().letGo();
    WindowTest::TearDown();
  }
  template <typename Widget>
  Widget* child(const char* name) {
    return own->findChild<Widget*>(name);
  }
  void choose(const char* kind, const char* name) {
    auto* box = child<QComboBox>((std::string("set.") + kind).c_str());
    box->setCurrentIndex(box->findText(name));
    Q_EMIT box->activated(box->currentIndex());
  }
  void type(const char* key, double value) { child<QWidget>(key)->findChild<QDoubleSpinBox*>()->setValue(value); }
  void press(const char* name) { QTest::mouseClick(child<QAbstractButton>(name), Qt::LeftButton); }
  double number(const char* key) { return own->document().settings().number(key); }

  std::unique_ptr<MainWindow> own;
};

TEST_F(SetsWindowTest, AMachineOfOnesOwnIsThereAndChosenNextTime) {
  press("open.machine");
  QTest::qWait(50);  // until it has its place
  type("machine.acceleration", 820);
  auto* name = child<QLineEdit>("setName");
  name->setFocus();
  name->selectAll();
  QTest::keyClicks(name, "Potting bench");
  press("keepSet");
  EXPECT_EQ(child<QComboBox>("set.machine")->currentText(), "Potting bench");
  EXPECT_EQ(child<QToolButton>("unusual")->text(), "Everything is as usual with these three");
  choose("filament", "Trellis Tough");
  own->document().letGo();
  own = std::make_unique<MainWindow>();
  EXPECT_EQ(child<QComboBox>("set.machine")->currentText(), "Potting bench");
  EXPECT_EQ(child<QComboBox>("set.filament")->currentText(), "Trellis Tough");
  EXPECT_EQ(number("machine.acceleration"), 820);
  EXPECT_EQ(own->document().settings().text("machine.name"), "Potting bench");
}

TEST_F(SetsWindowTest, AFilamentWithoutFanBringsItsLeanAndGapsAndLeavesTheProjectsOwn) {
  type("support.gap.above", 0.31);
  choose("filament", "Still Air");
  EXPECT_EQ(number("support.free_lean"), 38);
  EXPECT_EQ(number("support.gap.below"), 0.22);
  EXPECT_EQ(number("support.gap.above"), 0.31);
  own->document().undo();
  EXPECT_EQ(number("support.free_lean"), 45) << "one step";
}

TEST_F(SetsWindowTest, WhatDiffersNamesASwitchThatWasLeftAndResetsIt) {
  own->document().perform(ChangeSetting{"support.footing", std::string("plate")});
  own->document().perform(ChangeSetting{"layer.height", 0.16});
  auto* unusual = child<QToolButton>("unusual");
  EXPECT_EQ(unusual->text(), "2 settings differ from my usual");
  press("unusual");
  auto* list = child<QWidget>("unusualList");
  const auto rows = list->findChildren<QWidget*>("support.footing");
  ASSERT_EQ(rows.size(), 1);
  EXPECT_EQ(list->layout()->itemAt(0)->widget(), rows.front()) << "the switch first";
  QTest::mouseClick(rows.front()->findChild<QToolButton*>(), Qt::LeftButton);
  EXPECT_EQ(own->document().settings().text("support.footing"), "any");
  EXPECT_EQ(unusual->text(), "1 setting differs from my usual");
}

TEST_F(SetsWindowTest, AnySettingIsFoundByItsWords) {
  auto* words = child<QLineEdit>("findSetting");
  words->setFocus();
  QTest::keyClicks(words, "nozzle heat");
  auto* finder = child<QWidget>("settingFinder");
  ASSERT_NE(finder->findChild<QWidget*>("filament.nozzle_heat"), nullptr);
  finder->findChild<QWidget*>("filament.nozzle_heat")->findChild<QDoubleSpinBox*>()->setValue(222);
  EXPECT_EQ(number("filament.nozzle_heat"), 222);
  for (const SettingRow& row : settingsTable()) {
    words->setText(QString::fromStdString(row.label));
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    EXPECT_NE(finder->findChild<QWidget*>(QString::fromStdString(row.key)), nullptr) << row.key;
  }
}

TEST_F(SetsWindowTest, AProjectsOtherFiguresAreSaidAndNothingIsOverwritten) {
  KeptSet other{SetKind::filament, "Potting PLA", {{"filament.price", 77.0}}};
  own->document().perform(ChooseSet{other});
  QStringList said;
  for (const QLabel* label : child<QWidget>("sets")->findChildren<QLabel*>())
    if (label->isVisible()) said << label->text();
  EXPECT_TRUE(said.join(' ').contains("other figures than yours")) << said.join(' ').toStdString();
  EXPECT_TRUE(own->document().library().named(SetKind::filament, "Potting PLA").values.empty());
  choose("filament", "Potting PLA");
  EXPECT_EQ(number("filament.price"), 22);
}

}  // namespace
}  // namespace trellis::test
