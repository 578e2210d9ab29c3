"""Rules of the trade by themselves."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import typer

from humble_trowel.cli.shared import JsonOption, app, json_file, stop


@app.command()
def rule(name: str, file: Path, as_json: JsonOption = False) -> None:
    """One rule by itself: NAME (volume, squaring, forms, grades, insulation, steel, cutting) and the input of a case in FILE."""
    from time import perf_counter

    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.rules.answers import answer

    try:
        told = answer(name, json_file(file), perf_counter)
    except TrowelError as error:
        stop(f"{file}: {error}")
    typer.echo(json.dumps(told, indent=1, allow_nan=False) if as_json else "\n".join(_rows(told)))


@app.command()
def rules(as_json: JsonOption = False) -> None:
    """Every rule with its formula, source, edition and standing."""
    from humble_trowel.core.rules.answers import ANSWERS
    from humble_trowel.core.rules.book import RULES
    from humble_trowel.core.sources import SOURCES

    rows = [
        {"name": row.name, "title": row.title, "what": row.what, "formula": row.formula, "source": SOURCES[row.source].words,
         "edition": row.edition, "standing": row.standing, "table": row.table}
        for row in RULES
    ]  # fmt: skip
    if as_json:
        typer.echo(json.dumps({"rules": rows, "cases": list(ANSWERS)}, indent=1, ensure_ascii=False))
        return
    for row in rows:
        typer.echo(f"{row['name']}  {row['title']}\n    {row['formula']}\n    {row['source']}")
        typer.echo(f"    {', '.join(part for part in (str(row['standing']), str(row['edition'])) if part)}")
    typer.echo(f"\nBy themselves, with the input of a case: ./trowel rule NAME FILE, for {', '.join(ANSWERS)}.")


def _rows(told: Any, path: str = "") -> list[str]:
    """One line a value: parts.slabs  8.0"""
    if isinstance(told, dict):
        return [row for key, value in told.items() for row in _rows(value, f"{path}.{key}" if path else str(key))]
    if isinstance(told, list) and any(isinstance(value, dict | list) for value in told):
        return [row for at, value in enumerate(told) for row in _rows(value, f"{path}[{at}]")]
    shown = ", ".join(f"{value:g}" if isinstance(value, float) else str(value) for value in told) if isinstance(told, list) else f"{told:.6g}" if isinstance(told, float) else str(told)  # fmt: skip
    return [f"{path:44} {shown}"]
