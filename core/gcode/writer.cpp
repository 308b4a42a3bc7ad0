// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/gcode/writer.hpp"

#include "core/base/parallel.hpp"
#include "core/gcode/pace.hpp"
#include "core/gcode/steps.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <cmath>
#include <iterator>

namespace trellis {

namespace {

double mm(long long micron) { return static_cast<double>(micron) / 1000; }

// Quotes and backslashes would end the name early.
std::string quoted(const std::string& name) {
  std::string safe;
  for (const char c : name) safe += c == '"' || c == '\\' || c == '\n' || c == '\r' ? '\'' : c;
  return "\"" + safe + "\"";
}

class LayerWriter {
 public:
  // lift is what heights are raised by.
  LayerWriter(const PrintLayer& layer, std::size_t index, double lift, const GcodeRules& rules)
      : layer_(layer),
        lift_(lift),
        isFirst_(layer.bottom + lift < 1e-6),
        rules_(rules),
        filament_(pi * rules.filamentDiameter * rules.filamentDiameter / 4),
        seconds_(layer.use.seconds() + layer.waits) {
    put("; @layer index={} z={:.4f} height={:.4f} kind={}\n", index, layer.top + lift, layer.top - layer.bottom,
        layer.supportOnly ? "support" : "part");
    if (isFirst_)
      fans_.after = static_cast<int>(std::lround(rules.motion.fanFirst * 255));
    else
      fans_ = fansOf(layer.runs);
  }

  // before: the last run of the layers below, or null.
  std::string write(const Run* before) {
    write(stepsInto(layer_, before, lift_, rules_.motion));
    write(stepsOf(layer_, lift_, rules_.motion));
    return std::move(text_);
  }

 private:
  template <typename... Values>
  void put(fmt::format_string<Values...> format, Values&&... values) {
    fmt::format_to(std::back_inserter(text_), format, std::forward<Values>(values)...);
  }

  void write(const std::vector<Step>& steps) {
    for (const Step& step : steps)
      if (step.kind == Step::draw)
        drawTo(step);
      else
        move(step);
  }

  void drawTo(const Step& step) {
    const Run& run = layer_.runs[step.run];
    announce(run);
    put("G1 X{:.3f} Y{:.3f} E{:.5f}", mm(step.to.x), mm(step.to.y), step.amount / filament_);
    if (run.speed != speed_) put(" F{:.0f}", run.speed * 60);
    speed_ = run.speed;
    text_ += '\n';
  }

  void move(const Step& step) {
    speed_ = -1;
    const double feed = step.speed * 60;
    switch (step.kind) {
      case Step::go:
        return put("G0 X{:.3f} Y{:.3f} F{:.0f}\n", mm(step.to.x), mm(step.to.y), feed);
      case Step::rise:
        return put("G0 Z{:.4f} F{:.0f}\n", step.amount, feed);
      case Step::pull:
        return put("G1 E-{:.5f} F{:.0f}\n", step.amount, feed);
      case Step::push:
        return put("G1 E{:.5f} F{:.0f}\n", step.amount, feed);
      case Step::wait:
        return put("G4 S{:.3f}\n", step.amount);
      case Step::change:
        return changeTo(layer_.runs[step.run].filament);
      case Step::draw:
        break;
    }
  }

  void changeTo(Filament filament) {
    std::map<std::string, std::string> values = rules_.values;
    values["tool"] = std::to_string(indexOf(filament));
    values["nozzle_heat"] = values["nozzle_temperature"] = rules_.temperatures[indexOf(filament)];
    text_ += filledIn(rules_.toolChange, values) + "\n";
  }

  // A fan takes seconds to follow, so it turns only once within a layer, where the least is blown beyond what lines ask
  // for. None has less.
  struct Fans {
    int before = 0, after = 0;
    const Run* turns = nullptr;
  };
  // 0–255: all there is where lines hang, and elsewhere less the longer the layer has to cool.
  int askedBy(const Run& run) const {
    const MotionRules& rules = rules_.motion;
    const bool hangs =
        run.feature == Feature::bridge || run.feature == Feature::wallSteep || run.feature == Feature::coverCarried;
    const double share = rules.fan[static_cast<std::size_t>(run.feature)];
    return static_cast<int>(std::lround((hangs ? rules.fanMost : fanFor(seconds_, rules)) * share * 255));
  }
  Fans fansOf(const std::vector<Run>& runs) const {
    const std::size_t count = runs.size();
    std::vector<int> fromHere(count + 1, 0);
    std::vector<double> length(count + 1, 0);  // mm, from here on
    for (std::size_t i = count; i-- > 0;) {
      fromHere[i] = std::max(fromHere[i + 1], askedBy(runs[i]));
      length[i] = length[i + 1] + lengthOf(runs[i].points);
    }
    Fans best{0, fromHere[0], runs.data()};
    double least = fromHere[0] * length[0];
    int upToHere = 0;
    for (std::size_t i = 1; i < count; ++i) {
      upToHere = std::max(upToHere, askedBy(runs[i - 1]));
      const double blown = upToHere * (length[0] - length[i]) + fromHere[i] * length[i];
      if (blown >= least) continue;
      least = blown;
      best = {upToHere, fromHere[i], runs.data() + i};
    }
    return best;
  }

  double heightOf(const Run& run) const { return run.height > 0 ? run.height : layer_.top - layer_.bottom; }

  void announce(const Run& run) {
    if (run.owner != owner_) {
      if (run.owner.kind == Owner::part) put("; @part {}\n", quoted(rules_.partNames.at(run.owner.index)));
      if (run.owner.kind == Owner::piece) put("; @piece {}\n", run.owner.index);
      owner_ = run.owner;
    }
    if (run.feature != feature_ || run.width != width_ || heightOf(run) != height_) {
      put("; @feature {} width={:.4f}", nameOf(run.feature), run.width);
      if (run.height > 0) put(" height={:.4f}", run.height);
      text_ += '\n';
      height_ = heightOf(run);
      feature_ = run.feature;
      width_ = run.width;
    }
    const int fan = &run < fans_.turns ? fans_.before : fans_.after;
    if (fan != fan_) put("M106 S{}\n", fan);
    fan_ = fan;
  }

  const PrintLayer& layer_;
  double lift_;  // mm
  bool isFirst_;
  const GcodeRules& rules_;
  double filament_;  // cross-section, mm²
  std::string text_;
  double seconds_;     // that the layer takes
  double speed_ = -1;  // mm/s, the last the text has
  Owner owner_;
  Feature feature_ = Feature::skirt;
  double width_ = -1, height_ = -1;
  int fan_ = -1;
  Fans fans_;
};

}  // namespace

std::string filledIn(const std::string& text, const std::map<std::string, std::string>& values) {
  std::string out;
  for (std::size_t at = 0; at < text.size();) {
    const std::size_t open = text.find('{', at);
    out.append(text, at, open - at);
    if (open == std::string::npos) break;
    const std::size_t close = text.find('}', open);
    if (close == std::string::npos)
      throw Error(say("The machine's G-code opens a {{ and never closes it. Add the }}."));
    const std::string name = text.substr(open + 1, close - open - 1);
    const auto found = values.find(name);
    if (found == values.end())
      throw Error(say("The machine's G-code asks for {{{}}}, which nobody knows. Correct the name.", name));
    out += found->second;
    at = close + 1;
  }
  return out;
}

std::string writeGcode(const Print& print, const GcodeRules& rules, const GcodeAbout& about, const Progress& progress) {
  std::vector<std::string> texts(print.layers.size());
  std::vector<const Run*> ends(print.layers.size() + 1, nullptr);
  for (std::size_t i = 0; i < print.layers.size(); ++i)
    ends[i + 1] = print.layers[i]->runs.empty() ? ends[i] : &print.layers[i]->runs.back();
  const double lift = -print.floor();
  parallelFor(print.layers.size(), progress,
              [&](std::size_t i) { texts[i] = LayerWriter(*print.layers[i], i, lift, rules).write(ends[i]); });
  std::string text =
      fmt::format("; meek-trellis " TRELLIS_VERSION "\n; @version code={}\n; @setup machine={} filament={} print={}\n",
                  about.code, quoted(rules.machine), quoted(rules.filament), quoted(rules.print)) +
      filledIn(rules.start, rules.values) + "\nG21\nG90\nM83\n";
  std::size_t size = text.size();
  for (const std::string& layer : texts) size += layer.size();
  text.reserve(size + 4096);
  for (const std::string& layer : texts) text += layer;
  text += filledIn(rules.end, rules.values) + "\n; @summary " +
          about.summary.dump(-1, ' ', false, nlohmann::json::error_handler_t::replace) + "\n";
  return text;
}

}  // namespace trellis
