"""Cells of tables that leave: a text that a table of numbers would take for a formula is written as text."""

from __future__ import annotations

from collections.abc import Iterable
from typing import TYPE_CHECKING

if TYPE_CHECKING:
    from openpyxl.worksheet.worksheet import Worksheet

STARTS = ("=", "+", "-", "@", "\t", "\r")
Cell = str | float | int


def safe(cell: Cell) -> Cell:
    """A cell of a CSV file: an apostrophe stands before what would be worked out on opening (a formula, a command); a number
    stays one."""
    if not isinstance(cell, str) or not cell.lstrip(" ").startswith(STARTS):
        return cell
    try:
        float(cell)
    except ValueError:
        return f"'{cell}"
    return cell


def safe_row(cells: Iterable[Cell]) -> list[Cell]:
    """The same for a row."""
    return [safe(cell) for cell in cells]


def texts_stay_texts(sheet: Worksheet) -> None:
    """No text of a sheet is a formula."""
    for line in sheet.iter_rows():
        for cell in line:
            if cell.data_type == "f":
                cell.data_type = "s"
