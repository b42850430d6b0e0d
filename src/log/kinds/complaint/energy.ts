import { RUN } from "@/core/safety/dangers/danger";
import type { LineEvent } from "@/core/safety/energy-event";
import type { EnergyOf } from "../../energy-of";

/** What shows when it is wet is leakage until it is read. */
const WHEN_WET = ["insulation"] as const;

/** Smoke, shock, water and a tripped residual-current device ask for proof that follows them, and for their cause. */
export const energy: EnergyOf<"complaint"> = ({ signs, circumstance, afterMinutes }, context) => {
  const rows = signs.flatMap((sign) => context.signs.get(sign) ?? []);
  return [
    // Told again after a run, it takes that run back.
    { event: "stalled" },
    {
      event: "told",
      before: [...rows.flatMap(({ before }) => before ?? []), ...(circumstance === "wet" ? WHEN_WET : [])],
    },
    ...rows.flatMap(({ opens }): LineEvent[] =>
      opens === undefined
        ? []
        : [
            {
              event: "danger",
              kind: opens,
              place: "door",
              remedies: opens === "told-trip" ? ["any-repair"] : [],
              test: RUN,
              afterMinutes: afterMinutes ?? 0,
            },
          ],
    ),
  ];
};
