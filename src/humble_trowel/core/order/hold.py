"""Firm loads and one that is held: until when its size must be said, and how large it may be. m3, minutes after the first truck stands."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.order.allowances import trenches
from humble_trowel.core.order.doubts import Doubt
from humble_trowel.core.order.measured import Measured
from humble_trowel.core.order.risk import Costs, Volume
from humble_trowel.core.order.update import Belief, Piece, Site, after, prior, remaining
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays

NINETY_SD = 1.2816  # one pour in ten is above, one in ten below


@dataclass(frozen=True)
class Moment:
    """How wide the doubt is at a minute. placed_share: of the slab that is down."""

    at_min: float
    placed_share: float
    sd_m3: float


@dataclass(frozen=True)
class Hold:
    """firm_m3: loads that come whatever happens. say_min: the last minute to say the held one; arrives_min: when it stands here."""

    firm_m3: list[float]
    last_m3: float
    last_m3_min: float
    last_m3_max: float
    say_min: float
    arrives_min: float
    moments: list[Moment]


def site_of(plan: Plan, solid: Solid, ways: JobWays, found: Measured, drawn_m3: float) -> Site:
    """The slab and its trenches, as what a pour tells of itself needs them."""
    slab = math.fsum(solid.slab_m3(cell) for cell in solid.cells)
    run = math.fsum(one.length_mm for one in trenches(plan, solid, found)) / 1000
    area = sum(cell.area_m2 for cell in solid.cells)
    rough = 0.0 if found.base is not None else ways.doubt.rough_mm
    return Site(area, slab, run, max(0.0, drawn_m3 - slab), 0.0, 0.0, rough, ways.doubt.rough_m2)


def belief_of(site: Site, doubts: Sequence[Doubt], ways: JobWays) -> Belief:
    """What is believed before the first load, from the doubts of the order."""
    by_key = {row.key: row for row in doubts}
    base, trench = by_key.get("base"), by_key.get("trench")

    def per(row: Doubt | None, over: float) -> Volume:
        if row is None or over <= 0:
            return Volume(0.0, 0.0)
        return Volume(row.mean_m3 * 1000 / over, row.sd_m3 * 1000 / over)

    return prior(
        per(base, site.area_m2),
        per(trench, site.trench_m),
        Volume(ways.doubt.yield_low_share, ways.doubt.yield_sd_share),
    )


def sd_when(site: Site, belief: Belief, share: float, need_m3: float) -> float:
    """The spread of what remains once a share is down and took what it should."""
    if share <= 0:
        return remaining(site, belief, []).sd_m3
    share = min(0.999, share)
    piece = Piece(share, share, share * need_m3)
    return remaining(site, after(site, belief, piece), [piece]).sd_m3


def held(
    site: Site, belief: Belief, costs: Costs, loads_m3: Sequence[float], need_m3: float, sd_m3: float, spacing_min: float,
    ahead_min: float, placed_at: Sequence[tuple[float, float]],
) -> Hold | None:  # fmt: skip
    """The last load, held; None for a single one. sd_m3: of the whole need now. ahead_min: road, batching and place in line before a truck
    stands here. placed_at: (minute, m3 placed by then), rising."""
    if len(loads_m3) < 2:
        return None
    arrives = spacing_min * (len(loads_m3) - 1)
    say = arrives - ahead_min
    own = remaining(site, belief, []).sd_m3 or 1.0
    scale = sd_m3 / own  # what the site's three unknowns do not hold shrinks with them
    moments = []
    for at in sorted({0.0, max(0.0, say), arrives}):
        share = min(1.0, placed_by(placed_at, at) / need_m3) if need_m3 else 0.0
        moments.append(Moment(at, share, min(sd_m3, sd_when(site, belief, share, need_m3) * scale)))
    then = next(one for one in moments if one.at_min == max(0.0, say))
    firm = list(loads_m3[:-1])
    left = need_m3 - math.fsum(firm)
    step = costs.step_m3

    def stepped(m3: float, up: bool) -> float:
        count = math.ceil(m3 / step - 1e-9) if up else math.floor(m3 / step + 1e-9)
        return min(costs.most_m3, max(costs.least_m3, count * step))

    low, high = left - NINETY_SD * then.sd_m3, left + NINETY_SD * then.sd_m3
    return Hold(firm, loads_m3[-1], stepped(low, False), stepped(high, True), say, arrives, moments)


def placed_by(placed_at: Sequence[tuple[float, float]], minute: float) -> float:
    """m3 in the forms at a minute, straight between what is known."""
    before = (0.0, 0.0)
    for at, m3 in placed_at:
        if minute <= at:
            span = at - before[0]
            return before[1] + (m3 - before[1]) * ((minute - before[0]) / span if span > 0 else 1.0)
        before = (at, m3)
    return before[1]
