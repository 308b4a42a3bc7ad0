// SPDX-License-Identifier: GPL-3.0-or-later
// Random sequences of everything a maker can do, cancelled at random moments: what the store puts together from old and
// new equals what is made from nothing, byte for byte.
#include "core/assess/report.hpp"
#include "core/document/history.hpp"
#include "core/results/gcode_text.hpp"
#include "tests/shapes.hpp"

#include <future>
#include <random>

namespace trellis::test {
namespace {

using nlohmann::json;

// G-code, report and findings, without the clock.
std::string outcomeOf(const Project& project, const Build& build) {
  json report = reportOf(build, project.settings);
  report.erase("timing_ms");
  return gcodeOf(project, build, Progress()) + report.dump();
}

// The two lines, or stretches of a line, where texts first differ; empty where they do not.
std::string firstDifference(const std::string& kept, const std::string& fresh) {
  if (kept == fresh) return "";
  const auto at = static_cast<std::size_t>(std::mismatch(kept.begin(), kept.end(), fresh.begin(), fresh.end()).first -
                                           kept.begin());
  const std::size_t from = at < 60 ? 0 : at - 60;
  return "kept: …" + kept.substr(from, 160) + "…\nfresh: …" + fresh.substr(from, 160) + "…";
}

ProjectPtr fourParts() {
  const std::vector<MeshPtr> meshes{
      table(14, 6, 2), sphere({0, 0, 6}, 6, 10, 16),
      blocks({0, 3, 9, 12}, {0, 8}, {0, 6, 8}, [](int x, int, int z) { return z == 1 || x != 1; }),
      box({0, 0, 4}, {6, 6, 8})};
  auto project = std::make_shared<Project>();
  project->settings.set("layer.height", 0.4);
  project->settings.set("layer.first", 0.4);
  for (std::size_t i = 0; i < meshes.size(); ++i) {
    Part part{"part " + std::to_string(i), meshes[i], {}};
    part.placement.position = Vec3(40 + 22.0 * static_cast<double>(i % 2), 40 + 22.0 * static_cast<double>(i / 2),
                                   meshes[i]->bounds.center().z());
    part.placement.rests = i != 3;
    project->parts.push_back(std::make_shared<const Part>(std::move(part)));
  }
  return std::make_shared<const Project>(withIds(*project));
}

class Maker {
 public:
  explicit Maker(unsigned seed) : chance_(seed), history_(fourParts()) {}

  const ProjectPtr& project() const { return history_.now(); }

  // One thing that a maker may do; what does not fit is refused and changes nothing.
  void act() {
    try {
      switch (upTo(12)) {
        case 0:
          return history_.undo();
        case 1:
          return history_.redo();
        case 2:
          return move();
        case 3:
          return turn();
        case 4:
          return stroke();
        case 5:
          return zone();
        case 6:
          return prop();
        case 7:
          return setting({});
        case 8:
          return setting(part());
        case 9:
          return site();
        case 10:
          return list();
        case 11:
          return clear();
      }
    } catch (const Error&) {
    }
  }

  std::size_t upTo(std::size_t count) { return chance_() % count; }

 private:
  double between(double low, double high) { return low + (high - low) * static_cast<double>(chance_() % 1000) / 999; }
  std::size_t part() { return upTo(std::max<std::size_t>(1, project()->parts.size())); }
  Box3 boundsOf(std::size_t p) const {
    const Part& part = *project()->parts.at(p);
    return placedBounds(part.placement, *part.mesh);
  }
  Vec3 placeOn(std::size_t p) {
    const Box3 box = boundsOf(p);
    return {between(box.min().x(), box.max().x()), between(box.min().y(), box.max().y()),
            between(box.min().z(), box.max().z())};
  }
  void move() {
    PlacePart place;
    place.part = part();
    place.position = project()->parts.at(place.part)->placement.position + Vec3(between(-12, 12), between(-12, 12), 0);
    history_.perform(place);
  }
  void turn() {
    PlacePart place;
    place.part = part();
    place.turn = Vec3(90.0 * static_cast<double>(upTo(4)), between(0, 40), 0);
    history_.perform(place);
  }
  void stroke() {
    LayMark lay;
    lay.part = part();
    lay.mark = std::array{Mark::enforce, Mark::block, Mark::none}[upTo(3)];
    lay.stroke = BallStroke{{placeOn(lay.part)}, between(1, 5)};
    history_.perform(lay);
  }
  Overrides someOwn() {
    if (upTo(2) == 0) return {};
    return {{"support.structure", SettingValue(std::string(upTo(2) ? "tree" : "normal"))},
            {"support.gap.above", SettingValue(between(0.1, 0.4))}};
  }
  void zone() {
    const std::size_t p = part();
    const Part& of = *project()->parts.at(p);
    if (!of.zones.empty() && upTo(2)) return history_.perform(RemoveZone{p, upTo(of.zones.size())});
    AddZone add{p, {}, {placeOn(p), Vec3(4, 4, between(3, 9)), Vec3::Zero()}};
    add.zone.as = std::array{ZoneAs::enforce, ZoneAs::block, ZoneAs::keepClear}[upTo(3)];
    add.zone.settings = someOwn();
    history_.perform(add);
  }
  void prop() {
    const std::size_t p = part();
    const Part& of = *project()->parts.at(p);
    if (!of.props.empty() && upTo(2)) return history_.perform(RemoveProp{p, upTo(of.props.size())});
    Vec3 at = placeOn(p);
    at.z() = std::array{boundsOf(p).min().z(), 6.0, 4.0}[upTo(3)];
    history_.perform(AddProp{p, at, between(0.8, 3), someOwn()});
  }
  void site() {
    const std::size_t p = part();
    Vec3 at = placeOn(p);
    at.z() = std::array{6.0, 4.0}[upTo(2)];
    history_.perform(
        DecideSite{p, at, std::array{Choice::proposed, Choice::enforce, Choice::block}[upTo(3)], someOwn()});
  }
  void setting(std::optional<std::size_t> p) {
    const std::vector<std::pair<const char*, SettingValue>> local{
        {"support.structure", std::string(upTo(2) ? "tree" : "normal")},
        {"support.gap.above", between(0, 0.4)},
        {"support.gap.beside", between(0.3, 0.8)},
        {"support.free_lean", between(30, 60)},
        {"support.interface.upper.layers", static_cast<double>(upTo(4))},
        {"support.body.spacing", between(1, 3)}};
    const std::vector<std::pair<const char*, SettingValue>> whole{
        {"support.on", upTo(6) != 0},
        {"line.width", between(0.4, 0.5)},
        {"support.source", std::string(std::array{"overhangs", "floating", "decisions"}[upTo(3)])},
        {"brim.width", static_cast<double>(2 * upTo(3))},
        {"speed.travel", between(100, 200)},
        {"filament.stiffness", between(1500, 2500)}};
    const auto& [key, value] = p || upTo(2) ? local[upTo(local.size())] : whole[upTo(whole.size())];
    history_.perform(ChangeSetting{key, value, p});
  }
  void list() {
    switch (upTo(3)) {
      case 0:
        return project()->parts.size() < 6 ? history_.perform(CopyPart{part()}) : history_.undo();
      case 1:
        return project()->parts.size() > 2 ? history_.perform(RemovePart{part()}) : history_.undo();
      case 2:
        return history_.perform(ArrangeParts{});
    }
  }
  void clear() {
    history_.perform(ClearDecisions{
        part(), std::array{Clearing::marks, Clearing::zones, Clearing::props, Clearing::sites}[upTo(4)]});
  }

  std::mt19937 chance_;
  History history_;
};

class SequenceTest : public testing::TestWithParam<int> {};

TEST_P(SequenceTest, WhatIsPutTogetherEqualsWhatIsMadeFromNothing) {
  Maker maker(static_cast<unsigned>(GetParam()));
  Store store;
  int cancelled = 0;
  for (int step = 0; step < 60; ++step) {
    maker.act();
    const ProjectPtr project = maker.project();
    Progress given;
    // What was shown while it was made; what is given up goes on for a moment.
    const auto shown = std::make_shared<std::vector<std::shared_ptr<const Sites>>>();
    const Watch watch{.sites = [shown](const auto& sites) { *shown = sites; }};
    auto first = std::async(std::launch::async, [&] { return buildProject(store, project, given, watch); });
    if (maker.upTo(2) == 0) {
      std::this_thread::sleep_for(std::chrono::milliseconds(maker.upTo(40)));
      given.cancel();
    }
    try {
      const BuildPtr built = first.get();
      for (std::size_t p = 0; p < shown->size(); ++p) ASSERT_EQ(shown->at(p), built->parts.at(p).sites) << "part " << p;
    } catch (const Cancelled&) {
      ++cancelled;
      if (maker.upTo(2) == 0) continue;  // as when the next stroke comes before the picture of this one
    }
    if (step % 6 != 5) continue;  // building from nothing takes long
    const BuildPtr kept = buildProject(store, project, Progress()), fresh = build(project);
    ASSERT_EQ(firstDifference(outcomeOf(*project, *kept), outcomeOf(*project, *fresh)), "")
        << "seed " << GetParam() << ", step " << step;
  }
  EXPECT_GT(cancelled, 0);
  // What was finished once is there, whoever gave up after that: nothing was made twice.
  for (const auto& [recipe, count] : store.counts()) EXPECT_EQ(count.made, count.kept) << recipe;
}

INSTANTIATE_TEST_SUITE_P(Seeds, SequenceTest, testing::Range(1, 1 + rounds(5)));

}  // namespace
}  // namespace trellis::test
