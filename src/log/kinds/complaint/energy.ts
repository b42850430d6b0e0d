import type { EnergyOf } from "../../energy-of";

/** What shows when it is wet is leakage until it is read. */
const WHEN_WET = ["insulation"] as const;

/** Smoke, shock, water and a tripped residual-current device ask for proof that follows them. */
export const energy: EnergyOf<"complaint"> = ({ signs, circumstance }, context) => [
  {
    event: "told",
    before: [
      ...signs.flatMap((sign) => context.signs.get(sign)?.before ?? []),
      ...(circumstance === "wet" ? WHEN_WET : []),
    ],
  },
];
