"""Drawings that are made to take for ever, each answered in plain words within three seconds."""

import io
import time

from tests.attacks.told import Told

WITHIN_S = 3.0


def drawing(build):
    import ezdxf

    document = ezdxf.new("R2010")
    build(document, document.modelspace())
    out = io.StringIO()
    document.write(out)
    return out.getvalue().encode()


def nested_blocks(document, space):
    """Ten of the one below in each of nine blocks: 10**9 lines in 3 kB."""
    below = document.blocks.new("b0")
    below.add_line((0, 0), (1, 1))
    for level in range(1, 10):
        block = document.blocks.new(f"b{level}")
        for at in range(10):
            block.add_blockref(f"b{level - 1}", (at, 0))
    space.add_blockref("b9", (0, 0))


def many_insert(document, space):
    document.blocks.new("b").add_line((0, 0), (1, 1))
    space.add_blockref("b", (0, 0)).dxf.update(
        {"row_count": 30_000, "column_count": 30_000, "row_spacing": 1, "column_spacing": 1}
    )


def in_itself(document, space):
    block = document.blocks.new("b")
    block.add_line((0, 0), (1, 1))
    block.add_blockref("b", (1, 1))
    space.add_blockref("b", (0, 0))


def far_away(_, space):
    space.add_lwpolyline([(0, 0), (1e308, 0), (1e308, 1e308), (0, 1e308)], close=True)
    space.add_line((1e308, -1e308), (-1e308, 1e308))
    space.add_circle((1e300, 0), 1e308)


def entities(rows):
    return b"0\nSECTION\n2\nENTITIES\n" + rows + b"0\nENDSEC\n0\nEOF\n"


def polylines_of_24_mb():
    vertex = b"10\n1234567.1234\n20\n7654321.4321\n"
    one = b"0\nLWPOLYLINE\n8\n0\n100\nAcDbPolyline\n90\n1000\n70\n1\n" + vertex * 1000
    return entities(one * (23_900_000 // len(one)))


def loose_lines(count):
    return entities(
        b"".join(
            b"0\nLINE\n8\n0\n10\n%d.5\n20\n%d\n11\n%d\n21\n%d\n" % (i * 7 % 9973, i, i * 3 % 7919, i + 5)
            for i in range(count)
        )
    )


def bombs():
    """(name, bytes) of each."""
    yield "nested blocks", drawing(nested_blocks)
    yield "a block inserted 30,000 by 30,000 times", drawing(many_insert)
    yield "a block in itself", drawing(in_itself)
    yield "coordinates of 1e308", drawing(far_away)
    yield "24 MB of polylines", polylines_of_24_mb()
    yield "150,000 loose lines", loose_lines(150_000)
    yield "a circle of huge size", drawing(lambda _, space: space.add_circle((0, 0), 1e11))
    yield "random bytes", bytes(range(256)) * 4000
    yield "a million empty lines", b"\n" * 1_000_000
    yield (
        "a polyline of 90,000 corners",
        entities(b"0\nLWPOLYLINE\n8\n0\n100\nAcDbPolyline\n90\n90000\n70\n1\n" + b"10\n1.5\n20\n2.5\n" * 90_000),
    )


def drawing_bombs(send, within_s=WITHIN_S):
    """send(name, data): the answer to it, with status and words."""
    found = []
    rows = list(bombs())
    for name, data in rows:
        began = time.monotonic()
        status, words = send(name, data)
        took = time.monotonic() - began
        if took > within_s or not (status == 200 or (status in (413, 422) and words.endswith((".", "?")))):
            found.append(f"{name}: {status} after {took:.1f} s: {words[:100]}")
    return Told("drawing bombs", len(rows), found)
