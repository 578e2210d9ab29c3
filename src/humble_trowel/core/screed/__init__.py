"""Screed: strips that boards strike off, judged; what comes next lays them."""
