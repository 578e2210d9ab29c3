"""Answers of one job, asked for the way a test reads best: a plan and the crew's ways in."""

from humble_trowel.core.job import Job
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import NO_RECORDS


def figure(plan, crew=None, *, quick=False, every_diagonal=False):
    return Job(plan, crew or Ways()).figure_with(quick=quick, every_diagonal=every_diagonal)


def form_plan(plan, crew=None):
    return Job(plan, crew or Ways()).forms


def ground(plan, crew=None, records=NO_RECORDS, line_mm=None):
    return Job(plan, crew or Ways(), records, line_mm).ground


def measured(plan, crew=None, records=NO_RECORDS):
    return Job(plan, crew or Ways(), records).measured
