import { describe, expect, it } from "vitest";
import { isolated, request, type Said } from "./model";

const STILL: readonly Said[] = [
  ["owner-report", "hums-still"],
  ["push-start", "runs"],
  ["turn-shaft", "free"],
  ["start-capacitance", "inside"],
  ["tug-leads", "tight"],
];
const OPEN: Said = ["pair-ohms", "start-open"];

describe("one reading condemns no motor", () => {
  it("is read once more before the gate opens, and the reading stands first", () => {
    const once = isolated([...STILL, OPEN]);
    expect(once.suspects[0]?.roots).toEqual(["start-winding-open"]);
    expect(once.purchaseGate).toEqual({ open: false, needs: ["repeated-reading"] });
    expect(once.moves[0]?.moveId).toBe("pair-ohms");
    expect(isolated([...STILL, OPEN, OPEN]).purchaseGate.open).toBe(true);
  });

  it("names what burnt it before the order, until that was looked at", () => {
    const asked = (said: readonly Said[]) => isolated(said).beforeOrder.map(({ moveId }) => moveId);
    expect(asked([...STILL, OPEN])).toContain("start-switch-ohms");
    expect(asked([...STILL, OPEN, ["start-switch-ohms", "stuck"]])).not.toContain("start-switch-ohms");
    expect(asked(STILL)).toEqual([]);
  });
});

describe("instruments that the shop does not have", () => {
  const tripping: readonly Said[] = [["owner-report", "residual"]];
  const movesWith = (instruments: readonly string[]) =>
    isolated(tripping, { ...request(tripping), instruments: [...instruments] }).moves;

  it("put what needs them behind all that can be done, to be borrowed", () => {
    const at = (moves: ReturnType<typeof movesWith>) =>
      moves.findIndex(({ moveId }) => moveId === "each-lead-insulation");
    const [all, few] = [movesWith(["insulation-tester"]), movesWith(["clamp-meter"])];
    expect(all[at(all)]?.lacks).toBeUndefined();
    expect(few[at(few)]?.lacks).toBe("insulation-tester");
    expect(few.slice(at(few)).every(({ lacks }) => lacks !== undefined)).toBe(true);
  });

  it("hold nothing back where the shop has not said what it has", () => {
    expect(movesWith([]).every(({ lacks }) => lacks === undefined)).toBe(true);
  });
});

describe("another motor", () => {
  it("costs by its kind", () => {
    const motor = (family: string, archetype?: string) => {
      const machine = { family, ...(archetype ? { archetype } : {}) };
      const found = isolated([["owner-report", "slow"]], { machine } as never);
      return found.trials.find(({ repairs }) => repairs.join() === "fit-motor")?.partMinor;
    };
    expect(motor("synchronous")).toBeLessThan(motor("universal") ?? 0);
    expect(motor("universal", "hand-mixer")).toBeLessThan(motor("universal") ?? 0);
  });
});

it("a fuse that the leading fault blew is renewed with its cure, and no trial of its own after it", () => {
  const found = isolated([
    ["owner-report", "nothing"],
    ["fuse-ohms", "open"],
    ["turn-shaft", "locked"],
  ]);
  expect(found.suspects[0]).toMatchObject({ roots: ["bearing-seized"], consequences: ["fuse-open"] });
  expect(found.trials.map(({ repairs }) => repairs.join())).not.toContain("fit-fuse");
  expect(found.trials.reduce((sum, { chance }) => sum + chance, 0)).toBeGreaterThan(0.95);
});
