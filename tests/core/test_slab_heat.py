"""Heat in a slab against what is known exactly: a wall that is warmed, a block that loses nothing, and a finer clock; the sun and drying by hand."""

import math
from dataclasses import replace
from datetime import UTC, datetime, timedelta

import pytest

from humble_trowel.core.heat import slab
from humble_trowel.core.heat.hydration import Paste
from humble_trowel.core.heat.slab import Air, Cover, Layer, Poured, Stuff, warmed
from humble_trowel.core.heat.strength import kept_warm, nurse_saul_c_h
from humble_trowel.core.weather.daily import LikeAny, air_of, dew_c
from humble_trowel.core.weather.drying import (
    LIMIT_KG_M2_H,
    least_humid_share,
    menzel_kg_m2_h,
    most_concrete_c,
    most_wind_kmh,
    vapour_kpa,
)
from humble_trowel.core.weather.sun import Blocker, Sun, shadow, sun_at, sunny_share

CONCRETE = Stuff(2.0, 2350, 1000)
STILL = Air(20.0, 0.5, 0.0, 0.0, 0.0)


def dry(*_):
    return 0.0


def made(**changes):
    base = Poured(
        Paste(0.5),
        335.0,
        27.6,
        4.0,
        [Layer(CONCRETE, 0.1)],
        CONCRETE,
        2.0,
        20.0,
        20.0,
        20.0,
        0.75,
        8.0,
        lambda _: STILL,
        dry,
    )
    return replace(base, **changes)


def test_a_deep_block_whose_top_is_held_warmer_follows_the_error_function():
    """No binder, so no heat of its own; a film so good that the top is the air."""
    windy = replace(STILL, temp_c=30.0, wind_ms=5000.0)
    cold = made(binder_kg_m3=1e-9, air=lambda _: windy, soil_m=4.0)
    found = warmed(cold, 24.1)
    spread = math.sqrt(4 * 2.0 / (2350 * 1000) * 24 * 3600)
    assert found.below_day_c == pytest.approx(20 + 10 * math.erfc(0.1 / spread), abs=0.03)


def test_under_a_blanket_that_lets_nothing_through_a_thick_block_warms_as_without_loss(monkeypatch):
    sealed = made(layers=[Layer(CONCRETE, 2.0)], cover=Cover(1e9, 0.0), soil=Stuff(1e-9, 2350, 1000))
    found = warmed(sealed, 24.1)
    warm, _ = kept_warm(Paste(0.5), 335.0, 20.0, 24.0, 2350 * 1000)
    assert found.surface_day_c == pytest.approx(
        warm, abs=1.0
    )  # it was three quarters of an hour old when it was placed


def test_half_the_step_tells_the_same_to_a_few_minutes(monkeypatch):
    mild = made(air=air_of(LikeAny(15, 5, 0.6, 2, 2, 42, 5, 1)), dries=menzel_kg_m2_h)
    whole = warmed(mild, 30)
    monkeypatch.setattr(slab, "STEP_S", 30.0)
    half = warmed(mild, 30)
    assert half.final_h == pytest.approx(whole.final_h, abs=0.03) and half.peak_c == pytest.approx(
        whole.peak_c, abs=0.1
    )
    assert not whole.froze and whole.no_saw in (True, False)


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
