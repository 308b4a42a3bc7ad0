// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/shots.hpp"

#include "app/scene/scene_view.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/window/comparer.hpp"
#include "app/window/handover.hpp"
#include "app/window/main_window.hpp"
#include "app/worksheets/check_sheet.hpp"
#include "app/worksheets/compare_sheet.hpp"
#include "core/learn/ladder.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QComboBox>
#include <QDir>
#include <QListView>
#include <QListWidget>
#include <QScrollArea>
#include <QScrollBar>
#include <QTextStream>
#include <QTimer>
#include <QTreeWidget>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

void settle() {
  for (int i = 0; i < 5; ++i) QApplication::processEvents(QEventLoop::AllEvents, 50);
}

bool waitForBuild(MainWindow& window) {
  QEventLoop loop;
  QObject::connect(&window.builder(), &Builder::shownChanged, &loop, &QEventLoop::quit);
  QObject::connect(&window.activity(), &Activity::failed, &loop, [&loop](const QString& sentence) {
    QTextStream(stderr) << sentence << "\n";
    loop.exit(1);
  });
  while (window.builder().isStale() || window.document().project()->parts.empty())
    if (loop.exec() != 0) return false;
  return true;
}

// The first set and the refined one.
bool waitForTurnings(MainWindow& window) {
  QEventLoop loop;
  int sets = 0;
  QObject::connect(&window.view(), &View::turningsChanged, &loop, [&] {
    if (++sets == 2) loop.quit();
  });
  QObject::connect(&window.activity(), &Activity::failed, &loop, [&loop] { loop.exit(1); });
  return loop.exec() == 0;
}

std::size_t partNamed(MainWindow& window, const std::string& name) {
  const auto& parts = window.document().project()->parts;
  return static_cast<std::size_t>(
      std::find_if(parts.begin(), parts.end(), [&](const PartPtr& part) { return part->name == name; }) -
      parts.begin());
}

// The latch alone, from below: its groove blocked, a zone kept clear at the post, a prop under the knob.
bool decide(MainWindow& window) {
  const std::size_t latch = partNamed(window, "latch");
  if (latch >= window.document().project()->parts.size()) return false;
  const Part& part = *window.document().project()->parts[latch];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  window.view().selectPart(static_cast<int>(latch));
  window.scene().showSelectedAlone();
  window.scene().camera().turnTo(-60, -30);
  const Box3 box = placedBounds(part.placement, *part.mesh);
  window.scene().camera().fit(box);
  window.document().perform(LayMark{latch, Mark::block, FaceStroke{toPlate * Vec3(40, 0, 15.6)}});
  AddZone zone{latch, {}, {toPlate * Vec3(10, 0, 8), {14, 30, 14}, {0, 0, 0}}};
  zone.zone.as = ZoneAs::keepClear;
  window.document().perform(zone);
  window.document().perform(AddProp{latch, toPlate * Vec3(70, 6, 14), 5});
  window.hand().setBrush({});
  window.view().choose({Chosen::zone, 0});
  return true;
}

// The manifold alone, cut through its channel, with a stroke on the channel's roof.
void cutOpen(MainWindow& window) {
  const std::size_t manifold = partNamed(window, "manifold");
  const Box3 box = placedBounds(window.document().project()->parts[manifold]->placement,
                                *window.document().project()->parts[manifold]->mesh);
  window.view().selectPart(static_cast<int>(manifold));
  window.scene().camera().turnTo(-70, -14);
  window.scene().camera().fit(box);
  window.view().setCutaway(Plane{box.center(), Vec3::UnitY()});
  window.hand().setBrush({.tool = Tool::sight, .radius = 4});
  LayMark lay{manifold, Mark::block, BandStroke{box.center().z(), box.max().z() - 4}};
  lay.rules.keepToOverhangs = true;
  window.document().perform(lay);
}

// One part alone with trees.
std::size_t growTrees(MainWindow& window, const char* name, double turn, double tilt) {
  const std::size_t p = partNamed(window, name);
  const Part& part = *window.document().project()->parts[p];
  window.document().perform(ChangeSetting{"support.structure", std::string("tree"), p});
  window.view().selectPart(static_cast<int>(p));
  window.view().setEditsPart(true);
  window.scene().camera().turnTo(turn, tilt);
  window.scene().camera().fit(placedBounds(part.placement, *part.mesh));
  return p;
}

void waitForTrial(MainWindow& window) {
  QEventLoop loop;
  QObject::connect(&window.builder(), &Builder::trialPrintChanged, &loop, &QEventLoop::quit);
  window.builder().runTrialPrint();
  while (!window.builder().trialPrint()) loop.exec();
}

// The frond alone with decisions only, where it begins in mid-air; then as its findings mend it, with a piece on its
// way out, and the gap from the side.
bool check(MainWindow& window, const std::function<void(const QString&)>& shot) {
  Part plain = *window.document().project()->parts[partNamed(window, "frond")];
  plain.settings.clear();
  const auto frond = std::make_shared<const Part>(std::move(plain));
  window.document().newProject();
  window.document().performTogether({AddParts{{frond}}, ChangeSetting{"support.source", std::string("decisions")}});
  window.showSheet(4);
  if (!waitForBuild(window)) return false;
  waitForTrial(window);
  window.view().goTo(window.builder().shown().build->findings.front().at);
  shot("check");
  window.document().perform(ChangeSetting{"support.source", std::string("overhangs")});
  if (!waitForBuild(window)) return false;
  waitForTrial(window);
  window.view().setRange(0, 1e9);
  window.scene().camera().turnTo(-60, 14);
  window.scene().fitAll();
  const Build& built = *window.builder().shown().build;
  double most = 0;
  for (std::size_t k = 0; k < built.removal->steps.size(); ++k) {
    const RemovalStep& step = built.removal->steps[k];
    const Vec3 way = step.path.firstWay(step.middle);
    if (way.z() < -0.8 || built.tally.pieces[step.piece].volume < most) continue;  // not down into the plate
    most = built.tally.pieces[step.piece].volume;
    window.view().takePiece(static_cast<int>(step.piece), static_cast<int>(k));
    window.scene().camera().turnTo(toDegrees(std::atan2(way.y(), way.x())) + 90, 14);  // across the view
  }
  QEventLoop wait;
  QTimer::singleShot(1500, &wait, &QEventLoop::quit);
  wait.exec();
  shot("piece-out");
  window.view().takePiece(-1);
  // Nearest to the eye that looks along y.
  const auto nearness = [](const DemandSitePtr& site) {
    return site->lowest > 100 ? boundsOf(site->layers.front()).center().y() : 1e9;
  };
  const DemandSitePtr nearest =
      *std::min_element(built.demand.begin(), built.demand.end(),
                        [&](const DemandSitePtr& a, const DemandSitePtr& b) { return nearness(a) < nearness(b); });
  const Vec2 middle = boundsOf(nearest->layers.front()).center();
  window.scene().camera().turnTo(-90, 2);
  window.scene().camera().lookAt({middle.x(), middle.y(), built.plan.spans[nearest->lowest].bottom}, 22);
  shot("gap");
  return true;
}

// Handed over to the stand-in, which is told to hurry, and paused half way up.
bool print(MainWindow& window, const std::function<void(const QString&)>& shot) {
  Handover& handover = window.handover();
  window.showSheet(5);
  window.compare().showPage(4);
  handover.setBenchTimes(300);
  window.findChild<QAbstractButton*>("handOver")->click();
  const auto reached = [&](const std::function<bool(const HandoverStatus&)>& far) {
    QEventLoop loop;
    QObject::connect(&handover, &Handover::changed, &loop, [&] {
      if (!handover.isUnderWay() || far(*handover.status())) loop.quit();
    });
    loop.exec();
    return handover.isUnderWay();
  };
  if (!reached([&](const HandoverStatus& now) { return now.layer > handover.job()->layers / 2; })) return false;
  handover.pause();
  if (!reached([](const HandoverStatus& now) { return now.state == HandoverState::paused; })) return false;
  window.scene().camera().turnTo(-60, 14);
  window.scene().fitAll();
  shot("printing");
  handover.cancel();
  reached([](const HandoverStatus&) { return false; });
  return true;
}

// All of it as trees, beside how it was: by a line that can be dragged.
bool compare(MainWindow& window, const std::function<void(const QString&)>& shot) {
  window.document().perform(AddVariant{"trees"});
  for (std::size_t p = 0; p < window.document().project()->parts.size(); ++p)
    window.document().perform(ChangeSetting{"support.structure", std::string("tree"), p});
  if (!waitForBuild(window)) return false;
  window.showSheet(5);
  window.compare().showPage(0);
  const auto allBuilt = [&] {
    const auto& sides = window.comparer().sides();
    return std::all_of(sides.begin(), sides.end(), [](const Comparer::Side& side) { return side.build != nullptr; });
  };
  QEventLoop loop;
  QObject::connect(&window.comparer(), &Comparer::changed, &loop, [&] {
    if (allBuilt()) loop.quit();
  });
  if (!allBuilt()) loop.exec();
  auto* mode = window.findChild<QComboBox*>("besideMode");
  mode->setCurrentIndex(3);
  Q_EMIT mode->activated(3);
  window.scene().camera().turnTo(-65, 24);
  window.scene().fitAll();
  shot("compare");
  mode->setCurrentIndex(0);
  Q_EMIT mode->activated(0);
  return true;
}

bool ladder(MainWindow& window, const std::function<void(const QString&)>& shot) {
  window.document().perform(AddParts{ladderParts(usualLadder(LadderKind::gapAbove), window.document().settings())});
  if (!waitForBuild(window)) return false;
  window.showSheet(5);
  window.compare().showPage(2);
  window.scene().camera().turnTo(-75, 22);
  window.scene().fitAll();
  shot("ladder");
  return true;
}

}  // namespace

int takeShots(MainWindow& window, const QString& folder) {
  QDir().mkpath(folder);
  window.scene().setLively(false);
  if (!waitForBuild(window)) return 1;
  bool written = true;
  const auto shot = [&](const QString& name) {
    settle();
    window.scene().drawFinelyNext();
    written = window.grab().save(folder + "/" + name + ".png") && written;
  };
  const double height = window.view().height();
  const ProjectPtr demo = window.document().project();
  window.showSheet(0);
  window.view().selectPart(2);
  shot("place");
  window.view().findTurnings();
  if (!waitForTurnings(window)) return 1;
  auto* list = window.findChild<QListWidget*>("turnings");
  list->setCurrentRow(2);
  Q_EMIT list->itemClicked(list->item(2));
  if (!waitForBuild(window)) return 1;
  shot("turnings");
  window.document().leavePreview();
  if (!waitForBuild(window)) return 1;
  window.showSheet(1);
  window.scene().camera().turnTo(-58, -24);
  window.scene().fitAll();
  auto* sites = window.findChild<QListView*>("sites");
  window.findChild<QComboBox*>("siteOrder")->setCurrentIndex(1);
  sites->selectionModel()->select(sites->model()->index(1, 0), QItemSelectionModel::ClearAndSelect);
  shot("study");
  sites->clearSelection();
  window.showSheet(2);
  window.view().selectPart(2);
  window.hand().setBrush({.tool = Tool::ball});
  for (const double y : {154.9, 125.1}) {  // under both eye-stalks
    LayMark mark{2, Mark::enforce, BallStroke{{Vec3(221.4, y, 22.6)}, 3.5}};
    mark.rules.keepToOverhangs = true;
    window.document().perform(mark);
  }
  if (!waitForBuild(window)) return 1;
  window.scene().camera().turnTo(15, -22);  // near, from below: where support is decided
  window.scene().camera().lookAt({205, 140, 24}, 150);
  shot("mark");
  window.scene().fitAll();
  window.hand().setBrush({.tool = Tool::pick});
  window.document().undo();
  window.document().undo();
  if (!decide(window) || !waitForBuild(window)) return 1;
  shot("decisions");
  window.view().choose({});
  while (!window.document().undoName().isEmpty()) window.document().undo();
  cutOpen(window);
  if (!waitForBuild(window)) return 1;
  shot("cutaway");
  window.view().setCutaway({});
  window.document().undo();
  if (!waitForBuild(window)) return 1;
  window.scene().showSelectedAlone();
  window.scene().camera().turnTo(-5, 0);
  window.scene().fitAll();
  window.showSheet(3);
  window.hand().setBrush({.tool = Tool::pick});
  window.scene().camera().turnTo(-65, 38);
  window.scene().fitAll();
  shot("build");
  window.document().performTogether(
      {ApplyPreset{"dissolves"}, ApplyPreset{"soluble"}, ChangeSetting{"support.raft.layers", 3.0}});
  if (!waitForBuild(window)) return 1;
  settle();
  auto* pieces = window.findChild<QTreeWidget*>("pieces");
  window.showSheet(4);
  settle();
  auto* area = window.findChild<CheckSheet*>()->findChild<QScrollArea*>();
  area->ensureWidgetVisible(pieces);
  shot("filaments");
  area->verticalScrollBar()->setValue(0);
  window.showSheet(3);
  window.document().undo();
  if (!waitForBuild(window)) return 1;
  window.view().setRange(0, height * 0.145);
  window.scene().camera().turnTo(-62, 34);
  window.scene().camera().lookAt({100, 80, 14}, 95);
  shot("layers");
  window.view().setRange(0, 1e9);
  window.scene().camera().turnTo(-65, 26);
  window.scene().fitAll();
  window.tally().toggleBreakdown();
  shot("tally");
  window.tally().toggleBreakdown();
  window.scene().showSelectedAlone();
  growTrees(window, "frond", -60, 12);
  if (!waitForBuild(window)) return 1;
  shot("trees");
  window.view().setEditsPart(false);
  window.scene().showSelectedAlone();
  if (!check(window, shot) || !print(window, shot)) return 1;
  // A part that came without some of its facets, and what mending would make of it.
  Part torn = *demo->parts[2];
  std::vector<Facet> facets = torn.mesh->facets;
  facets.erase(facets.begin() + static_cast<std::ptrdiff_t>(facets.size() / 3),
               facets.begin() + static_cast<std::ptrdiff_t>(facets.size() / 3 + 240));
  torn.mesh = makeMesh(torn.mesh->vertices, facets);
  torn.marks = std::make_shared<const Marks>();
  if (!compare(window, shot)) return 1;
  window.document().newProject();
  shot("empty");
  if (!ladder(window, shot)) return 1;
  window.document().newProject();
  window.showSheet(0);
  window.document().perform(AddParts{{std::make_shared<const Part>(torn)}});
  if (!waitForBuild(window)) return 1;
  window.scene().camera().turnTo(-75, 25);
  window.scene().fitAll();
  shot("broken");
  return written ? 0 : 1;
}

}  // namespace trellis
