"""Calls of how the top lies: slab, drop and fall of a zone, parting it, a door in a wall, a pit on a spot."""

from __future__ import annotations

import math
import re

from humble_trowel.core.calls.call_outs import DIRECTIONS, long_direction
from humble_trowel.core.edits.base import EditBase
from humble_trowel.core.edits.called_here import Pressed, Said, side_named
from humble_trowel.core.edits.ground import SetFall
from humble_trowel.core.edits.outline import start_of
from humble_trowel.core.edits.recesses import AddRecess, SetRecess
from humble_trowel.core.edits.take_out import TakeOut
from humble_trowel.core.edits.zones import PartZone, RemoveZone, SetZone, WalkZone
from humble_trowel.core.errors import CallError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.ring import side_of
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.plan.shape_parts import DrainFall

USES = {"people": "foot", "foot": "foot", "cars": "cars", "trucks": "trucks", "racks": "racks"}
_WORDS = ("falls", "fall", "level", "drop", "called", "part", *USES)
_CLAUSE = re.compile(rf"\b({'|'.join(_WORDS)})\b")
_DOOR = re.compile(
    r"(?:door|sill|set-down)\s+(?P<width>.+?)\s+down\s+(?P<down>.+?)"
    r"(?:\s+in(?:ward)?\s+(?P<inward>\d.*?))?(?:\s+at\s+(?P<at>.+?))?(?:\s+called\s+(?P<name>.+))?"
)
_PIT = re.compile(
    r"pit\s+(?P<a>[^a-z]+?(?:mm|cm|m|in|ft)?)\s*(?:by|x|×)\s*(?P<b>[^a-z]+?(?:mm|cm|m|in|ft)?)\s*(?:by|x|×)\s*"
    r"(?P<deep>[^a-z]+?(?:mm|cm|m|in|ft)?)(?:\s+deep)?(?P<dips>\s+dips)?(?:\s+called\s+(?P<name>.+))?"
)
_PIT_WALK = re.compile(
    r"pit\s+(?P<walk>from\s.+?),\s*(?P<deep>[^,]+?)\s+deep(?P<dips>\s+dips)?(?:\s+called\s+(?P<name>.+))?"
)


def top_call(plan: Plan, here: Pressed, said: Said) -> list[EditBase] | None:
    """The edits of a call about the top; None where it is none. Raises CallError."""
    if re.match(r"(door|sill|set-down)\b", said.rest):
        return [_door(plan, here, said)]
    if re.match(r"pit\b", said.rest):
        return [_pit(plan, here, said)]
    if here.zone is not None and said.rest in ("out", "take out"):
        return [RemoveZone(op="remove_zone", zone=plan.zones[here.zone].id)]
    if said.kind == "slab" or _CLAUSE.match(said.rest):
        if here.zone is None:
            raise CallError("Of which zone? Press it first.", path="text")
        return _zone(plan, here, said)
    return None


def pit_call(plan: Plan, here: Pressed, said: Said) -> list[EditBase] | None:
    """The edits of a call to a recess that is there: its depth, whether the slab dips under it, its name, or out."""
    row = plan.recesses[here.recess or 0]
    if said.rest in ("out", "take out"):
        return [TakeOut(op="take_out", what="recesses", ids=[row.id])]
    rest, _, name = said.rest.partition("called ")
    changes: dict[str, object] = {"name": _as_typed(said, name.strip())} if name.strip() else {}
    for bit in (bit.strip(" ,;") for bit in re.split(r"(\bdips\b|\bthinner\b)", rest)):
        if bit in ("dips", "thinner"):
            changes["keeps_thickness"] = bit == "dips"
        elif bit:
            changes["depth_mm"] = said.length_mm(bit.removesuffix("deep"), plan, "in")
    return [SetRecess.model_validate({"op": "set_recess", "recess": row.id, "changes": changes})] if changes else None


def _as_typed(said: Said, part: str | None) -> str:
    """A name in the letters in which it was typed."""
    at = said.text.lower().rfind(part) if part else -1
    return said.text[at : at + len(part)].strip() if part and at >= 0 else ""


def _door(plan: Plan, here: Pressed, said: Said) -> AddRecess:
    if here.side is None:
        raise CallError("In which wall? Press it first.", path="text")
    match = _DOOR.fullmatch(said.rest)
    example = "door 1000 down 20 in 140" if plan.units == "mm" else "door 3' 4 down 3/4 in 5 1/2"
    if match is None:
        raise CallError(f"Call a door by its width and how far down its sill is: {example}.", path="text")
    width_mm = said.length_mm(match["width"], plan)
    down_mm = said.length_mm(match["down"], plan, "in")
    if match["inward"] is None:
        walls = ("90", "140") if plan.units == "mm" else ("3 1/2", "5 1/2")
        at = said.text.lower().find(match["down"], match.start("down")) + len(match["down"])
        offers = tuple(f"{said.text[:at]} in {wall}{said.text[at:]}" for wall in walls)
        raise CallError("How far in does the set-down reach? A wall's thickness, as a rule.", offers, "text")
    if match["at"] is None and here.along_mm is None:
        name = side_name(here.side, len(plan.outline or []))
        raise CallError(
            f"Where along {name}? Say it: {example} at {'4000' if plan.units == 'mm' else chr(56) + chr(39)}.",
            path="text",
        )
    a, b = side_of(list(plan.outline or []), here.side)
    first_mm = (here.along_mm or 0.0) - width_mm / 2
    start_mm = (
        said.length_mm(match["at"], plan)
        if match["at"]
        else min(max(first_mm, 0.0), max(math.dist(a, b) - width_mm, 0.0))
    )
    return AddRecess(
        op="add_recess", name=_as_typed(said, match["name"]), depth=down_mm, side=plan.corner_ids[here.side],
        start=start_mm, width=width_mm, inward=said.length_mm(match["inward"], plan, "in"),
    )  # fmt: skip


def _pit(plan: Plan, here: Pressed, said: Said) -> AddRecess:
    walked = _PIT_WALK.fullmatch(said.rest)
    if walked:
        return AddRecess(
            op="add_recess", name=_as_typed(said, walked["name"]), text=walked["walk"],
            depth=said.length_mm(walked["deep"], plan, "in"), keeps_thickness=bool(walked["dips"]),
        )  # fmt: skip
    match = _PIT.fullmatch(said.rest)
    if match is None:
        example = "pit 900 by 900 by 80" if plan.units == "mm" else "pit 3' by 3' by 3"
        raise CallError(
            f"Call a pit by its sides and depth: {example}. Say dips where the slab dips under it.", path="text"
        )
    if here.at is None:
        raise CallError(
            "Where is its middle? Press the spot, or walk it: pit from A 23' e 3' n, 3' e 3' n 3' w 3' s, 3 deep.",
            path="text",
        )
    a, b = said.length_mm(match["a"], plan) / 2, said.length_mm(match["b"], plan) / 2
    x, y = here.at
    return AddRecess(
        op="add_recess", name=_as_typed(said, match["name"]), depth=said.length_mm(match["deep"], plan, "in"),
        polygon=[(x - a, y - b), (x + a, y - b), (x + a, y + b), (x - a, y + b)], keeps_thickness=bool(match["dips"]),
    )  # fmt: skip


def _zone(plan: Plan, here: Pressed, said: Said) -> list[EditBase]:
    row = plan.zones[here.zone or 0]
    changes: dict[str, object] = {"slab": said.mark} if said.kind == "slab" else {}
    edits: list[EditBase] = []
    clauses = _clauses(said)
    name = next((_as_typed(said, arg) for word, arg in clauses if word == "called"), "")
    parts = [arg for word, arg in clauses if word == "part"]
    for word, arg in clauses:
        if word == "drop":
            changes["drop_mm"] = said.length_mm(arg, plan, "in")
        elif word == "level":
            edits.append(SetFall(op="set_fall", zone=row.id, kind="none"))
        elif word in ("falls", "fall"):
            edits.append(_fall(plan, here, said, arg))
        elif word in USES:
            changes["use"] = USES[word]
    if parts:
        if changes or edits:
            raise CallError("Part it first; then call what the new part is.", path="text")
        return [_part(plan, here, said, parts[0], name)]
    if name:
        changes["name"] = name
    first: list[EditBase] = (
        [SetZone.model_validate({"op": "set_zone", "zone": row.id, "changes": changes})] if changes else []
    )
    return [*first, *edits]


def _clauses(said: Said) -> list[tuple[str, str]]:
    """(word, what follows it) one after the other. Raises CallError for what stands before the first."""
    starts = [(match.start(), match[1], match.end()) for match in _CLAUSE.finditer(said.rest)]
    named = next((at for at, word, _ in starts if word == "called"), len(said.rest))
    starts = [row for row in starts if row[0] <= named]
    before = said.rest[: starts[0][0]] if starts else said.rest
    if before.strip(" ,;"):
        raise CallError(f"Cannot read '{before.strip(' ,;')}'.", path="text")
    ends = [*[at for at, _, _ in starts[1:]], len(said.rest)]
    return [
        (word, said.rest[end:until].strip(" ,;")) for (_, word, end), until in zip(starts, ends, strict=bool(starts))
    ]


def _fall(plan: Plan, here: Pressed, said: Said, arg: str) -> SetFall:
    row = plan.zones[here.zone or 0]
    drain = re.fullmatch(r"(?P<deep>.+?)\s+to\s+(?:the\s+|its\s+)?drain(?:\s+(?P<walk>from\s.+))?", arg)
    if drain:
        had = row.fall.at if isinstance(row.fall, DrainFall) else None
        spot: XY | None = start_of(plan, drain["walk"]) if drain["walk"] else here.at or had
        depth_mm = said.length_mm(drain["deep"], plan, "in")
        if spot is None:
            raise CallError(
                "Where is the drain? Press its place in the zone, or say to drain from A and its way.", path="text"
            )
        return SetFall(op="set_fall", zone=row.id, kind="drain", at=spot, depth=depth_mm)
    side = re.fullmatch(r"(?P<rate>.+?)\s+to(?:ward)?\s+(?P<side>[a-z]{1,2}\s*(?:to|-|–)\s*[a-z]{1,2})", arg)
    if side:
        corner = plan.corner_ids[side_named(plan, side["side"])]
        return SetFall(op="set_fall", zone=row.id, kind="side", side=corner, rate=side["rate"])
    way = re.fullmatch(r"(?P<rate>.+?)\s+(?:to\s+(?:the\s+)?)?(?P<way>[a-z]+)", arg)
    heading = long_direction(way["way"]) if way else ""
    if way and heading in DIRECTIONS:
        dx, dy = DIRECTIONS[heading]
        toward = round(math.degrees(math.atan2(dx, dy)) % 360, 6)
        return SetFall(op="set_fall", zone=row.id, kind="bearing", toward_deg=toward, rate=way["rate"])
    raise CallError(
        "Which way does it fall?", tuple(f"{said.text} {one}" for one in ("n", "e", "s", "w", "to drain")), "text"
    )


def _part(plan: Plan, here: Pressed, said: Said, arg: str, name: str) -> EditBase:
    if arg.startswith("from"):
        return WalkZone(op="walk_zone", text=arg, name=name)
    match = re.fullmatch(r"(?P<off>.+?)\s+(?P<way>[a-z]+)\s+(?:of|from)\s+(?P<corner>[a-z]{1,2})", arg)
    heading = long_direction(match["way"]) if match else ""
    spot = start_of(plan, f"from {match['corner']}") if match else None
    if match is None or spot is None or heading not in ("n", "e", "s", "w"):
        example = "part 6000 e of A" if plan.units == "mm" else "part 20' e of A"
        raise CallError(f"Where does the line run? Call it like {example}.", path="text")
    off_mm = said.length_mm(match["off"], plan)
    dx, dy = DIRECTIONS[heading]
    return PartZone(
        op="part_zone", zone=plan.zones[here.zone or 0].id, name=name,
        at=(spot[0] + dx * off_mm, spot[1] + dy * off_mm), along="n" if dx else "e",
    )  # fmt: skip
