"""The steel list as a table: CSV (RFC 4180) and XLSX, real numbers with their unit in the heading."""

from __future__ import annotations

import csv
import io
from collections.abc import Sequence

from humble_trowel.core.steel.laid import Laid
from humble_trowel.core.steel.schedule import SizeCut
from humble_trowel.core.units import Units
from humble_trowel.files.cells import safe_row, texts_stay_texts

Cell = str | float | int
KG_PER_LB, MM_PER_IN = 0.45359237, 25.4


def schedule_rows(rows: Sequence[Laid], units: Units) -> list[list[Cell]]:
    """Head and rows: a row for each mark and cut length. Lengths in inches and weights in pounds in a job of feet."""
    long, mass = ("mm", "kg") if units == "mm" else ("in", "lb")
    per, each = (1.0, 1.0) if units == "mm" else (MM_PER_IN, KG_PER_LB)
    head: list[Cell] = [
        "mark",
        "what",
        "size",
        "shape",
        "count",
        f"cut_{long}",
        f"leg_1_{long}",
        f"leg_2_{long}",
        "turn_deg",
        f"mass_{mass}",
    ]
    table = [head]
    for row in rows:
        legs: list[Cell] = [round(leg / per, 3) for leg in row.legs_mm[:2]]
        legs += [""] * (2 - len(legs))
        for cut, count in row.pieces:
            weight = cut * count / 1000 * row.bar.kg_m / each
            turn: Cell = row.turns[0] if row.turns else ""
            table.append(
                [
                    row.mark,
                    row.words,
                    row.bar.name,
                    row.shape,
                    count,
                    round(cut / per, 3),
                    *legs,
                    turn,
                    round(weight, 2),
                ]
            )
    return table


def cut_rows(cuts: Sequence[SizeCut], units: Units) -> list[list[Cell]]:
    """Head and rows: a row for each pattern of cuts."""
    long, per = ("mm", 1.0) if units == "mm" else ("in", MM_PER_IN)
    table: list[list[Cell]] = [["size", "bars", f"stock_{long}", "pieces", f"left_{long}", "keep"]]
    for one in cuts:
        for row in one.rows:
            pieces = " + ".join(f"{mark} {length / per:.2f}" for mark, length in row.pieces)
            table.append(
                [
                    one.bar.name,
                    row.count,
                    round(row.stock_mm / per, 3),
                    pieces,
                    round(row.left_mm / per, 3),
                    "yes" if row.keep else "",
                ]
            )
    return table


def write_steel_csv(rows: Sequence[Laid], units: Units) -> bytes:
    """The schedule as CSV, with a mark of its coding so that tables of numbers open it rightly."""
    out = io.StringIO()
    csv.writer(out).writerows(safe_row(row) for row in schedule_rows(rows, units))
    return ("\ufeff" + out.getvalue()).encode()


def write_steel_xlsx(rows: Sequence[Laid], cuts: Sequence[SizeCut], units: Units) -> bytes:
    """The schedule and the cut plan as two sheets of one book."""
    from openpyxl import Workbook
    from openpyxl.styles import Font
    from openpyxl.utils import get_column_letter

    book = Workbook()
    for at, (name, table) in enumerate((("bars", schedule_rows(rows, units)), ("cuts", cut_rows(cuts, units)))):
        sheet = book.worksheets[0] if at == 0 else book.create_sheet()
        sheet.title = name
        for line in table:
            sheet.append(line)
        texts_stay_texts(sheet)
        for cell in sheet[1]:
            cell.font = Font(bold=True)
        sheet.freeze_panes = "A2"
        for column in range(1, len(table[0]) + 1):
            wide = max(len(str(line[column - 1])) for line in table)
            sheet.column_dimensions[get_column_letter(column)].width = min(60, wide + 3)
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()
