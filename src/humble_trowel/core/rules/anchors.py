"""Bolts of a plate by themselves: placed, or checked. Cases give inches."""

from __future__ import annotations

import itertools

from humble_trowel.core.embeds.bolts import BoltRules, bolts_of, checked
from humble_trowel.core.embeds.plates import Run, studs_at
from humble_trowel.core.plan.bars import IN
from humble_trowel.core.rules.case import Answer, Given, by_kind


def anchors(given: Given) -> Answer:
    """Bolts along a run: the fewest, or which rules given ones break."""
    return by_kind({"best": _best, "check": _check}, given)


def _run(given: Given) -> Run:
    said = given["run"]
    long = float(said["length"]) * IN
    gaps = tuple((float(a) * IN, float(b) * IN) for a, b in said.get("openings", ()))
    spacing = said.get("stud_spacing")
    studs = studs_at(
        long, float(said.get("stud_origin", 0)) * IN, float(spacing) * IN if spacing else None, gaps,
        [float(mm) * IN for mm in said.get("extra_studs", ())],
    )  # fmt: skip
    return Run(long, tuple(float(at) * IN for at in said.get("joints", ())), gaps, studs)


def _rules(given: Given) -> BoltRules:
    said = given.get("settings", {})
    return BoltRules(
        float(said.get("max_spacing", 72.0)) * IN, float(said.get("end_min", 3.5)) * IN, float(said.get("end_max", 12.0)) * IN,
        float(said.get("clear", 2.25)) * IN, float(said.get("grid", 0.125)) * IN, int(said.get("min_per_piece", 2)),
    )  # fmt: skip


def _best(given: Given) -> Answer:
    run = _run(given)
    rows = bolts_of(run, _rules(given))
    counts = [None if row is None else len(row) for row in rows]
    return {
        "total_fewest": None if None in counts else sum(n for n in counts if n),
        "per_piece": counts,
        "impossible_pieces": [[a / IN, b / IN] for (a, b), row in zip(run.pieces, rows, strict=True) if row is None],
        "a_layout": [None if row is None else [mm / IN for mm in row] for row in rows],
        "greatest_gap": [None if row is None else max(b - a for a, b in itertools.pairwise(row)) / IN for row in rows],
    }


def _check(given: Given) -> Answer:
    broken = checked(_run(given), _rules(given), [float(at) * IN for at in given["bolts"]])
    return {"ok": not broken, "rules": sorted({row.rule for row in broken})}
