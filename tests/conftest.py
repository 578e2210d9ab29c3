"""Random tests draw the same way at every run; `./trowel search` draws anew."""

import os

from hypothesis import settings

settings.register_profile("repeatable", derandomize=True)
settings.register_profile("search", derandomize=False, print_blob=True)
settings.load_profile(os.environ.get("TROWEL_DRAW", "repeatable"))
