"""Random job files: every kind of outline, zone, fall, edge, beam, pad, recess, kerb, layer and ground, turned or not.

Most are legal; what is not is refused by read_plan and drawn again. The same seed makes the same job.
"""

import math
import random

from shapely.geometry import Point, Polygon

from tests.random_later import days_said, on_top, order_said


class Draw:
    def __init__(self, seed):
        self.dice = random.Random(seed)
        angle = self.dice.choice([0.0, 0.0, math.pi / 4, self.dice.uniform(0, 6.3), self.dice.uniform(0, 6.3)])
        self.c, self.s = math.cos(angle), math.sin(angle)
        self.shift = self.dice.choice([(0.0, 0.0), (self.dice.uniform(-9e3, 9e3), self.dice.uniform(-9e3, 9e3))])
        self.wide, self.high = self.mm(3000, 16000), self.mm(3000, 12000)
        self.grain = self.dice.choice([25.4, 50.0, 1.0, 304.8])

    def mm(self, low, high):
        return self.dice.uniform(low, high)

    def near(self, low, high):
        """A coordinate, often on the grain."""
        value = self.mm(low, high)
        return round(value / self.grain) * self.grain if self.dice.random() < 0.7 else value

    def chance(self, p):
        return self.dice.random() < p

    def turned(self, ring):
        return [[self.c * x - self.s * y + self.shift[0], self.s * x + self.c * y + self.shift[1]] for x, y in ring]

    def outline(self):
        w, h, dice = self.wide, self.high, self.dice
        kind = dice.choice(["box", "box", "l", "l", "t", "u", "star", "star", "tri", "round", "chamfer"])
        a, b = w * dice.uniform(0.25, 0.75), h * dice.uniform(0.25, 0.75)
        if kind == "l":
            return [(0, 0), (w, 0), (w, b), (a, b), (a, h), (0, h)]
        if kind == "t":
            return [(0, 0), (w, 0), (w, b), (a, b), (a, h), (a * 0.4, h), (a * 0.4, b), (0, b)]
        if kind == "u":
            return [(0, 0), (w, 0), (w, h), (w * 0.75, h), (w * 0.75, b), (w * 0.3, b), (w * 0.3, h), (0, h)]
        if kind == "tri":
            return [(0, 0), (w, 0), (dice.uniform(-w / 4, w), h)]
        if kind == "chamfer":
            return [(0, 0), (w, 0), (w, b), (a, h), (0, h)]
        if kind == "round":
            n = dice.randint(8, 40)
            return [(w / 2 * math.cos(6.2831853 * i / n), h / 2 * math.sin(6.2831853 * i / n)) for i in range(n)]
        if kind == "star":
            n = dice.randint(4, 10)
            radii = [dice.uniform(0.3, 1) for _ in range(n)]
            turns = [6.2831853 * i / n for i in range(n)]
            return [(w / 2 * r * math.cos(t), h / 2 * r * math.sin(t)) for r, t in zip(radii, turns, strict=True)]
        return [(0, 0), (w, 0), (w, h), (0, h)]

    def spot(self, shape, out=0.0):
        x0, y0, x1, y1 = shape.bounds
        for _ in range(60):
            x, y = self.near(x0 - out, x1 + out), self.near(y0 - out, y1 + out)
            if out or shape.contains(Point(x, y)):
                return (x, y)
        spot = shape.representative_point()
        return (spot.x, spot.y)

    def patch(self, shape, low, high):
        x, y = self.spot(shape)
        w, h = self.near(low, high) or low, self.near(low, high) or low
        if self.chance(0.25):
            return [(x, y), (x + w, y), (x + w * self.dice.random(), y + h)]
        return [(x, y), (x + w, y), (x + w, y + h), (x, y + h)]

    def path(self, shape, most, out=0.0):
        return [self.spot(shape, out) for _ in range(self.dice.randint(2, most))]


def _zones(draw, shape, types):
    zones, left = [], shape
    for k in range(draw.dice.choice([0, 0, 1, 1, 2, 3])):
        part = Polygon(draw.patch(shape, 700, 6000)).intersection(left)
        if part.geom_type != "Polygon" or part.area < 2e5 or part.interiors:
            continue
        left = left.difference(part)
        ring = [(x, y) for x, y in part.exterior.coords[:-1]]
        zones.append(_zone(draw, f"z{k}", types, ring, part))
    rest = _zone(draw, "rest", types, None, left) if left.geom_type == "Polygon" else {"name": "rest", "slab": "S1"}
    return [rest, *zones]


def _zone(draw, name, types, ring, shape):
    dice = draw.dice
    zone = {"name": name, "slab": dice.choice(types), "polygon": ring and draw.turned(ring)}
    zone["drop_mm"] = dice.choice([0, 0, 0, 25, 50, dice.uniform(0, 120)])
    zone["underside"] = dice.choice(["parallel", "level"])
    if draw.chance(0.5):
        if draw.chance(0.5):
            zone["fall"] = {
                "kind": "plane",
                "toward_deg": dice.choice([0, 90, 180, dice.uniform(0, 360)]),
                "rate": dice.uniform(0, 0.03),
            }
        else:
            zone["fall"] = {"kind": "drain", "at": draw.turned([draw.spot(shape)])[0], "depth_mm": dice.uniform(5, 40)}
    return zone


def _edges(draw, n, shape):
    dice = draw.dice
    kinds = [
        {"mark": f"E{k}", "kind": "thickened", "depth_mm": dice.choice([300, 406.4, 457.2, dice.uniform(60, 900)]),
         "bottom_width_mm": dice.choice([200, 304.8, dice.uniform(60, 600)]), "haunch_run_per_rise": dice.choice([0, 0, 1, 0.5, dice.uniform(0, 2)])}
        for k in range(1, dice.randint(2, 4))
    ]  # fmt: skip
    for kind in kinds:
        if draw.chance(0.3):
            kind |= {"foam_mm": dice.choice([25, 50]), "plate_mm": 89}
    others = [{"mark": "W", "kind": dice.choice(["against-wall", "dowelled", "plain", "block-wall", "overhang"])}]
    marks = [row["mark"] for row in kinds + others]
    everywhere = dice.choice([*marks, None, None])
    of_side = [everywhere or dice.choice([*marks, None, None]) for _ in range(n)]
    rows = [{"sides": [i for i, m in enumerate(of_side) if m == mark], "type": mark} for mark in marks]
    rows = [row for row in rows if row["sides"]]
    for _ in range(dice.choice([0, 0, 0, 1, 2])):
        rows.append(
            {
                "along": draw.turned(draw.path(shape, 4)),
                "grow": dice.choice(["left", "right"]),
                "type": kinds[0]["mark"],
            }
        )
    return kinds + others, rows


def _parts(draw, shape):
    dice = draw.dice
    beam_types = [
        {"mark": f"B{k}", "width_mm": dice.choice([304.8, 250, dice.uniform(80, 500)]), "depth_mm": dice.uniform(150, 800), "haunch_run_per_rise": dice.choice([0, 1, 0.4])}
        for k in (1, 2)
    ]  # fmt: skip
    pad_types = [
        {"mark": "P1", "shape": "rectangle", "width_mm": dice.uniform(200, 1200), "length_mm": dice.uniform(200, 1200), "depth_mm": dice.uniform(150, 900)},
        {"mark": "P2", "shape": "round", "diameter_mm": dice.uniform(200, 1000), "depth_mm": dice.uniform(150, 900)},
    ]  # fmt: skip
    beams = []
    for _ in range(dice.choice([0, 0, 1, 2, 4])):
        path = draw.path(shape, 4, out=300)
        if len(path) > 2 and draw.chance(0.2):
            path.append(path[0])
        beams.append({"type": dice.choice(["B1", "B2"]), "path": draw.turned(path)})
    pads = [
        {"type": dice.choice(["P1", "P2"]), "at": draw.turned([draw.spot(shape, 100)])[0], "turn_deg": dice.choice([0, 45, dice.uniform(0, 90)])}
        for _ in range(dice.choice([0, 0, 1, 2, 5]))
    ]  # fmt: skip
    recesses = [
        {"name": f"r{k}", "polygon": draw.turned(draw.patch(shape, 300, 2500)), "depth_mm": dice.uniform(10, 500), "keeps_thickness": draw.chance(0.5)}
        for k in range(dice.choice([0, 0, 1, 2]))
    ]  # fmt: skip
    return {"beam_types": beam_types, "beams": beams, "pad_types": pad_types, "pads": pads, "recesses": recesses}


def _second(draw, shape):
    dice = draw.dice
    return {
        "kerbs": [{"path": draw.turned(draw.path(shape, 3)), "width_mm": 150, "height_mm": dice.uniform(50, 600)}] if draw.chance(0.2) else [],
        "side_pads": [{"name": "pad", "polygon": draw.turned([(-3000, -3000), (-2000, -3000), (-2000, -2000), (-3000, -2000)]), "thickness_mm": 120}] if draw.chance(0.2) else [],
        "piles": [{"diameter_mm": 200, "head_down_mm": dice.uniform(100, 400), "at": draw.turned([draw.spot(shape), draw.spot(shape)])}] if draw.chance(0.2) else [],
        "existing": [{"name": "old floor", "what": dice.choice(["slab", "wall", "walk", "kerb"]), "polygon": draw.turned([(-3000, 0), (0, 0), (0, 4000), (-3000, 4000)]), "level_mm": dice.choice([0, -30])}] if draw.chance(0.3) else [],
    }  # fmt: skip


def _ground(draw, types, n):
    dice = draw.dice
    layers = [
        {"kind": "finish", "thickness_mm": 15}, {"kind": "screed", "thickness_mm": 50}, {"kind": "foam", "thickness_mm": 80, "strength_kpa": 150},
        {"kind": "slab"}, {"kind": "barrier"}, {"kind": "foam", "thickness_mm": dice.uniform(20, 200), "strength_kpa": 200},
        {"kind": "blinding", "thickness_mm": 40}, {"kind": "stone", "thickness_mm": dice.uniform(50, 300)}, {"kind": "graded", "thickness_mm": 120},
        {"kind": "fill", "thickness_mm": dice.uniform(50, 900)}, {"kind": "native"},
    ]  # fmt: skip
    builds = []
    for mark in types:
        if draw.chance(0.6):
            kept = [row for row in layers if row["kind"] in ("slab", "native") or draw.chance(0.4)]
            builds.append({"slab": mark, "heated": draw.chance(0.3), "layers": kept})
    forms = []
    if draw.chance(0.5):
        for side in range(n):
            if draw.chance(0.6):
                levels = [dice.uniform(-500, 300) for _ in range(dice.choice([1, 2, 3]))]
                ground = [{"at_mm": 900.0 * k, "level_mm": level} for k, level in enumerate(levels)]
                forms.append(
                    {
                        "sides": [side],
                        "ground": ground,
                        "build": dice.choice(["boards", "boards", "panel", "foam-faced", "none"]),
                    }
                )
    ground = {
        "found_mm": dice.choice([None, dice.uniform(-400, 200)]),
        "strip_mm": dice.choice([None, 150]),
        "bucket_mm": dice.choice([None, 450, 600]),
    }
    bench = {"name": "nail", "level_mm": dice.uniform(-300, 300)}
    return {
        "build_ups": builds,
        "forms": forms,
        "ground": {**ground, "benchmarks": [bench] if draw.chance(0.5) else []},
    }


def _below(draw):
    """Footings with walls: round a rectangle, along a bend, straight and stepped."""
    dice, footings, walls = draw.dice, [], []
    for k in range(dice.choice([0, 1, 1, 2, 3])):
        x, y = draw.near(-2000, 6000), draw.near(-2000, 6000)
        w, h = dice.uniform(2500, 12000), dice.uniform(2500, 9000)
        kind = dice.choice(["round", "bend", "straight"])
        path = (
            [(x, y), (x + w, y)]
            if kind == "straight"
            else [(x, y), (x + w, y), (x + w + dice.uniform(-800, 800), y + h)]
        )
        if kind == "round":
            path = [*path, (x + dice.uniform(-800, 800), y + h), (x, y)]
            path = path if draw.chance(0.7) else path[::-1]
        wide, thick = (
            dice.choice([400, 406.4, dice.uniform(300, 700)]),
            dice.choice([200, 203.2, dice.uniform(150, 350)]),
        )
        row = {"id": f"t{k}", "name": f"f{k}", "path": draw.turned(path), "width_mm": wide, "thickness_mm": thick, "top_mm": dice.choice([-600, -813, dice.uniform(-1500, -400)])}  # fmt: skip
        if kind != "round" and draw.chance(0.4):
            row["steps"] = [{"at_mm": w / 2, "rise_mm": dice.choice([-200, 200, dice.uniform(50, 190)])}]
        if draw.chance(0.3):
            row["dug_width_mm"] = wide + dice.uniform(0, 300)
        footings.append(row)
        if draw.chance(0.7):
            sort = dice.choice(["block", "formed", "formed", "foam-form"])
            wall = {"name": f"w{k}", "footing": f"t{k}", "kind": sort, "thickness_mm": dice.choice([150, 190, 203.2]), "top_mm": dice.choice([0, 0, 150]), "offset_mm": dice.choice([0, 0, 40, -60])}  # fmt: skip
            if draw.chance(0.4):
                wall["set_downs"] = [
                    {"from_mm": 900.0, "to_mm": dice.uniform(1000, 1240), "down_mm": dice.uniform(10, 100)}
                ]
            if sort == "block":
                wall |= {"cores": dice.choice(["all", "nth", "bars"]), "cores_with": dice.choice(["slab", "walls"]), "meets": dice.choice(["against", "over", "header"])}  # fmt: skip
            elif draw.chance(0.5):
                wall |= {"foam_inside_mm": 50, "foam_between_mm": dice.choice([None, 50])}
            walls.append(wall)
    return {"footings": footings, "walls": walls}


def _beside(draw, ring):
    """A sidewalk round the outline, ramps and filled saw cuts along its first side."""
    dice, (a, b) = draw.dice, (ring[0], ring[1])

    def along(t):
        return (a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t)

    ramp = {"name": "ramp", "path": draw.turned([along(0.1), along(0.3)]), "run_mm": dice.uniform(600, 2000), "low_mm": -100, "thickness_mm": 150, "foot_mm": dice.uniform(30, 150), "flare_mm": dice.choice([0, 300])}  # fmt: skip
    cut = {"name": "cut", "kind": "saw-cut", "path": draw.turned([along(0.5), along(0.8)]), "width_mm": dice.uniform(0, 60), "end_width_mm": 20, "thickness_mm": 100}  # fmt: skip
    walk = {"name": "walk", "path": draw.turned([a, b]), "width_mm": dice.uniform(600, 1500), "thickness_mm": 100}
    return {
        "ramps": [ramp] if draw.chance(0.3) else [], "laps": [cut] if draw.chance(0.3) else [],
        "sidewalks": [walk] if draw.chance(0.4) else [],
    }  # fmt: skip


def random_job(seed):
    """A job file as data."""
    draw = Draw(seed)
    dice = draw.dice
    ring = draw.outline()
    shape = Polygon(ring)
    types = ["S1", "S2"][: dice.choice([1, 1, 2])]
    edge_types, edges = _edges(draw, len(ring), shape)
    below = Draw(seed + 7_000_000_019)
    top = Draw(seed + 11_000_000_033)
    said = Draw(seed + 13_000_000_067)
    for other in (below, top):
        other.c, other.s, other.shift = draw.c, draw.s, draw.shift
    return {
        "format": "humble-trowel-job", "version": 1, "name": f"random {seed}", "units": dice.choice(["mm", "ft-in"]),
        "site": {"frost_depth_mm": dice.choice([None, 300, 813, 1500]), "air_freezing_index_f_days": dice.choice([None, 1200, 2600])},
        "outline": draw.turned(ring),
        "openings": [draw.turned(draw.patch(shape, 200, 1800)) for _ in range(dice.choice([0, 0, 0, 1, 2]))],
        "slab_types": [{"mark": mark, "thickness_mm": dice.choice([100, 101.6, 127, 152.4, dice.uniform(75, 250)])} for mark in types],
        "zones": _zones(draw, shape, types), "edge_types": edge_types, "edges": edges,
        **_parts(draw, shape), **_second(draw, shape), **_ground(draw, types, len(ring)),
        **_below(below), **_beside(below, ring), **on_top(top, ring, shape), **order_said(said), **days_said(said),
    }  # fmt: skip
