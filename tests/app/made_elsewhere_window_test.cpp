// SPDX-License-Identifier: GPL-3.0-or-later
// A 3MF that brings its support, in the window.
#include "core/assess/support_export.hpp"
#include "tests/app/window_fixture.hpp"

#include <QComboBox>
#include <QLabel>

namespace trellis::test {
namespace {

TEST_F(WindowTest, SupportMadeElsewhereIsSaidShownAndCleared) {
  const ProjectPtr project = projectOf(shelf());
  writeFileAtomically(folder / "with.3mf", packWithSupports(*project, *build(project), false, {}));
  window.document().open(QString::fromStdString(folder / "with.3mf"));
  settled();
  ASSERT_EQ(window.document().project()->parts.size(), 1u);
  EXPECT_EQ(window.builder().shown().build->support->pieces.size(), 1u);
  const double volume = supportVolume();
  EXPECT_GT(volume, 100);
  bool said = false;
  for (const QLabel* label : window.findChildren<QLabel*>()) said |= label->text().contains("made elsewhere");
  EXPECT_TRUE(said);
  window.showSheet(2);
  auto* what = window.findChild<QComboBox*>("clearWhat");
  what->setCurrentText("support made elsewhere");
  window.findChild<QAbstractButton*>("clearThem")->click();
  settled();
  EXPECT_TRUE(window.builder().shown().build->support->pieces.empty());
  window.document().undo();
  settled();
  EXPECT_NEAR(supportVolume(), volume, 1e-6);
}

}  // namespace
}  // namespace trellis::test
