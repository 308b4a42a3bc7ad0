// SPDX-License-Identifier: GPL-3.0-or-later
// The commands of the main window, and what is made from their table.
#include "app/scene/scene_view.hpp"
#include "app/strip/strip.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/widgets/variant_page.hpp"
#include "app/window/main_window.hpp"
#include "app/worksheets/compare_sheet.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QDir>
#include <QFileInfo>
#include <QLabel>
#include <QMenuBar>
#include <QMessageBox>
#include <QSettings>

#include <numeric>

namespace trellis {

void MainWindow::makeCommands() {
  const auto hasParts = [this] { return !document_->project()->parts.empty(); };
  const auto selected = [this] { return view_->selectedPart() >= 0; };
  const auto mark = [this](Mark kind) {
    return [this, kind] {
      changeBrush([kind](Brush& b) {
        b.mark = kind;
        b.coat = Coat::support;
        if (!b.lays()) b.tool = Tool::ball;
      });
      showSheet(2);
    };
  };
  const auto coat = [this](Coat which) {
    return [this, which] {
      changeBrush([which](Brush& b) {
        b.mark = Mark::block;
        b.coat = which;
        if (!b.lays()) b.tool = Tool::face;
      });
      showSheet(2);
    };
  };
  const auto tool = [this](Tool which) {
    return [this, which] {
      showSheet(2);
      changeBrush([which](Brush& b) { b.tool = which; });
    };
  };
  const auto part = [this] { return static_cast<std::size_t>(view_->selectedPart()); };
  // The button of a worksheet and its command are one thing.
  const auto press = [this](const char* name) { findChild<QAbstractButton*>(name)->click(); };
  commands_ = {
      {tr("File"), tr("New"), QKeySequence::New,
       [this] {
         if (mayLose()) document_->newProject();
       }},
      {tr("File"), tr("Open…"), QKeySequence::Open, [this] { openByDialog(false); }},
      {tr("File"),
       tr("Open the demo parts"),
       {},
       [this] {
         if (!demoProject().isEmpty()) openFile(demoProject());
       },
       {},
       [] { return !demoProject().isEmpty(); }},
      {tr("File"), tr("Add parts…"), QKeySequence("Ctrl+Shift+O"), [this] { openByDialog(true); }},
      {tr("File"), tr("Save"), QKeySequence::Save, [this] { save(); }, {}, hasParts},
      {tr("File"), tr("Save as…"), QKeySequence("Ctrl+Shift+S"), [this] { saveAs(); }, {}, hasParts},
      {tr("File"), tr("Write G-code…"), QKeySequence("Ctrl+Shift+W"), [this] { exportGcode(); }, {}, hasParts},
      {tr("File"), tr("Hand over to a printer…"), QKeySequence("Ctrl+Shift+H"), [this] { showPage(4); }},
      {tr("File"), tr("Write the parts as STL…"), {}, [this] { exportStl(); }, {}, hasParts},
      {tr("File"),
       tr("Write supports as STL, or with the parts as 3MF…"),
       {},
       [this] { exportSupports(); },
       {},
       hasParts},
      {tr("File"), tr("Try a G-code file…"), QKeySequence("Ctrl+Shift+T"), [this] { openGcodeByDialog(); }},
      {tr("File"), tr("Write a recipe…"), {}, [this] { writeRecipe(); }},
      {tr("File"), tr("Open a recipe…"), {}, [this] { openRecipe(); }},
      {tr("File"), tr("Write a report…"), QKeySequence("Ctrl+P"), [this] { writeReport(); }, {}, hasParts},
      {tr("File"), tr("Quit"), QKeySequence::Quit, [this] { close(); }},
      {tr("Edit"), tr("Undo"), QKeySequence("Ctrl+Z"), [this] { document_->undo(); },
       [this] { return document_->undoName(); }, [this] { return !document_->undoName().isEmpty(); }},
      {tr("Edit"), tr("Redo"), QKeySequence("Ctrl+Shift+Z"), [this] { document_->redo(); },
       [this] { return document_->redoName(); }, [this] { return !document_->redoName().isEmpty(); }},
      {tr("Edit"), tr("Find a command…"), QKeySequence("Ctrl+K"), [this] { findCommand(); }},
      {tr("Part"), tr("Drop to plate"), QKeySequence("Ctrl+D"), [press] { press("drop"); }, {}, selected},
      {tr("Part"), tr("Remove"), QKeySequence("Delete"), [this] { removeChosen(); }, {}, selected},
      {tr("Part"), tr("Copy"), QKeySequence("Ctrl+C"), [press] { press("copy"); }, {}, selected},
      {tr("Part"), tr("Mirror along x"), QKeySequence("Alt+X"), [press] { press("mirrorx"); }, {}, selected},
      {tr("Part"), tr("Mirror along y"), QKeySequence("Alt+Y"), [press] { press("mirrory"); }, {}, selected},
      {tr("Part"), tr("Mirror along z"), QKeySequence("Alt+Z"), [press] { press("mirrorz"); }, {}, selected},
      {tr("Part"), tr("Spread out"), QKeySequence("Ctrl+J"), [press] { press("arrange"); }, {}, selected},
      {tr("Part"), tr("Select all"), QKeySequence("Ctrl+A"), [this] { selectAll(); }, {}, hasParts},
      {tr("Part"), tr("Next part"), QKeySequence("Ctrl+PgDown"), [this] { selectNext(); }, {}, hasParts},
      {tr("Part"),
       tr("Lay a face down"),
       QKeySequence("L"),
       [this, press] {
         showSheet(0);
         press("layDown");
       },
       {},
       selected},
      {tr("Part"),
       tr("Look for turnings"),
       QKeySequence("T"),
       [this, press] {
         showSheet(0);
         press("findTurnings");
       },
       {},
       selected},
      {tr("Part"), tr("Mend"), QKeySequence("M"), [press] { press("mend"); }, {}, selected},
      {tr("Part"), tr("Wrap"), {}, [press] { press("wrap"); }, {}, selected},
      {tr("Part"), tr("Replace the mesh…"), {}, [this] { replaceByDialog(); }, {}, selected},
      {tr("Edit"),
       tr("Keep what is tried out"),
       QKeySequence("Ctrl+Return"),
       [this] { document_->keepPreview(); },
       {},
       [this] { return document_->isPreviewing(); }},
      {tr("Mark"), tr("Pick"), QKeySequence("0"), [this] { changeBrush([](Brush& b) { b.tool = Tool::pick; }); }},
      {tr("Mark"), tr("Ball"), QKeySequence("1"), tool(Tool::ball)},
      {tr("Mark"), tr("Sight"), QKeySequence("2"), tool(Tool::sight)},
      {tr("Mark"), tr("Face"), QKeySequence("3"), tool(Tool::face)},
      {tr("Mark"), tr("Site"), QKeySequence("4"), tool(Tool::site)},
      {tr("Mark"), tr("Band"), QKeySequence("5"), tool(Tool::band)},
      {tr("Mark"), tr("Place a zone"), QKeySequence("Z"), tool(Tool::zone)},
      {tr("Mark"), tr("Place a prop"), QKeySequence("R"), tool(Tool::prop)},
      {tr("Mark"), tr("Remove support"), QKeySequence("D"), tool(Tool::remove)},
      {tr("Mark"),
       tr("Twin strokes"),
       QKeySequence("W"),
       [this] { changeBrush([](Brush& b) { b.twin = !b.twin; }); },
       {},
       selected},
      {tr("Mark"), tr("Stop at creases"), QKeySequence("Q"),
       [this] { changeBrush([](Brush& b) { b.stopAtCreases = !b.stopAtCreases; }); }},
      {tr("Mark"),
       tr("Mark all that leans more than an angle"),
       {},
       [this, press] {
         showSheet(2);
         press("markByLean");
       },
       {},
       selected},
      {tr("Mark"), tr("Enforce"), QKeySequence("E"), mark(Mark::enforce)},
      {tr("Mark"), tr("Block"), QKeySequence("B"), mark(Mark::block)},
      {tr("Mark"), tr("Nothing (clear)"), QKeySequence("N"), mark(Mark::none)},
      {tr("Mark"), tr("Keep clean"), QKeySequence("K"), coat(Coat::clean)},
      {tr("Mark"), tr("Will be seen"), QKeySequence("O"), coat(Coat::seen)},
      {tr("Mark"), tr("Swap enforce and block"), QKeySequence("X"),
       [this] {
         changeBrush([](Brush& b) {
           b.mark = b.mark == Mark::enforce ? Mark::block : Mark::enforce;
           b.coat = Coat::support;
         });
       }},
      {tr("Mark"), tr("Next tint"), QKeySequence("."),
       [this] { changeBrush([](Brush& b) { b.tint = (b.tint + 1) % tintCount; }); }},
      {tr("Mark"), tr("Previous tint"), QKeySequence(","),
       [this] { changeBrush([](Brush& b) { b.tint = (b.tint + tintCount - 1) % tintCount; }); }},
      {tr("Mark"), tr("Larger brush"), QKeySequence("]"), [this] { changeBrush([](Brush& b) { b.radius *= 1.15; }); }},
      {tr("Mark"), tr("Smaller brush"), QKeySequence("["), [this] { changeBrush([](Brush& b) { b.radius /= 1.15; }); }},
      {tr("Mark"),
       tr("Clear all marks of the part"),
       {},
       [this, part] {
         document_->perform(ClearDecisions{part(), Clearing::marks});
       },
       {},
       selected},
      {tr("Build"), tr("Supports on or off"), QKeySequence("Ctrl+B"),
       [this] {
         document_->perform(ChangeSetting{"support.on", !document_->settings().yes("support.on")});
       }},
      {tr("Build"), tr("Build again"), QKeySequence("F5"), [this] { builder_->rebuild(); }, {}, hasParts},
      {tr("Build"), tr("Cancel building"), QKeySequence("Esc"), [this] { escape(); }},
      {tr("View"), tr("Fit"), QKeySequence("Home"), [this] { scene_->fitSlowly(); }},
      {tr("View"), tr("Nearer"), QKeySequence("Ctrl++"), [this] { scene_->comeNearer(1.4); }},
      {tr("View"), tr("Farther"), QKeySequence("Ctrl+-"), [this] { scene_->comeNearer(1 / 1.4); }},
      {tr("View"), tr("Turn over: from below, and back"), QKeySequence("Y"), [this] { scene_->turnOver(); }},
      {tr("View"), tr("From the front"), {}, [this] { scene_->lookFrom(-90, 0); }},
      {tr("View"), tr("From the right"), {}, [this] { scene_->lookFrom(0, 0); }},
      {tr("View"), tr("From the back"), {}, [this] { scene_->lookFrom(90, 0); }},
      {tr("View"), tr("From the left"), {}, [this] { scene_->lookFrom(180, 0); }},
      {tr("View"), tr("From above"), {}, [this] { scene_->lookFrom(-90, 90); }},
      {tr("View"), tr("Three quarters"), {}, [this] { scene_->lookFrom(-65, 28); }},
      {tr("View"), tr("In parallel, or in perspective again"), QKeySequence("H"), [this] { scene_->toggleParallel(); }},
      {tr("View"), tr("Whole / supports alone / part alone / what support leaves"), QKeySequence("V"),
       [this] { scene_->nextLook(); }},
      {tr("View"), tr("Cut away to here"), QKeySequence("C"), [this] { scene_->cutAwayHere(); }, {}, hasParts},
      {tr("View"),
       tr("Turn the cut round"),
       QKeySequence("Shift+C"),
       [this] { flipCut(); },
       {},
       [this] { return view_->cutaway().has_value(); }},
      {tr("View"),
       tr("No cutaway"),
       QKeySequence("Ctrl+Shift+C"),
       [this] { view_->setCutaway({}); },
       {},
       [this] { return view_->cutaway().has_value(); }},
      {tr("View"),
       tr("Measure"),
       QKeySequence("I"),
       [this] { changeBrush([](Brush& b) { b.tool = Tool::measure; }); },
       {},
       hasParts},
      {tr("View"),
       tr("Clear what was measured"),
       QKeySequence("Shift+I"),
       [this] { view_->clearDistances(); },
       {},
       [this] { return !view_->distances().empty(); }},
      {tr("View"), tr("Selected part alone"), QKeySequence("S"), [this] { scene_->showSelectedAlone(); }, {}, selected},
      {tr("View"), tr("Look down on the layer"), QKeySequence("U"), [this] { scene_->lookFromAbove(); }},
      {tr("View"), tr("One layer up"), QKeySequence("PgUp"), [this] { strip_->step(1); }},
      {tr("View"), tr("One layer down"), QKeySequence("PgDown"), [this] { strip_->step(-1); }},
      {tr("View"), tr("Play the layers"), QKeySequence("P"), [this] { strip_->play(); }},
      {tr("View"), tr("Show all layers"), QKeySequence("Ctrl+Home"), [this] { view_->setRange(0, 1e9); }},
      {tr("Build"),
       tr("New variant"),
       QKeySequence("Ctrl+Shift+N"),
       [this] {
         showPage(0);
         compare_->variants().addVariant(true);
       },
       {},
       hasParts},
      {tr("Build"), tr("Pin what is there as a variant"), QKeySequence("J"), [this] { tally_->pin(); }, {}, hasParts},
      {tr("Build"), tr("A ladder, or a fragment of a part…"), {}, [this] { showPage(2); }},
      {tr("Build"), tr("A sweep: every combination…"), {}, [this] { showPage(1); }, {}, hasParts},
      {tr("Build"), tr("What became of a print…"), {}, [this] { showPage(3); }},
      {tr("View"),
       tr("Colours as the desktop has them, from the next start"),
       {},
       [] { QSettings().remove("colours"); }},
      {tr("View"), tr("Colours by day, from the next start"), {}, [] { QSettings().setValue("colours", "day"); }},
      {tr("View"), tr("Colours by night, from the next start"), {}, [] { QSettings().setValue("colours", "night"); }},
      {tr("View"),
       tr("Language as the desktop has it, from the next start"),
       {},
       [] { QSettings().remove("language"); }},
      {tr("View"), tr("English, from the next start"), {}, [] { QSettings().setValue("language", "en"); }},
      {tr("View"), tr("Deutsch, from the next start"), {}, [] { QSettings().setValue("language", "de"); }},
      {tr("View"), tr("Breakdown"), QKeySequence("Ctrl+T"), [this] { tally_->toggleBreakdown(); }},
      {tr("Help"), tr("Manual"), QKeySequence::HelpContents, [this] { explainPointed(); }},
      {tr("Help"), tr("Keys"), QKeySequence("Ctrl+F1"), [this] { showShortcuts(); }},
  };
  for (int i = 0; i < sheetNames().size(); ++i)
    commands_.push_back(
        {tr("View"), sheetNames()[i], QKeySequence(QString("Alt+%1").arg(i + 1)), [this, i] { showSheet(i); }});
}

// Esc lets go of the nearest thing: what is tried out, the tool in hand, then the running build.
void MainWindow::escape() {
  if (document_->isPreviewing()) return document_->leavePreview();
  if (hand_->isSettling()) return hand_->setSettling(false);
  if (hand_->brush().tool != Tool::pick) return changeBrush([](Brush& brush) { brush.tool = Tool::pick; });
  if (view_->cutaway()) return view_->setCutaway({});
  if (view_->gcode()) return view_->closeGcode();
  builder_->cancel();
}

// Delete takes the zones and props that are chosen, else the selected parts.
void MainWindow::removeChosen() {
  const auto part = static_cast<std::size_t>(view_->selectedPart());
  std::vector<Chosen> chosen = view_->allChosen();
  std::sort(chosen.begin(), chosen.end(), [](const Chosen& a, const Chosen& b) { return a.index > b.index; });
  std::vector<Operation> operations;  // the last first, so that the others keep their numbers
  for (const Chosen& one : chosen)
    operations.push_back(one.kind == Chosen::zone ? Operation(RemoveZone{part, one.index})
                                                  : RemoveProp{part, one.index});
  if (!operations.empty()) return document_->performTogether(operations);
  findChild<QAbstractButton*>("remove")->click();
}

void MainWindow::flipCut() {
  Plane plane = *view_->cutaway();
  plane.normal = -plane.normal;
  view_->setCutaway(plane);
}

void MainWindow::selectAll() {
  std::vector<std::size_t> all(document_->project()->parts.size());
  std::iota(all.begin(), all.end(), 0u);
  view_->select(all);
}

void MainWindow::selectNext() {
  const int count = static_cast<int>(document_->project()->parts.size());
  view_->selectPart((view_->selectedPart() + 1) % count);
}

void MainWindow::makeMenus() {
  QMap<QString, QMenu*> menus;
  for (const Command& command : commands_) {
    QMenu*& menu = menus[command.menu];
    if (!menu) menu = menuBar()->addMenu(command.menu);
    QAction* action = menu->addAction(command.name, this, command.run);
    action->setShortcut(command.shortcut);
    if (command.detail || command.enabled)
      connect(menu, &QMenu::aboutToShow, action, [action, command] {
        if (command.detail)
          action->setText(command.detail().isEmpty() ? command.name : command.name + ": " + command.detail());
        if (command.enabled) action->setEnabled(command.enabled());
      });
    // A menu greys what cannot be done now; the shortcut must work again as soon as it can.
    if (command.enabled) connect(menu, &QMenu::aboutToHide, action, [action] { action->setEnabled(true); });
  }
  QMenu* recent = new QMenu(tr("Open recent"), this);
  menus[tr("File")]->insertMenu(menus[tr("File")]->actions().at(3), recent);
  connect(recent, &QMenu::aboutToShow, this, [this, recent] {
    recent->clear();
    for (const QString& path : QSettings().value("recent").toStringList())
      recent->addAction(path, this, [this, path] { openFile(path); });
    if (recent->isEmpty()) recent->addAction(tr("nothing yet"))->setEnabled(false);
  });
}

}  // namespace trellis
