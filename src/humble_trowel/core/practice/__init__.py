"""Exercises for a new hand, made by the same rules as real jobs and of no job."""
