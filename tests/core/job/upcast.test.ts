import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { parseWith } from "@/core/validate";
import { draft as acceptanceRun } from "@/log/kinds/acceptance-run/schema.input";
import { draft as nameplate } from "@/log/kinds/nameplate/schema.input";
import { currentVersion, readPayload, upcast } from "@/log/read-payload";
import { ENTRY_KINDS, SCHEMAS } from "@/log/schemas";

const samplesOf = (kind: string): Record<string, object> =>
  JSON.parse(readFileSync(`src/log/kinds/${kind}/samples.json`, "utf8"));

describe("entries of every kind and version can be read", () => {
  it.each(
    ENTRY_KINDS.flatMap((kind) =>
      Array.from({ length: currentVersion(kind) }, (_, index) => [kind, index + 1] as const),
    ),
  )("%s version %d", (kind, version) => {
    const sample = samplesOf(kind)[String(version)];
    expect(sample, "a stored sample").toBeDefined();
    const read = readPayload(kind, sample, version);
    expect(read.ok ? [] : read.issues).toEqual([]);
  });

  it("has a room for each kind and no other, and no sample of a version that does not exist", () => {
    expect(readdirSync("src/log/kinds").sort()).toEqual([...ENTRY_KINDS].sort());
    for (const kind of ENTRY_KINDS)
      expect(Object.keys(samplesOf(kind)).length, kind).toBe(SCHEMAS[kind].versions.length + 1);
  });

  it("runs only the steps that an old payload still needs", () => {
    const steps = [(old: unknown) => `${old}→2`, (old: unknown) => `${old}→3`];
    expect([1, 2, 3].map((from) => upcast(steps, `v${from}`, from))).toEqual(["v1→2→3", "v2→3", "v3"]);
  });

  it("of a figure that is asked about today stays what was kept, and is not taken anew", () => {
    const version = currentVersion("nameplate");
    const plate = { ...samplesOf("nameplate")[String(version)], volts: "2,100", speed: "1.425" };
    expect(readPayload("nameplate", plate, version).ok).toBe(true);
    expect(parseWith(nameplate, plate)).toMatchObject({ issues: [{ path: "volts" }, { path: "speed" }] });
    const run = currentVersion("acceptance-run");
    const figures = [{ quantity: "speed", before: "1,425", after: "1425" }];
    const kept = { ...samplesOf("acceptance-run")[String(run)], figures };
    expect(readPayload("acceptance-run", kept, run).ok).toBe(true);
    expect(parseWith(acceptanceRun, kept)).toMatchObject({
      issues: [{ path: "figures.0.before" }],
    });
  });

  it("names what does not fit", () => {
    const read = readPayload("follow-up", { what: "x", onDay: "2026-13-40", condition: "" }, 1);
    expect(read.ok ? "" : read.issues[0]?.message).toContain("year-month-day");
  });
});
