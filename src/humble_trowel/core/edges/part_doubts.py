"""Doubts about edges, beams, pads, recesses, piles and what is poured beside: legal, but worth a word."""

from __future__ import annotations

import math
from collections.abc import Sequence

import shapely
from shapely.geometry import LineString, Polygon

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.recesses import least_left_mm
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.strips import strip_width_mm
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.local_rules import NO_LOCAL, Local, limit
from humble_trowel.core.plan.shape_parts import Marked
from humble_trowel.core.units import format_area, say_depth

HAIR_MM = 50.0
HAIR_RAD = math.radians(2.0)
CLIPPED_M2 = 0.001


def part_findings(plan: Plan, solid: Solid, local: Local = NO_LOCAL) -> list[Finding]:
    """All of them, in the order edges, beams, pads, recesses, piles, side pads."""
    return [
        *_types(plan, solid, "edge_types", [edge.type for edge in plan.edges], "a side"),
        *_types(plan, solid, "beam_types", [beam.type for beam in plan.beams], "a line"),
        *_types(
            plan,
            solid,
            "pad_types",
            [*(pad.type for pad in plan.pads), *(pier.type for row in plan.side_pads for pier in row.piers)],
            "a spot",
        ),
        *_clipped(plan, solid),
        *_wide_haunches(plan, solid),
        *_hair_apart(plan),
        *_recesses(plan, solid, local),
        *_piles(plan, solid),
        *_side_pads(plan),
    ]


def _types(plan: Plan, solid: Solid, key: str, used: Sequence[str], needs: str) -> list[Finding]:
    """Types that nothing has, and types no deeper than the slab. Codes: edge-type-unused, beam-adds-nothing ..."""
    what = key.split("_")[0]
    thickest = max(cell.thickness_mm for cell in solid.cells)
    thinnest = min(cell.thickness_mm for cell in solid.cells)
    kinds: Sequence[Marked] = getattr(plan, key)
    rows = []
    for index, kind in enumerate(kinds):
        depth = getattr(kind, "depth_mm", None) or 0.0
        if kind.mark not in used:
            words = f"{kind.mark} is used {'on no side' if what == 'edge' else 'nowhere'}."
            rows.append(finding(f"{what}-type-unused", f"{key}[{index}]", words, f"Give it {needs}, or take it out."))
        elif getattr(kind, "kind", "thickened") == "thickened" and depth <= thickest:
            which = "any slab" if depth <= thinnest else "the thickest slab"
            words = f"{kind.mark} is {say_depth(depth, plan.units)} deep, no deeper than {which} ({say_depth(thickest, plan.units)})."
            remedy = "Make it deeper, or the side plain." if what == "edge" else "Make it deeper, or take it out."
            rows.append(finding(f"{what}-adds-nothing", f"{key}[{index}]", words, remedy))
    return rows


def _clipped(plan: Plan, solid: Solid) -> list[Finding]:
    rows = []
    for number, lost in solid.clipped_m2.items():
        part = solid.parts[number]
        if lost <= CLIPPED_M2 or (part.kind == "edge" and plan.edges[part.row].along is None):
            continue
        what = {"edge": f"A line of {part.mark}", "beam": f"A beam {part.mark}", "pad": f"A pad {part.mark}"}[part.kind]
        where = {"edge": f"edges[{part.row}].along", "beam": f"beams[{part.row}].path", "pad": f"pads[{part.row}].at"}[part.kind]  # fmt: skip
        words = f"{what} sticks out of the outline by {format_area(lost, plan.units)} and is cut off there."
        rows.append(finding("part-clipped", where, words, f"Move the {'line' if part.kind == 'edge' else part.kind}{', call it inside' if part.kind == 'pad' else ''}, or leave it."))  # fmt: skip
    return rows


def _wide_haunches(plan: Plan, solid: Solid) -> list[Finding]:
    """A haunch that runs on past the far side of the building."""
    slab = min(cell.thickness_mm for cell in solid.cells)
    x0, y0, x1, y1 = Polygon(plan.outline).bounds
    least = min(x1 - x0, y1 - y0)
    rows = []
    for index, kind in enumerate(plan.edge_types):
        wide = strip_width_mm(kind, slab) if kind.kind == "thickened" else 0.0
        if wide > least and any(edge.type == kind.mark for edge in plan.edges):
            words = f"{kind.mark} with its haunch is {say_depth(wide, plan.units)} wide; the slab is {say_depth(least, plan.units)}."
            rows.append(finding("haunch-wide", f"edge_types[{index}]", words, "Check its depth and angle: it thickens the whole slab."))  # fmt: skip
    return rows


def _hair_apart(plan: Plan) -> list[Finding]:
    """Beams nearly side by side: one drawn twice, or two that no trench can keep apart."""
    if len(plan.beams) < 2:
        return []
    width = {row.mark: row.width_mm for row in plan.beam_types}
    lines = [LineString(beam.path) for beam in plan.beams]
    near = shapely.STRtree(lines).query(lines, predicate="dwithin", distance=HAIR_MM + max(width.values()))
    rows = []
    for i, j in sorted({(int(a), int(b)) for a, b in near.T.tolist() if a < b}):
        one, two = plan.beams[i], plan.beams[j]
        turn = abs(_bearing(one.path) - _bearing(two.path)) % math.pi
        beside = lines[i].buffer((width[one.type] + width[two.type]) / 2 + HAIR_MM, cap_style="flat")
        shared = lines[j].intersection(beside).length
        if min(turn, math.pi - turn) < HAIR_RAD and shared > 0.2 * min(lines[i].length, lines[j].length):
            apart = say_depth(lines[i].distance(lines[j]), plan.units)
            words = (
                f"Beams {i + 1} and {j + 1} ({one.type}, {two.type}) run side by side, {apart} between their middles."
            )
            rows.append(
                finding("beams-close", f"beams[{j}].path", words, "Take one out, or make one wider beam of both.")
            )
    return rows


def _bearing(path: Sequence[tuple[float, float]]) -> float:
    (ax, ay), (bx, by) = path[0], path[-1]
    return math.atan2(by - ay, bx - ax) % math.pi


def _recesses(plan: Plan, solid: Solid, local: Local) -> list[Finding]:
    least = limit(local, "least-slab", plan.units)
    rows = []
    for index, recess in enumerate(plan.recesses):
        where = f"recesses[{index}]"
        lost = Polygon(recess.polygon).difference(Polygon(plan.outline)).area / 1e6
        if lost > CLIPPED_M2:
            words = f"Recess {recess.name} sticks out of the outline by {format_area(lost, plan.units)} and is cut off there."
            rows.append(finding("part-clipped", f"{where}.polygon", words, "Move it, or leave it."))
        if recess.keeps_thickness:
            continue
        left = least_left_mm(recess, solid.cells, solid.pieces)
        if left <= 0.5:
            words = f"Recess {recess.name}, {say_depth(recess.depth_mm, plan.units)} deep, goes through the slab."
            rows.append(finding("recess-through", where, words, "Let the slab dip under it, or make it an opening."))
        elif left < least.value - 0.5:
            words = f"Recess {recess.name} leaves {say_depth(left, plan.units)} of slab, less than {say_depth(least.value, plan.units)}.{least.note}"
            rows.append(
                finding("recess-thin", where, words, "Let the slab dip under it, or thicken it there.", "least-slab")
            )
    return rows


def _piles(plan: Plan, solid: Solid) -> list[Finding]:
    """Concrete above and below each pile head against what is asked."""
    rows = []
    for index, piles in enumerate(plan.piles):
        short = []
        for at, (x, y) in enumerate(piles.at):
            below = solid.depth_at(x, y) - piles.head_down_mm
            if below < piles.least_below_mm - 0.5:
                short.append((at, below))
        if short:
            at, below = min(short, key=lambda row: row[1])
            has = (
                f"{say_depth(below, plan.units)} of concrete below its head"
                if below > 0
                else "no concrete round its head"
            )
            more = f" {len(short) - 1} more too." if len(short) > 1 else ""
            words = f"{piles.name} {at + 1} has {has}; {say_depth(piles.least_below_mm, plan.units)} is asked.{more}"
            rows.append(finding("pile-cover", f"piles[{index}].at[{at}]", words, "Deepen the beam or pad over it, or cut the pile lower. The engineer decides."))  # fmt: skip
        if piles.head_down_mm < piles.least_above_mm - 0.5:
            words = f"{piles.name} end {say_depth(piles.head_down_mm, plan.units)} under the top; {say_depth(piles.least_above_mm, plan.units)} above them is asked."
            rows.append(finding("pile-cover", f"piles[{index}].head_down_mm", words, "Cut the piles lower. The engineer decides."))  # fmt: skip
    return rows


def _side_pads(plan: Plan) -> list[Finding]:
    outline = Polygon(plan.outline)
    rows = []
    for index, pad in enumerate(plan.side_pads):
        shared = outline.intersection(Polygon(pad.polygon)).area / 1e6
        if shared > CLIPPED_M2:
            words = f"{pad.name} lies on the slab by {format_area(shared, plan.units)}; it is counted beside it all the same."
            rows.append(finding("side-pad-on-slab", f"side_pads[{index}].polygon", words, "Move it off the slab, or pour it as a pad under it."))  # fmt: skip
    return rows
