"""The bill: one page, the quote and each agreed change a line, the sum, when it is due."""

from __future__ import annotations

from humble_trowel.core.built.invoice import Invoice
from humble_trowel.core.cost.cost import money
from humble_trowel.core.plan.document import Plan
from humble_trowel.papers.frame import sheet
from humble_trowel.papers.pages import Paper, quoted, set_pdf
from humble_trowel.papers.quote_sheet import day_words


def invoice_pdf(plan: Plan, firm: str, told: Invoice, paper: Paper) -> bytes:
    """One page. firm: who sends it."""

    def sum_text(cents: int) -> str:
        return f"{'−' if cents < 0 else ''}${money(abs(cents))}"

    rows = ", ".join(
        f"[#{quoted(row.words)}], table.cell(align: right)[#{quoted(sum_text(row.cents))}]" for row in told.rows
    )
    left = "\n".join(f"- #{quoted(one)}" for one in told.not_in)
    open_part = f"#v(10pt)\n#{quoted('Not on this bill, for nobody agreed to it yet:')}\n{left}" if left else ""
    under = [
        f"#{quoted(f'Invoice {told.number}, {day_words(told.on)}')} #h(1fr) #{quoted(firm)}",
        f"#{quoted(plan.client or 'To')} #linebreak() #{quoted(plan.site.address)}",
    ]
    body = f"""
#v(10pt)
#table(columns: (1fr, auto), {rows})
#block(above: 14pt, stroke: 1.4pt, inset: 10pt, width: 100%)[#text(19pt, weight: 700)[#{quoted(sum_text(told.total_cents))}] #h(1fr) #text(13pt)[Due #{quoted(day_words(told.due_on))}]]
{open_part}
"""
    source = sheet("Invoice", plan.name, body, paper=paper, under=under, table="plain")
    return set_pdf(source, {})
