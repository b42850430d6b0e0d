import {
  EMPTY_BILL_FACTS,
  EMPTY_FOLLOW_UP_FACTS,
  EMPTY_REFITTED_FACTS,
  EMPTY_REMOVED_FACTS,
} from "@/core/job/log/empty-facts";
import { STRIKE_REASONS } from "@/core/job/log/strike-reasons";
import type { JobView } from "@/core/job/log/view";
import type { BenchEvent } from "@/core/safety/bench-event.input";
import { openDangers } from "@/core/safety/dangers/danger";
import { viewOf } from "./entries";
import {
  type Action,
  act,
  answered,
  anyAnswer,
  benchEvent,
  CAPACITOR_PLATE,
  CHECKS,
  CHOSEN,
  chance,
  checked,
  complaint,
  DEAD_ANSWERS,
  LIVE_ANSWERS,
  machine,
  next,
  pick,
  plateOf,
  type Walk,
  WORKS,
} from "./walk-parts";

const INSIDE = answered("turn-gears", "free", "now");

/** All that makes this machine safe, with one step left out now and then, and then hands go in. */
function makeSafe({ entries }: Walk): Action[] {
  const view = viewOf(entries);
  const { connection, stores, holds, hasBattery } = view.machine;
  const events: BenchEvent[] = [
    ...(connection === "battery"
      ? []
      : [
          connection === "fixed"
            ? ({ event: "isolated", volts: 0, means: "two-pole tester" } as const)
            : ({ event: "unplugged", evidence: "plug-in-sight" } as const),
        ]),
    ...(hasBattery ? [{ event: "battery", is: "out" } as const] : []),
    ...stores.map((id) =>
      chance(0.5)
        ? ({ event: "stored-clip", id } as const)
        : ({
            event: "stored-volts",
            id,
            volts: 0.3,
            dielectric: pick(["film", "electrolytic"] as const),
          } as const),
    ),
    ...stores.map((id) => ({ event: "stored-volts", id, volts: 0.4, dielectric: "electrolytic" }) as const),
    ...holds.map((id) => ({ event: "held", id, is: "held" }) as const),
    ...(view.machine.runsOn ? [{ event: "held", id: "coasting", is: "held" } as const] : []),
  ];
  return [...events.filter(() => chance(0.93)).map((event) => act("bench-state", event)), INSIDE, INSIDE];
}

/** Answers and checks of this walk that pass a test, by the test's name in the program. */
const PASSES: ReadonlyMap<string, () => Action> = new Map([
  ...CHECKS.map((id) => [`check:${id}`, () => checked(id, "passed", "now")] as const),
  ...(
    [
      ["each-lead-insulation", "good"],
      ["look-terminals", "bright"],
      ["look-damp", "dry"],
      ["look-capacitor", "flat"],
      ["switch-ohms", "closed"],
      ["fuse-ohms", "whole"],
    ] as const
  ).map(([moveId, outcome]) => [`move:${moveId}`, () => answered(moveId, outcome, "afterwards")] as const),
]);

/** A finding that is a reason for what happened, with the repair that mends it. */
const LOCKED = ["turn-shaft-load-off", "locked", "bearing-seized"] as const;
const LEAKS = ["each-lead-insulation", "winding-low", "earth-fault"] as const;
const REASON_FOR: ReadonlyMap<string, readonly [moveId: string, outcome: string, fault: string]> = new Map<
  string,
  readonly [string, string, string]
>([
  ["trip", LOCKED],
  ["smoke", LOCKED],
  ["smell", LOCKED],
  ["told-smoke", LOCKED],
  ["residual-trip", LEAKS],
  ["tingle", LEAKS],
  ["told-residual-trip", LEAKS],
  ["told-tingle", LEAKS],
  ["told-water", ["look-damp", "damp", "damp"]],
  ["told-runs-on", ["switch-ohms", "always-closed", "contact-welded"]],
]);

function mend(faultIds: readonly string[]): Action {
  return act("intervention", {
    repair: "",
    label: "",
    faultIds: [...faultIds],
    success: 0.97,
    seen: null,
    part: "none",
    taken: "afterwards",
  });
}

const mendable = new Set(WORKS.flat());

/** What mends an open danger and passes its test, as far as it can be done with power off. */
function settle({ entries }: Walk): Action[] {
  const { live } = viewOf(entries);
  return openDangers(live.dangers).flatMap(({ kind, test, remedies, remediedBy }): Action[] => {
    const reason = REASON_FOR.get(kind);
    const faults = remedies.flatMap((one) => (typeof one === "object" && "faults" in one ? one.faults : []));
    const known = faults.filter((id) => mendable.has(id)).slice(0, 1);
    const mends =
      remediedBy > 0
        ? []
        : known.length > 0
          ? [mend(known)]
          : reason
            ? [answered(reason[0], reason[1], "afterwards"), mend([reason[2]])]
            : [mend([pick(["start-capacitor-low", "contact-welded", "damp", "cord-broken"])])];
    const pass = PASSES.get(reason ? `move:${reason[0]}` : test)?.();
    if (kind === "temporary" || kind === "asked-anew")
      return [act("part-chosen", { ...CHOSEN, forPart: test.split(":")[1] ?? "" })];
    if (kind === "clip-under-power") return [act("bench-state", { event: "clips-off" })];
    if (kind === "left-out")
      return [act("refitted", { ...EMPTY_REFITTED_FACTS, line: Number(test.split(":")[1]), how: "back" })];
    if (kind === "contradiction") return [act("nameplate", plateOf("24"))];
    return [...mends, ...(pass ? [pass] : [])];
  });
}

/** All that lets a machine leave as repaired, with one step left out now and then. */
function finish(walk: Walk): Action[] {
  const view = viewOf(walk.entries);
  const when = view.complaint?.circumstance;
  const steps = [
    ...settle(walk),
    act("intervention", {
      repair: "",
      label: "Fitted",
      faultIds: pick(WORKS),
      success: 0.97,
      seen: null,
      part: "none",
      taken: "afterwards",
    }),
    ...view.removed
      .filter(({ refit }) => refit === null)
      .map(({ seq }) => act("refitted", { ...EMPTY_REFITTED_FACTS, line: seq, how: "back" })),
    ...view.bench.opened.map((access) => act("closed", { access, taken: "afterwards" })),
    ...CHECKS.slice(0, 3).map((id) => checked(id, "passed", "afterwards")),
    ...earned(view),
    // It runs, and whoever comes back to it says once more that it is plugged in.
    ...earned(view).map((again) => ({ ...again, wait: pick([0, 12, 31, 31, 31, 31, 31, 31]) })),
    act(
      "acceptance-run",
      {
        circumstance: when === "cold" || when === "hot" || when === "loaded" ? when : "idle",
        minutes: 30,
        result: "gone",
        words: "",
        figures: [],
        turns: "not-said",
        outlet: "residual-current",
        taken: "now",
      },
      "none",
      "guards-on",
    ),
  ];
  return steps.filter(() => chance(0.96));
}

/** Power as it is earned: behind the device that trips, said with the plug. */
function earned(view: JobView): Action[] {
  if (view.machine.connection === "battery") return [];
  return [act("bench-state", { event: "plugged-in", outlet: "residual-current" })];
}

/** All that live work asks for, with one step left out now and then, and then the machine is switched on. */
function makeLive(walk: Walk): Action[] {
  const view = viewOf(walk.entries);
  const steps = [
    ...settle(walk),
    ...view.removed
      .filter(({ refit }) => refit === null)
      .map(({ seq }) => act("refitted", { ...EMPTY_REFITTED_FACTS, line: seq, how: "back" })),
    ...view.bench.opened.map((access) => act("closed", { access, taken: "afterwards" })),
    ...(view.live.owesLookInside ? [answered("look-terminals", "bright", "afterwards")] : []),
    ...(chance(0.7)
      ? CHECKS.slice(0, 3)
      : (["look-and-cord", "earth-continuity", "ohms-to-metal"] as const)
    ).map((id) => checked(id, "passed", "afterwards")),
    ...earned(view),
    ...(chance(0.3) ? [checked("leakage", "passed", "now")] : []),
  ];
  return [...steps.filter(() => chance(0.96)), ...[0, 1, 2].map(() => anyAnswer(LIVE_ANSWERS, "now"))];
}

export function anyEntry(walk: Walk): Action {
  if (walk.queue.length === 0 && chance(0.15))
    walk.queue = pick([makeSafe, makeSafe, finish, makeLive])(walk);
  return walk.queue.shift() ?? astray(walk);
}

/** What it is by the table of protections. */
const PROTECTS: ReadonlyMap<string, string> = new Map([
  ["cover", "guard"],
  ["washer", "none"],
]);
/** What hands need for what came off. */
const NEEDS = { washer: "turning-inside", wire: "turning-inside", cover: "turning" } as const;

function astray({ entries }: Walk): Action {
  const line = 1 + Math.floor(next() * (entries.length + 1));
  const taken = pick(["now", "afterwards"] as const);
  const off = [...entries].reverse().find(({ kind }) => kind === "removed");
  return pick([
    () => act("bench-state", benchEvent()),
    () => act("bench-state", benchEvent()),
    () => act("bench-state", benchEvent()),
    () => anyAnswer(DEAD_ANSWERS, taken),
    () => anyAnswer(LIVE_ANSWERS, taken),
    () => checked(pick(CHECKS), pick(["passed", "passed", "failed", "undecided"]), taken),
    () => act("taken-in", machine()),
    () => act("reopened", { why: "x" }),
    () => act("opened", { access: "hump", is: "capacitor-cover", taken }, "turning"),
    () => act("closed", { access: "hump", taken }, "turning"),
    () => {
      const what = pick([
        { sort: "washer", what: "wave washer" },
        { sort: "wire", what: "blue lead" },
        { sort: "cover", what: "blade guard" },
      ] as const);
      const payload = { ...what, count: pick([1, 3]), where: "", ...EMPTY_REMOVED_FACTS, taken };
      return act("removed", payload, NEEDS[what.sort]);
    },
    () => {
      const how = pick(["back", "replaced", "left-out"] as const);
      const isIt = chance(0.6) && off?.kind === "removed";
      const payload = { ...EMPTY_REFITTED_FACTS, line: isIt ? off.seq : line, how, why: "x", taken };
      const sort = isIt ? off.payload.sort : "cover";
      const protects =
        sort === "wire" ? pick(["not-said", "earth", "none"]) : (PROTECTS.get(sort) ?? "not-said");
      const need = how === "left-out" ? "none" : sort === "cover" ? "turning" : "turning-inside";
      return act("refitted", { ...payload, protects, count: pick([null, 1, 2]) }, need);
    },
    () => {
      const done = { repair: "", label: "Fitted", faultIds: pick(WORKS), success: 0.97, seen: null } as const;
      return act("intervention", { ...done, part: "none", taken }, "turning-inside");
    },
    () => {
      const result = pick(["gone", "gone", "still-there"] as const);
      return act(
        "acceptance-run",
        {
          circumstance: pick(["cold", "hot", "loaded", "idle"]),
          minutes: pick([0.001, 5, 30]),
          result,
          words: "",
          figures: chance(0.3) ? [{ quantity: "time", before: "", after: "2 s" }] : [],
          turns: "not-said",
          outlet: "residual-current",
          taken,
        },
        "none",
        result === "gone" ? "guards-on" : "off",
      );
    },
    () => act("complaint", complaint()),
    () => act("struck", { seq: line, why: "", reason: pick(["none", "slip", ...STRIKE_REASONS]) }),
    () => act("struck", { seq: entries.length, why: "", reason: pick(["none", "slip", ...STRIKE_REASONS]) }),
    () =>
      act("part-chosen", { ...CHOSEN, forPart: pick(["start", "fuse"]), fit: pick(["fit", "temporary"]) }),
    () => act("nameplate", chance(0.5) ? plateOf(pick(["", "230", "24"])) : CAPACITOR_PLATE),
    () => act("restored", { seq: line }),
    () =>
      act("follow-up", {
        ...EMPTY_FOLLOW_UP_FACTS,
        what: "look",
        onDay: pick([null, "2026-11-24", "2027-01-05"]),
      }),
    () => act("note", { text: "x" }),
    () =>
      act("signed-off", {
        word: "not-yet-proven",
        unproven: [],
        minutes: 1,
        labourMinor: 0,
        partsMinor: 0,
        watch: "",
        ...EMPTY_BILL_FACTS,
      }),
  ])();
}
