"""Layers under the slab as a section shows them: bands that follow the underside and end at edges, beams and pads."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import groupby

import shapely
from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from humble_trowel.core.edges.section_line import Span, section_rings
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.stack import build_up_of, layer_name
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import say_depth

DEEP_MM = 20_000.0
GRAIN_MM = 1e-3


@dataclass(frozen=True)
class SectionLayer:
    """One layer in the cut. rings: (s, level)."""

    kind: str
    name: str
    text: str
    rings: list[list[XY]]


def section_layers(plan: Plan, solid: Solid, spans: Sequence[Span]) -> list[SectionLayer]:
    """Every layer under the slab, zone by zone; a barrier is a band of no thickness, left to its top line."""
    concrete = shapely.union_all([Polygon(ring) for ring in section_rings(spans) if len(ring) > 2], grid_size=GRAIN_MM)
    deeper = [span for span in spans if span.part is not None and span.face == "full"]
    taken = shapely.union_all([_down(span) for span in deeper]) if deeper else Polygon()
    rows: list[SectionLayer] = []
    for zone, group in groupby(spans, key=lambda span: span.zone):
        own = list(group)
        cell = solid.cells[zone]
        layers = build_up_of(plan, cell.mark).layers
        at = next(i for i, layer in enumerate(layers) if layer.kind == "slab")
        down = 0.0
        for layer in layers[at + 1 :]:
            thick = layer.thickness_mm or 0.0
            if layer.kind == "native":
                continue
            drawn = max(thick, 1.0)
            band = shapely.union_all([_band(span, down, drawn) for span in own], grid_size=GRAIN_MM)
            left = band.difference(concrete, grid_size=GRAIN_MM).difference(taken, grid_size=GRAIN_MM)
            text = f"{say_depth(thick, plan.units)} {layer_name(layer)}" if thick else layer_name(layer)
            if rings := _rings(left):
                rows.append(SectionLayer(layer.kind, layer_name(layer), text, rings))
            down += thick
    return rows


def _band(span: Span, down: float, thick: float) -> Polygon:
    """The layer under the slab alone over a span, whatever is deeper there."""
    under0, under1 = span.top0_mm - span.slab_mm - down, span.top1_mm - span.slab_mm - down
    if span.part is None:
        under0, under1 = span.bottom0_mm - down, span.bottom1_mm - down
    return Polygon(
        [(span.s0_mm, under0), (span.s0_mm, under0 - thick), (span.s1_mm, under1 - thick), (span.s1_mm, under1)]
    )


def _down(span: Span) -> Polygon:
    return Polygon(
        [(span.s0_mm, span.bottom0_mm), (span.s0_mm, -DEEP_MM), (span.s1_mm, -DEEP_MM), (span.s1_mm, span.bottom1_mm)]
    )


def _rings(region: BaseGeometry) -> list[list[XY]]:
    return [
        [(round(s, 2), round(z, 2)) for s, z in shapely.get_coordinates(part.exterior)[:-1].tolist()]
        for part in shapely.get_parts(region)
        if part.geom_type == "Polygon" and part.area > 1.0
    ]
