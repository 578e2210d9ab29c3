"""Steel as it is written on drawings, read clause by clause: '#4 at 16 each way, top, 1 1/2 clear', '4 #6 bottom, 2 #5 top and
middle, #3 stirrups at 18', '#4 at 18, 6 into the wall, 18 out'. What cannot be read is named by its word."""

from __future__ import annotations

import re

from humble_trowel.core.calls.clauses import LENGTH, Call, Grammar, Reader, Said, odd_word, read_clauses, says, sets
from humble_trowel.core.errors import CallError, InputError
from humble_trowel.core.plan.bars import bar_of
from humble_trowel.core.units import Units

BAR = r"(#\s?\d+|\d+\s?mm)"
PLACES = {"top": "top", "middle": "middle", "mid": "middle", "bottom": "bottom", "bot": "bottom"}
KNOWN = {
    *PLACES, "at", "@", "each", "both", "one", "way", "ways", "clear", "cover", "stirrups", "stirrup", "ties", "tie", "hooks",
    "hook", "bent", "crossed", "legs", "leg", "lap", "mesh", "rolls", "roll", "fibre", "fiber", "with", "edges", "tied", "none",
    "and", "by", "x", "into", "in", "out", "deep", "smooth", "hole", "from", "to", "e", "n", "long", "key", "keyed", "sides", "side", "kg", "lb", "rest",
}  # fmt: skip
FIBRE_PER = {"kg": 1.0, "lb": 0.45359237 / 0.764554857984}  # kg a m3; lb a yd3


def _bar(text: str) -> str:
    """The name of a bar."""
    try:
        return bar_of(text).name
    except InputError as error:
        raise CallError(str(error), path="text") from None


def _long_bars(call: Call, match: re.Match[str]) -> None:
    for place in re.split(r"\s+and\s+|\s*&\s*", match[3].lower()):
        call.rows.append({"count": int(match[1]), "bar": _bar(match[2]), "level": PLACES[place]})


def _at(call: Call, match: re.Match[str]) -> None:
    keys = ("other_bar", "other_mm") if "bar" in call.said else ("bar", "spacing_mm")
    call.said[keys[0]], call.said[keys[1]] = _bar(match[1]), call.length(match[2])


def _each(call: Call, match: re.Match[str]) -> None:
    call.said["each_way"], call.said["each_mm"] = _bar(match[1]), call.length(match[2])


def _stirrups(call: Call, match: re.Match[str]) -> None:
    call.said["stirrup"], call.said["stirrup_mm"] = _bar(match[1]), call.length(match[2])


def _level(call: Call, match: re.Match[str]) -> None:
    call.said["level"] = PLACES[match[1].lower()]


def _hooks(call: Call, match: re.Match[str]) -> None:
    if match[1] not in ("90", "135"):
        raise CallError(f"Hooks of stirrups turn 90 or 135 degrees, not {match[1]}.", path="text")
    call.said["hook"] = int(match[1])


def _mesh(call: Call, match: re.Match[str]) -> None:
    call.said["way"] = "mesh"
    if match[1]:
        call.said["sheet_wide_mm"], call.said["sheet_long_mm"] = sorted((call.length(match[1]), call.length(match[2])))


def _fibre(call: Call, match: re.Match[str]) -> None:
    call.said["way"] = "fibre-edges" if match[3] else "fibre"
    if match[1]:
        call.said["fibre_kg_m3"] = round(float(match[1]) * FIBRE_PER[match[2].lower()], 4)


SLAB: tuple[tuple[str, Reader], ...] = (
    (rf"{BAR}\s+(?:at|@)\s*{LENGTH}(?:\s+(?:each|both)\s+ways?)?", _at),
    (r"(top|middle|mid|bottom|bot)", _level),
    (rf"{LENGTH}\s+(?:clear|cover)", sets("clear_mm")),
    (rf"lap\s+{LENGTH}", sets("lap_mm")),
    (r"rolls?(?:\s+of\s+mesh)?", says("way", "rolls")),
    (r"mesh\s+tied(?:\s+at\s+the\s+edges?)?", says("way", "mesh-tied")),
    (rf"mesh(?:\s+{LENGTH}\s*(?:by|x)\s*{LENGTH})?", _mesh),
    (r"fib(?:re|er)(?:\s+([\d.]+)\s*(kg|lb))?(\s+with\s+edges?)?", _fibre),
    (r"none", says("way", "none")),
)
CAGE: tuple[tuple[str, Reader], ...] = (
    (rf"{BAR}\s+(?:stirrups?|ties?)\s+(?:at|@)\s*{LENGTH}", _stirrups),
    (
        rf"(\d+)\s*(?:x\s*)?{BAR}\s+((?:top|middle|mid|bottom|bot)(?:\s*(?:and|&)\s*(?:top|middle|mid|bottom|bot))*)",
        _long_bars,
    ),
    (rf"{BAR}\s+(?:at|@)\s*{LENGTH}\s+(?:each|both)\s+ways?", _each),
    (rf"{LENGTH}\s+(?:clear|cover)\s+(?:at\s+the\s+)?sides?", sets("side_mm")),
    (rf"{LENGTH}\s+(?:clear|cover)\s+(?:at\s+the\s+)?top", sets("top_mm")),
    (rf"{LENGTH}\s+(?:clear|cover)(?:\s+(?:at\s+the\s+)?bottom)?", sets("bottom_mm")),
    (r"hooks?\s+(\d+)", _hooks),
    (r"(bent|crossed)", says("corners")),
    (rf"legs?\s+{LENGTH}", sets("leg_mm")),
    (rf"{LENGTH}\s+long", sets("long_mm")),
    (rf"lap\s+{LENGTH}", sets("lap_mm")),
)
DOWELS: tuple[tuple[str, Reader], ...] = (
    (rf"{BAR}\s+(?:at|@)\s*{LENGTH}", _at),
    (rf"{LENGTH}\s+(?:deep|into?)(?:\s+(?:the\s+)?\w+)?", sets("in_mm")),
    (rf"{LENGTH}\s+out", sets("out_mm")),
    (rf"hole\s+{LENGTH}", sets("hole_mm")),
    (rf"from\s+{LENGTH}", sets("from_mm")),
    (rf"to\s+{LENGTH}", sets("to_mm")),
    (r"smooth", says("smooth", True)),
)


def _key(call: Call, match: re.Match[str]) -> None:
    call.said.update(deep_mm=call.length(match[1]), wide_mm=call.length(match[2]))


KEY: tuple[tuple[str, Reader], ...] = (
    (rf"key(?:ed)?\s+{LENGTH}\s*(?:by|x)\s*{LENGTH}", _key),
    (rf"from\s+{LENGTH}", sets("from_mm")),
    (rf"to\s+{LENGTH}", sets("to_mm")),
)


def _on_hand(call: Call, match: re.Match[str]) -> None:
    call.rows.append({"count": int(match[1]), "bar": _bar(match[2]), "length_mm": call.length(match[3])})


ON_HAND: tuple[tuple[str, Reader], ...] = ((rf"(\d+)\s*(?:x\s*)?{BAR}\s+(?:at|of|@)\s*{LENGTH}", _on_hand),)


def _read(text: str, units: Units, grammar: Grammar, ask: str) -> Call:
    if not text.strip(" ,;\n"):
        raise CallError(ask, path="text")
    return read_clauses(text, units, grammar, _unread)


def _unread(clause: str) -> str:
    """Which word of a clause stands in the way."""
    if bare := re.fullmatch(rf"\d+\s*(?:x\s*)?{BAR}", clause, re.IGNORECASE):
        return f"Where does {bare[0]} go? Say top, middle or bottom."
    for size in re.findall(r"#\s?\d+", clause):
        try:
            bar_of(size)
        except InputError as error:
            return str(error)
    if word := odd_word(clause, KNOWN):
        return f"“{word}” was not understood in “{clause}”."
    return f"“{clause}” was not understood as a whole. Say it like #4 at 16 each way, or 2 #5 top."


def read_slab_steel(text: str, units: Units) -> Said:
    """What a slab holds, under the names of SlabSteel. Raises CallError."""
    call = _read(text, units, SLAB, "What goes in? Like #4 at 16 each way, top, 1 1/2 clear.")
    if "way" not in call.said:
        if "bar" not in call.said:
            raise CallError("Which bars, and how far apart? Like #4 at 16 each way.", path="text")
        call.said["way"] = "bars"
    return call.said


def read_cage(text: str, units: Units) -> Said:
    """What an edge, beam or pad holds, under the names of Cage. Raises CallError."""
    call = _read(text, units, CAGE, "What goes in? Like 2 #5 bottom, 2 #5 top, #3 stirrups at 24.")
    if not call.rows and "each_way" not in call.said:
        raise CallError("Which long bars? Like 2 #5 bottom.", path="text")
    return {**call.said, "bars": call.rows}


def read_dowels(text: str, units: Units) -> Said:
    """A row of dowels, under the names of Dowels. Raises CallError."""
    call = _read(text, units, DOWELS, "Which bars, how far apart? Like #4 at 18, 6 deep, 18 out.")
    if "bar" not in call.said:
        raise CallError("Which bars, and how far apart? Like #4 at 18.", path="text")
    return call.said


def read_on_hand(text: str, units: Units) -> list[Said]:
    """Bars that need not be bought, under the names of OnHand. Raises CallError."""
    return _read(text, units, ON_HAND, "What lies there? Like 3 #4 at 7' 2.").rows


def read_key(text: str, units: Units) -> Said:
    """A keyed joint, under the names of Key. Raises CallError."""
    call = _read(text, units, KEY, "How deep and wide? Like key 1 1/2 by 3 1/2.")
    if "deep_mm" not in call.said:
        raise CallError("How deep and wide? Like key 1 1/2 by 3 1/2.", path="text")
    return call.said
