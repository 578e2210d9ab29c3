"""Jobs out of the data and in again."""

from __future__ import annotations

import json
import sys
from contextlib import closing
from datetime import UTC, datetime
from pathlib import Path
from typing import Annotated

import typer

from humble_trowel.cli.serving import prepare
from humble_trowel.cli.shared import DataOption, app, settings_of, stop


@app.command("export")
def take_out(job: str, data: DataOption = None, demo: Annotated[bool, typer.Option("--demo")] = False) -> None:
    """Write JOB (its id, or its name) as a job file on standard output."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.reading.job_file import read_plan
    from humble_trowel.files.job_file import write_job
    from humble_trowel.store import jobs
    from humble_trowel.store.db import connect

    settings = settings_of(data, 0, demo)
    if not settings.database.exists():
        stop(f"There are no data in {settings.data}.")
    with closing(connect(settings.database, readonly=True)) as db:
        rows = [jobs.head(db, row.id) for row in jobs.every(db)]
    found = [row for row in rows if row.job_id == job] or [
        row for row in rows if row.document["name"].lower() == job.lower()
    ]
    if len(found) != 1:
        names = "; ".join(f"{row.job_id} {row.document['name']}" for row in rows) or "none"
        stop(f"{job}: {'two jobs have that name' if found else 'no such job'}. Jobs here: {names}")
    try:
        told = write_job(read_plan(found[0].document))
    except TrowelError as error:  # what today's rules refuse leaves as it stands
        typer.echo(f"{job}: {error}", err=True)
        told = json.dumps(found[0].document, ensure_ascii=False, indent=1).encode()
    sys.stdout.buffer.write(told)


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
