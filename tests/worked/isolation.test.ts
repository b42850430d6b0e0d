import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Isolation } from "@/core/isolation/isolate";
import type { IsolateRequest } from "@/core/isolation/isolate.input";
import { isolate } from "../core/isolation/model";
import { KNOWLEDGE } from "../core/shop-context";

type Said = readonly [moveId: string, outcomeId: string];

interface Step {
  readonly said: readonly Said[];
  /** The first suspect is one of these. */
  readonly first?: readonly string[];
  readonly notFirst?: readonly string[];
  readonly least?: number;
  readonly consequence?: string;
  /** One of these is in the first two places. */
  readonly moves?: readonly string[];
  /** Testing further costs more than trying this repair first. */
  readonly tryFirst?: string;
  /** No suspect is near certain yet. */
  readonly isOpen?: boolean;
  readonly notProven?: boolean;
  readonly noLive?: boolean;
  /** Suspects that must not be ruled out. */
  readonly rivals?: readonly string[];
}

interface Story {
  readonly story: string;
  readonly machine: IsolateRequest["machine"];
  readonly steps: readonly Step[];
  readonly after?: {
    readonly repaired: readonly string[];
    readonly success: number;
    readonly said: readonly Said[];
    readonly stillOpenAtLeast: number;
  };
}

const STORIES = JSON.parse(readFileSync("tests/worked/isolation-stories.json", "utf8")) as readonly Story[];

function found(
  machine: Story["machine"],
  said: readonly (readonly [Said, number])[],
  change: object = {},
): Isolation {
  const answer = isolate({
    machine,
    bench: { plug: "unplugged", drained: true, deadChecksPassed: true, opened: [] },
    evidence: said.map(([[moveId, outcomeId], epoch], index) => ({
      seq: index + 1,
      moveId,
      outcomeId,
      epoch,
    })),
    options: { lookAhead: 2 },
    ...change,
  } as IsolateRequest);
  if (!answer.ok) throw new Error(answer.issues.map(({ message }) => message).join(" "));
  return answer.value;
}

const chanceOf = ({ suspects }: Isolation, id: string): number =>
  suspects.find(({ roots }) => roots[0] === id)?.chance ?? 0;

function holds(step: Step, seen: Isolation): void {
  const [first] = seen.suspects;
  const root = first?.roots[0] ?? "";
  if (step.first) expect(step.first).toContain(root);
  if (step.notFirst) expect(step.notFirst).not.toContain(root);
  if (step.least) expect(first?.chance).toBeGreaterThan(step.least);
  if (step.consequence) expect(first?.consequences).toContain(step.consequence);
  if (step.moves)
    expect(seen.moves.slice(0, 2).some(({ moveId }) => step.moves?.includes(moveId))).toBe(true);
  if (step.tryFirst) {
    expect(seen.stop.advised).toBe(true);
    expect(seen.trials[0]?.repairs).toEqual([step.tryFirst]);
  }
  if (step.isOpen) expect(first?.chance).toBeLessThan(0.7);
  if (step.notProven) expect(seen.purchaseGate.open).toBe(false);
  if (step.noLive) expect(seen.moves[0]?.tier ?? 1).toBe(1);
  for (const rival of step.rivals ?? []) expect(chanceOf(seen, rival), rival).toBeGreaterThan(0.01);
}

describe("worked stories", () => {
  it("are at least twenty-four, over every family", () => {
    expect(STORIES.length).toBeGreaterThanOrEqual(24);
    const told = new Set(STORIES.map(({ machine }) => machine.family));
    expect([...told].sort()).toEqual(
      KNOWLEDGE.families
        .filter(({ stations }) => stations.length > 0)
        .map(({ id }) => id)
        .sort(),
    );
  });

  it.each(STORIES.map((one) => [one.story, one] as const))("%s", (_, { machine, steps, after }) => {
    const said: [Said, number][] = [];
    for (const step of steps) {
      said.push(...step.said.map((one): [Said, number] => [one, 0]));
      holds(step, found(machine, said));
    }
    if (!after) return;
    said.push(...after.said.map((one): [Said, number] => [one, 1]));
    const seen = found(machine, said, {
      interventions: [{ epoch: 1, faultIds: after.repaired, success: after.success }],
    });
    // A run that went well once proves no intermittent fault gone.
    const mended = seen.suspects.find(({ roots }) => roots[0] === "mended")?.chance ?? 0;
    expect(1 - mended).toBeGreaterThan(after.stillOpenAtLeast);
    expect(seen.stop.trialCost).toBeGreaterThan(0);
  });
});
