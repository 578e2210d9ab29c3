"""Setting: every bolt, strap and group in the order in which somebody sets it, with what was written down. Lengths mm.

A record names the wall and the station that was marked. Where nothing stands at that station any more it is a stray: set where
the drawing does not want it now.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.embeds.records import EmbedSet
from humble_trowel.core.embeds.straps import GroupLaid, StrapLaid
from humble_trowel.core.embeds.walls import WallLaid
from humble_trowel.core.geometry.wall_bases import INSIDE

SAME_MM = 3.0
MOST_SIDES = 10_000  # walls inside come after those along sides
State = Literal["open", "set", "cannot"]


@dataclass(frozen=True)
class Item:
    """One thing to set. key: stable; of, at_mm: what its record says. kind: bolt, group or a strap's kind. was_mm: where one of
    this wall was set that stands nowhere now."""

    key: str
    of: str
    kind: str
    name: str
    wall: str
    n: int
    at_mm: float | None
    state: State
    why: str
    was_mm: float | None


@dataclass(frozen=True)
class SettingDone:
    """All of them, and stations of records that nothing stands at: (wall, station)."""

    items: list[Item]
    strays: list[tuple[str, float]]


def setting(
    walls: Sequence[WallLaid], straps: Sequence[StrapLaid], groups: Sequence[GroupLaid], records: Sequence[EmbedSet]
) -> SettingDone:
    """Every thing to set, wall by wall in the order of the sides, groups last. The newest record of a thing counts."""
    left: dict[tuple[str, float | None], EmbedSet] = {}
    for row in records:
        old = next((key for key in left if key[0] == row.of and _same(key[1], row.at_mm)), None)
        if old is not None:
            del left[old]
        left[(row.of, row.at_mm)] = row
    items: list[Item] = []
    place = {wall.id: wall.side if wall.side != INSIDE else MOST_SIDES + n for n, wall in enumerate(walls)}
    sided = {wall.side: wall.id for wall in walls if wall.side != INSIDE}
    rows: list[tuple[int, float, str, str, str, str, int, str]] = [
        (place[wall.id], bolt.at_mm, bolt.key, wall.id, "bolt", wall.name, bolt.n, wall.id)
        for wall in walls
        for bolt in wall.bolts
    ]
    for one in straps:
        wall_id = sided.get(one.side, "") if one.side != INSIDE else one.key.partition("/")[0]
        order = one.side if one.side != INSIDE else place.get(wall_id, MOST_SIDES)
        rows.append((order, one.at_mm, one.key, one.key, one.what, one.name or one.side_name, 0, wall_id))
    for _, at, key, of, kind, name, n, wall_id in sorted(rows):
        found = next((one for one in left if one[0] == of and _same(one[1], at)), None)
        items.append(_item(key, of, kind, name, wall_id, n, at, left.pop(found) if found else None))
    for group in groups:
        found = next((one for one in left if one[0] == group.id), None)
        items.append(_item(group.id, group.id, "group", group.name, "", 0, None, left.pop(found) if found else None))
    strays = [(of, at) for (of, at), row in left.items() if row.is_set and at is not None]
    return SettingDone([_with_stray(item, strays) for item in items], strays)


def _same(one: float | None, other: float | None) -> bool:
    return one == other or (one is not None and other is not None and abs(one - other) <= SAME_MM)


def _item(
    key: str, of: str, kind: str, name: str, wall: str, n: int, at: float | None, record: EmbedSet | None
) -> Item:
    state: State = "open" if record is None else "set" if record.is_set else "cannot"
    return Item(key, of, kind, name, wall, n, at, state, record.why if record else "", None)


def _with_stray(item: Item, strays: Sequence[tuple[str, float]]) -> Item:
    """An open bolt with the nearest stray of its wall: that one was marked before this moved."""
    if item.state != "open" or item.at_mm is None:
        return item
    near = min((at for of, at in strays if of == item.of), key=lambda at: abs(at - (item.at_mm or 0.0)), default=None)
    return Item(**{**item.__dict__, "was_mm": near})
