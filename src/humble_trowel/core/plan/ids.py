"""Identity: what every row and corner of a plan is called, so that edits and records mean the same thing later.

An id that a file does not give is made from the content of what it names, so that reading the file twice gives the
same. From then on it stays, whatever becomes of the content. A side is named by its first corner.
"""

from __future__ import annotations

import base64
import hashlib
import json
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Any, Literal, TypeVar

from humble_trowel.core.errors import EditError, PlanError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.embed_parts import Embeds, Strap, StudWall
from humble_trowel.core.plan.footing_parts import Footing
from humble_trowel.core.plan.model import Row
from humble_trowel.core.plan.screed_parts import Screed
from humble_trowel.core.plan.shape_parts import Zone
from humble_trowel.core.plan.steel_parts import Dowels, Key
from humble_trowel.core.plan.underslab_parts import HeatedRoom
from humble_trowel.core.plan.wall_parts import Wall

Kind = Literal[
    "corner", "side", "opening", "zones", "edges", "beams", "pads", "recesses", "side_pads", "kerbs", "piles",
    "existing", "forms", "benchmarks", "layers", "footings", "pours", "walls", "laps",
    "sidewalks", "ramps", "services", "risers", "treatments", "heated", "dowels", "stud_walls", "bolts", "straps", "groups", "joints", "keys",
    "strips", "pad_lines", "stands", "spare", "quote_lines", "around",
    "tasks", "papers",
]  # fmt: skip
ROWS: dict[Kind, str] = {
    "zones": "z", "edges": "e", "beams": "b", "pads": "p", "recesses": "r", "side_pads": "s", "kerbs": "k",
    "piles": "q", "existing": "x", "forms": "f", "footings": "t", "pours": "u", "walls": "w", "laps": "a", "sidewalks": "g", "ramps": "h",
}  # fmt: skip
NAMES: dict[Kind, str] = {
    "corner": "corner", "side": "side", "opening": "opening", "zones": "zone", "edges": "line inside", "beams": "beam",
    "pads": "pad", "recesses": "recess", "side_pads": "pad beside the slab", "kerbs": "kerb", "piles": "row of piles",
    "existing": "thing beside the work", "forms": "form", "benchmarks": "benchmark", "layers": "layer", "footings": "footing", "pours": "pour", "walls": "wall",
    "laps": "lap", "sidewalks": "sidewalk", "ramps": "ramp", "services": "run", "risers": "riser",
    "treatments": "treatment", "heated": "heated room", "dowels": "row of dowels", "stud_walls": "wall", "bolts": "bolt", "straps": "strap",
    "groups": "bolt group", "joints": "joint", "keys": "keyed joint", "strips": "strip", "pad_lines": "pad line", "stands": "place of the truck",
    "spare": "thing to pour with the rest", "quote_lines": "line of the quote", "around": "thing that shades",
    "tasks": "task", "papers": "paper",
}  # fmt: skip
BURIED: dict[Kind, str] = {"services": "v", "risers": "i", "treatments": "n", "heated": "d"}  # rows of `underslab`
IN_STEEL: dict[Kind, str] = {"dowels": "y", "keys": "yk"}  # rows of `steel`
IN_EMBEDS: dict[Kind, tuple[str, str]] = {  # list and letters of rows of `embeds`
    "stud_walls": ("walls", "jw"), "bolts": ("bolts", "jb"), "straps": ("straps", "js"), "groups": ("groups", "jg"),
}  # fmt: skip
IN_SCREED: dict[Kind, tuple[str, str]] = {  # list and letters of rows of `screed`
    "strips": ("strips", "gs"), "pad_lines": ("pads", "gp"), "stands": ("standing", "gt"),
}  # fmt: skip
IN_ORDER: dict[Kind, tuple[str, str, str]] = {  # key of the plan, list and letters of its rows
    "spare": ("order", "spare", "os"), "quote_lines": ("quote", "extra", "oq"), "around": ("day", "around", "dn"),
    "tasks": ("schedule", "tasks", "ht"), "papers": ("schedule", "papers", "hp"),
}  # fmt: skip
T = TypeVar("T", bound=Row)


@dataclass(frozen=True)
class Ref:
    """Says of a field of an edit or record that it holds the id of something of this kind."""

    kind: Kind


def made_id(letter: str, content: Any, taken: set[str]) -> str:
    """A short id from content; the n-th of the same content gets another. Adds it to `taken`."""
    said = json.dumps(content, separators=(",", ":"), sort_keys=True)
    count = 0
    while True:
        digest = hashlib.sha256(f"{letter}|{said}|{count}".encode()).digest()
        found = letter + base64.b32encode(digest)[:7].decode().lower()
        if found not in taken:
            taken.add(found)
            return found
        count += 1


def with_ids(plan: Plan) -> Plan:
    """The plan with an id for everything that has none yet; the very plan where nothing is missing."""
    changes: dict[str, Any] = {}
    for key, letter in ROWS.items():
        rows: Sequence[Row] = getattr(plan, key)
        if any(not row.id for row in rows):
            changes[key] = _named(rows, letter)
    if (
        walls := _on_their_footings(changes.get("walls", plan.walls), changes.get("footings", plan.footings))
    ) is not None:
        changes["walls"] = walls
    if any(not row.id for row in plan.ground.benchmarks):
        marks = _named(plan.ground.benchmarks, "m")
        changes["ground"] = plan.ground.model_copy(update={"benchmarks": marks})
    if any(not layer.id for row in plan.build_ups for layer in row.layers):
        changes["build_ups"] = [row.model_copy(update={"layers": _named(row.layers, "l")}) for row in plan.build_ups]
    buried: dict[str, Any] = {
        key: _named(getattr(plan.underslab, key), letter)
        for key, letter in BURIED.items()
        if any(not row.id for row in getattr(plan.underslab, key))
    }
    if (
        rooms := _in_their_zones(buried.get("heated", plan.underslab.heated), changes.get("zones", plan.zones))
    ) is not None:
        buried["heated"] = rooms
    if buried:
        changes["underslab"] = plan.underslab.model_copy(update=buried)
    ring = plan.outline or []
    if len(plan.corner_ids) < len(ring) or not all(plan.corner_ids):
        changes["corner_ids"] = _spots_named(plan.corner_ids, [_spot(at) for at in ring], "c")
    if len(plan.opening_ids) < len(plan.openings) or not all(plan.opening_ids):
        changes["opening_ids"] = _spots_named(plan.opening_ids, [[_spot(at) for at in r] for r in plan.openings], "o")
    corners = changes.get("corner_ids", plan.corner_ids)
    sided: list[Dowels | Key] = [*plan.steel.dowels, *plan.steel.keys]
    if any(not row.id or row.side.isdigit() for row in sided):
        rows = [_on_its_side(row, corners) for row in plan.steel.dowels]
        keys = [_on_its_side(row, corners) for row in plan.steel.keys]
        named = {"dowels": _named(rows, IN_STEEL["dowels"]), "keys": _named(keys, IN_STEEL["keys"])}
        changes["steel"] = plan.steel.model_copy(update=named)
    if (embeds := _embeds_named(plan.embeds, corners)) is not None:
        changes["embeds"] = embeds
    if any(not row.id for row in plan.joints.lines):
        changes["joints"] = plan.joints.model_copy(update={"lines": _named(plan.joints.lines, "o")})
    if (screed := _screed_named(plan.screed)) is not None:
        changes["screed"] = screed
    changes |= _order_named(plan)
    return plan.model_copy(update=changes) if changes else plan


def _order_named(plan: Plan) -> dict[str, Any]:
    """Order and quote with an id for each of their rows, where one is missing."""
    changes: dict[str, Any] = {}
    for holder, own, letters in IN_ORDER.values():
        now = changes.get(holder, getattr(plan, holder))
        rows: Sequence[Row] = getattr(now, own)
        if any(not row.id for row in rows):
            changes[holder] = now.model_copy(update={own: _named(rows, letters)})
    return changes


def _screed_named(screed: Screed) -> Screed | None:
    """Strips, pad lines and places of the truck with an id each; None where nothing is missing."""
    found = {
        key: _named(getattr(screed, key), letters)
        for key, letters in IN_SCREED.values()
        if any(not row.id for row in getattr(screed, key))
    }
    return screed.model_copy(update=found) if found else None


def _embeds_named(embeds: Embeds, corners: Sequence[str]) -> Embeds | None:
    """What sticks up with an id each, doors too, sides by their first corner's; None where nothing is missing."""
    found: dict[str, Any] = {}
    for key, letters in IN_EMBEDS.values():
        rows: Sequence[Row] = getattr(embeds, key)
        doored = [
            _doors_named(_on_its_side(row, corners))
            if isinstance(row, StudWall)
            else _on_its_side(row, corners)
            if isinstance(row, Strap)
            else row
            for row in rows
        ]
        if any(not row.id for row in doored) or any(a is not b for a, b in zip(rows, doored, strict=True)):
            found[key] = _named(doored, letters)
    return embeds.model_copy(update=found) if found else None


def _doors_named(wall: StudWall) -> StudWall:
    return wall if all(row.id for row in wall.doors) else wall.model_copy(update={"doors": _named(wall.doors, "jd")})


S = TypeVar("S", Dowels, Key, StudWall, Strap)


def _on_its_side(row: S, corners: Sequence[str]) -> S:
    """A row that names its side by its first corner's id, also where a file gives its number."""
    if not row.side.isdigit() or row.side in corners or int(row.side) >= len(corners):
        return row
    return row.model_copy(update={"side": corners[int(row.side)]})


def _on_their_footings(walls: Sequence[Wall], footings: Sequence[Footing]) -> list[Wall] | None:
    """Walls that name their footing by id, also where a file gives its name; None where all do."""
    ids = {row.id for row in footings}
    names = {row.name: row.id for row in reversed(footings)}
    if all(row.footing in ids or row.footing not in names for row in walls):
        return None
    return [
        row if row.footing in ids else row.model_copy(update={"footing": names.get(row.footing, row.footing)})
        for row in walls
    ]


def _in_their_zones(rooms: Sequence[HeatedRoom], zones: Sequence[Zone]) -> list[HeatedRoom] | None:
    """Heated rooms that name their zone by id, also where a file gives its name; None where all do."""
    ids = {row.id for row in zones}
    names = {row.name: row.id for row in reversed(zones)}
    if all(not row.zone or row.zone in ids or row.zone not in names for row in rooms):
        return None
    return [row.model_copy(update={"zone": names.get(row.zone, row.zone)}) if row.zone else row for row in rooms]


def _spot(at: tuple[float, float]) -> list[float]:
    return [round(at[0], 3) + 0.0, round(at[1], 3) + 0.0]


def _named(rows: Sequence[T], letter: str) -> list[T]:
    taken = {row.id for row in rows if row.id}
    return [row if row.id else row.model_copy(update={"id": made_id(letter, row.without_id(), taken)}) for row in rows]


def _spots_named(had: Sequence[str], content: Sequence[Any], letter: str) -> list[str]:
    old = [*had, *[""] * len(content)][: len(content)]
    taken = {name for name in old if name}
    return [name or made_id(letter, what, taken) for name, what in zip(old, content, strict=True)]


def check_ids(plan: Plan) -> None:
    """Raise PlanError, naming the path, where an id stands twice in one list."""
    lists: list[tuple[str, Iterable[str]]] = [(key, (row.id for row in getattr(plan, key))) for key in ROWS]
    lists += [("ground.benchmarks", (row.id for row in plan.ground.benchmarks))]
    lists += [(f"underslab.{key}", (row.id for row in getattr(plan.underslab, key))) for key in BURIED]
    lists += [(f"steel.{key}", (row.id for row in getattr(plan.steel, key))) for key in IN_STEEL]
    lists += [(f"embeds.{key}", (row.id for row in getattr(plan.embeds, key))) for key, _ in IN_EMBEDS.values()]
    lists += [(f"screed.{key}", (row.id for row in getattr(plan.screed, key))) for key, _ in IN_SCREED.values()]
    lists += [
        (f"{key}.{own}", (row.id for row in getattr(getattr(plan, key), own))) for key, own, _ in IN_ORDER.values()
    ]
    lists += [("joints.lines", (row.id for row in plan.joints.lines))]
    lists += [(f"embeds.walls[{i}].doors", (one.id for one in row.doors)) for i, row in enumerate(plan.embeds.walls)]
    lists += [(f"build_ups[{i}].layers", (layer.id for layer in row.layers)) for i, row in enumerate(plan.build_ups)]
    for key, ids in lists:
        _once(ids, f"{key}[{{}}].id")
    for key, found, count in (
        ("corner_ids", plan.corner_ids, len(plan.outline or [])),
        ("opening_ids", plan.opening_ids, len(plan.openings)),
    ):
        if len(found) > count:
            raise PlanError(f"{key} names {len(found)}; there are {count}.", key)
        _once(found, f"{key}[{{}}]")


def _once(ids: Iterable[str], path: str) -> None:
    seen: set[str] = set()
    for at, name in enumerate(ids):
        if name and name in seen:
            raise PlanError(f"The id {name} stands twice. Each needs one of its own.", path.format(at))
        seen.add(name)


def ids_of(plan: Plan, kind: Kind) -> Sequence[str]:
    """The ids of a kind, in the order of the plan."""
    if kind in ("corner", "side"):
        return plan.corner_ids
    if kind == "opening":
        return plan.opening_ids
    if kind == "benchmarks":
        return [row.id for row in plan.ground.benchmarks]
    if kind == "layers":
        return [layer.id for row in plan.build_ups for layer in row.layers]
    if kind == "joints":
        return [row.id for row in plan.joints.lines]
    if kind in IN_SCREED:
        return [row.id for row in getattr(plan.screed, IN_SCREED[kind][0])]
    if kind in IN_ORDER:
        return [row.id for row in getattr(getattr(plan, IN_ORDER[kind][0]), IN_ORDER[kind][1])]
    if kind in IN_EMBEDS:
        return [row.id for row in getattr(plan.embeds, IN_EMBEDS[kind][0])]
    holder = plan.underslab if kind in BURIED else plan.steel if kind in IN_STEEL else plan
    return [row.id for row in getattr(holder, kind)]


def place_of(plan: Plan, kind: Kind, name: str, path: str = "") -> int:
    """Where the row or corner with this id stands now. Raises EditError in plain words where it is gone."""
    for at, own in enumerate(ids_of(plan, kind)):
        if own == name:
            return at
    gone = "its first corner was taken out" if kind == "side" else "somebody took it out"
    raise EditError(f"That {NAMES[kind]} is not on this slab any more: {gone}.", path or kind)
