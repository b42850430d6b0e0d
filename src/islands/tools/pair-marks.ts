import type { Finding, Said } from "@/core/tools/finding.input";

/** What a finding says of single pairs of leads: which to read next, which does not fit and what would. */
export interface PairMarks {
  readonly next: Pair | undefined;
  readonly misfit: (Pair & { readonly should: number | undefined }) | undefined;
}
interface Pair {
  readonly a: string;
  readonly b: string;
}

function pairIn({ params }: Said): Pair | undefined {
  const { a, b } = params;
  return typeof a === "string" && typeof b === "string" ? { a, b } : undefined;
}

/** Any tool's sentences are read the same way: a pair with `should` does not fit, a pair to be read has `next` in its code. */
export function pairMarks(finding: Finding | undefined): PairMarks {
  const next = finding?.cautions.find(({ code }) => code.includes("/next-"));
  const wrong = finding?.reasons.find(({ params }) => "should" in params || "most" in params);
  const pair = wrong && pairIn(wrong);
  const should = Number(wrong?.params["should"] ?? 0);
  return {
    next: next && pairIn(next),
    misfit: pair && { ...pair, should: should > 0 ? should : undefined },
  };
}

export function isPair(one: Pair, a: string, b: string): boolean {
  return (one.a === a && one.b === b) || (one.a === b && one.b === a);
}
