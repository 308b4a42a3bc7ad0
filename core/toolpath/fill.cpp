// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/toolpath/fill.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

// Turns plate coordinates so that the fill lines lie along x. Exact to a nanometre and repeatable.
struct Turn {
  double c, s;
  explicit Turn(double angle) : c(std::cos(toRadians(angle))), s(std::sin(toRadians(angle))) {}
  Vec2 in(const Point& p) const {
    const double x = static_cast<double>(p.X), y = static_cast<double>(p.Y);
    return {c * x + s * y, c * y - s * x};
  }
  Point out(double x, double y) const { return {std::llround(c * x - s * y), std::llround(s * x + c * y)}; }
};

// What a question says of outlines that are moved across the lines, moved back.
template <typename Ask>
Lines shiftedAcross(Polygons outlines, const Turn& turn, double by, const Ask& ask) {
  const auto moved = [&](auto& all, double how) {
    for (Polygon& one : all)
      for (Point& p : one) {
        const Vec2 q = turn.in(p);
        p = turn.out(q.x(), q.y() + how);
      }
  };
  moved(outlines, by);
  Lines lines = ask(outlines);
  moved(lines, -by);
  return lines;
}

struct Crossing {
  long long line;
  double x;
};

// Where the outlines cross the scan lines at pitch·(k + ½); half a pitch keeps lines off the origin.
std::vector<Crossing> findCrossings(const Polygons& region, const Turn& turn, double pitch) {
  std::vector<Crossing> crossings;
  for (const Polygon& outline : region) {
    if (outline.size() < 3) continue;
    Vec2 a = turn.in(outline.back());
    for (const Point& point : outline) {
      const Vec2 b = turn.in(point);
      const double low = std::min(a.y(), b.y()), high = std::max(a.y(), b.y());
      for (auto k = static_cast<long long>(std::ceil(low / pitch - 0.5)); (static_cast<double>(k) + 0.5) * pitch < high;
           ++k) {
        const double y = (static_cast<double>(k) + 0.5) * pitch;
        crossings.push_back({k, a.x() + (b.x() - a.x()) * (y - a.y()) / (b.y() - a.y())});
      }
      a = b;
    }
  }
  std::sort(crossings.begin(), crossings.end(),
            [](const Crossing& a, const Crossing& b) { return std::tie(a.line, a.x) < std::tie(b.line, b.x); });
  return crossings;
}

// A line on its way through the strips, in turned coordinates: what it has gone since it last crossed a fill line.
struct Crossed {
  std::vector<Vec2> way;
  bool isHeld(double longest, double crooked) const {
    double length = 0, away = 0;
    const Vec2 chord = way.back() - way.front();
    for (std::size_t i = 1; i < way.size(); ++i) {
      length += (way[i] - way[i - 1]).norm();
      const Vec2 from = way[i] - way.front();
      const double t = chord.squaredNorm() > 0 ? std::clamp(from.dot(chord) / chord.squaredNorm(), 0.0, 1.0) : 0;
      away = std::max(away, (from - t * chord).norm());
    }
    return length <= longest && away <= crooked;
  }
};

}  // namespace

Polygons stripsWithoutHold(const Lines& lines, double angle, double pitch, const HoldRules& hold) {
  Polygons strips;
  const Turn turn(angle);
  const double step = pitch * unitsPerMm, past = hold.margin * unitsPerMm;
  const auto stripOf = [&](double y) { return std::floor(y / step - 0.5); };
  for (const Polygon& line : lines) {
    Crossed since;
    const auto end = [&] {
      if (since.way.size() > 1 && !since.isHeld(hold.longest * unitsPerMm, hold.crooked * unitsPerMm)) {
        double left = 1e300, right = -1e300, y = 0;
        for (const Vec2& p : since.way) {
          left = std::min(left, p.x());
          right = std::max(right, p.x());
          y += p.y() / static_cast<double>(since.way.size());
        }
        const double low = (stripOf(y) + 0.5) * step - past, high = low + step + 2 * past;
        strips.push_back({turn.out(left, low), turn.out(right, low), turn.out(right, high), turn.out(left, high)});
      }
      since.way.clear();
    };
    for (std::size_t i = 1; i < line.size(); ++i) {
      Vec2 a = turn.in(line[i - 1]);
      const Vec2 b = turn.in(line[i]);
      if (since.way.empty()) since.way.push_back(a);
      while (stripOf(a.y()) != stripOf(b.y())) {
        const double y = (stripOf(a.y()) + (b.y() > a.y() ? 1.5 : 0.5)) * step +
                         (b.y() > a.y() ? 0 : -1);  // just past the fill line
        const double t = (y - a.y()) / (b.y() - a.y());
        if (!(t > 0 && t <= 1)) break;
        a += t * (b - a);
        since.way.push_back(a);
        end();
        since.way.push_back(a);
      }
      since.way.push_back(b);
    }
    end();
  }
  return strips;
}

Lines fillLines(const Polygons& region, double angle, double pitch, double shortest) {
  Lines lines;
  if (region.empty()) return lines;
  const Turn turn(angle);
  const double step = pitch * unitsPerMm;
  const std::vector<Crossing> crossings = findCrossings(region, turn, step);
  for (std::size_t i = 0; i + 1 < crossings.size();) {
    if (crossings[i].line != crossings[i + 1].line) {
      ++i;
      continue;
    }
    const double y = (static_cast<double>(crossings[i].line) + 0.5) * step;
    const double from = crossings[i].x, to = crossings[i + 1].x;
    if (to - from >= shortest * unitsPerMm) {
      Polygon line{turn.out(from, y), turn.out(to, y)};
      if (crossings[i].line % 2 != 0) std::reverse(line.begin(), line.end());
      lines.push_back(std::move(line));
    }
    i += 2;
  }
  return lines;
}

Lines evenLines(const Polygons& piece, const Polygons& within, double angle, double pitch) {
  const Turn turn(angle);
  double low = 1e300, high = -1e300;
  for (const Polygon& outline : piece)
    for (const Point& p : outline) {
      low = std::min(low, turn.in(p).y());
      high = std::max(high, turn.in(p).y());
    }
  if (high <= low) return {};
  const double even = (high - low) / std::max(1.0, std::round((high - low) / (pitch * unitsPerMm)));
  return shiftedAcross(within, turn, -low,
                       [&](const Polygons& there) { return fillLines(there, angle, even / unitsPerMm); });
}

Lines linesThroughMissed(const Polygons& region, const Lines& lines, double angle) {
  Lines found;
  const Turn turn(angle);
  for (const Polygons& piece : components(region)) {
    const bool hit = std::any_of(lines.begin(), lines.end(), [&](const Polygon& line) {
      return contains(piece, {(line[0].X + line[1].X) / 2, (line[0].Y + line[1].Y) / 2});
    });
    if (hit) continue;
    Box2 box;
    for (const Point& p : piece.front()) box.extend(turn.in(p));
    const double height = box.sizes().y();
    // One scan line through the middle: a pitch twice the height, shifted so that one falls there.
    for (Polygon& line : shiftedAcross(piece, turn, height - box.center().y(), [&](const Polygons& there) {
           return fillLines(there, angle, 2 * height / unitsPerMm, 0.02);
         }))
      found.push_back(std::move(line));
  }
  return found;
}

double spanAngle(const Polygons& region, const Polygons& anchor, double lineWidth) {
  double bestAngle = 0, bestShare = -1, bestMean = 0;
  for (int angle = 0; angle < 180; angle += 10) {
    double held = 0, all = 0;
    const Lines lines = fillLines(region, angle, 2 * lineWidth, lineWidth);
    for (const Polygon& line : lines) {
      const Vec2 a = toMm(line[0]), b = toMm(line[1]);
      const double length = (b - a).norm();
      const Vec2 beyond = (b - a) / length * (lineWidth / 2);
      all += length;
      if (contains(anchor, toPoint(a - beyond)) && contains(anchor, toPoint(b + beyond))) held += length;
    }
    if (lines.empty()) continue;
    const double share = std::round(held / all * 50) / 50, mean = all / static_cast<double>(lines.size());
    if (share > bestShare || (share == bestShare && mean < bestMean)) {
      bestAngle = angle;
      bestShare = share;
      bestMean = mean;
    }
  }
  return bestAngle;
}

}  // namespace trellis
