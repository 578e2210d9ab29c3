"""Stacks that crews lay under a floor most often, each with one sentence for and one against, to start a build-up from."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.plan.ground_parts import LAYER_WORDS
from humble_trowel.core.plan.ground_ways import GroundWays
from humble_trowel.core.units import Units, say_depth

SIZES: dict[Units, dict[str, float]] = {
    "ft-in": {
        "base": 4 * 25.4,
        "deep": 6 * 25.4,
        "foam": 2 * 25.4,
        "sand": 25.4,
        "screed": 2 * 25.4,
        "finish": 0.5 * 25.4,
    },
    "mm": {"base": 100.0, "deep": 150.0, "foam": 50.0, "sand": 25.0, "screed": 50.0, "finish": 12.0},
}


@dataclass(frozen=True)
class UsualLayer:
    """kind: as in a build-up. thickness: as it would be typed, '' where it has none."""

    kind: str
    thickness: str
    mm: float


@dataclass(frozen=True)
class UsualStack:
    """pro, con: why a crew lays it, and what speaks against it."""

    name: str
    pro: str
    con: str
    layers: list[UsualLayer]


def usual_layers(units: Units) -> list[UsualLayer]:
    """Single layers to add, in the order in which they lie from the top down, in their usual thickness."""
    kinds = (("finish", "finish"), ("screed", "screed"), ("barrier", ""), ("foam", "foam"), ("blinding", "sand"))
    return [
        *(_layer(units, kind, size) for kind, size in kinds),
        *(_layer(units, kind, "base") for kind in ("stone", "graded", "fill")),
    ]


def usual_stacks(units: Units, ways: GroundWays) -> list[UsualStack]:
    """The stacks, with the crew's own base stone."""
    base = "stone" if ways.base == "clean" else "graded"

    def stack(name: str, pro: str, con: str, *kinds: tuple[str, str]) -> UsualStack:
        return UsualStack(name, pro, con, [_layer(units, kind, size) for kind, size in (*kinds, ("native", ""))])

    return [
        stack("Floor on stone", "Plastic right under the slab keeps the floor dry.", "Bleed water leaves by the top alone, so finish later and cure well.",
              ("slab", ""), ("barrier", ""), (base, "base")),
        stack("Sand over plastic", "Sand takes up bleed water and holds chairs.", "Wet sand under a floor covering stays wet for months.",
              ("slab", ""), ("blinding", "sand"), ("barrier", ""), (base, "base")),
        stack("Heated floor", "Foam keeps the heat in the slab.", "Deeper to dig, and foam must carry what stands on it.",
              ("slab", ""), ("barrier", ""), ("foam", "foam"), (base, "base")),
        stack("Outside, freezing", "Deep stone drains, so frost has no water to lift.", "More to dig and haul, and no plastic against damp.",
              ("slab", ""), (base, "deep")),
        stack("Screed on foam", "Pipes and falls are set after the slab, in the dry.", "A second pour, and a floor that is up higher.",
              ("finish", "finish"), ("screed", "screed"), ("foam", "foam"), ("slab", ""), ("barrier", ""), (base, "base")),
    ]  # fmt: skip


def _layer(units: Units, kind: str, size: str) -> UsualLayer:
    assert kind in LAYER_WORDS
    mm = SIZES[units][size] if size else 0.0
    return UsualLayer(kind, say_depth(mm, units).replace(" mm", "") if mm else "", mm)
