// SPDX-License-Identifier: GPL-3.0-or-later
// meek-bench-printer: a printer to hand prints over to where there is none.
#include "core/base/error.hpp"
#include "printer/bench_printer.hpp"
#include "printer/wire.hpp"

#include <fmt/format.h>
#include <CLI/CLI.hpp>

#include <chrono>
#include <csignal>
#include <fstream>
#include <iostream>

namespace {

volatile std::sig_atomic_t ended = 0;

struct Drop {
  double at = 0, lasts = 0;  // s
  bool forgets = false;
};

void run(trellis::BenchPrinter& printer, trellis::Wire& wire, double factor, const Drop& drop, double patient) {
  using Clock = std::chrono::steady_clock;
  constexpr double patience = 0.002;  // s
  auto last = Clock::now();
  bool dropped = false, back = false;
  Clock::time_point called = last;
  Clock::time_point since;
  while (!ended) {
    printer.receive(wire.read(printer.isIdle() ? 10 * patience : patience / 4));
    const auto now = Clock::now();
    // As much time as has passed, but never more than a moment: where this program was held up, the printer was too.
    const double passed = std::min(std::chrono::duration<double>(now - last).count(), 0.02);
    last = now;
    if (wire.isCalled()) called = now;
    if (patient > 0 && std::chrono::duration<double>(now - called).count() > patient) return;
    printer.advance(passed * factor);
    wire.write(printer.take());
    if (drop.lasts > 0 && !dropped && printer.seconds() >= drop.at) {
      dropped = true;
      since = now;
      wire.drop();
      std::cout << "line dropped\n" << std::flush;
      if (drop.forgets) printer.restart();
    }
    if (dropped && !back && std::chrono::duration<double>(now - since).count() >= drop.lasts) {
      back = true;
      wire.plugIn();
      std::cout << wire.name() << "\n" << std::flush;
    }
  }
}

}  // namespace

int main(int argc, char** argv) {
  CLI::App app(
      "A stand-in for a printer. It opens a pseudo-terminal, or a local port, and says its name on standard output; "
      "what is handed over there it prints in its head, in the time a printer would take.");
  trellis::PrinterManners manners;
  Drop drop;
  int tcp = 0;
  double factor = 1, patient = 0;
  std::string link, log;
  app.add_option("--tcp", tcp, "a port of this machine instead of a pseudo-terminal")->check(CLI::Range(1, 65535));
  app.add_option("--link", link, "where a symbolic link to the pseudo-terminal is to be");
  app.add_option("--times", factor, "so many times as fast as a printer")->check(CLI::Range(0.01, 10000.0));
  app.add_option("--ends-after", patient, "s without anybody on the local port; 0: never")->check(CLI::Range(0.0, 1e6));
  app.add_option("--log", log, "a file for every numbered command that was taken");
  app.add_option("--acceleration", manners.acceleration, "mm/s²")->check(CLI::Range(10.0, 100000.0));
  app.add_option("--heats-in", manners.secondsToHeat, "s that the nozzle takes")->check(CLI::Range(0.1, 3600.0));
  const std::string wrong = "Misbehaviour";
  app.add_option("--garble-every", manners.garbleEvery, "bytes that arrive: one of them is another")->group(wrong);
  app.add_option("--garble-answers-every", manners.garbleAnswersEvery, "bytes that are said")->group(wrong);
  app.add_option("--double-every", manners.doubleEvery, "answers: one of them comes twice")->group(wrong);
  app.add_option("--stall-at", manners.stallAt, "s of printing after which it says nothing")->group(wrong);
  app.add_option("--stall-for", manners.stallFor, "s of printing that it says nothing")->group(wrong);
  app.add_option("--drop-at", drop.at, "s of printing after which the line is gone")->group(wrong);
  app.add_option("--drop-for", drop.lasts, "s of the clock until it is back")->group(wrong);
  app.add_flag("--forgets", drop.forgets, "with the line it loses all it knew")->group(wrong);
  app.add_option("--filament-out-at", manners.filamentOutAt, "mm of filament")->group(wrong);
  app.add_option("--overheat-at", manners.overheatAt, "s of printing after which its heater stays on")->group(wrong);
  CLI11_PARSE(app, argc, argv);
  for (const int signal : {SIGINT, SIGTERM}) std::signal(signal, [](int) { ended = 1; });
  try {
    trellis::BenchPrinter printer(manners);
    std::ofstream taken;
    if (!log.empty()) {
      taken.open(log);
      if (!taken) throw trellis::Error(log + " cannot be written.");
      printer.onTaken([&](std::size_t, const std::string& command) { taken << command << "\n" << std::flush; });
    }
    trellis::Wire wire(tcp, link);
    std::cout << wire.name() << "\n" << std::flush;
    run(printer, wire, factor, drop, patient);
    return 0;
  } catch (const trellis::Error& error) {
    std::cerr << error.what() << "\n";
    return 1;
  }
}
