"""A kind of beam, pad or edge called by its cut: '12 wide 16 deep 45', '24 round 30 deep', 'B1 18 deep', 'E2 12 wide 20 deep'."""

from __future__ import annotations

import re
from collections.abc import Container, Sequence
from typing import Literal

from humble_trowel.core.edits.base import EditBase, Edited, Short, TypeMark
from humble_trowel.core.edits.beams import SetBeamType
from humble_trowel.core.edits.edges import SetEdgeType
from humble_trowel.core.edits.marks import split_mark
from humble_trowel.core.edits.pads import SetPadType
from humble_trowel.core.errors import CallError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.shape_parts import Marked

_PAD = re.compile(r"\b(sq|square|round|by)\b|[×x]")


class CallKind(EditBase):
    """A kind called by its cut. A mark in front that is known changes that kind; a new one names the new kind, an E an
    edge, a P a pad. Without: square, round and 'by' are pads, the rest beams, with the next free mark. mark: the kind that
    is meant where none is called, null for a new one."""

    op: Literal["call_kind"]
    text: Short
    mark: TypeMark | None = None

    def apply(self, plan: Plan) -> Edited:
        said, cut = split_mark(self.text)
        if not cut.strip():
            raise CallError("Call its cut: 12 wide 16 deep 45, 30 sq 16 deep, or 24 round 30 deep.", path="text")
        mark = said or self.mark or ""
        rows: dict[str, Sequence[Marked]] = {"edge": plan.edge_types, "pad": plan.pad_types, "beam": plan.beam_types}
        known = {row.mark.upper(): (kind, row.mark) for kind, types in rows.items() for row in types}
        kind, own = known.get(mark.upper()) or (_new_kind(mark, cut), mark)
        own = own or _free({"beam": "B", "pad": "P"}[kind], known)
        if kind == "pad":
            return SetPadType(op="set_pad_type", mark=own, text=cut).apply(plan)
        if kind == "edge":
            return SetEdgeType(op="set_edge_type", mark=own, text=cut).apply(plan)
        return SetBeamType(op="set_beam_type", mark=own, text=cut).apply(plan)


def _new_kind(mark: str, cut: str) -> str:
    if _PAD.search(cut.lower()) or mark[:1].upper() == "P":
        return "pad"
    return "edge" if mark[:1].upper() == "E" else "beam"


def _free(letter: str, taken: Container[str]) -> str:
    return next(mark for k in range(1, 999) if (mark := f"{letter}{k}") not in taken)


KIND_EDITS = (CallKind,)
