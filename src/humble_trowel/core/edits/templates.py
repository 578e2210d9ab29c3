"""An outline laid out from a template: a rectangle, an L or a T."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.edits.base import EditBase, Edited, Typed
from humble_trowel.core.edits.outline import new_corners, with_a_slab
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.polygon import XY, check_ring
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import parse_length, say_length


class Template(EditBase):
    """A rectangle (across, up), an L (across, up, leg across, leg up) or a T (bar across, bar up, stem across, stem up)."""

    op: Literal["template"]
    shape: Literal["rectangle", "L", "T"]
    sizes: Annotated[list[Typed], Field(min_length=2, max_length=4)]

    def apply(self, plan: Plan) -> Edited:
        mm = [parse_length(size, plan.units) for size in self.sizes]
        ring = _template_ring(self.shape, mm, plan)
        check_ring(ring, "sizes", f"The {self.shape}")
        return new_corners(with_a_slab(plan), ring).model_copy(update={"walk": None}), f"{self.shape} laid out"


def _template_ring(shape: str, mm: list[float], plan: Plan) -> list[XY]:
    needed = {"rectangle": 2, "L": 4, "T": 4}[shape]
    if len(mm) != needed:
        raise EditError(f"A {shape} takes {needed} sizes; {len(mm)} came.", "sizes")
    for index, size in enumerate(mm):
        if size <= 0:
            raise EditError("A size of nothing makes no slab.", f"sizes[{index}]")
        if size >= 1e6:
            words = f"{say_length(size, plan.units)} is absurd for a slab. Sizes stay under 1 km."
            raise EditError(words, f"sizes[{index}]")
    if shape == "rectangle":
        w, d = mm
        return [(0, 0), (w, 0), (w, d), (0, d)]
    w, d, w2, d2 = mm
    if shape == "L":
        if w2 >= w:
            raise EditError("The leg is as wide as the whole. Then it is a rectangle.", "sizes[2]")
        return [(0, 0), (w, 0), (w, d), (w2, d), (w2, d + d2), (0, d + d2)]
    if w2 >= w:
        raise EditError("The stem is as wide as the bar. Then it is a rectangle.", "sizes[2]")
    x = (w - w2) / 2
    return [(x, 0), (x + w2, 0), (x + w2, d2), (w, d2), (w, d2 + d), (0, d2 + d), (0, d2), (x, d2)]
