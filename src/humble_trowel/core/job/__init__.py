"""One job, one answer: plan, ways and records in; every answer of every stage out, each worked out once, when asked.

A job made after an edit takes over from the job before it what was worked out of the very same things: each answer says
what it reads. A stumble in one answer becomes a finding and leaves the rest usable. The answers of a matter stand in a
file of their own; each file may ask those before it: shape, ground, order, edges, lines, figure, deciding, day, gate, pour, cure, built, lessons.
"""

from __future__ import annotations

from humble_trowel.core.job.lessons import LessonAnswers


class Job(LessonAnswers):
    """Every answer about one job. plan: checked. crew: the crew's ways, the job's own are laid over them. records: what
    the site wrote down. line_mm: level of a laser's line where no set-up is on record. before: the job that an edit was
    made on. Never changes; safe to ask from several threads."""
