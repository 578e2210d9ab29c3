"""Edits of what covers the ground under a slab: the barrier and where it lies, foam, treatments, the site's zone and load."""

from __future__ import annotations

from datetime import date
from typing import Annotated, Any, Literal, cast

from pydantic import Field, ValidationError

from humble_trowel.core.edits.base import EditBase, Edited, Short, TreatmentId, TypeMark
from humble_trowel.core.edits.underslab import buried
from humble_trowel.core.errors import EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import BuildUp, Layer
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.underslab_parts import Barrier, FoamBoards, FoamPlace, Treatment, TreatmentKind
from humble_trowel.core.plan.underslab_ways import BarrierPlace
from humble_trowel.core.units import parse_length, say_depth

PLACE_SAID: dict[BarrierPlace, str] = {
    "under-slab": "right under the slab", "under-sand": "under sand", "under-foam": "under the foam", "none": "none",
}  # fmt: skip
LEAST_ROLL_MM = 300.0
SAND_MM = {"ft-in": 50.8, "mm": 50.0}
LONG = ("roll_wide_mm", "roll_long_mm", "board_long_mm", "board_wide_mm")
THIN = ("lap_mm", "turn_up_mm", "ply_mm", "within_mm")


def _typed(plan: Plan, key: str, said: Any) -> Any:
    """A size as typed: rolls and boards in feet, laps in inches; nothing for the crew's way."""
    if said in (None, ""):
        return None
    if key in LONG or key in THIN:
        bare = "mm" if plan.units == "mm" else "ft" if key in LONG else "in"
        return parse_length(said, plan.units, bare=cast(Any, bare))
    return said


def _made(model: Any, plan: Plan, old: Any, changes: dict[str, Any]) -> Any:
    said = {key: _typed(plan, key, value) for key, value in changes.items()}
    return model.model_validate({**old.model_dump(), **said}, context={"units": plan.units})


class SetBarrier(EditBase):
    """How the barrier lies on this job: roll, lap, edge, which way it unrolls, what stays open. Nothing: as the crew does."""

    op: Literal["set_barrier"]
    changes: dict[
        Literal["roll_wide_mm", "roll_long_mm", "lap_mm", "edge", "turn_up_mm", "runs", "open_row", "open_load"], Any
    ]

    def apply(self, plan: Plan) -> Edited:
        row = _made(Barrier, plan, plan.underslab.barrier, {str(key): value for key, value in self.changes.items()})
        if row.roll_wide_mm and row.roll_wide_mm < LEAST_ROLL_MM:
            raise EditError("No roll is that narrow. Say it like 12 ft.", "roll_wide_mm")
        if row.lap_mm and row.roll_wide_mm and row.roll_wide_mm <= row.lap_mm:
            raise EditError("The roll is no wider than its lap.", next(iter(self.changes)))
        return buried(plan, barrier=row), "Barrier set"


class PlaceBarrier(EditBase):
    """Where the barrier of a slab type lies in its build-up: right under the slab, under sand (laid where there is none),
    under the foam, or none."""

    op: Literal["place_barrier"]
    slab: TypeMark
    place: BarrierPlace

    def apply(self, plan: Plan) -> Edited:
        if self.slab not in {row.mark for row in plan.slab_types}:
            raise EditError(f"There is no slab type {self.slab}.", "slab")
        old = next((row for row in plan.build_ups if row.slab == self.slab), None)
        old = old or BuildUp(slab=self.slab, layers=[Layer(kind="slab"), Layer(kind="native")])
        had = next((layer for layer in old.layers if layer.kind == "barrier"), Layer(kind="barrier"))
        layers = [layer for layer in old.layers if layer.kind != "barrier"]
        at, sand = next(i for i, layer in enumerate(layers) if layer.kind == "slab") + 1, ""
        if self.place == "under-foam":
            foam = [i for i, layer in enumerate(layers) if layer.kind == "foam" and i >= at]
            if not foam:
                raise EditError(f"{self.slab} has no foam under it.", "place")
            at = foam[-1] + 1
        if self.place == "under-sand":
            if layers[at].kind != "blinding":
                layers.insert(at, Layer(kind="blinding", thickness_mm=SAND_MM[plan.units]))
                sand = f", {say_depth(SAND_MM[plan.units], plan.units)} of sand laid over it"
            at += 1
        if self.place != "none":
            layers.insert(at, had)
        build = BuildUp.model_validate({**old.model_dump(), "layers": [layer.model_dump() for layer in layers]})
        rows = [build if row.slab == self.slab else row for row in plan.build_ups]
        if all(row.slab != self.slab for row in rows):
            rows.append(build)
        said = f"Barrier of {self.slab}: {PLACE_SAID[self.place]}{sand}"
        return plan.model_copy(update={"build_ups": rows}), said


class SetFoam(EditBase):
    """The foam of one kind of place: what it is, its boards, how far sprayed foam strays. Nothing: as the crew does."""

    op: Literal["set_foam"]
    what: FoamPlace
    changes: dict[Literal["kind", "board_long_mm", "board_wide_mm", "ply_mm", "within_mm", "wing_mm"], Any]

    def apply(self, plan: Plan) -> Edited:
        rows = list(plan.underslab.foam)
        old = next((row for row in rows if row.what == self.what), FoamBoards(what=self.what))
        row = _made(FoamBoards, plan, old, {str(key): value for key, value in self.changes.items()})
        rows = [one for one in rows if one.what != self.what]
        if self.what == "wing" and row.wing_mm is None:
            return buried(plan, foam=rows), "No foam outside the edge"
        return buried(plan, foam=[*rows, row]), "Foam set"


class SetSiteAsks(EditBase):
    """What the site asks of foam: climate zone, edition of the energy code, load on the floor (kPa, or psf and psi as
    typed in feet)."""

    op: Literal["set_site_asks"]
    changes: dict[Literal["climate_zone", "energy_code", "load_kpa"], Any]

    def apply(self, plan: Plan) -> Edited:
        said = {str(key): (None if value in (None, "") else value) for key, value in self.changes.items()}
        if isinstance(load := said.get("load_kpa"), str):
            said["load_kpa"] = _load(plan, load)
        try:
            made = type(plan.underslab).model_validate({**plan.underslab.model_dump(), **said})
        except ValidationError:
            raise EditError("There is no such zone or edition in the table.", next(iter(said))) from None
        return plan.model_copy(update={"underslab": made}), "What the site asks is set"


def _load(plan: Plan, said: str) -> float:
    """A load on a floor. A bare number is psf, or kPa in a metric job."""
    text = said.strip().lower()
    for unit, per in (("psf", 0.04788026), ("psi", 6.894757), ("kpa", 1.0), ("kn/m2", 1.0)):
        if text.endswith(unit):
            text, factor = text.removesuffix(unit).strip(), per
            break
    else:
        factor = 1.0 if plan.units == "mm" else 0.04788026
    try:
        value = float(text) * factor
    except ValueError:
        raise EditError("Say the load like 250 psf, or 12 kPa.", "load_kpa") from None
    if not 0 <= value <= 1000:
        raise EditError("That load is past any slab on ground.", "load_kpa")
    return value


class AddTreatment(EditBase):
    """Something that the site asks for under the slab: termite treatment, radon pipe, gas barrier."""

    op: Literal["add_treatment"]
    kind: TreatmentKind
    paper: Short = ""
    note: Short = ""

    def apply(self, plan: Plan) -> Edited:
        rows = [*plan.underslab.treatments, Treatment(kind=self.kind, paper=self.paper, note=self.note)]
        return buried(plan, treatments=rows), f"The site asks for {self.kind}"


class SetTreatment(EditBase):
    """Say when a treatment was done, or what paper is kept of it."""

    op: Literal["set_treatment"]
    treatment: TreatmentId
    changes: dict[Literal["paper", "note", "done_on"], Any]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "treatments", self.treatment, "treatment")
        changes = {str(key): value for key, value in self.changes.items()}
        if "done_on" in changes:
            changes["done_on"] = _day(changes["done_on"])
        row = Treatment.model_validate({**plan.underslab.treatments[at].model_dump(), **changes})
        rows = [row if i == at else one for i, one in enumerate(plan.underslab.treatments)]
        return buried(plan, treatments=rows), f"{row.kind.capitalize()} set"


def _day(said: Any) -> date | None:
    if said in (None, ""):
        return None
    try:
        return date.fromisoformat(str(said))
    except ValueError:
        raise EditError("Say the day like 2026-06-14.", "done_on") from None


class TakeOutTreatment(EditBase):
    """A treatment that the site does not ask for after all."""

    op: Literal["take_out_treatment"]
    ids: Annotated[list[Annotated[str, Field(min_length=1, max_length=24)]], Field(min_length=1, max_length=20)]

    def apply(self, plan: Plan) -> Edited:
        if not {row.id for row in plan.underslab.treatments} & set(self.ids):
            place_of(plan, "treatments", self.ids[0], "ids")
        return buried(
            plan, treatments=[row for row in plan.underslab.treatments if row.id not in self.ids]
        ), "A treatment taken out"


COVERING_EDITS = (SetBarrier, PlaceBarrier, SetFoam, SetSiteAsks, AddTreatment, SetTreatment, TakeOutTreatment)
