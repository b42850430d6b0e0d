import { describe, expect, it } from "vitest";
import { isolate, isolated, request, type Said } from "./model";

const machine = { family: "not-known" };
const asked = (said: readonly Said[], archetype?: string) =>
  isolated(said, { machine: { ...machine, ...(archetype ? { archetype } : {}) } });
const kind = (said: readonly Said[], family: string, archetype?: string): number =>
  asked(said, archetype).kinds.find((one) => one.family === family)?.chance ?? -1;

describe("a motor whose kind nobody has settled", () => {
  it("is isolated over all kinds at once: suspects and kinds each add up to one", () => {
    const found = asked([["owner-report", "hums-still"]]);
    expect(found.suspects.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
    expect(found.kinds.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
    expect(found.kinds).toHaveLength(9);
    expect(isolated([["owner-report", "hums-still"]]).kinds).toEqual([]);
  });

  it.each([
    ["clue-brush-caps", "caps", "universal"],
    ["clue-rings", "rings", "shaded-pole"],
    ["clue-hump", "two", "capacitor-start-run"],
    ["clue-plate-speed", "exact", "synchronous"],
  ] as const)("%s: %s points to %s", (moveId, outcomeId, family) => {
    const after = asked([[moveId, outcomeId]]).kinds;
    expect(after[0]?.family).toBe(family);
    expect(after[0]?.chance).toBeGreaterThan(kind([], family) * 2);
  });

  it("what the owner says narrows the kind too: a motor that hums and stands has no brushes", () => {
    expect(kind([["owner-report", "hums-still"]], "universal")).toBeLessThan(kind([], "universal") / 2);
    expect(kind([["owner-report", "sparks"]], "universal")).toBeGreaterThan(kind([], "universal"));
  });

  it("a kind ruled out takes its faults with it", () => {
    const chance = (said: readonly Said[]): number =>
      asked(said).suspects.find(({ roots }) => roots[0] === "run-capacitor-low")?.chance ?? -1;
    const [before, after] = [
      chance([["owner-report", "slow"]]),
      chance([
        ["owner-report", "slow"],
        ["clue-brush-caps", "caps"],
      ]),
    ];
    expect(before).toBeGreaterThan(0.02);
    expect(after).toBeLessThan(before / 5);
  });

  it("a machine known by its name leans to its usual kind", () => {
    expect(kind([], "universal", "sewing-machine")).toBeGreaterThan(2 * kind([], "universal"));
  });

  it("offers clues among its moves, and never a live one", () => {
    const { moves } = asked([["owner-report", "nothing"]]);
    expect(moves.some(({ moveId }) => moveId.startsWith("clue-"))).toBe(true);
    expect(moves.every(({ tier }) => tier === 1)).toBe(true);
  });
});

describe("kinds that are recognised and not worked out", () => {
  it.each(["three-phase", "vibrator", "sealed-compressor"])(
    "%s: says what is in scope and what is not",
    (family) => {
      const found = isolate(request([], { machine: { family } }));
      expect(found.ok).toBe(false);
      if (found.ok) return;
      expect(found.issues[0]?.code).toBe("isolation/out-of-scope");
      expect(found.issues[0]?.message).toMatch(/Within scope here: .+ Not: .+/);
    },
  );

  it("a family nobody has heard of is named, with those that are known", () => {
    const found = isolate(request([], { machine: { family: "steam" } }));
    expect(!found.ok && found.issues[0]?.message).toContain('no family "steam"');
    expect(!found.ok && found.issues[0]?.message).toContain("universal");
  });
});

describe("an answer that the machine cannot have given", () => {
  it.each([
    ["capacitor-start", "run-capacitance", "below", /no move for this kind of motor \(Capacitor start\)/],
    ["capacitor-start", "listen-click", "click", /needs what this machine does not have: relay/],
    ["capacitor-start", "prayer", "heard", /There is no move "prayer"/],
    ["universal", "turn-shaft", "purple", /has no answer "purple": it has free, stiff, locked/],
  ] as const)("%s, %s = %s: says why", (family, moveId, outcomeId, words) => {
    const found = isolate(request([[moveId, outcomeId]], { machine: { family } }));
    expect(!found.ok && found.issues[0]?.message).toMatch(words);
  });
});

it("a motor that runs while its output stands is told of a machine that runs, never of one that stands", () => {
  const found = isolated([["told-motor-runs-output-still", "told"]], {
    machine: { family: "not-known" },
  } as never);
  const leads = found.suspects.slice(0, 4).flatMap(({ roots }) => roots);
  expect(leads.sort()).toEqual(["belt-off", "coupling-torn", "gear-stripped", "hub-loose"]);
});
