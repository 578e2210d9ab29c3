"""The slab as it stands, the hand-over and the bill."""

from __future__ import annotations

from datetime import date

from humble_trowel.core.built.as_job import plan_as_built
from humble_trowel.core.built.built import Built, BuiltFacts, built_of
from humble_trowel.core.built.hand_over import HandOver, HandOverFacts, hand_over_of
from humble_trowel.core.built.invoice import Invoice, invoice_of
from humble_trowel.core.built.rack import Rack, back_to_rack
from humble_trowel.core.built.records import AsBuilt, EdgeFinished, Invoiced, Racked
from humble_trowel.core.gate.changes import changes_told
from humble_trowel.core.gate.holds import GateHold
from humble_trowel.core.job.cure import CureAnswers
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour.records import Sawn
from humble_trowel.core.pour.told_finish import cuts_told
from humble_trowel.core.units import format_area, say_depth

KIND_WORDS = {"bolt": "Bolt", "group": "Bolts of"}


class BuiltAnswers(CureAnswers):
    """What stands, and what is handed over."""

    @property
    def built_facts(self) -> BuiltFacts:
        """What is drawn, and what was written down of it."""
        plan, own = self.plan, self.records
        told, embeds = self.joints_told, self.embeds_told
        joints = [
            (row.id, f"Joint {n}", (row.start, row.end), row.how) for n, row in enumerate(told.lines if told else [], 1)
        ]
        items = [
            (one.key, f"{KIND_WORDS.get(one.kind, one.kind.capitalize())}{f' {one.n} of' if one.n else ''} {one.name}", one.spot, one.state)
            for one in (embeds.items if embeds else [])
        ]  # fmt: skip
        sides = [(side, name, line) for side, name, _, line, _ in self._sides]
        shots = [(one.spot, one.off_mm) for one in self.cure_said.shots_values]
        sawn = {one.joint: one for _, one in sorted(own.named(Sawn), key=lambda row: (row[1].at, row[0]))}
        return BuiltFacts(plan, joints, sides, items, shots, sawn, self.site_changes, own.named(AsBuilt))

    @property
    def built(self) -> Built:
        """What stands otherwise than drawn."""
        return built_of(self.built_facts)

    @property
    def plan_as_built(self) -> Plan:
        """The job as it was built. Raises TrowelError where no plan can say it."""
        return plan_as_built(self.built_facts, self.built, self.embeds_told)

    @property
    def edges_finished(self) -> dict[str, tuple[str, EdgeFinished]]:
        """Sides whose foam is finished, by their first corner, with the id of that record."""
        return {one.side: (record, one) for record, one in self.records.named(EdgeFinished)}

    @property
    def foam_sides(self) -> list[tuple[str, str, str]]:
        """(id, name, thickness) of every side with foam against its face that stays."""
        kinds = {row.mark: row for row in self.plan.edge_types}
        names = {side: name for side, name, *_ in self._sides}
        rows = []
        for edge in self.plan.edges:
            kind = kinds.get(edge.type)
            for side in edge.sides or [] if kind is not None and (kind.foam_mm or 0.0) > 0 else []:
                corner = self.plan.corner_ids[side]
                if kind is not None and corner in names:
                    rows.append((corner, names[corner], say_depth(kind.foam_mm or 0.0, self.plan.units)))
        return rows

    @property
    def racked(self) -> tuple[str, Racked] | None:
        """The newest word that the boards are back on the rack, with its id."""
        rows = self.records.named(Racked)
        return rows[-1] if rows else None

    def rack(self) -> Rack | None:
        """What comes back once the forms are off; None without a cut plan."""
        cut = self.boards
        return None if cut is None else back_to_rack(cut.boards, self.ways.forms.min_piece_mm)

    def hand_over(self, holds: list[GateHold], now_h: float | None = None) -> HandOver:
        """What the owner of the slab is told. holds: what the gate still holds."""
        day, plan = self.cure_day(now_h), self.plan
        pour = self.pour_day()
        cuts = cuts_told(pour) if pour else []
        told = self.cure_told(now_h) if day is not None else None
        lines = self.tested.lines if self.tested else []
        area = sum(cell.area_m2 for cell in self.solid.cells) if self.solid else 0.0
        return hand_over_of(
            HandOverFacts(
                plan=plan, day=day, told=told, area_text=format_area(area, plan.units),
                thick=[(plan.zones[cell.index].name, say_depth(cell.thickness_mm, plan.units)) for cell in (self.solid.cells if self.solid else [])],
                placed_m3=None if pour is None or not self.pour_said.any else pour.forecast.total.mean_m3, net_m3=self.numbers.net_m3 if self.numbers else 0.0,
                strength_mpa=plan.mix.strength_mpa, steel_kg=self.steel.mass_kg if self.steel else 0.0, joints=len(plan.joints.lines), cuts=cuts,
                tube=self.tubing is not None, foam=bool(self.covered and self.covered.foam), barrier=bool(self.covered and self.covered.barrier),
                tests=[f"{line.name}: {line.told.words if line.told else 'not tested'}" for line in lines], loads=pour.loads if pour else [], built=self.built,
                changes=changes_told(self.site_changes, plan.units), holds=holds, foam_open=[name for side, name, _ in self.foam_sides if side not in self.edges_finished],
                outside=self.mix_found.outside if self.mix_found else [], crew_cover=self.ways.cure.cover, cure_days=self.ways.cure.days,
            )
        )  # fmt: skip

    def invoice(self, today: date) -> Invoice | None:
        """The bill out of quote and changes; None without a price."""
        cost = self.cost(None)
        if cost is None:
            return None
        last = self.records.newest(Invoiced)
        return invoice_of(
            self.plan, cost, changes_told(self.site_changes, self.plan.units), last, today, self.ways.prices
        )
