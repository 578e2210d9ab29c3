"""Job files: reading with one plain error, writing without loss."""

from __future__ import annotations

import json
import math
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from humble_trowel.core.errors import PlanError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.reading.job_file import read_plan
from humble_trowel.core.reading.plain_errors import key_path
from humble_trowel.files.strict_json import MOST_DIGITS, odd_sign, too_deep

MAX_BYTES = 2_000_000


def parse_job(raw: bytes) -> Plan:
    """A checked plan from the bytes of a job file. Raises PlanError."""
    return read_plan(parse_json(raw))


def parse_json(raw: bytes) -> Any:
    """JSON of a job file: UTF-8, at most 2 MB, no NaN, no key twice. Raises PlanError."""
    if len(raw) > MAX_BYTES:
        raise PlanError(f"The file has {len(raw) / 1e6:.1f} MB; a job file has 2 MB at most.")
    try:
        text = raw.decode("utf-8-sig")
    except UnicodeDecodeError:
        raise PlanError("The file is not UTF-8 text, so it is no job file.") from None
    if not text.strip():
        raise PlanError("The file is empty.")
    try:
        data = json.loads(
            text, parse_constant=_Constant, parse_int=_whole, parse_float=_number, object_pairs_hook=_no_twins
        )
    except json.JSONDecodeError as error:
        raise PlanError(f"The file is not JSON: line {error.lineno}, column {error.colno}: {error.msg}.") from None
    except RecursionError:
        raise PlanError("The file is nested too deep to be a job.") from None
    if too_deep(data):
        raise PlanError("The file is nested too deep to be a job.")
    if odd_sign(raw, data):
        raise PlanError("There is a sign in a text of the file that no text may hold.")
    if found := next(_constants(data, ()), None):
        raise PlanError(f"{found[0]} is not a number that can be used.", key_path(found[1]))
    return data


class _Constant(str):
    """What is no number that can be used, as it stood in a file, until its place is known."""


def _whole(text: str) -> Any:
    return int(text) if len(text) <= MOST_DIGITS else _Constant(f"{text[:6]}…, of {len(text)} digits,")


def _number(text: str) -> Any:
    value = float(text)
    return value if math.isfinite(value) else _Constant(text[:MOST_DIGITS])


def _constants(data: Any, path: tuple[str | int, ...]) -> Iterator[tuple[str, tuple[str | int, ...]]]:
    """Every NaN and Infinity with its key path."""
    if isinstance(data, _Constant):
        yield str(data), path
    rows = data.items() if isinstance(data, dict) else enumerate(data) if isinstance(data, list) else ()
    for key, value in rows:
        yield from _constants(value, (*path, key))


def _no_twins(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
    result = dict(pairs)
    if len(result) != len(pairs):
        names = [key for key, _ in pairs]
        twin = next(key for key in names if names.count(key) > 1)
        raise PlanError("The key stands twice.", twin)
    return result


def read_job(path: Path) -> Plan:
    """Read a job file from disk. Raises PlanError, OSError."""
    with path.open("rb") as stream:
        return parse_job(stream.read(MAX_BYTES + 1))


def plan_data(plan: Plan) -> dict[str, Any]:
    """The document as plain data."""
    return plan.model_dump(mode="json")


def write_job(plan: Plan) -> bytes:
    """A job file, readable by people: indented, keys in the order of the model."""
    return (json.dumps(plan_data(plan), ensure_ascii=False, allow_nan=False, indent=1) + "\n").encode()
