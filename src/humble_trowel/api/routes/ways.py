"""The crew's ways, and a sign of life."""

from __future__ import annotations

from typing import Any

from fastapi import APIRouter, Request

from humble_trowel.api.listener import owns
from humble_trowel.api.routes.jobs import service_of
from humble_trowel.api.schemas import KeepWays, School, WaysState
from humble_trowel.api.strict import StrictRoute
from humble_trowel.core.plan.cure_ways import COVER_SCHOOLS
from humble_trowel.core.plan.day_ways import DRIES_SCHOOLS, SAW_SCHOOLS
from humble_trowel.core.plan.doubt_ways import DECIDE_SCHOOLS
from humble_trowel.core.plan.embed_ways import SETTING_SCHOOLS
from humble_trowel.core.plan.form_ways import BUY_SCHOOLS, CORNER_SCHOOLS, PAD_SCHOOLS, STACK_SCHOOLS
from humble_trowel.core.plan.ground_ways import BASE_SCHOOLS, GRADING_SCHOOLS, LIFT_SCHOOLS
from humble_trowel.core.plan.joint_ways import HOW_SCHOOLS
from humble_trowel.core.plan.price_ways import PriceWays
from humble_trowel.core.plan.schedule_ways import FORMS_WHEN_SCHOOLS
from humble_trowel.core.plan.screed_ways import EDGES_SCHOOLS, RIDES_SCHOOLS
from humble_trowel.core.plan.steel_ways import BAR_CORNER_SCHOOLS, HELD_SCHOOLS, LAP_SCHOOLS, WAY_SCHOOLS
from humble_trowel.core.plan.underslab_ways import EDGE_SCHOOLS, PLACE_SCHOOLS, TEST_SCHOOLS
from humble_trowel.core.plan.ways import Ways
from humble_trowel.store import ways
from humble_trowel.store.as_stored import ways_as_stored

router = APIRouter(route_class=StrictRoute, prefix="/api", tags=["ways"])
SCHOOLS = {
    name: [School(key=key, pro=pro, con=con) for key, pro, con in rows]
    for name, rows in (
        ("corner", CORNER_SCHOOLS),
        ("stack", STACK_SCHOOLS),
        ("buy", BUY_SCHOOLS),
        ("pads", PAD_SCHOOLS),
        ("base", BASE_SCHOOLS),
        ("grading", GRADING_SCHOOLS),
        ("lifts", LIFT_SCHOOLS),
        ("barrier-place", PLACE_SCHOOLS),
        ("barrier-edge", EDGE_SCHOOLS),
        ("drain-test", TEST_SCHOOLS),
        ("steel", WAY_SCHOOLS),
        ("steel-corners", BAR_CORNER_SCHOOLS),
        ("steel-held", HELD_SCHOOLS),
        ("steel-lap", LAP_SCHOOLS),
        ("setting", SETTING_SCHOOLS),
        ("joint-how", HOW_SCHOOLS),
        ("screed-rides", RIDES_SCHOOLS),
        ("screed-edges", EDGES_SCHOOLS),
        ("decide", DECIDE_SCHOOLS),
        ("dries_by", DRIES_SCHOOLS),
        ("saw", SAW_SCHOOLS),
        ("cover", COVER_SCHOOLS),
        ("forms-when", FORMS_WHEN_SCHOOLS),
    )
}


def state_of(version: int, crew: Ways, unread: str = "") -> WaysState:
    """The ways as screens get them."""
    return WaysState(version=version, ways=crew, schools=SCHOOLS, unread=unread)


@router.get("/ways/as-stored")
def ways_stored(request: Request) -> list[dict[str, Any]]:
    """Every version of the ways as it is stored, readable or not."""
    with service_of(request).open() as db:
        return ways_as_stored(db)


@router.get("/ways")
def read_ways(request: Request) -> WaysState:
    """The newest ways; house defaults where nobody has set any."""
    service = service_of(request)
    with service.open() as db:
        version, crew = service.ways(db)
    shown = crew if owns(request.scope) else crew.model_copy(update={"prices": PriceWays()})  # prices are the owner's
    return state_of(version, shown, service.ways_unread)


@router.put("/ways")
def keep_ways(request: Request, body: KeepWays) -> WaysState:
    """Keep new ways. 409 when somebody else did meanwhile."""
    service = service_of(request)
    with service.open() as db:
        version = ways.save(db, body.version, body.ways.model_dump(mode="json"), body.author, service.now())
    return state_of(version, body.ways)


@router.get("/health")
def health() -> dict[str, str]:
    """Whether the program is up."""
    return {"humble_trowel": "up"}
