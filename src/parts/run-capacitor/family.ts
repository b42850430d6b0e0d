import { follows, fromMark } from "@/core/matching/facts";
import type { Family } from "@/core/matching/family";
import { SUBSTITUTION } from "@/core/matching/schools";
import type { Source } from "@/core/matching/source";
import { choice, size, voltsAc } from "@/core/matching/specs";
import { drawing } from "./drawing";
import { isStartMark, readRunCapacitor } from "./mark";
import { runCapacitors } from "./series";

const MARK = { how: "Read its mark.", minutes: 1 };
const FOR_GOOD = { limit: "run-substitute-share" };
const FOR_A_WHILE = { limit: "run-temporary-share" };

/** A mark that says start, where the circuit says run: one of them is wrong. */
const otherKind = (mark: string | undefined): readonly Source[] =>
  isStartMark(mark ?? "") ? [{ attribute: "kind", value: "start", from: "marked", said: "its mark" }] : [];

/** Run capacitors: the same microfarads, never fewer volts or a lower class. Source: iec-60252-1. */
export const family: Family = {
  id: "run-capacitor",
  title: "Run capacitor",
  key: "capacitance",
  together: [
    {
      kind: "add",
      attribute: "capacitance",
      said: "Side by side, only where both can be fixed and insulated; each its own bleed resistor if the old one had one.",
    },
    {
      kind: "section",
      family: "dual-capacitor",
      of: ["larger", "smaller"],
      as: "capacitance",
      also: { kind: "run" },
      carries: ["volts"],
      said: "One section of a can with two: between that section's tab and the common one; the other tab stays insulated and joined to nothing.",
    },
  ],
  attributes: {
    kind: choice("Kind", { run: "run, film", start: "start" }, MARK, { isSafety: true }),
    capacitance: {
      label: "Capacitance",
      unit: "F",
      rule: {
        kind: "share",
        note: { school: "capacitor-value", of: { near: FOR_GOOD, exact: 0, any: FOR_A_WHILE } },
        temporary: {
          school: "capacitor-value",
          of: { near: FOR_A_WHILE, exact: FOR_GOOD, any: FOR_A_WHILE },
        },
        cap: FOR_A_WHILE,
      },
      isHard: true,
      isSafety: true,
      wears: true,
      ...MARK,
    },
    volts: voltsAc(MARK),
    life: choice("Life class", { A: "A, 30 000 h", B: "B, 10 000 h", C: "C, 3000 h", D: "D, 1000 h" }, MARK, {
      rule: { kind: "order", from: ["A", "B", "C", "D"] },
      isSafety: true,
      isHard: "when-known",
    }),
    protection: choice(
      "Protection",
      { S3: "S3, parts and fails shut", S2: "S2", S1: "S1", S0: "S0, none" },
      MARK,
      { rule: { kind: "order", from: ["S3", "S2", "S1", "S0"] }, isSafety: true, isHard: "when-known" },
    ),
    terminals: choice(
      "Terminals",
      { "double-tabs": "double tabs", leads: "wire leads" },
      { how: "Look.", minutes: 0.5 },
      { isHard: false },
    ),
    diameter: size("Diameter", 3, { how: "Caliper, at the rim.", minutes: 1 }, { isHard: false }),
  },
  never: [
    {
      id: "start-in-run-duty",
      said: "A start capacitor in run duty overheats and bursts.",
      when: (_, part) => part["kind"] === "start",
    },
    {
      id: "polarised",
      said: "A polarised capacitor bursts on AC.",
      when: (_, part) => part["polarised"] === true,
    },
  ],
  schools: { "capacitor-value": SUBSTITUTION["capacitor-value"] },
  notes: {},
  goesWith: [
    {
      label: "Insulated tabs for its leads",
      why: "The old ones lose their spring.",
      count: 2,
      priceMinor: 30,
    },
  ],
  readMark: readRunCapacitor,
  fromJob: ({ marks, floors }) => [
    follows("kind", "run", "its place in the circuit"),
    ...otherKind(marks.run),
    ...fromMark(readRunCapacitor(marks.run ?? ""), "its mark"),
    follows("volts", floors.run, "least for this supply"),
  ],
  used: { note: "Its microfarads within its mark; it is as old as the machine it came from." },
  drawing,
  series: runCapacitors,
};
