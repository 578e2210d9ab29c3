"""What is doubtful on the day, as findings."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.pour.day import PourDay
from humble_trowel.core.pour.records import GaugeRead
from humble_trowel.core.pour.sizes import amount

TWO_MIN, TWO_SHARE = 5.0, 0.05
FALLS_SHARE = 0.1
SHORT_SHARE = 0.2
LATE_MIN = 5.0


def pour_doubts_now(day: PourDay, gauges: Sequence[GaugeRead] = ()) -> list[Finding]:
    """Doubts about loads, the front, the last call, the gauge and edges."""
    rows = [finding(one.code, f"pour.loads.{one.load}", one.words, one.remedy, one.source) for one in day.load_doubts]
    return [*rows, *_fronts(day), *_last(day), *_plant(day), *_cuts(day), *_gauge(day, gauges), *_edges(day)]


def _fronts(day: PourDay) -> list[Finding]:
    clock, rows = day.planned.clock, []
    for one, other in pairwise(day.stands):
        apart = abs(other.drawn_m3 - one.drawn_m3) > TWO_SHARE * day.forecast.drawn_m3
        if apart and one.by != other.by and other.at_min - one.at_min < TWO_MIN and one.spot and other.spot:
            words = f"{one.by or 'Somebody'} at {clock.text(one.at_min)} and {other.by or 'somebody'} at {clock.text(other.at_min)} tapped different fronts."
            rows.append(finding("front-two", f"pour.fronts.{other.record}", words, "The later one counts. Strike out the one that is wrong.", "last-load"))  # fmt: skip
        elif other.back and not one.back:
            words = f"At {clock.text(other.at_min)} the front was said to lie behind where it was before."
            rows.append(finding("front-back", f"pour.fronts.{other.record}", words, "The later word counts. Strike out the one that is wrong.", "last-load"))  # fmt: skip
    return rows


def _last(day: PourDay) -> list[Finding]:
    call, units = day.call, day.planned.plan.units
    if call.stands_min <= 0 or call.said_m3 is not None or call.best.m3 <= 0 or all(one.full for one in day.fillings):
        return []
    size = amount(call.best.m3, units)
    words = f"The last truck should have been said at {day.planned.clock.text(call.say_by_min)}: {size}. Said now, the crew stands about {call.stands_min:.0f} minutes."
    return [finding("say-last", "pour.call", words, "Say it now.", "last-load")]


def _plant(day: PourDay) -> list[Finding]:
    """What the plant makes of the last call."""
    one, clock = day.called, day.planned.clock
    if one is None:
        return []
    if one.wrong:
        words = f"The plant read the last truck back as {one.wrong}."
        return [finding("call-read-back", "pour.call", words, "Say it again, and have it read back.", "last-load")]
    if one.state == "lost":
        words = f"The plant knows nothing of order {one.said.number}."
        return [finding("call-lost", "pour.call", words, "Say it again now, and ask for a name.", "last-load")]
    if one.state == "down":
        return [finding("plant-down", "pour.call", "The plant is down: the last truck does not come.", "Ring the next plant; Trouble says where the pour may stop.", "last-load")]  # fmt: skip
    here = any(load.n >= len(day.run.loads) for load in day.loads if load.taken)
    if one.late_min > LATE_MIN and one.due_min is not None and not here:
        words = f"The last truck comes at {clock.text(one.due_min)}, {one.late_min:.0f} minutes later than it was said."
        return [
            finding(
                "plant-late", "pour.call", words, "Keep the edge that waits wet, and vibrate into it.", "cold-joint"
            )
        ]
    return []


def _cuts(day: PourDay) -> list[Finding]:
    """Joints that should be sawn by now."""
    late = [
        one for one in day.cuts if one.sawn_min is None and one.until_min is not None and one.until_min < day.now_min
    ]
    if not late:
        return []
    until = day.planned.clock.text(min(one.until_min for one in late if one.until_min is not None))
    words = f"{len(late)} {'joints' if len(late) > 1 else 'joint'} should have been sawn by {until}."
    return [finding("saw-late", "pour.cuts", words, "Saw now, and look for cracks first: no cut beside a crack.", "set-clock")]  # fmt: skip


def _gauge(day: PourDay, gauges: Sequence[GaugeRead]) -> list[Finding]:
    rows = sorted(gauges, key=lambda one: day.planned.clock.minute(one.at))
    if len(rows) < 2 or rows[-1].pressure_kpa > rows[0].pressure_kpa * (1 - FALLS_SHARE):
        return []
    fell = 1 - rows[-1].pressure_kpa / rows[0].pressure_kpa if rows[0].pressure_kpa else 0.0
    words = f"The gauge fell by {fell:.0%} since {day.planned.clock.text(day.planned.clock.minute(rows[0].at))}."
    return [finding("gauge-falls", "pour.gauge", words, "Stop placing there and look for a wet spot while it can be dug out.", "line-test")]  # fmt: skip


def _edges(day: PourDay) -> list[Finding]:
    limit, rows = day.planned.pour.sets.joint_min, []
    for older, newer in pairwise(day.run.loads):
        age = newer.unload_min - older.batch_min
        if not newer.empty and newer.end_min > day.now_min and age > limit:
            words = f"The edge of truck {older.n} is {age:.0f} minutes old when truck {newer.n} comes; about {limit:.0f} is too old."
            rows.append(finding("edge-old", f"pour.loads.{newer.n}", words, "Vibrate into it, keep it covered, or stop at a joint.", "cold-joint"))  # fmt: skip
    return rows
