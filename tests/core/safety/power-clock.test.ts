import { describe, expect, it } from "vitest";
import type { Entry } from "@/core/job/log/entry";
import { minutesCounted } from "@/core/safety/power-clock";
import { type Line, logOf, OUT, ran, T0, viewOf } from "../job/entries";
import { CHECKED, FIT, PLUGGED, told, took, wordOf } from "./promise-lines";

/** The log with each line so many minutes after the first. */
const at = (minutes: readonly number[], ...lines: readonly Line[]): Entry[] =>
  logOf(...lines).map((entry, index) => ({
    ...entry,
    at: new Date(T0 + (minutes[index] ?? 0) * 60_000).toISOString(),
  }));
const lasted = (entries: readonly Entry[], minutes: number): number[] =>
  viewOf(entries).live.runs.map((span) => minutesCounted(minutes, span));

const BATTERY = took({ connection: "battery", protectionClass: "battery" });
const battery = (is: "in" | "out"): Line => ["bench-state", { event: "battery", is }];

describe("a run counts from power to the end it claims", () => {
  it.each<[string, readonly number[], readonly Line[], readonly number[]]>([
    ["twenty minutes after plugging in", [0, 1, 22], [took(), PLUGGED, ran()], [20]],
    ["three minutes after, the minute it is typed in rounded up", [0, 1, 4], [took(), PLUGGED, ran()], [4]],
    ["said to be plugged in twice", [0, 1, 20, 21], [took(), PLUGGED, PLUGGED, ran()], [20]],
    [
      "unplugged in between",
      [0, 1, 20, 21, 22],
      [took(), PLUGGED, ["bench-state", OUT], PLUGGED, ran()],
      [2],
    ],
    ["two runs, the second inside the first", [0, 1, 22, 24], [took(), PLUGGED, ran(), ran()], [20, 3]],
    ["a clock that was set back", [0, 61, 2], [took(), PLUGGED, ran()], [1]],
    ["a battery nobody said is in again", [0, 5, 12], [BATTERY, battery("out"), ran()], [8]],
    ["a battery that was said to be in", [0, 5, 9, 12], [BATTERY, battery("out"), battery("in"), ran()], [4]],
    ["nothing said of power before it", [0, 30], [took(), ran()], [1]],
  ])("%s", (_, minutes, lines, counted) => {
    expect(lasted(at(minutes, ...lines), 20)).toEqual(counted);
  });

  it("a longer claim is named, and stands against “repaired”", () => {
    const after20 = told({ circumstance: "after-minutes", afterMinutes: 20 });
    const done = [took(), after20, FIT, ...CHECKED, PLUGGED, ran({ minutes: 25 })];
    expect(wordOf(...done)).toEqual({ word: "not-yet-proven", unproven: ["run-clock"] });
  });
});
