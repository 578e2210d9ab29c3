"""When each zone is floated, trowelled and sawn: by the set clock of the day where there is one, moved with the trucks; else by its mix alone."""

from __future__ import annotations

from collections.abc import Sequence

import shapely
from shapely.geometry import LineString

from humble_trowel.core.day.clock import ClockRow, HourSpan
from humble_trowel.core.day.day import DayFound
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.heat.hydration import SetTimes
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.act_list import Sets
from humble_trowel.core.pour.cuts import CutLine
from humble_trowel.core.pour.floor import Floor
from humble_trowel.core.pour.running import Filling, Run

Times = tuple[float | None, float | None, float | None, float | None, float | None, float | None]
"""float, second, final, saw from, saw until, dries from"""
OWN_SHARE = 0.25  # of a strip; with less of it in a zone it is not lit with that
CUT_MM = 500.0
NEVER: Times = (None, None, None, None, None, None)


def parts_in(floor: Floor, cell: Cell) -> tuple[str, ...]:
    """Strips that lie in a zone, or a good part of them."""
    rows = []
    for one in floor.parts:
        shared = float(shapely.intersection(one.region, cell.region).area)
        if one.region.area > 0 and shared > OWN_SHARE * one.region.area:
            rows.append(one.part.id)
    return tuple(rows)


class ZoneSets:
    """The zones of a slab. planned_min: when each load was to be batched; found: the day, None where it is not worked out."""

    def __init__(
        self, plan: Plan, cells: Sequence[Cell], floor: Floor, sawn: Sequence[CutLine], mix: SetTimes, planned_min: Sequence[float],
        found: DayFound | None, saw: str,
    ) -> None:  # fmt: skip
        self._plan, self._cells, self._mix, self._planned, self._found, self._saw = (
            plan,
            cells,
            mix,
            planned_min,
            found,
            saw,
        )
        self._parts = [parts_in(floor, cell) for cell in cells]
        self._cuts = [tuple(line.id for line in sawn if _crosses(cell, (line.start, line.end))) for cell in cells]

    def __call__(self, run: Run, filled: Sequence[Filling]) -> list[Sets]:
        """As the trucks run."""
        rows = []
        for at, cell in enumerate(self._cells):
            zone = self._plan.zones[cell.index]
            spot = cell.region.representative_point()
            clock = next((row for row in self._found.clock if row.zone == zone.id), None) if self._found else None
            own = [one for one in filled if one.id in self._parts[at] and one.start_min is not None]
            times = self._by_clock(clock, run, at) if clock else self._by_mix(run, own)
            printed = self._found is not None and any(one.zone == zone.id for one in self._found.prints)
            rows.append(
                Sets(zone.id, cell.name, *times, self._parts[at], (spot.x, spot.y), printed, self._plan.mix.finish == "trowelled", self._cuts[at])
            )  # fmt: skip
        return rows

    def _by_clock(self, row: ClockRow, run: Run, at: int) -> Times:
        assert self._found is not None
        start = self._found.start_h
        moved = 0.0
        if row.truck <= len(run.loads) and row.truck <= len(self._planned):
            moved = run.loads[row.truck - 1].batch_min - self._planned[row.truck - 1]

        def minute(span: HourSpan | None) -> float | None:
            return None if span is None else (span.at_h - start) * 60 + moved

        first, final = minute(row.float_at), minute(row.final)
        early = row.no_saw or self._saw == "early"
        opens, shuts = minute(row.early_saw if early else row.saw_from), minute(row.saw_until)
        dries = next((one for one in self._found.drying if one.zone == row.zone), None)
        dry = (dries.spans_h[0][0] - start) * 60 if dries and dries.spans_h else None
        sawn = opens if self._cuts[at] else None
        return first, _between(first, final), final, sawn, shuts if sawn is not None else None, dry

    def _by_mix(self, run: Run, own: Sequence[Filling]) -> Times:
        begin = min((one.start_min for one in own if one.start_min is not None), default=None)
        if begin is None:
            return NEVER
        load = next((one for one in reversed(run.loads) if one.unload_min <= begin + 1e-6), run.loads[0])
        first, final = load.batch_min + self._mix.footprint_h * 60, load.batch_min + self._mix.final_h * 60
        return first, _between(first, final), final, None, None, None


def _between(first: float | None, final: float | None) -> float | None:
    return None if first is None or final is None else (first + final) / 2


def _crosses(cell: Cell, line: tuple[XY, XY]) -> bool:
    return float(shapely.intersection(cell.region, LineString(line)).length) > CUT_MM
