"""What is looked at beside the slab: strings, the truck, tools, people."""

from __future__ import annotations

from collections.abc import Iterator

from humble_trowel.core.gate.walk_rows import Ask, AtSite, State, WalkPlace

SQUARED: dict[str, tuple[State, str]] = {"in": ("pass", "Taped square."), "out": ("mend", "Taped, and out.")}
TRUCK = (
    ("truck/way", "Way for the trucks firm and wide, off the trench edge?", "At least as far off as the trench is deep.", "walk-truck", "F"),
    ("truck/washout", "Washout lined, where nothing runs off?", "", "walk-truck", "F"),
    ("truck/spotter", "Who guides the trucks back?", "One person, in sight of the driver; nobody behind.", "walk-safe", "F"),
)  # fmt: skip
PUMP = ("truck/pump", "Pump on mats, 20 ft off any power line, nobody at the hose's end?", "The operator decides.", "walk-safe", "F")  # fmt: skip
TOOLS = (
    ("tools/place", "Board, rakes, vibrator, floats, edger: here and running?", "A spare of what breaks.", "walk-tools", "F"),
    ("tools/cure", "Curing here: film or sheets, water, stakes for the wind?", "It begins as soon as the floats are off.", "walk-tools", "F"),
    ("tools/cover", "Something to cover it with if it rains?", "", "walk-tools", "F"),
    ("tools/tests", "Who tests slump, air, temperature, and makes cylinders?", "One set a day at least.", "cylinders", "F, I"),
)  # fmt: skip
JOINTS = ("strings/joints", "Joints marked on the boards, saw and blade here?", "The marks are gone once it is poured.", "walk-tools", "F")  # fmt: skip
ELECTRODE = ("strings/electrode", "Electrode: 20 ft of bar or copper in the edge, its tail out?", "2 in of concrete round it.", "walk-electrode", "F, I")  # fmt: skip
SAFE = ("people/safe", "Gloves, boots, glasses, water to wash off?", "Wet concrete burns, and pain comes late. Eyes: rinse, then a doctor.", "walk-safe", "F")  # fmt: skip
Row = tuple[str, str, str, str, str]


def beside(site: AtSite) -> Iterator[WalkPlace]:
    """Places that are nowhere on the plan."""
    yield WalkPlace("strings", "Strings and marks", None, _strings(site))
    yield _place("truck", "Where the truck stands", (*TRUCK, PUMP) if site.pump else TRUCK)
    yield _place("tools", "Tools", TOOLS)
    hands = ("people/hands", f"All hands here: {site.hands}?", "Who places, who pulls, who floats.", "walk-people", "F")
    yield _place("people", "People", (hands, SAFE))


def _place(key: str, name: str, rows: tuple[Row, ...]) -> WalkPlace:
    return WalkPlace(key, name, None, [_look(key, row) for row in rows])


def _look(place: str, row: Row) -> Ask:
    name, ask, words, source, who = row
    return Ask(name, place, ask, words, source, who)


def _strings(site: AtSite) -> list[Ask]:
    state, said = SQUARED.get(site.squared, ("open", ""))
    square = Ask(
        "strings/square", "strings", "Diagonals as they should be, once more?", "Boards move while steel is laid.", "walk-square", "F",
        "given" if site.squared else "look", given=state, given_words=said, goes=("lines", "squared") if site.squared else None,
    )  # fmt: skip
    rows = [JOINTS] if site.plan.joints.lines else []
    rows += [ELECTRODE] if any(row.looks for row in site.steel if row.id.startswith("edge/")) else []
    return [square, *[_look("strings", row) for row in rows]]
