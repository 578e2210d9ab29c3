"""Records of the gate: what each must be, and what it comes to."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.gate.hard import is_hard, who_lifts
from humble_trowel.core.gate.records import Overruled, PaperKept, Signature, SiteChange, WalkCheck
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units, say_depth

VERDICTS = {"pass": "passes", "mend": "to mend", "absent": "not here"}
STATES = {"asked": "asked for", "here": "on site", "missing": "missing"}


class CheckKind(RecordKind[WalkCheck]):
    """A look on the walk; the newest of a row counts, the older ones stay beside it."""

    name = "check"
    values = WalkCheck

    def resolved(self, values: WalkCheck, plan: Plan) -> WalkCheck:
        return values

    def check(self, job: JobSoFar, values: WalkCheck) -> None:
        if values.over_why.strip() and not values.by.strip():
            raise InputError("Who lets it pass? A pass beyond its limit wants a name.", "by")

    def sentence(self, job: JobSoFar, values: WalkCheck) -> str:
        read = ", ".join(say_depth(one, job.plan.units) for one in values.readings_mm)
        return f"{values.row}: {VERDICTS[values.verdict]}{f', read {read}' if read else ''}."

    def shown(self, values: WalkCheck, units: Units) -> list[str]:
        return [VERDICTS[values.verdict], *(say_depth(one, units) for one in values.readings_mm)]


class OverruledKind(RecordKind[Overruled]):
    """A soft hold taken on by name; a hard one is refused."""

    name = "overruled"
    values = Overruled

    def resolved(self, values: Overruled, plan: Plan) -> Overruled:
        return values

    def check(self, job: JobSoFar, values: Overruled) -> None:
        if is_hard(values.hold):
            raise InputError(f"That is not the crew's to overrule: {who_lifts(values.hold)}.", "hold")
        if not values.by.strip():
            raise InputError("Who takes it on? Say a name.", "by")
        if not values.reason.strip():
            raise InputError("Say why, in a few words: it stays with the job.", "reason")

    def sentence(self, job: JobSoFar, values: Overruled) -> str:
        return f"{values.by} takes it on: {values.reason}"

    def shown(self, values: Overruled, units: Units) -> list[str]:
        return [values.by, values.reason]


class PaperKind(RecordKind[PaperKept]):
    """How a paper stands; the newest counts."""

    name = "paper"
    values = PaperKept

    def resolved(self, values: PaperKept, plan: Plan) -> PaperKept:
        return values

    def pictures(self, values: PaperKept) -> tuple[str, ...]:
        return (values.photo,) if values.photo else ()

    def sentence(self, job: JobSoFar, values: PaperKept) -> str:
        return f"{values.paper}: {STATES[values.state]}{f', {values.from_whom}' if values.from_whom else ''}."

    def shown(self, values: PaperKept, units: Units) -> list[str]:
        return [STATES[values.state]]


class SignatureKind(RecordKind[Signature]):
    """A signature, as strokes."""

    name = "signature"
    values = Signature

    def resolved(self, values: Signature, plan: Plan) -> Signature:
        return values

    def check(self, job: JobSoFar, values: Signature) -> None:
        if not values.name.strip():
            raise InputError("Whose signature is it?", "name")

    def sentence(self, job: JobSoFar, values: Signature) -> str:
        return f"Signed: {values.name}."

    def shown(self, values: Signature, units: Units) -> list[str]:
        return [values.name]


class SiteChangeKind(RecordKind[SiteChange]):
    """A change made on site."""

    name = "site-change"
    values = SiteChange

    def resolved(self, values: SiteChange, plan: Plan) -> SiteChange:
        return values

    def check(self, job: JobSoFar, values: SiteChange) -> None:
        if not values.words.strip():
            raise InputError("What was changed? A few words.", "words")

    def sentence(self, job: JobSoFar, values: SiteChange) -> str:
        return f"{values.words}{f', agreed by {values.agreed_by}' if values.agreed_by else ', not agreed yet'}."

    def shown(self, values: SiteChange, units: Units) -> list[str]:
        return [values.words]


GATE_RECORDS = (CheckKind(), OverruledKind(), PaperKind(), SignatureKind(), SiteChangeKind())
