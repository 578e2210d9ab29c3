"""The box of a job: which sheets, photos and papers go into it."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from datetime import date

from humble_trowel.core.gate.changes import changes_told
from humble_trowel.core.gate.holds import when_text
from humble_trowel.core.job import Job
from humble_trowel.core.photos.records import Photo
from humble_trowel.core.stages.gate import gate_told
from humble_trowel.core.steel.cuts_told import cuts_told
from humble_trowel.papers.as_built_sheet import as_built_pdf
from humble_trowel.papers.call_sheet import call_pdf
from humble_trowel.papers.check_sheet import check_pdf
from humble_trowel.papers.embed_sheet import embeds_pdf
from humble_trowel.papers.forms_sheet import forms_pdf
from humble_trowel.papers.hand_over_sheet import hand_over_pdf
from humble_trowel.papers.pack import PackFile, PackOf, PackPhoto, pack_pdf
from humble_trowel.papers.pages import Paper
from humble_trowel.papers.quote_sheet import day_words
from humble_trowel.papers.set_out_sheet import set_out_pdf
from humble_trowel.papers.steel_sheet import steel_pdf
from humble_trowel.papers.underslab_sheet import underslab_pdf
from humble_trowel.papers.walk_sheet import walk_pdf

Bytes = Callable[[str], bytes | None]


def job_pack(job: Job, picture_of: Bytes, today: date, paper: Paper) -> bytes:
    """The box as one PDF. picture_of: a picture or PDF by its id; None where it has not come. job: with an outline."""
    told = gate_told(job, today, weather=False)
    photos = photos_of(job, picture_of)
    files = [
        PackFile(f"{one.name}: {one.file_name}" if one.file_name else one.name, data)
        for one in job.papers
        if one.photo and (data := picture_of(one.photo)) is not None
    ]
    tests = [
        f"{line.name}: {line.told.words if line.told else 'not tested'}"
        for line in (job.tested.lines if job.tested else [])
    ]
    of = PackOf(
        job.plan.name, told, job.papers, changes_told(job.site_changes, job.plan.units), tests, sheets_of(job, paper, today, photos), photos, files,
        when_text(today.isoformat()),
    )  # fmt: skip
    return pack_pdf(of, paper)


def sheets_of(
    job: Job, paper: Paper, today: date, photos: Sequence[PackPhoto] = ()
) -> list[tuple[str, Callable[[], bytes]]]:
    """Those that the job has anything for. photos: for the hand-over."""
    plan = job.plan
    rows: list[tuple[str, Callable[[], bytes]]] = [
        (
            "Setting out",
            lambda: set_out_pdf(plan, job.answered("set_out", job.set_out), job.answered("forms", job.forms), paper)[0],
        )
    ]
    rows.append(("Forms", lambda: forms_sheet(job, paper)))
    rows.append(("Check", lambda: check_sheet(job, paper)))
    if job.underslab is not None or job.covered is not None:
        rows.append(
            ("Under the slab", lambda: underslab_pdf(plan, job.underslab, job.tested, job.covered, job.tubing, paper))
        )
    if job.steel is not None:
        rows.append(("Steel", lambda: steel_pdf(plan, job.steel_told, cuts_told(plan.units, job.steel_cuts), paper)))
    if job.embeds is not None:
        rows.append(("What is set", lambda: embeds_pdf(plan, job.embeds_told, paper)))
    rows.append(("The call", lambda: call_sheet(job, paper)))
    signed = [one for _, one in job.signatures]
    rows.append(("The walk, and the inspector's list", lambda: walk_pdf(plan, job.walked, signed, paper)))
    if job.pour_said.any or job.cure_said.any or job.built.rows:
        rows.append(("As built", lambda: built_sheet(job, paper, today)))
        rows.append(("Hand-over", lambda: hand_over_sheet(job, photos, paper, today)))
    return rows


def forms_sheet(job: Job, paper: Paper) -> bytes:
    """Boards, stakes and how they are cut, on paper."""
    return forms_pdf(job.plan, job.answered("forms", job.forms), job.boards, paper)


def check_sheet(job: Job, paper: Paper) -> bytes:
    """What is taped again before the pour, on paper."""
    return check_pdf(job.plan, job.answered("set_out", job.set_out), job.ground.rod if job.ground else [], paper)


def call_sheet(job: Job, paper: Paper) -> bytes:
    """The call to the plant, on paper."""
    return call_pdf(job.plan, job.figure.call_in, job.ways.plant.name, job.ways.plant.phone, paper)


def built_sheet(job: Job, paper: Paper, today: date) -> bytes:
    """The slab as it stands, on paper."""
    shots = [(one.spot, one.off_mm) for one in job.cure_said.shots_values]
    return as_built_pdf(job.plan, job.built, shots, paper, when_text(today.isoformat()))


def hand_over_sheet(job: Job, photos: Sequence[PackPhoto], paper: Paper, today: date) -> bytes:
    """What the owner of the slab is told, with what the gate still holds."""
    told = job.hand_over(gate_told(job, today, weather=False).holds)
    return hand_over_pdf(job.plan, job.ways.firm, told, photos, paper, day_words(today.isoformat()))


def photos_of(job: Job, picture_of: Bytes) -> list[PackPhoto]:
    """Pictures that have come, with their words."""
    return [
        PackPhoto(data, one.title or one.of, one.note)
        for one in job.records.of(Photo)
        if (data := picture_of(one.photo)) is not None
    ]
