// SPDX-License-Identifier: GPL-3.0-or-later
// Frame times of the scene, each as a ratio to an empty one of the same size in this run. Needs a screen; nothing here
// fails.
#include "app/scene/scene_view.hpp"
#include "app/theme/theme.hpp"
#include "app/window/main_window.hpp"
#include "core/base/files.hpp"
#include "core/mesh/stl.hpp"
#include "tests/shapes.hpp"

#include <QApplication>
#include <QTest>

#include <fmt/format.h>

namespace {

using namespace trellis;
using namespace trellis::test;
using Clock = std::chrono::steady_clock;

double since(Clock::time_point start) { return std::chrono::duration<double>(Clock::now() - start).count(); }

double median(std::vector<double> all) {
  std::sort(all.begin(), all.end());
  return all[all.size() / 2];
}

// Draws a picture and waits for it.
double frame(SceneView& scene) {
  const auto start = Clock::now();
  scene.grabFramebuffer();
  return since(start);
}

template <typename Change>
double frames(SceneView& scene, const Change& change) {
  std::vector<double> all;
  for (int k = 0; k < 15; ++k) {
    change(k);
    all.push_back(frame(scene));
  }
  return median(all);
}

double turning(SceneView& scene) {
  return frames(scene, [&](int) { scene.turnBy(7, 0); });
}

double atRest(SceneView& scene) {
  return frames(scene, [&](int) {
    scene.turnBy(7, 0);
    scene.drawFinelyNext();
  });
}

void row(const char* what, double ours, double empty, const char* aim) {
  fmt::print("{:<44}{:>10.1f} ms   {:<34}{:>10.1f} ms   {:>7.2f}×   {}\n", what, ours * 1e3, "an empty frame",
             empty * 1e3, ours / empty, aim);
  std::fflush(stdout);
}

}  // namespace

int main(int argc, char** argv) {
  askForOpenGl();
  QApplication application(argc, argv);
  installTheme(application);
  MainWindow window;
  window.resize(1280, 800);
  window.show();
  if (!QTest::qWaitForWindowExposed(&window)) return 1;
  SceneView& scene = window.scene();
  const auto built = [&](std::size_t parts) {
    const auto isThere = [&] {
      return window.document().project()->parts.size() == parts && !window.builder().isStale();
    };
    return QTest::qWaitFor(isThere, 600000);
  };
  scene.setLively(true);
  QTest::qWait(200);
  const double empty = turning(scene);
  const ScratchFolder folder;
  writeFileAtomically(folder / "ball.stl", writeStl(*sphere({0, 0, 40}, 40, 300, 500)));  // 299 000 facets
  window.document().open(QString::fromStdString(folder / "ball.stl"));
  if (!built(1)) return 1;
  row("frame while turning, 300 k facets", turning(scene), empty, "aim 1.7×");
  row("the fine frame at rest, 300 k facets", atRest(scene), empty, "aim 8×");
  row("pointing over the fine picture", frames(scene, [](int) {}), empty, "");
  window.document().open(TRELLIS_DEMO_PROJECT);
  if (!built(5)) return 1;
  const double top = window.builder().shown().build->print.layers.back()->top;
  row("scrubbing the demo's layers", frames(scene, [&](int k) { window.view().setRange(0, top * (0.2 + 0.05 * k)); }),
      empty, "aim 2.5×");
  window.document().letGo();
}
