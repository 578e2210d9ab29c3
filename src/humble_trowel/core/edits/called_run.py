"""A run or a riser called like a tape: 'D3 3 in drain from A to B 4' 2, from B to C 6'; 8' w, 1/4'."""

from __future__ import annotations

import re
from dataclasses import dataclass, field

from humble_trowel.core.calls.call_outs import hear
from humble_trowel.core.calls.walk import origin_point, walk_points
from humble_trowel.core.edits.called_here import side_named
from humble_trowel.core.edits.ground import read_rate
from humble_trowel.core.errors import BareNumber, CallError, LengthError
from humble_trowel.core.geometry.faces import spot_between
from humble_trowel.core.geometry.pipes import IN, INCH_SIZES, METRIC_SIZES
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.underslab_parts import RiserKind, ServiceKind
from humble_trowel.core.units import parse_length, say_depth

SERVICES: dict[str, ServiceKind] = {
    "drain": "drain", "land drain": "land-drain", "supply": "supply", "water": "supply", "conduit": "conduit",
    "gas": "gas", "ground": "ground", "air": "air",
}  # fmt: skip
RISERS: dict[str, RiserKind] = {
    "drain": "drain", "floor drain": "floor-drain", "floor sink": "floor-sink", "supply": "supply", "conduit": "conduit",
    "box": "box", "gas": "gas", "ground": "ground", "air": "air", "manifold": "manifold", "column": "column",
    "riser": "other",
}  # fmt: skip
_FACE = re.compile(r"(?:from\s+)?(?P<side>[a-z]{1,2}\s*(?:to|-|–)\s*[a-z]{1,2})\s+(?P<far>.+)", re.IGNORECASE)
_DOWN = re.compile(r"(?:at\s+|starts\s+)?(?P<deep>.+?)\s+(?:down|below|under)", re.IGNORECASE)
_FALL = re.compile(
    r"(?:falls?\s+)?(?P<rate>\d[\d/ .]*(?:\s*%|\s*(?:in|:)\s*\d+(?:\.\d+)?|\s*(?:per|/|a|in a)\s*(?:ft|foot|m))?)",
    re.IGNORECASE,
)


@dataclass
class Called:
    """What a call says. fall, start_mm: None where it says nothing of it."""

    kind: str
    name: str = ""
    size_mm: float | None = None
    path: list[XY] = field(default_factory=list)
    faces: list[str] = field(default_factory=list)
    fall: float | None = None
    start_mm: float | None = None
    to: str = ""
    riser: str = ""


def read_call(plan: Plan, text: str, kinds: dict[str, str]) -> Called:
    """A call of a run or a riser. kinds: the words it may begin with. Raises CallError in plain words."""
    clean = " ".join(text.translate({0x2032: "'", 0x2033: '"', 0x2019: "'"}).split())
    example = _example(plan, walks="drain" in kinds and "box" not in kinds)
    head, mark, rest = clean.partition(" from ")
    if not mark:
        raise CallError(f"Where does it start? Call it like {example}.", path="text")
    called = _head(plan, head.strip(), kinds, example)
    start, _, after = rest.partition(";")
    if not after and "," in start and not _faces_of(start):
        start, _, after = start.partition(",")
    spot, called.faces = _start(plan, start.strip(" ,"), clean)
    called.path = [spot]
    legs: list[str] = []
    for bit in (bit.strip() for bit in after.split(",")):
        if bit:
            _clause(plan, bit, called, legs, clean)
    if legs:
        heard = hear(", ".join(legs), plan.units)
        if heard.problem:
            choices = tuple(clean.replace(", ".join(legs), choice.text) for choice in heard.choices)
            raise CallError(heard.problem, choices, "text")
        called.path = walk_points(heard.legs, spot)
    return called


def _example(plan: Plan, *, walks: bool) -> str:
    if plan.units == "mm":
        return "D3 110 drain from A to B 1200, from B to C 1800; 2400 w, 2 %" if walks else "Heater box from A to B 1200, from B to C 1800"  # fmt: skip
    return "D3 3 drain from A to B 4' 2, from B to C 6'; 8' w, 1/4" if walks else "Heater box from A to B 4' 2, from B to C 6'"  # fmt: skip


def _head(plan: Plan, head: str, kinds: dict[str, str], example: str) -> Called:
    """'D3 3 in drain', or a riser's name and what it is: 'wash sink drain 2'."""
    words = head.lower()
    kind = next((word for word in sorted(kinds, key=len, reverse=True) if re.search(rf"\b{word}\b", words)), None)
    if kind is None:
        known = ", ".join(kinds)
        raise CallError(f"What runs there? Say one of {known}: {example}.", path="text")
    at = list(re.finditer(rf"\b{kind}\b", words))[-1]
    before, after = head[: at.start()].strip(), head[at.end() :].strip()
    called = Called(kinds[kind])
    size = re.search(r"(?:^|\s)(?P<size>\d[\d/ .]*(?:\s?(?:mm|in|\"))?)$", before)
    if size:
        called.size_mm = pipe_size(plan, size["size"])
        before = before[: size.start()].strip()
    elif after:
        called.size_mm = pipe_size(plan, after)
    called.name = before or (head[at.start() : at.end()].strip() if "box" in kinds else "")
    return called


def pipe_size(plan: Plan, said: str | float) -> float:
    """A pipe's size as sold. Raises CallError where no pipe of that size is sold."""
    try:
        size = parse_length(said, plan.units, bare="in" if plan.units == "ft-in" else "mm")
    except LengthError as error:
        raise CallError(error.words, path="size_mm") from None
    inches = [name * IN for name, _ in INCH_SIZES]
    near = min([*inches, *METRIC_SIZES], key=lambda one: abs(one - size))
    if abs(near - size) > 0.6:
        own = inches if plan.units == "ft-in" else list(METRIC_SIZES)
        sold = sorted(own, key=lambda one: abs(one - size))[:2]
        names = " or ".join(say_depth(one, plan.units) for one in sorted(sold))
        raise CallError(f"No pipe of {say_depth(size, plan.units)} is sold. Nearest are {names}.", path="size_mm")
    return near


def _faces_of(start: str) -> list[re.Match[str]]:
    found = [_FACE.fullmatch(bit.strip()) for bit in start.split(",")]
    return [match for match in found if match] if all(found) else []


def _start(plan: Plan, start: str, whole: str) -> tuple[XY, list[str]]:
    """Where it begins: between two faces, or from a corner. And the ids of the faces."""
    if not plan.outline:
        raise CallError("There is no outline yet. Walk the slab first.", path="text")
    faces = _faces_of(start)
    if not faces:
        if _FACE.fullmatch(start):
            raise CallError("From which other face? A place takes two.", path="text")
        return origin_point(start, list(plan.outline), plan.units), []
    if len(faces) == 1:
        words = "From which other face? A place takes two: from A to B 4' 2, from B to C 6'."
        raise CallError(words if plan.units == "ft-in" else "From which other face? A place takes two.", path="text")
    (one, one_mm), (other, other_mm) = ((side_named(plan, m["side"]), _long(plan, m["far"], whole)) for m in faces[:2])
    spot = spot_between(plan, one, one_mm, other, other_mm)
    if spot is None:
        raise CallError("These two faces run the same way. Name one that runs across.", path="text")
    return (round(spot[0], 3), round(spot[1], 3)), [plan.corner_ids[one], plan.corner_ids[other]]


def _long(plan: Plan, said: str, whole: str) -> float:
    try:
        return parse_length(said.strip(), plan.units)
    except BareNumber as error:
        alone = re.compile(rf"(?<![\w/'\".]){re.escape(said.strip())}(?![\w/'\".])")  # not the 4 of D4
        choices = tuple(alone.sub(choice, whole, count=1) for choice in error.choices)
        raise CallError(error.words, choices, "text") from None


def _clause(plan: Plan, bit: str, called: Called, legs: list[str], whole: str) -> None:
    """One bit after the start: a leg, the fall, how deep it starts, where it leaves to, what its riser is called."""
    if match := re.fullmatch(r"to\s+(.+)", bit, re.IGNORECASE):
        called.to = match[1]
    elif match := re.fullmatch(r"called\s+(.+)", bit, re.IGNORECASE):
        called.riser = match[1]
    elif match := _DOWN.fullmatch(bit):
        called.start_mm = -parse_length(match["deep"], plan.units, bare="in" if plan.units == "ft-in" else "mm")
    elif match := _FALL.fullmatch(bit):
        called.fall = read_rate(match["rate"], plan)
    elif re.search(r"\b[nsew]\b|north|south|east|west|left|right", bit, re.IGNORECASE):
        legs.append(bit)
    else:
        raise CallError(f"Cannot read '{bit}'. Say a leg like 8' w, a fall like 1/4, or 7 1/2 down.", path="text")
