import type { BenchNeed } from "../knowledge/types";
import type { Touch } from "./tool";

const NEEDS: Readonly<Record<Touch, BenchNeed>> = {
  past: "none",
  inside: "hands-inside",
  "bare-conductors": "hands-inside",
  board: "hands-inside",
  drive: "plug-out",
  "running-parts": "none",
};
const HARDER: readonly BenchNeed[] = ["none", "plug-out", "hands-inside"];

/** What the bench state must be for what hands or probes go to: the hardest of all that is touched. */
export function needOf(touches: readonly Touch[]): BenchNeed {
  const hardest = Math.max(0, ...touches.map((touch) => HARDER.indexOf(NEEDS[touch])));
  return HARDER[hardest] ?? "hands-inside";
}
