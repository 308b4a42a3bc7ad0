// SPDX-License-Identifier: GPL-3.0-or-later
// A window on the screen in memory, and hands for it.
#pragma once

#include "app/scene/scene_view.hpp"
#include "app/strip/strip.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/theme/theme.hpp"
#include "app/widgets/finding_card.hpp"
#include "app/window/main_window.hpp"
#include "core/base/files.hpp"
#include "core/mesh/stl.hpp"
#include "tests/shapes.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QDoubleSpinBox>
#include <QMouseEvent>
#include <QTest>

namespace trellis::test {

class WindowTest : public testing::Test {
 protected:
  void SetUp() override {
    window.scene().setLively(false);  // pictures are compared that were taken at any moment
    window.resize(1280, 800);
    window.show();
    ASSERT_TRUE(QTest::qWaitForWindowExposed(&window));
    QApplication::setActiveWindow(&window);  // the screen in memory has no window manager to do it
  }

  void TearDown() override { window.document().letGo(); }  // as when it is closed

  void open(const MeshPtr& mesh) {
    writeFileAtomically(folder / "part.stl", writeStl(*mesh));
    window.document().open(QString::fromStdString(folder / "part.stl"));
    settled();
  }

  // Until the newest project is built and drawn.
  void settled() {
    ASSERT_TRUE(QTest::qWaitFor(
        [&] { return !window.document().project()->parts.empty() && !window.builder().isStale(); }, 60000));
    QTest::qWait(20);
  }

  QPoint pixelOf(const Vec3& at) { return window.scene().camera().pixelOf(at)->toPoint(); }

  void dragTo(const QPoint& to, Qt::MouseButton button, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QMouseEvent event(QEvent::MouseMove, to, window.scene().mapToGlobal(to), Qt::NoButton, button, keys);
    QApplication::sendEvent(&window.scene(), &event);
  }

  void stroke(const QPoint& from, const QPoint& to, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::mousePress(&window.scene(), Qt::LeftButton, keys, from);
    for (int i = 1; i <= 4; ++i) dragTo(from + (to - from) * i / 4, Qt::LeftButton, keys);
    QTest::mouseRelease(&window.scene(), Qt::LeftButton, keys, to);
  }

  void lookFromBelow() {
    window.scene().camera().turnTo(-70, -35);
    window.scene().fitAll();
    QTest::qWait(20);
  }

  void click(const char* name) { QTest::mouseClick(window.findChild<QAbstractButton*>(name), Qt::LeftButton); }

  void set(const char* key, double value) {
    window.findChild<QWidget*>(key)->findChild<QDoubleSpinBox*>()->setValue(value);
  }

  // The card of the first finding with a code, opened, once its remedies were tried; null without one.
  FindingCard* card(const std::string& code) {
    window.showSheet(4);
    if (!QTest::qWaitFor([&] { return window.builder().remediesAreTried(); }, 60000)) return nullptr;
    for (FindingCard* card : window.findChildren<FindingCard*>())
      if (card->finding().code == code) {
        card->setOpen(true);
        QTest::qWait(20);
        return card;
      }
    return nullptr;
  }

  double supportVolume() { return window.builder().shown().build->tally.support().volume; }

  ScratchFolder folder;
  MainWindow window;
};

}  // namespace trellis::test
