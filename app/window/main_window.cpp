// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/main_window.hpp"

#include "app/window/handover.hpp"

#include "app/scene/scene_view.hpp"
#include "app/strip/strip.hpp"
#include "app/tally/tally_bar.hpp"
#include "app/widgets/field_manners.hpp"
#include "app/widgets/first_hints.hpp"
#include "app/widgets/index_tab.hpp"
#include "app/widgets/preview_bar.hpp"
#include "app/widgets/print_page.hpp"
#include "app/widgets/recovery_bar.hpp"
#include "app/worksheets/build_sheet.hpp"
#include "app/worksheets/check_sheet.hpp"
#include "app/worksheets/compare_sheet.hpp"
#include "app/worksheets/mark_sheet.hpp"
#include "app/worksheets/place_sheet.hpp"
#include "app/worksheets/study_sheet.hpp"

#include <QButtonGroup>
#include <QCloseEvent>
#include <QLabel>
#include <QMessageBox>
#include <QMimeData>
#include <QPushButton>
#include <QScreen>
#include <QSettings>
#include <QSplitter>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace trellis {

namespace {

constexpr int sheetWidth = 330;

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
      notes_(std::make_unique<Notes>(*document_)),
      handover_(std::make_unique<Handover>()) {
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
  setMinimumSize(920, 480);  // as much as a screen of 1920 × 1080 has at twice the size
  refreshTitle();
  document_->lookForJournals();
  if (handover_->left()) showPage(4);  // it was under way when a window ended
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
  compare_ = new CompareSheet(*document_, *builder_, *view_, *activity_, {*comparer_, *sweeper_, *notes_, *handover_});
  connect(scene_, &SceneView::piecePicked, &compare_->prints(), &PrintPage::notePiece);
  connect(scene_, &SceneView::sitePicked, &compare_->prints(), [this](const SiteId& site, bool behindSupport) {
    if (!behindSupport) compare_->prints().noteSite(site);  // its piece is noted
  });
  auto* check = new CheckSheet(*document_, *builder_, *view_);
  connect(check, &CheckSheet::gcodeAsked, this, &MainWindow::openGcodeByDialog);
  connect(check, &CheckSheet::reportAsked, this, &MainWindow::writeReport);
  connect(&scene_->switches(), &LayerSwitches::playAsked, strip_, &Strip::play);
  connect(&scene_->switches(), &LayerSwitches::hasteChosen, strip_, &Strip::setHaste);
  for (Worksheet* sheet : std::initializer_list<Worksheet*>{
           place, study, new MarkSheet(*document_, *builder_, *view_, *hand_, *activity_),
           new BuildSheet(*document_, *builder_, *view_, *activity_, *notes_), check, compare_}) {
    sheets_->addWidget(sheet);
    connect(sheet, &Worksheet::wantsManual, this, [this, sheet] { explain(sheet); });
  }
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

void MainWindow::closeEvent(QCloseEvent* event) {
  if (!mayLeavePrint() || !mayLose()) return event->ignore();
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
