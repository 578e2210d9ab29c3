"""Jobs out of the data and in again."""

from __future__ import annotations

import json
import sqlite3
import sys
from contextlib import closing
from datetime import UTC, datetime
from pathlib import Path
from typing import TYPE_CHECKING, Annotated

import typer

from humble_trowel.cli.keeping import plain
from humble_trowel.cli.serving import prepare
from humble_trowel.cli.shared import DataOption, app, settings_of, stop

if TYPE_CHECKING:
    from humble_trowel.core.job import Job
    from humble_trowel.settings import Settings


@app.command("export")
def take_out(
    job: str,
    data: DataOption = None,
    demo: Annotated[bool, typer.Option("--demo")] = False,
    as_stored: Annotated[
        bool, typer.Option("--as-stored", help="All its revisions and records, readable or not.")
    ] = False,
) -> None:
    """Write JOB (its id, or its name) as a job file on standard output."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.reading.job_file import read_plan
    from humble_trowel.files.job_file import write_job
    from humble_trowel.store import jobs
    from humble_trowel.store.as_stored import job_as_stored
    from humble_trowel.store.db import connect

    settings = settings_of(data, 0, demo)
    if not settings.database.exists():
        stop(f"There are no data in {settings.data}.")
    try:
        with closing(connect(settings.database, readonly=True)) as db:
            found = _find(db, job)
            if as_stored:
                told = json.dumps(job_as_stored(db, found), indent=1).encode()
            else:
                row = jobs.head(db, found)
    except sqlite3.Error as error:
        stop(f"{settings.database}: the data cannot be read ({plain(error)}). Run ./trowel doctor.")
    if not as_stored:
        try:
            told = write_job(read_plan(row.document))
        except (TrowelError, jobs.Unreadable) as error:  # what today's rules refuse leaves as it stands
            typer.echo(f"{job}: {error}", err=True)
            told = row.text.encode()
    sys.stdout.buffer.write(told)


def _find(db: sqlite3.Connection, job: str) -> str:
    """The id of a job by its id or name; stops with the jobs that there are."""
    from humble_trowel.store import jobs

    names: dict[str, str] = {}
    for line in jobs.every(db):
        try:
            names[line.id] = str(jobs.head(db, line.id).document.get("name") or "Unnamed slab")
        except (jobs.NoSuchJob, jobs.Unreadable):
            names[line.id] = "cannot be read"
    found = [key for key in names if key == job] or [key for key, name in names.items() if name.lower() == job.lower()]
    if len(found) != 1:
        here = "; ".join(f"{key} {name}" for key, name in names.items()) or "none"
        stop(f"{job}: {'two jobs have that name' if found else 'no such job'}. Jobs here: {here}")
    return found[0]


@app.command("import")
def bring_in(file: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False) -> None:
    """Bring a job FILE into the data; prints the new job's id."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.files.job_file import plan_data, read_job
    from humble_trowel.store import jobs
    from humble_trowel.store.db import connect

    settings = settings_of(data, 0, demo)
    try:
        plan = read_job(file)
    except TrowelError as error:
        stop(f"{file}: {error}")
    except OSError as error:
        stop(f"{file}: {error.strerror or error}.")
    prepare(settings, False)
    with closing(connect(settings.database)) as db:
        now = datetime.now(UTC).isoformat(timespec="seconds")
        row = jobs.create(db, plan_data(plan), "", now, "Brought in from a file")
    typer.echo(row.job_id)


def _opened(settings: Settings, job: str) -> tuple[str, Job, int, sqlite3.Connection]:
    """(its id, the job with its records, its revision, the data open to be read). Stops with plain words."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.job import Job
    from humble_trowel.core.plan.ways import Ways
    from humble_trowel.core.reading.job_file import read_plan
    from humble_trowel.core.record_kinds import read_records
    from humble_trowel.papers.frame import STAMP, revision_words
    from humble_trowel.store import jobs, records, ways
    from humble_trowel.store.db import connect

    if not settings.database.exists():
        stop(f"There are no data in {settings.data}.")
    try:
        db = connect(settings.database, readonly=True)
        found = _find(db, job)
        row = jobs.head(db, found)
        newest = next((text for _, text in ways.every(db)), "{}")
        made = Job(read_plan(row.document), Ways.model_validate_json(newest), read_records(records.standing(db, found)))
    except sqlite3.Error as error:
        stop(f"{settings.database}: the data cannot be read ({plain(error)}). Run ./trowel doctor.")
    except (TrowelError, ValueError) as error:
        stop(f"{job}: {error}")
    if made.plan.outline is None:
        stop(f"{job}: there is no outline yet.")
    STAMP.set(revision_words(row.n, row.at))
    return found, made, row.n, db


@app.command()
def pack(
    job: str,
    out: Path,
    data: DataOption = None,
    demo: Annotated[bool, typer.Option("--demo")] = False,
    paper: Annotated[str, typer.Option(help="letter or a4")] = "letter",
) -> None:
    """The box of papers of JOB (its id, or its name) as one PDF."""
    from datetime import date

    from humble_trowel.papers.job_pack import job_pack
    from humble_trowel.store import photos

    if paper not in ("letter", "a4"):
        stop("The paper is letter or a4.")
    found, made, _, db = _opened(settings_of(data, 0, demo), job)
    with closing(db):
        bound = job_pack(
            made,
            lambda name: getattr(photos.find(db, found, name), "picture", None),
            date.today(),
            "a4" if paper == "a4" else "letter",
        )
    _written(out, bound)


@app.command()
def archive(
    job: str, out: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False
) -> None:
    """JOB (its id, or its name) in open formats, with its papers and pictures, as one archive (ZIP)."""
    from humble_trowel.papers.job_archive import job_archive
    from humble_trowel.store import photos

    found, made, revision, db = _opened(settings_of(data, 0, demo), job)
    with closing(db):
        now = datetime.now(UTC).replace(microsecond=0)
        packed = job_archive(
            found, made, revision, lambda name: getattr(photos.find(db, found, name), "picture", None), now, "letter"
        )
    _written(out, packed)


@app.command("as-built")
def as_built(
    job: str, out: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False
) -> None:
    """JOB (its id, or its name) as it stands: OUT is a .pdf, a .dxf or a job file (.json)."""
    from datetime import date

    from humble_trowel.core.errors import TrowelError
    from humble_trowel.files.dxf_built import write_as_built_dxf
    from humble_trowel.files.job_file import write_job
    from humble_trowel.papers.job_pack import built_sheet

    kind = out.suffix.lower()
    if kind not in (".pdf", ".dxf", ".json"):
        stop("OUT ends in .pdf, .dxf or .json.")
    _, made, _, db = _opened(settings_of(data, 0, demo), job)
    db.close()
    try:
        if kind == ".pdf":
            told = built_sheet(made, "letter", date.today())
        elif kind == ".json":
            told = write_job(made.plan_as_built)
        else:
            shots = [(one.spot, one.off_mm) for one in made.cure_said.shots_values]
            sheet, forms = made.answered("set_out", made.set_out), made.answered("forms", made.forms)
            told = write_as_built_dxf(made.plan, sheet, forms, made.bolt_spots, made.built, shots)
    except TrowelError as error:
        stop(f"{job}: {error}")
    _written(out, told)


@app.command("hand-over")
def hand_over(
    job: str, out: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False
) -> None:
    """What the owner of the slab of JOB (its id, or its name) is told, as PDF."""
    from datetime import date

    from humble_trowel.papers.job_pack import hand_over_sheet, photos_of
    from humble_trowel.store import photos

    found, made, _, db = _opened(settings_of(data, 0, demo), job)
    with closing(db):
        shown = photos_of(made, lambda name: getattr(photos.find(db, found, name), "picture", None))
        told = hand_over_sheet(made, shown, "letter", date.today())
    _written(out, told)


@app.command()
def calendar(
    job: str, out: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False
) -> None:
    """The days of JOB (its id, or its name) as a calendar file."""
    from datetime import date

    from humble_trowel.files.calendar_ics import calendar_ics
    from humble_trowel.files.job_calendar import job_days

    found, made, revision, db = _opened(settings_of(data, 0, demo), job)
    db.close()
    rows = job_days(found, made, date.today())
    _written(out, calendar_ics(made.plan.name, rows, datetime.now(UTC).replace(microsecond=0), revision))


def _written(out: Path, data: bytes) -> None:
    try:
        out.write_bytes(data)
    except OSError as error:
        stop(f"{out}: {error.strerror or error}.")
    typer.echo(f"{out}: {len(data):,} bytes.")


@app.command("export-all")
def take_all_out(file: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False) -> None:
    """Write all jobs, records, pictures and ways as one archive (ZIP) of open formats in FILE."""
    from humble_trowel.store.everything import write_everything

    settings = settings_of(data, 0, demo)
    if not settings.database.exists():
        stop(f"There are no data in {settings.data}.")
    if not file.absolute().parent.is_dir():
        stop(f"There is no folder {file.absolute().parent}.")
    try:
        held = write_everything(settings.database, file)
    except FileExistsError:
        stop(f"{file} is there already. Name a new file.")
    except (OSError, sqlite3.Error) as error:
        stop(f"Cannot write {file}: {plain(error)}. Nothing was written.")
    typer.echo(f"Written in {file}: {held.words}.")


@app.command("import-all")
def bring_all_in(file: Path, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False) -> None:
    """Bring in an archive of export-all: jobs that are not here yet; nothing that is here is changed."""
    from humble_trowel.store.copies import BadCopy
    from humble_trowel.store.everything import take_everything

    settings = settings_of(data, 0, demo)
    if not file.is_file():
        stop(f"There is no file {file}.")
    prepare(settings, False)
    try:
        taken = take_everything(settings.database, file)
    except BadCopy as error:
        stop(f"{file}: {error}. Nothing came in.", 1)
    except (OSError, sqlite3.Error) as error:
        stop(f"{file} cannot be brought in: {plain(error)}. Nothing came in.", 1)
    typer.echo(taken.words)
