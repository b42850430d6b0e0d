import type { InferType, Schema } from "yup";
import type { Limits } from "../knowledge/types";
import { ok, type Result } from "../result";
import { parseWith } from "../validate";

export type Verdict = "sound" | "suspect" | "faulty" | "undecided";

/** A value worked out, SI, with the limit it was held against and where that limit comes from. */
export interface Figure {
  readonly id: string;
  readonly label: string;
  readonly value: number;
  readonly unit: string;
  readonly lower?: number | undefined;
  readonly upper?: number | undefined;
  readonly limit?: number | undefined;
  /** A source id, or `mark`, `nameplate`, `twin`, `earlier`, `shop`. */
  readonly limitSource?: string | undefined;
}

/** Words live in the interface; the tool says which sentence and with which values. */
export interface Said {
  readonly code: string;
  readonly params: Readonly<Record<string, number | string>>;
}

export interface Evidence {
  readonly moveId: string;
  readonly outcomeId: string;
  readonly likelihood?:
    | { readonly quantity: string; readonly value: number; readonly halfWidth: number }
    | undefined;
}

export interface Basis {
  readonly toolId: string;
  readonly toolVersion: number;
  readonly knowledgeVersion: string;
}

/** What a tool answers. */
export interface Finding {
  readonly verdict: Verdict;
  readonly figures: readonly Figure[];
  readonly reasons: readonly Said[];
  readonly cautions: readonly Said[];
  readonly sources: readonly string[];
  readonly evidence: readonly Evidence[];
  readonly basis: Basis;
}

/** What a tool stands on: limits as they hold in this shop, and the state of the knowledge. */
export interface ToolGround {
  readonly limits: Limits;
  readonly knowledgeVersion: string;
}

export interface Tool {
  readonly id: string;
  readonly version: number;
  readonly title: string;
  readonly input: Schema;
  /** A worked example of the input: shown by GET /api/tools and run by the contract test. */
  readonly example: unknown;
  /** Parse, then analyse. Never throws for bad input; always gives a verdict for good input. */
  run(raw: unknown, ground: ToolGround): Result<Finding>;
}

interface ToolDefinition<S extends Schema> {
  readonly id: string;
  readonly version: number;
  readonly title: string;
  readonly input: S;
  readonly example: InferType<S>;
  analyse(input: InferType<S>, limits: Limits): Omit<Finding, "basis">;
}

/** The one way to make a tool. */
export function defineTool<S extends Schema>(definition: ToolDefinition<S>): Tool {
  const { id, version, title, input, example, analyse } = definition;
  return {
    id,
    version,
    title,
    input,
    example,
    run(raw, { limits, knowledgeVersion }) {
      const parsed = parseWith(input, raw);
      if (!parsed.ok) return parsed;
      return ok({
        ...analyse(parsed.value, limits),
        basis: { toolId: id, toolVersion: version, knowledgeVersion },
      });
    },
  };
}
