"""An exercise of the practice yard in plain text, and what an answer comes to."""

from __future__ import annotations

import json
from dataclasses import asdict
from typing import Annotated

import typer

from humble_trowel.cli.shared import JsonOption, app, stop

Answers = Annotated[list[str], typer.Option("--answer", help="What is said, as ask=option; once for each ask.")]


@app.command()
def practice(
    kind: Annotated[str, typer.Argument()] = "",
    level: int = 1,
    seed: int = 1,
    units: str = "ft-in",
    answer: Answers = [],  # noqa: B006
    as_json: JsonOption = False,
) -> None:
    """An exercise: KIND (all of them where none is named), made by SEED; with --answer, what that comes to."""
    from humble_trowel.core.errors import TrowelError
    from humble_trowel.core.plan.ways import Ways
    from humble_trowel.core.practice.exercise import mark
    from humble_trowel.core.practice.yard import KINDS, build

    if not kind:
        typer.echo("\n".join(f"{one.key:8} {one.title}" for one in KINDS))
        return
    if units not in ("ft-in", "mm"):
        stop(f"Units are ft-in or mm, not {units}.")
    try:
        made = build(kind, level, seed, "mm" if units == "mm" else "ft-in", Ways())
        said = dict(one.partition("=")[::2] for one in answer)
        found = mark(made, said) if said else None
    except TrowelError as error:
        stop(str(error))
    if as_json:
        typer.echo(json.dumps(asdict(found) if found else asdict(made), indent=1, ensure_ascii=False))
        return
    typer.echo("\n".join([made.question, *made.lead, *(f"{one.name}: {one.text}" for one in made.readings)]))
    for ask in made.asks:
        typer.echo(f"\n{ask.id}  {ask.label}\n    {', '.join(f'{one.key}: {one.text}' for one in ask.options)}")
    if found:
        typer.echo("\n" + "\n".join([found.verdict, *found.words, *made.why, made.rule.words]))
