// SPDX-License-Identifier: GPL-3.0-or-later
// How large and how many: the range of everything that is read from a file or asked for by an operation. What is beyond
// is refused in a sentence with the figure, before it is used.
#pragma once

#include "core/document/operations.hpp"

namespace trellis {

namespace bounds {

inline constexpr std::size_t parts = 2'000;
inline constexpr std::size_t decisions = 10'000;  // zones and props of all parts together
inline constexpr std::size_t variants = 100, versions = 10'000;
inline constexpr std::size_t layers = 100'000;
inline constexpr std::size_t text = 10'000;  // characters of a name, a note, a setting
inline constexpr std::size_t strokePoints = 100'000;
inline constexpr double place = 10'000;    // mm from the plate's corner, of parts
inline constexpr double decision = 4'000;  // mm from the plate's corner, of strokes, zones, props and choices
inline constexpr double smallestScale = 1e-3, largestScale = 1e3;
inline constexpr double smallestZone = 0.1, largestZone = 4'000;  // mm
inline constexpr double narrowestProp = 0.8, widestProp = 20;     // mm

}  // namespace bounds

// All throw Error with the figure and the range.
void checkPlacement(const Placement& placement, const std::string& name);
void checkPlace(const Vec3& at, const char* what);  // of a decision, on the plate: "A stroke", "A prop"
void checkPlane(const Plane& plane, const char* what);
void checkStroke(const LayMark& lay);
void checkText(const std::string& text, const char* what);  // "The name of a part"

// What no single figure shows: how many parts, decisions and layers there are, and how large parts become.
void checkBounds(const Project& project);

}  // namespace trellis
