// SPDX-License-Identifier: GPL-3.0-or-later
// Shapes whose answers are known on paper, and ways to build and read them back.
#pragma once

#include "core/assess/build.hpp"
#include "core/document/operations.hpp"
#include "core/mesh/inspect.hpp"
#include "core/results/build_project.hpp"

#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <functional>

namespace trellis::test {

MeshPtr box(const Vec3& low, const Vec3& high);
// What is filled of a grid of cuboids between these planes: one closed mesh. filled is asked for each cell.
MeshPtr blocks(const std::vector<double>& x, const std::vector<double>& y, const std::vector<double>& z,
               const std::function<bool(int, int, int)>& filled);
MeshPtr together(const std::vector<MeshPtr>& meshes);  // side by side in one mesh, nothing united
MeshPtr sphere(const Vec3& centre, double radius, int rings, int segments);
// A cone standing on its tip's circle: radius r at z = 0, growing at the given lean up to height h.
MeshPtr flaringCone(double r, double lean, double h, int segments);
// Three bars over the plate whose undersides are at 7.13, 11.37 and 15.91 mm, on one wall: heights that
// are no multiple of any usual layer.
MeshPtr threeCeilings();
// A plate held up by a post: a flat ceiling size × size mm with its underside at z, the post 4 mm thick
// in its middle.
MeshPtr table(double size, double z, double thickness);
MeshPtr twoTriangleSquare(double size);
// On a wall: its underside, 20 × 20 mm at 12 mm height, reaches from x = 4 to 24.
MeshPtr shelf();

// A project of one part with its mesh where it is, standing at the plate's (50, 50).
ProjectPtr projectOf(const MeshPtr& mesh, const std::vector<std::pair<std::string, nlohmann::json>>& settings = {});
// A place of the first part's mesh, on the plate.
Vec3 onPlate(const Project& project, const Vec3& mesh);
// Keeps the face of the first part at a place on the plate clean.
Operation keepClean(const Vec3& at);
ProjectPtr after(ProjectPtr project, const std::vector<Operation>& operations);
BuildPtr build(const ProjectPtr& project);
std::shared_ptr<const Supports> supportsOf(const ProjectPtr& project);  // without lines, time and judgement
std::string gcodeOf(const ProjectPtr& project);

// Area of all support of one layer height, mm², by the top of the layer.
std::map<long, double> supportAreas(const Build& build);

// A folder that is gone when the test ends.
class ScratchFolder {
 public:
  ScratchFolder();
  ~ScratchFolder();
  std::string operator/(const std::string& name) const { return path_ + "/" + name; }

 private:
  std::string path_;
};

// How often a test of random damage is repeated: the number given, or what TRELLIS_ROUNDS says, for a long run
// by hand.
int rounds(int standard);

// Runs the command line program; its standard output and error together.
struct CliRun {
  int code;
  std::string text;
};
CliRun cli(const std::string& arguments);

}  // namespace trellis::test
