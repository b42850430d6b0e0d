import * as yup from "yup";
import { strictObject } from "../validate";
import { CIRCUMSTANCES, type Circumstance } from "./circumstances";
import { chance, ids, oneOf, optionalTable, provenance, table, words } from "./fields.input";
import { type AnswerRef, answerRefs } from "./move-page.input";

/** One chance, or chances by family with `all` for the rest. */
const chanceByFamily = () =>
  yup.lazy((given: unknown) => (typeof given === "object" && given !== null ? table(chance()) : chance()));

const effect = () =>
  strictObject({
    when: oneOf(CIRCUMSTANCES).optional(),
    sets: optionalTable(yup.string().required()),
    /** Signs seen at the part itself, whatever else is wrong. */
    signs: yup.array(yup.string().required()),
  });

/** A page of knowledge/faults: how often, what it does to its station, what it leads to, what proves and what cures it. */
export const faultPage = strictObject({
  label: words(),
  station: words(),
  /** Starting odds as a root, by family; `all` holds for every covered family that is not named beside it. */
  odds: table(chance().positive()),
  /** What it does to its station: in every circumstance, or in the one it names. */
  does: yup.array(effect().required()).required().min(1),
  /**
   * Ways it shows that exclude each other, the usual one first, each with its share by family: what stands in one machine
   * labours in the next, and does so whatever is asked.
   */
  modes: optionalTable(
    strictObject({
      share: table(chance()),
      does: yup.array(effect().required()).required().min(1),
      shows: chance().optional().positive(),
    }).required(),
  ),
  /** What it brings about, with the chance that it does: one for all, or by family. */
  leadsTo: optionalTable(chanceByFamily()),
  /** Answers that prove it directly. */
  provenBy: optionalTable(ids().min(1)),
  /** Why nothing proves it, where nothing does. */
  unproved: yup.string().max(200),
  /** Repairs with the chance that they cure: the usual one first, then what is done when it does not hold. */
  cure: table(chance()),
  /** Moves made before its part is ordered, once it is proven, each with what it asks: the cause behind it, its twin. */
  beforeOrder: optionalTable(words()),
  /** Chance that it shows in a powered run; below one it is intermittent. One where nothing is said. */
  shows: chance().optional().positive(),
  /** What blew or opened because of something else: mending it alone is no cure while its cause is open. */
  consequence: yup.boolean(),
  /** Its repair touches what stops a blade: the stop is timed before the machine leaves. */
  brake: yup.boolean(),
  /** What can hurt while it is there. */
  hazard: yup.string().max(300),
  provenance: provenance(),
}).required();

export type FaultPage = yup.InferType<typeof faultPage>;

/** What a fault does to its station in a circumstance. */
export interface Effect {
  readonly circumstance: "any" | Circumstance;
  readonly sets: Readonly<Record<string, string>>;
  readonly signs: readonly string[];
}

/** One way in which a fault shows, with the share of its cases that do so, by family or for all. */
export interface Mode {
  readonly id: string;
  readonly share: Readonly<Record<string, number>>;
  readonly does: readonly Effect[];
  readonly shows: number | undefined;
}

/** A fault that this one brings about, with the chance for all families and where it differs. */
export interface Edge {
  readonly fault: string;
  readonly chance: number;
  readonly inFamily?: Readonly<Record<string, number>> | undefined;
}

/** A move to make before a part is ordered, with what it asks. */
export interface BeforeOrder {
  readonly moveId: string;
  readonly why: string;
}

/** A repair of a fault, with the chance that it cures. */
export interface Fix {
  readonly repair: string;
  readonly success: number;
}

export interface Fault
  extends Readonly<Pick<FaultPage, "label" | "station" | "hazard" | "unproved" | "provenance">> {
  readonly id: string;
  readonly families: readonly string[];
  readonly odds: Readonly<Record<string, number>>;
  readonly does: readonly Effect[];
  /** None where it always shows alike. */
  readonly modes: readonly Mode[];
  readonly leadsTo: readonly Edge[];
  readonly provenBy: readonly AnswerRef[];
  readonly fix: Fix;
  readonly ladder: readonly Fix[];
  readonly beforeOrder: readonly BeforeOrder[];
  readonly shows: number;
  readonly isConsequence: boolean;
  readonly isBrake: boolean;
}

function oddsOf(given: Readonly<Record<string, number>>, covered: readonly string[]): Record<string, number> {
  const { all, ...named } = given;
  return all === undefined ? named : { ...Object.fromEntries(covered.map((id) => [id, all])), ...named };
}

function effectOf({ when, sets, signs }: FaultPage["does"][number]): Effect {
  return { circumstance: when ?? "any", sets: sets ?? {}, signs: signs ?? [] };
}

function edgeOf(fault: string, given: number | Readonly<Record<string, number>>): Edge {
  if (typeof given === "number") return { fault, chance: given };
  const { all = 0, ...inFamily } = given;
  return { fault, chance: all, inFamily };
}

const NO_CURE: Fix = { repair: "", success: 0 };

/** A page that fits its schema, as the engine and the screens take it. */
export function faultOf(id: string, page: FaultPage, covered: readonly string[]): Fault {
  const odds = oddsOf(page.odds, covered);
  const [fix = NO_CURE, ...ladder] = Object.entries(page.cure).map(([repair, success]) => ({
    repair,
    success,
  }));
  const { label, station, hazard, unproved, provenance: from } = page;
  return {
    id,
    label,
    station,
    hazard,
    unproved,
    provenance: from,
    beforeOrder: Object.entries(page.beforeOrder ?? {}).map(([moveId, why]) => ({ moveId, why })),
    families: Object.keys(odds),
    odds,
    does: page.does.map(effectOf),
    modes: Object.entries(page.modes ?? {}).map(([mode, { share, does, shows }]) => ({
      id: mode,
      share,
      does: does.map(effectOf),
      shows,
    })),
    leadsTo: Object.entries(page.leadsTo ?? {}).map(([fault, one]) => edgeOf(fault, one)),
    provenBy: answerRefs(page.provenBy),
    fix,
    ladder,
    shows: page.shows ?? 1,
    isConsequence: page.consequence ?? false,
    isBrake: page.brake ?? false,
  };
}
