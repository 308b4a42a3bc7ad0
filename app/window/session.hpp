// SPDX-License-Identifier: GPL-3.0-or-later
// One open project: what is in it, what was built from it, what is selected. Every widget talks to the
// project through this and hears of changes by its signals.
#pragma once

#include "app/window/hand.hpp"
#include "app/window/worker.hpp"
#include "core/assess/build.hpp"
#include "core/assess/thumbnail.hpp"
#include "core/assess/turnings.hpp"
#include "core/document/history.hpp"
#include "core/mesh/symmetry.hpp"
#include "core/support/support_solid.hpp"
#include "core/trial/trial_print.hpp"

#include <QObject>
#include <QString>
#include <QStringList>

#include <map>
#include <optional>

namespace trellis {

class Pipeline;

// The newest build, with what only the eye needs.
struct Shown {
  ProjectPtr project;  // what it was built from
  BuildPtr build;
  std::shared_ptr<const SupportSolid> supports;
  MeshTreePtr supportTree;  // of supports' triangles, in the same order, on the plate
};

// A turning of the selected part, with its picture and how it would stand.
struct ShownTurning {
  Turning turning;
  Thumbnail picture;
  double deflection = 0, safetyFactor = 0;  // the worst of any height, as of StandingLevel
};

// G-code that was opened to look at, of any program.
struct OpenedGcode {
  QString name;
  std::shared_ptr<const TrialPrint> trial;
};

class Session : public QObject {
  Q_OBJECT
 public:
  explicit Session(QObject* parent = nullptr);
  ~Session() override;

  const ProjectPtr& project() const { return history_.now(); }
  const Settings& settings() const { return project()->settings; }
  // Those in force for the selected part, or the plate's when none is selected.
  Settings settingsInHand() const;
  const Shown& shown() const { return shown_; }
  bool isStale() const { return shown_.project != project(); }

  // Performs and rebuilds. A sentence goes to failed() when it cannot be done.
  void perform(const Operation& operation, bool continuing = false);
  void performTogether(const std::vector<Operation>& operations);  // one step
  void undo();
  void redo();
  QString undoName() const { return QString::fromStdString(history_.undoName()); }
  QString redoName() const { return QString::fromStdString(history_.redoName()); }

  // Shows what an operation would give, until it is kept or left. In the background where it takes long.
  void preview(const Operation& operation);
  void previewMending(MendBy way);             // the selected part, in the background
  void previewReplacing(const QString& path);  // its mesh by another file's, in the background
  bool isPreviewing() const { return history_.isPreviewing(); }
  QString previewName() const { return QString::fromStdString(history_.previewName()); }
  // What was done to get there, in words, and the facets of the selected part that are new.
  const QStringList& previewNotes() const { return previewNotes_; }
  const std::vector<std::uint32_t>& previewFacets() const { return previewFacets_; }
  void keepPreview();
  void leavePreview();

  // Files. These throw Error. Opening reads in the background and reports by opened() or failed().
  void newProject();
  void open(const QString& path, bool addToThis = false);
  void save(const QString& path);
  void exportGcode(const QString& path);
  void exportStl(const QString& path);           // all parts where they stand, as one mesh
  const QString& path() const { return path_; }  // of the project file, or empty
  QString title() const;
  bool isModified() const { return !history_.isSaved(); }
  bool isReadOnly() const { return readOnly_; }

  void cancelBuild();
  void rebuild();

  // The trial print of what is shown, from its G-code; null until it was run, and again after every change.
  const std::shared_ptr<const TrialPrint>& trialPrint() const { return trialPrint_; }
  void runTrialPrint();  // in the background
  // Shows a file instead of the project's layers, until it is closed. Reads in the background.
  void openGcode(const QString& path);
  void closeGcode();
  const std::optional<OpenedGcode>& gcode() const { return gcode_; }
  // The scene turns to a place and shows the layers up to it.
  void goTo(const Vec3& at);
  // A piece to be looked at, or −1: it slides a little along its way out.
  int pieceInHand() const { return pieceInHand_; }
  void takePiece(int piece);
  // How much of the topmost shown layer is drawn, 0–1, while it is played.
  double drawnShare() const { return drawnShare_; }
  void setDrawnShare(double share);

  // The selected part that figures are shown of, or −1; further ones may be selected with it.
  int selectedPart() const { return selection_.empty() ? -1 : static_cast<int>(selection_.back()); }
  const std::vector<std::size_t>& selection() const { return selection_; }
  void selectPart(int part) {
    select(part < 0 ? std::vector<std::size_t>() : std::vector{static_cast<std::size_t>(part)});
  }
  void select(std::vector<std::size_t> parts);

  // Whether settings that a part may have of its own are changed for the selected part only.
  bool editsPart() const { return editsPart_ && !selection_.empty(); }
  std::optional<std::size_t> editedPart() const {
    return editsPart() ? std::optional(selection_.back()) : std::nullopt;
  }
  Settings settingsEdited() const { return editsPart() ? settingsInHand() : settings(); }
  void setEditsPart(bool editsPart);

  // Candidate turnings of the selected part: a first set soon, a better one later.
  void findTurnings();
  const std::vector<ShownTurning>& turnings() const { return turnings_; }
  // What the left button does; while settling, it puts the face under the pointer on the plate.
  const Brush& brush() const { return brush_; }
  void setBrush(const Brush& brush);
  bool isSettling() const { return settling_; }
  void setSettling(bool settling);

  // Sites of each part as last known, ahead of the build they belong to.
  const std::vector<std::shared_ptr<const Sites>>& sites() const { return sites_; }
  // What is pointed at, and what is selected in the list.
  const std::vector<SiteId>& litSites() const { return lit_; }
  void lightSites(std::vector<SiteId> lit);
  Chosen chosen() const { return chosen_; }
  void choose(const Chosen& chosen);

  // The plane that hides the near side, in plate coordinates: what lies before it is cut away.
  const std::optional<Plane>& cutaway() const { return cutaway_; }
  void setCutaway(const std::optional<Plane>& plane);
  // What brushes may reach: before the eye, behind the cutaway and within the shown heights.
  std::vector<Plane> clip() const;

  // The plane twin strokes are laid across, of the selected part and in its mesh's coordinates: found, or set
  // through the part's middle along an axis of the mesh. Nothing while it is being looked for.
  std::optional<Symmetry> twinPlane() const;
  void setTwinAxis(int axis);  // −1: as found
  int twinAxis() const { return twinAxis_; }
  std::pair<double, double> range() const { return range_; }  // shown heights, mm
  void setRange(double low, double high);
  double height() const;             // of the print, mm
  std::vector<double> tops() const;  // of its layers, ascending; of an opened file's, where one is shown

 Q_SIGNALS:
  void projectChanged();
  void shownChanged();
  void progressed(double fraction, const QString& stage);  // fraction 1: nothing is running
  void failed(const QString& sentence);
  void opened(const QString& path);
  void selectionChanged();
  void brushChanged();
  void rangeChanged();
  void turningsChanged();
  void sitesChanged();
  void litChanged();
  void chosenChanged();
  void cutawayChanged();
  void trialPrintChanged();
  void gcodeChanged();
  void wentTo(const Vec3& at);
  void pieceTaken();
  void oddlySized(double largest);  // mm: the part just opened is hardly meant to be this large or small

 private:
  void refuseWhilePreviewing() const;
  void take(ProjectPtr project, const QString& path, bool saved);
  void projectTouched();
  void findTwin();
  void here(std::function<void()> call);  // on the window's thread
  // From another thread: what was worked out from a project is tried out if nothing else was done meanwhile.
  void offer(const ProjectPtr& from, const ProjectPtr& result, const std::string& name, const QStringList& notes,
             const std::vector<std::uint32_t>& facets);

  History history_{std::make_shared<const Project>()};
  Shown shown_;
  QString path_;
  bool readOnly_ = false;
  std::vector<std::size_t> selection_;
  std::vector<ShownTurning> turnings_;
  QStringList previewNotes_;
  std::vector<std::uint32_t> previewFacets_;
  bool settling_ = false, editsPart_ = false;
  std::vector<std::shared_ptr<const Sites>> sites_;
  std::vector<SiteId> lit_;
  Chosen chosen_;
  std::optional<Plane> cutaway_;
  std::map<std::uint64_t, Symmetry> symmetries_;  // by mesh
  int twinAxis_ = -1;
  Brush brush_;
  std::shared_ptr<const TrialPrint> trialPrint_;
  BuildPtr triedBuild_;  // what is tried or was
  std::optional<OpenedGcode> gcode_;
  int pieceInHand_ = -1;
  double drawnShare_ = 1;
  std::pair<double, double> range_{0, 1e9};
  // Last, so that their threads end before anything they report to.
  std::unique_ptr<Pipeline> pipeline_;
  std::unique_ptr<Worker> errands_, builder_;
};

}  // namespace trellis
