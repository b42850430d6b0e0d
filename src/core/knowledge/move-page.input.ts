import * as yup from "yup";
import { finiteNumber, strictObject } from "../validate";
import { chance, ids, oneOf, optionalTable, provenance, table, words } from "./fields.input";
import { type BenchNeed, needOf, type PowerUse, powerOf, TOUCHES, tierOf } from "./touches";
import { type When, whenOf } from "./when";

/** What power did that must not happen twice. */
export const INCIDENTS = ["trip", "residual-trip", "smoke", "smell", "tingle"] as const;
export type Incident = (typeof INCIDENTS)[number];

/** Protections that a test or a look can find failed, and what a look can find that nobody may switch on. */
export const PROTECTIONS = [
  "earth",
  "insulation",
  "cord",
  "damp",
  "burnt",
  "domed",
  "runs-on",
  "bridged",
] as const;
export type Protection = (typeof PROTECTIONS)[number];

/** Answers that tell of one protection; `own-test` of a part that was renewed and has no other. */
export interface Speaks {
  readonly of: Protection | "own-test";
  readonly failed: readonly string[];
  readonly passed: readonly string[];
  /** Where a repair mends what failed, as far as no fault is proved by it; none: wherever it can spoil insulation. */
  readonly stations?: readonly string[] | undefined;
}

/** A chance, or the chance with the range it may lie in where that differs from the usual one. */
const chanceWithRange = () =>
  yup.lazy((given: unknown) =>
    Array.isArray(given)
      ? yup
          .tuple([chance(), chance(), chance()])
          .label("a chance with its range, [chance, low, high]")
          .required()
      : chance(),
  );

/** A page of knowledge/moves: how it is done, its answers, and how likely each is in each case. */
export const movePage = strictObject({
  title: words(),
  kind: oneOf(["question", "look", "feel", "reading", "trial"] as const),
  /** A sign of the complaint: ticked with it, never asked by itself. */
  isSign: yup.boolean(),
  /** `all` stands for every family that isolation covers. */
  families: ids().min(1),
  /** Stations that the machine must have for this move. */
  stations: yup.array(yup.string().required()),
  /** What hands, probes or power go to: what it needs beforehand follows from it. */
  touches: yup.array(oneOf(TOUCHES)).required().min(1),
  /** Words of its title and how that mean something else than they do elsewhere, each with what: "turn" a knob. */
  otherSense: optionalTable(words()),
  /** What must be open or off for it; opened once, it costs nothing more. */
  access: yup.string(),
  /** The part that the move tells of, as the Bench and Match speak of it. */
  part: strictObject({ family: words(), place: oneOf(["start", "run"] as const), name: words() })
    .optional()
    .default(undefined),
  minutes: finiteNumber().required().positive(),
  /** Minutes added for what can hurt: a price on hazard, never a permit. */
  hazardMinutes: finiteNumber().min(0),
  how: words(),
  /** How the meter is set. */
  setting: yup.string(),
  /** Where the probes, clamp or watch go. */
  probes: yup.string().max(300),
  /** What a sound machine reads, by family; `all` where no family of its own is named. */
  expect: optionalTable(words()),
  /** What more, and less, than that means. */
  more: yup.string().max(300),
  less: yup.string().max(300),
  /** The part that a machine may not have, so that there is nothing to make this move on: "fuse". */
  mayLack: yup.string().max(40),
  /** What misleads here. */
  pitfalls: yup.array(words()),
  /** What it takes beside a meter, and the move to make where the shop does not own it. */
  kit: yup.string(),
  instead: yup.string(),
  /** Answers that already say what this would ask: after one of them it is not offered. */
  settledBy: optionalTable(ids().min(1)),
  /** Answer id to the answer as it stands on the button. */
  answers: table(words()),
  /** Answers that speak of a protection, whether it holds or has failed. */
  speaksOf: yup
    .array(
      strictObject({
        of: oneOf([...PROTECTIONS, "own-test"] as const),
        failed: ids(),
        passed: ids(),
        stations: yup.array(yup.string().required()),
      }).required(),
    )
    .optional()
    .default(undefined),
  /** Answers under power that say it does not do what it should: whatever a run said before is taken back. */
  stalls: yup.array(yup.string().required()),
  /** Answers under power after which there is no power until a finding explains them. */
  stops: optionalTable(oneOf(INCIDENTS)),
  /** The first case that holds decides. Each gives chances that sum to one, with what nobody judged as `unjudged`. */
  cases: table(table(chanceWithRange())),
  /** Distribution of the quantity read, log-normal, as a ratio to the mark. */
  number: strictObject({
    quantity: words(),
    cases: table(
      strictObject({
        median: finiteNumber().required().positive(),
        spread: finiteNumber().required().positive(),
      }).required(),
    ),
  })
    .optional()
    .default(undefined),
  provenance: provenance(),
}).required();

export type MovePage = yup.InferType<typeof movePage>;

/** A chance with the range it may lie in. */
export interface Chance {
  readonly p: number;
  readonly low: number;
  readonly high: number;
}

/** Chances of a move's answers where a case holds. */
export interface MoveCase {
  readonly when: When;
  readonly chances: Readonly<Record<string, Chance>>;
  /** Chance that was given to no answer: it is shared by all in proportion. */
  readonly unjudged: number;
}

export interface NumberCase {
  readonly when: When;
  readonly median: number;
  /** Standard deviation of the natural logarithm of the ratio. Dimensionless. */
  readonly spread: number;
}

export interface AnswerRef {
  readonly moveId: string;
  readonly outcomeId: string;
}

/** Anything the repairer can do to learn: a page with its defaults filled in and its cases read. */
export interface Move
  extends Readonly<
    Omit<
      MovePage,
      | "stations"
      | "hazardMinutes"
      | "pitfalls"
      | "settledBy"
      | "speaksOf"
      | "stalls"
      | "stops"
      | "cases"
      | "number"
    >
  > {
  readonly id: string;
  readonly stations: readonly string[];
  /** How dangerous it is beside others (SAFETY), what must be settled for it, and how power is on meanwhile. */
  readonly tier: 1 | 2 | 3;
  readonly needs: BenchNeed;
  readonly power: PowerUse;
  readonly speaksOf: readonly Speaks[];
  readonly stalls: readonly string[];
  readonly stops: Readonly<Record<string, Incident>>;
  readonly hazardMinutes: number;
  readonly pitfalls: readonly string[];
  readonly settledBy: readonly AnswerRef[];
  /** Ids of the answers, in the order of the page. */
  readonly outcomes: readonly string[];
  readonly cases: readonly MoveCase[];
  readonly number: { readonly quantity: string; readonly cases: readonly NumberCase[] } | undefined;
}

const UNJUDGED = "unjudged";
/** A judged chance may be off by this share of itself, unless its page says otherwise. */
const USUAL_RANGE = 0.3;
const NEVER_ABOVE = 0.998;

function chanceOf(given: number | readonly [number, number, number]): Chance {
  if (typeof given !== "number") return { p: given[0], low: given[1], high: given[2] };
  const round = (value: number): number => Math.round(value * 1000) / 1000;
  return {
    p: given,
    low: round(given * (1 - USUAL_RANGE)),
    high: Math.min(NEVER_ABOVE, round(given * (1 + USUAL_RANGE))),
  };
}

function caseOf(
  key: string,
  given: Readonly<Record<string, number | readonly [number, number, number]>>,
): MoveCase {
  const chances = Object.entries(given).map(([id, one]) => [id, chanceOf(one)] as const);
  return {
    when: whenOf(key),
    chances: Object.fromEntries(chances.filter(([id]) => id !== UNJUDGED)),
    unjudged: chances.find(([id]) => id === UNJUDGED)?.[1].p ?? 0,
  };
}

export function answerRefs(given: Readonly<Record<string, readonly string[]>> | undefined): AnswerRef[] {
  return Object.entries(given ?? {}).flatMap(([moveId, outcomes]) =>
    outcomes.map((outcomeId) => ({ moveId, outcomeId })),
  );
}

/** `all` spelled out. */
export function familiesOf(given: readonly string[], covered: readonly string[]): string[] {
  return given.flatMap((one) => (one === "all" ? covered : [one]));
}

/** A page that fits its schema, as the engine and the screens take it. */
export function moveOf(id: string, page: MovePage, covered: readonly string[]): Move {
  return {
    ...page,
    id,
    families: familiesOf(page.families, covered),
    stations: page.stations ?? [],
    tier: tierOf(page.touches),
    needs: needOf(page.touches),
    power: powerOf(page.touches),
    speaksOf: page.speaksOf ?? [],
    stalls: page.stalls ?? [],
    stops: page.stops ?? {},
    hazardMinutes: page.hazardMinutes ?? 0,
    pitfalls: page.pitfalls ?? [],
    settledBy: answerRefs(page.settledBy),
    outcomes: Object.keys(page.answers),
    cases: Object.entries(page.cases).map(([key, given]) => caseOf(key, given)),
    number: page.number && {
      quantity: page.number.quantity,
      cases: Object.entries(page.number.cases).map(([key, given]) => ({ when: whenOf(key), ...given })),
    },
  };
}
