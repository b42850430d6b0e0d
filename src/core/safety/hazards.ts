import type { Hazard, StoreId } from "../knowledge/types";
import type { BenchMachine } from "./bench-state";
import type { ProtectionClass } from "./dead-checks";

/** What the hazards of a machine follow from. */
export interface HazardFacts {
  readonly family: string;
  readonly stations: readonly string[];
  readonly protectionClass: ProtectionClass;
  readonly connection: BenchMachine["connection"];
  readonly heater: "yes" | "no" | "not-known";
  readonly stores: readonly StoreId[];
  /** Said at the door, or known of this kind of machine. */
  readonly said: readonly string[];
}

const FOLLOWS: Readonly<Record<Hazard["follows"], (facts: HazardFacts) => boolean>> = {
  said: () => false,
  mains: ({ connection, protectionClass }) => connection !== "battery" && protectionClass !== "class-3",
  charge: ({ stores }) => stores.length > 0,
  // A board on the mains is not isolated from it; where the kind is not known there may be one.
  electronics: ({ stores, stations, connection }) =>
    connection !== "battery" &&
    (stores.includes("bus") || stores.includes("any") || stations.includes("board")),
  battery: ({ connection, protectionClass }) => connection === "battery" || protectionClass === "battery",
  heater: ({ heater }) => heater === "yes",
  family: () => false,
};

function applies(hazard: Hazard, facts: HazardFacts): boolean {
  return (
    facts.said.includes(hazard.id) || hazard.families.includes(facts.family) || FOLLOWS[hazard.follows](facts)
  );
}

/** The hazards of this machine, in the order of the table: the one that kills first stands first. */
export function hazardsFor(facts: HazardFacts, hazards: readonly Hazard[]): Hazard[] {
  return hazards.filter((hazard) => applies(hazard, facts));
}

export function hazardIds(facts: HazardFacts, hazards: readonly Hazard[]): string[] {
  return hazardsFor(facts, hazards).map(({ id }) => id);
}
