"""Points as CSV: name,x,y in and out (RFC 4180)."""

from __future__ import annotations

import csv
import io
from collections.abc import Sequence

from humble_trowel.core.errors import LengthError
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.units import Units, parse_length
from humble_trowel.files.cells import safe
from humble_trowel.files.loop import Loop
from humble_trowel.files.points_file import MM_OF, LengthUnit, PointsError, PointsFile, told

MOST_ROWS = 5000


def read_points_csv(data: bytes, job: Units, units: LengthUnit | None = None) -> PointsFile:
    """An outline as rows name,x,y in order; x_mm, x_ft and so on in the heading say the units. Raises PointsError."""
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError:
        raise PointsError("That is no CSV file: it holds no plain text.") from None
    rows = [row for row in _rows(text) if any(cell.strip() for cell in row)]
    if len(rows) > MOST_ROWS:
        raise PointsError(f"{len(rows)} points. An outline holds 200 corners.")
    if not rows:
        raise PointsError("The file is empty.")
    head = [cell.strip().lower() for cell in rows[0]]
    named = any(cell in ("x", "y") or cell.startswith(("x_", "y_")) for cell in head)
    x_at, y_at, said = _columns(head) if named else (len(rows[0]) - 2, len(rows[0]) - 1, None)
    if x_at < 0:
        raise PointsError("Each row needs a name, x and y.")
    points, text_units = [], False
    for number, row in enumerate(rows[1:] if named else rows, start=2 if named else 1):
        try:
            x, x_said = _number(row[x_at], job)
            y, y_said = _number(row[y_at], job)
        except IndexError:
            raise PointsError(f"Row {number} has no x and y.") from None
        except LengthError as error:
            raise PointsError(f"Row {number}: {error.words}") from None
        text_units = text_units or x_said or y_said
        points.append((x, y))
    if len(points) > 1 and points[0] == points[-1]:
        points.pop()
    if len(points) < 3:
        raise PointsError(f"{len(points)} points are no outline. It takes three or more.")
    own = "mm" if text_units else said
    return told("csv", [Loop("points", tuple(points))], None if text_units else units, own, job, [])


def _rows(text: str) -> list[list[str]]:
    first = text.split("\n", 1)[0]
    mark = max((",", ";", "\t"), key=first.count)
    try:
        return list(csv.reader(io.StringIO(text), delimiter=mark))
    except csv.Error as error:
        raise PointsError(f"That is no CSV file: {error}.") from None


def _columns(head: Sequence[str]) -> tuple[int, int, LengthUnit | None]:
    x_at = next((i for i, cell in enumerate(head) if cell == "x" or cell.startswith("x_")), -1)
    y_at = next((i for i, cell in enumerate(head) if cell == "y" or cell.startswith("y_")), -1)
    if x_at < 0 or y_at < 0:
        raise PointsError("The heading needs both x and y.")
    unit = head[x_at].removeprefix("x").lstrip("_")
    return x_at, y_at, next((known for known in MM_OF if known == unit), None)


def _number(cell: str, job: Units) -> tuple[float, bool]:
    """(value, whether it was text with a unit, then in mm)."""
    said = cell.strip()
    try:
        return float(said), False
    except ValueError:
        sign = -1.0 if said.startswith("-") else 1.0
        return sign * parse_length(said.lstrip("-"), job), True


def write_points_csv(sheet: SetOutSheet) -> bytes:
    """Corners and nails: name, x and y in the plan, then along and left of the baseline, all mm."""
    out = io.StringIO()
    rows = csv.writer(out, lineterminator="\r\n")
    rows.writerow(["name", "x_mm", "y_mm", "along_mm", "left_mm"])
    for corner in sheet.corners:
        rows.writerow(
            [safe(corner.name), *(f"{v:.1f}" for v in (corner.plan_x_mm, corner.plan_y_mm, corner.x_mm, corner.y_mm))]
        )
    return out.getvalue().encode()


def write_set_out_csv(sheet: SetOutSheet) -> bytes:
    """The whole set-out sheet as rows: what, name, from, mm and more."""
    out = io.StringIO()
    rows = csv.writer(out, lineterminator="\r\n")
    rows.writerow(["what", "name", "along_mm", "left_mm", "from_a", "a_mm", "from_b", "b_mm"])
    for corner in sheet.corners:
        rows.writerow(["corner", safe(corner.name), f"{corner.x_mm:.1f}", f"{corner.y_mm:.1f}", "", "", "", ""])
    for swing in sheet.swing:
        rows.writerow(
            ["swing", swing.name, "", "", swing.a_name, f"{swing.a_mm:.1f}", swing.b_name, f"{swing.b_mm:.1f}"]
        )
    for line in sheet.strings:
        for nail in (line.start, line.end):
            rows.writerow(
                [
                    "nail",
                    f"string {line.name} past {nail.beyond}",
                    f"{nail.along_mm:.1f}",
                    f"{nail.left_mm:.1f}",
                    nail.beyond,
                    f"{nail.beyond_mm:.1f}",
                    "",
                    "",
                ]
            )
    for stake in sheet.stakes:
        name = f"past {stake.name} in line with {stake.in_line_with}"
        rows.writerow(["stake", name, f"{stake.along_mm:.1f}", f"{stake.left_mm:.1f}", "", "", "", ""])
    for square in sheet.squares:
        for ends in square.ends:
            rows.writerow(
                ["diagonal", f"{ends['from']} to {ends['to']}", "", "", "", f"{square.diagonal_mm:.1f}", "", ""]
            )
    for row in sheet.three_four_five:
        rows.writerow(
            [
                "3-4-5" if row.square else "chord",
                row.name,
                "",
                "",
                "leg",
                f"{row.along_a_mm:.1f}",
                "leg",
                f"{row.along_b_mm:.1f}",
            ]
        )
    return out.getvalue().encode()
