"""Commands behind ./trowel, once the program is set up."""

from __future__ import annotations

import json
import socket
import sys
from contextlib import closing
from datetime import UTC, datetime
from pathlib import Path
from typing import Annotated, Any, NoReturn

import typer

from humble_trowel.settings import Settings, calm_memory, default_data

app = typer.Typer(add_completion=False, no_args_is_help=True, pretty_exceptions_enable=False)
DataOption = Annotated[Path | None, typer.Option("--data", help="Folder of the data.")]


def _stop(words: str, code: int = 2) -> NoReturn:
    typer.echo(words, err=True)
    raise typer.Exit(code)


def _settings(data: Path | None, port: int, demo: bool) -> Settings:
    folder = data or default_data(demo)
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        _stop(f"Cannot make the data folder {folder}: {error.strerror}.")
    return Settings(folder, port)


def _prepare(settings: Settings, demo: bool) -> None:
    import sqlite3

    from humble_trowel.demo.load import load_demo
    from humble_trowel.store.db import connect
    from humble_trowel.store.migrate import NewerDatabase, migrate

    try:
        with closing(connect(settings.database)) as db:
            migrate(db)
            if demo and db.execute("select count(*) from jobs").fetchone()[0] == 0:
                load_demo(db, datetime.now(UTC).isoformat(timespec="seconds"))
    except NewerDatabase as error:
        _stop(f"{settings.database}: {error}")
    except sqlite3.Error as error:
        _stop(f"{settings.database}: the data cannot be opened ({error}).")


def _serve(settings: Settings) -> None:
    import uvicorn

    from humble_trowel.api.app import WEB, make_app

    if not (WEB / "index.html").exists():
        _stop("The front end is not built. Start with ./trowel, which builds it.")
    with closing(socket.socket(socket.AF_INET, socket.SOCK_STREAM)) as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", settings.port))
        except OSError:
            _stop(f"Port {settings.port} is taken. Give another: ./trowel demo --port {settings.port + 1}")
    typer.echo(f"Humble Trowel is at http://127.0.0.1:{settings.port}   (Ctrl-C stops it)")
    config = uvicorn.Config(
        make_app(settings), host="127.0.0.1", port=settings.port, log_level="warning", access_log=False
    )
    calm_memory()
    uvicorn.Server(config).run()


@app.command()
def demo(
    port: int = 8710,
    fresh: Annotated[bool, typer.Option("--fresh", help="Reset the demo data.")] = False,
    data: DataOption = None,
) -> None:
    """Serve with demo data of its own."""
    settings = _settings(data, port, True)
    if fresh:
        for path in settings.data.glob(settings.database.name + "*"):
            path.unlink()
    _prepare(settings, True)
    _serve(settings)


@app.command()
def serve(port: int = 8710, data: DataOption = None) -> None:
    """Serve with your own data."""
    settings = _settings(data, port, False)
    _prepare(settings, False)
    _serve(settings)


@app.command()
def backup(file: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False) -> None:
    """Save a copy of the data in FILE, also while the program runs."""
    import sqlite3

    from humble_trowel.store.db import backup as copy

    settings = _settings(data, 0, demo)
    if not settings.database.exists():
        _stop(f"There are no data in {settings.data}.")
    try:
        copy(settings.database, file)
    except FileExistsError:
        _stop(f"{file} is there already. Name a new file.")
    except (OSError, sqlite3.Error) as error:
        _stop(f"Cannot write {file}: {error}.")
    typer.echo(f"Saved in {file}")


@app.command()
def figure(
    job: Path,
    as_json: Annotated[bool, typer.Option("--json")] = False,
    line: Annotated[float | None, typer.Option(help="Level of the laser's line in mm, for the rod readings.")] = None,
) -> None:
    """The figures of a job FILE, without a server."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.figures import figure as work_out
    from humble_trowel.core.plan.ways import Ways
    from humble_trowel.core.whole import whole_json
    from humble_trowel.files.figure_text import as_text
    from humble_trowel.files.job_file import read_job

    try:
        plan = read_job(job)
        told = json.dumps(whole_json(plan, Ways(), line), indent=1, allow_nan=False) + "\n" if as_json else ""
        told = told or as_text(work_out(plan, Ways()))
    except TrowelError as error:
        _stop(f"{job}: {error}")
    except OSError as error:
        _stop(f"{job}: {error.strerror or error}.")
    typer.echo(told, nl=False)


def _json_file(path: Path) -> Any:
    try:
        return json.loads(path.read_text("utf-8"))
    except OSError as error:
        _stop(f"{path}: {error.strerror or error}.")
    except (ValueError, RecursionError):
        _stop(f"{path}: that is not JSON.")


@app.command()
def square(job: Path, taped: Path, as_json: Annotated[bool, typer.Option("--json")] = False) -> None:
    """Which corner to move: a job FILE and a file of TAPED measures, without a server."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.lines.square_job import read_taped, square_plan
    from humble_trowel.core.lines.squaring import squared_json
    from humble_trowel.core.plan.ways import Ways
    from humble_trowel.files.job_file import read_job
    from humble_trowel.files.lines_text import squared_text

    said = _json_file(taped)
    try:
        plan = read_job(job)
        answer = square_plan(plan, read_taped(said, plan.units), Ways())
    except TrowelError as error:
        _stop(f"{taped}: {error}")
    except OSError as error:
        _stop(f"{job}: {error.strerror or error}.")
    typer.echo(json.dumps(squared_json(answer), indent=1, allow_nan=False) if as_json else squared_text(answer))


@app.command()
def cut(file: Path, as_json: Annotated[bool, typer.Option("--json")] = False, seconds: float = 8.0) -> None:
    """The cheapest way to cut a list of pieces from stock: a CUT file, without a server."""
    from time import perf_counter

    from humble_trowel.core.cutting.cut import cut as work_out
    from humble_trowel.core.cutting.cut import cut_json
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.files.cut_file import read_cut
    from humble_trowel.files.lines_text import cut_text

    try:
        stock, pieces, kerf_mm = read_cut(_json_file(file))
        plan = work_out(stock, pieces, kerf_mm, clock=perf_counter, limit_s=min(max(seconds, 0.1), 600.0))
    except TrowelError as error:
        _stop(f"{file}: {error}")
    typer.echo(json.dumps(cut_json(plan), indent=1, allow_nan=False) if as_json else cut_text(plan))


@app.command()
def grade(
    job: Path,
    shots: Path,
    layer: Annotated[str, typer.Option(help="base, dig, foam, or a layer of the build-up.")] = "base",
    dug: Annotated[Path | None, typer.Option(help="Trenches as dug: side,at_mm,width_mm,depth_mm.")] = None,
    as_json: Annotated[bool, typer.Option("--json")] = False,
) -> None:
    """Cut, fill and extra concrete: a job FILE and SHOTS as CSV (name,x_mm,y_mm,level_mm), without a server."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.ground.grade import dug_from, graded, graded_json
    from humble_trowel.core.plan.ways import Ways
    from humble_trowel.files.ground_text import graded_text
    from humble_trowel.files.job_file import read_job
    from humble_trowel.files.shots_csv import read_dug_csv, read_shots_csv

    at = job
    try:
        plan = read_job(job)
        at = shots
        taken = read_shots_csv(shots.read_bytes(), layer)
        if not as_json and dug is None:
            typer.echo(graded_text(*graded(plan, Ways(), taken), plan.units))
            return
        trenches = dug_from(read_dug_csv(dug.read_bytes())) if dug else []
        told = graded_json(plan, Ways(), taken, trenches)
    except TrowelError as error:
        _stop(f"{at}: {error}")
    except OSError as error:
        _stop(f"{error.filename or at}: {error.strerror or error}.")
    typer.echo(json.dumps(told, indent=1, allow_nan=False))


@app.command("export")
def take_out(job: str, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False) -> None:
    """Write JOB (its id, or its name) as a job file on standard output."""
    from humble_trowel.core.plan.reading import read_plan
    from humble_trowel.files.job_file import write_job
    from humble_trowel.store import jobs
    from humble_trowel.store.db import connect

    settings = _settings(data, 0, demo)
    if not settings.database.exists():
        _stop(f"There are no data in {settings.data}.")
    with closing(connect(settings.database, readonly=True)) as db:
        rows = [jobs.head(db, row.id) for row in jobs.every(db)]
    found = [row for row in rows if row.job_id == job] or [
        row for row in rows if row.document["name"].lower() == job.lower()
    ]
    if len(found) != 1:
        names = "; ".join(f"{row.job_id} {row.document['name']}" for row in rows) or "none"
        _stop(f"{job}: {'two jobs have that name' if found else 'no such job'}. Jobs here: {names}")
    sys.stdout.buffer.write(write_job(read_plan(found[0].document)))


@app.command("import")
def bring_in(file: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False) -> None:
    """Bring a job FILE into the data; prints the new job's id."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.files.job_file import plan_data, read_job
    from humble_trowel.store import jobs
    from humble_trowel.store.db import connect

    settings = _settings(data, 0, demo)
    try:
        plan = read_job(file)
    except TrowelError as error:
        _stop(f"{file}: {error}")
    except OSError as error:
        _stop(f"{file}: {error.strerror or error}.")
    _prepare(settings, False)
    with closing(connect(settings.database)) as db:
        now = datetime.now(UTC).isoformat(timespec="seconds")
        row = jobs.create(db, plan_data(plan), "", now, "Brought in from a file")
    typer.echo(row.job_id)


@app.command()
def openapi(target: Path) -> None:
    """Write the interface description from which the front end's types are made."""
    from humble_trowel.api.app import make_app

    text = json.dumps(make_app(Settings(Path("."))).openapi(), indent=1, ensure_ascii=False) + "\n"
    target.write_text(text, "utf-8")


@app.command()
def schema(target: Path) -> None:
    """Write the JSON schema of the job file."""
    from humble_trowel.core.plan.document import Plan

    target.write_text(json.dumps(Plan.model_json_schema(), indent=1, ensure_ascii=False) + "\n", "utf-8")


@app.command()
def bench(as_json: Annotated[bool, typer.Option("--json")] = False) -> None:
    """Measure speed against the goals."""
    from humble_trowel.bench import run

    raise typer.Exit(run(as_json))


def main() -> None:
    app()


if __name__ == "__main__":
    main()
