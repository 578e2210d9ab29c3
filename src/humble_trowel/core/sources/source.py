"""Where rules come from. A rule names a row here by its key; screens show `words` and `standing`."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

Standing = Literal["standard", "handbook", "thumb", "house", "estimate", "typed", "definition"]


@dataclass(frozen=True)
class Source:
    """One source: key, a sentence for the screen, how much weight it carries, and the edition it was recalled from."""

    key: str
    words: str
    standing: Standing
    edition: str = ""


IRC = "IRC 2021, recalled"
