"""Edits of the order and the quote: an order as a person says it, what is poured with the rest, lines of the quote."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.edits.base import EditBase, Edited, QuoteLineId, Short, SpareId, Title, Typed
from humble_trowel.core.errors import EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of, with_ids
from humble_trowel.core.plan.order_parts import QuoteLine, Spare
from humble_trowel.core.units import format_ordered, parse_volume


def _volume(plan: Plan, typed: Typed) -> float:
    """m3 from what was typed: a number is m3, text is in the job's unit."""
    m3 = float(typed) if isinstance(typed, int | float) else parse_volume(typed, plan.units)
    if not 0 < m3 <= 1000:
        raise EditError("That is no amount of concrete.", "m3")
    return m3


class SayOrder(EditBase):
    """Order so much, whatever is worked out. why: kept on the close-out. by: who says so."""

    op: Literal["say_order"]
    ordered: Typed
    why: Short
    by: Short = ""

    def apply(self, plan: Plan) -> Edited:
        m3 = _volume(plan, self.ordered)
        if not self.why.strip():
            raise EditError("Say why, in a few words: it stays with the job.", "why")
        said = {"ordered_m3": m3, "ordered_why": self.why.strip(), "ordered_by": self.by.strip()}
        unit = "m³" if plan.units == "mm" else "yd"
        order = plan.order.model_copy(update=said)
        return plan.model_copy(update={"order": order}), f"Order said: {format_ordered(m3, plan.units)} {unit}"


class DropOrder(EditBase):
    """Order what is worked out again."""

    op: Literal["drop_order"]

    def apply(self, plan: Plan) -> Edited:
        if plan.order.ordered_m3 is None:
            raise EditError("Nobody said another order.")
        order = plan.order.model_copy(update={"ordered_m3": None, "ordered_why": "", "ordered_by": ""})
        return plan.model_copy(update={"order": order}), "Order as worked out"


class AddSpare(EditBase):
    """Something that is poured with what is left."""

    op: Literal["add_spare"]
    name: Title
    takes: Typed

    def apply(self, plan: Plan) -> Edited:
        if not self.name.strip():
            raise EditError("Say what it is: a pad, blocks, a kerb.", "name")
        row = Spare(name=self.name.strip(), m3=_volume(plan, self.takes))
        order = plan.order.model_copy(update={"spare": [*plan.order.spare, row]})
        return with_ids(plan.model_copy(update={"order": order})), f"{row.name} takes what is left"


class TakeOutSpare(EditBase):
    """It takes nothing any more."""

    op: Literal["take_out_spare"]
    spare: SpareId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "spare", self.spare, "spare")
        rows = list(plan.order.spare)
        gone = rows.pop(at)
        return plan.model_copy(
            update={"order": plan.order.model_copy(update={"spare": rows})}
        ), f"{gone.name} taken out"


class AddQuoteLine(EditBase):
    """Something that is charged, or taken off, and stands nowhere else."""

    op: Literal["add_quote_line"]
    name: Title
    cents: Annotated[int, Field(ge=-(10**9), le=10**9)]

    def apply(self, plan: Plan) -> Edited:
        if not self.name.strip():
            raise EditError("Say what it is for.", "name")
        row = QuoteLine(name=self.name.strip(), cents=self.cents)
        quote = plan.quote.model_copy(update={"extra": [*plan.quote.extra, row]})
        return with_ids(plan.model_copy(update={"quote": quote})), f"{row.name} on the quote"


class TakeOutQuoteLine(EditBase):
    """It is not charged any more."""

    op: Literal["take_out_quote_line"]
    line: QuoteLineId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "quote_lines", self.line, "line")
        rows = list(plan.quote.extra)
        gone = rows.pop(at)
        return plan.model_copy(
            update={"quote": plan.quote.model_copy(update={"extra": rows})}
        ), f"{gone.name} off the quote"


ORDER_EDITS = (SayOrder, DropOrder, AddSpare, TakeOutSpare, AddQuoteLine, TakeOutQuoteLine)
