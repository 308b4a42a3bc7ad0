// SPDX-License-Identifier: GPL-3.0-or-later
#include "cli/recover.hpp"

#include "core/base/files.hpp"
#include "core/document/journal.hpp"
#include "core/document/project_file.hpp"

#include <fmt/chrono.h>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <iostream>

using namespace trellis;

namespace {

std::string when(std::int64_t time) {
  return fmt::format("{:%Y-%m-%d %H:%M}", fmt::localtime(static_cast<std::time_t>(time)));
}

}  // namespace

void listJournals(bool json) {
  nlohmann::json all = nlohmann::json::array();
  for (const LeftJournal& left : leftJournals(journalFolder())) {
    if (!json)
      fmt::print("{:<16} {:>5} step{}  {}  last: {:<24} {}\n", left.id, left.steps, left.steps == 1 ? " " : "s",
                 when(left.time), left.step, left.file.empty() ? "not saved yet" : left.file);
    all.push_back(
        {{"id", left.id}, {"steps", left.steps}, {"step", left.step}, {"time", left.time}, {"file", left.file}});
  }
  if (json)
    std::cout << nlohmann::json{{"journals", all}}.dump(2) << "\n";
  else if (all.empty())
    fmt::print("Nothing was left behind.\n");
}

void openJournal(const std::string& id, const std::string& project) {
  for (const LeftJournal& left : leftJournals(journalFolder())) {
    if (left.id != id) continue;
    const Recovered recovered = recover(left.path);
    writeFileAtomically(project, packProject(*recovered.project));
    fmt::print("{} step{} up to \"{}\", written to {}.{}\n", left.steps, left.steps == 1 ? "" : "s", left.step, project,
               recovered.cutOff ? " What came after that was damaged and is lost." : "");
    return;
  }
  throw Error(fmt::format("There is no journal {}. List them with: meek-trellis-cli recover list", id));
}
