// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/learn/sweep.hpp"

#include "core/assess/turnings.hpp"
#include "core/base/error.hpp"
#include "core/results/build_project.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

namespace trellis {

namespace {

using Json = nlohmann::json;

constexpr const char* turningKey = "turning";

std::vector<std::string> split(const std::string& text, char at) {
  std::vector<std::string> pieces;
  std::size_t begin = 0;
  for (std::size_t end = text.find(at); end != std::string::npos; begin = end + 1, end = text.find(at, begin))
    pieces.push_back(text.substr(begin, end - begin));
  pieces.push_back(text.substr(begin));
  return pieces;
}

double numberFrom(const std::string& text, const std::string& where) {
  try {
    std::size_t used = 0;
    const double value = std::stod(text, &used);
    if (used == text.size() && std::isfinite(value)) return value;
  } catch (const std::logic_error&) {
  }
  throw Error(fmt::format("{}: {} is no number.", where, text));
}

const FigureRow& rowNamed(const std::string& key) {
  std::string known;
  for (const FigureRow& row : figureRows()) {
    if (key == row.key) return row;
    known += std::string(known.empty() ? "" : ", ") + row.key;
  }
  throw Error(fmt::format("There is no figure {}. There are {}.", key, known));
}

std::size_t lengthOf(const SweepAxis& axis) {
  return axis.key == turningKey ? axis.turnings.size() : axis.values.size();
}

std::string wordsOf(const SweepAxis& axis, std::size_t k) {
  if (axis.key == turningKey) {
    const Vec3& turn = axis.turnings[k];
    return fmt::format("{:g}/{:g}/{:g}", turn.x(), turn.y(), turn.z());
  }
  const Json json = toJson(axis.values[k]);
  return json.is_string()    ? json.get<std::string>()
         : json.is_boolean() ? (json.get<bool>() ? "on" : "off")
                             : fmt::format("{:g}", json.get<double>());
}

Operation stepFor(const SweepAxis& axis, std::size_t k) {
  if (axis.key != turningKey) return ChangeSetting{axis.key, axis.values[k]};
  PlacePart place;
  place.turn = axis.turnings[k];
  place.drop = true;
  return place;
}

Json jsonFor(const SweepAxis& axis, std::size_t k) {
  if (axis.key != turningKey) return {{"do", "set"}, {"key", axis.key}, {"value", toJson(axis.values[k])}};
  const Vec3& turn = axis.turnings[k];
  return {{"do", "place"}, {"part", 0}, {"turn", {turn.x(), turn.y(), turn.z()}}, {"drop", true}};
}

// Which value of each axis the combination of a number has.
std::vector<std::size_t> digitsOf(const SweepSpec& spec, std::size_t index) {
  std::vector<std::size_t> digits(spec.vary.size());
  for (std::size_t a = spec.vary.size(); a-- > 0;) {
    digits[a] = index % lengthOf(spec.vary[a]);
    index /= lengthOf(spec.vary[a]);
  }
  return digits;
}

std::size_t countOf(const Project& project, const SweepSpec& spec) {
  if (spec.vary.empty()) throw Error("Say what may vary.");
  std::size_t count = 1;
  for (const SweepAxis& axis : spec.vary) {
    if (lengthOf(axis) == 0) throw Error(fmt::format("Say which values {} may take.", axis.key));
    if (axis.key == turningKey && project.parts.empty()) throw Error("There is no part that could be turned.");
    for (const SettingValue& value : axis.values) checkSetting(axis.key, value);
    count *= lengthOf(axis);
    if (count > mostCombinations)
      throw Error(fmt::format("That would be more than {} combinations. Vary less.", mostCombinations));
  }
  return count;
}

// The first limit that is broken by what is known.
const SweepLimit* brokenOf(const std::vector<SweepLimit>& limits, const std::map<std::string, double>& figures) {
  for (const SweepLimit& limit : limits) {
    const auto known = figures.find(limit.row);
    if (known == figures.end()) continue;
    const double beyond = rowNamed(limit.row).moreIsBetter ? limit.most - known->second : known->second - limit.most;
    if (beyond > 0) return &limit;
  }
  return nullptr;
}

std::map<std::string, double> plannedOf(std::map<std::string, double> figures) {
  std::erase_if(figures, [](const auto& figure) { return !rowNamed(figure.first).isPlanned; });
  return figures;
}

const char* nameOf(SweepState state) {
  switch (state) {
    case SweepState::ahead:
      return "ahead";
    case SweepState::done:
      return "done";
    case SweepState::failed:
      return "failed";
    case SweepState::dropped:
      return "dropped";
  }
  return "";
}

// Less is better in all that is wanted.
std::vector<double> badnessOf(const SweepSpec& spec, const SweepResult& result) {
  std::vector<double> badness;
  for (const SweepWant& want : spec.want) {
    const double value = result.figures.at(want.row);
    badness.push_back(rowNamed(want.row).moreIsBetter ? -value : value);
  }
  return badness;
}

bool dominates(const std::vector<double>& a, const std::vector<double>& b) {
  bool better = false;
  for (std::size_t i = 0; i < a.size(); ++i) {
    if (a[i] > b[i]) return false;
    better = better || a[i] < b[i];
  }
  return better;
}

std::string quoted(const std::string& text) {
  if (text.find_first_of(",\"\r\n") == std::string::npos) return text;
  std::string out = "\"";
  for (const char c : text) out += c == '"' ? std::string("\"\"") : std::string(1, c);
  return out + "\"";
}

}  // namespace

SweepAxis axisFromText(const std::string& text) {
  const std::size_t equals = text.find('=');
  if (equals == std::string::npos) throw Error(fmt::format("{} has no =. Write key=value,value.", text));
  SweepAxis axis{text.substr(0, equals)};
  for (const std::string& value : split(text.substr(equals + 1), ',')) {
    if (axis.key != turningKey) {
      axis.key = settingRow(axis.key).key;
      axis.values.push_back(settingFromText(axis.key, value));
      continue;
    }
    const std::vector<std::string> angles = split(value, '/');
    if (angles.size() != 3)
      throw Error(fmt::format("{} is no turning. Write degrees about x, y and z: 90/0/0.", value));
    axis.turnings.emplace_back(numberFrom(angles[0], text), numberFrom(angles[1], text), numberFrom(angles[2], text));
  }
  return axis;
}

SweepWant wantFromText(const std::string& text) {
  const std::vector<std::string> words = split(text, ':');
  SweepWant want{rowNamed(words[0]).key};
  if (words.size() > 1) want.weight = numberFrom(words[1], text);
  if (!(want.weight >= 0)) throw Error(fmt::format("{}: a weight cannot be less than 0.", text));
  return want;
}

SweepLimit limitFromText(const std::string& text) {
  const std::size_t sign = text.find("<=");
  const std::size_t other = text.find(">=");
  const std::size_t at = std::min(sign, other);
  if (at == std::string::npos) throw Error(fmt::format("{} is no limit. Write row<=figure.", text));
  const FigureRow& row = rowNamed(text.substr(0, at));
  if (row.moreIsBetter != (at == other))
    throw Error(fmt::format("{} is better when it is {}. Write {}{}figure.", row.key,
                            row.moreIsBetter ? "more" : "less", row.key, row.moreIsBetter ? ">=" : "<="));
  return {row.key, numberFrom(text.substr(at + 2), text)};
}

SweepAxis bestTurnings(const Project& project, std::size_t count, const Progress& progress) {
  SweepAxis axis{turningKey};
  if (project.parts.empty()) return axis;
  const Part& part = *project.parts.front();
  const TurningSurvey survey(part.mesh, part.placement.scale, turningRules(settingsOf(project, 0)), *part.seen);
  for (const Turning& found : survey.refined(survey.candidates(count, progress), progress))
    axis.turnings.push_back(found.turn);
  return axis;
}

std::vector<Combination> combinationsOf(const Project& project, const SweepSpec& spec) {
  std::vector<Combination> all(countOf(project, spec));
  for (std::size_t i = 0; i < all.size(); ++i) {
    const std::vector<std::size_t> digits = digitsOf(spec, i);
    for (std::size_t a = 0; a < digits.size(); ++a) {
      all[i].chosen.push_back(wordsOf(spec.vary[a], digits[a]));
      all[i].steps.push_back(stepFor(spec.vary[a], digits[a]));
    }
  }
  return all;
}

ProjectPtr projectOf(const Project& project, const Combination& combination) {
  auto bare = std::make_shared<Project>(project);
  bare->shelf = {};
  ProjectPtr now = std::move(bare);
  for (const Operation& step : combination.steps) now = performed(*now, step);
  return now;
}

Json operationsOf(const SweepSpec& spec, const Project& project, std::size_t index) {
  countOf(project, spec);
  const std::vector<std::size_t> digits = digitsOf(spec, index);
  Json list = Json::array();
  for (std::size_t a = 0; a < digits.size(); ++a) list.push_back(jsonFor(spec.vary[a], digits[a]));
  return list;
}

SweepResult resultOf(const Combination& combination, std::map<std::string, double> figures,
                     const std::vector<SweepLimit>& limits) {
  std::map<std::string, double> planned = plannedOf(figures);
  const SweepLimit* broken = brokenOf(limits, planned);
  if (!broken) return {combination.chosen, std::move(figures), SweepState::done};
  const FigureRow& row = rowNamed(broken->row);
  std::string why = fmt::format("{}: {:g}, and {:g} at {} is allowed.", row.label, planned.at(broken->row),
                                broken->most, row.moreIsBetter ? "least" : "most");
  return {combination.chosen, std::move(planned), SweepState::dropped, std::move(why)};
}

SweepResult builtOf(Store& store, const Project& project, const Combination& combination,
                    const std::vector<SweepLimit>& limits, const Progress& progress) {
  try {
    const ProjectPtr tried = projectOf(project, combination);
    const auto figures = [&](const BuildPtr& build) { return byRow(figuresOf(tried->settings, *build)); };
    if (std::any_of(limits.begin(), limits.end(), [](const SweepLimit& l) { return rowNamed(l.row).isPlanned; })) {
      SweepResult planned = resultOf(combination, figures(planProject(store, tried, progress)), limits);
      if (planned.state == SweepState::dropped) return planned;
    }
    return resultOf(combination, figures(buildProject(store, tried, progress)), limits);
  } catch (const Error& error) {
    return {combination.chosen, {}, SweepState::failed, error.what()};
  }
}

std::vector<SweepResult> sweep(Store& store, const ProjectPtr& project, const SweepSpec& spec,
                               const Progress& progress) {
  for (const SweepWant& want : spec.want) rowNamed(want.row);
  std::vector<SweepResult> results;
  for (const Combination& combination : combinationsOf(*project, spec)) {
    progress.check();
    results.push_back(builtOf(store, *project, combination, spec.limits, progress));
  }
  return results;
}

bool isAllowed(const SweepSpec& spec, const SweepResult& result) {
  return result.isBuilt() && !brokenOf(spec.limits, result.figures);
}

std::vector<std::size_t> nonDominated(const SweepSpec& spec, const std::vector<SweepResult>& results) {
  std::vector<std::pair<std::size_t, std::vector<double>>> allowed;
  for (std::size_t i = 0; i < results.size(); ++i)
    if (isAllowed(spec, results[i])) allowed.emplace_back(i, badnessOf(spec, results[i]));
  std::vector<std::size_t> best;
  for (const auto& [i, badness] : allowed)
    if (std::none_of(allowed.begin(), allowed.end(),
                     [&](const auto& other) { return dominates(other.second, badness); }))
      best.push_back(i);
  return best;
}

std::optional<std::size_t> bestOf(const SweepSpec& spec, const std::vector<SweepResult>& results) {
  const std::vector<std::size_t> candidates = nonDominated(spec, results);
  std::vector<double> low(spec.want.size(), 1e300), high(spec.want.size(), -1e300);
  for (const SweepResult& result : results)
    if (isAllowed(spec, result)) {
      const std::vector<double> badness = badnessOf(spec, result);
      for (std::size_t w = 0; w < badness.size(); ++w) {
        low[w] = std::min(low[w], badness[w]);
        high[w] = std::max(high[w], badness[w]);
      }
    }
  std::optional<std::size_t> best;
  double least = 1e300;
  for (const std::size_t i : candidates) {
    const std::vector<double> badness = badnessOf(spec, results[i]);
    double sum = 0;
    for (std::size_t w = 0; w < badness.size(); ++w)
      if (high[w] > low[w]) sum += spec.want[w].weight * (badness[w] - low[w]) / (high[w] - low[w]);
    if (sum < least) {
      least = sum;
      best = i;
    }
  }
  return best;
}

Json sweepJson(const SweepSpec& spec, const std::vector<SweepResult>& results) {
  Json json{
      {"vary", Json::array()}, {"want", Json::array()}, {"limits", Json::array()}, {"combinations", Json::array()}};
  for (const SweepAxis& axis : spec.vary) json["vary"].push_back(axis.key);
  for (const SweepWant& want : spec.want) json["want"].push_back({{"row", want.row}, {"weight", want.weight}});
  for (const SweepLimit& limit : spec.limits) json["limits"].push_back({{"row", limit.row}, {"most", limit.most}});
  const std::vector<std::size_t> front = nonDominated(spec, results);
  for (std::size_t i = 0; i < results.size(); ++i) {
    Json one{{"chosen", results[i].chosen}, {"state", nameOf(results[i].state)}, {"figures", results[i].figures}};
    if (results[i].isBuilt()) {
      one["allowed"] = isAllowed(spec, results[i]);
      one["dominated"] = !std::binary_search(front.begin(), front.end(), i);
    } else {
      one["why"] = results[i].why;
    }
    json["combinations"].push_back(std::move(one));
  }
  const auto best = bestOf(spec, results);
  json["best"] = best ? Json(*best) : Json();
  return json;
}

std::string sweepCsv(const SweepSpec& spec, const std::vector<SweepResult>& results) {
  std::string csv;
  for (const SweepAxis& axis : spec.vary) csv += quoted(axis.key) + ",";
  for (const FigureRow& row : figureRows()) csv += std::string(row.key) + ",";
  csv += "dominated,state,why\r\n";
  const std::vector<std::size_t> front = nonDominated(spec, results);
  for (std::size_t i = 0; i < results.size(); ++i) {
    for (const std::string& chosen : results[i].chosen) csv += quoted(chosen) + ",";
    const auto& figures = results[i].figures;
    for (const FigureRow& row : figureRows())
      csv += (figures.contains(row.key) ? fmt::format("{:g}", figures.at(row.key)) : "") + ",";
    csv += fmt::format("{},{},{}\r\n", std::binary_search(front.begin(), front.end(), i) ? "no" : "yes",
                       nameOf(results[i].state), quoted(results[i].why));
  }
  return csv;
}

ProjectPtr withVariants(const ProjectPtr& project, const SweepSpec& spec, const std::vector<std::size_t>& chosen) {
  const std::vector<Combination> all = combinationsOf(*project, spec);
  ProjectPtr now = project;
  for (const std::size_t i : chosen) {
    std::string name;
    for (const std::string& word : all[i].chosen) name += (name.empty() ? "" : ", ") + word;
    const VariantId before = now->shelf.inHand;
    now = performed(*now, AddVariant{name});
    const VariantId home = before ? before : now->shelf.variants.front().id;
    for (const Operation& step : all[i].steps) now = performed(*now, step);
    now = performed(*now, TakeVariant{home});
  }
  return now;
}

}  // namespace trellis
