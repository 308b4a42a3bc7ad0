// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/results/perform_all.hpp"

#include "core/assess/removal.hpp"
#include "core/results/build_project.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace trellis {

ProjectPtr performedAll(Store& store, const Project& project, const nlohmann::json& list, const Progress& progress) {
  if (!list.is_array()) throw Error("Operations have to be a JSON list.");
  auto result = std::make_shared<const Project>(project);
  const auto perform = [&](const Operation& operation) { result = performed(*result, operation); };
  for (std::size_t i = 0; i < list.size(); ++i) try {
      if (list[i].is_object() && list[i].value("do", "") == "remove") {
        const nlohmann::json& at = list[i].at("at");
        const std::string reach = list[i].value("reach", "piece");
        if (reach != "column" && reach != "branch" && reach != "piece")
          throw Error("\"reach\" can be column, branch or piece.");
        const BuildPtr build = buildProject(store, result, progress);
        const Vec3 place(at.at(0).get<double>(), at.at(1).get<double>(), at.at(2).get<double>());
        const double width = list[i].value("width", usualDisc);
        if (!(width >= 1 && width <= 20)) throw Error("\"width\" can be 1 to 20 mm.");
        const auto operations =
            list[i].value("keep", false)
                ? keepingOnly(*build, place)
                : removing(*build, place, reach == "piece" ? Reach::piece : Reach::column, width).operations;
        for (const Operation& operation : operations) perform(operation);
      } else {
        perform(operationFrom(list[i], *result));
      }
    } catch (const nlohmann::json::exception&) {
      throw Error(fmt::format("Operation {}: \"at\" has to be three numbers.", i + 1));
    } catch (const Error& error) {
      throw Error(fmt::format("Operation {}: {}", i + 1, error.what()));
    }
  return result;
}

}  // namespace trellis
