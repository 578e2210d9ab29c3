"""What an inspector looks at before the pour, place by place, with what is allowed; and what was found there.

Bounds are those of the drawing as it is laid here. Source: 'steel-look' in sources/.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from typing import Literal

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.steel.cages import box_of
from humble_trowel.core.steel.frame import Frame
from humble_trowel.core.steel.laid import Laid
from humble_trowel.core.steel.records import LookKind, SteelCheck
from humble_trowel.core.steel.steel import SteelLaid
from humble_trowel.core.units import Units, say_depth

COVER_LESS_MM, APART_MORE_MM, HIGH_MORE_MM = 9.525, 25.4, 12.7
ASKS: dict[LookKind, str] = {
    "size": "Which bar is it?", "count": "How many are there?", "spacing": "How far apart?", "cover": "How much concrete will cover it?",
    "lap": "How long is the lap?", "chairs": "How high is it held?", "depth": "How deep is the hole?",
    "diagonals": "Are both bars across the corner?", "clean": "Clean, dry, tied, out of the dirt?",
}  # fmt: skip
MENDS: dict[LookKind, str] = {
    "size": "Put the right bar beside it.", "count": "Add what is missing.", "spacing": "Put a bar between.", "cover": "Lift or block it out.",
    "lap": "Tie a piece beside it, as long as two laps.", "chairs": "Change the chairs.", "depth": "Drill deeper.",
    "diagonals": "Tie them in.", "clean": "Clean and tie it, then look again.",
}  # fmt: skip
State = Literal["open", "held", "short", "mended"]


@dataclass(frozen=True)
class Look:
    """One look. bound: no less, no more, just so, or yes. need_mm, need_count, need_bar: what it must be; need_text: the same as it is
    read. words: what was found, '' until somebody looked; taped_text: as it was measured."""

    look: LookKind
    ask: str
    bound: Literal["least", "most", "just", "yes"]
    need_mm: float | None
    need_count: int | None
    need_bar: str
    need_text: str
    state: State = "open"
    words: str = ""
    remedy: str = ""
    taped_text: str = ""


@dataclass(frozen=True)
class Place:
    """Where somebody looks: a slab, a cage, a row of dowels. short: looks that did not hold and are not mended."""

    id: str
    name: str
    at: XY
    looks: list[Look]
    short: int = 0


def places_of(frame: Frame, found: SteelLaid, checks: Sequence[SteelCheck]) -> list[Place]:
    """Every place of the plan with its looks and what was found there; the newest of a look counts."""
    places = [*_slabs(frame, found), *_cages(frame, found), *_dowels(frame, found)]
    newest = {(row.place, row.look): row for row in checks}
    seen = []
    for place in places:
        looks = [told(frame.plan.units, one, newest.get((place.id, one.look))) for one in place.looks]
        seen.append(replace(place, looks=looks, short=sum(1 for one in looks if one.state == "short")))
    return seen


def told(units: Units, look: Look, row: SteelCheck | None) -> Look:
    """A look with what was found."""
    if row is None:
        return look
    held, said, words = _judged(units, look, row)
    if held:
        return replace(
            look, state="mended" if row.mended else "held", words="Mended." if row.mended else words, taped_text=said
        )
    return replace(look, state="short", words=words, remedy=MENDS[look.look], taped_text=said)


def _judged(units: Units, look: Look, row: SteelCheck) -> tuple[bool, str, str]:
    """(whether it holds, as measured, in words)."""
    if look.bound == "yes":
        return bool(row.holds), "yes" if row.holds else "no", "As it should be." if row.holds else "Not yet."
    if look.need_bar:
        same = row.size is not None and row.size == look.need_bar
        return (
            same,
            row.size or "",
            f"{look.need_bar}, as drawn." if same else f"{row.size}, and {look.need_bar} is drawn.",
        )
    if look.need_count is not None:
        count = row.count or 0
        if count >= look.need_count:
            return True, f"{count}", f"{count} are there."
        return False, f"{count}", f"{look.need_count - count} missing."
    mm, need = row.measured_mm or 0.0, look.need_mm or 0.0
    said = say_depth(mm, units)
    short = need - mm if look.bound == "least" else mm - need
    if short <= 0.8:
        return True, said, "Holds."
    more = {"least": "short", "most": "too far", "just": "off"}[look.bound]
    return False, said, f"{say_depth(abs(short), units)} {more}."


def look_doubts(places: Sequence[Place]) -> list[Finding]:
    """What was looked at, is short and nobody mended."""
    found = []
    for place in places:
        for one in place.looks:
            if one.state == "short":
                words = f"{place.name}, {one.look}: {one.words}"
                found.append(finding("steel-short", f"steel/look/{place.id}", words, one.remedy, "steel-look"))
    return found


def _length(look: LookKind, bound: Literal["least", "most"], mm: float, units: Units) -> Look:
    words = {"least": "No less than", "most": "No more than"}[bound]
    return Look(look, ASKS[look], bound, mm, None, "", f"{words} {say_depth(mm, units)}")


def _count(look: LookKind, count: int) -> Look:
    return Look(look, ASKS[look], "least", None, count, "", f"{count}")


def _yes(look: LookKind) -> Look:
    return Look(look, ASKS[look], "yes", None, None, "", "yes")


def _size(name: str) -> Look:
    return Look("size", ASKS["size"], "just", None, None, name, name)


def _spot(rows: Sequence[Laid]) -> XY:
    lines = [line for row in rows for line in row.lines]
    if not lines:
        return (0.0, 0.0)
    line = lines[len(lines) // 2]
    return ((line[0][0] + line[-1][0]) / 2, (line[0][1] + line[-1][1]) / 2)


def _starts(found: SteelLaid) -> Callable[[str], list[Laid]]:
    return lambda key: [row for row in found.bars if row.key.startswith(key)]


def _slabs(frame: Frame, found: SteelLaid) -> list[Place]:
    units, own = frame.plan.units, _starts(found)
    places = []
    for slab in found.slabs:
        mark, rows = slab.row.slab, own(f"mat/{slab.row.slab}/")
        looks: list[Look] = []
        if slab.bars is not None and rows:
            over = slab.thick_mm - (slab.low_mm or 0.0) - slab.bars[0].d_mm - slab.bars[1].d_mm
            looks += [
                _size(slab.bars[0].name),
                _length("spacing", "most", max(one.apart_mm for one in slab.layers) + APART_MORE_MM, units),
            ]
            looks += [_length("cover", "least", max(0.0, over - COVER_LESS_MM), units)]
            if any(row.count > len(row.lines) for row in rows):
                looks.append(_length("lap", "least", rows[0].lap_mm, units))
        mesh = next((one for one in found.mesh if one.slab == mark), None)
        if mesh is not None:
            looks.append(_length("lap", "least", mesh.lap_mm, units))
        if not looks:
            continue
        if slab.low_mm is not None and not found.pulled:
            looks.append(_length("chairs", "least", max(0.0, slab.low_mm - HIGH_MORE_MM), units))
        if own("diagonal"):
            looks.append(_yes("diagonals"))
        point = slab.region.representative_point() if not slab.region.is_empty else None
        at = (point.x, point.y) if point is not None else _spot(rows)
        places.append(Place(f"slab/{mark}", f"{mark}, {', '.join(slab.zones)}", at, [*looks, _yes("clean")]))
    return places


def _cages(frame: Frame, found: SteelLaid) -> list[Place]:
    units, own = frame.plan.units, _starts(found)
    places = []
    for cage in frame.plan.steel.cages:
        box, rows = box_of(frame, cage), own(f"{cage.of}/{cage.mark}/")
        if box is None or not rows:
            continue
        looks = [_size(rows[0].bar.name)]
        if cage.bars:
            looks.append(_count("count", sum(row.count for row in cage.bars)))
        looks.append(_length("cover", "least", max(0.0, box.bottom_mm - COVER_LESS_MM), units))
        if any(row.shape == "straight" and row.count > len(row.lines) for row in rows):
            looks.append(_length("lap", "least", rows[0].lap_mm, units))
        apart = cage.stirrup_mm or cage.each_mm
        if apart:
            looks.append(_length("spacing", "most", apart + APART_MORE_MM, units))
        places.append(
            Place(
                f"{cage.of}/{cage.mark}",
                f"{cage.of.capitalize()} {cage.mark}",
                _spot(rows[:1]),
                [*looks, _yes("clean")],
            )
        )
    return places


def _dowels(frame: Frame, found: SteelLaid) -> list[Place]:
    units = frame.plan.units
    places = []
    for row in found.dowels:
        looks = [
            _size(row.laid.bar.name), _count("count", row.count), _length("depth", "least", row.depth_mm, units),
            _length("spacing", "most", row.spacing_mm + APART_MORE_MM, units), _yes("clean"),
        ]  # fmt: skip
        places.append(
            Place(f"dowels/{row.id}", row.name, row.spots[len(row.spots) // 2] if row.spots else (0.0, 0.0), looks)
        )
    return places


def bar_names(places: Sequence[Place]) -> list[str]:
    """Sizes that are looked for, the thinnest first."""
    names = {one.need_bar for place in places for one in place.looks if one.need_bar}
    return sorted(names, key=lambda name: bar_of(name).d_mm)
