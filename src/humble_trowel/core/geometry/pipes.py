"""Pipes by themselves: outside sizes, the sizes that sleeves come in, the least fall of a drain, and levels along a run."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.underslab_parts import Service

IN = 25.4
# nominal size in inches: outside diameter in inches; the same for steel and for plastic pipe of iron pipe size
INCH_SIZES: tuple[tuple[float, float], ...] = (
    (0.5, 0.840), (0.75, 1.050), (1.0, 1.315), (1.25, 1.660), (1.5, 1.900), (2.0, 2.375), (2.5, 2.875), (3.0, 3.500),
    (4.0, 4.500), (5.0, 5.563), (6.0, 6.625), (8.0, 8.625), (10.0, 10.750), (12.0, 12.750),
)  # fmt: skip
METRIC_SIZES: tuple[float, ...] = (20, 25, 32, 40, 50, 75, 90, 110, 125, 160, 200, 250, 315)
SAME_MM = 0.6
PEA_UNDER_MM = 101.6
BEDDED = ("drain", "land-drain")
FALLS: tuple[tuple[float, float], ...] = ((2.5 * IN, 1 / 48), (6 * IN, 1 / 96), (math.inf, 1 / 192))


def outside_mm(size_mm: float) -> float:
    """Outside diameter of a pipe as sold: inch sizes by the table of iron pipe sizes, others by their own name, which is
    the outside diameter of metric plastic pipe. Source: 'pipe-sizes' in sources/."""
    found = next((outside for name, outside in INCH_SIZES if abs(name * IN - size_mm) < SAME_MM), None)
    return size_mm if found is None else found * IN


def sleeve_mm(size_mm: float) -> float:
    """The sleeve of a pipe: two sizes larger than it, as sold. Raises ValueError for a pipe larger than the tables.

    Source: 'sleeve' in sources/."""
    inches = [name * IN for name, _ in INCH_SIZES]
    sizes = inches if any(abs(one - size_mm) < SAME_MM for one in inches) else list(METRIC_SIZES)
    larger = [one for one in sizes if one > size_mm + SAME_MM]
    if len(larger) < 2:
        raise ValueError("There is no sleeve two sizes larger in the tables.")
    return larger[1]


def least_fall(size_mm: float) -> float:
    """Least fall of a drain, rise over run: 1/4 in a foot up to 2 1/2 in, 1/8 up to 6 in, 1/16 beyond.

    size_mm: as sold. Source: 'drain-fall' in sources/."""
    return next(rate for upto, rate in FALLS if size_mm <= upto + SAME_MM)


@dataclass(frozen=True)
class Leg:
    """A straight part of a run. start_mm, end_mm: along it."""

    start_mm: float
    end_mm: float
    a: XY
    b: XY


def legs_of(path: Sequence[XY]) -> list[Leg]:
    """The straight parts of a path, in its order."""
    at, found = 0.0, []
    for a, b in pairwise(path):
        size = math.dist(a, b)
        found.append(Leg(at, at + size, a, b))
        at += size
    return found


def length_mm(service: Service) -> float:
    """Length of a run on plan."""
    return math.fsum(leg.end_mm - leg.start_mm for leg in legs_of(service.path))


def bottom_at(service: Service, along_mm: float) -> float:
    """Level of a run's bottom at a place along it."""
    return service.start_mm - service.fall * along_mm


def spot_at(service: Service, along_mm: float) -> XY:
    """The place on plan at a distance along a run."""
    legs = legs_of(service.path)
    leg = next((one for one in legs if along_mm <= one.end_mm), legs[-1])
    share = (along_mm - leg.start_mm) / (leg.end_mm - leg.start_mm)
    return leg.a[0] + (leg.b[0] - leg.a[0]) * share, leg.a[1] + (leg.b[1] - leg.a[1]) * share


def round_mm(service: Service) -> float:
    """How thick a run is with its insulation."""
    return outside_mm(service.size_mm) + 2 * service.wrap_mm
