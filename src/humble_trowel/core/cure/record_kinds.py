"""Records of the cure: what each must be to make sense, and what it comes to."""

from __future__ import annotations

from humble_trowel.core.cure.records import CoverLaid, CylinderBroken, FloorShot, ProbeRead, Stripped, WetRound
from humble_trowel.core.errors import InputError
from humble_trowel.core.pour.sizes import strength
from humble_trowel.core.pour_sim.parts import OUTSIDE_MM, on_floor
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind, side_there
from humble_trowel.core.units import Units, say_depth

COVER_WORDS = {
    "wet": "kept wet",
    "sheets": "under sheets",
    "blankets": "under blankets",
    "compound": "sprayed with compound",
}
MOST_RATIO, USUAL_MPA = 2.2, 27.6


def _known(job: JobSoFar, zones: list[str], path: str) -> None:
    there = {zone.id for zone in job.plan.zones}
    if any(zone not in there for zone in zones):
        raise InputError("That zone is not on the plan any more. Press another one.", path)


class CoverKind(RecordKind[CoverLaid]):
    """Something is laid on it."""

    name = "cover"
    values = CoverLaid

    def check(self, job: JobSoFar, values: CoverLaid) -> None:
        _known(job, values.zones, "zones")

    def sentence(self, job: JobSoFar, values: CoverLaid) -> str:
        names = [zone.name for zone in job.plan.zones if zone.id in values.zones] or ["all of it"]
        words = COVER_WORDS[values.what]
        return f"{values.at[11:16]}: {', '.join(names)} {'no longer ' if values.off else ''}{words}."


class RoundKind(RecordKind[WetRound]):
    """A round with water."""

    name = "round"
    values = WetRound

    def sentence(self, job: JobSoFar, values: WetRound) -> str:
        return f"Wetted at {values.at[11:16]}." if values.at else f"{values.to} has the round."


class ProbeKind(RecordKind[ProbeRead]):
    """Temperatures in the concrete."""

    name = "probe"
    values = ProbeRead

    def check(self, job: JobSoFar, values: ProbeRead) -> None:
        _known(job, [values.zone], "zone")
        stamps = [row.at for row in values.rows]
        if len(set(stamps)) < len(stamps):
            raise InputError("Two readings stand at one time. Send each once.", "rows")

    def sentence(self, job: JobSoFar, values: ProbeRead) -> str:
        last = values.rows[-1].temp_c
        text = f"{last:.0f} °C" if job.plan.units == "mm" else f"{last * 1.8 + 32:.0f} °F"
        count = len(values.rows)
        return f"{values.probe}: {text}." if count == 1 else f"{values.probe}: {count} readings, the last {text}."


class CylinderKind(RecordKind[CylinderBroken]):
    """A cylinder that was broken."""

    name = "cylinder"
    values = CylinderBroken

    def check(self, job: JobSoFar, values: CylinderBroken) -> None:
        _known(job, [values.zone] if values.zone else [], "zone")
        most = MOST_RATIO * (job.plan.mix.strength_mpa or USUAL_MPA)
        if values.mpa > most:
            text, top = (strength(mpa, job.plan.units) for mpa in (values.mpa, most))
            raise InputError(f"{text} is more than this mix can reach (about {top}). Read the report again.", "mpa")

    def sentence(self, job: JobSoFar, values: CylinderBroken) -> str:
        return f"Cylinder {values.number}: {strength(values.mpa, job.plan.units)}."

    def shown(self, values: CylinderBroken, units: Units) -> list[str]:
        return [strength(values.mpa, units)]


class FloorShotKind(RecordKind[FloorShot]):
    """A level on the finished slab."""

    name = "level_shot"
    values = FloorShot

    def check(self, job: JobSoFar, values: FloorShot) -> None:
        if not on_floor(job.shape, values.spot):
            raise InputError(f"That is more than {OUTSIDE_MM / 1000:g} m beside the slab. Tap where the rod stood.", "spot")  # fmt: skip

    def sentence(self, job: JobSoFar, values: FloorShot) -> str:
        side = "over" if values.off_mm > 0 else "under"
        return f"{say_depth(abs(values.off_mm), job.plan.units)} {side}." if values.off_mm else "As drawn."

    def shown(self, values: FloorShot, units: Units) -> list[str]:
        return [say_depth(abs(values.off_mm), units)]


class StrippedKind(RecordKind[Stripped]):
    """The boards of a side came off."""

    name = "stripped"
    values = Stripped

    def check(self, job: JobSoFar, values: Stripped) -> None:
        side_there(job, values.side, "side")

    def sentence(self, job: JobSoFar, values: Stripped) -> str:
        return f"{values.at[11:16]}: stripped."


CURE_RECORDS = (CoverKind(), RoundKind(), ProbeKind(), CylinderKind(), FloorShotKind(), StrippedKind())
