"""Levels as people say them, and what they are measured from: the slab's top, or the finished floor over it.

Inside, a level is mm over the finished top of the main slab. Where a screed or a finish lies over that slab, the floor
that people walk on is higher, and a level without a word for which of both it means is asked about.
"""

from __future__ import annotations

import re
from collections.abc import Sequence
from typing import Literal

from humble_trowel.core.errors import CallError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import Benchmark, Layer
from humble_trowel.core.units import parse_length, say_depth

Surface = Literal["slab", "floor"]
_LEVEL = re.compile(
    r"(?P<sign>[-−+])?\s*(?P<size>.*?)\s*(?P<way>below|under|down|low|over|above|up|high)?"
    r"(?:\s*(?:of|from|to)?\s*(?:the\s+)?(?P<what>finished floor|floor|slab's top|slab top|slab|level|zero))?"
)
_DOWN = ("below", "under", "down", "low")


def over_slab_mm(layers: Sequence[Layer]) -> float:
    """What lies over the slab in a stack, mm."""
    at = next((i for i, layer in enumerate(layers) if layer.kind == "slab"), 0)
    return sum(layer.thickness_mm or 0.0 for layer in layers[:at])


def floor_mm(plan: Plan) -> float:
    """Level of the finished floor over the main slab's top: 0 where nothing lies over it."""
    main = next((zone for zone in plan.zones if zone.polygon is None), None)
    main = main or min(plan.zones, key=lambda zone: zone.drop_mm, default=None)
    build = next((row for row in plan.build_ups if main is not None and row.slab == main.slab), None)
    return over_slab_mm(build.layers) if build else 0.0


def benchmark_mm(plan: Plan, mark: Benchmark) -> float:
    """Level of a benchmark over the main slab's top."""
    return mark.level_mm + (floor_mm(plan) if mark.of == "floor" else 0.0)


def read_level(text: str | float, plan: Plan, path: str = "level") -> float:
    """'8 1/2 in below', '-8.5\"', '2 in over the floor', '0': mm over the main slab's top. A number is mm. Raises
    CallError with both answers where it could be over or below, or from either surface."""
    mm, of = read_level_of(text, plan, path)
    return mm + (floor_mm(plan) if of == "floor" else 0.0)


def read_level_of(text: str | float, plan: Plan, path: str = "level") -> tuple[float, Surface]:
    """(mm over the surface, which surface) of a level as typed."""
    if isinstance(text, int | float):
        return float(text), "slab"
    said, floor = text.strip(), floor_mm(plan)
    match = _LEVEL.fullmatch(said.lower())
    if match is None or not said:
        raise CallError("Give a level, like 8 1/2 in below, or 0.", (), path)
    what = match["what"] or ""
    bare = match["size"] in ("", "same", "flush", "at") and bool(what or match["size"])
    size = 0.0 if bare else parse_length(match["size"], plan.units, bare="in")
    if size and not match["sign"] and not match["way"]:
        name = (
            "the finished floor" if floor and "floor" in what else "the slab's top" if floor else "the finished floor"
        )
        raise CallError(f"{said} over or below {name}?", (f"{said} below", f"{said} over"), path)
    if floor and not what:
        ask = f"{said} from the slab's top, or from the finished floor {say_depth(floor, plan.units)} over it?"
        raise CallError(ask, (f"{said} slab", f"{said} floor"), path)
    low = match["sign"] in ("-", "−") or match["way"] in _DOWN
    return (-size if low else size), ("floor" if floor and "floor" in what else "slab")
