import { limitOf } from "@/core/knowledge/resolve-limits";
import type { Limits } from "@/core/knowledge/types";
import type { Reading } from "@/core/quantity/reading";
import { defineTool } from "@/core/tools/tool";
import { areAlike } from "@/core/windings/sense";
import { type KINDS, kindsAfter, type Seen } from "./clues";
import { type Answer, CODES, FIELDS, type Input, type Said } from "./fields";
import { type PlateSense, plateSense } from "./plate";

const si = (reading: Reading | undefined): number | undefined =>
  reading?.kind === "value" && reading.value > 0 ? reading.value : undefined;
const say = (code: Said["code"], params: Said["params"] = {}): Said => ({ code, params });

/** What the ohms are by kind of pattern. */
function ohmsOf({ low, high, third }: Input, limits: Limits): string | undefined {
  const limit = (id: string): number => limitOf(limits, id).value;
  const [alike, far] = [limit("windings-alike"), limit("identity-ohms-far")];
  const [one, two, three] = [si(low), si(high), si(third)];
  if (one === undefined) return undefined;
  if (two !== undefined && three !== undefined)
    return areAlike([one, two, three], alike) ? "alike" : two / one > far ? "far" : "near";
  if (two !== undefined) {
    if (areAlike([one, two], alike)) return "equal";
    return Math.max(one, two) / Math.min(one, two) > far ? "far" : "near";
  }
  if (one < limit("identity-ohms-low")) return "one-low";
  return one > limit("identity-ohms-high") ? "one-high" : "one-middle";
}

function seenOf(input: Input, plate: PlateSense, limits: Limits): Seen {
  const { entering, capacitor, brushes, rings, turn, heard, rotor, stator, gauges } = input;
  const ohms = ohmsOf(input, limits);
  return {
    speed: plate.speed,
    leads: entering,
    capacitor,
    brushes,
    rings,
    turn,
    heard,
    rotor,
    stator,
    switch: input.switch,
    gauges,
    ohms,
  };
}

const REVERSE: Readonly<Record<(typeof KINDS)[number], Said["code"]>> = {
  "capacitor-start": "identity/reverse-start",
  "capacitor-start-run": "identity/reverse-start",
  "split-phase": "identity/reverse-start",
  "permanent-split-capacitor": "identity/reverse-run-capacitor",
  "shaded-pole": "identity/reverse-shaded",
  universal: "identity/reverse-brushed",
  "permanent-magnet-dc": "identity/reverse-magnet",
  "electronically-commutated": "identity/reverse-board",
  synchronous: "identity/reverse-synchronous",
  "three-phase": "identity/reverse-three",
};

/** Clues that Isolate asks for too: one look answers both. */
const MOVES: readonly (readonly [move: string, of: keyof Seen, answers: Readonly<Record<string, string>>])[] =
  [
    ["clue-plate-speed", "speed", { near: "near", exact: "exact", high: "high" }],
    ["clue-leads", "leads", { two: "two", three: "three", more: "more" }],
    ["clue-brush-caps", "brushes", { seen: "caps" }],
    ["clue-rings", "rings", { seen: "rings", none: "none" }],
    ["clue-hump", "capacitor", { none: "none", "one-big": "one-big", "one-flat": "one-flat", two: "two" }],
    ["clue-detents", "turn", { steps: "steps", smooth: "smooth" }],
    ["clue-heard", "heard", { whine: "whine", click: "click", hum: "hum", beeps: "beeps" }],
  ];

function evidenceOf(seen: Seen): Answer["evidence"] {
  return MOVES.flatMap(([moveId, of, answers]) => {
    const outcomeId = answers[seen[of] ?? ""];
    return outcomeId === undefined
      ? []
      : [{ moveId, outcomeId, circumstance: "cold" as const, always: true }];
  });
}

function figuresOf(plate: PlateSense, chance: number): Answer["figures"] {
  return [
    { id: "chance", label: "chance of this kind", value: chance, unit: "share" },
    ...(plate.poles === undefined
      ? []
      : [{ id: "poles", label: "poles", value: plate.poles, unit: "poles" }]),
    ...(plate.slip === undefined
      ? []
      : [{ id: "slip", label: "slip at its plate speed", value: plate.slip, unit: "share" }]),
  ];
}

function analyse(input: Input, limits: Limits): Answer {
  const plate = plateSense(input, limits);
  const seen = seenOf(input, plate, limits);
  const { kinds, fit, count } = kindsAfter(seen);
  const [first, second] = kinds;
  const base = { sources: ["shop-practice", "physics"], evidence: evidenceOf(seen) };
  if (count === 0 || !first || !second)
    return {
      ...base,
      verdict: "undecided",
      figures: [],
      reasons: [say("identity/nothing"), ...plate.said],
      cautions: [],
    };
  const isOdd = fit < limitOf(limits, "identity-fit").value;
  const isSettled = !isOdd && first.chance >= limitOf(limits, "identity-settled").value;
  const params = { kind: first.kind, chance: first.chance, second: second.kind, other: second.chance };
  const turns = input.shading ? [say("identity/turns", { way: input.shading })] : [];
  return {
    ...base,
    verdict: isSettled ? "sound" : "undecided",
    figures: figuresOf(plate, first.chance),
    reasons: [
      say(isSettled ? "identity/settled" : "identity/likely", params),
      ...(isOdd ? [say("identity/odd")] : []),
      ...plate.said,
      ...turns,
    ],
    cautions: [
      say(REVERSE[first.kind]),
      ...(input.entering === undefined
        ? []
        : [say("identity/leads", { kind: first.kind, leads: input.entering })]),
    ],
    tells: { motor: first.kind, isSettled },
  };
}

/**
 * What kind of motor it is, from its plate, leads, ohms and what can be seen, opened or not; with its poles and slip, and how
 * it is turned round.
 *
 * Bayes' rule over ten kinds, each clue with its chance on each kind; what was not looked at says nothing. Poles are the
 * even number whose synchronous speed 120 f/p lies next above the plate's speed; slip = 1 − n/n_s, up to 25 % for small fans.
 * A shaded pole turns from its bare to its ringed part. On another mains frequency speed goes with f and flux with V/f.
 * Settled from 95 %, and only where the clues go together. Settling the kind on Isolate uses the same clues.
 * @example 230 V 50 Hz 1380 r/min, three leads, a flat capacitor, no brushes → run-capacitor motor, 4 poles, slip 8 %
 */
export const tool = defineTool({
  id: "motor-identity",
  version: 1,
  topic: "winding",
  title: "What motor is this",
  about: "230 V 50 Hz 1380 r/min · three leads · a flat capacitor",
  how: "Say what can be seen and leave the rest. A bare motor on the bench will do; nothing here needs power.",
  waiting: "The kind comes here with the first clue, surer with each further one.",
  judges: [],
  tellsOf: MOVES.map(([moveId]) => moveId),
  stations: ["windings", "brushes", "rotor"],
  // Some of its clues are seen inside: what they are looked for with is what their own moves ask for.
  touches: ["inside"],
  speaksOf: [],
  limits: [
    "windings-alike",
    "identity-ohms-far",
    "identity-ohms-low",
    "identity-ohms-high",
    "identity-high-slip",
    "identity-settled",
    "identity-fit",
    "plate-input-most",
    "plate-input-from",
    "plate-output-least",
    "plate-output-most",
    "plate-slip-most",
  ],
  next: { faulty: "isolate", suspect: "isolate", sound: "isolate", undecided: "isolate" },
  fields: FIELDS,
  codes: CODES,
  example: {
    plate: "230 V 50 Hz 120 W 1380 r/min",
    entering: "three",
    capacitor: "one-flat",
    brushes: "none",
    mains: "50",
  },
  analyse,
});
