"""What the day says beside its main path: doubts that are seldom, hours for other stages, its text on the command line, calculators, ages."""

import math
from datetime import datetime

import pytest
from tests.days import day_job, pour, weather

from humble_trowel.core.day.drying import limit_of, spans_over
from humble_trowel.core.day.latest import saw_words, wet_words
from humble_trowel.core.day.sheet import sheet_of
from humble_trowel.core.day.sizes import degrees, degrees_between, drying, wind
from humble_trowel.core.errors import InputError
from humble_trowel.core.job import Job
from humble_trowel.core.plan.mix import Mix
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.rules.day_book import DAY_RULES
from humble_trowel.files.day_text import day_told
from humble_trowel.files.job_file import parse_job
from humble_trowel.standins.forecast import StandInForecast


def shown(job, now):
    return sheet_of(job.plan, job.ways, job.day, [(0.0, 0.0)] * 4, datetime.fromisoformat(now), 1)


def test_hours_no_forecast_reaches_are_said_and_an_old_forecast_asks_to_be_asked_again():
    plan = pour()
    usual = weather(plan).model_copy(update={"made_at": "2027-06-01T00:00+00:00"})
    job = Job(plan, records=SiteRecords([("w", usual)]))
    assert "weather-usual" in {row.code for row in job.day_findings} and all(row.usual for row in job.day.starts)
    (source,) = shown(job, "2027-06-16T12:00+00:00").sources
    assert source.usual and "no forecast" in source.text and not source.old
    fresh, old = (shown(day_job(), now).sources[0] for now in ("2027-06-16T20:00+00:00", "2027-06-18T20:00+00:00"))
    assert not fresh.old and old.old and "ask again" in old.text


def test_it_may_freeze_only_where_it_sets_slowly():
    """Cold enough that one day in ten ice wins, and not on the likely one."""
    for over in range(12):
        job = day_job(
            air_c=lambda hour, over=over: 4.0 - 0.3 * over + 3 * math.cos((hour - 15) / 24 * 2 * math.pi),
            cloud_okta=8.0,
        )
        rows = [row for row in job.day.clock if row.may_freeze]
        if rows:
            break
    assert rows and all(row.safe is not None and row.freezes is not None for row in rows)
    told = {row.code for row in job.day_findings}
    assert "slab-may-freeze" in told or "slab-freezes" in told
    line = next(
        row.line
        for row in shown(job, "2027-06-16T12:00+00:00").ribbons
        if row.name == rows[0].name and row.truck == rows[0].truck
    )
    assert line.startswith("may freeze") or "early-entry" in line


def test_other_stages_hear_by_when_to_set_bolts_and_when_to_saw():
    job = day_job()
    first = job.day.clock[0]
    assert wet_words(job.plan, job.day).startswith(f"Wet-set {first.name} by ") and "Apron by" in wet_words(
        job.plan, job.day
    )
    assert saw_words(job.plan, job.day).count(" to ") == 4
    assert wet_words(job.plan, None) == saw_words(job.plan, None) == ""
    slow = day_job(
        pour(mix={"slag_share": 0.5, "wanted_c": 14}),
        air_c=lambda hour: 14 + 9 * math.cos((hour - 15) / 24 * 2 * math.pi),
    )
    assert "by early entry from" in saw_words(slow.plan, slow.day)


def test_the_command_tells_the_day_and_what_is_missing():
    feed = StandInForecast(5, "wind")
    text, report = day_told(pour(), None, "", feed)
    assert text.startswith("Thu 6:30.") and "frost-safe" in text and "the plant opens 5:30" in text
    assert {row["zone"] for row in report["clock"]} == {"Bottling", "Extraction", "Super store", "Apron"}
    frost, _ = day_told(pour(), None, "", StandInForecast(5, "frost"))
    assert "freezes" in frost and "Blankets" in frost
    with pytest.raises(InputError, match="No day is said"):
        day_told(pour(order={"pour_at": None}), None, "", feed)
    rows = "\n".join(f"2027-06-17T{hour:02d}:00,68,50,6" for hour in range(24))
    with pytest.raises(InputError, match="--answers air:c or air:f"):
        day_told(pour(), f"time,temp,humidity_percent,wind_mph\n{rows}".encode(), "height:10", feed)
    read, _ = day_told(pour(), f"time,temp,humidity_percent,wind_mph\n{rows}".encode(), "height:10,air:f", feed)
    assert "never too fast" in read


def test_sizes_are_those_of_the_job_and_a_difference_takes_no_32_off():
    assert (degrees(10, "ft-in"), degrees(10, "mm"), degrees_between(10, "ft-in")) == ("50 °F", "10 °C", "18 °F")
    assert (drying(1.0, "ft-in"), drying(1.0, "mm")) == ("0.20 lb/ft² h", "1.00 kg/m² h")
    assert (wind(4.4704, "ft-in"), wind(5, "mm")) == ("10 mph", "18 km/h")


def test_the_limit_is_halved_for_mixes_that_bleed_little_and_spans_are_cut_where_the_rate_crosses():
    import numpy as np

    assert [
        limit_of(Mix(**mix)).kg_m2_h
        for mix in ({}, {"slag_share": 0.3}, {"fibre": "steel"}, {"water_share": 0.4}, {"water_share": 0.5})
    ] == [1, 0.5, 0.5, 0.5, 1]
    hours, rates = np.array([6.0, 8.0, 10.0, 12.0]), np.array([0.0, 2.0, 2.0, 0.0])
    assert spans_over(hours, rates, 1.0, 6, 12) == [(7.0, 11.0)]
    assert spans_over(hours, rates, 1.0, 9, 10) == [(9, 10)] and spans_over(hours, rates, 3.0, 6, 12) == []
    assert spans_over(hours, np.array([2.0, 0.0, 2.0, 2.0]), 1.0, 6, 12) == [(6.0, 7.0), (9.0, 12.0)]


def test_the_book_works_out_drying_and_shadows():
    dries, shade = (next(rule for rule in DAY_RULES if rule.name == name) for name in ("day/drying", "day/shadow"))
    us = dries.work_out({"air": 80, "humid": 50, "concrete": 87, "wind": 12}, "ft-in", Ways())
    menzel, uno = (row.value for row in us[:2])
    assert menzel == pytest.approx(0.236, rel=0.02) and uno == pytest.approx(0.244, rel=0.05)  # the metric forms
    metric = dries.work_out({"air": 35, "humid": 30, "concrete": 35, "wind": 16.1}, "mm", Ways())
    assert metric[0].value == pytest.approx(1.511, abs=0.01) and 5 < metric[2].value < 10
    assert shade.work_out({"height": 3000, "sun": 45}, "mm", Ways())[0].value == pytest.approx(3000)


def test_what_shades_must_end_over_where_it_begins_and_keeps_its_id():
    thing = {"name": "Roof", "polygon": [[0, 0], [1000, 0], [1000, 1000]], "top_mm": 3000, "base_mm": 2000}
    plan = pour(day={"around": [thing]})
    (row,) = plan.day.around
    assert row.id.startswith("dn") and pour(day={"around": [thing]}).day.around[0].id == row.id
    for wrong, words in (
        ({"base_mm": 4000}, "begins higher"),
        ({"top_mm": 0}, "top_mm"),
        ({"polygon": [[0, 0], [9, 0], [18, 0]]}, "Roof"),
    ):
        with pytest.raises(InputError, match=words):
            pour(day={"around": [thing | wrong]})
    with pytest.raises(InputError):
        parse_job(
            b'{"format": "humble-trowel-job", "version": 1, "name": "x", "units": "mm", "day": {"helps": ["prayer"]}}'
        )
