"""The call to the plant on paper: line by line as a dispatcher asks, with room for what is read back."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.order.call_in import CallLine
from humble_trowel.core.plan.document import Plan
from humble_trowel.papers.frame import sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf

NOTE = "Read each line, hear it read back, tick it. What is open is asked before the order stands."


def call_pdf(plan: Plan, lines: Sequence[CallLine], plant: str, phone: str, paper: Paper) -> bytes:
    """One page. plant, phone: whom to ring, '' where nobody said."""
    rows = []
    for line in lines:
        says = f"text(15pt, weight: 700)[#{quoted(line.says)}]" if line.says else f"[#{quoted('still open: ' + line.missing)}]"  # fmt: skip
        rows.append(f"[#{quoted(line.asks)}], {says}, [#tick]")
    whom = ", ".join(bit for bit in (plant, phone) if bit) or "The plant"
    body = f"""
#text(15pt, weight: 700)[#{quoted(whom)}]

#{quoted(NOTE)}
#table(columns: (44mm, 1fr, auto), inset: (x: 3pt, y: 9pt), {", ".join(rows)})
#v(12pt)
Read back by #box(width: 56mm, stroke: (bottom: 0.6pt))[] #h(1fr) at #box(width: 26mm, stroke: (bottom: 0.6pt))[] #h(1fr) order no. #box(width: 34mm, stroke: (bottom: 0.6pt))[]
"""
    return set_pdf(sheet("The call", plan.name, body, paper=paper, table="plain"), {})
