"""Taped measures that cannot be used as they stand: corners that are not there, nothing, and triangles that cannot be."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import combinations

from humble_trowel.core.errors import InputError
from humble_trowel.core.lines.records import End, Measure, Offset, SideMark, Tape, Taped
from humble_trowel.core.plan.document import corner_name, side_name
from humble_trowel.core.units import Units, say_length

IMPOSSIBLE_SIGMAS = 10


def end_name(end: End, corners: int, units: Units) -> str:
    """'C', or 'the mark 18′ along J to A'."""
    if isinstance(end, SideMark):
        return f"the mark {say_length(end.at_mm, units)} along {side_name(end.side, corners)}"
    return corner_name(end)


def measure_name(measure: Measure, corners: int, units: Units) -> str:
    """'A to C', or 'D off the line A to B'."""
    if isinstance(measure, Offset):
        a, b = measure.line
        return f"{end_name(measure.to, corners, units)} off the line {corner_name(a)} to {corner_name(b)}"
    return f"{end_name(measure.start, corners, units)} to {end_name(measure.to, corners, units)}"


def check_taped(corners: int, sides_mm: Sequence[float], taped: Taped, units: Units, sigma_mm: float) -> None:
    """Raise InputError, with the path of the field, for anything that no shape could have."""
    if taped.hold[0] == taped.hold[1]:
        raise InputError("The held line needs two different corners.", "hold")
    for corner in taped.hold:
        _known(corner, corners, "hold")
    for row, measure in enumerate(taped.measures):
        path = f"measures[{row}]"
        ends = [measure.to] if isinstance(measure, Offset) else [measure.start, measure.to]
        for end, key in zip(reversed(ends), ("to", "from"), strict=False):
            _end_known(end, corners, sides_mm, units, f"{path}.{key}")
        if isinstance(measure, Offset):
            for corner in measure.line:
                _known(corner, corners, f"{path}.line")
            if measure.line[0] == measure.line[1]:
                raise InputError("A line needs two different corners.", f"{path}.line")
            if measure.to in measure.line:
                raise InputError("That corner is on the line itself. Read another.", f"{path}.to")
        elif measure.start == measure.to:
            raise InputError("From a corner to itself is no measure.", f"{path}.to")
        elif measure.mm <= 0:
            name = measure_name(measure, corners, units)
            raise InputError(f"{name} reads nothing. Tape it, or leave it out.", f"{path}.mm")
    _triangles(corners, taped, units, sigma_mm)


def _known(corner: int, corners: int, path: str) -> None:
    if not 0 <= corner < corners:
        last = corner_name(corners - 1)
        raise InputError(f"There is no corner {corner}: this outline has A to {last}, 0 to {corners - 1}.", path)


def _end_known(end: End, corners: int, sides_mm: Sequence[float], units: Units, path: str) -> None:
    if not isinstance(end, SideMark):
        _known(end, corners, path)
        return
    if end.side >= corners:
        raise InputError(f"There is no side {end.side}: this outline has 0 to {corners - 1}.", path)
    if end.at_mm > sides_mm[end.side] * 1.05 + 50:
        name, size = side_name(end.side, corners), say_length(sides_mm[end.side], units)
        raise InputError(f"{name} is only {size} long; a mark at {say_length(end.at_mm, units)} is past its end.", path)


def _triangles(corners: int, taped: Taped, units: Units, sigma_mm: float) -> None:
    """Three corners whose three distances were taped: the longest may not be over the other two together."""
    rows: dict[frozenset[int], tuple[int, Tape]] = {}
    for row, measure in enumerate(taped.measures):
        if isinstance(measure, Tape) and isinstance(measure.start, int) and isinstance(measure.to, int):
            rows.setdefault(frozenset((measure.start, measure.to)), (row, measure))
    used = sorted({corner for pair in rows for corner in pair})
    for three in combinations(used, 3):
        found = [rows.get(frozenset(pair)) for pair in combinations(three, 2)]
        if any(item is None for item in found):
            continue
        by_size = sorted((item for item in found if item is not None), key=lambda item: item[1].mm)
        short, middle, (at, longest) = by_size
        over = longest.mm - short[1].mm - middle[1].mm
        if over > IMPOSSIBLE_SIGMAS * sigma_mm:
            names = [measure_name(item[1], corners, units) for item in by_size]
            both = say_length(short[1].mm + middle[1].mm, units)
            raise InputError(
                f"{names[2]} cannot be {say_length(longest.mm, units)}: {names[0]} and {names[1]} together are only "
                f"{both}. Tape these three again.",
                f"measures[{at}].mm",
            )
