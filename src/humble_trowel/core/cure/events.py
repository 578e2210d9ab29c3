"""What may be done with a slab from which strength on, and when that is: earliest, likely, latest of four days in five. Hours on the clock."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.cure.strength import Strong, first_over
from humble_trowel.core.plan.ways import JobWays


@dataclass(frozen=True)
class Rule:
    """Something that waits for a strength. source: in `sources`."""

    key: str
    name: str
    needs_mpa: float
    source: str


@dataclass(frozen=True)
class Event:
    """When it may be. None: not in four weeks. Where a zone froze none of them means anything."""

    rule: Rule
    low_h: float | None
    at_h: float | None
    high_h: float | None


def rules_of(ways: JobWays, at_28_mpa: float) -> list[Rule]:
    """In the order in which they come about."""
    rows = [
        Rule("walk", "walk", ways.day.walk_mpa, "cure-frost"), Rule("strip", "strip", ways.day.strip_mpa, "cure-strip"),
        Rule("build", "build", ways.day.build_mpa, "cure-build"), Rule("drive", "drive", ways.cure.drive_mpa, "cure-build"),
        Rule("load", "load", ways.day.load_share * at_28_mpa, "cure-load"),
    ]  # fmt: skip
    return sorted(rows, key=lambda one: one.needs_mpa)


def events_of(strong: Strong, rules: Sequence[Rule]) -> list[Event]:
    """Of one zone."""
    if strong.freezes_h is not None:
        return [Event(rule, None, None, None) for rule in rules]
    hours = strong.hours_h
    return [
        Event(rule, first_over(hours, strong.high_mpa, rule.needs_mpa), first_over(hours, strong.at_mpa, rule.needs_mpa), first_over(hours, strong.low_mpa, rule.needs_mpa))
        for rule in rules
    ]  # fmt: skip
