"""What the Lines lens says of an outline: sides, diagonals, area, perimeter, each with its working."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from typing_extensions import TypedDict

from humble_trowel.core.calls.call_outs import call_of
from humble_trowel.core.geometry.polygon import XY, diagonal_pairs, perimeter_m, sides_mm, signed_area_m2
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.units import M2_PER_FT2, MM_PER_FT, Units, format_area, format_length, say_length
from humble_trowel.core.working import Working, leaf, work

DIAGONALS_UP_TO = 12

Diagonal = TypedDict("Diagonal", {"from": int, "to": int, "mm": float, "name": str, "text": str, "working": Working})


@dataclass(frozen=True)
class Side:
    """name: 'A to B'. call: what a person would call. stands: where it ends, from corner A's axes."""

    name: str
    mm: float
    text: str
    call: str
    stands: str
    edge: str | None


@dataclass(frozen=True)
class Outline:
    """area_m2 is net of openings; gross_m2 is not."""

    area_m2: float
    gross_m2: float
    perimeter_m: float
    sides_mm: list[float]
    diagonals: list[Diagonal]
    sides: list[Side]
    area: Working
    perimeter: Working
    area_text: str
    perimeter_text: str


def length_leaf(name: str, mm: float, units: Units, set_at: str = "", source: str = "typed") -> Working:
    """A length as an input of a working: decimal feet or m in the value, tape reading in the text."""
    if units == "mm":
        return leaf(name, mm, "mm", say_length(mm, units), source, set_at)
    return leaf(name, mm / MM_PER_FT, "ft", format_length(mm, units), source, set_at)


def outline_figure(plan: Plan, nearest: int, every_diagonal: bool, diagonals: bool = True) -> Outline:
    """Sides, diagonals, area and perimeter of a plan with an outline. diagonals: any at all."""
    ring = list(plan.outline or [])
    lengths = sides_mm(ring)
    gross = signed_area_m2(ring)
    holes = [abs(signed_area_m2(hole)) for hole in plan.openings]
    types = {side: edge.type for edge in plan.edges for side in edge.sides or ()}
    area = _area_working(plan, gross, holes)
    around = perimeter_m(ring)
    return Outline(
        area_m2=gross - math.fsum(holes),
        gross_m2=gross,
        perimeter_m=around,
        sides_mm=lengths,
        diagonals=_diagonals(ring, plan.units, nearest)
        if diagonals and (len(ring) <= DIAGONALS_UP_TO or every_diagonal)
        else [],
        sides=[_side(ring, i, lengths[i], plan.units, nearest, types.get(i)) for i in range(len(ring))],
        area=area,
        perimeter=_perimeter_working(ring, lengths, plan.units, nearest),
        area_text=format_area(gross - math.fsum(holes), plan.units),
        perimeter_text=say_length(around * 1000, plan.units, 4 if plan.units == "ft-in" else 16),
    )


def _side(ring: Sequence[XY], i: int, mm: float, units: Units, nearest: int, edge: str | None) -> Side:
    a, b = side_of(ring, i)
    stands = call_of(b[0] - ring[0][0], b[1] - ring[0][1], units).replace(" &", ",")
    call = call_of(b[0] - a[0], b[1] - a[1], units)
    return Side(side_name(i, len(ring)), mm, say_length(mm, units, nearest), call, stands, edge)


def _diagonals(ring: Sequence[XY], units: Units, nearest: int) -> list[Diagonal]:
    rows: list[Diagonal] = []
    for i, j in diagonal_pairs(len(ring)):
        name = f"{corner_name(i)} to {corner_name(j)}"
        working = across_working(name, ring[i], ring[j], units, nearest)
        mm = math.dist(ring[i], ring[j])
        rows.append({"from": i, "to": j, "mm": mm, "name": name, "text": working.text, "working": working})
    return rows


def across_working(name: str, a: XY, b: XY, units: Units, nearest: int = 16) -> Working:
    """The distance between two plan points, by the square corner rule."""
    dx, dy = abs(b[0] - a[0]), abs(b[1] - a[1])
    inputs = {
        "across": length_leaf(f"{name}, across", dx, units, "lines", "geometry"),
        "up": length_leaf(f"{name}, up", dy, units, "lines", "geometry"),
    }
    text = say_length(math.hypot(dx, dy), units, nearest)
    unit = "mm" if units == "mm" else "ft"
    words = "Square corner rule, on the outline as drawn."
    return work(name, unit, "sqrt(across**2 + up**2)", inputs, text=text, words=words)


def _area_working(plan: Plan, gross: float, holes: Sequence[float]) -> Working:
    scale, unit, digits = (1.0, "m²", 2) if plan.units == "mm" else (1 / M2_PER_FT2, "sq ft", 1)

    def input_of(name: str, m2: float) -> Working:
        return leaf(name, m2 * scale, unit, f"{m2 * scale:.{digits}f}", "geometry", "lines")

    inputs = {"outline": input_of("Inside the outline", gross)}
    formula = "outline"
    for index, hole in enumerate(holes):
        inputs[f"hole{index + 1}"] = input_of(f"Opening {index + 1}", hole)
        formula += f" - hole{index + 1}"
    text = format_area(gross - math.fsum(holes), plan.units)
    words = "Area inside the corners as they stand, less openings."
    return work("Area", unit, formula, inputs, text=text, words=words)


def _perimeter_working(ring: Sequence[XY], lengths: Sequence[float], units: Units, nearest: int) -> Working:
    inputs = {
        f"s{i}": length_leaf(side_name(i, len(ring)), mm, units, f"lines/side/{i}", "geometry")
        for i, mm in enumerate(lengths)
    }
    text = say_length(math.fsum(lengths), units, nearest)
    unit = "mm" if units == "mm" else "ft"
    return work("Perimeter", unit, " + ".join(inputs), inputs, text=text, words="All sides added.")
