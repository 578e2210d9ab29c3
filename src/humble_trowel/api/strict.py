"""Requests read strictly: JSON sent as JSON, with nothing in it that no text or number may be."""

from __future__ import annotations

from collections.abc import Callable, Coroutine
from typing import Any

from fastapi import HTTPException, Request, Response
from fastapi.routing import APIRoute

from humble_trowel.files.strict_json import NotJson, read_json


class StrictRequest(Request):
    """A request whose JSON is read strictly."""

    async def json(self) -> Any:
        if not hasattr(self, "_json"):
            try:
                self._json = read_json(await self.body())
            except NotJson as error:
                raise HTTPException(422, str(error)) from None
        return self._json


class StrictRoute(APIRoute):
    """A route that takes JSON as JSON alone."""

    def get_route_handler(self) -> Callable[[Request], Coroutine[Any, Any, Response]]:
        handle = super().get_route_handler()

        async def strict(request: Request) -> Response:
            if self.body_field is not None:
                kind = request.headers.get("content-type", "").split(";")[0].strip().lower()
                if kind != "application/json" and not kind.endswith("+json"):
                    raise HTTPException(415, "Send it as JSON, with the content type application/json.")
            return await handle(StrictRequest(request.scope, request.receive))

        return strict
