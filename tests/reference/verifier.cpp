// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/reference/printed_part.hpp"

#include <sstream>

namespace trellis::test {
namespace {

class Verifier : PrintedPart {
 public:
  Verifier(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise)
      : PrintedPart(gcode, mesh, promise) {}

  Verdict verdict() {
    for (std::size_t i = 0; i < supports_.size(); ++i) gaps(supports_[i]);
    standing();
    coverage();
    islands();
    return std::move(verdict_);
  }

 private:
  // Every line lies on something for half its length, or reaches no farther than from one body line to the next, which
  // is twice as far where it runs at 30° to them.
  void standing() {
    const double pitch = promise_.bodySpacing + promise_.lineWidth;
    for (std::size_t i = 0; i < supports_.size();) {
      std::size_t end = i + 1;
      const auto goesOn = [&](const Bead& a, const Bead& b) {
        return a.z == b.z && a.x1 == b.x0 && a.y1 == b.y0 && turnsLittle(a, b);
      };
      while (end < supports_.size() && goesOn(supports_[end - 1], supports_[end])) ++end;
      double length = 0, rests = 0, bare = 0;
      bool tooFar = false, between = true;
      for (std::size_t k = i; k < end; ++k) {
        const Bead& bead = supports_[k];
        const double stretch = std::hypot(bead.x1 - bead.x0, bead.y1 - bead.y0);
        const int count = std::max(1, static_cast<int>(stretch / pace));
        along(bead, [&](const Vec2& p) {
          const bool held = isHeld(bead, p);
          length += stretch / count;
          rests += held ? stretch / count : 0;
          bare = held ? 0 : bare + stretch / count;
          between = held || (between && restsWithin(pitch / 2 + 0.1, bead, p));
          tooFar = tooFar || bare > (between ? 2 : 1) * pitch + 0.1;
        });
      }
      if (rests < length / 2 && tooFar)
        fault("standing on nothing", supports_[i].feature, {supports_[i].x0, supports_[i].y0, supports_[i].z});
      ++verdict_.lines;
      i = end;
    }
  }

  static bool turnsLittle(const Bead& a, const Bead& b) {
    const Vec2 u(a.x1 - a.x0, a.y1 - a.y0), v(b.x1 - b.x0, b.y1 - b.y0);
    return u.dot(v) > 0.8 * u.norm() * v.norm();
  }

  // Whether support that a bead could lie on is as near as that.
  bool restsWithin(double reach, const Bead& bead, const Vec2& p) const {
    bool found = false;
    for (const long off : {0, -1, 1})
      if (const auto under = tops_.find(std::lround((bead.z - bead.height) * 1000) + off); under != tops_.end())
        under->second.near(p, reach, [&](const Bead* other) {
          found = found || (nearestOn({other->x0, other->y0}, {other->x1, other->y1}, p) - p).norm() <
                               reach - (bead.width - other->width) / 2;
        });
    return found;
  }

  bool isHeld(const Bead& bead, const Vec2& p) const {
    const double bottom = bead.z - bead.height;
    if (bottom < 1e-3) return true;
    bool held = restsWithin(bead.width, bead, p);
    const long layer = std::lround((bottom - promise_.gapBelow) / promise_.layer) - 1;
    if (!held && layer >= 0 && layer < static_cast<long>(sections_.size()) &&
        std::abs(topOf(static_cast<std::size_t>(layer)) + promise_.gapBelow - bottom) < exact)
      held = sections_[static_cast<std::size_t>(layer)].comesNear(p, bead.width / 2);
    return held;
  }

  // Of the demand that can be carried, how much has an interface line near enough under it, layer for layer.
  void coverage() {
    std::vector<std::size_t> demanded(static_cast<std::size_t>(std::max(1, promise_.interfaceLayers)), 0),
        covered = demanded;
    for (std::size_t i = 1; i < sections_.size(); ++i)
      forPlaces(demand_[i], [&](const Vec2& p) {
        if (sagsAtFoot(p, i)) return;
        const double under = bottomOf(i) - promise_.gapAbove;
        const double floor = footing(p, i, under);
        if (floor < 0) return;
        for (std::size_t k = 0; k < demanded.size(); ++k) {
          const double top = under - static_cast<double>(k) * promise_.layer;
          if (top - floor < 1.5 * promise_.layer) break;  // at a column's foot heights differ
          ++demanded[k];
          covered[k] += hasLine(p, top, rounding);
        }
      });
    verdict_.demanded = demanded.front();
    for (std::size_t k = 0; k < demanded.size(); ++k)
      verdict_.covered.push_back(demanded[k] == 0 ? 1
                                                  : static_cast<double>(covered[k]) / static_cast<double>(demanded[k]));
  }

  // The height of what a straight column under a place comes to stand on; −1 where it cannot be carried: within the
  // gap of other surface on its way, without room, or over a ledge narrower than half a line.
  double footing(const Vec2& p, std::size_t site, double under) const {
    if (under < 0.05) return -1;
    for (std::size_t l = site; l-- > 0;) {
      const bool passes = bottomOf(l) < under - exact;
      if (sections_[l].comesNear(p, 0.01)) {
        const double floor = topOf(l) + promise_.gapBelow;
        const double ledge = sections_[l].border(p, 1) + (l + 1 < sections_.size() ? sections_[l + 1].border(p, 1) : 1);
        return under - floor < 0.05 || ledge < promise_.lineWidth ? -1 : floor;
      }
      if (passes && nearWall(p, l, promise_.gapBeside + rounding, demand_)) return -1;
    }
    return 0;
  }
};

}  // namespace

std::string Verdict::words() const {
  std::ostringstream out;
  for (const auto& [what, count] : faults)
    out << what << ": " << count << " " << (examples.contains(what) ? examples.at(what) : "") << "\n";
  out << samples << " places on " << lines << " lines, " << demanded << " demanded, covered";
  for (const double share : covered) out << " " << share;
  return out.str();
}

Verdict verify(const std::string& gcode, const TriangleMesh& mesh, const Promise& promise) {
  return Verifier(gcode, mesh, promise).verdict();
}

}  // namespace trellis::test
