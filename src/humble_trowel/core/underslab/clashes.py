"""What is in whose way: pipes in slab or foam, runs through each other, falls that are too flat, risers in doors, and what
would mend each, as an edit."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any

from shapely.geometry import Point, Polygon

from humble_trowel.core.geometry.bearing import rate_words
from humble_trowel.core.geometry.pipes import bottom_at, least_fall, outside_mm, round_mm, sleeve_mm, spot_at
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import Riser, Service
from humble_trowel.core.underslab.crossings import Crossing
from humble_trowel.core.underslab.profile import too_high
from humble_trowel.core.underslab.services import Run, falls_too_little, say_size, turns_sharp
from humble_trowel.core.units import say_depth, say_length

CLEAR_MM = 25.4
STEP_MM = 25.4 / 4


@dataclass(frozen=True)
class Clash:
    """A clash. code: of its finding. where: id of the run or riser; other: of what else is in it. words, remedy: what is so,
    and the act; act: the button's words; edits: what the act is, none where a person must decide. at: on plan; s0_mm, s1_mm:
    along the run. by_mm: how much."""

    code: str
    where: str
    other: str
    name: str
    words: str
    remedy: str
    act: str
    edits: list[dict[str, Any]] = field(default_factory=list)
    at: XY = (0.0, 0.0)
    s0_mm: float = 0.0
    s1_mm: float = 0.0
    by_mm: float = 0.0
    source: str = "house"


def clashes(plan: Plan, runs: Sequence[Run], met: Sequence[Crossing]) -> list[Clash]:
    """All clashes, those that cannot be built first. met: where runs cross."""
    services = plan.underslab.services
    found: list[Clash] = []
    for run, service in zip(runs, services, strict=True):
        found += [*_too_high(plan, run, service), *_lengthwise(plan, run, service)]
    for row in met:
        found += _through_each_other(plan, services[row.one], services[row.other], row)
    for service in services:
        found += [*_flat(plan, service), *_sleeves(plan, service, runs), *_sharp(plan, service)]
    return found + _in_doors(plan) + _outside(plan)


def _lower(service: Service, by_mm: float) -> list[dict[str, Any]]:
    return [{"op": "set_service", "service": service.id, "changes": {"start_mm": round(service.start_mm - by_mm, 3)}}]


def _stepped(by_mm: float) -> float:
    """Up to a quarter of an inch that a rod can be read to."""
    return math.ceil(by_mm / STEP_MM - 1e-6) * STEP_MM


def _too_high(plan: Plan, run: Run, service: Service) -> list[Clash]:
    in_slab, in_foam = too_high(service, run.stretches, foam=False), too_high(service, run.stretches, foam=True)
    code, name, rows = ("pipe-in-slab", "the slab", in_slab) if in_slab else ("pipe-in-foam", "the foam", in_foam)
    if not rows:
        return []
    worst = max(rows, key=lambda row: row[2])
    over = max(row[2] for row in (in_foam or in_slab))
    by = _stepped(over)
    long = say_length(math.fsum(row[1] - row[0] for row in rows), plan.units)
    words = f"{service.name} is {say_depth(worst[2], plan.units)} up in {name}, for {long}."
    return [
        Clash(
            code, service.id, "", service.name, words, f"Start it {say_depth(by, plan.units)} lower.", "Lower it",
            _lower(service, by), spot_at(service, worst[0]), worst[0], worst[1], worst[2], "under-slab",
        )
    ]  # fmt: skip


def _lengthwise(plan: Plan, run: Run, service: Service) -> list[Clash]:
    """A run that lies in a beam, an edge, a wall or a footing along it."""
    return [
        Clash(
            "run-lengthwise", service.id, "", service.name,
            f"{service.name} runs {say_length(row.s1_mm - row.s0_mm, plan.units)} lengthwise in {row.name}, where its bars lie.",
            "Walk it beside, and cross it square in a sleeve.", "", [], spot_at(service, row.s0_mm), row.s0_mm, row.s1_mm,
            source="under-slab",
        )
        for row in run.along
    ]  # fmt: skip


def _through_each_other(plan: Plan, one: Service, other: Service, met: Crossing) -> list[Clash]:
    s_one, s_other, spot = met.one_mm, met.other_mm, met.at
    low_one, low_other = bottom_at(one, s_one), bottom_at(other, s_other)
    tops = low_one + round_mm(one), low_other + round_mm(other)
    under = low_one <= low_other  # the one that lies lower goes under
    gap = low_other - tops[0] if under else low_one - tops[1]
    if gap >= CLEAR_MM - 0.05:
        return []
    low, high = (one, other) if under else (other, one)
    mover = high if high.kind not in ("drain", "land-drain") and low.kind in ("drain", "land-drain") else low
    by = _stepped(CLEAR_MM - gap)
    if mover is high:  # what does not fall goes under the drain that does
        own = low_other if mover is other else low_one
        drain = low_one if mover is other else low_other
        by = _stepped(own - (drain - CLEAR_MM - round_mm(mover)))
    how = "run through each other" if gap < -0.05 else f"pass {say_depth(max(0.0, gap), plan.units)} apart"
    words = f"{one.name} and {other.name} {how} where they cross; {say_depth(CLEAR_MM, plan.units)} keeps bedding between them."
    remedy = f"Lay {mover.name} {say_depth(by, plan.units)} lower."
    along = s_one if mover is one else s_other
    return [
        Clash("runs-cross", mover.id, (other if mover is one else one).id, mover.name, words, remedy, "Lower it",
              _lower(mover, by), spot, along, along, CLEAR_MM - gap)
    ]  # fmt: skip


def _flat(plan: Plan, service: Service) -> list[Clash]:
    short = falls_too_little(service)
    if short is None:
        return []
    least = least_fall(service.size_mm)
    has, asked = rate_words(service.fall, plan.units), rate_words(least, plan.units)
    words = (
        f"{service.name} falls {has}; a drain of {say_size(service.size_mm, plan.units)} falls {asked} at the least."
    )
    edit = {"op": "set_service", "service": service.id, "changes": {"fall": least}}
    return [
        Clash("drain-flat", service.id, "", service.name, words, f"Let it fall {asked}.", "Let it fall", [edit], spot_at(service, 0.0),
              source="drain-fall")
    ]  # fmt: skip


def _sleeves(plan: Plan, service: Service, runs: Sequence[Run]) -> list[Clash]:
    if service.sleeve_mm is None or not next(run for run in runs if run.id == service.id).sleeves:
        return []
    try:
        asked = sleeve_mm(service.size_mm)
    except ValueError:
        return []
    if service.sleeve_mm >= asked - 0.6:
        return []
    own, rule = say_size(service.sleeve_mm, plan.units), say_size(asked, plan.units)
    words = f"{service.name} goes through a sleeve of {own}; two sizes larger than the pipe is {rule}."
    edit = {"op": "set_service", "service": service.id, "changes": {"sleeve_mm": ""}}
    return [
        Clash("sleeve-small", service.id, "", service.name, words, f"Set a {rule} sleeve.", "Larger sleeve", [edit],
              spot_at(service, 0.0), source="sleeve")
    ]  # fmt: skip


def _sharp(plan: Plan, service: Service) -> list[Clash]:
    words = f"{service.name} turns back on itself, sharper than square."
    return [
        Clash("drain-sharp", service.id, "", service.name, words, "Turn it with two bends of 45.", "", [], spot, source="drain-fall")
        for spot in turns_sharp(service)[:1]
    ]  # fmt: skip


def _in_doors(plan: Plan) -> list[Clash]:
    """Risers in a door's set-down: a recess that touches the outline."""
    if plan.outline is None:
        return []
    edge = Polygon(plan.outline).exterior
    found = []
    for recess in plan.recesses:
        region = Polygon(recess.polygon)
        if region.exterior.distance(edge) > 1.0:
            continue
        for riser in plan.underslab.risers:
            if region.buffer(outside_mm(riser.size_mm) / 2).covers(Point(riser.at)):
                words = f"{riser.name} comes up in {recess.name}."
                found.append(
                    Clash("riser-in-door", riser.id, recess.id, riser.name, words, "Move it out of the way.", "", [], riser.at)
                )  # fmt: skip
    return found


def _outside(plan: Plan) -> list[Clash]:
    """Risers that stand outside of the slab or in an opening since it changed."""
    return [
        Clash("riser-outside", row.id, "", row.name, f"{row.name} stands outside of the slab.", "Move it, or take it out.", "",
              [], row.at)
        for row in plan.underslab.risers
        if plan.outline is not None and not stands_inside(plan, row)
    ]  # fmt: skip


def stands_inside(plan: Plan, riser: Riser) -> bool:
    """Whether a riser stands in the slab."""
    slab = Polygon(plan.outline, [hole for hole in plan.openings if Polygon(plan.outline).contains(Polygon(hole))])
    return bool(slab.buffer(1.0).covers(Point(riser.at)))
