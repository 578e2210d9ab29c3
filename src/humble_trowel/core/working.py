"""Working: how a number came about, down to what somebody typed.

The shown text is made from the same formula and inputs that give the value: `work()` evaluates the formula on
the inputs as they are SHOWN with full precision kept, and a property test evaluates the shown text again, so
text and code cannot drift apart.
"""

from __future__ import annotations

import ast
import math
import operator
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import lru_cache

from humble_trowel.core.sources import SOURCES

_OPERATORS: dict[type[ast.AST], Callable[[float, float], float]] = {
    ast.Add: operator.add,
    ast.Sub: operator.sub,
    ast.Mult: operator.mul,
    ast.Div: operator.truediv,
    ast.Pow: operator.pow,
}
_CALLS: dict[str, Callable[..., float]] = {"sqrt": math.sqrt, "max": max, "min": min, "ceil": math.ceil, "hypot": math.hypot}


@dataclass(frozen=True)
class Working:
    """A number with its working.

    name: what it is. value, unit: in the units shown. text: the value as shown, with unit.
    formula: an expression over input symbols ('' for a leaf). shown: the formula with the numbers in it.
    inputs: (symbol, Working). source: key in sources.py. words: the rule in a sentence. set_at: where a leaf is
    set ('lines/side/0', 'ways/allowances', ...), '' if nowhere. note: what rounding was done, last.
    """

    name: str
    value: float
    unit: str
    text: str
    formula: str = ""
    shown: str = ""
    inputs: tuple[tuple[str, Working], ...] = ()
    source: str = "geometry"
    words: str = ""
    standing: str = "definition"
    set_at: str = ""
    note: str = ""


def number_text(value: float, digits: int) -> str:
    """Decimal text with at most `digits` decimals, idle zeros dropped."""
    text = f"{value:.{digits}f}"
    return text.rstrip("0").rstrip(".") if "." in text else text


def leaf(name: str, value: float, unit: str, text: str, source: str = "typed", set_at: str = "") -> Working:
    """A number that was typed, shot or defined: the end of a chain of working."""
    row = SOURCES[source]
    return Working(name, value, unit, text, source=source, words=row.words, standing=row.standing, set_at=set_at)


def work(
    name: str,
    unit: str,
    formula: str,
    inputs: Mapping[str, Working],
    *,
    source: str = "geometry",
    digits: int = 2,
    text: str = "",
    words: str = "",
    note: str = "",
) -> Working:
    """Evaluate `formula` over the inputs' values. Raises ValueError for a formula outside + - * / ** and _CALLS."""
    value = evaluate(formula, {symbol: item.value for symbol, item in inputs.items()})
    row = SOURCES[source]
    return Working(
        name=name,
        value=value,
        unit=unit,
        text=text or f"{number_text(value, digits)} {unit}".strip(),
        formula=formula,
        shown=show(formula, inputs),
        inputs=tuple(inputs.items()),
        source=source,
        words=words or row.words,
        standing=row.standing,
        note=note,
    )


def evaluate(formula: str, values: Mapping[str, float]) -> float:
    """Value of an arithmetic expression over named values. Raises ValueError on anything else."""
    return _evaluate(_parsed(formula), values)


@lru_cache(maxsize=512)
def _parsed(formula: str) -> ast.AST:
    return ast.parse(formula, mode="eval").body


def _evaluate(node: ast.AST, values: Mapping[str, float]) -> float:
    if isinstance(node, ast.BinOp) and type(node.op) in _OPERATORS:
        return _OPERATORS[type(node.op)](_evaluate(node.left, values), _evaluate(node.right, values))
    if isinstance(node, ast.UnaryOp) and isinstance(node.op, ast.USub):
        return -_evaluate(node.operand, values)
    if isinstance(node, ast.Constant) and isinstance(node.value, int | float):
        return float(node.value)
    if isinstance(node, ast.Name):
        return values[node.id]
    if isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id in _CALLS:
        return float(_CALLS[node.func.id](*(_evaluate(arg, values) for arg in node.args)))
    raise ValueError(f"not an arithmetic expression: {ast.dump(node)}")


def show(formula: str, inputs: Mapping[str, Working]) -> str:
    """The formula with each symbol replaced by its input as shown, in trade signs (× ÷ √)."""
    return _show(_parsed(formula), inputs, 0)


_RANK = {ast.Add: 1, ast.Sub: 1, ast.Mult: 2, ast.Div: 2, ast.Pow: 3}
_SIGN = {ast.Add: " + ", ast.Sub: " − ", ast.Mult: " × ", ast.Div: " ÷ "}


def _show(node: ast.AST, inputs: Mapping[str, Working], rank: int) -> str:
    if isinstance(node, ast.BinOp):
        own = _RANK[type(node.op)]
        left = _show(node.left, inputs, own)
        if isinstance(node.op, ast.Pow):
            text = f"{left}²"
        else:
            right_rank = own + 1 if isinstance(node.op, ast.Sub | ast.Div) else own
            text = f"{left}{_SIGN[type(node.op)]}{_show(node.right, inputs, right_rank)}"
        return f"({text})" if own < rank else text
    if isinstance(node, ast.UnaryOp):
        return f"−{_show(node.operand, inputs, 3)}"
    if isinstance(node, ast.Constant):
        return f"{node.value:g}"
    if isinstance(node, ast.Name):
        return inputs[node.id].text
    if isinstance(node, ast.Call) and isinstance(node.func, ast.Name):
        args = ", ".join(_show(arg, inputs, 0) for arg in node.args)
        return {"sqrt": f"√({args})", "ceil": f"up to whole({args})"}.get(node.func.id, f"{node.func.id}({args})")
    raise ValueError("not an arithmetic expression")
