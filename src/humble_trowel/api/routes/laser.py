"""The laser stand-in on a WebSocket: JSON lines, as docs/formats/laser.md says."""

from __future__ import annotations

import zlib
from contextlib import suppress
from dataclasses import asdict
from typing import Any

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from starlette.concurrency import run_in_threadpool

from humble_trowel.api.service import Service
from humble_trowel.api.socket_lines import line_of
from humble_trowel.core.errors import TrowelError
from humble_trowel.core.ground.layer_shots import layer_grounds
from humble_trowel.core.ground.levels import known_marks
from humble_trowel.standins.laser import StandInLaser, simulated_ground

router = APIRouter(tags=["laser"])
FAULTS = ("tilt", "mud", "bump", "battery")


def _device(service: Service, job_id: str, layer: str, seed: int | None, stand: int) -> tuple[StandInLaser, int]:
    with service.open() as db:
        job = service.head(db, job_id)
    own = zlib.crc32(job.plan.name.encode()) if seed is None else seed
    ground = simulated_ground(layer_grounds(job.plan, job.shape, layer), own)
    return StandInLaser(ground, known_marks(job.plan, job.records), job.ways.ground.laser, own, stand), own


@router.websocket("/api/jobs/{job_id}/laser")
async def laser(socket: WebSocket, job_id: str, layer: str = "base", seed: int | None = None, stand: int = 1) -> None:
    """Lines in: {"at": [x, y]} or {"mark": name} moves the rod and shoots; {"fault": name or null} misbehaves."""
    service: Service = socket.app.state.service
    try:
        device, own = await run_in_threadpool(_device, service, job_id, layer, seed, max(1, min(stand, 999)))
    except (TrowelError, LookupError, ValueError, AssertionError):
        await socket.close(4404, "no such ground")
        return
    await socket.accept()
    await socket.send_json(
        {"kind": "hello", "model": "stand-in", "simulated": True, "seed": own, "accuracy_mm": device.laser.accuracy_mm}
    )
    with suppress(WebSocketDisconnect, RuntimeError):
        while True:
            await socket.send_json(await run_in_threadpool(_answer, device, await line_of(socket)))


def _answer(device: StandInLaser, said: Any) -> dict[str, Any]:
    match said:
        case {"fault": None}:
            device.misbehave(None)
            return {"kind": "ok", "fault": None, "simulated": True}
        case {"fault": str(fault)} if fault in FAULTS:
            device.misbehave(fault)  # type: ignore[arg-type]
            return {"kind": "ok", "fault": fault, "simulated": True}
        case {"mark": str(mark)} if mark in device.marks:
            device.stand_on(mark)
            return {**asdict(device.shoot()), "mark": mark, "at": None, "simulated": True}
        case {"at": [int() | float() as x, int() | float() as y]} if abs(x) < 1e6 and abs(y) < 1e6:
            device.stand_at(float(x), float(y))
            return {**asdict(device.shoot()), "mark": None, "at": [x, y], "simulated": True}
    return {"kind": "error", "why": 'Say {"at": [x, y]}, {"mark": name} or {"fault": name}.', "simulated": True}
