"""Tape call-outs: what a person calls while walking round a slab, read into legs.

    24' 6 1/2 w      w 24' 6 1/2     24-6.5 w     24 6 1/2 w     7480 w (mm job)
    12' 45 n of e    5' e & 3' n     left 8'      several on one line, commas or not, in either order
    16' by 12'       a rectangle: east, north, and back

Directions are of the plan (n is +y). left and right turn square from the leg before. A walk that does not start
at a fixed point begins with 'from B', 'from B 3' n,' or 'from C 2' toward D,'.
"""

from __future__ import annotations

import math
import re
from collections.abc import Iterator
from dataclasses import dataclass, field

from humble_trowel.core.errors import BareNumber, CallError, LengthError
from humble_trowel.core.units import Units, format_length, parse_length, say_length

XY = tuple[float, float]
R = math.sqrt(0.5)
DIRECTIONS: dict[str, XY] = {
    "n": (0, 1), "e": (1, 0), "s": (0, -1), "w": (-1, 0),
    "ne": (R, R), "nw": (-R, R), "se": (R, -R), "sw": (-R, -R),
}  # fmt: skip
_LONG = {
    "north": "n", "east": "e", "south": "s", "west": "w", "northeast": "ne", "northwest": "nw",
    "southeast": "se", "southwest": "sw", "up": "n", "down": "s", "l": "left", "r": "right",
}  # fmt: skip
SAID = {"n": "north", "e": "east", "s": "south", "w": "west", "ne": "northeast", "nw": "northwest",
        "se": "southeast", "sw": "southwest"}  # fmt: skip
_UNIT_WORDS = {"mm", "cm", "m", "in", "inch", "inches", "ft", "feet", "foot", "metre", "metres"}
_TOKEN = re.compile(r"(?P<word>[a-z]+)|(?P<join>[&+])|(?P<stop>[,;:\n])|(?P<deg>°)|(?P<text>[^a-z&+,;:\n°]+)")


_BY = re.compile(
    r"(?P<a>[^a-wyz,;]*(?:mm|cm|m|in|ft)?\.?)\s*(?:by|x|×)\s*(?P<b>[^a-z,;]*(?:mm|cm|m|in|ft)?\.?)\s*", re.IGNORECASE
)


@dataclass(frozen=True)
class Leg:
    """One side as called. dx_mm, dy_mm: where it goes. said: 'Heard' words. call: the text that calls it again."""

    dx_mm: float
    dy_mm: float
    said: str
    call: str

    @property
    def length_mm(self) -> float:
        return math.hypot(self.dx_mm, self.dy_mm)


@dataclass(frozen=True)
class Choice:
    """A way out to offer: a short label, and the whole text mended."""

    label: str
    text: str


@dataclass(frozen=True)
class Heard:
    """What was understood. problem: words on what was not, '' if all was; choices: ways out."""

    legs: list[Leg] = field(default_factory=list)
    origin: str = ""
    problem: str = ""
    choices: list[Choice] = field(default_factory=list)


Move = tuple[float, list[str], float]  # length in mm, direction names, degrees between two of them


@dataclass(frozen=True)
class _Bit:
    kind: str
    text: str
    start: int
    end: int


def hear(text: str, units: Units) -> Heard:
    """Read call-outs. text: as typed. Returns the legs up to the first problem; never raises for what is typed."""
    origin, rest, offset = split_origin(text)
    legs: list[Leg] = []
    sizes = _BY.fullmatch(rest)
    if sizes:
        return _rectangle(sizes, origin, text, offset, units)
    try:
        for moves in _calls(rest, units):
            legs.append(_joined(moves, legs[-1] if legs else None, units))
    except _Bare as error:
        at, end = error.start + offset, error.end + offset
        choices = [Choice(c, text[:at] + c + text[end:]) for c in error.choices]
        return Heard(legs, origin, error.words, choices)
    except (CallError, LengthError) as error:
        return Heard(legs, origin, error.words)
    if not legs and rest.strip(" ,;:\n"):
        return Heard(legs, origin, f"Cannot read {rest.strip()} as a side. Call it like 24' 6 1/2 w, or 12' 45 n of e.")
    return Heard(legs, origin)


def _rectangle(sizes: re.Match[str], origin: str, text: str, offset: int, units: Units) -> Heard:
    """'16\' by 12\'': east, north, and back."""
    mm = []
    for key in ("a", "b"):
        try:
            mm.append(parse_length(sizes[key], units))
        except BareNumber:
            both = [(sizes["a"].strip(" '\""), sizes["b"].strip(" '\""), mark) for mark in ("'", '"')]
            choices = [Choice(f"{a}{m} by {b}{m}", f"{text[:offset]}{a}{m} by {b}{m}") for a, b, m in both]
            return Heard([], origin, f"{sizes[0].strip()} what?", choices)
        except LengthError as error:
            return Heard([], origin, error.words)
    if min(mm) <= 0:
        return Heard([], origin, "A side of nothing is no side.")
    moves = [(mm[0], ["e"], 0.0), (mm[1], ["n"], 0.0), (mm[0], ["w"], 0.0), (mm[1], ["s"], 0.0)]
    return Heard([_joined([move], None, units) for move in moves], origin)


def split_origin(text: str) -> tuple[str, str, int]:
    """('B 3' n', the calls after it, their offset in the text) for a text that begins with 'from'."""
    match = re.match(r"\s*from\s+(?P<o>[^,;:\n]*)(?:[,;:\n]|$)", text, re.IGNORECASE)
    if not match:
        return "", text, 0
    return match["o"].strip(), text[match.end() :], match.end()


class _Bare(CallError):
    def __init__(self, words: str, choices: tuple[str, ...], start: int, end: int) -> None:
        super().__init__(words, choices)
        self.start, self.end = start, end


def _bits(text: str) -> list[_Bit]:
    low = text.replace("′", "'").replace("″", '"').replace("’", "'").replace("”", '"').lower()
    bits: list[_Bit] = []
    for match in _TOKEN.finditer(low):
        kind = match.lastgroup or "text"
        word = _LONG.get(match[0], match[0])
        if kind == "word":
            kind = _word_kind(word, match[0])
        if kind == "text" and not match[0].strip():
            continue
        if kind == "text" and bits and bits[-1].kind == "text":
            bits[-1] = _Bit("text", low[bits[-1].start : match.end()], bits[-1].start, match.end())
        else:
            bits.append(_Bit(kind, word if kind != "text" else match[0], match.start(), match.end()))
    return bits


def _word_kind(word: str, said: str) -> str:
    if word in DIRECTIONS or word in ("left", "right"):
        return "dir"
    if word in _UNIT_WORDS:
        return "text"
    if word in ("of", "deg", "degrees"):
        return "of" if word == "of" else "deg"
    if word == "and":
        return "join"
    raise CallError(f"Cannot read '{said}'. Call a side like 24' 6 1/2 w, or 12' 45 n of e.")


def _calls(text: str, units: Units) -> Iterator[list[Move]]:
    """The moves of each call, in order; a call of two moves joined by & is one slanting side."""
    bits = [bit for bit in _bits(text) if bit.kind not in ("stop", "deg")]
    at = 0
    while at < len(bits):
        moves: list[Move] = []
        while True:
            prefix = at < len(bits) and bits[at].kind == "dir"  # each move in its own order: 36' e, n 18'
            move, at = _one(bits, at, prefix, units)
            moves.append(move)
            if at < len(bits) and bits[at].kind == "join":
                at += 1
                continue
            break
        yield moves


def _one(bits: list[_Bit], at: int, prefix: bool, units: Units) -> tuple[Move, int]:
    """One length with one direction, in the order of the line, and the next index."""
    direction: list[_Bit] = []
    if at >= len(bits):
        raise CallError("And what? Say the second part of the slanting side, like 5' e & 3' n.")

    def take_direction(at: int) -> int:
        direction.append(bits[at])
        if at + 2 < len(bits) and bits[at + 1].kind == "of" and bits[at + 2].kind == "dir":
            direction.append(bits[at + 2])
            return at + 3
        return at + 1

    if prefix:
        if bits[at].kind != "dir":
            raise CallError(f"'{bits[at].text.strip()}' has no direction before it.")
        at = take_direction(at)
        if at >= len(bits) or bits[at].kind != "text":
            raise CallError(f"How far {SAID.get(direction[0].text, direction[0].text)}?")
        size, at = bits[at], at + 1
    else:
        if bits[at].kind != "text":
            raise CallError(f"How far {SAID.get(bits[at].text, bits[at].text)}?")
        size, at = bits[at], at + 1
        if at >= len(bits) or bits[at].kind != "dir":
            said = size.text.strip()
            raise CallError(f"{said} which way? Say n, e, s or w (of the plan), left or right.")
        at = take_direction(at)
    return _move(size, direction, units), at


def _move(size: _Bit, direction: list[_Bit], units: Units) -> Move:
    text, degrees = size.text, 0.0
    if len(direction) == 2:
        match = re.match(r"^(?P<l>.*\S)\s+(?P<d>\d+(?:\.\d+)?)\s*$", text.strip())
        if not match:
            raise CallError(f"How many degrees {direction[0].text} of {direction[1].text}? Say 12' 45 n of e.")
        text, degrees = match["l"], float(match["d"])
        if degrees > 90:
            raise CallError(f"{degrees:g} degrees is past square. Say 0 to 90.")
    try:
        length = parse_length(text, units)
    except BareNumber as error:
        lead = len(size.text) - len(size.text.lstrip())
        start = size.start + lead
        raise _Bare(error.words, error.choices, start, start + len(text.strip())) from None
    if length <= 0:
        raise CallError("A side of nothing is no side.")
    if length >= 1e6:
        raise CallError(f"{say_length(length, units)} is absurd for a slab. Sides stay under 1 km.")
    return length, [bit.text for bit in direction], degrees


def _heading(names: list[str], degrees: float, before: Leg | None) -> XY:
    if names[0] in ("left", "right"):
        if before is None:
            raise CallError(f"{names[0].capitalize()} of what? The first side needs n, e, s or w.")
        ux, uy = before.dx_mm / before.length_mm, before.dy_mm / before.length_mm
        return (-uy, ux) if names[0] == "left" else (uy, -ux)
    if len(names) == 1:
        return DIRECTIONS[names[0]]
    toward, base = DIRECTIONS[names[0]], DIRECTIONS[names[1]]
    if abs(toward[0] * base[0] + toward[1] * base[1]) > 1e-9:
        raise CallError(f"{names[0]} of {names[1]} is no turn. Say n of e, s of w and the like.")
    c, s = math.cos(math.radians(degrees)), math.sin(math.radians(degrees))
    return (base[0] * c + toward[0] * s, base[1] * c + toward[1] * s)


def _joined(moves: list[Move], before: Leg | None, units: Units) -> Leg:
    dx = dy = 0.0
    said, calls = [], []
    for length, names, degrees in moves:
        ux, uy = _heading(names, degrees, before)
        dx, dy = dx + length * ux, dy + length * uy
        size = say_length(length, units)
        turn = f" {degrees:g}° {SAID[names[0]]} of {SAID[names[1]]}" if len(names) == 2 else ""
        said.append(f"{size}{turn}" if turn else f"{size} {SAID.get(names[0], names[0])}")
        short = f"{degrees:g} {names[0]} of {names[1]}" if len(names) == 2 else _letter((ux, uy), names[0])
        calls.append(f"{size} {short}")
    if math.hypot(dx, dy) < 1e-6:
        raise CallError("That leads back to where it began.")
    return Leg(_tidy(dx), _tidy(dy), " and ".join(said), " & ".join(calls))


def _letter(heading: XY, name: str) -> str:
    if name not in ("left", "right"):
        return name
    for letter, (x, y) in DIRECTIONS.items():
        if abs(x - heading[0]) < 1e-9 and abs(y - heading[1]) < 1e-9:
            return letter
    return name


def _tidy(value: float) -> float:
    return 0.0 if abs(value) < 1e-9 else value


def long_direction(word: str) -> str:
    """A direction as one letter or two: 'east' and 'e' are 'e'; any other word as it is."""
    return _LONG.get(word, word)


def call_of(dx_mm: float, dy_mm: float, units: Units) -> str:
    """The call that walks (dx, dy): '36′ e', or '5′ e & 3′ n' for a slanting side."""
    parts = ((dx_mm, "e" if dx_mm > 0 else "w"), (dy_mm, "n" if dy_mm > 0 else "s"))
    bits = [
        f"{say_length(abs(mm), units)} {letter}" for mm, letter in parts if format_length(mm, units) not in ("0", "0″")
    ]
    return " & ".join(bits) or "0"
