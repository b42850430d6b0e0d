import type { EnergyOf } from "../../energy-of";
import { liveEvents } from "../../live-events";

/** A clean run with its grant closes what was mended; a stop timed in it is the test of a brake. */
export const energy: EnergyOf<"acceptance-run"> = ({ taken, result, minutes, figures }) => {
  const isClean = result === "gone";
  const isTimed = figures.some(({ quantity, after }) => quantity === "time" && after.trim() !== "");
  return [
    ...liveEvents(taken),
    ...(isClean && taken === "afterwards" ? [] : [{ event: "ran", isClean, minutes } as const]),
    ...(isTimed ? [{ event: "tested", tests: ["stop-time"] } as const] : []),
  ];
};
