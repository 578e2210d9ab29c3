"""Bodies of what has to do with several devices."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import AfterValidator, BaseModel, ConfigDict, Field

from humble_trowel.core.plan.values import Day, seen

Role = Literal["owner", "crew", "looker"]
LineKind = Literal["own", "plain", "locked"]


class _Body(BaseModel):
    model_config = ConfigDict(extra="forbid")


class Me(BaseModel):
    """Who asks. line: by which way. device: '' where it did not join, and of the laptop itself. open: numbers are taken now, and
    then names tells who there is, busy who of them is in, job and outline what the laptop shows (to a phone that did not join).
    locked_url: the same page over the locked line, '' where there is none."""

    line: LineKind
    device: str
    name: str
    role: Role | None
    job: str | None = None
    until: str | None = None
    open: bool = False
    names: list[str] = []
    busy: list[str] = []
    showing: str = ""
    outline: list[tuple[float, float]] = []
    locked_url: str = ""
    mark: str = ""


class Joining(_Body):
    """Somebody types the number that was read out."""

    name: str = Field(max_length=200)
    number: str = Field(max_length=40)


class Looking(_Body):
    """Somebody followed a link to look."""

    token: str = Field(max_length=200)


class Joined(BaseModel):
    """What came of it."""

    name: str
    role: Role
    job: str | None


class HereSaid(_Body):
    """Where a screen is. spot_mm: of the part that is picked. waits: rows that wait on the device."""

    name: str = Field("", max_length=80)
    job: str = Field("", max_length=64)
    lens: str = Field("", max_length=20, pattern="^[a-z-]*$")
    tab: str = Field("", max_length=30, pattern="^[a-z-]*$")
    part: Annotated[str, Field(max_length=60), AfterValidator(seen)] = ""
    spot_mm: tuple[float, float] | None = None
    waits: int = Field(0, ge=0, le=1_000_000)


class HereTold(BaseModel):
    """Where somebody is. mark: tells two of one name apart. reach: whether it listens now."""

    device: str
    name: str
    mark: str
    job: str
    lens: str
    tab: str
    part: str
    spot_mm: tuple[float, float] | None
    waits: int
    reach: bool
    line: str
    own: bool


class DeviceRow(BaseModel):
    """A device on the laptop's list."""

    id: str
    name: str
    mark: str
    role: Role
    job: str | None
    until: str | None
    joined_at: str
    thrown_at: str | None
    line: str
    here: HereTold | None


class CameIn(BaseModel):
    """Something that came: somebody (no kind), or a record of a kind of theirs."""

    at: str
    who: str
    kind: str
    what: str
    job: str


class AddressShown(BaseModel):
    """An address of this machine, as it is typed and in full. locked_url: '' where nothing may be signed for it."""

    typed: str
    plain_url: str
    locked_url: str


class SiteState(BaseModel):
    """The laptop's own view. number: read out to one phone. square: SVG. offline: why it is not open, '' where nothing stands in
    the way."""

    open: bool
    addresses: list[AddressShown]
    square: str
    number: str
    left_s: float
    wrong: int
    ended_by_tries: bool
    mark: str
    devices: list[DeviceRow]
    came: list[CameIn]
    moved: bool


class SetRole(_Body):
    """What a device may do from now on."""

    role: Role


class NewLink(_Body):
    """A link for somebody who looks at one job, until the end of a day."""

    name: str = Field(max_length=200)
    job: str = Field(max_length=64)
    until: Day


class LinkMade(BaseModel):
    """Told once. square: SVG of it."""

    url: str
    until: str
    square: str


class CopyRow(BaseModel):
    """A saved copy of the data."""

    name: str
    at: str
    size_bytes: int
    second: bool


class CopiesState(BaseModel):
    """second: folder of the second place, '' where there is none. trouble: why the last copy there did not come, ''. held: what
    the data hold now."""

    copies: list[CopyRow]
    second: str
    second_at: str
    trouble: str
    held: str


class SecondPlace(_Body):
    """A folder on another disk or a stick; '' for none."""

    folder: str = Field(max_length=1000)


class PutBack(_Body):
    """Which copy to put back. second: of the second place."""

    name: str = Field(max_length=200)
    second: bool = False


class PutBackTold(BaseModel):
    """What came of it."""

    words: str
