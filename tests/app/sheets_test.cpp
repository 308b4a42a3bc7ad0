// SPDX-License-Identifier: GPL-3.0-or-later
// Worksheets, strip and tally: what they show is what is so, at every size and from the keyboard.
#include "app/widgets/lean_wedge.hpp"
#include "app/widgets/setting_editor.hpp"
#include "app/worksheets/worksheet.hpp"
#include "core/assess/report.hpp"
#include "tests/app/window_fixture.hpp"

#include <QAccessible>
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QMenuBar>
#include <QScrollArea>
#include <QSettings>
#include <QToolButton>

#include <algorithm>
#include <array>
#include <cmath>

namespace trellis::test {
namespace {

class SheetsTest : public WindowTest {
 protected:
  QString textOf(const QWidget& parent) {
    QStringList words;
    for (const QLabel* label : parent.findChildren<QLabel*>())
      if (label->isVisible()) words << label->text();
    return words.join(' ');
  }
  Worksheet* sheet() {
    for (Worksheet* one : window.findChildren<Worksheet*>())
      if (one->isVisible()) return one;
    return nullptr;
  }

  void nothingIsCutOff() {
    for (int i = 0; i < MainWindow::sheetNames().size(); ++i) {
      window.showSheet(i);
      QTest::qWait(20);
      ASSERT_NE(sheet(), nullptr);
      const QScrollArea* area = sheet()->findChild<QScrollArea*>();
      ASSERT_NE(area, nullptr);
      EXPECT_LE(area->widget()->minimumSizeHint().width(), area->viewport()->width())
          << MainWindow::sheetNames()[i].toStdString();
      for (const QLabel* label : sheet()->findChildren<QLabel*>())
        EXPECT_TRUE(!label->isVisible() || label->wordWrap() || label->sizeHint().width() <= label->width() + 1)
            << label->text().toStdString();
    }
    EXPECT_GE(window.scene().width(), 400);
  }
};

TEST_F(SheetsTest, EveryEditorShowsItsSettingAndTakesItBack) {
  open(box({0, 0, 0}, {10, 10, 5}));
  for (SettingEditor* editor : window.findChildren<SettingEditor*>()) {
    const std::string key = editor->objectName().toStdString();
    const SettingRow& row = settingRow(key);
    const SettingValue before = window.document().settings().value(key);
    if (auto* number = editor->findChild<QDoubleSpinBox*>()) {
      EXPECT_EQ(number->value(), std::get<double>(before)) << key;
      EXPECT_EQ(number->suffix().trimmed().toStdString(), row.unit) << key;
      number->setValue(row.high);
      EXPECT_NEAR(window.document().settings().number(key), row.high, 1e-9) << key;
    } else if (auto* yes = editor->findChild<QCheckBox*>()) {
      yes->toggle();
      EXPECT_NE(window.document().settings().value(key), before) << key;
    } else {
      continue;
    }
    EXPECT_FALSE(editor->toolTip().isEmpty()) << key;
    EXPECT_FALSE(window.document().settings().isDefault(key)) << key;
    QTest::mouseClick(editor->findChild<QToolButton*>(), Qt::LeftButton);
    EXPECT_TRUE(window.document().settings().isDefault(key)) << key;
  }
}

TEST_F(SheetsTest, ChoicesAreMadeByWordsAndReachTheProject) {
  open(table(30, 12, 3));
  window.showSheet(3);
  auto* box = window.findChild<QWidget*>("support.source")->findChild<QComboBox*>();
  ASSERT_EQ(box->count(), 3);
  box->setFocus();
  QTest::keyClick(box, Qt::Key_End);
  EXPECT_EQ(window.document().settings().text("support.source"), "decisions");
  settled();
  EXPECT_EQ(supportVolume(), 0);
}

// The smallest screens: 1024 × 700, and 1920 × 1080 drawn twice as large, less a title bar.
TEST_F(SheetsTest, NothingIsCutOffInASmallWindow) {
  open(table(30, 12, 3));
  for (const QSize& size : {QSize(1024, 700), QSize(960, 508)}) {
    window.resize(size);
    nothingIsCutOff();
    EXPECT_EQ(window.size(), size);
  }
}

// Cards over the scene are as wide as their words, and wrap them where the scene is narrower.
TEST_F(SheetsTest, WordsOfCardsOverTheSceneAreWhole) {
  QSettings().remove("hints");
  window.scene().setLively(true);  // pictures that are compared have no hints
  open(table(30, 12, 3));
  window.document().preview(ChangeSetting{"support.gap.above", 0.25});
  for (const QSize& size : {QSize(1280, 800), QSize(960, 508)}) {
    window.resize(size);
    QTest::qWait(50);
    settled();
    for (const char* name : {"hints", "trial"}) {
      const auto* card = window.findChild<QWidget*>(name);
      ASSERT_TRUE(card->isVisible()) << name;
      EXPECT_TRUE(window.scene().rect().contains(card->geometry())) << name << " at " << size.width();
      for (const QLabel* label : card->findChildren<QLabel*>()) {
        if (!label->isVisible()) continue;
        const bool whole = label->wordWrap() ? label->height() >= label->heightForWidth(label->width())
                                             : label->width() >= label->sizeHint().width();
        EXPECT_TRUE(whole) << label->text().toStdString() << " at " << size.width();
      }
    }
  }
}

TEST_F(SheetsTest, ALongNameStaysInItsList) {
  auto project = std::make_shared<Project>();
  Part part = *projectOf(box({0, 0, 0}, {10, 10, 5}))->parts[0];
  part.name = std::string(300, 'W');
  window.document().perform(AddParts{{std::make_shared<const Part>(part)}});
  settled();
  window.showSheet(0);
  EXPECT_LE(window.width(), 1290);
  EXPECT_EQ(window.findChild<QListWidget*>("parts")->count(), 1);
  const QScrollArea* area = sheet()->findChild<QScrollArea*>();
  EXPECT_LE(area->widget()->width(), area->viewport()->width());
}

TEST_F(SheetsTest, EverythingOnASheetIsReachedByTab) {
  open(table(30, 12, 3));
  for (int i = 0; i < MainWindow::sheetNames().size(); ++i) {
    window.showSheet(i);
    QTest::qWait(10);
    std::set<QWidget*> wanted, met;
    for (QWidget* widget : sheet()->findChildren<QWidget*>())
      if (widget->isVisible() && widget->isEnabled() &&
          (qobject_cast<QDoubleSpinBox*>(widget) || qobject_cast<QComboBox*>(widget) ||
           qobject_cast<QCheckBox*>(widget)))
        wanted.insert(widget);
    window.scene().setFocus();
    for (int step = 0; step < 200; ++step) {
      QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : &window, Qt::Key_Tab);
      met.insert(QApplication::focusWidget());
    }
    for (QWidget* widget : wanted)
      EXPECT_TRUE(met.count(widget)) << MainWindow::sheetNames()[i].toStdString() << ": "
                                     << widget->parent()->objectName().toStdString();
  }
}

// Through Qt's accessibility interface: each thing that takes the focus has a name and a role.
TEST_F(SheetsTest, EverythingHasANameAndARole) {
  open(table(30, 12, 3));
  QAccessible::setActive(true);
  for (int i = 0; i < MainWindow::sheetNames().size(); ++i) {
    window.showSheet(i);
    QTest::qWait(10);
    std::size_t count = 0;
    for (QWidget* widget : sheet()->findChildren<QWidget*>()) {
      if (!widget->isVisible() || !(widget->focusPolicy() & Qt::TabFocus) || widget->focusProxy()) continue;
      if (qobject_cast<QScrollArea*>(widget)) continue;  // what is in it is named
      QAccessibleInterface* face = QAccessible::queryAccessibleInterface(widget);
      ASSERT_NE(face, nullptr);
      ++count;
      EXPECT_FALSE(face->text(QAccessible::Name).isEmpty())
          << MainWindow::sheetNames()[i].toStdString() << ": " << widget->metaObject()->className() << " "
          << widget->objectName().toStdString();
      EXPECT_NE(face->role(), QAccessible::NoRole);
    }
    EXPECT_GT(count, 3u);
  }
}

TEST_F(SheetsTest, TheWedgeIsDraggedToANewFreeLeanInOneStep) {
  open(table(30, 12, 3));
  window.showSheet(1);
  QTest::qWait(10);
  auto* wedge = window.findChild<LeanWedge*>();
  const double before = window.document().settings().number("support.free_lean");
  const ProjectPtr was = window.document().project();
  const QPoint middle = wedge->rect().center();
  QTest::mousePress(wedge, Qt::LeftButton, {}, middle);
  for (int i = 1; i <= 5; ++i) {
    const QPoint to = middle + QPoint(4 * i, 6 * i);
    QMouseEvent event(QEvent::MouseMove, to, wedge->mapToGlobal(to), Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(wedge, &event);
  }
  QTest::mouseRelease(wedge, Qt::LeftButton, {}, middle + QPoint(20, 30));
  EXPECT_NE(window.document().settings().number("support.free_lean"), before);
  window.document().undo();
  EXPECT_EQ(window.document().settings().number("support.free_lean"), before);
  EXPECT_EQ(window.document().project(), was);
  wedge->setFocus();
  QTest::keyClick(wedge, Qt::Key_Up);
  EXPECT_NEAR(std::abs(window.document().settings().number("support.free_lean") - before), 1, 1e-9);
}

TEST_F(SheetsTest, TheTallySaysWhatTheReportSays) {
  open(table(30, 12, 3));
  const Build& build = *window.builder().shown().build;
  const double total = grams(build.tally.whole(), window.document().settings());
  EXPECT_THAT(textOf(window.tally()).toStdString(),
              testing::HasSubstr(QString::number(total, 'f', 1).toStdString() + " g"));
  EXPECT_THAT(textOf(window.tally()).toStdString(),
              testing::HasSubstr(durationWords(build.tally.seconds).toStdString()));
  QTest::keyClick(&window, Qt::Key_T, Qt::ControlModifier);
  EXPECT_THAT(textOf(window.tally()).toStdString(), testing::HasSubstr("upper interface"));
  window.tally().pin();
  window.document().perform(ChangeSetting{"infill.density", 80.0});
  settled();
  EXPECT_THAT(textOf(window.tally()).toStdString(), testing::HasSubstr("since pin"));
}

TEST(DurationWords, ReadAsPeopleSayThem) {
  EXPECT_EQ(durationWords(0), "0 s");
  EXPECT_EQ(durationWords(59), "59 s");
  EXPECT_EQ(durationWords(60), "1 min");
  EXPECT_EQ(durationWords(59.6 * 60), "1 h 00 min");
  EXPECT_EQ(durationWords(3 * 3600 + 42 * 60 + 10), "3 h 42 min");
}

TEST_F(SheetsTest, LayersAreStepped) {
  open(table(30, 12, 3));
  window.scene().setFocus();
  const double top = window.view().height();
  QTest::keyClick(&window.scene(), Qt::Key_PageDown);
  const double once = window.view().range().second;
  EXPECT_LT(once, top);
  QTest::keyClick(&window.scene(), Qt::Key_PageDown);
  EXPECT_LT(window.view().range().second, once);
  QTest::keyClick(&window.scene(), Qt::Key_PageUp);
  EXPECT_NEAR(window.view().range().second, once, 1e-9);
}

TEST_F(SheetsTest, MenusOfferWhatCanBeDoneNow) {
  const auto enabled = [&](const QString& menu, const QString& begins) {
    for (QAction* top : window.menuBar()->actions()) {
      if (top->text() != menu) continue;
      Q_EMIT top->menu()->aboutToShow();
      for (QAction* action : top->menu()->actions())
        if (action->text().startsWith(begins)) return action->isEnabled();
    }
    ADD_FAILURE() << menu.toStdString() << " has no " << begins.toStdString();
    return false;
  };
  EXPECT_FALSE(enabled("Edit", "Undo"));
  EXPECT_FALSE(enabled("File", "Save"));
  open(table(30, 12, 3));
  window.document().perform(ChangeSetting{"walls", 3.0});
  EXPECT_TRUE(enabled("Edit", "Undo"));
  EXPECT_TRUE(enabled("File", "Save"));
  EXPECT_FALSE(enabled("Edit", "Redo"));
}

// Every shortcut is one command's only.
TEST_F(SheetsTest, NoTwoCommandsShareAShortcut) {
  std::map<QString, QString> owners;
  for (QAction* top : window.menuBar()->actions())
    for (QAction* action : top->menu()->actions()) {
      if (action->shortcut().isEmpty()) continue;
      const QString key = action->shortcut().toString();
      EXPECT_TRUE(owners.emplace(key, action->text()).second)
          << key.toStdString() << ": " << owners[key].toStdString() << " and " << action->text().toStdString();
    }
  EXPECT_GT(owners.size(), 20u);
}

TEST_F(SheetsTest, CancellingKeepsWhatWasShownAndTheNextChangeBuilds) {
  open(sphere({20, 20, 21}, 20, 60, 120));
  const BuildPtr before = window.builder().shown().build;
  window.document().perform(ChangeSetting{"layer.height", 0.1});
  window.builder().cancel();
  QTest::qWait(50);
  EXPECT_TRUE(window.builder().shown().build == before || !window.builder().isStale());
  window.document().perform(ChangeSetting{"layer.height", 0.3});
  settled();
  EXPECT_NEAR(window.builder().shown().build->plan.spans[1].height(), 0.3, 1e-9);
}

// Contrast by the formula of WCAG 2.1 (success criterion 1.4.3): text at least 4.5 : 1, large signs 3 : 1.
double linear(double c) { return c <= 0.03928 ? c / 12.92 : std::pow((c + 0.055) / 1.055, 2.4); }

double luminance(const QColor& colour) {
  return 0.2126 * linear(static_cast<double>(colour.redF())) + 0.7152 * linear(static_cast<double>(colour.greenF())) +
         0.0722 * linear(static_cast<double>(colour.blueF()));
}

double contrast(const QColor& a, const QColor& b) {
  const double one = luminance(a), two = luminance(b);
  return (std::max(one, two) + 0.05) / (std::min(one, two) + 0.05);
}

TEST(Theme, WordsAreReadableAndMarksStandOut) {
  const Theme& t = theme();
  for (const QColor& ground : {t.paper, t.panel}) {
    EXPECT_GE(contrast(t.ink, ground), 4.5);
    EXPECT_GE(contrast(t.quiet, ground), 4.5);
    EXPECT_GE(contrast(t.floating, ground), 3);
    EXPECT_GE(contrast(t.accent, ground), 3);
  }
  EXPECT_GE(contrast(t.block, t.part), 3);
  EXPECT_GE(contrast(t.hangingHigh, t.part), 3);
  EXPECT_GE(contrast(t.enforce, t.block), 3);  // told apart without colour too
}

// CIE 1976 L*a*b* of linear red, green and blue (IEC 61966-2-1 primaries, D65).
std::array<double, 3> labOf(const std::array<double, 3>& c) {
  const auto f = [](double t) { return t > 0.008856 ? std::cbrt(t) : 7.787 * t + 16.0 / 116; };
  const double x = f((0.4124564 * c[0] + 0.3575761 * c[1] + 0.1804375 * c[2]) / 0.95047),
               y = f(0.2126729 * c[0] + 0.7151522 * c[1] + 0.0721750 * c[2]),
               z = f((0.0193339 * c[0] + 0.1191920 * c[1] + 0.9503041 * c[2]) / 1.08883);
  return {116 * y - 16, 500 * (x - y), 200 * (y - z)};
}

// The three common deficiencies, whole: G. Machado, M. Oliveira, L. Fernandes, "A physiologically-based model for
// simulation of color vision deficiency", 2009, table of severity 1 (matrices from memory). What the scene tells apart
// by colour differs by ten just noticeable differences for each; marks have patterns besides.
TEST(Theme, CodesStayApartForEveryEye) {
  const Theme& t = theme();
  const double none[9] = {1, 0, 0, 0, 1, 0, 0, 0, 1}, protan[9] = {0.152286, 1.052583,  -0.204868, 0.114503, 0.786281,
                                                                   0.099216, -0.003882, -0.048116, 1.051998},
               deutan[9] = {0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.011820, 0.042940, 0.968881},
               tritan[9] = {1.255528, -0.076749, -0.178779, -0.078411, 0.930809,
                            0.147602, 0.004733,  0.691367,  0.303900};
  const std::pair<const char*, QColor> codes[] = {
      {"part", t.part},           {"hanging", t.hangingHigh},  {"body", t.body},         {"branch", t.branch},
      {"interface", t.interface}, {"lower", t.interfaceLower}, {"floating", t.floating}, {"infill", t.infill},
      {"cover", t.cover},         {"bridge", t.bridge}};
  for (const double* eye : {none, protan, deutan, tritan}) {
    const auto seen = [&](const QColor& colour) {
      const std::array<double, 3> raw{linear(static_cast<double>(colour.redF())),
                                      linear(static_cast<double>(colour.greenF())),
                                      linear(static_cast<double>(colour.blueF()))};
      std::array<double, 3> out{};
      for (std::size_t row = 0; row < 3; ++row)
        for (std::size_t k = 0; k < 3; ++k) out[row] += eye[row * 3 + k] * raw[k];
      for (double& v : out) v = std::clamp(v, 0.0, 1.0);
      return labOf(out);
    };
    for (const auto& [name, colour] : codes)
      for (const auto& [other, second] : codes) {
        if (name == other) continue;
        const auto a = seen(colour), b = seen(second);
        EXPECT_GE(std::hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]), 10) << name << " and " << other;
      }
  }
}

// A point goes to a pixel and its ray comes back through the point, from any side.
TEST(Camera, PixelsAndRaysAgree) {
  Camera camera;
  camera.setView({900, 640});
  camera.fit(Box3(Vec3(50, 50, 0), Vec3(150, 120, 60)));
  for (const double yaw : {-170.0, -65.0, 10.0, 120.0})
    for (const double pitch : {-80.0, -20.0, 28.0, 89.0}) {
      camera.turnTo(yaw, pitch);
      const Vec3 point(70, 110, 12);
      const auto pixel = camera.pixelOf(point);
      ASSERT_TRUE(pixel);
      const Camera::Ray ray = camera.rayAt(*pixel);
      const Vec3 along = point - ray.origin;
      EXPECT_LT((along - along.dot(ray.direction) / ray.direction.squaredNorm() * ray.direction).norm(), 0.05)
          << yaw << ", " << pitch;
    }
}

TEST(Camera, ZoomingKeepsThePointUnderThePointer) {
  Camera camera;
  camera.setView({900, 640});
  camera.fit(Box3(Vec3(50, 50, 0), Vec3(150, 120, 60)));
  const Vec3 point(70, 110, 12);
  const QPointF before = *camera.pixelOf(point);
  camera.zoom(1.5, point);
  EXPECT_LT(QLineF(*camera.pixelOf(point), before).length(), 2);
}

}  // namespace
}  // namespace trellis::test
