"""How far it is filled, as it was tapped and said. A later word counts over an earlier one, whichever arrived first."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.pour.clock import PourClock
from humble_trowel.core.pour.floor import Floor
from humble_trowel.core.pour.records import Front

BACK_SHARE = 0.01  # of the whole; less is the eye
EVEN = 1e-9


@dataclass(frozen=True)
class Stand:
    """How far it was at a minute. shares: of each part, in its order. load: it stood there as that load ran out. back: it lies behind an
    earlier word. struck: a strip was said to be. part: where the front stands, None where it stands between two."""

    record: str
    at_min: float
    by: str
    load: str
    shares: tuple[float, ...]
    slab_share: float
    trench_share: float
    area_m2: float
    drawn_m3: float
    part: int | None
    spot: XY | None
    struck: bool
    back: bool


def stands_of(floor: Floor, clock: PourClock, fronts: Sequence[tuple[str, Front]]) -> list[Stand]:
    """Every word in the order of its minute. Words that mean nothing on this floor any more are left out."""
    rows: list[Stand] = []
    struck: set[int] = set()
    places = {one.part.id: at for at, one in enumerate(floor.parts)}
    reached: tuple[int, float] | None = None
    edges, spot, furthest = False, None, 0.0
    for record, one in sorted(fronts, key=lambda row: (clock.minute(row[1].at), row[0])):
        if one.strip:
            if one.strip not in places:
                continue
            struck.add(places[one.strip])
        elif one.spot is not None:
            at = floor.at(one.spot)
            if at is None:
                continue
            reached, spot = (at, floor.behind(at, one.spot)), one.spot
        else:
            edges = True
        shares = _shares(floor, struck, reached)
        here = reached[0] if reached is not None and shares[reached[0]] < 1 - EVEN else None
        said = (record, clock.minute(one.at), one.by, one.load or "")
        rows.append(_stand(floor, said, shares, edges, (here, spot, bool(one.strip)), furthest))
        furthest = max(furthest, rows[-1].drawn_m3)
    return rows


def counted(stands: Sequence[Stand]) -> list[Stand]:
    """Those that still count: none that lies beyond a later word."""
    kept: list[Stand] = []
    for one in stands:
        while kept and (kept[-1].drawn_m3 > one.drawn_m3 + EVEN):
            kept.pop()
        kept.append(one)
    return kept


def _shares(floor: Floor, struck: set[int], reached: tuple[int, float] | None) -> tuple[float, ...]:
    rows = [1.0 if at in struck else 0.0 for at in range(len(floor.parts))]
    if reached is not None:
        at, share = reached
        rows[:at] = [1.0] * at
        rows[at] = max(rows[at], share)
    return tuple(rows)


def _stand(
    floor: Floor, said: tuple[str, float, str, str], shares: tuple[float, ...], edges: bool, where: tuple[int | None, XY | None, bool],
    furthest_m3: float,
) -> Stand:  # fmt: skip
    part, spot, struck = where
    slab = math.fsum(share * one.slab_m3 for share, one in zip(shares, floor.parts, strict=True))
    trench = math.fsum(share * one.trench_m3 for share, one in zip(shares, floor.parts, strict=True))
    area = math.fsum(share * one.area_m2 for share, one in zip(shares, floor.parts, strict=True))
    trench = floor.trench_m3 if edges else trench
    drawn = slab + trench
    back = drawn < furthest_m3 - BACK_SHARE * floor.drawn_m3
    return Stand(
        *said, shares, slab / floor.slab_m3 if floor.slab_m3 else 0.0, trench / floor.trench_m3 if floor.trench_m3 else 0.0, area, drawn,
        part, spot if part is not None else None, struck, back,
    )  # fmt: skip
