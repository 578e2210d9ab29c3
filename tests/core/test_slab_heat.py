"""Heat in a slab against what is known exactly: a wall that is warmed, a block that loses nothing, a finer clock, heat that adds up; the sun and
drying by hand."""

import math
from dataclasses import replace
from datetime import UTC, datetime, timedelta

import numpy as np
import pytest
from astral import Observer
from astral.sun import azimuth, elevation
from hypothesis import given, settings
from hypothesis import strategies as st

from humble_trowel.core.heat.columns import FINE, Fineness
from humble_trowel.core.heat.events import told, warmed
from humble_trowel.core.heat.hydration import Paste
from humble_trowel.core.heat.slab import Cover, Layer, Poured, Sky, Stuff
from humble_trowel.core.heat.solve import warmed_all
from humble_trowel.core.heat.strength import kept_warm, nurse_saul_c_h
from humble_trowel.core.weather.daily import LikeAny, dew_c, sky_of
from humble_trowel.core.weather.drying import (
    LIMIT_KG_M2_H,
    least_humid_share,
    menzel_kg_m2_h,
    most_concrete_c,
    most_wind_kmh,
    vapour_kpa,
)
from humble_trowel.core.weather.sun import Blocker, Sun, shadow, sun_at, sunny_share

CONCRETE, GRAVEL, SOIL = Stuff(2.0, 2350, 1000), Stuff(0.9, 1800, 900), Stuff(1.3, 1800, 1280)
HALF = Fineness(FINE.cells * 2, FINE.layer_cells * 2, FINE.step_min / 2, FINE.late_step_min / 2)


def always(temp_c=20.0, humid=0.5, wind=0.0, sun=0.0, sky=0.0):
    return Sky(np.array([0.0]), *(np.array([one]) for one in (temp_c, humid, wind, sun, sky)))


def made(**changes):
    base = Poured(
        Paste(0.5), 335.0, 27.6, 4.0, (Layer(CONCRETE, 0.1),), CONCRETE, 2.0, 20.0, 20.0, 20.0, 0.75, 8.0, always(), dry_share=0.0,
    )  # fmt: skip
    return replace(base, **changes)


def on_stone(like, **changes):
    layers = (Layer(CONCRETE, 0.1), Layer(GRAVEL, 0.1))
    return made(
        layers=layers, soil=SOIL, soil_m=2.5, deep_c=10.0, clock_h=10.0, sky=sky_of(like), dry_share=1.0, **changes
    )


MILD, HOT = LikeAny(15, 5, 0.6, 2, 2, 42, 5, 1), LikeAny(29, 6, 0.45, 3, 0, 42, 7, 15)
COLD = LikeAny(1, 4, 0.7, 2, 4, 42, 12, 10)


def test_a_deep_block_whose_top_is_held_warmer_follows_the_error_function():
    """No binder, so no heat of its own; a film so good that the top is the air."""
    found = warmed(made(binder_kg_m3=1e-9, sky=always(30.0, wind=5000.0), soil_m=4.0), 24.1)
    spread = math.sqrt(4 * 2.0 / (2350 * 1000) * 24 * 3600)
    assert found.below_day_c == pytest.approx(20 + 10 * math.erfc(0.1 / spread), abs=0.03)


def test_under_a_blanket_that_lets_nothing_through_a_thick_block_warms_as_without_loss():
    sealed = made(layers=(Layer(CONCRETE, 2.0),), cover=Cover(1e9, -5.0), soil=Stuff(1e-9, 2350, 1000))
    found = warmed(sealed, 24.1)
    warm, _ = kept_warm(Paste(0.5), 335.0, 20.0, 24.0, 2350 * 1000)
    assert found.surface_day_c == pytest.approx(
        warm, abs=1.0
    )  # it was three quarters of an hour old when it was placed


@pytest.mark.parametrize(
    "poured", [on_stone(MILD), on_stone(HOT, placed_c=30.0, base_c=25.0), on_stone(COLD, placed_c=18.0, base_c=3.0)]
)
def test_half_the_grid_moves_no_event_and_heat_adds_up(poured):
    traces = warmed_all([poured], 72)[0]
    whole, half = told(poured, traces), warmed(poured, 72, HALF)
    for name in ("float_h", "initial_h", "final_h", "early_saw_h", "saw_from_h", "saw_until_h", "safe_h", "freezes_h"):
        assert getattr(half, name) == pytest.approx(getattr(whole, name), abs=0.01), name
    assert half.peak_c == pytest.approx(whole.peak_c, abs=0.1)
    assert abs(traces.lost_j_m2) < 0.001 * traces.made_j_m2


def test_slabs_that_are_solved_together_are_as_alone_whatever_stands_beside_them():
    rows = [
        on_stone(MILD),
        made(),
        on_stone(COLD, placed_c=18.0, cover=Cover(0.5, 10.0)),
        made(layers=(Layer(CONCRETE, 0.3),)),
    ]
    for row, traces in zip(rows, warmed_all(rows, 30), strict=True):
        assert told(row, traces).final_h == pytest.approx(warmed(row, 30).final_h)
        assert traces.mean_c[-1] == pytest.approx(warmed_all([row], 30)[0].mean_c[-1])


@settings(max_examples=15, derandomize=True, deadline=None)
@given(st.floats(5, 30), st.floats(1, 8), st.floats(0, 6), st.floats(10, 28))
def test_warmer_never_sets_later_nor_more_sun_on_a_hot_day(mean_c, more_c, wind_ms, placed_c):
    base = LikeAny(mean_c, 4, 0.6, wind_ms, 2, 42, 6, 15)
    cool, warm, mixed = told_all(
        [
            on_stone(base, placed_c=placed_c),
            on_stone(replace(base, mean_c=mean_c + more_c), placed_c=placed_c),
            on_stone(base, placed_c=placed_c + more_c),
        ]
    )
    for one in (warm, mixed):
        assert one.initial_h <= cool.initial_h + 1e-3 and one.final_h <= cool.final_h + 1e-3
    hot = replace(base, mean_c=mean_c + 15)
    sunny, shaded = told_all([on_stone(hot, placed_c=placed_c), on_stone(replace(hot, shade=True), placed_c=placed_c)])
    assert sunny.final_h <= shaded.final_h + 1e-3


def told_all(rows):
    return [told(row, traces) for row, traces in zip(rows, warmed_all(rows, 30), strict=True)]


def test_ice_before_strength_is_said_with_its_hour_and_a_blanket_keeps_it_off():
    bare, kept = (
        warmed(on_stone(COLD, placed_c=18.0, base_c=3.0, cover=cover), 72) for cover in (None, Cover(0.7, 8.0))
    )
    assert bare.froze and bare.freezes_h is not None and bare.no_saw
    assert not kept.froze and kept.freezes_h is None and kept.safe_h is not None and kept.least_c > 0


def test_the_sun_at_noon_stands_where_its_height_says_and_shadows_point_away():
    noon = datetime(2025, 6, 21, 12, 2, tzinfo=UTC)
    found = sun_at(40.0, 0.0, noon)
    assert found.elevation_deg == pytest.approx(90 - 40 + 23.44, abs=0.05) and found.azimuth_deg == pytest.approx(
        180, abs=1
    )
    night = sun_at(40.0, 0.0, noon + timedelta(hours=12))
    assert night.elevation_deg < 0
    wall = Blocker([(0, 0), (10, 0), (10, 0.2), (0, 0.2)], 3)
    assert shadow(wall, night, 0).is_empty and sunny_share([(0, 1), (1, 1), (1, 2)], [wall], night, 0) == 0
    turned = shadow(wall, Sun(45, 180), 270)  # up is west, so north is to the right, and what falls north falls along x
    assert turned.bounds == pytest.approx((0, 0, 13, 0.2))
    raised = shadow(Blocker([(0, 0), (1, 0), (1, 1), (0, 1)], 3, 2), Sun(45, 180), 0)
    assert raised.bounds == pytest.approx((0, 2, 1, 4))


@pytest.mark.parametrize("latitude_deg", [-36.8, 0.5, 43.6, 59.9, 67.0])
@pytest.mark.parametrize(("month", "hour"), [(3, 8.0), (6, 12.5), (6, 19.0), (9, 16.0), (12, 11.0)])
def test_the_sun_stands_where_an_almanac_of_others_has_it(latitude_deg, month, hour):
    """As it is seen, bent by the air."""
    when = datetime(2027, month, 21, tzinfo=UTC) + timedelta(hours=hour)
    told = sun_at(latitude_deg, -72.0, when)
    place = Observer(latitude_deg, -72.0)
    assert told.elevation_deg == pytest.approx(elevation(place, when, with_refraction=True), abs=0.05)
    apart = (told.azimuth_deg - azimuth(place, when) + 180) % 360 - 180
    assert abs(apart) * math.cos(math.radians(told.elevation_deg)) < 0.1


def test_limits_of_drying_are_where_the_formula_meets_them():
    air, humid, concrete, wind = 35.0, 0.3, 35.0, 16.0
    assert menzel_kg_m2_h(air, humid, concrete, most_wind_kmh(air, humid, concrete, LIMIT_KG_M2_H)) == pytest.approx(
        1.0
    )
    assert menzel_kg_m2_h(air, humid, most_concrete_c(air, humid, wind, LIMIT_KG_M2_H), wind) == pytest.approx(1.0)
    assert menzel_kg_m2_h(air, least_humid_share(air, concrete, wind, LIMIT_KG_M2_H), concrete, wind) == pytest.approx(
        1.0
    )
    assert dew_c(vapour_kpa(11.5)) == pytest.approx(11.5) and nurse_saul_c_h([-5, 5], 2.0) == 10
