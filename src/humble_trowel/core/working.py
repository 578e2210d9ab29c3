"""Working: how a number came about, down to what somebody typed.

The shown text is made from the same formula and inputs that give the value: `work()` evaluates the formula on
the inputs as they are SHOWN with full precision kept, and a property test evaluates the shown text again, so
text and code cannot drift apart.
"""

from __future__ import annotations

import ast
import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import lru_cache
from types import CodeType

from humble_trowel.core.sources import SOURCES

_CALLS: dict[str, Callable[..., float]] = {"sqrt": math.sqrt, "max": max, "min": min, "ceil": math.ceil}
_NAMES = {"__builtins__": {}, **_CALLS}


@dataclass(frozen=True)
class Working:
    """A number with its working.

    name: what it is. value, unit: in the units shown. text: the value as shown, with unit.
    formula: an expression over input symbols ('' for a leaf). shown: the formula with the numbers in it.
    inputs: (symbol, Working). source: key in sources/. words: the rule in a sentence. set_at: where a leaf is
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

    @property
    def bare(self) -> Working:
        """The number without how it came about, for answers that only pass by."""
        return Working(self.name, self.value, self.unit, self.text, source=self.source, standing=self.standing)


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
    return float(eval(_compiled(formula)[0], _NAMES, dict(values)))  # only arithmetic passes _template


def show(formula: str, inputs: Mapping[str, Working]) -> str:
    """The formula with each symbol replaced by its input as shown, in trade signs (× ÷ √)."""
    return _compiled(formula)[1].format(**{symbol: item.text for symbol, item in inputs.items()})


@lru_cache(maxsize=1024)
def _compiled(formula: str) -> tuple[CodeType, str]:
    """(code, template with {symbol} in it) of a formula that holds arithmetic and nothing else."""
    tree = ast.parse(formula, mode="eval")
    template = _template(tree.body, 0)
    return compile(tree, "<formula>", "eval"), template


_RANK = {ast.Add: 1, ast.Sub: 1, ast.Mult: 2, ast.Div: 2, ast.Pow: 3}
_SIGN = {ast.Add: " + ", ast.Sub: " − ", ast.Mult: " × ", ast.Div: " ÷ "}


def _template(node: ast.AST, rank: int) -> str:
    if isinstance(node, ast.BinOp) and type(node.op) in _RANK:
        own = _RANK[type(node.op)]
        left = _template(node.left, own)
        if isinstance(node.op, ast.Pow):
            text = f"{left}²"
        else:
            right_rank = own + 1 if isinstance(node.op, ast.Sub | ast.Div) else own
            text = f"{left}{_SIGN[type(node.op)]}{_template(node.right, right_rank)}"
        return f"({text})" if own < rank else text
    if isinstance(node, ast.UnaryOp) and isinstance(node.op, ast.USub):
        return f"−{_template(node.operand, 3)}"
    if isinstance(node, ast.Constant) and isinstance(node.value, int | float):
        return f"{node.value:.10g}"
    if isinstance(node, ast.Name):
        return "{" + node.id + "}"
    if isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id in _CALLS:
        args = ", ".join(_template(arg, 0) for arg in node.args)
        return {"sqrt": f"√({args})", "ceil": f"up to whole({args})"}.get(node.func.id, f"{node.func.id}({args})")
    raise ValueError(f"not an arithmetic expression: {ast.dump(node)}")
