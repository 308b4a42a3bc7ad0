// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_view.hpp"
#include "app/theme/theme.hpp"

#include <QApplication>
#include <QStandardPaths>
#include <QTemporaryDir>

#include <gtest/gtest.h>

int main(int argc, char** argv) {
  testing::InitGoogleTest(&argc, argv);
  if (GTEST_FLAG_GET(list_tests)) return RUN_ALL_TESTS();  // needs no screen
  QStandardPaths::setTestModeEnabled(true);
  const QTemporaryDir state;  // journals of the tests' own windows
  qputenv("XDG_STATE_HOME", state.path().toUtf8());
  qputenv("XDG_DATA_HOME", state.path().toUtf8());
  trellis::askForOpenGl();
  QApplication app(argc, argv);
  QCoreApplication::setOrganizationName("meek-trellis-tests");
  trellis::installTheme(app);
  return RUN_ALL_TESTS();
}
