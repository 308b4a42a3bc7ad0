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

Sentence named(const AddVariant& add);
Sentence named(const TakeVariant&);
Sentence named(const RenameVariant&);
Sentence named(const RemoveVariant&);
Sentence named(const TakeOver&);
Sentence named(const KeepVersion&);
Sentence named(const RestoreVersion& restore);

}  // namespace trellis
