"""All that is buried: runs, risers, clashes, what they take, and doubts."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from humble_trowel.core.findings import Finding, finding, said_together
from humble_trowel.core.geometry.below import Stood
from humble_trowel.core.geometry.footing_strips import prisms
from humble_trowel.core.geometry.solid import Solid
from humble_trowel.core.ground.levels import Stand
from humble_trowel.core.ground.rod import rod_reads
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.underslab.check import checked
from humble_trowel.core.underslab.clashes import Clash, clashes
from humble_trowel.core.underslab.crossings import crossings
from humble_trowel.core.underslab.records import RiserCheck
from humble_trowel.core.underslab.services import SHORT_TON_T, RiserRow, Run, riser_row, run_of
from humble_trowel.core.walls.rows import prisms_of, standing_walls

GUESSED = {"start_mm": "how deep it starts", "fall": "its fall"}


@dataclass(frozen=True)
class Buried:
    """runs, risers: in the order of the plan. clashes: numbered as they stand. bedding_text: all pea gravel. counts: for the
    verdict. bite_text: what of the concrete the pipes take up, and whether it is deducted."""

    runs: list[Run]
    risers: list[RiserRow]
    clashes: list[Clash]
    bedding_text: str
    sleeves: int
    findings: list[Finding]


def underslab(
    plan: Plan, solid: Solid | None, ways: JobWays, stands: Sequence[Stand], checks: Sequence[RiserCheck] = ()
) -> Buried | None:
    """What is buried; None where nothing is. checks: risers as they were taped, oldest first."""
    buried = plan.underslab
    if not (buried.services or buried.risers):
        return None
    line = stands[-1].instrument_mm if stands else None
    stood = _stood(plan)
    met = crossings(buried.services)
    runs = [run_of(plan, solid, at, stood, line, rod_reads(plan, ways), met) for at in range(len(buried.services))]
    taped = {row.riser: row for row in checks}
    risers = [_seen(plan, riser_row(plan, at), taped.get(row.id)) for at, row in enumerate(buried.risers)]
    found = clashes(plan, runs, met)
    tonnes = math.fsum(run.bedding_t for run in runs)
    text = (f"{tonnes:.1f} t" if plan.units == "mm" else f"{tonnes / SHORT_TON_T:.1f} tons") if tonnes else ""
    return Buried(
        runs,
        risers,
        found,
        text,
        sum(len(run.sleeves) for run in runs),
        [*_as_findings(found), *_off(risers), *_guesses(plan)],
    )


def _stood(plan: Plan) -> list[tuple[str, str, Stood]]:
    """Walls and footings, each prism by its name."""
    rows = [
        (one.name, "footing", Stood(prism.region, prism.bottom_mm, prism.top_mm))
        for one in plan.footings
        for prism in prisms(one)
    ]
    return rows + [
        (one.wall.name, "wall", Stood(prism.region, prism.bottom_mm, prism.top_mm))
        for one in standing_walls(plan)
        for prism in prisms_of(one)
    ]


def _seen(plan: Plan, row: RiserRow, taped: RiserCheck | None) -> RiserRow:
    if taped is None:
        return row
    return replace(row, check=checked(plan, plan.underslab.risers[row.riser], row.faces, taped))


def _off(rows: Sequence[RiserRow]) -> list[Finding]:
    return [
        finding("riser-off", f"underslab/{row.id}", f"{row.name}: {row.check.words}", row.check.mend, "riser-allowed")
        for row in rows
        if row.check is not None and not row.check.on
    ]


def _as_findings(rows: Sequence[Clash]) -> list[Finding]:
    return [finding(row.code, f"underslab/{row.where}", row.words, row.remedy, row.source) for row in rows]


def _guesses(plan: Plan) -> list[Finding]:
    found = []
    for row in plan.underslab.services:
        if row.guessed:
            what = said_together([GUESSED[key] for key in row.guessed])
            words = f"{row.name}: {what} {'is' if len(row.guessed) == 1 else 'are'} guessed. Nobody has said it yet."
            found.append(finding("service-guessed", f"underslab/{row.id}", words, "Say it; the rod follows it."))
    return found
