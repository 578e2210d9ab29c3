"""The book of rules: every rule of the trade that the program goes by, each a row with its formula, source, edition and
standing, the rows of its table, the limits a county may set otherwise, and a small calculator that shows its working.

Screens, `./trowel rules` and the tests read RULES; a rule is added as a row here beside its calculator.
"""

from __future__ import annotations

from collections.abc import Mapping

from humble_trowel.core.edges.foam import R_PER_INCH, SHALLOW_ROWS
from humble_trowel.core.edges.shape_doubts import USE_MM, USE_WORDS
from humble_trowel.core.errors import InputError, LengthError
from humble_trowel.core.forms.span import DEPTH_FACTORS, E_PSI, FB_PSI
from humble_trowel.core.geometry.pipes import INCH_SIZES
from humble_trowel.core.plan.form_ways import KIT
from humble_trowel.core.plan.ground_ways import GroundWays
from humble_trowel.core.plan.local_rules import LIMITS, limit_text
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.rules import buried_calculators as buried
from humble_trowel.core.rules import calculators as calc
from humble_trowel.core.rules import pour_calculators as pours
from humble_trowel.core.rules.book_row import Rule, Table, long_ask, number_ask, thin_ask
from humble_trowel.core.rules.cure_book import CURE_RULES
from humble_trowel.core.rules.day_book import DAY_RULES
from humble_trowel.core.rules.embed_book import EMBED_RULES
from humble_trowel.core.rules.joint_book import JOINT_RULES
from humble_trowel.core.rules.order_book import ORDER_RULES
from humble_trowel.core.rules.screed_book import SCREED_RULES
from humble_trowel.core.rules.steel_book import STEEL_RULES
from humble_trowel.core.underslab.insulation import SLAB_EDGE, ZONES
from humble_trowel.core.units import Units, parse_length, say_depth
from humble_trowel.core.working import Working


def _asked(row: tuple[int, int] | None) -> str:
    return "-" if row is None else f"R-{row[0]}, {row[1]} ft"


HAS = thin_ask("has", "There is", '10"', "250")
STONES: Table = (
    ("stone", "loose over packed", "loose density t/m³"),
    *((row.mark, f"{row.loose_factor:g}", f"{row.density_t_m3:g}") for row in GroundWays().stones),
)
SHALLOW: Table = (
    ("index F-days", "depth in", "upright R", "flat R", "corner R", "wing in", "corner wing in", "corner length in"),
    *(
        tuple("–" if v is None else f"{v:g}" for v in (
            row.index_f_days, row.depth_in, row.vertical_r, row.walls_r, row.corners_r, row.wing_in, row.corner_wing_in, row.corner_length_in,
        ))
        for row in SHALLOW_ROWS
    ),
)  # fmt: skip
FACTORS: Table = (
    ("board or lumber", "size CF, bending", "flat use Cfu, stiffness"),
    *(
        (mark, f"CF {cf:g}", f"Cfu {cfu:g}")
        for mark, (_, cf, cfu) in zip(("2x4", "2x6", "2x8", "2x10", "2x12"), DEPTH_FACTORS, strict=True)
    ),
    *((wood, f"Fb {FB_PSI[wood]:g} psi", f"E {E_PSI[wood]:,.0f} psi") for wood in E_PSI),
)
CAPS: Table = (
    ("board", "depth", "stakes no farther than"),
    *((board.mark, say_depth(board.deep_mm, "ft-in"), say_depth(board.cap_mm, "ft-in")) for board in KIT),
)
FOAMS: Table = (
    ("foam", "R per inch as labelled", "buried, for frost"),
    *((kind, f"{R_PER_INCH['label'][kind]:g}", f"{R_PER_INCH['buried'][kind]:g}") for kind in R_PER_INCH["label"]),
)
USES: Table = (("comes on it", "at least"), *((USE_WORDS[use], say_depth(mm, "ft-in")) for use, mm in USE_MM.items()))

RULES = (
    Rule("volume/slab", "A slab's volume", "Length times width times thickness, measured straight down from the top.",
         "length × width × thickness", "greatest-depth",
         asks=(long_ask("length", "Length", "24'", "7200"), long_ask("width", "Width", "20'", "6000"), thin_ask("thick", "Thickness", '4"', "100")),
         work_out=calc.slab),
    Rule("volume/edge", "A thickened edge below the slab", "Section below the slab's underside times the length along its middle.",
         "(width + run × rise ÷ 2) × rise × length, rise = depth − slab", "strip",
         asks=(long_ask("length", "Length along the middle", "36'", "11000"), thin_ask("width", "Bottom width", '12"', "300"), thin_ask("deep", "Depth from the top", '18"', "450"),
               thin_ask("thick", "Slab", '4"', "100"), number_ask("run", "Haunch run per rise (0 upright, 1 at 45°)", "1")),
         work_out=calc.edge),
    Rule("volume/slices", "Counted a second way", "The same slab in thin slices by a computation of its own; over 0.1 % apart is a stop.",
         "sum of all slices", "slices"),
    Rule("volume/second-pour", "What is poured on its own", "Kerbs, knee walls and pads beside the slab are second pours and no part of its volume.",
         "length × width × height", "second-pour",
         asks=(long_ask("length", "Length", "20'", "6000"), thin_ask("width", "Width", '6"', "150"), thin_ask("high", "Height", '8"', "200")), work_out=pours.kerb),
    Rule("volume/footing", "A strip footing", "Its centreline times its section; at a step the upper strip comes down on the lower one over its own thickness. The yards follow the bucket.",
         "length × width × thickness + each step × thickness × width", "footing",
         asks=(long_ask("length", "Centreline", "80'", "24000"), thin_ask("width", "Width, as dug", '16"', "400"), thin_ask("thick", "Thickness", '8"', "200"), thin_ask("rise", "All steps together", '0"', "0")), work_out=pours.footing),
    Rule("volume/wall", "A formed wall", "From its footing's top to its own; cut along the mitre at bends, square at doors and steps.", "length × height × thickness", "wall",
         asks=(long_ask("length", "Length along its middle", "80'", "24000"), long_ask("high", "Height", "2' 8", "800"), thin_ask("thick", "Thickness", '8"', "200")), work_out=pours.wall),
    Rule("volume/cores", "Cores of block filled", "Two cores to a block; about half of a block is hollow, the maker knows.", "cores × hollow on plan × height", "block-void",
         asks=(number_ask("count", "Cores filled", "40"), thin_ask("long", "A block, long", '15 5/8"', "397"), thin_ask("wide", "A block, wide", '7 5/8"', "194"),
               number_ask("hollow", "Hollow of a block, share", "0.48"), long_ask("high", "Height", "2' 8", "800")), work_out=pours.cores),
    Rule("edges/ramp", "A ramp people can walk", "At most 1 in 12; rails where it comes down over 6 in; flares 1 in 10; a lip of 1/2 in at most.", "run ≥ 12 × down", "ramp",
         asks=(thin_ask("down", "How far down", '4"', "100"),), work_out=pours.ramp),
    Rule("edges/walk-fall", "A walk beside a building", "Falls away from it, 1/8 to 1/4 in a foot.", "width ÷ 48", "walk-fall",
         asks=(long_ask("wide", "How wide", "4'", "1200"),), work_out=pours.walk_fall),
    Rule("underslab/sleeve", "The sleeve of a pipe", "Two sizes larger than the pipe, where it passes a foundation.", "next but one size", "sleeve",
         asks=(thin_ask("size", "Pipe as sold", '4"', "110"),), work_out=buried.sleeve),
    Rule("underslab/pipe", "How thick a pipe is", "Pipe is sold by a name; what lies in the trench is its outside, and its insulation.", "outside + 2 × insulation", "pipe-sizes",
         (("sold as", "outside"), *((f"{name:g} in", f"{outside:.3f} in") for name, outside in INCH_SIZES)),
         (thin_ask("size", "Pipe as sold", '4"', "110"), thin_ask("wrap", "Insulation", '0"', "0")), buried.thick),
    Rule("underslab/fall", "How much a drain falls", "Its far end lies lower by its length times its fall; the larger pipe may fall less.", "length × fall", "drain-fall",
         (("pipe up to", "in a foot"), ("2 1/2 in", "1/4 in"), ("6 in", "1/8 in"), ("larger", "1/16 in")),
         (thin_ask("size", "Pipe as sold", '4"', "110"), long_ask("length", "Length", "20'", "6000")), buried.drop),
    Rule("underslab/under", "A pipe under the slab", "Its top lies under the slab and under the foam.", "start = underside − foam − pipe − cover", "under-slab"),
    Rule("underslab/edge-foam", "Foam at the slab's edge", "What the energy code asks of an unheated slab by climate zone; heated slabs ask R-5 more at the edge to 2018.", "R, and how deep in feet", "slab-edge-r",
         (("zone", *SLAB_EDGE), *((zone, *(_asked(row[at]) for row in SLAB_EDGE.values())) for at, zone in enumerate(ZONES)))),
    Rule("underslab/line-test", "What a line holds before it is covered", "Drains stand under water or air; supply, gas and tubing under pressure.", "no fall in the time", "line-test",
         (("line", "holds", "for"), ("drains", "5 ft of water over the highest joint, or 5 psi of air", "15 min"), ("supply", "50 psi of air, or its working pressure", "15 min"), ("tubing", "100 psi", "30 min"))),
    Rule("underslab/rolls", "Rolls of barrier", "Rows that lap, turned up all round, the way round that takes less.", "rows = (across + 2 turn-ups - lap) / (roll - lap), up to whole", "barrier-lap",
         asks=(long_ask("length", "Length", "40'", "12000"), long_ask("width", "Width", "30'", "9000"), long_ask("roll", "Roll, wide", "15'", "4000"),
               thin_ask("lap", "Lap", '6"', "150"), thin_ask("up", "Turned up", '0"', "0")), work_out=buried.rolls_of),
    *STEEL_RULES,
    *EMBED_RULES,
    *SCREED_RULES,
    *ORDER_RULES,
    *DAY_RULES,
    *CURE_RULES,
    *JOINT_RULES,
    Rule("order/round-up", "The order", "Likely need up to the plant's next step, after a slack of 0.005 yd³.",
         "ceil((need − slack) ÷ step) × step", "plant",
         asks=(number_ask("need", "Likely need (yd³, m³)", "23.27"), number_ask("step", "The plant's step", "0.5")), work_out=calc.order),
    Rule("lines/diagonal", "Diagonal of a rectangle", "Equal diagonals and equal opposite sides make it square; equal diagonals alone do not.",
         "√(length² + width²)", "geometry",
         asks=(long_ask("length", "Length", "40'", "12000"), long_ask("width", "Width", "30'", "9000")), work_out=calc.diagonal),
    Rule("lines/rack", "Rack of four sides", "How far the far side stands along the near one, from both diagonals; exact while opposite sides are equal.",
         "(AC² − BD²) ÷ (4 × AB)", "geometry",
         asks=(long_ask("ab", "The side that stays", "40'", "12000"), long_ask("ac", "Diagonal AC", "50' 1 1/2\"", "15016"), long_ask("bd", "Diagonal BD", "49' 10 1/2\"", "14984")),
         work_out=calc.rack),
    Rule("lines/squaring", "A whole frame from its tapes", "The corners that fit all tapes best; with readings to spare the worst one is named.",
         "least squares of (computed − read) ÷ tape's scatter", "adjusted"),
    Rule("forms/pressure", "Push of fresh concrete", "Full liquid head; a third of the thrust is held at the form's top.",
         "weight × head² ÷ 2, and a third of it at the top", "pressure", asks=(thin_ask("head", "Head", '18"', "450"),), work_out=calc.push),
    Rule("forms/stakes", "How far a form board spans", "Bending, span ÷ 360 and bulge of the board lying flat, then a cap for knocks and boots.",
         "bulge: fourth root of (145 × E × I × bulge ÷ load)", "span", table=FACTORS,
         asks=(thin_ask("deep", "Board deep", '5 1/2"', "140"), thin_ask("thick", "Board thick", '1 1/2"', "38"), thin_ask("top", "Its top under the concrete's", '0"', "0"), thin_ask("bulge", "May bulge", '1/16"', "1.6")),
         work_out=calc.stakes),
    Rule(
        "forms/caps", "Cap for knocks and boots", "What boards get that nobody calculates; each crew sets its own in Ways.",
        "spacing ≤ the table's", "cap", table=CAPS,
    ),
    Rule("ground/levels", "Levels and rod readings", "Height of the laser is the mark's level and the backsight; a longer reading is a lower point.",
         "mark + backsight − level", "levelling",
         asks=(long_ask("back", "Rod on the mark", "5' 3/4\"", "1540"), thin_ask("over", "Mark over the slab's top", '4"', "100"), thin_ask("below", "Surface below the slab's top", '8"', "200")),
         work_out=calc.levels),
    Rule("ground/stone", "Stone loose and packed", "Loose volume is packed volume times the stone's factor; lifts up to whole.",
         "area × thickness × factor × density", "stone-lift", table=STONES,
         asks=(number_ask("area", "Area (sq ft, m²)", "1200"), thin_ask("thick", "Packed thickness", '4"', "100"), number_ask("factor", "Loose over packed", "1.2"), number_ask("density", "Loose density t/m³", "1.55"), thin_ask("lift", "Compactor reaches", '4"', "100")),
         work_out=calc.stone),
    Rule("ground/enough", "Whether the shots are enough", "What they leave in doubt is at most a quarter of the plant's step.",
         "spread ÷ √shots × area ≤ step ÷ 4", "shot",
         asks=(thin_ask("spread", "Spread of the shots", '3/8"', "9"), number_ask("shots", "Shots", "24"), number_ask("area", "Area (sq ft, m²)", "1000")), work_out=calc.enough),
    Rule("ground/fill", "Fill under a slab", "Deeper fill needs approval.", "sand and gravel ≤ 24 in, earth ≤ 8 in", "fill-depth",
         asks=(HAS,), work_out=calc.at_most("fill-clean", "fill-earth"), limits=("fill-clean", "fill-earth")),
    Rule("ground/base", "Base below grade", "A slab below the ground outside lies on clean stone.", "base ≥ 4 in", "base-below-grade",
         asks=(HAS,), work_out=calc.at_least("base"), limits=("base",)),
    Rule("ground/foam", "Foam under a slab", "Strong enough for the slab and what stands on it.", "strength ≥ 100 kPa", "foam", limits=("foam-strength",)),
    Rule("ground/barrier", "Barrier under a slab", "Living space and heated slabs lie on a barrier; garages and unheated outbuildings may go without.",
         "barrier where living or heated", "barrier"),
    Rule("edges/bury", "How deep an edge is buried", "Measured from the undisturbed ground, not from fill.", "buried ≥ 12 in", "bury",
         asks=(HAS,), work_out=calc.at_least("bury"), limits=("bury",)),
    Rule("edges/frost", "Edge against frost", "The bottom lies below the frost line, or is protected.", "frost depth − buried ≤ 0", "frost",
         asks=(thin_ask("frost", "Frost depth", '32"', "800"), HAS), work_out=calc.frost),
    Rule("edges/exempt", "Small accessory buildings", "May need no frost depth; the official decides.", "area ≤ 600 sq ft", "frost-exempt", limits=("exempt-area",)),
    Rule("edges/above-grade", "Top over the ground outside", "Less under masonry veneer.", "top − ground ≥ 6 in, 4 in under veneer", "above-grade",
         asks=(HAS,), work_out=calc.at_least("above-grade", "veneer"), limits=("above-grade", "veneer")),
    Rule("edges/shallow", "Shallow edge in foam", "Depth, upright and flat foam by the air-freezing index, for heated buildings; the next row up is always safe.",
         "next row of the table", "shallow-frost", table=SHALLOW, asks=(number_ask("index", "Air-freezing index, F-days", "2700"),), work_out=calc.shallow),
    Rule("edges/foam", "Foam for an R-value", "Thickness that gives the R, up to the next half inch of stock.", "ceil(R ÷ R per inch ÷ ½) × ½", "foam-r", table=FOAMS,
         asks=(number_ask("r", "R-value", "10"), number_ask("per", "R per inch", "5")), work_out=calc.foam),
    Rule("edges/plate", "Sill plate past the concrete", "At most a third of its width.", "overhang − width ÷ 3 ≤ 0", "plate",
         asks=(thin_ask("over", "Stands past", '1 1/2"', "38"), thin_ask("width", "Plate", '3 1/2"', "89")), work_out=calc.plate),
    Rule("edges/least-slab", "Least slab", "What a recess leaves, too.", "thickness ≥ 3 1/2 in", "least-slab", asks=(HAS,), work_out=calc.at_least("least-slab"), limits=("least-slab",)),
    Rule("edges/use", "Thickness by use", "By thumb; racks and more are the engineer's.", "thickness ≥ the table's", "thumb-use", table=USES),
    Rule("cutting/bound", "Fewest bars", "No plan needs fewer bars than the pieces' length over a bar, up to whole.", "ceil(total ÷ bar)", "geometry",
         asks=(long_ask("total", "All pieces together", "142'", "43000"), long_ask("bar", "One bar", "20'", "6000")), work_out=calc.bars),
)  # fmt: skip
RULE_OF = {row.name: row for row in RULES}


def try_rule(name: str, said: Mapping[str, str], units: Units, ways: Ways) -> list[Working]:
    """What a rule's calculator shows of values as typed. Raises InputError naming the field."""
    rule = RULE_OF.get(name)
    if rule is None or rule.work_out is None:
        raise InputError(f"The rule {name} has no calculator." if rule else f"There is no rule {name}.", "name")
    values = {}
    for ask in rule.asks:
        typed = said.get(ask.key, "").strip()
        if not typed:
            raise InputError(f"{ask.label}: say it, like {ask.example[units == 'mm']}.", ask.key)
        try:
            values[ask.key] = (
                float(typed)
                if ask.kind == "number"
                else parse_length(typed, units, bare="in" if ask.kind == "thin" else "ask")
            )
        except LengthError as error:
            raise error.at(ask.key) from None
        except ValueError:
            raise InputError(f"{typed} is not a number.", ask.key) from None
        if not 0 <= values[ask.key] < 1e7:
            raise InputError(f"{typed} is out of reach here.", ask.key)
    try:
        return rule.work_out(values, units, ways)
    except (ZeroDivisionError, ValueError, OverflowError):
        raise InputError("These values make no answer: one of them is 0, or too large.", rule.asks[0].key) from None


def limits_of(rule: Rule, units: Units, ways: Ways) -> list[dict[str, str]]:
    """The limits of a rule: what its source says, and the county's where it is known."""
    rows = []
    for row in LIMITS:
        if row.key in rule.limits:
            own = ways.local_rules.get(row.key)
            rows.append({
                "key": row.key, "name": row.name, "standard": limit_text(row.value, row.unit, units),
                "here": limit_text(own.value, row.unit, units) if own else "", "who": own.who if own else "", "at": own.at if own else "",
            })  # fmt: skip
    return rows


def read_limit(key: str, typed: str, units: Units) -> float:
    """A county's value as typed, in the limit's unit. Raises InputError."""
    row = next((one for one in LIMITS if one.key == key), None)
    if row is None:
        raise InputError(f"There is no limit {key}.", "key")
    if row.unit == "mm":
        value = parse_length(typed, units, bare="in")
    else:
        number = (
            typed.strip()
            .lower()
            .removesuffix("psi")
            .removesuffix("kpa")
            .removesuffix("sq ft")
            .removesuffix("m2")
            .removesuffix("m²")
            .strip()
        )
        try:
            value = float(number)
        except ValueError:
            raise InputError(f"{typed.strip() or 'nothing'} is not a number.", "value") from None
        value *= (
            calc.METRIC_PER[row.unit]
            if units == "ft-in" and not typed.strip().lower().endswith(("kpa", "m2", "m²"))
            else 1.0
        )
    if not 0 < value <= 1e6:
        raise InputError("It must be more than nothing.", "value")
    return value
