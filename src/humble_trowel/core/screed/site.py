"""What a strip plan is judged on: the slab, guides, boards, strips, pipes, ways out. Lengths mm, times minutes."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property
from typing import Literal

from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.geometry.polygon import XY

FT = 304.8
GuideKind = Literal["form", "rail", "hard", "wet", "edge", "wall"]
Line = tuple[XY, XY]


@dataclass(frozen=True)
class Guide:
    """What a board rides on; along a wall it ends short, and the edge is floated by hand. clear_mm: how far the board may stick out past it, None where nothing is in the way. pads: of a wet
    one; of: the strip whose edge it is; pulled_after: a rail that stays until its neighbours are struck."""

    kind: GuideKind
    line: tuple[XY, ...]
    clear_mm: float | None = None
    pads: tuple[XY, ...] = ()
    of: str = ""
    pulled_after: bool = False


@dataclass(frozen=True)
class Strip:
    """A strip. way: unit vector of the pull; guides: names of the one left of the pull, and right; hand: pipes finished by hand."""

    id: str
    ring: tuple[XY, ...]
    way: XY
    guides: tuple[str, str]
    board_mm: float
    start_min: float
    end_min: float
    hand: tuple[str, ...] = ()

    @cached_property
    def area(self) -> Polygon:
        """Where it lies."""
        return Polygon(self.ring)


@dataclass(frozen=True)
class Pipe:
    """Something that stands up through the floor."""

    id: str
    at: XY
    outside_mm: float
    above_mm: float


@dataclass(frozen=True)
class Site:
    """The slab and what is round it. closed: stretches of its border where nobody gets out; exits: spots where one does;
    open_edges: whether the rest of the border is a way out. reach: (middle, radius) that concrete is brought to; empty where
    anywhere is reached. limit_min: how old an edge may be when its neighbour comes; parted: where a
    bulkhead stands, so that neighbours need not meet."""

    slab: BaseGeometry
    guides: dict[str, Guide]
    boards_mm: tuple[float, ...]
    closed: tuple[Line, ...] = ()
    exits: tuple[XY, ...] = ()
    open_edges: bool = True
    pipes: tuple[Pipe, ...] = ()
    reach: tuple[tuple[XY, float], ...] = ()
    limit_min: float = 120.0
    parted: tuple[Line, ...] = ()


@dataclass(frozen=True)
class ScreedRules:
    """What a plan keeps to; the crew may change each."""

    cover_share: float = 0.005
    on_mm: float = 0.25 * FT
    on_wet_mm: float = 0.5 * FT
    on_edge_mm: float = 1.0 * FT
    on_wall_mm: float = -2.0 * FT / 12
    along_mm: float = 0.15 * FT
    every_mm: float = 0.5 * FT
    inside_mm: float = 0.25 * FT
    pad_less_mm: float = 1.0 * FT
    touch_mm: float = 0.1 * FT
    exit_mm: float = 1.0 * FT
    open_mm: float = 2.0 * FT
    piece_mm2: float = FT * FT
    side_mm: float = 1.0 * FT
    pipe_mm: float = 0.5 * FT
    arm_mm: float = 6.0 * FT
