"""The day on one page: what was ordered, placed and left, and every word that was written down, in its order."""

from __future__ import annotations

import math
from collections.abc import Sequence

from humble_trowel.core.findings import said_together
from humble_trowel.core.pour.act_kinds import ACT_KINDS, Reason
from humble_trowel.core.pour.called import PLANT_WORDS
from humble_trowel.core.pour.day import PourDay, Said
from humble_trowel.core.pour.sizes import about, amount, dollars
from humble_trowel.core.pour.ticket_doubts import charge_cents, over_min
from humble_trowel.core.pour.told_parts import AfterRow, AfterTold
from humble_trowel.core.pour.trouble import PLANS

FULL = 1 - 1e-9


def after_told(day: PourDay, said: Said, weather: str) -> AfterTold:
    """weather: in a line, '' where nobody knows."""
    units, clock = day.planned.plan.units, day.planned.clock
    here = [one for one in day.run.loads if one.here]
    ordered = math.fsum(one.m3 for one in day.run.loads)
    done = bool(day.fillings) and all(one.full for one in day.fillings)
    running = {one.load: one for one in day.run.loads}
    charge = math.fsum(
        charge_cents(day.planned.ways, over_min(day.planned.ways, one, running.get(one.id), day.now_min))
        for one in day.loads
        if one.taken
    )
    over = ordered - day.forecast.total.mean_m3
    rows = sorted([*_rows(day, said), *_later(day, said)], key=lambda row: (row.at_min, row.record))
    people = sorted({row.by for row in rows if row.by})
    return AfterTold(
        done, amount(ordered, units), about(day.placed_m3, units), about(over, units) if done else "", len(here),
        clock.text(here[0].arrive_min) if here else "", clock.text(here[-1].end_min) if here else "", dollars(charge) if charge > 50 else "",
        weather, people, rows, said.records,
    )  # fmt: skip


def _rows(day: PourDay, said: Said) -> list[AfterRow]:
    clock, units = day.planned.clock, day.planned.plan.units
    rows: list[AfterRow] = []

    def add(at: str, words: str, by: str, kind: str, record: str) -> None:
        minute = clock.minute(at)
        rows.append(AfterRow(minute, clock.text(minute), words, by, kind, record))

    for one in day.loads:
        size = "" if one.said_m3 is None else f", {amount(one.said_m3, units)}"
        words = (
            f"Truck {one.n} here{size}, batched {clock.text(one.batched_min)}"
            if one.taken
            else f"A load sent back{size}: {one.sent_back}"
        )
        rows.append(AfterRow(one.arrived_min, clock.text(one.arrived_min), words, one.by, "ticket", one.records[0]))
    before: tuple[float, ...] = ()
    for stand in day.stands:
        new = [
            part.name
            for at, part in enumerate(day.planned.floor.parts)
            if stand.shares[at] > FULL and (not before or before[at] <= FULL)
        ]
        share = f"{stand.area_m2 / day.planned.floor.area_m2:.0%} of the floor full"
        words = f"{said_together(new)} struck, {share}" if stand.struck and new else f"The front: {share}"
        before = stand.shares
        rows.append(AfterRow(stand.at_min, clock.text(stand.at_min), words, stand.by, "front", stand.record))
    titles = {one.key: one.title for one in day.acts}
    for record, act in said.acts:
        kind = ACT_KINDS[act.act.split("/")[0]]
        title = titles.get(act.act, act.act.split("/")[0])
        how = {"done": kind.done, "put-off": "put off", "cannot": f"cannot: {_why(kind.reasons, act.reason, act.words)}"}[act.how]  # fmt: skip
        add(act.at, f"{title}: {how}", act.by, "act", record)
    for record, trouble in said.incidents:
        add(trouble.at, f"{PLANS[trouble.what].name}{', over' if trouble.over else ''}{f': {trouble.words}' if trouble.words else ''}", trouble.by, "trouble", record)  # fmt: skip
    for record, call in said.calls:
        size = amount(call.m3, units) if call.m3 else "none"
        who = f", {call.heard_by} read it back" if call.heard_by else ""
        add(
            call.at,
            f"Last truck {'said' if call.answer == 'held' else 'refused'}: {size}{who}",
            call.by,
            "call",
            record,
        )
    return rows


def _later(day: PourDay, said: Said) -> list[AfterRow]:
    """What the plant said, joints, who was given what."""
    clock = day.planned.clock
    rows: list[AfterRow] = []
    titles = {one.key: one.title for one in day.acts}
    names = {one.line.id: one for one in day.cuts}

    def add(at: str, words: str, by: str, kind: str, record: str) -> None:
        minute = clock.minute(at)
        rows.append(AfterRow(minute, clock.text(minute), words, by, kind, record))

    for record, word in said.plant:
        due = f", here {clock.text(clock.minute(word.due_at))}" if word.due_at else ""
        add(word.at, f"The plant on {word.number}: {PLANT_WORDS[word.says]}{due}", word.by, "plant", record)
    for record, cut in said.sawn:
        where = said_together(list(names[cut.joint].zones)) if cut.joint in names else "a joint"
        add(cut.at, f"{'Cracked before the saw' if cut.cracked else 'Sawn'}: {where}", cut.by, "sawn", record)
    for record, given in said.given:
        title = titles.get(given.act, given.act.split("/")[0])
        add(given.at, f"{title}: {given.to or 'nobody'} does it", given.by, "given", record)
    return rows


def _why(reasons: Sequence[Reason], key: str, words: str) -> str:
    return next((one.words for one in reasons if one.key == key), words)
