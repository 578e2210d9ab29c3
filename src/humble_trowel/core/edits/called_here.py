"""What is pressed when a call is made, the mark in the call, and lengths in it, asked where they can be read two ways."""

from __future__ import annotations

import re
from dataclasses import dataclass

from humble_trowel.core.errors import BareNumber, CallError
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name, side_name
from humble_trowel.core.units import parse_length


@dataclass(frozen=True)
class Pressed:
    """One of: a side (along_mm: where on it), a corner, a recess, a spot with the zone it lies in; none of them is a call
    by itself. Numbers are places in the plan in hand.
    inside: pads are moved in from corners and walls. beam, pad: pressed."""

    side: int | None = None
    along_mm: float | None = None
    corner: int | None = None
    zone: int | None = None
    recess: int | None = None
    at: XY | None = None
    inside: bool = False
    beam: int | None = None
    pad: int | None = None

    def offers(self, plan: Plan) -> str:
        """What could be called with this pressed, with a beam, pad or slab of the job in it."""
        mm = plan.units == "mm"
        beam = plan.beam_types[0].mark if plan.beam_types else "B1"
        pad = plan.pad_types[0].mark if plan.pad_types else "P1"
        if self.side is not None:
            if mm:
                return f"Call every 3500 {beam}, bays 2700, 3500 {beam}, at 6000 {beam}, or door 1000 down 20 in 140."
            return f"Call every 11' 6 {beam}, bays 9', 14' {beam}, at 20' {beam}, or door 3' 4 down 3/4 in 5 1/2."
        if self.corner is not None:
            return f"Call {pad}, {pad} {'2000 e 3000 n' if mm else chr(39).join(('6', ' e 9', ' n'))}, or {beam} {'6000 e' if mm else '20' + chr(39) + ' e'}."
        if self.recess is not None:
            return f"Call {'80 deep' if mm else '3 deep'}, dips, thinner, called and a name, or out."
        if self.zone is not None:
            slab = plan.zones[self.zone].slab
            return f"Call {slab}, {'drop 20, falls 1 % e, falls 25 to drain' if mm else 'drop 1 1/2, falls 1/8 e, falls 1 to drain'}, part {'6000' if mm else chr(50) + chr(48) + chr(39)} e of A, {pad} or a pit on the spot."
        if self.at is not None:
            return (
                f"Call {pad}, or {'pit 900 by 900 by 80' if mm else 'pit 3' + chr(39) + ' by 3' + chr(39) + ' by 3'}."
            )
        return "Press a wall, a corner or a spot first."


@dataclass(frozen=True)
class Said:
    """A call: its text, the mark in it with what it is a mark of (beam, pad, slab or ''), and
    the rest in small letters. marks: all that are known."""

    text: str
    mark: str
    kind: str
    rest: str
    marks: tuple[str, ...]

    @classmethod
    def of(cls, text: str, plan: Plan) -> Said:
        clean = " ".join(text.translate({0x2032: "'", 0x2033: '"', 0x2019: "'"}).split())
        kinds = {row.mark.upper(): (row.mark, "slab") for row in plan.slab_types}
        kinds |= {row.mark.upper(): (row.mark, "pad") for row in plan.pad_types}
        kinds |= {row.mark.upper(): (row.mark, "beam") for row in plan.beam_types}
        words, ends = clean.split(" "), clean.lower().split(" ")
        until = ends.index("called") if "called" in ends else len(words)
        for at in sorted(range(until), key=lambda at: at not in (0, len(words) - 1)):
            found = kinds.get(words[at].strip(",;:").upper())
            if found and (at in (0, len(words) - 1) or any(letter.isdigit() for letter in found[0])):
                rest = " ".join([*words[:at], *words[at + 1 :]]).strip(" ,;:").lower()
                return cls(clean, *found, rest, tuple(mark for mark, _ in kinds.values()))
        return cls(clean, "", "", clean.lower(), tuple(mark for mark, _ in kinds.values()))

    def length_mm(self, part: str, plan: Plan, bare: str = "ask") -> float:
        """A length in the call. Raises CallError with the whole call mended where it can be read two ways."""
        try:
            return parse_length(part, plan.units, bare=bare)  # type: ignore[arg-type]
        except BareNumber as error:
            raise self.two_ways(part, error) from None

    def two_ways(self, part: str, error: BareNumber) -> CallError:
        """The question that a length asks, with the whole call for each answer."""
        alone = re.compile(rf"(?<![\w/'\".]){re.escape(part.strip())}(?![\w/'\".])", re.IGNORECASE)
        found = alone.search(self.text)
        start, end = found.span() if found else (len(self.text), len(self.text))
        whole = [self.text[:start] + choice + self.text[end:] for choice in error.choices]
        return CallError(error.words, tuple(whole), "text")


def side_called(plan: Plan, words: str) -> tuple[int, str] | None:
    """(side, the call without it) where a call says 'along A to B', at its end or before 'in 6'; None without. Raises CallError
    for no such side."""
    side = r"\balong\s+(?P<side>[a-z]{1,2}\s*(?:to|-|–)\s*[a-z]{1,2})"
    match = re.fullmatch(rf"(?P<before>.*?)\s*{side}(?P<after>\s+in\s+\S.*)?", words)
    return (side_named(plan, match["side"]), match["before"] + (match["after"] or "")) if match else None


def side_named(plan: Plan, words: str) -> int:
    """The side of 'a to b', either way round. Raises CallError where it is none."""
    count = len(plan.outline or [])
    ends = [bit.upper() for bit in re.split(r"\s*(?:\bto\b|-|–)\s*", words.strip())]
    for side in range(count):
        if sorted(ends) == sorted((corner_name(side), corner_name((side + 1) % count))):
            return side
    known = side_name(0, count)
    raise CallError(f"There is no side {' to '.join(ends)}. Name one by its corners, like {known}.", path="text")
