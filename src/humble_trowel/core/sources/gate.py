"""Where rules come from: the day of the pour."""

from __future__ import annotations

from humble_trowel.core.sources.source import Source

ROWS = (
    Source("evaporation", "Precautions from 0.20 lb/ft2 h on (1.0 kg/m2 h), half of it for mixes that bleed little: ACI 305R. Menzel 1954 or Uno 1998; nobody on site knows the bleeding.", "standard", "ACI 305R, recalled"),
    Source("sun", "The low-precision sun of Meeus as in the NOAA calculator; Kasten and Czeplak 1980 for clouds, 15 in 100 either way.", "definition"),
    Source("slab-heat", "Heat through the slab and what it lies on, with the heat of hydration; edges and corners are colder. Set times about a fifth either way, until prints say better.", "house"),
    Source("walk-forms", "Boards as a crew looks at them: along the string, stakes kicked, joints tight.", "house"),
    Source("walk-clean", "Sawdust, bottles, paper and loose earth leave voids under the concrete; inspectors send crews away for them.", "house"),
    Source("walk-depth", "A footing no more than 1/2 in less deep than drawn: ACI 117 as this house recalls it. The drawing and the inspector decide.", "house"),
    Source("walk-base", "Rolled, dry, never frozen: IRC R506.2 and ACI 306R as this house recalls them; check the code adopted there.", "house", "IRC 2021, recalled"),
    Source("walk-string", "No reading over 3/4 in less than drawn, the mean no more than 3/8 in: ACI 117 as this house recalls it. At least 3 1/2 in in houses; check the code adopted there.", "house"),
    Source("walk-barrier", "Laps of 6 in and more, sealed: IRC R506.2.3 and ASTM E1643 as this house recalls them; check the code adopted there.", "house", "IRC 2021, recalled"),
    Source("walk-square", "Boards move while others work at them: the diagonals once more before the truck.", "house"),
    Source("walk-electrode", "20 ft of bar or 4 AWG copper in 2 in of concrete: NEC 250.52(A)(3) as this house recalls it. The electrician and the inspector decide.", "house"),
    Source("walk-truck", "Spoil and wheels 2 ft back at least, better as far as a trench is deep.", "house"),
    Source("walk-tools", "What a crew wishes it had, once the truck stands there.", "house"),
    Source("walk-people", "Hands as the crew's ways say.", "house"),
    Source("walk-safe", "Cautions only: the operator, the data sheet and the safety rules adopted there decide.", "house"),
    Source("cylinders", "One set a day, each 150 yd3 or 5,000 ft2: ACI 318 as this house recalls it. Whoever specified the strength decides.", "house"),
    Source("tubing-watch", "A tube under pressure shows a cut while it can still be mended.", "house"),
)  # fmt: skip
