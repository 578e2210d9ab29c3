"""Every run with its levels, trench, bedding and sleeves, and every riser with its faces."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from humble_trowel.core.geometry.bearing import rate_words
from humble_trowel.core.geometry.below import Stood
from humble_trowel.core.geometry.faces import FromFace, from_faces
from humble_trowel.core.geometry.pipes import (
    BEDDED,
    PEA_UNDER_MM,
    bottom_at,
    least_fall,
    legs_of,
    length_mm,
    outside_mm,
    round_mm,
    sleeve_mm,
    spot_at,
)
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.rod import say_reading
from humble_trowel.core.lines.outline import length_leaf
from humble_trowel.core.order.leaves import thin_leaf
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_ways import RodReads
from humble_trowel.core.plan.underslab_parts import Riser, Service
from humble_trowel.core.underslab.check import ALLOWED_MM, Checked
from humble_trowel.core.underslab.crossings import Crossing
from humble_trowel.core.underslab.profile import Passing, RunStretch, stretches_of, through_parts, through_stood
from humble_trowel.core.units import Units, say_depth, say_length
from humble_trowel.core.working import Working, leaf, number_text, work

TRENCH_MM = 304.8
OVER_MM = 50.8
PEA_T_PER_M3 = 1.6
LENGTHWISE_MM = 1200.0
SHORT_TON_T = 0.90718474
KINDS = {
    "drain": "drain", "land-drain": "land drain", "supply": "supply", "conduit": "conduit", "gas": "gas",
    "ground": "ground electrode", "air": "air line",
}  # fmt: skip


@dataclass(frozen=True)
class RunStation:
    """A place along a run: its bend, end or where it passes something. bottom_mm: of the pipe; texts of it, of the rod on it
    and of the rod on the trench's bottom, '' without a laser."""

    s_mm: float
    at: XY
    name: str
    bottom_mm: float
    bottom_text: str
    rod_text: str
    trench_text: str


@dataclass(frozen=True)
class RunSleeve:
    """Where a run passes through concrete. size_mm: as sold. long_mm: through it."""

    name: str
    kind: str
    s0_mm: float
    s1_mm: float
    a: XY
    b: XY
    size_mm: float
    size_text: str
    long_text: str


@dataclass(frozen=True)
class CrossedRun:
    """Another run that crosses this one: where along it, its bottom and how thick it is."""

    name: str
    s_mm: float
    bottom_mm: float
    outside_mm: float


@dataclass(frozen=True)
class Run:
    """A service as worked out. outside_mm: with its insulation. along: what it runs in lengthwise. bedding: of a drain, in the job's unit of mass, None of
    what needs none. stretches: what lies over it."""

    service: int
    id: str
    name: str
    kind: str
    kind_text: str
    size_text: str
    length_mm: float
    length_text: str
    fall: float
    fall_text: str
    start_mm: float
    end_mm: float
    outside_mm: float
    path: list[XY]
    stations: list[RunStation]
    sleeves: list[RunSleeve]
    along: list[Passing]
    stretches: list[RunStretch]
    bedding_t: float
    bedding: Working | None
    guessed: list[str]
    to: str
    others: list[CrossedRun]


@dataclass(frozen=True)
class RiserRow:
    """A riser: faces: its two distances. allowed_mm: how far off it may stand. check: as it was taped last. runs: names of the runs that end there."""

    riser: int
    id: str
    name: str
    kind: str
    at: XY
    size_text: str
    faces: list[FromFace]
    runs: list[str]
    outside: bool
    allowed_mm: float
    mends: str
    check: Checked | None = None


def say_size(mm: float, units: Units) -> str:
    """A pipe's size as it is sold."""
    return f"{mm:g} mm" if units == "mm" else say_depth(mm, units)


def run_of(
    plan: Plan, solid: Solid | None, at: int, stood: Sequence[tuple[str, str, Stood]], line_mm: float | None,
    reads: RodReads, met: Sequence[Crossing] = (),
) -> Run:  # fmt: skip
    """A run. stood: walls and footings. line_mm: of the laser, None without one. met: where runs
    cross."""
    service = plan.underslab.services[at]
    rows = stretches_of(plan, solid, service) if solid else []
    names = [_part_name(kind, mark) for kind, _, mark in solid.parts] if solid else []
    passed = through_parts(service, rows, names, [kind for kind, *_ in solid.parts] if solid else [])
    passed += through_stood(service, stood)
    passed.sort(key=lambda row: row.s0_mm)
    sleeves = [_sleeve(plan, service, row) for row in passed if row.s1_mm - row.s0_mm <= LENGTHWISE_MM]
    long = length_mm(service)
    bedding, tonnes = _bedding(plan, service, at) if service.kind in BEDDED else (None, 0.0)
    return Run(
        at, service.id, service.name, service.kind, KINDS[service.kind], say_size(service.size_mm, plan.units), long,
        say_length(long, plan.units), service.fall, rate_words(service.fall, plan.units) if service.fall else "level",
        service.start_mm, bottom_at(service, long), round_mm(service), list(service.path),
        _stations(plan, service, sleeves, line_mm, reads), sleeves, [row for row in passed if row.s1_mm - row.s0_mm > LENGTHWISE_MM], rows, tonnes, bedding, list(service.guessed), service.to, _others(plan, at, met),
    )  # fmt: skip


def _others(plan: Plan, at: int, met: Sequence[Crossing]) -> list[CrossedRun]:
    rows = [(row.other, row.one_mm, row.other_mm) for row in met if row.one == at]
    rows += [(row.one, row.other_mm, row.one_mm) for row in met if row.other == at]
    services = plan.underslab.services
    return [
        CrossedRun(services[k].name, s, bottom_at(services[k], s_other), round_mm(services[k]))
        for k, s, s_other in sorted(rows)
    ]


def _part_name(kind: str, mark: str) -> str:
    return mark if kind != "edge" else f"the edge {mark}"


def _sleeve(plan: Plan, service: Service, passing: Passing) -> RunSleeve:
    try:
        size = service.sleeve_mm or sleeve_mm(service.size_mm)
    except ValueError:
        size = 1.5 * service.size_mm
    return RunSleeve(
        passing.name, passing.kind, passing.s0_mm, passing.s1_mm, spot_at(service, passing.s0_mm),
        spot_at(service, passing.s1_mm), size, say_size(size, plan.units),
        say_depth(passing.s1_mm - passing.s0_mm, plan.units),
    )  # fmt: skip


def _stations(
    plan: Plan, service: Service, sleeves: Sequence[RunSleeve], line_mm: float | None, reads: RodReads
) -> list[RunStation]:
    legs = legs_of(service.path)
    marks = [(leg.start_mm, "start" if not i else "bend") for i, leg in enumerate(legs)]
    marks += [((row.s0_mm + row.s1_mm) / 2, row.name) for row in sleeves]
    marks.append((legs[-1].end_mm, service.to or "end"))
    names = {riser.at: riser.name for riser in plan.underslab.risers}
    under = PEA_UNDER_MM if service.kind in BEDDED else 0.0
    found = []
    for s, name in sorted(marks):
        spot, low = spot_at(service, s), bottom_at(service, s)
        at_riser = next((said for at, said in names.items() if math.dist(at, spot) < 10.0), "")

        def rod(level: float) -> str:
            return "" if line_mm is None else say_reading(line_mm - level, reads)

        text = say_depth(abs(low), plan.units) if low <= 0 else f"{say_depth(low, plan.units)} over"
        found.append(RunStation(s, spot, at_riser or name, low, text, rod(low), rod(low - under)))
    return found


def _bedding(plan: Plan, service: Service, at: int) -> tuple[Working, float]:
    """Pea gravel round a drain: the trench's width, from under the pipe to over it, less the pipe."""
    where, size = f"underslab/services/{at}", outside_mm(service.size_mm)
    long, mm = length_mm(service), plan.units == "mm"
    high = PEA_UNDER_MM + size + OVER_MM
    pipe_m2 = math.pi * (size / 2) ** 2 / 1e6
    inputs: dict[str, Working] = {
        "long": leaf(f"{service.name}, length", long / 1000, "m", f"{long / 1000:.3f} m", "geometry", where)
        if mm
        else length_leaf(f"{service.name}, length", long, plan.units, where, "geometry"),
        "wide": thin_leaf("Trench, wide", TRENCH_MM, plan, where, "bedding"),
        "high": thin_leaf("Gravel, from under the pipe to over it", high, plan, where, "bedding"),
    }
    pipe = pipe_m2 if mm else pipe_m2 * 1550.0031000062
    inputs["pipe"] = leaf(
        "Section of the pipe",
        pipe,
        "m²" if mm else "sq in",
        f"{pipe:.4f} m²" if mm else f"{pipe:.1f} sq in",
        "pipe-sizes",
    )
    heavy = PEA_T_PER_M3 if mm else PEA_T_PER_M3 * 0.028316846592 / SHORT_TON_T
    unit = "t" if mm else "short tons"
    inputs["heavy"] = leaf(
        "Pea gravel, loose", heavy, "t/m³" if mm else "short ton/ft³", number_text(heavy, 4), "bedding", where
    )
    formula = "long * (wide * high / 1000000 - pipe) * heavy" if mm else "long * (wide * high - pipe) / 144 * heavy"
    working = work(f"{service.name}, pea gravel", unit, formula, inputs, source="bedding", digits=2)
    return working, working.value if mm else working.value * SHORT_TON_T


def riser_row(plan: Plan, at: int) -> RiserRow:
    """A riser with its faces and the runs that begin or end there."""
    riser: Riser = plan.underslab.risers[at]
    faces = from_faces(plan, riser) if plan.outline else []
    runs = [
        row.name
        for row in plan.underslab.services
        if min(math.dist(row.path[0], riser.at), math.dist(row.path[-1], riser.at)) < 10.0
    ]
    return RiserRow(
        at,
        riser.id,
        riser.name,
        riser.kind,
        riser.at,
        say_size(riser.size_mm, plan.units),
        faces,
        runs,
        not faces,
        ALLOWED_MM[riser.kind],
        riser.mends,
    )


def falls_too_little(service: Service) -> float | None:
    """How much more a drain must fall, rise over run; None where it falls enough."""
    if service.kind not in BEDDED:
        return None
    short = least_fall(service.size_mm) - service.fall
    return short if short > 1e-6 else None


def turns_sharp(service: Service) -> list[XY]:
    """Bends of a drain sharper than square: it would not run."""
    found = []
    for (a, b), (_, c) in pairwise(pairwise(service.path)):
        ux, uy, vx, vy = b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]
        if service.kind in BEDDED and ux * vx + uy * vy < -1e-6 * math.hypot(ux, uy) * math.hypot(vx, vy):
            found.append(b)
    return found
