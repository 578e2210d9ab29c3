"""What sticks up out of the slab: walls with their plates, bolts, straps, and the order in which they are set."""
