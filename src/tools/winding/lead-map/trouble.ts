import { TWO_WINDINGS } from "@/core/tools/motor-kinds";
import { type LeadMap, MOST_IN_GROUP, type Network, type PairShown } from "@/core/windings/lead-map";
import type { Answer, Input, Said } from "./fields";
import { nameOf, pairNamed } from "./readings";

/** What keeps a map from being drawn, or a reading from being believed. */
export interface Trouble {
  readonly verdict: Answer["verdict"];
  readonly reasons: readonly Said[];
  /** Answer of the move that it is. */
  readonly outcome?: "run-open" | "start-open" | "two-open" | "all-open" | "one-open";
  /** The network that stands all the same. */
  readonly network?: Network | undefined;
}

const say = (code: Said["code"], params: Said["params"] = {}): Said => ({ code, params });

function openLead(input: Input, map: LeadMap, shown: readonly PairShown[]): number | undefined {
  const isThree = input.pairs.leads.length === 3;
  if (!isThree || map.groups.length !== 2) return undefined;
  const alone = map.groups.find(({ leads }) => leads.length === 1)?.leads[0];
  const open = shown.filter(({ a, b, kind }) => kind === "over" && (a === alone || b === alone));
  return open.length === 2 ? alone : undefined;
}

const OPEN_LEAD = { common: "two-open", run: "run-open", start: "start-open" } as const;

/** Two pairs over range share a lead: it, its winding or a protector in it is open; warm, that protector is waited for. */
function leadOpen(input: Input, map: LeadMap, shown: readonly PairShown[]): Trouble | undefined {
  const lead = openLead(input, map, shown);
  if (lead === undefined || input.kind === "universal" || input.kind === "permanent-magnet-dc")
    return undefined;
  const reason = say("map/lead-open", { lead: nameOf(input.pairs.leads, lead) });
  if (input.warm === "warm") return { verdict: "undecided", reasons: [reason, say("map/wait-cold")] };
  if (!TWO_WINDINGS.has(input.kind)) return { verdict: "faulty", reasons: [reason], outcome: "one-open" };
  if (input.openLead === undefined) return { verdict: "faulty", reasons: [reason, say("map/which-lead")] };
  return { verdict: "faulty", reasons: [reason], outcome: OPEN_LEAD[input.openLead] };
}

function allOpen(input: Input, shown: readonly PairShown[]): Trouble | undefined {
  if (shown.length === 0) return { verdict: "undecided", reasons: [say("map/none-read")] };
  if (shown.some(({ kind }) => kind !== "over")) return undefined;
  const all = (input.pairs.leads.length * (input.pairs.leads.length - 1)) / 2;
  if (shown.length < all) return { verdict: "undecided", reasons: [say("map/probes-first")] };
  const reasons = [say("map/all-open", { pairs: all }), say("map/probes-first")];
  return input.warm === "warm"
    ? { verdict: "undecided", reasons: [...reasons, say("map/wait-cold")] }
    : { verdict: "suspect", reasons, outcome: "all-open" };
}

function unfit(input: Input, map: LeadMap): Trouble | undefined {
  const { leads } = input.pairs;
  for (const { impossible, openInside, misfits, networks, leads: own, joined } of map.groups) {
    const [open] = openInside;
    if (open)
      return {
        verdict: "undecided",
        reasons: [say("map/open-inside", { ...pairNamed(leads, open.a, open.b), should: open.should ?? 0 })],
        network: networks.length === 1 ? networks[0] : undefined,
      };
    if (misfits.length > 0) continue;
    if (impossible) {
      const { a, b, ohms, most, by } = impossible;
      const params = { ...pairNamed(leads, a, b), had: ohms, most, by: nameOf(leads, by) };
      return { verdict: "undecided", reasons: [say("map/impossible", params)] };
    }
    const isOne = joined.some((set) => set.length === own.length);
    if (own.length > 1 && networks.length === 0 && !isOne)
      return { verdict: "undecided", reasons: [say("map/nothing-fits")] };
  }
  return undefined;
}

function misread(input: Input, map: LeadMap): Trouble | undefined {
  const { leads } = input.pairs;
  for (const { misfits, networks } of map.groups) {
    const [first] = misfits;
    if (!first) continue;
    const should = first.should[0]?.ohms ?? 0;
    const params = {
      ...pairNamed(leads, first.a, first.b),
      had: first.had ?? 0,
      should,
      count: misfits.length,
    };
    // Where one winding more explains all readings, none of them is proved wrong.
    const single = networks.length > 0 ? "map/misread-or-more" : "map/misread";
    const code = misfits.length === 1 ? single : "map/misread-which";
    return { verdict: "undecided", reasons: [say(code, params)], network: first.networks[0] };
  }
  return undefined;
}

/** Three leads of a motor with two windings whose readings do not add up: no single one can be blamed. */
function threeLeads(input: Input, map: LeadMap): Trouble | undefined {
  if (!TWO_WINDINGS.has(input.kind)) return undefined;
  const three = map.groups.find(
    ({ networks: [network] }) => network?.windings.length === 3 && network.expected.length === 3,
  );
  if (!three) return undefined;
  const read = three.networks[0]?.expected ?? [];
  const values = read.map((one) => {
    const [left, right] = read.filter((other) => other !== one).map(({ ohms }) => ohms);
    return { ...one, sum: (left ?? 0) + (right ?? 0) };
  });
  const largest = values.reduce((most, one) => (one.ohms > most.ohms ? one : most));
  const params = {
    ...pairNamed(input.pairs.leads, largest.a, largest.b),
    had: largest.ohms,
    should: largest.sum,
  };
  return { verdict: "undecided", reasons: [say("map/cannot-blame", params)] };
}

/** The first thing that stands against a map, the gravest first. */
export function troubleOf(input: Input, map: LeadMap, shown: readonly PairShown[]): Trouble | undefined {
  const isTooMany = map.groups.some(
    ({ leads, joined }) =>
      leads.length - joined.reduce((sum, set) => sum + set.length - 1, 0) > MOST_IN_GROUP,
  );
  if (isTooMany) return { verdict: "undecided", reasons: [say("map/too-many", { most: MOST_IN_GROUP })] };
  return (
    allOpen(input, shown) ??
    unfit(input, map) ??
    misread(input, map) ??
    leadOpen(input, map, shown) ??
    threeLeads(input, map)
  );
}
