"""The quote for the owner: what is built, what is in, what is not, other ways, the price. Plain words, no row of the crew's own costs."""

from __future__ import annotations

from datetime import date

from humble_trowel.core.cost.cost import Costed, money
from humble_trowel.core.figures import Concrete
from humble_trowel.core.mix.advice import MixFound
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import format_volume, say_depth
from humble_trowel.papers.frame import drawing, room_for, sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.svg import INK, Bounds, PlanPage, draw_bar, draw_sizes

MONTHS = (
    "January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December",
)  # fmt: skip
IN_WORDS = {
    "concrete": "concrete, delivered and placed", "stone": "stone, placed and packed", "forms": "forms, set and struck",
    "steel": "steel, placed and tied", "barrier": "the barrier", "foam": "foam", "tube": "heating tube", "bolts": "anchor bolts",
    "straps": "straps and plates", "cure": "curing", "pump": "the pump", "dig": "digging", "haul": "hauling the ground away", "saw": "sawn joints",
}  # fmt: skip
NOTE = (
    "Strength, exposure and what lies under the slab are for the engineer and the official to settle. Concrete cracks; joints "
    "say where. Hidden ground, rain and frost may change the day and the price, and nobody pours on either."
)


def day_words(iso: str) -> str:
    """'17 June 2027'."""
    day = date.fromisoformat(iso[:10])
    return f"{day.day} {MONTHS[day.month - 1]} {day.year}"


def _listed(texts: list[str]) -> str:
    return texts[0] if len(texts) == 1 else f"{', '.join(texts[:-1])} and {texts[-1]}" if texts else ""


def quote_pdf(plan: Plan, firm: str, told: Costed, concrete: Concrete, mix: MixFound | None, paper: Paper, today: str | None) -> bytes:  # fmt: skip
    """One page in plain words as PDF. firm: who offers it. today: printed as its date, '' where nobody knows it."""
    ring = list(plan.outline or [])
    xs, ys = [x for x, _ in ring], [y for _, y in ring]
    bounds = Bounds(min(xs) - 900, min(ys) - 900, max(xs) + 900, max(ys) + 900)
    scale = room_for(bounds.wide, bounds.high, paper, plan.units == "ft-in", 0.34, turn=False).scale
    page = PlanPage(bounds, scale)
    page.path(ring, True, f'fill="#f4f4f1" stroke="{INK}" stroke-width="0.6"')
    draw_sizes(page, plan, ring)
    draw_bar(page, plan)
    kinds = {row.mark: row for row in plan.slab_types}
    thick = sorted({kinds[zone.slab].thickness_mm for zone in plan.zones if zone.slab in kinds})
    slabs = _listed([say_depth(mm, plan.units) for mm in thick])
    unit = "cubic metres" if plan.units == "mm" else "cubic yards"
    inside = [IN_WORDS[row.key] for row in told.rows if row.key in IN_WORDS]
    inside += [row.name for row in told.rows if row.group == "other" and row.total_cents > 0]
    strength = next((line.say for line in mix.lines if line.what == "strength" and line.say), "") if mix else ""
    what = f"A slab of {told.area_text}, {slabs} thick, about {format_volume(concrete.net_m3, plan.units)} {unit} of concrete{f' of {strength}' if strength else ''}."
    others = "\n".join(
        f"[#{quoted(row.name)}], [#{quoted(row.words)}], table.cell(align: right)[#{quoted(_by(row.by_cents))}],"
        for row in told.alternates
    )
    alternates = f'#part("Other ways to build it")\n#table(columns: (auto, 1fr, auto), {others})' if others else ""
    not_in = told.not_in or "Whatever is not named above."
    whom = ", ".join(bit for bit in (f"For {plan.client}" if plan.client else "", plan.site.address, day_words(today) if today else "", firm) if bit)  # fmt: skip
    body = f"""
#{quoted(what)}
{drawing(scale, bounds.wide / scale.one_to)}
#part("In it")
#{quoted((_listed(inside)[:1].upper() + _listed(inside)[1:] + ".") if inside else "Nothing yet.")}
#part("Not in it")
#{quoted(not_in)}
{alternates}
#block(above: 12pt, below: 8pt, stroke: 1.2pt, inset: 9pt, width: 100%)[#text(19pt, weight: 700)[#{quoted("$" + money(told.total_cents))}] #h(1fr) #text(12pt)[#{quoted("$" + told.per_area_text)}]]
#text(11pt)[#{quoted(NOTE)}]
"""
    source = sheet("Quote", plan.name, body, paper=paper, under=[f"#{quoted(whom)}"], table="plain")
    return set_pdf(source, {"plan.svg": page.svg()})


def _by(cents: int) -> str:
    return f"${money(abs(cents))} {'more' if cents >= 0 else 'less'}"
