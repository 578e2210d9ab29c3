"""May we pour? What holds it, the walk round the slab, papers, changes."""
