"""What sticks up, as it is called: a wall 'studs at 16 from 0, door 3' 2 at 10', bolts at 4'', a strap 'hold-down at 3'', a group
'4 3/4 bolts at 8 by 8, 12 deep, 3 up'."""

from __future__ import annotations

import re

from humble_trowel.core.calls.clauses import LENGTH, Call, Grammar, Said, odd_word, read_clauses, says, sets
from humble_trowel.core.errors import CallError
from humble_trowel.core.units import Units

KNOWN = {
    "plate", "plates", "of", "studs", "stud", "at", "from", "to", "door", "doors", "window", "opening", "comes", "whole", "posts", "post",
    "framed", "bolts", "bolt", "in", "out", "strap", "straps", "hold-down", "holddown", "bracket", "threshold", "leave-out", "every",
    "wide", "by", "deep", "up", "turn", "x", "plate's", "each",
}  # fmt: skip


def _studs(call: Call, match: re.Match[str]) -> None:
    call.said["stud_mm"] = call.length(match[1])
    if match[2]:
        call.said["stud_start_mm"] = call.length(match[2], zero=True)


def _door(call: Call, match: re.Match[str]) -> None:
    name = match[1].lower() if match[1].lower() != "opening" else ""
    call.rows.append({"name": name, "width_mm": call.length(match[2]), "at_mm": call.length(match[3], zero=True)})


def _posts(call: Call, match: re.Match[str]) -> None:
    call.said["comes"] = "posts"
    if match[1]:
        call.said["post_mm"] = call.length(match[1])


def _out(call: Call, match: re.Match[str]) -> None:
    call.said["in_mm"] = -call.length(match[1])


WALL: Grammar = (
    (rf"{LENGTH}\s+plates?", sets("plate_mm")),
    (rf"plates?\s+of\s+{LENGTH}", sets("stock_mm")),
    (rf"studs?\s+(?:at|every)\s+{LENGTH}(?:\s+from\s+{LENGTH})?", _studs),
    (rf"(door|window|opening)\s+{LENGTH}(?:\s+wide)?\s+at\s+{LENGTH}", _door),
    (rf"bolts?\s+(?:at|every)\s+{LENGTH}", sets("bolt_mm")),
    (rf"posts?(?:\s+(?:at|every)\s+{LENGTH})?", _posts),
    (r"(?:comes\s+)?(whole|framed)", says("comes")),
    (rf"from\s+{LENGTH}", sets("from_mm", zero=True)),
    (rf"to\s+{LENGTH}", sets("to_mm")),
    (rf"{LENGTH}\s+in", sets("in_mm")),
    (rf"{LENGTH}\s+out", _out),
)
STRAP: Grammar = (
    (
        rf"(straps?|hold-?downs?|brackets?|thresholds?|leave-outs?)\s+(?:at|every)\s+{LENGTH}",
        lambda call, match: call.said.update(
            what=_kind(match[1]), at_mm=call.length(match[2], zero=True), every="every" in match[0].lower()
        ),
    ),
    (rf"{LENGTH}\s+wide", sets("width_mm")),
)
GROUP: Grammar = (
    (
        rf"(\d+)(?:\s+by\s+(\d+))?\s+{LENGTH}\s+bolts?\s+at\s+{LENGTH}(?:\s*(?:by|x)\s*{LENGTH})?",
        lambda call, match: _pattern(call, match),
    ),
    (rf"{LENGTH}\s+deep", sets("embed_mm")),
    (rf"{LENGTH}\s+up", sets("stick_up_mm")),
    (r"turn\s+(-?[\d.]+)", lambda call, match: call.said.update(turn_deg=float(match[1]))),
)
PATTERNS = {1: (1, 1), 2: (2, 1), 3: (3, 1), 4: (2, 2), 6: (3, 2), 8: (4, 2)}


def _kind(word: str) -> str:
    plain = word.lower().rstrip("s")
    return "hold-down" if plain.startswith("hold") else plain


def _pattern(call: Call, match: re.Match[str]) -> None:
    count = int(match[1])
    pair = (count, int(match[2])) if match[2] else PATTERNS.get(count)
    if pair is None:
        raise CallError(f"How do {count} bolts stand? Say it like 3 by 3 3/4 bolts at 6 by 8.", path="text")
    across = call.length(match[4])
    call.said.update(
        across=pair[0], along=pair[1], bolt_mm=call.length(match[3]), across_mm=across,
        along_mm=call.length(match[5]) if match[5] else across,
    )  # fmt: skip


def _read(text: str, units: Units, grammar: Grammar, example: str) -> Call:
    def unread(clause: str) -> str:
        word = odd_word(clause, KNOWN)
        if word:
            return f"“{word}” was not understood in “{clause}”."
        return f"“{clause}” was not understood as a whole. Say it like {example}."

    return read_clauses(text, units, grammar, unread)


def read_wall(text: str, units: Units) -> Said:
    """A wall, under the names of StudWall, its doors among it; nothing said is as the crew does. Raises CallError."""
    call = _read(text, units, WALL, "studs at 16 from 0, door 3' 2 at 10'")
    return {**call.said, "doors": call.rows}


def read_strap(text: str, units: Units) -> Said:
    """A strap or its like, under the names of Strap; every: at_mm is how far apart they stand. Raises CallError."""
    call = _read(text, units, STRAP, "hold-down at 3'")
    if "what" not in call.said:
        raise CallError("What stands there? Like strap at 1', bracket every 8', leave-out at 6', 16 wide.", path="text")
    return call.said


def read_group(text: str, units: Units) -> Said:
    """Bolts of a template, under the names of BoltGroup. Raises CallError."""
    call = _read(text, units, GROUP, "4 3/4 bolts at 8 by 8, 12 deep, 3 up")
    for key, ask in (
        ("bolt_mm", "Which bolts? Like 4 3/4 bolts at 8 by 8."),
        ("embed_mm", "How deep? Like 12 deep."),
        ("stick_up_mm", "How far do they stick up? Like 3 up."),
    ):
        if key not in call.said:
            raise CallError(ask, path="text")
    return call.said
