"""A section through the slab as it is drawn: concrete, layers, what stands at its ends, and every size to read off it.

Levels are mm over the finished top of the main slab, s runs along the cut, mm. Nothing here is measured from the
plan document's sizes alone: positions come from the solid where the line crosses it.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.edges.section_blocks import Block, Within, blocks_on, within_on
from humble_trowel.core.edges.section_ends import SectionEnd, section_ends
from humble_trowel.core.edges.section_layers import SectionLayer, section_layers
from humble_trowel.core.edges.section_line import Span, section_area_m2, section_line, section_rings
from humble_trowel.core.edges.section_sizes import SectionSize, section_sizes
from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.bearing import rate_words
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import M2_PER_FT2

LEAST_CUT_MM = 10.0
LEAST_FALL = 0.0005
LEAST_SLANT = 0.1


@dataclass(frozen=True)
class Sloped:
    """A stretch of top that falls, with its rate along the cut in words."""

    s0_mm: float
    z0_mm: float
    s1_mm: float
    z1_mm: float
    text: str


@dataclass(frozen=True)
class Section:
    """start, end: on plan. rings: concrete as (s, level). zones: (s, level of its top, name)."""

    start: XY
    end: XY
    length_mm: float
    words: str
    area_m2: float
    area_text: str
    rings: list[list[XY]]
    layers: list[SectionLayer]
    ends: list[SectionEnd]
    sizes: list[SectionSize]
    slopes: list[Sloped]
    blocks: list[Block]
    zones: list[tuple[float, float, str]]
    numbers: list[int]


@answers("The cut")
def section(plan: Plan, solid: Solid, ways: JobWays, a: XY, b: XY, within: Sequence[Within] = ()) -> Section:
    """The section from a to b as seen with a on the left. within: tube and bars to be seen in it. Raises InputError for a line of no length or off the slab."""
    if math.dist(a, b) < LEAST_CUT_MM:
        raise InputError("Both ends of the cut are one spot. Draw it longer.", "to")
    spans = section_line(solid, a, b)
    if not spans:
        raise InputError("The line does not cross the slab. Draw it over concrete.", "from")
    ends = section_ends(plan, solid, ways, a, b, spans)
    area = section_area_m2(spans)
    text = f"{area:.3f} m²" if plan.units == "mm" else f"{area / M2_PER_FT2:.2f} sq ft"
    return Section(
        start=a, end=b, length_mm=math.dist(a, b), words=_words(plan, solid, spans, ends, a, b), area_m2=area,
        area_text=text, rings=section_rings(spans), layers=section_layers(plan, solid, spans), ends=ends,
        sizes=section_sizes(plan, solid, spans), slopes=_slopes(plan, spans),
        blocks=[*blocks_on(plan, solid, a, b), *(row for one in within for row in within_on(one, spans, a, b))], zones=_zones(solid, spans),
        numbers=sorted({span.part for span in spans if span.part is not None}),
    )  # fmt: skip


def _words(plan: Plan, solid: Solid, spans: Sequence[Span], ends: Sequence[SectionEnd], a: XY, b: XY) -> str:
    marks = list(dict.fromkeys(solid.parts[span.part].mark for span in spans if span.part is not None))
    zones = list(dict.fromkeys(solid.cells[span.zone].name for span in spans))
    across = f"across {' and '.join(end.name for end in ends)}, " if ends else "in "
    looking = _way(math.degrees(math.atan2(b[0] - a[0], b[1] - a[1])) - 90.0)
    through = f"through {' and '.join(marks)}, " if marks else ""
    return f"Cut {across}{' and '.join(zones)}, {through}looking {looking}."


def _way(bearing_deg: float) -> str:
    """Plan direction in words: n is +y."""
    names = ("north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west")
    return names[round(bearing_deg / 45.0) % 8]


def _zones(solid: Solid, spans: Sequence[Span]) -> list[tuple[float, float, str]]:
    widest: dict[int, tuple[float, float, float]] = {}
    for zone in dict.fromkeys(span.zone for span in spans):
        own = [span for span in spans if span.zone == zone]
        start, stop = own[0].s0_mm, own[-1].s1_mm
        widest[zone] = ((start + stop) / 2, max(own[0].top0_mm, own[-1].top1_mm), stop - start)
    return [(s, level, solid.cells[zone].name) for zone, (s, level, _) in widest.items()]


def _slopes(plan: Plan, spans: Sequence[Span]) -> list[Sloped]:
    rows: list[Sloped] = []
    for span in spans:
        rate = (span.top1_mm - span.top0_mm) / (span.s1_mm - span.s0_mm)
        if abs(rate) < LEAST_FALL:
            continue
        last = rows[-1] if rows else None
        text = rate_words(abs(rate), plan.units)
        joins = last is not None and abs(last.s1_mm - span.s0_mm) < 1e-3 and abs(last.z1_mm - span.top0_mm) < 0.01
        if last is not None and joins and last.text == text and (last.z1_mm > last.z0_mm) == (rate > 0):
            rows[-1] = Sloped(last.s0_mm, last.z0_mm, span.s1_mm, span.top1_mm, text)
        else:
            rows.append(Sloped(span.s0_mm, span.top0_mm, span.s1_mm, span.top1_mm, text))
    return rows
