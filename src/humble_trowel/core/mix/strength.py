"""What exposure makes of strength, water and air, and where floor and frost pull apart."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.mix.durability import Asked, air_for, asked_by
from humble_trowel.core.mix.lines import INDOOR_PSI, MixClash, MixLine, Way, psi_text, share_text
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.mix import Settled
from humble_trowel.core.units import MPA_PER_PSI

IN = 25.4
AIR_WORDS = "1 1/2"


@dataclass(frozen=True)
class Exposed:
    """classes: of frost, sulphate and salt as the job says them. outside, inside: names of zones. frozen: the freeze class of the outside."""

    classes: list[str]
    outside: list[str]
    inside: list[str]
    frozen: str
    asked: Asked


def exposed(plan: Plan, *, steel: bool) -> Exposed:
    """What the job stands in. steel: there is some in it, so that salt matters to it."""
    mix = plan.mix
    names = [zone.name for zone in plan.zones if zone.id in mix.outside]
    inside = [zone.name for zone in plan.zones if zone.id not in mix.outside]
    frozen = mix.freeze or "F0"
    classes: list[str] = [] if frozen == "F0" else [frozen]
    classes += [mix.sulphate] if mix.sulphate and mix.sulphate != "S0" else []
    classes += ["C2"] if mix.salt and steel else []
    if mix.salt and frozen in ("F1", "F2"):
        classes.append("F3")
        frozen = "F3"
    return Exposed(classes, names, inside, frozen, asked_by(classes, plain=not steel))


def strength_line(plan: Plan, found: Exposed) -> MixLine:
    """Strength: the engineer's where it is said, else what the classes ask."""
    asked = found.asked
    by = (
        f"class {asked.psi_by} asks {psi_text(plan, asked.least_psi)}"
        if asked.psi_by
        else f"indoors, no frost: {psi_text(plan, INDOOR_PSI)} at least"
    )
    said = plan.mix.strength_mpa
    if said is None:
        why = f"Not said yet; {by} or more."
        return MixLine("strength", "Strength", "", "", why, "exposure", "ENGINEER", "unsaid", "mix.strength_mpa")
    psi = said / MPA_PER_PSI
    who = plan.mix.strength_by.strip()
    why = f"{who[:1].upper()}{who[1:]}; {by}." if who else f"As you said it; {by}."
    wrong = f"Under what {by}." if psi < asked.least_psi - 5 else ""
    text = psi_text(plan, psi)
    return MixLine("strength", "Strength", text, f"{said:.2f} MPa", why, "exposure", "ENGINEER", "set", "mix.strength_mpa", wrong)  # fmt: skip


def water_line(plan: Plan, found: Exposed) -> MixLine:
    """Water to cement at most."""
    said, asked = plan.mix.water_share, found.asked
    if said is None and asked.water_share is None:
        why = "No class asks one here; less water is stronger and shrinks less."
        return MixLine(
            "water", "Water to cement", "none asked", "", why, "exposure", "CODE", "worked", "mix.water_share"
        )
    if said is None:
        assert asked.water_share is not None
        text = f"{share_text(asked.water_share)} at most"
        return MixLine("water", "Water to cement", text, share_text(asked.water_share), f"Class {asked.water_by}.", "exposure", "CODE", "set", "mix.water_share")  # fmt: skip
    wrong = ""
    if asked.water_share is not None and said > asked.water_share + 1e-9:
        wrong = f"Class {asked.water_by} asks {share_text(asked.water_share)} or less."
    why = wrong or (f"As you said it; class {asked.water_by} asks {share_text(asked.water_share)}." if asked.water_share else "As you said it.")  # fmt: skip
    return MixLine("water", "Water to cement", f"{share_text(said)} at most", share_text(said), why, "exposure", "CODE", "said", "mix.water_share", wrong)  # fmt: skip


def air_lines(plan: Plan, found: Exposed, stone_mm: float) -> tuple[MixLine, MixClash | None]:
    """Entrained air, and the clash where one drum must do for a hard-trowelled floor and for frost."""
    mix = plan.mix
    psi = max(found.asked.least_psi, (mix.strength_mpa or 0) / MPA_PER_PSI)
    wanted = None if found.frozen == "F0" else air_for(min(stone_mm, 1.5 * IN), found.frozen, psi)
    hard = mix.finish == "trowelled"
    line = MixLine(
        "air", "Air", "none added", "0", "Nothing of it freezes.", "air", "CODE", "worked", "mix.air_percent"
    )
    if wanted and not hard:
        text = f"{wanted.target_percent:g} in 100"
        why = f"Class {found.frozen} with this stone, {AIR_WORDS} either way."
        line = MixLine("air", "Air", text, f"{wanted.target_percent:g}", why, "air", "CODE", "set", "mix.air_percent")
    elif hard and not wanted:
        line = MixLine("air", "Air", "none added", "0", "Hard trowelling blisters with air: under 3 in 100.", "air-trowel", "CODE", "set", "mix.air_percent")  # fmt: skip
    clash = None
    if wanted and hard:
        settled = mix.settled.get("air")
        line, clash = _both(found, f"{wanted.target_percent:g}", settled is not None), _air_clash(found, settled)
        if clash.settled:
            line = MixLine("air", "Air", clash.settled.answer, "", _by(clash), "air-trowel", "ASK BOTH", "said", "mix.air_percent")  # fmt: skip
    if mix.air_percent is not None and clash is None:
        said = f"{mix.air_percent:g} in 100" if mix.air_percent else "none added"
        wrong = ""
        if wanted and not wanted.low_percent <= mix.air_percent <= wanted.high_percent:
            wrong = f"Class {found.frozen} asks {wanted.target_percent:g} in 100."
        if hard and mix.air_percent > 3:
            wrong = "A hard-trowelled floor blisters over 3 in 100."
        line = MixLine("air", "Air", said, f"{mix.air_percent:g}", wrong or line.why, line.source, "CODE", "said", "mix.air_percent", wrong)  # fmt: skip
    return line, clash


def _by(clash: MixClash) -> str:
    assert clash.settled is not None
    return f"Settled by {clash.settled.by}." if clash.settled.by else "Settled."


def _both(found: Exposed, percent: str, done: bool) -> MixLine:
    out = found.outside[0] if found.outside else "the outside"
    why = f"Hard trowelling blisters with air; {out} wants {percent} in 100."
    wrong = "" if done else "One drum cannot do both."
    return MixLine("air", "Air", "to settle", "", why, "air-trowel", "CODE", "unsaid", "mix.air_percent", wrong)


def _air_clash(found: Exposed, settled: Settled | None) -> MixClash:
    if found.outside and found.inside:
        out = found.outside[0]
        title, words = f"Air: yes for {out}, no for the floor", "One drum cannot do both."
        ways = [
            Way(f"{out} alone, another day", f"{out} alone, another day"),
            Way("air in the last load only", "Air in the last load"),
        ]
    else:
        title, words = "Air: frost asks it, the trowel forbids it", "No mix does both: no number is given."
        ways = [Way("no hard trowel: float and broom", "Float and broom it"), Way("no frost there: kept warm", "It never freezes")]  # fmt: skip
    return MixClash("air", title, words, ways, settled)
