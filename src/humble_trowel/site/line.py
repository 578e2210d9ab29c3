"""The locked line of this machine, as files."""

from __future__ import annotations

from dataclasses import dataclass
from pathlib import Path


@dataclass(frozen=True)
class Line:
    """What is shown to a browser. mark: of the authority, to be compared by eye."""

    certificate: Path
    key: Path
    authority: Path
    mark: str
