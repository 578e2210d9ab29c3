"""What the ground really is, as far as it was measured: it takes the place of the crew's guesses in the order."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.working import Working


@dataclass(frozen=True)
class Measured:
    """base_doubt_m3: spread of what the shots say. base: extra concrete over the ground as shot (may be less than nothing), None while not settled.

    trenches: extra of trenches as dug, None where none was measured. dug_sides, dug_rows, dug_beams: which ones were."""

    base: Working | None = None
    base_words: str = ""
    base_doubt_m3: float | None = None
    trenches: Working | None = None
    trench_words: str = ""
    dug_sides: frozenset[int] = frozenset()
    dug_rows: frozenset[int] = frozenset()
    dug_beams: frozenset[int] = frozenset()


UNMEASURED = Measured()
