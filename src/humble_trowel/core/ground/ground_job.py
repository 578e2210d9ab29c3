"""The one place that puts the ground's answer together: plan, ways and site records in; stack, rod card, shots, stone out."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from humble_trowel.core.findings import Finding
from humble_trowel.core.geometry.parts import first_number
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.as_dug import DugRun, dug_findings, dug_runs, dug_working, gone_findings
from humble_trowel.core.ground.before import stripped_mm
from humble_trowel.core.ground.cut_fill import CutFill
from humble_trowel.core.ground.earthwork import StoneRow, stones
from humble_trowel.core.ground.flat import enough
from humble_trowel.core.ground.layer_shots import LayerShots, layer_grounds, take_shots
from humble_trowel.core.ground.levels import Stand, stand_findings, stands
from humble_trowel.core.ground.pegs import Peg, grade_pegs
from humble_trowel.core.ground.records import AsDug, Shots
from humble_trowel.core.ground.rod import RodRow, rod_card, rod_findings, rod_reads
from humble_trowel.core.ground.spoil import Spoil, spoil
from humble_trowel.core.ground.stack import StackRow, resolve, stack_findings, stack_rows
from humble_trowel.core.guard import answers
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.order.ledger import ledger
from humble_trowel.core.order.measured import Measured
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.units import format_volume
from humble_trowel.core.working import leaf, work

ShotsOn = Callable[[str], LayerShots | None]


@dataclass(frozen=True)
class Dig:
    """Where the digging stops: a zone, or a trench. level_mm: 0 is the finished top."""

    where: str
    level_mm: float


@dataclass(frozen=True)
class PartAsDug:
    """A part of the ledger as planned, as dug and as shot; None where nobody measured. extra: the measured one less
    the plan, and what that costs in concrete."""

    part: str
    kind: str
    mark: str
    zone: str | None
    planned_m3: float
    as_dug_m3: float | None
    as_shot_m3: float | None
    extra_cents: int
    planned_text: str
    dug_text: str
    shot_text: str


@dataclass(frozen=True)
class Ground:
    """Everything the ground comes to. stand: the set-up in use. base: shots on the base (see LayerShots)."""

    stack: list[StackRow]
    dig: list[Dig]
    stands: list[Stand]
    rod: list[RodRow]
    pegs: list[Peg]
    stones: list[StoneRow]
    spoil: Spoil | None
    dug: list[DugRun]
    parts: list[PartAsDug]
    findings: list[Finding]


@answers("The ground")
def ground(
    plan: Plan, solid: Solid, ways: JobWays, records: SiteRecords, shots: ShotsOn, line_mm: float | None = None
) -> Ground:
    """The ground of a plan with an outline. shots: those on a layer. line_mm: level of a laser's line where no set-up is
    on record."""
    setups = stands(plan, ways, records)
    line = setups[-1].instrument_mm if setups else line_mm
    rod = rod_card(plan, solid, ways, line, stripped_mm(plan, ways))
    dig_shots = shots("dig")
    base_shots = concrete_shots(shots)
    extra = dig_shots.whole.fill_m3 - dig_shots.whole.cut_m3 if dig_shots and dig_shots.surface else None
    spoiled, doubts = spoil(plan, solid, ways)
    dug = dug_runs(plan, solid, records.of(AsDug))
    rows = [row for cell in solid.cells for row in stack_rows(plan, cell)]
    reads = rod_reads(plan, ways)
    doubts += stack_findings(plan, solid.cells, ways) + stand_findings(setups) + rod_findings(rod, ways, reads)
    doubts += (
        gone_findings(plan, records.of(AsDug))
        + dug_findings(plan, dug)
        + [row for taken in base_shots for row in taken.findings]
    )
    spacing = plan.ground.peg_spacing_mm or ways.ground.peg_spacing_mm
    return Ground(
        stack=rows, dig=_dig(plan, solid, rod), stands=setups, rod=rod,
        pegs=grade_pegs(layer_grounds(plan, solid, "base"), spacing, line, reads),
        stones=stones(plan, solid, ways, extra), spoil=spoiled, dug=dug,
        parts=parts_as_dug(plan, solid, ways, dug, base_shots), findings=doubts,
    )  # fmt: skip


def shots_on(
    plan: Plan, solid: Solid, ways: JobWays, records: SiteRecords, layer: str, setups: Sequence[Stand]
) -> LayerShots | None:
    """The shots on a layer, None where there are none. Very many shots take a second: whoever asks again keeps it."""
    rounds = [(key, row) for key, row in records.named(Shots) if row.layer == layer]
    if not rounds or not any(resolve(plan, cell, layer) for cell in solid.cells):
        return None
    return take_shots(plan, solid, ways, layer, rounds, setups)


def concrete_shots(shots: ShotsOn) -> list[LayerShots]:
    """The layers whose shots say how deep the concrete will be: foam where it was shot, then the base."""
    found = [shots(layer) for layer in ("foam", "base")]
    return [taken for taken in found if taken is not None and taken.surface is not None]


def zone_errors(taken: Sequence[LayerShots]) -> dict[int, CutFill]:
    """Cut and fill by zone from the first layer that has it."""
    rows: dict[int, CutFill] = {}
    for layer in taken:
        for index, row in layer.by_zone.items():
            rows.setdefault(index, row)
    return rows


@answers("What the site measured")
def measured(plan: Plan, solid: Solid, ways: JobWays, records: SiteRecords, shots: ShotsOn) -> Measured:
    """What replaces guesses in the order: the base once shots settle it, and trenches once they were measured."""
    if not (records.named(Shots) or records.of(AsDug)):
        return Measured()
    layers = concrete_shots(shots)
    runs = dug_runs(plan, solid, records.of(AsDug))
    unit, per = volume_unit(plan)
    base, words, doubt = None, "", None
    if layers and layers[-1].layer == "base":  # foam alone says nothing of the zones without foam
        settled = enough(layers[-1], plan, ways)
        words, doubt = settled.words, settled.doubt_m3
        layers = [taken for taken in layers if enough(taken, plan, ways).enough]
        if settled.enough and not any(shot.doubt for taken in layers for shot in taken.shots):
            rows = zone_errors(layers)
            inputs = {
                f"z{index}": leaf(
                    f"{plan.zones[index].name}: low {format_volume(row.fill_m3, plan.units)}, high {format_volume(row.cut_m3, plan.units)}",
                    (row.fill_m3 - row.cut_m3) / per, unit, f"{(row.fill_m3 - row.cut_m3) / per:.3f} {unit}", "shot", "ground/shots",
                )
                for index, row in rows.items()
            }  # fmt: skip
            base = work("Base as shot", unit, " + ".join(inputs), inputs, source="shot")
    trenches = dug_working(plan, runs)
    return Measured(
        base, words, doubt if base else None, trenches, "Measured at stations along the trench.",
        frozenset(run.side for run in runs if run.measured and run.side is not None),
        frozenset(run.row for run in runs if run.measured and run.side is None and run.beam is None),
        frozenset(run.beam for run in runs if run.measured and run.beam is not None),
    )  # fmt: skip


def parts_as_dug(
    plan: Plan, solid: Solid, ways: JobWays, dug: Sequence[DugRun], layers: Sequence[LayerShots]
) -> list[PartAsDug]:
    """The ledger three ways: planned, as dug, as shot."""
    errors = zone_errors(layers)
    first = first_number(plan, "beam")
    cents = ways.ground.concrete_cents_per_m3
    rows = []
    for cell in solid.cells:
        m3 = solid.slab_m3(cell)
        error = errors.get(cell.index)
        shot = None if error is None else m3 + error.fill_m3 - error.cut_m3
        rows.append(_part(plan, (f"{cell.name} slab", "slab", cell.mark, cell.name), m3, None, shot, cents))
    for part in ledger(plan, solid):
        if part.kind == "slab":
            continue
        own = [run for run in dug if part.kind == "edge" and run.row in part.numbers]
        own += [run for run in dug if run.beam is not None and part.kind == "beam" and first + run.beam in part.numbers]
        known = any(run.measured or run.extra_m3 for run in own)
        as_dug = part.m3 + sum(run.extra_m3 for run in own) if known else None
        rows.append(_part(plan, (part.part, part.kind, part.mark, None), part.m3, as_dug, None, cents))
    return rows


def _part(
    plan: Plan, what: tuple[str, str, str, str | None], m3: float, dug: float | None, shot: float | None, cents: int
) -> PartAsDug:
    """what: name, kind, mark and zone. cents: of a m3 of concrete."""
    extra = (dug if dug is not None else shot if shot is not None else m3) - m3
    texts = [format_volume(v, plan.units) if v is not None else "" for v in (m3, dug, shot)]
    return PartAsDug(*what, m3, dug, shot, round(extra * cents), *texts)


def _dig(plan: Plan, solid: Solid, rod: Sequence[RodRow]) -> list[Dig]:
    rows = [Dig(cell.name, stack_rows(plan, cell)[-1].top_mm) for cell in solid.cells]
    return rows + [Dig(f"{row.surface}, {row.at}", row.level_mm) for row in rod if row.key == "trench"]
