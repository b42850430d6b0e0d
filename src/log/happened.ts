import type { Incident } from "@/core/knowledge/move-page.input";
import { HERE, RUN } from "@/core/safety/dangers/danger";
import type { LineEvent } from "@/core/safety/energy-event";

/** What power did: a danger here, whatever was remedied before it, and nothing that ran before it counts. */
export function happened(what: Incident): readonly LineEvent[] {
  return [
    { event: "incident", what },
    { event: "stalled" },
    { event: "ran", isClean: false, minutes: 0 },
    { event: "danger", kind: what, place: HERE, remedies: [], test: RUN },
  ];
}
