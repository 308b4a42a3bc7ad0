# SPDX-License-Identifier: GPL-3.0-or-later
"""Makes the three organic demo parts: frond.stl, finial.stl, snail.stl.

Each is a distance field (rounded cones blended together) whose zero surface is walked with marching
cubes. Needs Debian's python3-skimage; only for making the parts anew, never for building the program.
Run it in this folder: /usr/bin/python3 sculpt.py
"""
import struct
import numpy as np
from skimage import measure


def blend(a, b, k):
    """Smooth minimum: the union of two bodies with a fillet of about k mm."""
    h = np.clip(0.5 + 0.5 * (b - a) / k, 0, 1)
    return b + (a - b) * h - k * h * (1 - h)


class Body:
    """A field on a grid of a given spacing over a box."""

    def __init__(self, low, high, step):
        axes = [np.arange(l, h + step, step, dtype=np.float64) for l, h in zip(low, high)]
        self.low, self.step = np.array(low, float), step
        self.x, self.y, self.z = np.meshgrid(*axes, indexing="ij")
        self.d = np.full(self.x.shape, 1e3)

    def cone(self, p, q, rp, rq, flat=1.0):
        """Distance to a rounded cone from p to q; flat < 1 squeezes it along z."""
        p, q = np.array(p, float), np.array(q, float)
        axis = q - p
        dx, dy, dz = self.x - p[0], self.y - p[1], self.z - p[2]
        t = np.clip((dx * axis[0] + dy * axis[1] + dz * axis[2]) / max(axis @ axis, 1e-9), 0, 1)
        ex, ey, ez = dx - t * axis[0], dy - t * axis[1], (dz - t * axis[2]) / flat
        return (np.sqrt(ex * ex + ey * ey + ez * ez) - (rp + (rq - rp) * t)) * min(flat, 1)

    def add(self, field, k):
        self.d = blend(self.d, field, k)

    def chain(self, points, radii, k, flat=1.0):
        for p, q, rp, rq in zip(points, points[1:], radii, radii[1:]):
            self.add(self.cone(p, q, rp, rq, flat), k)

    def carve(self, field, k):
        self.d = -blend(-self.d, field, k)

    def write(self, name):
        self.d = np.maximum(self.d, -self.z)  # stands flat on the plate
        vertices, faces, _, _ = measure.marching_cubes(self.d, 0.0)
        vertices = (vertices * self.step + self.low).astype("<f4")
        tri = vertices[faces]
        keep = (np.linalg.norm(np.cross(tri[:, 1] - tri[:, 0], tri[:, 2] - tri[:, 0]), axis=1) > 0)
        volume = np.einsum("ij,ij->i", tri[:, 0].astype(float), np.cross(tri[:, 1], tri[:, 2])).sum() / 6
        if volume < 0:
            tri = tri[:, ::-1]
        with open(name, "wb") as out:
            out.write(b"Meek Trellis demo part".ljust(80, b"\0") + struct.pack("<I", len(tri)))
            for t in tri:
                out.write(struct.pack("<12fH", 0, 0, 0, *t.reshape(9), 0))
        print(name, len(tri), "facets", np.ptp(vertices, axis=0), "degenerate:", int((~keep).sum()))


def frond():
    """A rain spout: a stem that rises, leans out and curls in, with leaflets whose tips droop."""
    b = Body((-22, -30, -1), (76, 30, 106), 0.8)
    # The stem: a rise on the left, then a spiral inward to the right.
    rise = [np.array([0 + 5 * t * t, 0, 60 * t]) for t in np.linspace(0, 1, 14)]
    centre, start = np.array([31.0, 62.0]), np.pi
    curl = []
    for t in np.linspace(0, 1, 46)[1:]:
        angle, radius = start - t * 3.3 * np.pi, 26 * (1 - 0.80 * t)
        curl.append(np.array([centre[0] + radius * np.cos(angle), 0, centre[1] + radius * np.sin(angle) * 1.15]))
    stem = rise + curl
    radii = list(np.linspace(5.2, 4.6, len(rise))) + list(np.linspace(4.6, 1.9, len(curl)))
    b.chain(stem, radii, 1.5)
    # The foot that is screwed to the gutter board.
    b.add(b.cone((-6, 0, 1.5), (10, 0, 1.5), 11, 11, 0.32), 5)
    # Leaflets, in pairs, each a flattened chain that arches out and hangs down at its tip.
    for i in range(9, 38, 5):
        p = stem[i]
        along = stem[i + 1] - stem[i - 1]
        along /= np.linalg.norm(along)
        size = 1.1 - 0.014 * (i - 9)
        for side in (1, -1):
            points, thick = [], []
            for t in np.linspace(0, 1, 9):
                out = side * (2 + 17 * size * np.sin(t * np.pi * 0.52))
                points.append(p + along * (6 * size * t) + np.array([0, out, 2.5 * size * np.sin(t * np.pi) - 7 * size * t * t]))
                thick.append(0.9 + 2.3 * size * np.sin(np.pi * (0.12 + 0.83 * t)))
            b.chain(points, thick, 0.8, 0.55)
    # The water runs down a groove along the outside of the rise and the top of the curl.
    outside = [p + np.array([-4.6, 0, 0]) for p in rise]
    for p, q in zip(outside[2:], outside[3:]):
        b.carve(b.cone(p, q, 2.4, 2.4), 0.6)
    b.write("frond.stl")


def finial():
    """A ridge finial: a foot, a slender stem with two knops, a leaning crescent and a bud."""
    b = Body((-16, -13, -1), (22, 13, 130), 0.6)
    b.add(b.cone((0, 0, 1.2), (0, 0, 3.0), 11.5, 9.5, 0.4), 1)
    b.chain([(0, 0, 2), (0, 0, 12), (0, 0, 26), (0, 0, 52), (0, 0, 84)], [7, 3.6, 2.6, 2.3, 2.0], 3)
    for z, r in ((30, 5.2), (58, 4.2)):
        b.add(b.cone((0, 0, z), (0, 0, z), r, r, 0.75), 2.5)
    crescent = []
    for t in np.linspace(0, 1, 26):
        a = np.pi * (1.28 - 1.5 * t)
        crescent.append((4.5 + 11.5 * np.cos(a), 0, 98 + 12.5 * np.sin(a)))
    b.chain(crescent, list(1.2 + 1.7 * np.sin(np.linspace(0.25, np.pi, 26))), 1.2)
    b.add(b.cone((0, 0, 84), (-2.6, 0, 89), 2.0, 2.4), 2)
    b.chain([(4.5, 0, 109), (4.5, 0, 116), (4.5, 0, 120), (4.5, 0, 126)], [1.6, 3.2, 2.4, 0.8], 2)
    b.write("finial.stl")


def snail():
    """A snail with a coiled shell and two eye-stalks that droop outward; the same on both sides."""
    b = Body((-34, -20, -1), (40, 20, 46), 0.6)
    b.chain([(-30, 0, 1.5), (-15, 0, 3.2), (5, 0, 4.2), (18, 0, 6), (25, 0, 12), (28, 0, 19)],
            [1.8, 5.5, 7.2, 6.4, 5.6, 5.4], 4)
    coil = []
    for t in np.linspace(0, 1, 70):
        a, r = -0.6 * np.pi + t * 4.6 * np.pi, 15.5 * (1 - 0.86 * t)
        coil.append((-4 + r * np.cos(a), 0, 22 + r * np.sin(a)))
    b.chain(coil, list(np.linspace(8.2, 2.2, 70)), 1.0)
    for side in (1, -1):
        stalk = []
        for t in np.linspace(0, 1, 12):
            stalk.append((28 + 6 * t, side * (2.4 + 12.5 * t), 21 + 15 * np.sin(t * np.pi * 0.72) - 7 * t * t))
        b.chain(stalk, list(np.linspace(2.3, 1.35, 12)), 1.2)
        b.add(b.cone(stalk[-1], stalk[-1], 2.7, 2.7), 0.8)
        b.chain([(31, side * 1.5, 15), (36, side * 4, 13)], [1.6, 1.0], 1.0)
    b.write("snail.stl")


frond()
finial()
snail()
