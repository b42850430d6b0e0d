import { describe, expect, it } from "vitest";
import type { Entry, NewEntry } from "@/core/job/log/entry";
import type { GuardContext } from "@/log/guard";
import { guardEntry } from "@/log/guards";
import { LIMITS, LIVE_SHOP } from "../shop-context";
import { CARDER, DRAINED, logOf, OUT, T0, viewOf } from "./entries";

const READING = { kind: "reading", payload: { of: "tool", taken: "now" } } as unknown as NewEntry;
const LATE = { kind: "reading", payload: { of: "tool", taken: "afterwards" } } as unknown as NewEntry;

function codes(
  entries: readonly Entry[],
  entry: NewEntry,
  context: Partial<GuardContext> = {},
): (string | undefined)[] {
  const now = new Date(T0 + 10 * 60_000).toISOString();
  const watch = { settledSeq: entries.length, touchedAt: now };
  return guardEntry(viewOf(entries), entries, entry, {
    by: "left bench",
    now,
    watch,
    need: "hands-inside",
    limits: LIMITS,
    power: "off",
    live: LIVE_SHOP,
    today: "2026-11-25",
    ...context,
  }).map(({ code }) => code);
}

describe("what may be appended", () => {
  const safe = logOf(["taken-in", CARDER], ["bench-state", OUT], ["bench-state", DRAINED]);
  it("a reading inside the machine needs the plug out and the charge read", () => {
    expect(codes(safe, READING)).toEqual([]);
    expect(codes(safe.slice(0, 2), READING)).toEqual(["guard/bench-state"]);
    expect(codes(safe.slice(0, 1), READING)).toEqual(["guard/bench-state"]);
  });

  it("after a reload, or another person's entry, it asks again", () => {
    expect(codes(safe, READING, { watch: undefined })).toEqual(["guard/bench-state"]);
    const others = logOf(
      ["taken-in", CARDER],
      ["bench-state", OUT],
      ["bench-state", DRAINED],
      ["note", { text: "hello" }, "right bench"],
    );
    expect(
      codes(others, READING, { watch: { settledSeq: 3, touchedAt: new Date(T0 + 600_000).toISOString() } }),
    ).toEqual(["guard/bench-state"]);
  });

  it("a reading that was taken already is never refused", () => {
    expect(codes(safe.slice(0, 1), LATE, { watch: undefined })).toEqual([]);
  });

  it("what needs nothing is let pass", () => {
    expect(codes([], READING, { need: "none", watch: undefined })).toEqual([]);
  });
});

describe("striking out and restoring", () => {
  const log = logOf(
    ["taken-in", CARDER],
    ["note", { text: "x" }],
    ["struck", { seq: 2, why: "", reason: "none" }],
    ["note", { text: "y" }],
  );
  it.each<[string, NewEntry, string[]]>([
    ["a standing note", { kind: "struck", payload: { seq: 4, why: "", reason: "none" } }, []],
    [
      "a line struck already",
      { kind: "struck", payload: { seq: 2, why: "", reason: "none" } },
      ["guard/already-struck"],
    ],
    ["a strike", { kind: "struck", payload: { seq: 3, why: "", reason: "none" } }, ["guard/not-strikable"]],
    [
      "no line at all",
      { kind: "struck", payload: { seq: 9, why: "", reason: "none" } },
      ["guard/no-such-line"],
    ],
    [
      "what the whole job stands on",
      { kind: "struck", payload: { seq: 1, why: "", reason: "none" } },
      ["guard/stands-under"],
    ],
    ["restoring a struck line", { kind: "restored", payload: { seq: 2 } }, []],
    ["restoring a standing line", { kind: "restored", payload: { seq: 4 } }, ["guard/not-struck"]],
  ])("%s", (_, entry, wanted) => {
    expect(codes(log, entry)).toEqual(wanted);
  });

  it("a corrected take-in may go with a reason: another one stands", () => {
    const corrected = logOf(["taken-in", CARDER], ["taken-in", { ...CARDER, place: "shelf 1" }]);
    expect(
      codes(corrected, { kind: "struck", payload: { seq: 1, why: "", reason: "typed-wrongly" } }),
    ).toEqual([]);
    expect(codes(corrected, { kind: "struck", payload: { seq: 1, why: "", reason: "none" } })).toEqual([
      "guard/why-struck",
    ]);
  });
});

describe("parts on order and minutes", () => {
  const order = (state: "ordered" | "arrived" | "cancelled") =>
    ({ kind: "order-linked", payload: { part: "Belt", state, from: "", expectedOn: null } }) as NewEntry;
  const time = (seconds: number, how: "counted" | "typed" = "typed") =>
    ({ kind: "time-spent", payload: { seconds, how, why: "" } }) as NewEntry;
  const log = (...entries: readonly NewEntry[]) =>
    logOf(
      ["taken-in", CARDER],
      ...entries.map((one) => [one.kind, one.payload] as unknown as Parameters<typeof logOf>[number]),
    );

  it("a part arrives once after each order, and is not ordered twice at once", () => {
    expect(codes(log(), order("arrived"))).toEqual(["guard/no-order"]);
    expect(codes(log(order("ordered")), order("ordered"))).toEqual(["guard/ordered-already"]);
    expect(codes(log(order("ordered")), order("arrived"))).toEqual([]);
    expect(codes(log(order("ordered"), order("arrived")), order("arrived"))).toEqual(["guard/order-settled"]);
    expect(codes(log(order("ordered"), order("cancelled")), order("ordered"))).toEqual([]);
  });

  it("a correction takes off no more minutes than there are; counted time runs forward only", () => {
    expect(codes(log(), time(-60))).toEqual(["guard/less-than-nothing"]);
    expect(codes(log(time(1260, "counted")), time(-600))).toEqual([]);
    expect(codes(log(), time(-5, "counted"))).toEqual(["guard/counted-back"]);
    expect(viewOf(log(time(1260, "counted"), time(-600))).secondsSpent).toBe(660);
  });
});
