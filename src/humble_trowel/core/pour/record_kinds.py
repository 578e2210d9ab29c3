"""Records of the day of the pour: what each must be to make sense, and what it comes to."""

from __future__ import annotations

from datetime import UTC, datetime

from humble_trowel.core.errors import InputError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.act_kinds import ACT_KINDS
from humble_trowel.core.pour.called import PLANT_WORDS
from humble_trowel.core.pour.records import (
    ActDone,
    ActGiven,
    Front,
    GaugeRead,
    Incident,
    LoadCalled,
    PlantSaid,
    Sawn,
    Ticket,
)
from humble_trowel.core.pour.sizes import amount
from humble_trowel.core.pour.trouble import PLANS
from humble_trowel.core.pour_sim.parts import OUTSIDE_MM, on_floor
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units, format_ordered

MOST_M3 = 12.5  # no mixer carries more
AHEAD_MIN, BEFORE_H = 5.0, 8.0


def _minutes(one: str, other: str) -> float:
    """From one to the other; both as they stand on the wall where either has no offset."""
    a, b = datetime.fromisoformat(one), datetime.fromisoformat(other)
    if a.tzinfo is None or b.tzinfo is None:
        return (b.replace(tzinfo=None) - a.replace(tzinfo=None)).total_seconds() / 60
    return (b.astimezone(UTC) - a.astimezone(UTC)).total_seconds() / 60


class TicketKind(RecordKind[Ticket]):
    """Something said of a load."""

    name = "ticket"
    values = Ticket

    def resolved(self, values: Ticket, plan: Plan) -> Ticket:
        return values

    def pictures(self, values: Ticket) -> tuple[str, ...]:
        return (values.photo,) if values.photo else ()

    def check(self, job: JobSoFar, values: Ticket) -> None:
        units = job.plan.units
        if values.m3 is not None and values.m3 > MOST_M3:
            raise InputError(f"{amount(values.m3, units)} is more than any truck carries ({amount(MOST_M3, units)}). Read the ticket again.", "m3")  # fmt: skip
        stamps = (("arrived_at", values.arrived_at), ("batched_at", values.batched_at), ("empty_at", values.empty_at))
        for key, when in stamps:
            if when is None:
                continue
            ago = _minutes(when, values.at)
            told = f"{when[11:16]}"
            if ago < -AHEAD_MIN:
                raise InputError(f"{told} has not been yet: it is {values.at[11:16]} now. Read it again.", key)
            if ago > BEFORE_H * 60:
                raise InputError(f"{told} on {when[:10]} is {ago / 60:.0f} hours ago. Read it again.", key)
        if values.batched_at and values.arrived_at and _minutes(values.batched_at, values.arrived_at) < 0:
            raise InputError("It cannot have left the plant after it came. Read the stamp again.", "batched_at")

    def sentence(self, job: JobSoFar, values: Ticket) -> str:
        bits = []
        if values.arrived_at:
            bits.append(f"here {values.arrived_at[11:16]}")
        if values.batched_at:
            bits.append(f"batched {values.batched_at[11:16]}")
        if values.m3 is not None:
            bits.append(amount(values.m3, job.plan.units))
        if values.empty_at:
            bits.append(f"empty {values.empty_at[11:16]}")
        if values.sent_back is not None:
            bits.append(f"sent back: {values.sent_back}" if values.sent_back else "taken after all")
        rest = [key for key in ("slump_mm", "temp_c", "air_percent", "water_l", "cylinders") if getattr(values, key) is not None]  # fmt: skip
        bits += ["tests"] if rest else []
        return f"Load: {', '.join(bits) or 'noted'}."

    def shown(self, values: Ticket, units: Units) -> list[str]:
        return [] if values.m3 is None else [format_ordered(values.m3, units)]


class FrontKind(RecordKind[Front]):
    """Where the front stands."""

    name = "front"
    values = Front

    def check(self, job: JobSoFar, values: Front) -> None:
        if values.spot is not None and not on_floor(job.shape, values.spot):
            raise InputError(f"That is more than {OUTSIDE_MM / 1000:g} m beside the slab. Tap where the concrete ends.", "spot")  # fmt: skip

    def sentence(self, job: JobSoFar, values: Front) -> str:
        at = values.at[11:16]
        if values.edges:
            return f"{at}: all edges full."
        return f"{at}: a strip struck." if values.strip else f"{at}: where the front stands."


class GaugeReadKind(RecordKind[GaugeRead]):
    """A look at the gauge."""

    name = "gauge"
    values = GaugeRead

    def sentence(self, job: JobSoFar, values: GaugeRead) -> str:
        text = f"{values.pressure_kpa / 6.894757:.0f} psi" if job.plan.units != "mm" else f"{values.pressure_kpa:.0f} kPa"  # fmt: skip
        return f"{values.at[11:16]}: {text}."


class ActDoneKind(RecordKind[ActDone]):
    """What became of an act."""

    name = "act_done"
    values = ActDone

    def resolved(self, values: ActDone, plan: Plan) -> ActDone:
        return values

    def pictures(self, values: ActDone) -> tuple[str, ...]:
        return (values.photo,) if values.photo else ()

    def check(self, job: JobSoFar, values: ActDone) -> None:
        if values.act.split("/")[0] not in ACT_KINDS:
            raise InputError("There is no such act.", "act")

    def sentence(self, job: JobSoFar, values: ActDone) -> str:
        kind = ACT_KINDS[values.act.split("/")[0]]
        if values.how == "done":
            return f"{values.at[11:16]}: {kind.done}."
        if values.how == "put-off":
            return f"{values.at[11:16]}: put off."
        why = next((one.words for one in kind.reasons if one.key == values.reason), values.words)
        return f"{values.at[11:16]}: cannot, {why}." if why else f"{values.at[11:16]}: cannot."


class IncidentKind(RecordKind[Incident]):
    """Trouble."""

    name = "incident"
    values = Incident

    def pictures(self, values: Incident) -> tuple[str, ...]:
        return (values.photo,) if values.photo else ()

    def sentence(self, job: JobSoFar, values: Incident) -> str:
        return f"{values.at[11:16]}: {PLANS[values.what].name}{', over' if values.over else ''}."


class LoadCalledKind(RecordKind[LoadCalled]):
    """The last load, as it was said."""

    name = "load_called"
    values = LoadCalled

    def resolved(self, values: LoadCalled, plan: Plan) -> LoadCalled:
        return values

    def check(self, job: JobSoFar, values: LoadCalled) -> None:
        if values.m3 > MOST_M3:
            raise InputError(f"{amount(values.m3, job.plan.units)} is more than any truck carries.", "m3")

    def sentence(self, job: JobSoFar, values: LoadCalled) -> str:
        size = amount(values.m3, job.plan.units) if values.m3 else "none"
        who = f" to {values.heard_by}" if values.heard_by else ""
        what = "Last truck said" if values.answer == "held" else "Last truck refused"
        return f"{what}{who}: {size}."

    def shown(self, values: LoadCalled, units: Units) -> list[str]:
        return [format_ordered(values.m3, units)]


class PlantSaidKind(RecordKind[PlantSaid]):
    """What the plant says of an order."""

    name = "plant_said"
    values = PlantSaid

    def resolved(self, values: PlantSaid, plan: Plan) -> PlantSaid:
        return values

    def sentence(self, job: JobSoFar, values: PlantSaid) -> str:
        due = f", here {values.due_at[11:16]}" if values.due_at else ""
        return f"The plant on {values.number}: {PLANT_WORDS[values.says]}{due}."


class SawnKind(RecordKind[Sawn]):
    """A joint is sawn."""

    name = "sawn"
    values = Sawn

    def pictures(self, values: Sawn) -> tuple[str, ...]:
        return (values.photo,) if values.photo else ()

    def check(self, job: JobSoFar, values: Sawn) -> None:
        if all(one.id != values.joint for one in job.plan.joints.lines):
            raise InputError("That joint is not on the plan any more. Press another one.", "joint")

    def sentence(self, job: JobSoFar, values: Sawn) -> str:
        return f"{values.at[11:16]}: {'a crack was faster' if values.cracked else 'sawn'}."


class ActGivenKind(RecordKind[ActGiven]):
    """Who does an act."""

    name = "given"
    values = ActGiven

    def resolved(self, values: ActGiven, plan: Plan) -> ActGiven:
        return values

    def check(self, job: JobSoFar, values: ActGiven) -> None:
        if values.act.split("/")[0] not in ACT_KINDS:
            raise InputError("There is no such act.", "act")

    def sentence(self, job: JobSoFar, values: ActGiven) -> str:
        return f"{values.to} does it." if values.to else "Nobody has it now."


POUR_RECORDS = (
    TicketKind(),
    FrontKind(),
    GaugeReadKind(),
    ActDoneKind(),
    IncidentKind(),
    LoadCalledKind(),
    PlantSaidKind(),
    SawnKind(),
    ActGivenKind(),
)
