"""The gauge stand-in on a WebSocket: JSON lines, as docs/formats/gauge.md says."""

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
from humble_trowel.standins.gauge import StandInGauge

router = APIRouter(tags=["gauge"])
FAULTS = ("leak", "misread", "unplugged")


def _device(service: Service, job_id: str, line: str, how: str, seed: int | None) -> tuple[StandInGauge, int]:
    with service.open() as db:
        job = service.head(db, job_id)
    own = zlib.crc32(line.encode()) if seed is None else seed
    found = next(one for one in (job.tested.lines if job.tested else []) if one.id == line)
    if how == "water":
        return StandInGauge(found.head_mm, "mm", own), own
    return StandInGauge(found.need_kpa, "kPa", own), own


@router.websocket("/api/jobs/{job_id}/gauge")
async def gauge(socket: WebSocket, job_id: str, line: str, how: str = "pressure", seed: int | None = None) -> None:
    """Lines in: {"read": seconds since filling} reads; {"fault": name or null} misbehaves."""
    service: Service = socket.app.state.service
    try:
        device, own = await run_in_threadpool(_device, service, job_id, line, how, seed)
    except (TrowelError, LookupError, ValueError, StopIteration, RuntimeError):
        await socket.close(4404, "no such line")
        return
    await socket.accept()
    await socket.send_json({"kind": "hello", "model": "stand-in", "simulated": True, "seed": own, "unit": device.unit})
    with suppress(WebSocketDisconnect, RuntimeError):
        while True:
            await socket.send_json(_answer(device, await line_of(socket)))


def _answer(device: StandInGauge, said: Any) -> dict[str, Any]:
    match said:
        case {"fault": None}:
            device.misbehave(None)
            return {"kind": "ok", "fault": None, "simulated": True}
        case {"fault": str(fault)} if fault in FAULTS:
            device.misbehave(fault)  # type: ignore[arg-type]
            return {"kind": "ok", "fault": fault, "simulated": True}
        case {"read": int() | float() as after} if not isinstance(after, bool) and 0 <= after < 1e6:
            return {**asdict(device.read(float(after))), "simulated": True}
    return {"kind": "error", "why": 'Say {"read": seconds} or {"fault": name}.', "simulated": True}
