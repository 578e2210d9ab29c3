"""What random jobs say of the later stages: what stands on the slab, joints, strips; order, mix and quote."""


def on_top(draw, ring, shape):
    """Walls along sides and inside, joints and pad lines across, places of trucks; a box, a column and its bolts."""
    dice, n = draw.dice, len(ring)

    def across():
        a, b = dice.sample(range(n), 2)
        t, u = dice.random(), dice.random()
        ends = [[ring[i][k] + (ring[(i + 1) % n][k] - ring[i][k]) * t for k in (0, 1)] for i, t in ((a, t), (b, u))]
        return draw.turned(ends)

    walls = [
        {"name": f"wall {side}", "side": str(side), "comes": dice.choice(["framed", "framed", "whole", "posts"])}
        for side in dice.sample(range(n), dice.randint(0, min(n, 3)))
    ]
    if draw.chance(0.3):
        walls.append({"name": "inside", "line": across(), "stud_mm": dice.choice([400, 406.4, 600])})
    lines = [
        {"start": a, "end": b, "how": dice.choice([None, "sawn", "tooled", "construction"])}
        for a, b in (across() for _ in range(dice.choice([0, 0, 1, 3])))
    ]
    pads = [
        {"start": a, "end": b, "rides": dice.choice([None, "wet", "rail", "edge"])}
        for a, b in (across() for _ in range(dice.choice([0, 1, 1, 2])))
    ]
    x, y = draw.turned([draw.spot(shape)])[0]
    group = {
        "name": "post",
        "at": [x, y],
        "across_mm": 200,
        "along_mm": 150,
        "bolt_mm": 19,
        "embed_mm": 250,
        "stick_up_mm": 80,
    }
    return {
        "embeds": {"walls": walls, "groups": [group] if draw.chance(0.3) else []},
        "joints": {"lines": lines},
        "screed": {"pads": pads, "standing": [{"at": [x, y]}] if draw.chance(0.3) else []},
    }


def order_said(draw):
    """What is said of the order, the mix and the quote."""
    dice = draw.dice
    order = {
        "spacing_min": dice.choice([None, 1, 20, 45, 90]), "method": dice.choice([None, "chute", "pump", "barrows"]),
        "ordered_m3": dice.choice([None, None, 0.5, 40]), "travel_min": dice.choice([None, 0, 70]), "fleet": dice.choice([None, 1, 5]),
        "places": dice.choice([None, 2]), "spare": [{"name": "pad", "m3": 0.2}] if draw.chance(0.3) else [],
    }  # fmt: skip
    mix = {
        "finish": dice.choice([None, "trowelled", "broomed"]), "freeze": dice.choice([None, "F0", "F1", "F3"]), "salt": draw.chance(0.2),
        "stained": draw.chance(0.2), "sulphate": dice.choice([None, "S2"]), "air_c": dice.choice([None, -12, 18, 39]),
        "stone_mm": dice.choice([None, 10, 40, 75]), "line_mm": dice.choice([None, 25, 100]), "setting": dice.choice([None, "retarded"]),
    }  # fmt: skip
    return {
        "order": order,
        "mix": mix,
        "quote": {"extra": [{"name": "permit", "cents": -500}] if draw.chance(0.3) else []},
    }


def days_said(draw):
    """What is said of trades and their days, now and then nonsense that is legal."""
    dice = draw.dice
    keys = ["dig", "pipes", "stone", "barrier", "steel", "visit", "pour", "strip"]
    rows = [
        {
            "key": key, "days": dice.choice([None, 0, 1, 4]), "hands": dice.choice([None, 0, 2, 9]), "on": dice.choice([None, None, "2027-06-12", "2027-06-16"]),
            "done_on": dice.choice([None, None, "2027-06-03"]), "after": dice.choice([[], [], ["stone"], ["gone"]]), "left_out": draw.chance(0.1),
            "people": dice.choice([[], ["Ann"], ["Ann", "Bo"]]),
        }
        for key in dice.sample(keys, dice.choice([0, 0, 1, 3]))
    ]  # fmt: skip
    return {
        "schedule": {
            "start_on": "2027-06-07" if draw.chance(0.1) else None, "tasks": rows, "county_weekdays": dice.choice([None, [2], [6]]),
            "said": dice.choice([[], [{"on": "2027-06-11", "rain_mm": 30}]]), "hands": dice.choice([None, 2, 8]),
            "papers": dice.choice([[], [{"key": "permit", "needed": False}, {"name": "Soil letter"}]]),
        }
    }  # fmt: skip
