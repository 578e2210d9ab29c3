"""Random tests draw the same way at every run; `./trowel search` draws anew. Marks: `browser` and `slow`, by folder."""

import os
from pathlib import Path

import pytest
from hypothesis import settings

TESTS = Path(__file__).resolve().parent
BROWSER, SLOW = {"e2e"}, {"properties", "cli", "validation", "attacks"}

settings.register_profile("repeatable", derandomize=True)
settings.register_profile("search", derandomize=False, print_blob=True)
settings.load_profile(os.environ.get("TROWEL_DRAW", "repeatable"))


def pytest_collection_modifyitems(items):
    """Mark by folder: what drives a browser, and what takes seconds. `./trowel test --quick` leaves both out."""
    for item in items:
        folder = item.path.relative_to(TESTS).parts[0]
        if folder in BROWSER:
            item.add_marker(pytest.mark.browser)
        elif folder in SLOW or "generated_files" in item.name:
            item.add_marker(pytest.mark.slow)
