"""Where rules come from: the day of the pour."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ROWS = (
    Source("evaporation", "Precautions from 0.20 lb/ft2 h on (1.0 kg/m2 h), half of it for mixes that bleed little: ACI 305R. Menzel 1954 or Uno 1998; nobody on site knows the bleeding.", "standard", "ACI 305R, recalled"),
    Source("sun", "The low-precision sun of Meeus as in the NOAA calculator; Kasten and Czeplak 1980 for clouds, 15 in 100 either way.", "definition"),
    Source("slab-heat", "Heat through the slab and what it lies on, with the heat of hydration; edges and corners are colder. Set times about a fifth either way, until prints say better.", "house"),
)  # fmt: skip
