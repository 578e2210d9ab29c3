"""What the order stage decides on: the held load, the pour played through, the mix, the call as it was made, the cost."""

from __future__ import annotations

import math
from collections.abc import Mapping

from humble_trowel.core.cost.cost import Costed, Takes, costed, thicker
from humble_trowel.core.day.air import plan_in_air, pour_hours
from humble_trowel.core.findings import Finding
from humble_trowel.core.job.figure import FigureAnswers
from humble_trowel.core.kept import kept
from humble_trowel.core.mix.advice import Around, MixFound, advised
from humble_trowel.core.mix.balance import Balance, balance
from humble_trowel.core.mix.findings import mix_doubts
from humble_trowel.core.order.called import Called, called_findings, called_of
from humble_trowel.core.order.doubts import truck_m3
from humble_trowel.core.order.hold import Hold, belief_of, held, site_of
from humble_trowel.core.order.records import OrderCalled
from humble_trowel.core.order.risk_findings import order_doubts
from humble_trowel.core.order.told import SureTold, sure_told
from humble_trowel.core.plan.document import Plan
from humble_trowel.core.pour_sim.findings import pour_doubts
from humble_trowel.core.pour_sim.of_job import NOBODY_LATE, Part, sets_of
from humble_trowel.core.pour_sim.parts import parts_of_floor, parts_of_strips
from humble_trowel.core.pour_sim.told import DeliveryTold, clock, delivery
from humble_trowel.core.weather.hours import HourRow
from humble_trowel.core.weather.records import WeatherIn

BAR_MM = 25.4  # no bar of a slab is thicker


class DecidingAnswers(FigureAnswers):
    """The order as a decision, and what it rests on."""

    @property
    def loads_m3(self) -> list[float]:
        """As they come."""
        return [truck.load_m3 for truck in self.numbers.ordered.trucks] if self.numbers else []

    @property
    def pour_parts(self) -> list[Part]:
        """The floor in the parts in which it is filled."""
        if self.solid is None or self.numbers is None:
            return []
        if self.screed is not None and self.screed.strips:
            return parts_of_strips(self.screed)
        return parts_of_floor(self.solid, self.numbers.net_m3)

    @kept("plan", "earlier")
    def pour_hours(self) -> list[HourRow]:
        """The weather while it is poured, as far as it is known."""
        return pour_hours(self.plan, self.earlier.of(WeatherIn))

    @property
    def plan_in_air(self) -> Plan:
        """The plan with the air of its pour, from that weather where nobody typed one."""
        return plan_in_air(self.plan, self.pour_hours)

    @property
    def air_from(self) -> str:
        """Whose forecast says how warm the air is; '' where it is typed, or not known."""
        return self.pour_hours[0].from_name if self.pour_hours and self.plan.mix.air_c is None else ""

    @kept("plan", "solid", "ways", "earlier")
    def planned_pour(self) -> DeliveryTold | None:
        """The pour at the spacing that is said, without other spacings and days; None where none is said."""
        return self.guarded("planned_pour", "The pour", lambda: self._pour(None, 1, search=False), None)

    @kept("plan", "solid", "ways", "earlier")
    def delivery(self) -> DeliveryTold | None:
        """The pour played through, every spacing tried, twenty days by chance; None without an outline."""
        return self.guarded("delivery", "The pour", lambda: self._pour(None, 1, search=True), None)

    def delivery_with(
        self, spacing_min: float | None, seed: int, late_min: Mapping[int, float] = NOBODY_LATE
    ) -> DeliveryTold | None:
        """The same with another spacing, other days by chance, or single loads late."""
        return self._pour(spacing_min, seed, search=True, late_min=late_min)

    def _pour(
        self, spacing_min: float | None, seed: int, *, search: bool, late_min: Mapping[int, float] = NOBODY_LATE
    ) -> DeliveryTold | None:
        strips = self.screed is not None and bool(self.screed.strips)
        return delivery(
            self.plan_in_air, self.ways, self.loads_m3, self.pour_parts, by_strips=strips, spacing_min=spacing_min, seed=seed, search=search, late_min=late_min
        )  # fmt: skip

    @kept("plan", "solid", "ways", "earlier")
    def hold(self) -> Hold | None:
        """Firm loads, and the last one held; None for a single load."""
        return self.guarded("hold", "The held load", self._hold, None)

    def _hold(self) -> Hold | None:
        told = self.planned_pour or self.delivery
        if self.sure is None or told is None or self.solid is None:
            return None
        site = site_of(self.plan, self.solid, self.ways, self.measured, math.fsum(part.m3 for part in self.parts))
        own = self.ways.pour
        ahead = told.travel_min + own.batch_min + own.line_min
        placed = [(0.0, 0.0)]
        total = 0.0
        for truck in told.trucks:
            placed += [(truck.unload_min, total), (truck.end_min, total + truck.m3)]
            total += truck.m3
        volume = self.sure.volume
        return held(
            site, belief_of(site, self.doubts, self.ways), self.sure.costs, self.loads_m3, volume.mean_m3, volume.sd_m3,
            told.spacing_min, ahead, placed,
        )  # fmt: skip

    @kept("plan", "solid", "ways", "earlier")
    def mix_found(self) -> MixFound | None:
        """What goes in the drum, and why."""
        return self.guarded("mix_found", "The mix", self._mix, None)

    @property
    def thin_mm(self) -> float:
        """The thinnest slab."""
        return min((cell.thickness_mm for cell in self.solid.cells), default=100.0) if self.solid else 100.0

    def _mix(self) -> MixFound:
        laid = self.steel
        ways = self.plan.steel.ways
        gaps = [way.spacing_mm for way in ways if way.spacing_mm is not None and way.way == "bars"]
        clear = min(gaps) - BAR_MM if gaps else None
        mesh = any(way.way in ("mesh", "rolls", "mesh-tied") for way in ways)
        sets = sets_of(self.plan_in_air, self.ways.pour)
        return advised(self.plan_in_air, Around(self.thin_mm, clear, laid is not None and laid.mass_kg > 0, mesh, sets))

    @property
    def heat(self) -> Balance:
        """Where the heat of the mix balances."""
        own = self.ways.pour
        road = self.plan.order.travel_min if self.plan.order.travel_min is not None else own.travel_min
        return balance(self.plan_in_air.mix, self.thin_mm, road / 60)

    @property
    def sure_told(self) -> SureTold | None:
        """The decision in words."""
        if self.sure is None or self.numbers is None:
            return None
        return sure_told(
            self.plan, self.ways, self.sure, self.numbers.ordered, self.numbers.net_m3, self.hold, lambda minute: clock(self.plan, minute)
        )  # fmt: skip

    @property
    def called(self) -> Called | None:
        """The newest call to the plant, and what changed since."""
        if self.numbers is None:
            return None
        calls = self.earlier.named(OrderCalled)
        return called_of(self.plan, calls, self.parts, self.numbers.order_m3, self.figure.call_in)

    @property
    def deciding_findings(self) -> list[Finding]:
        """Doubts about the order as a decision, the pour, the mix and the call."""
        if self.numbers is None:
            return []
        rows = self.stumbles("sure", "planned_pour", "mix_found")
        rows += order_doubts(self.plan, self.ways, self.sure, truck_m3(self.plan, self.ways), self.numbers.net_m3)
        rows += pour_doubts(self.plan, self.planned_pour)
        rows += mix_doubts(self.mix_found, self.heat)
        return rows + called_findings(self.called)

    def cost(self, today: str | None) -> Costed | None:
        """What it costs. today: to tell how old prices are."""
        takes = self.takes
        if takes is None:
            return None
        others = [thicker(self.plan, self.ways, takes)]
        options = self.frost_options or []
        drawn = next((one.cost_cents for one in options if one.key == "drawn"), None)
        if drawn is not None:
            others += [
                (f"frost-{one.key}", one.name, float(one.cost_cents - drawn), one.for_it)
                for one in options
                if one.cost_cents is not None and one.key != "drawn"
            ]
        return costed(self.plan, self.ways, takes, others, today)

    @property
    def takes(self) -> Takes | None:
        """What every stage comes to, for the cost."""
        told = self.planned_pour or self.delivery
        if self.sure is None or told is None or self.outline is None:
            return None
        costs = self.sure.costs
        fees = math.fsum(costs.fee_cents(load) for load in self.loads_m3)
        pump = told.pump_cents
        ground, forms, laid, buried = self.ground, self.forms, self.steel, self.covered
        form = {take.key: take.value for take in forms.takes} if forms else {}
        counts = self.embeds.counts if self.embeds else {}
        barrier = buried.barrier.area_m2 if buried and buried.barrier else 0.0
        foam = math.fsum(row.area_m2 * row.mm / 1000 for row in buried.foam) if buried else 0.0
        spoil = ground.spoil if ground else None
        bolts = counts.get("bolt", 0) + counts.get("group bolt", 0)
        return Takes(
            area_m2=sum(cell.area_m2 for cell in self.shape.cells), order_m3=math.fsum(self.loads_m3), fees_cents=fees,
            left_m3=max(0.0, self.sure.called.left_m3 - costs.use_m3), charge_cents=told.charge_cents, pump_cents=pump,
            crew_cents=told.cost_cents - pump - told.charge_cents, crew_h=told.crew_h,
            stone_cents=sum(row.cost_cents for row in ground.stones) if ground else 0,
            stone_m3=math.fsum(row.to_buy_m3 for row in ground.stones) if ground else 0.0,
            haul_cents=spoil.haul_cents if spoil else 0, dig_m3=spoil.dig_m3 + spoil.trench_m3 if spoil else 0.0,
            form_cents=round(sum(form.get(f"{key}_cents", 0.0) for key in ("boards", "stakes", "kickers", "panels"))),
            form_h=form.get("hours", 0.0), steel_kg=laid.mass_kg if laid else 0.0, barrier_m2=barrier, foam_m3=foam,
            tube_m=self.tubing.total_mm / 1000 if self.tubing else 0.0, bolts=bolts,
            straps=sum(counts.values()) - bolts, saw_m=self.joints.saw_mm / 1000 if self.joints else 0.0,
        )  # fmt: skip
