// SPDX-License-Identifier: GPL-3.0-or-later
// What two projects decide differently, in words.
#include "core/assess/comparison.hpp"
#include "core/base/short_name.hpp"
#include "core/settings/words.hpp"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double worthNaming = 0.5;  // mm² of marks

std::string lowered(std::string text) {
  if (!text.empty()) text[0] = static_cast<char>(std::tolower(static_cast<unsigned char>(text[0])));
  return text;
}

std::string inWords(const SettingRow& row, const SettingValue& value) {
  if (const auto* number = std::get_if<double>(&value)) return fmt::format("{:g}", *number);
  if (const auto* yes = std::get_if<bool>(&value)) return *yes ? "on" : "off";
  const std::string& text = std::get<std::string>(value);
  return row.choices.empty() ? (text.size() > 20 ? "another text" : text) : choiceInWords(row.key, text);
}

std::string changeInWords(const SettingRow& row, const SettingValue& was, const SettingValue& is) {
  return fmt::format("{} {} → {}{}{}", lowered(row.label), inWords(row, was), inWords(row, is),
                     row.unit.empty() ? "" : " ", row.unit);
}

std::string countInWords(const char* one, const char* many, long more) {
  return fmt::format("{} {} {}", std::abs(more), std::abs(more) == 1 ? one : many, more > 0 ? "more" : "fewer");
}

class PartDifferences {
 public:
  PartDifferences(const Part& base, const Part& other, std::vector<std::string>& words)
      : base_(base), other_(other), name_(shortName(other.name)), words_(words) {}

  void all() {
    if (base_.mesh->key != other_.mesh->key) say("another mesh");
    if (!(base_.placement == other_.placement))
      say(base_.placement.scale != other_.placement.scale ? "scaled"
          : base_.placement.turn != other_.placement.turn ? "turned"
                                                          : "moved");
    marks("enforced", &Part::marks, Mark::enforce);
    marks("blocked", &Part::marks, Mark::block);
    marks("kept clean", &Part::clean, Mark::block);
    marks("seen", &Part::seen, Mark::block);
    counted("prop", "props", base_.props, other_.props);
    zones("enforcing zone", "enforcing zones", ZoneAs::enforce);
    zones("blocking zone", "blocking zones", ZoneAs::block);
    zones("keep clear zone", "keep clear zones", ZoneAs::keepClear);
    choices("site enforced", "sites enforced", Choice::enforce);
    choices("site blocked", "sites blocked", Choice::block);
    settings();
  }

 private:
  void say(const std::string& what) { words_.push_back(fmt::format("{}: {}", name_, what)); }

  void marks(const char* what, MarksPtr Part::*coat, Mark kind) {
    if ((base_.*coat)->key() == (other_.*coat)->key()) return;
    const auto areaOf = [&](const Part& part) {
      return markedArea(*part.mesh, transformOf(part.placement, *part.mesh), *(part.*coat), kind);
    };
    const double was = areaOf(base_), is = areaOf(other_);
    if (std::abs(is - was) >= worthNaming)
      say(fmt::format("{:.0f} → {:.0f} mm² {}", was, is, what));
    else if (was > worthNaming)
      say(fmt::format("other places {}", what));
  }

  template <typename T>
  void counted(const char* one, const char* many, const std::vector<T>& was, const std::vector<T>& is) {
    const long more = static_cast<long>(is.size()) - static_cast<long>(was.size());
    if (more != 0)
      say(countInWords(one, many, more));
    else if (keyOf(was) != keyOf(is))
      say(fmt::format("{} otherwise", many));
  }

  void zones(const char* one, const char* many, ZoneAs as) {
    const auto of = [&](const Part& part) {
      std::vector<Zone> all;
      for (const Zone& zone : part.zones)
        if (zone.as == as) all.push_back(zone);
      return all;
    };
    counted(one, many, of(base_), of(other_));
  }

  void choices(const char* one, const char* many, Choice choice) {
    const auto of = [&](const Part& part) {
      std::vector<SiteDecision> all;
      for (const SiteDecision& site : part.sites)
        if (site.choice == choice) all.push_back(site);
      return all;
    };
    counted(one, many, of(base_), of(other_));
  }

  void settings() {
    for (const SettingRow& row : settingsTable()) {
      const auto was = base_.settings.find(row.key), is = other_.settings.find(row.key);
      const bool had = was != base_.settings.end(), has = is != other_.settings.end();
      if (had && has && was->second != is->second) say(changeInWords(row, was->second, is->second));
      if (had && !has) say(fmt::format("{} as the plate's", lowered(row.label)));
      if (!had && has)
        say(fmt::format("{} of its own, {}{}{}", lowered(row.label), inWords(row, is->second),
                        row.unit.empty() ? "" : " ", row.unit));
    }
  }

  const Part &base_, &other_;
  std::string name_;
  std::vector<std::string>& words_;
};

const Part* partIn(const Project& project, PartId id) {
  for (const PartPtr& part : project.parts)
    if (part->id == id) return part.get();
  return nullptr;
}

}  // namespace

std::vector<std::string> differencesInWords(const Project& base, const Project& other) {
  std::vector<std::string> words;
  for (const SetKind kind : setKinds)
    if (base.sets.of(kind).name != other.sets.of(kind).name)
      words.push_back(fmt::format("{} {} → {}", nameOf(kind), base.sets.of(kind).name, other.sets.of(kind).name));
  for (const SettingRow& row : settingsTable()) {
    const SettingValue &was = base.settings.value(row.key), &is = other.settings.value(row.key);
    if (was != is) words.push_back(changeInWords(row, was, is));
  }
  for (const PartPtr& part : other.parts)
    if (const Part* old = partIn(base, part->id))
      PartDifferences(*old, *part, words).all();
    else
      words.push_back(shortName(part->name) + " added");
  for (const PartPtr& part : base.parts)
    if (!partIn(other, part->id)) words.push_back(shortName(part->name) + " left out");
  return words;
}

}  // namespace trellis
