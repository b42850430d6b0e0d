import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { EMPTY_FOLLOW_UP_FACTS, EMPTY_OWNER_FACTS } from "@/core/job/log/empty-facts";
import type { Entry, EntryKind, Payloads } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { openDangers } from "@/core/safety/dangers/danger";
import { tool } from "@/tools/capacitor/capacitor-against-mark/tool";
import { RUNS, TOOL_CONTEXT } from "../shop-context";
import { CARDER, check, DRAINED, logOf, OUT, ran, viewOf } from "./entries";

const finding = tool.run(tool.example, TOOL_CONTEXT);
if (!finding.ok) throw new Error("the example does not run");
const READING: Payloads["reading"] = {
  of: "tool",
  toolId: "capacitor-against-mark",
  moveId: "start-capacitance",
  input: {},
  finding: finding.value,
  taken: "now",
  looseReadingId: null,
};

type Line = { [K in EntryKind]: readonly [K, Payloads[K]] }[EntryKind];
const LINES: readonly Line[] = [
  ["complaint", { signs: ["hum"], circumstance: "cold", afterMinutes: null, words: "" }],
  ["nameplate", { plate: "capacitor", id: "start", mark: "145-174 μF" }],
  ["reading", READING],
  ["note", { text: "x" }],
  ["follow-up", { ...EMPTY_FOLLOW_UP_FACTS, what: "look" }],
  ["owner-answer", { question: "q", answer: "asked", means: "message", ...EMPTY_OWNER_FACTS }],
  ["timer-started", { what: "drain", seconds: 9 }],
  ["opened", { access: "hump", is: "capacitor-cover", taken: "afterwards" }],
];
const anyLog = fc
  .array(fc.constantFrom(...LINES), { minLength: 1, maxLength: 12 })
  .map((lines) => logOf(["taken-in", CARDER], ...lines));

/** What the job says, without its own history. */
function said({ ledger: _, seq: __, plugFacts: ___, ...rest }: JobView): unknown {
  return JSON.parse(JSON.stringify(rest));
}

function renumbered(entries: readonly Entry[]): Entry[] {
  return entries.map((entry, index) => ({ ...entry, seq: index + 1 }));
}

/** Without the places in the log, which shift when a line was never written. */
const placeless = (value: unknown): unknown =>
  JSON.parse(
    JSON.stringify(value, (key, inner) => {
      // Whether it ever stalled stays, only its place shifts.
      if (key === "stalledSeq") return inner > 0;
      return ["seq", "at", "lastChangeSeq", "openedSeq", "toldSeq"].includes(key) ? undefined : inner;
    }),
  );

describe("laws of the log", () => {
  it("striking out and restoring a line leaves the job as it was", () => {
    fc.assert(
      fc.property(anyLog, fc.nat(), (entries, pick) => {
        const target = entries[1 + (pick % (entries.length - 1))];
        fc.pre(target !== undefined);
        const longer = logOf(
          ...entries.map(({ kind, payload }) => [kind, payload] as never),
          ["struck", { seq: target.seq, why: "", reason: "none" }],
          ["restored", { seq: target.seq }],
        );
        expect(said(viewOf(longer))).toEqual(said(viewOf(entries)));
      }),
      RUNS,
    );
  });

  it("a struck line that took nothing away says as little as one that was never written", () => {
    fc.assert(
      fc.property(anyLog, fc.nat(), (entries, pick) => {
        const target = entries[1 + (pick % (entries.length - 1))];
        fc.pre(target !== undefined && !["complaint", "opened"].includes(target.kind));
        const struck = logOf(...entries.map(({ kind, payload }) => [kind, payload] as never), [
          "struck",
          { seq: target.seq, why: "", reason: "none" },
        ]);
        const never = renumbered(entries.filter(({ seq }) => seq !== target.seq));
        expect(placeless(said(viewOf(struck)))).toEqual(placeless(said(viewOf(never))));
      }),
      RUNS,
    );
  });

  it("a struck line closes no danger and no cover that stood open", () => {
    const hurts: readonly Line[] = [
      ...LINES,
      ["complaint", { signs: ["tingle"], circumstance: "cold", afterMinutes: null, words: "" }],
      ["reading", check("insulation", "failed")],
      ["reading", check("insulation")],
      ["bench-state", { event: "incident", what: "smoke" }],
      ["bench-state", { ...DRAINED, volts: 90 } as Payloads["bench-state"]],
      [
        "intervention",
        {
          repair: "",
          label: "",
          faultIds: ["damp"],
          success: 1,
          seen: null,
          part: "none",
          taken: "afterwards",
        },
      ],
      ["closed", { access: "hump", taken: "afterwards" }],
      ["bench-state", { event: "plugged-in", outlet: "not-said" }],
      ran({ result: "still-there" }) as Line,
      ran() as Line,
    ];
    const logs = fc
      .array(fc.constantFrom(...hurts), { minLength: 1, maxLength: 12 })
      .map((lines) => logOf(["taken-in", CARDER], ...lines));
    const open = (view: JobView): string[] => [
      ...openDangers(view.live.dangers).map(({ kind, place }) => `${kind} ${place}`),
      ...view.bench.opened,
    ];
    fc.assert(
      fc.property(logs, fc.nat(), (entries, pick) => {
        const seq = 2 + (pick % (entries.length - 1));
        const struck = logOf(...entries.map(({ kind, payload }) => [kind, payload] as never), [
          "struck",
          { seq, why: "", reason: "typed-wrongly" },
        ]);
        expect(open(viewOf(struck))).toEqual(expect.arrayContaining(open(viewOf(entries))));
      }),
      RUNS,
    );
  });

  it("the same entries always give the same view, and nothing is written into them", () => {
    fc.assert(
      fc.property(anyLog, (entries) => {
        const before = JSON.stringify(entries);
        expect(viewOf(entries)).toEqual(viewOf(entries));
        expect(JSON.stringify(entries)).toBe(before);
      }),
      RUNS,
    );
  });

  it.each([
    ["unplugging", 2],
    ["draining", 3],
    ["plugging in", 4],
  ])("striking out %s never makes the machine safer than it was", (_, seq) => {
    const entries = logOf(
      ["taken-in", CARDER],
      ["bench-state", OUT],
      ["bench-state", DRAINED],
      ["bench-state", { event: "plugged-in", outlet: "not-said" }],
    );
    const struck = logOf(...entries.map(({ kind, payload }) => [kind, payload] as never), [
      "struck",
      { seq, why: "", reason: "none" },
    ]);
    expect(viewOf(struck).bench).toMatchObject({ plug: "not-known", stored: [] });
    const restored = logOf(...struck.map(({ kind, payload }) => [kind, payload] as never), [
      "restored",
      { seq },
    ]);
    expect(viewOf(restored).bench).toMatchObject({ plug: "not-known", stored: [] });
  });
});
