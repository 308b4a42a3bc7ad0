// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/reader.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>

namespace trellis {

namespace {

constexpr double farthest = 10000;       // mm
constexpr double chordTolerance = 0.01;  // mm
constexpr double inch = 25.4;            // mm

bool isSpace(char c) { return c == ' ' || c == '\t' || c == '\r'; }

// The words of one line: by letter, the last of each.
struct Words {
  std::array<double, 26> value{};
  std::uint32_t given = 0;
  bool has(char letter) const { return (given >> (letter - 'A') & 1u) != 0; }
  double of(char letter, double otherwise = 0) const {
    return has(letter) ? value[static_cast<std::size_t>(letter - 'A')] : otherwise;
  }
  void set(char letter, double number) {
    value[static_cast<std::size_t>(letter - 'A')] = number;
    given |= 1u << (letter - 'A');
  }
};

// "name=12.5" within a comment.
double figureIn(std::string_view comment, std::string_view name, double otherwise) {
  const std::size_t at = comment.find(name);
  if (at == std::string_view::npos) return otherwise;
  double value = otherwise;
  std::from_chars(comment.data() + at + name.size(), comment.data() + comment.size(), value);
  return std::isfinite(value) ? value : otherwise;
}

class Reader {
 public:
  GcodeMoves read(std::string_view text, const Progress& progress) {
    out_.moves.reserve(text.size() / 32);
    for (std::size_t at = 0; at < text.size();) {
      const std::size_t end = std::min(text.find('\n', at), text.size());
      ++line_;
      readLine(text.substr(at, end - at));
      at = end + 1;
      if ((line_ & 0xfff) == 0) progress.check();
    }
    if (out_.moves.empty()) throw Error(say("This text asks for no move at all. Choose a file with G-code in it."));
    return std::move(out_);
  }

 private:
  [[noreturn]] void fail(const std::string& why) const {
    throw Error(say("Line {} of the G-code cannot be followed: {}.", line_, why));
  }

  void readLine(std::string_view line) {
    Words words;
    bool known = false;
    for (std::size_t at = 0; at < line.size();) {
      const char c = line[at];
      if (isSpace(c) || c == '%' || c == '/') {
        ++at;
      } else if (c == ';') {
        return comment(line.substr(at)), known ? obey(words) : void();
      } else if (c == '(') {
        at = line.find(')', at);
        if (at == std::string_view::npos) break;
        ++at;
      } else if (c == '*') {  // a checksum ends the line
        break;
      } else {
        const char letter = c >= 'a' && c <= 'z' ? static_cast<char>(c - 'a' + 'A') : c;
        if (letter < 'A' || letter > 'Z') return notWords(line, known);
        ++at;
        while (at < line.size() && isSpace(line[at])) ++at;
        if (at < line.size() && line[at] == '+') ++at;
        double number = 0;
        const auto [rest, failed] =
            std::from_chars(line.data() + at, line.data() + line.size(), number, std::chars_format::fixed);
        const auto used = static_cast<std::size_t>(rest - line.data()) - at;
        if (failed == std::errc::result_out_of_range || !std::isfinite(number))
          fail(fmt::format("the number after {} is out of all range", letter));
        // A bare axis, as in "G28 X", stands for 0; longer words are some firmware's own commands.
        const bool bare = known && (at == line.size() || isSpace(line[at - 1]) || line[at] == ';' || line[at] == '(' ||
                                    line[at] == '*');
        if (used == 0 && (!bare || letter == 'G' || letter == 'M')) return notWords(line, known);
        at += used;
        known = true;
        if (letter == 'G' && words.has('G')) {  // several commands in one line are obeyed one after the other
          obey(words);
          words = {};
        }
        words.set(letter, number);
        if (letter == 'M' && !obeyM(static_cast<int>(std::clamp(number, 0.0, 1e6)), line.substr(at))) break;
      }
    }
    if (known) obey(words);
  }

  // Text that is no G-code, such as a message for a display, does no harm unless it is to move something.
  void notWords(std::string_view line, bool known) {
    if (known) fail(fmt::format("“{}” is no word of a letter and a number", line.substr(0, 40)));
    ignore(fmt::format("“{}”", line.substr(0, 20)));
  }

  void ignore(std::string what) {
    if (out_.ignored.size() < 20 && std::find(out_.ignored.begin(), out_.ignored.end(), what) == out_.ignored.end())
      out_.ignored.push_back(std::move(what));
  }

  // Whether the line's other words still say something.
  bool obeyM(int code, std::string_view rest) {
    const auto figure = [&](char letter, double otherwise) {
      const std::size_t at = rest.find(letter);
      double value = otherwise;
      if (at != std::string_view::npos) std::from_chars(rest.data() + at + 1, rest.data() + rest.size(), value);
      return std::isfinite(value) ? value : otherwise;
    };
    switch (code) {
      case 82:
      case 83:
        relativeE_ = code == 83;
        ruledE_ = true;
        return true;
      case 200: {
        const double diameter = figure('D', 0) * unit_;
        perVolume_ = diameter > 0 ? 4 / (pi * diameter * diameter) : 1;
        return false;
      }
      case 204:
        out_.acceleration = std::max(0.0, figure('P', figure('S', out_.acceleration)) * unit_);
        return false;
      case 220:
        haste_ = std::clamp(figure('S', 100), 1.0, 1000.0) / 100;
        return false;
      case 221:
        flow_ = std::clamp(figure('S', 100), 1.0, 1000.0) / 100;
        return false;
      default:
        return false;  // heat, fans, lights and messages move nothing
    }
  }

  void obey(const Words& words) {
    if (words.has('T') && words.of('T') >= 0) tool_ = static_cast<int>(std::min(words.of('T'), 1000.0));
    if (words.has('G')) {
      const double code = words.of('G');
      switch (static_cast<int>(std::lround(std::clamp(code, -1.0, 1000.0) * 10))) {
        case 0:
        case 10:
        case 20:
        case 30:
          motion_ = static_cast<int>(code);
          break;
        case 40:
          out_.dwelt += std::clamp(words.has('S') ? words.of('S') : words.of('P') / 1000, 0.0, 86400.0);
          return;
        case 200:
          unit_ = inch;
          return;
        case 210:
          unit_ = 1;
          return;
        case 280:
          return home(words);
        case 900:
        case 910:
          relative_ = code == 91;
          if (!ruledE_) relativeE_ = relative_;
          return;
        case 920:
          return call(words);
        case 170:
          flat_ = true;
          return;
        case 180:
        case 190:
          flat_ = false;
          return;
        // Units of arcs, exact stops, compensation off, coordinate systems, raft levelling and firmware retraction
        // change no bead.
        case 100:
        case 110:
        case 290:
        case 400:
        case 490:
        case 530:
        case 540:
        case 610:
        case 640:
        case 800:
        case 940:
          return;
        default:
          return ignore(fmt::format("G{:g}", code));
      }
    }
    if (words.has('F')) speed_ = std::clamp(words.of('F') * unit_ / 60, 0.0, 1e6);
    if (words.has('X') || words.has('Y') || words.has('Z') || words.has('E')) move(words);
  }

  void home(const Words& words) {
    const bool all = !words.has('X') && !words.has('Y') && !words.has('Z');
    Vec3 to = at_;
    for (int axis = 0; axis < 3; ++axis)
      if (all || words.has(static_cast<char>('X' + axis))) {
        to[axis] = 0;
        offset_[axis] = 0;
      }
    push(to, 0);
  }

  // G92: the place where the nozzle is gets another name.
  void call(const Words& words) {
    const bool all = !words.has('X') && !words.has('Y') && !words.has('Z') && !words.has('E');
    for (int axis = 0; axis < 3; ++axis)
      if (const char letter = static_cast<char>('X' + axis); all || words.has(letter))
        offset_[axis] = at_[axis] - words.of(letter) * unit_;
    if (all || words.has('E')) e_ = words.of('E') * unit_;
  }

  void move(const Words& words) {
    Vec3 to = at_;
    for (int axis = 0; axis < 3; ++axis)
      if (const char letter = static_cast<char>('X' + axis); words.has(letter))
        to[axis] = words.of(letter) * unit_ + (relative_ ? at_[axis] : offset_[axis]);
    if (!to.allFinite() || to.cwiseAbs().maxCoeff() > farthest) fail("it goes farther than ten metres");
    double pushed = 0;
    if (words.has('E')) {
      const double e = words.of('E') * unit_;
      pushed = relativeE_ ? e : e - e_;
      if (!relativeE_) e_ = e;
    }
    pushed *= perVolume_ * flow_;
    if (motion_ < 2) return push(to, pushed);
    if (!flat_) fail("arcs outside the plane of x and y are not known here (G18, G19)");
    arc(words, to, pushed);
  }

  void arc(const Words& words, const Vec3& to, double pushed) {
    const Vec2 from = at_.head<2>(), end = to.head<2>();
    const bool clockwise = motion_ == 2;
    Vec2 centre = from + Vec2(words.of('I'), words.of('J')) * unit_;
    if (words.has('R')) {  // the shorter way round for a positive radius, the longer for a negative one
      const double radius = words.of('R') * unit_, half = (end - from).norm() / 2;
      if (half <= 0 || std::abs(radius) < half * (1 - 1e-3)) fail("no circle of this radius joins its ends");
      const Vec2 along = (end - from) / (2 * half), left(-along.y(), along.x());
      const double away = std::sqrt(std::max(0.0, radius * radius - half * half));
      centre = (from + end) / 2 + left * (clockwise != (radius < 0) ? -away : away);
    } else if (!words.has('I') && !words.has('J')) {
      fail("an arc has neither a centre (I, J) nor a radius (R)");
    }
    const Vec2 a = from - centre, b = end - centre;
    const double radius = a.norm();
    if (radius > farthest) fail("its radius is larger than ten metres");
    double sweep = std::atan2(a.x() * b.y() - a.y() * b.x(), a.dot(b));
    if ((end - from).norm() < 1e-6)
      sweep = 2 * pi;  // a full circle
    else if (!clockwise && sweep <= 0)
      sweep += 2 * pi;
    else if (clockwise && sweep >= 0)
      sweep = 2 * pi - sweep;
    else
      sweep = std::abs(sweep);
    const double step = 2 * std::acos(std::max(0.0, 1 - chordTolerance / std::max(radius, 2 * chordTolerance)));
    const int count = std::max(1, static_cast<int>(std::ceil(sweep / step)));
    const double start = std::atan2(a.y(), a.x()), z = at_.z();
    for (int k = 1; k <= count; ++k) {
      const double share = static_cast<double>(k) / count, angle = start + (clockwise ? -sweep : sweep) * share;
      const Vec2 p = k == count ? end : Vec2(centre + radius * Vec2(std::cos(angle), std::sin(angle)));
      push({p.x(), p.y(), z + (to.z() - z) * share}, pushed / count);
    }
  }

  void push(const Vec3& to, double pushed) {
    out_.moves.push_back({to, pushed, speed_ * haste_, line_, said_, tool_});
    at_ = to;
  }

  void comment(std::string_view text) {
    text.remove_prefix(std::min(text.find_first_not_of("; "), text.size()));
    if (text.empty() || text.front() != '@') return;
    Said said = out_.said[said_];
    if (text.starts_with("@layer ")) {
      said.layer = static_cast<int>(std::clamp(figureIn(text, " index=", -1), -1.0, 1e9));
      layerHeight_ = figureIn(text, " height=", 0);
      said.height = layerHeight_;
      said.supportLayer = text.find(" kind=support") != std::string_view::npos;
    } else if (text.starts_with("@feature ")) {
      text.remove_prefix(9);
      said.feature = std::string(text.substr(0, text.find(' ')));
      said.width = figureIn(text, " width=", 0);
      said.height = figureIn(text, " height=", layerHeight_);
    }
    if (said == out_.said[said_]) return;
    out_.said.push_back(std::move(said));
    said_ = static_cast<std::uint32_t>(out_.said.size() - 1);
  }

  GcodeMoves out_;
  Vec3 at_ = Vec3::Zero(), offset_ = Vec3::Zero();
  double e_ = 0, unit_ = 1, speed_ = 0, haste_ = 1, flow_ = 1, perVolume_ = 1, layerHeight_ = 0;
  int motion_ = 0, tool_ = 0;
  bool relative_ = false, relativeE_ = false, ruledE_ = false, flat_ = true;
  std::uint32_t line_ = 0, said_ = 0;
};

}  // namespace

GcodeMoves readGcode(std::string_view text, const Progress& progress) { return Reader().read(text, progress); }

}  // namespace trellis
