"""The job as it was built, as a plan of its own: joints where they were cut, bolts where they stand, pads that were added."""

from __future__ import annotations

from humble_trowel.core.built.built import SAME_MM, Built, BuiltFacts
from humble_trowel.core.built.records import AsBuilt
from humble_trowel.core.edits.registry import apply
from humble_trowel.core.edits.set_bolts import SetBolt
from humble_trowel.core.embeds.told import EmbedsTold
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.geometry.wall_bases import base_of
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.joint_parts import Joint
from humble_trowel.core.plan.shape_parts import Pad, PadType
from humble_trowel.core.reading.job_file import read_plan

SUFFIX = ", as built"
MARK = "AB"
NOTE = 3900


def plan_as_built(facts: BuiltFacts, built: Built, embeds: EmbedsTold | None) -> Plan:
    """The plan with all that differs in it, as far as a plan can say it; the rest stands in the notes of the site. Joints that nobody cut are left
    out once any was."""
    plan = facts.plan
    words = {one.of: one for _, one in facts.said}
    plan = _joints(facts, plan, words)
    plan, left = _bolts(plan, embeds, words)
    plan = _groups(plan, words)
    plan = _added(plan, facts)
    rows = [f"{row.name}: {row.words}." for row in built.rows] + [f"{one}." for one in built.same] + left
    notes = "\n".join(part for part in (plan.site.notes, "As built:", *rows) if part)[:NOTE]
    name = plan.name if plan.name.endswith(SUFFIX) else f"{plan.name[: 120 - len(SUFFIX)]}{SUFFIX}"
    made = plan.model_copy(update={"name": name, "site": plan.site.model_copy(update={"notes": notes})})
    return read_plan(made.model_dump(mode="json"))


def _joints(facts: BuiltFacts, plan: Plan, words: dict[str, AsBuilt]) -> Plan:
    sawn_way = {joint for joint, _, _, how in facts.joints if how == "sawn"}
    cut = set(facts.sawn)
    rows: list[Joint] = []
    for row in plan.joints.lines:
        if cut and row.id in sawn_way and row.id not in cut:
            continue
        off = words.get(row.id)
        if off is None:
            rows.append(row)
            continue
        start, end = ((x + off.dx_mm, y + off.dy_mm) for x, y in (row.start, row.end))
        rows.append(row.model_copy(update={"start": start, "end": end}))
    return plan.model_copy(update={"joints": plan.joints.model_copy(update={"lines": rows})})


def _bolts(plan: Plan, embeds: EmbedsTold | None, words: dict[str, AsBuilt]) -> tuple[Plan, list[str]]:
    """Bolts along their walls; what stands off a wall's line cannot be drawn, and is said. Returns what was left out, in words."""
    left = []
    walls = {row.id: row for row in plan.embeds.walls}
    for wall in embeds.walls if embeds else []:
        base = base_of(plan, walls[wall.id]) if wall.id in walls else None
        if base is None:
            continue
        (ax, ay), (bx, by), size = base.a, base.b, base.size_mm or 1.0
        for bolt in wall.bolts:
            off = words.get(bolt.key)
            if off is None or not (off.dx_mm or off.dy_mm):
                continue
            along = (off.dx_mm * (bx - ax) + off.dy_mm * (by - ay)) / size
            if abs(along) < SAME_MM:
                continue
            try:
                edit = SetBolt(
                    op="set_bolt",
                    wall=wall.id,
                    was=bolt.at_mm,
                    at=bolt.at_mm + along,
                    others=bolt.others,
                    reason="as built",
                )
                plan = apply(plan, [edit])[0]
            except TrowelError:
                left.append(f"A bolt of {wall.name} stands where no plan can draw it.")
    return plan, left


def _groups(plan: Plan, words: dict[str, AsBuilt]) -> Plan:
    rows = [
        row.model_copy(update={"at": (row.at[0] + words[row.id].dx_mm, row.at[1] + words[row.id].dy_mm)})
        if row.id in words
        else row
        for row in plan.embeds.groups
    ]
    return plan.model_copy(update={"embeds": plan.embeds.model_copy(update={"groups": rows})})


def _added(plan: Plan, facts: BuiltFacts) -> Plan:
    """Pads that were added, each with a type of its own."""
    marks = {row.mark for row in plan.pad_types}
    types, pads = list(plan.pad_types), list(plan.pads)
    for n, one in enumerate((one for _, one in facts.said if one.thing == "added"), 1):
        mark = next(f"{MARK}{k}" for k in range(n, n + 400) if f"{MARK}{k}" not in marks)
        marks.add(mark)
        types.append(
            PadType(
                mark=mark, shape="rectangle", width_mm=one.wide_mm, length_mm=one.long_mm, depth_mm=one.deep_mm or 1.0
            )
        )
        pads.append(Pad(type=mark, at=one.spot or (0.0, 0.0)))
    return plan.model_copy(update={"pad_types": types, "pads": pads})
