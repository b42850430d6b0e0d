import type { LeadGroup, Network, Winding } from "./lead-map";

/** Leads of a string of windings in their order, and the ohms between each and the next. */
export interface LeadString {
  readonly leads: readonly number[];
  readonly ohms: readonly number[];
}

/** What a group's windings are as a figure, before anything is known of the motor. */
export type GroupSense =
  | { readonly kind: "lead" }
  | { readonly kind: "link" }
  | { readonly kind: "winding"; readonly winding: Winding }
  | {
      readonly kind: "two";
      readonly common: number;
      readonly low: Winding;
      readonly high: Winding;
      readonly isEqual: boolean;
    }
  | { readonly kind: "three"; readonly ohms: number; readonly isEqual: boolean }
  | ({ readonly kind: "string"; readonly common: number | undefined } & LeadString)
  | {
      readonly kind: "star";
      readonly common: number;
      readonly windings: readonly Winding[];
      readonly isEqual: boolean;
    }
  | { readonly kind: "branched" }
  | { readonly kind: "loop" }
  | { readonly kind: "open-question" };

const ends = ({ a, b }: Winding): number[] => [a, b];

/** The end of a winding that is not this one. */
export function otherEnd({ a, b }: Winding, lead: number): number {
  return a === lead ? b : a;
}

function degreesOf({ windings }: Network): Map<number, number> {
  const degrees = new Map<number, number>();
  for (const lead of windings.flatMap(ends)) degrees.set(lead, (degrees.get(lead) ?? 0) + 1);
  return degrees;
}

/** Whether ohms are alike within a share of the largest. */
export function areAlike(ohms: readonly number[], share: number): boolean {
  return Math.min(...ohms) >= (1 - share) * Math.max(...ohms);
}

function stringOf({ windings }: Network, from: number): LeadString {
  const leads = [from];
  const ohms: number[] = [];
  let left = [...windings];
  while (left.length > 0) {
    const at = leads.at(-1) ?? from;
    const next = left.find((one) => ends(one).includes(at));
    if (!next) break;
    leads.push(otherEnd(next, at));
    ohms.push(next.ohms);
    left = left.filter((one) => one !== next);
  }
  return { leads, ohms };
}

/** The point between the two largest windings of a string, where they are neighbours: the usual place of the common. */
function commonOf({ leads, ohms }: LeadString): number | undefined {
  const falling = ohms
    .map((value, index) => ({ value, index }))
    .sort((one, other) => other.value - one.value);
  const [first, second] = falling;
  if (!first || !second || Math.abs(first.index - second.index) !== 1) return undefined;
  return leads[Math.max(first.index, second.index)];
}

function treeSense(network: Network, degrees: ReadonlyMap<number, number>, alike: number): GroupSense {
  const { windings } = network;
  const most = Math.max(...degrees.values());
  const middle = [...degrees].find(([, degree]) => degree === most)?.[0] ?? -1;
  const isStar = most === windings.length;
  const [low, high] = [...windings].sort((one, other) => one.ohms - other.ohms);
  const isEqual = areAlike(
    windings.map(({ ohms }) => ohms),
    alike,
  );
  if (windings.length === 2 && low && high) return { kind: "two", common: middle, low, high, isEqual };
  if (most === 2) {
    const end = [...degrees].filter(([, degree]) => degree === 1).map(([lead]) => lead);
    const string = stringOf(network, Math.min(...end));
    return { kind: "string", ...string, common: commonOf(string) };
  }
  return isStar ? { kind: "star", common: middle, windings, isEqual } : { kind: "branched" };
}

/**
 * What the windings of a group are, where one network alone fits it. Nothing is named by colour, only by how the
 * windings hang together and by their ohms.
 * @param alike share within which ohms count as equal
 */
export function senseOf({ leads, networks, joined }: LeadGroup, alike: number): GroupSense {
  const [network] = networks;
  if (leads.length === 1) return { kind: "lead" };
  if (!network)
    return joined.some((set) => set.length === leads.length) ? { kind: "link" } : { kind: "open-question" };
  if (networks.length > 1) return { kind: "open-question" };
  const { windings } = network;
  const [only] = windings;
  if (windings.length === 1 && only) return { kind: "winding", winding: only };
  const degrees = degreesOf(network);
  if (windings.length === 3 && degrees.size === 3) {
    const read = network.expected.map(({ ohms }) => ohms);
    const ohms = read.reduce((sum, one) => sum + one, 0) / read.length;
    return { kind: "three", ohms, isEqual: areAlike(read, alike) };
  }
  return windings.length >= degrees.size ? { kind: "loop" } : treeSense(network, degrees, alike);
}
