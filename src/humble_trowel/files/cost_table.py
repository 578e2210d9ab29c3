"""The cost as a table: every row with its quantity, price and sum; the margin and the price at the end."""

from __future__ import annotations

import io

from humble_trowel.core.cost.cost import Costed
from humble_trowel.files.cells import texts_stay_texts

HEAD = ["group", "what", "quantity", "each", "amount", "from", "why"]


def cost_rows(told: Costed) -> list[list[str | float]]:
    """Head, rows, sum, margin and price. Amounts in whole money units with cents, as numbers."""
    rows: list[list[str | float]] = [list(HEAD)]
    for row in told.rows:
        rows.append([row.group, row.name, row.quantity_text, row.each_text, row.total_cents / 100, row.stage, row.why])
    share = f"{told.margin_share * 100:.1f} % of the price"
    rows.append(["", "Before the margin", "", "", told.rows_cents / 100, "", ""])
    rows.append(["", "Margin", "", "", told.margin_cents / 100, "", share])
    rows.append(["", "Price", told.area_text, told.per_area_text, told.total_cents / 100, "", told.stale])
    return rows


def write_cost_xlsx(told: Costed) -> bytes:
    """The table as a book of one sheet."""
    from openpyxl import Workbook
    from openpyxl.styles import Font
    from openpyxl.utils import get_column_letter

    book = Workbook()
    sheet = book.worksheets[0]
    sheet.title = "cost"
    table = cost_rows(told)
    for line in table:
        sheet.append(line)
    texts_stay_texts(sheet)
    for cell in [*sheet[1], *sheet[len(table)]]:
        cell.font = Font(bold=True)
    for line_at in range(2, len(table) + 1):
        sheet.cell(line_at, 5).number_format = "#,##0.00"
    sheet.freeze_panes = "A2"
    for column in range(1, len(HEAD) + 1):
        wide = max(len(str(line[column - 1])) for line in table)
        sheet.column_dimensions[get_column_letter(column)].width = min(60, wide + 3)
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()
