import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import type { JobView } from "@/core/job/log/view";
import { Drift } from "@/islands/charts/Drift";
import { driftPoints } from "@/islands/charts/drift-points";
import { CARDER, type Line, logOf, viewOf } from "../core/job/entries";
import { found } from "../tools/run-tool";
import { SHOP } from "./job-fixture";

const METER = { percent: 1.5, counts: 5, resolution: "0.01u", mode: "ramp" };
const read = (reading: string): Line => {
  const input = { mark: "8 μF ±5 % 450 VAC", reading, meter: METER, bleedResistor: "none" };
  return [
    "reading",
    {
      of: "tool",
      toolId: "capacitor-against-mark",
      moveId: "run-capacitance",
      input,
      finding: found("capacitor-against-mark", input),
      taken: "now",
      looseReadingId: null,
    },
  ];
};
const FITTED: Line = [
  "intervention",
  {
    repair: "",
    label: "Run capacitor fitted",
    faultIds: ["run-capacitor-low"],
    success: 0.95,
    seen: null,
    part: "matched",
    taken: "afterwards",
  },
];
const jobOf = (...lines: readonly Line[]): JobView => viewOf(logOf(["taken-in", CARDER], ...lines));
const valuesOf = (job: JobView): number[] => {
  const last = job.readings.at(-1);
  return last ? driftPoints([job], last).map(({ value }) => value) : [];
};

describe("what the same part read before", () => {
  afterEach(cleanup);

  it("is told with its change and its table", () => {
    const job = jobOf(read("7.9u"), read("7.11u"));
    const last = job.readings.at(-1);
    if (!last) throw new Error("no reading");
    render(<Drift job={job} shop={SHOP} last={last} />);
    expect(screen.getByText(/10 % less than at first/)).toBeTruthy();
    expect(screen.getAllByRole("row")).toHaveLength(3);
  });

  it("ends with a repair: after it, it may be another part", () => {
    expect(valuesOf(jobOf(read("5.07u"), FITTED, read("7.91u")))).toEqual([7.91e-6]);
    expect(valuesOf(jobOf(read("5.07u"), FITTED, read("7.91u"), read("7.85u")))).toEqual([7.91e-6, 7.85e-6]);
  });
});
