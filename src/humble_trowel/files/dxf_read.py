"""Outlines out of DXF: closed polylines and loops of lines, arcs and splines as chords within 1/8 in."""

from __future__ import annotations

import io
from collections import Counter
from collections.abc import Iterator
from typing import Any

from humble_trowel.core.geometry.rounds import CHORD_MM
from humble_trowel.core.units import Units
from humble_trowel.files.loop import XY, Loop, tidy
from humble_trowel.files.loops import close_lines
from humble_trowel.files.points_file import MM_OF, LengthUnit, PointsError, PointsFile, told

READ = {"LINE", "LWPOLYLINE", "POLYLINE", "ARC", "CIRCLE", "ELLIPSE", "SPLINE"}
INSUNITS: dict[int, LengthUnit] = {1: "in", 2: "ft", 4: "mm", 5: "cm", 6: "m"}
MOST_ENTITIES = 20_000
MOST_DATA_LINES = 600_000
MOST_POINTS = 200_000
FARTHEST = 1e12  # in drawing units; beyond it sums lose the inches
WIDEST_CURVE = 1e7  # in drawing units: no slab's, and it would take millions of chords
HAIR_MM = 0.5
ALONE = "Save the outline's layer alone."


def read_dxf(data: bytes, job: Units, units: LengthUnit | None = None) -> PointsFile:
    """Loops of a DXF file. units: as the user says, over the header's. Raises PointsError with plain words."""
    import ezdxf
    from ezdxf import recover
    from ezdxf.lldxf.const import DXFError

    lines = data.count(b"\n")
    if lines > MOST_DATA_LINES:
        raise PointsError(f"That drawing has {lines:,} lines of data; {MOST_DATA_LINES:,} are read at most. {ALONE}")
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
    count = entity_count(document)
    if count > MOST_ENTITIES:
        raise PointsError(f"That drawing comes to {count:,} entities; {MOST_ENTITIES:,} are read at most. {ALONE}")
    said = INSUNITS.get(int(document.header.get("$INSUNITS", 0) or 0))
    return _found(document, said, units, job)


def entity_count(document: Any) -> int:
    """Entities of the model once every inserted block is taken apart. Raises PointsError where a block holds itself."""
    counts: dict[str, int | None] = {}

    def count(name: str, entities: Any) -> int:
        if name in counts:
            known = counts[name]
            if known is None:
                raise PointsError("A block of that drawing is inserted in itself, so it has no end. Mend it there.")
            return known
        counts[name] = None
        total = 0
        for entity in entities:
            if entity.dxftype() == "INSERT":
                block = document.blocks.get(entity.dxf.name)
                inside = count(entity.dxf.name.lower(), block) if block is not None else 0
                total += max(1, entity.mcount) * max(1, inside)
            else:
                total += 1
        counts[name] = total
        return total

    return count("", document.modelspace())


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
    points_so_far = 0
    for entity in _entities(document):
        kind = entity.dxftype()
        if kind not in READ:
            skipped[kind.lower()] += 1
            continue
        try:
            points, closed = _points(entity, CHORD_MM * per_mm)
        except Exception:  # one odd entity does not spoil the file
            bad += 1
            continue
        points_so_far += len(points)
        if points_so_far > MOST_POINTS:
            raise PointsError(f"The lines of that drawing have over {MOST_POINTS:,} points. {ALONE}")
        if not all(abs(x) < FARTHEST and abs(y) < FARTHEST for x, y in points):
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
    spots = path.control_vertices()
    if not all(abs(spot.x) < FARTHEST and abs(spot.y) < FARTHEST for spot in spots):
        raise PointsError("It lies too far away.")
    wide = max((abs(spot.x - spots[0].x) + abs(spot.y - spots[0].y) for spot in spots), default=0.0)
    if path.has_curves and wide > WIDEST_CURVE:
        raise PointsError("It is too wide.")
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
