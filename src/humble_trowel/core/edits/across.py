"""Straight lines across the slab from edge to edge, as they are called: '18' n of A', 'through H e', 'C to J'."""

from __future__ import annotations

import math
import re

from shapely.geometry import LineString, Point, Polygon

from humble_trowel.core.edits.base import ring_needed
from humble_trowel.core.errors import CallError, EditError, LengthError
from humble_trowel.core.geometry.chords import chords
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.plan.document import Plan, corner_name
from humble_trowel.core.units import parse_length

EDGE_MM = 25.0
_OFF = re.compile(r"(?P<far>.+?)\s+(?P<way>[nesw])\s+of\s+(?P<corner>[A-Za-z]{1,2})", re.IGNORECASE)
_THROUGH = re.compile(r"through\s+(?P<corner>[A-Za-z]{1,2})\s+(?P<way>[nesw])", re.IGNORECASE)
_BETWEEN = re.compile(r"(?P<one>[A-Za-z]{1,2})\s*(?:to|-)\s*(?P<other>[A-Za-z]{1,2})", re.IGNORECASE)
_MOVE = re.compile(r"([\d'\"./\s-]+(?:mm|cm|m|in|ft)?)\s+([nesw])\b", re.IGNORECASE)
_SPOT = re.compile(
    r"(?P<moves>(?:[\d'\"./\s-]+(?:mm|cm|m|in|ft)?\s+[nesw]\s+){1,4})of\s+(?P<corner>[A-Za-z]{1,2})", re.IGNORECASE
)
WAYS = {"n": (0.0, 1.0), "e": (1.0, 0.0), "s": (0.0, -1.0), "w": (-1.0, 0.0)}


def slab_of(plan: Plan) -> Polygon:
    """The slab on the plan, openings out."""
    return Polygon(ring_needed(plan), [list(ring) for ring in plan.openings])


def chord(plan: Plan, through: XY, way: XY, path: str = "text", within: Polygon | None = None) -> tuple[XY, XY]:
    """The stretch of a line from edge to edge of the slab, nearest to a spot on it. Raises EditError where it misses the slab, or
    runs along an edge. within: a part of the slab."""
    slab = slab_of(plan) if within is None else within
    rows = chords(slab, through, way)
    if rows:
        return min(rows, key=lambda ends: LineString(ends).distance(Point(through)))
    if slab.boundary.distance(Point(through)) < EDGE_MM:
        raise EditError("That line would run along an edge of the slab.", path)
    raise EditError("That line does not cross the slab.", path)


def called_across(plan: Plan, said: str, example: str, within: Polygon | None = None) -> tuple[XY, XY]:
    """A line as it is called. example: how to say it, for words. within: a part of the slab. Raises CallError, EditError."""
    text = said.strip()
    if match := _OFF.fullmatch(text):
        x, y = corner_called(plan, match["corner"])
        way = WAYS[match["way"].lower()]
        try:
            far = parse_length(match["far"], plan.units)
        except LengthError as error:
            raise CallError(error.words, path="text") from None
        return chord(plan, (x + way[0] * far, y + way[1] * far), (way[1], way[0]), within=within)
    if match := _THROUGH.fullmatch(text):
        return chord(plan, corner_called(plan, match["corner"]), WAYS[match["way"].lower()], within=within)
    if match := _BETWEEN.fullmatch(text):
        a, b = corner_called(plan, match["one"]), corner_called(plan, match["other"])
        size = math.dist(a, b)
        if size < 1.0:
            raise CallError("A line runs between two corners.", path="text")
        way = ((b[0] - a[0]) / size, (b[1] - a[1]) / size)
        return chord(plan, ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2), way, within=within)
    raise CallError(f"“{text}” was not understood. Say it like {example}.", path="text")


def corner_called(plan: Plan, letter: str) -> XY:
    """Where a corner stands, by its letter. Raises CallError."""
    for at, spot in enumerate(ring_needed(plan)):
        if corner_name(at) == letter.upper():
            return spot
    raise CallError(f"There is no corner {letter.upper()}.", path="text")


def called_spot(plan: Plan, said: str, example: str) -> XY:
    """A spot as it is called: '15' e 3' n of H'. Raises CallError."""
    match = _SPOT.fullmatch(said.strip())
    if match is None:
        raise CallError(f"“{said.strip()}” was not understood. Say it like {example}.", path="text")
    x, y = corner_called(plan, match["corner"])
    for far, way in _MOVE.findall(match["moves"]):
        try:
            size = parse_length(far, plan.units)
        except LengthError as error:
            raise CallError(error.words, path="text") from None
        x, y = x + WAYS[way.lower()][0] * size, y + WAYS[way.lower()][1] * size
    return x, y
