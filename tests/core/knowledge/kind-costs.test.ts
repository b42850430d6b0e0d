import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  closingMinutes,
  type KindOfMachine,
  type MachineRepair,
  repairsOn,
  totalOf,
  workMinutes,
} from "@/core/knowledge/kind-costs";
import { withoutHands } from "@/core/knowledge/no-hands";
import { KNOWLEDGE, RUNS } from "../shop-context";

const COVERS = KNOWLEDGE.access.map(({ id }) => id);
const kinds = fc.constantFrom(
  { family: "capacitor-start" },
  ...KNOWLEDGE.archetypes.map(({ id, family }) => ({ family, archetype: id })),
);
const opened = fc.subarray(COVERS);
const on = (machine: KindOfMachine, id: string): MachineRepair => {
  const found = repairsOn(machine, KNOWLEDGE).find((repair) => repair.id === id);
  if (!found) throw new Error(`no repair ${id}`);
  return found;
};

describe("minutes of a repair on one machine", () => {
  it("are the table's on a usual machine, the kind's own where it names them, and longer where its covers are", () => {
    const bearings = KNOWLEDGE.repairs.find(({ id }) => id === "fit-bearings")?.minutes;
    expect(on({ family: "capacitor-start" }, "fit-bearings").minutes).toBe(bearings);
    const opener = { family: "permanent-split-capacitor", archetype: "garage-door-opener" };
    expect(on(opener, "fit-gears").minutes).toBe(45);
    // A fan at the ceiling: 30 minutes to open and 20 to close for 15 and 10 of a usual one.
    const fan = { family: "permanent-split-capacitor", archetype: "ceiling-fan" };
    expect(on(fan, "fit-bearings").minutes).toBe((bearings ?? 0) - 25 + 50);
  });

  it("fall by what stands open and by nothing else, an easier try as much as the part", () => {
    fc.assert(
      fc.property(kinds, opened, (kind, off) => {
        const closed = repairsOn(kind, KNOWLEDGE);
        for (const [at, now] of repairsOn({ ...kind, opened: off }, KNOWLEDGE).entries()) {
          const before = closed[at];
          const saved = (before?.covers ?? [])
            .filter(({ id }) => off.includes(id))
            .reduce((sum, { open, close }) => sum + open + close, 0);
          expect((before?.minutes ?? 0) - now.minutes).toBeCloseTo(saved, 9);
          expect((before?.easier?.minutes ?? 0) - (now.easier?.minutes ?? 0)).toBeCloseTo(
            now.easier ? saved : 0,
            9,
          );
          expect(now.hands).toBeGreaterThan(0);
        }
      }),
      RUNS,
    );
  });

  it("of several together are never more than one after the other, and a cover is opened once", () => {
    fc.assert(
      fc.property(kinds, fc.subarray(KNOWLEDGE.repairs.map(({ id }) => id)), (kind, ids) => {
        const rows = repairsOn(kind, KNOWLEDGE).filter(({ id }) => ids.includes(id));
        const alone = rows.reduce((sum, { minutes }) => sum + minutes, 0);
        expect(totalOf(workMinutes(rows))).toBeLessThanOrEqual(alone + 1e-9);
      }),
      RUNS,
    );
    const kind = { family: "capacitor-start-run" };
    const both = [on(kind, "fit-start-capacitor"), on(kind, "fit-run-capacitor")];
    expect(workMinutes(both)).toEqual({ access: 2, work: 16, refit: 2 });
  });

  it("what stands open is closed again whatever is done: as long as its repairs no longer take", () => {
    const machine = { family: "capacitor-start", opened: ["end-bell", "end-bell", "belt-guard"] };
    expect(closingMinutes(machine, KNOWLEDGE)).toBe(12);
    expect(closingMinutes({ family: "capacitor-start" }, KNOWLEDGE)).toBe(0);
  });

  it("a repair that takes no longer than its covers is named, in the table and in a kind", () => {
    expect(withoutHands(KNOWLEDGE)).toEqual([]);
    const repairs = KNOWLEDGE.repairs.map((row) =>
      row.id === "fit-bearings" ? { ...row, minutes: 20 } : row,
    );
    expect(withoutHands({ ...KNOWLEDGE, repairs })).toEqual(["fit-bearings"]);
    const archetypes = KNOWLEDGE.archetypes.map((row) =>
      row.id === "sewing-machine" ? { ...row, repairs: { "fit-belt": { minutes: 5 } } } : row,
    );
    expect(withoutHands({ ...KNOWLEDGE, archetypes })).toEqual(["sewing-machine: fit-belt"]);
  });
});
