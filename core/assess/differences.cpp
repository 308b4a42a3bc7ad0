// SPDX-License-Identifier: GPL-3.0-or-later
// What two projects decide differently, in words.
#include "core/assess/comparison.hpp"
#include "core/base/short_name.hpp"
#include "core/settings/words.hpp"

#include <algorithm>
#include <cmath>

namespace trellis {

namespace {

constexpr double worthNaming = 0.5;  // mm² of marks

Sentence inWords(const SettingRow& row, const SettingValue& value) {
  if (const auto* number = std::get_if<double>(&value)) {
    const Sentence figure = say("{:g}", *number);
    return row.unit.empty() ? figure : say("{} {}", figure, row.unit);
  }
  if (const auto* yes = std::get_if<bool>(&value)) return *yes ? say("on") : say("off");
  const std::string& text = std::get<std::string>(value);
  if (!row.choices.empty()) return sayWords(choiceInWords(row.key, text));
  return text.size() > 20 ? say("another text") : Sentence(text);
}

Sentence changeInWords(const SettingRow& row, const SettingValue& was, const SettingValue& is) {
  const Sentence label = sayWords(row.label);
  if (const auto* from = std::get_if<double>(&was), *to = std::get_if<double>(&is); from && to && !row.unit.empty())
    return say("{:l} {:g} → {:g} {}", label, *from, *to, row.unit);
  return say("{:l} {} → {}", label, inWords(row, was), inWords(row, is));
}

class PartDifferences {
 public:
  PartDifferences(const Part& base, const Part& other, std::vector<Sentence>& words)
      : base_(base), other_(other), name_(shortName(other.name)), words_(words) {}

  void all() {
    if (base_.mesh->key != other_.mesh->key) tell(say("another mesh"));
    if (!(base_.placement == other_.placement))
      tell(base_.placement.scale != other_.placement.scale ? say("scaled")
           : base_.placement.turn != other_.placement.turn ? say("turned")
                                                           : say("moved"));
    marks(say("enforced"), &Part::marks, Mark::enforce);
    marks(say("blocked"), &Part::marks, Mark::block);
    marks(say("kept clean"), &Part::clean, Mark::block);
    marks(say("seen"), &Part::seen, Mark::block);
    counted(say("props"), base_.props, other_.props);
    zones(say("enforcing zones"), ZoneAs::enforce);
    zones(say("blocking zones"), ZoneAs::block);
    zones(say("keep clear zones"), ZoneAs::keepClear);
    choices(say("sites enforced"), Choice::enforce);
    choices(say("sites blocked"), Choice::block);
    settings();
  }

 private:
  void tell(const Sentence& what) { words_.push_back(say("{}: {}", name_, what)); }

  void marks(const Sentence& what, MarksPtr Part::*coat, Mark kind) {
    if ((base_.*coat)->key() == (other_.*coat)->key()) return;
    const auto areaOf = [&](const Part& part) {
      return markedArea(*part.mesh, transformOf(part.placement, *part.mesh), *(part.*coat), kind);
    };
    const double was = areaOf(base_), is = areaOf(other_);
    if (std::abs(is - was) >= worthNaming)
      tell(say("{:.0f} → {:.0f} mm² {}", was, is, what));
    else if (was > worthNaming)
      tell(say("other places {}", what));
  }

  template <typename T>
  void counted(const Sentence& what, const std::vector<T>& was, const std::vector<T>& is) {
    if (was.size() != is.size())
      tell(say("{} {} → {}", what, was.size(), is.size()));
    else if (keyOf(was) != keyOf(is))
      tell(say("{} otherwise", what));
  }

  void zones(const Sentence& what, ZoneAs as) {
    const auto of = [&](const Part& part) {
      std::vector<Zone> all;
      for (const Zone& zone : part.zones)
        if (zone.as == as) all.push_back(zone);
      return all;
    };
    counted(what, of(base_), of(other_));
  }

  void choices(const Sentence& what, Choice choice) {
    const auto of = [&](const Part& part) {
      std::vector<SiteDecision> all;
      for (const SiteDecision& site : part.sites)
        if (site.choice == choice) all.push_back(site);
      return all;
    };
    counted(what, of(base_), of(other_));
  }

  void settings() {
    for (const SettingRow& row : settingsTable()) {
      const auto was = base_.settings.find(row.key), is = other_.settings.find(row.key);
      const bool had = was != base_.settings.end(), has = is != other_.settings.end();
      if (had && has && was->second != is->second) tell(changeInWords(row, was->second, is->second));
      if (had && !has) tell(say("{:l} as the plate's", sayWords(row.label)));
      if (!had && has) tell(say("{:l} of its own, {}", sayWords(row.label), inWords(row, is->second)));
    }
  }

  const Part &base_, &other_;
  std::string name_;
  std::vector<Sentence>& words_;
};

const Part* partIn(const Project& project, PartId id) {
  for (const PartPtr& part : project.parts)
    if (part->id == id) return part.get();
  return nullptr;
}

}  // namespace

std::vector<Sentence> differencesInWords(const Project& base, const Project& other) {
  std::vector<Sentence> words;
  for (const SetKind kind : setKinds)
    if (base.sets.of(kind).name != other.sets.of(kind).name)
      words.push_back(
          say("{} {} → {}", sayWords(std::string(nameOf(kind))), base.sets.of(kind).name, other.sets.of(kind).name));
  for (const SettingRow& row : settingsTable()) {
    const SettingValue &was = base.settings.value(row.key), &is = other.settings.value(row.key);
    if (was != is) words.push_back(changeInWords(row, was, is));
  }
  for (const PartPtr& part : other.parts)
    if (const Part* old = partIn(base, part->id))
      PartDifferences(*old, *part, words).all();
    else
      words.push_back(say("{} added", shortName(part->name)));
  for (const PartPtr& part : base.parts)
    if (!partIn(other, part->id)) words.push_back(say("{} left out", shortName(part->name)));
  return words;
}

}  // namespace trellis
