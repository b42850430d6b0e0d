import { describe, expect, it } from "vitest";
import { chargeState } from "@/core/safety/charge-state";
import { openDangers } from "@/core/safety/dangers/danger";
import { type Line, logOf, viewOf } from "../job/entries";
import { LIMITS } from "../shop-context";
import { CHECKED, missing, PLUGGED, RUN, START } from "./promise-lines";

const struck = (seq: number): Line => ["struck", { seq, why: "", reason: "typed-wrongly" }];
const open = (...lines: readonly Line[]): string[] =>
  openDangers(viewOf(logOf(...lines)).live.dangers).map(({ kind }) => kind);

describe("a clip whose line was struck out", () => {
  it("is on all the same, until it is said to be off", () => {
    const clip: Line = ["bench-state", { event: "stored-clip", id: "start" }];
    const lines: readonly Line[] = [...START, clip, struck(3), ...CHECKED, PLUGGED];
    expect(open(...lines)).toEqual(["clip-under-power"]);
    expect(missing(lines, RUN)).toContain("clip");
    expect(open(...lines, ["bench-state", { event: "clips-off" }])).toEqual([]);
  });

  it("holds no charge down: what was read under it lapses, or was never read", () => {
    const clip: Line = ["bench-state", { event: "stored-clip", id: "bus" }];
    const read = (volts: number): Line => [
      "bench-state",
      { event: "stored-volts", id: "bus", volts, dielectric: "electrolytic" },
    ];
    const charge = (...lines: readonly Line[]) =>
      chargeState(viewOf(logOf(...lines)).bench, "bus", "2026-11-26T12:00:00Z", LIMITS);
    expect(charge(...START, clip, read(0.4))).toBe("clip");
    expect(charge(...START, clip, struck(3), read(0.4), read(0.4))).toBe("lapsed");
    expect(charge(...START, clip)).toBe("clip-unread");
    expect(charge(...START, clip, struck(3))).toBe("not-read");
    expect(charge(...START, clip, clip, struck(4), read(0.4))).toBe("clip");
    expect(charge(...START, clip, struck(3), clip, read(0.4))).toBe("clip");
  });
});
