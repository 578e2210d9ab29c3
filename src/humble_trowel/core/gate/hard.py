"""Which holds nobody on site may overrule, by the first word of their code, and who lifts them."""

from __future__ import annotations

HARD = {
    "stop": "mend it where it stands, the plan is impossible as it is",
    "visit": "the inspector lifts it",
    "frozen": "concrete never goes on frozen ground",
    "freezes": "concrete that freezes before it is strong is lost",
    "failed": "a line that does not hold its test is mended and tested again",
    "permit": "the county lifts it",
    "day": "say on which day it is poured",
}


def is_hard(code: str) -> bool:
    """Whether a hold is not the crew's to overrule."""
    return code.split("/")[0] in HARD


def who_lifts(code: str) -> str:
    """Who lifts it, or how."""
    return HARD.get(code.split("/")[0], "")
