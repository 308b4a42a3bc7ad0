// SPDX-License-Identifier: GPL-3.0-or-later
// The operations on variants and versions, as performed() uses them.
#pragma once

#include "core/document/operations.hpp"

namespace trellis {

ProjectPtr applyTo(const Project& project, const AddVariant& add);
ProjectPtr applyTo(const Project& project, const TakeVariant& take);
ProjectPtr applyTo(const Project& project, const RenameVariant& rename);
ProjectPtr applyTo(const Project& project, const RemoveVariant& remove);
ProjectPtr applyTo(const Project& project, const TakeOver& over);
ProjectPtr applyTo(const Project& project, const KeepVersion& keep);
ProjectPtr applyTo(const Project& project, const RestoreVersion& restore);

std::string named(const AddVariant& add);
std::string named(const TakeVariant&);
std::string named(const RenameVariant&);
std::string named(const RemoveVariant&);
std::string named(const TakeOver&);
std::string named(const KeepVersion&);
std::string named(const RestoreVersion& restore);

}  // namespace trellis
