"""What a kind of record is: its values, what it must be to make sense, and what it comes to in a sentence."""

from __future__ import annotations

from typing import Any, ClassVar, Generic, Protocol, TypeVar

from pydantic import ValidationError

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.model import Model
from humble_trowel.core.plan.refs import by_id
from humble_trowel.core.plan.ways import JobWays, Ways
from humble_trowel.core.reading.plain_errors import plan_error
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.core.units import Units

V = TypeVar("V", bound=Model)


class JobSoFar(Protocol):
    """What a kind of record may ask of the job that it is written down for, as core/job.py answers it."""

    @property
    def plan(self) -> Plan: ...
    @property
    def ways(self) -> JobWays: ...
    @property
    def crew(self) -> Ways: ...
    @property
    def records(self) -> SiteRecords: ...
    @property
    def shape(self) -> Solid: ...


def side_there(job: JobSoFar, side: str, path: str) -> None:
    """Raise InputError where a side, named by its first corner, is not on the plan any more."""
    if side not in job.plan.corner_ids:
        raise InputError("That side is not on the plan any more. Press another one.", path)


class RecordKind(Generic[V]):
    """One kind; a subclass stands in its matter's folder and is registered once, in core/record_kinds.py."""

    name: ClassVar[str]
    values: type[V]

    def read(self, data: dict[str, Any], units: Units) -> V:
        """Values as typed or stored; lengths may be text with units. Raises InputError naming the field."""
        try:
            return self.values.model_validate(data, context={"units": units})
        except ValidationError as error:
            found = plan_error(error)
            raise InputError(found.words, found.path) from None

    def resolved(self, values: V, plan: Plan) -> V:
        """The values with everything that they mean named by id, against the plan that they were made on."""
        return by_id(values, plan)

    def check(self, job: JobSoFar, values: V) -> None:
        """Raise InputError, naming the field, for a record that cannot be. job.records: what was written down before."""

    def pictures(self, values: V) -> tuple[str, ...]:
        """Ids of pictures that must have arrived before the record can be kept."""
        return ()

    def sentence(self, job: JobSoFar, values: V) -> str:
        """What it comes to, for the list and the answer. Raises TrowelError where it cannot be said."""
        return ""

    def shown(self, values: V, units: Units) -> list[str]:
        """Its readings as a crew reads them, in the order of the values."""
        return []
