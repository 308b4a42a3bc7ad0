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

std::string named(const LayMark& lay);
std::string named(const LayTwin& lay);
std::string named(const SetTint& set);
std::string named(const ClearDecisions& clear);
std::string named(const AddZone& add);
std::string named(const ChangeZone& change);
std::string named(const CopyZone& copy);
std::string named(const RemoveZone& remove);
std::string named(const AddProp& add);
std::string named(const ChangeProp& change);
std::string named(const RemoveProp& remove);
std::string named(const DecideSite& decide);

// Brings a part's decisions over to a revised mesh, as far as the surface is still there, and lists the rest.
void carryDecisions(const Part& part, const MeshPtr& mesh, Part& result, const Progress& progress);

}  // namespace trellis
