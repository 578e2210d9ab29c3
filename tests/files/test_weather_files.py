"""Files of weather: EPW by its columns, CSV with units asked, clock changes, and what is wrong with each line."""

from datetime import datetime, timedelta

import pytest

from humble_trowel.core.weather.hours import clock_of
from humble_trowel.files.weather_csv import read_csv
from humble_trowel.files.weather_epw import is_epw, read_epw
from humble_trowel.files.weather_file import WeatherFileError
from tests.days import pour

PLAN = pour()
CLOCK = clock_of(PLAN.site, PLAN.order.pour_at)
MADE = "2027-06-16T12:00+00:00"
HEAD = "time,air_c,humidity_percent,wind_ms,cloud_okta"


def csv(head=HEAD, start="2027-06-17T00:00", count=30, row="20,50,3,4", clock=CLOCK, answers=None, swap=None):
    at = datetime.fromisoformat(start)
    lines = [f"{(at + timedelta(hours=i)).isoformat(timespec='minutes')},{row}" for i in range(count)]
    for line, text in (swap or {}).items():
        lines[line] = text
    text = "\n".join([head, *[line for line in lines if line]])
    return read_csv(text.encode(), clock, MADE, "hut.csv", {"height": "10"} | (answers or {}))


def refused(words, **said):
    with pytest.raises(WeatherFileError) as error:
        csv(**said)
    assert words in error.value.words, error.value.words
    return error.value.path


def test_a_file_with_its_units_is_read_and_without_them_asks():
    found = csv()
    assert len(found.weather.hours) == 30 and found.weather.hours[0].at == "2027-06-17T04:00+00:00"
    first = found.weather.hours[0]
    assert (first.air_c, first.humid_share, first.wind_ms, first.cloud_okta) == (20, 0.5, 3, 4)
    asked = csv("time,temp,rh (%),wind speed,cloud okta")
    assert asked.weather is None and [one.key for one in asked.asks] == ["air", "wind"]
    assert ("f", "°F") in asked.asks[0].answers
    told = csv(
        "time;temp;rh (%);wind speed;cloud okta".replace(";", ","),
        row="68,50,10,4",
        answers={"air": "f", "wind": "mph"},
    )
    assert told.weather.hours[3].air_c == 20 and told.weather.hours[3].wind_ms == pytest.approx(4.47, abs=0.01)
    assert (
        read_csv(b"time,air_c,humidity_percent,wind_ms\n2027-06-17T06:00,20,50,3", CLOCK, MADE, "x", {}).asks[0].key
        == "height"
    )


def test_what_no_weather_is_is_said_with_its_line():
    assert refused("in °F", row="95,50,3,4") == "line 2"
    assert (
        refused("parts of a hundred", head="time,air_c,humidity_share,wind_ms,cloud_okta", row="20,1.3,3,4") == "line 2"
    )
    assert refused("less than nothing", row="20,50,-3,4") == "line 2"
    assert refused("stands twice", swap={4: "2027-06-17T03:00,20,50,3,4"}) == "line 6"
    assert refused("comes after", swap={4: "2027-06-17T01:30,20,50,3,4"}) == "line 6"
    assert refused("hours are missing", swap=dict.fromkeys(range(4, 13), "")) == "line 6"
    assert refused("no time", swap={0: "noon,20,50,3,4"}) == "line 2"
    assert refused("fewer than the heading", swap={1: "2027-06-17T01:00,20"}) == "line 3"
    assert refused("not a number", swap={1: "2027-06-17T01:00,warm,50,3,4"}) == "line 3"
    refused("no wind", head="time,air_c,humidity_percent,gust,cloud_okta")
    refused("has no time", head="when not,air_c,humidity_percent,wind_ms,cloud_okta".replace("when not", "x"))
    refused("No hour of it is near", start="2027-08-01T00:00")
    with pytest.raises(WeatherFileError, match="no text file"):
        read_csv(b"\0\0", CLOCK, MADE, "x", {})


def test_a_short_gap_is_asked_and_filled_straight():
    gap = {"swap": {4: "", 5: ""}, "row": "20,50,3,4"}
    asked = csv(**gap)
    assert [one.key for one in asked.asks] == ["gaps"] and "2 hours are missing" in asked.asks[0].words
    filled = csv(**gap, answers={"gaps": "fill"})
    assert len(filled.weather.hours) == 30


def test_a_clock_change_inside_the_file_is_followed():
    """Clocks go back on 7 November: one o'clock comes twice. They go forward on 14 March: half past two is not there."""
    autumn = clock_of(PLAN.site, "2027-11-07T07:00")
    twice = "\n".join([HEAD, *(f"2027-11-07T{hour:02d}:00,10,50,3,4" for hour in (0, 1, 1, 2, 3))])
    found = read_csv(twice.encode(), autumn, MADE, "x", {"height": "10"})
    assert [row.at[11:16] for row in found.weather.hours] == ["04:00", "05:00", "06:00", "07:00", "08:00"]
    spring = clock_of(PLAN.site, "2027-03-14T07:00")
    gone = f"{HEAD}\n2027-03-14T01:00,10,50,3,4\n2027-03-14T02:00,10,50,3,4"
    with pytest.raises(WeatherFileError, match="there is no 02:00"):
        read_csv(gone.encode(), spring, MADE, "x", {"height": "10"})
    plain = f"{HEAD}\n2027-03-14T01:00-05:00,10,50,3,4\n2027-03-14T03:00-04:00,10,50,3,4"
    assert len(read_csv(plain.encode(), spring, MADE, "x", {"height": "10"}).weather.hours) == 2


def epw(latitude="44.0", zone="-5.0", row=None, days=(("6", "16"), ("6", "17"), ("6", "18"))):
    location = f"LOCATION,Tansy Field,,,made up,999999,{latitude},-72.5,{zone},200.0"
    rows = []
    for month, day in days:
        for hour in range(1, 25):
            cells = [
                "2011",
                month,
                day,
                str(hour),
                "60",
                "x",
                "18.5",
                "11.0",
                "62",
                "99000",
                *["0"] * 10,
                "180",
                "3.2",
                "5",
                "5",
                *["0"] * 9,
                "1.5",
                "1",
            ]
            rows.append(row(month, day, hour, cells) if row else cells)
    return "\n".join([location, *["HEAD"] * 7, *(",".join(cells) for cells in rows)]).encode()


def test_an_epw_file_gives_usual_hours_about_the_day_on_standard_time():
    data = epw()
    assert is_epw(data) and not is_epw(HEAD.encode())
    found = read_epw(data, PLAN.site, CLOCK, MADE, {})
    assert found.weather.source == "usual" and all(row.usual for row in found.weather.hours)
    first = found.weather.hours[0]
    assert (first.air_c, first.humid_share, first.wind_ms, first.cloud_okta, first.rain_mm) == (
        18.5,
        0.62,
        3.2,
        4.0,
        1.5,
    )
    assert "2027-06-17T05:00+00:00" in [
        row.at for row in found.weather.hours
    ]  # midnight of standard time; the last hour of the 16th ends then
    assert "no forecast" in found.said


def test_an_epw_file_of_elsewhere_or_of_another_zone_asks():
    far = read_epw(epw(latitude="12.0"), PLAN.site, CLOCK, MADE, {})
    assert [one.key for one in far.asks] == ["place"] and read_epw(
        epw(latitude="12.0"), PLAN.site, CLOCK, MADE, {"place": "use"}
    ).weather
    other = read_epw(epw(zone="1.0"), PLAN.site, CLOCK, MADE, {})
    assert [one.key for one in other.asks] == ["zone"] and "UTC+1" in other.asks[0].words
    by_file, by_site = (
        read_epw(epw(zone="1.0"), PLAN.site, CLOCK, MADE, {"zone": zone}).weather.hours[0].at
        for zone in ("file", "site")
    )
    assert by_file != by_site


def test_an_epw_file_that_is_damaged_says_where():
    def missing(_, day, hour, cells):
        return [*cells[:6], "99.9", *cells[7:]] if (day, hour) == ("17", 3) else cells

    for data, words in (
        (epw(row=missing), "its air is missing"),
        (epw(row=lambda *a: a[3][:9]), "has 9 columns"),
        (epw(row=lambda *a: [*a[3][:6], "hot", *a[3][7:]]), "cannot be read"),
        (b"LOCATION,x", "ends before"),
        (epw(latitude="north"), "latitude"),
    ):
        with pytest.raises(WeatherFileError, match=words):
            read_epw(data, PLAN.site, CLOCK, MADE, {})
