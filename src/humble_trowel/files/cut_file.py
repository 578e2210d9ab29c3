"""The file of a cutting task: {"stock": [{"length_mm", "count" or null, "price_cents"}], "pieces": [{"length_mm",
"count"}], "kerf_mm"}."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from humble_trowel.core.cutting.stock import Piece, Stock
from humble_trowel.core.errors import InputError
from humble_trowel.core.reading.plain_errors import plan_error


class _Row(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class StockRow(_Row):
    length_mm: Annotated[float, Field(allow_inf_nan=False)]
    count: int | None = None
    price_cents: int = 0


class PieceRow(_Row):
    length_mm: Annotated[float, Field(allow_inf_nan=False)]
    count: int = 1


class CutFile(_Row):
    stock: Annotated[list[StockRow], Field(max_length=200)]
    pieces: Annotated[list[PieceRow], Field(max_length=2000)]
    kerf_mm: Annotated[float, Field(allow_inf_nan=False)] = 0.0


def read_cut(data: Any) -> tuple[list[Stock], list[Piece], float]:
    """(stock, pieces, kerf in mm) of parsed JSON. Raises InputError naming the field."""
    try:
        task = CutFile.model_validate(data)
    except ValidationError as error:
        found = plan_error(error)
        raise InputError(found.words, found.path) from None
    stock = [Stock(row.length_mm, row.count, row.price_cents) for row in task.stock]
    return stock, [Piece(row.length_mm, row.count) for row in task.pieces], task.kerf_mm
