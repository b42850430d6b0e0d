import { describe, expect, it } from "vitest";
import { impossibleProofs } from "@/core/isolation/impossible-proofs";
import { loadKnowledge, type RawKnowledge } from "@/core/knowledge/load";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import { readKnowledgeFiles } from "../../../scripts/lib/knowledge-files";
import { KNOWLEDGE, LIMITS, TOOLS } from "../shop-context";

type Page = Record<string, unknown>;
interface Raw {
  readonly moves: Record<string, Page>;
  readonly faults: Record<string, Page>;
  readonly tables: Record<string, { provenance: Page; rows: Record<string, Page> }>;
}

const FILES = readKnowledgeFiles();
const copy = (): Raw => structuredClone(FILES) as Raw;

function problems(change: (raw: Raw) => void): string {
  const raw = copy();
  change(raw);
  const loaded = loadKnowledge(raw as RawKnowledge);
  return loaded.ok ? "" : loaded.issues.map(({ message }) => message).join("\n");
}

const capacitance = (raw: Raw): Page => raw.moves["start-capacitance"] as Page;
const weak = (raw: Raw): Page => raw.faults["start-capacitor-low"] as Page;
const row = (raw: Raw, table: string, id: string): Page => raw.tables[table]?.rows[id] as Page;
const inCase = (raw: Raw, key: string): Page =>
  (capacitance(raw)["cases"] as Record<string, Page>)[key] as Page;

describe("the knowledge that ships", () => {
  it("is what the pages say, and its version changes with their content only", () => {
    const again = loadKnowledge(copy() as RawKnowledge);
    expect(again.ok && again.value.version).toBe(KNOWLEDGE.version);
    const raw = copy();
    Object.assign(row(raw, "limits", "capacitor-open-share"), { value: 0.06 });
    const changed = loadKnowledge(raw as RawKnowledge);
    expect(changed.ok && changed.value.version).not.toBe(KNOWLEDGE.version);
  });

  it("proves each fault by an answer that the fault can give", () => {
    expect(impossibleProofs(KNOWLEDGE)).toEqual([]);
    const wrong = KNOWLEDGE.faults.map((fault) =>
      fault.id === "start-capacitor-low"
        ? { ...fault, provenBy: [{ moveId: "start-capacitance", outcomeId: "shorted" }] }
        : fault,
    );
    expect(impossibleProofs({ ...KNOWLEDGE, faults: wrong })[0]?.message).toBe(
      'faults/start-capacitor-low.yaml: its proof "start-capacitance: shorted" is an answer that this fault alone never gives.',
    );
  });

  it("knows every move that a tool judges", () => {
    const moves = KNOWLEDGE.moves.map(({ id }) => id);
    for (const { judges } of TOOLS) for (const id of judges) expect(moves).toContain(id);
  });
});

describe("the loader refuses, with file and place", () => {
  it("everything that is wrong at once", () => {
    const found = problems((raw) => {
      Object.assign(row(raw, "families", "split-phase"), { stores: ["battery"] });
      Object.assign(row(raw, "limits", "earth-continuity"), { value: "ten", extra: 1 });
      capacitance(raw)["provenance"] = undefined;
    });
    expect(found).toMatch(/tables\/families\.yaml, rows\.split-phase\.stores\.0/);
    expect(found).toMatch(/tables\/limits\.yaml, rows\.earth-continuity\.value/);
    expect(found).toMatch(/moves\/start-capacitance\.yaml, provenance/);
  });

  it.each<[string, (raw: Raw) => void, RegExp]>([
    [
      "a case that does not sum to one",
      (raw) => Object.assign(inCase(raw, "capacitor-low"), { below: 0.8 }),
      /start-capacitance\.yaml: the chances of case "capacitor-low" sum to 0\.9, not to one/,
    ],
    [
      "a chance outside its own range",
      (raw) => Object.assign(inCase(raw, "capacitor-low"), { below: [0.9, 0.95, 0.98] }),
      /"below" in case "capacitor-low", 0\.9, lies outside its range/,
    ],
    [
      "a case behind otherwise",
      (raw) =>
        Object.assign(capacitance(raw)["cases"] as Page, { "capacitor-lost": { inside: 0.5, edge: 0.5 } }),
      /case "capacitor-lost" stands behind "otherwise"/,
    ],
    [
      "a sign that no fault sets",
      (raw) => {
        capacitance(raw)["cases"] = { "capacitor-lost": { inside: 0.5, edge: 0.5 } };
      },
      /case "capacitor-lost" asks for a sign that no fault sets/,
    ],
    [
      "a sign that nobody asks for",
      (raw) => Object.assign(weak(raw), { does: [{ signs: ["glows-green"] }] }),
      /start-capacitor-low\.yaml: no move asks for its sign "glows-green"/,
    ],
    [
      "a condition that the power path does not know",
      (raw) => Object.assign(weak(raw), { does: [{ sets: { mood: "low" } }] }),
      /start-capacitor-low\.yaml: condition "mood: low" does not exist/,
    ],
    [
      "a value that a condition does not have",
      (raw) => {
        capacitance(raw)["cases"] = { "voice is purring": { inside: 1 } };
      },
      /condition "voice: purring" does not exist/,
    ],
    [
      "an answer that the move does not have",
      (raw) => Object.assign(inCase(raw, "otherwise"), { inside: 0.8, perhaps: 0.1 }),
      /answer in case "otherwise" "perhaps" does not exist/,
    ],
    [
      "a move that does not say how",
      (raw) => {
        capacitance(raw)["how"] = undefined;
      },
      /start-capacitance\.yaml, how: how is missing/,
    ],
    [
      "a fault without a proof",
      (raw) => {
        weak(raw)["provenBy"] = undefined;
      },
      /start-capacitor-low\.yaml: nothing proves it/,
    ],
    [
      "a source that is not there",
      (raw) => Object.assign(weak(raw)["provenance"] as Page, { source: "hearsay" }),
      /start-capacitor-low\.yaml: source "hearsay" does not exist/,
    ],
    [
      "a limit that is not there",
      (raw) => Object.assign(row(raw, "deadChecks", "earth-continuity"), { limits: ["x"] }),
      /tables\/deadChecks\.yaml: limit "x" does not exist/,
    ],
    [
      "an alias to nowhere",
      (raw) => Object.assign(raw.tables["aliases"]?.rows ?? {}, { old: { now: "gone" } }),
      /tables\/aliases\.yaml: id "gone" does not exist/,
    ],
    [
      "an alias of an id that still stands",
      (raw) => Object.assign(raw.tables["aliases"]?.rows ?? {}, { "switch-on": { now: "warm-run" } }),
      /"switch-on" is in use/,
    ],
    [
      "a parameter that the engine does not read",
      (raw) =>
        Object.assign(raw.tables["parameters"]?.rows ?? {}, {
          luck: { label: "Luck", unit: "share", value: 1, why: "None" },
        }),
      /nothing reads the parameter "luck"/,
    ],
    [
      "an id that is not kebab-case",
      (raw) => Object.assign(raw.tables["kit"]?.rows ?? {}, { "Big Clamp": { label: "Big clamp" } }),
      /tables\/kit\.yaml: "Big Clamp" is no id/,
    ],
  ])("%s", (_, change, words) => {
    expect(problems(change)).toMatch(words);
  });
});

describe("limits of the shop", () => {
  it("keep the source of the row, and say `shop` where the shop has its own", () => {
    const own = resolveLimits(KNOWLEDGE, { "capacitor-open-share": 0.08 });
    expect(own.ok && own.value["capacitor-open-share"]).toMatchObject({ value: 0.08, source: "shop" });
    expect(LIMITS["earth-continuity"]).toMatchObject({ value: 0.1, source: "iec-60335-1", reviewed: false });
  });

  it.each([
    ["safe-to-work-volts", 50, false],
    ["safe-to-work-volts", 2, true],
    ["insulation-class-2", 1e6, false],
    ["insulation-class-2", 7e6, true],
    ["earth-continuity", 0.5, false],
    ["bench-untouched", 3600, false],
  ])("a safety row can be tightened, never loosened: %s to %d", (id, value, isAllowed) => {
    const own = resolveLimits(KNOWLEDGE, { [id]: value });
    expect(own.ok).toBe(isAllowed);
    if (!own.ok) expect(own.issues[0]?.code).toBe("limit/loosened");
  });

  it("names a limit that does not exist, and one that is no number", () => {
    const wrong = resolveLimits(KNOWLEDGE, { nothing: 1, "earth-continuity": Number.NaN });
    expect(wrong.ok ? [] : wrong.issues.map(({ code }) => code)).toEqual([
      "limit/unknown",
      "limit/not-finite",
    ]);
  });
});
