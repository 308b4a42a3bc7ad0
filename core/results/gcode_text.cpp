// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/gcode_text.hpp"

#include "core/assess/report.hpp"
#include "core/gcode/writer.hpp"

namespace trellis {

std::string gcodeOf(const Project& project, const Build& build, const Progress& progress) {
  std::vector<std::string> names;
  for (const PartPtr& part : project.parts) names.push_back(part->name);
  const double height = build.print.layers.empty() ? 0 : build.print.layers.back()->top;
  return writeGcode(build.print, gcodeRules(project.settings, height, std::move(names)),
                    {codeOf(std::make_shared<const Project>(project)), totalsOf(build, project.settings)}, progress);
}

}  // namespace trellis
