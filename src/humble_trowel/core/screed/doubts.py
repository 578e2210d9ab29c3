"""Doubts about strips: each rule of the checker in plain words, with what mends it. Lengths mm."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import shapely
from shapely.geometry import Point

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.ground_ways import RodReads
from humble_trowel.core.plan.screed_ways import ScreedWays
from humble_trowel.core.screed.check import Fault
from humble_trowel.core.screed.pads import pads_once
from humble_trowel.core.screed.pulls import boards_of, rides_of
from humble_trowel.core.screed.records import PadSet
from humble_trowel.core.screed.strips import StripLaid, StripsLaid
from humble_trowel.core.screed.struck import PadDone, say_verdict
from humble_trowel.core.units import Units, say_depth, say_length

REACHED_SHARE = 0.005
PULLED: dict[str, str] = {"rail": "rails", "stakes": "stakes", "pegs": "pegs"}
Say = Callable[[Fault, StripLaid, Plan], tuple[str, str, str, str]]


def doubts(plan: Plan, ways: ScreedWays, laid: StripsLaid) -> list[Finding]:
    """All of them, strip by strip, then those of the whole."""
    named = {row.id: row for row in laid.strips}
    rows: list[Finding] = []
    for strip in laid.strips:
        said: set[str] = set()
        for fault in laid.checked.faults:
            if fault.strip == strip.id and fault.code not in said:
                said.add(fault.code)
                code, words, remedy, source = SAY.get(fault.code, _whole)(fault, strip, plan)
                rows.append(finding(code, f"screed/{strip.id}", f"Strip {strip.n}: {words}", remedy, source))
    for fault in laid.checked.faults:
        if fault.strip not in named:
            rows.append(
                finding("strip-cover", "screed", "The strips are not the slab.", "Lay them anew.", "strip-rules")
            )
    rows += _not_reached(laid, plan.units)
    if not boards_of(ways):
        rows.append(
            finding("strip-board", "screed", "No boards on the truck.", "Say in Ways which you have.", "strip-board")
        )
    return [*rows, *_notes(plan, ways, laid)]


def _span(fault: Fault, strip: StripLaid, plan: Plan) -> tuple[str, str, str, str]:
    units = plan.units
    short = say_depth(fault.limit_mm - fault.size_mm, units)
    hire = say_length(hired_mm(fault.limit_mm, units), units)
    return (
        "strip-board",
        f"the {say_length(fault.size_mm, units)} board is {short} short. It wants {say_length(fault.limit_mm, units)}.",
        f"Lay a pad line through it, or hire one of {hire}.",
        "strip-board",
    )


def hired_mm(needed_mm: float, units: Units) -> float:
    """The next board that is sold: whole even feet, or half metres."""
    size = 500.0 if units == "mm" else 2 * 304.8
    return -(-needed_mm // size) * size


def _not_there(fault: Fault, strip: StripLaid, plan: Plan) -> tuple[str, str, str, str]:
    words = f"there is no {say_length(fault.size_mm, plan.units)} board on the truck."
    return "strip-board", words, "Take another, or say in Ways that you have it.", "strip-board"


def _clear(fault: Fault, strip: StripLaid, plan: Plan) -> tuple[str, str, str, str]:
    room, board = say_length(fault.limit_mm, plan.units), say_length(fault.size_mm, plan.units)
    return (
        "strip-clear",
        f"the {board} board does not pass; there is room for {room}.",
        "Take a shorter one, or cut one.",
        "strip-board",
    )


def _guide(fault: Fault, strip: StripLaid, plan: Plan) -> tuple[str, str, str, str]:
    return (
        "strip-guide",
        "it cannot be pulled in one: a board has nothing to ride on along the whole of it.",
        "Lay a pad line through its inside corner.",
        "strip-rules",
    )


def _trap(fault: Fault, strip: StripLaid, plan: Plan) -> tuple[str, str, str, str]:
    return "strip-trap", "it walls somebody in.", "Pull it earlier or later, or the other way.", "strip-trap"


def _late(fault: Fault, strip: StripLaid, plan: Plan) -> tuple[str, str, str, str]:
    return (
        "strip-late",
        f"it meets an edge that is {fault.age_min:.0f} minutes old by then.",
        "Pull it sooner after its neighbour, or bring more hands.",
        "strip-late",
    )


def _whole(fault: Fault, strip: StripLaid, plan: Plan) -> tuple[str, str, str, str]:
    return "strip-cover", "it does not fit the slab or its pads.", "Lay the strips anew.", "strip-rules"


SAY: dict[str, Say] = {
    "SPAN": _span, "BOARD": _not_there, "CLEAR": _clear, "GUIDE": _guide, "TRAP": _trap, "JOINT": _late,
}  # fmt: skip


def not_reached(laid: StripsLaid) -> list[StripLaid]:
    """Strips that no truck reaches. One that stands on a strip reaches what is struck before that, and that itself."""
    place = {row.id: row.n for row in laid.strips}
    rows = []
    for strip in laid.strips if laid.stands else []:
        there = [row for row in laid.stands if not row.inside or place[row.inside] >= strip.n]
        reached = shapely.union_all([Point(row.row.at).buffer(row.reach_mm, 64) for row in there])
        if strip.strip.area.difference(reached).area > REACHED_SHARE * strip.strip.area.area:
            rows.append(strip)
    return rows


def _not_reached(laid: StripsLaid, units: Units) -> list[Finding]:
    return [
        finding("strip-reach", f"screed/{row.id}", f"Strip {row.n}: concrete does not reach all of it.", "Add a place for the truck, or bring a hose or barrows.", "strip-reach")
        for row in not_reached(laid)
    ]  # fmt: skip


def forms_back(plan: Plan, laid: StripsLaid) -> list[tuple[int, StripLaid]]:
    """(side, first strip along it) of every form that is left out for the truck: it goes back before that."""
    rows = []
    for form in plan.forms:
        for side in form.sides if form.left_out else []:
            key = plan.corner_ids[side]
            found = next((row for row in laid.strips if any(one.key == key for one in row.border)), None)
            if found is not None:
                rows.append((side, found))
    return rows


def _notes(plan: Plan, ways: ScreedWays, laid: StripsLaid) -> list[Finding]:
    ring = plan.outline or []
    rows = [*_arm(plan, laid), *_pulled(plan, ways, laid)]
    for side, strip in forms_back(plan, laid):
        words = f"The form {side_name(side, len(ring))} is left out for the truck."
        back = f"It goes back before strip {strip.n}."
        rows.append(finding("form-back", f"screed/{strip.id}", words, back, "house"))
    there = {run.key for run in laid.runs}
    lost = sum(1 for row in plan.screed.pads if row.id not in there)
    if lost:
        words = f"{'A pad line lies' if lost == 1 else f'{lost} pad lines lie'} outside the slab."
        rows.append(finding("pad-lost", "screed", words, "Take it out, or call it anew.", "house"))
    new = sum(1 for row in laid.strips if not row.named)
    if new:
        words = f"{'A part' if new == 1 else f'{new} parts'} of the slab came since the strips were laid, and last in their order."
        rows.append(finding("strip-new", "screed", words, "Put it in its order, or lay the strips anew.", "house"))
    return rows


def _arm(plan: Plan, laid: StripsLaid) -> list[Finding]:
    """Hand work out of arm's reach."""
    far = [fault.size_mm for fault in laid.checked.warnings if fault.code == "REACH"]
    if not far:
        return []
    most = say_length(max(far), plan.units)
    words = (
        f"What is worked round by hand stands {most} from the edge."
        if len(far) == 1
        else f"{len(far)} things worked round by hand stand up to {most} from the edge."
    )
    return [finding("strip-arm", "screed/hand", words, "Kneeling boards, or a plank across.", "strip-arm")]


def _pulled(plan: Plan, ways: ScreedWays, laid: StripsLaid) -> list[Finding]:
    """Guides that must not stay."""
    drawn = {row.id for row in plan.screed.pads}
    runs = [run for run in laid.runs if run.key in drawn and rides_of(plan, ways, run.key) in PULLED]
    if not runs:
        return []
    what = " and ".join(sorted({PULLED[rides_of(plan, ways, run.key)] for run in runs}))
    lines = f"{len(runs)} line{'s' if len(runs) > 1 else ''}"
    words = f"{what.capitalize()} come out as you go: {len(pads_once(runs))} places on {lines}."
    remedy = "Fill each hole from ground that is not struck yet, before the edge stiffens."
    return [finding("guides-pull", "screed/pads", words, remedy, "strip-pull")]


def pad_doubts(
    laid: StripsLaid, done: Sequence[PadDone], strays: Sequence[PadSet], high_mm: float, reads: RodReads, units: Units
) -> list[Finding]:
    """Pads that are not as they should be, and pads that were struck where none is now."""
    rows = [
        finding("pad-off", f"screed/{row.pad.of}", f"Pad {row.pad.name} is {say_verdict(row.off_mm, high_mm, reads)[0]}.", "Strike it again and read it.", "strip-pads")
        for row in done
        if row.state == "off" and row.off_mm is not None
    ]  # fmt: skip
    letters = {run.key: run.letter for run in laid.runs}
    for stray in strays:
        where = f"on line {letters[stray.of]}" if stray.of in letters else "on a line that is gone"
        words = f"A pad was struck {where}, {say_length(stray.at_mm, units)} along, where none is now."
        rows.append(finding("pad-stray", "screed/pads", words, "Kick it out before the board comes.", "house"))
    return rows
