import type { Access, Knowledge, Repair } from "./types";

/** A machine as far as what work on it takes depends on it. */
export interface KindOfMachine {
  readonly family: string;
  readonly archetype?: string | undefined;
  /** What is off already, by access. */
  readonly opened?: readonly string[] | undefined;
}

/** Something that must come off for a repair, with the minutes to open and to close it on this kind of machine. */
export interface Cover {
  readonly id: string;
  readonly open: number;
  readonly close: number;
}

/** A repair as it is on one machine: `minutes` are those of the hands with those of the covers that are still on. */
export interface MachineRepair extends Repair {
  readonly hands: number;
  readonly covers: readonly Cover[];
}

/** Minutes of work by what they go into. */
export interface WorkMinutes {
  readonly access: number;
  readonly work: number;
  readonly refit: number;
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

/** Covers with the minutes of each kind of machine that has said its own; closing takes as much longer as opening. */
function coversOn(
  ids: readonly string[],
  access: readonly Access[],
  own: Readonly<Record<string, number>> | undefined,
): Cover[] {
  return ids.flatMap((id) => {
    const usual = access.find((one) => one.id === id);
    if (!usual) return [];
    const open = own?.[id] ?? usual.minutes;
    return [{ id, open, close: usual.closing * (open / usual.minutes) }];
  });
}

/** Minutes to open and to close them. */
export const minutesOf = (covers: readonly Cover[]): number =>
  covers.reduce((sum, { open, close }) => sum + open + close, 0);

/** Minutes to close again what is off already. */
export function closingMinutes(
  { archetype, opened = [] }: KindOfMachine,
  { access, archetypes }: Pick<Knowledge, "access" | "archetypes">,
): number {
  const own = archetypes.find(({ id }) => id === archetype)?.covers;
  return coversOn([...new Set(opened)], access, own).reduce((sum, { close }) => sum + close, 0);
}

/** What several repairs done together take: what is off for one is off for the others. */
export function workMinutes(repairs: readonly MachineRepair[]): WorkMinutes {
  const covers = new Map(repairs.flatMap((repair) => repair.covers.map((cover) => [cover.id, cover])));
  let [access, refit] = [0, 0];
  for (const { open, close } of covers.values()) {
    access += open;
    refit += close;
  }
  return { access, work: repairs.reduce((sum, { hands }) => sum + hands, 0), refit };
}

export const totalOf = ({ access, work, refit }: WorkMinutes): number => access + work + refit;

/** Tables that say what work on a kind of machine takes. */
export type WorkTables = Pick<Knowledge, "repairs" | "families" | "archetypes" | "access">;

/**
 * Repairs that its family has parts for, with the minutes and parts of this kind of machine before those of its family of
 * motor, and those before the table's. Minutes named for a kind are with its own covers, all others with the usual ones;
 * what is off already takes none: it must go back on whatever is done ({@link closingMinutes}).
 */
export function repairsOn(
  { family, archetype, opened = [] }: KindOfMachine,
  { repairs, families, archetypes, access }: WorkTables,
): readonly MachineRepair[] {
  const kind = archetypes.find(({ id }) => id === archetype);
  const usual = families.find(({ id }) => id === family);
  return repairs
    .filter((one) => hasItsPart(one, usual?.stores))
    .map((one) => {
      const own = { ...usual?.repairs?.[one.id], ...kind?.repairs?.[one.id] };
      const all = coversOn(one.access ?? [], access, kind?.covers);
      const usualMinutes = minutesOf(coversOn(one.access ?? [], access, undefined));
      const named = kind?.repairs?.[one.id]?.minutes;
      const hands =
        named === undefined ? (own.minutes ?? one.minutes) - usualMinutes : named - minutesOf(all);
      const covers = all.filter(({ id }) => !opened.includes(id));
      const closed = minutesOf(covers);
      return {
        ...one,
        ...(one.easier && { easier: { ...one.easier, minutes: one.easier.minutes - usualMinutes + closed } }),
        hands,
        covers,
        minutes: hands + closed,
        partMinor: own.partMinor ?? one.partMinor,
      };
    });
}
