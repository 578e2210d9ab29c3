"""Doubts about the mix."""

from __future__ import annotations

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.mix.advice import MixFound
from humble_trowel.core.mix.balance import Balance


def mix_doubts(found: MixFound | None, heat: Balance) -> list[Finding]:
    """Clashes that nobody settled, lines that break a rule, a mix too warm or too cold."""
    if found is None:
        return []
    rows = [
        finding("mix-clash", f"mix.{one.key}", f"{one.title}. {one.words}", "Settle it with those who decide, and say so.", "air-trowel" if one.key == "air" else "ash-stain")
        for one in found.clashes
        if one.settled is None
    ]  # fmt: skip
    clashing = {one.key for one in found.clashes}
    rows += [
        finding("mix-line", line.field, f"{line.name}: {line.wrong}", "Say it otherwise, or ask who decides.", line.source)
        for line in found.lines
        if line.wrong and line.what not in clashing
    ]  # fmt: skip
    if heat.wrong:
        rows.append(finding("mix-heat", "mix.wanted_c", heat.wrong, "Ask the plant what it can do.", heat.wrong_key))
    return rows
