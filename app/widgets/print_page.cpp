// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/print_page.hpp"

#include "app/tally/tally_bar.hpp"
#include "app/theme/spoken.hpp"
#include "app/widgets/wrapping_label.hpp"

#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QDragEnterEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QHeaderView>
#include <QLabel>
#include <QMimeData>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QTableWidget>
#include <QTreeWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace trellis {

namespace {

constexpr int rowHeight = 26;

QString today() { return QDate::currentDate().toString(Qt::ISODate); }

}  // namespace

PrintPage::PrintPage(Document& document, Builder& builder, View& view, Notes& notes, Activity& activity,
                     QWidget* parent)
    : QWidget(parent), document_(document), builder_(builder), view_(view), notes_(notes), activity_(activity) {
  setAcceptDrops(true);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(8);
  addVersions(column);
  about_ = new QWidget;
  auto* about = new QVBoxLayout(about_);
  about->setContentsMargins(0, 0, 0, 0);
  about->setSpacing(8);
  addOutcomes(about);
  addFigures(about);
  column->addWidget(about_);
  addLearning(column);
  connect(&document, &Document::changed, this, &PrintPage::refresh);
  connect(&notes, &Notes::changed, this, &PrintPage::refreshLearnt);
  connect(&notes, &Notes::measured, this, [this](const std::string& code) {
    if (const Version* version = chosen(); version && version->code == code) refreshNote();
  });
  connect(&builder, &Builder::shownChanged, this, &PrintPage::refreshLearnt);
  connect(&view, &View::selectionChanged, this, &PrintPage::pointTo);
  refresh();
  refreshNote();
}

void PrintPage::addVersions(QVBoxLayout* column) {
  column->addWidget(
      wrappingLabel("quiet", tr("Writing G-code keeps a version: all that was printed, under six letters that stand "
                                "in the G-code's head. Note here what became of it.")));
  auto* printed = new QPushButton(tr("Mark as printed"));
  printed->setObjectName("markPrinted");
  printed->setToolTip(tr("Keep what is there now as a version."));
  column->addWidget(printed);
  versions_ = new QTreeWidget;
  versions_->setObjectName("versions");
  versions_->setRootIsDecorated(false);
  versions_->setHeaderLabels({tr("version"), tr("code"), tr("date"), tr("file")});
  versions_->header()->setSectionResizeMode(QHeaderView::ResizeToContents);
  versions_->setFixedHeight(110);
  column->addWidget(versions_);
  auto* line = new QHBoxLayout;
  look_ = new QPushButton(tr("As a variant"));
  look_->setObjectName("versionAsVariant");
  look_->setToolTip(tr("A variant that is as this version was, in hand; compare it with what there is now."));
  back_ = new QPushButton(tr("Back to it"));
  back_->setObjectName("restoreVersion");
  back_->setToolTip(tr("Everything as it was when this was printed. Undo takes it back."));
  line->addWidget(look_);
  line->addWidget(back_);
  column->addLayout(line);
  connect(printed, &QPushButton::clicked, this, [this] { document_.perform(KeepVersion{today().toStdString()}); });
  connect(versions_, &QTreeWidget::currentItemChanged, this, [this](QTreeWidgetItem* item) {
    if (item) chosen_ = item->text(0).toULongLong();
    refreshNote();
  });
  connect(look_, &QPushButton::clicked, this, [this] {
    if (const Version* version = chosen())
      document_.performTogether(
          {AddVariant{tr("version %1").arg(version->number).toStdString()}, RestoreVersion{version->number}});
  });
  connect(back_, &QPushButton::clicked, this, [this] {
    if (const Version* version = chosen()) document_.perform(RestoreVersion{version->number});
  });
}

void PrintPage::addOutcomes(QVBoxLayout* column) {
  column->addWidget(wrappingLabel("section", tr("What became of it")));
  outcomes_ = new QTableWidget;
  outcomes_->setObjectName("outcomes");
  outcomes_->setColumnCount(3);
  outcomes_->setHorizontalHeaderLabels({tr("what"), tr("came off"), tr("underside")});
  outcomes_->verticalHeader()->hide();
  outcomes_->verticalHeader()->setDefaultSectionSize(rowHeight);
  outcomes_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  for (const int at : {1, 2}) {
    outcomes_->horizontalHeader()->setSectionResizeMode(at, QHeaderView::Fixed);
    outcomes_->setColumnWidth(at, 84);
  }
  outcomes_->setSelectionMode(QAbstractItemView::SingleSelection);
  outcomes_->setSelectionBehavior(QAbstractItemView::SelectRows);
  outcomes_->setAccessibleName(tr("What became of each part"));
  outcomes_->setToolTip(tr("Click a part, a piece of support or a site in the scene to come to its row."));
  column->addWidget(outcomes_);
  auto* line = new QHBoxLayout;
  failure_ = new QComboBox;
  failure_->setObjectName("failureKind");
  failure_->addItem(tr("something failed…"));
  for (const FailureKind kind :
       {FailureKind::fellOver, FailureKind::cameOffPlate, FailureKind::sagged, FailureKind::strung})
    failure_->addItem(spoken(nameOf(kind)));
  height_ = new QDoubleSpinBox;
  height_->setRange(0, 1000);
  height_->setSuffix(tr(" mm up"));
  line->addWidget(failure_, 1);
  line->addWidget(height_);
  column->addLayout(line);
  failures_ = wrappingLabel("quiet");
  column->addWidget(failures_);
  connect(failure_, &QComboBox::activated, this, [this](int row) {
    if (row == 0) return;
    note_.failures.push_back(
        {static_cast<FailureKind>(row - 1), height_->value() > 0 ? std::optional(height_->value()) : std::nullopt});
    failure_->setCurrentIndex(0);
    keep();
  });
}

void PrintPage::addFigures(QVBoxLayout* column) {
  auto* line = new QHBoxLayout;
  hours_ = new QSpinBox;
  hours_->setObjectName("realHours");
  hours_->setRange(0, 999);
  hours_->setSuffix(" h");
  minutes_ = new QSpinBox;
  minutes_->setObjectName("realMinutes");
  minutes_->setRange(0, 59);
  minutes_->setSuffix(" min");
  removal_ = new QDoubleSpinBox;
  removal_->setObjectName("realRemoval");
  removal_->setRange(0, 999);
  removal_->setDecimals(1);
  removal_->setSuffix(" min");
  line->addWidget(new QLabel(tr("It took")));
  line->addWidget(hours_);
  line->addWidget(minutes_);
  line->addStretch(1);
  column->addLayout(line);
  auto* off = new QHBoxLayout;
  off->addWidget(new QLabel(tr("Taking support off took")));
  off->addWidget(removal_);
  off->addStretch(1);
  column->addLayout(off);
  text_ = new QPlainTextEdit;
  text_->setObjectName("noteText");
  text_->setPlaceholderText(tr("anything else"));
  text_->setFixedHeight(54);
  column->addWidget(text_);
  pictures_ = wrappingLabel("quiet");
  column->addWidget(pictures_);
  auto* add = new QPushButton(tr("Add a picture…"));
  add->setToolTip(tr("Or drop photographs here. They are copied into the notes."));
  keep_ = new QPushButton(tr("Keep the note"));
  keep_->setObjectName("keepNote");
  auto* last = new QHBoxLayout;
  last->addWidget(add);
  last->addWidget(keep_);
  column->addLayout(last);
  follows_ = wrappingLabel("noteFollows");
  column->addWidget(follows_);
  learn_ = new QPushButton;
  learn_->setObjectName("learnBest");
  column->addWidget(learn_);
  connect(add, &QPushButton::clicked, this, [this] {
    addPictures(
        QFileDialog::getOpenFileNames(this, tr("Add a picture"), QString(), tr("Pictures (*.png *.jpg *.jpeg)")));
  });
  connect(keep_, &QPushButton::clicked, this, &PrintPage::keep);
  connect(learn_, &QPushButton::clicked, this, [this] { doOrSay([this] { notes_.learn(filled()); }); });
}

void PrintPage::addLearning(QVBoxLayout* column) {
  column->addWidget(wrappingLabel("section", tr("Learnt of this filament on this machine")));
  learnt_ = wrappingLabel("quiet");
  column->addWidget(learnt_);
  auto* line = new QHBoxLayout;
  auto* write = new QPushButton(tr("Write to file…"));
  write->setToolTip(tr("All notes of this filament on this machine with their pictures, to take to another machine."));
  auto* take = new QPushButton(tr("Take from file…"));
  line->addWidget(write);
  line->addWidget(take);
  column->addLayout(line);
  connect(write, &QPushButton::clicked, this, [this] {
    const QString path = QFileDialog::getSaveFileName(this, tr("Write notes"), "notes.zip", tr("Notes (*.zip)"));
    if (!path.isEmpty()) doOrSay([&] { notes_.writeTo(path); });
  });
  connect(take, &QPushButton::clicked, this, [this] {
    const QString path = QFileDialog::getOpenFileName(this, tr("Take notes"), QString(), tr("Notes (*.zip)"));
    if (!path.isEmpty()) doOrSay([&] { notes_.takeFrom(path); });
  });
}

void PrintPage::doOrSay(const std::function<void()>& what) {
  try {
    what();
  } catch (const Error& error) {
    activity_.fail(spoken(error));
  }
}

const Version* PrintPage::chosen() const {
  const auto& versions = document_.project()->shelf.versions;
  for (const Version& version : versions)
    if (version.number == chosen_) return &version;
  return versions.empty() ? nullptr : &versions.back();
}

void PrintPage::refresh() {
  const auto& versions = document_.project()->shelf.versions;
  const bool same = versions_->topLevelItemCount() == static_cast<int>(versions.size());
  if (!same) {
    const QSignalBlocker quietly(versions_);
    versions_->clear();
    for (const Version& version : versions)
      new QTreeWidgetItem(versions_, {QString::number(version.number), QString::fromStdString(version.code),
                                      QString::fromStdString(version.date), QString::fromStdString(version.file)});
    chosen_ = versions.empty() ? 0 : versions.back().number;
    if (!versions.empty()) versions_->setCurrentItem(versions_->topLevelItem(versions_->topLevelItemCount() - 1));
    refreshNote();
  }
  versions_->setVisible(!versions.empty());
  refreshLearnt();
}

void PrintPage::refreshNote() {
  const Version* version = chosen();
  about_->setVisible(version != nullptr);
  look_->setVisible(version != nullptr);
  back_->setVisible(version != nullptr);
  if (!version) return;
  note_ = notes_.noteOf(*version);
  fillRows();
  hours_->setValue(note_.seconds ? static_cast<int>(*note_.seconds) / 3600 : 0);
  minutes_->setValue(note_.seconds ? static_cast<int>(*note_.seconds) % 3600 / 60 : 0);
  removal_->setValue(note_.removal ? *note_.removal / 60 : 0);
  text_->setPlainText(QString::fromStdString(note_.text));
  refreshLearnt();
}

// What the program expected is asked of a build of what was printed, which is at hand while nothing else was built.
void PrintPage::keep() {
  const Version* version = chosen();
  if (!version) return;
  note_ = filled();
  activity_.errands().doNext([this, note = note_, project = version->project](const Progress& progress) {
    progress.report(0.3, "keeping a note");
    const Shown shown = builder_.made(project, progress);
    BenchNote kept = note;
    kept.expectedSeconds = shown.build->tally.seconds;
    kept.expectedRemoval = shown.build->removal ? shown.build->removal->seconds() : 0;
    activity_.here([this, kept] {
      doOrSay([&] {
        notes_.keep(kept);
        if (note_.code == kept.code) note_ = kept;
        refreshLearnt();
      });
    });
  });
}

void PrintPage::addPictures(const QStringList& paths) {
  if (!chosen() || paths.isEmpty()) return;
  doOrSay([&] {
    for (const QString& path : paths) notes_.addPicture(note_, path);
  });
  keep();
}

void PrintPage::dragEnterEvent(QDragEnterEvent* event) {
  if (chosen() && event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void PrintPage::dropEvent(QDropEvent* event) {
  QStringList paths;
  for (const QUrl& url : event->mimeData()->urls()) paths << url.toLocalFile();
  addPictures(paths);
}

void PrintPage::refreshLearnt() {
  QStringList failed;
  for (const Failure& failure : note_.failures)
    failed << spoken(nameOf(failure.kind)) +
                  (failure.height ? tr(" at %1 mm").arg(*failure.height, 0, 'f', 0) : QString());
  failures_->setText(failed.join(", "));
  failures_->setVisible(!failed.isEmpty());
  pictures_->setText(note_.pictures.empty() ? QString()
                                            : tr("%n picture(s)", nullptr, static_cast<int>(note_.pictures.size())));
  pictures_->setVisible(!note_.pictures.empty());
  const std::optional<double> best = bestRung(note_);
  const std::string key = note_.ladder ? settingLearnt(note_.ladder->kind) : "";
  learn_->setVisible(best.has_value() && !key.empty());
  follows_->setVisible(best.has_value());
  if (best && !key.empty()) {
    const SettingRow& row = settingRow(key);
    follows_->setText(
        tr("Best: %1 %2 %3.").arg(spoken(row.label).toLower()).arg(*best).arg(QString::fromStdString(row.unit)));
    learn_->setText(tr("Keep %1 for %2").arg(*best).arg(QString::fromStdString(note_.filament)));
  }
  QStringList words;
  for (const BenchNote& note : notes_.ofThese())
    for (const Learnt& learnt : note.learnt) {
      const SettingRow& row = settingRow(learnt.key);
      words << tr("%1 %2 %3, %4")
                   .arg(spoken(row.label))
                   .arg(learnt.value)
                   .arg(QString::fromStdString(row.unit),
                        QString::fromStdString(wordsOf(LearntFrom{note.date, note.code, note.ladder.has_value()})));
    }
  if (const auto time = timeCorrection(notes_.ofMachine()))
    words << tr("Prints take %1 times as long as reckoned, give or take %2, by %3 prints.")
                 .arg(time->factor, 0, 'f', 2)
                 .arg(time->spread, 0, 'f', 2)
                 .arg(time->prints);
  if (const auto factor = removalFactor(notes_.ofThese()))
    words << tr("Taking support off takes %1 times as long as reckoned.").arg(*factor, 0, 'f', 2);
  learnt_->setText(words.isEmpty() ? tr("Nothing yet.") : words.join("\n"));
}

}  // namespace trellis
