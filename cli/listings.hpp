// SPDX-License-Identifier: GPL-3.0-or-later
// What there is to choose from, on standard output: as lines, or as JSON.
#pragma once

namespace trellis {

void listSettings(bool json);  // every row of the table
void listSets(bool json);      // every machine, filament and print; files that cannot be read on standard error

}  // namespace trellis
