"""Records of the slab as it stands: what each must be to make sense, and what it comes to."""

from __future__ import annotations

from humble_trowel.core.built.built import off_words
from humble_trowel.core.built.rack import with_boards
from humble_trowel.core.built.records import AsBuilt, EdgeFinished, Invoiced, Racked
from humble_trowel.core.cost.cost import money
from humble_trowel.core.errors import InputError
from humble_trowel.core.pour_sim.parts import OUTSIDE_MM, on_floor
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind, side_there


class AsBuiltKind(RecordKind[AsBuilt]):
    """A thing as it stands."""

    name = "as_built"
    values = AsBuilt

    def check(self, job: JobSoFar, values: AsBuilt) -> None:
        plan = job.plan
        if values.thing == "joint" and values.of not in {row.id for row in plan.joints.lines}:
            raise InputError("That joint is not on the plan any more. Press another one.", "of")
        if values.thing == "side":
            side_there(job, values.of, "of")
        if values.spot is not None and not on_floor(job.shape, values.spot):
            raise InputError(f"That is more than {OUTSIDE_MM / 1000:g} m beside the slab. Tap where it is.", "spot")

    def sentence(self, job: JobSoFar, values: AsBuilt) -> str:
        return f"{'Added' if values.thing == 'added' else off_words(values, job.plan.units).capitalize()}."


class EdgeFinishedKind(RecordKind[EdgeFinished]):
    """The foam of a side is finished."""

    name = "edge_finished"
    values = EdgeFinished

    def check(self, job: JobSoFar, values: EdgeFinished) -> None:
        side_there(job, values.side, "side")

    def sentence(self, job: JobSoFar, values: EdgeFinished) -> str:
        return f"{values.at[11:16]}: foam finished."


class InvoicedKind(RecordKind[Invoiced]):
    """An invoice that went out."""

    name = "invoiced"
    values = Invoiced

    def sentence(self, job: JobSoFar, values: Invoiced) -> str:
        return f"Invoice {values.number}: ${money(values.cents)}, due {values.due_on}."


class RackedKind(RecordKind[Racked]):
    """Boards are back on the rack."""

    name = "racked"
    values = Racked

    def check(self, job: JobSoFar, values: Racked) -> None:
        with_boards(job.crew, [], values.back, strict=True)

    def sentence(self, job: JobSoFar, values: Racked) -> str:
        return f"{sum(row.count for row in values.back)} boards back on the rack."


BUILT_RECORDS = (AsBuiltKind(), EdgeFinishedKind(), InvoicedKind(), RackedKind())
