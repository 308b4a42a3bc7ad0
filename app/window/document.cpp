// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/window/document.hpp"

#include "app/widgets/thumbnail_image.hpp"

#include "core/settings/rules.hpp"

#include "app/theme/spoken.hpp"
#include "core/base/files.hpp"
#include "core/document/project_file.hpp"
#include "core/mesh/stl.hpp"
#include "core/results/part_recipes.hpp"

#include <QBuffer>
#include <QDate>
#include <QFileInfo>

#include <algorithm>

namespace trellis {

namespace {

std::vector<MeshTreePtr> treesOf(const Project& project) {
  std::vector<MeshTreePtr> trees;
  for (const PartPtr& part : project.parts) trees.push_back(treeOf(part->mesh));
  return trees;
}

// For file managers, as PNG: all parts where they stand.
std::string pictureOf(const Project& project) {
  constexpr int size = 256;  // pixels
  if (project.parts.empty()) return {};
  const Thumbnail picture = thumbnail(*placedTogether(project), Affine::Identity(), size);
  QByteArray bytes;
  QBuffer buffer(&bytes);
  buffer.open(QIODevice::WriteOnly);
  imageOf(picture, hangsBeyond(project.settings)).save(&buffer, "PNG");
  return bytes.toStdString();
}

}  // namespace

Document::Document(Activity& activity, Store& store, QObject* parent)
    : QObject(parent), activity_(activity), store_(store), history_(emptyProject()) {
  history_.markSaved();
}

Document::~Document() = default;

// As the last one was set up.
ProjectPtr Document::emptyProject() const {
  auto project = std::make_shared<Project>();
  project->sets = library_.lastUsed();
  project->settings = usualSettings(project->sets);
  return project;
}

void Document::choose(const KeptSet& set) {
  perform(ChooseSet{set});
  library_.remember(project()->sets);
  Q_EMIT setsChanged();
}

void Document::chooseSet(SetKind kind, const std::string& name) { choose(library_.named(kind, name)); }

void Document::keepSet(const KeptSet& set) {
  library_.keep(set);
  choose(set);
}

std::string Document::freeVariantName(const QString& kind, int first) const {
  const std::vector<Variant> all = variantsOf(project());
  for (int number = first;; ++number) {
    const std::string name = QString("%1 %2").arg(kind).arg(number).toStdString();
    if (std::none_of(all.begin(), all.end(), [&](const Variant& variant) { return variant.name == name; })) return name;
  }
}

void Document::keepSetAside(const KeptSet& set) {
  library_.keep(set);
  Q_EMIT setsChanged();
}

void Document::renameSet(SetKind kind, const std::string& to) {
  library_.rename(kind, project()->sets.of(kind).name, to);
  choose(library_.named(kind, to));
}

void Document::removeSet(SetKind kind) {
  const std::string name = project()->sets.of(kind).name;
  library_.remove(kind, name);
  const std::vector<KeptSet> left = library_.all(kind);
  const auto same = std::find_if(left.begin(), left.end(), [&](const KeptSet& set) { return set.name == name; });
  choose(same != left.end() ? *same : left.front());
}

void Document::takeSet(const QString& path) { choose(library_.take(path.toStdString())); }

void Document::perform(const Operation& operation, bool continuing) {
  try {
    history_.perform(operation, continuing);
  } catch (const Error& error) {
    return activity_.fail(spoken(error));
  }
  ++edits_;
  touched();
}

void Document::keepVersion(const QString& file) {
  if (!isPreviewing())
    perform(KeepVersion{QDate::currentDate().toString(Qt::ISODate).toStdString(), file.toStdString()});
}

void Document::performTogether(const std::vector<Operation>& operations) {
  if (operations.empty()) return;
  try {
    history_.performTogether(operations);
  } catch (const Error& error) {
    return activity_.fail(spoken(error));
  }
  ++edits_;
  touched();
}

void Document::undo() {
  history_.undo();
  ++edits_;
  touched();
}

void Document::redo() {
  history_.redo();
  ++edits_;
  touched();
}

void Document::sayChanged() {
  ++revision_;
  Q_EMIT changed();
}

void Document::touched() {
  if (isModified()) journal_.record(history_.kept(), history_.lastName(), history_.steps(), path_.toStdString());
  if (const auto problem = journal_.problem()) activity_.fail(spoken(*problem));
  if (history_.hasForgotten() && !saidForgotten_) {
    saidForgotten_ = true;
    activity_.fail(tr("So much was done that the oldest steps can no longer be undone."));
  }
  sayChanged();
}

void Document::preview(const Operation& operation) { previewTogether(nameOf(operation), {operation}); }

void Document::previewTogether(const Sentence& name, const std::vector<Operation>& operations) {
  history_.leavePreview();
  previewNotes_.clear();
  previewFacets_.clear();
  try {
    ProjectPtr next = project();
    for (const Operation& operation : operations) next = performed(*next, operation);
    history_.preview(name, next);
  } catch (const Error& error) {
    activity_.fail(spoken(error));
  }
  sayChanged();
}

void Document::offer(const ProjectPtr& from, const ProjectPtr& result, const Sentence& name, const QStringList& notes,
                     const std::vector<std::uint32_t>& facets) {
  const std::vector<MeshTreePtr> trees = treesOf(*result);
  activity_.here([=, this] {
    if (project() != from) return;
    trees_.insert(trees_.end(), trees.begin(), trees.end());
    history_.preview(name, result);
    previewNotes_ = notes;
    previewFacets_ = facets;
    sayChanged();
  });
}

void Document::previewMending(std::size_t part, MendBy way) {
  leavePreview();
  activity_.errands().doNext([this, way, part, before = project()](const Progress& progress) {
    progress.report(0.2, "mending");
    const Kept<Mended> mended = store_.getAside(mendedMesh, {before->parts[part]->mesh, way}, progress);
    QStringList notes;
    for (const Sentence& done : mended->done) notes << spoken(done);
    if (notes.isEmpty()) notes << tr("nothing to mend");
    offer(before, performed(*before, ReplaceMesh{part, mended->mesh}), nameOf(MendPart{part, way}), notes,
          mended->fresh);
  });
}

void Document::previewReplacing(std::size_t part, const QString& path) {
  leavePreview();
  activity_.errands().doNext([this, path, part, before = project()](const Progress& progress) {
    const MeshPtr mesh = readOneMesh(path.toStdString(), progress);
    progress.report(0.5, "carrying marks over");
    const ReplaceMesh operation{part, mesh};
    offer(before, performed(*before, operation), nameOf(operation), {}, {});
  });
}

void Document::keepPreview() {
  history_.keepPreview();
  ++edits_;
  touched();
}

void Document::keepPreviewAsVariant() {
  if (!isPreviewing()) return;
  const ProjectPtr tried = project();
  const Sentence name = history_.previewName();
  history_.leavePreview();
  perform(AddVariant{freeVariantName(tr("variant"), 2)});
  auto next = std::make_shared<Project>(*tried);
  next->shelf = project()->shelf;
  next->nextId = std::max(next->nextId, project()->nextId);
  history_.preview(name, std::move(next));
  keepPreview();
}

void Document::leavePreview() {
  if (!isPreviewing()) return;
  history_.leavePreview();
  sayChanged();
}

void Document::take(ProjectPtr project, const QString& path, bool saved) {
  journal_.drop();
  history_ = History(std::move(project));
  if (saved) history_.markSaved();
  path_ = path;
  saidForgotten_ = false;
  Q_EMIT replaced();
  touched();
}

void Document::newProject() {
  readOnly_ = false;
  trees_.clear();
  take(emptyProject(), "", true);
}

void Document::open(const QString& path, bool addToThis) {
  activity_.errands().doNext([this, path, addToThis, like = project(), edits = edits_](const Progress& progress) {
    const OpenedProject read = openFile(path.toStdString(), *like, progress);
    progress.report(0.9, "getting the surface ready");
    const std::vector<MeshTreePtr> trees = treesOf(*read.project);
    activity_.here([=, this] {
      if (!addToThis) trees_.clear();
      trees_.insert(trees_.end(), trees.begin(), trees.end());
      takeRead(path, addToThis, edits, read);
    });
  });
}

void Document::takeRead(const QString& path, bool addToThis, std::size_t edits, const OpenedProject& read) {
  const QString name = QFileInfo(path).fileName();
  if (addToThis) {
    perform(AddParts{read.project->parts});
  } else if (edits != edits_) {
    return activity_.fail(tr("%1 was not opened: this project was changed while it was being read, and would have been "
                             "replaced. Save what is here and open it again.")
                              .arg(name));
  } else {
    readOnly_ = read.fromNewerVersion;
    take(read.project, read.isProject ? path : QString(), read.isProject);
  }
  Q_EMIT opened(path);
  if (!addToThis && read.fromNewerVersion)
    activity_.fail(
        tr("%1 was saved by a newer Meek Trellis. It is open to look at; saving it here would lose what this "
           "version does not know.")
            .arg(name));
  double largest = 0;
  for (const PartPtr& part : read.project->parts) largest = std::max(largest, part->mesh->bounds.sizes().maxCoeff());
  if (!read.isProject && !isLikelySize(largest)) Q_EMIT oddlySized(largest);
}

bool Document::refusesToWrite() {
  if (!isPreviewing()) return false;
  activity_.fail(tr("Something is only being looked at: %1. Keep it or leave it first.").arg(previewName()));
  return true;
}

void Document::save(const QString& path, const Activity::Done& done) {
  const bool refused = refusesToWrite();
  if (!refused && readOnly_)
    activity_.fail(
        tr("This project comes from a newer Meek Trellis and saving it here would lose decisions. Install the "
           "newer version."));
  if (refused || readOnly_) {
    if (done) done(false);
    return;
  }
  const ProjectPtr project = history_.kept();
  activity_.write(
      [=](const Progress&) { writeFileAtomically(path.toStdString(), packProject(*project, pictureOf(*project))); },
      done,
      [=, this] {
        path_ = path;
        history_.markSaved(project);
        if (!isModified()) journal_.drop();
        Q_EMIT saved(path);
        sayChanged();
      });
}

void Document::exportStl(const QString& path, const Activity::Done& done) {
  if (refusesToWrite()) {
    if (done) done(false);
    return;
  }
  activity_.write(
      [path, project = project()](const Progress&) {
        writeFileAtomically(path.toStdString(), writeStl(*placedTogether(*project)));
      },
      done);
}

QString Document::title() const {
  if (!path_.isEmpty()) return QFileInfo(path_).completeBaseName().remove(".trellis");
  return project()->parts.empty() ? tr("empty plate") : QString::fromStdString(project()->parts.front()->name);
}

void Document::lookForJournals() {
  activity_.errands().doNext([this](const Progress&) {
    std::vector<OfferedJournal> offered;
    for (const LeftJournal& left : leftJournals(journalFolder())) {
      if (left.steps == 0) continue;  // nothing was done that could be lost
      const ProjectPtr project = recover(left.path).project;
      offered.push_back({left, {}, 0});
      if (project->parts.empty()) continue;
      const Part& part = *project->parts.front();
      offered.back().picture = thumbnail(*part.mesh, transformOf(part.placement, *part.mesh), offeredPicture);
      offered.back().freeLean = hangsBeyond(settingsOf(*project, 0));
    }
    activity_.here([=, this] { Q_EMIT journalsFound(offered); });
  });
}

// It becomes this window's own: the old journal goes when the new one holds it.
void Document::openJournal(const LeftJournal& left) {
  activity_.errands().doNext([this, left, edits = edits_](const Progress&) {
    const Recovered recovered = recover(left.path);
    const std::vector<MeshTreePtr> trees = treesOf(*recovered.project);
    activity_.here([=, this] {
      if (edits != edits_)
        return activity_.fail(tr("What was left is still there: this project was changed meanwhile. Save it first."));
      trees_ = trees;
      readOnly_ = false;
      take(recovered.project, QString::fromStdString(left.file), false);
      journal_.flush();
      throwAway(left);
      if (recovered.cutOff) activity_.fail(tr("The end of what was left was damaged; this is the state before it."));
      Q_EMIT opened(path_);
    });
  });
}

void Document::throwAway(const LeftJournal& left) {
  std::error_code none;
  std::filesystem::remove(left.path, none);
}

}  // namespace trellis
