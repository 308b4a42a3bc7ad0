// SPDX-License-Identifier: GPL-3.0-or-later
// The commands that compare, sweep and learn: compare, sweep, ladder, fragment, recipe.
#pragma once

#include "cli/options.hpp"

namespace trellis {

class LearnCommands {
 public:
  LearnCommands(CLI::App& app, Options& options);

  // Does what was asked and says with which code to end; nothing when it was none of them.
  std::optional<int> run() const;

 private:
  const Options& options_;
  CLI::App *compare_, *sweep_, *ladder_, *fragment_, *recipe_;
};

}  // namespace trellis
