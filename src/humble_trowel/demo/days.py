"""Recorded days that come with the demo, each for one of its jobs."""

from __future__ import annotations

import json
from importlib import resources

from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.clock import pour_clock
from humble_trowel.core.replay import DayLine
from humble_trowel.files.day_file import read_day

DAYS = {
    "honey-house-good": "A day that goes well",
    "honey-house-late": "A late truck, a heavy base, sun",
}


def days_for(plan: Plan) -> list[tuple[str, str]]:
    """(key, title) of days that were recorded on this very slab and day."""
    return [(key, title) for key, title in DAYS.items() if _fits(plan, key)]


def content_of(key: str) -> bytes:
    """A day as its file. Raises KeyError."""
    if key not in DAYS:
        raise KeyError(key)
    return (resources.files("humble_trowel.demo") / "days" / f"{key}.jsonl").read_bytes()


def lines_of(plan: Plan, key: str) -> list[tuple[float, DayLine, dict[str, object]]]:
    """(minute, line, values as they are sent), in the order of the minutes. Raises KeyError for a day that is not there."""
    clock = pour_clock(plan)
    if clock is None:
        return []
    content = content_of(key)
    raw = [json.loads(text)["values"] for text in content.decode().splitlines() if text.strip()]
    rows = [
        (clock.minute(line.at), line, values) for line, values in zip(read_day(content, plan.units), raw, strict=True)
    ]
    return sorted(rows, key=lambda row: row[0])


def _fits(plan: Plan, key: str) -> bool:
    """Its strips are those of this slab, and it is its day."""
    strips = {row.id for row in plan.screed.strips}
    said = [json.loads(text) for text in content_of(key).decode().splitlines() if text.strip()]
    named = {row["values"]["strip"] for row in said if row["values"].get("strip")}
    same_day = plan.order.pour_at is not None and said[0]["values"]["at"][:10] == plan.order.pour_at[:10]
    return same_day and bool(named) and (named <= strips or not strips)
