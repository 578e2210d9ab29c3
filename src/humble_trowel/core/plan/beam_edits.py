"""Edits of beam types and beams: one by a walk, a whole grid from a wall, under the borders of zones."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from typing import Any

import shapely
from shapely.geometry import LineString, Polygon

from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.borders import shared_borders
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.lines.walk import walk
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.edge_edits import read_cut, run_per_rise
from humble_trowel.core.plan.marks import mark_and_call
from humble_trowel.core.plan.outline_edits import Edited, ring_needed, start_of
from humble_trowel.core.plan.shape_edit_kinds import AddBeam, BeamsOnZones, LayBeams, MoveBeam, SetBeamType
from humble_trowel.core.plan.shape_parts import Beam, BeamType
from humble_trowel.core.units import parse_length, say_depth, say_length

LEAST_SPACING_MM = 150.0
MOST = 400


def set_beam_type(plan: Plan, edit: SetBeamType) -> Edited:
    """Change a beam type, or add one with a new mark."""
    mark, text = mark_and_call(edit.text, edit.mark, plan.beam_types)
    edit = edit.model_copy(update={"mark": mark, "text": text})
    old = next((row for row in plan.beam_types if row.mark == edit.mark), None)
    values: dict[str, Any] = old.model_dump() if old else {"mark": edit.mark}
    if edit.text.strip():
        cut = read_cut(edit.text, plan)
        values |= {"width_mm" if key == "bottom_width_mm" else key: mm for key, mm in cut.items()}
    for key, said in (("width_mm", edit.width), ("depth_mm", edit.depth)):
        if said is not None:
            values[key] = parse_length(said, plan.units, bare="in")
            if values[key] <= 0:
                raise EditError("A beam needs more than nothing here.", key.removesuffix("_mm"))
    if edit.degrees is not None:
        values["haunch_run_per_rise"] = run_per_rise(edit.degrees)
    for key, name in (("depth_mm", "deep"), ("width_mm", "wide")):
        if not values.get(key):
            raise EditError(f"How {name}? A beam needs it.", "text")
    row = BeamType.model_validate(values)
    rows = [row if known.mark == edit.mark else known for known in plan.beam_types]
    words = f"{row.mark} {say_depth(row.width_mm, plan.units)} wide, {say_depth(row.depth_mm, plan.units)} deep"
    return plan.model_copy(update={"beam_types": rows if old else [*rows, row]}), words


def type_needed(plan: Plan, mark: str) -> BeamType:
    """The beam type of a mark, or EditError."""
    kind = next((row for row in plan.beam_types if row.mark == mark), None)
    if kind is None:
        raise EditError(f"The mark {mark} is no beam type here. Call its size first, like 12 wide 18 deep 45.", "type")
    return kind


def walked_path(plan: Plan, text: str, what: str) -> list[XY]:
    """Points of a walk that begins with 'from <corner> ...'."""
    ring_needed(plan)
    start = start_of(plan, text)
    if start is None:
        raise CallError(f"Where does the {what} start? Begin with from B 3' n, then where it runs.", path="text")
    walked = walk(text, plan.units, start)
    if walked.heard.problem:
        raise CallError(walked.heard.problem, tuple(choice.text for choice in walked.heard.choices), "text")
    return list(walked.points)


def add_beam(plan: Plan, edit: AddBeam) -> Edited:
    """One beam along a walk or along points."""
    kind = type_needed(plan, edit.type)
    path = list(edit.path) if edit.path else walked_path(plan, edit.text, "beam")
    if len(path) < 2:
        raise CallError("How far, and which way?", path="text")
    return _with(plan, [Beam(type=kind.mark, path=path)], f"Beam {kind.mark} laid")


def _with(plan: Plan, beams: Sequence[Beam], words: str) -> Edited:
    if len(plan.beams) + len(beams) > MOST:
        raise EditError(f"That makes {len(plan.beams) + len(beams)} beams; a job holds {MOST}.")
    return plan.model_copy(update={"beams": [*plan.beams, *beams], "walk": None}), words


def read_bays(text: str, plan: Plan) -> list[float]:
    """'9', 14', 14', 11'' as mm, one after another; '3 x 12 ft' repeats."""
    bays: list[float] = []
    for bit in re.split(r"\s*[,;]\s*", text.strip()):
        if not bit:
            continue
        match = re.fullmatch(r"(\d{1,2})\s*[x×]\s*(.+)", bit)
        count, said = (int(match[1]), match[2]) if match else (1, bit)
        size = parse_length(said, plan.units)
        if size < LEAST_SPACING_MM:
            raise EditError(f"A bay of {say_length(size, plan.units)} is too narrow for a beam or a post.", "bays")
        bays += [size] * count
    return bays


def lay_beams(plan: Plan, edit: LayBeams) -> Edited:
    """Beams parallel to a side from wall to wall, at a spacing measured square to it."""
    kind = type_needed(plan, edit.type)
    ring = ring_needed(plan)
    if edit.side >= len(ring):
        raise EditError(f"There is no side {edit.side}.", "side")
    a, b = ring[edit.side], ring[(edit.side + 1) % len(ring)]
    size = math.dist(a, b)
    ux, uy = (b[0] - a[0]) / size, (b[1] - a[1]) / size
    far = max(-(x - a[0]) * uy + (y - a[1]) * ux for x, y in ring)
    offsets = _offsets(plan, edit, far)
    outline = Polygon(ring)
    reach = 2 * (outline.length + 1)
    beams = []
    for off in offsets:
        foot = (a[0] - off * uy, a[1] + off * ux)
        line = LineString([(foot[0] - reach * ux, foot[1] - reach * uy), (foot[0] + reach * ux, foot[1] + reach * uy)])
        for part in shapely.get_parts(line.intersection(outline)):
            inside = outline.exterior.distance(part.interpolate(0.5, normalized=True)) > 1.0
            if part.geom_type == "LineString" and inside and part.length > kind.width_mm:
                beams.append(
                    Beam(type=kind.mark, path=[(round(x, 3) + 0.0, round(y, 3) + 0.0) for x, y in part.coords])
                )
    if not beams:
        raise EditError(f"No beam fits: the slab is {say_length(far, plan.units)} across from there.", "spacing")
    words = f"{len(beams)} {kind.mark} {'beam' if len(beams) == 1 else 'beams'} from {side_name(edit.side, len(ring))}"
    return _with(plan, beams, words)


def _offsets(plan: Plan, edit: LayBeams, far_mm: float) -> list[float]:
    if edit.bays.strip():
        bays, at, offsets = read_bays(edit.bays, plan), 0.0, []
        for bay in bays:
            at += bay
            if at < far_mm - 1.0:
                offsets.append(at)
        if at > far_mm + 1.0:
            words = (
                f"The bays add up to {say_length(at, plan.units)}; the slab is {say_length(far_mm, plan.units)} across."
            )
            raise EditError(words, "bays")
        return offsets
    if edit.spacing is None:
        raise EditError("How far apart? Say a spacing, or the bays one after another.", "spacing")
    spacing = parse_length(edit.spacing, plan.units)
    if spacing < LEAST_SPACING_MM:
        raise EditError(f"Beams every {say_length(spacing, plan.units)} leave no slab between them.", "spacing")
    return [spacing * k for k in range(1, math.ceil((far_mm - 1.0) / spacing))]


def beams_on_zones(plan: Plan, edit: BeamsOnZones) -> Edited:
    """A beam under every border between two zones that has none yet."""
    kind = type_needed(plan, edit.type)
    cells = lay_zones(plan)
    there = shapely.union_all([LineString(beam.path).buffer(1.0) for beam in plan.beams]) if plan.beams else Polygon()
    beams = []
    for at, one in enumerate(cells):
        for other in cells[at + 1 :]:
            for path in shared_borders(one.whole, other.whole):
                left = LineString(path).difference(there)
                if left.length > kind.width_mm and left.geom_type == "LineString":
                    spots = shapely.get_coordinates(left).tolist()
                    beams.append(Beam(type=kind.mark, path=[(x, y) for x, y in spots]))
    if not beams:
        raise EditError("There is no border between zones without a beam.")
    return _with(plan, beams, f"{len(beams)} {kind.mark} under zone borders")


def move_beam(plan: Plan, edit: MoveBeam) -> Edited:
    """Give a beam another centreline."""
    if edit.index >= len(plan.beams):
        raise EditError("There is no such beam.")
    row = plan.beams[edit.index].model_copy(update={"path": list(edit.path)})
    rows = [row if at == edit.index else old for at, old in enumerate(plan.beams)]
    return plan.model_copy(update={"beams": rows}), f"Beam {row.type} moved"
