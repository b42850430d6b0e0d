import type { Access, Knowledge, Repair } from "./types";

/** A machine as far as what work on it takes depends on it. */
export interface KindOfMachine {
  readonly family: string;
  readonly archetype?: string | undefined;
}

/** What must be opened, with the minutes that takes on this kind of machine. */
export function accessOn(
  { archetype }: KindOfMachine,
  { access, archetypes }: Pick<Knowledge, "access" | "archetypes">,
): readonly Access[] {
  const covers = archetypes.find(({ id }) => id === archetype)?.covers;
  return covers ? access.map((one) => ({ ...one, minutes: covers[one.id] ?? one.minutes })) : access;
}

/** Places of capacitors: the only parts that a family of motors has or has not by itself. */
const STORED: ReadonlySet<string> = new Set(["start", "run"]);

/** Whether the family has the capacitor that the repair renews; a motor of unknown family may have any. */
function hasItsPart({ forPart }: Repair, stores: readonly string[] | undefined): boolean {
  return (
    forPart === undefined ||
    !STORED.has(forPart) ||
    !stores ||
    stores.includes("any") ||
    stores.includes(forPart)
  );
}

/** Repairs that its family has parts for, with the minutes and parts of this kind of machine before those of its family of motor, and those before the table's. */
export function repairsOn(
  { family, archetype }: KindOfMachine,
  { repairs, families, archetypes }: Pick<Knowledge, "repairs" | "families" | "archetypes">,
): readonly Repair[] {
  const kind = archetypes.find(({ id }) => id === archetype);
  const usual = families.find(({ id }) => id === family);
  return repairs
    .filter((one) => hasItsPart(one, usual?.stores))
    .map((one) => {
      const own = { ...usual?.repairs?.[one.id], ...kind?.repairs?.[one.id] };
      return {
        ...one,
        minutes: own.minutes ?? one.minutes,
        partMinor: own.partMinor ?? one.partMinor,
      };
    });
}
