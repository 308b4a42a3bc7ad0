// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/release/removal_plan.hpp"

#include "core/release/drain_clearance.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace trellis {

namespace {

constexpr double mostlyOpen = 0.6;  // of a piece, that nothing stops along its best way: from there it is got at
constexpr double tipReaches = 2;    // mm: then the tip of a tool is enough

class Planner {
 public:
  Planner(const Supports& supports, const BitsOf& broken, std::vector<PieceFigures>& figures, const Progress& progress)
      : supports_(supports),
        standing_(*supports.support),
        broken_(broken),
        figures_(figures),
        progress_(progress),
        isBroken_(figures.size(), false) {}

  RemovalPlan plan(std::vector<Bit> whole) {
    left_ = std::move(whole);
    washOut();
    while (!left_.empty()) {
      progress_.check();
      if (!takeAway() && !breakOne() && !crushOne()) break;
    }
    for (const Bit& bit : left_) plan_.trapped.push_back(bit.piece);
    std::sort(plan_.trapped.begin(), plan_.trapped.end());
    plan_.trapped.erase(std::unique(plan_.trapped.begin(), plan_.trapped.end()), plan_.trapped.end());
    for (std::size_t p = 0; p < figures_.size(); ++p) grade(p);
    return std::move(plan_);
  }

 private:
  // Water comes first: it takes what dissolves, whatever stands around it.
  void washOut() {
    std::erase_if(left_, [&](const Bit& bit) {
      const PieceFigures& figures = figures_[bit.piece];
      if (!bit.paths.empty() || figures.bodyFilament != Filament::second || !figures.wouldDissolve ||
          figures.drainClearance < waterPasses)
        return false;
      addStep(bit, HandMove::washOut, {}, 0);
      return true;
    });
  }

  // All that nothing blocks, one after the other, what takes least first.
  bool takeAway() {
    bool any = false;
    for (bool again = true; again; any = any || again) {
      again = false;
      std::vector<std::pair<double, std::size_t>> order;
      for (std::size_t k = 0; k < left_.size(); ++k) order.emplace_back(forceOf(left_[k]), k);
      std::sort(order.begin(), order.end());
      for (const auto& [force, k] : order) {
        progress_.check();
        const HandPath* path = openPath(left_[k]);
        if (!path) continue;
        addStep(left_[k], path->move, *path, force);
        left_.erase(left_.begin() + static_cast<std::ptrdiff_t>(k));
        again = true;
        break;
      }
    }
    return any;
  }

  const HandPath* openPath(const Bit& bit) const {
    for (const HandPath& path : bit.paths)
      if (std::none_of(left_.begin(), left_.end(),
                       [&](const Bit& other) { return &other != &bit && standing_.blocks(other, bit, path); }))
        return &path;
    return nullptr;
  }

  // The first that is still whole is snapped into bits.
  bool breakOne() {
    const auto whole = std::find_if(left_.begin(), left_.end(), [&](const Bit& bit) { return !isBroken_[bit.piece]; });
    if (whole == left_.end()) return false;
    const std::size_t piece = whole->piece;
    isBroken_[piece] = true;
    std::vector<Bit> bits = broken_(piece);
    if (bits.size() < 2) return true;  // it stays as it is, and the next is tried
    left_.erase(whole);
    left_.insert(left_.end(), std::make_move_iterator(bits.begin()), std::make_move_iterator(bits.end()));
    return true;
  }

  // What is left of a sparse piece that a tool can get at.
  bool crushOne() {
    const auto bit = std::find_if(left_.begin(), left_.end(), [&](const Bit& one) {
      const PieceFigures& figures = figures_[one.piece];
      const double needed = figures.extraction.open >= mostlyOpen ? tipReaches : toolReaches;
      return figures.crushes && figures.drainClearance >= needed;
    });
    if (bit == left_.end()) return false;
    Bit all = *bit;  // with whatever else of the piece is left
    for (const Bit& other : left_)
      if (other.piece == all.piece) {
        all.low = std::min(all.low, other.low);
        all.high = std::max(all.high, other.high);
        all.box.extend(other.box);
      }
    all.neck = 0;
    addStep(all, HandMove::crush, {}, pliersGive / 2);
    std::erase_if(left_, [&](const Bit& other) { return other.piece == all.piece; });
    return true;
  }

  // What holds a bit: its bonds to the part as far as it has them, and its neck. It comes off where that is weaker.
  double forceOf(const Bit& bit) const {
    const PieceFigures& figures = figures_[bit.piece];
    const Piece& piece = supports_.support->pieces[bit.piece];
    const bool isTop = bit.high > piece.highest - 1e-6;
    const double bonds = isTop || figures.contactBelow > 0 ? figures.force : 0;
    return std::max(bonds, bit.neck * figures.fullness * sectionBends);
  }

  void addStep(const Bit& bit, HandMove move, const HandPath& path, double force) {
    const Piece& piece = supports_.support->pieces[bit.piece];
    const bool isWhole = bit.low < piece.lowest + 1e-6 && bit.high > piece.highest - 1e-6;
    constexpr std::array<double, 4> ofMove{secondsToPull, secondsToTurn, secondsToCrush, secondsToWash};
    double seconds = secondsPerNewton * force + ofMove[static_cast<std::size_t>(move)];
    if (bit.neck > 0) seconds += secondsToSnap;
    if (bit.high > piece.highest - 1e-6) seconds += secondsForTip * figures_[bit.piece].tips;
    const bool withPliers = move == HandMove::crush || force > fingersGive;
    plan_.steps.push_back(
        {move, bit.piece, bit.low, bit.high, isWhole, withPliers, path, bit.box.center(), force, seconds});
  }

  void grade(std::size_t p) {
    PieceFigures& figures = figures_[p];
    figures.seconds = 0;
    std::size_t steps = 0;
    bool pliers = false, washed = false;
    for (const RemovalStep& step : plan_.steps) {
      if (step.piece != p) continue;
      ++steps;
      figures.seconds += step.seconds;
      pliers = pliers || step.withPliers;
      washed = washed || step.move == HandMove::washOut;
    }
    // Where its bonds hold better than its thinnest section, it does not come away as one.
    const bool snaps = figures.force > figures.weakest * sectionBends;
    if (std::binary_search(plan_.trapped.begin(), plan_.trapped.end(), p))
      figures.grade = Grade::trapped;
    else if (washed)
      figures.grade = Grade::washesOut;
    else if (figures.fragile)
      figures.grade = Grade::fragile;
    else if (pliers)
      figures.grade = Grade::needsPliers;
    else if (steps > 1 || snaps || figures.force > fingersGive / 2)
      figures.grade = Grade::inBits;
    else
      figures.grade = Grade::comesAway;
  }

  const Supports& supports_;
  const StandingBits standing_;
  const BitsOf& broken_;
  std::vector<PieceFigures>& figures_;
  const Progress& progress_;
  std::vector<bool> isBroken_;  // by piece
  std::vector<Bit> left_;
  RemovalPlan plan_;
};

}  // namespace

double RemovalPlan::seconds() const {
  double sum = 0;
  for (const RemovalStep& step : steps) sum += step.seconds;
  return sum;
}

std::vector<bool> RemovalPlan::byHand(const std::vector<PieceFigures>& figures) const {
  std::vector<bool> byHand;
  for (const PieceFigures& piece : figures) byHand.push_back(piece.grade != Grade::fragile || piece.extraction.free);
  for (const std::size_t piece : trapped) byHand[piece] = false;
  for (const RemovalStep& step : steps)
    if (step.move == HandMove::crush || step.move == HandMove::washOut) byHand[step.piece] = false;
  return byHand;
}

RemovalPlan planRemoval(const Supports& supports, std::vector<Bit> whole, const BitsOf& broken,
                        std::vector<PieceFigures>& figures, const Progress& progress) {
  return Planner(supports, broken, figures, progress).plan(std::move(whole));
}

}  // namespace trellis
