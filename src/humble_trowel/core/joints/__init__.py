"""Where a slab may crack: contraction joints checked, laid by rule, and what is sawn."""
