"""How this crew tapes, sets out and forms: tolerance, boards, spacing, what holds, rates and prices.

Lengths in mm, forces in N, money in integer cents. Sizes of lumber are actual sizes (PS 20); prices, holding forces
and rates are house estimates until the crew writes its own.
"""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, StrictBool

from humble_trowel.core.plan.way_values import Reason, SmallLength, WayLength, WayName

IN = 25.4


class FormPart(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


Cents = Annotated[int, Field(ge=0, le=10**8)]
Force = Annotated[float, Field(gt=0, le=1e5)]
Rate = Annotated[float, Field(gt=0, le=1e4)]


class Tape(FormPart):
    """sigma_mm: scatter of one taped reading. tolerance_mm: when a corner is right; null = 1/8 in, 3 mm in a mm job."""

    sigma_mm: Annotated[SmallLength, Field(gt=0)] = 1.5
    tolerance_mm: SmallLength | None = None


class FormBoard(FormPart):
    """A board of the kit. cap_mm: greatest stake spacing, for knocks and boots. bends: for rounded corners."""

    mark: WayName
    thick_mm: WayLength = 1.5 * IN
    deep_mm: WayLength
    cap_mm: WayLength = 48 * IN
    price_per_m_cents: Annotated[float, Field(ge=0, le=1e6)] = 0
    bends: StrictBool = False


class OnHand(FormPart):
    """Boards in the yard, used before any is bought."""

    board: WayName
    length_mm: WayLength
    count: Annotated[int, Field(ge=0, le=500)]


def _board(mark: str, deep_in: float, cap_in: float, cents_per_ft: float, bends: bool = False) -> FormBoard:
    thick = 0.5 if bends else 1.5
    return FormBoard(
        mark=mark, thick_mm=thick * IN, deep_mm=deep_in * IN, cap_mm=cap_in * IN,
        price_per_m_cents=cents_per_ft / 0.3048, bends=bends,
    )  # fmt: skip


KIT = [
    _board("2x4", 3.5, 48, 65), _board("2x6", 5.5, 48, 95), _board("2x8", 7.25, 36, 130),
    _board("2x10", 9.25, 24, 175), _board("2x12", 11.25, 24, 230),
    _board("bend 6", 5.5, 16, 180, True), _board("bend 12", 11.25, 12, 340, True),
]  # fmt: skip
CornerWay = Literal["lap", "run-past", "butt"]
PadWay = Literal["centred", "inside"]
StackWay = Literal["least-over", "fewest", "two-widths", "let-in"]
BuyWay = Literal["crew", "money"]


class FormWays(FormPart):
    """stock_lengths_mm: what the yard sells, for every board. min_piece_mm: least piece and least way of a splice
    from a corner. stake_holds_n, kicker_holds_n: sideways at the form's top. pressure_n_per_m3: of wet concrete.
    """

    boards: Annotated[list[FormBoard], Field(max_length=40)] = KIT
    stock_lengths_mm: Annotated[list[WayLength], Field(min_length=1, max_length=30)] = [
        feet * 12 * IN for feet in (8, 10, 12, 14, 16, 18, 20)
    ]
    on_hand: Annotated[list[OnHand], Field(max_length=60)] = []
    corner: CornerWay = "lap"
    pads: PadWay = "centred"
    stack: StackWay = "fewest"
    buy: BuyWay = "crew"
    splice_cents: Cents = 350
    wood: Literal["SPF", "DF-L", "Hem-Fir"] = "SPF"
    bulge_mm: Annotated[SmallLength, Field(gt=0)] = IN / 16
    spans: Literal["several", "one"] = "several"
    pressure: Literal["rising", "all-bottom"] = "rising"
    kerf_mm: SmallLength = IN / 8
    min_piece_mm: WayLength = 24 * IN
    stake_holds_n: Force = 222.0
    kicker_holds_n: Force = 890.0
    lean_over_mm: WayLength = 12 * IN
    lean_mm: SmallLength = IN / 8
    screws_per_stake: Annotated[int, Field(ge=1, le=20)] = 2
    screws_per_cleat: Annotated[int, Field(ge=1, le=40)] = 8
    oil_m2_per_l: Rate = 12.0
    form_m_per_hour: Rate = 6.0
    stake_cents: Cents = 140
    kicker_cents: Cents = 220
    hour_cents: Cents = 5200
    panel_length_mm: WayLength = 8 * 12 * IN
    panel_deep_mm: WayLength = 24 * IN
    panel_cents: Cents = 4200
    reason: Reason = "House figures until the crew writes its own."


class SetOutWays(FormPart):
    """profile_mm: how far outside the slab a profile board stands."""

    profile_mm: WayLength = 36 * IN
    base_margin_mm: WayLength = 12 * IN


CORNER_SCHOOLS: tuple[tuple[CornerWay, str, str], ...] = (
    ("lap", "Each board laps the next one's end, so lengths come out of one rule.", "Every board is cut, even where a longer one would do."),
    ("run-past", "A longer board runs past the corner uncut, and comes home whole.", "The end sticks out where feet and barrows pass."),
    ("butt", "Boards end flush inside, neat where space is tight.", "The corner hangs on its stake alone and opens first."),
)  # fmt: skip
STACK_SCHOOLS: tuple[tuple[StackWay, str, str], ...] = (
    ("least-over", "Least board above the concrete, so the top edge is the screed line.", "More joints between boards that can leak."),
    ("fewest", "Fewest boards to stack, brace and strip.", "The form stands higher than needed, or is let into the ground."),
    ("two-widths", "A narrow board over a wide one: two widths in the yard, joints never in line.", "The pair stands higher than needed at some depths."),
    ("let-in", "A board a little shallow, earth packed into the gap below.", "The gap must be packed well or paste runs out."),
)  # fmt: skip
PAD_SCHOOLS: tuple[tuple[PadWay, str, str], ...] = (
    ("centred", "The pad stands under the middle of its post.", "At a corner or a side a part of it is cut off at the form."),
    ("inside", "A pad at a corner or a side is whole, flush with the form.", "The post stands off its middle, which the engineer must know."),
)  # fmt: skip
BUY_SCHOOLS: tuple[tuple[BuyWay, str, str], ...] = (
    ("crew", "One length of board a side and the fewest splices: quick to fetch, straight to nail.", "More board is bought, and longer offcuts go home."),
    ("money", "Least money, each splice counted with its cleat and its minutes.", "Mixed lengths, and pieces that wander from side to side."),
)  # fmt: skip
