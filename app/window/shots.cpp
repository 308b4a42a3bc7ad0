// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/shots.hpp"

#include "app/scene/scene_view.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/window/main_window.hpp"

#include <QApplication>
#include <QDir>
#include <QListWidget>
#include <QTextStream>

namespace trellis {

namespace {

void settle() {
  for (int i = 0; i < 5; ++i) QApplication::processEvents(QEventLoop::AllEvents, 50);
}

bool waitForBuild(Session& session) {
  QEventLoop loop;
  QObject::connect(&session, &Session::shownChanged, &loop, &QEventLoop::quit);
  QObject::connect(&session, &Session::failed, &loop, [&loop](const QString& sentence) {
    QTextStream(stderr) << sentence << "\n";
    loop.exit(1);
  });
  while (session.isStale() || session.project()->parts.empty())
    if (loop.exec() != 0) return false;
  return true;
}

// The first set and the refined one.
bool waitForTurnings(Session& session) {
  QEventLoop loop;
  int sets = 0;
  QObject::connect(&session, &Session::turningsChanged, &loop, [&] {
    if (++sets == 2) loop.quit();
  });
  QObject::connect(&session, &Session::failed, &loop, [&loop] { loop.exit(1); });
  return loop.exec() == 0;
}

}  // namespace

int takeShots(MainWindow& window, const QString& folder) {
  Session& session = window.session();
  QDir().mkpath(folder);
  if (!waitForBuild(session)) return 1;
  bool written = true;
  const auto shot = [&](const QString& name) {
    settle();
    written = window.grab().save(folder + "/" + name + ".png") && written;
  };
  const double height = session.height();
  window.showSheet(0);
  session.selectPart(2);
  shot("place");
  session.findTurnings();
  if (!waitForTurnings(session)) return 1;
  auto* list = window.findChild<QListWidget*>("turnings");
  list->setCurrentRow(2);
  Q_EMIT list->itemClicked(list->item(2));
  if (!waitForBuild(session)) return 1;
  shot("turnings");
  session.leaveTrial();
  if (!waitForBuild(session)) return 1;
  window.showSheet(1);
  window.scene().turnBy(-25, -50);
  shot("study");
  window.showSheet(2);
  session.selectPart(2);
  window.scene().turnBy(110, 6);
  window.scene().setSupportsHidden(true);
  session.setBrush({true, Mark::enforce, 3, false});
  shot("mark");
  window.scene().setSupportsHidden(false);
  window.showSheet(3);
  window.scene().turnBy(-60, 38);
  shot("build");
  session.setRange(0, height * 0.36);
  window.scene().turnBy(0, 34);
  shot("layers");
  session.setRange(0, 1e9);
  window.scene().turnBy(0, -20);
  window.tally().toggleBreakdown();
  shot("tally");
  window.tally().toggleBreakdown();
  // A part that came without some of its facets, and what mending would make of it.
  Part torn = *session.project()->parts[2];
  std::vector<Facet> facets = torn.mesh->facets;
  facets.erase(facets.begin() + static_cast<std::ptrdiff_t>(facets.size() / 3), facets.begin() + static_cast<std::ptrdiff_t>(facets.size() / 3 + 240));
  torn.mesh = makeMesh(torn.mesh->vertices, facets);
  torn.marks = std::make_shared<const Marks>();
  session.newProject();
  window.showSheet(0);
  shot("empty");
  session.perform(AddParts{{std::make_shared<const Part>(torn)}});
  if (!waitForBuild(session)) return 1;
  window.scene().camera().turnTo(-75, 25);
  window.scene().fitAll();
  shot("broken");
  return written ? 0 : 1;
}

}  // namespace trellis
