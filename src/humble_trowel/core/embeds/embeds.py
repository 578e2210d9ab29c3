"""All that sticks up: walls with their bolts, straps, groups, what goes along on the truck, what is doubtful. Lengths mm."""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.edges.section_blocks import Within
from humble_trowel.core.embeds.doubts import group_doubts, strap_doubts, wall_doubts
from humble_trowel.core.embeds.straps import GroupLaid, StrapLaid, group_laid, straps_laid
from humble_trowel.core.embeds.walls import WallLaid, lying, wall_laid
from humble_trowel.core.findings import Finding
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.geometry.wall_bases import INSIDE
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.embed_ways import EmbedWays


@dataclass(frozen=True)
class EmbedsLaid:
    """counts: what is set, by kind, with bolts of plates as 'bolt' and of templates as 'group bolt'; spare: bolts that go along
    besides. stick_up_mm: of a plate's bolt over the concrete. set_min: minutes for all bolts of plates, by the crew's way."""

    walls: list[WallLaid]
    straps: list[StrapLaid]
    groups: list[GroupLaid]
    counts: dict[str, int]
    spare: int
    stick_up_mm: float
    set_min: float
    findings: list[Finding]


def stick_up_mm(ways: EmbedWays) -> float:
    """What a bolt stands over the concrete: plate, washer, nut, and a little thread."""
    return ways.plate_thick_mm + ways.washer_mm + ways.nut_mm + ways.past_mm


def embeds_laid(plan: Plan, solid: Solid | None, ways: EmbedWays, within: Sequence[Within] = ()) -> EmbedsLaid | None:
    """All of it; None where nothing is said. within: bars and tube in the slab."""
    said = plan.embeds
    if not (said.walls or said.straps or said.groups) or plan.outline is None:
        return None
    under = lying(within, ways)
    walls = [one for one in (wall_laid(plan, row, ways, under) for row in said.walls) if one is not None]
    walls.sort(key=lambda one: (one.side == INSIDE, one.side, one.start_mm))
    straps, groups = straps_laid(plan, walls, ways), [group_laid(row) for row in said.groups]
    bolts = sum(len(wall.bolts) for wall in walls)
    counts = Counter(one.what for one in straps)
    counts.update({"bolt": bolts, "group bolt": sum(one.count for one in groups)})
    each = {"wet": ways.wet_min, "tied": ways.tied_min, "drilled": ways.drilled_min}[ways.setting]
    found = [
        *wall_doubts(plan, solid, walls, ways),
        *strap_doubts(plan, solid, straps),
        *group_doubts(plan, solid, groups),
    ]
    return EmbedsLaid(
        walls, straps, groups, {key: n for key, n in counts.items() if n}, math.ceil(bolts * ways.spare), stick_up_mm(ways),
        bolts * each, found,
    )  # fmt: skip
