import { limitOf } from "../../knowledge/resolve-limits";
import type { Limits } from "../../knowledge/types";
import { type BenchState, isPowered } from "../bench-state";
import type { DangerEvent, EnergyEvent } from "../energy-event";
import type { DangerKind } from "./danger";

function opens(kind: DangerKind, place: string): DangerEvent {
  return { event: "danger", kind, place, remedies: [], test: `${kind}:${place}` };
}

const closes = (kind: DangerKind, place: string): DangerEvent => ({
  event: "tested",
  tests: [`${kind}:${place}`],
});

/** Volts read somewhere: above the limit they are a danger there, at or below it the end of one, unless power was on. */
function volts(
  kind: "live" | "charged",
  place: string,
  read: number,
  isOn: boolean,
  limits: Limits,
): readonly DangerEvent[] {
  const isDead = Math.abs(read) <= limitOf(limits, "safe-to-work-volts").value;
  if (!isDead) return [opens(kind, place)];
  return isOn ? [] : [closes(kind, place)];
}

const PLUG = "plug";

/** Power came: with a clip on, that is a danger of its own. */
function underClip(bench: BenchState): readonly DangerEvent[] {
  return bench.stored.filter(({ clip }) => clip === true).map(({ id }) => opens("clip-under-power", id));
}

/**
 * Dangers that follow from power, charge and clips.
 * @param bench as it stood before the event
 */
export function energyDangers(bench: BenchState, event: EnergyEvent, limits: Limits): readonly DangerEvent[] {
  switch (event.event) {
    case "plugged-in":
    case "powered":
      return underClip(bench);
    case "battery":
      return event.is === "in" ? underClip(bench) : [];
    case "clips-off":
      return bench.stored.map(({ id }) => closes("clip-under-power", id));
    case "stored-volts":
      return volts("charged", event.id, event.volts, isPowered(bench), limits);
    case "isolated":
      return [...volts("live", "supply", event.volts, false, limits), closes("left-plugged-in", PLUG)];
    case "unplugged":
      return [closes("left-plugged-in", PLUG)];
    case "left":
      return bench.plug === "plugged-in" ? [opens("left-plugged-in", PLUG)] : [];
    default:
      return [];
  }
}
