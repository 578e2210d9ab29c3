"""What is doubtful after the pour, as findings."""

from __future__ import annotations

from humble_trowel.core.cure.cured import CureDay
from humble_trowel.core.cure.told import when_text
from humble_trowel.core.findings import Finding, finding
from humble_trowel.core.pour.sizes import strength

WEAK = 0.9


def cure_doubts(day: CureDay) -> list[Finding]:
    """Frost, cold, probes that jump or fall silent, rounds that were missed, cylinders that are weak, a floor that is not flat."""
    return [*_strength(day), *_probes(day), *_work(day)]


def _strength(day: CureDay) -> list[Finding]:
    rows = []
    for one in day.strong:
        if one.freezes_h is not None:
            words = f"{one.heat.name} freezes {when_text(day, one.freezes_h)}, before it is strong enough."
            rows.append(finding("cure-freezes", f"cure.zones.{one.heat.zone}", words, "Blankets before that, and heat under them; afterwards ask the engineer.", "cure-frost"))  # fmt: skip
    cold = next((one for one in day.alarms if one.kind == "cold" and one.until_h >= day.now_h), None)
    if cold is not None and not rows:
        rows.append(
            finding(
                "cure-cold",
                "cure.alarms",
                f"A cold night comes {when_text(day, cold.from_h)}.",
                "Lay blankets before it.",
                "cure-frost",
            )
        )
    if day.reached.count and day.reached.mix_ratio < WEAK:
        words = (
            f"Cylinders say {day.reached.mix_ratio:.0%} of {strength(day.warmth.zones[0].at_28_mpa, day.plan.units)}."
        )
        rows.append(finding("cylinder-weak", "cure.cylinders", words, "Ask the laboratory and the engineer before anybody builds on it.", "cure-load"))  # fmt: skip
    return rows


def _probes(day: CureDay) -> list[Finding]:
    rows = []
    for one in day.strong:
        track = day.tracks.get(one.heat.zone)
        if track is None:
            continue
        if track.jumps_h:
            words = f"{track.probe} in {one.heat.name} jumped {len(track.jumps_h)} {'times' if len(track.jumps_h) > 1 else 'time'}."
            rows.append(finding("probe-jumps", f"cure.zones.{one.heat.zone}", words, "Those readings do not count. Look whether it still lies in the concrete.", "cure-build"))  # fmt: skip
        if not track.by_hand and (track.gaps_h or track.last_h < day.now_h - 3):
            since = track.gaps_h[-1][0] if track.last_h >= day.now_h - 3 else track.last_h
            words = f"{track.probe} in {one.heat.name} said nothing from {when_text(day, since)} on."
            rows.append(finding("probe-silent", f"cure.zones.{one.heat.zone}", words, "The model stands in for it, with a wider range. Plug it in again.", "cure-build"))  # fmt: skip
    return rows


def _work(day: CureDay) -> list[Finding]:
    rows = []
    missed = [one for one in day.rounds if one.state == "missed" and one.at_h > day.now_h - 24]
    if (missed and any(one.done_h is not None for one in day.rounds)) or (
        len(missed) > 0 and day.lying and any(one.what == "wet" for one in day.lying)
    ):
        words = f"{len(missed)} {'rounds' if len(missed) > 1 else 'round'} with water {'were' if len(missed) > 1 else 'was'} missed since yesterday."
        rows.append(
            finding(
                "round-missed",
                "cure.rounds",
                words,
                "Wet it now, and hang a sheet where the sun lies on it.",
                "cure-wet",
            )
        )
    if day.levels.worst_mm is not None and day.levels.flat is None:
        rows.append(finding("floor-not-flat", "cure.levels", "The floor meets no class of flatness.", "Grind what stands up, fill what lies low.", "cure-flat"))  # fmt: skip
    off = [record for record, _ in day.stripped.values()]
    early = [one for one in day.strong if off and one.safe_h is not None and any(day.clock.hour_at(word.at) < one.safe_h for _, word in day.stripped.values())]  # fmt: skip
    if early:
        rows.append(finding("strip-early", "cure.sides", f"Boards came off before {early[0].heat.name} was strong enough.", "Look along every edge for chips and cracks.", "cure-strip"))  # fmt: skip
    return rows
