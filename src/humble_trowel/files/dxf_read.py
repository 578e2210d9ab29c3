"""Outlines out of DXF: closed polylines and loops of lines, arcs and splines as chords within 1/8 in."""

from __future__ import annotations

import io
import math
from collections import Counter
from collections.abc import Iterator
from typing import Any

from humble_trowel.core.geometry.rounds import CHORD_MM
from humble_trowel.core.units import Units
from humble_trowel.files.loops import XY, Loop, close_lines, tidy
from humble_trowel.files.points_file import MM_OF, LengthUnit, PointsError, PointsFile, told

READ = {"LINE", "LWPOLYLINE", "POLYLINE", "ARC", "CIRCLE", "ELLIPSE", "SPLINE"}
INSUNITS: dict[int, LengthUnit] = {1: "in", 2: "ft", 4: "mm", 5: "cm", 6: "m"}
MOST_ENTITIES = 200_000
HAIR_MM = 0.5


def read_dxf(data: bytes, job: Units, units: LengthUnit | None = None) -> PointsFile:
    """Loops of a DXF file. units: as the user says, over the header's. Raises PointsError with plain words."""
    import ezdxf
    from ezdxf import recover
    from ezdxf.lldxf.const import DXFError

    if b"SECTION" not in data[:65536] and b"SECTION\x00" not in data:
        raise PointsError("That is no DXF file: it has none of a drawing's sections in it.")
    try:
        try:
            text = data.decode("utf-8")
            document = ezdxf.read(io.StringIO(text.replace("\r\n", "\n")))  # type: ignore[attr-defined]
        except (DXFError, UnicodeDecodeError, ValueError, KeyError, TypeError, AttributeError, IndexError):
            document, _ = recover.read(io.BytesIO(data))
    except (DXFError, OSError, ValueError, KeyError, TypeError, AttributeError, IndexError, RecursionError):
        raise PointsError("That DXF file is broken and cannot be read. Save it again where it came from.") from None
    said = INSUNITS.get(int(document.header.get("$INSUNITS", 0) or 0))
    return _found(document, said, units, job)


def _found(document: Any, said: LengthUnit | None, units: LengthUnit | None, job: Units) -> PointsFile:
    """Arcs are flattened for the units that the file turns out to be in: read once more where that was a guess."""
    used = units or said or ("in" if job == "ft-in" else "mm")
    found = _read(document, used, said, units, job)
    return found if found.units == used else _read(document, found.units, said, units, job)


def _read(document: Any, used: LengthUnit, said: LengthUnit | None, units: LengthUnit | None, job: Units) -> PointsFile:
    per_mm = 1 / MM_OF[used]
    loops: list[Loop] = []
    chains: list[tuple[str, list[XY]]] = []
    skipped: Counter[str] = Counter()
    bad = 0
    for count, entity in enumerate(_entities(document)):
        if count > MOST_ENTITIES:
            raise PointsError(f"Over {MOST_ENTITIES:,} entities. Save the outline's layer alone.")
        kind = entity.dxftype()
        if kind not in READ:
            skipped[kind.lower()] += 1
            continue
        try:
            points, closed = _points(entity, CHORD_MM * per_mm)
        except Exception:  # one odd entity does not spoil the file
            bad += 1
            continue
        if not all(math.isfinite(x) and math.isfinite(y) for x, y in points):
            bad += 1
        elif closed:
            ring = tidy(points, HAIR_MM * per_mm)
            loops += [Loop(entity.dxf.layer, ring)] if ring else []
        elif len(points) > 1:
            chains.append((entity.dxf.layer, points))
    closed_lines, loose = close_lines(chains, 2 * HAIR_MM * per_mm)
    remarks = _remarks(skipped, bad, loose)
    return told("dxf", loops + closed_lines, units, said, job, remarks)


def _entities(document: Any) -> Iterator[Any]:
    """All entities of the model, those of inserted blocks among them."""
    from ezdxf.disassemble import recursive_decompose

    for entity in document.modelspace():
        if entity.dxftype() == "INSERT":
            yield from recursive_decompose([entity])
        else:
            yield entity


def _points(entity: Any, within: float) -> tuple[list[XY], bool]:
    kind = entity.dxftype()
    if kind == "LINE":
        a, b = entity.dxf.start, entity.dxf.end
        return [(a.x, a.y), (b.x, b.y)], False
    if kind == "LWPOLYLINE" and not entity.has_arc:
        return [(float(x), float(y)) for x, y in entity.get_points("xy")], bool(entity.closed)
    from ezdxf.path import make_path

    path = make_path(entity)
    points = [(spot.x, spot.y) for spot in path.flattening(within, segments=4)]
    return points, bool(path.is_closed) and len(points) > 3


def _remarks(skipped: Counter[str], bad: int, loose: int) -> list[str]:
    rows = []
    if loose:
        rows.append(
            f"{loose} {'line closes' if loose == 1 else 'lines close'} no loop and {'was' if loose == 1 else 'were'} left out."
        )
    if skipped:
        most = ", ".join(f"{count} {name}" for name, count in skipped.most_common(4))
        rows.append(f"Not read: {most}.")
    if bad:
        rows.append(f"{bad} {'entity was' if bad == 1 else 'entities were'} broken and left out.")
    return rows
