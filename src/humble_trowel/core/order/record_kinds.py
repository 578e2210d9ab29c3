"""Records of calls to the plant."""

from __future__ import annotations

import math

from humble_trowel.core.errors import InputError
from humble_trowel.core.order.records import OrderCalled
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units, format_ordered


class OrderCalledKind(RecordKind[OrderCalled]):
    """A call; the newest one is what the plant holds."""

    name = "order-called"
    values = OrderCalled

    def resolved(self, values: OrderCalled, plan: Plan) -> OrderCalled:
        return values

    def check(self, job: JobSoFar, values: OrderCalled) -> None:
        if abs(math.fsum(values.loads_m3) - values.ordered_m3) > 0.02:
            raise InputError("The loads do not add up to the order. Look at the card again.", "loads_m3")

    def sentence(self, job: JobSoFar, values: OrderCalled) -> str:
        unit = "m³" if job.plan.units == "mm" else "yd"
        size = f"{format_ordered(values.ordered_m3, job.plan.units)} {unit}"
        who = f" to {values.heard_by}" if values.heard_by else ""
        number = f", order {values.number}" if values.number else ""
        what = f"Last load said{who}: {size} in all" if values.last else f"Called in{who}: {size}"
        return f"{what}{number}."

    def shown(self, values: OrderCalled, units: Units) -> list[str]:
        return [format_ordered(values.ordered_m3, units)]


ORDER_RECORDS = (OrderCalledKind(),)
