// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/scene/scene_view.hpp"

#include "app/scene/key_pointer.hpp"
#include "app/scene/scene_overlay.hpp"
#include "app/scene/support_lines.hpp"
#include "app/theme/theme.hpp"
#include "app/widgets/spoken.hpp"
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
      overlay_(new SceneOverlay(document, builder, view, camera_, handles_, this)),
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
  const auto program = [](const char* corners, const char* pixels) {
    auto made = std::make_unique<QOpenGLShaderProgram>();
    made->addShaderFromSourceFile(QOpenGLShader::Vertex, QString(":/shaders/%1.vert").arg(corners));
    made->addShaderFromSourceFile(QOpenGLShader::Fragment, QString(":/shaders/%1.frag").arg(pixels));
    if (!made->link()) qFatal("The shader %s cannot be used: %s", pixels, qPrintable(made->log()));
    return made;
  };
  solid_ = program("surface", "solid");
  surface_ = program("surface", "surface");
  line_ = program("line", "line");
  rest_.initialize();
}

void SceneView::resizeGL(int, int) {
  camera_.setView(viewSize());
  whole_ = true;
}

template <typename Vertex>
void SceneView::fill(Buffer& buffer, const std::vector<Vertex>& vertices) {
  if (!buffer.array.isCreated()) {
    buffer.array.create();
    buffer.vertices.create();
  }
  buffer.array.bind();
  buffer.vertices.bind();
  buffer.vertices.allocate(vertices.data(), static_cast<int>(vertices.size() * sizeof(Vertex)));
  buffer.count = static_cast<int>(vertices.size());
  constexpr bool isSurface = std::is_same_v<Vertex, SurfaceVertex>;
  const int columns = isSurface ? 3 : 2;
  for (int column = 0; column < columns; ++column) {
    glEnableVertexAttribArray(static_cast<GLuint>(column));
    glVertexAttribPointer(static_cast<GLuint>(column), column == 2 ? 1 : 3, GL_FLOAT, GL_FALSE, sizeof(Vertex),
                          reinterpret_cast<const void*>(static_cast<std::size_t>(column) * 12));
  }
  buffer.array.release();
}

template void SceneView::fill(Buffer& buffer, const std::vector<LineVertex>& vertices);
template void SceneView::fill(Buffer& buffer, const std::vector<SurfaceVertex>& vertices);

// Each layer has one key, of all that it shows: it is sent anew when that is another, and nobody has to say so.
void SceneView::refill() {
  const ProjectPtr& project = document_.project();
  const Shown& shown = builder_.shown();
  const std::uint64_t document = document_.revision(), built = builder_.revision();
  const int selected = std::max(0, view_.selectedPart());
  const Key shownParts = keyOf(built, alone_, view_.selection());
  show(plate_, keyOf(project->settings), [&] { return plateLines(project->settings); });
  show(rim_, keyOf(project->settings), [&] { return plateRim(project->settings); });
  show(sheet_, keyOf(project->settings), [&] { return plateSheet(project->settings); });
  if (moving_)
    show(coarse_, keyOf(keyOfParts(*project), built), [&] { return partSurfaces(*project, coarseEnds_); });
  else
    show(parts_, keyOfParts(*project), [&] { return partSurfaces(*project, partEnds_); });
  show(scars_, keyOf(built, look_),
       [&] { return look_ == Look::scars && shown.build ? scarLines(*shown.build) : std::vector<LineVertex>(); });
  show(defects_, keyOf(document, built, selected), [&] { return defectsAndFresh(); });
  const auto partShown = [this](std::size_t p) { return isShown(p); };
  const Key decided = keyOf(document, alone_, view_.selection());
  show(marks_, decided, [&] { return markSurface(*project, partShown); });
  show(coats_, decided, [&] { return coatSurface(*project, partShown); });
  show(zones_, decided, [&] { return zoneSurface(*project, partShown); });
  show(decisions_, keyOf(document, selected, view_.allChosen()),
       [&] { return decisionLines(*project, static_cast<std::size_t>(selected), view_.allChosen()); });
  if (shown.build && shown.build->parts.size() == project->parts.size())
    show(choices_, keyOf(decided, built), [&] { return choiceSurface(*project, *shown.build, partShown); });
  show(lit_, keyOf(document, built, view_.litSites(), previewed_, previewedOn_, hand_.brush()),
       [&] { return litFacets(); });
  const Vec3 place = over_ ? over_->at : Vec3(Vec3::Constant(1e9)), eye = camera_.eye();
  show(fresh_, keyOf(document, place, eye, hand_.brush(), static_cast<int>(modifiers_), laying_, view_.clip()),
       [&] { return freshStroke(); });
  if (builder_.earlySupports() || shown.supports)
    show(supports_, keyOf(shownParts, view_.pieceInHand(), view_.stepInHand()), [&] { return supportSurfaces(); });
  if (shown.supports)
    show(piece_, keyOf(built, view_.pieceInHand(), view_.stepInHand()), [&] { return pieceSurface(); });
  const Key lines = keyOf(shownParts, view_.range(), view_.drawnShare(), switches_->look(), look_, supportsHidden_,
                          view_.gcode().has_value(), moving_);
  if (lines != std::exchange(layerKey_, lines)) refillLayer();
  refillStack();
  refillBeside();
}

// As they were let down, or those of the build without what is taken in hand or is off already.
std::vector<SurfaceVertex> SceneView::supportSurfaces() {
  const Shown& shown = builder_.shown();
  const std::shared_ptr<const SupportSolid>& early = builder_.earlySupports();
  std::vector<bool> gone;
  for (std::size_t p = 0; !early && p < shown.build->pieces.size(); ++p)
    gone.push_back(goneBefore(p) || static_cast<int>(p) == view_.pieceInHand());
  const auto all = [](const SolidVertex&) { return true; };
  const auto left = [&](const SolidVertex& v) {
    return !(v.piece < gone.size() && gone[v.piece]) && isShown(shown.build->rules[v.rules].part);
  };
  std::vector<SurfaceVertex> surface =
      early ? supportSurface(*early, {}, all) : supportSurface(*shown.supports, shown.build->pieces, left);
  supportFrom_.clear();
  for (std::size_t v = 0; v + 2 < surface.size(); v += 3)
    supportFrom_.push_back(std::min({surface[v].at[2], surface[v + 1].at[2], surface[v + 2].at[2]}));
  return surface;
}

std::vector<LineVertex> SceneView::defectsAndFresh() const {
  const Project& project = *document_.project();
  const Shown& shown = builder_.shown();
  std::vector<LineVertex> lines =
      shown.build && !builder_.isStale() ? defectLines(project, *shown.build) : std::vector<LineVertex>();
  if (document_.isPreviewing() && view_.selectedPart() >= 0) {
    const std::vector<LineVertex> fresh =
        freshLines(*project.parts[view_.selection().back()], document_.previewFacets());
    lines.insert(lines.end(), fresh.begin(), fresh.end());
  }
  return lines;
}

// Its stand-in while the view moves, as soon as there is one.
MeshPtr SceneView::meshToDraw(std::size_t part) const {
  const Shown& shown = builder_.shown();
  const MeshPtr& mesh = document_.project()->parts[part]->mesh;
  const bool known = moving_ && part < shown.standIns.size() && shown.project->parts[part]->mesh == mesh;
  return known ? shown.standIns[part] : mesh;
}

std::vector<SurfaceVertex> SceneView::partSurfaces(const Project& project, std::vector<int>& ends) const {
  std::vector<SurfaceVertex> all;
  ends.clear();
  for (std::size_t p = 0; p < project.parts.size(); ++p) {
    const std::vector<SurfaceVertex> one = partSurface(*meshToDraw(p), project.parts[p]->placement);
    all.insert(all.end(), one.begin(), one.end());
    ends.push_back(static_cast<int>(all.size()));
  }
  return all;
}

Key SceneView::keyOfParts(const Project& project) {
  KeyBuilder key;
  for (const PartPtr& part : project.parts) key.add(part->mesh).add(part->placement);
  return key.key();
}

// What is lit: sites that are pointed at or selected, and what a stroke here would take.
std::vector<SurfaceVertex> SceneView::litFacets() const {
  std::vector<SurfaceVertex> all;
  const auto add = [&](std::size_t part, const std::vector<std::uint32_t>& facets) {
    const std::vector<SurfaceVertex> more = litSurface(*document_.project()->parts[part], facets);
    all.insert(all.end(), more.begin(), more.end());
  };
  const auto& sites = builder_.sites();
  for (const SiteId& id : view_.litSites()) {
    if (id.part >= sites.size() || id.part >= document_.project()->parts.size() ||
        id.site >= sites[id.part]->list.size())
      continue;
    if (sites[id.part]->ofFacet.size() == document_.project()->parts[id.part]->mesh->facets.size())
      add(id.part, sites[id.part]->list[id.site].facets);
  }
  if (!previewed_.empty() && previewedOn_ < document_.project()->parts.size()) add(previewedOn_, previewed_);
  return all;
}

void SceneView::resizeEvent(QResizeEvent* event) {
  QOpenGLWidget::resizeEvent(event);
  overlay_->setGeometry(rect());
  switches_->adjustSize();
  switches_->move(std::max(0, (width() - switches_->width()) / 2), height() - switches_->height() - 8);
}

}  // namespace trellis
