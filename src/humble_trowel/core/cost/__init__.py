"""What it costs, and what the owner is told."""
