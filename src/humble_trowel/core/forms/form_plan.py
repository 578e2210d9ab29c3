"""All forms of a job: every side, every step, what it takes, what it costs, and what is doubtful."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.forms.beside_forms import beside_forms
from humble_trowel.core.forms.exposed import holding
from humble_trowel.core.forms.kickers import FULL
from humble_trowel.core.forms.side_form import TALL_MM, SideForm, side_form
from humble_trowel.core.forms.side_workings import SideWorkings, side_workings
from humble_trowel.core.forms.steps import StepForm, step_forms
from humble_trowel.core.forms.take_off import Take, take_off
from humble_trowel.core.geometry.rounds import Arc, find_arcs
from humble_trowel.core.geometry.zones import Cell
from humble_trowel.core.guard import answers
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.form_ways import FormWays
from humble_trowel.core.plan.ways import JobWays
from humble_trowel.core.units import Units, say_depth, say_length


@dataclass(frozen=True)
class FormPlan:
    """sides: every side, formed or not. steps: boards between zones and along what lies beside. takes: the totals, each with its working. arcs: rounded corners."""

    sides: list[SideForm]
    steps: list[StepForm]
    takes: list[Take]
    findings: list[Finding]
    arcs: list[Arc]
    workings: list[SideWorkings]
    caution: str


CAUTION = (
    "Forms over about 2 ft of fresh concrete, beside traffic or beside an excavation need a competent person or an "
    "engineer. Spacings here are for dry ground and sound boards; the crew judges both."
)


@answers("The forms")
def form_plan(plan: Plan, cells: list[Cell], ways: JobWays, string_mm: float) -> FormPlan:
    """The forms of a plan with an outline. cells: its zones as laid. string_mm: of the set-out sheet, for the take-off."""
    ring = list(plan.outline or [])
    arcs = find_arcs(ring)
    arc_of = {side: arc for arc in arcs for side in arc.sides}
    depth, standing = _edge_depths(plan), holding(plan)
    sides = [
        side_form(plan, cells, side, ways.forms, depth.get(side, 0.0), arc_of.get(side), standing)
        for side in range(len(ring))
    ]
    steps = step_forms(plan, cells, ways.forms) + beside_forms(plan, ways.forms)
    return FormPlan(
        sides,
        steps,
        take_off(plan, sides, steps, ways.forms, string_mm),
        _doubts(plan, sides, ways.forms),
        arcs,
        [side_workings(plan, side, ways.forms) for side in sides],
        CAUTION,
    )


def _edge_depths(plan: Plan) -> dict[int, float]:
    depth = {kind.mark: kind.depth_mm or 0.0 for kind in plan.edge_types if kind.kind == "thickened"}
    return {side: depth.get(edge.type, 0.0) for edge in plan.edges for side in edge.sides or ()}


def _doubts(plan: Plan, sides: Sequence[SideForm], ways: FormWays) -> list[Finding]:
    units = plan.units
    rows: list[Finding] = []
    formed = [side for side in sides if side.formed]
    unknown = [side for side in formed if not side.ground_known]
    if unknown:
        names = "all sides" if len(unknown) == len(formed) else ", ".join(side.name for side in unknown)
        rows.append(
            finding("ground-not-set", "forms", f"The ground outside {names} is not set: the whole edge is taken as formed.",
                    "Give the ground level at both ends of a side.", "house")
        )  # fmt: skip
    for side in sides:
        if not side.formed and side.why.startswith("The ground outside"):
            words = f"The ground outside {side.name} comes up to the slab's top all along."
            rows.append(
                finding("ground-high", f"forms/side/{side.side}", words, "Dig it away, or say no form there.", "house")
            )
    for side in formed:
        where = f"forms/side/{side.side}"
        if not side.fits:
            rows.append(_no_board(side, where, units, ways))
        if side.height_mm > TALL_MM:
            words = f"{side.name} is formed {say_depth(side.height_mm, units)} high, over {say_depth(TALL_MM, units)}."
            rows.append(
                finding("form-tall", where, words, "Have a competent person or an engineer look at it.", "pressure")
            )
        if side.kicker_load_n > FULL * ways.kicker_holds_n:
            share = side.kicker_load_n / ways.kicker_holds_n
            words = f"Each kicker of {side.name} carries {share:.1%} of what one holds."
            rows.append(finding("kicker-full", where, words, "Add a kicker between, or pack earth behind.", "pressure"))
        if side.least_mm <= 0 < side.height_mm:
            words = f"The ground outside {side.name} comes up to the slab's top."
            rows.append(finding("ground-high", where, words, "Dig it away, or say no form there.", "house"))
        if side.left_out:
            words = f"{side.name} is left out for the truck."
            rows.append(
                finding(
                    "form-left-out", where, words, "Put it back before the concrete reaches it, then tick it.", "house"
                )
            )
    return rows


def _no_board(side: SideForm, where: str, units: Units, ways: FormWays) -> Finding:
    deepest = max((board.deep_mm for board in ways.boards if not board.bends), default=0.0)
    words = (
        f"{side.name} stands {say_depth(side.height_mm, units)} high; three of the kit's deepest board make "
        f"{say_depth(3 * deepest, units)}, and a panel {say_depth(ways.panel_deep_mm, units)}."
    )
    return finding("no-board-fits", where, words, "Add a deeper board or panel to the kit in Ways.", "ways")


def doubts_left(forms: FormPlan, back: Sequence[int]) -> list[Finding]:
    """Doubts that no record has settled. back: sides whose form, left out for the truck, stands again."""
    settled = {f"forms/side/{side}" for side in back}
    return [row for row in forms.findings if row.code != "form-left-out" or row.where not in settled]


def say_boards(side: SideForm, units: Units) -> str:
    """'2x12 + 2x6, 18″ high' in words for a sheet."""
    if not side.formed:
        return side.why
    what = " + ".join(reversed(side.boards)) if side.boards else "panel"
    return f"{what}, {say_depth(side.height_mm, units)} high, {say_length(side.length_mm, units)} long"
