"""The lines of a job: set-out, squaring, forms and their boards."""

from __future__ import annotations

from humble_trowel.core.errors import TrowelError
from humble_trowel.core.forms.cut_boards import CutPlanOfJob, cut_boards
from humble_trowel.core.forms.form_plan import FormPlan, form_plan
from humble_trowel.core.job.edges import EdgesAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.lines.records import Taped
from humble_trowel.core.lines.setting_out import SetOutSheet, set_out
from humble_trowel.core.lines.square_job import square_plan
from humble_trowel.core.lines.squaring import Squared


class LinesAnswers(EdgesAnswers):
    """Where it stands, and what holds it."""

    @kept("plan", "ways.set_out")
    def set_out(self) -> SetOutSheet | None:
        """Everything to set the slab out by."""
        if self.plan.outline is None:
            return None
        return self.guarded("set_out", "The set-out sheet", lambda: set_out(self.plan, self.ways), None)

    @kept("plan", "ways.forms", "set_out", "solid")
    def forms(self) -> FormPlan | None:
        """How each side is formed, and what it takes."""
        return self.guarded("forms", "The forms", self._forms, None)

    def _forms(self) -> FormPlan | None:
        if self.solid is None or self.set_out is None:
            return None
        return form_plan(self.plan, self.solid.cells, self.ways, self.set_out.string_mm)

    @kept("plan", "ways.forms", "forms")
    def boards(self) -> CutPlanOfJob | None:
        """Which boards to buy and how to cut them."""
        forms = self.forms
        return (
            None
            if forms is None
            else self.guarded("boards", "The cut plan", lambda: cut_boards(self.plan, forms, self.ways), None)
        )

    @kept("plan", "ways.tape", "earlier")
    def squared(self) -> Squared | None:
        """The newest taped round against the plan; None without one, or where the outline has other corners now."""
        taped = self.earlier.newest(Taped)
        if taped is None or self.plan.outline is None:
            return None
        try:
            return square_plan(self.plan, taped, self.ways)
        except TrowelError:
            return None
