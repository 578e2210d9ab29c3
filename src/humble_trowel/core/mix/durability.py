"""What exposure asks of concrete: water to cement and strength by class, air by stone. psi, mm, percent.

Source: ACI 318-19 tables 19.3.2.1 and 19.3.3.1, and table 26.4.2.1 for stone, recalled. The engineer and the code set the class.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from humble_trowel.core.errors import InputError

IN = 25.4
# class: (highest w/cm, least psi)
CLASSES: dict[str, tuple[float | None, float]] = {
    "F0": (None, 2500), "F1": (0.55, 3500), "F2": (0.45, 4500), "F3": (0.40, 5000),
    "S0": (None, 2500), "S1": (0.50, 4000), "S2": (0.45, 4500), "S3": (0.45, 4500),
    "W0": (None, 2500), "W1": (None, 2500), "W2": (0.50, 4000),
    "C0": (None, 2500), "C1": (None, 2500), "C2": (0.40, 5000),
}  # fmt: skip
PLAIN_F3 = (0.45, 4500.0)
# largest stone: (percent in F1, in F2 and F3)
AIR: tuple[tuple[float, float, float], ...] = (
    (3 / 8 * IN, 6.0, 7.5), (1 / 2 * IN, 5.5, 7.0), (3 / 4 * IN, 5.0, 6.0), (1 * IN, 4.5, 6.0), (1.5 * IN, 4.5, 5.5),
)  # fmt: skip
AIR_EITHER_WAY = 1.5
STRONG_PSI, STRONG_LESS = 5000.0, 1.0


@dataclass(frozen=True)
class Asked:
    """What all classes together ask. by: the class that sets each."""

    water_share: float | None
    least_psi: float
    water_by: str
    psi_by: str


@dataclass(frozen=True)
class Air:
    """Percent, and how far a test may be off either way."""

    target_percent: float
    low_percent: float
    high_percent: float


def asked_by(classes: Iterable[str], *, plain: bool = False) -> Asked:
    """The worst of every class. plain: no steel in it. Raises InputError for a class that is none."""
    water: tuple[float | None, str] = (None, "")
    least = (2500.0, "")
    for name in classes:
        if name not in CLASSES:
            raise InputError(f"{name} is no exposure class. Known: {', '.join(CLASSES)}.", "exposure")
        share, psi = PLAIN_F3 if plain and name == "F3" else CLASSES[name]
        if share is not None and (water[0] is None or share < water[0]):
            water = share, name
        if psi > least[0]:
            least = psi, name
    return Asked(water[0], least[0], water[1], least[1])


def air_for(stone_mm: float, freeze: str, psi: float) -> Air | None:
    """Entrained air for a freeze class; None where nothing freezes. Raises InputError for stone over 1 1/2 in."""
    if freeze == "F0":
        return None
    row = next((row for row in AIR if stone_mm <= row[0] + 0.01), None)
    if row is None:
        raise InputError("For stone over 1 1/2 in the table says no air here. Ask the plant.", "stone_mm")
    target = (row[1] if freeze == "F1" else row[2]) - (STRONG_LESS if psi > STRONG_PSI else 0.0)
    return Air(target, target - AIR_EITHER_WAY, target + AIR_EITHER_WAY)
