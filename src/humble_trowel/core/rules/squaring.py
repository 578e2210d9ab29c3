"""Squaring by itself: a round of taped measures in, the frame as laid and its moves out."""

from __future__ import annotations

import math

from humble_trowel.core.lines.records import Taped
from humble_trowel.core.lines.squaring import Squared, square
from humble_trowel.core.plan.document import corner_name
from humble_trowel.core.rules.case import Answer, Given


def squaring(given: Given) -> Answer:
    """A round of taped measures: the frame as laid, which corner moves where, which reading to distrust."""

    def number(letter: str) -> int:
        return ord(letter.upper()) - 65

    ring = [(float(x), float(y)) for x, y in given["design"]]
    rows = [{"from": number(r["from"]), "to": number(r["to"]), "mm": r["mm"]} for r in given["readings"]]
    taped = Taped.model_validate({"hold": [number(c) for c in given["pinned"]], "measures": rows})
    sigma = float(given["tape_sigma_mm"])
    told = square(ring, taped, "mm", sigma_mm=sigma, distrust=False)
    if not told.determined:
        return {"determined": False, "missing_diagonals": told.missing}
    answer = {
        "determined": True, "dof": told.redundancy, "sigma0": told.sigma0,
        "residuals_adjusted_minus_read_mm": [row.off_mm for row in told.residuals],
        "blunder_locatable": told.redundancy >= 2, **_laid(told),
    }  # fmt: skip
    if told.redundancy >= 2:
        worst = max(told.residuals, key=lambda row: row.standard or 0.0)
        answer["largest_standardized_residual"] = {"reading": worst.name.replace(" to ", ""), "value": worst.standard}
    mended = square(ring, taped, "mm", sigma_mm=sigma)
    if mended.suspect is not None:
        ends = [mended.suspect.model_dump(by_alias=True)["from"], mended.suspect.to]
        names = [corner_name(int(end)) for end in ends]
        answer["after_suspect"] = {
            "suspect": names,
            "dof": mended.redundancy,
            "misfit_mm": mended.misfit_mm,
            **_laid(mended),
        }
    if len(ring) == 4 and len(rows) == 6:
        answer |= _four_sides(ring, rows, given, sigma)
    return answer


def _laid(told: Squared) -> Answer:
    return {
        "corners_mm": {corner_name(i): list(spot) for i, spot in enumerate(told.laid_mm) if spot is not None},
        "moves_mm": {corner_name(move.corner): [move.dx_mm, move.dy_mm] for move in told.moves},
    }


def _four_sides(ring: list[tuple[float, float]], rows: list[Answer], given: Given, sigma: float) -> Answer:
    """Of four sides and two diagonals: what closes, and how far the far side is racked."""
    read = {frozenset((row["from"], row["to"])): float(row["mm"]) for row in rows}
    five = [row for row in rows if {row["from"], row["to"]} != {1, 3}]
    taped = Taped.model_validate({"hold": [0, 1], "measures": five})
    laid = square(ring, taped, "mm", sigma_mm=sigma, distrust=False).laid_mm
    b, d = laid[1], laid[3]
    if b is None or d is None:
        return {}
    ac, bd, ab = (read[frozenset(pair)] for pair in ((0, 2), (1, 3), (0, 1)))
    return {
        "closure_BD_read_minus_predicted_mm": bd - math.dist(b, d),
        "rack_move_of_far_side_mm": (bd**2 - ac**2) / (4 * ab),
    }
