"""What is looked at before a pour, place by place: everything of figures and handbook that this job really has. mm; 0 is the finished top."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Literal

from humble_trowel.core.embeds.setting import Item
from humble_trowel.core.embeds.walls import WallLaid
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan, side_name
from humble_trowel.core.steel.looks import Look
from humble_trowel.core.steel.looks import Place as SteelPlace
from humble_trowel.core.underslab.line_told import TestedLine
from humble_trowel.core.units import say_depth

ONE_SHORT_MM, MEAN_SHORT_MM = 19.05, 9.525  # ACI 117: a reading of a slab's depth, and the mean of them
TRENCH_SHORT_MM = 12.7  # ACI 117: of a footing's depth
STEP_MM = 700.0
OUT_MM = 450.0  # a person stands so far outside the boards
State = Literal["open", "pass", "mend", "absent", "second"]


@dataclass(frozen=True)
class Ask:
    """One question of the walk. id: of its record. place: where. need: how it is judged: 'look', or readings that are no less than least_mm and in
    the mean no less than mean_mm. who: F foreman, I inspector. second: two people look. steel: it is a look of Steel and is written there.
    given: how it stands by another record already; goes: the stage and tab where that is."""

    id: str
    place: str
    ask: str
    words: str
    source: str
    who: str = "F"
    need: Literal["look", "least", "steel", "given"] = "look"
    drawn_mm: float | None = None
    least_mm: float | None = None
    mean_mm: float | None = None
    second: bool = False
    steel: Look | None = None
    given: State = "open"
    given_words: str = ""
    goes: tuple[str, str] | None = None


@dataclass(frozen=True)
class WalkPlace:
    """Somewhere on the walk. at: on the plan; None beside it."""

    id: str
    name: str
    at: XY | None
    asks: list[Ask]


@dataclass(frozen=True)
class AtSite:
    """What the walk rests on. risers_off, risers_open: of those taped; lines: under test; electrode: there is steel along an edge."""

    plan: Plan
    cells: Sequence[Cell]
    steel: Sequence[SteelPlace]
    walls: Sequence[WallLaid]
    items: Sequence[Item]
    lines: Sequence[TestedLine]
    risers: int
    risers_off: int
    risers_open: int
    squared: str  # '' not taped, 'in', 'out'
    barrier: bool
    manifold_at: XY | None
    pump: bool
    hands: int
    filled: bool


def places_of(site: AtSite) -> list[WalkPlace]:
    """Every place, in the order in which one walks round the slab from corner A, then what stands beside it."""
    on_plan = [*_sides(site), *_zones(site), *_steel(site), *_walls(site), *_buried(site)]
    ring = list(site.plan.outline or [])
    met = _together(on_plan)
    met.sort(key=lambda one: _station(ring, one.at) if one.at else 0.0)
    return [*met, *_beside(site)]


def _together(places: Sequence[WalkPlace]) -> list[WalkPlace]:
    """Places that are within a step of one another are one."""
    found: list[WalkPlace] = []
    for place in places:
        at = next((i for i, one in enumerate(found) if _near(one.at, place.at)), None)
        if at is None:
            found.append(place)
        else:
            found[at] = replace(found[at], asks=[*found[at].asks, *place.asks])
    return found


def _near(one: XY | None, other: XY | None) -> bool:
    return one is not None and other is not None and (one[0] - other[0]) ** 2 + (one[1] - other[1]) ** 2 < STEP_MM**2


def _station(ring: Sequence[XY], at: XY) -> float:
    """How far along the outline the nearest point to a spot is."""
    best, station, walked = float("inf"), 0.0, 0.0
    for (ax, ay), (bx, by) in zip(ring, [*ring[1:], ring[0]], strict=True):
        long = ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5 or 1.0
        t = min(1.0, max(0.0, ((at[0] - ax) * (bx - ax) + (at[1] - ay) * (by - ay)) / long**2))
        far = (ax + t * (bx - ax) - at[0]) ** 2 + (ay + t * (by - ay) - at[1]) ** 2
        if far < best - 1e-6:
            best, station = far, walked + t * long
        walked += long
    return station


def _sides(site: AtSite) -> Iterator[WalkPlace]:
    plan = site.plan
    ring = list(plan.outline or [])
    types = {one.mark: one for one in plan.edge_types}
    for at, ((ax, ay), (bx, by)) in enumerate(zip(ring, [*ring[1:], ring[0]], strict=True)):
        long = ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5 or 1.0
        spot = ((ax + bx) / 2 + (by - ay) / long * OUT_MM, (ay + by) / 2 - (bx - ax) / long * OUT_MM)
        key = f"side/{plan.corner_ids[at]}"
        asks = [
            Ask(
                f"{key}/boards",
                key,
                "Boards straight, braced, tight at the joints?",
                "Sight along the string; kick the stakes.",
                "walk-forms",
            )
        ]
        edge = next((row for row in plan.edges if row.sides and at in row.sides), None)
        kind = types.get(edge.type) if edge else None
        if kind is not None and kind.depth_mm:
            asks += _trench(site, key, kind.depth_mm)
        yield WalkPlace(key, side_name(at, len(ring)), spot, asks)


def _trench(site: AtSite, key: str, deep_mm: float) -> Iterator[Ask]:
    units = site.plan.units
    yield Ask(
        f"{key}/clean",
        key,
        "Trench clean: no sawdust, bottles, paper, loose earth, water?",
        "What lies in it leaves a void, and fails the visit.",
        "walk-clean",
        "F, I",
        second=True,
    )
    least = deep_mm - TRENCH_SHORT_MM
    yield Ask(
        f"{key}/deep", key, "How deep is the trench under the string?",
        f"{say_depth(deep_mm, units)} drawn, {say_depth(TRENCH_SHORT_MM, units)} may be lost.", "walk-depth", "F, I", "least", deep_mm, least, None,
    )  # fmt: skip


def _zones(site: AtSite) -> Iterator[WalkPlace]:
    units = site.plan.units
    for cell in site.cells:
        zone = site.plan.zones[cell.index]
        spot = cell.region.representative_point()
        key = f"zone/{zone.id}"
        thick = cell.thickness_mm
        asks = [
            Ask(f"{key}/base", key, "Base rolled, dry, not frozen, no ruts?", "A heel leaves no print; never on frozen ground.", "walk-base", "F, I"),
            Ask(
                f"{key}/string", key, "How deep is it from the string to the base? Four places.",
                f"{say_depth(thick, units)} drawn: none under {say_depth(thick - ONE_SHORT_MM, units)}, "
                f"the mean no less than {say_depth(thick - MEAN_SHORT_MM, units)}.",
                "walk-string", "F", "least", thick, thick - ONE_SHORT_MM, thick - MEAN_SHORT_MM,
            ),
        ]  # fmt: skip
        if site.barrier:
            asks.append(
                Ask(
                    f"{key}/barrier",
                    key,
                    "Plastic lapped, taped, no hole?",
                    "Laps of 6 in or more, boots at every pipe.",
                    "walk-barrier",
                    "F, I",
                )
            )
        yield WalkPlace(key, zone.name, (spot.x, spot.y), asks)


def _steel(site: AtSite) -> Iterator[WalkPlace]:
    states: dict[str, State] = {"open": "open", "held": "pass", "mended": "pass", "short": "mend"}
    for place in site.steel:
        key = f"steel/{place.id}"
        asks = [
            Ask(
                f"{key}/{look.look}", key, look.ask, look.need_text, "steel-look", "F, I", "steel", look.need_mm, None, None, False, look,
                states[look.state], " ".join(part for part in (look.taped_text, look.words) if part), ("steel", "look"),
            )
            for look in place.looks
        ]  # fmt: skip
        yield WalkPlace(key, place.name, place.at, asks)


def _walls(site: AtSite) -> Iterator[WalkPlace]:
    for wall in site.walls:
        own = [one for one in site.items if one.of == wall.id]
        if not own:
            continue
        done = sum(1 for one in own if one.state == "set")
        bad = [one for one in own if one.state == "cannot"]
        state: State = "mend" if bad else "pass" if done == len(own) else "open"
        words = bad[0].why if bad else f"{done} of {len(own)} set."
        key = f"wall/{wall.id}"
        ask = Ask(
            f"{key}/bolts",
            key,
            "Every bolt where it is marked?",
            "7 in into the concrete, one near each end of a plate.",
            "bolt-embed",
            "F, I",
            "given",
            given=state,
            given_words=words,
            goes=("embeds", "setting"),
        )
        middle = (wall.start_mm + wall.end_mm) / 2
        yield WalkPlace(key, wall.name, (wall.a[0] + wall.way[0] * middle, wall.a[1] + wall.way[1] * middle), [ask])


def _buried(site: AtSite) -> Iterator[WalkPlace]:
    risers = list(site.plan.underslab.risers)
    asks: list[Ask] = []
    if risers:
        state: State = "mend" if site.risers_off else "open" if site.risers_open else "pass"
        words = f"{site.risers - site.risers_open} of {site.risers} taped, {site.risers_off} off."
        asks.append(
            Ask(
                "buried/risers",
                "buried",
                "Every riser where it should stand, upright, capped, sleeved?",
                "Taped from two finished faces.",
                "riser-allowed",
                "F, I",
                "given",
                given=state,
                given_words=words,
                goes=("underslab", "check"),
            )
        )
    for line in site.lines:
        told = line.told
        state = (
            "open"
            if told is None or told.state in ("standing", "old")
            else "pass"
            if told.state == "passed"
            else "mend"
        )
        asks.append(
            Ask(
                f"buried/test/{line.id}",
                "buried",
                f"{line.name}: does it hold?",
                f"{line.head_text if line.kind == 'drain' else line.need_text}, {line.hold_min} minutes.",
                "line-test",
                "I",
                "given",
                given=state,
                given_words=told.words if told else "",
                goes=("underslab", "tests"),
            )
        )
    if asks:
        at = risers[0].at if risers else next((line.fill_at for line in site.lines if line.fill_at), None)
        yield WalkPlace("buried", "What is buried", at, asks)
    if site.manifold_at is not None:
        ask = Ask(
            "tubes/gauge",
            "tubes",
            "Gauge on the tubes, under pressure, somebody watches it?",
            "A tube that is cut shows at once.",
            "tubing-watch",
            "F",
        )
        yield WalkPlace("tubes", "Manifold", site.manifold_at, [ask])


def _beside(site: AtSite) -> Iterator[WalkPlace]:
    """What stands beside the slab: strings, the truck, tools, people."""
    plan = site.plan
    state: State = {"in": "pass", "out": "mend"}.get(site.squared, "open")  # type: ignore[assignment]
    strings = [
        Ask(
            "strings/square",
            "strings",
            "Diagonals as they should be, once more?",
            "Boards move while steel is laid.",
            "walk-square",
            "F",
            "given" if site.squared else "look",
            given=state,
            given_words={"in": "Taped square.", "out": "Taped, and out."}.get(site.squared, ""),
            goes=("lines", "squared") if site.squared else None,
        )
    ]
    if plan.joints.lines:
        strings.append(
            Ask(
                "strings/joints",
                "strings",
                "Joints marked on the boards, saw and blade here?",
                "The marks are gone once it is poured.",
                "walk-tools",
            )
        )
    if any(row.looks for row in site.steel if row.id.startswith("edge/")):
        strings.append(
            Ask(
                "strings/electrode",
                "strings",
                "Electrode: 20 ft of bar or copper in the edge, its tail out?",
                "2 in of concrete round it.",
                "walk-electrode",
                "F, I",
            )
        )
    yield WalkPlace("strings", "Strings and marks", None, strings)
    truck = [
        Ask("truck/way", "truck", "Way for the trucks firm and wide, off the trench edge?", "At least as far off as the trench is deep.", "walk-truck"),
        Ask("truck/washout", "truck", "Washout lined, where nothing runs off?", "", "walk-truck"),
        Ask("truck/spotter", "truck", "Who guides the trucks back?", "One person, in sight of the driver; nobody behind.", "walk-safe"),
    ]  # fmt: skip
    if site.pump:
        truck.append(
            Ask(
                "truck/pump",
                "truck",
                "Pump on mats, 20 ft off any power line, nobody at the hose's end?",
                "The operator decides.",
                "walk-safe",
            )
        )
    yield WalkPlace("truck", "Where the truck stands", None, truck)
    tools = [
        Ask("tools/place", "tools", "Board, rakes, vibrator, floats, edger: here and running?", "A spare of what breaks.", "walk-tools"),
        Ask("tools/cure", "tools", "Curing here: film or sheets, water, stakes for the wind?", "It begins as soon as the floats are off.", "walk-tools"),
        Ask("tools/cover", "tools", "Something to cover it with if it rains?", "", "walk-tools"),
        Ask("tools/tests", "tools", "Who tests slump, air, temperature, and makes cylinders?", "One set a day at least.", "cylinders", "F, I"),
    ]  # fmt: skip
    yield WalkPlace("tools", "Tools", None, tools)
    people = [
        Ask("people/hands", "people", f"All hands here: {site.hands}?", "Who places, who pulls, who floats.", "walk-people"),
        Ask("people/safe", "people", "Gloves, boots, glasses, water to wash off?", "Wet concrete burns, and pain comes late. Eyes: rinse, then a doctor.", "walk-safe"),
    ]  # fmt: skip
    yield WalkPlace("people", "People", None, people)
