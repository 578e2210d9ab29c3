"""Steel: bars, laps and bends, mats, cages, dowels, chairs, and the lists of them."""
