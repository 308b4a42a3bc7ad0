// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_view.hpp"

#include "app/scene/key_pointer.hpp"
#include "app/scene/scene_overlay.hpp"
#include "app/scene/shader_program.hpp"
#include "app/theme/spoken.hpp"
#include "app/theme/theme.hpp"
#include "core/assess/scar_map.hpp"

#include <algorithm>

namespace trellis {

namespace {

// What the hatches under the part say.
QStringList scarLegend(const Build& build) {
  static const char* hatches[scarCount] = {
      QT_TRANSLATE_NOOP("QObject", "lines far apart"), QT_TRANSLATE_NOOP("QObject", "lines close together"),
      QT_TRANSLATE_NOOP("QObject", "crossed lines"), QT_TRANSLATE_NOOP("QObject", "crossed and close"),
      QT_TRANSLATE_NOOP("QObject", "a rim")};
  const Scars scars = scarsOf(build);
  QStringList words;
  for (std::size_t i = 0; i < scarCount; ++i)
    if (scars.areas[i] >= 0.5)
      words << QObject::tr("%1: %2, %3 mm²")
                   .arg(QObject::tr(hatches[i]), spoken(nameOf(static_cast<Scar>(i))))
                   .arg(scars.areas[i], 0, 'f', 0);
  if (scars.allSeen() >= 0.5)
    words << QObject::tr("of it where it is seen: %1 mm², %2 mm² not smooth")
                 .arg(scars.allSeen(), 0, 'f', 0)
                 .arg(scars.spoilt(), 0, 'f', 0);
  words.prepend(words.isEmpty() ? QObject::tr("Support leaves nothing on the part.")
                                : QObject::tr("What support leaves, about"));
  return words;
}

}  // namespace

void askForOpenGl() {
  QSurfaceFormat format;
  format.setVersion(3, 3);
  format.setProfile(QSurfaceFormat::CoreProfile);
  format.setDepthBufferSize(24);
  format.setStencilBufferSize(8);
  QSurfaceFormat::setDefaultFormat(format);
}

SceneView::SceneView(Document& document, Builder& builder, View& view, Hand& hand, QWidget* parent)
    : QOpenGLWidget(parent),
      document_(document),
      builder_(builder),
      view_(view),
      hand_(hand),
      overlay_(new SceneOverlay(document, builder, view, {camera_, handles_}, this)),
      switches_(new LayerSwitches(builder, view, this)) {
  setMouseTracking(true);
  setFocusPolicy(Qt::StrongFocus);
  new KeyPointer(this);
  setMinimumSize(320, 240);
  connect(&document, &Document::changed, this, [this] {
    const ProjectPtr& now = document_.project();
    const bool sameParts =
        drawn_ && drawn_->parts.size() == now->parts.size() &&
        std::equal(now->parts.begin(), now->parts.end(), drawn_->parts.begin(), [](const PartPtr& a, const PartPtr& b) {
          return a->mesh == b->mesh && a->placement == b->placement;
        });
    if (!sameParts) {
      std::vector<MeshTreePtr> trees;  // new ones first, so that those in use are not made again
      for (const PartPtr& part : now->parts) trees.push_back(treeOf(part->mesh));
      trees_ = std::move(trees);
      neighbours_.clear();
    }
    const bool wasEmpty = !drawn_ || drawn_->parts.empty();
    if (!sameParts) over_.reset();
    wentTo_.reset();
    if (!sameParts) previewed_.clear();
    if (ghostAt_) showGhost(std::nullopt);
    drawn_ = now;
    refreshHandles();
    if (!now->parts.empty() && (wasEmpty || !fitted_)) fitAll();
    if (now->parts.empty()) {
      fitAll();
      fitted_ = false;
    }
    if (!sameParts && isInParts(camera_.eye())) fitSlowly();  // it grew around the eye
    onlyAddsMarks() ? redrawHand() : redraw();
  });
  connect(&document, &Document::replaced, this, [this] {
    fitted_ = false;
    wentTo_.reset();
    alone_ = false;
  });
  for (const auto signal :
       {&Builder::shownChanged, &Builder::sitesChanged, &Builder::earlySupportsChanged, &Builder::trialPrintChanged})
    connect(&builder, signal, this, &SceneView::redraw);
  connect(&builder, &Builder::shownChanged, this, &SceneView::refreshLegend);
  connect(&builder, &Builder::shownChanged, this, [this] {  // what was lit may be gone
    if (pointedFrom_) pointedFrom_ = QMatrix4x4();
    removable_.clear();
    removal_.count = 0;
  });
  for (const auto signal : {&View::rangeChanged, &View::gcodeChanged, &View::cutawayChanged})
    connect(&view, signal, this, &SceneView::redraw);
  connect(&view, &View::litChanged, this, &SceneView::redrawHand);
  connect(&view, &View::distancesChanged, this, [this] {
    overlay_->update();
    redraw();
  });
  for (const auto signal : {&View::chosenChanged, &View::selectionChanged})
    connect(&view, signal, this, [this] {
      refreshHandles();
      redraw();
    });
  connect(&view, &View::besideChanged, this, [this] {
    const QSize before = camera_.view();
    camera_.setView(viewSize());
    if (before != viewSize()) fitAll();
    overlay_->update();
    redraw();
  });
  connect(switches_, &LayerSwitches::changed, this, [this] { redraw(); });
  connect(switches_, &LayerSwitches::fromAboveAsked, this, &SceneView::lookFromAbove);
  connect(&view, &View::wentTo, this, &SceneView::goTo);
  restTimer_.setSingleShot(true);
  constexpr int rest = 150;  // ms without a new picture
  restTimer_.setInterval(rest);
  connect(&restTimer_, &QTimer::timeout, this, [this] {
    pointAgain();
    fine_ = view_.pieceInHand() < 0;
    if (fine_) redraw();
  });
  pieceTimer_.setInterval(40);
  connect(&pieceTimer_, &QTimer::timeout, this, &SceneView::redraw);
  connect(&view, &View::pieceTaken, this, [this] {
    sinceTaken_.start();
    view_.pieceInHand() >= 0 ? pieceTimer_.start() : pieceTimer_.stop();
    redraw();
  });
  connect(&hand, &Hand::brushChanged, this, [this] {
    showGhost(std::nullopt);
    previewed_.clear();
    refreshHandles();
    redraw();
  });
}

SceneView::~SceneView() {
  makeCurrent();
  for (Buffer* buffer : {&parts_,  &marks_,       &supports_,       &plate_,       &sheet_, &ribbons_, &ball_,
                         &ghost_,  &defects_,     &coats_,          &choices_,     &lit_,   &zones_,   &decisions_,
                         &starts_, &piece_,       &travels_,        &arrows_,      &stack_, &removal_, &fresh_,
                         &scars_,  &besideParts_, &besideSupports_, &besideLines_, &rim_,   &section_, &coarse_}) {
    buffer->array.destroy();
    buffer->vertices.destroy();
  }
  solid_.reset();
  surface_.reset();
  line_.reset();
  rest_.destroy();
  doneCurrent();
}

void SceneView::refreshLegend() {
  const BuildPtr& build = builder_.shown().build;
  overlay_->setLegend(look_ == Look::scars && build ? scarLegend(*build) : QStringList());
}

void SceneView::nextLook() {
  look_ = look_ == Look::scars ? Look::whole : static_cast<Look>(static_cast<int>(look_) + 1);
  refreshLegend();
  redraw();
}

void SceneView::setSupportsHidden(bool hidden) {
  supportsHidden_ = hidden;
  redraw();
}

void SceneView::setHandlesShown(bool shown, bool ofParts) {
  handlesShown_ = shown;
  partHandles_ = ofParts;
  refreshHandles();
}

void SceneView::refreshHandles() {
  hot_ = nullptr;
  handles_.clear();
  const auto& parts = document_.project()->parts;
  const bool mayTake = handlesShown_ && hand_.brush().tool == Tool::pick && !hand_.isSettling();
  if (mayTake && !view_.selection().empty() && view_.selection().back() < parts.size()) {
    const Part& part = *parts[view_.selection().back()];
    const Box3 box = placedBounds(part.placement, *part.mesh);
    const Chosen chosen = view_.chosen();
    if (chosen.kind == Chosen::zone && chosen.index < part.zones.size() && part.zones[chosen.index].locked)
      handles_.clear();
    else if (chosen.kind == Chosen::zone && chosen.index < part.zones.size())
      handles_ = handlesOf(figuresOf(part.zones[chosen.index], transformOf(part.placement, *part.mesh)),
                           part.zones[chosen.index].shape, box);
    else if (partHandles_)
      handles_ = handlesOf(box);
  }
  redrawHand();
}

// While a stroke goes on, what it lays is drawn over the picture as it was.
bool SceneView::onlyAddsMarks() const {
  if (!laying_) return false;
  const LayMark lay = inHand(layingOn_, BallStroke());
  return lay.coat == Coat::support && lay.mark != Mark::none;
}

Box3 SceneView::boundsOfPart(std::size_t part) const {
  const Part& which = *document_.project()->parts[part];
  return placedBounds(which.placement, *which.mesh);
}

bool SceneView::supportsStepAside() const {
  return view_.pieceInHand() < 0 && (hand_.isSettling() || hand_.brush().lays());
}

bool SceneView::isShown(std::size_t part) const {
  const auto& selection = view_.selection();
  return !alone_ || std::find(selection.begin(), selection.end(), part) != selection.end();
}

// Of lines: those of parts and pieces follow what is shown of them.
bool SceneView::isShown(const Owner& owner) const {
  if (owner.kind == Owner::none) return !alone_;
  if (owner.kind == Owner::part) return look_ != Look::supportsAlone && isShown(owner.index);
  const Build& build = *builder_.shown().build;
  const auto& sites = build.support->pieces[owner.index].sites;
  return drawsSupports() && std::any_of(sites.begin(), sites.end(), [&](std::size_t site) {
           return isShown(build.rules[build.demand[site]->rules].part);
         });
}

void SceneView::showSelectedAlone() {
  alone_ = !alone_;
  redraw();
}

void SceneView::initializeGL() {
  initializeOpenGLFunctions();
  solid_ = shaderProgram("surface", "solid");
  surface_ = shaderProgram("surface", "surface");
  line_ = shaderProgram("line", "line");
  rest_.initialize();
}

void SceneView::resizeGL(int, int) {
  camera_.setView(viewSize());
  whole_ = true;
}

void SceneView::resizeEvent(QResizeEvent* event) {
  QOpenGLWidget::resizeEvent(event);
  overlay_->setGeometry(rect());
  switches_->adjustSize();
  switches_->move(std::max(0, (width() - switches_->width()) / 2), height() - switches_->height() - 8);
}

}  // namespace trellis
