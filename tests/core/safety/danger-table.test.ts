import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { DANGER_KINDS, WITHHOLDS } from "@/core/safety/dangers/danger";
import { DANGER_WORDS } from "@/words/dangers";
import { UNPROVEN_WORDS } from "@/words/runs";

/** Rows of the table of dangers in docs/methods/safety.md: kind and what it withholds, without what a second one adds. */
const rows = new Map(
  readFileSync("docs/methods/safety.md", "utf8")
    .split("## Rules")[0]
    ?.split("\n")
    .flatMap((line) => {
      const [, kind, , withholds] = line.split("|").map((cell) => cell.trim());
      return kind?.startsWith("`") && withholds !== undefined
        ? [[kind.slice(1, -1), withholds.split(";")[0]?.split(", ").sort()] as const]
        : [];
    }),
);

describe("the table of dangers", () => {
  it("names every kind once, and no other", () => {
    expect([...rows.keys()].sort()).toEqual([...DANGER_KINDS].sort());
  });

  it.each(DANGER_KINDS)("%s withholds what is written there, and has its words", (kind) => {
    expect([...WITHHOLDS[kind]].sort()).toEqual(rows.get(kind));
    expect(DANGER_WORDS[kind].what.length).toBeGreaterThan(10);
    expect(DANGER_WORDS[kind].how.length).toBeGreaterThan(10);
  });

  it("every kind that keeps “repaired” back is said on the sheet", () => {
    const codes = DANGER_KINDS.filter((kind) =>
      WITHHOLDS[kind].some((one) => one === "use" || one === "repaired"),
    );
    const named = [
      "failed-check",
      "incident-not-explained",
      "protection-left-out",
      "only-consequence",
      "brake-not-timed",
    ];
    for (const code of named) expect(UNPROVEN_WORDS.has(code)).toBe(true);
    const own = ["damp", "burnt", "domed", "runs-on", "renewed", "temporary", "asked-anew"];
    for (const kind of codes)
      if (kind.startsWith("told-") || own.includes(kind)) expect(UNPROVEN_WORDS.has(kind), kind).toBe(true);
  });
});
