import { describe, expect, it } from "vitest";
import { isolated, type Said } from "./model";

const CONTRARY: readonly Said[] = [
  ["pair-ohms", "run-open"],
  ["switch-on", "runs"],
  ["clamp-current", "normal"],
  ["push-start", "runs"],
];

describe("answers that contradict each other", () => {
  it("names the two that no set of faults gives together, and how many were tried", () => {
    const found = isolated(CONTRARY);
    const [conflict] = found.conflicts;
    expect(conflict?.doubted).toContain(1);
    expect(conflict?.impossible?.seqs[0]).toBe(1);
    expect(conflict?.impossible?.sets).toBe(found.basis.hypotheses);
    const { chance = 1, apart = [0, 0] } = conflict?.impossible ?? {};
    expect(chance).toBeLessThan(0.02 * apart[0] * apart[1]);
    expect(Math.min(...apart)).toBeGreaterThan(0.5);
  });

  it("is silent about answers that are only unusual", () => {
    expect(
      isolated([
        ["owner-report", "hums-still"],
        ["turn-shaft", "stiff"],
        ["push-start", "runs"],
      ]).conflicts,
    ).toEqual([]);
  });

  it("one answer cannot contradict itself", () => {
    expect(isolated([["turn-shaft", "locked"]]).conflicts).toEqual([]);
  });
});

describe("three roots", () => {
  /** Three things proved at three places: no two of them explain the third. */
  const THREE: readonly Said[] = [
    ["start-capacitance", "below"],
    ["overload-ohms", "open"],
    ["cord-ohms", "open"],
    ["switch-ohms", "open"],
  ];

  it("are tried where asked for and no two roots explain the answers", () => {
    const [two, three] = [isolated(THREE), isolated(THREE, { options: { maxRoots: 3 } })];
    expect(two.basis.maxRoots).toBe(2);
    expect(three.basis.maxRoots).toBe(3);
    expect(three.basis.hypotheses).toBeGreaterThan(two.basis.hypotheses);
    expect(three.suspects.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
    const many = three.suspects.filter(({ roots }) => roots.length > 1 || roots[0] === "more-than-one");
    expect(many.reduce((sum, { chance }) => sum + chance, 0)).toBeGreaterThan(0.5);
  });

  it("are not tried where two explain them well", () => {
    const said: readonly Said[] = [
      ["owner-report", "hums-still"],
      ["start-capacitance", "below"],
    ];
    expect(isolated(said, { options: { maxRoots: 3 } }).basis.maxRoots).toBe(2);
  });
});

describe("how suspicion moved", () => {
  it("has a step for each line, and ends where the suspects stand", () => {
    const said: readonly Said[] = [
      ["owner-report", "hums-still"],
      ["turn-shaft", "free"],
      ["start-capacitance", "below"],
    ];
    const { history, suspects } = isolated(said);
    expect(history.map(({ seq }) => seq)).toEqual([0, 1, 2, 3]);
    expect(history.at(-1)?.leading[0]?.root).toBe(suspects[0]?.roots[0]);
    const first = history.map(
      ({ leading }) => leading.find(({ root }) => root === "start-capacitor-low")?.chance ?? 0,
    );
    expect(first.at(-1)).toBeGreaterThan(first[0] ?? 1);
  });
});

describe("a twin on the same shelf", () => {
  const chance = (said: readonly Said[]): number =>
    isolated(said).suspects.find(({ roots }) => roots[0] === "winding-shorted")?.chance ?? -1;

  it("that reads the same outweighs a sheet value that reads low", () => {
    const sheet: readonly Said[] = [
      ["owner-report", "slow"],
      ["pair-ohms", "low"],
    ];
    expect(chance(sheet)).toBeGreaterThan(2 * chance([["owner-report", "slow"]]));
    expect(chance([...sheet, ["twin-ohms", "same"]])).toBeLessThan(chance([["owner-report", "slow"]]));
    expect(chance([...sheet, ["twin-ohms", "lower"]])).toBeGreaterThan(chance(sheet));
  });
});
