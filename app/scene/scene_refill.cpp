// SPDX-License-Identifier: GPL-3.0-or-later
// What is sent to the graphics card, and when anew.
#include "app/scene/scene_view.hpp"
#include "app/scene/support_lines.hpp"

#include <algorithm>

namespace trellis {

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

}  // namespace trellis
