"""Amounts of the pour as crews say them."""

from __future__ import annotations

from humble_trowel.core.units import M3_PER_YD3, MPA_PER_PSI, Units, format_ordered, say_depth


def amount(m3: float, units: Units) -> str:
    """'6 1/2 yd', '5.0 m³', as it is ordered."""
    return f"{format_ordered(m3, units)} {'m³' if units == 'mm' else 'yd'}"


def about(m3: float, units: Units, digits: int = 1) -> str:
    """'23.9 yd': what is worked out, not ordered."""
    value = m3 if units == "mm" else m3 / M3_PER_YD3
    sign = "−" if value < -0.5 * 10**-digits else ""
    return f"{sign}{abs(value):.{digits}f} {'m³' if units == 'mm' else 'yd'}"


def signed(m3: float, units: Units) -> str:
    """'+0.8 yd'."""
    text = about(abs(m3), units)
    return text if abs(m3) < 0.04 else f"{'+' if m3 > 0 else '−'}{text}"


def depth(mm: float, units: Units) -> str:
    """'11 3/4″' to the quarter inch, '298 mm'."""
    return say_depth(mm, units, 4)


def dollars(cents: float) -> str:
    """'$25'."""
    return f"{'−' if cents < -50 else ''}${abs(cents) / 100:,.0f}"


def strength(mpa: float, units: Units) -> str:
    """As it is ordered: 4,000 psi, 28 MPa."""
    return f"{mpa:.0f} MPa" if units == "mm" else f"{round(mpa / MPA_PER_PSI / 10) * 10:,} psi"
