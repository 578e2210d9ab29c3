"""What the owner of the slab is told: what was built, how to treat it, when to load it, what was tested, what is still open."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.built.built import Built
from humble_trowel.core.cure.cured import CureDay
from humble_trowel.core.cure.told_parts import CureTold
from humble_trowel.core.day.sizes import degrees
from humble_trowel.core.findings import said_together
from humble_trowel.core.gate.changes import ChangeTold
from humble_trowel.core.gate.holds import GateHold
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.finish_parts import CutNow
from humble_trowel.core.pour.loads import Load
from humble_trowel.core.pour.sizes import about, strength
from humble_trowel.core.units import Units, say_depth

LB_KG = 0.45359237
INSIDE = ("stage", "hands", "clash", "day")  # holds that are the crew's own, and mean nothing once it is poured
EVENT_WORDS = {
    "walk": "Walk on it",
    "strip": "Forms off",
    "build": "Build on it",
    "drive": "Cars on it",
    "load": "Full load",
}
COVER_DO = {
    "wet": "Keep it wet, all day, every day", "sheets": "Leave the sheets on, edges weighted down", "blankets": "Leave the blankets on, edges weighted down",
    "compound": "Leave the sprayed film alone: no washing, no scraping",
}  # fmt: skip


@dataclass(frozen=True)
class HandOverFacts:
    """What it is worked out of. thick: (zone, thickness). placed_m3: None where nobody wrote the pour down. foam_open: sides whose foam is not finished yet."""

    plan: Plan
    day: CureDay | None
    told: CureTold | None
    area_text: str
    thick: Sequence[tuple[str, str]]
    placed_m3: float | None
    net_m3: float
    strength_mpa: float | None
    steel_kg: float
    joints: int
    cuts: Sequence[CutNow]
    tube: bool
    foam: bool
    barrier: bool
    tests: Sequence[str]
    loads: Sequence[Load]
    built: Built
    changes: Sequence[ChangeTold]
    holds: Sequence[GateHold]
    foam_open: Sequence[str]
    outside: Sequence[str]
    crew_cover: str
    cure_days: float


@dataclass(frozen=True)
class UseRow:
    """When a zone may be used for something: text by what. zone: its name."""

    zone: str
    texts: list[str]


@dataclass(frozen=True)
class HandOver:
    """All of it in plain words. heads: of the columns of use. open: what is not done yet, which the owner should know before taking the slab over."""

    built: list[str]
    differs: list[str]
    treat: list[str]
    heads: list[str]
    use: list[UseRow]
    tested: list[str]
    warnings: list[str]
    open: list[str]


def hand_over_of(facts: HandOverFacts) -> HandOver:
    """The hand-over as it stands now."""
    heads, use = _use(facts)
    differs = [f"{row.name}: {row.words}" for row in facts.built.rows]
    return HandOver(_built(facts), differs, _treat(facts), heads, use, _tested(facts), _warnings(facts), open_of(facts))


def _built(facts: HandOverFacts) -> list[str]:
    units = facts.plan.units
    by_depth: dict[str, list[str]] = {}
    for name, thick in facts.thick:
        by_depth.setdefault(thick, []).append(name)
    slabs = "; ".join(f"{thick} thick: {', '.join(names)}" for thick, names in by_depth.items())
    m3 = facts.net_m3 if facts.placed_m3 is None else facts.placed_m3
    rows = [f"A slab of {facts.area_text}. {slabs}.", f"About {about(m3, units)} of concrete{f', {strength(facts.strength_mpa, units)} at 28 days' if facts.strength_mpa else ''}."]  # fmt: skip
    if facts.steel_kg > 1:
        rows.append(f"{_mass(facts.steel_kg, units)} of steel.")
    under = [word for word, on in (("a barrier against damp", facts.barrier), ("foam", facts.foam)) if on]
    if under:
        rows.append(f"Under it: {' and '.join(under)}.")
    if facts.tube:
        rows.append("Heating tubes lie in it: see the sheet of what lies under the slab before anybody drills.")
    if facts.joints:
        rows.append(f"{facts.joints} {'joint tells' if facts.joints == 1 else 'joints tell'} cracks where to run.")
    return rows


def _mass(kg: float, units: Units) -> str:
    return f"{kg:,.0f} kg" if units == "mm" else f"{kg / LB_KG:,.0f} lb"


def _treat(facts: HandOverFacts) -> list[str]:
    lies = facts.told.cover if facts.told and facts.told.cover else facts.crew_cover
    rows = [f"{COVER_DO.get(lies, COVER_DO['wet'])}, for {facts.cure_days:g} days from the pour."]
    if facts.outside:
        rows.append(
            f"{said_together(list(facts.outside))}: no salt and no thawing agent in the first winter; sand instead. Salt eats a young slab."
        )
    rows += [
        "Water runs off and away from it: keep gutters, falls and the ground beside it as they are.",
        "Fine cracks along the joints are as planned; a crack elsewhere that opens wider than a card is worth a call.",
        "No paint, glue or tight floor on it before it is dry: about a month for each inch, tested, not guessed."
        if facts.plan.units == "ft-in"
        else "No paint, glue or tight floor on it before it is dry: about a month for each 25 mm, tested, not guessed.",
    ]
    if facts.tube:
        rows.append(
            f"Heat on only once it is 28 days old, and then by {degrees(25, facts.plan.units)} water first, a little warmer every day."
        )
    return rows


def _use(facts: HandOverFacts) -> tuple[list[str], list[UseRow]]:
    if facts.told is None or not facts.told.zones:
        return [], []
    keys = [one.key for one in facts.told.zones[0].events]
    rows = [
        UseRow(
            zone.name,
            [
                zone.froze_text or next((one.late_text or one.text for one in zone.events if one.key == key), "")
                for key in keys
            ],
        )
        for zone in facts.told.zones
    ]
    return [EVENT_WORDS.get(key, key) for key in keys], rows


def _tested(facts: HandOverFacts) -> list[str]:
    units = facts.plan.units
    rows = list(facts.tests)
    for one in facts.loads:
        said = [
            f"slump {say_depth(one.slump_mm, units)}" if one.slump_mm is not None else "",
            degrees(one.temp_c, units) if one.temp_c is not None else "",
            f"air {one.air_percent:g} in 100" if one.air_percent is not None else "",
            f"{one.cylinders} cylinders" if one.cylinders else "",
        ]
        words = ", ".join(word for word in said if word)
        if one.taken and words:
            rows.append(f"Truck {one.n}: {words}.")
    rows += [
        f"Cylinder {one.number}, {one.when_text}: {one.text}." for one in (facts.told.cylinders if facts.told else [])
    ]
    if facts.told and facts.told.levels.worst_text:
        own = facts.told.levels
        rows.append(
            f"Floor: worst gap under a straightedge {own.worst_text}{f', meets “{own.flat}”' if own.flat not in ('', 'none') else ''}."
        )
    return rows


def _warnings(facts: HandOverFacts) -> list[str]:
    rows = [
        "Before drilling or cutting: bars, tubes and pipes lie in it and under it. Ask for the sheets.",
        "Cutting concrete makes silica dust: wet, or with a mask and extraction.",
    ]
    if facts.day is not None and any(one.freezes_h is not None for one in facts.day.strong):
        rows.insert(0, "A part of it froze while it was young. Nobody builds on it before the engineer has looked.")
    rows.append(
        "What it may carry is for the engineer and the official to say; the days above are this house's estimate from temperatures."
    )
    return rows


def open_of(facts: HandOverFacts) -> list[str]:
    """What is not done yet, the gravest first."""
    asked = [one for one in facts.holds if one.code.split("/")[0] not in INSIDE]
    rows = [f"{one.title}: {one.who}" if one.who else one.title for one in asked]
    told = facts.told
    left = [one for one in facts.cuts if not one.done_text]
    if left:
        rows.append(f"{len(left)} {'joint is' if len(left) == 1 else 'joints are'} not sawn.")
    forms = [one for one in (told.sides if told else []) if one.state != "off"]
    if forms:
        rows.append(f"{len(forms)} {'side stands in its' if len(forms) == 1 else 'sides stand in their'} forms.")
    if told and told.levels.mend_text:
        rows.append(f"The floor: {told.levels.mend_text}.")
    if facts.foam_open:
        rows.append(f"Foam of the edge is not finished: {', '.join(facts.foam_open)}.")
    rows += [f"Change {one.n}, {one.words}: nobody agreed to it yet." for one in facts.changes if not one.agreed_by]
    if facts.day is None:
        rows.append("When it may be loaded is not known: nobody said the day of the pour, or its weather.")
    return rows
