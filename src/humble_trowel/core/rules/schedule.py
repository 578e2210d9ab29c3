"""The schedule by itself. Cases give days from a start, inches of rain, F, mph."""

from __future__ import annotations

from datetime import date
from typing import Any

from humble_trowel.core.errors import InputError
from humble_trowel.core.rules.case import Answer, Given
from humble_trowel.core.schedule.best import best
from humble_trowel.core.schedule.critical import critical
from humble_trowel.core.schedule.project import Limits, Link, Project, Sky, Task, checked
from humble_trowel.core.schedule.rules import breaks

INCH_MM, MPH_MS = 25.4, 0.44704


def _c(degrees_f: Any) -> float:
    return (float(degrees_f) - 32) / 1.8


def _limits(said: Given) -> Limits:
    rain, wind, cold, hot = (said.get(key) for key in ("max_rain_in", "max_wind_mph", "min_tmin_F", "max_tmax_F"))
    until, after = said.get("dry_until"), said.get("dry_after")
    return Limits(
        None if rain is None else float(rain) * INCH_MM, None if wind is None else float(wind) * MPH_MS,
        None if cold is None else _c(cold), None if hot is None else _c(hot),
        None if until is None else (str(until[0]), float(until[1]) * INCH_MM),
        None if after is None else (int(after[0]), float(after[1]) * INCH_MM),
    )  # fmt: skip


def _task(said: Given) -> Task:
    links = tuple(
        Link(str(one["id"]), int(one.get("lag", 0)), int(one.get("lag_cal", 0)), one.get("type") == "SD")
        for one in said.get("preds", [])
    )
    weekdays = said.get("weekdays")
    return Task(
        str(said["id"]), int(said.get("dur", 1)), links, int(said.get("crew", 0)), _limits(said.get("rules", {})),
        None if weekdays is None else frozenset(int(one) for one in weekdays), int(said.get("lead", 0)), bool(said.get("calendar", False)),
    )  # fmt: skip


def project_of(given: Given) -> Project:
    """The project of a case. Raises InputError where it cannot be scheduled."""
    weather = {
        int(day): Sky(
            float(one.get("rain_in", 0)) * INCH_MM, float(one.get("wind_mph", 0)) * MPH_MS, _c(one.get("tmin_F", 60)), _c(one.get("tmax_F", 60))
        )
        for day, one in given.get("weather", {}).items()
    }  # fmt: skip
    return checked(
        Project(
            date.fromisoformat(str(given["start"])), int(given["horizon"]), int(given["crew_cap"]), [_task(one) for one in given["tasks"]],
            frozenset(date.fromisoformat(str(one)) for one in given.get("holidays", [])), weather, order_day=int(given.get("order_day", 0)),
        )
    )  # fmt: skip


def schedule(given: Given) -> Answer:
    """Critical path and optimum. An optimum other than the case's is as good where it breaks nothing and ends and starts alike."""
    if given["op"] != "schedule":
        raise InputError(f"There is no {given['op']} here. Known: schedule.", "op")
    project = project_of(given)
    paths, finish = critical(project)
    found = best(project)
    names = ("ES", "EF", "LS", "LF", "float")
    answer: Answer = {
        "cpm_finish_day": finish,
        "cpm_tasks": {name: dict(zip(names, path.__dict__.values(), strict=True)) for name, path in paths.items()},
        "cpm_critical": [one.id for one in project.tasks if paths[one.id].float_days == 0],
        "feasible": found is not None, "finish_day": None, "sum_starts": None, "example_starts": None,
    }  # fmt: skip
    if found is not None:
        broken = breaks(project, found.starts)
        if broken:
            raise InputError(f"The plan breaks a rule: {broken[0]}.")
        answer |= {
            "finish_day": max(project.finish(one, found.starts[one.id]) for one in project.tasks),
            "sum_starts": sum(found.starts.values()), "example_starts": found.starts,
        }  # fmt: skip
    return answer
