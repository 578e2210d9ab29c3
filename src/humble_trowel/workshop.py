"""Commands for those who build the program: lint and types, tests, search for faults, pictures. They need the checkout."""

from __future__ import annotations

import os
import shutil
import subprocess
import sys
import time
from collections.abc import Sequence
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]
FRONT = ROOT / "frontend"
BIN = Path(sys.executable).parent


class StepFailed(Exception):
    """A step that failed, in plain words with its last lines."""


def say(words: str) -> None:
    """A line about what is going on, beside the answer."""
    print(f"  {words}", file=sys.stderr, flush=True)


def check() -> None:
    """Lint, types, layers, front-end check and its unit tests. Raises StepFailed at the first that fails."""
    npm = shutil.which("npm") or "npm"
    steps: list[tuple[list[str], str, Path]] = [
        ([str(BIN / "ruff"), "check", "."], "ruff", ROOT),
        ([str(BIN / "ruff"), "format", "--check", "."], "ruff format", ROOT),
        ([str(BIN / "mypy")], "mypy", ROOT),
        ([str(BIN / "lint-imports")], "the import-layer check", ROOT),
        ([npm, "run", "-s", "check"], "svelte-check", FRONT),
        ([npm, "run", "-s", "lint"], "eslint", FRONT),
        ([npm, "run", "-s", "test"], "front-end unit tests", FRONT),
    ]
    for command, what, folder in steps:
        at = time.monotonic()
        done = subprocess.run(command, cwd=folder, text=True, stdout=subprocess.PIPE, stderr=subprocess.STDOUT)
        if done.returncode:
            tail = "\n".join(done.stdout.splitlines()[-15:])
            raise StepFailed(f"{what} failed.\n{tail}")
        say(f"{what}: fine ({time.monotonic() - at:.0f} s)")


def test(arguments: Sequence[str]) -> int:
    """Everything that proves it works; with arguments, what pytest is told. --quick: without the slow ones and the browser.
    Returns pytest's exit code."""
    if "--quick" in arguments:
        rest = [word for word in arguments if word != "--quick"]
        words = ["-n", "2", "-m", "not slow and not browser", *rest]
        return subprocess.run([sys.executable, "-m", "pytest", *words], cwd=ROOT).returncode
    need_chromium()
    if not arguments:
        check()
    return subprocess.run([sys.executable, "-m", "pytest", *(arguments or ["-n", "2"])], cwd=ROOT).returncode


def search(arguments: Sequence[str]) -> int:
    """Random legal jobs and random tests with fresh seeds (tests/search.py)."""
    return subprocess.run([sys.executable, "-m", "tests.search", *arguments], cwd=ROOT).returncode


def prove(arguments: Sequence[str]) -> int:
    """Every attack at full length, or those that are named (tests/attacks/prove.py)."""
    need_chromium()
    return subprocess.run([sys.executable, "-m", "tests.attacks.prove", *arguments], cwd=ROOT).returncode


def pictures(arguments: Sequence[str]) -> int:
    """Retake docs/screenshots (tests/pictures.py)."""
    need_chromium()
    return subprocess.run([sys.executable, str(ROOT / "tests" / "pictures.py"), *arguments], cwd=ROOT).returncode


def need_chromium() -> None:
    """Chromium on PATH, installed on Debian where this is root. Raises StepFailed without it."""
    names = ("chromium", "chromium-browser", "google-chrome")
    if any(shutil.which(name) for name in names):
        return
    if shutil.which("apt-get") and hasattr(os, "geteuid") and os.geteuid() == 0:
        say("Installing Debian's chromium for the browser tests (about 60 s)")
        for command in (["apt-get", "update", "-qq"], ["apt-get", "install", "-y", "-qq", "chromium"]):
            subprocess.run(command, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL, check=False)
    if not any(shutil.which(name) for name in names):
        raise StepFailed(
            "The browser tests need chromium on PATH. On Debian: apt-get install chromium, then start again."
        )
