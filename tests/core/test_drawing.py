"""The plan as drawn: the drawing says what the solid is."""

import pytest
from shapely import Point, union_all
from shapely.geometry import Polygon
from tests.answers import figure
from tests.plans import edited, l_shape, plan

from humble_trowel.core.drawing.plan_view import plan_view
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.order.ledger import ledger
from humble_trowel.core.plan.ways import Ways

APRON = {"op": "walk_zone", "text": "from B 3' n, 8' e 12' n 8' w", "name": "Apron", "drop": "1 1/2"}


def drawn(job):
    solid = build_solid(job)
    return solid, plan_view(job, solid, ledger(job, solid))


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
    for at, strip in enumerate(view.strips):
        painted = union_all([Polygon(ring).buffer(0.1) for later in view.strips[at + 1 :] for ring in later.rings])
        assert strip.borders
        for (ax, ay), (bx, by) in strip.borders:
            if painted.intersects(Point((ax + bx) / 2, (ay + by) / 2)):
                continue
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
