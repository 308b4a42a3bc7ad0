// SPDX-License-Identifier: GPL-3.0-or-later
// The hand in the scene: what each tool does where it is used.
#include "app/scene/scene_view.hpp"

#include <QGuiApplication>
#include <QLineF>

#include <algorithm>

namespace trellis {

namespace {

constexpr double propNear = 10;  // pixels within which a prop is taken
constexpr double leastZone = 4;  // mm

}  // namespace

bool SceneView::useTool(const QPointF& pixel, const std::optional<Hit>& hit, Qt::KeyboardModifiers modifiers) {
  const Brush& brush = hand_.brush();
  if (brush.tool == Tool::pick || brush.tool == Tool::prop)
    if (takeProp(pixel)) return true;
  if (brush.tool == Tool::remove) {
    removeAt(pixel);
    return true;
  }
  if (!hit) return false;
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
    case Tool::clean:
      document_.perform(KeepFaceClean{hit->part, {hit->at, brush.crease}, !(modifiers & Qt::ControlModifier)});
      break;
    case Tool::zone:
      addZoneAt(*hit);
      break;
    case Tool::prop:
      view_.selectPart(static_cast<int>(hit->part));
      document_.perform(AddProp{hit->part, hit->at, brush.propWidth});
      propInHand_ = document_.project()->parts[hit->part]->props.size() - 1;
      propMoved_ = true;  // what is dragged now belongs to the same step
      view_.choose({Chosen::prop, *propInHand_});
      break;
    case Tool::pick:
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
  laying_ = false;
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

// Each movement lays the stretch since the last one into the same step, so that a stroke is one undo and
// fast movement leaves no gaps.
void SceneView::lay(const Hit& hit, bool begins) {
  const Brush& brush = hand_.brush();
  if (begins) view_.selectPart(static_cast<int>(hit.part));
  const std::vector<Vec3> path =
      begins || hit.part != layingOn_ ? std::vector<Vec3>{hit.at} : std::vector<Vec3>{lastLaid_, hit.at};
  LayMark mark{hit.part, markInHand(QGuiApplication::keyboardModifiers()), BallStroke{path, brush.radius}};
  if (brush.tool == Tool::sight) mark.stroke = SightStroke{path, brush.radius, camera_.eye()};
  mark.rules = {brush.keepToOverhangs, brush.stopAtCreases ? std::optional(brush.crease) : std::nullopt, view_.clip()};
  withTwin(mark);
  lastLaid_ = hit.at;
  layingOn_ = hit.part;
  document_.perform(mark, !begins);
}

void SceneView::layOnce(std::size_t part, Stroke stroke) {
  view_.selectPart(static_cast<int>(part));
  LayMark mark{part, markInHand(QGuiApplication::keyboardModifiers()), std::move(stroke)};
  mark.rules.keepToOverhangs = hand_.brush().keepToOverhangs;
  if (std::holds_alternative<BandStroke>(mark.stroke)) mark.rules.clip = view_.clip();
  withTwin(mark);
  document_.perform(mark);
}

// As large as the site under the pointer, or a few millimetres; then it is taken in hand.
void SceneView::addZoneAt(const Hit& hit) {
  const Brush& brush = hand_.brush();
  AddZone add{hit.part, {}, {}};
  add.zone.as = brush.zoneAs;
  add.zone.shape = brush.zoneShape;
  add.zone.solid = brush.zoneSolid;
  Box3 box(hit.at - Vec3::Constant(leastZone / 2), hit.at + Vec3::Constant(leastZone / 2));
  if (const auto site = siteUnder(hit)) {
    const Part& part = *document_.project()->parts[hit.part];
    const Affine toPlate = transformOf(part.placement, *part.mesh);
    for (const std::uint32_t facet : builder_.sites()[site->part]->list[site->site].facets)
      for (const Vec3& corner : part.mesh->corners(facet)) box.extend(Vec3(toPlate * corner));
    box = Box3(box.min().array() - 0.5, box.max().array() + 0.5);
  }
  add.figures = {box.center(), box.sizes(), Vec3::Zero()};
  view_.selectPart(static_cast<int>(hit.part));
  document_.perform(add);
  Brush pick = brush;
  pick.tool = Tool::pick;
  hand_.setBrush(pick);
  view_.choose({Chosen::zone, document_.project()->parts[hit.part]->zones.size() - 1});
  lightCovered();
}

bool SceneView::takeProp(const QPointF& pixel) {
  const auto& parts = document_.project()->parts;
  for (std::size_t p = 0; p < parts.size(); ++p) {
    const Affine toPlate = transformOf(parts[p]->placement, *parts[p]->mesh);
    for (std::size_t k = 0; k < parts[p]->props.size(); ++k) {
      const auto at = camera_.pixelOf(toPlate * parts[p]->props[k].at);
      if (!at || QLineF(*at, pixel).length() > propNear) continue;
      view_.selectPart(static_cast<int>(p));
      view_.choose({Chosen::prop, k});
      propInHand_ = k;
      propMoved_ = false;
      return true;
    }
  }
  return false;
}

void SceneView::removeAt(const QPointF& pixel) {
  const auto support = supportAt(pixel);
  if (!support || builder_.isStale())
    return Q_EMIT pointedAt(support ? tr("The supports are being built anew; point again when they are.")
                                    : tr("No support is here. Point at one that is built."));
  const Brush& brush = hand_.brush();
  const Vec3 inside = support->at + camera_.rayAt(pixel).direction * 0.05;
  const Build& build = *builder_.shown().build;
  document_.performTogether(brush.keepOnly ? keepingOnly(build, inside) : removing(build, inside, brush.reach));
}

// What a Face, Site or clean-face click here would take.
void SceneView::preview(const std::optional<Hit>& hit) {
  const Brush& brush = hand_.brush();
  const bool wanted = hit && (brush.tool == Tool::face || brush.tool == Tool::site || brush.tool == Tool::clean);
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
                      settingsOf(*document_.project(), hit->part).number("support.free_lean")};
  previewed_ = brush.tool == Tool::site ? siteAt(canvas, {hit->at}) : faceAt(canvas, {hit->at, brush.crease});
  previewedOn_ = hit->part;
}

std::optional<SiteId> SceneView::siteUnder(const Hit& hit) const {
  const auto& sites = builder_.sites();
  if (hit.part >= sites.size() || hit.facet >= sites[hit.part]->ofFacet.size()) return std::nullopt;
  const std::uint32_t site = sites[hit.part]->ofFacet[hit.facet];
  return site == Sites::none ? std::nullopt : std::optional(SiteId{hit.part, site});
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
  const Zone& zone = part.zones[chosen.index];
  std::vector<SiteId> covered;
  for (std::size_t s = 0; s < builder_.sites()[p]->list.size(); ++s) {
    const auto& facets = builder_.sites()[p]->list[s].facets;
    const bool touches = std::any_of(facets.begin(), facets.end(), [&](std::uint32_t f) {
      const Corners c = part.mesh->corners(f);
      return isIn(zone, (c[0] + c[1] + c[2]) / 3);
    });
    if (touches) covered.push_back({p, s});
  }
  view_.lightSites(covered);
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
