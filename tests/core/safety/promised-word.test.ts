import { describe, expect, it } from "vitest";
import { EMPTY_REFITTED_FACTS } from "@/core/job/log/empty-facts";
import { check, type Line, ran } from "../job/entries";
import { answer, CHECKED, FIT, missing, off, PLUGGED, START, told, took, wordOf } from "./promise-lines";

describe("“repaired” means it", () => {
  const DONE: readonly Line[] = [...START, FIT, ...CHECKED, PLUGGED];
  it("is said when all is in", () => {
    expect(wordOf(...DONE, ran())).toEqual({ word: "repaired", unproven: [] });
  });

  it.each<[string, readonly Line[], string, string]>([
    [
      "an earth that failed in Isolate",
      [...DONE, ran(), answer("earth-ohms", "open", "afterwards")],
      "do-not-use",
      "failed-check",
    ],
    [
      "a blade guard left out",
      [
        ...START,
        off("cover", "blade guard"),
        ["refitted", { ...EMPTY_REFITTED_FACTS, line: 3, how: "left-out", why: "lost" }],
        FIT,
        ...CHECKED,
        PLUGGED,
        ran(),
      ],
      "do-not-use",
      "protection-left-out",
    ],
    [
      "a look that was not sure, struck out again after it was passed",
      [
        ...DONE,
        ran(),
        ["reading", check("look-and-cord", "undecided")],
        ["struck", { seq: DONE.length + 2, why: "", reason: "asked-again" }],
      ],
      "not-yet-proven",
      "final-look",
    ],
    ["a run of a moment", [...DONE, ran({ minutes: 0.001 })], "not-yet-proven", "run-too-short"],
    [
      "a hot run of five minutes",
      [took(), told({ circumstance: "hot" }), FIT, ...CHECKED, PLUGGED, ran({ circumstance: "hot" })],
      "not-yet-proven",
      "condition-hot",
    ],
    [
      "twenty minutes told, then load told: five under load",
      [
        took(),
        told({ circumstance: "after-minutes", afterMinutes: 20 }),
        told({ circumstance: "loaded" }),
        FIT,
        ...CHECKED,
        PLUGGED,
        ran({ minutes: 25 }),
        ran({ circumstance: "loaded" }),
      ],
      "not-yet-proven",
      "condition-loaded",
    ],
    [
      "first told cold, then said to be always",
      [took(), told({ circumstance: "cold" }), told(), FIT, ...CHECKED, PLUGGED, ran()],
      "not-yet-proven",
      "condition-cold",
    ],
    [
      "failed, then ran, with nothing done in between",
      [...DONE, ran({ result: "still-there" }), ran()],
      "not-yet-proven",
      "run-not-explained",
    ],
    ["a run written down late", [...DONE, ran({ taken: "afterwards" })], "not-yet-proven", "run-late"],
    [
      "a fuse renewed, its cause open",
      [
        ...START,
        [
          "intervention",
          {
            repair: "",
            label: "Fuse",
            faultIds: ["fuse-open"],
            success: 0.9,
            seen: null,
            part: "none",
            taken: "afterwards",
          },
        ],
        ...CHECKED,
        PLUGGED,
        ran(),
      ],
      "not-yet-proven",
      "only-consequence",
    ],
    [
      "class said anew after the tests",
      [...DONE, ran(), took({ heater: "yes" })],
      "not-yet-proven",
      "final-insulation",
    ],
    [
      "a brake worked on, its stop not timed",
      [
        took({ hazards: ["blades"] }),
        told(),
        [
          "intervention",
          {
            repair: "",
            label: "Brake",
            faultIds: ["brake-drags"],
            success: 0.9,
            seen: null,
            part: "none",
            taken: "afterwards",
          },
        ],
        ...CHECKED,
        PLUGGED,
        ran(),
      ],
      "not-yet-proven",
      "brake-not-timed",
    ],
    [
      "a machine that tingled, untested",
      [took(), told({ signs: ["tingle"] }), FIT, PLUGGED, ran()],
      "do-not-use",
      "unsafe-untested",
    ],
  ])("%s", (_, lines, word, code) => {
    const said = wordOf(...lines);
    expect(said.word).toBe(word);
    expect(said.unproven).toContain(code);
  });

  it("a repair that may cure a brake among others asks for no timed stop where no blades run on", () => {
    const eased: Line = [
      "intervention",
      {
        repair: "",
        label: "Freed",
        faultIds: ["load-stiff", "brake-drags"],
        success: 0.9,
        seen: null,
        part: "none",
        taken: "afterwards",
      },
    ];
    expect(wordOf(...START, eased, ...CHECKED, PLUGGED, ran()).word).toBe("repaired");
  });

  it("a failed test is struck out only with a reason", () => {
    const lines: readonly Line[] = [...START, ["reading", check("insulation", "failed")]];
    expect(missing(lines, ["struck", { seq: 3, why: "", reason: "none" }])).toBe("none");
    expect(
      missing(lines, ["struck", { seq: 3, why: "tester was flat", reason: "typed-wrongly" }]),
    ).toBeUndefined();
  });
});
