"""How much the pour takes in all, believed anew after every word of the front: what was placed against what that takes as drawn.

Base, trenches and tickets are three unknowns (order/update.py). How far an eye put each front wrong is one more for every tap: the same error
makes a piece look heavy and the rest look large, so leaving it out of the rest would make the band far too narrow. What else is allowed for
(forms, foam, what stays behind, the hose) keeps its middle and its spread. m3.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field, replace

import numpy as np

from humble_trowel.core.order.doubts import Doubt
from humble_trowel.core.order.risk import Volume
from humble_trowel.core.order.update import Array, Belief, Site
from humble_trowel.core.pour.fronts import Stand

LEAST_PIECE = 0.04  # of the whole; a smaller piece is told with the next one
FULL = 1 - 1e-6
NOTHING = Volume(0.0, 0.0)
LEARNT = ("base", "trench", "yield")


@dataclass(frozen=True)
class Seen:
    """A word of the front with what was out of the drums by then. sd_m3: of that, where a truck was half empty."""

    stand: Stand
    placed_m3: float
    sd_m3: float


@dataclass(frozen=True)
class Cause:
    """Why it takes more or less than drawn. key: of a doubt of the order. before, now: what it makes of the whole pour."""

    key: str
    name: str
    before: Volume
    now: Volume


@dataclass(frozen=True)
class Forecast:
    """placed_m3: by the newest word; left: what the rest takes; total: both. drawn_m3: all as drawn, done_m3: of that behind the front.
    causes: in the order of the doubts. belief: of base, trenches and tickets now, None before anything is known."""

    placed_m3: float
    left: Volume
    total: Volume
    drawn_m3: float
    done_m3: float
    causes: list[Cause]
    pieces: int
    belief: Belief | None = field(default=None, compare=False)


def forecast_of(
    site: Site, prior: Belief, doubts: Sequence[Doubt], order: Volume, drawn_m3: float, seen: Sequence[Seen]
) -> Forecast:
    """order: the need as it was ordered for; that is the forecast until something is known. seen: words that count, oldest first."""
    others = [row for row in doubts if row.key not in LEARNT]
    prime = math.fsum(row.mean_m3 for row in others if row.key == "prime")
    stays = math.fsum(row.mean_m3 for row in others if row.key == "left")
    forms = math.fsum(row.mean_m3 for row in others if row.key in ("foam", "bow"))
    loose = math.sqrt(math.fsum(row.sd_m3**2 for row in others))
    own = replace(site, spill_share=forms / site.drawn_m3 if site.drawn_m3 else 0.0)
    kept = _apart(own, seen)
    if not kept:
        return Forecast(0.0, order, order, drawn_m3, 0.0, _causes(own, doubts, prior, prior, order), 0)
    belief = _told(own, prior, kept, prime)
    last = kept[-1]
    left = NOTHING if last.stand.drawn_m3 > drawn_m3 * FULL else _rest(own, belief, last.stand, stays, loose)
    total = Volume(last.placed_m3 + left.mean_m3, left.sd_m3)
    causes = _causes(own, doubts, prior, belief, total)
    own_three = Belief(belief.middle[:3], belief.spread[:3, :3])
    return Forecast(last.placed_m3, left, total, drawn_m3, last.stand.drawn_m3, causes, len(kept), own_three)


def _apart(site: Site, seen: Sequence[Seen]) -> list[Seen]:
    """Words that end a piece worth telling; the newest always does."""
    kept: list[Seen] = []
    for one in seen:
        if kept and one.stand.drawn_m3 - kept[-1].stand.drawn_m3 < LEAST_PIECE * site.drawn_m3:
            kept.pop()
        kept.append(one)
    return kept


def _told(site: Site, prior: Belief, kept: Sequence[Seen], prime_m3: float) -> Belief:
    """What is believed after all pieces: of base, trenches and tickets, then of how far each front lies behind where it was put."""
    count = len(kept)
    eyes = [0.0 if one.stand.struck else (site.eye_share * site.drawn_m3) ** 2 for one in kept]
    middle = np.concatenate([prior.middle, np.zeros(count)])
    spread = np.zeros((3 + count, 3 + count))
    spread[:3, :3] = prior.spread
    spread[3:, 3:] = np.diag(eyes)
    slab, trench, placed = 0.0, 0.0, prime_m3
    for at, one in enumerate(kept):
        stand = one.stand
        ds, dt, took = stand.slab_share - slab, stand.trench_share - trench, one.placed_m3 - placed
        slab, trench, placed = stand.slab_share, stand.trench_share, one.placed_m3
        weights = np.zeros(3 + count)
        weights[:3] = (ds * site.area_m2 / 1000, dt * site.trench_m / 1000, took)
        weights[3 + at] = -1.0
        if at:
            weights[2 + at] = 1.0
        noise = site.rough_m3(max(0.0, ds)) ** 2 + (site.meter_share * took) ** 2 + one.sd_m3**2
        middle, spread = _learn(middle, spread, weights, took - site.share_m3(ds, dt), noise)
    return Belief(middle, spread)


def _learn(middle: Array, spread: Array, weights: Array, found: float, noise: float) -> tuple[Array, Array]:
    """One measure of a sum of unknowns, all normal."""
    gain = spread @ weights / (float(weights @ spread @ weights) + noise)
    after = spread - np.outer(gain, weights @ spread)
    return middle + gain * (found - float(weights @ middle)), (after + after.T) / 2


def _rest(site: Site, belief: Belief, stand: Stand, stays_m3: float, loose_m3: float) -> Volume:
    """What lies before the front, in tickets."""
    slab, trench = 1 - stand.slab_share, 1 - stand.trench_share
    base, more, lacks, behind = (float(belief.middle[at]) for at in (0, 1, 2, -1))
    area, run = slab * site.area_m2 / 1000, trench * site.trench_m / 1000
    mean = (site.share_m3(slab, trench) + behind + area * base + run * more) / (1 - lacks)
    weights = np.zeros(len(belief.middle))
    weights[:3] = (area, run, mean)
    weights[-1] = 1.0
    weights /= 1 - lacks
    variance = float(weights @ belief.spread @ weights) + site.rough_m3(slab) ** 2 + site.extra_m3**2 + loose_m3**2
    return Volume(max(0.0, mean + stays_m3), math.sqrt(max(0.0, variance)))


def _causes(site: Site, doubts: Sequence[Doubt], prior: Belief, now: Belief, total: Volume) -> list[Cause]:
    """What each is thought to make of the whole pour, before and now."""
    weights = {
        "base": site.area_m2 / 1000,
        "trench": site.trench_m / 1000,
        "yield": total.mean_m3,
    }
    rows = []
    for row in doubts:
        before = Volume(row.mean_m3, row.sd_m3)
        if row.key not in weights:
            rows.append(Cause(row.key, row.name, before, before))
            continue
        at = LEARNT.index(row.key)
        weight = weights[row.key]
        after_m3 = float(now.middle[at]) * weight
        sd = math.sqrt(max(0.0, float(now.spread[at][at]))) * weight
        shift = row.mean_m3 - float(prior.middle[at]) * weight  # what the doubt holds beyond the three
        rows.append(Cause(row.key, row.name, before, Volume(after_m3 + shift, sd)))
    return rows
