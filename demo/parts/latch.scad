// SPDX-License-Identifier: GPL-3.0-or-later
// Vent latch: an arm with a broad flat underside and a shallow groove in it, on a hinge post, with a knob.
// openscad --export-format binstl -o latch.stl latch.scad
$fn = 96;
module arm() {
  difference() {
    translate([0, 0, 14]) linear_extrude(6) hull() {
      translate([0, 0]) circle(15);
      translate([72, 0]) circle(11);
    }
    // the groove the draught strip sits in: shallow enough to bridge
    translate([18, -3.5, 13]) cube([44, 7, 2.6]);
  }
}
difference() {
  union() {
    arm();
    cylinder(h = 15, r = 9);
    cylinder(h = 3, r1 = 16, r2 = 14);
    translate([72, 0, 20]) cylinder(h = 9, r1 = 5, r2 = 4);
    translate([72, 0, 33]) sphere(8);
  }
  translate([0, 0, -1]) cylinder(h = 30, r = 3.2);
  translate([0, 0, 16]) cylinder(h = 10, r = 6.2);
}
