"""The whole mix: each line with its reason, source and who decides; where two rules pull apart, both, and the ways out. No line sets a
strength or a dose: those are the engineer's, the code's and the plant's."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.heat.hydration import SetTimes
from humble_trowel.core.mix.lines import MixClash, MixLine, Way, degrees_text, size_text
from humble_trowel.core.mix.stone import largest
from humble_trowel.core.mix.strength import air_lines, exposed, strength_line, water_line
from humble_trowel.core.plan.document import Plan

IN = 25.4
HOT_C, COLD_C = 29.4, 10.0
SLUMPS_MM = {"chute": 5 * IN, "pump": 5 * IN, "barrows": 4 * IN, "conveyor": 4 * IN}
USUAL_STONE_MM = 0.75 * IN
FINISHES = {"trowelled": "trowelled", "broomed": "broomed", "floated": "floated", "exposed": "exposed stone"}
REDUCERS = {"none": "none", "low": "low-range", "mid": "mid-range", "high": "high-range"}


@dataclass(frozen=True)
class MixFound:
    """lines: in the order in which a plant asks. asked: whether anybody said what is outside. needs_outside: frost is said, and no zone."""

    lines: list[MixLine]
    clashes: list[MixClash]
    classes: list[str]
    outside: list[str]
    frozen: str


@dataclass(frozen=True)
class Around:
    """What other stages know. thin_mm: the thinnest slab; clear_mm: between bars; form_mm: the narrowest form; steel: there is some."""

    thin_mm: float
    clear_mm: float | None
    steel: bool
    mesh: bool
    sets: SetTimes


def advised(plan: Plan, around: Around) -> MixFound:
    """Every line."""
    found = exposed(plan, steel=around.steel)
    stone = _stone(plan, around)
    air, air_clash = air_lines(plan, found, plan.mix.stone_mm or USUAL_STONE_MM)
    ash, ash_clash = _ash(plan)
    lines = [
        strength_line(plan, found), water_line(plan, found), air, stone, _slump(plan), _reducer(plan, found.asked.water_share), ash,
        _fibre(plan, around), _setting(plan, around.sets),
    ]  # fmt: skip
    clashes = [one for one in (air_clash, ash_clash) if one is not None]
    return MixFound(lines, clashes, found.classes, found.outside, found.frozen)


def _stone(plan: Plan, around: Around) -> MixLine:
    line_mm = plan.mix.line_mm if plan.order.method == "pump" else None
    most = largest(around.thin_mm, around.clear_mm, None, line_mm)
    words = {
        "slab/3": f"a third of {size_text(plan, around.thin_mm)}",
        "3/4 clear": f"three quarters of {size_text(plan, around.clear_mm or 0)} between bars",
        "line": f"a third of a {size_text(plan, line_mm or 0)} hose",
    }[most.by]
    limit = f"At most {size_text(plan, most.most_mm)}: {words}."
    said = plan.mix.stone_mm
    if said is None:
        size = min(most.size_mm, USUAL_STONE_MM)
        if not size:
            return MixLine("stone", "Stone", "", "", f"{limit} No plant has stone that small.", "stone-size", "CODE", "unsaid", "mix.stone_mm", "No stone fits.")  # fmt: skip
        return MixLine("stone", "Stone", size_text(plan, size), f"{size:.1f} mm", limit, "stone-size", "CODE", "worked", "mix.stone_mm")  # fmt: skip
    wrong = "" if said <= most.most_mm + 0.1 else limit
    return MixLine("stone", "Stone", size_text(plan, said), f"{said:.1f} mm", limit, "stone-size", "CODE", "said", "mix.stone_mm", wrong)  # fmt: skip


def _slump(plan: Plan) -> MixLine:
    method = plan.order.method or "chute"
    said = plan.mix.slump_mm
    mm = SLUMPS_MM[method] if said is None else said
    why = {"chute": "Off the chute, raked by hand", "pump": "Through a hose", "barrows": "In barrows", "conveyor": "On a conveyor"}[method]  # fmt: skip
    why += ". By reducer, not by water."
    return MixLine("slump", "Slump", size_text(plan, mm), f"{mm:.0f} mm", why, "slump-tolerance", "YOU", "worked" if said is None else "said", "mix.slump_mm")  # fmt: skip


def _reducer(plan: Plan, most_share: float | None) -> MixLine:
    mm = plan.mix.slump_mm or SLUMPS_MM[plan.order.method or "chute"]
    share = min(plan.mix.water_share or 0.6, most_share or 0.6)
    kind = "none" if mm <= 4 * IN + 0.1 else "high" if share <= 0.45 and mm >= 6 * IN else "mid"
    said = plan.mix.reducer
    why = f"{size_text(plan, mm)} slump with no more water; each gallon in a yard costs 150 to 200 psi."
    if plan.units == "mm":
        why = f"{size_text(plan, mm)} slump with no more water; 5 litres in a m³ cost about 1.2 MPa."
    if kind == "none" and not said:
        why = f"{size_text(plan, mm)} slump needs none."
    text = REDUCERS[said or kind]
    return MixLine("reducer", "Reducer", text, said or kind, why, "reducer", "PLANT", "said" if said else "worked", "mix.reducer")  # fmt: skip


def _ash(plan: Plan) -> tuple[MixLine, MixClash | None]:
    mix = plan.mix
    share = (mix.ash_share or 0) + (mix.slag_share or 0)
    said = f"{share * 100:.0f} in 100" if share else "none"
    cold = mix.air_c is not None and mix.air_c < COLD_C
    if mix.stained:
        settled = mix.settled.get("ash")
        ways = [Way("none: the stain maker forbids it", "Maker says none"), Way("allowed: a sample panel was stained", "Maker says yes, sample made")]  # fmt: skip
        clash = MixClash("ash", "Ash: the finisher wants it, the stain may forbid it", "Ask the finisher, then the stain maker. Both answers are kept.", ways, settled)  # fmt: skip
        text = settled.answer if settled else "to settle"
        why = (
            f"Settled by {settled.by}."
            if settled and settled.by
            else "Ash floats up creamy; stain takes otherwise on it."
        )
        how, wrong = ("said", "") if settled else ("unsaid", "Finisher and stain maker pull apart.")
        return MixLine("ash", "Ash or slag", text, "", why, "ash-stain", "ASK BOTH", "said" if how == "said" else "unsaid", "mix.ash_share", wrong), clash  # fmt: skip
    why = (
        "It sets slower: leave it out in the cold."
        if cold
        else "It finishes creamier and sets slower; as the plant has it."
    )
    wrong = "In this cold it sets too slowly." if cold and share else ""
    return MixLine("ash", "Ash or slag", said, f"{share:g}", why, "ash-stain", "PLANT", "said" if share else "worked", "mix.ash_share", wrong), None  # fmt: skip


def _fibre(plan: Plan, around: Around) -> MixLine:
    said = plan.mix.fibre
    if said:
        wrong = ""
        why = "Hard trowelling shows hairs." if plan.mix.finish == "trowelled" else "As you said it."
        return MixLine("fibre", "Fibre", said if isinstance(said, str) else "with fibre", "yes", why, "ways", "YOU", "said", "mix.fibre", wrong)  # fmt: skip
    why = "Mesh or bars are drawn." if around.mesh or around.steel else "Nothing holds cracks but joints."
    return MixLine("fibre", "Fibre", "none", "no", why, "ways", "YOU", "said" if said is False else "worked", "mix.fibre")  # fmt: skip


def _setting(plan: Plan, sets: SetTimes) -> MixLine:
    mix = plan.mix
    temps = [one for one in (mix.air_c, mix.noon_c) if one is not None]
    kind = "as it comes"
    if temps and max(temps) >= HOT_C:
        kind = "retarded"
    elif temps and min(temps) < COLD_C:
        kind = "accelerated"
    said = mix.setting
    day = " and ".join(degrees_text(plan, one) for one in temps)
    low, high = sets.initial_h * 0.85, sets.initial_h * 1.25
    about = (
        f"initial set about {low:.0f} to {high:.0f} h"
        if high - low >= 1
        else f"initial set about {low:.1f} to {high:.1f} h"
    )
    why = f"{day} that day: {about}." if day else f"Nobody said how warm it will be; {about}."
    wrong = ""
    if said and said != kind and kind != "as it comes":
        wrong = f"{day} asks for {kind}."
    return MixLine("setting", "Set", said or kind, said or kind, why, "set-clock", "PLANT", "said" if said else "worked", "mix.setting", wrong)  # fmt: skip
