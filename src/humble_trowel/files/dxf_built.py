"""The slab as it stands as DXF: the drawing with what is otherwise on layers of their own, each with its words."""

from __future__ import annotations

from collections.abc import Sequence

from humble_trowel.core.built.built import Built
from humble_trowel.core.forms.form_plan import FormPlan
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.lines.setting_out import SetOutSheet
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.units import Units, say_depth
from humble_trowel.files.dxf_write import TEXT_MM, dxf_bytes, dxf_document

STANDS, WORDS, SHOTS = "AS-BUILT", "AS-BUILT-WORDS", "AS-BUILT-LEVELS"
SPOT_MM = 30.0


def write_as_built_dxf(
    plan: Plan,
    sheet: SetOutSheet,
    forms: FormPlan,
    bolts: Sequence[XY],
    built: Built,
    shots: Sequence[tuple[XY, float]],
) -> bytes:
    """The plan as drawn, and over it how it stands. shots: (spot, over what is drawn in mm)."""
    from ezdxf.enums import TextEntityAlignment

    document, per = dxf_document(plan, sheet, forms, (), bolts)
    for name, colour in ((STANDS, 5), (WORDS, 5), (SHOTS, 3)):
        document.layers.add(name, color=colour, lineweight=35)
    space = document.modelspace()

    def words(spot: XY, text: str, layer: str) -> None:
        made = space.add_text(_plain(text), height=TEXT_MM * 0.8 * per, dxfattribs={"layer": layer})
        made.set_placement((spot[0] * per, spot[1] * per), align=TextEntityAlignment.BOTTOM_LEFT)

    for row in built.rows:
        points = [(x * per, y * per) for x, y in row.stands]
        if len(points) > 1:
            space.add_lwpolyline(points, close=row.thing == "added", dxfattribs={"layer": STANDS})
        else:
            x, y = points[0] if points else (row.spot[0] * per, row.spot[1] * per)
            space.add_circle((x, y), SPOT_MM * per, dxfattribs={"layer": STANDS})
        words(row.spot, f"{row.name}: {row.words}", WORDS)
    for spot, off_mm in shots:
        space.add_circle((spot[0] * per, spot[1] * per), SPOT_MM / 2 * per, dxfattribs={"layer": SHOTS})
        words(spot, level_words(off_mm, plan.units), SHOTS)
    return dxf_bytes(document)


def level_words(off_mm: float, units: Units) -> str:
    """'+1/4″': over what is drawn."""
    return f"{'+' if off_mm > 0 else '-' if off_mm < 0 else ''}{say_depth(abs(off_mm), units)}"


def _plain(text: str) -> str:
    return text.replace("′", "'").replace("″", '"').replace("“", '"').replace("”", '"').replace("\n", " ")
