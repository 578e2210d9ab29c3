"""What a site record must be to make sense against the plan, and what it comes to in a sentence."""

from __future__ import annotations

from humble_trowel.core.errors import InputError
from humble_trowel.core.geometry.solid import build_solid
from humble_trowel.core.ground.as_dug import check_dug, dug_runs
from humble_trowel.core.ground.layer_shots import sane_levels, take_shots
from humble_trowel.core.ground.levels import check_reading, known_marks, stands
from humble_trowel.core.ground.notes import SiteNotes
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ground_parts import LAYER_WORDS
from humble_trowel.core.plan.levels_said import floor_mm
from humble_trowel.core.plan.part import Part
from humble_trowel.core.plan.site_records import (
    AsDug,
    BenchShot,
    GroundTest,
    LiftSigned,
    SetUp,
    Shots,
    SoftSpot,
    TurningPoint,
)
from humble_trowel.core.plan.ways import Ways, ways_for
from humble_trowel.core.units import say_depth


def check_site(plan: Plan, ways: Ways, notes: SiteNotes, values: Part) -> None:
    """Raise InputError, naming the field, for a record that cannot be."""
    ways = ways_for(ways, plan.ways)
    if isinstance(values, SetUp):
        _known(plan, notes, values.on)
        check_reading(ways, values.backsight_mm, "backsight_mm", plan.units)
    if isinstance(values, BenchShot):
        _set_up(notes, values.setup)
        _known(plan, notes, values.on)
        check_reading(ways, values.reading_mm, "reading_mm", plan.units)
    if isinstance(values, TurningPoint):
        _set_up(notes, values.setup)
        check_reading(ways, values.foresight_mm, "foresight_mm", plan.units)
        if values.name in known_marks(plan, notes):
            raise InputError(f"{values.name} is a mark already. Call the turning point something else.", "name")
    if isinstance(values, Shots):
        if values.setup is not None:
            _set_up(notes, values.setup)
        for i, shot in enumerate(values.shots):
            if shot.reading_mm is not None:
                check_reading(ways, shot.reading_mm, f"shots[{i}].reading_mm", plan.units)
        taken = take_shots(plan, build_solid(plan), ways, values.layer, [("new", values)], stands(plan, ways, notes))
        if values.source == "file":
            sane_levels(taken)
    if isinstance(values, AsDug):
        check_dug(plan, values)


def _known(plan: Plan, notes: SiteNotes, name: str) -> None:
    marks = known_marks(plan, notes)
    if not marks:
        raise InputError("There is no benchmark yet. Name a mark that stays, and its level.", "on")
    if name not in marks:
        raise InputError(f"{name} is no mark here. Known: {', '.join(marks)}.", "on")


def _set_up(notes: SiteNotes, key: str) -> None:
    if key not in {own for own, _ in notes.setups}:
        raise InputError("That set-up has no backsight on record. Set the laser up on a mark first.", "setup")


def say_site(plan: Plan, ways: Ways, notes: SiteNotes, values: Part) -> str:
    """What a record comes to, for the list and the answer."""
    ways = ways_for(ways, plan.ways)
    if isinstance(values, SetUp):
        level = known_marks(plan, notes).get(values.on)
        return (
            ""
            if level is None
            else f"Laser line {say_depth(abs(level + values.backsight_mm - floor_mm(plan)), plan.units)} {'over' if level + values.backsight_mm >= floor_mm(plan) else 'below'} the finished floor."
        )
    if isinstance(values, BenchShot):
        row = next((stand for stand in stands(plan, ways, _with(notes, values)) if stand.id == values.setup), None)
        return row.words if row else ""
    if isinstance(values, Shots):
        return f"{len(values.shots)} shot{'' if len(values.shots) == 1 else 's'} on the {values.layer}."
    if isinstance(values, AsDug):
        runs = dug_runs(plan, build_solid(plan), [values])
        return next((run.words for run in runs if run.measured), "")
    if isinstance(values, GroundTest):
        return test_words(plan, values)
    if isinstance(values, SoftSpot):
        deep = f", {say_depth(values.deep_mm, plan.units)} deep" if values.deep_mm else ""
        return f"Soft over {say_depth(values.across_mm, plan.units)}{deep}: {values.done}."
    if isinstance(values, LiftSigned):
        return f"Lift {values.lift} of {values.layer} packed, {values.passes} passes."
    return "Struck out." if type(values).__name__ == "Struck" else ""


def _with(notes: SiteNotes, shot: BenchShot) -> SiteNotes:
    from dataclasses import replace

    return replace(notes, bench_shots=(*notes.bench_shots, shot))


def test_words(plan: Plan, test: GroundTest) -> str:
    """A test's result in a sentence."""
    end = "passed" if test.passed else "not passed"
    lift = f", lift {test.lift}" if test.lift else ""
    layer = LAYER_WORDS.get(test.layer, test.layer)
    if test.test == "probe":
        return f"Probe sank {say_depth(test.sank_mm or 0, plan.units)} in {layer}{lift}: {end}."
    if test.test == "density":
        return f"{test.density_percent:g} % of greatest density in {layer}{lift}: {end}."
    return f"Rolled {layer}{lift}: {end}."
