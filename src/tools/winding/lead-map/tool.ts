import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import { errorOn } from "@/core/tools/meter-error";
import { TWO_WINDINGS } from "@/core/tools/motor-kinds";
import { defineTool } from "@/core/tools/tool";
import {
  type LeadMap,
  mapLeads,
  type Network,
  type PairShown,
  type Progress,
} from "@/core/windings/lead-map";
import { nextPair } from "@/core/windings/next-pair";
import { type Answer, CODES, FIELDS, type Input, type Said } from "./fields";
import { alikePairs, brushedReasons, inductionReasons, type Sensed, sensedOf } from "./groups";
import { nameOf, pairNamed, shownOf } from "./readings";
import { type Trouble, troubleOf } from "./trouble";

const NEXT = {
  decides: "map/next-decides",
  again: "map/next-again",
  finer: "map/next-finer",
  apart: "map/next-apart",
} as const;

/** What to read next, as the first of the cautions: the sheet makes that pair the largest. */
function nextOf(input: Input, map: LeadMap, shown: readonly PairShown[]): Said[] {
  const next = nextPair(map, shown, { errorAt: (value) => errorOn(input.meter, value) });
  if (!next) return [];
  const values = next.values.map((one) => one.toPrecision(6)).join("|");
  return [{ code: NEXT[next.why], params: { ...pairNamed(input.pairs.leads, next.a, next.b), values } }];
}

function figuresOf({ leads }: Input["pairs"], networks: readonly Network[]): Answer["figures"] {
  return networks.flatMap(({ windings }) =>
    windings.map(({ a, b, ohms }) => ({
      id: `winding-${a}-${b}`,
      label: `${nameOf(leads, a)} to ${nameOf(leads, b)}`,
      value: ohms,
      unit: "Ω",
    })),
  );
}

function plainCautions(
  input: Input,
  sensed: readonly Sensed[],
  shown: readonly PairShown[],
  unproven: LeadMap["unproven"],
  alike: number,
): Said[] {
  const { leads } = input.pairs;
  const kinds = new Set(sensed.map(({ sense }) => sense.kind));
  const all = sensed.reduce((sum, { group }) => sum + (group.leads.length * (group.leads.length - 1)) / 2, 0);
  const read = shown.filter(({ a, b }) =>
    sensed.some(({ group }) => group.leads.includes(a) && group.leads.includes(b)),
  );
  const offset = sensed.find(({ group }) => group.offset !== undefined)?.group.offset;
  const isStar = sensed.some(({ sense }) => sense.kind === "three");
  return [
    ...(offset === undefined ? [] : [{ code: "map/not-zeroed" as const, params: { offset } }]),
    ...sensed.flatMap(({ group: { joined }, sense }): Said[] =>
      sense.kind === "link"
        ? []
        : joined.map(([a = 0, b = 0]) => ({ code: "map/joined", params: pairNamed(leads, a, b) })),
    ),
    ...(isStar ? [{ code: "map/hidden-star" as const, params: {} }] : []),
    ...(alikePairs(sensed, alike).length > 0 ? [{ code: "map/polarity" as const, params: {} }] : []),
    ...sensed.flatMap(({ group, sense }, index): Said[] =>
      sense.kind === "lead" && sensed.length > 1 && !unproven.some((pair) => pair.includes(index))
        ? [{ code: "map/alone", params: { lead: nameOf(leads, group.leads[0] ?? 0) } }]
        : [],
    ),
    ...(kinds.has("two") && TWO_WINDINGS.has(input.kind)
      ? [{ code: "map/run-not-proved" as const, params: {} }]
      : []),
    ...(kinds.has("string") ? [{ code: "map/common-not-proved" as const, params: {} }] : []),
    ...(read.length < all ? [{ code: "map/pairs-left" as const, params: { count: all - read.length } }] : []),
  ];
}

/** Start over run winding of two on a common, where it is more than any motor has. */
function tooFarApart(input: Input, sensed: readonly Sensed[], limits: Limits): number | undefined {
  if (!TWO_WINDINGS.has(input.kind)) return undefined;
  const most = limitOf(limits, "start-ratio-most").value;
  return sensed
    .flatMap(({ sense }) => (sense.kind === "two" ? [sense.high.ohms / sense.low.ohms] : []))
    .find((ratio) => ratio > most);
}

const isBrushed = ({ kind, jumps }: Input): boolean =>
  kind === "universal" || kind === "permanent-magnet-dc" || jumps !== undefined;

/** How the whole stands where nothing speaks against the map. */
function verdictOf(
  input: Input,
  sensed: readonly Sensed[],
  isDecided: boolean,
  ratio: number | undefined,
): Answer["verdict"] {
  const kinds = sensed.map(({ sense }) => sense);
  if (kinds.some(({ kind }) => kind === "open-question") || !isDecided) return "undecided";
  if (ratio !== undefined) return "undecided";
  if (kinds.some(({ kind }) => kind === "loop")) return "suspect";
  const three = kinds.find((one) => one.kind === "three");
  if (three?.kind === "three" && !three.isEqual) return "suspect";
  return three && TWO_WINDINGS.has(input.kind) ? "suspect" : "sound";
}

function evidenceOf(
  input: Input,
  verdict: Answer["verdict"],
  sensed: readonly Sensed[],
  trouble: Trouble | undefined,
): Answer["evidence"] {
  const circumstance = input.warm === "warm" ? ("hot" as const) : ("cold" as const);
  const isPhases = input.kind === "electronically-commutated";
  if (!isPhases && !TWO_WINDINGS.has(input.kind)) return [];
  const moveId = isPhases ? "phase-ohms" : "pair-ohms";
  if (trouble) {
    const outcomeId = isPhases && trouble.outcome === "all-open" ? "one-open" : trouble.outcome;
    return outcomeId ? [{ moveId, outcomeId, circumstance }] : [];
  }
  const three = sensed.find(({ sense }) => sense.kind === "three")?.sense;
  if (isPhases)
    return three?.kind === "three"
      ? [{ moveId, outcomeId: three.isEqual ? "equal" : "unequal", circumstance }]
      : [];
  const isWhole =
    verdict === "sound" &&
    sensed.some(({ sense }) => ["two", "string", "star", "branched"].includes(sense.kind));
  return isWhole ? [{ moveId, outcomeId: "as-should", circumstance }] : [];
}

/** What the windings are where the reading that does not fit is left out. */
function withoutMisfit(input: Input, { groups }: LeadMap, { network }: Trouble, alike: number): Said[] {
  const group = groups.find(({ misfits }) => misfits.length > 0);
  return group && network
    ? inductionReasons(input, sensedOf([{ ...group, networks: [network] }], alike), alike)
    : [];
}

function analyse(input: Input, limits: Limits, progress?: Progress): Answer {
  const alike = limitOf(limits, "windings-alike").value;
  const shown = shownOf(input);
  const map = mapLeads(input.pairs.leads.length, shown, progress);
  const next = nextOf(input, map, shown);
  const sensed = sensedOf(map.groups, alike);
  const sources = ["physics", "gum"];
  const trouble = troubleOf(input, map, shown);
  if (trouble) {
    const alone = new Set<Said["code"]>(["map/alone", "map/hidden-star"]);
    return {
      verdict: trouble.verdict,
      figures: figuresOf(input.pairs, trouble.network ? [trouble.network] : []),
      reasons: [...trouble.reasons, ...withoutMisfit(input, map, trouble, alike)],
      cautions: [
        ...next,
        ...plainCautions(input, sensed, shown, map.unproven, alike).filter(({ code }) => !alone.has(code)),
      ],
      sources,
      evidence: evidenceOf(input, trouble.verdict, sensed, trouble),
    };
  }
  const several = map.groups.find(({ networks }) => networks.length > 1)?.networks.length;
  const brushed = isBrushed(input)
    ? brushedReasons(input, sensed, limitOf(limits, "speed-sensor-ohms").value)
    : undefined;
  const reasons = brushed?.reasons ?? inductionReasons(input, sensed, alike);
  const ratio = tooFarApart(input, sensed, limits);
  const verdict = verdictOf(input, sensed, next.length === 0, ratio);
  return {
    verdict,
    figures: figuresOf(
      input.pairs,
      map.groups.flatMap(({ networks }) => (networks.length === 1 ? networks : [])),
    ),
    reasons:
      several === undefined ? reasons : [{ code: "map/several", params: { count: several } }, ...reasons],
    cautions: [
      ...next,
      ...(ratio === undefined ? [] : [{ code: "map/ratio" as const, params: { ratio } }]),
      ...(brushed?.cautions ?? []),
      ...plainCautions(input, sensed, shown, map.unproven, alike),
    ],
    sources,
    evidence: evidenceOf(input, verdict, sensed, undefined),
  };
}

/**
 * Which leads belong together and what lies between them, from the ohms of any of their pairs.
 *
 * Ohms between two leads are what the whole network between them comes to. Of all networks those with the fewest windings
 * are kept whose every reading lies within the meter's limit of error; a triangle of windings and a star with a hidden
 * point are one and the same from outside. Where four or more leads need more windings than leads less one, each reading
 * is left out in turn: one without which the rest fits is named, with the value it should have had. Of three leads no
 * single reading can be blamed. Names come from how windings hang together and from their ohms: the point that two
 * windings share is the common, the lower of them mostly the run winding; equal ones may be either; three alike have no
 * common. Ohms.
 */
export const tool = defineTool({
  id: "lead-map",
  version: 2,
  topic: "winding",
  title: "Map of the leads",
  about: "red-white 14.2 · white-black 21.6 · red-black 35.8",
  how: "All leads off, drained, capacitor off. Touch the probes together first, then read every pair, each until it stands still.",
  waiting: "The map comes here with the first readings; each further pair makes it surer.",
  judges: ["pair-ohms", "phase-ohms"],
  stations: ["windings"],
  touches: ["inside", "bare-conductors"],
  speaksOf: [],
  limits: ["windings-alike", "speed-sensor-ohms", "start-ratio-most"],
  next: { faulty: "match", suspect: "isolate", sound: "isolate", undecided: "measure" },
  alsoByHand: true,
  takesMarking: { kind: "lead-pair", field: "pairs" },
  isLong: true,
  fields: FIELDS,
  codes: CODES,
  example: {
    pairs: {
      leads: ["red", "white", "black"],
      pairs: [
        { a: "red", b: "white", reading: "14.2" },
        { a: "white", b: "black", reading: "21.6" },
        { a: "red", b: "black", reading: "35.8" },
      ],
    },
    kind: "permanent-split-capacitor",
    warm: "cold",
    meter: { percent: 0.8, counts: 2, resolution: "0.1" },
  },
  analyse,
});
