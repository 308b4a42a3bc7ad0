// SPDX-License-Identifier: GPL-3.0-or-later
// Whole files in and out, with sentences instead of error codes.
#pragma once

#include <filesystem>
#include <string>
#include <string_view>

namespace trellis {

// The whole file as bytes. Throws Error naming the file when it is missing, a folder, or unreadable.
std::string readFile(const std::filesystem::path& path);

// Writes all or nothing: a temporary file beside the target, fsync, rename. The previous file stays
// as it was when anything fails. Throws Error naming the file.
void writeFileAtomically(const std::filesystem::path& path, std::string_view bytes);

}  // namespace trellis
