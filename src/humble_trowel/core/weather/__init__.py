"""Weather at the slab: how fast it dries, where the sun falls."""
