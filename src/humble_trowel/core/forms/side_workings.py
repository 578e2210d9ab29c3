"""How the numbers of one side's form came about: height, push, stake spacing, stakes."""

from __future__ import annotations

from dataclasses import dataclass

from humble_trowel.core.forms.side_form import SideForm
from humble_trowel.core.forms.span import N_PER_M3
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.form_ways import FormWays
from humble_trowel.core.units import MM_PER_FT, say_depth, say_length
from humble_trowel.core.working import Working, leaf, work

N_PER_LB = 4.4482216152605


@dataclass(frozen=True)
class SideWorkings:
    """Of side `side`. All None for a side without a form."""

    side: int
    height: Working | None
    push: Working | None
    spacing: Working | None
    stakes: Working | None


def side_workings(plan: Plan, form: SideForm, ways: FormWays) -> SideWorkings:
    """The working of a side's height, its push at the top, the spacing of its stakes and their number."""
    if not form.formed:
        return SideWorkings(form.side, None, None, None, None)
    return SideWorkings(
        form.side, _height(plan, form), _push(plan, form), _spacing(plan, form, ways), _stakes(plan, form)
    )


def _height(plan: Plan, form: SideForm) -> Working:
    worst = max(form.stations, key=lambda spot: spot.height_mm)
    scale, unit = (1.0, "mm") if plan.units == "mm" else (25.4, "in")
    source = "typed" if form.ground_known else "house"
    inputs = {
        "top": leaf(
            "Slab's top at the edge", worst.top_mm / scale, unit, _level(plan, worst.top_mm), "geometry", "edges"
        ),
        "ground": leaf("Ground outside", worst.ground_mm / scale, unit, _level(plan, worst.ground_mm), source, "lines"),
    }
    at = say_length(worst.at_mm, plan.units)
    words = f"Where the form is highest, {at} from {form.name.split(' ')[0]}."
    return work(f"{form.name} stands", unit, "top - ground", inputs, text=form.height_text, words=words)


def _level(plan: Plan, mm: float) -> str:
    return f"({'−' if mm < 0 else ''}{say_depth(abs(mm), plan.units)})"


def _push(plan: Plan, form: SideForm) -> Working:
    if plan.units == "mm":
        inputs = {
            "weight": leaf(
                "Wet concrete pushes like", N_PER_M3 / 1000, "kN/m³", f"{N_PER_M3 / 1000:.1f} kN/m³", "pressure"
            ),
            "head": leaf("Head", form.height_mm / 1000, "m", f"{form.height_mm / 1000:.3f} m", "geometry"),
        }
        return work("Push at the form's top", "kN/m", "weight * head**2 / 2 / 3", inputs, source="pressure")
    feet = form.height_mm / MM_PER_FT
    inputs = {
        "weight": leaf("Wet concrete pushes like", 150.0, "lb/ft³", "150 lb/ft³", "pressure"),
        "head": leaf("Head", feet, "ft", f"{feet:.3f} ft", "geometry"),
    }
    return work("Push at the form's top", "lb/ft", "weight * head**2 / 2 / 3", inputs, source="pressure", digits=1)


def _spacing(plan: Plan, form: SideForm, ways: FormWays) -> Working:
    scale, unit = (1.0, "mm") if plan.units == "mm" else (25.4, "in")

    def size(name: str, mm: float, source: str, set_at: str = "") -> Working:
        return leaf(name, mm / scale, unit, say_depth(mm, plan.units), source, set_at)

    if not form.courses:
        inputs = {"cap": size("Studs of a panel", form.stake_spacing_mm, "ways", "ways/forms")}
        return work("Stakes no farther than", unit, "cap", inputs, source="span")
    span = min((course.span for course in form.courses), key=lambda one: one.spacing_mm)
    inputs = {
        "bending": size("By bending", span.bending_mm, "span"),
        "ratio": size("By span / 360", span.ratio_mm, "span"),
        "bulge": size(f"By a bulge of {say_depth(ways.bulge_mm, plan.units)}", span.bulge_mm, "span", "ways/forms"),
        "cap": size("Cap for knocks and boots", span.cap_mm, "ways", "ways/forms"),
    }
    note = "down to a whole inch" if plan.units == "ft-in" else ""
    return work(
        "Stakes no farther than",
        unit,
        "min(bending, ratio, bulge, cap)",
        inputs,
        source="span",
        text=form.spacing_text,
        note=note,
    )


def _stakes(plan: Plan, form: SideForm) -> Working:
    scale, unit = (1000.0, "m") if plan.units == "mm" else (MM_PER_FT, "ft")
    inputs = {
        "length": leaf(
            "Form along the side",
            form.length_mm / scale,
            unit,
            say_length(form.length_mm, plan.units),
            "geometry",
            "lines",
        ),
        "spacing": leaf("Stakes no farther than", form.stake_spacing_mm / scale, unit, form.spacing_text, "span"),
    }
    words = "One at each end, the rest evenly between; each part of a side on its own."
    return work(
        "Stakes", "", "ceil(length / spacing) + 1", inputs, source="span", digits=0, text=str(form.stakes), words=words
    )
