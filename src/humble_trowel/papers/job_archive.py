"""A job as an archive of open formats: its plan as drawn and as built, what was written down, drawings, lists, days, pictures, its box of papers."""

from __future__ import annotations

import io
import json
import re
import zipfile
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import date, datetime

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.job import Job
from humble_trowel.core.photos.records import Photo
from humble_trowel.core.progress import tick
from humble_trowel.core.record_kinds import RECORD_KINDS
from humble_trowel.core.stages import report
from humble_trowel.files.calendar_ics import calendar_ics
from humble_trowel.files.cost_table import write_cost_xlsx
from humble_trowel.files.dxf_built import write_as_built_dxf
from humble_trowel.files.dxf_write import write_dxf
from humble_trowel.files.job_calendar import job_days
from humble_trowel.files.job_file import write_job
from humble_trowel.files.points_csv import write_points_csv, write_set_out_csv
from humble_trowel.files.steel_table import write_steel_csv
from humble_trowel.papers.job_pack import Bytes, job_pack
from humble_trowel.papers.pages import Paper

ABOUT = """This is one job in open formats.

job.json            the plan as drawn, a job file
as-built.json       the plan as it stands, a job file
records.jsonl       what the site wrote down, a line each: kind and values, oldest first of each kind
answers.json        everything that was worked out of it, under fixed names
plan.dxf, as-built.dxf   drawings; inches for a job in feet, millimetres otherwise
points.csv, set-out.csv, steel.csv, cost.xlsx   lists
days.ics            its days, for a calendar
papers.pdf          the whole box of papers
photos/             pictures, as they were kept
"""


@dataclass(frozen=True)
class _File:
    name: str
    make: Callable[[], bytes]


def job_archive(job_id: str, job: Job, revision: int, picture_of: Bytes, now: datetime, paper: Paper) -> bytes:
    """The archive as ZIP bytes. What cannot be made is left out and named in about.txt. Says how far it is while it works."""
    left_out: list[str] = []
    photos = list(job.records.of(Photo))
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
        files = _files(job_id, job, revision, picture_of, now, paper)
        for at, file in enumerate(files):
            tick(0.9 * at / len(files))
            try:
                _put(archive, file.name, file.make(), now)
            except (TrowelError, ValueError) as error:
                left_out.append(f"{file.name}: {error}")
        for n, one in enumerate(photos, 1):
            data = picture_of(one.photo)
            if data is not None:
                _put(archive, f"photos/{n:03d}-{_slug(one.title or one.of or 'photo')}.jpg", data, now)
        about = ABOUT + ("\nLeft out, for it cannot be made:\n" + "\n".join(left_out) + "\n" if left_out else "")
        _put(archive, "about.txt", about.encode(), now)
    return out.getvalue()


def _put(archive: zipfile.ZipFile, name: str, data: bytes, now: datetime) -> None:
    archive.writestr(
        zipfile.ZipInfo(name, (now.year, now.month, now.day, now.hour, now.minute, now.second)),
        data,
        zipfile.ZIP_DEFLATED,
    )


def _slug(text: str) -> str:
    return re.sub(r"[^a-z0-9]+", "-", text.lower()).strip("-")[:40] or "photo"


def _files(job_id: str, job: Job, revision: int, picture_of: Bytes, now: datetime, paper: Paper) -> Sequence[_File]:
    plan, today = job.plan, now.date()
    shots = [(one.spot, one.off_mm) for one in job.cure_said.shots_values]
    sheet, forms = job.answered("set_out", job.set_out), job.answered("forms", job.forms)
    return [
        _File("job.json", lambda: write_job(plan)),
        _File("as-built.json", lambda: write_job(job.plan_as_built)),
        _File("records.jsonl", lambda: _records(job)),
        _File("answers.json", lambda: json.dumps(report(job), indent=1, ensure_ascii=False).encode()),
        _File("plan.dxf", lambda: write_dxf(plan, sheet, forms, job.steel.bars if job.steel else (), job.bolt_spots)),
        _File("as-built.dxf", lambda: write_as_built_dxf(plan, sheet, forms, job.bolt_spots, job.built, shots)),
        _File("points.csv", lambda: write_points_csv(sheet)),
        _File("set-out.csv", lambda: write_set_out_csv(sheet)),
        _File("steel.csv", lambda: write_steel_csv(job.steel.bars if job.steel else [], plan.units)),
        _File("cost.xlsx", lambda: write_cost_xlsx(job.answered("numbers", job.cost(today.isoformat())))),
        _File("days.ics", lambda: calendar_ics(plan.name, job_days(job_id, job, today), now, revision)),
        _File("papers.pdf", lambda: job_pack(job, picture_of, _day(now), paper)),
    ]


def _day(now: datetime) -> date:
    return now.date()


def _records(job: Job) -> bytes:
    rows = [
        json.dumps(
            {"id": name, "kind": kind.name, "values": json.loads(values.model_dump_json(by_alias=True))},
            ensure_ascii=False,
        )
        for kind in RECORD_KINDS
        for name, values in job.records.named(kind.values)
    ]
    return ("\n".join(rows) + "\n" if rows else "").encode()
