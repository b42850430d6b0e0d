import { describe, expect, it } from "vitest";
import { loadKnowledge, type RawKnowledge } from "@/core/knowledge/load";
import { resolveLimits } from "@/core/knowledge/resolve-limits";
import { TOOLS } from "@/core/tools/registry";
import { RAW_KNOWLEDGE } from "@/server/services/knowledge";
import { KNOWLEDGE, LIMITS } from "../shop-ground";

const copy = (): Record<keyof RawKnowledge, Record<string, unknown>[]> =>
  JSON.parse(JSON.stringify(RAW_KNOWLEDGE));

function problems(change: (raw: ReturnType<typeof copy>) => void): string[] {
  const raw = copy();
  change(raw);
  const loaded = loadKnowledge(raw);
  return loaded.ok ? [] : loaded.issues.map(({ message }) => message);
}

describe("the knowledge that ships", () => {
  it("loads, and its version changes with its content only", () => {
    const again = loadKnowledge(copy());
    expect(again.ok && again.value.version).toBe(KNOWLEDGE.version);
    const raw = copy();
    raw.limits[0] = { ...raw.limits[0], value: 0.06 };
    const changed = loadKnowledge(raw);
    expect(changed.ok && changed.value.version).not.toBe(KNOWLEDGE.version);
  });

  it("names only tools that exist", () => {
    const ids = TOOLS.map(({ id }) => id);
    for (const { tool } of KNOWLEDGE.moves) if (tool) expect(ids).toContain(tool);
  });
});

describe("the loader reports every problem, with file and row", () => {
  it("all at once", () => {
    const found = problems((raw) => {
      raw.families[2] = { ...raw.families[2], stores: ["battery"] };
      raw.limits[1] = { ...raw.limits[1], value: "ten", extra: 1 };
      raw.moves[0] = { ...raw.moves[0], provenance: undefined };
    });
    expect(found.join("\n")).toMatch(
      /families\.json row 3.*\n[\s\S]*limits\.json row 2[\s\S]*moves\.json row 1/,
    );
    expect(found.length).toBeGreaterThanOrEqual(4);
  });

  it.each<[string, (raw: ReturnType<typeof copy>) => void, RegExp]>([
    [
      "a source that is not there",
      (raw) => {
        raw.limits[0] = { ...raw.limits[0], source: "hearsay" };
      },
      /limits\.json row 1: source "hearsay"/,
    ],
    [
      "an id twice",
      (raw) => {
        raw.signs.push({ ...raw.signs[0] });
      },
      /signs\.json row \d+: id "nothing-happens" stands twice/,
    ],
    [
      "a limit that is not there",
      (raw) => {
        raw.deadChecks[1] = { ...raw.deadChecks[1], limits: ["x"] };
      },
      /deadChecks\.json row 2: limit "x"/,
    ],
    [
      "an alias to nowhere",
      (raw) => {
        raw.aliases.push({ id: "old", now: "gone", provenance: raw.kit[0]?.["provenance"] });
      },
      /aliases\.json row 1: id "gone"/,
    ],
    [
      "an id that is not kebab-case",
      (raw) => {
        raw.kit[0] = { ...raw.kit[0], id: "Big Clamp" };
      },
      /kit\.json row 1/,
    ],
  ])("%s", (_, change, words) => {
    expect(problems(change).join("\n")).toMatch(words);
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
