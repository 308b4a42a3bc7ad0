// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/trial/trial_print.hpp"

#include "core/trial/contact_class.hpp"
#include "core/trial/starts.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace trellis {

namespace {

constexpr double widestPlate = 5000;  // mm, of the room that beads are laid in

class Printer {
 public:
  Printer(const GcodeMoves& moves, const std::vector<BeadPath>& paths, const TrialRules& rules)
      : paths_(paths), rules_(rules), field_(roomOf(paths)) {
    out_.said = moves.said;
    out_.ignored = moves.ignored;
  }

  TrialPrint print(const Progress& progress) {
    for (std::size_t i = 0; i < paths_.size(); ++i) {
      if (i % 256 == 0)
        progress.report(0.2 + 0.8 * static_cast<double>(i) / static_cast<double>(paths_.size()), "laying beads");
      printPath(paths_[i]);
    }
    endLayer();
    std::sort(out_.tops.begin(), out_.tops.end());
    out_.tops.erase(std::unique(out_.tops.begin(), out_.tops.end(), [](double a, double b) { return b - a < 1e-6; }),
                    out_.tops.end());
    return std::move(out_);
  }

 private:
  static Box2 roomOf(const std::vector<BeadPath>& paths) {
    Box2 room;
    for (const BeadPath& path : paths)
      for (const Vec3& p : path.points) {
        room.extend(Vec2(p.head<2>() - Vec2::Constant(path.width)));
        room.extend(Vec2(p.head<2>() + Vec2::Constant(path.width)));
      }
    if (!room.isEmpty() && room.sizes().maxCoeff() > widestPlate)
      throw Error(
          say("The beads of this G-code lie {:.0f} mm apart, more than any plate is wide. Check its units and "
              "its G92 commands.",
              room.sizes().maxCoeff()));
    return room.isEmpty() ? Box2(Vec2::Zero(), Vec2::Ones()) : room;
  }

  void printPath(const BeadPath& path) {
    const Said& said = out_.said[path.said];
    if (std::abs(path.top() - layerTop_) > path.height / 4) beginLayer(path.top());
    layerCounts_ = layerCounts_ || !said.supportLayer;
    const BorneBead borne = bear(path, field_, rules_);
    const bool named = !said.feature.empty();
    const Stuff held = isSupport(said) ? Stuff::support : Stuff::part;
    lay(path, borne, held, named && isSupport(said) ? held : Stuff::loose, field_);
    record(path, borne);
    if (isPart(said)) layer_.push_back({&path, borne.touches});
    TrialPrint::Filament& used = out_.filament[named ? said.feature : "unnamed"];
    used.mm += path.filament;
    used.mm3 += path.filament * pi * rules_.filamentDiameter * rules_.filamentDiameter / 4;
  }

  // The moves of a bead, cut where its contactClass changes.
  void record(const BeadPath& path, const BorneBead& borne) {
    std::size_t at = 0;
    for (std::size_t k = 1; k < path.points.size(); ++k) {
      double from = path.along[k - 1];
      while (from < path.along[k] - 1e-9) {
        while (at + 1 < borne.stretches.size() && borne.stretches[at].end <= from + 1e-9) ++at;
        const double to =
            at + 1 < borne.stretches.size() ? std::min(borne.stretches[at].end, path.along[k]) : path.along[k];
        const ContactClass contactClass = borne.stretches[at].contactClass;
        out_.stretches.push_back({path.at(from).cast<float>(), path.at(to).cast<float>(),
                                  static_cast<float>(path.width), static_cast<float>(path.height), contactClass,
                                  path.said, path.lines[k]});
        out_.length[static_cast<std::size_t>(contactClass)] += to - from;
        if (isPart(out_.said[path.said])) out_.partLength[static_cast<std::size_t>(contactClass)] += to - from;
        if (contactClass == ContactClass::air && out_.said[path.said].feature.starts_with("support."))
          out_.supportOnAir += to - from;
        from = to;
      }
    }
  }

  void beginLayer(double top) {
    endLayer();
    layerTop_ = top;
    out_.tops.push_back(top);
  }

  void endLayer() {
    const std::vector<TrialStart> starts = startsAmong(layer_, number_);
    out_.starts.insert(out_.starts.end(), starts.begin(), starts.end());
    number_ += layerCounts_;
    layer_.clear();
    layerCounts_ = false;
  }

  const std::vector<BeadPath>& paths_;
  const TrialRules& rules_;
  HeightField field_;
  TrialPrint out_;
  std::vector<LaidBead> layer_;
  double layerTop_ = -1e9;
  int number_ = 0;
  bool layerCounts_ = false;
};

}  // namespace

bool isPart(const Said& said) { return said.feature.empty() || said.feature.starts_with("part."); }
bool isSupport(const Said& said) { return said.feature.empty() || said.feature.starts_with("support."); }

double TrialPrint::onAir() const {
  const double all = std::accumulate(partLength.begin(), partLength.end(), 0.0);
  return all > 0 ? partLength[static_cast<std::size_t>(ContactClass::air)] / all : 0;
}

TrialPrint trialPrint(const GcodeMoves& moves, const TrialRules& rules, const Progress& progress) {
  const std::vector<BeadPath> paths = beadPathsOf(moves, rules);
  TrialPrint print = Printer(moves, paths, rules).print(progress);
  print.seconds = secondsOf(moves, moves.acceleration > 0 ? moves.acceleration : rules.acceleration);
  return print;
}

}  // namespace trellis
