"""What the forms take: boards, stakes, kickers, screws, string, oil, hours and money, each with its working."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.forms.side_form import SideForm
from humble_trowel.core.forms.steps import StepForm
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.form_ways import FormWays
from humble_trowel.core.units import M2_PER_FT2, MM_PER_FT, Units, say_length
from humble_trowel.core.working import Working, leaf, number_text, work

OIL_L_PER_GAL = 3.785411784


@dataclass(frozen=True)
class Take:
    """A total. key names it with its unit (stakes, boards_m, hours ...); text is in the job's units."""

    key: str
    name: str
    value: float
    text: str
    working: Working


def take_off(
    plan: Plan, sides: Sequence[SideForm], steps: Sequence[StepForm], ways: FormWays, string_mm: float
) -> list[Take]:
    """Every total, in the order of the work."""
    formed = [side for side in sides if side.formed]
    rows = [
        _length("boards_m", "Board, all marks", _runs(formed, steps), plan.units),
        _count(
            "stakes", "Stakes", [(s.name, s.stakes) for s in formed if s.stakes] + [(s.name, s.hangers) for s in steps]
        ),
        _count("kickers", "Kickers", [(s.name, s.kickers) for s in formed if s.kickers]),
        _count("panels", "Panels", [(s.name, s.panels) for s in formed if s.panels]),
        _screws(formed, steps, ways),
        _length("string_m", "String, nail to nail", [("All strings", string_mm)], plan.units),
        _oil(formed, plan.units, ways),
        _hours(formed, steps, plan.units, ways),
    ]
    money = [_board_money(formed, ways), *_prices(rows, ways)]
    rows += [row for row in money if row is not None]
    return [row for row in rows if row.value or row.key in ("stakes", "boards_m")]


def _runs(formed: Sequence[SideForm], steps: Sequence[StepForm]) -> list[tuple[str, float]]:
    rows = [(f"{s.name}, {c.board}", c.run_mm) for s in formed for c in s.courses]
    return rows + [(f"{s.name}, {s.board}", s.length_mm) for s in steps]


def _length(key: str, name: str, parts: Sequence[tuple[str, float]], units: Units) -> Take:
    scale, unit = (1000.0, "m") if units == "mm" else (MM_PER_FT, "ft")
    inputs = {
        f"p{i}": leaf(n, mm / scale, unit, say_length(mm, units), "geometry", "lines")
        for i, (n, mm) in enumerate(parts)
    }
    total = math.fsum(mm for _, mm in parts)
    working = work(name, unit, " + ".join(inputs) or "0", inputs, text=say_length(total, units))
    return Take(key, name, total / 1000, say_length(total, units, 4), working)


def _count(key: str, name: str, parts: Sequence[tuple[str, int]]) -> Take:
    inputs = {
        f"p{i}": leaf(n, count, "", str(count), "pressure" if key == "kickers" else "span")
        for i, (n, count) in enumerate(parts)
    }
    total = sum(count for _, count in parts)
    working = work(name, "", " + ".join(inputs) or "0", inputs, text=str(total), source="span")
    return Take(key, name, total, str(total), working)


def _screws(formed: Sequence[SideForm], steps: Sequence[StepForm], ways: FormWays) -> Take:
    held = sum(s.stakes * max(1, len(s.boards)) for s in formed) + sum(s.hangers for s in steps)
    inputs = {
        "held": leaf("Boards held at stakes", held, "", str(held), "span"),
        "each": leaf(
            "Screws or duplex nails each", ways.screws_per_stake, "", str(ways.screws_per_stake), "ways", "ways/forms"
        ),
        "kickers": leaf("Kickers", sum(s.kickers for s in formed), "", str(sum(s.kickers for s in formed)), "pressure"),
    }
    working = work("Screws or duplex nails", "", "held * each + 2 * kickers", inputs, source="ways", digits=0)
    return Take("screws", "Screws or duplex nails", working.value, number_text(working.value, 0), working)


def _oil(formed: Sequence[SideForm], units: Units, ways: FormWays) -> Take:
    m2 = math.fsum(c.run_mm * _deep(c.board, ways) for s in formed for c in s.courses) / 1e6
    m2 += math.fsum(s.length_mm * s.height_mm for s in formed if s.panels) / 1e6
    if units == "mm":
        inputs = {"area": leaf("Face of all boards", m2, "m²", f"{m2:.1f} m²", "geometry"),
                  "reach": leaf("One litre covers", ways.oil_m2_per_l, "m²", f"{number_text(ways.oil_m2_per_l, 1)} m²", "ways", "ways/forms")}  # fmt: skip
        working = work("Release oil", "l", "area / reach", inputs, source="ways", digits=1)
        return Take("oil_l", "Release oil", working.value, working.text, working)
    feet, reach = m2 / M2_PER_FT2, ways.oil_m2_per_l * OIL_L_PER_GAL / M2_PER_FT2
    inputs = {"area": leaf("Face of all boards", feet, "sq ft", f"{feet:.0f} sq ft", "geometry"),
              "reach": leaf("One gallon covers", reach, "sq ft", f"{reach:.0f} sq ft", "ways", "ways/forms")}  # fmt: skip
    working = work("Release oil", "gal", "area / reach", inputs, source="ways", digits=2)
    return Take("oil_l", "Release oil", working.value * OIL_L_PER_GAL, working.text, working)


def _deep(mark: str, ways: FormWays) -> float:
    return next((board.deep_mm for board in ways.boards if board.mark == mark), 0.0)


def _hours(formed: Sequence[SideForm], steps: Sequence[StepForm], units: Units, ways: FormWays) -> Take:
    mm = math.fsum(mm for _, mm in _runs(formed, steps)) + math.fsum(s.length_mm for s in formed if s.panels)
    scale, unit = (1000.0, "m") if units == "mm" else (MM_PER_FT, "ft")
    rate = ways.form_m_per_hour * 1000 / scale
    inputs = {
        "length": leaf("Board to set", mm / scale, unit, f"{mm / scale:.0f} {unit}", "geometry"),
        "rate": leaf("The crew sets in an hour", rate, unit, f"{rate:.0f} {unit}", "ways", "ways/forms"),
    }
    working = work("Form hours", "h", "length / rate", inputs, source="ways", digits=1)
    return Take("hours", "Form hours", working.value, working.text, working)


def _board_money(formed: Sequence[SideForm], ways: FormWays) -> Take | None:
    """Bare length times price; the cut plan says what is really bought."""
    price = {board.mark: board.price_per_m_cents for board in ways.boards}
    totals: dict[str, float] = {}
    for side in formed:
        for course in side.courses:
            totals[course.board] = totals.get(course.board, 0.0) + course.run_mm / 1000
    if not totals:
        return None
    inputs, terms = {}, []
    for i, (mark, metres) in enumerate(totals.items()):
        inputs[f"m{i}"] = leaf(f"{mark} needed", metres, "m", f"{metres:.1f} m", "geometry")
        inputs[f"p{i}"] = leaf(
            f"{mark} a metre", price.get(mark, 0) / 100, "", f"{price.get(mark, 0) / 100:.2f}", "ways", "ways/forms"
        )
        terms.append(f"m{i} * p{i}")
    working = work("Boards, bare length", "", " + ".join(terms), inputs, source="ways")
    return Take("boards_cents", "Boards, bare length", round(working.value * 100), f"{working.value:,.2f}", working)


def _prices(rows: Sequence[Take], ways: FormWays) -> list[Take]:
    priced = {
        "stakes": ways.stake_cents,
        "kickers": ways.kicker_cents,
        "panels": ways.panel_cents,
        "hours": ways.hour_cents,
    }
    out = []
    for row in rows:
        if row.key not in priced or not row.value:
            continue
        cents = priced[row.key]
        inputs = {
            "count": leaf(row.name, row.value, "", row.text, "span"),
            "price": leaf("Price of one", cents / 100, "", f"{cents / 100:.2f}", "ways", "ways/forms"),
        }
        working = work(f"{row.name}, money", "", "count * price", inputs, source="ways")
        out.append(
            Take(f"{row.key}_cents", f"{row.name}, money", round(working.value * 100), f"{working.value:,.2f}", working)
        )
    return out
