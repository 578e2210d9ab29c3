"""A day for the pour and what protects it, out of three days of a forecast."""

from __future__ import annotations

import math
from datetime import UTC, datetime, timedelta

from humble_trowel.core.day.day import Asked, given_of
from humble_trowel.core.day.starts import Start, tried
from humble_trowel.core.job import Job
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.practice.dice import Dice
from humble_trowel.core.practice.exercise import Ask, Exercise, Outcome, Part, Shape, Wish, choices, drawn, rule_told
from humble_trowel.core.practice.plans import slab_plan
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.units import say_length
from humble_trowel.core.weather.records import WeatherHour, WeatherIn

BEGIN = datetime(2027, 5, 3, tzinfo=UTC)  # a Monday
DAYS = ("Monday", "Tuesday", "Wednesday")
HOURS = (6.5, 8.0, 10.0, 13.0)
WORDS = {"none": "nothing", "fog": "fog", "windbreak": "a windbreak", "film": "a film", "blanket": "blankets"}
HELPS = (("none", "Nothing"), ("fog", "Fog"), ("windbreak", "Windbreak"), ("film", "Film"), ("blanket", "Blankets"))
KINDS = ("fair", "fair", "wind", "rain", "cold", "hot")


class _Days:
    """Three days of weather, each of its own kind."""

    def __init__(self, kinds: list[str], dice: Dice) -> None:
        self.kinds = kinds
        self.mean_c = [{"cold": 4.5, "hot": 29.0}.get(kind, 15.0) + dice.normal(0, 1.5) for kind in kinds]
        self.wind_ms = [{"wind": 7.5, "rain": 4.0}.get(kind, 1.8) + dice.normal(0, 0.4) for kind in kinds]
        self.rain_h = [dice.whole(9, 16) if kind == "rain" else None for kind in kinds]
        self.humid_share = [{"wind": 0.38, "hot": 0.34, "rain": 0.85}.get(kind, 0.62) for kind in kinds]

    def at(self, hour: int) -> tuple[float, float, float, float]:
        """Air C, humidity, wind m/s, rain mm of an hour since the first midnight."""
        day = min(2, max(0, hour // 24))
        clock = hour % 24
        wave = math.cos(math.tau * (clock - 15) / 24)
        swing = 7.0 if self.kinds[day] in ("cold", "hot") else 5.0
        rain = self.rain_h[day]
        wet = 2.4 if rain is not None and rain <= clock < rain + 4 and hour // 24 == day else 0.0
        humid = min(0.97, max(0.15, self.humid_share[day] - 0.12 * wave))
        return self.mean_c[day] + swing * wave, humid, max(0.4, self.wind_ms[day] * (1 + 0.35 * wave)), wet


def pour_day(wish: Wish) -> Exercise:
    """Choose the day, the hour and the protection."""
    return drawn(wish, _made)


def _made(wish: Wish, dice: Dice) -> Exercise | None:
    kinds = dice.mixed(["fair", dice.pick(KINDS[2:]), dice.pick(KINDS[2:])])
    if wish.level == 3:
        kinds = [dice.pick(KINDS[2:]) for _ in DAYS]
    days = _Days(kinds, dice)
    sizes = (wish.long(dice.whole(18, 30)), wish.long(dice.whole(14, 22)), wish.thin(dice.pick((4, 5))))
    rows = _tried(wish, days, sizes)
    # a protection only counts against the plain start: what the plain start does not need was bought for nothing
    lost = {
        key: len(one.why_not) + (key[2] != "none" and rows[key[0], key[1], "none"].passes) for key, one in rows.items()
    }
    order = [name for name, _ in HELPS]
    least = min(lost, key=lambda key: (lost[key], key[2] != "none", key[0], key[1], order.index(key[2])))
    if lost[least] or sum(1 for value in lost.values() if not value) > len(lost) * 0.6:
        return None
    table = {
        f"{day}|{hour}|{helped}": Outcome(lost[day, hour, helped], _words(rows[day, hour, helped], lost[day, hour, helped], helped))
        for day, hour, helped in rows
    }  # fmt: skip
    return Exercise(
        wish.kind, wish.level, wish.seed, wish.units, "Which day, which hour, with what?",
        (f"A slab of {say_length(sizes[0], wish.units)} by {say_length(sizes[1], wish.units)}, by the chute, one float, no lights. The last hour of rain counts until it has set.",
         "Nothing may go wrong, and nothing is brought for nothing."),
        _drawn(days, wish),
        (Ask("day", "Day", "one", choices([(str(at), name) for at, name in enumerate(DAYS)])),
         Ask("hour", "First truck", "one", choices([(str(at), _clock(hour)) for at, hour in enumerate(HOURS)])),
         Ask("help", "With", "one", choices(HELPS))),
        (Part(("day", "hour", "help"), table),), ("All day right", "1 thing wrong"), "{n} things wrong", 1,
        {"day": str(least[0]), "hour": str(least[1]), "help": least[2]}, _why(rows, least),
        rule_told("day/drying", "evaporation"),
    )  # fmt: skip


def _plan(wish: Wish, sizes: tuple[float, float, float], helped: str) -> Plan:
    day: dict[str, object] = {"helps": [helped] if helped in ("fog", "windbreak", "film") else []}
    if helped == "blanket":
        day["blanket"] = {"after_h": 6.0}
    return slab_plan(
        wish.units, *sizes, site={"latitude": 42.0, "longitude": 0.0, "time_zone": "UTC"}, day=day,
        order={"pour_at": "2027-05-03T08:00"},
    )  # fmt: skip


def _tried(wish: Wish, days: _Days, sizes: tuple[float, float, float]) -> dict[tuple[int, int, str], Start]:
    """Every start with every protection, by the core of a real day."""
    told = [days.at(hour) for hour in range(-12, 96)]
    hours = [
        WeatherHour(at=(BEGIN + timedelta(hours=hour)).isoformat(), air_c=air, humid_share=humid, wind_ms=wind, cloud_okta=3.0, rain_mm=rain)
        for hour, (air, humid, wind, rain) in zip(range(-12, 96), told, strict=True)
    ]  # fmt: skip
    weather = WeatherIn(
        source="typed", name="Practice", made_at=(BEGIN - timedelta(hours=12)).isoformat(), height_m=0.5, hours=hours
    )
    rows: dict[tuple[int, int, str], Start] = {}
    starts = [(day, hour) for day in range(3) for hour in range(len(HOURS))]
    for helped, _ in HELPS:
        job = Job(_plan(wish, sizes, helped), wish.ways, SiteRecords([("weather", weather)]))
        pour = job.planned_pour or job.delivery
        assert pour is not None and job.solid is not None
        given = given_of(Asked(job.plan_in_air, job.ways, job.solid, pour, [weather], []))
        assert given is not None
        found = tried(given, [day * 24 + HOURS[hour] for day, hour in starts])
        for (day, hour), one in zip(starts, found, strict=True):
            rows[day, hour, helped] = one
    return rows


def _words(one: Start, lost: int, helped: str) -> str:
    said = " ".join(why.words for why in one.why_not)
    if len(one.why_not) < lost:
        said = f"{said} {WORDS[helped].capitalize()} was brought for nothing.".strip()
    return said


def _why(rows: dict[tuple[int, int, str], Start], least: tuple[int, int, str]) -> tuple[str, ...]:
    day, hour, helped = least
    said = [f"{DAYS[day]} at {_clock(HOURS[hour])} with {WORDS[helped]}: no rule is broken."]
    for other in range(3):
        plain = rows[other, hour, "none"]
        if plain.why_not:
            said.append(f"{DAYS[other]} at {_clock(HOURS[hour])} without help: {plain.why_not[0].words}")
    return tuple(said)


def _drawn(days: _Days, wish: Wish) -> tuple[Shape, ...]:
    """Air as a line, wind as strokes, rain as drops, over three days side by side."""
    rows: list[Shape] = []
    temps = [days.at(hour)[0] for hour in range(72)]
    low, high = min(0.0, *temps), max(30.0, *temps)

    def y(air: float) -> float:
        return round(170 - 120 * (air - low) / (high - low), 1)

    def x(hour: float) -> float:
        return round(30 + 590 * hour / 72, 1)

    for day, name in enumerate(DAYS):
        rows.append(Shape("word", ((x(day * 24 + 12), 24),), "name", name))
        rows.append(Shape("line", ((x(day * 24), 36), (x(day * 24), 372)), "thin"))
        own = range(day * 24, day * 24 + 24)
        for pick, place in ((max, -10), (min, 22)):
            at = pick(own, key=lambda hour: temps[hour])
            rows.append(Shape("word", ((x(at + 0.5), y(temps[at]) + place),), "reading", _warm(temps[at], wish)))
        blow = max(days.at(hour)[2] for hour in own)
        humid = min(days.at(hour)[1] for hour in own)
        rows.append(Shape("word", ((x(day * 24 + 12), 336),), "note", f"wind {_blow(blow, wish)}"))
        rows.append(Shape("word", ((x(day * 24 + 12), 374),), "note", f"air {humid:.0%} damp"))
    rows.append(Shape("line", tuple((x(hour + 0.5), y(temps[hour])) for hour in range(72)), "string"))
    rows.append(Shape("line", ((30, y(0.0)), (620, y(0.0))), "ghost"))
    rows.append(Shape("word", ((616, y(0.0) + 20),), "note", "it freezes", "", "end"))
    for hour in range(72):
        _, _, wind, rain = days.at(hour)
        if hour % 2 == 0:
            rows.append(Shape("line", ((x(hour + 0.5), 276), (x(hour + 0.5), round(276 - wind * 8, 1))), "held"))
        if rain:
            rows.append(Shape("dot", ((x(hour + 0.5), 292),), "done"))
    rows.append(Shape("line", ((30, 276), (620, 276)), "thin"))
    return tuple(rows)


def _warm(air_c: float, wish: Wish) -> str:
    return f"{air_c:.0f} °C" if wish.metric else f"{air_c * 1.8 + 32:.0f} °F"


def _blow(wind_ms: float, wish: Wish) -> str:
    return f"{wind_ms * 3.6:.0f} km/h" if wish.metric else f"{wind_ms * 2.23694:.0f} mph"


def _clock(hour: float) -> str:
    return f"{int(hour)}:{round(hour % 1 * 60):02d}"
