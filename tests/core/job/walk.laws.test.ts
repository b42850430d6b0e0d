import { describe, expect, it } from "vitest";
import type { Entry, NewEntry } from "@/core/job/log/entry";
import type { JobView } from "@/core/job/log/view";
import { collars, nextStep } from "@/core/job/next-step";
import { signOffWord } from "@/core/job/sign-off/sign-off";
import { isHere, type Standing, standingOf } from "@/core/job/standing";
import { limitOf } from "@/core/knowledge/resolve-limits";
import { partsOf } from "@/core/knowledge/touches";
import { applyBenchEvent } from "@/core/safety/bench-state";
import { openDangers } from "@/core/safety/dangers/danger";
import { guardEntry } from "@/log/guards";
import { KNOWLEDGE, TOOL_CARDS } from "../shop-context";
import { bareDangers } from "./bare-danger-reader";
import { keptBack } from "./bare-dangers";
import { handsMayGoIn } from "./bare-log";
import { powerMayComeOn } from "./bare-power";
import { againstRepaired } from "./bare-word";
import { logOf, viewOf } from "./entries";
import { anyEntry } from "./walk-actions";
import {
  chance,
  complaint,
  iso,
  machine,
  NEW_SHOP,
  next,
  PEOPLE,
  SEED,
  setUp,
  type Walk,
} from "./walk-parts";

const STEPS = Number(process.env["WALK_STEPS"] ?? 10_000);
/** A job is left and another one taken in after so many lines. */
const LINES_A_JOB = 60;
const SAFE_VOLTS = 5;

function append(walk: Walk, entry: NewEntry, by: string): void {
  const [made] = logOf(["note", { text: "x" }]);
  if (!made) return;
  walk.entries = [
    ...walk.entries,
    { ...made, ...entry, seq: walk.entries.length + 1, at: iso(walk.clock), by } as Entry,
  ];
}

function newJob(clock: number): Walk {
  const walk: Walk = { entries: [], queue: [], clock, watches: {}, shop: NEW_SHOP };
  append(walk, { kind: "taken-in", payload: machine() }, PEOPLE[0]);
  append(walk, { kind: "complaint", payload: complaint() }, PEOPLE[0]);
  return walk;
}

/** The watch of a screen: settled by its own bench line, touched by whatever it does, gone with a reload. */
function touch(walk: Walk, by: string, entry: NewEntry): void {
  const settles =
    entry.kind === "bench-state" &&
    ["plugged-in", "unplugged", "isolated", "battery"].includes(entry.payload.event);
  const old = walk.watches[by];
  const settledSeq = settles ? walk.entries.length : old?.settledSeq;
  if (settledSeq !== undefined) walk.watches[by] = { settledSeq, touchedAt: iso(walk.clock) };
}

/** What the database keeps of a job for the Bench, as it comes back from there. */
const kept = (view: JobView): Standing => JSON.parse(JSON.stringify(standingOf(view)));

function bandsOf(view: Standing, { clock, shop: { limits } }: Walk) {
  const { deadChecks, moves } = KNOWLEDGE;
  const context = {
    deadChecks,
    moves,
    tools: TOOL_CARDS,
    limits,
    now: iso(clock),
    zone: "Atlantic/Faroe",
  };
  const bands = [true, false].map((isPlugFresh) => ({
    step: nextStep(view, { ...context, isPlugFresh }),
    collars: collars(view, { ...context, isPlugFresh }),
  }));
  const isGone = bands.some(({ step }) => step.band === "gone");
  return { bands, word: signOffWord(view, { deadChecks, limits }), isHereOrGone: isHere(view) !== isGone };
}

describe(`a walk of ${STEPS} actions over the bench state and the guards`, () => {
  const counts = { hands: 0, live: 0, refused: 0, late: 0, repaired: 0 };
  const told = new Map<string, number>();
  const count = (what: string): void => void told.set(what, (told.get(what) ?? 0) + 1);
  it(
    "never lets hands in or power on without evidence, never says repaired against SAFETY, never refuses what was taken already",
    () => {
      let walk = newJob(Date.parse("2026-11-25T09:00:00Z"));
      // What the log says is worked out again only where it, or a limit of the shop, is another than before.
      let known: { readonly of: readonly unknown[]; readonly view: JobView } | undefined;
      const viewNow = ({ entries, shop: { limits } }: Walk): JobView => {
        if (known?.of[0] !== entries || known.of[1] !== limits)
          known = { of: [entries, limits], view: viewOf(entries, limits) };
        return known.view;
      };
      for (let step = 0; step < STEPS; step += 1) {
        if (walk.entries.length > LINES_A_JOB) walk = newJob(walk.clock);
        walk.clock += chance(0.1) ? 40 * 60_000 : Math.floor(next() * 90_000);
        // Somebody sets the clock back.
        if (chance(0.01)) walk.clock -= 60 * 60_000;
        const by = chance(0.9) ? PEOPLE[0] : PEOPLE[1];
        if (chance(0.03)) delete walk.watches[by];
        if (chance(0.02)) walk.shop = setUp(walk.shop);
        const { limits, isOutletNamed } = walk.shop;
        const view = viewNow(walk);
        const { entry, need, power, wait = 0 } = anyEntry(walk);
        walk.clock += wait * 60_000;
        const tried =
          entry.kind === "bench-state" && entry.payload.event !== "incident"
            ? applyBenchEvent(view.bench, entry.payload, iso(walk.clock), view.machine, limits)
            : undefined;
        const refused =
          tried && !tried.ok
            ? tried.issues
            : guardEntry(view, walk.entries, entry, {
                by,
                now: iso(walk.clock),
                watch: walk.watches[by],
                need,
                limits,
                power,
                live: { deadChecks: KNOWLEDGE.deadChecks, isOutletNamed },
                today: iso(walk.clock).slice(0, 10),
              });
        const isLate = "taken" in entry.payload && entry.payload.taken === "afterwards";
        if (isLate) {
          counts.late += 1;
          // Nothing goes back that never came off; nothing else keeps what was done from being written down.
          const isFalse = entry.kind === "refitted" && refused[0]?.path.startsWith("payload.");
          if (!isFalse) expect(refused, `step ${step}: a late ${entry.kind}`).toEqual([]);
        }
        if (refused.length > 0) {
          counts.refused += 1;
          expect(refused[0]?.message.length, `step ${step} says why`).toBeGreaterThan(15);
          continue;
        }
        const place = `step ${step}, seed ${SEED}`;
        if (!isLate && partsOf(need).isDrained) {
          counts.hands += 1;
          expect(handsMayGoIn(walk.entries, walk.clock, partsOf(need).isBlocked), place).toEqual([]);
        }
        if (!isLate && power !== "off") {
          counts.live += 1;
          expect(powerMayComeOn(walk.entries, power, isOutletNamed), place).toEqual([]);
        }
        append(walk, entry, by);
        touch(walk, by, entry);
        const after = viewNow(walk);
        if (step % 20 === 0) {
          const bands = bandsOf(kept(after), walk);
          expect(bands).toEqual(bandsOf(after, walk));
          expect(bands.isHereOrGone, `step ${step}`).toBe(true);
        }
        // A shop may have set a lower limit for volts than SAFETY: then it finds more live than that.
        const isOwnLimit = limitOf(limits, "safe-to-work-volts").value !== SAFE_VOLTS;
        const asSafety = (open: readonly (readonly [kind: string, isMended: boolean])[]): readonly string[] =>
          open
            .filter(([kind]) => !isOwnLimit || (kind !== "live" && kind !== "charged"))
            .map(([kind, isMended]) => `${kind}${isMended ? ", mended" : ""}`)
            .sort();
        expect(
          asSafety(openDangers(after.live.dangers).map(({ kind, remediedBy }) => [kind, remediedBy > 0])),
          place,
        ).toEqual(
          asSafety(bareDangers(walk.entries).flatMap((one) => (one.open ? [[one.kind, one.mended]] : []))),
        );
        for (const { kind, closedBy, openedBy } of after.live.dangers) {
          if (openedBy === after.seq) count(`${kind} opened`);
          if (closedBy === after.seq) count(`${kind} closed`);
        }
        const { word } = signOffWord(after, { deadChecks: KNOWLEDGE.deadChecks, limits });
        count(word);
        expect(word === "do-not-use" || keptBack(walk.entries, "use").length === 0, place).toBe(true);
        if (word !== "repaired") continue;
        counts.repaired += 1;
        expect(againstRepaired(walk.entries), `step ${step}, seed ${SEED}`).toEqual([]);
      }
    },
    60_000 + STEPS * 12,
  );

  it("came past each of the things that it watches", () => {
    console.log(`walk of ${STEPS}: ${JSON.stringify({ ...counts, ...Object.fromEntries(told) })}`);
    expect(counts.live).toBeGreaterThan(50);
    expect(counts.hands).toBeGreaterThan(50);
    expect(counts.refused).toBeGreaterThan(200);
    expect(counts.late).toBeGreaterThan(500);
    expect(counts.repaired).toBeGreaterThan(20);
  });
});
