"""Figures of files, without a server."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Annotated, Any, Literal

import typer

from humble_trowel.cli.shared import JsonOption, app, json_file, stop


def _json(told: Any) -> str:
    return json.dumps(told, indent=1, allow_nan=False)


@app.command()
def figure(
    job: Path,
    as_json: JsonOption = False,
    line: Annotated[float | None, typer.Option(help="Level of the laser's line in mm, for the rod readings.")] = None,
) -> None:
    """The figures of a job FILE, without a server."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.job import Job
    from humble_trowel.core.stages import report
    from humble_trowel.files.figure_text import as_text
    from humble_trowel.files.job_file import read_job

    try:
        found = Job(read_job(job), line_mm=line)
        told = _json(report(found)) + "\n" if as_json else as_text(found)
    except TrowelError as error:
        stop(f"{job}: {error}")
    except OSError as error:
        stop(f"{job}: {error.strerror or error}.")
    typer.echo(told, nl=False)


@app.command()
def square(job: Path, taped: Path, as_json: JsonOption = False) -> None:
    """Which corner to move: a job FILE and a file of TAPED measures, without a server."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.lines.report import SquareReport
    from humble_trowel.core.lines.square_job import read_taped, square_plan
    from humble_trowel.core.plan.ways import Ways, ways_for
    from humble_trowel.files.job_file import read_job
    from humble_trowel.files.lines_text import squared_text

    said = json_file(taped)
    try:
        plan = read_job(job)
        answer = square_plan(plan, read_taped(said, plan.units), ways_for(Ways(), plan.ways))
    except TrowelError as error:
        stop(f"{taped}: {error}")
    except OSError as error:
        stop(f"{job}: {error.strerror or error}.")
    typer.echo(_json(SquareReport.of(answer).told()) if as_json else squared_text(answer, plan.units))


@app.command()
def cut(file: Path, as_json: JsonOption = False, seconds: float = 8.0) -> None:
    """The cheapest way to cut a list of pieces from stock: a CUT file, without a server."""
    from time import perf_counter

    from humble_trowel.core.cutting.cut import cut as work_out
    from humble_trowel.core.cutting.report import CutReport
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.files.cut_file import read_cut
    from humble_trowel.files.lines_text import cut_text

    try:
        stock, pieces, kerf_mm = read_cut(json_file(file))
        plan = work_out(stock, pieces, kerf_mm, clock=perf_counter, limit_s=min(max(seconds, 0.1), 600.0))
    except TrowelError as error:
        stop(f"{file}: {error}")
    typer.echo(_json(CutReport.model_validate(plan).told()) if as_json else cut_text(plan))


@app.command()
def grade(
    job: Path,
    shots: Path,
    layer: Annotated[str, typer.Option(help="base, dig, foam, or a layer of the build-up.")] = "base",
    dug: Annotated[Path | None, typer.Option(help="Trenches as dug: side,at_mm,width_mm,depth_mm.")] = None,
    as_json: JsonOption = False,
) -> None:
    """Cut, fill and extra concrete: a job FILE and SHOTS as CSV (name,x_mm,y_mm,level_mm), without a server."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.grade import dug_from, grade_job
    from humble_trowel.files.ground_text import graded_text
    from humble_trowel.files.job_file import read_job
    from humble_trowel.files.shots_csv import read_dug_csv, read_shots_csv

    at = job
    try:
        plan = read_job(job)
        at = shots
        taken = read_shots_csv(shots.read_bytes(), layer)
        graded = grade_job(plan, taken, dug_from(read_dug_csv(dug.read_bytes())) if dug else [])
        if not as_json and dug is None:
            typer.echo(graded_text(graded.taken, graded.places, graded.settled, plan.units))
            return
        told = graded.told()
    except TrowelError as error:
        stop(f"{at}: {error}")
    except OSError as error:
        stop(f"{error.filename or at}: {error.strerror or error}.")
    typer.echo(_json(told))


@app.command()
def day(
    job: Path,
    weather: Annotated[Path | None, typer.Option(help="Hours as EPW or CSV; without it, a simulated forecast.")] = None,
    answers: Annotated[str, typer.Option(help="To what a file asks: air:F,wind:mph,height:10.")] = "",
    turn: Annotated[str, typer.Option(help="What the simulated forecast brings: wind, front, heat, frost.")] = "",
    seed: Annotated[int, typer.Option(help="Of the simulated forecast.")] = 3,
    as_json: JsonOption = False,
) -> None:
    """The day of the pour of a job FILE: drying, the set clock, when to start, without a server."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.files.day_text import day_told
    from humble_trowel.files.job_file import read_job
    from humble_trowel.standins.forecast import StandInForecast

    at = job
    try:
        plan = read_job(job)
        at = weather or job
        data = weather.read_bytes() if weather else None
        text, report = day_told(plan, data, answers, StandInForecast(seed, _turn_of(turn)))
    except TrowelError as error:
        stop(f"{at}: {error}")
    except OSError as error:
        stop(f"{error.filename or at}: {error.strerror or error}.")
    typer.echo(_json(report) if as_json else text)


def _turn_of(text: str) -> Literal["wind", "front", "heat", "frost"] | None:
    match text:
        case "wind" | "front" | "heat" | "frost":
            return text
        case "":
            return None
    stop(f"{text} is none of wind, front, heat, frost.")


@app.command()
def replay(job: Path, day: Path, as_json: JsonOption = False) -> None:
    """A recorded DAY of a job FILE, played faster than time: what is next after each word, and the last truck."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.job import Job
    from humble_trowel.core.replay import replay as play
    from humble_trowel.files.day_file import read_day
    from humble_trowel.files.job_file import read_job
    from humble_trowel.files.replay_text import step_json, step_text

    try:
        found = Job(read_job(job))
        if found.pour_planned is None:
            stop(f"{job}: there is nothing to pour: it needs an outline, a day and a load.")
        lines = read_day(day.read_bytes(), found.plan.units)
        for step in play(found, lines):
            typer.echo(_json(step_json(step)).replace("\n", "") if as_json else step_text(step))
    except TrowelError as error:
        stop(f"{day}: {error}")
    except OSError as error:
        stop(f"{day}: {error.strerror or error}.")
