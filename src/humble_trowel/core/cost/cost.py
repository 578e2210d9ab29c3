"""What a job costs, row by row, from what every stage comes to and the prices in the ways. Money in whole cents: parts add to the cent."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.price_ways import PriceWays
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M2_PER_FT2, M3_PER_YD3, MM_PER_FT, format_area, format_volume, number_word
from humble_trowel.core.working import number_text

LB_KG, FT_M = 0.45359237, 0.3048


@dataclass(frozen=True)
class CostRow:
    """group: material, machines, hands or other. stage: where it comes from. quantity_text, each_text: in the job's units, '' where it is a
    sum. id: of a line that was typed, '' else."""

    key: str
    group: str
    name: str
    quantity_text: str
    each_text: str
    total_cents: int
    stage: str
    why: str
    id: str = ""


@dataclass(frozen=True)
class Alternate:
    """Another way to build it. by_cents: more or less than as drawn, the margin with it."""

    key: str
    name: str
    by_cents: int
    words: str


@dataclass(frozen=True)
class Costed:
    """rows_cents: all rows. margin_cents: what is charged over them. per_area_text: of what is charged. stale: how old the prices are, '' where
    they are of now."""

    rows: list[CostRow]
    rows_cents: int
    margin_share: float
    margin_cents: int
    total_cents: int
    per_area_cents: int
    per_area_text: str
    area_text: str
    alternates: list[Alternate]
    stale: str
    asked_on: str
    not_in: str


@dataclass(frozen=True)
class Takes:
    """What the stages come to. Volumes m3, lengths m, areas m2, masses kg; 0 where a stage says nothing. crew_h: of the pour; form_h: of the
    forms."""

    area_m2: float
    order_m3: float
    fees_cents: float
    left_m3: float
    charge_cents: float
    pump_cents: float
    crew_cents: float
    crew_h: float
    stone_cents: int
    stone_m3: float
    haul_cents: int
    dig_m3: float
    form_cents: int
    form_h: float
    steel_kg: float
    barrier_m2: float
    foam_m3: float
    tube_m: float
    bolts: int
    straps: int
    saw_m: float


def money(cents: float) -> str:
    """1,234 or 12.50: whole where it is whole."""
    whole = round(cents)
    return f"{whole / 100:,.2f}" if whole % 100 else f"{whole // 100:,}"


def _times(
    plan: Plan, quantity: float, cents: float, metric: tuple[str, float], other: tuple[str, float]
) -> tuple[str, str, int]:
    """(quantity, each, total): shown by the job's unit, which is so many of the metric one."""
    unit, per = metric if plan.units == "mm" else other
    return f"{number_text(quantity / per, 1)} {unit}", f"{money(cents * per)} a {unit}", round(quantity * cents)


VOLUME = (("m³", 1.0), ("yd", M3_PER_YD3))
AREA = (("m²", 1.0), ("sq ft", M2_PER_FT2))
LENGTH = (("m", 1.0), ("ft", FT_M))
MASS = (("kg", 1.0), ("lb", LB_KG))


def rows_of(plan: Plan, ways: JobWays, takes: Takes) -> list[CostRow]:
    """Every row that comes to something."""
    rows = [*_material(plan, ways, takes), *_machines(plan, takes), *_hands(plan, ways, takes)]
    rows += [
        CostRow(f"extra-{row.id}", "other", row.name, "", "", row.cents, "order", "Typed on the quote.", row.id)
        for row in plan.quote.extra
    ]
    return [row for row in rows if row.total_cents or row.id]


def _material(plan: Plan, ways: JobWays, takes: Takes) -> list[CostRow]:
    own, rows = ways.prices, []

    def add(key: str, name: str, stage: str, why: str, said: tuple[str, str, int]) -> None:
        rows.append(CostRow(key, "material", name, *said, stage, why))

    concrete = _times(plan, takes.order_m3, ways.ground.concrete_cents_per_m3, *VOLUME)
    add("concrete", "Concrete", "order", "As ordered.", concrete)
    add("fees", "Small-load fees", "order", "Loads under the plant's least.", ("", "", round(takes.fees_cents)))
    stone = format_volume(takes.stone_m3, plan.units)
    add("stone", "Stone", "ground", "Loose, less what is on hand.", (f"{stone} {VOLUME[0][0] if plan.units == 'mm' else 'yd'}", "", takes.stone_cents))  # fmt: skip
    uses = f"Boards serve {number_word(own.form_uses).lower()} pours."
    add("forms", "Forms", "lines", uses, ("", "", round(takes.form_cents / own.form_uses)))
    add("steel", "Steel", "steel", "By weight, cut and tied.", _times(plan, takes.steel_kg, own.steel_cents_kg, *MASS))
    add(
        "barrier", "Barrier", "underslab", "With its laps.", _times(plan, takes.barrier_m2, own.barrier_cents_m2, *AREA)
    )
    add("foam", "Foam", "underslab", "By volume.", _times(plan, takes.foam_m3, own.foam_cents_m3, *VOLUME))
    add("tube", "Tubing", "underslab", "All loops.", _times(plan, takes.tube_m, own.tube_cents_m, *LENGTH))
    add("bolts", "Anchor bolts", "embeds", "Set, without spares.", _each(takes.bolts, own.bolt_cents))
    add("straps", "Straps and plates", "embeds", "All of them.", _each(takes.straps, own.strap_cents))
    add("cure", "Curing", "order", "Over the whole floor.", _times(plan, takes.area_m2, own.cure_cents_m2, *AREA))
    left = _times(plan, takes.left_m3, ways.risk.disposal_cents_m3, *VOLUME)
    add("left", "What is left over", "order", "Expected, after what is used on site.", left)
    return rows


def _each(count: int, cents: int) -> tuple[str, str, int]:
    return f"{count}", f"{money(cents)} each", count * cents


def _machines(plan: Plan, takes: Takes) -> list[CostRow]:
    return [
        CostRow("haul", "machines", "Hauling ground away", "", "", takes.haul_cents, "ground", "Loose, by the load."),
        CostRow("pump", "machines", "Pump", "", "", round(takes.pump_cents), "order", "From the first truck to the last pass, its least hours kept."),
        CostRow("wait", "machines", "Waiting trucks", "", "", round(takes.charge_cents), "order", "Past the free minutes, as the pour plays."),
    ]  # fmt: skip


def _hands(plan: Plan, ways: JobWays, takes: Takes) -> list[CostRow]:
    own = ways.prices
    saw = _times(plan, takes.saw_m, own.saw_cents_m, *LENGTH)
    rows = [
        _hours("dig", "Digging", "ground", takes.dig_m3 / own.dig_m3_h, own),
        _hours("place-stone", "Stone placed and packed", "ground", takes.stone_m3 / own.stone_m3_h, own),
        _hours("form", "Forming", "lines", takes.form_h, own),
        _hours("cover", "Barrier and foam laid", "underslab", takes.barrier_m2 / own.cover_m2_h, own),
        _hours("tie", "Steel placed and tied", "steel", takes.steel_kg / own.steel_kg_h, own),
        _hours("set", "Bolts set", "embeds", takes.bolts / own.bolts_h, own),
    ]
    hours = number_text(takes.crew_h, 1)
    rows.append(CostRow("pour", "hands", "The pour, whole crew", f"{hours} h", f"{money(ways.pour.crew_cents_h)} an hour", round(takes.crew_cents), "order", "From the first truck until tools are put away."))  # fmt: skip
    rows.append(CostRow("saw", "hands", "Joints sawn", *saw, "screed", "By length."))
    return rows


def _hours(key: str, name: str, stage: str, hours: float, own: PriceWays) -> CostRow:
    each = f"{money(own.hour_cents)} an hour"
    return CostRow(key, "hands", name, f"{number_text(hours, 1)} h", each, round(hours * own.hour_cents), stage, "By the crew's rate.")  # fmt: skip


def costed(plan: Plan, ways: JobWays, takes: Takes, alternates: Sequence[tuple[str, str, float, str]], today: str | None) -> Costed:  # fmt: skip
    """Rows, margin, total; every part in whole cents. alternates: (key, name, cents more, words) before the margin. today: to tell how old
    prices are; None where nobody knows the day."""
    rows = rows_of(plan, ways, takes)
    own = ways.prices
    share = own.margin_share if plan.quote.margin_share is None else plan.quote.margin_share
    before = sum(row.total_cents for row in rows)
    total = round(before / (1 - share))
    metric = plan.units == "mm"
    area = takes.area_m2 if metric else takes.area_m2 / M2_PER_FT2
    per = round(total / area) if area else 0
    per_text = f"{money(per)} a {'m²' if metric else 'sq ft'}"
    return Costed(
        rows, before, share, total - before, total, per, per_text, format_area(takes.area_m2, plan.units),
        [Alternate(key, name, round(cents / (1 - share)), words) for key, name, cents, words in alternates], _stale(own, today),
        own.asked_on or "", plan.quote.not_in,
    )  # fmt: skip


def _stale(own: PriceWays, today: str | None) -> str:
    if own.asked_on is None:
        return "Nobody has asked for prices yet: these are house figures."
    if today is None:
        return ""
    days = (date.fromisoformat(today[:10]) - date.fromisoformat(own.asked_on)).days
    if days <= own.old_days:
        return ""
    return f"Prices are {days} days old. Ask again."


def thicker(plan: Plan, ways: JobWays, takes: Takes) -> tuple[str, str, float, str]:
    """The slab thicker by the next step: 1 in, or 25 mm."""
    mm = 25.0 if plan.units == "mm" else MM_PER_FT / 12
    m3 = takes.area_m2 * mm / 1000
    name = "Slab 25 mm thicker" if plan.units == "mm" else "Slab 1 in thicker"
    unit = "m³" if plan.units == "mm" else "yd"
    return "thicker", name, m3 * ways.ground.concrete_cents_per_m3, f"{format_volume(m3, plan.units)} {unit} more concrete; the dig or the forms follow."  # fmt: skip
