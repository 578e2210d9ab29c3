"""Strips of a slab, what boards ride on, and where trucks stand, as they stand in a job file. Lengths mm."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from humble_trowel.core.plan.model import Model, Row
from humble_trowel.core.plan.values import Length, Number, Point

Rides = Literal["wet", "rail", "stakes", "pegs", "edge"]
Brings = Literal["chute", "hose", "barrow"]


class PadLine(Row):
    """A line across the slab that boards ride on: pads struck in wet concrete, a rail, pads round stakes or pegs, or pads for the strip
    before and its fresh edge for the one after. rides: null as the crew does."""

    start: Point
    end: Point
    rides: Rides | None = None


class ScreedStrip(Row):
    """A part of the slab that is struck in one pull, in the order of the list. at: a spot in it. board_mm: null for the shortest that
    fits. toward_deg: which way it is pulled, null for the way that leaves the crew on firm ground."""

    at: Point
    board_mm: Length | None = None
    toward_deg: Annotated[Number, Field(ge=-360, le=720)] | None = None


class TruckStand(Row):
    """Where concrete comes from. brings: null as the order says. reach_mm: null as the crew's chute, hose or barrow path goes."""

    at: Point
    brings: Brings | None = None
    reach_mm: Length | None = None


class Screed(Model):
    """All of it."""

    strips: Annotated[list[ScreedStrip], Field(max_length=80)] = []
    pads: Annotated[list[PadLine], Field(max_length=80)] = []
    standing: Annotated[list[TruckStand], Field(max_length=20)] = []
