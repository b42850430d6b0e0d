import { describe, expect, it } from "vitest";
import { EMPTY_REFITTED_FACTS } from "@/core/job/log/empty-facts";
import { gapsFor } from "@/core/safety/bench-gaps";
import { check, type Line, logOf, OUT, ran, T0, viewOf } from "../job/entries";
import { LIMITS } from "../shop-context";
import {
  answer,
  CHECKED,
  MEASURED,
  missing,
  off,
  PLUGGED,
  READY,
  RUN,
  read,
  SIGNED,
  START,
  told,
  took,
} from "./promise-lines";

describe("power is remembered", () => {
  it.each<[string, Line]>([
    ["a live answer", RUN],
    ["a run", ran()],
  ])("%s made now is plugged in, and clears what was drained and held", (_, live) => {
    const held: Line = ["bench-state", { event: "held", id: "belt", is: "held" }];
    const view = viewOf(
      logOf(took({ hazards: ["belt"] }), told(), ["bench-state", OUT], read(0.2), held, live),
    );
    expect(view.bench).toMatchObject({ plug: "plugged-in", stored: [], held: [] });
  });

  it("a run wired in takes the isolation away", () => {
    const isolated: Line = ["bench-state", { event: "isolated", volts: 0, means: "tester" }];
    const view = viewOf(logOf(took({ connection: "fixed" }), told(), isolated, RUN));
    expect(view.bench).toMatchObject({ plug: "plugged-in", provenDead: undefined });
  });

  it("live work written down late leaves nobody sure of the plug, and what was drained is read again", () => {
    const view = viewOf(
      logOf(...START, ["bench-state", OUT], read(0.2), answer("switch-on", "runs", "afterwards")),
    );
    expect(view.bench).toMatchObject({ plug: "not-known", stored: [] });
  });

  it("a live answer that is struck out leaves a doubt", () => {
    const view = viewOf(
      logOf(...READY, RUN, ["bench-state", OUT], read(0.2), ["struck", { seq: 7, why: "", reason: "none" }]),
    );
    expect(view.bench).toMatchObject({ plug: "not-known", stored: [] });
  });

  it("a machine with a board stores charge there, whatever its motor", () => {
    expect(viewOf(logOf(took({ family: "universal" }))).machine.stores).toEqual(["bus", "suppressor"]);
    expect(viewOf(logOf(took({ family: "split-phase" }))).machine.stores).toEqual([]);
    const view = viewOf(logOf(took({ family: "universal" }), ["bench-state", OUT], read(0.2, "suppressor")));
    const now = new Date(T0 + 120_000).toISOString();
    expect(gapsFor(view.bench, "hands-inside", view.machine, now, LIMITS)).toEqual(["charge"]);
  });

  it("nobody knows how it is fed: the battery is asked for as well", () => {
    expect(viewOf(logOf(took({ connection: "not-known" }))).machine.hasBattery).toBe(true);
  });

  it("with a second feed a plug that is out proves nothing", () => {
    const view = viewOf(
      logOf(took({ hazards: ["second-feed"], family: "split-phase" }), ["bench-state", OUT]),
    );
    expect(gapsFor(view.bench, "plug-out", view.machine, "2026-11-25T09:05:00Z", LIMITS)).toEqual(["plug"]);
  });

  it.each(["2,100 VAC", "2 100 V~", "2.1 kV", "3 kVDC"])("a plate that says %s ends it here", (text) => {
    const plate: Line = [
      "nameplate",
      {
        plate: "motor",
        volts: "",
        hertz: "",
        amps: "",
        power: "",
        speed: "",
        powerIs: "not-said",
        typeCode: "",
        duty: "",
        enclosure: "",
        text,
      },
    ];
    expect(viewOf(logOf(took(), plate)).machine.blocks).toEqual(["inside", "power"]);
    expect(missing([...READY.slice(0, 1), plate, ...READY.slice(1)], RUN)).toEqual(["stop"]);
  });
});

describe("live work is earned", () => {
  it("is granted when all is in, and only then", () => {
    expect(missing(READY, RUN)).toBeUndefined();
    expect(missing(START, RUN)).toEqual(["dead-checks", "outlet"]);
  });

  it.each<[string, readonly Line[], Line, readonly string[]]>([
    [
      "an outlet that is no residual-current one",
      [...START, ...CHECKED, ["bench-state", { event: "plugged-in", outlet: "other" }]],
      RUN,
      ["outlet"],
    ],
    [
      "a cover left open",
      [...READY, ["opened", { access: "hump", is: "capacitor-cover", taken: "afterwards" }]],
      RUN,
      ["cover-open"],
    ],
    [
      "a blade guard left out",
      [
        ...START,
        ...CHECKED,
        off("cover", "blade guard"),
        ["refitted", { ...EMPTY_REFITTED_FACTS, line: 6, how: "left-out", why: "lost" }],
        PLUGGED,
      ],
      RUN,
      ["danger"],
    ],
    [
      "insulation that failed, by another move",
      [...READY, answer("each-lead-insulation", "one-low", "afterwards")],
      RUN,
      ["danger"],
    ],
    [
      "a cord that was found crushed",
      [...READY, answer("look-cord", "crushed", "afterwards")],
      RUN,
      ["danger"],
    ],
    [
      "a motor of unknown kind, measured",
      [took({ family: "not-known" }), told(), ...CHECKED, PLUGGED],
      MEASURED,
      ["family"],
    ],
    [
      "a motor of unknown kind, run with the guards on",
      [took({ family: "not-known" }), told(), ...CHECKED, PLUGGED],
      RUN,
      [],
    ],
    ["a cover off with power on", READY, answer("relay-volts", "through"), ["licensed"]],
    [
      "a second trip",
      [...READY, answer("switch-on", "trips-at-once"), answer("switch-on", "trips-after"), PLUGGED],
      RUN,
      ["danger"],
    ],
    [
      "smoke under power",
      [...READY, ["bench-state", { event: "incident", what: "smoke" }], ...CHECKED, PLUGGED],
      RUN,
      ["danger"],
    ],
    [
      "smoke that was told, nobody looked inside",
      [took(), told({ signs: ["smoke"] }), ...CHECKED, PLUGGED],
      RUN,
      ["danger", "look-inside"],
    ],
    [
      "smoke that was told, looked inside since",
      [
        took(),
        told({ signs: ["smoke"] }),
        ...CHECKED,
        answer("look-terminals", "bright", "afterwards"),
        PLUGGED,
      ],
      RUN,
      ["danger"],
    ],
    [
      "smoke that was told, its cause found and mended since",
      [
        took(),
        told({ signs: ["smoke"] }),
        answer("look-terminals", "bright", "afterwards"),
        answer("turn-shaft-load-off", "locked", "afterwards"),
        [
          "intervention",
          {
            repair: "",
            label: "Bearings",
            faultIds: ["bearing-seized"],
            success: 0.9,
            seen: null,
            part: "none",
            taken: "afterwards",
          },
        ],
        ...CHECKED,
        PLUGGED,
      ],
      RUN,
      [],
    ],
    [
      "a tripped RCD told after the insulation was read",
      [...START, ...CHECKED, told({ signs: ["trips-residual"] }), PLUGGED],
      RUN,
      ["dead-checks"],
    ],
    [
      "told that it shows when it is wet, after the insulation was read",
      [...START, ...CHECKED, told({ circumstance: "wet" }), PLUGGED],
      RUN,
      ["dead-checks"],
    ],
    [
      "told that it shows when it is wet, and read since",
      [...START, told({ circumstance: "wet" }), ...CHECKED, PLUGGED],
      RUN,
      [],
    ],
    [
      "wires off and on again since the insulation was read",
      [
        ...START,
        ...CHECKED,
        off("wire", "blue"),
        ["refitted", { ...EMPTY_REFITTED_FACTS, line: 6, how: "back" }],
        PLUGGED,
      ],
      RUN,
      ["dead-checks"],
    ],
    [
      "a cover that was only opened and closed: it warns",
      [
        ...START,
        ...CHECKED,
        ["opened", { access: "hump", is: "none", taken: "afterwards" }],
        ["closed", { access: "hump", taken: "afterwards" }],
        PLUGGED,
      ],
      RUN,
      [],
    ],
    [
      "a clip that is still on",
      [...START, ...CHECKED, ["bench-state", OUT], ["bench-state", { event: "stored-clip", id: "start" }]],
      RUN,
      ["clip", "outlet"],
    ],
    [
      "a class said anew after the tests",
      [...START, ...CHECKED, took({ protectionClass: "class-2" }), PLUGGED],
      RUN,
      ["dead-checks"],
    ],
    [
      "a machine that came back",
      [...READY, SIGNED, ["reopened", { why: "hums" }], PLUGGED],
      RUN,
      ["dead-checks"],
    ],
  ])("%s", (_, lines, entry, wanted) => {
    expect(missing(lines, entry) ?? []).toEqual(wanted);
  });

  describe("what power did stays open", () => {
    const trips = [...READY, answer("switch-on", "trips-at-once"), answer("switch-on", "trips-after")];
    const tingle: readonly Line[] = [...READY, ["bench-state", { event: "incident", what: "tingle" }]];
    const locked = answer("turn-shaft-load-off", "locked", "afterwards");
    const mended = (...faultIds: string[]): Line => [
      "intervention",
      { repair: "", label: "Mended", faultIds, success: 0.9, seen: null, part: "none", taken: "afterwards" },
    ];
    const granted = (...lines: readonly Line[]) => missing([...lines, ...CHECKED, PLUGGED], RUN);

    it("until what can do just that was found and mended: then its tests open the way", () => {
      expect(granted(...trips, locked)).toEqual(["danger"]);
      expect(granted(...trips, locked, mended("bearing-seized"))).toBeUndefined();
    });

    it.each<[string, readonly Line[]]>([
      [
        "by a blown fuse, which is a consequence",
        [...trips, answer("fuse-ohms", "open", "afterwards"), mended("fuse-open")],
      ],
      ["by a repair of something else", [...trips, locked, mended("belt-slips")]],
      ["by work that names no fault", [...trips, locked, mended()]],
      ["by a repair that came before anything was found", [...trips, mended("bearing-seized"), locked]],
      [
        "where it tingled, by a seized bearing: that lets nobody feel anything",
        [...tingle, locked, mended("bearing-seized")],
      ],
      [
        "by a reason that was found before it happened",
        [...READY, locked, ...trips.slice(READY.length), mended("bearing-seized")],
      ],
    ])("%s", (_, lines) => {
      expect(granted(...lines)).toEqual(["danger"]);
    });

    it("where it tingled, until an earth that failed was mended", () => {
      const failed: Line = ["reading", check("earth-continuity", "failed")];
      expect(granted(...tingle, failed)).toEqual(["danger"]);
      expect(granted(...tingle, failed, mended("cord-broken"))).toBeUndefined();
    });
  });

  it("late truth is never refused", () => {
    expect(missing([took()], answer("switch-on", "trips-residual", "afterwards"))).toBeUndefined();
    expect(missing([took()], ran({ taken: "afterwards" }))).toBeUndefined();
  });
});
