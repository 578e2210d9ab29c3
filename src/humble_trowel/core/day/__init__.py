"""The day of a pour: what dries, what sets when, when to start."""
