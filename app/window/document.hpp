// SPDX-License-Identifier: GPL-3.0-or-later
// The open project: what was done to it, the file it belongs to, and the journal that keeps it from being lost.
#pragma once

#include "app/theme/spoken.hpp"
#include "app/window/activity.hpp"
#include "core/assess/thumbnail.hpp"
#include "core/document/history.hpp"
#include "core/document/journal.hpp"
#include "core/document/project_file.hpp"
#include "core/document/set_library.hpp"
#include "core/results/store.hpp"

#include <QStringList>

#include <vector>

namespace trellis {

// What another window left, with a picture of its first part.
struct OfferedJournal {
  LeftJournal journal;
  Thumbnail picture;    // offeredPicture pixels; empty without parts
  double freeLean = 0;  // degrees, that the picture is coloured by
};
inline constexpr int offeredPicture = 48;

class Document : public QObject {
  Q_OBJECT
 public:
  // store is where mended meshes are made; all of it outlives the document.
  Document(Activity& activity, Store& store, QObject* parent = nullptr);
  ~Document() override;

  const ProjectPtr& project() const { return history_.now(); }
  const Settings& settings() const { return project()->settings; }
  std::uint64_t revision() const { return revision_; }  // another one whenever the project is another

  // A sentence goes to Activity::failed when it cannot be done, and nothing is changed. With continuing, it replaces
  // what the same drag did before.
  void perform(const Operation& operation, bool continuing = false);
  void keepVersion(const QString& file = {});  // of what is handed on, but not of what is only tried out
  void performTogether(const std::vector<Operation>& operations);  // one step
  void undo();
  void redo();
  QString undoName() const { return spoken(history_.undoName()); }
  QString redoName() const { return spoken(history_.redoName()); }

  // A name that no variant has: "pin 1", or with the next number.
  std::string freeVariantName(const QString& kind, int first) const;

  // Shows what an operation would give, until it is kept or left.
  void preview(const Operation& operation);
  void previewTogether(const Sentence& name, const std::vector<Operation>& operations);
  void previewMending(std::size_t part, MendBy way);             // in the background
  void previewReplacing(std::size_t part, const QString& path);  // its mesh by another file's, in the background
  bool isPreviewing() const { return history_.isPreviewing(); }
  QString previewName() const { return spoken(history_.previewName()); }
  // What was done to get there, in words, and the facets that are new.
  const QStringList& previewNotes() const { return previewNotes_; }
  const std::vector<std::uint32_t>& previewFacets() const { return previewFacets_; }
  void keepPreview();
  void keepPreviewAsVariant();  // beside what is there, which stays as it is; the new one is in hand
  void leavePreview();

  // The maker's machines, filaments and prints. Each throws Error when it cannot be done. What is chosen here is chosen
  // again for the next new project.
  const SetLibrary& library() const { return library_; }
  void chooseSet(SetKind kind, const std::string& name);
  void keepSet(const KeptSet& set);       // and chooses it
  void keepSetAside(const KeptSet& set);  // without choosing it
  void renameSet(SetKind kind, const std::string& to);
  void removeSet(SetKind kind);  // and chooses the first of the kind, or what ships under the name
  void takeSet(const QString& path);

  // Files. All in the background; what is done meanwhile is not lost: a file that would replace it is refused, and a
  // save writes what was there when it was asked for.
  void newProject();
  void open(const QString& path, bool addToThis = false);
  void save(const QString& path, const Activity::Done& done = {});
  void exportStl(const QString& path, const Activity::Done& done = {});  // all parts where they stand, as one mesh
  const QString& path() const { return path_; }                          // of the project file, or empty
  QString title() const;
  bool isModified() const { return !history_.isSaved(); }
  bool isReadOnly() const { return readOnly_; }
  // Why nothing may be written now: something is only looked at. Emits failed and returns true.
  bool refusesToWrite();

  // What other windows left behind when they ended badly.
  void lookForJournals();
  void openJournal(const LeftJournal& left);
  void throwAway(const LeftJournal& left);
  // The maker was asked and lets go of what is not saved.
  void letGo() { journal_.drop(); }

  // Whether a part may be meant to be so large, mm; outside, its file was hardly drawn in millimetres.
  static bool isLikelySize(double largest) { return largest >= 2 && largest <= 2000; }

 Q_SIGNALS:
  void changed();      // the project
  void setsChanged();  // in the library
  void replaced();     // by another one; changed follows
  void opened(const QString& path);
  void saved(const QString& path);
  void oddlySized(double largest);  // mm: the part just opened is hardly meant to be this large or small
  void journalsFound(const std::vector<OfferedJournal>& left);

 private:
  void sayChanged();
  ProjectPtr emptyProject() const;
  void choose(const KeptSet& set);
  void take(ProjectPtr project, const QString& path, bool saved);
  void touched();
  void takeRead(const QString& path, bool addToThis, std::size_t edits, const OpenedProject& read);
  // From another thread: what was worked out from a project is shown as a preview if nothing else was done meanwhile.
  void offer(const ProjectPtr& from, const ProjectPtr& result, const Sentence& name, const QStringList& notes,
             const std::vector<std::uint32_t>& facets);

  Activity& activity_;
  Store& store_;
  SetLibrary library_;
  History history_;
  Journal journal_{journalFolder()};
  QString path_;
  bool readOnly_ = false, saidForgotten_ = false;
  std::size_t edits_ = 0;  // how often the maker changed something
  std::uint64_t revision_ = 0;
  QStringList previewNotes_;
  std::vector<std::uint32_t> previewFacets_;
  std::vector<MeshTreePtr> trees_;  // of meshes that were read, so that no brush waits for one
};

}  // namespace trellis
