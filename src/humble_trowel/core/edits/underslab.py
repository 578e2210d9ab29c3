"""Edits of what is buried: runs and risers called like a tape, their sizes and levels, moved, taken out."""

from __future__ import annotations

import math
from typing import Annotated, Any, Literal, cast

from pydantic import Field
from shapely.geometry import Point, Polygon

from humble_trowel.core.edits.base import Calls, EditBase, Edited, RiserId, ServiceId, Spot, Typed, ring_needed
from humble_trowel.core.edits.called_run import RISERS, SERVICES, Called, pipe_size, read_call
from humble_trowel.core.edits.ground import read_rate
from humble_trowel.core.edits.on_top import sized
from humble_trowel.core.errors import CallError, EditError
from humble_trowel.core.geometry.pipes import least_fall, outside_mm
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import NAMES, Kind, place_of
from humble_trowel.core.plan.levels import read_level
from humble_trowel.core.plan.underslab_parts import Riser, Service
from humble_trowel.core.units import parse_length, say_depth, say_length

LETTERS = {"drain": "D", "land-drain": "L", "supply": "W", "conduit": "C", "gas": "G", "ground": "E", "air": "A"}
USUAL_MM = {"drain": 76.2, "land-drain": 101.6, "supply": 25.4, "conduit": 25.4, "gas": 25.4, "ground": 25.4, "air": 25.4}  # fmt: skip
USUAL_METRIC = {"drain": 110.0, "land-drain": 110.0, "supply": 25.0, "conduit": 25.0, "gas": 32.0, "ground": 25.0, "air": 32.0}  # fmt: skip
COVER_MM = 50.8


def buried(plan: Plan, **changes: Any) -> Plan:
    """The plan with other things buried."""
    return plan.model_copy(update={"underslab": plan.underslab.model_copy(update=changes), "walk": None})


class CallService(EditBase):
    """A run called like a tape. A name that is there already is walked anew; without a name the next free one is taken.
    What it does not say of level and fall is guessed and marked so."""

    op: Literal["call_service"]
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        called = read_call(plan, self.text, cast(dict[str, str], SERVICES))
        if len(called.path) < 2:
            raise CallError("How far does it run, and which way?", path="text")
        rows = list(plan.underslab.services)
        name = called.name or _free(LETTERS[called.kind], {row.name for row in rows})
        at = next((i for i, row in enumerate(rows) if row.name.lower() == name.lower()), None)
        old = None if at is None else rows[at]
        row = _service(plan, called, name, old)
        rows = [*rows, row] if at is None else [row if i == at else one for i, one in enumerate(rows)]
        changes: dict[str, Any] = {"services": rows}
        if called.riser:
            riser = Riser(
                name=called.riser,
                kind=_riser_kind(row.kind, called.riser),
                at=row.path[0],
                size_mm=row.size_mm,
                faces=called.faces,
            )
            changes["risers"] = [*plan.underslab.risers, riser]
        long = say_length(math.fsum(math.dist(a, b) for a, b in zip(row.path, row.path[1:], strict=False)), plan.units)
        return buried(
            plan, **changes
        ), f"{row.name}, {say_depth(row.size_mm, plan.units)} {called.kind.replace('-', ' ')}, {long} long"


def _service(plan: Plan, called: Called, name: str, old: Service | None) -> Service:
    usual = USUAL_METRIC if plan.units == "mm" else USUAL_MM
    size = called.size_mm or (old.size_mm if old else usual[called.kind])
    guessed = []
    fall = called.fall if called.fall is not None else old.fall if old else None
    if called.kind in ("drain", "land-drain"):
        if fall is None:
            fall = least_fall(size)
            guessed.append("fall")
        if fall <= 0:
            raise CallError("A drain falls. Say how much, like 1/4 a foot.", path="text")
    start = called.start_mm if called.start_mm is not None else old.start_mm if old else None
    if start is None:
        start = usual_start_mm(plan, called.path[0], size)
        guessed.append("start_mm")
    had: dict[str, Any] = old.model_dump() if old else {}
    return Service.model_validate(
        {**had, "name": name, "kind": called.kind, "size_mm": size, "path": called.path, "start_mm": start, "fall": fall or 0.0,
         "to": called.to or had.get("to", ""), "guessed": guessed}
    )  # fmt: skip


def usual_start_mm(plan: Plan, spot: XY, size_mm: float) -> float:
    """A guess of how deep a run starts: 2 in under the lowest foam, or under the slab where there is none."""
    cells = lay_zones(plan)
    cell = min(cells, key=lambda one: one.whole.distance(Point(spot)))
    layers = next((row.layers for row in plan.build_ups if row.slab == cell.mark), [])
    at = next((i for i, layer in enumerate(layers) if layer.kind == "slab"), 0)
    depth = foam = 0.0
    for layer in layers[at + 1 :]:
        depth += layer.thickness_mm or 0.0
        foam = depth if layer.kind == "foam" else foam
    return cell.top_at(spot) - cell.thickness_mm - foam - COVER_MM - outside_mm(size_mm)


def _riser_kind(kind: str, name: str) -> Any:
    """What comes up where a run starts: as it is called, else as the run is."""
    return RISERS.get(name.lower()) or {"land-drain": "drain"}.get(kind, kind)


def _free(letter: str, taken: set[str]) -> str:
    return next(name for k in range(1, 999) if (name := f"{letter}{k}") not in taken)


class SetService(EditBase):
    """Change a run. start_mm: level of the pipe's bottom at its start, like '7 1/2 below', or a number of mm; fall: '1/4',
    '2 %', '1 in 50'; sleeve_mm: '' for two sizes larger."""

    op: Literal["set_service"]
    service: ServiceId
    changes: dict[
        Literal["name", "size_mm", "start_mm", "fall", "wrap_mm", "through_mm", "sleeve_mm", "to", "path"], Any
    ]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "services", self.service, "service")
        old = plan.underslab.services[at]
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        if "size_mm" in changes:
            changes["size_mm"] = pipe_size(plan, changes["size_mm"])
        if "start_mm" in changes:
            changes["start_mm"] = read_level(changes["start_mm"], plan, "start_mm")
        if "fall" in changes:
            changes["fall"] = _fall(plan, old, changes["fall"])
        for key in ("wrap_mm", "through_mm"):
            if key in changes:
                said = changes[key]
                changes[key] = 0.0 if said in (None, "", "0") else sized(plan, said, key, "How thick?")
        if "sleeve_mm" in changes:
            said = changes["sleeve_mm"]
            changes["sleeve_mm"] = None if said in (None, "") else pipe_size(plan, said)
            if changes["sleeve_mm"] is not None and changes["sleeve_mm"] <= old.size_mm:
                raise EditError("A sleeve is larger than its pipe.", "sleeve_mm")
        guessed = [key for key in old.guessed if key not in changes]
        row = Service.model_validate({**old.model_dump(), **changes, "guessed": guessed})
        rows = [row if i == at else one for i, one in enumerate(plan.underslab.services)]
        return buried(plan, services=rows), f"{row.name} set"


def _fall(plan: Plan, old: Service, said: Any) -> float:
    uphill = isinstance(said, str) and said.strip().startswith("-")
    rate = read_rate(said.strip().lstrip("-") if isinstance(said, str) else said, plan)
    if old.kind in ("drain", "land-drain") and (uphill or rate <= 0):
        raise EditError("A drain falls the way it runs. Say how much, like 1/4 a foot.", "fall")
    return -rate if uphill else rate


class AddRiser(EditBase):
    """What comes up, called from two finished faces: 'wash sink drain 2 from A to B 4' 2, from B to C 6''. A name that is
    there already moves."""

    op: Literal["add_riser"]
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        called = read_call(plan, self.text, cast(dict[str, str], RISERS))
        rows = list(plan.underslab.risers)
        name = called.name
        usual = 110.0 if plan.units == "mm" else 50.8
        old = next((row for row in rows if row.name.lower() == name.lower()), None)
        size = called.size_mm or (old.size_mm if old else usual)
        row = Riser(name=name, kind=called.kind, at=called.path[0], size_mm=size, faces=called.faces)
        _stands(plan, row.at, "text")
        if old is not None:
            return moved_riser(plan, old.id, row.at, row.faces), f"{name} moved"
        return buried(plan, risers=[*rows, row]), f"{name} set"


class MoveRiser(EditBase):
    """Move a riser, with the ends of the runs that come up there: to a spot, or to so far from its two faces (mm, or as
    typed)."""

    op: Literal["move_riser"]
    riser: RiserId
    at: Spot | None = None
    text: Calls = ""

    def apply(self, plan: Plan) -> Edited:
        place = place_of(plan, "risers", self.riser, "riser")
        row = plan.underslab.risers[place]
        spot, faces = self.at, list(row.faces)
        if spot is None:
            called = read_call(plan, f"riser from {self.text.removeprefix('from ')}", cast(dict[str, str], RISERS))
            spot, faces = called.path[0], called.faces or faces
        _stands(plan, spot, "text" if self.at is None else "at")
        return moved_riser(plan, row.id, spot, faces), f"{row.name} moved"


def _stands(plan: Plan, spot: XY, path: str) -> None:
    if not Polygon(plan.outline).buffer(1.0).covers(Point(spot)):
        raise EditError("That stands outside of the slab.", path)


def moved_riser(plan: Plan, riser: str, spot: XY, faces: list[str]) -> Plan:
    """The plan with a riser elsewhere; ends of runs that come up there go along."""
    old = next(row for row in plan.underslab.risers if row.id == riser)

    def moved(path: list[XY]) -> list[XY]:
        ends = (0, len(path) - 1)
        return [spot if i in ends and math.dist(at, old.at) < 10.0 else at for i, at in enumerate(path)]

    return buried(
        plan,
        risers=[
            row.model_copy(update={"at": spot, "faces": faces}) if row.id == riser else row
            for row in plan.underslab.risers
        ],
        services=[
            row if (path := moved(list(row.path))) == list(row.path) else row.model_copy(update={"path": path})
            for row in plan.underslab.services
        ],
    )


class SetRiser(EditBase):
    """Change a riser's name, kind, size, who mends it, foam round it, or the two sides it is told from."""

    op: Literal["set_riser"]
    riser: RiserId
    changes: dict[Literal["name", "kind", "size_mm", "mends", "ring_mm", "faces"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "risers", self.riser, "riser")
        changes: dict[str, Any] = {str(key): value for key, value in self.changes.items()}
        for key in ("size_mm", "ring_mm"):
            if key in changes:
                changes[key] = parse_length(
                    changes[key] or 0.0, plan.units, bare="in" if plan.units == "ft-in" else "mm"
                )
        row = Riser.model_validate({**plan.underslab.risers[at].model_dump(), **changes})
        rows = [row if i == at else one for i, one in enumerate(plan.underslab.risers)]
        return buried(plan, risers=rows), f"{row.name} set"


class SetFaces(EditBase):
    """How far in from the slab's edge the finished faces of the outside walls stand."""

    op: Literal["set_faces"]
    face: Typed

    def apply(self, plan: Plan) -> Edited:
        face = parse_length(self.face or 0.0, plan.units, bare="in" if plan.units == "ft-in" else "mm")
        if face < 0 or face > 1000:
            raise EditError("That is no wall's thickness.", "face")
        return buried(plan, face_mm=face), f"Finished faces {say_depth(face, plan.units)} in"


class TakeOutBuried(EditBase):
    """Runs or risers taken out, by id."""

    op: Literal["take_out_buried"]
    what: Literal["services", "risers"]
    ids: Annotated[list[Annotated[str, Field(min_length=1, max_length=24)]], Field(min_length=1, max_length=300)]

    def apply(self, plan: Plan) -> Edited:
        kind = cast(Kind, self.what)
        rows = list(getattr(plan.underslab, self.what))
        if not {row.id for row in rows} & set(self.ids):
            place_of(plan, kind, self.ids[0], "ids")
        left = [row for row in rows if row.id not in self.ids]
        gone = len(rows) - len(left)
        name = NAMES[kind]
        return buried(plan, **{self.what: left}), f"A {name} taken out" if gone == 1 else f"{gone} {name}s taken out"


UNDERSLAB_EDITS = (CallService, SetService, AddRiser, MoveRiser, SetRiser, SetFaces, TakeOutBuried)
