"""Usual stacks are build-ups that stand as they are, in both units; an old floor is drawn from its first reading."""

import pytest
from tests.plans import edited, l_shape

from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.match import matches
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.ground.stack import stack_rows
from humble_trowel.core.ground.usual_stacks import usual_layers, usual_stacks
from humble_trowel.core.plan.ways import Ways


@pytest.mark.parametrize("units", ["ft-in", "mm"])
def test_every_usual_stack_is_kept_as_it_is_offered(units):
    start = edited(l_shape(), {"op": "set_fields", "values": {"units": units}})
    for stack in usual_stacks(units, Ways().ground):
        layers = [{"kind": row.kind, "thickness_mm": row.thickness or None} for row in stack.layers]
        after = edited(start, {"op": "set_build_up", "slab": "S1", "layers": layers})
        rows = stack_rows(after, lay_zones(after)[0])
        assert [row.kind for row in rows] == [row.kind for row in stack.layers] and stack.pro and stack.con
        dug = sum(row.mm for row in stack.layers if row.kind not in ("finish", "screed"))
        if stack.layers[0].kind == "slab":
            assert rows[-1].top_mm == pytest.approx(-start.slab_types[0].thickness_mm - dug)
    assert len({row.kind for row in usual_layers(units)}) == 8


def test_one_reading_of_an_old_floor_is_drawn_and_asks_for_a_second():
    start = edited(
        l_shape(), {"op": "add_existing", "name": "Old floor", "ring": [[0, -2000], [4000, -2000], [4000, 0], [0, 0]]}
    )
    side = start.corner_ids[0]
    one = edited(start, {"op": "measure_level", "side": side, "along": "1000 mm", "level": "10 mm below"})
    (match,) = matches(one, lay_zones(one))
    assert len(match.points) == 1 and "Measure a second spot" in match.words
    with pytest.raises(EditError, match="two spots"):
        edited(one, {"op": "follow_side", "side": side})
    two = edited(one, {"op": "measure_level", "side": side, "along": "3000 mm", "level": "10 mm below"})
    assert "Measure a second spot" not in matches(two, lay_zones(two))[0].words
