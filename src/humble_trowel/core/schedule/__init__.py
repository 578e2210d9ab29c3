"""Trades in order and their days."""
