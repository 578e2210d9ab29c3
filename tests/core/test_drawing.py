"""Sections and the plan as drawn: the drawing says what the solid is."""

import pytest
from shapely.geometry import Polygon
from tests.plans import edited, l_shape, plan

from humble_trowel.core.drawing.plan_view import plan_view
from humble_trowel.core.edges.section import sections
from humble_trowel.core.figures import figure
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.order.edge_row import section_m2
from humble_trowel.core.order.ledger import ledger
from humble_trowel.core.plan.ways import Ways

APRON = {"op": "walk_zone", "text": "from B 3' n, 8' e 12' n 8' w", "name": "Apron", "drop": "1 1/2"}


def drawn(job):
    solid = build_solid(job)
    return solid, plan_view(job, solid, ledger(job, solid))


def test_the_section_is_the_edge_type_to_scale():
    job = l_shape()
    cut = sections(job, lay_zones(job))[0]
    assert [(round(s, 6), round(z, 6)) for s, z in cut.ring[3:]] == [(660.4, 101.6), (304.8, 457.2), (0, 457.2)]
    assert {size.key: size.text for size in cut.sizes} == {
        "thickness": "4″", "depth": "18″", "bottom_width": "12″", "degrees": "45°",
    }  # fmt: skip
    below = Polygon(cut.ring).area - 101.6 * max(x for x, _ in cut.ring)
    area, middle = section_m2(job.edge_types[0], 101.6)
    assert below / 1e6 == pytest.approx(area)
    strip = Polygon([(0, 101.6), (660.4, 101.6), (304.8, 457.2), (0, 457.2)])
    assert middle == pytest.approx(strip.centroid.x)


def test_every_side_and_every_line_inside_has_a_section():
    job = edited(l_shape(), APRON, {"op": "set_side_type", "sides": [4], "type": None})
    rows = sections(job, lay_zones(job))
    assert [row.side for row in rows] == [*range(10), None]
    assert rows[3].zone == "Apron" and rows[3].drop_mm == pytest.approx(38.1) and rows[3].kind == "plain"
    assert rows[-1].row == 1 and rows[-1].kind == "thickened"
    assert "1 1/2″ down" in rows[3].words


def test_a_wall_or_dowels_add_no_depth_and_say_so():
    job = plan(
        edge_types=[{"mark": "W1", "kind": "against-wall"}, {"mark": "D1", "kind": "dowelled"}],
        edges=[{"sides": [0], "type": "W1"}, {"sides": [1], "type": "D1"}],
    )
    rows = sections(job, lay_zones(job))
    assert [row.depth_mm for row in rows] == [100] * 4
    assert "against a wall" in rows[0].words and "dowelled" in rows[1].words
    assert figure(job, Ways()).concrete.net_m3 == pytest.approx(2.4)


def test_strips_as_drawn_cover_what_the_solid_owns_and_zones_cover_the_slab():
    job = edited(l_shape(), APRON, {"op": "add_opening", "text": "from A 1' e & 1' n, 2' e 2' n 2' w 2' s"})
    solid, view = drawn(job)
    owned = sum(piece.area_m2 for piece in solid.pieces)
    assert sum(Polygon(ring).area for strip in view.strips for ring in strip.rings) / 1e6 == pytest.approx(
        owned, rel=1e-6
    )
    ground = 0.0
    for zone in view.zones:
        ground += Polygon(zone.rings[0], zone.rings[1:]).area / 1e6
        assert Polygon(zone.rings[0], zone.rings[1:]).contains(
            Polygon([(x + dx, y + dy) for x, y in [zone.at] for dx, dy in ((0, 0), (9, 0), (0, 9))])
        )
    assert ground == pytest.approx(figure(job, Ways()).outline.area_m2, rel=1e-6)


def test_borders_and_steps_are_where_the_depth_and_the_top_change():
    job = edited(l_shape(), APRON)
    solid, view = drawn(job)
    assert [[(round(x), round(y)) for x, y in line] for line in view.steps] in (
        [[(10973, 914), (10973, 4572)]], [[(10973, 4572), (10973, 914)]],
    )  # fmt: skip
    for strip in view.strips:
        assert strip.borders
        for (ax, ay), (bx, by) in strip.borders:
            depth = solid.depth_at((ax + bx) / 2, (ay + by) / 2)
            assert depth == pytest.approx(457.2 if strip.face == "full" else 101.6, abs=0.2)


def test_cells_stay_with_a_plan_and_a_changed_copy_gets_its_own():
    job = plan()
    first = lay_zones(job)
    assert lay_zones(job) is first
    wider = job.model_copy(update={"outline": [(0, 0), (9000, 0), (9000, 4000), (0, 4000)]})
    assert lay_zones(wider)[0].area_m2 == pytest.approx(36)
    assert lay_zones(job)[0].area_m2 == pytest.approx(24)


def test_zone_borders_within_a_millimetre_snap_together():
    zone = {"name": "b", "slab": "S1", "polygon": [[2999.4, -0.6], [6000.7, 0.4], [6000.2, 4000.5], [3000, 4000.3]]}
    job = plan(zones=[{"name": "a", "slab": "S1", "polygon": [[0, 0], [3000, 0], [3000, 4000], [0, 4000]]}, zone])
    assert [round(cell.area_m2, 6) for cell in lay_zones(job)] == [12, 12]
