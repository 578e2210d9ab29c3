"""What the last load should be for fronts and yards that may come, worked out before they do: for a phone that will have no answer. m3."""

from __future__ import annotations

import math
from dataclasses import dataclass

from humble_trowel.core.order.risk import last_load
from humble_trowel.core.pour.day import PourDay, seen_of
from humble_trowel.core.pour.forecast import Seen, forecast_of
from humble_trowel.core.pour.fronts import Stand

EACH_WAY = 3  # steps of the order, about what is likely then
FULL = 1 - 1e-9


@dataclass(frozen=True)
class AheadCell:
    """If so much is in the forms when the strip is struck: what is left and its spread, what to call beyond what is sure, likely: nearest to what
    is thought now."""

    in_m3: float
    left_m3: float
    left_sd_m3: float
    call_m3: float
    short_share: float
    likely: bool


@dataclass(frozen=True)
class AheadStrip:
    """A strip that is not full yet. at: of the floor's parts."""

    at: int
    cells: list[AheadCell]


def ahead_of(day: PourDay) -> list[AheadStrip]:
    """Every strip that is still to come, but for the last: when that is struck nothing is left to call."""
    floor, planned = day.planned.floor, day.planned
    now = day.counts[-1] if day.counts else None
    shares = now.shares if now else (0.0,) * len(floor.parts)
    seen = seen_of(planned, day.loads, day.run, day.counts)
    left_drawn = max(1e-9, floor.drawn_m3 - day.forecast.done_m3)
    rows = []
    for at in range(len(floor.parts) - 1):
        if shares[at] > FULL:
            continue
        stand = _struck(day, shares, at)
        likely = (
            day.forecast.placed_m3 + day.forecast.left.mean_m3 * (stand.drawn_m3 - day.forecast.done_m3) / left_drawn
        )
        rows.append(AheadStrip(at, [_cell(day, seen, stand, in_m3, likely) for in_m3 in _about(likely, planned.costs.step_m3)]))  # fmt: skip
    return rows


def _about(likely_m3: float, step_m3: float) -> list[float]:
    middle = max(EACH_WAY + 1, round(likely_m3 / step_m3))
    return [n * step_m3 for n in range(middle - EACH_WAY, middle + EACH_WAY + 1)]


def _struck(day: PourDay, shares: tuple[float, ...], at: int) -> Stand:
    """As if everything up to a strip were struck now."""
    floor = day.planned.floor
    own = tuple(1.0 if n <= at else share for n, share in enumerate(shares))
    slab = math.fsum(share * one.slab_m3 for share, one in zip(own, floor.parts, strict=True))
    trench = math.fsum(share * one.trench_m3 for share, one in zip(own, floor.parts, strict=True))
    if day.counts and day.counts[-1].trench_share > FULL:
        trench = floor.trench_m3
    area = math.fsum(share * one.area_m2 for share, one in zip(own, floor.parts, strict=True))
    return Stand(
        "", day.now_min, "", "", own, slab / floor.slab_m3 if floor.slab_m3 else 0.0, trench / floor.trench_m3 if floor.trench_m3 else 0.0,
        area, slab + trench, None, None, True, False,
    )  # fmt: skip


def _cell(day: PourDay, seen: list[Seen], stand: Stand, in_m3: float, likely_m3: float) -> AheadCell:
    planned = day.planned
    found = forecast_of(
        planned.site, planned.belief, planned.doubts, planned.order, planned.floor.drawn_m3, [*seen, Seen(stand, in_m3, 0.0)]
    )  # fmt: skip
    best = last_load(found.left, planned.costs, max(0.0, day.call.firm_m3 - in_m3))
    near = abs(in_m3 - likely_m3) <= planned.costs.step_m3 / 2 + 1e-9
    return AheadCell(in_m3, found.left.mean_m3, found.left.sd_m3, best.order_m3, best.short_share, near)
