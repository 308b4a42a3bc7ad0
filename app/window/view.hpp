// SPDX-License-Identifier: GPL-3.0-or-later
// What is looked at: what is selected and lit, which heights are shown, what is cut away, which G-code is open.
#pragma once

#include "app/window/builder.hpp"
#include "app/window/choice.hpp"
#include "core/assess/thumbnail.hpp"
#include "core/assess/turnings.hpp"
#include "core/mesh/measure.hpp"

#include <optional>

namespace trellis {

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

// Another variant, looked at beside the one in hand: its supports as outlines over these, in the other half of the
// scene, or behind a line that can be dragged.
enum class BesideMode { outlines, halves, wipe };
struct Beside {
  VariantId id;
  QString name, here;  // its name, and that of the one in hand
  Shown shown;
  BesideMode mode = BesideMode::outlines;
  double wipe = 0.5;  // share of the scene's width that shows the one in hand
};

class View : public QObject {
  Q_OBJECT
 public:
  View(Document& document, Builder& builder, Activity& activity, QObject* parent = nullptr);

  // The selected part that figures are shown of, or −1; further ones may be selected with it.
  int selectedPart() const { return selection_.empty() ? -1 : static_cast<int>(selection_.back()); }
  const std::vector<std::size_t>& selection() const { return selection_; }
  void selectPart(int part) {
    select(part < 0 ? std::vector<std::size_t>() : std::vector{static_cast<std::size_t>(part)});
  }
  void select(std::vector<std::size_t> parts);

  // Those in force for the selected part, or the plate's when none is selected.
  Settings settingsInHand() const;
  // Whether settings that a part may have of its own are changed for the selected part only.
  bool editsPart() const { return editsPart_ && !selection_.empty(); }
  std::optional<std::size_t> editedPart() const {
    return editsPart() ? std::optional(selection_.back()) : std::nullopt;
  }
  Settings settingsEdited() const { return editsPart() ? settingsInHand() : document_.settings(); }
  void setEditsPart(bool editsPart);

  // Candidate turnings of the selected part: a first set soon, a better one later.
  void findTurnings();
  const std::vector<ShownTurning>& turnings() const { return turnings_; }

  // What is pointed at, and what is selected in the list.
  const std::vector<SiteId>& litSites() const { return lit_; }
  void lightSites(std::vector<SiteId> lit);
  // Zones or props of the selected part that are chosen: the one in hand, and all of them, that one last.
  Chosen chosen() const { return chosen_.empty() ? Chosen{} : chosen_.back(); }
  const std::vector<Chosen>& allChosen() const { return chosen_; }
  void choose(const Chosen& chosen);  // it alone
  void chooseAll(std::vector<Chosen> chosen);
  void chooseToo(const Chosen& chosen);  // or no longer
  // A piece to be looked at, or −1: it goes its way out, or that of one step of the removal plan.
  int pieceInHand() const { return pieceInHand_; }
  int stepInHand() const { return stepInHand_; }  // −1 for the first of its piece
  void takePiece(int piece, int step = -1);
  const RemovalStep* takenStep() const;  // null where nothing gets the piece off

  // Distances that were measured, until they are cleared; the last may wait for its other end.
  struct Distance {
    SurfacePlace from;
    std::optional<SurfacePlace> to = {};
  };
  const std::vector<Distance>& distances() const { return distances_; }
  void measure(const SurfacePlace& place);  // begins one, or ends the one that was begun
  void clearDistances();

  // The plane that hides the near side, in plate coordinates: what lies before it is cut away.
  const std::optional<Plane>& cutaway() const { return cutaway_; }
  void setCutaway(const std::optional<Plane>& plane);
  // What brushes may reach: before the eye, behind the cutaway and within the shown heights.
  std::vector<Plane> clip() const;

  std::pair<double, double> range() const { return range_; }  // shown heights, mm
  void setRange(double low, double high);
  double height() const;             // of the print, mm
  std::vector<double> tops() const;  // of its layers, ascending; of an opened file's, where one is shown
  // How much of the topmost shown layer is drawn, 0–1, while it is played.
  double drawnShare() const { return drawnShare_; }
  void setDrawnShare(double share);
  // Up to where it is printed, mm, while a printer is followed: what is higher is pale.
  const std::optional<double>& printedTo() const { return printedTo_; }
  void setPrintedTo(const std::optional<double>& height);
  // The scene turns to a place and shows the layers up to it.
  void goTo(const Vec3& at);

  const std::optional<Beside>& beside() const { return beside_; }
  void setBeside(std::optional<Beside> beside);
  void setWipe(double share);

  // What a fragment is to be cut out of the selected part by, on the plate; drawn while it is chosen.
  const std::optional<Box3>& cutBox() const { return cutBox_; }
  void setCutBox(const std::optional<Box3>& box);

  // Shows a file instead of the project's layers, until it is closed. Reads in the background.
  void openGcode(const QString& path);
  void closeGcode();
  const std::optional<OpenedGcode>& gcode() const { return gcode_; }

 Q_SIGNALS:
  void distancesChanged();
  void selectionChanged();  // or what figures are changed for
  void turningsChanged();
  void litChanged();
  void chosenChanged();
  void pieceTaken();
  void cutawayChanged();
  void rangeChanged();
  void gcodeChanged();
  void besideChanged();
  void wentTo(const Vec3& at);

 private:
  void forget();
  void keepToProject();

  Document& document_;
  Builder& builder_;
  Activity& activity_;
  std::vector<std::size_t> selection_;
  bool editsPart_ = false;
  std::vector<ShownTurning> turnings_;
  std::vector<SiteId> lit_;
  std::vector<Chosen> chosen_;
  int pieceInHand_ = -1, stepInHand_ = -1;
  std::vector<Distance> distances_;
  std::optional<Plane> cutaway_;
  std::pair<double, double> range_{0, 1e9};
  double drawnShare_ = 1;
  std::optional<double> printedTo_;
  std::optional<OpenedGcode> gcode_;
  std::optional<Beside> beside_;
  std::optional<Box3> cutBox_;
};

}  // namespace trellis
