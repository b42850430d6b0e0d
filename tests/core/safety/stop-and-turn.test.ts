import { describe, expect, it } from "vitest";
import type { AcceptanceRun } from "@/core/job/log/entry";
import { openDangers } from "@/core/safety/dangers/danger";
import { currentVersion, readPayload } from "@/log/read-payload";
import { type Line, logOf, ran, viewOf } from "../job/entries";
import { KNOWLEDGE, LIMITS } from "../shop-context";
import { CHECKED, PLUGGED, told, took, wordOf } from "./promise-lines";

const repaired = (repair: string, faultId: string): Line => [
  "intervention",
  {
    repair,
    label: "Fitted",
    faultIds: [faultId],
    success: 0.97,
    seen: null,
    part: "same",
    taken: "afterwards",
  },
];
const MOTOR = repaired("fit-motor", "winding-shorted");
const stop = (after: string): AcceptanceRun["figures"] => [{ quantity: "time", before: "", after }];
const open = (...lines: readonly Line[]) =>
  openDangers(viewOf(logOf(...lines)).live.dangers).map(({ kind, test }) => `${kind} ${test}`);
const begun = (machine: string): Line[] => [
  took({ machine, hazards: [] }),
  told(),
  MOTOR,
  ...CHECKED,
  PLUGGED,
];

describe("another motor", () => {
  it("owes a look at which way it turns, and the stop of what runs on", () => {
    expect(open(...begun("Wool carder"))).toEqual(["direction turns"]);
    expect(open(...begun("Hedge trimmer"))).toEqual(["brake stop-time", "direction turns"]);
    expect(wordOf(...begun("Wool carder"), ran()).unproven).toContain("direction");
    expect(wordOf(...begun("Wool carder"), ran({ turns: "right" })).word).toBe("repaired");
  });

  it("that turns the wrong way is not used, until its leads are worked on and it is seen to turn right", () => {
    const wrong = [...begun("Wool carder"), ran({ turns: "wrong" })];
    expect(wordOf(...wrong).word).toBe("do-not-use");
    expect(wordOf(...wrong, ran({ turns: "right" })).word).toBe("do-not-use");
    const swapped = repaired("", "misconnected");
    const again = [...wrong, swapped, ...CHECKED, PLUGGED, ran({ turns: "right" })];
    expect(open(...again)).toEqual([]);
    expect(wordOf(...again).word).toBe("repaired");
  });

  it("is owed by every repair whose leads can be joined wrongly, and by no other", () => {
    const owed = KNOWLEDGE.repairs.filter(({ id }) =>
      open(took(), told(), repaired(id, "start-capacitor-low")).includes("direction turns"),
    );
    expect(owed.map(({ id }) => id)).toEqual(["fit-motor", "fit-field"]);
  });
});

describe("a stop that was timed", () => {
  it.each([
    ["Hedge trimmer", "0.9 s", "1.4 s"],
    ["Lawn mower", "2.8 s", "4 s"],
    ["Table saw", "9 s", "12 s"],
  ])("of a %s is held to the limit of its kind", (machine, within, over) => {
    const lines = [...begun(machine).filter((line) => line !== MOTOR), repaired("", "brake-drags")];
    const run = (after: string) => [...CHECKED, PLUGGED, ran({ figures: stop(after), turns: "right" })];
    expect(open(...lines, ...run(within))).toEqual([]);
    expect(open(...lines, ...run(over))).toEqual(["brake stop-time", "runs-wrong stop-time"]);
    expect(wordOf(...lines, ...run(over)).word).toBe("do-not-use");
    // Timed again without work it stays; mended and timed again it is closed.
    expect(open(...lines, ...run(over), ...run(within))).toEqual(["runs-wrong stop-time"]);
    expect(open(...lines, ...run(over), repaired("", "brake-drags"), ...run(within))).toEqual([]);
  });

  it("of a machine whose kind has no limit says nothing against it, and tries its brake within the common one", () => {
    const scratter = [took({ machine: "Cider scratter", hazards: [] }), told(), ...CHECKED, PLUGGED];
    expect(open(...scratter, ran({ figures: stop("40 s") }))).toEqual([]);
    const braked = [...scratter, repaired("", "brake-drags"), ...CHECKED, PLUGGED];
    expect(open(...braked, ran({ figures: stop("40 s") }))).toEqual(["brake stop-time"]);
    expect(open(...braked, ran({ figures: stop("8 s") }))).toEqual([]);
  });

  it.each(["0 s", "-1 s", "0"])("of %s is refused", (after) => {
    const [, run] = ran({ figures: stop(after) });
    const read = readPayload("acceptance-run", run, currentVersion("acceptance-run"));
    expect(read.ok).toBe(false);
  });

  it("that is no figure tries nothing", () => {
    const lines = [...begun("Hedge trimmer"), ran({ figures: stop("soon"), turns: "right" })];
    expect(open(...lines)).toEqual(["brake stop-time"]);
  });

  it("has a row of the limits for each kind that names one, none looser than the common one", () => {
    const rows = KNOWLEDGE.archetypes.flatMap(({ stop: row }) => row ?? []);
    expect(rows.length).toBeGreaterThan(5);
    for (const row of rows) expect(LIMITS[row]?.value).toBeLessThanOrEqual(LIMITS["stop-time"]?.value ?? 0);
  });
});
