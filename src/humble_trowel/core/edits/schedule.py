"""Edits of trades and their days: what is said of a task, tasks of one's own, the weather of a day, papers."""

from __future__ import annotations

from datetime import date
from typing import Annotated, Any, Literal

from pydantic import Field

from humble_trowel.core.edits.base import EditBase, Edited, Short, Title
from humble_trowel.core.errors import EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import Ref, place_of, with_ids
from humble_trowel.core.plan.schedule_parts import PaperRow, SaidDay, Schedule, TaskRow
from humble_trowel.core.plan.values import Day

TaskId = Annotated[str, Field(min_length=1, max_length=24), Ref("tasks")]
PaperId = Annotated[str, Field(min_length=1, max_length=24), Ref("papers")]
TaskField = Literal["name", "days", "hands", "on", "booked_by", "done_on", "not_before", "after", "people", "left_out"]
NAMES = {
    "mark": ("set out", "layout", "mark"), "locate": ("locate", "lines"), "dig": ("dig", "excavate"), "pipes": ("pipes", "plumber", "plumbing"),
    "test": ("test", "water test"), "forms": ("forms", "boards"), "stone": ("stone", "base", "gravel"), "foam": ("foam",),
    "barrier": ("plastic", "barrier", "sheet"), "tubes": ("tubes", "tubing", "heating"), "steel": ("steel", "bars", "rebar"),
    "bolts": ("bolts", "embeds"), "visit": ("visit", "inspection", "county looks"), "plant": ("plant", "concrete"), "pour": ("pour",),
    "saw": ("saw",), "strip": ("strip", "boards off"), "cure": ("cure", "wet"), "build": ("build",),
}  # fmt: skip
POUR_TIME = "07:00"


def _with(plan: Plan, **changes: Any) -> Plan:
    said = {**plan.schedule.model_dump(), **{key: _plain(value) for key, value in changes.items()}}
    return with_ids(plan.model_copy(update={"schedule": Schedule.model_validate(said, context={"units": plan.units})}))


def _plain(value: Any) -> Any:
    return (
        [row.model_dump() if hasattr(row, "model_dump") else row for row in value] if isinstance(value, list) else value
    )


def _pour_on(plan: Plan, day: str | None) -> Plan:
    """Book the pour: its hour stays as it was."""
    at = plan.order.pour_at
    when = None if day is None else day + (at[10:] if at and len(at) > 10 else f"T{POUR_TIME}")
    return plan.model_copy(update={"order": plan.order.model_copy(update={"pour_at": when})})


def day_said(day: str) -> str:
    """'Thu 17 Jun'."""
    on = date.fromisoformat(day)
    return f"{on:%a} {on.day} {on:%b}"


class SetTask(EditBase):
    """What is said of a task: by the key of one that the job implies, or the id of one of its own. changes: null says nothing of it any more."""

    op: Literal["set_task"]
    task: Title
    changes: Annotated[dict[TaskField, Any], Field(min_length=1)]

    def apply(self, plan: Plan) -> Edited:
        rows = list(plan.schedule.tasks)
        at = next((i for i, row in enumerate(rows) if self.task in (row.key, row.id)), None)
        if at is None and self.task not in NAMES:
            raise EditError("That task is not there any more.", "task")
        old = rows[at] if at is not None else TaskRow(key=self.task)
        base = TaskRow()
        said = old.model_dump() | {
            key: getattr(base, key) if value is None else value for key, value in self.changes.items()
        }
        if self.task == "pour" and "on" in self.changes:
            said["on"] = None  # the day of the pour stands in the order
            plan = _pour_on(plan, self.changes["on"])
        row = TaskRow.model_validate(said, context={"units": plan.units})
        if row.on and row.not_before and not row.done_on and row.on < row.not_before:
            raise EditError("It is booked for a day before the first it may be.", "on")
        rows = [row if i == at else one for i, one in enumerate(rows)] if at is not None else [*rows, row]
        return _with(plan, tasks=rows), f"{self._named(row)}: {', '.join(self._said())}"

    def _named(self, row: TaskRow) -> str:
        name = row.name or (NAMES[self.task][0] if self.task in NAMES else "Task")
        return name[0].upper() + name[1:]

    def _said(self) -> list[str]:
        words = {
            "on": "booked",
            "done_on": "done",
            "left_out": "left out",
            "booked_by": "by",
            "not_before": "not before",
        }
        return [
            f"{words.get(key, key)} {day_said(value) if key in ('on', 'done_on', 'not_before') and isinstance(value, str) else ''}".strip()
            if value is not None
            else f"{words.get(key, key)} taken back"
            for key, value in self.changes.items()
        ]


class AddTask(EditBase):
    """A task of one's own, after others."""

    op: Literal["add_task"]
    name: Title
    days: Annotated[int, Field(ge=0, le=200)] = 1
    hands: Annotated[int, Field(ge=0, le=60)] = 0
    after: Annotated[list[Title], Field(max_length=20)] = []
    before: Annotated[list[Title], Field(max_length=20)] = []

    def apply(self, plan: Plan) -> Edited:
        name = self.name.strip()
        if not name:
            raise EditError("What is it called?", "name")
        row = TaskRow(name=name, days=self.days, hands=self.hands, after=list(self.after))
        made = _with(plan, tasks=[*plan.schedule.tasks, row])
        for key in self.before:  # what waits for it
            own = next((one for one in made.schedule.tasks if key in (one.key, one.id)), TaskRow(key=key))
            after = [*own.after, made.schedule.tasks[len(plan.schedule.tasks)].id]
            made, _ = SetTask(op="set_task", task=key, changes={"after": after}).apply(made)
        return made, f"{name} added to the days"


class TakeOutTask(EditBase):
    """A task of one's own is gone; nothing waits for it any more."""

    op: Literal["take_out_task"]
    task: TaskId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "tasks", self.task, "task")
        row = plan.schedule.tasks[at]
        left = [
            one.model_copy(update={"after": [key for key in one.after if key != row.id]})
            for i, one in enumerate(plan.schedule.tasks)
            if i != at
        ]
        return _with(plan, tasks=left), f"{row.name or 'Task'} taken out of the days"


class SayDay(EditBase):
    """The weather of a day as somebody says it: mm, m/s, C; all null takes it back."""

    op: Literal["say_day"]
    on: Day
    rain_mm: Annotated[float, Field(ge=0, le=500)] | None = None
    wind_ms: Annotated[float, Field(ge=0, le=60)] | None = None
    least_c: Annotated[float, Field(ge=-60, le=60)] | None = None
    most_c: Annotated[float, Field(ge=-60, le=60)] | None = None

    def apply(self, plan: Plan) -> Edited:
        row = SaidDay(on=self.on, rain_mm=self.rain_mm, wind_ms=self.wind_ms, least_c=self.least_c, most_c=self.most_c)
        bare = all(value is None for value in row.model_dump(exclude={"on"}).values())
        rows = [one for one in plan.schedule.said if one.on != self.on] + ([] if bare else [row])
        words = "as the forecast has it" if bare else "its weather said"
        return _with(plan, said=sorted(rows, key=lambda one: one.on)), f"{day_said(self.on)}: {words}"


class SetSchedule(EditBase):
    """Who and when: the first day, holidays, hands, the inspector's days of the week, how far it looks."""

    op: Literal["set_schedule"]
    changes: Annotated[
        dict[Literal["start_on", "holidays", "hands", "county_weekdays", "horizon_days"], Any], Field(min_length=1)
    ]

    def apply(self, plan: Plan) -> Edited:
        base = Schedule()
        said = {key: getattr(base, key) if value is None else value for key, value in self.changes.items()}
        names = ", ".join(str(key).removesuffix("_on").replace("_", " ") for key in self.changes)
        return _with(plan, **said), f"Days: {names} set"


class SetPaper(EditBase):
    """Whether a usual paper is asked here, or a paper of one's own. paper: a key, an id, or '' for a new one."""

    op: Literal["set_paper"]
    paper: Title = ""
    name: Short = ""
    needed: bool = True

    def apply(self, plan: Plan) -> Edited:
        rows = list(plan.schedule.papers)
        at = next((i for i, row in enumerate(rows) if self.paper and self.paper in (row.key, row.id)), None)
        if at is not None:
            rows[at] = rows[at].model_copy(update={"needed": self.needed, **({"name": self.name} if self.name else {})})
        elif self.paper:
            rows.append(PaperRow(key=self.paper, needed=self.needed))
        elif self.name.strip():
            rows.append(PaperRow(name=self.name.strip()))
        else:
            raise EditError("What is the paper called?", "name")
        return _with(plan, papers=rows), f"{self.name or 'Paper'} {'asked for' if self.needed else 'not asked for'}"


class TakeOutPaper(EditBase):
    """A paper of one's own is not asked for."""

    op: Literal["take_out_paper"]
    paper: PaperId

    def apply(self, plan: Plan) -> Edited:
        at = place_of(plan, "papers", self.paper, "paper")
        rows = [one for i, one in enumerate(plan.schedule.papers) if i != at]
        return _with(plan, papers=rows), f"{plan.schedule.papers[at].name or 'Paper'} taken out"


SCHEDULE_EDITS = (SetTask, AddTask, TakeOutTask, SayDay, SetSchedule, SetPaper, TakeOutPaper)
