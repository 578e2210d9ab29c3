"""Commands for those who build the program."""

from __future__ import annotations

import json
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Annotated

import typer

from humble_trowel.cli.shared import PASS_ON, JsonOption, app, stop
from humble_trowel.settings import Settings
from humble_trowel.workshop import FRONT, ROOT, StepFailed, check, pictures, prove, search, test


def _step(run: Callable[[Sequence[str]], int], arguments: Sequence[str]) -> None:
    try:
        code = run(arguments)
    except StepFailed as error:
        stop(str(error), 1)
    raise typer.Exit(code)


@app.command("test", context_settings=PASS_ON)
def run_tests(context: typer.Context) -> None:
    """Everything that proves it works; --quick without what takes long; what follows is told to pytest alone."""
    _step(test, context.args)


@app.command("check")
def run_check() -> None:
    """Lint and types alone."""

    def all_of_it(_: Sequence[str]) -> int:
        check()
        return 0

    _step(all_of_it, ())


@app.command("search", context_settings=PASS_ON)
def run_search(context: typer.Context) -> None:
    """Random legal jobs with fresh seeds, for so many MINUTES; what fails is kept as a case."""
    _step(search, context.args)


@app.command("prove", context_settings=PASS_ON)
def run_attacks(context: typer.Context) -> None:
    """Attack it for some twenty minutes: kills, disks, bombs, crowds; a table of what held; NAMEs for some alone."""
    _step(prove, context.args)


@app.command()
def bench(
    as_json: JsonOption = False,
    compare: Annotated[
        str | None, typer.Option(help="A revision to measure in turn with this one; prints ratios.")
    ] = None,
) -> None:
    """Measure speed against the goals; ends with 1 where a row is missed."""
    from humble_trowel.bench.main import run

    raise typer.Exit(run(as_json, compare))


@app.command("pictures", context_settings=PASS_ON)
def take_pictures(context: typer.Context) -> None:
    """Retake docs/screenshots from the demo data."""
    _step(pictures, context.args)


@app.command()
def openapi(target: Annotated[Path, typer.Argument()] = FRONT / "openapi.json") -> None:
    """Write the interface description from which the front end's types are made."""
    from humble_trowel.api.app import make_app

    text = json.dumps(make_app(Settings(Path("."))).openapi(), indent=1, ensure_ascii=False) + "\n"
    target.write_text(text, "utf-8")


@app.command()
def schema(target: Annotated[Path, typer.Argument()] = ROOT / "docs" / "job-file.schema.json") -> None:
    """Write the JSON schema of the job file."""
    from humble_trowel.core.plan.document import Plan

    target.write_text(json.dumps(Plan.model_json_schema(), indent=1, ensure_ascii=False) + "\n", "utf-8")


@app.command()
def names(target: Annotated[Path, typer.Argument()] = ROOT / "docs" / "report.md") -> None:
    """Write the list of the names in all answers."""
    from humble_trowel.files.report_names import report_names

    target.write_text(report_names(), "utf-8")
