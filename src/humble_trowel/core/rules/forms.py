"""Forms by themselves: stake spans, boards for a height, runs, boards to buy; inches and feet."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.forms.board_plan import plan_boards
from humble_trowel.core.forms.cover import Buy
from humble_trowel.core.forms.heights import choose
from humble_trowel.core.forms.runs import run_mm
from humble_trowel.core.forms.span import board_span
from humble_trowel.core.plan.form_ways import KIT
from humble_trowel.core.rules.case import Answer, Given, by_kind
from humble_trowel.core.units import MM_PER_FT, MM_PER_IN

LB_FT_PER_N_MM = 14.593903 / 1000
PSF_KPA = 0.0478803
BOARDS = {board.mark: board for board in KIT if not board.bends}


def forms(given: Given) -> Answer:
    """Stake spans, boards for a height, runs, and which boards to cut them from; inches and feet."""
    return by_kind({
        "stakes": _stakes, "choose_boards": _boards, "runs": _runs, "single_run": _single_run, "cut_plan": _cut_plan,
    }, given)  # fmt: skip


def _stakes(given: Given) -> Answer:
    board = BOARDS.get(given["board"])
    if board is None:
        raise InputError(f"No board {given['board']}. Known: {', '.join(BOARDS)}.", "board")
    limit = given.get("abs_limit", 1 / 16)
    span = board_span(
        board.thick_mm, board.deep_mm, given["top_in"] * MM_PER_IN, several=given.get("cont", True),
        bulge_limit_mm=limit * MM_PER_IN, all_bottom=given.get("model") == "strip", cap_mm=board.cap_mm,
    )  # fmt: skip
    return {
        "p_bottom_psf": span.bottom_kpa / PSF_KPA, "line_load_lb_ft": span.line_n_per_mm / LB_FT_PER_N_MM,
        "L_bending_in": span.bending_mm / MM_PER_IN, "L_deflection_ratio_in": span.ratio_mm / MM_PER_IN,
        "L_deflection_abs_in": span.bulge_mm / MM_PER_IN, "L_max_in": span.limit_mm / MM_PER_IN,
        "governs": f"{limit:g} in" if span.governs == "bulge" else span.governs,
        "trade_cap_in": span.cap_mm / MM_PER_IN, "spacing_to_use_in": span.spacing_mm / MM_PER_IN,
    }  # fmt: skip


def _boards(given: Given) -> Answer:
    kit = [(board.mark, board.deep_mm) for board in BOARDS.values()]
    told = {}
    for rule in ("least-over", "fewest", "let-in"):
        stack = choose(given["height_in"] * MM_PER_IN, kit, rule)
        told[rule] = ([], None) if stack is None else (list(stack.boards), stack.over_mm / MM_PER_IN)
    (boards, over), (few, few_over), (low, gap) = told["least-over"], told["fewest"], told["let-in"]
    return {
        "needed_in": given["height_in"], "boards": boards, "over_in": over,
        "fewest_boards": {"boards": few, "over_in": few_over},
        "under_option": {"boards": low, "gap_in": None if gap is None else -gap},
    }  # fmt: skip


def _runs(given: Given) -> Answer:
    ring = [(x * MM_PER_IN, y * MM_PER_IN) for x, y in given["outline_in"]]
    return {"runs_in": [run_mm(ring, side, 1.5 * MM_PER_IN, "lap") / MM_PER_IN for side in range(len(ring))]}


def _stock(given: Given) -> list[Buy]:
    return [Buy(feet * MM_PER_FT, round(feet * 100)) for feet in given.get("stock_ft", range(8, 21, 2))]


def _single_run(given: Given) -> Answer:
    found = plan_boards([given["run_in"] * MM_PER_IN], _stock(given), [], 0.125 * MM_PER_IN, 24 * MM_PER_IN)
    if found is None:
        raise InputError("The stock cannot make that run.", "run_in")
    feet = sorted((round(board.mm / MM_PER_FT, 6) for board in found.boards), reverse=True)
    return {"boards_ft": feet, "total_ft": sum(feet), "waste_in": sum(feet) * 12 - given["run_in"]}


def _cut_plan(given: Given) -> Answer:
    runs = [run * MM_PER_IN for run in given["runs_in"]]
    kerf, least = given.get("kerf_in", 0.125) * MM_PER_IN, given.get("min_piece_in", 24) * MM_PER_IN
    found = plan_boards(runs, _stock(given), [], kerf, least)
    if found is None:
        raise InputError("The stock cannot make these runs.", "runs_in")
    apart = [plan_boards([run], _stock(given), [], kerf, least) for run in runs]
    return {
        "least_total_ft": found.bought_mm / MM_PER_FT, "lower_bound_ft": found.bound_mm / MM_PER_FT,
        "proven": found.bought_mm <= found.bound_mm + 1e-6, "pieces_found": found.splices + len(runs),
        "without_reuse_ft": sum(one.bought_mm for one in apart if one) / MM_PER_FT,
    }  # fmt: skip
