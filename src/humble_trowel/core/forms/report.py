"""What `figure --json` says under `forms`."""

from __future__ import annotations

from pydantic import Field

from humble_trowel.core.forms.cut_boards import CutPlanOfJob
from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.report import FindingReport, Report


class SideFormReport(Report):
    """The form of a side."""

    side: int
    formed: bool
    why: str
    """Why it needs none."""
    height_mm: float
    boards: list[str]
    build: str
    stake_spacing_mm: float
    stakes: int
    kickers: int
    lean_mm: float
    """Kicked in at the top."""


class StepFormReport(Report):
    """A board hung along a step between two zones."""

    name: str
    length_mm: float
    height_mm: float
    board: str


class PieceReport(Report):
    """A piece of a board, where it goes."""

    key: str
    side: int
    course: int
    at_mm: float
    mm: float


class BoardReport(Report):
    """A board of the stock and what is cut from it."""

    board: str = Field(validation_alias="mark")
    stock_mm: float = Field(validation_alias="mm")
    on_hand: bool
    price_cents: int
    pieces: list[PieceReport]


class CutPlanReport(Report):
    """How the boards are cut."""

    stock: list[BoardReport] = Field(validation_alias="boards")
    waste_mm: float
    bound_mm: float
    """Bought length below which no plan can go."""
    bought_mm: float
    cost_cents: int
    bound_cents: int
    """No plan costs less."""
    splices: int


class FormsReport(Report):
    """The forms of the job."""

    sides: list[SideFormReport]
    steps: list[StepFormReport]
    totals: dict[str, float]
    """Every total under its name with its unit."""
    findings: list[FindingReport]
    cut_plan: CutPlanReport | None

    @classmethod
    def of(cls, forms: FormPlan, boards: CutPlanOfJob | None) -> FormsReport:
        """Forms and cut plan under their fixed names."""
        return cls(
            sides=SideFormReport.rows(forms.sides),
            steps=StepFormReport.rows(forms.steps),
            totals={take.key: take.value for take in forms.takes},
            findings=FindingReport.of(forms.findings),
            cut_plan=None if boards is None else CutPlanReport.model_validate(boards),
        )
