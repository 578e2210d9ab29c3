"""Names of people as they may be shown: no marks that turn text round, nothing that cannot be seen."""

from __future__ import annotations

import unicodedata

from humble_trowel.core.errors import InputError

MOST = 40


def person_name(typed: str) -> str:
    """A name as it is kept, without spaces round it. Raises InputError for none, a long one, and signs that hide or turn
    what is written (Unicode categories Cc, Cf, Co, Cs, Zl, Zp)."""
    name = " ".join(typed.split(" ")).strip()
    if not name:
        raise InputError("Who are you?", "name")
    if len(name) > MOST:
        raise InputError(f"A name has {MOST} letters at most.", "name")
    if any(unicodedata.category(sign) in ("Cc", "Cf", "Co", "Cs", "Zl", "Zp") for sign in name):
        raise InputError("That name holds signs that cannot be seen. Type it again.", "name")
    return name
