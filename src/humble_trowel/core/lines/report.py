"""What `figure --json` says under `lines`, and what `square --json` says."""

from __future__ import annotations

from typing import Any

from pydantic import Field

from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.lines.squaring import Squared
from humble_trowel.core.report import Report


class CornerReport(Report):
    """A corner from the held line: along it, and to its left."""

    corner: int
    x_mm: float
    y_mm: float


class SwingReport(Report):
    """A corner by two tapes."""

    corner: int
    from_a: int
    """Corner at which the first tape is held; -1 and -2 are the pins of a lot line."""
    from_b: int
    a_mm: float
    b_mm: float


class NailReport(Report):
    """A nail for a string, from the held line."""

    string: str
    x_mm: float
    y_mm: float
    beyond: str
    """Corner that it lies past."""
    beyond_mm: float


class StakeReport(Report):
    """A stake past a corner, from the held line."""

    corner: int
    in_line_with: str
    x_mm: float = Field(validation_alias="along_mm")
    y_mm: float = Field(validation_alias="left_mm")


class CheckDiagonalReport(Report):
    """A diagonal of a largest rectangle."""

    start: str = Field(serialization_alias="from")
    to: str
    mm: float


class CornerCheckReport(Report):
    """The largest 3-4-5 of a corner, or a checked chord."""

    corner: int
    along_a_mm: float
    """On the side before it."""
    along_b_mm: float
    across_mm: float


class LinesReport(Report):
    """The set-out sheet."""

    baseline: str
    corners: list[CornerReport]
    swing: list[SwingReport]
    profiles: list[NailReport]
    stakes: list[StakeReport]
    diagonals: list[CheckDiagonalReport]
    three_four_five: list[CornerCheckReport]

    @classmethod
    def of(cls, sheet: SetOutSheet) -> LinesReport:
        """The sheet under its fixed names."""
        return cls(
            baseline=sheet.baseline,
            corners=CornerReport.rows(sheet.corners),
            swing=SwingReport.rows(sheet.swing),
            profiles=[
                NailReport(string=line.name, x_mm=nail.along_mm, y_mm=nail.left_mm, beyond=nail.beyond, beyond_mm=nail.beyond_mm)
                for line in sheet.strings
                for nail in (line.start, line.end)
            ],
            stakes=StakeReport.rows(sheet.stakes),
            diagonals=[
                CheckDiagonalReport(start=ends["from"], to=ends["to"], mm=square.diagonal_mm)
                for square in sheet.squares
                for ends in square.ends
            ],
            three_four_five=CornerCheckReport.rows(sheet.three_four_five),
        )  # fmt: skip


class MoveReport(Report):
    """From where a corner stands to where it should stand."""

    corner: int
    dx_mm: float
    dy_mm: float
    distance_mm: float
    words: str


class ResidualReport(Report):
    """A reading against the shape that fits best."""

    name: str
    read_mm: float
    off_mm: float
    """The shape less the reading."""


class NextMeasureReport(Report):
    """A measure to take next; its reading is not in it yet."""

    words: str = Field(validation_alias="name")
    measure: dict[str, Any]


class SquareReport(Report):
    """Which corner to move, and whether to believe it."""

    moves: list[MoveReport]
    misfit_mm: float
    """Root mean square of the residuals."""
    suspect: dict[str, Any] | None
    """The reading that does not fit the others, as it was given."""
    determined: bool
    inside: bool
    """Everything within the crew's tolerance."""
    verdict: str
    acts: list[str]
    """What to do, the largest first."""
    doubt: str
    missing: int
    next: list[NextMeasureReport]
    laid_mm: list[tuple[float, float] | None]
    """Corners as laid, none where not settled."""
    residuals_mm: list[ResidualReport]

    @classmethod
    def of(cls, answer: Squared) -> SquareReport:
        """One round of measures under its fixed names."""
        suspect = answer.suspect
        return cls(
            moves=MoveReport.rows(answer.moves), misfit_mm=answer.misfit_mm,
            suspect=None if suspect is None else suspect.model_dump(mode="json", by_alias=True),
            determined=answer.determined, inside=answer.inside, verdict=answer.verdict, acts=answer.acts,
            doubt=answer.doubt, missing=answer.missing, next=NextMeasureReport.rows(answer.advice),
            laid_mm=answer.laid_mm, residuals_mm=ResidualReport.rows(answer.residuals),
        )  # fmt: skip
