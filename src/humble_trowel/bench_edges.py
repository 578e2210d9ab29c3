"""Speed of the shape: the solid of a large job cold and after one part changed, beside a mesh boolean of the same."""

from __future__ import annotations

from importlib import resources
from typing import Any

from humble_trowel.bench_lines import Row, timed
from humble_trowel.core.geometry.beams import one_beam
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.parts import first_number
from humble_trowel.core.geometry.redo import net_after
from humble_trowel.core.geometry.solid import Solid, all_facets, build_solid
from humble_trowel.core.geometry.strips import Facet
from humble_trowel.core.geometry.zones import LAID
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.job_file import read_plan


def large_job(ring: list[list[float]]) -> dict[str, Any]:
    """60 corners at twice the size (48 x 24 m), haunched edge all round, 40 beams, 30 pads, 4 recesses."""
    outline = [[2 * x, 2 * y] for x, y in ring]
    types = [
        {"mark": f"B{k}", "width_mm": 300, "depth_mm": 550 + 50 * (k % 2), "haunch_run_per_rise": 0.5 * k}
        for k in range(3)
    ]
    beams = [{"type": f"B{k % 3}", "path": [[3200 * k + 2400, 0], [3200 * k + 2400, 22000]]} for k in range(14)]
    beams += [
        {"type": f"B{k % 3}", "path": [[2000 + 1300 * (k % 9), 800 * k + 700], [22000 + 800 * k, 800 * k + 700]]}
        for k in range(26)
    ]
    pads = [{"type": f"P{k % 2}", "at": [3200 * (k % 10) + 2400, 6000 * (k // 10) + 3000]} for k in range(30)]
    boxes = [(10000, 12200), (22500, 18300), (33000, 20300), (5000, 20300)]
    return {
        "format": "humble-trowel-job", "version": 1, "name": "large", "units": "mm", "outline": outline,
        "slab_types": [{"mark": "S1", "thickness_mm": 100}], "zones": [{"name": "all", "slab": "S1"}],
        "edge_types": [{"mark": "E1", "kind": "thickened", "depth_mm": 600, "bottom_width_mm": 350, "haunch_run_per_rise": 1}],
        "edges": [{"sides": list(range(len(outline))), "type": "E1"}], "beam_types": types, "beams": beams,
        "pad_types": [
            {"mark": "P0", "shape": "rectangle", "width_mm": 900, "length_mm": 800, "depth_mm": 700},
            {"mark": "P1", "shape": "round", "diameter_mm": 800, "depth_mm": 800},
        ],
        "pads": pads,
        "recesses": [
            {"name": f"r{k}", "depth_mm": 50, "polygon": [[x, y], [x + 900, y], [x + 900, y + 400], [x, y + 400]]}
            for k, (x, y) in enumerate(boxes)
        ],
    }  # fmt: skip


def fresh(plan: Plan) -> Solid:
    """The solid with nothing kept from before."""
    LAID.clear()
    return build_solid(plan)


def edges_rows(ring: list[list[float]]) -> list[Row]:
    """Volume of the large job and of the demo, cold; net volume after a pad and after a beam moved; a cut."""
    from humble_trowel.core.edges.cut_line import cut_line
    from humble_trowel.files.job_file import parse_job

    large = read_plan(large_job(ring))
    demo = parse_job((resources.files("humble_trowel.demo") / "jobs" / "honey-house.json").read_bytes())
    solid = build_solid(large)
    slab = large.slab_types[0].thickness_mm
    pad, beam = large.pads[13], large.beams[30]
    pad_kind = next(row for row in large.pad_types if row.mark == pad.type)
    beam_kind = next(row for row in large.beam_types if row.mark == beam.type)
    moved = pad.model_copy(update={"at": (pad.at[0] + 120, pad.at[1])})
    pad_at, beam_at = first_number(large, "pad") + 13, first_number(large, "beam") + 30
    old = next(facet for facet in solid.facets if facet.part == pad_at)

    def redo_pad() -> float:
        from shapely.geometry import Polygon

        shape = Polygon(pad_ring(pad_kind, moved))
        return net_after(large, solid, pad_at, [Facet(pad_at, old.face, shape, old.depth, ())])

    def redo_beam() -> float:
        path = [(x, y + 40) for x, y in beam.path]
        return net_after(large, solid, beam_at, list(one_beam(beam_kind, path, slab, beam_at)))

    rows = [
        timed("solid of 60 corners, 40 beams, 30 pads, 4 recesses, cold", lambda: fresh(large), 12, 150, "p50"),
        timed("its volume after one pad moved", redo_pad, 60, 5, "p50"),
        timed("its volume after one beam moved", redo_beam, 30, 5, "p50"),
        timed("solid of the demo job, cold", lambda: fresh(demo), 60, 10, "p50"),
        timed("a cut right across the large job", lambda: cut_line(solid, (-500, 9000), (49000, 9400)), 30, 30, "p50"),
    ]
    return [*rows, *mesh_rows(large, solid)]


def mesh_rows(plan: Plan, solid: Solid, times: int = 5) -> list[Row]:
    """A mesh boolean of the same parts (recesses aside), where its library is installed. The goal is our own time."""
    try:
        from manifold3d import CrossSection, Manifold, OpType
    except ImportError:
        return []
    outline = [(x, y) for x, y in plan.outline or []]
    slab = plan.slab_types[0].thickness_mm

    def boolean() -> float:
        parts = [Manifold.extrude(CrossSection([outline]), slab).translate((0.0, 0.0, -slab))]
        for facet in all_facets(plan, solid.cells):
            top = [(float(x), float(y)) for x, y in facet.shape.exterior.coords[:-1]]
            spots = [(x, y, 0.0) for x, y in top] + [(x, y, -facet.depth.at(x, y)) for x, y in top]
            parts.append(Manifold.hull_points(spots))
        whole = Manifold.batch_boolean(parts, OpType.Add)
        inside = Manifold.extrude(CrossSection([outline]), 3000.0).translate((0.0, 0.0, -3000.0))
        return float((whole ^ inside).volume()) / 1e9

    ours = solid.net_m3 - sum(m3 for number, m3 in solid.added_m3.items() if solid.parts[number].kind == "recess")
    off = boolean() / ours - 1
    return [timed(f"mesh boolean of the same solid ({off:+.1e} of its volume)", boolean, times, 5000, "p50")]
