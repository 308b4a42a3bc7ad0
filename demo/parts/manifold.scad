// SPDX-License-Identifier: GPL-3.0-or-later
// Drip manifold: a body with one long inner channel, three drip ports below and an inlet with a barb.
// The channel's far end is closed, so what is printed inside cannot come out.
// openscad --export-format binstl -o manifold.stl manifold.scad
$fn = 96;
module barb() {
  for (i = [0:2]) translate([0, 0, i * 5]) cylinder(h = 5, r1 = 6.2, r2 = 4.6);
}
difference() {
  union() {
    translate([0, -13, 0]) hull() {
      translate([4, 4, 0]) cylinder(h = 26, r = 4);
      translate([76, 4, 0]) cylinder(h = 26, r = 4);
      translate([4, 22, 0]) cylinder(h = 26, r = 4);
      translate([76, 22, 0]) cylinder(h = 26, r = 4);
    }
    translate([0, 0, 15]) rotate([0, -90, 0]) barb();
    for (x = [18, 40, 62]) translate([x, 0, 26]) cylinder(h = 10, r1 = 5, r2 = 3.6);
  }
  translate([-16, 0, 15]) rotate([0, 90, 0]) cylinder(h = 30, r = 3);
  // the inner chamber: wide and flat-roofed
  hull() {
    translate([10, -8, 8]) cube([62, 16, 12]);
    translate([8, 0, 15]) sphere(4);
  }
  for (x = [18, 40, 62]) translate([x, 0, 18]) cylinder(h = 20, r = 2);
  for (x = [6, 74]) for (y = [-9, 9]) translate([x, y, -1]) cylinder(h = 30, r = 1.7);
}
