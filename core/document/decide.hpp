// SPDX-License-Identifier: GPL-3.0-or-later
// The operations that decide about supports, as performed() uses them.
#pragma once

#include "core/document/operations.hpp"

namespace trellis {

// Throws Error when there is no such part.
const Part& partAt(const Project& project, std::size_t part);
ProjectPtr withPart(const Project& project, std::size_t index, Part part);

ProjectPtr applyTo(const Project& project, const LayMark& lay);
ProjectPtr applyTo(const Project& project, const LayTwin& lay);
ProjectPtr applyTo(const Project& project, const SetTint& set);
ProjectPtr applyTo(const Project& project, const ClearDecisions& clear);
ProjectPtr applyTo(const Project& project, const AddZone& add);
ProjectPtr applyTo(const Project& project, const ChangeZone& change);
ProjectPtr applyTo(const Project& project, const CopyZone& copy);
ProjectPtr applyTo(const Project& project, const RemoveZone& remove);
ProjectPtr applyTo(const Project& project, const AddProp& add);
ProjectPtr applyTo(const Project& project, const ChangeProp& change);
ProjectPtr applyTo(const Project& project, const RemoveProp& remove);
ProjectPtr applyTo(const Project& project, const DecideSite& decide);

Sentence named(const LayMark& lay);
Sentence named(const LayTwin& lay);
Sentence named(const SetTint& set);
Sentence named(const ClearDecisions& clear);
Sentence named(const AddZone& add);
Sentence named(const ChangeZone& change);
Sentence named(const CopyZone& copy);
Sentence named(const RemoveZone& remove);
Sentence named(const AddProp& add);
Sentence named(const ChangeProp& change);
Sentence named(const RemoveProp& remove);
Sentence named(const DecideSite& decide);

// Brings a part's decisions over to a revised mesh, as far as the surface is still there, and lists the rest.
void carryDecisions(const Part& part, const MeshPtr& mesh, Part& result, const Progress& progress);

}  // namespace trellis
