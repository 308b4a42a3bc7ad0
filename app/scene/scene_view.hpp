// SPDX-License-Identifier: GPL-3.0-or-later
// The scene: plate, parts, marks, supports and the lines of the shown layer, and the hand that works on
// them. Left works on the part, right always turns, middle or Space slides, the wheel zooms.
#pragma once

#include "app/scene/camera.hpp"
#include "app/scene/handles.hpp"
#include "app/scene/layer_switches.hpp"
#include "app/scene/rest_frame.hpp"
#include "app/scene/scene_lines.hpp"
#include "app/scene/scene_surfaces.hpp"
#include "core/document/settle.hpp"
#include "core/mesh/ray.hpp"

#include <QElapsedTimer>
#include <QOpenGLBuffer>
#include <QOpenGLFunctions_3_3_Core>
#include <QOpenGLShaderProgram>
#include <QOpenGLVertexArrayObject>
#include <QOpenGLWidget>
#include <QTimer>
#include <QVariantAnimation>

#include <memory>

namespace trellis {

class SceneOverlay;
enum class Look { whole, supportsAlone, partAlone, scars };

// Asks for OpenGL 3.3 everywhere. Call it before the application is made.
void askForOpenGl();

class SceneView : public QOpenGLWidget, protected QOpenGLFunctions_3_3_Core {
  Q_OBJECT
 public:
  SceneView(Document& document, Builder& builder, View& view, Hand& hand, QWidget* parent = nullptr);
  ~SceneView() override;

  void fitAll();
  void fitSlowly();  // as the user asks for it
  void nextLook();
  void setSupportsHidden(bool hidden);
  void setHandlesShown(bool shown, bool ofParts);  // of a chosen zone always, of parts only when asked
  void cutAwayHere();                              // through the place under the pointer, facing the eye
  void showSelectedAlone();                        // or all parts again
  void lookFromAbove();                            // straight down on the shown layer, as large as it fits
  void turnBy(double yaw, double pitch);
  void turnToNextStraight(int yawSteps, int pitchSteps);
  void toggleParallel();
  void comeNearer(double times);            // under one: goes away
  void turnOver();                          // to look from below, and back
  void lookFrom(double yaw, double pitch);  // at all of it
  // Whether the view glides to where it is to be, and the picture is drawn again, finer, when nothing has moved for a
  // while; not where pictures are compared.
  void setLively(bool lively) { lively_ = lively; }
  bool isLively() const { return lively_; }
  void drawFinelyNext() { fine_ = true; }
  Camera& camera() { return camera_; }
  const std::vector<Handle>& handles() const { return handles_; }
  LayerSwitches& switches() { return *switches_; }

 Q_SIGNALS:
  // What the pointer is over, in words; empty over nothing.
  void pointedAt(const QString& words);
  void sitePicked(const SiteId& site, bool behindSupport);  // by a click
  void piecePicked(std::size_t piece);                      // likewise
  void turned();                                            // by hand
  void painted();                                           // a stroke was laid
  void sitePointed(const std::optional<SiteId>& site);

 protected:
  void initializeGL() override;
  void resizeGL(int width, int height) override;
  void paintGL() override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void wheelEvent(QWheelEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void keyReleaseEvent(QKeyEvent* event) override;
  void leaveEvent(QEvent* event) override;
  bool event(QEvent* event) override;  // resting on a place lists what is decided there

 private:
  struct Buffer {
    QOpenGLVertexArrayObject array;
    QOpenGLBuffer vertices{QOpenGLBuffer::VertexBuffer};
    Key key = 0;  // of what it shows
    int count = 0;
  };
  struct Hit {
    std::size_t part;
    std::uint32_t facet;
    Vec3 at;      // plate coordinates
    double lean;  // degrees
    bool within;  // its back is seen: into an open mesh, or through a cut
  };

  struct SupportHit {
    std::size_t piece;
    Vec3 at;  // plate coordinates
    double distance;
  };

  template <typename Vertex>
  void fill(Buffer& buffer, const std::vector<Vertex>& vertices);
  void refill();
  template <typename Make>
  void show(Buffer& buffer, Key key, const Make& make) {  // makes its vertices only when the key is another
    if (buffer.array.isCreated() && buffer.key == key) return;
    buffer.key = key;
    fill(buffer, make());
  }
  std::vector<LineVertex> defectsAndFresh() const;
  std::vector<SurfaceVertex> supportSurfaces();
  std::vector<SurfaceVertex> pieceSurface() const;
  bool goneBefore(std::size_t piece) const;
  void refreshLegend();
  bool drawsSupports() const { return look_ < Look::partAlone && !supportsHidden_; }
  std::vector<SurfaceVertex> partSurfaces(const Project& project, std::vector<int>& ends) const;
  MeshPtr meshToDraw(std::size_t part) const;
  static Key keyOfParts(const Project& project);
  void prepare(QOpenGLShaderProgram& program, const QMatrix4x4& toScreen);  // which is bound then
  void drawSurfaces(const QMatrix4x4& toScreen);
  void drawSolids(const QMatrix4x4& toScreen, bool supports);
  void drawSupports();
  void drawOnSurfaces();
  void drawSeenThrough(bool glass);
  // The variant that is looked at beside, see scene_beside.cpp.
  void refillBeside();
  void drawBeside(const QMatrix4x4& toScreen);
  void drawFrame();
  void drawParts();
  QVector2D layersAsBeads() const;
  // Closed sections, see scene_cut.cpp.
  std::vector<Plane> cuts() const;
  bool isWhole() const;                  // nothing is cut away
  bool isSound(std::size_t part) const;  // its mesh, as far as it was looked over
  double solidTop() const;               // mm; above it lines are drawn
  void closeCuts();
  void closeCut(const Plane& plane, float kind, const std::function<void()>& drawSolids);
  void setClip(QOpenGLShaderProgram& program, double top);  // mm, the highest that is drawn
  void setNoClip(QOpenGLShaderProgram& program);
  bool isCutAway(const Vec3& at) const;  // or outside the shown heights
  // Where it is looked at from, see scene_moves.cpp.
  void moveTo(const Camera& goal);
  Camera fitted(Camera camera) const;
  bool isInParts(const Vec3& place) const;  // within the box of one that is shown
  QSize viewSize() const;  // of what the hand works on: half the scene where the other half shows another variant
  bool isOnWipe(const QPointF& pixel) const;
  void drawBuffer(Buffer& buffer, unsigned mode);
  void drawGuides();
  void drawHand();
  void drawHandSurfaces();
  void drawOnce(const std::vector<LineVertex>& lines);
  void useView();
  void useClipPlanes(bool used);
  void blend(bool on);
  QRect pixelsOfSolids() const;
  void redraw();      // something of the picture is another
  void redrawHand();  // only what is drawn over it is
  bool onlyAddsMarks() const;
  void drawPiece(const QMatrix4x4& toScreen);
  void refillLayer();
  const TrialPrint* shownTrial() const;  // whose lines are drawn by what they stand on, or null
  void refillStack();
  void drawStack();
  std::vector<const PrintLayer*> topLayers(std::size_t most) const;  // of those shown, upwards
  const PrintLayer* topLayer() const;
  void goTo(const Vec3& at);
  std::vector<SurfaceVertex> litFacets() const;
  void resizeEvent(QResizeEvent* event) override;
  bool showsOneLayer() const;
  bool supportsStepAside() const;  // for a tool that works on the surface behind them

  std::optional<Hit> hitAt(const QPointF& pixel);
  void pointAt(const QPointF& pixel, bool pressed);
  void pointAgain();
  std::optional<SupportHit> supportAt(const QPointF& pixel);
  void describe(const std::optional<Hit>& hit, const std::optional<SupportHit>& support);
  void showGhost(const std::optional<Hit>& hit);
  void refreshHandles();
  Box3 boundsOfPart(std::size_t part) const;
  bool isShown(std::size_t part) const;
  bool isShown(const Owner& owner) const;

  // Tools, see scene_tools.cpp.
  bool useTool(const QPointF& pixel, const std::optional<Hit>& hit);  // whether it did anything
  void dragTool(const QPointF& pixel, const std::optional<Hit>& hit);
  void endTool();
  void lay(const Hit& hit, bool begins);
  void layOnce(std::size_t part, Stroke stroke);
  LayMark roundStroke(std::size_t part, const std::vector<Vec3>& path) const;
  std::vector<SurfaceVertex> freshStroke() const;  // what a round brush would lay here
  void withTwin(LayMark& mark) const;
  void addZoneAt(const Hit& hit);
  SurfacePlace placeFor(const QPointF& pixel, const Hit& hit) const;  // a corner, where one is near
  bool addPropAt(const QPointF& pixel, const std::optional<Hit>& hit);
  bool takeProp(const QPointF& pixel);
  void gather(const QPointF& pixel);
  void removeGathered();
  void showRemoval(const QPointF& pixel);  // what a click of Remove would take, and what that saves
  std::optional<Removal> removalAt(const QPointF& pixel);
  bool takeZone(const QPointF& pixel);
  void sayMissed();
  void choosePointed(std::size_t part, const Chosen& chosen);
  void preview(const std::optional<Hit>& hit);
  void lightCovered();  // sites within the chosen zone
  void lightSiteAt(const std::optional<Hit>& hit);
  std::optional<SiteId> siteUnder(const Hit& hit) const;
  std::optional<Hit> siteCarriedAt(const QPointF& pixel);
  double heightUnder(const QPointF& pixel) const;
  LayMark inHand(std::size_t part, Stroke stroke) const;

  Document& document_;
  Builder& builder_;
  View& view_;
  Hand& hand_;
  Camera camera_;
  std::vector<Handle> handles_;
  SceneOverlay* overlay_;  // words and figures over the scene
  LayerSwitches* switches_;
  std::vector<std::pair<double, int>> stackEnds_;  // as in StackedRibbons
  std::shared_ptr<const TrialPrint> stackOf_;
  Key stackKey_ = 0;            // of which lines of it are drawn
  std::optional<Vec3> wentTo_;  // a place that was gone to, until the next click
  QTimer pieceTimer_, restTimer_;
  RestFrame rest_;
  QVariantAnimation glide_;
  bool fine_ = false, lively_ = true;
  bool whole_ = true, kept_ = false;  // to be drawn; in rest_, for as long as nothing of it is another
  bool moving_ = false;               // in this picture, so that coarser parts are drawn
  std::pair<QMatrix4x4, std::pair<double, double>> lastSeen_;  // from where, and which heights
  double pixels_ = 1;                                          // of what is drawn into, for each of the widget's
  QElapsedTimer sinceTaken_;
  QMatrix4x4 overlaidFor_;  // the view they were drawn for
  std::unique_ptr<QOpenGLShaderProgram> solid_, surface_, line_;
  Buffer parts_, marks_, supports_, plate_, rim_, sheet_, ribbons_, ball_, ghost_, defects_, coats_, choices_, lit_,
      zones_, decisions_, starts_, piece_, travels_, arrows_, stack_, removal_, fresh_, scars_, besideParts_,
      besideSupports_, besideLines_, section_, coarse_;
  std::vector<int> partEnds_, coarseEnds_;  // in parts_ and coarse_, after each part
  std::vector<float> supportFrom_;          // mm, where each triangle of supports_ begins, from below
  Key layerKey_ = 0;                        // of the lines of the topmost shown layer
  double beadsFrom_ = 1e9;                  // mm; from here on up lines are drawn, below it solids
  bool handlesShown_ = false, partHandles_ = false;
  ProjectPtr drawn_;
  std::vector<MeshTreePtr> trees_;  // kept so that strokes find them made
  std::vector<NeighboursPtr> neighbours_;
  Look look_ = Look::whole;
  bool supportsHidden_ = false, sliding_ = false, fitted_ = false;
  bool laying_ = false, alone_ = false, wiping_ = false;
  std::vector<std::uint32_t> previewed_;  // what a Face or Site stroke here would take
  std::size_t previewedOn_ = 0;
  std::optional<SiteId> pointedSite_;
  std::optional<std::size_t> propInHand_;
  bool propMoved_ = false;
  std::optional<std::pair<double, double>> band_;  // heights while it is dragged
  std::size_t bandOn_ = 0;
  Vec3 lastLaid_ = Vec3::Zero();
  std::size_t layingOn_ = 0;
  QPointF lastPixel_;
  Qt::KeyboardModifiers modifiers_;  // of the last event of the mouse
  std::optional<Hit> over_;
  std::optional<QMatrix4x4> pointedFrom_;  // the view it was pointed at in; none while the pointer is elsewhere
  const Handle* hot_ = nullptr;
  std::optional<HandleDrag> drag_;
  bool dragBegun_ = false;
  std::vector<Removal> removable_;  // under the pointer, or crossed by it while it is pressed
  bool gathering_ = false;
  std::size_t weighing_ = 0;        // which question of what goes was asked last
  std::vector<RestingFace> faces_;  // of the part that is being settled
  std::uint64_t facesOf_ = 0;
  std::optional<Placement> ghostAt_;
};

}  // namespace trellis
