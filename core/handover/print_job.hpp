// SPDX-License-Identifier: GPL-3.0-or-later
// A print as the lines that are sent, and what is known of each.
#pragma once

#include "core/base/progress.hpp"

#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace trellis {

struct JobLine {
  std::string command;
  double until = 0;  // s of the print when it is done, by the machine's own rules; heating not counted
  float height = 0;  // mm, of the layer it belongs to
  int layer = 0;     // from 1; 0 before the first
};

struct PrintJob {
  std::vector<JobLine> lines;
  double seconds = 0;
  int layers = 0;
  std::vector<std::size_t> changes;  // lines that take another filament, ascending
};
using PrintJobPtr = std::shared_ptr<const PrintJob>;

// acceleration: mm/s², where the text sets none. Layers are those that our comments name; in other text they are the
// heights at which filament is laid. Throws Error when the text cannot be read, see readGcode.
PrintJobPtr printJob(std::string_view gcode, double acceleration, const Progress& progress);

}  // namespace trellis
