// SPDX-License-Identifier: GPL-3.0-or-later
// The hand in the scene: what each tool does where it is used.
#include "app/scene/scene_view.hpp"

#include "core/settings/rules.hpp"

#include "core/document/bounds.hpp"
#include "core/document/zone_places.hpp"
#include "core/marks/shadows.hpp"
#include "core/mesh/plane.hpp"
#include "core/mesh/underside.hpp"
#include "core/support/covered.hpp"

#include <QGuiApplication>
#include <QLineF>

#include <algorithm>

namespace trellis {

namespace {

constexpr double propNear = 10;     // pixels within which a prop is taken
constexpr double leastZone = 4;     // mm
constexpr double zoneMargin = 0.5;  // mm

}  // namespace

bool SceneView::useTool(const QPointF& pixel, const std::optional<Hit>& hit) {
  const Brush& brush = hand_.brush();
  if (brush.tool == Tool::pick || brush.tool == Tool::prop)
    if (takeProp(pixel)) return true;
  if (brush.tool == Tool::pick && takeZone(pixel)) return true;
  if (brush.tool == Tool::remove) {
    gather(pixel);
    return true;
  }
  if (brush.tool == Tool::prop) return addPropAt(pixel, hit);
  if (!hit) {
    const bool wantsSite = brush.tool == Tool::zone || brush.tool == Tool::site;
    if (const auto carried = wantsSite ? siteCarriedAt(pixel) : std::nullopt) return useTool(pixel, carried);
    if (brush.tool != Tool::pick) sayMissed();
    return false;
  }
  switch (brush.tool) {
    case Tool::ball:
    case Tool::sight:
      laying_ = true;
      lay(*hit, true);
      break;
    case Tool::face:
      layOnce(hit->part, FaceStroke{hit->at, brush.crease});
      break;
    case Tool::site:
      layOnce(hit->part, SiteStroke{hit->at});
      break;
    case Tool::band:
      band_ = {hit->at.z(), hit->at.z()};
      bandOn_ = hit->part;
      break;
    case Tool::zone:
      addZoneAt(*hit);
      break;
    case Tool::measure:
      view_.measure(placeFor(pixel, *hit));
      break;
    case Tool::pick:
    case Tool::prop:
    case Tool::remove:
      return false;
  }
  over_ = hit;
  return true;
}

void SceneView::dragTool(const QPointF& pixel, const std::optional<Hit>& hit) {
  if (laying_ && hit) lay(*hit, false);
  if (band_) band_->second = heightUnder(pixel);
  if (propInHand_ && hit && view_.selectedPart() == static_cast<int>(hit->part)) {
    document_.perform(ChangeProp{hit->part, *propInHand_, hit->at}, propMoved_);
    propMoved_ = true;
  }
}

void SceneView::endTool() {
  if (std::exchange(laying_, false)) {
    Q_EMIT painted();
    restTimer_.start();  // the picture with what was laid
  }
  if (gathering_) removeGathered();
  propInHand_.reset();
  if (!band_) return;
  const auto [from, to] = *band_;
  band_.reset();
  if (std::abs(to - from) > 0.05) layOnce(bandOn_, BandStroke{std::min(from, to), std::max(from, to)});
}

void SceneView::withTwin(LayMark& mark) const {
  const auto symmetry = hand_.twinPlane();
  if (!hand_.brush().twin || !symmetry || view_.selectedPart() != static_cast<int>(mark.part)) return;
  const Part& part = *document_.project()->parts[mark.part];
  mark.twin = symmetry->plane.movedBy(transformOf(part.placement, *part.mesh));
}

LayMark SceneView::roundStroke(std::size_t part, const std::vector<Vec3>& path) const {
  const Brush& brush = hand_.brush();
  LayMark mark = inHand(part, BallStroke{path, brush.radius});
  if (brush.tool == Tool::sight) mark.stroke = SightStroke{path, brush.radius, camera_.eyeWithin(0.9 * bounds::place)};
  if (brush.stopAtCreases) mark.rules.crease = brush.crease;
  mark.rules.clip = view_.clip();
  withTwin(mark);
  return mark;
}

// The stroke is laid on the part as if nothing were marked on it: what comes of that is the stroke alone.
std::vector<SurfaceVertex> SceneView::freshStroke() const {
  if (!over_ || laying_ || drag_ || !hand_.brush().isRound() || view_.gcode()) return {};
  LayMark stroke = roundStroke(over_->part, {over_->at});
  auto bare = std::make_shared<Part>(*document_.project()->parts[over_->part]);
  bare->marks = std::make_shared<const Marks>();
  (*bare).*marksOf(stroke.coat) = bare->marks;
  Project project = *document_.project();
  project.parts[over_->part] = bare;
  const LayMark shown = stroke;
  if (stroke.mark == Mark::none) stroke.mark = Mark::block;  // else nothing would come of it
  const ProjectPtr laid = performed(project, stroke);
  const Part& part = *laid->parts[over_->part];
  return strokeSurface(part, *(part.*marksOf(stroke.coat)), shown);
}

// Each movement lays the stretch since the last one into the same step, so that a stroke is one undo and
// fast movement leaves no gaps.
void SceneView::lay(const Hit& hit, bool begins) {
  if (begins) view_.selectPart(static_cast<int>(hit.part));
  const std::vector<Vec3> path =
      begins || hit.part != layingOn_ ? std::vector<Vec3>{hit.at} : std::vector<Vec3>{lastLaid_, hit.at};
  const LayMark mark = roundStroke(hit.part, path);
  lastLaid_ = hit.at;
  layingOn_ = hit.part;
  document_.perform(mark, !begins);
}

void SceneView::layOnce(std::size_t part, Stroke stroke) {
  view_.selectPart(static_cast<int>(part));
  LayMark mark = inHand(part, std::move(stroke));
  if (std::holds_alternative<BandStroke>(mark.stroke)) mark.rules.clip = view_.clip();
  withTwin(mark);
  document_.perform(mark);
}

// Large enough to cover the whole site under the pointer, or a few millimetres; then it is taken in hand.
void SceneView::addZoneAt(const Hit& hit) {
  const Brush& brush = hand_.brush();
  AddZone add{hit.part, {}, {}};
  add.zone.as = brush.zoneAs;
  add.zone.shape = brush.zoneShape;
  add.zone.solid = brush.zoneSolid;
  Box3 box(hit.at - Vec3::Constant(leastZone / 2), hit.at + Vec3::Constant(leastZone / 2));
  std::vector<Vec3> corners{box.min(), box.max()};
  const auto site = siteUnder(hit);
  if (site) {
    corners.clear();
    const Part& part = *document_.project()->parts[hit.part];
    const Affine toPlate = transformOf(part.placement, *part.mesh);
    for (const std::uint32_t facet : builder_.sites()[site->part]->list[site->site].facets)
      for (const Vec3& corner : part.mesh->corners(facet)) corners.emplace_back(toPlate * corner);
    if (corners.empty()) corners = {box.min(), box.max()};
  }
  add.figures = covering(brush.zoneShape, corners, zoneMargin);
  view_.selectPart(static_cast<int>(hit.part));
  document_.perform(add);
  Brush pick = brush;
  pick.tool = Tool::pick;
  hand_.setBrush(pick);
  view_.choose({Chosen::zone, document_.project()->parts[hit.part]->zones.size() - 1});
  lightCovered();
  const Vec3 size = add.figures.size;
  Q_EMIT pointedAt(
      (site ? tr("It covers all of site %1").arg(site->site + 1) : tr("It covers what is around the place")) +
      tr(": %1 × %2 × %3 mm. Drag it, its faces or its ring.")
          .arg(size.x(), 0, 'f', 1)
          .arg(size.y(), 0, 'f', 1)
          .arg(size.z(), 0, 'f', 1));
}

// The zone of any shown part whose outline on the screen the pointer is nearest to the middle of, if it is over one.
bool SceneView::takeZone(const QPointF& pixel) {
  const auto& parts = document_.project()->parts;
  const Camera::Ray ray = camera_.rayAt(pixel);
  std::optional<std::pair<std::size_t, std::size_t>> best;
  double nearest = 1e300;
  for (std::size_t p = 0; p < parts.size(); ++p) {
    if (!isShown(p)) continue;
    const Affine toPlate = transformOf(parts[p]->placement, *parts[p]->mesh);
    for (std::size_t z = 0; z < parts[p]->zones.size(); ++z) {
      const Zone& zone = parts[p]->zones[z];
      if (zone.hidden || zone.shape == ZoneShape::slab) continue;  // a slab is everywhere: it is taken from the list
      const Affine toMesh = toPlate.inverse();
      if (const auto at = firstIn(zone, toMesh * ray.origin, toMesh.linear() * ray.direction); at && *at < nearest) {
        nearest = *at;
        best = {p, z};
      }
    }
  }
  if (!best) return false;
  if (const auto hit = hitAt(pixel)) {  // the part in front of it is meant
    const double away = (hit->at - ray.origin).norm() / ray.direction.norm();
    if (away < nearest - 1e-3) return false;
  }
  choosePointed(best->first, {Chosen::zone, best->second});
  lightCovered();
  return true;
}

// With Ctrl beside what is chosen already, or no longer.
void SceneView::choosePointed(std::size_t part, const Chosen& chosen) {
  const bool more = modifiers_ & Qt::ControlModifier && view_.selectedPart() == static_cast<int>(part);
  view_.selectPart(static_cast<int>(part));
  more ? view_.chooseToo(chosen) : view_.choose(chosen);
}

void SceneView::sayMissed() {
  Q_EMIT pointedAt(hand_.brush().lays() ? tr("Nothing was marked: there is no surface under the pointer.")
                                        : tr("There is no surface here. Click on a part."));
}

// Under what is pointed at, from below; from above, under the underside over or below that place, on the plate too; at
// a wall, beside it.
bool SceneView::addPropAt(const QPointF& pixel, const std::optional<Hit>& hit) {
  const auto& parts = document_.project()->parts;
  std::optional<std::pair<std::size_t, Vec3>> place;
  if (hit && hit->lean > -wallLean) place = {hit->part, hit->at};
  const Camera::Ray ray = camera_.rayAt(pixel);
  const double down = ray.direction.z() < -1e-6 ? -ray.origin.z() / ray.direction.z() : -1;
  if (!place && (hit || down > 0)) {
    const Vec3 at = hit ? hit->at : Vec3(ray.origin + down * ray.direction);
    for (std::size_t p = 0; p < parts.size() && p < trees_.size(); ++p)
      if (const auto under = undersideOver(*trees_[p], transformOf(parts[p]->placement, *parts[p]->mesh), at);
          under && isShown(p) && (!place || under->z() < place->second.z()))
        place = {p, *under};
  }
  if (!place) {
    Q_EMIT pointedAt(tr("No underside is over this place. Click under one, on it, or on the wall to be held."));
    return false;
  }
  view_.selectPart(static_cast<int>(place->first));
  document_.perform(AddProp{place->first, place->second, hand_.brush().propWidth});
  propInHand_ = document_.project()->parts[place->first]->props.size() - 1;
  propMoved_ = true;  // what is dragged now belongs to the same step
  view_.choose({Chosen::prop, *propInHand_});
  over_ = hit;
  return true;
}

SurfacePlace SceneView::placeFor(const QPointF& pixel, const Hit& hit) const {
  constexpr double cornerNear = 8;  // pixels
  const Part& part = *document_.project()->parts[hit.part];
  const Affine toPlate = transformOf(part.placement, *part.mesh);
  const Vec3 normal = (normalMap(toPlate) * part.mesh->normal(hit.facet)).normalized();
  SurfacePlace place{hit.at, normal};
  double nearest = cornerNear;
  for (const Vec3& corner : part.mesh->corners(hit.facet))
    if (const auto at = camera_.pixelOf(toPlate * corner); at && QLineF(*at, pixel).length() < nearest) {
      nearest = QLineF(*at, pixel).length();
      place.at = toPlate * corner;
    }
  return place;
}

bool SceneView::takeProp(const QPointF& pixel) {
  const auto& parts = document_.project()->parts;
  for (std::size_t p = 0; p < parts.size(); ++p) {
    const Affine toPlate = transformOf(parts[p]->placement, *parts[p]->mesh);
    for (std::size_t k = 0; k < parts[p]->props.size(); ++k) {
      const auto at = camera_.pixelOf(toPlate * parts[p]->props[k].at);
      if (!at || QLineF(*at, pixel).length() > propNear) continue;
      choosePointed(p, {Chosen::prop, k});
      propInHand_ = k;
      propMoved_ = false;
      return true;
    }
  }
  return false;
}

// What a Face or Site click here would take.
void SceneView::preview(const std::optional<Hit>& hit) {
  const Brush& brush = hand_.brush();
  const bool wanted = hit && (brush.tool == Tool::face || brush.tool == Tool::site);
  if (!wanted && previewed_.empty()) return;
  if (wanted && previewedOn_ == hit->part && std::binary_search(previewed_.begin(), previewed_.end(), hit->facet))
    return;
  previewed_.clear();
  if (!wanted) return;
  const Part& part = *document_.project()->parts[hit->part];
  neighbours_.resize(document_.project()->parts.size());
  if (!neighbours_[hit->part])
    neighbours_[hit->part] = neighboursOf(part.mesh);  // kept, so that strokes find them made
  const Canvas canvas{part.mesh, trees_[hit->part], transformOf(part.placement, *part.mesh),
                      hangsBeyond(settingsOf(*document_.project(), hit->part))};
  previewed_ = brush.tool == Tool::site ? siteAt(canvas, {hit->at}) : faceAt(canvas, {hit->at, brush.crease});
  previewedOn_ = hit->part;
}

std::optional<SiteId> SceneView::siteUnder(const Hit& hit) const {
  const auto& sites = builder_.sites();
  if (hit.part >= sites.size() || hit.facet >= sites[hit.part]->ofFacet.size()) return std::nullopt;
  const std::uint32_t site = sites[hit.part]->ofFacet[hit.facet];
  return site == Sites::none ? std::nullopt : std::optional(SiteId{hit.part, site});
}

// Who clicks on support with nothing behind it means what it carries. While another is being built, the one that is
// shown may carry what is no more.
std::optional<SceneView::Hit> SceneView::siteCarriedAt(const QPointF& pixel) {
  const auto support = builder_.isStale() ? std::nullopt : supportAt(pixel);
  if (!support) return std::nullopt;
  const Build& build = *builder_.shown().build;
  const auto cause = siteNear(build, support->piece, support->at);
  if (!cause) return std::nullopt;
  const Site& site = build.parts[cause->part].sites->list[cause->index];
  if (site.facets.empty()) return std::nullopt;  // on surface too steep to hang
  return Hit{cause->part, site.facets.front(), site.at, site.worstLean, false};
}

void SceneView::lightSiteAt(const std::optional<Hit>& hit) {
  const auto site = hit ? siteUnder(*hit) : std::nullopt;
  if (site != pointedSite_) Q_EMIT sitePointed(site);
  pointedSite_ = site;
}

void SceneView::lightCovered() {
  const Chosen chosen = view_.chosen();
  if (chosen.kind != Chosen::zone || view_.selection().empty()) return;
  const std::size_t p = view_.selection().back();
  const Part& part = *document_.project()->parts[p];
  if (p >= builder_.sites().size() || chosen.index >= part.zones.size() ||
      builder_.sites()[p]->ofFacet.size() != part.mesh->facets.size())
    return;
  const Covered covered = coveredBy(part.zones[chosen.index], part, *builder_.sites()[p]);
  std::vector<SiteId> sites;
  for (const std::size_t site : covered.sites) sites.push_back({p, site});
  view_.lightSites(sites);
  QStringList numbers;
  for (const std::size_t site : covered.sites) numbers << QString::number(site + 1);
  Q_EMIT pointedAt(numbers.empty() ? tr("The zone covers no site.")
                   : numbers.size() == 1
                       ? tr("The zone covers %2 mm² of site %1.").arg(numbers.front()).arg(covered.area, 0, 'f', 0)
                       : tr("The zone covers %2 mm² of sites %1.")
                             .arg(numbers.mid(0, 8).join(", ") + (numbers.size() > 8 ? "…" : ""))
                             .arg(covered.area, 0, 'f', 0));
}

// That of the surface under the pointer; beside the part, where its ray passes nearest to the part's middle.
double SceneView::heightUnder(const QPointF& pixel) const {
  if (over_ && over_->part == bandOn_) return over_->at.z();
  const Camera::Ray ray = camera_.rayAt(pixel);
  const Vec3 d = ray.direction.normalized(), from = boundsOfPart(bandOn_).center();
  const double spread = 1 - d.z() * d.z();
  if (spread < 1e-6) return band_->second;
  const Vec3 between = ray.origin - Vec3(from.x(), from.y(), 0);
  return std::max(0.0, (between.z() - d.z() * d.dot(between)) / spread);
}

void SceneView::cutAwayHere() {
  const Vec3 middle = view_.selectedPart() >= 0 ? boundsOfPart(view_.selection().back()).center()
                                                : Vec3(camera_.eye() + camera_.forward() * camera_.distance());
  const Vec3 at = over_ ? over_->at : middle;
  view_.setCutaway(Plane{at + camera_.forward() * 0.01, camera_.forward()});
}

}  // namespace trellis
