import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { ENTRY_KINDS } from "@/core/job/entry.input";
import { currentVersion, readPayload, UPCASTERS, upcast } from "@/core/job/upcast";

const SAMPLES = JSON.parse(readFileSync("tests/core/job/samples.json", "utf8")) as Record<
  string,
  Record<string, unknown>
>;

describe("entries of every kind and version can be read", () => {
  it.each(
    ENTRY_KINDS.flatMap((kind) =>
      Array.from({ length: currentVersion(kind) }, (_, index) => [kind, index + 1] as const),
    ),
  )("%s version %d", (kind, version) => {
    const sample = SAMPLES[kind]?.[String(version)];
    expect(sample, "a stored sample").toBeDefined();
    const read = readPayload(kind, sample, version);
    expect(read.ok ? [] : read.issues).toEqual([]);
  });

  it("has an upcaster list for each kind and no other", () => {
    expect(Object.keys(UPCASTERS).sort()).toEqual([...ENTRY_KINDS].sort());
  });

  it("runs only the steps that an old payload still needs", () => {
    const steps = [(old: unknown) => `${old}→2`, (old: unknown) => `${old}→3`];
    expect([1, 2, 3].map((from) => upcast(steps, `v${from}`, from))).toEqual(["v1→2→3", "v2→3", "v3"]);
  });

  it("names what does not fit", () => {
    const read = readPayload("follow-up", { what: "x", onDay: "2026-13-40", condition: "" }, 1);
    expect(read.ok ? "" : read.issues[0]?.message).toContain("year-month-day");
  });
});
