"""Edits of beam types and beams: one by a walk, a whole grid from a wall, under the borders of zones."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from typing import Any, Literal

import shapely
from pydantic import StrictBool
from shapely.geometry import LineString, Polygon

from humble_trowel.core.calls.walk import walk
from humble_trowel.core.edits.base import (
    BeamId,
    Calls,
    EditBase,
    Edited,
    Short,
    SideId,
    Spots,
    Typed,
    TypeMark,
    ring_needed,
    side_at,
    with_row,
)
from humble_trowel.core.edits.edges import read_cut, run_per_rise
from humble_trowel.core.edits.marks import mark_and_call
from humble_trowel.core.edits.outline import start_of
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.bays import beside_wall, off_wall
from humble_trowel.core.geometry.borders import shared_borders
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of, unit
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.shape_parts import Beam, BeamType
from humble_trowel.core.units import parse_length, say_depth, say_length

LEAST_SPACING_MM = 150.0
MOST = 400


class SetBeamType(EditBase):
    """Change a beam type, or add one with a new mark."""

    op: Literal["set_beam_type"]
    mark: TypeMark
    width: Typed | None = None
    depth: Typed | None = None
    degrees: float | None = None
    text: Short = ""

    def apply(self, plan: Plan) -> Edited:
        mark, text = mark_and_call(self.text, self.mark, plan.beam_types)
        old = next((row for row in plan.beam_types if row.mark == mark), None)
        values: dict[str, Any] = old.model_dump() if old else {"mark": mark}
        if text.strip():
            cut = read_cut(text, plan)
            values |= {"width_mm" if key == "bottom_width_mm" else key: mm for key, mm in cut.items()}
        for key, said in (("width_mm", self.width), ("depth_mm", self.depth)):
            if said is not None:
                values[key] = parse_length(said, plan.units, bare="in")
                if values[key] <= 0:
                    raise EditError("A beam needs more than nothing here.", key.removesuffix("_mm"))
        if self.degrees is not None:
            values["haunch_run_per_rise"] = run_per_rise(self.degrees)
        for key, name in (("depth_mm", "deep"), ("width_mm", "wide")):
            if not values.get(key):
                raise EditError(f"How {name}? A beam needs it.", "text")
        row = BeamType.model_validate(values)
        rows = [row if known.mark == mark else known for known in plan.beam_types]
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


class AddBeam(EditBase):
    """One beam along a walk or along points. A centreline by a walk from a corner, or by its points in mm."""

    op: Literal["add_beam"]
    type: TypeMark
    text: Calls = ""
    path: Spots | None = None

    def apply(self, plan: Plan) -> Edited:
        kind = type_needed(plan, self.type)
        path = list(self.path) if self.path else walked_path(plan, self.text, "beam")
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


class LayBeams(EditBase):
    """Beams from a side: parallel to it from wall to wall, at a spacing measured square to it; or off it, square to it
    from a foot on the wall to the far edge, at a spacing along the wall. Every `spacing`, or after each of `bays` ('9 ft,
    14 ft, 14 ft'). from_end: along the wall from its second corner."""

    op: Literal["lay_beams"]
    type: TypeMark
    side: SideId
    spacing: Typed | None = None
    bays: Short = ""
    run: Literal["parallel", "off"] = "parallel"
    from_end: StrictBool = False

    def apply(self, plan: Plan) -> Edited:
        kind = type_needed(plan, self.type)
        ring = ring_needed(plan)
        side = side_at(plan, self.side)
        line = side_of(ring, side)
        ux, uy = unit(*line)
        far = (
            math.dist(*line)
            if self.run == "off"
            else max(-(x - line[0][0]) * uy + (y - line[0][1]) * ux for x, y in ring)
        )
        paths: list[list[XY]] = []
        for off in _offsets(plan, self, far):
            paths += (
                off_wall(ring, line, far - off if self.from_end else off)
                if self.run == "off"
                else beside_wall(ring, line, off)
            )
        beams = [Beam(type=kind.mark, path=path) for path in paths if LineString(path).length > kind.width_mm]
        if not beams:
            way = "long" if self.run == "off" else "across from there"
            raise EditError(
                f"No beam fits: the {'wall' if self.run == 'off' else 'slab'} is {say_length(far, plan.units)} {way}.",
                "spacing",
            )
        words = f"{len(beams)} {kind.mark} {'beam' if len(beams) == 1 else 'beams'} {'off' if self.run == 'off' else 'from'} {side_name(side, len(ring))}"
        return _with(plan, beams, f"{words}, {_lengths(plan, beams)}")


def _lengths(plan: Plan, beams: Sequence[Beam]) -> str:
    """How long they are: '36 ft and 12 ft long', or all of them together."""
    sizes = [LineString(beam.path).length for beam in beams]
    if len(sizes) > 4:
        return f"{say_length(math.fsum(sizes), plan.units)} in all"
    return f"{' and '.join(say_length(size, plan.units) for size in sizes)} long"


def _offsets(plan: Plan, edit: LayBeams, far_mm: float) -> list[float]:
    if edit.bays.strip():
        bays, at, offsets = read_bays(edit.bays, plan), 0.0, []
        for bay in bays:
            at += bay
            if at < far_mm - 1.0:
                offsets.append(at)
        if at > far_mm + 1.0:
            what = "wall is {} long" if edit.run == "off" else "slab is {} across"
            words = (
                f"The bays add up to {say_length(at, plan.units)}; the {what.format(say_length(far_mm, plan.units))}."
            )
            raise EditError(words, "bays")
        return offsets
    if edit.spacing is None:
        raise EditError("How far apart? Say a spacing, or the bays one after another.", "spacing")
    spacing = parse_length(edit.spacing, plan.units)
    if spacing < LEAST_SPACING_MM:
        raise EditError(f"Beams every {say_length(spacing, plan.units)} leave no slab between them.", "spacing")
    return [spacing * k for k in range(1, math.ceil((far_mm - 1.0) / spacing))]


class BeamsOnZones(EditBase):
    """A beam under every border between two zones that has none yet. Beams under the borders between zones."""

    op: Literal["beams_on_zones"]
    type: TypeMark

    def apply(self, plan: Plan) -> Edited:
        kind = type_needed(plan, self.type)
        cells = lay_zones(plan)
        there = (
            shapely.union_all([LineString(beam.path).buffer(1.0) for beam in plan.beams]) if plan.beams else Polygon()
        )
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


class MoveBeam(EditBase):
    """Give a beam another centreline."""

    op: Literal["move_beam"]
    beam: BeamId
    path: Spots

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "beams", self.beam, "beam")
        row = plan.beams[at].model_copy(update={"path": list(self.path)})
        return with_row(plan, "beams", at, row), f"Beam {row.type} moved"


class SetBeamKind(EditBase):
    """Make a beam that lies there one of another kind."""

    op: Literal["set_beam_kind"]
    beam: BeamId
    type: TypeMark

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "beams", self.beam, "beam")
        if self.type not in {row.mark for row in plan.beam_types}:
            raise EditError(f"The mark {self.type} is no beam type here. Call its cut first, in the rack.", "type")
        old = plan.beams[at]
        row = old.model_copy(update={"type": self.type})
        return with_row(plan, "beams", at, row), f"Beam {old.type} is {self.type} now"


BEAM_EDITS = (SetBeamKind, SetBeamType, AddBeam, LayBeams, BeamsOnZones, MoveBeam)
