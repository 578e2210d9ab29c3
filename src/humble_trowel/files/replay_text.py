"""A played day as plain text, and as a line of JSON a step."""

from __future__ import annotations

from typing import Any

from humble_trowel.core.pour.report import PourReport
from humble_trowel.core.replay import Step


def step_text(step: Step) -> str:
    """Time, what was said, what is next, how much in all, the last truck; doubts under it."""
    who = f" ({step.who})" if step.who else ""
    rows = [f"{step.at_text:>6}  {step.words}{who}"]
    rows.append(f"        next {step.next_text}; in all {step.forecast_text}; {step.call_text}")
    return "\n".join([*rows, *(f"        ! {one}" for one in step.doubts)])


def step_json(step: Step) -> dict[str, Any]:
    """The same under the fixed names."""
    told = PourReport.of(step.day).told()
    return {"at": step.at_text, "who": step.who, "words": step.words, "doubts": step.doubts, "pour": told}
