"""What is looked at on the slab itself: boards and trenches, the ground, steel, bolts, what is buried."""

from __future__ import annotations

from collections.abc import Iterator

from humble_trowel.core.gate.walk_rows import (
    MEAN_SHORT_MM,
    ONE_SHORT_MM,
    OUT_MM,
    TRENCH_SHORT_MM,
    Ask,
    AtSite,
    State,
    WalkPlace,
)
from humble_trowel.core.plan.document import side_name
from humble_trowel.core.underslab.line_told import TestedLine
from humble_trowel.core.units import say_depth


def on_slab(site: AtSite) -> list[WalkPlace]:
    """Every place that has a spot on the plan, or a matter of its own there."""
    return [*_sides(site), *_zones(site), *_steel(site), *_walls(site), *_buried(site)]


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
                "buried/risers", "buried", "Every riser where it should stand, upright, capped, sleeved?", "Taped from two finished faces.",
                "riser-allowed", "F, I", "given", given=state, given_words=words, goes=("underslab", "check"),
            )
        )  # fmt: skip
    asks += [_tested(line) for line in site.lines]
    if asks:
        at = risers[0].at if risers else next((line.fill_at for line in site.lines if line.fill_at), None)
        yield WalkPlace("buried", "What is buried", at, asks)
    if site.manifold_at is not None:
        ask = "Gauge on the tubes, under pressure, somebody watches it?"
        own = Ask("tubes/gauge", "tubes", ask, "A tube that is cut shows at once.", "tubing-watch", "F")
        yield WalkPlace("tubes", "Manifold", site.manifold_at, [own])


def _tested(line: TestedLine) -> Ask:
    states: dict[str, State] = {"passed": "pass", "failed": "mend", "short": "mend"}
    told = line.told
    need = line.head_text if line.kind == "drain" else line.need_text
    return Ask(
        f"buried/test/{line.id}", "buried", f"{line.name}: does it hold?", f"{need}, {line.hold_min} minutes.", "line-test", "I", "given",
        given="open" if told is None else states.get(told.state, "open"), given_words=told.words if told else "", goes=("underslab", "tests"),
    )  # fmt: skip
