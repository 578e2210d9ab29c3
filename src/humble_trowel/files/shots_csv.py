"""Rod shots as CSV: name, x, y and a level or a reading. See docs/formats/shots.md."""

from __future__ import annotations

import csv
import io
import math
from collections.abc import Sequence

from humble_trowel.core.errors import InputError
from humble_trowel.core.ground.records import MOST_SHOTS, Shot, Shots
from humble_trowel.core.plan.values import MAX_LENGTH_MM
from humble_trowel.files.cells import safe

MM_OF = {"mm": 1.0, "cm": 10.0, "m": 1000.0, "in": 25.4, "ft": 304.8}
COLUMNS = ("name", "x_mm", "y_mm", "level_mm")


class ShotsFileError(InputError):
    """A file of shots that cannot be used; `path` names the row."""


def read_shots_csv(data: bytes, layer: str, setup: str | None = None) -> Shots:
    """Shots of a file. A heading may put the columns in any order and give their units (x_ft, level_m); without one
    they are name, x_mm, y_mm, level_mm. Raises ShotsFileError naming the row."""
    rows = _rows(data)
    columns, rows, first = _columns(rows)
    if len(rows) > MOST_SHOTS:
        raise ShotsFileError(f"{len(rows)} shots. This holds {MOST_SHOTS} at a time; take every other one.")
    shots: list[Shot] = []
    for number, row in enumerate(rows, start=first):
        if len(row) < len(columns):
            raise ShotsFileError(
                f"Row {number} has {len(row)} columns; it needs {len(columns)}: {', '.join(COLUMNS)}.", f"row {number}"
            )
        said = dict(zip(columns, row, strict=False))
        values = {key: _number(said[key], key, number) for key in columns if key != "name"}
        reading = next((v for key, v in values.items() if key.startswith("reading")), None)
        level = next((v for key, v in values.items() if key.startswith("level")), None)
        x, y = (next(v for key, v in values.items() if key.startswith(f"{axis}_")) for axis in "xy")
        if reading is not None and reading <= 0:
            raise ShotsFileError(f"Row {number}: a rod reading is more than nothing.", f"row {number}")
        shots.append(
            Shot(
                name=said.get("name", "").strip()[:40] or str(len(shots) + 1),
                at=(x, y),
                reading_mm=reading,
                level_mm=level,
            )
        )
    if not shots:
        raise ShotsFileError("There is no shot in the file.")
    if shots[0].reading_mm is not None and setup is None:
        raise ShotsFileError(
            "The file has readings, and there is no set-up they count from. Set the laser up first, or give levels."
        )
    return Shots(layer=layer, setup=setup if shots[0].reading_mm is not None else None, source="file", shots=shots)


def _rows(data: bytes) -> list[list[str]]:
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError:
        text = data.decode("latin-1")
    if "\0" in text:
        raise ShotsFileError("That is no text file. Save it as CSV.")
    first = text.lstrip().split("\n", 1)[0]
    divider = max(",;\t", key=first.count)
    return [row for row in csv.reader(io.StringIO(text), delimiter=divider) if any(cell.strip() for cell in row)]


def _columns(rows: list[list[str]]) -> tuple[list[str], list[list[str]], int]:
    """(column keys with their units, the rows of shots, number of the first)."""
    if not rows:
        raise ShotsFileError("The file is empty.")
    head = [cell.strip().lower().replace(" ", "_") for cell in rows[0]]
    if _is_number(head[-1]) or _is_number(head[min(1, len(head) - 1)]):
        return list(COLUMNS), rows, 1
    keys = []
    for cell in head:
        what, _, unit = cell.partition("_")
        if what in ("x", "y", "level", "reading") and (unit or "mm") in MM_OF:
            keys.append(f"{what}_{unit or 'mm'}")
        elif what in ("x", "y", "level", "reading"):
            raise ShotsFileError(f"The heading {cell} has a unit that is not known: {', '.join(MM_OF)}.", "row 1")
        else:
            keys.append("name" if what in ("name", "point", "no", "shot") else cell)
    plain = [key.partition("_")[0] for key in keys]
    missing = [key for key in ("x", "y") if key not in plain]
    if "level" not in plain and "reading" not in plain:
        missing.append("level")
    if missing:
        raise ShotsFileError(f"The heading has no {' and no '.join(missing)}. It must be {','.join(COLUMNS)}.", "row 1")
    known = [
        key if key == "name" or key.partition("_")[0] in ("x", "y", "level", "reading") else f"name_{key}"
        for key in keys
    ]
    return [key if key != "" else "name" for key in known], rows[1:], 2


def _is_number(cell: str) -> bool:
    try:
        float(cell)
    except ValueError:
        return False
    return True


def _number(cell: str, key: str, row: int) -> float:
    if key.startswith("name"):
        return 0.0
    try:
        value = float(cell.strip()) * MM_OF[key.partition("_")[2]]
    except ValueError:
        raise ShotsFileError(f"Row {row}: {key} is {cell.strip() or 'empty'}, not a number.", f"row {row}") from None
    if not math.isfinite(value) or abs(value) >= MAX_LENGTH_MM:
        raise ShotsFileError(f"Row {row}: {key} is {cell.strip()}, which is absurd for a slab.", f"row {row}")
    return value


def write_shots_csv(rows: Sequence[tuple[str, float, float, float]]) -> bytes:
    """Shots as name, x_mm, y_mm, level_mm."""
    out = io.StringIO()
    table = csv.writer(out, lineterminator="\r\n")
    table.writerow(COLUMNS)
    for name, x, y, level in rows:
        table.writerow([safe(name), f"{x:.1f}", f"{y:.1f}", f"{level:.1f}"])
    return out.getvalue().encode()


def read_dug_csv(data: bytes) -> list[tuple[int, float, float, float]]:
    """Trenches as dug: side, at_mm, width_mm, depth_mm, with that heading. Raises ShotsFileError."""
    rows = _rows(data)
    if not rows or [cell.strip() for cell in rows[0]] != ["side", "at_mm", "width_mm", "depth_mm"]:
        raise ShotsFileError("The heading must be side,at_mm,width_mm,depth_mm.", "row 1")
    found = []
    for number, row in enumerate(rows[1:], start=2):
        if len(row) != 4 or not row[0].strip().isdigit():
            raise ShotsFileError(
                f"Row {number}: give the number of the side, then three lengths in mm.", f"row {number}"
            )
        found.append(
            (
                int(row[0]),
                *(
                    _number(cell, key, number)
                    for cell, key in zip(row[1:], ("at_mm", "width_mm", "depth_mm"), strict=True)
                ),
            )
        )
    return found  # type: ignore[return-value]
