// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/printed.hpp"

#include <cmath>
#include <numbers>
#include <sstream>
#include <stdexcept>

namespace trellis::test {

double Bead::length() const { return std::hypot(x1 - x0, y1 - y0); }

namespace {

double valueAfter(const std::string& line, const std::string& name) {
  const std::size_t at = line.find(name + "=");
  return at == std::string::npos ? 0 : std::stod(line.substr(at + name.size() + 1));
}

std::map<char, double> wordsOf(const std::string& code) {
  std::map<char, double> words;
  for (std::size_t at = 0; at < code.size();) {
    if (std::isspace(static_cast<unsigned char>(code[at]))) {
      ++at;
      continue;
    }
    const char letter = code[at++];
    std::size_t used = 0;
    if (letter < 'A' || letter > 'Z') throw std::runtime_error("no word: " + code);
    // "G28 X0", but also a bare axis letter, which stands for 0.
    try {
      words[letter] = std::stod(code.substr(at), &used);
    } catch (const std::invalid_argument&) {
      words[letter] = 0;
    }
    at += used;
  }
  return words;
}

}  // namespace

std::vector<Bead> readBeads(const std::string& gcode) {
  std::vector<Bead> beads;
  double x = 0, y = 0, z = 0, e = 0, width = 0, height = 0, layerHeight = 0;
  int tool = 0;
  bool relative = false, relativeE = false;
  std::string feature, line;
  std::istringstream text(gcode);
  while (std::getline(text, line)) {
    const std::string comment = line.find(';') == std::string::npos ? "" : line.substr(line.find(';'));
    if (comment.starts_with("; @layer")) height = layerHeight = valueAfter(comment, "height");
    if (comment.starts_with("; @feature")) {
      std::istringstream(comment.substr(10)) >> feature;
      width = valueAfter(comment, "width");
      height = comment.find("height=") == std::string::npos ? layerHeight : valueAfter(comment, "height");
    }
    const auto words = wordsOf(line.substr(0, line.find(';')));
    const auto code = [&](char letter, int number) {
      const auto found = words.find(letter);
      return found != words.end() && static_cast<int>(found->second) == number;
    };
    if (code('G', 90)) relative = relativeE = false;
    if (code('G', 91)) relative = relativeE = true;
    if (code('M', 82)) relativeE = false;
    if (code('M', 83)) relativeE = true;
    if (code('G', 92) && words.contains('E')) e = words.at('E');
    if (words.contains('T')) tool = static_cast<int>(words.at('T'));
    if (!words.contains('G') || !(code('G', 0) || code('G', 1))) continue;
    const double fromX = x, fromY = y, fromE = e;
    const auto move = [&](char axis, double& value, bool isRelative) {
      if (const auto found = words.find(axis); found != words.end())
        value = isRelative ? value + found->second : found->second;
    };
    move('X', x, relative);
    move('Y', y, relative);
    move('Z', z, relative);
    move('E', e, relativeE);
    if (e > fromE && (x != fromX || y != fromY))
      beads.push_back({fromX, fromY, x, y, z, e - fromE, feature, width, height, tool});
  }
  return beads;
}

std::vector<Bead> beadsOf(const std::string& gcode, const std::string& feature) {
  std::vector<Bead> beads = readBeads(gcode);
  std::erase_if(beads, [&](const Bead& bead) { return bead.feature != feature || bead.e <= 0; });
  return beads;
}

double heightFromExtrusion(const Bead& bead, double filamentDiameter) {
  const double section = bead.e * std::numbers::pi * filamentDiameter * filamentDiameter / 4 / bead.length();
  const double a = 1 - std::numbers::pi / 4, w = bead.width;  // a·h² − w·h + A = 0
  return (w - std::sqrt(std::max(0.0, w * w - 4 * a * section))) / (2 * a);
}

}  // namespace trellis::test
