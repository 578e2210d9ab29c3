"""What all commands share: the application, options, plain lines on the way out, the list that `help` prints."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Annotated, Any, NoReturn

import typer
from typer.core import TyperArgument, TyperCommand, TyperGroup, TyperOption
from typer.exceptions import TyperException

from humble_trowel.settings import Settings, default_data

app = typer.Typer(add_completion=False, pretty_exceptions_enable=False, rich_markup_mode=None)
DataOption = Annotated[Path | None, typer.Option("--data", help="Folder of the data.")]
JsonOption = Annotated[bool, typer.Option("--json")]
PASS_ON = {"allow_extra_args": True, "ignore_unknown_options": True}


def stop(words: str, code: int = 2) -> NoReturn:
    """One plain line on standard error, and the exit code."""
    typer.echo(words, err=True)
    raise typer.Exit(code)


def settings_of(data: Path | None, port: int, demo: bool) -> Settings:
    """Settings with the folder of the data made."""
    folder = data or default_data(demo)
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        stop(f"Cannot make the data folder {folder}: {error.strerror}.")
    return Settings(folder, port)


def json_file(path: Path) -> Any:
    """What a JSON file holds."""
    try:
        return json.loads(path.read_text("utf-8"))
    except OSError as error:
        stop(f"{path}: {error.strerror or error}.")
    except (ValueError, RecursionError):
        stop(f"{path}: that is not JSON.")


def all_commands() -> dict[str, TyperCommand]:
    """Every command by its name, in the order they were written down."""
    group = typer.main.get_command(app)
    assert isinstance(group, TyperGroup)
    return {name: row for name, row in group.commands.items() if isinstance(row, TyperCommand)}


def usage_of(name: str, command: TyperCommand) -> str:
    """./trowel grade JOB SHOTS [--layer TEXT] [--json]"""
    words = [f"./trowel {name}"]
    for row in command.params:
        if isinstance(row, TyperArgument):
            shown = (row.metavar or row.name or "").upper()
            words.append(shown if row.required else f"[{shown}]")
        elif isinstance(row, TyperOption) and row.name != "help":
            words.append(
                f"[{row.opts[0]}]" if row.is_flag else f"[{row.opts[0]} {(row.metavar or row.name or '').upper()}]"
            )
    return " ".join(words)


def help_text() -> str:
    """Every command with what it does."""
    rows = ["Humble Trowel", "", "  ./trowel help", "      This list; ./trowel NAME --help says more of one."]
    for name, command in all_commands().items():
        rows += [f"  {usage_of(name, command)}", f"      {(command.help or '').splitlines()[0]}"]
    return "\n".join(rows)


def run(arguments: list[str]) -> int:
    """Run one command. Returns the exit code; a wrong use is one plain line and 2."""
    name = arguments[0] if arguments else "help"
    if name in ("help", "--help", "-h"):
        typer.echo(help_text())
        return 0
    if name not in all_commands():
        typer.echo(f"{name} is no command.\n\n{help_text()}", err=True)
        return 2
    try:
        done = typer.main.get_command(app).main(arguments, prog_name="./trowel", standalone_mode=False)
    except typer.Abort:
        return 130
    except TyperException as error:
        typer.echo(f"{error.format_message()} See ./trowel {name} --help", err=True)
        return 2
    return done if isinstance(done, int) else 0
