import type { LineEvent } from "@/core/safety/energy-event";

/**
 * Power was on for this line. Written down late, nobody can say since when, and it never had its grant: it counts for
 * nothing that live work must be earned for.
 */
export function liveEvents(taken: "now" | "afterwards"): readonly LineEvent[] {
  return taken === "now"
    ? [{ event: "powered" }]
    : [{ event: "may-have-had-power" }, { event: "without-grant" }];
}
