"""What the pour tells of itself: base, trench and yield are believed a little otherwise after every piece that is placed and known.

Three unknowns, each normal: how low the base lies (mm), how much more a metre of trench takes (litres), how much less a load holds than
its ticket says. A piece that took so much moves them together, as far as its own noise allows.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from humble_trowel.core.order.risk import Volume

Array = NDArray[np.float64]


@dataclass(frozen=True)
class Site:
    """A slab and its trenches as drawn. bow_m3: forms that bow, along all trenches; spill_share: lost; rough_mm: waviness of the base over
    an area of its own, of rough_m2; extra_m3: what nobody knows of what remains."""

    area_m2: float
    slab_m3: float
    trench_m: float
    trench_m3: float
    bow_m3: float
    spill_share: float
    rough_mm: float
    rough_m2: float
    meter_share: float = 0.01
    eye_share: float = 0.02
    extra_m3: float = 0.1 * 0.764554857984

    @property
    def drawn_m3(self) -> float:
        """As drawn."""
        return self.slab_m3 + self.trench_m3

    def share_m3(self, slab: float, trench: float) -> float:
        """What a share of the slab and of the trenches takes as drawn, with spill and bow."""
        return (slab * self.slab_m3 + trench * self.trench_m3) * (1 + self.spill_share) + self.bow_m3 * trench

    def rough_m3(self, slab: float) -> float:
        """One standard deviation of what waviness adds under a share of the slab: it fades over a large area."""
        area = slab * self.area_m2
        return area * self.rough_mm / 1000 * math.sqrt(min(1.0, self.rough_m2 / area)) if area > 0 else 0.0


@dataclass(frozen=True)
class Belief:
    """Middles of (base low in mm, litres more a metre of trench, share a load lacks), and how they vary together."""

    middle: Array
    spread: Array


@dataclass(frozen=True)
class Piece:
    """What was placed: shares of slab and trenches, and what the tickets say it took."""

    slab_share: float
    trench_share: float
    ticket_m3: float


def prior(base_mm: Volume, litres_m: Volume, lacks: Volume) -> Belief:
    """Before anything is placed. Each as a middle and a spread, in its own unit."""
    rows = (base_mm, litres_m, lacks)
    return Belief(np.array([one.mean_m3 for one in rows]), np.diag([one.sd_m3**2 for one in rows]))


def after(site: Site, belief: Belief, piece: Piece) -> Belief:
    """What is believed once a piece is known."""
    slab, trench, took = piece.slab_share, piece.trench_share, piece.ticket_m3
    weights = np.array([slab * site.area_m2 / 1000, trench * site.trench_m / 1000, took])
    noise = site.rough_m3(slab) ** 2 + (site.meter_share * took) ** 2 + (site.eye_share * site.drawn_m3) ** 2
    expected = site.share_m3(slab, trench) + float(weights @ belief.middle)
    gain = belief.spread @ weights / (float(weights @ belief.spread @ weights) + noise)
    spread = belief.spread - np.outer(gain, weights @ belief.spread)
    return Belief(belief.middle + gain * (took - expected), (spread + spread.T) / 2)


def remaining(site: Site, belief: Belief, pieces: Sequence[Piece]) -> Volume:
    """What is still to be placed, in tickets."""
    slab = 1.0 - sum(one.slab_share for one in pieces)
    trench = 1.0 - sum(one.trench_share for one in pieces)
    base, more, lacks = (float(value) for value in belief.middle)
    area, run = slab * site.area_m2 / 1000, trench * site.trench_m / 1000
    mean = (site.share_m3(slab, trench) + area * base + run * more) / (1 - lacks)
    weights = np.array([area, run, mean]) / (1 - lacks)
    variance = float(weights @ belief.spread @ weights) + site.rough_m3(slab) ** 2 + site.extra_m3**2
    return Volume(mean, math.sqrt(max(0.0, variance)))
