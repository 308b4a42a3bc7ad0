// SPDX-License-Identifier: GPL-3.0-or-later
// The one list of everything that can be done to a project: for the window, the command line and tests.
#pragma once

#include "core/marks/brush.hpp"
#include "core/project/project.hpp"

#include <optional>
#include <variant>

namespace trellis {

struct AddParts {
  std::vector<PartPtr> parts;
};
struct RemovePart {
  std::size_t part = 0;
};
// What is not given stays as it is. Afterwards the part is dropped to the plate if asked.
struct PlacePart {
  std::size_t part = 0;
  std::optional<Vec3> position, turn, scale;
  bool drop = false;
};
struct MarkWithBall {
  std::size_t part = 0;
  Mark mark = Mark::enforce;  // none clears
  BallStroke stroke;
  bool keepToOverhangs = false;  // only where the lean exceeds the project's free lean
};
struct ClearMarks {
  std::size_t part = 0;
  std::optional<Mark> only;  // one kind, or all
};
struct ChangeSetting {
  std::string key;
  SettingValue value;
};
struct ResetSetting {
  std::string key;
};

using Operation = std::variant<AddParts, RemovePart, PlacePart, MarkWithBall, ClearMarks, ChangeSetting, ResetSetting>;

// As the Edit menu names it: "enforce stroke", "gap above 0.22 mm".
std::string nameOf(const Operation& operation);

// The project after the operation. Throws Error when it names a part, key or value that does not fit.
ProjectPtr performed(const Project& project, const Operation& operation);

// From the command line's JSON, see docs/formats/operations.md. Throws Error naming what is wrong.
Operation operationFrom(const nlohmann::json& json);
// A whole list; the error says which entry.
std::vector<Operation> operationsFrom(const nlohmann::json& list);

}  // namespace trellis
