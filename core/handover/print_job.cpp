// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/handover/print_job.hpp"

#include "core/handover/line_protocol.hpp"
#include "core/trial/trial_print.hpp"

#include <cstdlib>

namespace trellis {

namespace {

// G4: P in milliseconds, S in seconds.
double dwellOf(const std::string& command) {
  if (!command.starts_with("G4 ") && command != "G4") return 0;
  const std::size_t p = command.find('P'), s = command.find('S');
  if (p != std::string::npos) return std::max(0.0, std::atof(command.c_str() + p + 1) / 1000);
  return s != std::string::npos ? std::max(0.0, std::atof(command.c_str() + s + 1)) : 0;
}

bool isToolChange(const std::string& command) {
  return command.size() > 1 && command[0] == 'T' && command[1] >= '0' && command[1] <= '9';
}

}  // namespace

PrintJobPtr printJob(std::string_view gcode, double acceleration, const Progress& progress) {
  const GcodeMoves moves = readGcode(gcode, progress);
  const std::vector<double> seconds = secondsOfMoves(moves, moves.acceleration > 0 ? moves.acceleration : acceleration);
  auto job = std::make_shared<PrintJob>();
  std::size_t move = 0;
  std::uint32_t number = 0;
  JobLine now;
  int named = -1, tool = 0;
  double laid = -1e9;
  for (std::size_t at = 0; at < gcode.size();) {
    const std::size_t end = std::min(gcode.find('\n', at), gcode.size());
    ++number;
    if ((number & 0xfff) == 0) progress.check();
    now.command = commandIn(gcode.substr(at, end - at));
    at = end + 1;
    for (; move < moves.moves.size() && moves.moves[move].line <= number; ++move) {
      const Move& one = moves.moves[move];
      now.until += seconds[move];
      const int said = moves.said[one.said].layer;
      const bool isNext = said >= 0 ? said != named : one.filament > 0 && one.to.z() > laid + 1e-6;
      if (isNext) {
        named = said;
        ++now.layer;
      }
      if (isNext || (said >= 0 && one.filament > 0)) now.height = static_cast<float>(one.to.z());
      if (one.filament > 0) laid = std::max(laid, one.to.z());
    }
    if (now.command.empty()) continue;
    now.until += dwellOf(now.command);
    if (isToolChange(now.command) && std::atoi(now.command.c_str() + 1) != tool) {
      tool = std::atoi(now.command.c_str() + 1);
      job->changes.push_back(job->lines.size());
    }
    job->lines.push_back(now);
  }
  job->seconds = now.until;
  job->layers = now.layer;
  return job;
}

}  // namespace trellis
