"""Reading and writing lengths and volumes, in feet-inches-fractions and in metric.

Inside the core a length is a float in mm and a volume a float in m3. Text is read exactly (as fractions) and
shown by rounding ONCE, halves away from zero, and only then splitting into feet and inches.
1 in = 25.4 mm exactly (international inch, 1959); 1 yd3 = 0.764554857984 m3.
"""

from __future__ import annotations

import math
import re
from fractions import Fraction
from functools import lru_cache
from typing import Literal

from humble_trowel.core.errors import BareNumber, LengthError
from humble_trowel.core.typed_text import short_enough

Units = Literal["ft-in", "mm"]

MM_PER_IN = 25.4
MM_PER_FT = 304.8
M3_PER_YD3 = 0.764554857984
M2_PER_FT2 = 0.09290304
FT3_PER_YD3 = 27.0

_MM = {
    "mm": Fraction(1),
    "cm": Fraction(10),
    "m": Fraction(1000),
    "in": Fraction(254, 10),
    "ft": Fraction(3048, 10),
}
_UNIT_WORDS = {
    "mm": "mm", "millimetre": "mm", "millimetres": "mm", "cm": "cm", "m": "m", "metre": "m", "metres": "m",
    '"': "in", "in": "in", "inch": "in", "inches": "in", "'": "ft", "ft": "ft", "foot": "ft", "feet": "ft",
}  # fmt: skip
_NUMBER = r"(?:\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d+\.\d*|\.\d+|\d+)"
_TOKEN = re.compile(rf"\s*(?P<n>{_NUMBER})\s*(?P<u>mm|cm|metres?|millimetres?|m|inches|inch|in|feet|foot|ft|'|\")?")
_FRACTION = r"\d+\s*/\s*\d+"
_DASH_FRACTION = re.compile(rf"^(?P<w>\d+)\s*-\s*(?P<f>{_FRACTION})$")
_FEET_DASH = re.compile(rf"^(?P<f>\d+)\s*-\s*(?P<i>\d+(?:\.\d*)?(?:[\s-]+{_FRACTION})?)\s*(?P<u>\"|in|inch|inches)?$")
_FEET_SPACE = re.compile(rf"^(?P<f>\d+)\s+(?P<i>\d+(?:\.\d+|[\s-]+{_FRACTION})?)$")
_THOUSANDS = re.compile(r"^\d{1,3}(?:\s\d{3})+$")
_MIXED_DASH = re.compile(rf"(?<![\d./])(\d+)\s*-\s*({_FRACTION})(?=\s*(?:\"|'|in|ft|foot|feet)|$)")
_POINT_AFTER_UNIT = re.compile(r"(?<=[a-z])\.(?=\s|$|\d|-)")
_GLYPHS = str.maketrans(
    {"′": "'", "’": "'", "‘": "'", "`": "'", "″": '"', "”": '"', "“": '"', "⁄": "/", "–": "-", "−": "-",
     "\u00a0": " ", "½": " 1/2", "¼": " 1/4", "¾": " 3/4", "⅛": " 1/8", "⅜": " 3/8", "⅝": " 5/8",
     "⅞": " 7/8"}
)  # fmt: skip


def _number(text: str) -> Fraction:
    """A whole, decimal, fraction or mixed number ('6 1/2', '6-1/2') as an exact fraction. A mixed number's fraction
    stays under 1."""
    parts = re.sub(r"\s*/\s*", "/", text.strip().replace("-", " ")).split()
    total = Fraction(0)
    for part in parts:
        if re.search(r"/0+$", part):
            raise LengthError(f"{text.strip()} divides by zero.")
        if len(parts) > 1 and "/" in part and Fraction(part) >= 1:
            raise LengthError(f"{text.strip()}: {part} is a whole or more. Say the whole inches with the others.")
        total += Fraction(part)
    return total


def _feet_inches(feet: Fraction, inches: Fraction, said: str) -> Fraction:
    if inches >= 12:
        whole, left = divmod(inches, 12)
        likely = format_length(float((feet + whole) * _MM["ft"] + left * _MM["in"]), "ft-in")
        raise LengthError(f"{said} has {_plain(inches)} inches in it; a foot holds 12. {likely}?")
    return feet * _MM["ft"] + inches * _MM["in"]


def _plain(value: Fraction) -> str:
    return f"{float(value):g}"


def parse_length(text: str | float, units: Units, bare: Literal["ask", "in", "ft", "mm"] = "ask") -> float:
    """Read a length.

    text: what was typed (either unit system) or a number, which is mm.
    units: the job's units; a bare number is mm in a mm job.
    bare: what a bare number means in a ft-in job; "ask" raises BareNumber with both readings.
    Returns mm. Raises LengthError (plain words) when it cannot be read, is negative or is not finite.
    """
    if isinstance(text, int | float):
        if isinstance(text, bool) or not math.isfinite(text):
            raise LengthError(f"{text} is not a length.")
        if text < 0:
            raise LengthError(f"{text} is less than nothing; a length cannot be negative.")
        return float(text)
    said = short_enough(text.strip(), "length")
    clean = _decimal_commas(said.translate(_GLYPHS).replace("''", '"').lower().strip(), said)
    if not clean:
        raise LengthError("Nothing typed. Give a length, like 24' 6 1/2\" or 7480 mm.")
    if clean.startswith("-"):
        raise LengthError(f"{said} is less than nothing; a length cannot be negative.")
    return float(_read(clean, said, units, bare))


def _decimal_commas(clean: str, said: str) -> str:
    """7,48 m is 7.48 m; 7,480 could be either and is refused."""
    if re.search(r"\d,\d{3}(?!\d)", clean):
        raise LengthError(f"{said} could be read two ways. Leave the comma out.")
    return clean.replace(",", ".")


def _read(clean: str, said: str, units: Units, bare: str) -> Fraction:
    clean = _POINT_AFTER_UNIT.sub("", clean)
    dashed = _DASH_FRACTION.match(clean)
    if dashed:
        feet, part = dashed["w"], re.sub(r"\s", "", dashed["f"])
        raise BareNumber(
            f"{said} is {feet} {part} in, or {feet} ft {part} in?", (f'{feet} {part}"', f"{feet}' 0 {part}\"")
        )
    if _THOUSANDS.match(clean):
        whole = re.sub(r"\s", "", clean)
        if units == "mm":
            return Fraction(whole)
        raise BareNumber(f"{said} what?", (f"{whole} mm", f"{clean.split()[0]}'"))
    pair = _FEET_DASH.match(clean) or (_FEET_SPACE.match(clean) if units == "ft-in" else None)
    if pair:
        if units == "mm" and not pair.groupdict().get("u"):
            meant = f"{pair['f']}' {pair['i']}\""
            raise BareNumber(f"{said} in a job in mm? Press it if you mean feet and inches, else say the mm.", (meant,))
        return _feet_inches(_number(pair["f"]), _number(pair["i"]), said)
    return _combine(_tokens(_MIXED_DASH.sub(r"\1 \2", clean), said), said, units, bare)


def _tokens(clean: str, said: str) -> list[tuple[Fraction, str]]:
    """(number, unit) one after the other; a dash or 'and' stands between feet and inches alone."""
    tokens: list[tuple[Fraction, str]] = []
    at = 0
    while at < len(clean):
        match = _TOKEN.match(clean, at)
        if not match:
            gap = re.compile(r"\s*(?:-|and)?\s*").match(clean, at)
            assert gap is not None
            if gap.end() == at or not tokens or gap.end() == len(clean) or tokens[-1][1] != "ft":
                raise LengthError(f'Cannot read {said} as a length. Say it like 24\' 6 1/2", 6.5" or 7480 mm.')
            at = gap.end()
            continue
        tokens.append((_number(match["n"]), _UNIT_WORDS.get(match["u"] or "", "")))
        at = match.end()
    return tokens


def _combine(tokens: list[tuple[Fraction, str]], said: str, units: Units, bare: str) -> Fraction:
    kinds = [unit for _, unit in tokens]
    if kinds == ["ft", "in"] or kinds == ["ft", ""]:
        feet, inches = tokens[0][0], tokens[1][0]
        if feet.denominator != 1:
            raise LengthError(f"{said} has both a part of a foot and inches. Say one of them.")
        return _feet_inches(feet, inches, said)
    if len(tokens) == 1:
        return _one(tokens[0], said, units, bare)
    if kinds in (["m", ""], ["m", "mm"], ["m", "cm"]):
        return _metres_and(tokens[0][0], tokens[1][0], kinds[1], said)
    raise LengthError(f'Cannot read {said} as a length. Say it like 24\' 6 1/2", 6.5" or 7480 mm.')


def _one(token: tuple[Fraction, str], said: str, units: Units, bare: str) -> Fraction:
    value, unit = token
    if unit:
        return value * _MM[unit]
    if units == "mm" or bare == "mm" or not value:
        return value
    if bare in ("in", "ft"):
        return value * _MM[bare]
    raise BareNumber(f"{said} what?", (f"{said}'", f'{said}"'))


def _metres_and(metres: Fraction, rest: Fraction, unit: str, said: str) -> Fraction:
    """'1 m 20' may be 1.02 or 1.20 m: asked. Three figures behind whole metres are mm; a unit says it itself."""
    if unit and metres.denominator == 1 and rest * _MM[unit] < 1000:
        return metres * 1000 + rest * _MM[unit]
    if not unit and metres.denominator == 1 and 100 <= rest < 1000:
        return metres * 1000 + rest
    sums = [metres * 1000 + rest * _MM[one] for one in ((unit,) if unit else ("mm", "cm"))]
    if unit:
        sums.append(metres * 1000 + rest)
    choices = tuple(dict.fromkeys(f"{_plain(one)} mm" for one in sums))
    raise BareNumber(f"{said}: {' or '.join(choices)}?", choices)


def round_half_away(value: float) -> int:
    """Nearest whole number, halves away from zero; 1e-7 of a step is taken as noise of the arithmetic."""
    size = math.floor(abs(value) + 0.5 + 1e-7)
    return -size if value < 0 else size


def format_length(mm: float, units: Units, nearest: int = 16) -> str:
    """Show a length in the job's units.

    mm: length in mm. units: "ft-in" (to the nearest 1/`nearest` in: 16, 8 or 4) or "mm" (whole mm).
    Returns text like 24′-6 1/2″, 6 1/2″, 36′ or 7480.
    """
    sign = "-" if mm < 0 else ""
    size = abs(mm)
    if units == "mm":
        whole = round_half_away(size)
        return f"{'-' if sign and whole else ''}{whole}"
    steps = round_half_away(size / MM_PER_IN * nearest)
    feet, rest = divmod(steps, 12 * nearest)
    inches, part = divmod(rest, nearest)
    sign = sign if steps else ""
    fraction = _fraction_text(part, nearest)
    inch_text = " ".join(bit for bit in ((str(inches) if inches else ""), fraction) if bit)
    if feet and inch_text:
        if not inches:
            inch_text = f"0 {fraction}"
        return f"{sign}{feet}′-{inch_text}″"
    if feet:
        return f"{sign}{feet}′"
    return f"{sign}{inch_text or '0'}″"


@lru_cache(maxsize=64)
def _fraction_text(part: int, whole: int) -> str:
    cut = Fraction(part, whole)
    return f"{cut.numerator}/{cut.denominator}" if part else ""


def say_depth(mm: float, units: Units, nearest: int = 16) -> str:
    """A thickness, depth or width as the trade says it: inches only (18″) up to 6 ft, or mm with the unit."""
    if units == "mm" or mm >= 6 * MM_PER_FT:
        return say_length(mm, units, nearest)
    inches, part = divmod(round_half_away(mm / MM_PER_IN * nearest), nearest)
    fraction = _fraction_text(part, nearest)
    return (" ".join(bit for bit in (str(inches) if inches or not part else "", fraction) if bit)) + "″"


def with_unit(text: str, units: Units) -> str:
    """Text of format_length with its unit, for sentences: 7480 mm, or feet and inches as they are."""
    return f"{text} mm" if units == "mm" else text


def say_length(mm: float, units: Units, nearest: int = 16) -> str:
    """format_length with the unit said, for sentences."""
    return with_unit(format_length(mm, units, nearest), units)


def parse_volume(text: str | float, units: Units) -> float:
    """Read a volume ('23 1/2 yd', '0.25 yd3', '6 m3'); bare numbers follow the job. Returns m3."""
    if isinstance(text, int | float):
        if isinstance(text, bool) or not math.isfinite(text) or text < 0:
            raise LengthError(f"{text} is not a volume.")
        return float(text)
    said = short_enough(text.strip(), "volume")
    clean = _decimal_commas(said.translate(_GLYPHS).lower().replace("³", "3"), text)
    match = re.fullmatch(
        rf"(?P<n>{_NUMBER})\s*(?P<u>yd3|yds?|yards?|cu ?yd|m3|cubic metres?|cubic yards?|ft3|cu ?ft)?", clean
    )
    if not match:
        raise LengthError(f"Cannot read {text.strip() or 'nothing'} as a volume. Say it like 1/4 yd or 0.2 m3.")
    unit = match["u"] or ("yd3" if units == "ft-in" else "m3")
    value = float(_number(match["n"]))
    if unit.startswith(("m3", "cubic m")):
        return value
    return value * M3_PER_YD3 / (FT3_PER_YD3 if "f" in unit else 1.0)


def yards(m3: float) -> float:
    """m3 as cubic yards."""
    return m3 / M3_PER_YD3


def format_volume(m3: float, units: Units, digits: int = 2) -> str:
    """A volume without its unit: yd3 in a ft-in job, m3 in a mm job, with `digits` decimals."""
    value = yards(m3) if units == "ft-in" else m3
    scaled = round_half_away(value * 10**digits)
    return f"{scaled / 10**digits:.{digits}f}"


def format_ordered(m3: float, units: Units) -> str:
    """A volume as ordered: quarter yards as built fractions (23 1/2), or m3 to 0.01 without idle zeros."""
    if units == "mm":
        return f"{round_half_away(m3 * 100) / 100:.2f}".rstrip("0").rstrip(".")
    quarters = yards(m3) * 4
    if abs(quarters - round(quarters)) > 1e-6:
        return format_volume(m3, units)
    whole, part = divmod(round(quarters), 4)
    fraction = {0: "", 1: "1/4", 2: "1/2", 3: "3/4"}[part]
    return " ".join(bit for bit in (str(whole) if whole or not part else "", fraction) if bit)


def volume_unit(units: Units) -> str:
    """The unit a volume is shown in: yd³ or m³."""
    return "yd³" if units == "ft-in" else "m³"


def format_area(m2: float, units: Units) -> str:
    """An area with its unit: whole square feet, or m² to 0.01."""
    if units == "ft-in":
        return f"{round_half_away(m2 / M2_PER_FT2):,} sq ft"
    return f"{round_half_away(m2 * 100) / 100:.2f} m²"


MPA_PER_PSI = 0.00689475729
_COUNTS = (
    "No",
    "One",
    "Two",
    "Three",
    "Four",
    "Five",
    "Six",
    "Seven",
    "Eight",
    "Nine",
    "Ten",
    "Eleven",
    "Twelve",
)


def number_word(count: int) -> str:
    """Small counts as a word."""
    return _COUNTS[count] if 0 <= count < len(_COUNTS) else str(count)


def parse_strength(text: str | float, units: Units) -> float:
    """Read a strength ('4000 psi', '28 MPa'); bare numbers follow the job: psi or MPa. Returns MPa."""
    if isinstance(text, int | float):
        return float(text)
    clean = short_enough(text.strip(), "strength").lower().replace(",", "")
    match = re.fullmatch(r"(?P<n>\d+(?:\.\d+)?)\s*(?P<u>psi|mpa|n/mm2|n/mm²)?", clean)
    if not match:
        raise LengthError(f"Cannot read {text.strip() or 'nothing'} as a strength. Say it like 4000 psi or 28 MPa.")
    unit = match["u"] or ("psi" if units == "ft-in" else "mpa")
    value = float(match["n"])
    return value * MPA_PER_PSI if unit == "psi" else value
