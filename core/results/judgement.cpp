// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/judgement.hpp"

#include "core/base/parallel.hpp"

#include <algorithm>
#include <set>

namespace trellis {

namespace {

std::vector<Solid> solidsOf(const ExtractionInputs& in) {
  std::vector<Solid> solids;
  for (const SolidInputs& part : in.parts)
    solids.push_back({part.mesh->tree, transformOf(part.placement, part.mesh->tree->mesh()).inverse()});
  return solids;
}

ExtractionPath extract(const ExtractionInputs& in, const Progress&) {
  return extractionPathOf(samplesOf(*in.shape->layers, in.shape->piece), solidsOf(in));
}

// mm from anywhere about the parts to where nothing of them is left in the way.
double outOf(const ExtractionInputs& in) {
  Box3 box;
  for (const SolidInputs& part : in.parts) {
    const TriangleMesh& mesh = part.mesh->tree->mesh();
    const Affine placed = transformOf(part.placement, mesh);
    for (const Vec3f& vertex : mesh.vertices) box.extend(placed * vertex.cast<double>());
  }
  return box.isEmpty() ? 0 : 1.2 * box.diagonal().norm();
}

using FindMoves = std::vector<Bit>(const SupportLayers&, std::size_t, const std::vector<Solid>&, double);

std::vector<Bit> moves(FindMoves& find, const ExtractionInputs& in) {
  std::vector<Bit> bits = find(*in.shape->layers, in.shape->piece, solidsOf(in), outOf(in));
  for (Bit& bit : bits) bit.piece = 0;
  return bits;
}

std::vector<Bit> moveWhole(const ExtractionInputs& in, const Progress&) { return moves(wholeMoves, in); }

std::vector<Bit> moveBits(const ExtractionInputs& in, const Progress&) { return moves(bitMoves, in); }

DrainClearance drain(const DrainInputs& in, const Progress& progress) {
  std::vector<Polygons> sections(in.plan.count());
  parallelFor(sections.size(), progress, [&](std::size_t i) {
    for (const Kept<Sections>& part : in.parts)
      if (i < part->layers.size())
        sections[i] = sections[i].empty() ? part->layers[i] : unite(sections[i], part->layers[i]);
  });
  return DrainClearance(in.plan, sections, progress);
}

double widestDrain(const DrainWidthInputs& in, const Progress&) {
  double widest = 0;
  for (const Vec3& sample : samplesOf(*in.shape->layers, in.shape->piece))
    widest = std::max(widest, in.field->widthAt(sample));
  return widest;
}

Stability stand(const StabilityInputs& in, const Progress& progress) {
  Stability stability = stabilityOf(in.sections->plan, in.sections->layers, in.holds, in.rules, progress);
  if (in.standsOnNothing)
    for (StandingLevel& level : stability.levels) level.safetyFactor = 0;
  return stability;
}

HoldAdvice advise(const HoldInputs& in, const Progress& progress) {
  const Standing standing{*in.placed, in.sections->plan, in.sections->layers, in.holds};
  return adviseHolds(in.part, standing, in.rules, progress);
}

Turning leastScarred(const UnscarredInputs& in, const Progress& progress) {
  const TurningSurvey survey(in.mesh, in.scale, in.rules, *in.seen);
  return survey.refined(survey.candidates(3, progress), progress).front();
}

Symmetry symmetry(const MeshInputs& in, const Progress& progress) { return findSymmetry(in.mesh, progress); }

TwinLeftOut leftOut(const TwinInputs& in, const Progress& progress) {
  return twinLeftOut(in.part, withTwin(in.part, in.symmetry->plane, in.freeLean, progress));
}

std::vector<Kept<PieceShape>> shapesOf(const Supports& supports) {
  std::vector<Kept<PieceShape>> shapes;
  for (std::size_t p = 0; p < supports.support->pieces.size(); ++p)
    shapes.push_back(
        {supports.support->pieces[p].id, std::make_shared<const PieceShape>(PieceShape{supports.support, p})});
  return shapes;
}

// Each piece with the parts it carries, the first of them first.
std::vector<ExtractionInputs> extractionsOf(const Pieces& pieces) {
  const Supports& supports = pieces.supports;
  std::vector<ExtractionInputs> extractions;
  for (Kept<PieceShape>& shape : shapesOf(supports)) {
    std::set<std::size_t> carried;
    for (const std::size_t site : supports.support->pieces[shape->piece].sites)
      carried.insert(supports.demand[site]->part);
    ExtractionInputs in{std::move(shape), {}};
    for (const std::size_t part : carried)
      in.parts.push_back({pieces.parts[part].mesh, pieces.project.parts[part]->placement});
    extractions.push_back(std::move(in));
  }
  return extractions;
}

}  // namespace

const Recipe<ExtractionPath, ExtractionInputs> pieceExtraction{"extraction", extract};
const Recipe<std::vector<Bit>, ExtractionInputs> pieceMoves{"moves", moveWhole}, pieceBits{"bits", moveBits};
const Recipe<DrainClearance, DrainInputs> drainField{"drain field", drain};
const Recipe<double, DrainWidthInputs> pieceDrain{"drain width", widestDrain};
const Recipe<Stability, StabilityInputs> partStability{"stability", stand};
const Recipe<HoldAdvice, HoldInputs> partHoldAdvice{"hold advice", advise};
const Recipe<Turning, UnscarredInputs> partUnscarred{"unscarred turning", leastScarred};
const Recipe<Symmetry, MeshInputs> meshSymmetry{"symmetry", symmetry};
const Recipe<TwinLeftOut, TwinInputs> decisionsLeftOut{"twin left out", leftOut};

std::vector<WayOut> waysOut(Store& store, const Pieces& pieces, const Progress& progress) {
  const std::vector<ExtractionInputs> extractions = extractionsOf(pieces);
  const Supports& supports = pieces.supports;
  std::vector<WayOut> ways(extractions.size());
  parallelFor(ways.size(), progress,
              [&](std::size_t p) { ways[p].extraction = *store.getAside(pieceExtraction, extractions[p], progress); });
  for (const std::vector<std::size_t>& group : pieces.neighbourhoods) {
    std::vector<std::size_t> held;
    for (std::size_t p = 0; p < ways.size(); ++p)
      if (const std::size_t part = supports.demand[supports.support->pieces[p].sites.front()]->part;
          !ways[p].extraction.free && std::find(group.begin(), group.end(), part) != group.end())
        held.push_back(p);
    if (held.empty()) continue;
    DrainInputs in;
    for (const std::size_t part : group) {
      const Kept<Sections>& sections = pieces.parts[part].sections;
      in.parts.push_back(sections);
      if (sections->plan.count() > in.plan.count()) in.plan = sections->plan;
    }
    const Kept<DrainClearance> field = store.getAside(drainField, in, progress);
    parallelFor(held.size(), progress, [&](std::size_t k) {
      ways[held[k]].drainClearance = *store.get(pieceDrain, {extractions[held[k]].shape, field}, progress);
    });
  }
  return ways;
}

RemovalPlan removalOf(Store& store, const Pieces& pieces, std::vector<PieceFigures>& figures,
                      const Progress& progress) {
  const std::vector<ExtractionInputs> extractions = extractionsOf(pieces);
  const auto bitsOf = [&](const Recipe<std::vector<Bit>, ExtractionInputs>& recipe, std::size_t piece) {
    std::vector<Bit> bits = *store.getAside(recipe, extractions[piece], progress);
    for (Bit& bit : bits) bit.piece = piece;
    return bits;
  };
  std::vector<Bit> whole(extractions.size());
  parallelFor(whole.size(), progress, [&](std::size_t p) { whole[p] = std::move(bitsOf(pieceMoves, p).front()); });
  return planRemoval(
      pieces.supports, std::move(whole), [&](std::size_t piece) { return bitsOf(pieceBits, piece); }, figures,
      progress);
}

}  // namespace trellis
