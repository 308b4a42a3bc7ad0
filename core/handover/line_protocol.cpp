// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/handover/line_protocol.hpp"

#include <fmt/format.h>

#include <charconv>

namespace trellis {

namespace {

std::string_view trimmed(std::string_view text) {
  while (!text.empty() && std::string_view(" \t\r").find(text.front()) != std::string_view::npos) text.remove_prefix(1);
  while (!text.empty() && std::string_view(" \t\r").find(text.back()) != std::string_view::npos) text.remove_suffix(1);
  return text;
}

unsigned checksumOf(std::string_view text) {
  unsigned sum = 0;
  for (const char c : text) sum ^= static_cast<unsigned char>(c);
  return sum;
}

template <typename Number>
std::optional<Number> numberAt(std::string_view text) {
  Number value{};
  const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), value);
  return error == std::errc() ? std::optional(value) : std::nullopt;
}

// The figure behind a name, and the one wanted behind a slash: "T:205.1 /210.0".
bool readHeat(std::string_view text, std::string_view name, double& is, double& wanted) {
  const std::size_t at = text.find(name);
  if (at == std::string_view::npos) return false;
  const std::string_view rest = text.substr(at + name.size());
  const auto value = numberAt<double>(rest);
  if (!value) return false;
  is = *value;
  const std::size_t slash = rest.find('/');
  if (slash != std::string_view::npos && slash < 12)
    if (const auto goal = numberAt<double>(rest.substr(slash + 1))) wanted = *goal;
  return true;
}

}  // namespace

std::string numberedLine(std::size_t number, std::string_view command) {
  const std::string whole = fmt::format("N{} {}", number, command);
  return fmt::format("{}*{}\n", whole, checksumOf(whole));
}

std::string commandIn(std::string_view line) { return std::string(trimmed(line.substr(0, line.find(';')))); }

ReadLine readLine(std::string_view line) {
  line = trimmed(line);
  ReadLine read;
  const std::size_t star = line.rfind('*');
  if (star != std::string_view::npos) {
    const auto told = numberAt<unsigned>(line.substr(star + 1));
    read.sound = told && *told == checksumOf(line.substr(0, star));
    line = line.substr(0, star);
  }
  if (!line.empty() && line.front() == 'N') {
    read.number = numberAt<std::size_t>(line.substr(1));
    read.sound = read.sound && star != std::string_view::npos && read.number;
    const std::size_t blank = line.find(' ');
    line = blank == std::string_view::npos ? std::string_view() : line.substr(blank + 1);
  }
  read.command = commandIn(line);
  return read;
}

Answer readAnswer(std::string_view line) {
  Answer answer;
  answer.words = std::string(trimmed(line));
  const std::string_view words = answer.words;
  answer.ok = words == "ok" || words.starts_with("ok ");
  answer.busy = words.starts_with("busy:") || words.starts_with("echo:busy:");
  answer.wantsFilament = answer.busy && words.find("filament") != std::string_view::npos;
  answer.started = words == "start";
  answer.stopped = words.starts_with("!!") || words.find("halted") != std::string_view::npos;
  for (const std::string_view name : {"Resend:", "rs "})
    if (words.starts_with(name)) answer.resend = numberAt<std::size_t>(trimmed(words.substr(name.size())));
  Heat heat;
  if (readHeat(words, "T:", heat.nozzle, heat.nozzleWanted)) {
    readHeat(words, "B:", heat.plate, heat.plateWanted);
    answer.heat = heat;
  }
  return answer;
}

}  // namespace trellis
