"""Records of what is set."""

from __future__ import annotations

from humble_trowel.core.embeds.embeds import embeds_laid
from humble_trowel.core.embeds.records import EmbedSet
from humble_trowel.core.embeds.setting import setting
from humble_trowel.core.errors import InputError
from humble_trowel.core.reading.record_kind import JobSoFar, RecordKind
from humble_trowel.core.units import Units, say_length


class EmbedSetKind(RecordKind[EmbedSet]):
    """A thing that was set, or could not be; the newest of a thing counts."""

    name = "embed-set"
    values = EmbedSet

    def check(self, job: JobSoFar, values: EmbedSet) -> None:
        if not values.is_set and not values.why.strip():
            raise InputError("Say what is in the way.", "why")
        found = embeds_laid(job.plan, None, job.ways.embeds)
        named = {row.id for row in job.plan.embeds.walls}
        things = setting(found.walls, found.straps, found.groups, ()).items if found else []
        if values.of not in named and values.of not in {item.of for item in things}:
            raise InputError("That does not stand on this slab any more.", "of")
        if values.of in named and values.at_mm is None:
            raise InputError("At which station?", "at_mm")

    def sentence(self, job: JobSoFar, values: EmbedSet) -> str:
        name = next((row.name for row in job.plan.embeds.walls if row.id == values.of), "")
        at = "" if values.at_mm is None else f" at {say_length(values.at_mm, job.plan.units)}"
        what = f"{name}, bolt{at}" if name else f"What stands{at}"
        return f"{what}: set." if values.is_set else f"{what}: not set, {values.why.strip()}"

    def shown(self, values: EmbedSet, units: Units) -> list[str]:
        return [say_length(values.at_mm, units) if values.at_mm is not None else values.of]


EMBED_RECORDS = (EmbedSetKind(),)
