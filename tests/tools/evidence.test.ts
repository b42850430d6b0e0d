import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Isolation } from "@/core/isolation/isolate";
import { isolated } from "../core/isolation/model";
import { TOOLS } from "../core/shop-context";
import { found } from "./run-tool";

interface Worked {
  readonly cases: readonly { readonly name: string; readonly input: object }[];
}

/** Chance of every suspect that has this fault among its roots. */
const chanceIn = ({ suspects }: Isolation, fault: string): number =>
  suspects.filter(({ roots }) => roots.includes(fault)).reduce((sum, { chance }) => sum + chance, 0);

/** Tool, worked case, family, faults that it must speak for, faults that it must speak against. */
const TABLE: readonly (readonly [
  tool: string,
  name: string,
  family: string,
  up: readonly string[],
  down: readonly string[],
])[] = [
  ["capacitor-against-mark", "Open", "capacitor-start", ["start-capacitor-open"], ["start-capacitor-low"]],
  [
    "lead-map",
    "Run and start winding on a common",
    "permanent-split-capacitor",
    ["run-capacitor-low"],
    ["main-winding-open", "start-winding-open"],
  ],
  ["lead-map", "A lead open to both others", "split-phase", ["main-winding-open"], ["winding-shorted"]],
  ["lead-map", "All three open", "split-phase", [], []],
  ["lead-map", "Three alike on three leads", "electronically-commutated", [], ["phase-open"]],
  ["lead-map", "A phase open", "electronically-commutated", ["phase-open"], []],
  [
    "winding-against-reference",
    "A fifth under its twin",
    "shaded-pole",
    ["winding-shorted"],
    ["thermal-fuse-open"],
  ],
  ["winding-against-reference", "As its twin", "shaded-pole", [], ["winding-shorted"]],
  [
    "winding-against-reference",
    "Two field coils, one lower",
    "universal",
    ["field-coil-shorted"],
    ["field-coil-open"],
  ],
  ["winding-against-reference", "Open and cold", "synchronous", ["coil-open"], ["winding-shorted"]],
  [
    "capacitor-under-load",
    "Below its mark",
    "permanent-split-capacitor",
    ["run-capacitor-low"],
    ["run-capacitor-open"],
  ],
  [
    "capacitor-under-load",
    "No current",
    "permanent-split-capacitor",
    ["run-capacitor-open"],
    ["run-capacitor-low"],
  ],
  ["ohms-ramp", "Stays at nothing", "capacitor-start", ["start-capacitor-shorted"], ["start-capacitor-open"]],
  ["ohms-ramp", "Never moves", "capacitor-start", ["start-capacitor-open"], ["start-capacitor-shorted"]],
];

function worked(toolId: string, name: string): object {
  const topic = TOOLS.find(({ id }) => id === toolId)?.topic ?? "";
  const { cases } = JSON.parse(readFileSync(`src/tools/${topic}/${toolId}/worked.json`, "utf8")) as Worked;
  const input = cases.find((one) => one.name.startsWith(name))?.input;
  if (!input) throw new Error(`${toolId} has no worked case "${name}"`);
  return input;
}

describe("what a tool finds moves the suspects the right way", () => {
  it.each(TABLE.map((row) => [`${row[0]}: ${row[1]}`, row] as const))(
    "%s",
    (_, [toolId, name, family, up, down]) => {
      const [evidence] = found(toolId, worked(toolId, name)).evidence;
      if (!evidence) throw new Error("no evidence");
      const before = isolated([], { machine: { family } });
      const after = isolated([[evidence.moveId, evidence.outcomeId]], { machine: { family } });
      for (const fault of up) {
        expect(chanceIn(before, fault), `${fault} is known`).toBeGreaterThan(0);
        expect(chanceIn(after, fault), fault).toBeGreaterThan(chanceIn(before, fault));
      }
      for (const fault of down) {
        expect(chanceIn(before, fault), `${fault} is known`).toBeGreaterThan(0);
        expect(chanceIn(after, fault), fault).toBeLessThan(chanceIn(before, fault));
      }
    },
  );

  it("inside its mark clears the capacitor and never its leads", () => {
    const inside = found("capacitor-against-mark", {
      mark: "145-174 μF 250 VAC",
      reading: "158u",
      meter: { percent: 1.5, counts: 5, resolution: "0.1u" },
      bleedResistor: "lifted",
    }).evidence[0];
    expect(inside?.outcomeId).toBe("inside");
    const before = isolated([["told-hum", "told"]]);
    const after = isolated([
      ["told-hum", "told"],
      ["start-capacitance", "inside"],
    ]);
    expect(chanceIn(after, "start-capacitor-low")).toBeLessThan(chanceIn(before, "start-capacitor-low") / 5);
    expect(chanceIn(after, "capacitor-lead-off")).toBeGreaterThan(chanceIn(before, "capacitor-lead-off"));
  });
});
