"""What `figure --json` says under `underslab`."""

from __future__ import annotations

from pydantic import Field

from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.report import Report
from humble_trowel.core.underslab.covered import Covered
from humble_trowel.core.underslab.line_tests import Tested
from humble_trowel.core.underslab.tubing import TubingLaid
from humble_trowel.core.underslab.underslab import Buried


class SleeveReport(Report):
    """A sleeve: what it passes, its size as sold, and its ends along the run."""

    name: str
    size_mm: float
    s0_mm: float
    s1_mm: float


class ServiceReport(Report):
    """A run. invert_*_mm: levels of the pipe's bottom, 0 is the finished top of the main slab."""

    name: str
    kind: str
    length_m: float
    fall: float
    invert_start_mm: float
    invert_end_mm: float
    bedding_t: float
    sleeves: list[SleeveReport]


class FaceReport(Report):
    """A distance from a finished face, and from the form board there."""

    side: str
    face_mm: float
    board_mm: float


class RiserReport(Report):
    """A riser with its place."""

    name: str
    from_faces: list[FaceReport]
    x_mm: float
    y_mm: float


class ClashReport(Report):
    """A clash."""

    code: str
    where: str
    words: str


class UnderslabReport(Report):
    """What is buried."""

    services: list[ServiceReport]
    risers: list[RiserReport]
    clashes: list[ClashReport]

    @classmethod
    def of(cls, found: Buried) -> UnderslabReport:
        """Under its fixed names."""

        def place(at: XY) -> dict[str, float]:
            return {"x_mm": at[0], "y_mm": at[1]}

        return cls(
            services=[
                ServiceReport(
                    name=run.name, kind=run.kind, length_m=run.length_mm / 1000, fall=run.fall, invert_start_mm=run.start_mm,
                    invert_end_mm=run.end_mm, bedding_t=run.bedding_t, sleeves=SleeveReport.rows(run.sleeves),
                )
                for run in found.runs
            ],
            risers=[
                RiserReport(
                    name=row.name, **place(row.at),
                    from_faces=[FaceReport(side=one.name, face_mm=one.face_mm, board_mm=one.board_mm) for one in row.faces],
                )
                for row in found.risers
            ],
            clashes=ClashReport.rows(found.clashes),
        )  # fmt: skip


class BarrierReport(Report):
    """The barrier as laid. boots: how many risers come through it."""

    area_m2: float
    row_count: int = Field(alias="rows")
    rolls: int
    tape_m: float
    boots: int

    @classmethod
    def of(cls, found: Covered) -> BarrierReport | None:
        """Under its fixed names; None without a barrier."""
        one = found.barrier
        if one is None:
            return None
        return cls(
            area_m2=one.area_m2,
            row_count=one.rows,
            rolls=round(one.rolls.value),
            tape_m=one.tape_m,
            boots=len(one.boots),
        )


class FoamReport(Report):
    """Foam of one place and thickness."""

    what: str
    kind: str
    area_m2: float
    boards: int
    r_us: float
    mm: float


class LineTestReport(Report):
    """A line that is tested. caps: risers in the order in which they are capped; state: of its newest test, '' without one."""

    name: str
    caps: list[str]
    state: str

    @classmethod
    def listed(cls, found: Tested) -> list[LineTestReport]:
        """Under their fixed names."""
        return [
            cls(
                name=line.name,
                caps=[step.name for step in line.steps],
                state="" if line.told is None else line.told.state,
            )
            for line in found.lines
        ]


class LoopReport(Report):
    """A loop of tube, with its leaders."""

    room: str
    length_m: float
    bends: int


class TubingReport(Report):
    """Radiant tube. coils: lengths to buy, m."""

    loops: list[LoopReport]
    total_m: float
    coils: list[float]

    @classmethod
    def of(cls, found: TubingLaid) -> TubingReport:
        """Under its fixed names."""
        return cls(
            loops=[LoopReport(room=one.room, length_m=one.length_mm / 1000, bends=one.bends) for one in found.loops],
            total_m=found.total_mm / 1000,
            coils=[one.long_mm / 1000 for one in found.coils],
        )
