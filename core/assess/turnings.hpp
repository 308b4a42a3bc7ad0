// SPDX-License-Identifier: GPL-3.0-or-later
// Which way up to print a part: candidates, and what each would cost.
#pragma once

#include "core/base/progress.hpp"
#include "core/document/placement.hpp"
#include "core/marks/marks.hpp"
#include "core/settings/settings.hpp"

namespace trellis {

struct TurningRules {
  double freeLean = 45;      // degrees
  double layerHeight = 0.2;  // mm
};

TurningRules turningRules(const Settings& settings);

// A part turned some way, with estimates. Areas are mm² of surface.
struct Turning {
  Vec3 turn = Vec3::Zero();  // degrees about x, then y, then z
  double hanging = 0;        // leans more than the free lean, off the plate
  double supportVolume = 0;  // mm³ between what hangs and what is under it, by columns
  double contact = 0;        // on the plate
  double height = 0;         // mm
  double scarred = 0;        // hanging surface and what columns stand on
  double stepped = 0;        // rises or falls by 2° to 20°, where layers show as steps
  double thin = 0;           // thinner than three lines and leaning: it curls, and its layers break apart easily
  double seenScarred = 0;    // of what is scarred, on seen faces
  double seenStepped = 0;    // of what is stepped
};

// Estimates turnings of one mesh at one scale. Columns are cast from a few thousand points spread evenly over
// the surface, always the same ones; areas and heights are exact. Safe to ask from several threads.
class TurningSurvey {
 public:
  TurningSurvey(const MeshPtr& mesh, const Vec3& scale, const TurningRules& rules, const Marks& seen = {});
  ~TurningSurvey();
  TurningSurvey(const TurningSurvey&) = delete;
  TurningSurvey& operator=(const TurningSurvey&) = delete;

  // up is the direction of the scaled mesh that points up, unit. Turning about it changes nothing.
  Turning estimate(const Vec3& up) const;

  // Distinct turnings by estimated support, least first, but those first of all that scar seen faces least: faces of
  // the hull, principal axes and a spread over the sphere.
  std::vector<Turning> candidates(std::size_t count, const Progress& progress) const;
  // The same turnings, each moved to the best nearby.
  std::vector<Turning> refined(const std::vector<Turning>& turnings, const Progress& progress) const;

 private:
  struct Samples;
  std::unique_ptr<const Samples> samples_;
};

}  // namespace trellis
