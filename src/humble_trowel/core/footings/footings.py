"""Footings of a job: their concrete as planned and as dug, counted two ways, the pour that they are, and their pegs."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.findings import Finding, finding, said_together
from humble_trowel.core.footings.pegs import DEEP_MM, FootingPeg, footing_pegs, over_dug_m3
from humble_trowel.core.footings.records import PegShot
from humble_trowel.core.footings.slices import sliced_near_m3
from humble_trowel.core.footings.volume import FootingRow, footing_rows, increments, kept_prisms
from humble_trowel.core.geometry.beams import is_closed
from humble_trowel.core.geometry.footing_strips import length_mm, pieces, swept
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import rod_reads
from humble_trowel.core.ground.spoil import FootingDig, footing_dig
from humble_trowel.core.order.allowances import Allowance, left_behind
from humble_trowel.core.order.call_in import mix_words
from humble_trowel.core.order.leaves import volume_unit
from humble_trowel.core.order.quantity import Ordered, order_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.footing_parts import Footing, Pour
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import format_volume, say_depth, say_length
from humble_trowel.core.working import leaf

AGREE = 1e-4
GUESSED = {"width_mm": "width", "thickness_mm": "thickness", "top_mm": "the top's level"}


@dataclass(frozen=True)
class FootingDrawn:
    """A footing on the plan: rings of its strip, its centreline and where each step stands, mm. dug: the trench where the
    bucket was wider. steps_text: its steps as they would be typed."""

    footing: int
    name: str
    steps_text: str
    rings: list[list[XY]]
    dug: list[list[XY]]
    line: list[XY]


@dataclass(frozen=True)
class Footings:
    """All footings. net: as planned. dug: what the trench takes more, with its reasons. second_way_m3: slices of the same.
    setup: the set-up that readings are taken from, None without a laser. dig: None while the ground before is not known."""

    rows: list[FootingRow]
    pegs: list[FootingPeg]
    drawn: list[FootingDrawn]
    net_m3: float
    net_text: str
    second_way_m3: float | None
    agree: bool
    extras: list[Allowance]
    ordered: Ordered
    pour_name: str
    strength_text: str
    pour_at: str | None
    setup: str | None
    dig: FootingDig | None
    findings: list[Finding]


def footings(
    plan: Plan, ways: JobWays, shots: Sequence[PegShot], stands: Sequence[Stand],
    also: Sequence[Allowance] = (), solid: Solid | None = None, *, quick: bool = False
) -> Footings | None:  # fmt: skip
    """The footings of a plan, None where it has none. also: what else their pour holds. solid: the slab over
    them. quick: without the second way and the digging."""
    if not plan.footings:
        return None
    rows = footing_rows(plan)
    pegs = footing_pegs(plan, shots, stands, rod_reads(plan, ways))
    net = math.fsum(row.m3 for row in rows)
    extras = [row for row in (_wider(plan, net), _deeper(plan, pegs), _guess(plan, ways, pegs)) if row is not None]
    extras += [*also, left_behind(plan, ways)]
    second = None if quick else sliced_near_m3([prism for one in plan.footings for prism in kept_prisms(one)], net)
    pour = next((row for row in plan.pours if "footings" in row.holds), None)
    return Footings(
        rows, pegs, [_drawn(plan, at, one) for at, one in enumerate(plan.footings)], net, format_volume(net, plan.units), second,
        second is None or abs(second - net) <= AGREE * net, extras, order_of(plan, net, extras, ways),
        pour.name if pour else "Footing", strength_text(plan, pour), pour.pour_at if pour else None, stands[-1].id if stands else None,
        None if quick else footing_dig(plan, solid, ways), [*_doubts(plan, rows, net, second, pegs), *_frost(plan)],
    )  # fmt: skip


def strength_text(plan: Plan, pour: Pour | None) -> str:
    """Strength of a pour's mix, of the slab's where it has none of its own; '' where nobody said it."""
    return mix_words((pour.mix if pour else None) or plan.mix, plan.units)[0].rstrip(".")


def say_steps(footing: Footing, plan: Plan) -> str:
    """Steps as they would be typed."""
    return ", ".join(
        f"at {say_length(step.at_mm, plan.units)} {'up' if step.rise_mm > 0 else 'down'} {say_depth(abs(step.rise_mm), plan.units)}"
        for step in footing.steps
    )


def _drawn(plan: Plan, at: int, footing: Footing) -> FootingDrawn:
    dug = footing.dug_width_mm or 0.0
    wide = _rings(footing, dug) if dug > footing.width_mm else []
    return FootingDrawn(
        at, footing.name, say_steps(footing, plan), _rings(footing, footing.width_mm), wide, list(footing.path)
    )


def _rings(footing: Footing, width_mm: float) -> list[list[XY]]:
    shape = swept(footing.path, width_mm, closed=is_closed(footing.path))
    return [[(round(x, 2), round(y, 2)) for x, y in ring.coords[:-1]] for ring in (shape.exterior, *shape.interiors)]


def _extra(plan: Plan, key: str, name: str, m3: float, reason: str, source: str) -> Allowance:
    unit, per_unit = volume_unit(plan)
    text = format_volume(m3, plan.units)
    working = leaf(name, m3 / per_unit, unit, f"{text} {unit}", source)
    return Allowance(name, m3, reason, key, source, text, "", working)


def _wider(plan: Plan, net: float) -> Allowance | None:
    """Trenches as wide as the bucket dug them, exactly, less the plan."""
    if not any((one.dug_width_mm or 0.0) > one.width_mm for one in plan.footings):
        return None
    wide = increments([kept_prisms(one, max(one.width_mm, one.dug_width_mm or 0.0)) for one in plan.footings])
    widest = max(one.dug_width_mm or 0.0 for one in plan.footings)
    reason = f"The yards follow the bucket: {say_depth(widest, plan.units)}."
    return _extra(plan, "dug_width", "Trench as wide as dug", math.fsum(wide) - net, reason, "dug")


def _deeper(plan: Plan, pegs: Sequence[FootingPeg]) -> Allowance | None:
    read = [peg for peg in pegs if peg.over_mm is not None]
    if not read:
        return None
    more = [
        over_dug_m3(one, [peg for peg in read if peg.footing == at], max(one.width_mm, one.dug_width_mm or 0.0))
        for at, one in enumerate(plan.footings)
    ]
    return _extra(
        plan, "bottom", "Bottom as read", math.fsum(more), f"The rod at {len(read)} of {len(pegs)} pegs.", "dug"
    )


def _guess(plan: Plan, ways: JobWays, pegs: Sequence[FootingPeg]) -> Allowance | None:
    """The crew's guess of a wider trench, for footings of which nobody said what was dug."""
    wide = ways.allowances.trench_wide_mm
    open_ = [one for at, one in enumerate(plan.footings) if one.dug_width_mm is None]
    m3 = math.fsum(length_mm(one) * one.thickness_mm * wide for one in open_) / 1e9
    if m3 <= 0:
        return None
    return _extra(plan, "trench_wide_mm", "Trench wider than drawn", m3, ways.allowances.trench_wide_reason, "ways")


def _frost(plan: Plan) -> list[Finding]:
    """Footings whose bottom stays above the frost line, measured from the lowest ground that anybody said."""
    frost = plan.site.frost_depth_mm
    levels = [spot.level_mm for row in plan.forms for spot in row.ground]
    levels += [plan.ground.found_mm] if plan.ground.found_mm is not None else []
    if frost is None or not levels:
        return []
    found, line = [], min(levels) - frost
    for at, one in enumerate(plan.footings):
        highest = max(piece.top_mm for piece in pieces(one)) - one.thickness_mm
        if highest > line + 0.5:
            words = f"{one.name} ends {say_depth(highest - line, plan.units)} above the frost line."
            remedy = "Set it deeper, or protect it from frost. Ask the official."
            found.append(finding("footing-above-frost", f"footings[{at}]", words, remedy, "frost"))
    return found


def _doubts(
    plan: Plan, rows: Sequence[FootingRow], net: float, second: float | None, pegs: Sequence[FootingPeg]
) -> list[Finding]:
    found = []
    for at, one in enumerate(plan.footings):
        if one.dug_width_mm is not None and one.dug_width_mm < one.width_mm:
            words = f"{one.name}: the bucket's {say_depth(one.dug_width_mm, plan.units)} is narrower than the footing's {say_depth(one.width_mm, plan.units)}."
            found.append(
                finding(
                    "footing-narrow", f"footings[{at}]", words, "Widen the trench by hand, or ask the engineer.", "dug"
                )
            )
        if one.guessed:
            sizes = said_together([GUESSED[key] for key in one.guessed])
            words = f"{one.name}: {sizes} {'is' if len(one.guessed) == 1 else 'are'} guessed. Nobody has said it yet."
            found.append(finding("footing-guessed", f"footings[{at}]", words, "Say it; the yards follow it."))
        if rows[at].m3 < 1e-6:
            words = f"{one.name} lies wholly in footings before it."
            found.append(
                finding("footing-inside", f"footings[{at}]", words, "Take it out, or set its level.", "footing")
            )
    high = [peg for peg in pegs if peg.over_mm is not None and peg.over_mm < -DEEP_MM]
    if high:
        worst = min(high, key=lambda peg: peg.over_mm or 0.0)
        words = f"The bottom lies {say_depth(abs(worst.over_mm or 0.0), plan.units)} too high at peg {worst.number}: the footing would be thinner than planned."
        found.append(
            finding("footing-thin", f"footings[{worst.footing}]", words, "Dig it down, or ask the engineer.", "dug")
        )
    if second is not None and abs(second - net) > AGREE * net:
        words = f"Footings: joined prisms give {net:.4f} m³, slices {second:.4f} m³."
        found.append(
            finding("footing-ways-disagree", "footings", words, "Do not order by this. Tell the makers.", "footing")
        )
    return found
