"""Every edit there is, and applying a list of them. An edit is a class with `apply`; it registers itself here, once.

`apply` checks the result, so that no edit can leave a plan that could not be read again.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import TYPE_CHECKING, Annotated, Any, Union

from pydantic import Field, ValidationError

from humble_trowel.core.edits.alongside import ALONGSIDE_EDITS
from humble_trowel.core.edits.base import EditBase
from humble_trowel.core.edits.bays import BAY_EDITS
from humble_trowel.core.edits.beams import BEAM_EDITS
from humble_trowel.core.edits.beside import BESIDE_EDITS
from humble_trowel.core.edits.called import CALL_EDITS
from humble_trowel.core.edits.called_day import CallDay
from humble_trowel.core.edits.called_kind import KIND_EDITS
from humble_trowel.core.edits.carry_parts import parts_on_outline
from humble_trowel.core.edits.covering import COVERING_EDITS
from humble_trowel.core.edits.day import DAY_EDITS
from humble_trowel.core.edits.edges import EDGE_EDITS
from humble_trowel.core.edits.embeds import EMBED_EDITS
from humble_trowel.core.edits.fields import ReplacePlan, SetFields
from humble_trowel.core.edits.footings import FOOTING_EDITS
from humble_trowel.core.edits.forms import FORM_EDITS
from humble_trowel.core.edits.ground import GROUND_EDITS
from humble_trowel.core.edits.heated import HEATED_EDITS
from humble_trowel.core.edits.inner_walls import WalkWall
from humble_trowel.core.edits.joints import JOINT_EDITS
from humble_trowel.core.edits.on_top import TOP_EDITS
from humble_trowel.core.edits.openings import OPENING_EDITS
from humble_trowel.core.edits.order import ORDER_EDITS
from humble_trowel.core.edits.outline import OUTLINE_EDITS
from humble_trowel.core.edits.pads import PAD_EDITS
from humble_trowel.core.edits.recesses import RECESS_EDITS
from humble_trowel.core.edits.schedule import SCHEDULE_EDITS
from humble_trowel.core.edits.screed_calls import SCREED_EDITS
from humble_trowel.core.edits.set_bolts import BOLT_EDITS
from humble_trowel.core.edits.steel import STEEL_EDITS
from humble_trowel.core.edits.take_out import TakeOut
from humble_trowel.core.edits.templates import Template
from humble_trowel.core.edits.underslab import UNDERSLAB_EDITS
from humble_trowel.core.edits.usual_kinds import KIND_OF_JOB_EDITS
from humble_trowel.core.edits.walls import WALL_EDITS
from humble_trowel.core.edits.zones import ZONE_EDITS
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.plan.model import Row
from humble_trowel.core.reading.check_plan import check_plan
from humble_trowel.core.reading.job_file import anticlockwise, validate
from humble_trowel.core.reading.plain_errors import plan_error

EDITS: tuple[type[EditBase], ...] = (
    *OUTLINE_EDITS, *OPENING_EDITS, *ZONE_EDITS, *EDGE_EDITS, *BESIDE_EDITS, *FORM_EDITS, *GROUND_EDITS, *BEAM_EDITS, *BAY_EDITS, *PAD_EDITS,
    *RECESS_EDITS, *TOP_EDITS, *FOOTING_EDITS, *WALL_EDITS, *ALONGSIDE_EDITS, *UNDERSLAB_EDITS, *COVERING_EDITS, *HEATED_EDITS, *STEEL_EDITS, *EMBED_EDITS, WalkWall, *BOLT_EDITS, *JOINT_EDITS, *SCREED_EDITS, *ORDER_EDITS, *DAY_EDITS, *SCHEDULE_EDITS, CallDay, *CALL_EDITS, *KIND_EDITS, *KIND_OF_JOB_EDITS, Template, TakeOut, SetFields, ReplacePlan,
)  # fmt: skip
if TYPE_CHECKING:
    Edit = EditBase
else:
    Edit = Annotated[Union[EDITS], Field(discriminator="op")]  # noqa: UP007


def apply(plan: Plan, edits: Sequence[EditBase]) -> tuple[Plan, str]:
    """Apply edits in order. Returns the checked plan and the summary of the last; raises PlanError, EditError, ...

    Fields and rows that no edit touches are the very objects that they were in `plan`.
    """
    before, summary = plan, "Nothing changed"
    for edit in edits:
        try:
            edited, summary = edit.apply(plan)
        except ValidationError as error:
            raise plan_error(error) from None
        carried = edited if isinstance(edit, ReplacePlan) else parts_on_outline(plan, edited)
        plan = with_ids(carried)
    if plan is before:
        return plan, summary
    plan = with_ids(anticlockwise(_read_again(before, plan)))
    check_plan(plan)
    return plan, summary


def _read_again(before: Plan, after: Plan) -> Plan:
    """`after` with its changed fields validated as if read from a file; equal rows are the ones of `before`."""
    everything = after.units != before.units
    fields = [key for key in Plan.model_fields if everything or getattr(after, key) is not getattr(before, key)]
    data = after.model_dump(include={*fields, "name", "units"})
    read = validate(data)
    changes = {key: _kept(getattr(before, key), getattr(read, key)) for key in fields}
    return before.model_copy(update=changes)


def _kept(before: Any, after: Any) -> Any:
    """The old object where nothing changed; in a list of rows the old rows, so that what was worked out of them holds."""
    if before == after:
        return before
    if not (isinstance(before, list) and isinstance(after, list)):
        return after
    known = {row.id: row for row in before if isinstance(row, Row)}
    return [known[row.id] if isinstance(row, Row) and known.get(row.id) == row else row for row in after]
