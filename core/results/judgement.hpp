// SPDX-License-Identifier: GPL-3.0-or-later
// How what was built comes off and how it stands: results that only judging asks for.
#pragma once

#include "core/assess/hold_advice.hpp"
#include "core/assess/turnings.hpp"
#include "core/document/twin.hpp"
#include "core/mesh/symmetry.hpp"
#include "core/release/drain_clearance.hpp"
#include "core/release/extraction_path.hpp"
#include "core/release/judge.hpp"
#include "core/release/removal_plan.hpp"
#include "core/results/supports_builder.hpp"

namespace trellis {

// A part as something in the way.
struct SolidInputs {
  Kept<MeshAnalysis> mesh;
  Placement placement;
};
// One piece of all, keyed by the outlines it has.
struct PieceShape {
  std::shared_ptr<const SupportLayers> layers;
  std::size_t piece = 0;
};
struct ExtractionInputs {
  Kept<PieceShape> shape;
  std::vector<SolidInputs> parts;  // those it carries
};
extern const Recipe<ExtractionPath, ExtractionInputs> pieceExtraction;
// As of wholeMoves and bitMoves, but that their piece is number 0 whichever it is.
extern const Recipe<std::vector<Bit>, ExtractionInputs> pieceMoves, pieceBits;

struct DrainInputs {
  LayerPlan plan;
  std::vector<Kept<Sections>> parts;
};
extern const Recipe<DrainClearance, DrainInputs> drainField;
struct DrainWidthInputs {
  Kept<PieceShape> shape;
  Kept<DrainClearance> field;
};
extern const Recipe<double, DrainWidthInputs> pieceDrain;

struct StabilityInputs {
  Kept<Sections> sections;
  std::vector<Polygons> holds;   // as of holdsOf
  bool standsOnNothing = false;  // neither on the plate nor in support
  StabilityRules rules;
};
extern const Recipe<Stability, StabilityInputs> partStability;
struct HoldInputs {
  std::size_t part = 0;
  Kept<TriangleMesh> placed;
  Kept<Sections> sections;
  std::vector<Polygons> holds;
  StabilityRules rules;
};
extern const Recipe<HoldAdvice, HoldInputs> partHoldAdvice;

// The turning that scars seen faces least.
struct UnscarredInputs {
  MeshPtr mesh;
  Vec3 scale;
  MarksPtr seen;
  TurningRules rules;
};
extern const Recipe<Turning, UnscarredInputs> partUnscarred;

extern const Recipe<Symmetry, MeshInputs> meshSymmetry;
struct TwinInputs {
  Part part;  // its decisions alone
  Kept<Symmetry> symmetry;
  double freeLean = 45;  // degrees
};
extern const Recipe<TwinLeftOut, TwinInputs> decisionsLeftOut;

// The pieces of a print's support, with the parts they are among.
struct Pieces {
  const Project& project;
  const Supports& supports;
  const std::vector<PartResults>& parts;
  const std::vector<std::vector<std::size_t>>& neighbourhoods;
};

// How each piece gets out, in order of the support's pieces.
std::vector<WayOut> waysOut(Store& store, const Pieces& pieces, const Progress& progress);

// How all support comes off. Sets what the plan says of each piece.
RemovalPlan removalOf(Store& store, const Pieces& pieces, std::vector<PieceFigures>& figures, const Progress& progress);

}  // namespace trellis
