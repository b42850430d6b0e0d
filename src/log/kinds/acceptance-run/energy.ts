import { parseReading } from "@/core/quantity/parse-reading";
import type { LineEvent } from "@/core/safety/energy-event";
import { DIRECTION, type EnergyOf, TURNS } from "../../energy-of";
import { liveEvents } from "../../live-events";
import type { Payloads } from "../../schemas";

type Run = Payloads["acceptance-run"];

/** Stops that were timed, each by itself: one that is not in figures says nothing. */
function stopsOf({ figures }: Run, isTest: boolean): readonly LineEvent[] {
  return figures
    .filter(({ quantity }) => quantity === "time")
    .flatMap(({ after }): LineEvent[] => {
      const read = after.trim() === "" ? undefined : parseReading(after, "time");
      return read?.ok && read.value.reading.kind === "value"
        ? [{ event: "stopped-in", seconds: read.value.reading.value, isTest }]
        : [];
    });
}

function turnsOf({ turns }: Run, isTest: boolean): readonly LineEvent[] {
  if (turns === "not-said") return [];
  if (turns === "right") return isTest ? [{ event: "tested", tests: [TURNS] }] : [];
  return [
    DIRECTION,
    { event: "danger", kind: "runs-wrong", place: "motor", remedies: [{ spoils: "look" }], test: TURNS },
  ];
}

/**
 * A clean run with its grant closes what was mended; a stop that was timed in it is the test of a brake, and which way it
 * turned that of a motor that was fitted.
 */
export const energy: EnergyOf<"acceptance-run"> = (run) => {
  const { taken, result, minutes } = run;
  const isClean = result === "gone";
  // What was seen without a grant speaks against it, never for it.
  const isTest = isClean && taken === "now";
  return [
    ...liveEvents(taken),
    ...(isClean && taken === "afterwards" ? [] : [{ event: "ran", isClean, minutes } as const]),
    ...stopsOf(run, isTest),
    ...turnsOf(run, isTest),
  ];
};
