"""The parts of a slab beside its zones, in the order in which they are laid: edges, beams, pads, recesses.

Every part has a number; facets, shares and increments of volume carry it.
"""

from __future__ import annotations

from typing import Literal, NamedTuple

from humble_trowel.core.plan.document import Plan

PartKind = Literal["edge", "beam", "pad", "recess"]


class PartOf(NamedTuple):
    """row: index into `edges`, `beams`, `pads` or `recesses`. mark: of its type, or a recess's name."""

    kind: PartKind
    row: int
    mark: str


def parts_of(plan: Plan) -> list[PartOf]:
    """All parts by number."""
    return [
        *(PartOf("edge", row, edge.type) for row, edge in enumerate(plan.edges)),
        *(PartOf("beam", row, beam.type) for row, beam in enumerate(plan.beams)),
        *(PartOf("pad", row, pad.type) for row, pad in enumerate(plan.pads)),
        *(PartOf("recess", row, recess.name) for row, recess in enumerate(plan.recesses)),
    ]


def first_number(plan: Plan, kind: PartKind) -> int:
    """The number of the first part of a kind."""
    counts = (len(plan.edges), len(plan.beams), len(plan.pads))
    return sum(counts[: ("edge", "beam", "pad", "recess").index(kind)])
