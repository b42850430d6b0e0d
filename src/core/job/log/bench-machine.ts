import { limitOf } from "../../knowledge/resolve-limits";
import type { Knowledge, Limits, StoreId } from "../../knowledge/types";
import { highestVolts } from "../../markings/volts";
import type { BenchMachine } from "../../safety/bench-state";
import { type HazardFacts, hazardIds } from "../../safety/hazards";
import { HOLDABLE } from "../../safety/holdable";
import { openQuestions } from "../../safety/kind-questions";
import { ANY_STOP } from "../../safety/stop-time";
import { kindByName } from "../door/machine-kind";
import type { CapacitorPlate, MotorPlate, TakenIn } from "./entry";

type MachineKnowledge = Pick<Knowledge, "families" | "archetypes" | "hazards">;

/** Families with a suppressor across the mains more often than not. */
const SUPPRESSED: readonly string[] = ["universal", "permanent-magnet-dc"];

/** What stores charge: by the family, and in every family on its board and in its suppressor, until something excludes it. */
function storesOf({ family, stations, connection, stores, protectionClass }: HazardFacts): {
  readonly stores: readonly StoreId[];
  readonly excusable: readonly StoreId[];
} {
  const isOnMains = connection !== "battery" && protectionClass !== "class-3";
  const board: readonly StoreId[] = stations.includes("board") && !stores.includes("bus") ? ["bus"] : [];
  const suppressor: readonly StoreId[] = isOnMains && SUPPRESSED.includes(family) ? ["suppressor"] : [];
  return { stores: [...stores, ...board, ...suppressor], excusable: [...board, ...suppressor] };
}

/** What runs on after the switch is off, and may have a brake. */
const RUNS_ON: readonly string[] = ["coasting", "blades"];

/** The machine as the energy in it sees it. */
export function benchMachineOf(
  takenIn: TakenIn | null,
  context: MachineKnowledge,
  stations: readonly string[] | null = null,
): BenchMachine {
  const facts = hazardFacts(takenIn, context, stations);
  const family = context.families.find(({ id }) => id === facts.family);
  const kind = kindByName(takenIn?.machine ?? "", context.archetypes);
  const ids = new Set(hazardIds(facts, context.hazards));
  const standing = context.hazards.filter(({ id }) => ids.has(id));
  return {
    family: facts.family,
    protection: facts.protectionClass,
    connection: facts.connection,
    ...storesOf(facts),
    // Nobody said what feeds it: every source is possible, a battery too.
    hasBattery: ids.has("battery") || facts.connection === "not-known",
    // It stands still as it comes in: what runs on is asked for after power alone.
    holds: HOLDABLE.filter((id) => id !== "coasting" && ids.has(id)),
    blocks: [...new Set(standing.flatMap(({ blocks }) => blocks ?? []))],
    hasSecondFeed: ids.has("second-feed"),
    isOutOfScope: family?.scope !== undefined,
    stop: kind?.stop ?? ANY_STOP,
    kindHas: [...(kind?.hazards ?? []), ...(facts.heater === "yes" ? ["heat"] : [])],
    asks: takenIn && !kind ? openQuestions(takenIn.hazards, takenIn.hasNone).map(({ id }) => id) : [],
    airs: standing.filter(({ airs }) => airs).map(({ id }) => id),
    runsOn: RUNS_ON.some((id) => ids.has(id)),
  };
}

/** What its hazards follow from. */
export function hazardFacts(
  takenIn: TakenIn | null,
  { families, archetypes }: Pick<Knowledge, "families" | "archetypes">,
  stations: readonly string[] | null = null,
): HazardFacts {
  const kind = kindByName(takenIn?.machine ?? "", archetypes);
  const family = families.find(({ id }) => id === takenIn?.family);
  const usual = [...(family?.stations ?? []), ...(kind?.adds ?? [])];
  return {
    family: takenIn?.family ?? "not-known",
    stations: stations ?? usual.filter((id) => !kind?.lacks.includes(id)),
    protectionClass: takenIn?.protectionClass ?? "not-known",
    connection: takenIn?.connection ?? "not-known",
    heater: takenIn?.heater ?? "not-known",
    stores: family?.stores ?? ["any"],
    said: [...(takenIn?.hazards ?? []), ...(kind?.hazards ?? [])],
  };
}

/** A machine whose plate or part speaks of high voltage is not opened here, whatever was said at the door. */
export function withMarks(
  machine: BenchMachine,
  {
    plate,
    capacitors,
  }: { readonly plate: MotorPlate | null; readonly capacitors: readonly CapacitorPlate[] },
  limits: Limits,
): BenchMachine {
  const texts = [plate?.volts ?? "", plate?.text ?? "", ...capacitors.map(({ mark }) => mark)];
  const highest = Math.max(0, ...texts.map((text) => highestVolts(text) ?? 0));
  if (highest <= limitOf(limits, "capacitor-marked-volts-refer").value) return machine;
  return { ...machine, blocks: [...new Set([...machine.blocks, "inside", "power"] as const)] };
}
