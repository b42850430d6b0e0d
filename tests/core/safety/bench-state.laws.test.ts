import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { StoreId } from "@/core/knowledge/types";
import { gapsFor } from "@/core/safety/bench-gaps";
import { AT_THE_DOOR, applyBenchEvent, type BenchMachine } from "@/core/safety/bench-state";
import { benchSummary } from "@/core/safety/bench-summary";
import type { EnergyEvent as BenchEvent } from "@/core/safety/energy-event";
import { LIMITS, RUNS } from "../shop-context";
import { benchMachine } from "./bench-machine";

const store = fc.constantFrom<StoreId>("start", "run", "bus", "any");
const event: fc.Arbitrary<BenchEvent> = fc.oneof(
  fc.constantFrom<BenchEvent>(
    { event: "plugged-in", outlet: "not-said" },
    { event: "not-known" },
    { event: "nothing-stores", why: "" },
    { event: "battery", is: "in" },
    { event: "battery", is: "out" },
  ),
  fc
    .constantFrom("plug-in-sight", "plug-in-pocket", "plug-tagged", "cord-off-machine")
    .map((evidence): BenchEvent => ({ event: "unplugged", evidence }) as BenchEvent),
  fc
    .double({ min: -400, max: 400, noNaN: true })
    .map((volts): BenchEvent => ({ event: "isolated", volts, means: "tester" })),
  fc
    .record({
      id: store,
      volts: fc.double({ min: -400, max: 400, noNaN: true }),
      dielectric: fc.constantFrom("film", "electrolytic", "not-known"),
    })
    .map((rest): BenchEvent => ({ event: "stored-volts", ...rest }) as BenchEvent),
  store.map((id): BenchEvent => ({ event: "stored-clip", id })),
  store.map((id): BenchEvent => ({ event: "stored-cannot", id, why: "x" })),
);
const machine: fc.Arbitrary<BenchMachine> = fc
  .record({
    connection: fc.constantFrom("plug", "detachable-cord", "fixed", "battery", "not-known"),
    hasBattery: fc.boolean(),
    holds: fc.subarray(["springs", "lifted-load", "belt"]),
    stores: fc.uniqueArray(store, { maxLength: 3 }),
  })
  .map((some) => benchMachine(some as Partial<BenchMachine>));

interface Walked {
  readonly at: number;
  readonly event: BenchEvent;
}

const PLUG_WORDS: readonly string[] = ["plugged-in", "not-known", "unplugged", "isolated"];

/** What the log itself proves, worked out a second way: the last word on plug and battery, and reads since power last came. */
function evidenceSince(
  walk: readonly Walked[],
  target: BenchMachine,
): { readonly isDead: boolean; readonly readAt: ReadonlyMap<StoreId, Walked> } {
  const events = walk.map((one) => one.event);
  const plug = events.findLast(({ event: said }) => PLUG_WORDS.includes(said))?.event;
  const battery = events.findLast((said) => said.event === "battery" || said.event === "not-known");
  const isOut = battery?.event === "battery" && battery.is === "out";
  const isIn = battery?.event === "battery" && battery.is === "in";
  const isUnplugged = plug === "unplugged" || plug === "isolated";
  const isDead = target.connection === "battery" ? isOut && plug !== "plugged-in" : isUnplugged && !isIn;
  const isPower = ({ event: said }: Walked): boolean =>
    said.event === "plugged-in" ||
    said.event === "not-known" ||
    (said.event === "battery" && said.is === "in");
  const since = walk.slice(walk.findLastIndex(isPower) + 1);
  const reads = since.filter(({ event: said }) => said.event.startsWith("stored-"));
  return { isDead, readAt: new Map(reads.map((one) => [(one.event as { id: StoreId }).id, one])) };
}

describe("a random walk over the bench state", () => {
  it("never lets hands in without evidence on record since power last came", () => {
    fc.assert(
      fc.property(
        machine,
        fc.array(fc.tuple(event, fc.integer({ min: 0, max: 900 })), { maxLength: 25 }),
        (target, steps) => {
          let state = AT_THE_DOOR;
          let clock = Date.parse("2026-11-25T09:00:00Z");
          const walk: Walked[] = [];
          let saidNothingStores = false;
          for (const [step, wait] of steps) {
            clock += wait * 1000;
            const now = new Date(clock).toISOString();
            const next = applyBenchEvent(state, step, now, target, LIMITS);
            if (next.ok) {
              state = next.value;
              walk.push({ at: clock, event: step });
              saidNothingStores ||= step.event === "nothing-stores";
            }
            const gaps = gapsFor(state, "hands-inside", target, now, LIMITS);
            expect(benchSummary(state, target, now, LIMITS).level === "hands").toBe(gaps.length === 0);
            if (gaps.length > 0) continue;
            const { isDead, readAt } = evidenceSince(walk, target);
            expect(isDead).toBe(true);
            if (saidNothingStores) continue;
            for (const id of target.stores) {
              const read = readAt.get(id)?.event;
              const isSafe =
                read?.event === "stored-clip" ||
                (read?.event === "stored-volts" && Math.abs(read.volts) <= 5);
              expect(isSafe, `${id} at ${now}`).toBe(true);
            }
          }
        },
      ),
      { numRuns: RUNS.numRuns * 4 },
    );
  });
});
