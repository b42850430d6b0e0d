import type { Schema } from "yup";
import type { Touch } from "../knowledge/touches";
import type { Limits } from "../knowledge/types";
import { fail, type Issue, issue, ok, type Result } from "../result";
import { parseWith } from "../validate";
import { type Fields, type InputOf, inputSchema } from "./field.input";
import type { Evidence, Figure, Finding, Said, Verdict } from "./finding.input";
import { withoutLeads } from "./leads";

/** Told the share that is done of what takes long. */
export type Progress = (share: number) => void;

/** The sentence of each code that a tool says. */
export type ToolWords = Readonly<Record<string, (params: Said["params"]) => string>>;

/** What a tool stands on: limits as they hold in this shop, and the state of the knowledge. */
export interface ToolContext {
  readonly limits: Limits;
  readonly knowledgeVersion: string;
}

/** What keeps someone from harm: a failed finding that speaks of one withholds power and the word "repaired". */
export type Protection = "earth" | "insulation" | "cord" | "guard" | "protector";

/** Where a job goes on after a verdict. */
export type After = "isolate" | "measure" | "match" | "decide";

/** The part of a declaration that is plain data: what pages, the Bench and the screens know of every tool. */
export interface ToolCard {
  readonly id: string;
  readonly version: number;
  readonly topic: string;
  readonly title: string;
  /** One line: what it answers, with an example. */
  readonly about: string;
  /** How it is done, before the probes touch. */
  readonly how: string;
  /** What stands in the verdict's place until something is read. */
  readonly waiting: string;
  /** Moves whose readings it judges. */
  readonly judges: readonly string[];
  /** Other moves that what it finds answers as well, such as clues to the kind of motor. */
  readonly tellsOf?: readonly string[];
  /** Stations of which the machine must have one, for it to be listed under Measure. */
  readonly stations: readonly string[];
  readonly touches: readonly Touch[];
  /** Protections that its finding tells of. */
  readonly speaksOf: readonly Protection[];
  /** Limit rows that it uses. */
  readonly limits: readonly string[];
  readonly next: Readonly<Record<Verdict, After>>;
  /** Asks for more than one reading: its moves may be answered in words as well, and its sheet opens under Measure. */
  readonly alsoByHand?: boolean;
  /** Takes longer than a keystroke may: the sheet works it out away from the page's own thread. */
  readonly isLong?: boolean;
  /** What the type line understands and can hand to it: the kind of marking, such as `capacitor`. */
  readonly takesMarking?: { readonly kind: string; readonly field: string };
}

export interface Tool extends ToolCard {
  readonly fields: Fields;
  readonly codes: readonly string[];
  readonly input: Schema;
  /** A worked example of the input: shown by GET /api/tools and run by the contract test. */
  readonly example: unknown;
  /** Parse, then analyse. Never throws for bad input; always gives a verdict for good input. */
  run(raw: unknown, context: ToolContext, progress?: Progress): Result<Finding>;
}

interface SaidOf<C extends string> extends Said {
  readonly code: C;
}

/** What a tool's own analysis answers; the basis is added for it. */
export interface Analysis<C extends string> {
  readonly verdict: Verdict;
  readonly figures: readonly Figure[];
  readonly reasons: readonly SaidOf<C>[];
  readonly cautions: readonly SaidOf<C>[];
  readonly sources: readonly string[];
  readonly evidence: readonly Evidence[];
  readonly tells?: Finding["tells"];
}

interface ToolDefinition<F extends Fields, C extends string> extends ToolCard {
  readonly fields: F;
  /** Every sentence it can say: `words.ts` must have each. */
  readonly codes: readonly C[];
  readonly example: unknown;
  analyse(input: InputOf<F>, limits: Limits, progress?: Progress): Analysis<C>;
}

/** A tool that was made, with its codes in its type. */
export interface MadeTool<C extends string> extends Tool {
  readonly codes: readonly C[];
}

/** The sentences of a tool: one for each of its codes, or it does not compile. */
export type WordsOf<T extends { readonly codes: readonly string[] }> = Readonly<
  Record<T["codes"][number], (params: Said["params"]) => string>
>;

function missingLimits(limits: Limits, ids: readonly string[]): Issue[] {
  return ids
    .filter((id) => !Object.hasOwn(limits, id))
    .map((id) => issue("", "tool/no-limit", `There is no limit "${id}".`, id));
}

/** The one way to make a tool. */
export function defineTool<F extends Fields, const C extends string>(
  definition: ToolDefinition<F, C>,
): MadeTool<C> {
  const { analyse, ...declared } = definition;
  const { schema, hasLeads } = inputSchema(definition.fields);
  return {
    ...declared,
    input: schema,
    run(raw, { limits, knowledgeVersion }, progress) {
      const lacking = missingLimits(limits, definition.limits);
      if (lacking.length > 0) return fail(...lacking);
      const parsed = parseWith(schema, raw);
      if (!parsed.ok) return parsed;
      const read = hasLeads ? withoutLeads(definition.fields, parsed.value) : parsed;
      if (!read.ok) return read;
      return ok({
        ...analyse(read.value, limits, progress),
        basis: { toolId: definition.id, toolVersion: definition.version, knowledgeVersion },
      });
    },
  };
}

/** The plain data of a tool, as it goes to a page: all of its declaration that is not code or fields. */
export function cardOf({ fields, codes, input, example, run, ...card }: Tool): ToolCard {
  return card;
}
