// SPDX-License-Identifier: GPL-3.0-or-later
// What crashed windows left behind, from the command line.
#pragma once

#include <string>

// Both throw trellis::Error.
void listJournals(bool json);
void openJournal(const std::string& id, const std::string& project);
