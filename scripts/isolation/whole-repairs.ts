import { readFileSync } from "node:fs";
import { parse } from "yaml";
import { createIsolator, type Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import type { Knowledge } from "@/core/knowledge/types";

interface Point {
  readonly said: readonly string[];
  readonly good: readonly string[];
  readonly did?: { readonly faults: readonly string[]; readonly success: number };
}

/** One whole repair as it is written down. */
export interface WholeRepair {
  readonly story: string;
  readonly family: string;
  readonly stations?: readonly string[];
  readonly truth: readonly string[];
  readonly sort?: "two" | "return" | "protector" | "mistaken" | "wrong-part";
  readonly unknownUntil?: number;
  readonly points: readonly Point[];
  readonly last: readonly string[];
}

export interface JudgedPoint {
  readonly offered: readonly string[];
  readonly good: readonly string[];
  readonly isGood: boolean;
}

export interface JudgedRepair {
  readonly story: string;
  readonly sort: string;
  readonly points: readonly JudgedPoint[];
  /** The first row's roots at the end, and whether they are the truth. */
  readonly named: readonly string[];
  readonly isNamed: boolean;
  readonly issues: readonly string[];
}

export const wholeRepairs = (): readonly WholeRepair[] =>
  parse(readFileSync("tests/worked/whole-repairs.yaml", "utf8"));

const REPAIR = "repair";

/** What is offered in the first two places; that testing ends, with the right part first, is named as such. */
function offeredOf(seen: Isolation, due: readonly string[], knowledge: Knowledge): string[] {
  const moves = seen.moves.slice(0, 2).map(({ moveId }) => moveId);
  if (!seen.stop.advised) return moves;
  const first = seen.trials[0]?.repairs ?? [];
  const cures = knowledge.faults
    .filter(({ id }) => due.includes(id))
    .flatMap(({ fix, ladder }) => [fix, ...ladder].map(({ repair }) => repair));
  return [first.some((id) => cures.includes(id)) ? REPAIR : `stop: ${first.join("+")}`, ...moves];
}

/** Two that are there both have to stand in the first row; one that was put right on the way has not. */
function isTruth({ truth, points }: WholeRepair, seen: Isolation): boolean {
  const [first] = seen.suspects;
  const named = [...(first?.roots ?? []), ...(first?.alike ?? [])];
  const cured = points.flatMap(({ did }) => did?.faults ?? []);
  const open = truth.filter((id) => !cured.includes(id));
  const due = open.length === 0 ? truth : open;
  const isRight = (first?.roots ?? []).every((id) => truth.includes(id) || first?.alike.includes(id));
  return isRight && due.every((id) => named.includes(id));
}

/** Plays one repair as it is written down: what the advice is at each point, and what it names in the end. */
export function playRepair(
  one: WholeRepair,
  isolate: ReturnType<typeof createIsolator>,
  knowledge: Knowledge,
): JudgedRepair {
  const evidence: { seq: number; moveId: string; outcomeId: string; epoch: number }[] = [];
  const interventions: { epoch: number; faultIds: readonly string[]; success: number }[] = [];
  const issues: string[] = [];
  const say = (said: readonly string[]): void => {
    for (const text of said) {
      const [moveId = "", outcomeId = ""] = text.split(":");
      evidence.push({ seq: evidence.length + 1, moveId, outcomeId, epoch: interventions.length });
    }
  };
  const ask = (place: number): Isolation | undefined => {
    const isKnown = place + 1 >= (one.unknownUntil ?? 0);
    const answer = isolate({
      machine: {
        family: isKnown ? one.family : "not-known",
        stations: (one.stations ?? []).map((id) => ({ id, present: true })),
      },
      bench: { plug: "unplugged", drained: true, deadChecksPassed: true, opened: [] },
      evidence,
      interventions,
    } as unknown as IsolateRequest);
    if (answer.ok) return answer.value;
    issues.push(...answer.issues.map(({ message }) => message));
    return undefined;
  };
  const points = one.points.map(({ said, good, did }, place): JudgedPoint => {
    if (did)
      interventions.push({ epoch: interventions.length + 1, faultIds: did.faults, success: did.success });
    say(said);
    const seen = ask(place);
    // What the story itself repairs next is the right part at this point, whatever comes out later.
    const due = [...one.truth, ...(one.points[place + 1]?.did?.faults ?? [])];
    const offered = seen ? offeredOf(seen, due, knowledge) : [];
    return { offered, good, isGood: offered.some((id) => good.includes(id)) };
  });
  say(one.last);
  const seen = ask(one.points.length);
  return {
    story: one.story,
    sort: one.sort ?? (one.unknownUntil ? "unknown kind" : "plain"),
    points,
    named: (seen?.suspects ?? [])
      .slice(0, 3)
      .map(({ roots, chance }) => `${roots.join("+")} ${Math.round(chance * 100)} %`),
    isNamed: seen !== undefined && isTruth(one, seen),
    issues,
  };
}

export const playRepairs = (knowledge: Knowledge): JudgedRepair[] => {
  const isolate = createIsolator(knowledge);
  return wholeRepairs().map((one) => playRepair(one, isolate, knowledge));
};
