// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/main_window.hpp"

#include "app/window/report_page.hpp"

#include "app/scene/scene_view.hpp"
#include "app/strip/strip.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/widgets/field_manners.hpp"
#include "app/widgets/first_hints.hpp"
#include "app/widgets/index_tab.hpp"
#include "app/widgets/preview_bar.hpp"
#include "app/widgets/recovery_bar.hpp"
#include "app/worksheets/build_sheet.hpp"
#include "app/worksheets/check_sheet.hpp"
#include "app/worksheets/compare_sheet.hpp"
#include "app/worksheets/mark_sheet.hpp"
#include "app/worksheets/place_sheet.hpp"
#include "app/worksheets/study_sheet.hpp"
#include "core/assess/comparison.hpp"
#include "core/base/files.hpp"
#include "core/learn/print_recipe.hpp"

#include <QButtonGroup>
#include <QCloseEvent>
#include <QDate>
#include <QEventLoop>
#include <QFileDialog>
#include <QFileInfo>
#include <QLabel>
#include <QMessageBox>
#include <QMimeData>
#include <QPushButton>
#include <QScreen>
#include <QSettings>
#include <QSplitter>
#include <QStackedWidget>

namespace trellis {

namespace {

constexpr int sheetWidth = 330;
constexpr const char* openable =
    "Parts and projects (*.stl *.STL *.obj *.OBJ *.ply *.PLY *.off *.OFF *.3mf *.3MF *.amf *.AMF)";

bool isGcode(const QString& path) {
  static const QStringList suffixes{"gcode", "gco", "g", "nc"};
  return suffixes.contains(QFileInfo(path).suffix().toLower());
}

}  // namespace

QStringList MainWindow::sheetNames() {
  return {tr("Place"), tr("Study"), tr("Mark"), tr("Build"), tr("Check"), tr("Compare")};
}

MainWindow::MainWindow()
    : store_(std::make_unique<Store>()),
      activity_(std::make_unique<Activity>()),
      document_(std::make_unique<Document>(*activity_, *store_)),
      builder_(std::make_unique<Builder>(*document_, *activity_, *store_)),
      view_(std::make_unique<View>(*document_, *builder_, *activity_)),
      hand_(std::make_unique<Hand>(*document_, *view_, *activity_)),
      comparer_(std::make_unique<Comparer>(*document_, *builder_, *view_)),
      sweeper_(std::make_unique<Sweeper>(*document_, *builder_, *store_)),
      notes_(std::make_unique<Notes>(*document_)) {
  setAcceptDrops(true);
  layOut();
  makeCommands();
  makeMenus();
  connect(document_.get(), &Document::changed, this, &MainWindow::refreshTitle);
  connect(activity_.get(), &Activity::failed, this, &MainWindow::ask);
  connect(document_.get(), &Document::opened, this, &MainWindow::remember);
  connect(document_.get(), &Document::saved, this, &MainWindow::remember);
  connect(document_.get(), &Document::oddlySized, this, &MainWindow::askUnit);
  constexpr int frame = 32;  // pixels, of a title bar: nobody knows it before the window is shown
  resize(QSize(1280, 800).boundedTo(screen()->availableSize() - QSize(0, frame)));
  restoreGeometry(QSettings().value("window").toByteArray());  // as it was left, maximised too
  setMinimumSize(1024, 640);
  refreshTitle();
  document_->lookForJournals();
}

// Widgets go before what they show, and errands before what they report to.
MainWindow::~MainWindow() {
  activity_->finish();
  delete takeCentralWidget();
}

void MainWindow::layOut() {
  auto* whole = new QWidget;
  auto* rows = new QVBoxLayout(whole);
  rows->setContentsMargins(0, 0, 0, 0);
  rows->setSpacing(0);
  auto* middle = new QWidget;
  auto* columns = new QHBoxLayout(middle);
  columns->setContentsMargins(0, 0, 0, 0);
  columns->setSpacing(0);
  strip_ = new Strip(*document_, *builder_, *view_, *hand_);
  scene_ = new SceneView(*document_, *builder_, *view_, *hand_);
  pointed_ = new QLabel;
  pointed_->setObjectName("quiet");
  pointed_->setFixedHeight(26);
  pointed_->setContentsMargins(14, 0, 14, 0);
  pointed_->setTextInteractionFlags(Qt::NoTextInteraction);
  auto* view = new QWidget;
  auto* viewRows = new QVBoxLayout(view);
  viewRows->setContentsMargins(0, 0, 0, 0);
  viewRows->setSpacing(0);
  viewRows->addWidget(scene_, 1);
  viewRows->addWidget(pointed_);
  auto* split = new QSplitter(Qt::Horizontal);
  split->setHandleWidth(2);
  split->addWidget(strip_);
  split->addWidget(view);
  split->setStretchFactor(1, 1);
  split->setSizes({150, 750});
  split->setChildrenCollapsible(false);
  sheets_ = new QStackedWidget;
  sheets_->setFixedWidth(sheetWidth);
  auto* place = new PlaceSheet(*document_, *builder_, *view_, *hand_);
  connect(place, &PlaceSheet::addAsked, this, [this] { openByDialog(true); });
  connect(place, &PlaceSheet::replaceAsked, this, &MainWindow::replaceByDialog);
  new PreviewBar(*document_, *builder_, *view_, scene_);
  new RecoveryBar(*document_, scene_);
  auto* study = new StudySheet(*document_, *builder_, *view_);
  connect(scene_, &SceneView::sitePointed, study, &StudySheet::pointTo);
  connect(scene_, &SceneView::sitePicked, study, &StudySheet::pickSite);
  compare_ = new CompareSheet(*document_, *builder_, *view_, *activity_, {*comparer_, *sweeper_, *notes_});
  auto* check = new CheckSheet(*document_, *builder_, *view_);
  connect(check, &CheckSheet::gcodeAsked, this, &MainWindow::openGcodeByDialog);
  connect(check, &CheckSheet::reportAsked, this, &MainWindow::writeReport);
  connect(&scene_->switches(), &LayerSwitches::playAsked, strip_, &Strip::play);
  connect(&scene_->switches(), &LayerSwitches::hasteChosen, strip_, &Strip::setHaste);
  for (QWidget* sheet : std::initializer_list<QWidget*>{
           place, study, new MarkSheet(*document_, *builder_, *view_, *hand_, *activity_),
           new BuildSheet(*document_, *builder_, *view_, *activity_, *notes_), check, compare_})
    sheets_->addWidget(sheet);
  tabEdge_ = new QWidget;
  auto* tabColumn = new QVBoxLayout(tabEdge_);
  tabColumn->setContentsMargins(0, 12, 0, 0);
  tabColumn->setSpacing(4);
  tabs_ = new QButtonGroup(this);
  for (int i = 0; i < sheetNames().size(); ++i) {
    auto* tab = new IndexTab(sheetNames()[i], tr("Alt+%1").arg(i + 1));
    tabs_->addButton(tab, i);
    tabColumn->addWidget(tab);
  }
  tabColumn->addStretch(1);
  connect(tabs_, &QButtonGroup::idClicked, this, &MainWindow::showSheet);
  columns->addWidget(split, 1);
  columns->addWidget(sheets_);
  columns->addWidget(tabEdge_);
  tally_ = new TallyBar(*document_, *builder_, *activity_, *notes_);
  connect(tally_, &TallyBar::findingsAsked, this, [this] { showSheet(4); });
  rows->addWidget(middle, 1);
  rows->addWidget(tally_);
  setCentralWidget(whole);
  connect(scene_, &SceneView::pointedAt, pointed_, &QLabel::setText);
  new FieldManners(sheets_, scene_);
  showSheet(0);
  welcome();
}

// The tool in hand stays, whichever worksheet is looked at; but nothing is laid while variants are compared.
void MainWindow::showSheet(int index) {
  if (empty_ && *empty_) showSheets(true);
  if (index == 1 && hints_) hints_->done(FirstHints::see);
  sheets_->setCurrentIndex(index);
  tabs_->button(index)->setChecked(true);
  if (index != 0) hand_->setSettling(false);
  if (index == 5 && hand_->brush().lays())  // what is compared is looked at, and not through glass
    changeBrush([](Brush& brush) { brush.tool = Tool::pick; });
  constexpr std::pair<StripLane, StripLane> lanes[] = {
      {StripLane::lean, StripLane::starts}, {StripLane::lean, StripLane::starts},
      {StripLane::lean, StripLane::marks},  {StripLane::holds, StripLane::starts},
      {StripLane::sway, StripLane::starts}, {StripLane::holds, StripLane::starts}};
  strip_->setLanes(lanes[index].first, lanes[index].second);
  scene_->setHandlesShown(true, index == 0);
}

void MainWindow::changeBrush(const std::function<void(Brush&)>& change) {
  Brush brush = hand_->brush();
  change(brush);
  hand_->setBrush(brush);
}

void MainWindow::refreshTitle() {
  setWindowTitle(document_->title() +
                 (document_->isReadOnly()   ? tr(" (to look at only)")
                  : document_->isModified() ? tr(" — edited")
                                            : QString()) +
                 tr(" · Meek Trellis"));
}

void MainWindow::ask(const QString& sentence) {
  auto* box = new QMessageBox(QMessageBox::NoIcon, tr("Meek Trellis"), sentence, QMessageBox::Ok, this);
  box->setAttribute(Qt::WA_DeleteOnClose);
  box->open();  // does not wait, so that nothing that runs is held up
}

bool MainWindow::mayLose() {
  if (!document_->isModified()) return true;
  QMessageBox box(QMessageBox::NoIcon, tr("Meek Trellis"),
                  tr("%1 has changes that are not saved.").arg(document_->title()),
                  QMessageBox::Save | QMessageBox::Discard | QMessageBox::Cancel, this);
  const int answer = box.exec();
  return answer == QMessageBox::Discard || (answer == QMessageBox::Save && save());
}

void MainWindow::openByDialog(bool add) {
  const QStringList paths =
      QFileDialog::getOpenFileNames(this, add ? tr("Add parts") : tr("Open"), QString(), tr(openable));
  openFiles(paths, add);
}

void MainWindow::replaceByDialog() {
  const QString path = QFileDialog::getOpenFileName(this, tr("A revised mesh"), QString(), tr(openable));
  if (!path.isEmpty()) document_->previewReplacing(view_->selection().back(), path);
}

// Formats without a unit are taken as millimetres, which gives odd sizes where the drawing was in others.
void MainWindow::askUnit(double largest) {
  auto* box = new QMessageBox(
      QMessageBox::NoIcon, tr("Meek Trellis"),
      tr("This measures %1 mm across if it was drawn in millimetres. What was it drawn in?").arg(largest, 0, 'g', 3),
      QMessageBox::NoButton, this);
  box->setObjectName("unit");
  box->setAttribute(Qt::WA_DeleteOnClose);
  box->addButton(tr("Millimetres"), QMessageBox::RejectRole);
  const std::size_t last = document_->project()->parts.size();
  for (const auto& [name, factor] :
       {std::pair(tr("Inches"), 25.4), std::pair(tr("Metres"), 1000.0), std::pair(tr("Micrometres"), 0.001)}) {
    if (largest * factor < 1 || largest * factor > 2000) continue;
    QPushButton* button = box->addButton(name, QMessageBox::AcceptRole);
    connect(button, &QPushButton::clicked, this, [this, factor = factor, last] {
      if (document_->project()->parts.size() != last || last == 0) return;
      PlacePart place;
      place.part = last - 1;
      place.scale = document_->project()->parts[last - 1]->placement.scale * factor;
      document_->perform(place);
    });
  }
  box->open();
}

// The first replaces what is open unless it is added; the others join it.
void MainWindow::openFiles(const QStringList& paths, bool add) {
  for (int i = 0; i < paths.size(); ++i) openFile(paths[i], add || i > 0);
}

void MainWindow::openGcodeByDialog() {
  const QString path = QFileDialog::getOpenFileName(this, tr("Try a G-code file"), QString(),
                                                    tr("G-code (*.gcode *.GCODE *.gco *.g *.nc);;All files (*)"));
  if (!path.isEmpty()) openFile(path);
}

void MainWindow::openFile(const QString& path, bool add) {
  if (isGcode(path)) {
    view_->openGcode(path);
    return showSheet(4);
  }
  if (!add && !mayLose()) return;
  document_->open(path, add);
}

void MainWindow::remember(const QString& path) {
  QSettings settings;
  QStringList recent = settings.value("recent").toStringList();
  const QString whole = QFileInfo(path).absoluteFilePath();
  recent.removeAll(whole);
  recent.prepend(whole);
  settings.setValue("recent", QStringList(recent.mid(0, 9)));
  refreshTitle();
}

bool MainWindow::save() { return document_->path().isEmpty() ? saveAs() : saveTo(document_->path()); }

bool MainWindow::saveAs() {
  QString path = QFileDialog::getSaveFileName(this, tr("Save project"), document_->title() + ".trellis.3mf",
                                              tr("Projects (*.3mf)"));
  if (path.isEmpty()) return false;
  if (!path.endsWith(".3mf", Qt::CaseInsensitive)) path += ".3mf";
  return saveTo(path);
}

bool MainWindow::wasDone(const std::function<void(const Activity::Done&)>& begin) {
  QEventLoop waiting;
  std::optional<bool> done;
  begin([&](bool could) {
    done = could;
    waiting.quit();
  });
  while (!done) waiting.exec();
  return *done;
}

bool MainWindow::saveTo(const QString& path) {
  return wasDone([&](const Activity::Done& done) { document_->save(path, done); });
}

void MainWindow::writeReport() {
  const QString path = QFileDialog::getSaveFileName(this, tr("Write a report"), document_->title() + ".pdf",
                                                    tr("Documents (*.pdf *.html)"));
  if (!path.isEmpty()) reportTo(path);
}

bool MainWindow::reportTo(const QString& path) {
  try {
    const QString page = reportPage(*document_, *builder_, *notes_, *view_, *scene_);
    const auto write = [page, path, title = document_->title()](const Progress&) {
      trellis::writeReport(page, title, path);
    };
    if (!wasDone([&](const Activity::Done& done) { activity_->write(write, done); })) return false;
    pointed_->setText(tr("Report written to %1").arg(path));
    return true;
  } catch (const Error& error) {
    ask(error.what());
    return false;
  }
}

void MainWindow::exportSupports() {
  const QString path = QFileDialog::getSaveFileName(this, tr("Write supports"), document_->title() + " supports.3mf",
                                                    tr("Parts and supports (*.3mf);;Supports alone (*.stl)"));
  if (!path.isEmpty()) builder_->exportSupports(path);
}

void MainWindow::exportStl() {
  QString path = QFileDialog::getSaveFileName(this, tr("Write the parts as STL"), document_->title() + ".stl",
                                              tr("Meshes (*.stl)"));
  if (!path.isEmpty()) document_->exportStl(path);
}

void MainWindow::exportGcode() {
  const QString path =
      QFileDialog::getSaveFileName(this, tr("Write G-code"), document_->title() + ".gcode", tr("G-code (*.gcode)"));
  if (!path.isEmpty()) exportTo(path);
}

bool MainWindow::exportTo(const QString& path) {
  if (!wasDone([&](const Activity::Done& done) { builder_->exportGcode(path, done); })) return false;
  if (!document_->isPreviewing())
    document_->perform(KeepVersion{QDate::currentDate().toString(Qt::ISODate).toStdString(),
                                   QFileInfo(path).fileName().toStdString()});
  pointed_->setText(tr("G-code written to %1, as version %2")
                        .arg(path, QString::fromStdString(codeOf(withoutShelf(document_->project())))));
  return true;
}

void MainWindow::writeRecipe() {
  const QString path = QFileDialog::getSaveFileName(this, tr("Write a recipe"), document_->title() + ".recipe.json",
                                                    tr("Recipes (*.json)"));
  if (path.isEmpty()) return;
  try {
    const PrintRecipe recipe = recipeOf(*document_->project(), QFileInfo(path).baseName().toStdString());
    writeFileAtomically(path.toStdString(), toJson(recipe).dump(1) + "\n");
  } catch (const Error& error) {
    ask(error.what());
  }
}

// Says what it would change, and changes nothing until it is kept.
void MainWindow::openRecipe() {
  const QString path = QFileDialog::getOpenFileName(this, tr("Open a recipe"), QString(), tr("Recipes (*.json)"));
  if (!path.isEmpty()) tryRecipe(path);
}

void MainWindow::tryRecipe(const QString& path) {
  try {
    const PrintRecipe recipe = readRecipe(path.toStdString());
    const ProjectPtr before = document_->project();
    document_->previewTogether(tr("recipe %1").arg(QString::fromStdString(recipe.name)), stepsOf(recipe));
    QStringList words;
    for (const std::string& word : differencesInWords(*before, *document_->project()))
      words << QString::fromStdString(word);
    ask(words.isEmpty() ? tr("This recipe changes nothing: everything is so already.")
                        : tr("This recipe would change:\n\n%1\n\nIt is tried out now. Keep it, or leave all as it was.")
                              .arg(words.join("\n")));
  } catch (const Error& error) {
    ask(error.what());
  }
}

void MainWindow::closeEvent(QCloseEvent* event) {
  if (!mayLose()) return event->ignore();
  document_->letGo();
  QSettings().setValue("window", saveGeometry());
  event->accept();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
  if (event->mimeData()->hasUrls()) event->acceptProposedAction();
}

// A project replaces what is open; meshes join it.
void MainWindow::dropEvent(QDropEvent* event) {
  QStringList paths;
  for (const QUrl& url : event->mimeData()->urls())
    if (url.isLocalFile()) paths << url.toLocalFile();
  if (!paths.isEmpty())
    openFiles(paths, !document_->project()->parts.empty() && !paths.front().endsWith(".3mf", Qt::CaseInsensitive));
}

}  // namespace trellis
