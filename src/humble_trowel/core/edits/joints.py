"""Edits of joints: a layout taken, a line called, moved, made otherwise or taken out; openings isolated."""

from __future__ import annotations

import math
from typing import Annotated, Literal

from pydantic import Field
from shapely.geometry import LineString, Point, Polygon

from humble_trowel.core.edits.across import EDGE_MM, called_across, chord
from humble_trowel.core.edits.base import Calls, Coordinate, EditBase, Edited, JointId, OpeningId, Spot, ring_needed
from humble_trowel.core.errors import EditError
from humble_trowel.core.geometry.alike import parts_alike
from humble_trowel.core.geometry.polygon import XY
from humble_trowel.core.geometry.zones import lay_zones
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import place_of
from humble_trowel.core.plan.joint_parts import How, Isolation, Joint, Shape

EXAMPLE = "18' n of A, through H e, or C to J"


def with_joints(plan: Plan, lines: list[Joint]) -> Plan:
    """The plan with other joints."""
    return plan.model_copy(update={"joints": plan.joints.model_copy(update={"lines": lines})})


def _joined(plan: Plan, ends: tuple[XY, XY], path: str) -> Joint:
    made = LineString(ends)
    for row in plan.joints.lines:
        if LineString([row.start, row.end]).hausdorff_distance(made) < EDGE_MM:
            raise EditError("A joint runs there already.", path)
    return Joint(start=ends[0], end=ends[1])


class LayJoints(EditBase):
    """Take a whole layout in place of the joints there are. ratio_n: what it was laid by, null as the crew does."""

    op: Literal["lay_joints"]
    lines: Annotated[list[tuple[Spot, Spot]], Field(max_length=500)]
    ratio_n: Annotated[float, Field(ge=12, le=60)] | None = None

    def apply(self, plan: Plan) -> Edited:
        ring_needed(plan)
        old = {(row.start, row.end): row for row in plan.joints.lines}
        rows = [old.get((a, b)) or Joint(start=a, end=b) for a, b in self.lines]
        joints = plan.joints.model_copy(update={"lines": rows, "ratio_n": self.ratio_n})
        return plan.model_copy(update={"joints": joints}), f"{len(rows)} joints laid" if rows else "No joints"


class CallJoint(EditBase):
    """A joint as it is called: '18' n of A' (along, that far off), 'through H e', 'C to J'."""

    op: Literal["call_joint"]
    text: Calls

    def apply(self, plan: Plan) -> Edited:
        made = _joined(plan, called_across(plan, self.text, EXAMPLE), "text")
        return with_joints(plan, [*plan.joints.lines, made]), f"Joint {self.text.strip()}"


class MoveJoint(EditBase):
    """Move a joint aside, so that it goes through a spot; it still runs the same way, from edge to edge."""

    op: Literal["move_joint"]
    joint: JointId
    to: tuple[Coordinate, Coordinate]

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "joints", self.joint, "joint")
        row = plan.joints.lines[at]
        size = math.dist(row.start, row.end)
        way = ((row.end[0] - row.start[0]) / size, (row.end[1] - row.start[1]) / size)
        start, end = chord(plan, self.to, way, "to", _part(plan, row, self.to))
        rows = list(plan.joints.lines)
        rows[at] = row.model_copy(update={"start": start, "end": end})
        return with_joints(plan, rows), "Joint moved"


def _part(plan: Plan, row: Joint, to: XY) -> Polygon | None:
    """The part of the slab that a joint stays in, where it lay in one; None for one across several."""
    parts = [area for _, area in parts_alike(lay_zones(plan))]
    lay = LineString([row.start, row.end])
    if not any(area.buffer(2.0).covers(lay) for area in parts):
        return None
    return next((area for area in parts if area.buffer(2.0).covers(Point(to))), None)


class SetJoint(EditBase):
    """How a joint is made; null as the crew does."""

    op: Literal["set_joint"]
    joint: JointId
    how: How | None = None

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "joints", self.joint, "joint")
        rows = list(plan.joints.lines)
        rows[at] = rows[at].model_copy(update={"how": self.how})
        return with_joints(plan, rows), f"Joint {self.how or 'as the crew does'}"


class TakeOutJoint(EditBase):
    """Take a joint out."""

    op: Literal["take_out_joint"]
    joint: JointId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "joints", self.joint, "joint")
        return with_joints(plan, [row for i, row in enumerate(plan.joints.lines) if i != at]), "Joint taken out"


class IsolateOpening(EditBase):
    """Give an opening a joint of its own all round, or not."""

    op: Literal["isolate_opening"]
    opening: OpeningId
    on: bool = True

    def apply(self, plan: Plan) -> Edited:
        place_of(plan, "opening", self.opening, "opening")
        rest = [name for name in plan.joints.isolated if name != self.opening]
        rows = [*rest, self.opening] if self.on else rest
        joints = plan.joints.model_copy(update={"isolated": rows})
        return plan.model_copy(update={"joints": joints}), f"Opening {'isolated' if self.on else 'not isolated'}"


class IsolateColumn(EditBase):
    """Give a column a joint of its own, round or a square on its point; null for none."""

    op: Literal["isolate_column"]
    column: Annotated[str, Field(min_length=1, max_length=24)]
    shape: Shape | None = None

    def apply(self, plan: Plan) -> Edited:
        names = {row.id: row.name for row in plan.underslab.risers} | {row.id: row.name for row in plan.embeds.groups}
        if self.column not in names:
            raise EditError("That column is not on this slab any more: somebody took it out.", "column")
        rows = [row for row in plan.joints.isolation if row.of != self.column]
        if self.shape:
            rows.append(Isolation(of=self.column, shape=self.shape))
        joints = plan.joints.model_copy(update={"isolation": rows})
        said = f"a {self.shape} joint round it" if self.shape else "no joint of its own"
        return plan.model_copy(update={"joints": joints}), f"{names[self.column]}: {said}"


JOINT_EDITS = (LayJoints, CallJoint, MoveJoint, SetJoint, TakeOutJoint, IsolateOpening, IsolateColumn)
