"""What a ticket says against the rules, load by load: the rule, and whose decision it is."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations

from humble_trowel.core.mix.heat import cold_row
from humble_trowel.core.mix.lines import degrees_text, psi_text, size_text
from humble_trowel.core.mix.slump import slump_passes, slump_range_mm, watered
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.pour.loads import Load
from humble_trowel.core.pour.running import Run, Running
from humble_trowel.core.pour.sizes import amount

PSI_PER_MPA = 145.0377
HOT_C, COLD_AIR_C = 35.0, (40 - 32) / 1.8
AIR_OFF = 1.5
EARLY_MIN, SAME_MIN, SOON_MIN = 15.0, 3.0, 10.0
EVEN = 1e-6


@dataclass(frozen=True)
class LoadDoubt:
    """A doubt about a load. code: of a finding. decides: whose it is. other: the load that it is mixed up with. send_back: that is the usual way out."""

    load: str
    code: str
    words: str
    decides: str
    remedy: str
    source: str
    send_back: bool = False
    other: str = ""


@dataclass(frozen=True)
class Asked:
    """What loads are held against. thin_mm: the thinnest slab; air_c: of the air, None where nobody knows."""

    plan: Plan
    ways: JobWays
    thin_mm: float
    air_c: float | None


def load_doubts(asked: Asked, loads: Sequence[Load], run: Run, now_min: float) -> list[LoadDoubt]:
    """Every doubt, load by load in the order in which they came."""
    running = {one.load: one for one in run.loads if one.load}
    rows: list[LoadDoubt] = []
    for one in loads:
        if not one.taken:
            continue
        there = running.get(one.id)
        rows += _age(asked, one, there, now_min) + _mix(asked, one) + _warm(asked, one) + _water(asked, one)
        rows += _stands(asked, one, there, now_min)
        if one.n == 1 and one.arrived_min < -EARLY_MIN:
            words = f"It came {-one.arrived_min:.0f} minutes before the first truck should stand here."
            rows.append(LoadDoubt(one.id, "ticket-early", words, "the crew", "Look at the stamp, or move the start of the pour.", "plant"))  # fmt: skip
    return rows + _twice(asked.plan, [one for one in loads if one.taken])


def age_min(one: Load, there: Running | None, now_min: float) -> float:
    """Since it was batched: until its last was out, else until now."""
    end = there.end_min if there and there.empty else now_min
    return (one.empty_min if one.empty_min is not None else max(end, one.arrived_min)) - one.batched_min


def _age(asked: Asked, one: Load, there: Running | None, now_min: float) -> list[LoadDoubt]:
    limit, age = asked.ways.pour.load_min, age_min(one, there, now_min)
    decides = "buyer and plant, before it is emptied"
    if age > limit + EVEN:
        words = f"Truck {one.n} is {age:.0f} minutes old, {limit:.0f} is the limit."
        return [LoadDoubt(one.id, "ticket-old", words, decides, "Send it back, or let the engineer say that it may go in.", "discharge", one.empty_min is None)]  # fmt: skip
    if one.empty_min is None and there is not None and there.end_min - one.batched_min > limit + EVEN:
        words = f"Truck {one.n} will be {there.end_min - one.batched_min:.0f} minutes old when its last is out, {limit:.0f} is the limit."
        return [
            LoadDoubt(one.id, "ticket-old", words, decides, "Empty it first, or into two places at once.", "discharge")
        ]
    return []


def _mix(asked: Asked, one: Load) -> list[LoadDoubt]:
    mix, plan, rows = asked.plan.mix, asked.plan, []
    if one.strength_mpa is not None and mix.strength_mpa and one.strength_mpa < mix.strength_mpa - 0.15:
        said, wanted = (psi_text(plan, mpa * PSI_PER_MPA) for mpa in (one.strength_mpa, mix.strength_mpa))
        rows.append(LoadDoubt(one.id, "ticket-mix", f"Its ticket says {said}, {wanted} was ordered.", mix.strength_by or "who set the strength", "Send it back and call the plant: it is another mix.", "plant", True))  # fmt: skip
    if one.stone_mm is not None and mix.stone_mm and one.stone_mm > mix.stone_mm + 1.0:
        said, wanted = size_text(plan, one.stone_mm), size_text(plan, mix.stone_mm)
        rows.append(LoadDoubt(one.id, "ticket-mix", f"Its stone is {said}, {wanted} was ordered.", "the engineer", "Send it back where stone cannot pass the steel.", "stone-size", True))  # fmt: skip
    if one.slump_mm is not None and mix.slump_mm and not slump_passes(mix.slump_mm, one.slump_mm):
        low, high = slump_range_mm(mix.slump_mm)
        wet = one.slump_mm > mix.slump_mm
        words = (
            f"Its slump is {size_text(plan, one.slump_mm)}, {size_text(plan, low)} to {size_text(plan, high)} may be."
        )
        remedy = "Send it back." if wet else "Water within what its ticket holds back, once, and 30 turns; else send it back."  # fmt: skip
        rows.append(LoadDoubt(one.id, "ticket-slump", words, "the buyer", remedy, "slump-tolerance", wet))
    if one.air_percent is not None and mix.air_percent is not None and abs(one.air_percent - mix.air_percent) > AIR_OFF + EVEN:  # fmt: skip
        words = (
            f"Its air is {one.air_percent:g} %, {mix.air_percent:g} % was ordered and {AIR_OFF:g} either way may be."
        )
        rows.append(LoadDoubt(one.id, "ticket-air", words, "the engineer", "Measure once more; then send it back.", "air", True))  # fmt: skip
    return rows


def _warm(asked: Asked, one: Load) -> list[LoadDoubt]:
    if one.temp_c is None:
        return []
    plan = asked.plan
    said = degrees_text(plan, one.temp_c)
    if one.temp_c > HOT_C + 0.05:
        words = f"It is {said} warm, {degrees_text(plan, HOT_C)} is the most."
        return [LoadDoubt(one.id, "ticket-warm", words, "the engineer", "Send it back, unless trial batches let it be.", "hot-mix", True)]  # fmt: skip
    if asked.air_c is not None and asked.air_c < COLD_AIR_C:
        least = cold_row(asked.thin_mm, asked.air_c).placed_c
        if one.temp_c < least - 0.05:
            words = f"It is {said}, {degrees_text(plan, least)} is the least in this air."
            return [LoadDoubt(one.id, "ticket-warm", words, "the engineer", "Call the plant for warmer water; cover what is placed.", "cold-mix")]  # fmt: skip
    return []


def _water(asked: Asked, one: Load) -> list[LoadDoubt]:
    mix = asked.plan.mix
    if not one.water_l or one.said_m3 is None:
        return []
    if mix.cement_kg_m3 is None or mix.water_share is None:
        words = "Water was added. Only its ticket says how much was held back for it."
        return [LoadDoubt(one.id, "ticket-water", words, "the buyer, within the ticket", "Read on the ticket how much may go in.", "water-added")]  # fmt: skip
    found = watered(mix.cement_kg_m3, mix.cement_kg_m3 * mix.water_share, one.water_l, one.said_m3, mix.water_share)
    if found.water_share <= mix.water_share + EVEN:
        return []
    words = f"With the water that was added its water to cement is {found.water_share:.2f}, {mix.water_share:.2f} is the most."
    return [LoadDoubt(one.id, "ticket-water", words, "the engineer", "No more water; tell the engineer before it goes in.", "water-added", True)]  # fmt: skip


def _stands(asked: Asked, one: Load, there: Running | None, now_min: float) -> list[LoadDoubt]:
    over = over_min(asked.ways, one, there, now_min)
    if over <= 0:
        return []
    words = f"It has stood {over:.0f} minutes longer than is free: {charge_cents(asked.ways, over) / 100:,.0f} $."
    return [LoadDoubt(one.id, "truck-charge", words, "the plant", "Empty it, or send the next ones wider apart.", "plant")]  # fmt: skip


def over_min(ways: JobWays, one: Load, there: Running | None, now_min: float) -> float:
    """Minutes that it has stood here beyond those that are free."""
    if one.said_m3 is None:
        return 0.0
    leaves = there.leave_min if there and there.empty else now_min
    return max(0.0, leaves - one.arrived_min - ways.pour.free_min_m3 * one.said_m3)


def charge_cents(ways: JobWays, over: float) -> float:
    """What so many minutes cost."""
    return over / 60 * ways.pour.wait_cents_h


def _twice(plan: Plan, loads: Sequence[Load]) -> list[LoadDoubt]:
    rows = []
    for one, other in combinations(loads, 2):
        number = bool(one.number) and one.number == other.number
        same = one.said_m3 is not None and one.said_m3 == other.said_m3 and abs(one.arrived_min - other.arrived_min) < SAME_MIN  # fmt: skip
        if number or same:
            size = "" if other.said_m3 is None else f", {amount(other.said_m3, plan.units)}"
            what = f"Ticket {other.number}" if number else "A load at the same minute"
            words = f"{what} is there twice: truck {one.n} and truck {other.n}{size}."
            rows.append(LoadDoubt(other.id, "ticket-twice", words, "the crew", "Strike one of them out.", "plant", other=one.id))  # fmt: skip
    return rows
