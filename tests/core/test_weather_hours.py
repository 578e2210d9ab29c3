"""Weather of a pour: the newest of all that was brought in, on the clock of the site, also across a clock change; ten numbers; the stand-in."""

from datetime import UTC, datetime

import pytest
from tests.days import pour, weather

from humble_trowel.core.errors import InputError
from humble_trowel.core.weather.hours import clock_of, forecast_of, zone_of
from humble_trowel.core.weather.record_kinds import WeatherKind
from humble_trowel.core.weather.records import WeatherHour, WeatherIn
from humble_trowel.core.weather.typed import typed_hours
from humble_trowel.standins.forecast import StandInForecast

SPRING = pour(order={"pour_at": "2027-03-14T06:30"})  # clocks go forward at two


def test_each_hour_is_as_the_newest_says_and_what_is_usual_never_takes_the_place_of_a_forecast():
    plan = pour()
    clock = clock_of(plan.site, plan.order.pour_at)
    old, new = weather(plan, hours=range(0, 24), air_c=10.0), weather(plan, hours=range(6, 12), air_c=20.0)
    usual = weather(plan, hours=range(0, 30), air_c=1.0)
    usual = usual.model_copy(update={"hours": [row.model_copy(update={"usual": True}) for row in usual.hours]})
    found = forecast_of([old, new, usual], clock, "grass")
    assert [row.air_c for row in found.told(5, 12)] == [10, 20, 20, 20, 20, 20, 20, 10]
    assert [row.usual for row in found.told(22, 25)] == [False, False, True, True]
    assert found.reaches(0, 29) and not found.reaches(0, 31) and not forecast_of([old], clock, "grass").reaches(-4, 5)


def test_a_forecast_of_more_than_a_week_ahead_counts_as_usual_and_wind_comes_down_to_the_slab():
    plan = pour()
    clock = clock_of(plan.site, plan.order.pour_at)
    early = weather(plan, hours=[0, 1]).model_copy(update={"made_at": "2027-06-01T00:00+00:00", "height_m": 10.0})
    (row, _) = forecast_of([early], clock, "grass").rows
    assert row.usual and row.wind_ms == pytest.approx(2.0 * 0.4843, abs=0.001) and row.lead_h > 168
    bare = forecast_of([early], clock, "soil").rows[0]
    assert bare.wind_ms == pytest.approx(2.0 * 0.5663, abs=0.001)


def test_on_the_day_of_a_clock_change_hours_pass_one_by_one_and_the_wall_jumps():
    clock = clock_of(SPRING.site, SPRING.order.pour_at)
    assert clock.hour_of(datetime(2027, 3, 14, 6, 30)) == 5.5 and clock.text(5.5) == "6:30" and clock.wall_h(1.5) == 1.5
    assert clock.jumps(0, 20) == [(0.0, 0.0), (2.0, 1.0)]
    assert forecast_of([weather(SPRING)], clock, "grass").reaches(0, 48)
    assert clock.text(23.5) == "Mon 0:30"


def test_a_time_zone_that_is_not_said_is_guessed_from_the_longitude_and_a_wrong_one_refused():
    site = pour(site={"time_zone": None}).site
    zone, guessed = zone_of(site)
    assert guessed and zone.utcoffset(None).total_seconds() == -5 * 3600
    with pytest.raises(InputError, match="no time zone"):
        zone_of(site.model_copy(update={"time_zone": "Mars/Olympus"}))


def test_ten_numbers_make_days_that_are_what_was_typed_at_their_hours():
    plan = pour()
    clock = clock_of(plan.site, plan.order.pour_at)
    made = typed_hours([10, 24, 14], [0.8, 0.4, 0.7], [1, 4, 2], 3, clock, "2027-06-16T12:00+00:00")
    rows = {round(clock.hour_of(datetime.fromisoformat(row.at))): row for row in made.hours}
    assert (rows[6].air_c, rows[15].air_c, rows[22].air_c) == (10, 24, 14)
    assert rows[30].air_c == 10 and 14 > rows[26].air_c > 10 and rows[10].humid_share == pytest.approx(0.622, abs=0.01)
    assert made.height_m == 0.5 and forecast_of([made], clock, "grass").reaches(0, 72)
    with pytest.raises(InputError, match="Three numbers"):
        typed_hours([10, 24], [0.8, 0.4, 0.7], [1, 4, 2], 3, clock, "2027-06-16T12:00+00:00")


def test_hours_out_of_order_or_without_an_offset_are_refused():
    hour = {"air_c": 10, "humid_share": 0.5, "wind_ms": 1}
    for times, words in (
        (["2027-06-17T06:00"], "how far it is from UTC"),
        (["2027-06-17T06:00Z", "2027-06-17T06:00Z"], "stands twice"),
    ):
        values = WeatherIn(
            source="file", name="x", made_at="2027-06-16T00:00Z", hours=[WeatherHour(at=at, **hour) for at in times]
        )
        with pytest.raises(InputError, match=words):
            WeatherKind().check(None, values)


def said(turn=None, issued="2027-06-16T05:00", seed=5, start="2027-06-17T00:00"):
    feed = StandInForecast(seed, turn)
    return feed.hours(
        44.1,
        -72.6,
        datetime.fromisoformat(start).replace(tzinfo=UTC),
        48,
        datetime.fromisoformat(issued).replace(tzinfo=UTC),
    )


def test_the_stand_in_says_the_same_again_another_day_otherwise_and_brings_what_it_is_told_to():
    plain = said()
    assert plain == said() and plain != said(seed=6)
    other = said(issued="2027-06-14T05:00")
    assert max(abs(a.air_c - b.air_c) for a, b in zip(plain, other, strict=True)) < 8 and plain != other
    assert all(row.usual for row in said(issued="2027-06-01T05:00")) and not any(row.usual for row in plain)
    noon = {turn: said(turn)[20] for turn in ("wind", "front", "heat", "frost")}  # about three in the afternoon there
    assert noon["wind"].wind_ms > plain[20].wind_ms + 5 and noon["front"].rain_mm > 0
    assert noon["heat"].air_c > plain[20].air_c + 9 and min(row.air_c for row in said("frost")) < -1
    assert all(
        0 <= row.humid_share <= 1 and row.wind_ms > 0
        for turn in (None, "wind", "front", "heat", "frost")
        for row in said(turn)
    )
