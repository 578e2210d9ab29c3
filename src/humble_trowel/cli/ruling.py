"""Rules of the trade by themselves."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import typer

from humble_trowel.cli.shared import JsonOption, app, json_file, stop


@app.command()
def rule(name: str, file: Path, as_json: JsonOption = False) -> None:
    """One rule by itself: NAME (volume, squaring, forms, grades, insulation, cutting) and the input of a case in FILE."""
    from time import perf_counter

    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.rules.answers import answer

    try:
        told = answer(name, json_file(file), perf_counter)
    except TrowelError as error:
        stop(f"{file}: {error}")
    typer.echo(json.dumps(told, indent=1, allow_nan=False) if as_json else "\n".join(_rows(told)))


def _rows(told: Any, path: str = "") -> list[str]:
    """One line a value: parts.slabs  8.0"""
    if isinstance(told, dict):
        return [row for key, value in told.items() for row in _rows(value, f"{path}.{key}" if path else str(key))]
    if isinstance(told, list) and any(isinstance(value, dict | list) for value in told):
        return [row for at, value in enumerate(told) for row in _rows(value, f"{path}[{at}]")]
    shown = ", ".join(f"{value:g}" if isinstance(value, float) else str(value) for value in told) if isinstance(told, list) else f"{told:.6g}" if isinstance(told, float) else str(told)  # fmt: skip
    return [f"{path:44} {shown}"]
