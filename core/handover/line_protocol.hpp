// SPDX-License-Identifier: GPL-3.0-or-later
// The plain line protocol that open printer firmwares share (common practice): one command a line, each numbered and
// followed by a checksum; the printer answers every line with "ok", asks for one again with "Resend: n", and tells its
// heat when M105 asks.
#pragma once

#include <cstddef>
#include <optional>
#include <string>
#include <string_view>

namespace trellis {

// "N12 G1 X1*97": the checksum is the exclusive or of all bytes before the star.
std::string numberedLine(std::size_t number, std::string_view command);

// A line as the printer reads it.
struct ReadLine {
  std::optional<std::size_t> number = {};
  std::string command;  // without number, checksum and comment
  bool sound = true;    // false: the checksum does not agree, or there is a number and no checksum
};
ReadLine readLine(std::string_view line);

// The command of a line of a file, without comment and surplus blanks; empty where there is none.
std::string commandIn(std::string_view line);

struct Heat {
  double nozzle = 0, nozzleWanted = 0, plate = 0, plateWanted = 0;  // °C
};

// A line as the printer says it.
struct Answer {
  bool ok = false;                         // the answer to a line ends with it
  bool busy = false;                       // it lives, and is not ready yet
  bool wantsFilament = false;              // with busy: it waits for somebody
  bool started = false;                    // it has just been switched on: it knows nothing of a print
  bool stopped = false;                    // it gave up by itself
  std::optional<std::size_t> resend = {};  // from this line on
  std::optional<Heat> heat = {};
  std::string words;  // as it was said
};
Answer readAnswer(std::string_view line);

}  // namespace trellis
