"""Edits of plain fields by their key path, and of the whole document."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Field

from humble_trowel.core.edits.base import EditBase, Edited
from humble_trowel.core.errors import EditError
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.plan.ids import with_ids
from humble_trowel.core.reading.job_file import anticlockwise, validate

ROOTS = ("name", "client", "units", "contact", "site", "mix", "order", "quote", "day", "ways")


class SetFields(EditBase):
    """values: by key path, under name, client, units, contact, site, mix, order, quote, day, ways ('site.directions')."""

    op: Literal["set_fields"]
    values: Annotated[dict[str, Any], Field(min_length=1, max_length=40)]

    def apply(self, plan: Plan) -> Edited:
        roots = {path.split(".")[0] for path in self.values}
        data = plan.model_dump(include={root for root in roots if root in ROOTS})
        for path, value in self.values.items():
            keys = path.split(".")
            if keys[0] not in ROOTS:
                raise EditError(f"{path} is not a field that can be set.", path)
            at: Any = data
            for key in keys[:-1]:
                if at.get(key) is None:
                    at[key] = {}
                at = at[key]
                if not isinstance(at, dict):
                    raise EditError(f"{path} is not a field that can be set.", path)
            at[keys[-1]] = value
        read = validate({"name": plan.name, "units": plan.units, **data})
        changes = {root: getattr(read, root) for root in roots}
        names = ", ".join(path.split(".")[-1].removesuffix("_mm").replace("_", " ") for path in self.values)
        return plan.model_copy(update=changes), f"{names[0].upper()}{names[1:]} set"


class ReplacePlan(EditBase):
    """The whole document, as when an older revision is fetched back."""

    op: Literal["replace_plan"]
    document: dict[str, Any]
    summary: Annotated[str, Field(max_length=200)] = "Plan replaced"

    def apply(self, plan: Plan) -> Edited:
        return with_ids(anticlockwise(validate(dict(self.document)))), self.summary
