// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/fuzz/readers.hpp"

#include "core/base/error.hpp"
#include "core/base/files.hpp"
#include "core/document/decisions_json.hpp"
#include "core/document/journal_file.hpp"
#include "core/document/marks_file.hpp"
#include "core/document/operations.hpp"
#include "core/document/project_file.hpp"
#include "core/gcode/reader.hpp"
#include "core/handover/sender.hpp"
#include "core/learn/bench_notes.hpp"
#include "core/mesh/extrude.hpp"
#include "core/mesh/foreign.hpp"
#include "core/mesh/stl.hpp"
#include "core/settings/sets.hpp"
#include "printer/bench_printer.hpp"

#include <unistd.h>

#include <nlohmann/json.hpp>

namespace trellis::test {

namespace {

using Json = nlohmann::json;

// What a reader refuses it refuses with a sentence.
template <typename Read>
void refusingIsFine(const Read& read) {
  try {
    read();
  } catch (const Error& error) {
    if (std::string_view(error.what()).empty()) throw std::logic_error("refused without a word");
  }
}

template <typename Read>
void asJson(std::string_view bytes, const Read& read) {
  const Json json = Json::parse(bytes, nullptr, false);
  refusingIsFine([&] { read(json); });
}

const ProjectPtr& someProject() {
  static const ProjectPtr project = [] {
    Part part;
    part.name = "box";
    part.mesh = extruded(rectangle({Vec2(0, 0), Vec2(10, 10)}), 0, 10);
    Project made;
    made.parts.push_back(std::make_shared<const Part>(std::move(part)));
    return std::make_shared<const Project>(withIds(std::move(made)));
  }();
  return project;
}

void stl(std::string_view bytes) {
  refusingIsFine([&] { readStl(bytes, "fuzzed.stl"); });
}

void passedMeshes(std::string_view bytes) {
  refusingIsFine([&] { unpackMeshes(bytes); });
}

void marks(std::string_view bytes) {
  refusingIsFine([&] { unpackMarks(bytes, 12, "fuzzed marks"); });
}

void project(std::string_view bytes) {
  refusingIsFine([&] { readProject(bytes, "fuzzed.3mf"); });
}

void decisions(std::string_view bytes) {
  const Attachments attached{[](const std::string&) { return someProject()->parts.front()->mesh; },
                             [](const std::string&, std::size_t) { return std::make_shared<const Marks>(); }};
  asJson(bytes, [&](const Json& json) { projectFrom(json, attached, "fuzzed.3mf"); });
}

void journal(std::string_view bytes) {
  static const std::filesystem::path file =
      std::filesystem::temp_directory_path() / ("fuzzed-" + std::to_string(getpid()) + ".journal");
  writeFileAtomically(file, bytes);
  refusingIsFine([&] { readJournal(file); });
  std::filesystem::remove(file);
}

void operations(std::string_view bytes) {
  asJson(bytes, [&](const Json& json) {
    ProjectPtr now = someProject();
    for (const Json& step : json.is_array() ? json : Json::array({json}))
      now = performed(*now, operationFrom(step, *now));
  });
}

void sets(std::string_view bytes) {
  asJson(bytes, [](const Json& json) { setFromJson(json, "fuzzed set"); });
}

void settings(std::string_view bytes) {
  asJson(bytes, [](const Json& json) { Settings().readJson(json); });
}

void notes(std::string_view bytes) {
  asJson(bytes, [](const Json& json) { noteFromJson(json, "fuzzed note"); });
}

void gcode(std::string_view bytes) {
  refusingIsFine([&] { readGcode(bytes, {}); });
}

// What a printer may answer, in bits as a wire brings them, to a sender in the middle of a print.
void answers(std::string_view bytes) {
  static const PrintJobPtr job = printJob("G28\nM104 S200\nG1 X10 E1 F600\nG1 X20 E1\nG1 Z1\nG1 X0 E2\n", 1500, {});
  Sender sender(job);
  double now = 0;
  for (std::size_t at = 0; at < bytes.size(); at += 7) {
    sender.toWrite(now += 0.5);
    sender.read(bytes.substr(at, 7), now);
  }
}

// And what may reach a printer.
void commands(std::string_view bytes) {
  BenchPrinter printer(PrinterManners{});
  printer.receive(bytes);
  for (int k = 0; k < 20; ++k) printer.advance(0.5);
  printer.take();
}

constexpr Reader all[] = {{"stl", stl},
                          {"passed-meshes", passedMeshes},
                          {"marks", marks},
                          {"project", project},
                          {"decisions", decisions},
                          {"journal", journal},
                          {"operations", operations},
                          {"sets", sets},
                          {"settings", settings},
                          {"notes", notes},
                          {"gcode", gcode},
                          {"answers", answers},
                          {"commands", commands}};

}  // namespace

std::span<const Reader> readers() { return all; }

}  // namespace trellis::test
