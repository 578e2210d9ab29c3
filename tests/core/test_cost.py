"""The cost: rows from the stages, parts that add to the cent, margin, other ways; and the call that goes stale."""

import io

import pytest
from tests.plans import edited, plan

from humble_trowel.core.errors import EditError, InputError
from humble_trowel.core.job import Job
from humble_trowel.core.order.record_kinds import ORDER_RECORDS
from humble_trowel.core.order.records import OrderCalled
from humble_trowel.core.plan.ways import Ways
from humble_trowel.core.reading.site_records import SiteRecords
from humble_trowel.files.cost_table import cost_rows, write_cost_xlsx

EDGE = {"edge_types": [{"mark": "E1", "kind": "thickened", "depth_mm": 450, "bottom_width_mm": 300}], "edges": [{"sides": [0], "type": "E1"}]}  # fmt: skip
STEEL = {"steel": {"ways": [{"slab": "S1", "way": "bars", "bar": "#4", "spacing_mm": 300}]}}


@pytest.mark.parametrize("margin", [0, 0.18, 0.333])
def test_parts_add_to_the_cent_and_the_margin_is_of_the_price(margin):
    job = Job(plan(**EDGE, **STEEL, quote={"margin_share": margin, "extra": [{"name": "Permit", "cents": 12345}]}))
    found = job.cost("2027-06-17")
    assert sum(row.total_cents for row in found.rows) == found.rows_cents
    assert found.rows_cents + found.margin_cents == found.total_cents
    assert found.margin_cents == pytest.approx(found.total_cents * margin, abs=1)
    keys = {row.key for row in found.rows}
    assert {"concrete", "steel", "forms", "pour", "tie"} <= keys and all(row.total_cents for row in found.rows)
    steel = next(row for row in found.rows if row.key == "steel")
    assert steel.total_cents == round(job.steel.mass_kg * job.ways.prices.steel_cents_kg)


def test_a_thicker_slab_is_an_alternate_and_prices_tell_their_age():
    found = Job(plan(**EDGE)).cost("2027-06-17")
    thick = next(row for row in found.alternates if row.key == "thicker")
    assert thick.by_cents == round(24 * 0.025 * 21600 / (1 - found.margin_share)) and "25 mm" in thick.name
    assert found.stale.startswith("Nobody has asked")
    asked = Ways.model_validate({"prices": {"asked_on": "2027-01-01"}})
    assert Job(plan(), asked).cost("2027-02-01").stale == ""
    assert Job(plan(), asked).cost("2027-06-17").stale == "Prices are 167 days old. Ask again."
    assert Job(plan(), asked).cost(None).stale == ""


def test_lines_of_the_quote_are_added_by_name_and_taken_off_by_id():
    with pytest.raises(EditError, match="Say what"):
        edited(plan(), {"op": "add_quote_line", "name": " ", "cents": 5})
    one = edited(plan(), {"op": "add_quote_line", "name": "Permit", "cents": 12000})
    row = next(row for row in Job(one).cost(None).rows if row.key.startswith("extra"))
    assert (row.name, row.total_cents, row.id) == ("Permit", 12000, one.quote.extra[0].id)
    gone = edited(one, {"op": "take_out_quote_line", "line": row.id})
    assert gone.quote.extra == []
    with pytest.raises(EditError, match="line of the quote"):
        edited(gone, {"op": "take_out_quote_line", "line": row.id})


def test_the_table_reads_back_equal_from_its_book():
    from openpyxl import load_workbook

    told = Job(plan(**EDGE)).cost(None)
    sheet = load_workbook(io.BytesIO(write_cost_xlsx(told))).active
    rows = [[cell if cell is not None else "" for cell in row] for row in sheet.iter_rows(values_only=True)]
    assert rows == [list(row) for row in cost_rows(told)]
    assert rows[-1][4] * 100 == pytest.approx(told.total_cents)


def called(job, **more):
    parts = {part.part: part.m3 for part in job.parts}
    lines = {line.key: line.says for line in job.figure.call_in if line.says}
    values = {"at": "2027-06-16T14:05:00", "by": "Wren", "heard_by": "Ann", "number": "77", "ordered_m3": job.numbers.order_m3, "loads_m3": job.loads_m3, "parts_m3": parts, "lines": lines}  # fmt: skip
    return OrderCalled.model_validate(values | more)


def test_a_call_goes_stale_when_the_plan_moves_and_names_the_yards():
    job = Job(plan(**EDGE))
    records = SiteRecords([("r1", called(job))])
    same = Job(job.plan, job.crew, records)
    assert not same.called.stale and same.called.heard_by == "Ann"
    deeper = edited(job.plan, {"op": "set_edge_type", "mark": "E1", "depth": 800.0})
    moved = Job(deeper, job.crew, records)
    change = moved.called.changes[0]
    assert change.name == "E1 edge below the slab" and change.by_m3 == pytest.approx(6 * 0.35 * 0.3, rel=0.02)
    row = next(row for row in moved.deciding_findings if row.code == "order-scope")
    assert "was called" in row.words and "E1 edge below the slab: 0.63 m³ more" in row.words and row.tabs == ("call",)
    last = called(job, last=True, ordered_m3=4.5, loads_m3=[4.5], parts_m3={}, lines={})
    said = Job(job.plan, job.crew, SiteRecords([("r1", called(job)), ("r2", last)]))
    assert said.called.order_text == "4.5" and not said.called.stale
    assert ORDER_RECORDS[0].sentence(job, last) == "Last load said to Ann: 4.5 m³ in all, order 77."
    again = Job(deeper, job.crew, SiteRecords([("r1", called(job)), ("r2", called(moved))]))
    assert not again.called.stale


def test_a_line_that_is_said_otherwise_now_is_named_and_a_call_must_add_up():
    job = Job(plan(order={"method": "chute"}))
    pumped = edited(job.plan, {"op": "set_fields", "values": {"order.method": "conveyor"}})
    told = Job(pumped, job.crew, SiteRecords([("r1", called(job))])).called
    assert told.lines == ["unloaded"] and told.words == "Said otherwise now: How is it unloaded?"
    kind = ORDER_RECORDS[0]
    with pytest.raises(InputError, match="add up"):
        kind.check(job, called(job, loads_m3=[1.0]))
    assert kind.sentence(job, called(job)) == "Called in to Ann: 3 m³, order 77."
    gone = Job(plan(), records=SiteRecords([("r1", called(job, parts_m3={"Porch": 1.2}))])).called
    assert "Porch is gone: 1.20 m³ less" in gone.words
