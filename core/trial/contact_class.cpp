// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/trial/contact_class.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double step = 0.1;        // mm between places looked at along a bead
constexpr int across = 10;          // places across it: one of them is a tenth of its width
constexpr int firm = 3;             // of them over material, and it does not sag
constexpr double longestSag = 1;    // mm that nobody sees
constexpr double beside = 0.5;      // mm on either side within which support carries too
constexpr double slack = 1e-3;      // mm, of heights kept as single-precision numbers
constexpr double sharpTurn = 0.98;  // cosine; at blunter corners flat ends leave nothing out

class Bearer {
 public:
  Bearer(const BeadPath& path, const HeightField& field, const TrialRules& rules)
      : path_(path),
        field_(field),
        release_(rules.release > 0 ? rules.release : 1.5 * path.height),
        limit_(rules.bridgeLimit) {}

  BorneBead borne() {
    for (std::size_t k = 1; k < path_.points.size(); ++k) walk(k);
    absorb(ContactClass::air, field_.cell());  // says only how beads fall on the cells
    absorb(ContactClass::sagging, longestSag);
    BorneBead bead{std::move(found_), false};
    for (std::size_t i = 0; i < bead.stretches.size(); ++i)
      if (bead.stretches[i].contactClass == ContactClass::air && isBridge(bead.stretches, i)) bridges_.push_back(i);
    for (const std::size_t i : bridges_) bead.stretches[i].contactClass = ContactClass::bridge;
    for (const Borne& stretch : bead.stretches)
      bead.touches = bead.touches || stretch.contactClass != ContactClass::air;
    return bead;
  }

 private:
  // Stretches of a class that are shorter than matters belong to what comes before them; sagging ones rest on material.
  void absorb(ContactClass contactClass, double shortest) {
    std::vector<Borne> kept;
    double from = 0;
    for (std::size_t i = 0; i < found_.size(); ++i) {
      const double length = found_[i].end - from;
      from = found_[i].end;
      const bool speck = found_[i].contactClass == contactClass && length < shortest && found_.size() > 1;
      if (!speck && (kept.empty() || kept.back().contactClass != found_[i].contactClass))
        kept.push_back(found_[i]);
      else if (!kept.empty())
        kept.back().end = from;
    }
    if (!kept.empty()) found_ = std::move(kept);
  }

  // One straight stretch, from point k − 1 to k.
  void walk(std::size_t k) {
    const Vec3 &a = path_.points[k - 1], &b = path_.points[k];
    const double from = path_.along[k - 1], length = path_.along[k] - from;
    if (length <= 0) return;
    const Vec2 flat = (b - a).head<2>();
    const Vec2 side = flat.norm() > 0 ? Vec2(Vec2(-flat.y(), flat.x()) / flat.norm()) : Vec2(1, 0);
    const int count = std::max(1, static_cast<int>(std::ceil(length / step)));
    const auto bearingAt = [&](double share) { return under(a + (b - a) * share, side); };
    ContactClass last = ContactClass::air;
    for (int i = 0; i < count; ++i) {
      const ContactClass now = bearingAt((i + 0.5) / count);
      if (i > 0 && now != last) {  // where it changes, to a quarter of a step
        double low = (i - 0.5) / count, high = (i + 0.5) / count;
        for (int halving = 0; halving < 2; ++halving)
          (bearingAt((low + high) / 2) == last ? low : high) = (low + high) / 2;
        extend(from + length * (low + high) / 2, last);
      }
      last = now;
    }
    extend(from + length, last);
  }

  void extend(double end, ContactClass contactClass) {
    if (!found_.empty() && found_.back().contactClass == contactClass)
      found_.back().end = end;
    else
      found_.push_back({end, contactClass});
  }

  bool isRelease(const HeightField::Level& level, double bottom) const {
    return level.stuff == Stuff::support && bottom - static_cast<double>(level.top) <= release_ + slack;
  }

  ContactClass under(const Vec3& at, const Vec2& side) const {
    const double top = at.z(), bottom = top - path_.height, half = path_.height / 2;
    if (bottom <= half + slack) return ContactClass::plate;
    bool release = false;
    int carried = 0;
    for (int i = 0; i < across; ++i) {  // from the middle outwards: most beads stand on something there
      const double away = (i / 2 + 0.5) / across * (i % 2 == 0 ? path_.width : -path_.width);
      const Vec2 place = at.head<2>() + side * away;
      const HeightField::Level level = field_.under(place, bottom, top);
      carried += bottom - static_cast<double>(level.top) <= half + slack;
      if (carried == firm) return ContactClass::material;
      release = release || isRelease(level, bottom);
    }
    if (release) return ContactClass::release;
    if (carried > 0) return ContactClass::sagging;
    const auto reaches = [&](double sign) {
      for (double away = path_.width / 2; away <= path_.width / 2 + beside; away += field_.cell())
        if (isRelease(field_.under(at.head<2>() + side * (sign * away), bottom, top), bottom)) return true;
      return false;
    };
    if (reaches(1) && reaches(-1)) return ContactClass::release;
    return bottom <= path_.height + slack ? ContactClass::plate : ContactClass::air;
  }

  // A free end holds on to a bead of its own layer that is itself held.
  bool endTouches(const Vec3& end) const {
    const double reach = path_.width / 2 + field_.cell();
    for (int k = 0; k < 8; ++k)
      if (field_.heldBeside(end.head<2>() + reach * Vec2(std::cos(k * pi / 4), std::sin(k * pi / 4)),
                            end.z() - path_.height, end.z()))
        return true;
    return false;
  }

  bool isBridge(const std::vector<Borne>& all, std::size_t i) const {
    const double from = i > 0 ? all[i - 1].end : 0, to = all[i].end, length = path_.length();
    const bool wraps = path_.isClosed() && all.size() > 1 && (i == 0 || i + 1 == all.size());
    if (wraps && all.front().contactClass == ContactClass::air && all.back().contactClass == ContactClass::air) {
      const double begin = all[all.size() - 2].end, end = all.front().end;
      return isSpan(begin, end + length);
    }
    const bool held = wraps || ((i > 0 || endTouches(path_.points.front())) &&
                                (i + 1 < all.size() || endTouches(path_.points.back())));
    return held && isSpan(from, to);
  }

  // Short enough, and nowhere farther than a line from straight: a bead over nothing cuts its corners. to may lie past
  // the end of a loop.
  bool isSpan(double from, double to) const {
    if (to - from > limit_ + slack) return false;
    const double length = path_.length();
    const auto at = [&](double way) -> Vec2 { return path_.at(way > length ? way - length : way).head<2>(); };
    const Vec2 a = at(from), chord = at(to) - a;
    const int count = std::max(2, static_cast<int>((to - from) / step));
    for (int k = 1; k < count; ++k) {
      const Vec2 away = at(from + (to - from) * k / count) - a;
      const double share = chord.squaredNorm() > 0 ? std::clamp(away.dot(chord) / chord.squaredNorm(), 0.0, 1.0) : 0;
      if ((away - share * chord).norm() > path_.width) return false;
    }
    return true;
  }

  const BeadPath& path_;
  const HeightField& field_;
  double release_, limit_;
  std::vector<Borne> found_;
  std::vector<std::size_t> bridges_;
};

}  // namespace

BorneBead bear(const BeadPath& path, const HeightField& field, const TrialRules& rules) {
  return Bearer(path, field, rules).borne();
}

void lay(const BeadPath& path, const BorneBead& borne, Stuff held, Stuff onAir, HeightField& field) {
  std::size_t at = 0;
  for (std::size_t k = 1; k < path.points.size(); ++k) {
    const Vec2 b = path.points[k].head<2>();
    const double top = path.points[k].z(), bottom = top - path.height;
    Vec2 from = path.points[k - 1].head<2>();
    const auto beadOf = [&](const Borne& stretch) {
      const Stuff stuff = stretch.contactClass == ContactClass::air ? onAir : held;
      return HeightField::Bead{path.width, bottom, top, stuff};
    };
    for (; at + 1 < borne.stretches.size() && borne.stretches[at].end < path.along[k]; ++at) {
      const Vec2 to = path.at(borne.stretches[at].end).head<2>();
      field.lay(from, to, beadOf(borne.stretches[at]));
      from = to;
    }
    field.lay(from, b, beadOf(borne.stretches[at]));
    if (k + 1 == path.points.size()) continue;
    const Vec2 in = b - path.points[k - 1].head<2>(), out = path.points[k + 1].head<2>() - b;
    if (in.dot(out) < sharpTurn * in.norm() * out.norm()) field.layCorner(b, beadOf(borne.stretches[at]));
  }
}

}  // namespace trellis
