"""What is looked at before a pour, place by place: everything of figures and handbook that this job really has. mm; 0 is the finished top."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from humble_trowel.core.embeds.setting import Item
from humble_trowel.core.embeds.walls import WallLaid
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.steel.looks import Look
from humble_trowel.core.steel.looks import Place as SteelPlace
from humble_trowel.core.underslab.line_told import TestedLine

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
