"""Speed of the shape: the solid of a large job cold and after one part changed, beside a mesh boolean of the same."""

from __future__ import annotations

from humble_trowel.bench.rows import Row, cold, crossing_beams, demo_plan, large_job, timed
from humble_trowel.core.footings.footings import footings
from humble_trowel.core.geometry.beams import one_beam
from humble_trowel.core.geometry.facets import Facet
from humble_trowel.core.geometry.pads import pad_ring
from humble_trowel.core.geometry.parts import first_number
from humble_trowel.core.geometry.redo import net_after
from humble_trowel.core.geometry.solid import Solid, all_facets, build_solid
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.reading.job_file import read_plan, validate
from humble_trowel.core.walls.rows import standing_walls
from humble_trowel.core.walls.walls import walls


def shape_rows() -> list[Row]:
    """Volume of the large job and of the demo, cold; net volume after a pad and after a beam moved; a cut."""
    from humble_trowel.core.edges.section_line import section_line

    large = read_plan(large_job())
    demo = demo_plan("honey-house")
    solid = build_solid(large)
    slab = large.slab_types[0].thickness_mm
    pad, beam = large.pads[13], large.beams[30]
    pad_kind = next(row for row in large.pad_types if row.mark == pad.type)
    beam_kind = next(row for row in large.beam_types if row.mark == beam.type)
    moved = pad.model_copy(update={"at": (pad.at[0] + 120, pad.at[1])})
    pad_at, beam_at = first_number(large, "pad") + 13, first_number(large, "beam") + 30
    old = next(facet for facet in solid.facets if facet.part == pad_at)

    def redo_pad() -> float:
        return net_after(large, solid, pad_at, [Facet(pad_at, old.face, pad_ring(pad_kind, moved), old.depth, ())])

    def redo_beam() -> float:
        path = [(x, y + 40) for x, y in beam.path]
        return net_after(large, solid, beam_at, list(one_beam(beam_kind, path, slab, beam_at)))

    crossing = with_ids(validate(crossing_beams()))  # more crossings than a job may have
    spots = iter(range(10_000))

    def edited_large() -> Solid:
        """One pad a little farther along, all else the same."""
        at = next(spots)
        other = pad.model_copy(update={"at": (pad.at[0] + at, pad.at[1])})
        return build_solid(large.model_copy(update={"pads": [other if one is pad else one for one in large.pads]}))

    rows = [
        timed("solid, large, cold", cold(lambda: build_solid(large)), 12, 100),
        timed("solid, large, after one edit", edited_large, 12, 30),
        timed("160 beams, each across 80 others, cold", cold(lambda: build_solid(crossing)), 3, 2000),
        timed("its volume after one pad moved", redo_pad, 60, 5, "p50"),
        timed("its volume after one beam moved", redo_beam, 30, 5, "p50"),
        timed("solid of the demo job, cold", cold(lambda: build_solid(demo)), 60, 10),
        timed(
            "a cut right across the large job", lambda: section_line(solid, (-500, 9000), (49000, 9400)), 30, 30, "p50"
        ),
    ]
    return [*below_rows(), *rows, *mesh_rows(large, solid)]


def below_rows() -> list[Row]:
    """Footings and walls, in a draft and counted twice; a job of both with a slab."""
    below, whole = footing_job(), footing_job(slab=True)

    def stood_up(*, quick: bool) -> object:
        return walls(below, JobWays(), standing_walls(below), [], [], quick=quick)

    return [
        timed("60 m of footings with pegs, in a draft", lambda: footings(below, JobWays(), [], [], quick=True), 60, 5),
        timed("the same, cold and counted twice", cold(lambda: footings(below, JobWays(), [], [])), 30, 30),
        timed("60 m of walls on them, with their cuts, in a draft", lambda: stood_up(quick=True), 60, 5),
        timed("the same, cold and counted twice", cold(lambda: stood_up(quick=False)), 30, 50),
        timed("a job of 60 m of footing, walls and slab: whole figure, cold", cold(lambda: Job(whole).figure), 12, 100),
    ]


def footing_job(*, slab: bool = False) -> Plan:
    """A closed footing of 48 m and one of 12 m across it, stepped, with walls on both, a door in one; with a slab in them."""
    around = [[0.0, 0.0], [16000.0, 0.0], [16000.0, 8000.0], [0.0, 8000.0], [0.0, 0.0]]
    sizes = {"width_mm": 400, "thickness_mm": 200, "top_mm": -600}
    rows = [
        {"name": "Round", "path": around, **sizes},
        {
            "name": "Across",
            "path": [[8000.0, -2000.0], [8000.0, 10000.0]],
            "steps": [{"at_mm": 6000, "rise_mm": 300}],
            **sizes,
        },
    ]
    stand = [
        {"name": "Round", "footing": "Round", "kind": "formed", "thickness_mm": 200, "set_downs": [{"from_mm": 3000, "to_mm": 4000, "down_mm": 20}]},
        {"name": "Across", "footing": "Across", "kind": "block", "thickness_mm": 190, "cores": "nth"},
    ]  # fmt: skip
    inside = [[100.0, 100.0], [15900.0, 100.0], [15900.0, 7900.0], [100.0, 7900.0]]
    floor = {
        "outline": inside, "slab_types": [{"mark": "S1", "thickness_mm": 100}],
        "zones": [{"name": "Slab", "slab": "S1", "polygon": None}],
    } if slab else {}  # fmt: skip
    job = {
        "format": "humble-trowel-job",
        "version": 1,
        "name": "footings",
        "units": "mm",
        "footings": rows,
        "walls": stand,
    }
    return with_ids(validate({**job, **floor}))


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
