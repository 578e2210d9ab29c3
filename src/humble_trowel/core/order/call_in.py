"""The call-in card: what to say to the plant, in the order in which a dispatcher asks."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime
from itertools import groupby

from humble_trowel.core.order.quantity import Ordered
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.mix import Mix
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import MPA_PER_PSI, Units, number_word, round_half_away, say_depth

DAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
MONTHS = (
    "January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November",
    "December",
)  # fmt: skip
METHODS = {
    "chute": "Straight off the chute.",
    "pump": "Into a pump. The pump firm is booked by us.",
    "barrows": "Into barrows. Slow: ask for the longest unloading time.",
    "conveyor": "On to a conveyor.",
}


@dataclass(frozen=True)
class CallLine:
    """key: stable name. asks: what the dispatcher asks. says: the line to read, '' where nothing is known.

    missing: what is still unsaid, '' if nothing. set_at: where it is set.
    """

    key: str
    asks: str
    says: str
    missing: str
    set_at: str


def call_in(plan: Plan, ordered: Ordered | None, ways: JobWays) -> list[CallLine]:
    """All lines of the card, said or unsaid."""
    return [
        _who(plan, ways),
        _when(plan),
        _where(plan),
        _yards(plan, ordered),
        _mix(plan),
        _loads(plan, ordered),
        CallLine("unloaded", "How is it unloaded?", METHODS.get(plan.order.method or "", ""),
                 "" if plan.order.method else "chute, pump, barrows or conveyor", "order.method"),
        _ring(plan, ways),
    ]  # fmt: skip


def _who(plan: Plan, ways: JobWays) -> CallLine:
    account = f", account {ways.plant.account}" if ways.plant.account else ""
    firm = ways.firm or "us"
    missing = " and ".join(
        bit for bit in ("" if ways.firm else "the firm's name", "" if ways.plant.account else "the account") if bit
    )
    return CallLine(
        "account",
        "Who is it, and what job?",
        f"This is {firm}{account}. The job is {plan.name}.",
        missing,
        "ways",
    )


def _when(plan: Plan) -> CallLine:
    if not plan.order.pour_at:
        return CallLine("when", "When?", "", "day and first truck's time", "order.pour_at")
    at = datetime.fromisoformat(plan.order.pour_at)
    says = f"{DAYS[at.weekday()]} {at.day} {MONTHS[at.month - 1]}, first truck on site at {at.hour}:{at.minute:02d}."
    return CallLine("when", "When?", says, "", "order.pour_at")


def _where(plan: Plan) -> CallLine:
    says = " ".join(bit.strip().rstrip(".") + "." for bit in (plan.site.address, plan.site.directions) if bit.strip())
    missing = " and ".join(
        bit
        for bit in (
            "" if plan.site.address else "the address",
            "" if plan.site.directions else "how to get in",
        )
        if bit
    )
    return CallLine(
        "where",
        "Where, and how do we get in?",
        says,
        missing,
        "site.directions" if plan.site.address else "site.address",
    )


def _yards(plan: Plan, ordered: Ordered | None) -> CallLine:
    if ordered is None or not ordered.trucks:
        return CallLine("yards", "How much?", "", "no outline yet", "lines")
    name = "cubic metres" if plan.units == "mm" else "yards"
    if ordered.text == "1":
        name = name[:-1]
    return CallLine("yards", "How much?", f"{ordered.text} {name} in all.", "", "order")


def _mix(plan: Plan) -> CallLine:
    says, missing = mix_words(plan.mix, plan.units)
    return CallLine("mix", "What mix?", says, missing, "mix.strength_mpa")


def mix_words(mix: Mix, units: Units) -> tuple[str, str]:
    """(the mix as said, what is not said yet)."""
    bits: list[str] = []
    missing: list[str] = []
    if mix.strength_mpa:
        psi = round_half_away(mix.strength_mpa / MPA_PER_PSI / 10) * 10
        bits.append(f"{psi:,} psi" if units == "ft-in" else f"{mix.strength_mpa:g} MPa")
    else:
        missing.append("strength")
    for value, name in ((mix.stone_mm, "stone"), (mix.slump_mm, "slump")):
        if value:
            bits.append(f"{say_depth(value, units)} {name}")
        else:
            missing.append(name)
    if mix.air_percent is None:
        missing.append("air")
    else:
        bits.append(f"{mix.air_percent:g} % air" if mix.air_percent else "no added air")
    if mix.fibre:
        bits.append(mix.fibre if isinstance(mix.fibre, str) else "with fibre")
    bits += _as_decided(mix)
    if mix.notes.strip():
        bits.append(mix.notes.strip().rstrip("."))
    return (f"{', '.join(bits)}." if bits else ""), ", ".join(missing)


REDUCERS = {"low": "low-range reducer", "mid": "mid-range reducer", "high": "high-range reducer"}


def _as_decided(mix: Mix) -> list[str]:
    """What was decided beyond the plain mix: water to cement, reducer, ash, slag, set, and what settled a clash."""
    bits = [f"{mix.water_share:.2f} water to cement at most"] if mix.water_share else []
    bits += [REDUCERS[mix.reducer]] if mix.reducer and mix.reducer != "none" else []
    bits += [
        f"{share * 100:.0f} % {name}" for share, name in ((mix.ash_share, "ash"), (mix.slag_share, "slag")) if share
    ]
    bits += [mix.setting] if mix.setting and mix.setting != "as it comes" else []
    return bits + [f"{key}: {row.answer}" for key, row in mix.settled.items() if row.answer]


def _loads(plan: Plan, ordered: Ordered | None) -> CallLine:
    missing = "" if plan.order.spacing_min else "how far apart"
    if ordered is None or not ordered.trucks:
        return CallLine("loads", "What loads, how far apart?", "", "no outline yet", "lines")
    loads = [truck.text for truck in ordered.trucks]
    count = len(loads)
    says = f"{number_word(count)} truck{'s' if count > 1 else ''}: {_listed(_folded(loads))}."
    if plan.order.spacing_min and count > 1:
        says += f" {plan.order.spacing_min:g} minutes apart."
    if count > 1:
        says += " Hold the last one until I call."
    else:
        missing = ""
    return CallLine("loads", "What loads, how far apart?", says, missing, "order.spacing_min")


def _folded(loads: list[str]) -> list[str]:
    """Up to three loads one by one; more of them by how many of each, in their order."""
    if len(loads) <= 3:
        return loads
    runs = [(load, len(list(run))) for load, run in groupby(loads)]
    return [load if count == 1 else f"{count} of {load}" for load, count in runs]


def _listed(texts: list[str]) -> str:
    return texts[0] if len(texts) == 1 else f"{', '.join(texts[:-1])} and {texts[-1]}"


def _ring(plan: Plan, ways: JobWays) -> CallLine:
    ring = plan.order.ring
    if ring is None or not (ring.name or ring.phone):
        return CallLine("ring", "Who do we ring?", "", "a name and a number on site", "order.ring.name")
    missing = " and ".join(bit for bit in ("" if ring.name else "a name", "" if ring.phone else "a number") if bit)
    return CallLine(
        "ring",
        "Who do we ring?",
        f"Ring {' on '.join(b for b in (ring.name, ring.phone) if b)}.",
        missing,
        "order.ring.phone",
    )


def card_text(plan: Plan, lines: list[CallLine]) -> str:
    """The card as plain text, for the clipboard."""
    rows = [f"{plan.name}: call-in card"]
    for line in lines:
        unsaid = f" [not said yet: {line.missing}]" if line.missing else ""
        rows.append(f"{line.asks} {line.says}{unsaid}".strip())
    return "\n".join(rows) + "\n"
